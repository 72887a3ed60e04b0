package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Sample;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Length;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;

class AreaPlacingTest {
    private static final double MM = 72 / 25.4;

    /** A page, its hand, and an area; the same for the same seed. */
    private record Case(int seed, Setup setup, Side side, Area.Rectangle area) {
        static Case of(int seed) {
            Random random = new Random(seed);
            PageSize trim =
                    new PageSize(
                            Length.mm(60 + random.nextInt(300)),
                            Length.mm(60 + random.nextInt(300)));
            Setup usual = Setup.of(trim, random.nextInt(4) > 0);
            Bleed bleed =
                    new Bleed(
                            Length.mm(random.nextInt(6)),
                            Length.mm(random.nextInt(6)),
                            Length.mm(random.nextInt(6)),
                            Length.mm(random.nextInt(3)));
            Setup setup =
                    new Setup(
                            Destination.PAPER,
                            trim,
                            usual.facing(),
                            bleed,
                            usual.safe(),
                            usual.margins(),
                            usual.unit(),
                            usual.level(),
                            usual.press(),
                            usual.checks());
            Set<Edge> bleeds = EnumSet.noneOf(Edge.class);
            for (Edge edge : Edge.values()) {
                if (random.nextInt(3) == 0) {
                    bleeds.add(edge);
                }
            }
            Area.Rectangle area =
                    new Area.Rectangle(
                            new Anchor(
                                    Anchor.Across.values()[random.nextInt(5)],
                                    Anchor.Down.values()[random.nextInt(3)]),
                            Length.mm(random.nextInt(20)),
                            Length.mm(random.nextInt(20)),
                            Length.mm(1 + random.nextInt(40)),
                            Length.mm(1 + random.nextInt(40)),
                            bleeds);
            Side side = setup.facing() && random.nextBoolean() ? Side.LEFT : Side.RIGHT;
            return new Case(seed, setup, side, area);
        }

        PageBoxes boxes() {
            return PageBoxes.of(setup, side);
        }
    }

    static List<Case> cases() {
        return IntStream.range(0, 200).mapToObj(Case::of).toList();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void a_bleeding_edge_covers_exactly_to_the_bleed_and_the_others_stay(Case each) {
        Rect rect = each.boxes().place(each.area());
        Rect bleed = each.boxes().bleed();
        Set<Edge> bleeds = EnumSet.noneOf(Edge.class);
        each.area().bleeds().forEach(edge -> bleeds.add(edge.on(each.side())));
        Rect plain = each.boxes().place(withoutBleeds(each.area()));
        assertThat(rect.y()).isEqualTo(bleeds.contains(Edge.TOP) ? bleed.y() : plain.y());
        assertThat(rect.x()).isEqualTo(bleeds.contains(Edge.LEFT) ? bleed.x() : plain.x());
        assertThat(rect.bottom())
                .isCloseTo(
                        bleeds.contains(Edge.BOTTOM) ? bleed.bottom() : plain.bottom(),
                        within(1e-9));
        assertThat(rect.right())
                .isCloseTo(
                        bleeds.contains(Edge.RIGHT) ? bleed.right() : plain.right(), within(1e-9));
        assertThat(plain.width()).isCloseTo(each.area().width().points(), within(1e-9));
        assertThat(plain.height()).isCloseTo(each.area().height().points(), within(1e-9));
    }

    private static Area.Rectangle withoutBleeds(Area.Rectangle area) {
        return new Area.Rectangle(
                area.anchor(), area.across(), area.down(), area.width(), area.height(), Set.of());
    }

    @ParameterizedTest
    @MethodSource("cases")
    void what_is_measured_from_inside_or_outside_is_mirrored_on_the_other_hand(Case each) {
        Area.Rectangle area = each.area();
        Anchor.Across across = area.anchor().across();
        if (across == Anchor.Across.INSIDE || across == Anchor.Across.OUTSIDE) {
            Area.Rectangle plain = withoutBleeds(area);
            Rect left = PageBoxes.of(each.setup(), Side.LEFT).place(plain);
            Rect right = PageBoxes.of(each.setup(), Side.RIGHT).place(plain);
            double width = each.boxes().trim().width();
            assertThat(left.x()).isCloseTo(width - right.right(), within(1e-9));
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void both_halves_of_a_spread_meet_at_the_spine_and_go_out_to_the_bleed(Case each) {
        Area spread = new Area.WholeSpread(Length.ZERO);
        PageBoxes left = PageBoxes.of(each.setup(), Side.LEFT);
        PageBoxes right = PageBoxes.of(each.setup(), Side.RIGHT);
        Rect onLeft = left.frame(spread, Optional.of(right));
        Rect onRight = right.frame(spread, Optional.of(left));
        // seen from the left page, the right one begins where the left one ends
        assertThat(onLeft.x()).isCloseTo(onRight.x() + left.trim().width(), within(1e-6));
        assertThat(onLeft.width()).isCloseTo(onRight.width(), within(1e-6));
        assertThat(onLeft.x()).isCloseTo(left.bleed().x(), within(1e-9));
        assertThat(onRight.right()).isCloseTo(right.bleed().right(), within(1e-6));
        assertThat(left.frame(spread, Optional.empty())).isEqualTo(left.bleed());
    }

    @Test
    void what_the_binding_swallows_is_made_up_for_on_both_pages() {
        Area spread = new Area.WholeSpread(Length.mm(4));
        PageBoxes left = PageBoxes.of(Sample.a5(), Side.LEFT);
        PageBoxes right = PageBoxes.of(Sample.a5(), Side.RIGHT);
        Rect onLeft = left.frame(spread, Optional.of(right));
        Rect onRight = right.frame(spread, Optional.of(left));
        assertThat(onLeft.x() + onLeft.width() / 2).isCloseTo((148 - 4) * MM, within(1e-6));
        assertThat(onRight.x() + onRight.width() / 2).isCloseTo(4 * MM, within(1e-6));
        assertThat(onLeft.width()).isCloseTo(2 * (148 - 4 + 3) * MM, within(1e-6));
    }

    @Test
    void the_safe_area_never_bleeds_and_follows_the_setup() {
        PageBoxes boxes = PageBoxes.of(Sample.a5(), Side.RIGHT);
        assertThat(boxes.place(new Area.SafeArea())).isEqualTo(boxes.safe());
    }

    @Test
    void a_rectangle_is_measured_from_its_corner_inwards() {
        PageBoxes boxes = PageBoxes.of(Sample.a5(), Side.RIGHT);
        Area corner =
                new Area.Rectangle(
                        new Anchor(Anchor.Across.OUTSIDE, Anchor.Down.BOTTOM),
                        Length.mm(5),
                        Length.pt(36),
                        Length.mm(30),
                        Length.mm(20),
                        Set.of());
        Rect rect = boxes.place(corner);
        assertThat(rect.right()).isCloseTo((148 - 5) * MM, within(1e-9));
        assertThat(rect.bottom()).isCloseTo(210 * MM - 36, within(1e-9));
        Area centre =
                new Area.Rectangle(
                        new Anchor(Anchor.Across.MIDDLE, Anchor.Down.MIDDLE),
                        Length.ZERO,
                        Length.mm(10),
                        Length.mm(48),
                        Length.mm(10),
                        Set.of());
        assertThat(boxes.place(centre).x()).isCloseTo(50 * MM, within(1e-9));
        assertThat(boxes.place(centre).y()).isCloseTo(110 * MM, within(1e-9));
    }
}
