package yewberry.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Path2D;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Shapes and numbers in SVG; what its commands mean is section 9.3 of SVG 2. */
class SvgMarkupTest {
    @Test
    void a_relative_path_goes_from_the_end_of_each_segment() {
        Path2D path = new Path2D.Double();
        path.moveTo(1, 2);
        path.lineTo(4, -2);
        path.quadTo(4.5, 0, 0.25, 1);
        path.curveTo(1.25, 1, 2.25, 3, 0.25, 0);
        path.closePath();
        path.moveTo(10, 10); // from where the path before began
        path.lineTo(9, 11);
        assertThat(SvgMarkup.relative(path))
                .isEqualTo("m1 2l3-4q0.5 2-3.75 3c1 0 2 2 0-1zm9 8l-1 1");
    }

    @Test
    void what_is_rounded_does_not_add_up() {
        Path2D path = new Path2D.Double();
        path.moveTo(0, 0);
        for (int i = 1; i <= 3000; i++) {
            path.lineTo(i / 3.0, -i / 7.0);
        }
        double[] at = new double[2];
        Pattern.compile("[ml](-?[\\d.]+) ?(-?[\\d.]+)")
                .matcher(SvgMarkup.relative(path))
                .results()
                .forEach(segment -> {
                    at[0] += Double.parseDouble(segment.group(1));
                    at[1] += Double.parseDouble(segment.group(2));
                });
        assertThat(at[0]).isCloseTo(1000, within(1e-4));
        assertThat(at[1]).isCloseTo(-3000 / 7.0, within(1e-4));
    }

    @Test
    void numbers_have_no_more_digits_than_they_need() {
        assertThat(SvgMarkup.number(12)).isEqualTo("12");
        assertThat(SvgMarkup.number(-0.05)).isEqualTo("-0.05");
        assertThat(SvgMarkup.number(1.00004)).isEqualTo("1");
        assertThat(SvgMarkup.number(-1.23456)).isEqualTo("-1.2346");
    }
}
