package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntBinaryOperator;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Legibility;
import yewberry.core.picture.Png;
import yewberry.core.press.RunOuts;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

class PictureFindingsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch NIGHT =
            new Swatch(new UUID(1, 1), "Night", new Cmyk(100, 86, 42, 40));
    private static final Swatch GLOW =
            new Swatch(new UUID(1, 2), "Glow", new Definition.SpotInk(new Cmyk(0, 48, 92, 0)));
    private static final UUID GROUND = new UUID(2, 1);
    private static final UUID PICTURE = new UUID(2, 2);

    /** A page of 100 × 80 mm with 3 mm of bleed and one picture on it. */
    private Publication publication(byte[] file, Background... backgrounds) {
        Asset asset =
                new Asset(
                        new UUID(3, 1),
                        "Logo",
                        "any",
                        new Intake(Documents.NONE).look("logo.png", file));
        return new Publication(
                        new UUID(0, 1),
                        "Pictures",
                        Setup.of(new PageSize(Length.mm(100), Length.mm(80)), false),
                        List.of(NIGHT, GLOW),
                        List.of(),
                        List.of(),
                        List.of(
                                new Page(
                                        new UUID(4, 1),
                                        Optional.empty(),
                                        true,
                                        new Layer(List.of(backgrounds), List.of()))))
                .withAssets(List.of(asset));
    }

    private static PageScene scene(Publication publication, byte[] file) {
        return new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE))
                .compose(publication, 0);
    }

    private static List<Finding> findings(Publication publication, byte[] file) {
        return Findings.of(
                scene(publication, file),
                new Legibility(COATED, Level.AA, Destination.PAPER),
                publication.setup(),
                COATED);
    }

    private static byte[] png(int width, int height, IntBinaryOperator color) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, color.applyAsInt(x, y));
            }
        }
        return Png.of(image);
    }

    private static Background wholePage() {
        return new Background(
                GROUND, Sides.BOTH, new Area.WholePage(), new Fill.Solid(Tinted.full(NIGHT.id())));
    }

    private static Background placed(Placing placing) {
        return new Background(
                PICTURE,
                Sides.BOTH,
                new Area.WholePage(),
                new Fill.Picture(new UUID(3, 1), placing, RunOut.NONE, Optional.empty()));
    }

    private static Placing sized(double percent) {
        return new Placing(
                Placing.Fit.SIZED,
                percent,
                Placing.Base.PAGE,
                0,
                new Anchor(Anchor.Across.MIDDLE, Anchor.Down.MIDDLE),
                Length.ZERO,
                Length.ZERO,
                Placing.Focus.MIDDLE);
    }

    private static byte[] logo(IntBinaryOperator box) {
        return png(
                400,
                400,
                (x, y) -> Math.hypot(x - 200, y - 200) < 150 ? 0xc02040 : box.applyAsInt(x, y));
    }

    @Test
    void a_white_box_on_a_dark_page_is_found_and_taken_off() {
        byte[] file = logo((x, y) -> 0xffffff);
        Publication boxed = publication(file, wholePage(), placed(sized(20)));
        Finding finding =
                findings(boxed, file).stream()
                        .filter(PictureFinding.Boxed.class::isInstance)
                        .findFirst()
                        .orElseThrow();
        assertThat(finding.message()).contains("has a box around it in #ffffff");
        Edit mend = Offer.of(finding, boxed, COATED).getFirst().edit();
        Publication mended = Editing.edit(boxed, mend).publication();
        assertThat(findings(mended, file)).noneMatch(PictureFinding.Boxed.class::isInstance);
    }

    /** A picture that fills the trim exactly. */
    private static Background onTheTrim() {
        return new Background(
                PICTURE,
                Sides.BOTH,
                new Area.Rectangle(
                        new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                        Length.ZERO,
                        Length.ZERO,
                        Length.mm(100),
                        Length.mm(80),
                        Set.of()),
                new Fill.Picture(
                        new UUID(3, 1),
                        Placing.COVER.withFit(Placing.Fit.STRETCH),
                        RunOut.NONE,
                        Optional.empty()));
    }

    private static byte[] clear(IntPredicate painted) {
        BufferedImage image = new BufferedImage(200, 160, BufferedImage.TYPE_INT_ARGB);
        for (int x = 0; x < 200; x++) {
            for (int y = 0; y < 160; y++) {
                image.setRGB(x, y, painted.test(x) ? 0xff000000 : 0);
            }
        }
        return Png.of(image);
    }

    @Test
    void only_an_edge_that_a_picture_paints_on_can_end_at_the_trim() {
        byte[] inside = clear(x -> false);
        assertThat(findings(publication(inside, onTheTrim()), inside))
                .noneMatch(PressFinding.EndsAtTrim.class::isInstance);
        byte[] left = clear(x -> x < 20); // 10 mm wide, from the top to the bottom
        assertThat(findings(publication(left, onTheTrim()), left))
                .filteredOn(PressFinding.EndsAtTrim.class::isInstance)
                .extracting(finding -> ((PressFinding.EndsAtTrim) finding).edge().edge())
                .containsExactlyInAnyOrder(Edge.LEFT, Edge.TOP, Edge.BOTTOM);
    }

    @Test
    void black_in_a_picture_is_no_area_of_plain_black() {
        byte[] black = png(200, 160, (x, y) -> x < 3 ? 0 : 0xffffff);
        assertThat(findings(publication(black, onTheTrim()), black))
                .noneMatch(PressFinding.PlainBlackArea.class::isInstance);
    }

    @Test
    void a_white_box_on_white_paper_is_no_matter() {
        byte[] file = logo((x, y) -> 0xffffff);
        assertThat(findings(publication(file, placed(sized(20))), file))
                .noneMatch(PictureFinding.Boxed.class::isInstance);
    }

    @Test
    void of_an_uneven_box_is_said_how_much_would_remain() {
        // a fifth of the edge is darker by far
        byte[] file = logo((x, y) -> x < 320 && y < 320 ? 0xffffff : 0xb0b0b0);
        assertThat(findings(publication(file, wholePage(), placed(sized(20))), file))
                .filteredOn(PictureFinding.Boxed.class::isInstance)
                .singleElement()
                .extracting(Finding::message)
                .asString()
                .containsPattern("too uneven to come off cleanly: (2|3|4)\\d % of its edge");
    }

    @Test
    void pixels_per_inch_are_those_on_the_page() {
        // 400 pixels on 20 mm are 508 per inch, on 100 mm 101.6
        byte[] file = logo((x, y) -> 0xffffff);
        assertThat(findings(publication(file, placed(sized(20))), file))
                .noneMatch(PictureFinding.TooCoarse.class::isInstance);
        Publication large = publication(file, placed(sized(100)));
        PictureFinding.TooCoarse coarse =
                findings(large, file).stream()
                        .filter(PictureFinding.TooCoarse.class::isInstance)
                        .map(PictureFinding.TooCoarse.class::cast)
                        .findFirst()
                        .orElseThrow();
        assertThat(coarse.ppi()).isBetween(101.0, 102.0);
        assertThat(coarse.severity()).isEqualTo(Finding.Severity.WRONG);
    }

    @Test
    void luminosity_on_a_spot_ink_is_found_and_multiply_is_not() {
        byte[] file = logo((x, y) -> 0xffffff);
        List<Class<?>> found = new ArrayList<>();
        for (BlendMode mode : List.of(BlendMode.LUMINOSITY, BlendMode.MULTIPLY)) {
            Background glow =
                    new Background(
                                    GROUND,
                                    Sides.BOTH,
                                    new Area.WholePage(),
                                    new Fill.Solid(Tinted.full(GLOW.id())))
                            .withBlend(mode);
            findings(publication(file, glow), file).stream()
                    .filter(PictureFinding.SpotCannotBlend.class::isInstance)
                    .forEach(finding -> found.add(finding.getClass()));
        }
        assertThat(found).hasSize(1);
    }

    /** Trim 100 mm, bleed 3: at 101 % of the page the picture ends 0.5 mm beyond the trim. */
    @Test
    void a_picture_that_ends_in_the_bleed_can_go_on_in_three_ways() {
        byte[] file = png(400, 400, (x, y) -> 0x102040);
        Publication small = publication(file, placed(sized(101)));
        List<Finding> ends =
                findings(small, file).stream()
                        .filter(PressFinding.EndsAtTrim.class::isInstance)
                        .toList();
        assertThat(ends).hasSize(2);
        List<Offer> offers = Offer.of(ends.getFirst(), small, COATED);
        assertThat(offers).hasSize(4);
        for (Offer offer : offers.subList(0, 3)) {
            Publication mended = Editing.edit(small, offer.edit()).publication();
            assertThat(findings(mended, file))
                    .as(offer.label())
                    .noneMatch(PressFinding.EndsAtTrim.class::isInstance);
        }
    }

    @Test
    void a_page_is_flooded_below_the_picture_in_the_colour_of_its_edges() {
        byte[] file = png(400, 400, (x, y) -> 0x102040);
        Publication small = publication(file, placed(sized(101)));
        Item.AreaFill fill = scene(small, file).areas().getFirst();
        Offer flood = Offer.runOuts(fill, small, COATED).getLast();
        Publication flooded = Editing.edit(small, flood.edit()).publication();
        Item.AreaFill lowest = scene(flooded, file).areas().getFirst();
        assertThat(lowest.rect()).isEqualTo(scene(flooded, file).boxes().bleed());
        Cmyk edge = COATED.toInk(new yewberry.core.color.Rgb(0x10, 0x20, 0x40));
        assertThat(((Cmyk) lowest.solid().orElseThrow().color()).total())
                .isCloseTo(edge.total(), org.assertj.core.api.Assertions.within(3.0));
    }

    @Test
    void an_even_edge_goes_on_in_its_colour_and_a_motley_one_does_not() {
        byte[] even = png(400, 200, (x, y) -> 0x102040);
        byte[] motley = png(400, 200, (x, y) -> y % 40 < 20 ? 0x102040 : 0xf0e0a0);
        assertThat(best(even)).isEqualTo(RunOut.EDGE_COLOR);
        assertThat(best(motley)).isNotEqualTo(RunOut.EDGE_COLOR);
    }

    private RunOut best(byte[] file) {
        Publication publication = publication(file, placed(sized(101)));
        Item.AreaFill fill = scene(publication, file).areas().getFirst();
        List<RunOuts.Option> options = RunOuts.of(fill, (AreaPaint.Picture) fill.paint(), COATED);
        assertThat(options).hasSize(3);
        return options.getFirst().kind();
    }
}
