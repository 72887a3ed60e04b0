package yewberry.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;

/** The panels of the paragraphs of one column. */
final class Panels {
    private final double width;
    private final double toLeftEdge;
    private final double toRightEdge;
    private final List<Slab> slabs = new ArrayList<>();

    /**
     * A paragraph, or the part of it that stands in the column.
     *
     * @param left where its lines begin at the farthest, with the marks of lists; the panel then
     *     goes out from there
     * @param right where they end, from the right of the column
     * @param joins whether it shares the panel of the one before
     * @param lines as far as their text goes, each from the top of its line to the bottom
     * @param ends whether the paragraph ends here
     */
    record Slab(
            UUID paragraph,
            Look look,
            PanelRoom room,
            double left,
            double right,
            boolean joins,
            boolean begins,
            boolean ends,
            List<SetPanel.Row> lines) {
        Slab {
            lines = List.copyOf(lines);
        }

        boolean cutAbove() {
            return !begins && !room.panel().closed();
        }

        boolean cutBelow() {
            return !ends && !room.panel().closed();
        }
    }

    /**
     * @param width of the column, in points
     * @param toLeftEdge from the column to the edge of the frame, or half of the gap
     */
    Panels(double width, double toLeftEdge, double toRightEdge) {
        this.width = width;
        this.toLeftEdge = toLeftEdge;
        this.toRightEdge = toRightEdge;
    }

    int count() {
        return slabs.size();
    }

    /** Takes those away that were set after so many. */
    void keep(int count) {
        slabs.subList(count, slabs.size()).clear();
    }

    /** Whether a paragraph shares the panel of the one that was set last. */
    boolean joins(Look look, Panel panel) {
        if (slabs.isEmpty() || !panel.paints() || !panel.joined()) {
            return false;
        }
        Slab last = slabs.getLast();
        return last.ends() && isAsWide(last.look(), look) && last.room().panel().equals(panel);
    }

    /** Whether two paragraphs are of one look, and neither is set or indented otherwise. */
    private static boolean isAsWide(Look one, Look other) {
        return one.id().equals(other.id())
                && one.size().equals(other.size())
                && one.setting().left().equals(other.setting().left())
                && one.setting().right().equals(other.setting().right());
    }

    double leftIndent(PanelRoom room, double own) {
        return room.leftIndent(own, toLeftEdge);
    }

    double rightIndent(PanelRoom room, double own) {
        return room.rightIndent(own, toRightEdge);
    }

    void add(Slab slab) {
        slabs.add(slab);
    }

    /** All that paint something; those that are joined are one. */
    List<SetPanel> set() {
        List<SetPanel> panels = new ArrayList<>();
        int from = 0;
        for (int to = 1; to <= slabs.size(); to++) {
            if (to == slabs.size() || !slabs.get(to).joins()) {
                one(slabs.subList(from, to)).ifPresent(panels::add);
                from = to;
            }
        }
        return panels;
    }

    private Optional<SetPanel> one(List<Slab> joined) {
        Slab first = joined.getFirst();
        Slab last = joined.getLast();
        List<SetPanel.Row> rows = new ArrayList<>();
        for (Slab slab : joined) {
            for (SetPanel.Row line : slab.lines()) {
                row(slab, line).ifPresent(rows::add);
            }
        }
        if (rows.isEmpty() || !first.room().panel().paints()) {
            return Optional.empty();
        }
        for (int i = 1; i < rows.size(); i++) {
            // the space between paragraphs is filled, too
            rows.set(i, rows.get(i).from(rows.get(i - 1).bottom()));
        }
        rows.set(0, rows.getFirst().from(rows.getFirst().y() - first.room().top()));
        double bottom = last.ends() || last.room().panel().closed() ? last.room().bottom() : 0;
        rows.set(rows.size() - 1, rows.getLast().to(rows.getLast().bottom() + bottom));
        boolean byLine = first.room().panel().reach() == Panel.Reach.LINES;
        return Optional.of(
                new SetPanel(
                        first.paragraph(),
                        first.look(),
                        first.room().panel(),
                        byLine ? rows : List.of(rows.getFirst().to(rows.getLast().bottom())),
                        first.cutAbove(),
                        last.cutBelow()));
    }

    private Optional<SetPanel.Row> row(Slab slab, SetPanel.Row line) {
        PanelRoom room = slab.room();
        double spill = room.panel().held() ? 0 : 1;
        return switch (room.panel().reach()) {
            case FRAME ->
                    across(
                            line,
                            -toLeftEdge - spill * room.left(),
                            width + toRightEdge + spill * room.right(),
                            0);
            case MEASURE ->
                    across(line, slab.left() - room.left(), width - slab.right() + room.right(), 0);
            case LINES ->
                    across(
                                    line,
                                    line.x() - room.left(),
                                    line.x() + line.width() + room.right(),
                                    line.onLeft())
                            .filter(row -> line.width() > 0);
        };
    }

    private static Optional<SetPanel.Row> across(
            SetPanel.Row line, double left, double right, double onLeft) {
        return Optional.of(new SetPanel.Row(left, line.y(), right - left, line.height(), onLeft))
                .filter(row -> row.width() > 0);
    }
}
