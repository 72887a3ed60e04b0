package yewberry.pdf.read;

import java.io.IOException;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.color.PDLab;

/**
 * The table of an Indexed colour space, in its base space: ISO 32000-1, 8.6.6.3.
 *
 * @param bytes a byte for each component of each entry
 */
record IndexedTable(PDColorSpace base, byte[] bytes) {
    private static final int TABLE = 3;

    static IndexedTable of(PDIndexed indexed) throws IOException {
        COSBase table = ((COSArray) indexed.getCOSObject()).getObject(TABLE);
        byte[] bytes =
                switch (table) {
                    case COSString text -> text.getBytes();
                    case COSStream stream -> {
                        try (var in = stream.createInputStream()) {
                            yield in.readAllBytes();
                        }
                    }
                    case null, default -> new byte[0];
                };
        return new IndexedTable(indexed.getBaseColorSpace(), bytes);
    }

    /** The components of an entry; beyond the end of the table all are at their least. */
    float[] entry(int index) {
        int count = base.getNumberOfComponents();
        float[] values = new float[count];
        float[] range = base instanceof PDLab lab ? labRange(lab) : null;
        for (int i = 0; i < count; i++) {
            int at = index * count + i;
            float part = at >= 0 && at < bytes.length ? (bytes[at] & 0xff) / 255f : 0;
            values[i] =
                    range == null ? part : range[2 * i] + part * (range[2 * i + 1] - range[2 * i]);
        }
        return values;
    }

    private static float[] labRange(PDLab lab) {
        return new float[] {
            0,
            100,
            lab.getARange().getMin(),
            lab.getARange().getMax(),
            lab.getBRange().getMin(),
            lab.getBRange().getMax()
        };
    }
}
