package yewberry.core.legibility;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.picture.Png;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;

/** What lies behind a run, found by the geometry of the areas and by every pixel of a picture. */
class BackdropTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Look LARGE = Sample.look("Large", 400, 48, Sample.WHITE);

    private static Publication publication(List<Background> backgrounds, double x, double y) {
        return publication(backgrounds, x, y, 0);
    }

    private static Publication publication(
            List<Background> backgrounds, double x, double y, double rotation) {
        TextFrame frame = Sample.frame("f", x, y, 120, 40, LARGE, "Hamburg");
        Publication page =
                Sample.withPage(
                        new Layer(
                                backgrounds,
                                List.of(
                                        frame.withSetting(
                                                frame.setting().withRotation(rotation)))));
        return page.withLooks(Stream.concat(page.looks().stream(), Stream.of(LARGE)).toList());
    }

    private static RunContrast judged(PageScene scene) {
        return new Legibility(COATED, Level.AA, Destination.PAPER).judge(scene).getFirst();
    }

    /** With not a pixel left out. */
    private static RunContrast strictly(PageScene scene) {
        return new Legibility(COATED, new Demand(Level.AA, 4.5, 3, 0), Destination.PAPER)
                .judge(scene)
                .getFirst();
    }

    /** How far around a glyph of the large look what lies behind it counts, in points. */
    private static final double AROUND = 0.05 * 48;

    private static Background rectangle(
            String name, double x, double y, double width, double height, Fill fill) {
        return new Background(
                Sample.id(name),
                Sides.BOTH,
                new Area.Rectangle(
                        new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                        Length.mm(x),
                        Length.mm(y),
                        Length.mm(width),
                        Length.mm(height),
                        java.util.Set.of()),
                fill);
    }

    private static Fill solid(yewberry.core.publication.Swatch swatch) {
        return new Fill.Solid(Tinted.full(swatch.id()));
    }

    /** Every half millimetre, where a grid of points over a glyph would miss some. */
    static Stream<Arguments> everywhere() {
        return Stream.of(0.0, 20.0, -90.0)
                .flatMap(rotation ->
                        IntStream.range(0, 20)
                                .mapToObj(step -> Arguments.of(20 + step * 0.5, rotation)));
    }

    @ParameterizedTest
    @MethodSource("everywhere")
    void a_thin_white_bar_under_a_veil_is_found_wherever_ink_lies_on_it_or_close_by(
            double at, double rotation) {
        Background veil = rectangle("veil", 0, 0, 148, 210, solid(Sample.NIGHT)).withOpacity(30);
        PageScene scene =
                new Composer(COATED)
                        .compose(
                                publication(
                                        List.of(
                                                Sample.wholePage("g", Sample.NIGHT),
                                                rectangle(
                                                        "bar",
                                                        at,
                                                        0,
                                                        0.2,
                                                        210,
                                                        solid(Sample.WHITE)),
                                                veil),
                                        15,
                                        60,
                                        rotation),
                                0);
        RunContrast contrast = strictly(scene);
        boolean onInk = hasInk(rotation, at + 0.1, 0.2 + 2 * AROUND * 25.4 / 72);
        assertThat(contrast.against()).hasSize(onInk ? 2 : 1);
        assertThat(contrast.passes()).isEqualTo(!onInk);
    }

    /** Whether the text's own picture shows any of it in a stretch of the page, in millimetres. */
    private static boolean hasInk(double rotation, double middle, double width) {
        View plain =
                new View(
                        yewberry.core.color.Viewing.BACKGROUNDS_OFF,
                        Medium.PAPER,
                        COATED,
                        COATED.paper());
        PageScene black =
                new Composer(COATED)
                        .compose(
                                Sample.withColor(
                                        publication(List.of(), 15, 60, rotation),
                                        Sample.WHITE,
                                        new yewberry.core.color.Cmyk(0, 0, 0, 100)),
                                0);
        double mm = 72 / 25.4;
        BufferedImage picture =
                PageRaster.page(
                        black,
                        plain,
                        new yewberry.core.scene.Rect(
                                (middle - width / 2) * mm, 0, width * mm, 200 * mm),
                        1200);
        for (int y = 0; y < picture.getHeight(); y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                if ((picture.getRGB(x, y) & 0xff) < 250) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void a_sharp_stop_of_a_gradient_is_found_when_it_is_a_tenth_of_a_millimetre_wide() {
        Fill stripe =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        0,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(Sample.NIGHT.id()), 100),
                                new Fill.Gradient.Stop(30.00, Tinted.full(Sample.NIGHT.id()), 100),
                                new Fill.Gradient.Stop(30.00, Tinted.full(Sample.WHITE.id()), 100),
                                new Fill.Gradient.Stop(30.07, Tinted.full(Sample.WHITE.id()), 100),
                                new Fill.Gradient.Stop(30.07, Tinted.full(Sample.NIGHT.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(Sample.NIGHT.id()), 100)));
        RunContrast contrast =
                strictly(
                        new Composer(COATED)
                                .compose(
                                        publication(
                                                List.of(
                                                        Sample.wholePage("g", Sample.NIGHT)
                                                                .withFill(stripe)),
                                                15,
                                                20),
                                        0));
        assertThat(contrast.worst().ratio()).isCloseTo(1, within(0.01));
    }

    @Test
    void a_gradient_counts_only_as_far_as_the_ink_and_what_is_close_around_it_goes() {
        Fill fade =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        0,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(Sample.NIGHT.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(Sample.WHITE.id()), 100)));
        PageScene scene =
                new Composer(COATED)
                        .compose(
                                publication(
                                        List.of(Sample.wholePage("g", Sample.NIGHT).withFill(fade)),
                                        15,
                                        20),
                                0);
        RunContrast contrast = strictly(scene);
        double right = inkRight(scene) + AROUND;
        double bleed = 3 * 72 / 25.4;
        double way = right / (148 * 72 / 25.4 + bleed); // the spine has no bleed
        double[] night = {100, 86, 42, 52};
        Rgb there =
                COATED.toScreen(
                        new yewberry.core.color.Cmyk(
                                night[0] * (1 - way),
                                night[1] * (1 - way),
                                night[2] * (1 - way),
                                night[3] * (1 - way)));
        assertThat(contrast.worst().ratio())
                .isCloseTo(Contrast.ratio(Rgb.WHITE, there), within(0.05));
    }

    private static double inkRight(PageScene scene) {
        var run = scene.text().getFirst();
        var line = run.lines().getFirst();
        return line.glyphs().stream()
                .mapToDouble(glyph ->
                        line.x()
                                + glyph.x()
                                + run.face().outline(glyph.id()).ink().getMaxX() * run.scale())
                .max()
                .orElseThrow();
    }

    /** A picture over a whole page, with text on it. */
    private static final class Pictured {
        private final Asset asset;
        private final Composer composer;

        Pictured(BufferedImage image) {
            byte[] file = Png.of(image);
            asset =
                    new Asset(
                            new UUID(3, 1),
                            "Picture",
                            "any",
                            new Intake(Documents.NONE).look("picture.png", file));
            composer = new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE));
        }

        /** The worst ratio of text that begins so many millimetres from the left. */
        double worst(double across) {
            return at(across).worst().ratio();
        }

        RunContrast at(double across) {
            Background picture =
                    Sample.wholePage("g", Sample.NIGHT)
                            .withFill(
                                    new Fill.Picture(
                                            asset.id(),
                                            Placing.COVER,
                                            yewberry.core.publication.RunOut.NONE,
                                            Optional.empty()));
            Publication with = publication(List.of(picture), across, 20).withAssets(List.of(asset));
            return judged(composer.compose(with, 0));
        }
    }

    /** Waves of 98 pixels per inch as they lie there, and the same ones at four times as many. */
    @Test
    void a_picture_is_looked_at_as_finely_as_it_is_and_more_pixels_would_say_the_same() {
        Pictured coarse = new Pictured(waves(600, 850));
        Pictured fine = new Pictured(waves(2400, 3400));
        for (double across = 12; across < 30; across += 1.7) {
            RunContrast one = coarse.at(across);
            RunContrast other = fine.at(across);
            assertThat(one.worst().ratio() / other.worst().ratio()).isCloseTo(1, within(0.03));
            assertThat(one.failing()).isStrictlyBetween(0.1, 0.9);
            assertThat(one.failing()).isCloseTo(other.failing(), within(0.02));
            assertThat(one.variation()).isCloseTo(other.variation(), within(0.5));
        }
    }

    private static BufferedImage waves(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double across = (x + 0.5) / width;
                double down = (y + 0.5) / height;
                double wave = Math.sin(across * 130) * Math.cos(down * 160 + across * 9);
                int level = (int) (128 + 110 * wave);
                image.setRGB(x, y, level << 16 | level << 8 | (level + 40) / 2);
            }
        }
        return image;
    }

    /** Night sky with one white stripe, on which text is moved along by a tenth of a millimetre. */
    @Test
    void over_a_picture_the_ratio_does_not_jump_when_text_moves_a_little() {
        Pictured over = new Pictured(stripes());
        List<Double> ratios = new ArrayList<>();
        for (int step = 0; step < 30; step++) {
            ratios.add(over.worst(15 + step * 0.1));
        }
        assertThat(ratios).allMatch(ratio -> ratio < 3);
        for (int step = 1; step < ratios.size(); step++) {
            assertThat(ratios.get(step)).isCloseTo(ratios.get(step - 1), within(0.4));
        }
    }

    private static BufferedImage stripes() {
        BufferedImage image = new BufferedImage(1800, 2550, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                double wave = Math.pow(Math.sin(x * Math.PI / 60), 2);
                int level = (int) (30 + 190 * wave);
                image.setRGB(x, y, level << 16 | level << 8 | level);
            }
        }
        return image;
    }

    @Test
    void a_few_stray_pixels_of_a_picture_do_not_decide_and_a_twentieth_of_a_glyph_does() {
        assertThat(overStripe(0.05)).isGreaterThan(4.5);
        assertThat(overStripe(1.5)).isLessThan(1.2);
    }

    /** The worst ratio where a white stripe of so many millimetres runs through the text. */
    private static double overStripe(double width) {
        int pixels = 3600;
        double across = 154.0 / pixels;
        BufferedImage image = new BufferedImage(pixels, 5100, BufferedImage.TYPE_INT_RGB);
        Graphics2D to = image.createGraphics();
        to.setColor(new Color(0x101830));
        to.fillRect(0, 0, image.getWidth(), image.getHeight());
        to.setColor(Color.WHITE);
        int left = (int) Math.ceil(25 / across);
        int right = (int) Math.ceil((25 + width) / across);
        to.fillRect(left, 0, right - left, image.getHeight());
        to.dispose();
        return new Pictured(image).worst(15);
    }

    @Test
    void areas_that_mix_are_judged_in_the_colour_that_they_come_to() {
        Background veil =
                Sample.wholePage("veil", Sample.NIGHT)
                        .withOpacity(50)
                        .withBlend(BlendMode.MULTIPLY);
        RunContrast contrast =
                judged(
                        new Composer(COATED)
                                .compose(
                                        publication(
                                                List.of(Sample.wholePage("g", Sample.WHITE), veil),
                                                15,
                                                20),
                                        0));
        Rgb half = COATED.toScreen(new yewberry.core.color.Cmyk(50, 43, 21, 26));
        assertThat(contrast.against()).hasSize(1);
        assertThat(contrast.worst().ratio()).isEqualTo(Contrast.ratio(Rgb.WHITE, half));
    }
}
