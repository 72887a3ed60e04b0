package yewberry.core.legibility;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
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
import yewberry.core.edit.Editing;
import yewberry.core.mends.ContrastMend;
import yewberry.core.mends.Mend;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
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

    private static Composer composer() {
        byte[] file = grey();
        return new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE));
    }

    private static PageScene scene(PictureFrame veil) {
        return composer().compose(publication(Sample.INK, veil), 0);
    }

    private static Publication publication(Swatch color, PictureFrame veil) {
        Asset asset =
                new Asset(
                        Sample.id("grey"),
                        "Grey",
                        "any",
                        new Intake(Documents.NONE).look("grey.png", grey()));
        Look look = Sample.look("Plain", 400, 12, color).withOverprint(Look.Overprint.NEVER);
        Publication page =
                Sample.withPage(
                                new Layer(
                                        List.of(),
                                        List.of(
                                                Sample.frame(
                                                        "f", 20, 40, 60, 20, look, "Reeds and mud"),
                                                veil)))
                        .withAssets(List.of(asset));
        return page.withLooks(Stream.concat(page.looks().stream(), Stream.of(look)).toList());
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

    /** What a colour comes to through a veil is not worked out, but tried. */
    @ParameterizedTest
    @ValueSource(ints = {5, 20, 35})
    void letters_below_a_veil_get_the_nearest_swatch_that_reads_through_it(int opacity) {
        Publication veiled = publication(Sample.SIGNAL, over(10, 90, opacity, picture()));
        Legibility legibility =
                new Legibility(COATED, veiled.setup().level(), veiled.setup().destination());
        RunContrast failing = judged(composer().compose(veiled, 0));
        assertThat(failing.passes()).isFalse();
        List<Mend> mends =
                List.copyOf(
                        ContrastMend.of(
                                failing.run().run(),
                                veiled,
                                composer(),
                                legibility,
                                COATED,
                                UUID::randomUUID));
        Mend color =
                mends.stream()
                        .filter(each -> each.changes().equals("COLOR"))
                        .findFirst()
                        .orElseThrow();
        assertThat(color.words()).isEqualTo("The letters in “Ink”");
        assertThat(color.detail()).startsWith("All text of the look “Plain”");
        RunContrast after =
                judged(composer().compose(Editing.edit(veiled, color.edit()).publication(), 0));
        assertThat(after.passes()).isTrue();
        assertThat(after.worst().ratio()).isEqualTo(color.seen().orElseThrow().ratio());
    }

    @Test
    void below_a_veil_that_lets_nearly_nothing_through_no_swatch_helps() {
        Publication veiled = publication(Sample.SIGNAL, over(10, 90, 90, picture()));
        assertThat(
                        ContrastMend.of(
                                judged(composer().compose(veiled, 0)).run().run(),
                                veiled,
                                composer(),
                                new Legibility(
                                        COATED,
                                        veiled.setup().level(),
                                        veiled.setup().destination()),
                                COATED,
                                UUID::randomUUID))
                .noneMatch(each -> each.changes().equals("COLOR"));
    }
}
