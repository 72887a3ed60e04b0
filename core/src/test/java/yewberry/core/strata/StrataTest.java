package yewberry.core.strata;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.scene.PageScene;
import yewberry.core.strata.ReadingOrder.Stop;

class StrataTest {
    private final View view = Sample.asDesigned();
    private final PageScene scene =
            new Composer(PressCondition.coated())
                    .compose(
                            Sample.withPage(
                                    new Layer(
                                            List.of(
                                                    wholePage("g", NIGHT),
                                                    band("b", Edge.BOTTOM, 50, SIGNAL)),
                                            List.of(
                                                    frame("low", 10, 180, 100, 20, BODY, "Below"),
                                                    frame("up", 10, 20, 100, 20, BODY, "Above")))),
                            0);

    private List<Stratum> at(double x, double y) {
        return Strata.at(scene, Length.mm(x).points(), Length.mm(y).points(), view);
    }

    @Test
    void a_point_lists_all_from_the_text_down_to_the_stock() {
        List<Stratum> strata = at(11, 182);
        assertThat(strata)
                .extracting(stratum -> stratum.getClass().getSimpleName())
                .containsExactly("Text", "Fill", "Fill", "Stock");
        Stratum.Text text = (Stratum.Text) strata.getFirst();
        assertThat(text.below()).isEqualTo(view.see(Sample.color(SIGNAL)));
        assertThat(((Stratum.Fill) strata.get(1)).fill().paints().getFirst().name())
                .isEqualTo("Signal");
        assertThat(((Stratum.Fill) strata.get(2)).fill().paints().getFirst().name())
                .isEqualTo("Night");
        assertThat(strata.getLast().screen()).isEqualTo(Rgb.WHITE);
        assertThat(strata.getLast().inked()).isEmpty();
    }

    @Test
    void a_fill_says_which_edges_of_the_bleed_it_reaches() {
        List<Stratum> strata = at(140, 190);
        assertThat(((Stratum.Fill) strata.get(0)).bleeds())
                .containsExactlyInAnyOrder(Edge.BOTTOM, Edge.LEFT, Edge.RIGHT);
        assertThat(((Stratum.Fill) strata.get(1)).bleeds()).hasSize(4);
    }

    @Test
    void beyond_the_trim_the_bleed_is_there_and_beyond_it_only_the_stock() {
        assertThat(at(150, -2)).hasSize(2);
        assertThat(at(152, 100)).hasSize(1);
    }

    @Test
    void reading_goes_from_the_top_down_whatever_lies_above_what_and_ends_with_the_grounds() {
        List<Stop> stops = ReadingOrder.of(scene);
        assertThat(stops).hasSize(4);
        assertThat(((Stop.Words) stops.get(0)).text()).isEqualTo("Above");
        assertThat(((Stop.Words) stops.get(1)).text()).isEqualTo("Below");
        assertThat(((Stop.Area) stops.get(2)).fill().paints().getFirst().name())
                .isEqualTo("Signal");
    }

    @Test
    void the_point_of_a_paragraph_goes_through_its_text() {
        ReadingOrder.Spot spot = ((Stop.Words) ReadingOrder.of(scene).getFirst()).at();
        assertThat(Strata.at(scene, spot.x(), spot.y(), view).getFirst())
                .isInstanceOf(Stratum.Text.class);
    }
}
