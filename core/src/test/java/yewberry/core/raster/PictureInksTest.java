package yewberry.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.compose.Composer;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;

/** A picture that hides all below it is the same by itself as painted like everything else. */
class PictureInksTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final View DESIGNED = View.designed(Medium.PAPER, COATED);
    private static final Rect REGION = new Rect(40, 60, 90, 30);
    private static final double PPI = 200;

    private final ChosenPixels pixels = ChosenPixels.of(250, 84, places());
    private final MediumScene scene = scene();
    private final Item picture = scene.lower().getFirst();
    private final PageRaster painted = PageRaster.of(scene, List.of(picture), REGION, PPI, pixels);
    private final PictureInks inks =
            PictureInks.of(scene, picture, REGION, PPI, pixels).orElseThrow();

    /** About a third of them, by seed. */
    private static int[] places() {
        Random random = new Random(3);
        return IntStream.range(0, 250 * 84).filter(_ -> random.nextInt(3) == 0).toArray();
    }

    private static MediumScene scene() {
        Random random = new Random(4);
        BufferedImage image = new BufferedImage(500, 700, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 700; y++) {
            for (int x = 0; x < 500; x++) {
                image.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        byte[] file = Png.of(image);
        Asset asset =
                new Asset(
                        new UUID(3, 1),
                        "Noise",
                        "any",
                        new Intake(Documents.NONE).look("noise.png", file));
        Fill fill = new Fill.Picture(asset.id(), Placing.COVER, RunOut.NONE, Optional.empty());
        Publication page =
                Sample.withPage(
                                new Layer(
                                        List.of(Sample.wholePage("g", Sample.NIGHT).withFill(fill)),
                                        List.of()))
                        .withAssets(List.of(asset));
        return new Composer(COATED, new Pictures(_ -> file, Documents.NONE))
                .compose(page, 0)
                .on(Medium.PAPER);
    }

    private static void areNearlyTheSame(int[] ours, int[] theirs) {
        assertThat(ours).hasSameSizeAs(theirs);
        for (int i = 0; i < ours.length; i++) {
            Rgb one = Rgb.of(ours[i]);
            Rgb other = Rgb.of(theirs[i]);
            assertThat(one.red()).isCloseTo(other.red(), within(1));
            assertThat(one.green()).isCloseTo(other.green(), within(1));
            assertThat(one.blue()).isCloseTo(other.blue(), within(1));
        }
    }

    @Test
    void what_is_seen_is_the_same() {
        areNearlyTheSame(inks.seenBehindLetters(DESIGNED), painted.seenBehindLetters(DESIGNED));
        View printed = new View(Viewing.ON_PRESS, Medium.PAPER, COATED, COATED.paper());
        areNearlyTheSame(inks.seenBehindLetters(printed), painted.seenBehindLetters(printed));
    }

    @Test
    void so_are_letters_that_overprint_it() {
        Paint black = Paint.plain(new Cmyk(0, 0, 0, 100), "black");
        Paint brown = Paint.plain(new Cmyk(0, 40, 60, 30), "brown");
        for (Paint paint : List.of(black, brown)) {
            areNearlyTheSame(
                    inks.overprinted(paint).seenBehindLetters(DESIGNED),
                    painted.overprinted(paint).seenBehindLetters(DESIGNED));
        }
        areNearlyTheSame(inks.seenBehindLetters(DESIGNED), painted.seenBehindLetters(DESIGNED));
    }

    @Test
    void so_is_what_its_colours_come_to() {
        for (int number = 0; number < pixels.count(); number += 97) {
            Cmyk ours = (Cmyk) inks.color(number);
            Cmyk theirs = (Cmyk) painted.color(number);
            assertThat(ours.cyan()).isCloseTo(theirs.cyan(), within(0.2));
            assertThat(ours.magenta()).isCloseTo(theirs.magenta(), within(0.2));
            assertThat(ours.yellow()).isCloseTo(theirs.yellow(), within(0.2));
            assertThat(ours.black()).isCloseTo(theirs.black(), within(0.2));
        }
    }
}
