package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ViewTest {
    private final PressCondition coated = PressCondition.coated();

    private View view(Viewing viewing) {
        return new View(viewing, Medium.PAPER, coated, coated.paper());
    }

    @Test
    void as_designed_paper_is_white_and_on_press_it_is_paper() {
        assertThat(view(Viewing.AS_DESIGNED).bare()).isEqualTo(Rgb.WHITE);
        Rgb paper = view(Viewing.ON_PRESS).bare();
        // measured L* 95, b* -2: a little darker and bluer than the screen's white
        assertThat(paper.blue()).isGreaterThan(paper.red());
        assertThat(Difference.ciede2000(coated.lab(paper), new Lab(95, 0, -2))).isLessThan(0.5);
    }

    @Test
    void a_chosen_stock_shines_through_thin_ink() {
        View pink = new View(Viewing.ON_STOCK, Medium.PAPER, coated, new Lab(85, 20, 5));
        assertThat(pink.see(new Cmyk(0, 0, 0, 0)).red()).isGreaterThan(pink.bare().green() + 30);
        assertThat(Contrast.luminance(pink.see(new Cmyk(10, 0, 0, 0))))
                .isLessThan(Contrast.luminance(view(Viewing.ON_PRESS).see(new Cmyk(10, 0, 0, 0))));
    }

    /**
     * Murray and Davies (1936) by hand: half a tone grows by 18 % of the area to 68 %, and with
     * toner of density 1.3 that reflects 1 - 0.68 (1 - 0.0501) = 0.354 of the light.
     */
    @Test
    void a_grey_copy_goes_through_the_tone_curve_of_a_mono_printer() {
        assertThat(view(Viewing.GREY_COPY).shifted(Rgb.WHITE)).isEqualTo(Rgb.WHITE);
        assertThat(Contrast.luminance(view(Viewing.GREY_COPY).shifted(Rgb.BLACK)))
                .isCloseTo(0.0501, within(0.002));
        Rgb half = view(Viewing.GREY_COPY).shifted(new Rgb(128, 128, 128));
        assertThat(half.red()).isEqualTo(half.green()).isEqualTo(half.blue());
        assertThat(Contrast.luminance(half)).isCloseTo(0.354, within(0.005));
    }

    @Test
    void on_paper_a_screen_colour_is_seen_as_it_is_printed() {
        Rgb magenta = new Rgb(255, 0, 255);
        View screen = View.designed(Medium.SCREEN, coated);
        assertThat(screen.see(magenta)).isEqualTo(magenta);
        assertThat(view(Viewing.AS_DESIGNED).see(magenta))
                .isEqualTo(coated.toScreen(coated.toInk(magenta)))
                .isNotEqualTo(magenta);
        assertThat(screen.see(new Cmyk(100, 86, 42, 52)))
                .isEqualTo(view(Viewing.AS_DESIGNED).see(new Cmyk(100, 86, 42, 52)));
    }

    /** Machado, Oliveira and Fernandes (2009): each row of a published matrix adds up to 1. */
    @ParameterizedTest
    @EnumSource(Vision.class)
    void greys_are_seen_alike_by_everybody(Vision vision) {
        for (int level = 0; level < 256; level += 15) {
            Rgb seen = vision.see(new Rgb(level, level, level));
            assertThat(Math.abs(seen.red() - level)).isLessThanOrEqualTo(1);
            assertThat(Math.abs(seen.blue() - level)).isLessThanOrEqualTo(1);
        }
    }

    @Test
    void red_looks_dark_to_protan_vision() {
        // the first column of the matrix, encoded: 0.152286 and 0.114503 are 109 and 95 of 255
        assertThat(Vision.PROTAN.see(new Rgb(255, 0, 0))).isEqualTo(new Rgb(109, 95, 0));
    }
}
