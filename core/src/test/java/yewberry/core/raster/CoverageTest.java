package yewberry.core.raster;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CoverageTest {
    private static final int WIDTH = 23;
    private static final int HEIGHT = 17;

    /** Gathers what is covered, and that no pixel is told twice. */
    private static final class Gathered implements Coverage.Each {
        private final double[] covered = new double[WIDTH * HEIGHT];
        private int whole;

        @Override
        public void pixel(int at, double part) {
            assertThat(covered[at]).isZero();
            covered[at] = part;
        }

        @Override
        public void whole(int from, int to) {
            assertThat(from).isLessThan(to);
            assertThat(from / WIDTH).as("one row").isEqualTo((to - 1) / WIDTH);
            for (int at = from; at < to; at++) {
                pixel(at, 1);
                whole++;
            }
        }
    }

    /** Shapes within the raster, across its edges and larger than it. */
    @Test
    void rows_cover_what_pixels_do() {
        Random random = new Random(3);
        int whole = 0;
        for (int i = 0; i < 400; i++) {
            double x = random.nextDouble() * 50 - 20;
            double y = random.nextDouble() * 50 - 20;
            double size = random.nextDouble() * 60;
            Coverage coverage =
                    Coverage.of(
                            random.nextBoolean()
                                    ? new Rectangle2D.Double(x, y, size, size / 2)
                                    : new Ellipse2D.Double(x, y, size, size / 2),
                            WIDTH,
                            HEIGHT);
            Gathered rows = new Gathered();
            coverage.forEach(rows);
            double[] pixels = new double[WIDTH * HEIGHT];
            coverage.forEach((int at, double part) -> pixels[at] = part);
            assertThat(rows.covered).isEqualTo(pixels);
            whole += rows.whole;
        }
        assertThat(whole).isGreaterThan(1_000);
    }
}
