package yewberry.core.text;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/** Font files as others might bring along, made of a face that ships. */
public final class TestFont {
    private static final int DIRECTORY = 12;
    private static final int RECORD = 16;

    private TestFont() {}

    /**
     * Fraunces under another name of as many letters.
     *
     * @param type the bits of fsType
     */
    public static byte[] named(String family, int weight, int type) {
        byte[] program = FontLibrary.face("Fraunces", weight, false).program();
        replace(program, "Fraunces".getBytes(StandardCharsets.UTF_16BE), family);
        ByteBuffer font = ByteBuffer.wrap(program);
        font.putShort(table(font, "OS/2") + 8, (short) type);
        return program;
    }

    private static void replace(byte[] in, byte[] wanted, String by) {
        byte[] instead = by.getBytes(StandardCharsets.UTF_16BE);
        if (instead.length != wanted.length) {
            throw new IllegalArgumentException("not as long: " + by);
        }
        for (int at = 0; at + wanted.length <= in.length; at++) {
            boolean same = true;
            for (int i = 0; i < wanted.length && same; i++) {
                same = in[at + i] == wanted[i];
            }
            if (same) {
                System.arraycopy(instead, 0, in, at, instead.length);
            }
        }
    }

    /** Where a table begins. */
    static int table(ByteBuffer font, String tag) {
        for (int i = 0; i < font.getShort(4); i++) {
            int record = DIRECTORY + i * RECORD;
            byte[] name = new byte[4];
            font.get(record, name);
            if (new String(name, StandardCharsets.US_ASCII).equals(tag)) {
                return font.getInt(record + 8);
            }
        }
        throw new IllegalArgumentException("no table " + tag);
    }
}
