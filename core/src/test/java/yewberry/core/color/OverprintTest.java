package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** ISO 32000-1, 8.6.7, table 72: what each plate keeps with overprint mode 1. */
class OverprintTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Cmyk BLACK = new Cmyk(0, 0, 0, 100);
    private static final Cmyk NIGHT = new Cmyk(100, 86, 42, 52);
    private static final Inks LANTERN = spot("Lantern", 80, Cmyk.NONE);

    private static Inks spot(String name, double percent, Cmyk process) {
        return new Inks(List.of(new Inks.Spot(name, new Cmyk(0, 48, 92, 0), percent)), process);
    }

    private static Color over(Color upper, Color lower) {
        return Overprint.over(upper, lower, COATED);
    }

    @Test
    void black_keeps_the_other_process_inks() {
        assertThat(over(BLACK, NIGHT)).isEqualTo(new Cmyk(100, 86, 42, 100));
        assertThat(over(new Gray(100), NIGHT)).isEqualTo(new Cmyk(100, 86, 42, 100));
        assertThat(over(BLACK, Cmyk.NONE)).isEqualTo(BLACK);
    }

    @Test
    void an_ink_that_is_there_replaces_what_is_below_even_where_it_is_less() {
        assertThat(over(new Cmyk(10, 0, 0, 20), NIGHT)).isEqualTo(new Cmyk(10, 86, 42, 20));
    }

    @Test
    void process_ink_leaves_spot_plates_alone() {
        assertThat(over(BLACK, LANTERN)).isEqualTo(spot("Lantern", 80, BLACK));
    }

    @Test
    void a_spot_ink_leaves_all_other_plates_alone() {
        assertThat(over(LANTERN, NIGHT)).isEqualTo(spot("Lantern", 80, NIGHT));
        assertThat(over(spot("Lantern", 30, Cmyk.NONE), LANTERN))
                .isEqualTo(spot("Lantern", 30, Cmyk.NONE));
        assertThat(((Inks) over(spot("Buoy", 30, Cmyk.NONE), LANTERN)).spots())
                .extracting(Inks.Spot::name)
                .containsExactly("Buoy", "Lantern");
    }

    /** A DeviceN space names every process ink, and mode 1 is for DeviceCMYK only. */
    @Test
    void a_mix_of_spot_and_process_ink_replaces_all_process_inks() {
        Cmyk dusk = new Cmyk(40, 0, 10, 0);
        assertThat(over(spot("Lantern", 35, dusk), NIGHT)).isEqualTo(spot("Lantern", 35, dusk));
    }

    /**
     * ISO 32000-1, 11.3.5.2 and 11.7.4.2: the lesser ink of what is taken away and of what is below
     * (Lighten), and then the greater of that and of the colour (Darken), each plate alone.
     */
    @Test
    void the_lesser_and_then_the_greater_ink_is_the_same() {
        Inks dusk = spot("Lantern", 35, new Cmyk(40, 0, 10, 0));
        List<Color> colors =
                List.of(BLACK, new Cmyk(10, 0, 0, 20), LANTERN, dusk, spot("Buoy", 30, NIGHT));
        List<Color> below =
                List.of(
                        NIGHT,
                        Cmyk.NONE,
                        LANTERN,
                        spot("Lantern", 10, NIGHT),
                        spot("Buoy", 100, BLACK));
        for (Color upper : colors) {
            for (Color lower : below) {
                for (String plate : List.of("C", "M", "Y", "K", "Lantern", "Buoy")) {
                    double least =
                            Overprint.takenAway(upper, spots(), COATED)
                                    .map(taken -> Math.min(on(taken, plate), on(lower, plate)))
                                    .orElse(on(lower, plate));
                    assertThat(Math.max(least, on(upper, plate)))
                            .as("%s over %s on %s", upper, lower, plate)
                            .isEqualTo(on(over(upper, lower), plate));
                }
            }
        }
        assertThat(Overprint.takenAway(BLACK, spots(), COATED)).isEmpty();
    }

    private static List<Inks.Spot> spots() {
        return List.of(
                new Inks.Spot("Lantern", new Cmyk(0, 48, 92, 0), 100),
                new Inks.Spot("Buoy", new Cmyk(0, 48, 92, 0), 100));
    }

    private static double on(Color color, String plate) {
        Cmyk process = color instanceof Inks inks ? inks.process() : (Cmyk) color;
        return switch (plate) {
            case "C" -> process.cyan();
            case "M" -> process.magenta();
            case "Y" -> process.yellow();
            case "K" -> process.black();
            default ->
                    color instanceof Inks inks
                            ? inks.spots().stream()
                                    .filter(spot -> spot.name().equals(plate))
                                    .mapToDouble(Inks.Spot::percent)
                                    .sum()
                            : 0;
        };
    }
}
