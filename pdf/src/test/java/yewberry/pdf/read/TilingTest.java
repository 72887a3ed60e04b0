package yewberry.pdf.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Rectangle2D;
import org.apache.pdfbox.util.Matrix;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Patterns of few cells and of more than can be counted. */
class TilingTest {
    @ParameterizedTest
    @CsvSource({"49, 49, true", "49, 50, false", "4294967295, 4294967295, false"})
    void few_cells_are_told_from_more_than_a_long_counts(long right, long high, boolean few) {
        Rectangle2D box = new Rectangle2D.Double(0, 0, 1, 1);
        assertThat(new Tiling(new Matrix(), box, 1, 1, 0, right, 0, high).isFew()).isEqualTo(few);
    }
}
