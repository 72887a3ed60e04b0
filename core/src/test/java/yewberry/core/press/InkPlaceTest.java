package yewberry.core.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Layer;
import yewberry.core.scene.Item;

class InkPlaceTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static List<InkPlace> places(Layer layer) {
        return InkPlace.of(new Composer(COATED).compose(Sample.withPage(layer), 0));
    }

    @Test
    void a_fill_has_its_own_ink_on_what_no_other_fill_covers() {
        List<InkPlace> places =
                places(
                        new Layer(
                                List.of(wholePage("g", INK), band("b", Edge.BOTTOM, 60, NIGHT)),
                                List.of()));
        assertThat(places).extracting(InkPlace::total).containsExactly(100.0, 280.0);
        // page 1 stands on the right: bleed of 3 mm at the outside, top and bottom, none inside
        assertThat(places.get(0).area()).isCloseTo(15.1 * 15.3, within(1e-6));
        assertThat(places.get(1).area()).isCloseTo(15.1 * 6.3, within(1e-6));
        assertThat(
                        places(
                                new Layer(
                                        List.of(wholePage("g", INK), wholePage("h", WHITE)),
                                        List.of())))
                .hasSize(1);
    }

    @Test
    void overprinting_text_adds_its_ink_to_the_ground() {
        List<InkPlace> places =
                places(
                        new Layer(
                                List.of(wholePage("g", NIGHT)),
                                List.of(frame("f", 10, 10, 90, 20, BODY, "Dark"))));
        InkPlace text = places.getLast();
        assertThat(text.item()).isInstanceOf(Item.GlyphRun.class);
        assertThat(text.total()).isEqualTo(328);
        assertThat(text.backdrop().orElseThrow().paints().getFirst().name()).isEqualTo("Night");
    }

    @Test
    void ink_over_the_limit_is_cut_to_what_looks_most_alike() {
        Cmyk heavy = new Cmyk(100, 90, 80, 95);
        Cmyk less = WithinLimit.nearest(heavy, 300, COATED);
        assertThat(less.total()).isLessThanOrEqualTo(300);
        Cmyk evenly = new Cmyk(75, 67, 60, 95);
        double distance = Difference.ciede2000(COATED.lab(heavy), COATED.lab(less));
        assertThat(distance)
                .isLessThanOrEqualTo(Difference.ciede2000(COATED.lab(heavy), COATED.lab(evenly)))
                .isLessThan(3);
        assertThat(WithinLimit.nearest(less, 300, COATED)).isEqualTo(less);
    }

    @Test
    void a_rich_black_stays_within_the_limit() {
        assertThat(RichBlack.within(330)).isEqualTo(new Cmyk(60, 40, 40, 100));
        assertThat(RichBlack.within(170)).isEqualTo(new Cmyk(30, 20, 20, 100));
        assertThat(RichBlack.within(100)).isEqualTo(new Cmyk(0, 0, 0, 100));
    }
}
