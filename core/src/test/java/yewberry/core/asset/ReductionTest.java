package yewberry.core.asset;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A smaller picture has the mean of the pixels that each of its own stands for. */
class ReductionTest {
    @ParameterizedTest
    @CsvSource({
        "64, 48, 4, 2",
        "67, 53, 4, 2",
        "67, 53, 3, 4",
        "131, 77, 1, 8",
        "15, 31, 4, 8",
        "150, 31, 4, 16",
        "15, 9, 3, 16",
        "40, 31, 4, 16",
        "2100, 1, 1, 2048",
        "5, 4, 4, 1"
    })
    void each_pixel_is_the_mean_of_those_it_stands_for(
            int width, int height, int components, int factor) {
        byte[] samples = new byte[width * height * components];
        new Random(7).nextBytes(samples);
        Arrays.fill(samples, 0, samples.length / 3, (byte) 255); // as much as sums can come to
        Reduction small =
                new Reduction(width, height, components, samples, Optional.empty()).by(factor);
        assertThat(small.width()).isEqualTo(Math.max(1, width / factor));
        assertThat(small.height()).isEqualTo(Math.max(1, height / factor));
        for (int y = 0; y < small.height(); y++) {
            for (int x = 0; x < small.width(); x++) {
                for (int i = 0; i < components; i++) {
                    double mean = mean(small, x, y, i, width, height, samples);
                    int is = small.samples()[(y * small.width() + x) * components + i] & 0xff;
                    assertThat(is).isEqualTo((int) Math.floor(mean + 0.5));
                }
            }
        }
    }

    private static double mean(
            Reduction small, int x, int y, int component, int width, int height, byte[] samples) {
        double sum = 0;
        int count = 0;
        for (int row = y * height / small.height();
                row < (y + 1) * height / small.height();
                row++) {
            for (int column = x * width / small.width();
                    column < (x + 1) * width / small.width();
                    column++) {
                sum += samples[(row * width + column) * small.components() + component] & 0xff;
                count++;
            }
        }
        return sum / count;
    }
}
