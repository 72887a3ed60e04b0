package yewberry.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.color.Blend;
import yewberry.core.color.BlendMode;

class PlaneRasterTest {
    private static final int COUNT = 24;

    /** A row comes out as {@link Blend#ink} makes its pixels, whatever lies there. */
    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void a_row_is_painted_as_its_pixels_are(BlendMode mode) {
        Random random = new Random(mode.ordinal());
        for (int planes = 3; planes <= 6; planes++) {
            for (double most : new double[] {0.7, 1, 1.5}) { // how much is covered, cut at 1
                painted(mode, planes, most, random);
            }
        }
    }

    private static void painted(BlendMode mode, int planes, double most, Random random) {
        PlaneRaster row = new PlaneRaster(COUNT, 1, planes);
        double[][] expected = new double[COUNT][];
        double[] alphas = new double[COUNT];
        double[] colors = new double[COUNT * planes];
        double[] covered = new double[COUNT];
        for (int i = 0; i < COUNT; i++) {
            expected[i] = random.doubles(planes).toArray();
            alphas[i] = Math.min(1, most * 1.2 * (0.5 + random.nextDouble()));
            row.set(i, expected[i], alphas[i]);
            covered[i] = Math.min(1, 2 * random.nextDouble());
            double[] above = random.doubles(planes).toArray();
            System.arraycopy(above, 0, colors, i * planes, planes);
            alphas[i] = Blend.ink(expected[i], alphas[i], above, covered[i], mode);
        }
        row.paint(0, COUNT, colors, covered, mode);
        for (int i = 0; i < COUNT; i++) {
            assertThat((double) row.alpha(i)).isCloseTo(alphas[i], within(1e-6));
            for (int plane = 0; plane < planes; plane++) {
                assertThat((double) row.printed(plane, i))
                        .isCloseTo(expected[i][plane] * alphas[i], within(1e-6));
            }
        }
    }
}
