package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class SrgbTest {
    /** The encoding of IEC 61966-2-1, worked out with a power for each. */
    private static int rounded(double linear) {
        double encoded =
                linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
        return (int) Math.round(Math.clamp(encoded, 0, 1) * 255);
    }

    @Test
    void light_becomes_the_nearest_level() {
        Random random = new Random(7);
        for (int i = 0; i < 300_000; i++) {
            double red = i / 299_999.0;
            double green = Math.pow(random.nextDouble(), 4); // dark ones are closest together
            double blue = random.nextDouble() * 1.4 - 0.2; // and what is out of gamut is cut
            Rgb found = Srgb.fromLinear(new double[] {red, green, blue});
            assertThat(found)
                    .isEqualTo(
                            new Rgb(rounded(red), rounded(green), rounded(Math.clamp(blue, 0, 1))));
        }
    }

    @Test
    void each_level_stays_what_it_is() {
        for (int level = 0; level < 256; level++) {
            double light = Srgb.linear(level);
            assertThat(Srgb.fromLinear(new double[] {light, light, light}))
                    .isEqualTo(new Rgb(level, level, level));
        }
    }
}
