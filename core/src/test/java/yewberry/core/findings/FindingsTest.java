package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.LookEdit;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Press;
import yewberry.core.publication.PressChecks;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextChecks;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

class FindingsTest {
    private static List<Finding> of(Layer layer, Press press) {
        return of(new Composer(PressCondition.coated()).compose(Sample.withPage(layer), 0), press);
    }

    private static List<Finding> of(PageScene scene, Press press) {
        return Findings.of(
                scene,
                new Legibility(PressCondition.coated(), Level.AA, Destination.PAPER),
                Sample.a5().withPress(press),
                PressCondition.coated());
    }

    private static List<Finding> of(Layer layer) {
        return of(layer, Press.USUAL);
    }

    private static Press on(Lab stock, boolean real) {
        return new Press("coated", Optional.of(stock), real);
    }

    @Test
    void a_coloured_stock_without_a_background_is_found_until_it_is_answered() {
        Lab pink = new Lab(88, 12, 4);
        assertThat(of(Layer.EMPTY, on(pink, false)))
                .singleElement()
                .isInstanceOf(Finding.StockNotPrinted.class);
        assertThat(of(Layer.EMPTY, on(pink, true))).isEmpty();
        assertThat(of(Layer.EMPTY, on(new Lab(80, 0, 0), false))).hasSize(1);
        assertThat(of(Layer.EMPTY, on(new Lab(93, 0, 6), false))).isEmpty();
        assertThat(of(new Layer(List.of(wholePage("g", NIGHT)), List.of()), on(pink, false)))
                .isEmpty();
    }

    @Test
    void illegible_text_is_found_with_its_reason() {
        List<Finding> findings =
                of(
                        new Layer(
                                List.of(wholePage("g", NIGHT)),
                                List.of(frame("f", 10, 10, 100, 20, BODY, "Dark"))));
        assertThat(findings).singleElement().isInstanceOf(Finding.TooLittleContrast.class);
        assertThat(findings.getFirst().message())
                .contains("“Ink” on “Night”")
                .contains("needs 4.5 : 1")
                .contains("normal text: 10 pt in weight 400 is under 14 pt");
        assertThat(findings.getFirst().text()).isEqualTo("Dark");
        assertThat(findings.getFirst().origin().inWords()).isEqualTo("this page");
    }

    @Test
    void text_that_does_not_fit_is_found_with_how_much() {
        List<Finding> findings =
                of(new Layer(List.of(), List.of(frame("f", 10, 10, 15, 6, BODY, "Far too long"))));
        assertThat(findings).singleElement().isInstanceOf(Finding.TextOverflow.class);
        String lost = findings.getFirst().text();
        assertThat("Far too long").endsWith(lost);
        assertThat(findings.getFirst().message()).startsWith(lost.length() + " characters");
    }

    @Test
    void characters_that_the_font_lacks_are_found() {
        List<Finding> findings =
                of(new Layer(List.of(), List.of(frame("f", 10, 10, 80, 20, BODY, "夜 and day"))));
        assertThat(findings).singleElement().isInstanceOf(Finding.MissingCharacters.class);
        assertThat(findings.getFirst().message()).contains("Source Serif 4").contains("夜");
    }

    /** Fraunces has no Greek; Source Serif 4 has. */
    @Test
    void characters_that_another_font_has_are_set_in_that_and_found() {
        Look fraunces =
                new Look(
                        BODY.id(),
                        "Body",
                        "Fraunces",
                        400,
                        Length.pt(10),
                        Length.pt(14),
                        Length.ZERO,
                        Look.Alignment.LEFT,
                        BODY.color(),
                        Look.Overprint.BLACK);
        Publication publication =
                Sample.withPage(
                                new Layer(
                                        List.of(),
                                        List.of(
                                                frame(
                                                        "f",
                                                        10,
                                                        10,
                                                        80,
                                                        20,
                                                        BODY,
                                                        "The star ωπ Peg"))))
                        .withLooks(List.of(fraunces, HEADING));
        PageScene scene = new Composer(PressCondition.coated()).compose(publication, 0);
        assertThat(scene.text())
                .extracting(run -> run.text() + "|" + run.face().family())
                .containsExactly("The star |Fraunces", "ωπ|Source Serif 4", " Peg|Fraunces");
        assertThat(scene.text()).allSatisfy(run -> assertThat(run.missing()).isEmpty());
        Item.GlyphRun greek = scene.text().get(1);
        Item.GlyphRun after = scene.text().get(2);
        assertThat(after.bounds().x()).isCloseTo(greek.bounds().right(), within(1e-6));
        List<Finding> findings = of(scene, Press.USUAL);
        assertThat(findings).singleElement().isInstanceOf(Finding.OtherFont.class);
        assertThat(findings.getFirst().message())
                .contains("Fraunces", "“ωπ”", "Source Serif 4 stands in");
    }

    @Test
    void legible_text_that_fits_gives_no_finding() {
        assertThat(of(new Layer(List.of(), List.of(frame("f", 10, 10, 80, 20, BODY, "Fine")))))
                .isEmpty();
    }

    private static PageScene scene(Look look, List<Background> backgrounds, String... text) {
        Publication publication =
                Sample.withPage(
                        new Layer(backgrounds, List.of(frame("f", 10, 10, 100, 40, look, text))));
        return new Composer(PressCondition.coated())
                .compose(publication.withLooks(List.of(look)), 0);
    }

    private static List<PressFinding> press(PageScene scene, Setup setup) {
        return Findings.of(
                        scene,
                        new Legibility(PressCondition.coated(), Level.AA, Destination.PAPER),
                        setup,
                        PressCondition.coated())
                .stream()
                .filter(PressFinding.class::isInstance)
                .map(PressFinding.class::cast)
                .toList();
    }

    private static Look small(Swatch swatch) {
        return BODY.withSize(Length.pt(8)).withColor(Tinted.full(swatch.id()));
    }

    @Test
    void small_type_in_several_inks_is_found_until_the_bounds_are_moved() {
        PageScene scene = scene(small(NIGHT), List.of(), "Small");
        assertThat(press(scene, Sample.a5()))
                .singleElement()
                .isInstanceOfSatisfying(
                        PressFinding.SmallTypeInInks.class,
                        found ->
                                assertThat(found.inks())
                                        .containsExactly("Black", "Cyan", "Magenta", "Yellow"));
        assertThat(press(scene(small(INK), List.of(), "Small"), Sample.a5())).isEmpty();
        PressChecks sizes = new PressChecks(Length.pt(8), 1, 3, 50);
        assertThat(press(scene, Sample.a5().withChecks(sizes))).isEmpty();
        PressChecks inks = new PressChecks(Length.pt(9), 4, 3, 50);
        assertThat(press(scene, Sample.a5().withChecks(inks))).isEmpty();
    }

    @Test
    void a_paragraph_that_is_small_by_itself_is_offered_a_size_by_itself() {
        Look night = BODY.withColor(Tinted.full(NIGHT.id()));
        Publication usual =
                Editing.edit(
                                Sample.withPage(
                                        new Layer(
                                                List.of(),
                                                List.of(
                                                        Sample.frame(
                                                                "f", 20, 20, 100, 40, BODY, "Small",
                                                                "Usual")))),
                                new LookEdit.ChangeLook(night))
                        .publication();
        Story story = usual.stories().getFirst();
        Paragraph small =
                story.paragraphs()
                        .getFirst()
                        .withLocal(Optional.of(LocalSetting.NONE.withSize(Length.pt(7))));
        Publication before =
                usual.withStories(
                        List.of(
                                story.withParagraphs(
                                        story.paragraphs()
                                                .mapped(each ->
                                                        each.id().equals(small.id())
                                                                ? small
                                                                : each))));
        Composer composer = new Composer(PressCondition.coated());
        List<PressFinding> found = press(composer.compose(before, 0), before.setup());
        assertThat(found).singleElement().isInstanceOf(PressFinding.SmallTypeInInks.class);
        Offer offer =
                Offer.of(found.getFirst(), before, PressCondition.coated()).stream()
                        .findFirst()
                        .orElseThrow();
        assertThat(offer.label()).isEqualTo("Set this paragraph in 9 pt");
        Publication after = Editing.edit(before, offer.edit()).publication();
        assertThat(press(composer.compose(after, 0), after.setup())).isEmpty();
        assertThat(after.looks()).isEqualTo(before.looks());
    }

    @Test
    void small_type_reversed_out_of_three_inks_or_more_is_found() {
        PageScene scene = scene(small(WHITE), List.of(wholePage("g", NIGHT)), "Small");
        assertThat(press(scene, Sample.a5()))
                .singleElement()
                .isInstanceOf(PressFinding.SmallTypeReversed.class);
        assertThat(
                        press(
                                scene(small(WHITE), List.of(band("b", Edge.TOP, 50, INK)), "x"),
                                twoInks()))
                .isEmpty();
        assertThat(press(scene(small(INK), List.of(wholePage("g", NIGHT)), "x"), Sample.a5()))
                .as("dark type that overprints")
                .isEmpty();
    }

    private static Setup twoInks() {
        return Sample.a5().withChecks(new PressChecks(Length.pt(9), 1, 2, 1000));
    }

    /** Two long words in a narrow column: their one space takes all that is left. */
    @Test
    void a_justified_line_that_is_loose_is_told_with_how_loose_and_set_ragged() {
        Look justified = BODY.withAlignment(Look.Alignment.JUSTIFIED);
        Layer layer =
                new Layer(
                        List.of(),
                        List.of(
                                Sample.frame(
                                        "f",
                                        20,
                                        20,
                                        48,
                                        60,
                                        BODY,
                                        "Observations of extraordinarily distant constellations")));
        Publication publication =
                Editing.edit(Sample.withPage(layer), new LookEdit.ChangeLook(justified))
                        .publication();
        Composer composer = new Composer(PressCondition.coated());
        List<LooseLine> loose = loose(composer.compose(publication, 0));
        assertThat(loose)
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.percent()).isGreaterThan(155);
                    assertThat(finding.text()).contains(" ");
                    assertThat(finding.message())
                            .contains(Math.round(finding.percent()) + " %")
                            .contains("150 %");
                });
        Offer offer = Offer.of(loose.getFirst(), publication, PressCondition.coated()).getFirst();
        Publication mended = Editing.edit(publication, offer.edit()).publication();
        assertThat(loose(composer.compose(mended, 0))).isEmpty();
    }

    private static List<LooseLine> loose(PageScene scene) {
        return Findings.of(
                        scene,
                        new Legibility(PressCondition.coated(), Level.AA, Destination.PAPER),
                        Sample.a5(),
                        PressCondition.coated())
                .stream()
                .filter(LooseLine.class::isInstance)
                .map(LooseLine.class::cast)
                .toList();
    }

    @Test
    void a_large_area_of_plain_black_is_found_with_a_richer_one_offered() {
        Publication publication =
                Sample.withPage(new Layer(List.of(wholePage("g", INK)), List.of()));
        PageScene scene = new Composer(PressCondition.coated()).compose(publication, 0);
        List<PressFinding> found = press(scene, Sample.a5());
        assertThat(found).singleElement().isInstanceOf(PressFinding.PlainBlackArea.class);
        Offer offer = Offer.of(found.getFirst(), publication, PressCondition.coated()).getFirst();
        Publication mended = Editing.edit(publication, offer.edit()).publication();
        PageScene after = new Composer(PressCondition.coated()).compose(mended, 0);
        assertThat(after.items().getFirst().paints().getFirst().color())
                .isEqualTo(new Cmyk(60, 40, 40, 100));
        assertThat(press(after, Sample.a5())).isEmpty();
    }

    @Test
    void a_band_of_less_than_fifty_square_centimetres_may_be_plain_black() {
        // 151 mm with the bleed at the outside, times 30 mm and 3 mm of bleed: 49.83 square cm
        PageScene small = scene(BODY, List.of(band("b", Edge.BOTTOM, 30, INK)));
        assertThat(press(small, Sample.a5())).isEmpty();
        PageScene large = scene(BODY, List.of(band("b", Edge.BOTTOM, 31, INK)));
        assertThat(press(large, Sample.a5())).hasSize(1);
    }

    @Test
    void too_much_ink_is_found_and_mended_within_the_limit() {
        Publication heavy =
                Sample.withColor(
                        Sample.withPage(new Layer(List.of(wholePage("g", NIGHT)), List.of())),
                        NIGHT,
                        new Cmyk(100, 90, 80, 95));
        PageScene scene = new Composer(PressCondition.coated()).compose(heavy, 0);
        List<PressFinding> found = press(scene, Sample.a5());
        assertThat(found).singleElement().isInstanceOf(PressFinding.TooMuchInk.class);
        assertThat(found.getFirst().message()).contains("365 %").contains("330 %");
        Offer offer = Offer.of(found.getFirst(), heavy, PressCondition.coated()).getFirst();
        Publication mended = Editing.edit(heavy, offer.edit()).publication();
        assertThat(press(new Composer(PressCondition.coated()).compose(mended, 0), Sample.a5()))
                .isEmpty();
    }

    @Test
    void black_text_that_overprints_a_heavy_ground_is_found_where_the_sum_is_over_the_limit() {
        Publication heavy =
                Sample.withColor(
                        Sample.withPage(
                                new Layer(
                                        List.of(wholePage("g", NIGHT)),
                                        List.of(frame("f", 10, 10, 99, 20, BODY, "Dark")))),
                        NIGHT,
                        new Cmyk(100, 90, 80, 0));
        PageScene scene = new Composer(PressCondition.coated()).compose(heavy, 0);
        List<PressFinding> found = press(scene, Sample.a5());
        assertThat(found).singleElement().isInstanceOf(PressFinding.TooMuchInk.class);
        assertThat(found.getFirst().message()).contains("“Ink” over “Night”").contains("370 %");
        Offer offer = Offer.of(found.getFirst(), heavy, PressCondition.coated()).getFirst();
        Publication mended = Editing.edit(heavy, offer.edit()).publication();
        assertThat(press(new Composer(PressCondition.coated()).compose(mended, 0), Sample.a5()))
                .isEmpty();
    }

    @Test
    void light_text_that_is_set_to_overprint_is_found_and_knocks_out() {
        Look light = BODY.withOverprint(Look.Overprint.ALWAYS).withColor(Tinted.full(WHITE.id()));
        PageScene scene = scene(light, List.of(wholePage("g", NIGHT)), "Light");
        assertThat(press(scene, Sample.a5()))
                .singleElement()
                .isInstanceOf(PressFinding.LightOverprint.class);
    }

    @Test
    void every_finding_says_its_rule() {
        PageScene scene = scene(small(WHITE), List.of(wholePage("g", NIGHT)), "Small");
        assertThat(press(scene, Sample.a5()).getFirst().rule())
                .isEqualTo(
                        "Type under 9 pt not reversed out of 3 inks or more: common practice; the bounds are in the setup.");
    }

    private static Background tile(double right, double bottom, Edge... bleeds) {
        return new Background(
                Sample.id("tile"),
                Sides.BOTH,
                new Area.Rectangle(
                        new Anchor(Anchor.Across.OUTSIDE, Anchor.Down.BOTTOM),
                        Length.mm(right),
                        Length.mm(bottom),
                        Length.mm(40),
                        Length.mm(40),
                        Set.of(bleeds)),
                new Fill.Solid(Tinted.full(NIGHT.id())));
    }

    private static List<PressFinding> edges(Publication publication) {
        return press(new Composer(PressCondition.coated()).compose(publication, 0), Sample.a5())
                .stream()
                .filter(PressFinding.EndsAtTrim.class::isInstance)
                .toList();
    }

    private static Publication with(Background background) {
        return Sample.withPage(new Layer(List.of(background), List.of()));
    }

    @Test
    void what_ends_at_the_trim_is_found_and_its_mend_lets_it_bleed_off() {
        // page 1 is a right-hand page: outside is right
        for (double right : new double[] {-2, -0.4, 0, 0.3}) {
            Publication publication = with(tile(right, 20));
            List<PressFinding> found = edges(publication);
            assertThat(found).as("%s mm", right).hasSize(1);
            Offer offer =
                    Offer.of(found.getFirst(), publication, PressCondition.coated()).getFirst();
            assertThat(offer.label()).isEqualTo("Let it bleed off at the outside");
            assertThat(edges(Editing.edit(publication, offer.edit()).publication())).isEmpty();
        }
        assertThat(edges(with(tile(0, 0)))).hasSize(2);
        assertThat(edges(with(tile(-3, 20)))).as("reaches the bleed").isEmpty();
        assertThat(edges(with(tile(4, 20)))).as("clearly inside").isEmpty();
        assertThat(edges(with(tile(0, 0, Edge.OUTSIDE, Edge.BOTTOM)))).isEmpty();
    }

    @Test
    void text_outside_the_safe_area_is_found() {
        Publication publication =
                Sample.withPage(
                        new Layer(
                                List.of(),
                                List.of(frame("edge", 1, 30, 60, 20, BODY, "Near the edge"))));
        PageScene scene = new Composer(PressCondition.coated()).compose(publication, 0);
        assertThat(press(scene, Sample.a5()))
                .singleElement()
                .isInstanceOf(PressFinding.TextNearTrim.class);
        Offer offer =
                Offer.of(press(scene, Sample.a5()).getFirst(), publication, PressCondition.coated())
                        .getFirst();
        Publication mended = Editing.edit(publication, offer.edit()).publication();
        assertThat(press(new Composer(PressCondition.coated()).compose(mended, 0), Sample.a5()))
                .isEmpty();
        assertThat(
                        mended.pages()
                                .getFirst()
                                .layer()
                                .textFrames()
                                .getFirst()
                                .box()
                                .x()
                                .millimetres())
                .as("no farther than it takes")
                .isBetween(2.9, 3.1);
    }

    /** On a left page what lies on both hands of a parent stands mirrored, and moves so. */
    @Test
    void text_of_a_parent_moves_inwards_on_a_left_page_too() {
        Layer layer = new Layer(List.of(), List.of(frame("edge", 87, 30, 60, 20, BODY, "Near")));
        Publication sample = Sample.publication();
        Publication near =
                Sample.withText(
                        sample.withParents(List.of(sample.parents().getFirst().withLayer(layer))));
        Finding finding = onLeft(near).getFirst();
        assertThat(finding).isInstanceOf(PressFinding.TextNearTrim.class);
        Edit mend = Offer.of(finding, near, PressCondition.coated()).getFirst().edit();
        assertThat(onLeft(Editing.edit(near, mend).publication())).isEmpty();
    }

    private static List<PressFinding> onLeft(Publication publication) {
        return press(new Composer(PressCondition.coated()).compose(publication, 1), Sample.a5());
    }

    @Test
    void a_band_that_ends_a_hair_from_the_trim_becomes_the_whole_page() {
        Publication publication =
                with(
                        new Background(
                                Sample.id("tall"),
                                Sides.BOTH,
                                new Area.Band(Edge.TOP, Length.mm(209.8)),
                                new Fill.Solid(Tinted.full(NIGHT.id()))));
        List<PressFinding> found = edges(publication);
        assertThat(found).hasSize(1);
        Offer offer = Offer.of(found.getFirst(), publication, PressCondition.coated()).getFirst();
        assertThat(edges(Editing.edit(publication, offer.edit()).publication())).isEmpty();
    }

    @Test
    void a_background_that_is_not_printed_is_found_and_so_is_text_that_needs_it() {
        Background screenOnly =
                wholePage("g", NIGHT).withGoesTo(new Background.GoesTo(true, false));
        Look white = BODY.withColor(Tinted.full(WHITE.id()));
        PageScene scene = scene(white, List.of(screenOnly), "White on night");
        assertThat(all(scene, Destination.PAPER))
                .extracting(Object::getClass)
                .asInstanceOf(InstanceOfAssertFactories.list(Class.class))
                .containsExactly(
                        Finding.TooLittleContrast.class, PressFinding.BackgroundLeftOut.class);
        PageScene dark = scene(BODY, List.of(screenOnly), "Black on night");
        assertThat(all(dark, Destination.PAPER)).hasSize(1);
    }

    private static List<Finding> all(PageScene scene, Destination destination) {
        return Findings.of(
                scene,
                new Legibility(PressCondition.coated(), Level.AA, destination),
                Sample.a5().withDestination(destination),
                PressCondition.coated());
    }

    @Test
    void where_a_publication_goes_to_both_the_worse_counts_and_says_so() {
        Background screenOnly =
                wholePage("g", NIGHT).withGoesTo(new Background.GoesTo(true, false));
        PageScene dark = scene(BODY, List.of(screenOnly), "Black on night");
        assertThat(all(dark, Destination.BOTH))
                .first()
                .extracting(Finding::message)
                .asString()
                .startsWith("On the screen, “Ink” on “Night”");
        Look white = BODY.withColor(Tinted.full(WHITE.id()));
        assertThat(all(scene(white, List.of(screenOnly), "White"), Destination.BOTH))
                .first()
                .extracting(Finding::message)
                .asString()
                .startsWith("On paper, “White” on bare stock");
    }

    @Test
    void a_publication_for_the_screen_is_not_held_to_what_a_press_can_do() {
        Background paperOnly = wholePage("g", NIGHT).withGoesTo(new Background.GoesTo(false, true));
        PageScene scene = scene(BODY, List.of(paperOnly), "Black");
        assertThat(all(scene, Destination.SCREEN))
                .singleElement()
                .isInstanceOf(PressFinding.BackgroundLeftOut.class)
                .extracting(Finding::message)
                .asString()
                .contains("paper only");
    }

    @Test
    void a_rule_of_ones_own_is_told_apart_from_wcags() {
        var layer =
                new Layer(
                        List.of(wholePage("g", NIGHT)),
                        List.of(frame("f", 10, 10, 100, 30, BODY, "Ink")));
        PageScene scene = new Composer(PressCondition.coated()).compose(Sample.withPage(layer), 0);
        Setup own = Sample.a5().withTextChecks(new TextChecks(9, 3, 5));
        for (Setup setup : List.of(Sample.a5(), own)) {
            Finding found =
                    Findings.of(
                                    scene,
                                    new Legibility(
                                            PressCondition.coated(),
                                            Demand.of(setup),
                                            Destination.PAPER),
                                    setup,
                                    PressCondition.coated())
                            .getFirst();
            assertThat(found.rule())
                    .startsWith(
                            setup == own
                                    ? "This publication's own rule: 9 : 1"
                                    : "WCAG 2.2, contrast: 4.5 : 1");
        }
    }
}
