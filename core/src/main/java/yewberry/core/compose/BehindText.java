package yewberry.core.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Side;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Form;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;
import yewberry.core.scene.Turn;
import yewberry.core.text.Segment;
import yewberry.core.text.SetPanel;
import yewberry.core.text.Type;

/**
 * What lies behind the text of one frame and around it, in the order in which it is painted: the
 * panels of its paragraphs, then the highlights.
 *
 * @param box of the frame
 * @param side of the page
 * @param paints a fill on the page's swatches
 */
record BehindText(
        Origin origin,
        UUID frame,
        Rect box,
        Turn turn,
        Side side,
        Function<Fill, AreaPaint> paints) {
    /** What rounding may cost before characters count as apart, in points. */
    private static final double NEAR = 0.01;

    /**
     * @param beyond how high what is cut goes on in frames before and behind
     */
    List<Item.TextFill> panels(List<SetPanel> set, Beyond beyond) {
        List<Item.TextFill> items = new ArrayList<>();
        for (int i = 0; i < set.size(); i++) {
            int at = i;
            SetPanel each = set.get(i);
            Panel panel = each.panel();
            Rounded outer =
                    new Rounded(
                            each.rows().stream().map(this::placed).toList(),
                            panel.radius().points(each.look().size().points()),
                            !each.cutAbove(),
                            !each.cutBelow());
            Rect around = outer.rows().stream().reduce(Rect::union).orElseThrow();
            panel.shading()
                    .ifPresent(fill ->
                            items.add(
                                    item(
                                            Item.TextFill.Kind.SHADING,
                                            each,
                                            fill,
                                            outer.form(),
                                            fill instanceof Fill.Gradient
                                                    ? whole(set, at, around, beyond)
                                                    : around,
                                            Optional.empty())));
            panel.border()
                    .ifPresent(border ->
                            items.add(
                                    item(
                                            Item.TextFill.Kind.BORDER,
                                            each,
                                            new Fill.Solid(border.color()),
                                            BorderForm.of(
                                                    outer,
                                                    border,
                                                    each.cutAbove(),
                                                    each.cutBelow()),
                                            around,
                                            Optional.of(border))));
        }
        items.removeIf(item -> item.form().bounds().isEmpty());
        return items;
    }

    /**
     * How high a panel is, in points, in the frames before one and in those behind it, where it
     * goes on from the ones and in the others.
     */
    record Beyond(double before, double after) {
        static final Beyond NOTHING = new Beyond(0, 0);

        /** Whether a panel of a frame goes on beyond it, and is one that has to know how far. */
        static boolean counts(List<SetPanel> set) {
            return !set.isEmpty()
                    && (isCut(set.getFirst(), set.getFirst().cutAbove())
                            || isCut(set.getLast(), set.getLast().cutBelow()));
        }

        private static boolean isCut(SetPanel panel, boolean cut) {
            return cut
                    && panel.panel().shading().filter(Fill.Gradient.class::isInstance).isPresent();
        }
    }

    /** From its top to its bottom, in points. */
    static double height(SetPanel panel) {
        double top = panel.rows().stream().mapToDouble(SetPanel.Row::y).min().orElse(0);
        double bottom =
                panel.rows().stream().mapToDouble(row -> row.y() + row.height()).max().orElse(0);
        return bottom - top;
    }

    /**
     * What a gradient runs over: where a panel is cut, all its parts one below the other (CSS
     * Fragmentation 3, box-decoration-break: slice).
     */
    private static Rect whole(List<SetPanel> set, int at, Rect around, Beyond beyond) {
        double above = 0;
        int from = at;
        while (set.get(from).cutAbove() && from > 0) {
            above += height(set.get(--from));
        }
        above += set.get(from).cutAbove() ? beyond.before() : 0;
        double below = 0;
        int to = at;
        while (set.get(to).cutBelow() && to < set.size() - 1) {
            below += height(set.get(++to));
        }
        below += set.get(to).cutBelow() ? beyond.after() : 0;
        return around.inset(0, -above, 0, -below);
    }

    private Item.TextFill item(
            Item.TextFill.Kind kind,
            SetPanel of,
            Fill fill,
            Form form,
            Rect around,
            Optional<Border> border) {
        return new Item.TextFill(
                origin,
                kind,
                frame,
                of.paragraph(),
                Optional.empty(),
                of.look().id(),
                of.look().name(),
                paints.apply(fill),
                form,
                around,
                turn,
                border);
    }

    private Rect placed(SetPanel.Row row) {
        double shift = side == Side.LEFT ? row.onLeft() : 0;
        return new Rect(box.x() + row.x() + shift, box.y() + row.y(), row.width(), row.height());
    }

    /**
     * Characters on one line that share a highlight.
     *
     * @param begins whether it does not come from the line before
     * @param ends whether it does not go on in the next line
     */
    private record Stretch(
            List<Segment> segments, Highlight highlight, boolean begins, boolean ends) {
        double left() {
            return segments.stream().mapToDouble(Segment::x).min().orElseThrow();
        }

        double right() {
            return segments.stream()
                    .mapToDouble(each -> each.x() + each.width())
                    .max()
                    .orElseThrow();
        }
    }

    /**
     * @param segments in reading order, as they stand on this side
     */
    List<Item.TextFill> highlights(List<Segment> segments) {
        List<Item.TextFill> items = new ArrayList<>();
        int from = 0;
        for (int to = 1; to <= segments.size(); to++) {
            if (to == segments.size() || !isOneStretch(segments.get(to - 1), segments.get(to))) {
                Segment first = segments.get(from);
                Segment last = segments.get(to - 1);
                Optional<Highlight> highlight = highlight(first);
                if (highlight.isPresent()) {
                    boolean begins = from == 0 || !goesOn(segments.get(from - 1), first);
                    boolean ends = to == segments.size() || !goesOn(last, segments.get(to));
                    items.add(
                            item(
                                    new Stretch(
                                            segments.subList(from, to),
                                            highlight.get(),
                                            begins,
                                            ends)));
                }
                from = to;
            }
        }
        items.removeIf(item -> item.form().bounds().isEmpty());
        return items;
    }

    private static Optional<Highlight> highlight(Segment segment) {
        return segment.characters().flatMap(CharacterLook::highlight);
    }

    private static boolean goesOn(Segment one, Segment next) {
        return one.paragraph().equals(next.paragraph())
                && highlight(one).isPresent()
                && one.characters().equals(next.characters());
    }

    private static boolean isOneStretch(Segment one, Segment next) {
        boolean beside =
                Math.abs(one.x() + one.width() - next.x()) < NEAR
                        || Math.abs(next.x() + next.width() - one.x()) < NEAR;
        return goesOn(one, next) && one.baseline() == next.baseline() && beside;
    }

    private Item.TextFill item(Stretch stretch) {
        Segment first = stretch.segments().getFirst();
        Highlight highlight = stretch.highlight();
        Type type = Type.of(first.look(), first.characters());
        double em = type.size();
        double sides = highlight.sides() * em;
        boolean leftward = first.type().leftward();
        boolean atLeft = highlight.closed() || (leftward ? stretch.ends() : stretch.begins());
        boolean atRight = highlight.closed() || (leftward ? stretch.begins() : stretch.ends());
        double left = stretch.left() - (atLeft ? sides : 0);
        double right = stretch.right() + (atRight ? sides : 0);
        double top = first.baseline() - type.ascent() - highlight.top() * em;
        double bottom = first.baseline() + type.descent() + highlight.bottom() * em;
        Rect rect =
                new Rect(box.x() + left, box.y() + top, right - left, Math.max(0, bottom - top));
        double radius = highlight.radius() * em;
        Form form =
                radius > 0 && (atLeft || atRight)
                        ? Form.of(Rounded.ends(rect, radius, atLeft, atRight))
                        : Form.of(rect);
        return new Item.TextFill(
                origin,
                Item.TextFill.Kind.HIGHLIGHT,
                frame,
                first.paragraph(),
                Optional.of(first.run().id()),
                first.characters().map(CharacterLook::id).orElseThrow(),
                lookName(first.look(), first.characters().orElseThrow()),
                paints.apply(new Fill.Solid(highlight.color())),
                form,
                rect,
                turn,
                Optional.empty());
    }

    private static String lookName(Look look, CharacterLook characters) {
        return "%s, %s".formatted(look.name(), characters.name());
    }
}
