package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Length;
import yewberry.core.publication.Tinted;

/** Copies of a word over a frame; a dash has one outline, so that they can be counted. */
class WordShapeTest {
    private static final Face FACE = FontLibrary.face("Source Serif 4", 700, false);
    private static final Rectangle2D ROOM = new Rectangle2D.Double(30, 50, 400, 300);

    private static List<Rectangle2D> outlines(Path2D path) {
        List<Rectangle2D> outlines = new ArrayList<>();
        double[] at = new double[6];
        Path2D one = new Path2D.Double();
        for (PathIterator each = path.getPathIterator(null); !each.isDone(); each.next()) {
            switch (each.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> {
                    one = new Path2D.Double();
                    one.moveTo(at[0], at[1]);
                }
                case PathIterator.SEG_CLOSE -> outlines.add(one.getBounds2D());
                case PathIterator.SEG_LINETO -> one.lineTo(at[0], at[1]);
                case PathIterator.SEG_QUADTO -> one.quadTo(at[0], at[1], at[2], at[3]);
                default -> one.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
            }
        }
        return outlines;
    }

    @ParameterizedTest
    @CsvSource({"20, 5, 9, 0", "20, 0, 3, 0", "33, 12, 40, -35", "14, 3, 2, 90"})
    void as_many_as_fit_whole_lie_in_rows_and_columns_with_equal_margins(
            double size, double across, double down, double angle) {
        Path2D all = WordShape.repeated(ROOM, "\u2014", FACE, size, across, down, angle);
        List<Rectangle2D> copies = outlines(all);
        Rectangle2D one = copies.getFirst();
        int columns = (int) Math.floor(400 / (one.getWidth() + across));
        int rows = (int) Math.floor(300 / (one.getHeight() + down));
        assertThat(copies).hasSize(columns * rows).hasSizeGreaterThan(20);
        assertThat(copies).allMatch(each -> ROOM.contains(each));
        Rectangle2D around = all.getBounds2D();
        assertThat(around.getCenterX()).isCloseTo(ROOM.getCenterX(), within(1e-6));
        assertThat(around.getCenterY()).isCloseTo(ROOM.getCenterY(), within(1e-6));
        assertThat(copies.get(1).getMinX() - one.getMaxX()).isGreaterThanOrEqualTo(across - 1e-6);
        assertThat(copies.get(columns).getMinY() - one.getMaxY())
                .isGreaterThanOrEqualTo(down - 1e-6);
    }

    @Test
    void one_stands_in_the_middle_where_none_fits() {
        Path2D all = WordShape.repeated(ROOM, "\u2014", FACE, 2000, 5, 5, 0);
        assertThat(outlines(all)).hasSize(1);
        assertThat(all.getBounds2D().getCenterX()).isCloseTo(230, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({"100000, 100000", "100000, 5", "5, 100000"})
    void there_are_never_more_than_can_be_drawn(double width, double height) {
        Rectangle2D room = new Rectangle2D.Double(0, 0, width, height);
        assertThat(outlines(WordShape.repeated(room, "\u2014", FACE, 2, 0, 0, 0)))
                .hasSizeBetween(1_000, WordShape.MOST);
    }

    @Test
    void a_repeated_word_has_a_size() {
        Tinted color = Tinted.full(UUID.randomUUID());
        Optional<Fill.Word.Repeat> repeat =
                Optional.of(new Fill.Word.Repeat(Length.mm(5), Length.mm(5), 30));
        assertThatThrownBy(() ->
                        new Fill.Word(
                                "Proof", "Inter", 400, false, Optional.empty(), repeat, color))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("a size of its own");
        assertThatThrownBy(() -> new Fill.Word.Repeat(Length.mm(-1), Length.mm(5), 0))
                .isInstanceOf(Refused.class);
    }
}
