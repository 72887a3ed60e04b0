package yewberry.core.legibility;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.mends.SwatchMend;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

class SwatchMendTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static Publication with(Swatch swatch) {
        Publication sample = Sample.publication();
        return sample.withSwatches(
                Stream.concat(sample.swatches().stream(), Stream.of(swatch)).toList());
    }

    private static Swatch swatch(Definition definition) {
        return new Swatch(id("derived"), "Derived", definition);
    }

    private static List<SwatchMend> mends(Publication in, Tinted use) {
        return SwatchMend.of(use, Rgb.WHITE, 4.5, Medium.PAPER, in, COATED);
    }

    /** What the mended publication shows, worked out anew. */
    private static double ratio(Publication in, SwatchMend mend, Tinted use) {
        Publication after =
                Editing.edit(in, new SwatchEdit.ChangeSwatch(mend.swatch().id(), mend.definition()))
                        .publication();
        Palette palette = new Palette(after::swatch, COATED);
        return Contrast.ratio(
                COATED.toScreen(Palette.tint(palette.color(use.swatch()), use.tint())), Rgb.WHITE);
    }

    private static void passes(Publication in, Tinted use) {
        assertThat(mends(in, use))
                .isNotEmpty()
                .allSatisfy(mend -> {
                    assertThat(mend.ratio()).isGreaterThanOrEqualTo(4.5);
                    assertThat(ratio(in, mend, use)).isEqualTo(mend.ratio());
                });
    }

    @Test
    void a_tint_can_take_more_of_its_base() {
        Swatch pale = swatch(new Definition.Tint(NIGHT.id(), 20));
        Publication publication = with(pale);
        Tinted use = Tinted.full(pale.id());
        passes(publication, use);
        SwatchMend more = mends(publication, use).getFirst();
        assertThat(more.swatch()).isEqualTo(pale);
        double percent = more.definition().share().orElseThrow();
        assertThat(percent).isBetween(40.0, 80.0);
        SwatchMend less =
                new SwatchMend(
                        pale,
                        pale.definition().withPercent(percent - 1),
                        more.screen(),
                        more.ratio(),
                        more.required(),
                        List.of(),
                        Optional.empty());
        assertThat(ratio(publication, less, use)).as("it is the nearest").isLessThan(4.5);
    }

    @Test
    void a_base_can_change_so_that_what_derives_from_it_passes() {
        Swatch base = new Swatch(id("base"), "Base", new Cmyk(40, 30, 10, 10));
        Swatch tint = swatch(new Definition.Tint(base.id(), 90));
        Publication publication = with(base);
        publication =
                publication.withSwatches(
                        Stream.concat(publication.swatches().stream(), Stream.of(tint)).toList());
        Tinted use = Tinted.full(tint.id());
        passes(publication, use);
        assertThat(mends(publication, use)).extracting(SwatchMend::swatch).contains(base);
    }

    @Test
    void a_tint_of_the_use_counts() {
        Swatch grey = new Swatch(id("grey"), "Grey", new Cmyk(0, 0, 0, 70));
        Publication publication = with(grey);
        Tinted use = new Tinted(grey.id(), 85);
        passes(publication, use);
        Cmyk darker =
                (Cmyk) ((Definition.Plain) mends(publication, use).getFirst().definition()).color();
        assertThat(darker).as("one ink stays one ink").isEqualTo(new Cmyk(0, 0, 0, darker.black()));
    }

    @Test
    void a_mix_offers_its_share_and_both_its_ends() {
        Swatch mix = swatch(new Definition.Mix(INK.id(), WHITE.id(), 30));
        Publication publication = with(mix);
        Tinted use = Tinted.full(mix.id());
        passes(publication, use);
        assertThat(mends(publication, use))
                .extracting(mend -> mend.swatch().name())
                .startsWith("Derived")
                .isSubsetOf("Derived", "Ink", "White");
    }

    @Test
    void an_ink_in_a_can_is_left_as_it_is() {
        Swatch spot = swatch(new Definition.SpotInk(new Cmyk(0, 30, 60, 0)));
        assertThat(mends(with(spot), Tinted.full(spot.id()))).isEmpty();
    }

    /** A grey too pale on white; the same grey behind black text, which a darker one would hide. */
    @Test
    void what_else_would_fail_for_it_and_the_pages_are_known_where_it_was_tried() {
        Swatch grey = new Swatch(id("grey"), "Grey", new Cmyk(0, 0, 0, 50));
        Look pale = Sample.look("Pale", 400, 10, grey);
        Look black = Sample.look("Black", 400, 10, INK);
        Publication page =
                Sample.withPage(
                        new Layer(
                                List.of(band("b", Edge.TOP, 60, grey)),
                                List.of(
                                        frame("p", 10, 100, 100, 40, pale, "Pale words"),
                                        frame("o", 10, 10, 100, 40, black, "On grey"))));
        Publication in =
                page.withSwatches(Stream.concat(page.swatches().stream(), Stream.of(grey)).toList())
                        .withLooks(
                                Stream.concat(page.looks().stream(), Stream.of(pale, black))
                                        .toList());
        Composer composer = new Composer(COATED);
        Legibility check = new Legibility(COATED, Level.AA, Destination.PAPER);
        SwatchMend mend =
                SwatchMend.of(Tinted.full(grey.id()), Rgb.WHITE, 4.5, Medium.PAPER, in, COATED)
                        .getFirst();
        SwatchMend tried = mend.on(in, composer, check, true);
        UUID first = in.pages().getFirst().id();
        assertThat(tried.isTried()).isTrue();
        assertThat(tried.pages()).containsExactly(first);
        assertThat(tried.worse()).containsExactly("On grey");
        assertThat(tried.overset()).isFalse();
        Publication after = Editing.edit(in, tried.edit()).publication();
        assertThat(check.judge(composer.compose(after, 0)))
                .filteredOn(each -> !each.passes())
                .extracting(each -> each.run().text())
                .containsExactly("On grey");
        SwatchMend untried = mend.on(in, composer, check, false);
        assertThat(untried.isTried()).isFalse();
        assertThat(untried.pages()).containsExactly(first);
        assertThat(untried.worse()).isEmpty();
    }
}
