package yewberry.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
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

    /** Of pixels side by side, some covered and some not, as of each by itself. */
    @ParameterizedTest
    @ValueSource(ints = {3, 4, 6})
    void one_colour_is_filled_and_printed_as_its_pixels_are(int planes) {
        Random random = new Random(planes);
        PlaneRaster there = new PlaneRaster(COUNT, 1, planes);
        for (int at = 0; at < COUNT; at++) {
            there.set(
                    at,
                    random.doubles(planes).toArray(),
                    random.nextBoolean() ? 1 : random.nextDouble());
        }
        double[] source = random.doubles(planes).toArray();
        boolean[] printed = new boolean[planes];
        for (int plane = 0; plane < planes; plane++) {
            printed[plane] = random.nextBoolean();
        }
        int from = 3;
        int to = COUNT - 2;
        PlaneRaster filled = there.copy();
        filled.fill(from, to, source);
        PlaneRaster overprinted = there.copy();
        overprinted.overprint(from, to, source, printed);
        PlaneRaster one = there.copy();
        PlaneRaster other = there.copy();
        for (int at = from; at < to; at++) {
            one.paint(at, source, 1, BlendMode.NORMAL);
            other.overprint(at, source, printed, 1, BlendMode.NORMAL);
        }
        assertThat(filled.isSame(one)).isTrue();
        assertThat(overprinted.isSame(other)).isTrue();
        assertThat(filled.isSame(there)).isFalse();
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
