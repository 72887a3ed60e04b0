package yewberry.core.legibility;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.strata.Strata;
import yewberry.core.strata.Stratum;

/** Text that is seen through what lies over it. */
class VeiledTextTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final View DESIGNED = View.designed(Medium.PAPER, COATED);
    private static final double MM = 72 / 25.4;

    /** All of one grey. */
    private static byte[] grey() {
        BufferedImage image = new BufferedImage(40, 40, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < 1600; i++) {
            image.setRGB(i % 40, i / 40, 0x808080);
        }
        return Png.of(image);
    }

    private static PageScene scene(PictureFrame veil) {
        byte[] file = grey();
        Asset asset =
                new Asset(
                        Sample.id("grey"),
                        "Grey",
                        "any",
                        new Intake(Documents.NONE).look("grey.png", file));
        Look look = Sample.look("Plain", 400, 12, Sample.INK).withOverprint(Look.Overprint.NEVER);
        var page =
                Sample.withPage(
                                new Layer(
                                        List.of(),
                                        List.of(
                                                Sample.frame(
                                                        "f", 20, 40, 60, 20, look, "Reeds and mud"),
                                                veil)))
                        .withAssets(List.of(asset));
        return new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE))
                .compose(
                        page.withLooks(
                                java.util.stream.Stream.concat(
                                                page.looks().stream(),
                                                java.util.stream.Stream.of(look))
                                        .toList()),
                        0);
    }

    private static PictureFrame over(double x, double width, double opacity, Fill fill) {
        return new PictureFrame(
                        Sample.id("veil"),
                        Sides.BOTH,
                        new Box(Length.mm(x), Length.mm(30), Length.mm(width), Length.mm(40)),
                        PictureFrame.Level.OVER,
                        fill)
                .withOpacity(opacity);
    }

    private static Fill picture() {
        return new Fill.Picture(Sample.id("grey"), Placing.COVER, RunOut.NONE, Optional.empty());
    }

    private static RunContrast judged(PageScene scene) {
        return new Legibility(COATED, Sample.a5().level(), Sample.a5().destination())
                .judge(scene)
                .getFirst();
    }

    /** Both inks mixed by the veil's own share: ISO 32000-1, 11.3.6, for a mode of normal. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 20, 50, 80, 95})
    void letters_and_ground_are_seen_through_a_veil(double opacity) {
        PageScene scene = scene(over(10, 90, opacity, picture()));
        // what the picture alone comes to on bare stock, where it covers
        Cmyk veil =
                (Cmyk)
                        Strata.at(scene(over(10, 90, 100, picture())), 90 * MM, 60 * MM, DESIGNED)
                                .getFirst()
                                .inked()
                                .orElseThrow();
        double share = opacity / 100;
        Rgb front = DESIGNED.see(mixed(new Cmyk(0, 0, 0, 100), veil, share));
        Rgb ground = DESIGNED.see(mixed(new Cmyk(0, 0, 0, 0), veil, share));
        double expected = Contrast.ratio(front, ground);
        RunContrast judged = judged(scene);
        assertThat(judged.worst().ratio() / expected).isCloseTo(1, within(0.02));
        assertThat(judged.passes()).isEqualTo(expected >= 4.5);
        assertThat(judged.veiled()).isEqualTo(opacity > 0);
        Stratum.Text text =
                Strata.at(scene, 21.5 * MM, 42.5 * MM, DESIGNED).stream()
                        .filter(Stratum.Text.class::isInstance)
                        .map(Stratum.Text.class::cast)
                        .findFirst()
                        .orElseThrow();
        assertThat(text.ratio() / expected).isCloseTo(1, within(0.03));
    }

    private static Cmyk mixed(Cmyk below, Cmyk above, double share) {
        return new Cmyk(
                below.cyan() + (above.cyan() - below.cyan()) * share,
                below.magenta() + (above.magenta() - below.magenta()) * share,
                below.yellow() + (above.yellow() - below.yellow()) * share,
                below.black() + (above.black() - below.black()) * share);
    }

    /** One that lies over a few letters makes the run as bad as they are. */
    @Test
    void a_veil_over_some_letters_counts() {
        double clear = judged(scene(over(60, 20, 90, picture()))).worst().ratio();
        double partly = judged(scene(over(10, 14, 90, picture()))).worst().ratio();
        assertThat(clear).isGreaterThan(15);
        assertThat(partly).isLessThan(4.5);
    }

    @Test
    void a_word_over_the_text_counts_where_it_is() {
        Fill.Word word =
                new Fill.Word(
                        "H",
                        "Source Sans 3",
                        700,
                        false,
                        Optional.empty(),
                        Tinted.full(Sample.INK.id()));
        RunContrast heavy = judged(scene(over(20, 30, 92, word)));
        assertThat(heavy.passes()).isFalse();
        RunContrast faint = judged(scene(over(20, 30, 10, word)));
        assertThat(faint.passes()).isTrue();
    }
}
