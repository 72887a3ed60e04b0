package yewberry.pdf;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.InflaterInputStream;
import java.util.zip.ZipException;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import yewberry.core.Refused;

/**
 * How large the contents of pages are when they are unpacked: looked at before anything does it.
 */
final class Unpacking {
    /** More of operators no page has; in bytes. */
    private static final long MOST = 64L << 20;

    private Unpacking() {}

    /**
     * @param number of the page, for the message
     * @throws Refused if its content would take more memory than any page needs
     */
    static void check(PDPage page, int number) throws IOException {
        long all = 0;
        for (COSStream stream : contents(page)) {
            all += unpacked(stream, MOST - all, number);
            if (all > MOST) {
                throw new Refused(
                        "What is on page %d unpacks to more than 64 MB; simplify it and export it again."
                                .formatted(number));
            }
        }
    }

    private static List<COSStream> contents(PDPage page) {
        return all(page.getCOSObject().getDictionaryObject(COSName.CONTENTS), COSStream.class);
    }

    /** One of a kind alone, or those of an array. */
    private static <T extends COSBase> List<T> all(COSBase one, Class<T> kind) {
        List<T> all = new ArrayList<>();
        if (kind.isInstance(one)) {
            all.add(kind.cast(one));
        } else if (one instanceof COSArray array) {
            for (int i = 0; i < array.size(); i++) {
                if (kind.isInstance(array.getObject(i))) {
                    all.add(kind.cast(array.getObject(i)));
                }
            }
        }
        return all;
    }

    /** As far as up to a limit and a little more. */
    private static long unpacked(COSStream stream, long limit, int number) throws IOException {
        List<COSName> filters = filters(stream);
        long packing = filters.stream().filter(Unpacking::packs).count();
        if (packing > 1) {
            throw new Refused(
                    "What is on page %d is packed more than once; export it again."
                            .formatted(number));
        }
        boolean deflated = filters.size() == 1 && COSName.FLATE_DECODE.equals(filters.getFirst());
        try (InputStream raw = stream.createRawInputStream();
                InputStream in = deflated ? new InflaterInputStream(raw) : raw) {
            return skipped(in, limit);
        } catch (ZipException damaged) {
            return 0; // a reader stops there, too
        }
    }

    private static long skipped(InputStream in, long limit) throws IOException {
        byte[] buffer = new byte[1 << 16];
        long all = 0;
        try {
            for (int read = in.read(buffer); read >= 0 && all <= limit; read = in.read(buffer)) {
                all += read;
            }
        } catch (EOFException cut) {
            return all;
        }
        return all;
    }

    private static boolean packs(COSName filter) {
        return COSName.FLATE_DECODE.equals(filter)
                || COSName.LZW_DECODE.equals(filter)
                || COSName.RUN_LENGTH_DECODE.equals(filter);
    }

    private static List<COSName> filters(COSStream stream) {
        return all(stream.getFilters(), COSName.class);
    }
}
