package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Area;
import java.awt.geom.PathIterator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Sample;
import yewberry.core.publication.Border;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Length;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Form;
import yewberry.core.scene.Rect;

/** What the lines of borders fill. */
class BorderFormTest {
    private static final Rect BOX = new Rect(10, 20, 200, 60);

    private static Form form(List<Edge> sides, double width, Border.Style style, double radius) {
        return BorderForm.of(
                new Rounded(List.of(BOX), radius, true, true),
                new Border(sides, Length.pt(width), Tinted.full(Sample.INK.id()), style),
                false,
                false);
    }

    private static boolean fills(Form form, double x, double y) {
        return form.path().contains(x, y);
    }

    @Test
    void a_line_lies_within_the_outer_edge() {
        Form form = form(Border.ALL, 6, Border.Style.SOLID, 0);
        assertThat(form.bounds().x()).isCloseTo(10, within(1e-6));
        assertThat(form.bounds().right()).isCloseTo(210, within(1e-6));
        assertThat(fills(form, 11, 50)).isTrue();
        assertThat(fills(form, 15.9, 50)).isTrue();
        assertThat(fills(form, 16.1, 50)).isFalse();
        assertThat(fills(form, 110, 79)).isTrue();
    }

    @Test
    void single_sides_have_lines_and_the_others_none() {
        Form form = form(List.of(Edge.LEFT, Edge.BOTTOM), 4, Border.Style.SOLID, 0);
        assertThat(fills(form, 12, 50)).isTrue();
        assertThat(fills(form, 100, 78)).isTrue();
        assertThat(fills(form, 100, 22)).isFalse();
        assertThat(fills(form, 208, 50)).isFalse();
    }

    /** Thirds of the width, or fifths: line, gap, line. */
    @ParameterizedTest
    @CsvSource({"DOUBLE, 3", "TRIPLE, 5"})
    void several_lines_share_the_width(Border.Style style, int parts) {
        Form form = form(Border.ALL, 15, style, 0);
        for (int part = 0; part < parts; part++) {
            double x = 10 + 15 * (part + 0.5) / parts;
            assertThat(fills(form, x, 50)).as("part " + part).isEqualTo(part % 2 == 0);
        }
    }

    @Test
    void dashes_come_out_even() {
        Form form = form(List.of(Edge.TOP), 2, Border.Style.DASHED, 0);
        assertThat(fills(form, 11, 21)).isTrue();
        assertThat(fills(form, 209, 21)).as("it ends with a dash").isTrue();
        int changes = 0;
        for (double x = 10.05; x < 210; x += 0.1) {
            changes += fills(form, x, 21) == fills(form, x - 0.1, 21) ? 0 : 1;
        }
        assertThat(changes % 2).isOne();
        assertThat(changes / 2).isBetween(18, 21);
    }

    /** So fine that nobody would see them, and more than any painter likes. */
    @ParameterizedTest
    @EnumSource(names = {"DASHED", "DOTTED"})
    @Timeout(10)
    void the_finest_lines_are_made_in_no_time(Border.Style style) {
        Form form =
                BorderForm.of(
                        new Rounded(List.of(new Rect(0, 0, 8_000, 8_000)), 0, true, true),
                        new Border(
                                Border.ALL, Length.pt(0.001), Tinted.full(Sample.INK.id()), style),
                        false,
                        false);
        int segments = 0;
        for (PathIterator path = form.path().getPathIterator(null); !path.isDone(); path.next()) {
            segments++;
        }
        assertThat(segments).isLessThan(50_000);
    }

    @Test
    void a_radius_rounds_the_outer_corners_and_what_is_left_of_it_the_inner() {
        Form form = form(Border.ALL, 4, Border.Style.SOLID, 10);
        assertThat(fills(form, 10.5, 20.5)).isFalse();
        assertThat(
                        fills(
                                form,
                                10 + 10 - 10 / Math.sqrt(2) + 0.1,
                                20 + 10 - 10 / Math.sqrt(2) + 0.1))
                .isTrue();
        Area hole = new Area(BOX.shape());
        hole.subtract(new Area(form.path()));
        // the inner corner has a radius of 6 about the same middle
        assertThat(hole.contains(20 - 5.9 / Math.sqrt(2), 30 - 5.9 / Math.sqrt(2))).isTrue();
        assertThat(hole.contains(20 - 6.1 / Math.sqrt(2), 30 - 6.1 / Math.sqrt(2))).isFalse();
    }
}
