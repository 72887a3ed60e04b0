package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.id;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Border;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** Borders and pictures that carry meaning (WCAG 2.2, 1.4.11), and lines that a press breaks up. */
class GraphicFindingTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static Swatch swatch(String name, String hex) {
        return new Swatch(id(name), name, Rgb.hex(hex));
    }

    private static Border border(Swatch color, double points, boolean carriesMeaning) {
        return new Border(
                Border.ALL,
                Length.pt(points),
                Tinted.full(color.id()),
                Border.Style.SOLID,
                carriesMeaning);
    }

    /** A paragraph with a border, for the screen. */
    private static Publication bordered(
            Border border, Optional<Swatch> inside, List<Background> behind, Swatch... colors) {
        Panel panel =
                Panel.shaded(
                                Tinted.full(Sample.NIGHT.id()),
                                Panel.Reach.MEASURE,
                                Padding.all(Distance.of(Length.mm(3))))
                        .withShading(inside.map(each -> new Fill.Solid(Tinted.full(each.id()))))
                        .withBorder(Optional.of(border));
        Look boxed = Sample.look("Boxed", 400, 10, Sample.INK).withPanel(Optional.of(panel));
        Publication page =
                Sample.withPage(
                        new Layer(
                                behind,
                                List.of(Sample.frame("a", 30, 40, 60, 40, boxed, "Reeds"))));
        return page.withSetup(page.setup().withDestination(Destination.SCREEN))
                .withSwatches(Stream.concat(page.swatches().stream(), Stream.of(colors)).toList())
                .withLooks(Stream.concat(page.looks().stream(), Stream.of(boxed)).toList());
    }

    private static List<Finding> found(Publication in, Composer composer) {
        return GraphicFinding.in(composer.compose(in, 0), in.setup().destination(), COATED);
    }

    private static List<Finding> found(Publication in) {
        return found(in, new Composer(COATED));
    }

    /**
     * On bare white. That #949494 passes 3 : 1 on white and #959595 does not is common knowledge
     * among those who work with WCAG; here it follows from its formula.
     */
    @ParameterizedTest
    @CsvSource({"#949494, true", "#959595, false", "#ffff00, false", "#0000ff, true"})
    void a_border_that_carries_meaning_stands_out_from_what_is_beside_it(
            String hex, boolean passes) {
        Swatch line = swatch("line", hex);
        Publication meant = bordered(border(line, 1, true), Optional.empty(), List.of(), line);
        assertThat(Contrast.ratio(Rgb.hex(hex), Rgb.WHITE) >= 3).isEqualTo(passes);
        assertThat(found(meant).isEmpty()).isEqualTo(passes);
        found(meant)
                .forEach(each -> {
                    assertThat(((GraphicFinding) each).contrast().ratio())
                            .isCloseTo(Contrast.ratio(Rgb.hex(hex), Rgb.WHITE), within(1e-4));
                    assertThat(((GraphicFinding) each).contrast().failing()).isEqualTo(1);
                });
        assertThat(found(bordered(border(line, 1, false), Optional.empty(), List.of(), line)))
                .isEmpty();
    }

    /** What is on one side is enough: the line is seen where it meets that. */
    @Test
    void a_border_is_seen_that_stands_out_from_one_side_of_it() {
        Swatch pale = swatch("pale", "#dddddd");
        Swatch dark = swatch("dark", "#202020");
        Border line = border(pale, 2, true);
        assertThat(found(bordered(line, Optional.empty(), List.of(), pale, dark))).hasSize(1);
        assertThat(found(bordered(line, Optional.of(dark), List.of(), pale, dark))).isEmpty();
        assertThat(
                        found(
                                bordered(
                                        line,
                                        Optional.of(pale),
                                        List.of(Sample.wholePage("g", dark)),
                                        pale,
                                        dark)))
                .isEmpty();
        assertThat(
                        found(
                                bordered(
                                        line,
                                        Optional.of(dark),
                                        List.of(Sample.wholePage("g", dark)),
                                        pale,
                                        dark)))
                .isEmpty();
        assertThat(
                        found(
                                bordered(
                                        border(dark, 2, true),
                                        Optional.of(dark),
                                        List.of(Sample.wholePage("g", dark)),
                                        pale,
                                        dark)))
                .hasSize(1);
    }

    /** Wherever a band of its own lightness lies behind one side of it, that side is lost. */
    @ParameterizedTest
    @EnumSource(
            value = Edge.class,
            names = {"TOP", "BOTTOM", "LEFT", "RIGHT"})
    void a_part_of_a_border_that_is_lost_is_found(Edge edge) {
        Swatch line = swatch("line", "#606060");
        double depth =
                switch (edge) {
                    case TOP -> 41;
                    case BOTTOM -> 167;
                    case LEFT -> 31;
                    default -> 59;
                };
        List<Background> behind = List.of(Sample.band("b", edge, depth, line));
        Publication lost = bordered(border(line, 1, true), Optional.of(line), behind, line);
        GraphicFinding finding = (GraphicFinding) found(lost).getFirst();
        assertThat(finding.contrast().ratio()).isEqualTo(1);
        assertThat(finding.contrast().failing()).isBetween(0.05, 0.95);
    }

    /** However large its frame is and however fine the line. */
    @ParameterizedTest
    @CsvSource({"0.02, 400, 300", "0.1, 190, 270", "0.25, 190, 270", "12, 60, 40"})
    void a_hair_is_judged_like_any_line(double points, double width, double height) {
        Swatch pale = swatch("pale", "#e8e8e8");
        Swatch dark = swatch("dark", "#303030");
        for (Swatch line : List.of(pale, dark)) {
            Publication in =
                    bordered(border(line, points, true), Optional.empty(), List.of(), line);
            Publication large =
                    in.withSetup(
                            in.setup()
                                    .withTrim(new PageSize(Length.mm(width + 60), Length.mm(400))));
            Publication placed =
                    Editing.edit(
                                    large,
                                    new FrameEdit.PlaceFrame(
                                            id("a"),
                                            Sides.BOTH,
                                            new Box(
                                                    Length.mm(30),
                                                    Length.mm(40),
                                                    Length.mm(width),
                                                    Length.mm(height))))
                            .publication();
            assertThat(found(placed).isEmpty()).as(line.name()).isEqualTo(line == dark);
        }
    }

    @Test
    void to_say_that_it_is_there_for_its_looks_ends_the_finding() {
        Swatch line = swatch("line", "#eeeeee");
        Publication faint = bordered(border(line, 1, true), Optional.empty(), List.of(), line);
        Finding finding = found(faint).getFirst();
        Offer offer = Offer.of(finding, faint, COATED).getFirst();
        assertThat(offer.label()).contains("there for its looks");
        assertThat(found(Editing.edit(faint, offer.edit()).publication())).isEmpty();
        assertThat(Identity.of(finding).words()).contains("Boxed");
    }

    private static final int SIZE = 200;

    /** A mark: a disc on nothing. */
    private static byte[] disc(String hex) {
        BufferedImage image = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(Color.decode(hex));
        graphics.fillOval(20, 20, SIZE - 40, SIZE - 40);
        graphics.dispose();
        return Png.of(image);
    }

    private static Publication marked(byte[] file, boolean decoration, Background... behind) {
        Asset mark =
                new Asset(
                        id("mark"), "Mark", "any", new Intake(Documents.NONE).look("m.png", file));
        Frame frame =
                new PictureFrame(
                                id("picture"),
                                Sides.BOTH,
                                new Box(Length.mm(20), Length.mm(20), Length.mm(30), Length.mm(30)),
                                PictureFrame.Level.CONTENT,
                                new Fill.Picture(
                                        mark.id(), Placing.COVER, RunOut.NONE, Optional.empty()))
                        .withMeaning(
                                new PictureFrame.Meaning(decoration, decoration ? "" : "A disc"));
        Publication page = Sample.withPage(new Layer(List.of(behind), List.of(frame)));
        return page.withAssets(List.of(mark))
                .withSetup(page.setup().withDestination(Destination.SCREEN));
    }

    @ParameterizedTest
    @CsvSource({"#111111, true", "#f4f4f4, false", "#959595, false", "#949494, true"})
    void a_mark_that_cannot_be_told_from_what_is_below_it_is_found(String hex, boolean passes) {
        byte[] file = disc(hex);
        Composer composer = new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE));
        List<Finding> found = found(marked(file, false), composer);
        assertThat(found.isEmpty()).isEqualTo(passes);
        assertThat(found(marked(file, true), composer)).isEmpty();
    }

    /** A photograph has an edge of its own, whatever its colours are. */
    @Test
    void a_picture_without_transparency_is_not_judged() {
        BufferedImage white = new BufferedImage(100, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = white.createGraphics();
        graphics.setColor(Color.decode("#fafafa"));
        graphics.fillRect(0, 0, 100, 300);
        graphics.dispose();
        byte[] file = Png.of(white);
        Composer composer = new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE));
        assertThat(found(marked(file, false), composer)).isEmpty();
        PictureFrame tall =
                (PictureFrame) marked(file, false).pages().getFirst().layer().frames().getFirst();
        Publication within =
                Editing.edit(
                                marked(file, false),
                                new FrameEdit.ChangePicture(
                                        tall.withFill(
                                                new Fill.Picture(
                                                        id("mark"),
                                                        Placing.COVER.withFit(Placing.Fit.CONTAIN),
                                                        RunOut.NONE,
                                                        Optional.empty())),
                                        Optional.empty()))
                        .publication();
        assertThat(found(within, composer)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.25, 40, true", "0.25, 100, false", "0.49, 40, true", "0.5, 40, false"})
    void a_thin_line_in_a_tint_is_found_and_made_wider(
            double points, double black, boolean isFound) {
        Swatch grey = new Swatch(id("grey"), "Grey", new Cmyk(0, 0, 0, black));
        Publication paper =
                bordered(border(grey, points, false), Optional.empty(), List.of(), grey);
        Publication printed = paper.withSetup(paper.setup().withDestination(Destination.PAPER));
        List<Finding> lines = lines(printed);
        assertThat(lines).hasSize(isFound ? 1 : 0);
        for (Finding line : lines) {
            assertThat(line.message()).contains("Black");
            Offer offer = Offer.of(line, printed, COATED).getFirst();
            assertThat(lines(Editing.edit(printed, offer.edit()).publication())).isEmpty();
        }
    }

    /** Each of three lines is a fifth as wide as all of them with their gaps. */
    @Test
    void the_lines_of_a_triple_border_are_thin_ones() {
        Swatch grey = new Swatch(id("grey"), "Grey", new Cmyk(0, 0, 0, 50));
        Border triple =
                new Border(
                        Border.ALL,
                        Length.pt(2),
                        Tinted.full(grey.id()),
                        Border.Style.TRIPLE,
                        false);
        Publication paper = bordered(triple, Optional.empty(), List.of(), grey);
        Publication printed = paper.withSetup(paper.setup().withDestination(Destination.PAPER));
        assertThat(lines(printed))
                .singleElement()
                .extracting(Finding::message)
                .asString()
                .contains("0.4 pt");
        Offer offer = Offer.of(lines(printed).getFirst(), printed, COATED).getFirst();
        assertThat(lines(Editing.edit(printed, offer.edit()).publication())).isEmpty();
    }

    private static List<Finding> lines(Publication in) {
        return all(in, new Composer(COATED)).stream()
                .filter(PressFinding.Hairline.class::isInstance)
                .toList();
    }

    private static List<Finding> all(Publication in, Composer composer) {
        return Findings.of(
                composer.compose(in, 0),
                new Legibility(COATED, Demand.of(in.setup()), in.setup().destination()),
                in.setup(),
                COATED);
    }

    /**
     * Stripes of black and white as wide as each other, many to a letter: their lightness L* is 0
     * or 100, and so varies by 50; of one grey it does not vary.
     */
    @ParameterizedTest
    @CsvSource({"#000000, #ffffff, true", "#808080, #808080, false", "#707070, #808080, false"})
    void text_on_a_restless_picture_is_found(String one, String other, boolean isFound) {
        BufferedImage stripes = new BufferedImage(1200, 1200, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < 1200; x++) {
            for (int y = 0; y < 1200; y++) {
                stripes.setRGB(x, y, Color.decode(x / 4 % 2 == 0 ? one : other).getRGB());
            }
        }
        byte[] file = Png.of(stripes);
        Asset asset =
                new Asset(id("sky"), "Sky", "any", new Intake(Documents.NONE).look("s.png", file));
        Background picture =
                Sample.wholePage("g", Sample.NIGHT)
                        .withFill(
                                new Fill.Picture(
                                        asset.id(), Placing.COVER, RunOut.NONE, Optional.empty()));
        Publication page =
                Sample.withPage(
                                new Layer(
                                        List.of(picture),
                                        List.of(
                                                Sample.frame(
                                                        "a",
                                                        20,
                                                        40,
                                                        90,
                                                        40,
                                                        Sample.HEADING,
                                                        "Reeds"))))
                        .withAssets(List.of(asset));
        Composer composer = new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE));
        List<PressFinding.TextOnBusy> found =
                all(page, composer).stream()
                        .filter(PressFinding.TextOnBusy.class::isInstance)
                        .map(PressFinding.TextOnBusy.class::cast)
                        .toList();
        assertThat(found).hasSize(isFound ? 1 : 0);
        found.forEach(each -> assertThat(each.variation()).isBetween(35.0, 50.0));
        assertThat(NotJudged.of(page, Map.of()))
                .singleElement()
                .satisfies(each -> assertThat(each.where().pages()).containsExactly(1));
    }

    @Test
    void what_is_decoration_or_nowhere_is_not_listed_as_not_judged() {
        byte[] file = disc("#111111");
        assertThat(NotJudged.of(marked(file, false), Map.of())).hasSize(1);
        assertThat(NotJudged.of(marked(file, true), Map.of())).isEmpty();
        Publication unused = marked(file, false);
        assertThat(
                        NotJudged.of(
                                Sample.withPage(new Layer(List.of(), List.of()))
                                        .withAssets(unused.assets()),
                                Map.of()))
                .isEmpty();
    }
}
