package yewberry.core.asset;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;

/**
 * Bytes of which long stretches are 0, as those of pages are where nothing is painted: in turn how
 * many are 0, how many follow that are not, and these.
 */
public final class SparseBytes {
    /** Shorter stretches of zeros are written like all else. */
    private static final int SHORTEST = 16;

    private SparseBytes() {}

    public static void write(DataOutputStream out, byte[] bytes) throws IOException {
        int at = 0;
        while (at < bytes.length) {
            int begin = at;
            while (at < bytes.length && bytes[at] == 0) {
                at++;
            }
            out.writeInt(at - begin);
            begin = at;
            int zeros = 0;
            while (at < bytes.length && zeros < SHORTEST) {
                zeros = bytes[at] == 0 ? zeros + 1 : 0;
                at++;
            }
            at -= zeros;
            out.writeInt(at - begin);
            out.write(bytes, begin, at - begin);
        }
    }

    /**
     * @param count how many there are
     * @throws EOFException if there are fewer
     * @throws IOException if there are more
     */
    public static byte[] read(DataInputStream in, int count) throws IOException {
        byte[] bytes = new byte[count];
        int at = 0;
        while (at < count) {
            int zeros = in.readInt();
            int others = in.readInt();
            if (zeros < 0 || others < 0 || (long) at + zeros + others > count) {
                throw new IOException("There are more bytes than there should be.");
            }
            if (zeros + others == 0) {
                throw new IOException("Bytes that are not there.");
            }
            at += zeros;
            in.readFully(bytes, at, others);
            at += others;
        }
        return bytes;
    }
}
