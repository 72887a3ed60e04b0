package yewberry.core.text;

import java.util.List;
import java.util.UUID;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;

/**
 * What lies behind paragraphs and around them in one column.
 *
 * @param paragraph the first of those that share it
 * @param look of that
 * @param rows that it fills out to the edge of its border, from the top down: one, or one a line
 * @param cutAbove whether it is cut where it goes on from another column
 * @param cutBelow whether it is cut where it goes on in another column
 */
public record SetPanel(
        UUID paragraph,
        Look look,
        Panel panel,
        List<Row> rows,
        boolean cutAbove,
        boolean cutBelow) {
    public SetPanel {
        rows = List.copyOf(rows);
    }

    /**
     * In points from the top left of the frame.
     *
     * @param onLeft how far right it stands of that on left-hand pages
     */
    public record Row(double x, double y, double width, double height, double onLeft) {
        Row movedBy(double dx, double dy) {
            return new Row(x + dx, y + dy, width, height, onLeft);
        }

        double bottom() {
            return y + height;
        }

        Row from(double top) {
            return new Row(x, top, width, bottom() - top, onLeft);
        }

        Row to(double end) {
            return new Row(x, y, width, end - y, onLeft);
        }
    }

    SetPanel movedBy(double dx, double dy) {
        return new SetPanel(
                paragraph,
                look,
                panel,
                rows.stream().map(row -> row.movedBy(dx, dy)).toList(),
                cutAbove,
                cutBelow);
    }
}
