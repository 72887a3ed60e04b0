package yewberry.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;

/** Invented models; what they make of colours goes by WCAG's relative luminance. */
class OfficePrinterTest {
    private static final Rgb WHITE = new Rgb(255, 255, 255);

    private static OfficePrinter.Job job(String model, boolean mono, boolean saving) {
        return new OfficePrinter.Job(OfficePrinter.model(model), true, mono, saving, false, false);
    }

    /** Solid toner has a density of 1.3, and so a reflectance of 10 to the power of -1.3. */
    @Test
    void black_toner_is_grey_and_not_quite_black() {
        Rgb printed = job("slate", false, false).printed(new Rgb(0, 0, 0));
        assertThat(printed.red()).isEqualTo(printed.green()).isEqualTo(printed.blue());
        double ratio = 1.05 / (Math.pow(10, -1.3) + 0.05);
        assertThat(Contrast.ratio(printed, WHITE)).isBetween(ratio - 0.1, ratio + 0.1);
        Rgb red = new Rgb(194, 24, 63);
        assertThat(job("copper", false, false).printed(red)).isEqualTo(red);
        assertThat(job("copper", true, false).printed(red))
                .isEqualTo(job("slate", false, false).printed(red));
    }

    @Test
    void saved_toner_lets_the_paper_through() {
        Rgb black = new Rgb(0, 0, 0);
        assertThat(job("copper", false, true).printed(black)).isEqualTo(new Rgb(115, 115, 115));
        assertThat(job("copper", false, true).printed(WHITE)).isEqualTo(WHITE);
    }

    @Test
    void both_sides_of_a_sheet_are_told_apart() {
        assertThat(OfficePrintout.sheet(0, true)).isEqualTo("Sheet 1, front");
        assertThat(OfficePrintout.sheet(3, true)).isEqualTo("Sheet 2, back");
        assertThat(OfficePrintout.sheet(3, false)).isEqualTo("Sheet 4");
    }

    @Test
    void a_printer_that_there_is_not_is_refused() {
        assertThatThrownBy(() -> OfficePrinter.model("laser"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("copper, slate");
    }
}
