package yewberry.pdf.read;

import java.io.IOException;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.pdmodel.common.function.PDFunction;

/** Tint transforms of Separation and DeviceN: ISO 32000-1, 8.6.6.4. */
final class TintTransform {
    /** Where the transform stands in the array of either colour space. */
    private static final int TRANSFORM = 3;

    private TintTransform() {}

    /** What stands for some tints in the alternate space. */
    static float[] of(COSBase space, float[] tints) throws IOException {
        return PDFunction.create(((COSArray) space).getObject(TRANSFORM)).eval(tints);
    }
}
