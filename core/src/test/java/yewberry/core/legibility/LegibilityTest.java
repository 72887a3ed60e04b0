package yewberry.core.legibility;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.edit.StoryEdit;
import yewberry.core.mends.BandMend;
import yewberry.core.mends.ColorMend;
import yewberry.core.mends.NearestLegible;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.text.Type;

class LegibilityTest {
    private final PressCondition coated = PressCondition.coated();
    private final Legibility aa = new Legibility(coated, Level.AA, Destination.PAPER);

    private static PageScene scene(Layer layer) {
        return new Composer(PressCondition.coated()).compose(Sample.withPage(layer), 0);
    }

    private static List<String> behind(RunContrast contrast) {
        return contrast.against().stream().map(RunContrast.Against::name).sorted().toList();
    }

    @Test
    void text_is_held_against_the_fill_it_stands_on() {
        PageScene scene =
                scene(
                        new Layer(
                                List.of(wholePage("g", NIGHT)),
                                List.of(frame("f", 10, 10, 100, 30, BODY, "Ink on night"))));
        RunContrast contrast = aa.judge(scene).getFirst();
        Rgb ink = coated.toScreen(new Cmyk(100, 86, 42, 100)); // black overprints
        Rgb night = coated.toScreen(Sample.color(NIGHT));
        assertThat(behind(contrast)).containsExactly("“Night”");
        assertThat(contrast.worst().ratio()).isEqualTo(Contrast.ratio(ink, night));
        assertThat(contrast.required()).isEqualTo(4.5);
        assertThat(contrast.passes()).isFalse();
    }

    @Test
    void where_there_is_no_fill_the_stock_counts_as_white() {
        PageScene scene =
                scene(new Layer(List.of(), List.of(frame("f", 10, 10, 100, 30, BODY, "On stock"))));
        RunContrast contrast = aa.judge(scene).getFirst();
        assertThat(behind(contrast)).containsExactly("bare stock");
        assertThat(contrast.worst().color()).isEqualTo(Rgb.WHITE);
        assertThat(contrast.passes()).isTrue();
    }

    @Test
    void a_run_over_several_colours_is_judged_on_each_and_the_worst_counts() {
        PageScene scene =
                scene(
                        new Layer(
                                List.of(wholePage("g", WHITE), band("b", Edge.LEFT, 40, NIGHT)),
                                List.of(
                                        frame(
                                                "f",
                                                20,
                                                10,
                                                100,
                                                30,
                                                BODY,
                                                "These words begin on the night and go on over white"))));
        RunContrast contrast = aa.judge(scene).getFirst();
        assertThat(behind(contrast)).containsExactly("“Night”", "“White”");
        assertThat(contrast.worst().name()).isEqualTo("“Night”");
        assertThat(contrast.passes()).isFalse();
    }

    @Test
    void a_band_that_touches_only_the_white_between_letters_does_not_count() {
        // The band ends at 10 mm; the frame begins there, and no ink reaches above it.
        PageScene scene =
                scene(
                        new Layer(
                                List.of(wholePage("g", WHITE), band("b", Edge.TOP, 10, NIGHT)),
                                List.of(frame("f", 10, 10.1, 100, 30, BODY, "Just below"))));
        assertThat(behind(aa.judge(scene).getFirst())).containsExactly("“White”");
    }

    @Test
    void a_hidden_lower_fill_does_not_count() {
        PageScene scene =
                scene(
                        new Layer(
                                List.of(wholePage("low", NIGHT), wholePage("high", WHITE)),
                                List.of(frame("f", 10, 10, 100, 30, BODY, "On white"))));
        assertThat(behind(aa.judge(scene).getFirst())).containsExactly("“White”");
    }

    @Test
    void text_over_the_text_of_another_frame_is_held_against_it_too() {
        PageScene scene =
                scene(
                        new Layer(
                                List.of(wholePage("g", WHITE)),
                                List.of(
                                        frame("low", 10, 10, 100, 30, HEADING, "MMMM"),
                                        frame("high", 10, 10, 100, 30, HEADING, "MMMM"))));
        RunContrast upper = aa.judge(scene).getLast();
        assertThat(behind(upper)).contains("“Ink”", "“White”");
        assertThat(upper.worst().ratio()).isCloseTo(1, within(1e-9));
    }

    /** WCAG 2.2, "large scale": 18 pt, or 14 pt and bold; bold is weight 700 and up. */
    @ParameterizedTest
    @CsvSource({
        "18, 400, true",
        "17.9, 700, true",
        "17.9, 600, false",
        "14, 700, true",
        "13.9, 700, false",
        "14, 600, false",
        "9, 400, false",
    })
    void text_counts_as_large_by_size_and_weight_and_says_why(
            double size, int weight, boolean large) {
        SizeClass found =
                SizeClass.of(Type.of(Sample.look("L", weight, size, INK), Optional.empty()));
        assertThat(found.large()).isEqualTo(large);
        assertThat(found.reason())
                .startsWith(large ? "large text" : "normal text")
                .contains(size == Math.rint(size) ? "%.0f pt".formatted(size) : size + " pt")
                .contains("weight " + weight);
    }

    @Test
    void eighteen_points_given_in_inches_are_large() {
        Look look =
                new Look(
                        BODY.id(),
                        "L",
                        BODY.family(),
                        400,
                        new Length(0.25, yewberry.core.publication.Unit.IN),
                        BODY.leading().length().orElseThrow(),
                        BODY.before(),
                        BODY.alignment(),
                        BODY.color(),
                        BODY.overprint());
        assertThat(SizeClass.of(Type.of(look, Optional.empty())).large()).isTrue();
    }

    @Test
    void aaa_asks_for_7_and_4_5() {
        assertThat(Level.AA.required(false)).isEqualTo(4.5);
        assertThat(Level.AA.required(true)).isEqualTo(3);
        assertThat(Level.AAA.required(false)).isEqualTo(7);
        assertThat(Level.AAA.required(true)).isEqualTo(4.5);
    }

    private static NearestLegible.Proposal nearest(
            yewberry.core.color.Color old, Rgb behind, double required) {
        return NearestLegible.to(
                        old,
                        List.of(new NearestLegible.Need(behind, required, Medium.SCREEN)),
                        PressCondition.coated())
                .orElseThrow();
    }

    @Test
    void the_nearest_passing_colour_keeps_hue_and_space_and_passes_as_shown() {
        var found = nearest(Sample.color(SIGNAL), Rgb.WHITE, 4.5);
        assertThat(found.color()).isInstanceOf(Rgb.class);
        assertThat(found.lighter()).isFalse();
        assertThat(Contrast.ratio(found.screen(), Rgb.WHITE)).isGreaterThanOrEqualTo(4.5);
        assertThat(found.ratio()).isLessThan(4.8);
        var before = yewberry.core.color.Oklch.of((Rgb) Sample.color(SIGNAL));
        var after = yewberry.core.color.Oklch.of(found.screen());
        assertThat(after.hue()).isCloseTo(before.hue(), within(3.0));
        assertThat(after.chroma()).isCloseTo(before.chroma(), within(0.04));
    }

    @Test
    void a_cmyk_colour_is_mended_in_whole_percent_of_ink() {
        Rgb night = coated.toScreen(Sample.color(NIGHT));
        var found = nearest(Sample.color(INK), night, 4.5);
        assertThat(found.color()).isInstanceOf(yewberry.core.color.Cmyk.class);
        var ink = (yewberry.core.color.Cmyk) found.color();
        assertThat(ink).isEqualTo(ink.rounded());
        assertThat(found.lighter()).isTrue();
        assertThat(coated.toScreen(ink)).isEqualTo(found.screen());
        assertThat(Contrast.ratio(found.screen(), night)).isGreaterThanOrEqualTo(4.5);
    }

    @Test
    void no_colour_passes_on_black_and_white_at_once() {
        assertThat(
                        NearestLegible.to(
                                Sample.color(SIGNAL),
                                List.of(
                                        new NearestLegible.Need(Rgb.WHITE, 7, Medium.SCREEN),
                                        new NearestLegible.Need(Rgb.BLACK, 7, Medium.SCREEN)),
                                coated))
                .isEmpty();
    }

    private static List<ColorMend> mends(Publication publication, String run) {
        PressCondition press = PressCondition.coated();
        return ColorMend.of(
                Sample.id("run " + run),
                publication,
                new Composer(PressCondition.coated()).composeAll(publication),
                new Legibility(press, Level.AA, Destination.PAPER),
                press,
                Sample.id("mended"));
    }

    @Test
    void a_mend_for_the_run_and_one_for_its_look_are_offered_and_both_work() {
        Publication broken =
                Sample.withPage(
                        new Layer(
                                List.of(wholePage("g", NIGHT)),
                                List.of(frame("f", 10, 10, 100, 40, BODY, "One", "Two"))));
        List<ColorMend> mends = mends(broken, "f 0");
        // a swatch that is there comes first, a colour of the same hue after those
        assertThat(mends.getFirst().name()).isEqualTo("White");
        assertThat(mends.getFirst().scope()).isEqualTo(ColorMend.Scope.RUN);
        assertThat(mends)
                .filteredOn(mend -> mend.name().equals("Ink, lighter"))
                .extracting(ColorMend::scope)
                .containsExactly(ColorMend.Scope.RUN, ColorMend.Scope.LOOK);
        assertThat(mends.getLast().name()).isEqualTo("Ink, lighter");
        for (ColorMend mend : mends) {
            Publication mended = Editing.edit(broken, mend.edit()).publication();
            PageScene scene = new Composer(PressCondition.coated()).compose(mended, 0);
            long failing = aa.judge(scene).stream().filter(c -> !c.passes()).count();
            assertThat(failing)
                    .as(mend.name())
                    .isEqualTo(mend.scope() == ColorMend.Scope.RUN ? 1 : 0);
            assertThat(mend.pages()).containsExactly(Sample.page(1));
            mended.swatches().stream()
                    .filter(each -> each.id().equals(Sample.id("mended")))
                    .forEach(fresh ->
                            assertThat(Sample.color(fresh))
                                    .isInstanceOf(yewberry.core.color.Cmyk.class));
        }
    }

    /** Black and white behind one run: no grey passes at AAA, and neither does a swatch. */
    @Test
    void a_swatch_is_offered_only_where_it_passes_on_everything() {
        Publication broken =
                Sample.withPage(
                        new Layer(
                                List.of(
                                        wholePage("g", WHITE),
                                        Sample.band("b", Edge.TOP, 14, NIGHT)),
                                List.of(frame("f", 10, 10, 100, 40, BODY, "One", "Two"))));
        for (ColorMend mend : mends(broken, "f 0")) {
            Publication mended = Editing.edit(broken, mend.edit()).publication();
            PageScene scene = new Composer(PressCondition.coated()).compose(mended, 0);
            assertThat(
                            aa.judge(scene).stream()
                                    .filter(each -> each.run().run().equals(Sample.id("run f 0")))
                                    .allMatch(RunContrast::passes))
                    .as(mend.name())
                    .isTrue();
        }
    }

    /**
     * Two lines from 10 mm down; a band 12 mm deep ends within the first, which no colour survives
     * at AAA.
     */
    @Test
    void a_band_that_ends_within_text_is_made_to_end_elsewhere() {
        Publication broken =
                Sample.withPage(
                        new Layer(
                                List.of(
                                        wholePage("g", WHITE),
                                        Sample.band("b", Edge.TOP, 12, NIGHT)),
                                List.of(frame("f", 10, 10, 100, 40, BODY, "One", "Two"))));
        PressCondition press = PressCondition.coated();
        Legibility aaa = new Legibility(press, Level.AAA, Destination.PAPER);
        Composer composer = new Composer(press);
        List<BandMend> mends =
                BandMend.of(
                        Sample.id("run f 0"), broken, composer, aaa, press, Sample.id("mended"));
        assertThat(mends).hasSize(2);
        assertThat(mends.getFirst().now().depth().millimetres()).isGreaterThan(12);
        assertThat(mends.getFirst().textColor()).isPresent(); // black does not read on the night
        assertThat(mends.getLast().now().depth().millimetres()).isLessThan(10);
        assertThat(mends.getLast().textColor()).isEmpty();
        for (BandMend mend : mends) {
            Publication mended = Editing.edit(broken, mend.edit()).publication();
            PageScene scene = composer.compose(mended, 0);
            assertThat(aaa.judge(scene)).as(mend.toString()).allMatch(RunContrast::passes);
            double least =
                    aaa.judge(scene).stream()
                            .filter(each -> each.run().run().equals(Sample.id("run f 0")))
                            .mapToDouble(each -> each.worst().ratio())
                            .min()
                            .orElseThrow();
            assertThat(mend.ratio()).isCloseTo(least, within(1e-9));
        }
    }

    @Test
    void a_band_is_not_moved_where_other_text_would_fail_for_it() {
        Publication broken =
                Sample.withPage(
                        new Layer(
                                List.of(
                                        wholePage("g", WHITE),
                                        Sample.band("b", Edge.TOP, 12, NIGHT)),
                                List.of(
                                        frame("f", 10, 10, 50, 10, BODY, "One"),
                                        frame("g", 80, 13, 50, 10, BODY, "Two"))));
        PressCondition press = PressCondition.coated();
        List<BandMend> mends =
                BandMend.of(
                        Sample.id("run f 0"),
                        broken,
                        new Composer(press),
                        new Legibility(press, Level.AAA, Destination.PAPER),
                        press,
                        Sample.id("mended"));
        // deeper, it would lie behind the second frame
        assertThat(mends)
                .singleElement()
                .satisfies(mend -> assertThat(mend.now().depth().millimetres()).isLessThan(10));
    }

    @Test
    void a_run_with_a_colour_of_its_own_is_mended_alone() {
        Publication broken =
                Editing.edit(
                                Sample.withPage(
                                        new Layer(
                                                List.of(wholePage("g", WHITE)),
                                                List.of(frame("f", 10, 10, 100, 40, BODY, "One")))),
                                new StoryEdit.ColorRun(
                                        Sample.id("run f 0"),
                                        Optional.of(Tinted.full(SIGNAL.id()))))
                        .publication();
        assertThat(mends(broken, "f 0"))
                .isNotEmpty()
                .extracting(ColorMend::scope)
                .containsOnly(ColorMend.Scope.RUN);
    }
}
