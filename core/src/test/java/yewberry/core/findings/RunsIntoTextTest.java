package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;

/** Shadings that come into the way of text beside their frame. */
class RunsIntoTextTest {
    private static final PressCondition COATED = PressCondition.coated();

    /** Two frames beside each other, 5 mm apart; the first has padding that spills. */
    private static Publication beside(double padding) {
        Look shaded =
                Sample.look("Shaded", 400, 10, Sample.INK)
                        .withPanel(
                                Optional.of(
                                        Panel.shaded(
                                                        new Tinted(Sample.NIGHT.id(), 20),
                                                        Panel.Reach.MEASURE,
                                                        Padding.all(
                                                                Distance.of(Length.mm(padding))))
                                                .withHeld(false)));
        Publication page =
                Sample.withPage(
                        new Layer(
                                List.of(),
                                List.of(
                                        Sample.frame("a", 20, 40, 40, 40, shaded, "Reeds"),
                                        Sample.frame(
                                                "b",
                                                65,
                                                40,
                                                40,
                                                40,
                                                Sample.BODY,
                                                "Mud and stars"))));
        return page.withLooks(Stream.concat(page.looks().stream(), Stream.of(shaded)).toList());
    }

    private static List<RunsIntoText> found(Publication in) {
        return RunsIntoText.in(new Composer(COATED).compose(in, 0));
    }

    @Test
    void what_runs_into_other_text_is_found_with_how_far() {
        assertThat(found(beside(4))).isEmpty();
        RunsIntoText finding = found(beside(8)).getFirst();
        assertThat(finding.overlap().width()).isCloseTo(3 * 72 / 25.4, within());
        assertThat(finding.message()).contains("shading of look “Shaded”").contains("runs 3 mm");
        assertThat(finding.text()).isEqualTo("Mud and stars");
    }

    private static org.assertj.core.data.Offset<Double> within() {
        return org.assertj.core.api.Assertions.within(1e-6);
    }

    @Test
    void keeping_it_in_its_column_mends_it() {
        Publication publication = beside(8);
        Offer offer = Offer.of(found(publication).getFirst(), publication, COATED).getFirst();
        assertThat(offer.label()).contains("inside its column");
        Publication mended = Editing.edit(publication, offer.edit()).publication();
        assertThat(found(mended)).isEmpty();
    }

    /** To the left here, because the other text stands to the right. */
    @Test
    void moving_its_frame_mends_it() {
        Publication publication = beside(8);
        List<Offer> offers = Offer.of(found(publication).getFirst(), publication, COATED);
        Offer offer = offers.getLast();
        assertThat(offer.label()).isEqualTo("Move its frame 3 mm to the left");
        assertThat(found(Editing.edit(publication, offer.edit()).publication())).isEmpty();
    }
}
