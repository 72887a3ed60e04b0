package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.Pairings;
import yewberry.core.legibility.RunContrast;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.PageRaster;
import yewberry.core.strata.Strata;
import yewberry.core.strata.Stratum;

/** A point of a page has one colour, whoever asks for it. */
class OneColorTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Rgb BLUE = new Rgb(0, 0, 149);
    private static final Rgb MAGENTA = new Rgb(255, 0, 255);

    private static Publication publication(Background... more) {
        Layer layer =
                new Layer(
                        java.util.stream.Stream.concat(
                                        java.util.stream.Stream.of(
                                                Sample.wholePage("g", Sample.NIGHT)),
                                        java.util.Arrays.stream(more))
                                .toList(),
                        List.of(Sample.frame("f", 20, 20, 100, 30, Sample.BODY, "Words")));
        return Sample.withColor(
                Sample.withColor(Sample.withPage(layer), Sample.NIGHT, BLUE), Sample.INK, MAGENTA);
    }

    private static Destination destination(Medium medium) {
        return medium == Medium.PAPER ? Destination.PAPER : Destination.SCREEN;
    }

    /** Far from the text, and letting something through, so that the page is painted in pixels. */
    private static Background veil() {
        return new Background(
                        Sample.id("veil"),
                        Sides.BOTH,
                        new Area.Rectangle(
                                new Anchor(Anchor.Across.RIGHT, Anchor.Down.BOTTOM),
                                Length.mm(5),
                                Length.mm(5),
                                Length.mm(10),
                                Length.mm(10),
                                Set.of()),
                        new Fill.Solid(Tinted.full(Sample.WHITE.id())))
                .withOpacity(50);
    }

    @ParameterizedTest
    @EnumSource(Medium.class)
    void a_pixel_that_is_painted_by_itself_is_that_of_the_whole_page(Medium medium) {
        View view = View.designed(medium, COATED);
        MediumScene scene = new Composer(COATED).compose(publication(veil()), 0).on(view);
        Rect region = scene.boxes().bleed();
        BufferedImage whole = PageRaster.areas(scene, region, 31).image(view);
        int count = whole.getWidth() * whole.getHeight();
        BitSet some = new BitSet();
        new Random(5).ints(count / 7, 0, count).forEach(some::set);
        int[] seen =
                PageRaster.of(
                                scene,
                                scene.fills(),
                                region,
                                31,
                                ChosenPixels.of(whole.getWidth(), whole.getHeight(), some))
                        .seen(view);
        assertThat(seen)
                .containsExactly(
                        some.stream()
                                .map(at ->
                                        whole.getRGB(at % whole.getWidth(), at / whole.getWidth())
                                                & 0xffffff)
                                .toArray());
        assertThat(Arrays.stream(seen).distinct().count())
                .as("veiled, not veiled, and the edge between")
                .isGreaterThan(2);
    }

    @ParameterizedTest
    @EnumSource(Medium.class)
    void picture_small_picture_strata_verdict_and_pairings_agree(Medium medium) {
        View view = View.designed(medium, COATED);
        Rgb background = view.see(BLUE);
        PageScene plain = new Composer(COATED).compose(publication(), 0);
        PageScene veiled = new Composer(COATED).compose(publication(veil()), 0);
        assertThat(SvgPicture.page(plain, view, false)).contains(background.hex());
        for (PageScene scene : List.of(plain, veiled)) {
            for (double ppi : new double[] {54, 144}) {
                BufferedImage picture = PageRaster.page(scene, view, scene.boxes().trim(), ppi);
                assertThat(picture.getRGB(3, 3) & 0xffffff)
                        .isEqualTo(
                                background.red() << 16
                                        | background.green() << 8
                                        | background.blue());
            }
            assertThat(Strata.at(scene, 10, 10, view))
                    .first()
                    .isInstanceOf(Stratum.Fill.class)
                    .extracting(Stratum::screen)
                    .isEqualTo(background);
            Legibility legibility = new Legibility(COATED, Level.AA, destination(medium));
            RunContrast contrast = legibility.judge(scene).getFirst();
            assertThat(contrast.worst().color()).isEqualTo(background);
            assertThat(contrast.worst().ratio())
                    .isEqualTo(Contrast.ratio(view.see(MAGENTA), background));
            assertThat(Pairings.of(List.of(scene), List.of(), legibility, Level.AA, view).cells())
                    .filteredOn(cell -> !cell.occurrences().isEmpty())
                    .singleElement()
                    .extracting(Pairings.Cell::ratio)
                    .isEqualTo(contrast.worst().ratio());
        }
    }

    @ParameterizedTest
    @EnumSource(Medium.class)
    void what_is_mixed_is_mixed_in_what_the_medium_has(Medium medium) {
        View view = View.designed(medium, COATED);
        PageScene scene = new Composer(COATED).compose(publication(veil()), 0);
        double mm = 72 / 25.4;
        Rgb seen = Strata.at(scene, 138 * mm, 200 * mm, view).getFirst().screen();
        Cmyk ink = COATED.toInk(BLUE);
        Rgb wanted =
                switch (medium) {
                    case PAPER ->
                            COATED.toScreen(
                                    new Cmyk(
                                            ink.cyan() / 2,
                                            ink.magenta() / 2,
                                            ink.yellow() / 2,
                                            ink.black() / 2));
                    // CSS Compositing 1: the mean of the encoded components
                    case SCREEN -> new Rgb(128, 128, 202);
                };
        assertThat(seen).isEqualTo(wanted);
    }

    /** Light text that passes as sRGB fails as it is printed. */
    @org.junit.jupiter.api.Test
    void a_verdict_for_paper_is_of_the_plates() {
        PageScene scene = new Composer(COATED).compose(publication(), 0);
        RunContrast paper =
                new Legibility(COATED, Level.AA, Destination.PAPER).judge(scene).getFirst();
        RunContrast screen =
                new Legibility(COATED, Level.AA, Destination.SCREEN).judge(scene).getFirst();
        RunContrast both =
                new Legibility(COATED, Level.AA, Destination.BOTH).judge(scene).getFirst();
        assertThat(screen.passes()).isTrue();
        assertThat(paper.passes()).isFalse();
        assertThat(paper.worst().ratio()).isBetween(2.5, 3.1);
        assertThat(both.medium()).isEqualTo(Medium.PAPER);
        assertThat(both.worst().ratio()).isEqualTo(paper.worst().ratio());
    }
}
