package yewberry.core.legibility;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Level;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
import yewberry.core.publication.Uses;
import yewberry.core.scene.Paint;

class PairingsTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static Pairings of(Publication publication, View view) {
        return Pairings.of(
                new Composer(COATED).composeAll(publication),
                List.of(),
                new Legibility(COATED, Level.AA, Destination.PAPER),
                Level.AA,
                view);
    }

    private static Publication inkOnNight() {
        return Sample.withPage(
                new Layer(
                        List.of(wholePage("g", NIGHT)),
                        List.of(
                                frame("big", 10, 10, 100, 30, HEADING, "Large"),
                                frame("small", 10, 60, 100, 30, BODY, "Small"))));
    }

    @Test
    void a_pair_that_occurs_is_judged_by_the_smallest_text_set_in_it() {
        Pairings pairings = of(inkOnNight(), Sample.asDesigned());
        assertThat(pairings.texts()).singleElement().extracting("name").isEqualTo("Ink");
        Pairings.Cell cell = pairings.cells().getFirst();
        assertThat(cell.required()).isEqualTo(4.5);
        assertThat(cell.passes()).isFalse();
        assertThat(cell.occurrences()).hasSize(2);
        assertThat(cell.occurrences().getFirst().run().text()).isEqualTo("Small");
        assertThat(cell.ratio())
                .isEqualTo(
                        Contrast.ratio(
                                COATED.toScreen(new Cmyk(100, 86, 42, 100)),
                                COATED.toScreen(Sample.color(NIGHT))));
    }

    @Test
    void large_text_alone_asks_for_less() {
        Publication large =
                Sample.withPage(
                        new Layer(
                                List.of(wholePage("g", NIGHT)),
                                List.of(frame("big", 10, 10, 100, 30, HEADING, "Large"))));
        assertThat(of(large, Sample.asDesigned()).cells().getFirst().required()).isEqualTo(3);
    }

    @Test
    void a_pair_passes_by_the_ratio_that_is_shown() {
        View press = new View(Viewing.ON_PRESS, Medium.PAPER, COATED, COATED.paper());
        Publication barely = Sample.withColor(inkOnNight(), NIGHT, new Rgb(118, 118, 118));
        Pairings.Cell designed = of(barely, Sample.asDesigned()).cells().getFirst();
        Pairings.Cell seen = of(barely, press).cells().getFirst();
        assertThat(seen.ratio()).isLessThan(designed.ratio());
        assertThat(seen.passes()).isEqualTo(seen.ratio() >= seen.required());
    }

    @Test
    void where_a_swatch_is_used_is_told_in_words() {
        assertThat(Uses.where(inkOnNight(), NIGHT.id())).containsExactly("parent “Dark”", "page 1");
        assertThat(Uses.where(inkOnNight(), Sample.INK.id()))
                .containsExactly("look “Body”", "look “Heading”");
    }

    @Test
    void colours_that_might_be_used_are_held_against_all_others() {
        Publication publication = inkOnNight();
        Palette palette = new Palette(publication::swatch, COATED);
        Pairings pairings =
                Pairings.of(
                        new Composer(COATED).composeAll(publication),
                        publication.swatches().stream()
                                .map(swatch -> Paint.of(swatch, palette))
                                .toList(),
                        new Legibility(COATED, Level.AA, Destination.PAPER),
                        Level.AA,
                        Sample.asDesigned());
        assertThat(pairings.texts()).extracting(Paint::name).doesNotHaveDuplicates().hasSize(4);
        assertThat(pairings.cells())
                .hasSize(pairings.texts().size() * pairings.backdrops().size())
                .filteredOn(cell -> !cell.occurrences().isEmpty())
                .hasSize(1);
    }

    @Test
    void a_gradient_is_one_column_and_each_pair_goes_by_the_worst_it_stands_on() {
        Fill fade =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        0,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(NIGHT.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(Sample.WHITE.id()), 100)));
        Background background = wholePage("g", NIGHT).withFill(fade);
        Pairings pairings =
                of(
                        Sample.withPage(
                                new Layer(
                                        List.of(background),
                                        List.of(
                                                frame("dark", 10, 10, 30, 30, BODY, "Dark end"),
                                                frame("pale", 110, 10, 30, 30, BODY, "Pale end")))),
                        Sample.asDesigned());
        assertThat(pairings.backdrops())
                .filteredOn(column -> column.filter(Paint::sampled).isPresent())
                .singleElement()
                .satisfies(column ->
                        assertThat(column.orElseThrow().name()).isEqualTo("Night to White"));
        Pairings.Cell cell =
                pairings.cells().stream()
                        .filter(each -> !each.occurrences().isEmpty())
                        .reduce((a, b) -> {
                            throw new AssertionError("more than one pair occurs");
                        })
                        .orElseThrow();
        assertThat(cell.occurrences()).hasSize(2);
        assertThat(cell.ratio()).isLessThan(2);
    }
}
