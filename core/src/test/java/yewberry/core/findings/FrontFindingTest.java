package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Legibility;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;

/** Pictures in front, and what is found about them and the text around them. */
class FrontFindingTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final double MM = 72 / 25.4;

    /** As wide as it is high. */
    private static final byte[] FILE =
            Png.of(new BufferedImage(400, 400, BufferedImage.TYPE_INT_RGB));

    private static final Asset SKY =
            new Asset(
                    Sample.id("sky"),
                    "Sky",
                    "any",
                    new Intake(Documents.NONE).look("sky.png", FILE));

    private static Composer composer() {
        return new Composer(COATED, new Pictures(sha256 -> FILE, Documents.NONE));
    }

    private static PictureFrame sky(double x, double y, double size) {
        return new PictureFrame(
                Sample.id("picture"),
                Sides.BOTH,
                new Box(Length.mm(x), Length.mm(y), Length.mm(size), Length.mm(size)),
                PictureFrame.Level.CONTENT,
                new Fill.Picture(SKY.id(), Placing.COVER, RunOut.NONE, Optional.empty()));
    }

    private static PictureFrame told(PictureFrame frame) {
        return frame.withMeaning(new PictureFrame.Meaning(false, "The sky at dusk"));
    }

    private static Publication with(Look look, Frame... frames) {
        Publication page = Sample.withPage(new Layer(List.of(), List.of(frames)));
        return page.withAssets(List.of(SKY))
                .withLooks(Stream.concat(page.looks().stream(), Stream.of(look)).toList());
    }

    private static Publication with(Frame... frames) {
        return Sample.withPage(new Layer(List.of(), List.of(frames))).withAssets(List.of(SKY));
    }

    private static List<FrontFinding> found(Publication in) {
        return FrontFinding.in(composer().compose(in, 0)).stream()
                .map(FrontFinding.class::cast)
                .toList();
    }

    @Test
    void a_picture_says_what_it_shows_or_is_decoration() {
        Publication silent = with(sky(20, 20, 40));
        assertThat(found(silent)).singleElement().isInstanceOf(FrontFinding.NoAlternative.class);
        assertThat(found(with(told(sky(20, 20, 40))))).isEmpty();
        PictureFrame running =
                new PictureFrame(
                        UUID.randomUUID(),
                        Sides.BOTH,
                        sky(20, 20, 40).box(),
                        PictureFrame.Level.OVER,
                        sky(20, 20, 40).fill());
        assertThat(found(with(running))).isEmpty();
        Offer offer = Offer.of(found(silent).getFirst(), silent, COATED).getFirst();
        assertThat(offer.label()).isEqualTo("It is decoration");
        assertThat(found(Editing.edit(silent, offer.edit()).publication())).isEmpty();
    }

    /**
     * A part from 25 % to 75 % of 40 mm, so 20 mm wide, that text of one line of 4 mm lies over,
     * wherever the picture is rotated to by quarters.
     */
    @ParameterizedTest
    @CsvSource({"0", "90", "180"})
    void text_over_a_part_to_keep_clear_is_found_with_the_overlap(double rotation) {
        PictureFrame picture =
                told(sky(20, 20, 40))
                        .withClear(List.of(new PictureFrame.Clear(25, 25, 50, 50)))
                        .withRotation(rotation);
        var text = Sample.frame("caption", 20, 36, 60, 8, Sample.BODY, "M".repeat(14));
        FrontFinding.OnClear finding = (FrontFinding.OnClear) found(with(picture, text)).getFirst();
        assertThat(finding.where().x()).isCloseTo(30 * MM, within(0.01));
        assertThat(finding.where().right()).isCloseTo(50 * MM, within(0.01));
        double height = finding.where().height();
        assertThat(finding.share()).isCloseTo(height / (20 * MM), within(0.001));
        assertThat(finding.message()).contains("20 × ").contains("mm");
        var beside = Sample.frame("caption", 20, 52, 60, 8, Sample.BODY, "M".repeat(14));
        assertThat(found(with(picture, beside))).isEmpty();
    }

    @Test
    void text_below_the_picture_does_not_lie_over_it_but_is_hidden() {
        PictureFrame picture =
                told(sky(20, 20, 40)).withClear(List.of(new PictureFrame.Clear(0, 0, 100, 100)));
        var text = Sample.frame("caption", 20, 36, 60, 8, Sample.BODY, "Reeds");
        assertThat(found(with(text, picture)))
                .singleElement()
                .isInstanceOf(FrontFinding.HidesText.class);
        assertThat(found(with(text, picture.withOpacity(50)))).isEmpty();
        assertThat(found(with(text, told(sky(20, 100, 40))))).isEmpty();
    }

    private static Look shaded(boolean held) {
        return Sample.look("Shaded", 400, 10, Sample.INK)
                .withPanel(
                        Optional.of(
                                Panel.shaded(
                                                new Tinted(Sample.NIGHT.id(), 20),
                                                Panel.Reach.MEASURE,
                                                Padding.all(Distance.of(Length.mm(8))))
                                        .withHeld(held)));
    }

    @Test
    void a_shading_that_runs_into_a_picture_is_found_with_how_far_and_mended() {
        Look spilling = shaded(false);
        var text = Sample.frame("notice", 65, 30, 40, 40, spilling, "Reeds and mud");
        Publication page = with(spilling, told(sky(20, 20, 40)), text);
        FrontFinding finding = found(page).getFirst();
        assertThat(finding).isInstanceOf(FrontFinding.IntoPicture.class);
        assertThat(finding.where().width()).isCloseTo(3 * MM, within(1e-6));
        assertThat(finding.message()).contains("runs 3 mm into Sky");
        List<Offer> offers = Offer.of(finding, page, COATED);
        assertThat(offers.getFirst().label()).startsWith("Keep the shading");
        assertThat(offers.getLast().label()).isEqualTo("Move its frame 3 mm to the right");
        for (Offer offer : offers) {
            assertThat(found(Editing.edit(page, offer.edit()).publication())).isEmpty();
        }
    }

    /** A caption with a ground in the middle of a picture is meant to lie there. */
    @Test
    void a_shading_wholly_on_a_picture_is_none() {
        Look look = shaded(true);
        var text = Sample.frame("caption", 25, 25, 30, 30, look, "Reeds");
        assertThat(found(with(look, told(sky(20, 20, 40)), text))).isEmpty();
    }

    /** A picture that ends at the trim leaves a white line where the knife is off. */
    @ParameterizedTest
    @CsvSource({"88, 20, right", "20, -1, top", "20, 150, bottom"})
    void a_picture_that_ends_at_the_trim_is_carried_on_to_the_bleed(
            double x, double y, String edge) {
        Publication page = with(told(sky(x, y, 60)));
        List<Finding> ends =
                all(page).stream().filter(PressFinding.EndsAtTrim.class::isInstance).toList();
        assertThat(ends).hasSize(1);
        assertThat(ends.getFirst().message()).contains("At the " + edge);
        assertThat(ends.getFirst().text()).isEqualTo("Picture Sky");
        Offer offer = Offer.of(ends.getFirst(), page, COATED).getFirst();
        Publication carried = Editing.edit(page, offer.edit()).publication();
        assertThat(all(carried)).noneMatch(PressFinding.EndsAtTrim.class::isInstance);
        // well inside, and at the spine, where nothing bleeds
        assertThat(all(with(told(sky(0, 20, 60)))))
                .noneMatch(PressFinding.EndsAtTrim.class::isInstance);
    }

    private static List<Finding> all(Publication page) {
        return Findings.of(
                composer().compose(page, 0),
                new Legibility(COATED, Sample.a5().level(), Sample.a5().destination()),
                page.setup(),
                COATED);
    }

    @Test
    void too_few_pixels_are_found_in_front_as_well() {
        Publication page = with(told(sky(20, 20, 80)));
        List<Finding> findings = all(page);
        assertThat(findings).hasSize(1);
        // 400 pixels on 80 mm
        assertThat(findings.getFirst().message()).contains("“Sky” has 127 pixels per inch");
    }
}
