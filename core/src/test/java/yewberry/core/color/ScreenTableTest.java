package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ScreenTableTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static int[] converted(ScreenTable table, int c, int m, int y, int k) {
        byte[] screen = new byte[3];
        table.convert(new byte[] {(byte) c, (byte) m, (byte) y, (byte) k}, screen);
        return new int[] {screen[0] & 0xff, screen[1] & 0xff, screen[2] & 0xff};
    }

    @ParameterizedTest
    @ValueSource(strings = {"coated", "uncoated", "light-weight-coated"})
    void it_is_near_the_exact_conversion_everywhere(String id) {
        PressCondition condition =
                PressCondition.shipped().stream()
                        .filter(each -> each.id().equals(id))
                        .findFirst()
                        .orElseThrow();
        ScreenTable table = condition.screenTable();
        Random random = new Random(7);
        double sum = 0;
        double worst = 0;
        int colors = 4000;
        for (int i = 0; i < colors; i++) {
            int[] ink = random.ints(4, 0, 256).toArray();
            double[] exact =
                    condition.screenComponents(
                            new Cmyk(
                                    ink[0] / 2.55,
                                    ink[1] / 2.55,
                                    ink[2] / 2.55,
                                    Math.min(100, ink[3] / 2.55)));
            int[] found = converted(table, ink[0], ink[1], ink[2], ink[3]);
            for (int each = 0; each < 3; each++) {
                double off = Math.abs(exact[each] - found[each]);
                sum += off;
                worst = Math.max(worst, off);
            }
        }
        assertThat(sum / colors / 3).isLessThan(0.5);
        assertThat(worst).isLessThan(5);
    }

    @Test
    void paper_is_white_and_the_steps_of_the_table_are_exact() {
        ScreenTable table = COATED.screenTable();
        assertThat(converted(table, 0, 0, 0, 0)).containsExactly(255, 255, 255);
        Rgb night = COATED.toScreen(new Cmyk(100, 100, 0, 0));
        assertThat(converted(table, 255, 255, 0, 0))
                .containsExactly(night.red(), night.green(), night.blue());
        Rgb fifths = COATED.toScreen(new Cmyk(20, 20, 20, 20));
        assertThat(converted(table, 51, 51, 51, 51)[1])
                .isBetween(fifths.green() - 2, fifths.green() + 2);
    }

    @Test
    void lengths_that_do_not_fit_are_refused() {
        ScreenTable table = COATED.screenTable();
        assertThatThrownBy(() -> table.convert(new byte[8], new byte[5]))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> table.convert(new byte[7], new byte[6]))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
