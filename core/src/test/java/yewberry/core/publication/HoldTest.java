package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a frame of a parent lies on pages of another size, worked out by hand. */
class HoldTest {
    private static final PageSize USUAL = new PageSize(Length.mm(200), Length.mm(300));
    private static final Box BOX =
            new Box(Length.mm(150), Length.mm(270), Length.mm(40), Length.mm(20));

    @ParameterizedTest
    @CsvSource({
        // on 300 mm by 150 mm: 100 mm wider, 150 mm lower
        "NEAR, 150, 40, 270, 20",
        "MIDDLE, 200, 40, 195, 20",
        "FAR, 250, 40, 120, 20",
        "SHARE, 225, 60, 135, 10"
    })
    void it_keeps_to_what_was_chosen(
            Hold.Way way, double x, double width, double y, double height) {
        Box box = new Hold(way, way).on(BOX, USUAL, new PageSize(Length.mm(300), Length.mm(150)));
        assertThat(box.x().millimetres()).isCloseTo(x, within(1e-9));
        assertThat(box.width().millimetres()).isCloseTo(width, within(1e-9));
        assertThat(box.y().millimetres()).isCloseTo(y, within(1e-9));
        assertThat(box.height().millimetres()).isCloseTo(height, within(1e-9));
    }

    @Test
    void one_that_grows_keeps_both_distances_and_never_turns_over() {
        Hold both = new Hold(Hold.Way.BOTH, Hold.Way.NEAR);
        Box wide = both.on(BOX, USUAL, new PageSize(Length.mm(250), Length.mm(300)));
        assertThat(wide.x()).isEqualTo(BOX.x());
        assertThat(wide.width().millimetres()).isCloseTo(90, within(1e-9));
        Box narrow = both.on(BOX, USUAL, new PageSize(Length.mm(20), Length.mm(300)));
        assertThat(narrow.width().points()).isEqualTo(1);
    }

    @Test
    void on_pages_of_the_usual_size_it_is_the_same_one() {
        assertThat(Hold.SHARE.on(BOX, USUAL, USUAL)).isSameAs(BOX);
        assertThat(Hold.TOP_LEFT.on(BOX, USUAL, new PageSize(Length.mm(20), Length.mm(30))))
                .isSameAs(BOX);
    }
}
