package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Viewing;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.ColorChoice;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/** Text that chooses its colour by what lies behind it. */
class LegibleColorsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final String WORDS =
            "Reeds and mud, stars and wind over the marsh, and the lamp of the pilot boat far out.";

    private static Swatch reading(List<Viewing> viewings, Swatch... of) {
        return new Swatch(
                Sample.id("reading"),
                "Reading",
                new Definition.Legible(Stream.of(of).map(Swatch::id).toList(), viewings));
    }

    /** A page with text of 60 mm across from 20 mm on. */
    private static Publication page(List<Background> backgrounds, Swatch reading, Swatch... more) {
        return page(backgrounds, reading, Optional.empty(), more);
    }

    private static Publication page(
            List<Background> backgrounds, Swatch reading, Optional<Panel> panel, Swatch... more) {
        Look look =
                Sample.look("Chosen", 400, 10, Sample.INK)
                        .withColor(Tinted.full(reading.id()))
                        .withOverprint(Look.Overprint.NEVER)
                        .withPanel(panel);
        TextFrame frame = Sample.frame("f", 20, 40, 60, 60, look, WORDS);
        Publication page = Sample.withPage(new Layer(backgrounds, List.of(frame)));
        return page.withSwatches(
                        Stream.of(page.swatches().stream(), Stream.of(more), Stream.of(reading))
                                .flatMap(each -> each)
                                .toList())
                .withLooks(Stream.concat(page.looks().stream(), Stream.of(look)).toList());
    }

    private static PageScene scene(Publication of) {
        return new Composer(COATED).compose(of, 0);
    }

    private static List<String> colors(PageScene scene) {
        return scene.text().stream().map(run -> run.paint().name()).toList();
    }

    private static Swatch grey(double black) {
        return new Swatch(Sample.id("grey " + black), "Grey " + black, new Cmyk(0, 0, 0, black));
    }

    @Test
    void it_takes_the_first_that_is_legible() {
        Swatch reading = reading(List.of(), Sample.NIGHT, Sample.INK, Sample.WHITE);
        assertThat(colors(scene(page(List.of(), reading)))).containsExactly("Night");
        List<Background> dark = List.of(Sample.wholePage("dark", Sample.NIGHT));
        PageScene scene = scene(page(dark, reading));
        assertThat(colors(scene)).containsExactly("White");
        ColorChoice choice = scene.text().getFirst().choice().orElseThrow();
        assertThat(choice.legible()).isTrue();
        assertThat(choice.extent()).isEqualTo(ColorChoice.Extent.ALL);
        assertThat(choice.inWords()).contains("“Reading”").contains("first of 3");
    }

    @Test
    void it_goes_by_a_shading_behind_it() {
        Swatch reading = reading(List.of(), Sample.INK, Sample.WHITE);
        Panel dark =
                Panel.shaded(Tinted.full(Sample.NIGHT.id()), Panel.Reach.MEASURE, Padding.NONE);
        assertThat(colors(scene(page(List.of(), reading, Optional.of(dark)))))
                .containsExactly("White");
    }

    /** All lines but the first lie on the dark. */
    @Test
    void where_none_is_legible_throughout_it_changes_between_lines() {
        Swatch reading = reading(List.of(), Sample.INK, Sample.WHITE);
        List<Background> band = List.of(Sample.band("low", Edge.BOTTOM, 164.6, Sample.NIGHT));
        PageScene scene = scene(page(band, reading));
        assertThat(colors(scene)).contains("Ink", "White");
        assertThat(scene.text().getLast().paint().name()).isEqualTo("White");
        assertThat(text(scene)).isEqualTo(text(scene(page(List.of(), reading))));
        assertThat(findings(scene)).isEmpty();
    }

    /** An upright edge goes through all lines; only a word that it cuts may fail. */
    @Test
    void where_no_line_is_it_changes_between_words_and_never_within_one() {
        Swatch reading = reading(List.of(), Sample.INK, Sample.WHITE);
        List<Background> band = List.of(Sample.band("right", Edge.RIGHT, 105, Sample.NIGHT));
        PageScene scene = scene(page(band, reading));
        List<String> words = List.of(WORDS.split(" "));
        for (Item.GlyphRun run : scene.text()) {
            for (Item.Line line : run.lines()) {
                assertThat(words).containsAll(List.of(line.text().strip().split(" ")));
            }
        }
        assertThat(text(scene)).isEqualTo(WORDS);
        assertThat(colors(scene)).contains("Ink", "White");
        double edge = scene.boxes().trim().width() - 105 * 72 / 25.4;
        for (Item.GlyphRun run : scene.text()) {
            for (Item.Line line : run.lines()) {
                if (line.x() + line.width() < edge) {
                    assertThat(run.paint().name()).isEqualTo("Ink");
                } else if (line.x() > edge + 1) {
                    assertThat(run.paint().name()).isEqualTo("White");
                }
            }
        }
    }

    private static String text(PageScene scene) {
        return scene.text().stream()
                .map(Item.GlyphRun::text)
                .map(String::strip)
                .collect(Collectors.joining(" "));
    }

    private static List<Finding> findings(PageScene scene) {
        return Findings.of(
                        scene,
                        new Legibility(COATED, Level.AA, Destination.PAPER),
                        Sample.a5(),
                        COATED)
                .stream()
                .filter(Finding.TooLittleContrast.class::isInstance)
                .toList();
    }

    @Test
    void where_none_of_the_list_is_it_takes_the_best_and_a_finding_says_so() {
        Swatch middle = grey(55);
        Swatch reading = reading(List.of(), grey(40), grey(20), grey(70));
        List<Background> ground = List.of(Sample.wholePage("middle", middle));
        PageScene scene = scene(page(ground, reading, middle, grey(40), grey(20), grey(70)));
        assertThat(colors(scene)).containsOnly("Grey 20.0");
        assertThat(scene.text().getFirst().choice().orElseThrow().legible()).isFalse();
        assertThat(findings(scene))
                .isNotEmpty()
                .allSatisfy(finding ->
                        assertThat(finding.message())
                                .contains("None of the swatches of “Reading”"));
    }

    @Test
    void a_viewing_that_is_asked_for_counts_as_well() {
        Swatch ground = new Swatch(Sample.id("g"), "Ground", new Cmyk(0, 82, 70, 0));
        List<Background> red = List.of(Sample.wholePage("red", ground));
        Swatch plain = reading(List.of(), Sample.INK, Sample.WHITE);
        Swatch protan = reading(List.of(Viewing.PROTAN), Sample.INK, Sample.WHITE);
        String one = colors(scene(page(red, plain, ground))).getFirst();
        String other = colors(scene(page(red, protan, ground))).getFirst();
        // red is darker with protan vision, so that black, which was enough, is not any more
        assertThat(List.of(one, other)).containsExactly("Ink", "White");
    }

    /**
     * Over grounds of any darkness and lists of any order: never a later swatch where an earlier
     * one passes, never one that fails where one passes. The ratio is worked out anew from WCAG's
     * own formula.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void it_never_takes_a_later_one_and_never_fails_in_vain(long seed) {
        Random random = new Random(seed);
        for (int turn = 0; turn < 12; turn++) {
            Swatch ground =
                    new Swatch(
                            Sample.id("ground" + seed + turn),
                            "Ground",
                            new Cmyk(
                                    random.nextInt(101),
                                    random.nextInt(101),
                                    random.nextInt(101),
                                    random.nextInt(101)));
            List<Swatch> list = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(4); i++) {
                list.add(
                        new Swatch(
                                UUID.randomUUID(),
                                "Candidate " + i,
                                new Cmyk(0, random.nextInt(60), 0, random.nextInt(101))));
            }
            Swatch reading = reading(List.of(), list.toArray(Swatch[]::new));
            List<Swatch> more = new ArrayList<>(list);
            more.add(ground);
            PageScene scene =
                    scene(
                            page(
                                    List.of(Sample.wholePage("ground", ground)),
                                    reading,
                                    more.toArray(Swatch[]::new)));
            List<Boolean> passes = list.stream().map(each -> ratio(each, ground) >= 4.5).toList();
            int first = passes.indexOf(true);
            if (first >= 0) {
                assertThat(colors(scene)).containsExactly("Candidate " + first);
            } else {
                double best =
                        list.stream().mapToDouble(each -> ratio(each, ground)).max().orElseThrow();
                for (String name : colors(scene)) {
                    Swatch taken = list.get(Integer.parseInt(name.substring(10)));
                    assertThat(ratio(taken, ground)).isEqualTo(best);
                }
            }
        }
    }

    /**
     * The same over two grounds that meet at an upright edge: throughout where one passes
     * everywhere, else line by line, else word by word.
     */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void over_two_grounds_each_part_has_the_first_that_passes_on_its_own(long seed) {
        Random random = new Random(seed);
        Swatch left = grey(random.nextInt(101));
        Swatch right =
                new Swatch(Sample.id("r" + seed), "Right", new Cmyk(0, 0, 0, random.nextInt(101)));
        List<Swatch> list = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            list.add(
                    new Swatch(
                            UUID.randomUUID(),
                            "Candidate " + i,
                            new Cmyk(0, 0, 0, random.nextInt(101))));
        }
        List<Swatch> more = new ArrayList<>(list);
        more.addAll(List.of(left, right));
        List<Background> grounds =
                List.of(
                        Sample.wholePage("left", left),
                        Sample.band("right", Edge.RIGHT, 105, right));
        PageScene scene =
                scene(
                        page(
                                grounds,
                                reading(List.of(), list.toArray(Swatch[]::new)),
                                more.toArray(Swatch[]::new)));
        double edge = scene.boxes().trim().width() - 105 * 72 / 25.4;
        Optional<String> throughout = first(list, List.of(left, right));
        for (Item.GlyphRun run : scene.text()) {
            for (Item.Line line : run.lines()) {
                if (throughout.isPresent()) {
                    assertThat(run.paint().name()).isEqualTo(throughout.get());
                    continue;
                }
                List<Item.Line> together =
                        scene.text().stream()
                                .flatMap(each -> each.lines().stream())
                                .filter(each -> each.baseline() == line.baseline())
                                .toList();
                Optional<String> ofLine = first(list, on(together, edge, left, right));
                List<Swatch> own = on(List.of(line), edge, left, right);
                if (ofLine.isPresent()) {
                    assertThat(run.paint().name()).isEqualTo(ofLine.get());
                } else if (own.size() == 1) {
                    first(list, own)
                            .ifPresent(name -> assertThat(run.paint().name()).isEqualTo(name));
                }
            }
        }
        assertThat(text(scene)).isEqualTo(WORDS);
    }

    /** The grounds that some lines lie on; ink keeps within a point of its line's box. */
    private static List<Swatch> on(List<Item.Line> lines, double edge, Swatch left, Swatch right) {
        List<Swatch> grounds = new ArrayList<>();
        if (lines.stream().anyMatch(line -> line.x() < edge + 1)) {
            grounds.add(left);
        }
        if (lines.stream().anyMatch(line -> line.x() + line.width() > edge - 1)) {
            grounds.add(right);
        }
        return grounds;
    }

    private static Optional<String> first(List<Swatch> list, List<Swatch> grounds) {
        return list.stream()
                .filter(each -> grounds.stream().allMatch(ground -> ratio(each, ground) >= 4.5))
                .map(Swatch::name)
                .findFirst();
    }

    /** Words that run leftward keep their places, and change their colour between words as well. */
    @Test
    void leftward_words_change_their_colour_between_words() {
        String words = "\u05e9\u05dc\u05d5\u05dd \u05e2\u05d5\u05dc\u05dd ".repeat(6).strip();
        Swatch reading = reading(List.of(), Sample.INK, Sample.WHITE);
        Look look =
                Sample.look("Chosen", 400, 10, Sample.INK)
                        .withColor(Tinted.full(reading.id()))
                        .withOverprint(Look.Overprint.NEVER);
        List<Background> band = List.of(Sample.band("right", Edge.RIGHT, 105, Sample.NIGHT));
        List<PageScene> scenes = new ArrayList<>();
        for (Look each : List.of(look, look.withColor(Tinted.full(Sample.INK.id())))) {
            Publication page =
                    Sample.withPage(
                            new Layer(
                                    band, List.of(Sample.frame("f", 20, 40, 60, 60, each, words))));
            scenes.add(
                    scene(
                            page.withSwatches(
                                            Stream.concat(
                                                            page.swatches().stream(),
                                                            Stream.of(reading))
                                                    .toList())
                                    .withLooks(
                                            Stream.concat(page.looks().stream(), Stream.of(each))
                                                    .toList())));
        }
        assertThat(colors(scenes.getFirst())).contains("Ink", "White");
        assertThat(places(scenes.getFirst())).isEqualTo(places(scenes.getLast()));
        double edge = scenes.getFirst().boxes().trim().width() - 105 * 72 / 25.4;
        for (Item.GlyphRun run : scenes.getFirst().text()) {
            for (Item.Line line : run.lines()) {
                if (line.x() > edge + 1) {
                    assertThat(run.paint().name()).isEqualTo("White");
                }
                if (line.x() + line.width() < edge - 1) {
                    assertThat(run.paint().name()).isEqualTo("Ink");
                }
            }
        }
    }

    /** Where each glyph stands, to a millionth of a point. */
    private static List<String> places(PageScene scene) {
        return scene.text().stream()
                .flatMap(run -> run.lines().stream())
                .flatMap(line ->
                        line.glyphs().stream()
                                .map(glyph ->
                                        "%d %.6f %.6f"
                                                .formatted(
                                                        glyph.id(),
                                                        line.x() + glyph.x(),
                                                        line.baseline())))
                .sorted()
                .toList();
    }

    private static double ratio(Swatch text, Swatch ground) {
        return Contrast.ratio(
                Sample.asDesigned().see(Sample.color(text)),
                Sample.asDesigned().see(Sample.color(ground)));
    }

    @Test
    void a_list_that_is_empty_or_holds_one_twice_is_refused() {
        assertThatThrownBy(() -> reading(List.of())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> reading(List.of(), Sample.INK, Sample.INK))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("once");
    }

    @Test
    void it_is_for_text_only() {
        Swatch reading = reading(List.of(), Sample.INK, Sample.WHITE);
        Publication publication = page(List.of(), reading);
        Look shaded =
                publication
                        .looks()
                        .getFirst()
                        .withPanel(
                                Optional.of(
                                        Panel.NONE.withShading(
                                                Optional.of(
                                                        new Fill.Solid(
                                                                Tinted.full(reading.id()))))));
        assertThatThrownBy(() -> Editing.edit(publication, new LookEdit.ChangeLook(shaded)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("for text only");
        for (Edit edit :
                List.of(
                        new FrameEdit.AddPicture(
                                new Owner.OnPage(Sample.page(1)),
                                new PictureFrame(
                                        Sample.id("word"),
                                        Sides.BOTH,
                                        new Box(
                                                Length.mm(1),
                                                Length.mm(1),
                                                Length.mm(9),
                                                Length.mm(9)),
                                        PictureFrame.Level.OVER,
                                        new Fill.Word(
                                                "PROOF",
                                                "Source Serif 4",
                                                400,
                                                false,
                                                Optional.empty(),
                                                Tinted.full(reading.id())))),
                        new FrameEdit.AddBand(
                                new Owner.OnPage(Sample.page(1)),
                                Sample.id("band"),
                                Sides.BOTH,
                                new TextBand(
                                        Edge.TOP,
                                        Length.mm(9),
                                        Padding.NONE,
                                        new Fill.Solid(Tinted.full(reading.id()))),
                                Sample.id("band story"),
                                Sample.id("band paragraph"),
                                Sample.BODY.id()))) {
            assertThatThrownBy(() -> Editing.edit(publication, edit))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("for text only");
        }
        assertThatThrownBy(() ->
                        Editing.edit(
                                Sample.publication(),
                                new SwatchEdit.ChangeSwatch(
                                        Sample.NIGHT.id(),
                                        new Definition.Legible(
                                                List.of(Sample.INK.id()), List.of()))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("for text only");
    }
}
