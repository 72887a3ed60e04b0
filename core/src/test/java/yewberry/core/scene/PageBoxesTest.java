package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.publication.Area;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Length;
import yewberry.core.publication.Margins;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;
import yewberry.core.publication.Unit;

class PageBoxesTest {
    private static final double MM = 72 / 25.4;

    private final PageBoxes right = PageBoxes.of(Sample.a5(), Side.RIGHT);
    private final PageBoxes left = PageBoxes.of(Sample.a5(), Side.LEFT);

    private static void isMillimetres(Rect rect, double x, double y, double width, double height) {
        assertThat(rect.x() / MM).isCloseTo(x, within(1e-6));
        assertThat(rect.y() / MM).isCloseTo(y, within(1e-6));
        assertThat(rect.width() / MM).isCloseTo(width, within(1e-6));
        assertThat(rect.height() / MM).isCloseTo(height, within(1e-6));
    }

    @Test
    void a_right_hand_page_bleeds_at_its_right_and_ends_at_the_spine() {
        isMillimetres(right.bleed(), 0, -3, 151, 216);
        isMillimetres(left.bleed(), -3, -3, 151, 216);
    }

    @Test
    void without_facing_pages_the_bleed_goes_all_round() {
        PageBoxes boxes = PageBoxes.of(Setup.of(Sample.a5().trim(), false), Side.RIGHT);
        isMillimetres(boxes.bleed(), -3, -3, 154, 216);
    }

    @Test
    void a_background_on_the_whole_page_fills_the_bleed_exactly() {
        assertThat(right.place(new Area.WholePage())).isEqualTo(right.bleed());
    }

    @Test
    void a_band_on_the_outside_edge_changes_sides_on_a_left_page() {
        Area outside = new Area.Band(Edge.OUTSIDE, Length.mm(20));
        isMillimetres(right.place(outside), 128, -3, 23, 216);
        isMillimetres(left.place(outside), -3, -3, 23, 216);
    }

    @Test
    void a_band_on_the_inside_edge_ends_at_the_spine() {
        Area inside = new Area.Band(Edge.INSIDE, Length.mm(20));
        isMillimetres(right.place(inside), 0, -3, 20, 216);
        isMillimetres(left.place(inside), 128, -3, 20, 216);
    }

    @Test
    void a_band_along_the_bottom_reaches_three_edges_of_the_bleed() {
        isMillimetres(right.place(new Area.Band(Edge.BOTTOM, Length.mm(30))), 0, 180, 151, 33);
    }

    @Test
    void a_spine_bleed_for_ring_binding_is_filled_by_the_pages_own_background() {
        Setup usual = Sample.a5();
        Bleed ring = new Bleed(Length.mm(3), Length.mm(3), Length.mm(3), Length.mm(5));
        Setup setup =
                new Setup(
                        Destination.PAPER,
                        usual.trim(),
                        true,
                        ring,
                        usual.safe(),
                        usual.margins(),
                        usual.unit(),
                        usual.level(),
                        usual.press(),
                        usual.checks());
        PageBoxes boxes = PageBoxes.of(setup, Side.RIGHT);
        isMillimetres(boxes.place(new Area.WholePage()), -5, -3, 156, 216);
    }

    /**
     * For any trim, bleed, area and side: an edge that is touched is covered to the bleed, exactly.
     */
    @Test
    void whatever_the_measures_a_band_covers_its_edges_exactly_to_the_bleed() {
        Random random = new Random(20261124);
        for (int i = 0; i < 2000; i++) {
            double width = 50 + random.nextDouble() * 400;
            double height = 50 + random.nextDouble() * 400;
            double half = Math.min(width, height) / 2 - 1;
            Bleed bleed =
                    new Bleed(
                            Length.mm(random.nextDouble() * half),
                            Length.mm(random.nextDouble() * half),
                            Length.mm(random.nextDouble() * half),
                            Length.mm(random.nextBoolean() ? 0 : random.nextDouble() * half));
            Margins margins = new Margins(Length.mm(5), Length.mm(5), Length.mm(5), Length.mm(5));
            Setup setup =
                    new Setup(
                            Destination.PAPER,
                            new PageSize(Length.mm(width), Length.mm(height)),
                            random.nextBoolean(),
                            bleed,
                            Length.mm(1),
                            margins,
                            Unit.MM,
                            Sample.a5().level(),
                            Sample.a5().press(),
                            Sample.a5().checks());
            Side side = setup.facing() && random.nextBoolean() ? Side.LEFT : Side.RIGHT;
            PageBoxes boxes = PageBoxes.of(setup, side);
            Edge edge = Edge.values()[random.nextInt(Edge.values().length)];
            double depth = 1 + random.nextDouble() * 600;
            Rect placed = boxes.place(new Area.Band(edge, Length.mm(depth)));
            Rect within = boxes.bleed();

            assertThat(within.contains(placed)).as("%s of %s", edge, setup).isTrue();
            double across =
                    edge.on(side) == Edge.TOP || edge.on(side) == Edge.BOTTOM
                            ? placed.width() - within.width()
                            : placed.height() - within.height();
            assertThat(across).isCloseTo(0, within(1e-6));
            switch (edge.on(side)) {
                case TOP -> {
                    assertThat(placed.y()).isCloseTo(within.y(), within(1e-6));
                    assertThat(placed.bottom())
                            .isCloseTo(Math.min(depth, height) * MM, within(1e-6));
                }
                case BOTTOM -> assertThat(placed.bottom()).isCloseTo(within.bottom(), within(1e-6));
                case LEFT, INSIDE -> assertThat(placed.x()).isCloseTo(within.x(), within(1e-6));
                case RIGHT, OUTSIDE ->
                        assertThat(placed.right()).isCloseTo(within.right(), within(1e-6));
            }
        }
    }

    @Test
    void taking_one_rectangle_from_another_leaves_the_rest_and_nothing_twice() {
        Rect whole = new Rect(0, 0, 10, 10);
        Rect hole = new Rect(2, 3, 4, 5);
        double rest = whole.minus(hole).stream().mapToDouble(r -> r.width() * r.height()).sum();
        assertThat(rest).isCloseTo(80, within(1e-9));
        assertThat(whole.minus(new Rect(20, 20, 1, 1))).containsExactly(whole);
        assertThat(whole.minus(new Rect(-1, -1, 20, 20))).isEmpty();
    }
}
