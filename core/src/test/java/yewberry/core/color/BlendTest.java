package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Properties from ISO 32000-1, 11.3; that all modes agree with other programs is tested there. */
class BlendTest {
    private static double[] ink(double... planes) {
        return planes;
    }

    private static double[] over(double[] below, double[] above, double alpha, BlendMode mode) {
        double[] result = below.clone();
        assertThat(Blend.ink(result, 1, above, alpha, mode)).isEqualTo(1);
        return result;
    }

    @Test
    void half_of_one_ink_over_another_is_the_middle() {
        assertThat(over(ink(1, 0, 0.2, 0), ink(0, 1, 0.4, 0), 0.5, BlendMode.NORMAL))
                .containsExactly(new double[] {0.5, 0.5, 0.3, 0}, within(1e-12));
    }

    @Test
    void multiply_adds_ink_to_ink_up_to_all_of_it() {
        assertThat(over(ink(0.5, 0.2, 0, 0), ink(0.5, 0, 0.3, 0), 1, BlendMode.MULTIPLY))
                .containsExactly(new double[] {0.75, 0.2, 0.3, 0}, within(1e-12));
    }

    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void where_nothing_lies_below_every_mode_paints_its_own_colour(BlendMode mode) {
        double[] empty = ink(0, 0, 0, 0);
        assertThat(Blend.ink(empty, 0, ink(0.3, 0.5, 0.1, 0.2), 0.5, mode)).isEqualTo(0.5);
        assertThat(empty).containsExactly(new double[] {0.3, 0.5, 0.1, 0.2}, within(1e-12));
    }

    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void nothing_changes_where_nothing_is_painted(BlendMode mode) {
        double[] below = ink(0.3, 0.5, 0.1, 0.2);
        Blend.ink(below, 1, ink(1, 1, 1, 1), 0, mode);
        assertThat(below).containsExactly(new double[] {0.3, 0.5, 0.1, 0.2}, within(1e-12));
    }

    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void results_are_inks_that_can_be_printed(BlendMode mode) {
        for (double below = 0; below <= 1; below += 0.25) {
            for (double above = 0; above <= 1; above += 0.25) {
                double[] result =
                        over(ink(below, 1 - below, 0.3, 0), ink(above, 0.6, 1 - above, 0), 1, mode);
                for (double plane : result) {
                    assertThat(plane).isBetween(-1e-9, 1 + 1e-9);
                }
            }
        }
    }

    @Test
    void a_spot_ink_takes_part_only_in_modes_that_leave_white_white() {
        assertThat(over(ink(0, 0, 0, 0, 0.5), ink(0, 0, 0, 0, 0.5), 1, BlendMode.MULTIPLY)[4])
                .isEqualTo(0.75);
        assertThat(over(ink(0, 0, 0, 0, 0.5), ink(0, 0, 0, 0, 0.2), 1, BlendMode.DIFFERENCE)[4])
                .isEqualTo(0.2);
        assertThat(over(ink(0, 0, 0, 0, 0.5), ink(0, 0, 0, 0, 0.2), 1, BlendMode.HUE)[4])
                .isEqualTo(0.2);
        assertThat(Blend.keepsWhite(BlendMode.EXCLUSION)).isFalse();
        assertThat(Blend.keepsWhite(BlendMode.DARKEN)).isTrue();
    }
}
