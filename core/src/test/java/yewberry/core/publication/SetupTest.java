package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;
import yewberry.core.Sample;

class SetupTest {
    private static PageSize named(String name) {
        return PageSize.common().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow()
                .size();
    }

    /** ISO 216:2007, table of trimmed sizes; from memory. */
    @ParameterizedTest
    @CsvSource({
        "A3, 297, 420",
        "A4, 210, 297",
        "A5, 148, 210",
        "A6, 105, 148",
        "A7, 74, 105",
        "B4, 250, 353",
        "B5, 176, 250",
    })
    void iso_216_sizes(String name, double width, double height) {
        assertThat(named(name)).isEqualTo(new PageSize(Length.mm(width), Length.mm(height)));
    }

    @Test
    void an_a_size_folded_once_is_the_next_one() {
        for (String[] pair :
                new String[][] {{"A3", "A4"}, {"A4", "A5"}, {"A5", "A6"}, {"A6", "A7"}}) {
            assertThat(named(pair[1]).height()).isEqualTo(named(pair[0]).width());
            assertThat(named(pair[1]).width().value())
                    .isEqualTo(Math.floor(named(pair[0]).height().value() / 2));
        }
    }

    @ParameterizedTest
    @CsvSource({"9.9 mm, 100 mm, wide", "100 mm, 201 in, high", "-5 mm, 100 mm, wide"})
    void an_impossible_page_is_refused(String width, String height, String direction) {
        assertThatThrownBy(() -> new PageSize(Length.parse(width), Length.parse(height)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(direction)
                .hasMessageContaining("10 mm to 5080 mm");
    }

    private static Setup with(Bleed bleed, Length safe, Margins margins) {
        Setup usual = Sample.a5();
        return new Setup(
                Destination.PAPER,
                usual.trim(),
                true,
                bleed,
                safe,
                margins,
                usual.unit(),
                usual.level(),
                usual.press(),
                usual.checks());
    }

    @Test
    void a_negative_bleed_is_refused_by_name() {
        Bleed bleed = new Bleed(Length.mm(-3), Length.mm(3), Length.mm(3), Length.ZERO);
        assertThatThrownBy(() -> with(bleed, Length.mm(3), Sample.a5().margins()))
                .isInstanceOf(Refused.class)
                .hasMessage("Bleed at the top of -3 mm is negative; use 0 mm or more.");
    }

    @Test
    void a_bleed_wider_than_half_the_page_is_refused_with_what_is_possible() {
        Bleed bleed = new Bleed(Length.mm(3), Length.mm(3), Length.mm(80), Length.ZERO);
        assertThatThrownBy(() -> with(bleed, Length.mm(3), Sample.a5().margins()))
                .hasMessageContaining("80 mm")
                .hasMessageContaining("at most 74 mm");
    }

    @Test
    void margins_that_leave_no_room_are_refused() {
        Length wide = Length.mm(74);
        Margins margins = new Margins(Length.mm(10), Length.mm(10), wide, wide);
        assertThatThrownBy(() -> with(Bleed.USUAL, Length.mm(3), margins))
                .hasMessageContaining("leave no room in a width of 148 mm");
    }

    @Test
    void page_1_is_a_right_hand_page_when_pages_face() {
        assertThat(Sample.a5().sideOf(0)).isEqualTo(Side.RIGHT);
        assertThat(Sample.a5().sideOf(1)).isEqualTo(Side.LEFT);
        Setup single = Setup.of(Sample.a5().trim(), false);
        assertThat(single.sideOf(1)).isEqualTo(Side.RIGHT);
    }

    @Test
    void the_usual_bleed_is_3_mm_and_none_at_the_spine() {
        Bleed bleed = Sample.a5().bleed();
        assertThat(bleed.top()).isEqualTo(Length.mm(3));
        assertThat(bleed.bottom()).isEqualTo(Length.mm(3));
        assertThat(bleed.outside()).isEqualTo(Length.mm(3));
        assertThat(bleed.spine()).isEqualTo(Length.ZERO);
        assertThat(Sample.a5().safe()).isEqualTo(Length.mm(3));
    }
}
