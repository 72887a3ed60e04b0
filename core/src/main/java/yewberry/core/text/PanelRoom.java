package yewberry.core.text;

import yewberry.core.publication.Edge;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;

/**
 * The room that the panel of a paragraph takes in a column, in points.
 *
 * @param top of padding and border above the first line; none where it joins what is above it, or
 *     is cut
 * @param bottom the same below the last line
 * @param left the same at the left
 * @param right the same at the right
 * @param half what the leading adds above and below a line, as CSS has it; below zero where lines
 *     are closer than their type is high
 */
record PanelRoom(
        Panel panel, double top, double right, double bottom, double left, double half, Type type) {
    /**
     * @param from the character that the column begins with
     * @param joins whether it shares the panel of the paragraph above
     */
    static PanelRoom of(Panel panel, Look look, Type type, int from, boolean joins) {
        double size = look.size().points();
        boolean open = joins || from > 0 && !panel.closed();
        return new PanelRoom(
                panel,
                open ? 0 : panel.around(Edge.TOP, size),
                panel.around(Edge.RIGHT, size),
                panel.around(Edge.BOTTOM, size),
                panel.around(Edge.LEFT, size),
                (look.leading().points(look.size()) - type.ascent() - type.descent()) / 2,
                type);
    }

    private boolean isHeld() {
        return panel.paints() && panel.held();
    }

    /** How far all lines are indented at the left so that it stays in its column. */
    double leftIndent(double own, double toEdge) {
        return indent(own, left, toEdge);
    }

    double rightIndent(double own, double toEdge) {
        return indent(own, right, toEdge);
    }

    private double indent(double own, double around, double toEdge) {
        if (!isHeld()) {
            return own;
        }
        return switch (panel.reach()) {
            case FRAME -> Math.max(own, around - toEdge);
            case MEASURE, LINES -> own + around;
        };
    }

    /** How far the first line of a column stands lower than without it. */
    double down() {
        return isHeld() ? Math.max(0, top + half) : 0;
    }

    /** From a baseline up to its outer edge. */
    double above() {
        return type.ascent() + half + top;
    }

    /**
     * What of it must find room below a line.
     *
     * @param ends whether that ends the paragraph
     */
    double below(boolean ends) {
        return isHeld() ? Math.max(0, half) + around(ends) : 0;
    }

    /** From the last baseline down to its outer edge. */
    double beneath(boolean ends) {
        return type.descent() + half + (panel.paints() ? around(ends) : 0);
    }

    private double around(boolean ends) {
        return ends || panel.closed() ? bottom : 0;
    }
}
