package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;

/** Which backgrounds of several pages are changed together, and what comes of it. */
class CommonBackgroundTest {
    private static Publication with(Map<Integer, List<Background>> backgrounds) {
        Publication publication = Sample.publication();
        return publication.withPages(
                publication.pages().stream()
                        .map(each ->
                                each.withLayer(
                                        new Layer(
                                                backgrounds.getOrDefault(
                                                        publication.pages().indexOf(each) + 1,
                                                        List.of()),
                                                List.of())))
                        .toList());
    }

    private static Background across(String name, Fill fill) {
        return new Background(id(name), Sides.BOTH, new Area.WholeSpread(Length.mm(0)), fill);
    }

    private static Fill.Gradient gradient(double angle, double middle) {
        return new Fill.Gradient(
                Fill.Gradient.Kind.LINEAR,
                angle,
                false,
                List.of(
                        new Fill.Gradient.Stop(0, Tinted.full(NIGHT.id()), 100),
                        new Fill.Gradient.Stop(middle, Tinted.full(SIGNAL.id()), 100),
                        new Fill.Gradient.Stop(100, Tinted.full(NIGHT.id()), 100)));
    }

    @Test
    void those_on_the_same_kind_of_area_filled_alike_go_together_in_whatever_order_they_lie() {
        Publication publication =
                with(
                        Map.of(
                                1,
                                List.of(wholePage("a1", NIGHT), band("b1", Edge.TOP, 20, SIGNAL)),
                                2,
                                List.of(band("b2", Edge.TOP, 30, SIGNAL), wholePage("a2", SIGNAL)),
                                3,
                                List.of(band("c3", Edge.BOTTOM, 30, SIGNAL))));
        List<CommonBackground> common =
                CommonBackground.of(publication, List.of(page(3), page(1), page(2)));
        assertThat(common)
                .extracting(CommonBackground::ids)
                .containsExactly(
                        List.of(id("a1"), id("a2")),
                        List.of(id("b1"), id("b2")),
                        List.of(id("c3")));
        assertThat(common)
                .extracting(CommonBackground::pages)
                .containsExactly(List.of(1, 2), List.of(1, 2), List.of(3));
        assertThat(common.get(0).differing()).containsExactly("fill.color.swatch");
        assertThat(common.get(1).differing()).containsExactly("area.depth");
        assertThat(common.get(2).differing()).isEmpty();
    }

    @Test
    void two_alike_on_one_page_are_two() {
        Publication publication =
                with(
                        Map.of(
                                1,
                                List.of(wholePage("a1", NIGHT), wholePage("b1", SIGNAL)),
                                2,
                                List.of(wholePage("a2", NIGHT))));
        assertThat(CommonBackground.of(publication, List.of(page(1), page(2))))
                .extracting(CommonBackground::ids)
                .containsExactly(List.of(id("a1"), id("a2")), List.of(id("b1")));
    }

    @Test
    void gradients_differ_stop_by_stop() {
        Background one = wholePage("a1", NIGHT).withFill(gradient(90, 40));
        Background other = wholePage("a2", NIGHT).withFill(gradient(45, 60)).withOpacity(50);
        assertThat(
                        CommonBackground.of(
                                        with(Map.of(1, List.of(one), 2, List.of(other))),
                                        List.of(page(1), page(2)))
                                .getFirst()
                                .differing())
                .containsExactly("fill.angle", "fill.stops.1.position", "opacity");
    }

    @Test
    void one_across_the_spread_goes_with_that_of_the_page_beside_it_from_either_page() {
        Publication publication =
                with(
                        Map.of(
                                2,
                                List.of(across("left", gradient(0, 50))),
                                3,
                                List.of(
                                        wholePage("below", NIGHT),
                                        across("right", gradient(0, 50)))));
        assertThat(CommonBackground.of(publication, List.of(page(2))))
                .extracting(CommonBackground::ids)
                .containsExactly(List.of(id("left"), id("right")));
        assertThat(CommonBackground.of(publication, List.of(page(3))))
                .extracting(CommonBackground::ids)
                .containsExactly(List.of(id("below")), List.of(id("right"), id("left")));
        assertThat(CommonBackground.of(publication, List.of(page(2), page(3))).getFirst().pages())
                .containsExactly(2, 3);
    }

    private static Publication twoBands() {
        return with(
                Map.of(
                        1, List.of(band("b1", Edge.TOP, 20, SIGNAL)),
                        2, List.of(band("b2", Edge.TOP, 30, NIGHT).withOpacity(40))));
    }

    @Test
    void a_change_of_one_property_made_from_the_first_leaves_what_differs() {
        Publication publication = twoBands();
        CommonBackground common =
                CommonBackground.of(publication, List.of(page(1), page(2))).getFirst();
        Background was = common.background();
        Publication changed = changed(publication, common, was.withOpacity(75), Set.of());
        assertThat(changed.pages().get(1).layer().backgrounds())
                .containsExactly(band("b2", Edge.TOP, 30, NIGHT).withOpacity(75));
        assertThat(changed.pages().get(0).layer().backgrounds())
                .containsExactly(band("b1", Edge.TOP, 20, SIGNAL).withOpacity(75));
    }

    @Test
    void all_get_a_value_that_the_first_has_already_where_that_was_asked_for() {
        Publication publication = twoBands();
        CommonBackground common =
                CommonBackground.of(publication, List.of(page(1), page(2))).getFirst();
        Publication changed =
                changed(publication, common, common.background(), Set.of("area.depth"));
        assertThat(changed.pages().get(1).layer().backgrounds())
                .containsExactly(band("b2", Edge.TOP, 20, NIGHT).withOpacity(40));
        assertThat(changed(changed, common, common.background(), Set.of())).isEqualTo(changed);
    }

    private static Publication changed(
            Publication in, CommonBackground common, Background made, Set<String> also) {
        return Editing.edit(
                        in,
                        new BackgroundEdit.ChangeBackgrounds(
                                common.ids(), made, common.background(), also))
                .publication();
    }
}
