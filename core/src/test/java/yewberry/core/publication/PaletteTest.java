package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Difference;
import yewberry.core.color.Gray;
import yewberry.core.color.Inks;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Printable;
import yewberry.core.color.Rgb;

class PaletteTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch NIGHT = swatch("Night", plain(new Cmyk(100, 80, 40, 50)));
    private static final Swatch SAND = swatch("Sand", plain(new Cmyk(0, 10, 20, 0)));
    private static final Swatch GLOW = swatch("Glow", plain(new Rgb(200, 100, 0)));
    private static final Swatch LANTERN =
            swatch("Lantern", new Definition.SpotInk(new Cmyk(0, 60, 100, 0)));

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Swatch swatch(String name, Definition definition) {
        return new Swatch(id(name), name, definition);
    }

    private static Definition plain(Color color) {
        return new Definition.Plain(color);
    }

    private static Color resolved(Definition definition, Swatch... more) {
        Map<UUID, Swatch> all =
                Stream.concat(Stream.of(NIGHT, SAND, GLOW, LANTERN), Stream.of(more))
                        .collect(Collectors.toMap(Swatch::id, each -> each));
        return new Palette(all::get, COATED).color(swatch("It", definition));
    }

    @Test
    void a_tint_of_process_colour_takes_so_much_of_each_ink() {
        assertThat(resolved(new Definition.Tint(NIGHT.id(), 50)))
                .isEqualTo(new Cmyk(50, 40, 20, 25));
    }

    @Test
    void lighter_is_a_mix_with_no_ink() {
        assertThat(resolved(new Definition.Lighter(NIGHT.id(), 25)))
                .isEqualTo(new Cmyk(75, 60, 30, 37.5));
    }

    @Test
    void a_tint_on_the_screen_goes_towards_white() {
        assertThat(resolved(new Definition.Tint(GLOW.id(), 50))).isEqualTo(new Rgb(228, 178, 128));
    }

    @Test
    void two_of_one_space_are_mixed_component_by_component() {
        assertThat(resolved(new Definition.Mix(NIGHT.id(), SAND.id(), 40)))
                .isEqualTo(new Cmyk(40, 38, 28, 20));
    }

    @Test
    void two_of_different_spaces_are_mixed_in_cielab() {
        Lab one = COATED.lab(NIGHT_COLOR);
        Lab other = COATED.lab(GLOW_COLOR);
        Lab mixed = (Lab) resolved(new Definition.Mix(NIGHT.id(), GLOW.id(), 50));
        assertThat(mixed.lightness())
                .isCloseTo((one.lightness() + other.lightness()) / 2, within(1e-9));
        assertThat(mixed.a()).isCloseTo((one.a() + other.a()) / 2, within(1e-9));
        assertThat(mixed.b()).isCloseTo((one.b() + other.b()) / 2, within(1e-9));
    }

    private static final Color NIGHT_COLOR = new Cmyk(100, 80, 40, 50);
    private static final Color GLOW_COLOR = new Rgb(200, 100, 0);

    @Test
    void a_mix_that_holds_a_spot_keeps_both_inks() {
        Inks mixed = (Inks) resolved(new Definition.Mix(LANTERN.id(), NIGHT.id(), 30));
        assertThat(mixed.spots())
                .singleElement()
                .satisfies(spot -> {
                    assertThat(spot.name()).isEqualTo("Lantern");
                    assertThat(spot.percent()).isCloseTo(30, within(1e-9));
                });
        assertThat(mixed.process().cyan()).isCloseTo(70, within(1e-9));
        assertThat(COATED.totalInk(mixed)).isCloseTo(30 + 0.7 * 270, within(1e-6));
    }

    @Test
    void a_tint_of_a_tint_follows_its_base() {
        Swatch half = swatch("Half", new Definition.Tint(NIGHT.id(), 50));
        assertThat(resolved(new Definition.Tint(half.id(), 50), half))
                .isEqualTo(new Cmyk(25, 20, 10, 12.5));
    }

    @Test
    void a_circle_is_refused_with_the_chain_that_closes() {
        Swatch a = swatch("Dawn", new Definition.Tint(id("Noon"), 50));
        Swatch b = swatch("Noon", new Definition.Mix(id("Dusk"), NIGHT.id(), 50));
        Swatch c = swatch("Dusk", new Definition.Lighter(id("Dawn"), 10));
        assertThatThrownBy(() -> Palette.refuseCycles(List.of(NIGHT, a, b, c)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("“Dawn” from “Noon” from “Dusk” from “Dawn”");
        Palette.refuseCycles(List.of(NIGHT, b, swatch("Dusk", plain(new Gray(10)))));
    }

    @Test
    void a_spot_named_like_a_process_ink_is_refused() {
        for (String name : List.of("Cyan", "BLACK", "All", "none")) {
            assertThatThrownBy(() -> swatch(name, new Definition.SpotInk(new Cmyk(1, 2, 3, 4))))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining(name);
        }
        assertThat(swatch("Cyan", plain(new Cmyk(100, 0, 0, 0))).name()).isEqualTo("Cyan");
    }

    @Test
    void percentages_out_of_range_are_refused() {
        assertThatThrownBy(() -> new Definition.Tint(NIGHT.id(), 101)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Definition.Mix(NIGHT.id(), SAND.id(), -1))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("-1 %");
    }

    @Test
    void a_colour_the_press_cannot_print_is_known_with_the_nearest_one() {
        Printable green = Printable.nearest(new Rgb(0, 255, 0), COATED);
        assertThat(green.faithful()).isFalse();
        assertThat(green.distance()).isGreaterThan(10);
        Printable slate = Printable.nearest(new Rgb(0x50, 0x60, 0x80), COATED);
        assertThat(slate.faithful()).isTrue();
        assertThat(
                        Difference.ciede2000(
                                COATED.lab(slate.ink()), COATED.lab(new Rgb(0x50, 0x60, 0x80))))
                .isCloseTo(slate.distance(), within(1e-9));
    }
}
