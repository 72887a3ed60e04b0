package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Sample;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** Frames that lie on each other: what is behind the text of the upper one covers the lower. */
class PaintOrderTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final View DESIGNED = View.designed(Medium.PAPER, COATED);
    private static final int PPI = 144;

    /**
     * Large text, and on its middle a frame that is shaded in night, with its own text in white.
     */
    private static PageScene overlapping(double rotation) {
        Look large = Sample.look("Large", 700, 60, Sample.SIGNAL);
        Look shaded =
                Sample.look("Shaded", 400, 10, Sample.WHITE)
                        .withPanel(
                                Optional.of(
                                        Panel.shaded(
                                                Tinted.full(Sample.NIGHT.id()),
                                                Panel.Reach.FRAME,
                                                Padding.all(Distance.of(Length.mm(4))))));
        TextFrame upper = Sample.frame("upper", 40, 42, 50, 20, shaded, "Reeds and mud");
        Publication page =
                Sample.withPage(
                        new Layer(
                                List.of(),
                                List.of(
                                        Sample.frame("lower", 20, 40, 110, 30, large, "HHHHH"),
                                        upper.withSetting(
                                                upper.setting().withRotation(rotation)))));
        return new Composer(COATED)
                .compose(
                        page.withLooks(
                                Stream.concat(page.looks().stream(), Stream.of(large, shaded))
                                        .toList()),
                        0);
    }

    private static int packed(Swatch swatch) {
        Rgb seen = DESIGNED.see(Sample.color(swatch));
        return seen.red() << 16 | seen.green() << 8 | seen.blue();
    }

    private static Item.TextFill shading(PageScene scene) {
        return scene.items().stream()
                .filter(Item.TextFill.class::isInstance)
                .map(Item.TextFill.class::cast)
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 20})
    void a_shading_covers_the_text_of_lower_frames(double rotation) {
        PageScene scene = overlapping(rotation);
        Rect trim = scene.boxes().trim();
        BufferedImage image = PageRaster.page(scene, DESIGNED, trim, PPI);
        Item.TextFill shading = shading(scene);
        int night = packed(Sample.NIGHT);
        int signal = packed(Sample.SIGNAL);
        int inside = 0;
        int outside = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                boolean in = shading.holds((x + 0.5) / PPI * 72, (y + 0.5) / PPI * 72);
                int color = image.getRGB(x, y) & 0xffffff;
                inside += in && color == night ? 1 : 0;
                outside += !in && color == signal ? 1 : 0;
                assertThat(in && color == signal).as("at %d, %d", x, y).isFalse();
            }
        }
        assertThat(inside).isGreaterThan(5_000);
        assertThat(outside).isGreaterThan(2_000);
    }

    @Test
    void the_picture_of_the_page_has_the_same_order() {
        String svg = SvgPicture.page(overlapping(0), DESIGNED, false);
        String signal = DESIGNED.see(Sample.color(Sample.SIGNAL)).hex();
        String night = DESIGNED.see(Sample.color(Sample.NIGHT)).hex();
        String white = "<g fill=\"#ffffff\"";
        assertThat(svg.indexOf(signal)).isPositive();
        assertThat(svg.indexOf(night)).isGreaterThan(svg.indexOf(signal));
        assertThat(svg.indexOf(white)).isGreaterThan(svg.indexOf(night));
    }

    /** What a shading covers does not lie behind its text any more. */
    @Test
    void text_is_judged_on_the_shading_alone() {
        PageScene scene = overlapping(0);
        RunContrast upper =
                new Legibility(COATED, Sample.a5().level(), Sample.a5().destination())
                        .judge(scene).stream()
                                .filter(each -> each.run().text().startsWith("Reeds"))
                                .findFirst()
                                .orElseThrow();
        assertThat(upper.against()).hasSize(1);
        assertThat(upper.against().getFirst().paint().orElseThrow().name()).isEqualTo("Night");
    }

    @Test
    void backgrounds_off_leaves_text_its_shading() {
        PageScene scene = overlapping(0);
        View off = new View(Viewing.BACKGROUNDS_OFF, Medium.PAPER, COATED, COATED.paper());
        assertThat(scene.on(off).items()).anyMatch(Item.TextFill.class::isInstance);
        assertThat(scene.on(off).areas()).isEmpty();
    }
}
