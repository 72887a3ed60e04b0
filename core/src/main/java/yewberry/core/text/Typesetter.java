package yewberry.core.text;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextSetting;

/**
 * Breaks paragraphs into lines ({@link LineBreaker}) and places their glyphs. A word wider than the
 * frame is broken where it must be. A soft hyphen is seen only where it breaks a line. A line is
 * shaped as a whole, so that kerning goes on over runs. The first baseline lies one ascent below
 * the top.
 */
public final class Typesetter {
    /** What rounding may cost before a line counts as too low, in points. */
    private static final double TOLERANCE = 1e-6;

    /** What fills a tab stands in it so often at most. */
    private static final int MOST_LEADERS = 2_000;

    /** Between the mark of a list and its text at least, in em: common practice, no source. */
    private static final double BESIDE_MARK = 0.4;

    private final Looks looks;
    private final List<String> marks;
    private final double width;
    private final double height;
    private final List<Segment> segments = new ArrayList<>();
    private final List<Start> starts = new ArrayList<>();
    private final Panels panels;
    private double previousBaseline = Double.NaN;

    /** Whether what comes next begins in another frame, though there may be columns left. */
    private boolean leavesFrame;

    /** Of the last line that is set. */
    private double bottom;

    private double after;

    /** From the last line that is set down to the outer edge of its panel. */
    private double beneath;

    private boolean lastHasPanel;

    /**
     * Of a paragraph that is set as a whole.
     *
     * @param segment its first
     * @param panel the number of its own
     * @param bottom of its last line
     */
    private record Start(int segment, int panel, double bottom) {}

    private Typesetter(
            double width, double height, List<String> marks, Looks looks, Panels panels) {
        this.panels = panels;
        this.marks = marks;
        this.looks = looks;
        this.width = width;
        this.height = height;
    }

    /**
     * Sets as much text as a frame takes.
     *
     * @param paragraphs of the story
     * @param marks what stands before each of them, as {@link ListMarks} counts
     * @param begin where in them
     */
    public static SetFrame set(
            List<Paragraph> paragraphs,
            List<String> marks,
            StoryPlace begin,
            Box box,
            FrameSetting setting,
            Looks looks) {
        double width = setting.columnWidth(box);
        double height = setting.columnHeight(box);
        double inset = setting.inset().points();
        double gap = setting.gap().points();
        List<Segment> segments = new ArrayList<>();
        List<SetPanel> panels = new ArrayList<>();
        StoryPlace next = begin;
        for (int column = 0; column < setting.columns(); column++) {
            Panels own =
                    new Panels(
                            width,
                            column == 0 ? inset : gap / 2,
                            column == setting.columns() - 1 ? inset : gap / 2);
            Typesetter setter = new Typesetter(width, height, marks, looks, own);
            next = setter.set(paragraphs, next, !segments.isEmpty());
            double x = inset + column * (width + gap);
            double y = inset + setter.down(setting.vertical());
            setter.segments.forEach(segment -> segments.add(segment.movedBy(x, y)));
            own.set().forEach(panel -> panels.add(panel.movedBy(x, y)));
            if (setter.leavesFrame) {
                break;
            }
        }
        return new SetFrame(List.copyOf(segments), List.copyOf(panels), next);
    }

    /** How far text that does not fill the column stands from its top. */
    private double down(FrameSetting.Vertical vertical) {
        double free = Math.max(0, height - bottom);
        return switch (vertical) {
            case TOP -> 0;
            case MIDDLE -> free / 2;
            case BOTTOM -> free;
        };
    }

    /**
     * Up to where there is room, or where a paragraph begins elsewhere.
     *
     * @param inFrame whether something stands in a column before
     */
    private StoryPlace set(List<Paragraph> paragraphs, StoryPlace begin, boolean inFrame) {
        int from = begin.character();
        for (int i = begin.paragraph(); i < paragraphs.size(); i++) {
            Keeps.Begin wanted = keeps(paragraphs.get(i)).begin();
            boolean inColumn = i > begin.paragraph();
            leavesFrame = wanted == Keeps.Begin.FRAME && from == 0 && (inColumn || inFrame);
            if (leavesFrame || wanted == Keeps.Begin.COLUMN && from == 0 && inColumn) {
                return new StoryPlace(i, 0);
            }
            int before = segments.size();
            int panel = panels.count();
            int set = setParagraph(paragraphs.get(i), marks.get(i), from);
            if (set < paragraphs.get(i).text().length()) {
                return set == from && from == 0
                        ? keptBack(paragraphs, begin, i)
                        : new StoryPlace(i, set);
            }
            starts.add(new Start(before, panel, bottom));
            from = 0;
        }
        return new StoryPlace(paragraphs.size(), 0);
    }

    /**
     * A paragraph finds no room: those that are to stay with it go on to the next column, too, if
     * anything is left here.
     */
    private StoryPlace keptBack(List<Paragraph> paragraphs, StoryPlace begin, int next) {
        int first = begin.paragraph() + (begin.character() > 0 ? 1 : 0);
        int keep = next;
        while (keep > first && staysWithNext(paragraphs.get(keep - 1))) {
            keep--;
        }
        if (keep == next || keep == begin.paragraph()) {
            return new StoryPlace(next, 0);
        }
        Start start = starts.get(keep - begin.paragraph());
        segments.subList(start.segment(), segments.size()).clear();
        panels.keep(start.panel());
        bottom = starts.get(keep - begin.paragraph() - 1).bottom();
        return new StoryPlace(keep, 0);
    }

    private boolean staysWithNext(Paragraph paragraph) {
        return keeps(paragraph).withNext();
    }

    private Keeps keeps(Paragraph paragraph) {
        return looks.of(paragraph).setting().keeps();
    }

    /** Up to which character of the paragraph there is room, from one of them on. */
    private int setParagraph(Paragraph paragraph, String mark, int from) {
        Look look = looks.of(paragraph);
        Type type = Type.of(look, Optional.empty());
        Map<Run, Type> known = new IdentityHashMap<>();
        Function<Run, Type> types =
                run -> known.computeIfAbsent(run, each -> looks.type(look, each));
        String text = paragraph.text();
        TextSetting setting = look.setting();
        boolean isFirst = Double.isNaN(previousBaseline);
        double before = isFirst ? 0 : after + look.before().points();
        boolean leftward = Directions.of(text).leftward();
        // of what runs leftward all is measured from the right
        Panel panel = paragraph.panel(look);
        boolean joins = panels.joins(look, panel);
        PanelRoom around = PanelRoom.of(panel, look, type, from, joins);
        double ownLeft = panels.leftIndent(around, setting.left().points());
        double ownRight = panels.rightIndent(around, setting.right().points());
        double left = leftward ? ownRight : ownLeft;
        double right = leftward ? ownLeft : ownRight;
        List<ShapedLine.Piece> signs =
                from == 0 && !mark.isEmpty() ? mark(paragraph, look, mark) : List.of();
        double first = from > 0 ? left : behind(signs, left + setting.first().points(), left, type);
        LineBreaker.Room room = new LineBreaker.Room(first, left, width - right);
        LineBreaker.Broken broken =
                LineBreaker.lines(paragraph, from, types, look, looks.language(), room);
        List<LineBreaker.Line> lines = broken.lines();
        List<Double> baselines = new ArrayList<>();
        double last = previousBaseline;
        for (int i = 0; i < lines.size(); i++) {
            double larger = larger(lines.get(i), type);
            double baseline =
                    i == 0
                            ? firstBaseline(around, larger, look, before, joins)
                            : last + look.leading().points(look.size());
            double below = around.below(i == lines.size() - 1);
            if (baseline + type.descent() * larger + below > height + TOLERANCE
                    && !text.isBlank()) {
                break;
            }
            baselines.add(baseline);
            last = baseline;
        }
        int count = kept(setting.keeps(), baselines.size(), lines.size(), from, isFirst);
        List<SetPanel.Row> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int behind = segments.size();
            double sign = left + setting.first().points() - first;
            place(
                    new Placed(
                            paragraph.id(),
                            look,
                            ShapedLine.of(paragraph, lines.get(i), broken.shaped()),
                            room.begin(i == 0),
                            room.end(),
                            baselines.get(i),
                            lines.get(i).last(),
                            leftward),
                    i == 0 ? signs : List.of(),
                    sign);
            previousBaseline = baselines.get(i);
            bottom =
                    previousBaseline
                            + type.descent() * larger(lines.get(i), type)
                            + around.below(i == lines.size() - 1);
            rows.add(row(around, baselines.get(i), segments.subList(behind, segments.size())));
        }
        boolean ends = count == lines.size();
        beneath = around.beneath(ends);
        lastHasPanel = panel.paints();
        if (count > 0) {
            double begin = Math.min(ownLeft, ownLeft + setting.first().points());
            panels.add(
                    new Panels.Slab(
                            paragraph.id(),
                            look,
                            around,
                            leftward ? ownLeft : begin,
                            leftward ? ownRight + Math.min(0, setting.first().points()) : ownRight,
                            joins,
                            from == 0,
                            ends,
                            rows));
        }
        if (count < lines.size()) {
            return lines.get(count).start();
        }
        after = setting.after().points();
        return text.length();
    }

    /**
     * How many lines stay in this column.
     *
     * @param fitting so many there is room for
     * @param isFirst whether nothing stands above them: then as many stay as can
     */
    private static int kept(Keeps keeps, int fitting, int all, int from, boolean isFirst) {
        if (fitting == all) {
            return all;
        }
        int count = Math.min(fitting, all - keeps.last());
        boolean tooFew = from == 0 && (keeps.together() || count < keeps.first());
        if (count < 1 || tooFew) {
            return isFirst ? fitting : 0;
        }
        return count;
    }

    /** How many times as large as its paragraph's the largest type of a line is, at least once. */
    private static double larger(LineBreaker.Line line, Type type) {
        return Math.max(1, line.largest() / type.size());
    }

    /** A line from its top to its bottom, as far as its text goes. */
    private static SetPanel.Row row(PanelRoom around, double baseline, List<Segment> line) {
        double left = line.stream().mapToDouble(Segment::x).min().orElse(0);
        double right = line.stream().mapToDouble(each -> each.x() + each.width()).max().orElse(0);
        double top = baseline - around.type().ascent() - around.half();
        double onLeft = line.isEmpty() ? 0 : line.getFirst().onLeft();
        double height = around.type().ascent() + around.type().descent() + 2 * around.half();
        return new SetPanel.Row(left, top, right - left, height, onLeft);
    }

    /** What has a panel, or follows what has, is stacked as CSS stacks boxes. */
    private double firstBaseline(
            PanelRoom around, double larger, Look look, double before, boolean joins) {
        if (Double.isNaN(previousBaseline)) {
            return around.type().ascent() * larger + around.down();
        }
        if (!joins && (lastHasPanel || around.panel().paints())) {
            return previousBaseline + beneath + before + around.above();
        }
        return previousBaseline + before + look.leading().points(look.size());
    }

    /** The mark of a list, set as its look says. */
    private List<ShapedLine.Piece> mark(Paragraph paragraph, Look look, String mark) {
        Run run =
                new Run(
                        paragraph.runs().getFirst().id(),
                        mark,
                        Optional.empty(),
                        look.list().flatMap(ListMark::look));
        Type type = looks.type(look, run);
        Paragraph alone = new Paragraph(paragraph.id(), look.id(), List.of(run));
        return LineBreaker.line(alone, each -> type, look);
    }

    /**
     * Where text begins beside the mark of a list: at the indent of the other lines, or where the
     * mark leaves room.
     */
    private static double behind(
            List<ShapedLine.Piece> mark, double begin, double left, Type type) {
        double width = mark.stream().mapToDouble(ShapedLine.Piece::width).sum();
        return mark.isEmpty() ? begin : Math.max(left, begin + width + BESIDE_MARK * type.size());
    }

    /**
     * A line with where it is to lie, in points from the left of the column.
     *
     * @param last whether it ends a paragraph
     * @param leftward whether its paragraph runs leftward: then all is measured from the right
     */
    private record Placed(
            UUID paragraph,
            Look look,
            ShapedLine line,
            double begin,
            double end,
            double baseline,
            boolean last,
            boolean leftward) {
        /** Where its text stands, as it is seen. */
        Look.Alignment alignment() {
            Look.Alignment wanted = look.alignment();
            if (!leftward) {
                return wanted;
            }
            return switch (wanted) {
                case LEFT, TOWARD_SPINE -> Look.Alignment.RIGHT;
                case RIGHT, AWAY_FROM_SPINE -> Look.Alignment.LEFT;
                case CENTER, JUSTIFIED -> wanted;
            };
        }
    }

    /** A piece with the room that is added in it. */
    private record Laid(ShapedLine.Piece piece, List<Segment.Glyph> glyphs, double width) {
        /** Its glyphs from its left end. */
        List<Segment.Glyph> seen() {
            if (!piece.type().leftward()) {
                return glyphs;
            }
            List<Segment.Glyph> seen = new ArrayList<>(glyphs.size());
            for (int i = 0; i < glyphs.size(); i++) {
                Segment.Glyph glyph = glyphs.get(i);
                double end = i + 1 < glyphs.size() ? glyphs.get(i + 1).x() : width;
                seen.add(new Segment.Glyph(glyph.id(), glyph.text(), width - end, glyph.y()));
            }
            return seen;
        }
    }

    /**
     * @param mark what stands before it
     * @param sign where that begins, from the beginning of the line
     */
    private void place(Placed line, List<ShapedLine.Piece> mark, double sign) {
        List<Cell> cells = changes(line) ? cells(line) : List.of();
        double natural = line.line().width();
        double added = cells.stream().mapToDouble(Cell::extra).sum();
        double room = line.end() - line.begin() - natural - added;
        int from = behindTabs(cells);
        long spaces = cells.subList(from, cells.size()).stream().filter(Cell::isSpace).count();
        boolean stretched =
                line.look().alignment() == Look.Alignment.JUSTIFIED
                        && (!line.last() || room < 0)
                        && spaces > 0;
        double perSpace = stretched ? room / spaces : 0;
        for (Cell cell : cells.subList(from, cells.size())) {
            cell.stretch(perSpace);
        }
        double right = line.begin() + room;
        double x =
                switch (line.alignment()) {
                    case LEFT, JUSTIFIED, TOWARD_SPINE -> line.begin();
                    case CENTER -> line.begin() + room / 2;
                    case RIGHT, AWAY_FROM_SPINE -> right;
                };
        double onLeft =
                switch (line.look().alignment()) {
                    case LEFT, JUSTIFIED, CENTER, RIGHT -> 0;
                    case TOWARD_SPINE -> room;
                    case AWAY_FROM_SPINE -> -room;
                };
        double at = x + sign;
        for (ShapedLine.Piece piece : mark) {
            Laid laid = new Laid(piece, piece.glyphs(), piece.width());
            double seen = line.leftward() ? width - at - piece.width() : at;
            segments.add(segment(line, laid, seen, onLeft));
            at += piece.width();
        }
        lay(line, laid(line, cells, x), x, onLeft);
    }

    /** Whether room is added anywhere in a line. */
    private static boolean changes(Placed line) {
        return line.look().alignment() == Look.Alignment.JUSTIFIED
                || line.line().pieces().stream().anyMatch(piece -> piece.text().indexOf('\t') >= 0);
    }

    /**
     * @param cells of the line; none where no room is added
     * @param x where the line begins
     */
    private List<Laid> laid(Placed line, List<Cell> cells, double x) {
        List<Laid> laid = new ArrayList<>();
        if (cells.isEmpty()) {
            for (ShapedLine.Piece piece : line.line().pieces()) {
                laid.add(new Laid(piece, piece.glyphs(), piece.width()));
            }
            return laid;
        }
        int next = 0;
        double begin = x;
        for (ShapedLine.Piece piece : line.line().pieces()) {
            List<Segment.Glyph> glyphs = new ArrayList<>();
            double shift = 0;
            for (Segment.Glyph glyph : piece.glyphs()) {
                Cell cell = cells.get(next);
                glyphs.add(
                        new Segment.Glyph(glyph.id(), glyph.text(), glyph.x() + shift, glyph.y()));
                leader(cell, begin + glyph.x() + shift, begin, piece.type(), glyphs);
                shift += cell.extra();
                next++;
            }
            laid.add(new Laid(piece, glyphs, piece.width() + shift));
            begin += piece.width() + shift;
        }
        return laid;
    }

    /** Puts the pieces of a line where they are seen; they stay in the order in which they read. */
    private void lay(Placed line, List<Laid> laid, double x, double onLeft) {
        double all = laid.stream().mapToDouble(Laid::width).sum();
        double[] places = new double[laid.size()];
        double place = line.leftward() ? width - x - all : x;
        if (laid.stream().allMatch(each -> each.piece().type().level() == 0)) {
            for (Laid each : laid) {
                segments.add(segment(line, each, place, onLeft));
                place += each.width();
            }
            return;
        }
        List<Integer> levels = laid.stream().map(each -> each.piece().type().level()).toList();
        for (int index : Directions.visual(levels)) {
            places[index] = place;
            place += laid.get(index).width();
        }
        for (int i = 0; i < laid.size(); i++) {
            segments.add(segment(line, laid.get(i), places[i], onLeft));
        }
    }

    private Segment segment(Placed line, Laid laid, double x, double onLeft) {
        ShapedLine.Piece piece = laid.piece();
        return new Segment(
                line.paragraph(),
                piece.run(),
                line.look(),
                looks.characters(piece.run()),
                piece.type(),
                piece.begin(),
                piece.text(),
                x,
                line.baseline(),
                laid.width(),
                onLeft,
                List.copyOf(laid.seen()));
    }

    /** A glyph of a line with the room that is added behind it. */
    private static final class Cell {
        private final Segment.Glyph glyph;
        private final double begin;
        private final double width;
        private double extra;
        private String leader = "";

        Cell(Segment.Glyph glyph, double begin, double width) {
            this.glyph = glyph;
            this.begin = begin;
            this.width = width;
        }

        boolean isSpace() {
            return glyph.isWordSpace();
        }

        boolean isTab() {
            return Tabs.isTab(glyph.text());
        }

        double extra() {
            return extra;
        }

        void stretch(double by) {
            extra += isSpace() ? by : 0;
        }

        void reach(Tabs.Reach reach) {
            extra = reach.extra();
            leader = reach.leader();
        }
    }

    private List<Cell> cells(Placed line) {
        List<Cell> cells = new ArrayList<>();
        double x = 0;
        boolean tabs = false;
        for (ShapedLine.Piece piece : line.line().pieces()) {
            List<Segment.Glyph> glyphs = piece.glyphs();
            for (int i = 0; i < glyphs.size(); i++) {
                double end = i + 1 < glyphs.size() ? glyphs.get(i + 1).x() : piece.width();
                Cell cell = new Cell(glyphs.get(i), x + glyphs.get(i).x(), end - glyphs.get(i).x());
                tabs |= cell.isTab();
                cells.add(cell);
            }
            x += piece.width();
        }
        if (tabs) {
            reach(line, cells);
        }
        return cells;
    }

    private static void reach(Placed line, List<Cell> cells) {
        Tabs.Row row =
                new Tabs.Row() {
                    @Override
                    public int size() {
                        return cells.size();
                    }

                    @Override
                    public double at(int cell) {
                        // what follows the last character is not seen
                        return cell < cells.size() ? cells.get(cell).begin : line.line().width();
                    }

                    @Override
                    public String text(int cell) {
                        return cells.get(cell).glyph.text();
                    }
                };
        new Tabs(line.look().setting().tabs(), line.end())
                .of(row, line.begin())
                .forEach(reach -> cells.get(reach.cell()).reach(reach));
    }

    /** Where what a justified line stretches begins. */
    private static int behindTabs(List<Cell> cells) {
        for (int i = cells.size() - 1; i >= 0; i--) {
            if (cells.get(i).isTab()) {
                return i + 1;
            }
        }
        return 0;
    }

    /**
     * Fills the room of a tab: again and again from the left of the column, so that leaders of
     * lines one below the other stand one below the other.
     *
     * @param x where the tab begins in the column
     * @param origin of the glyphs there
     */
    private static void leader(
            Cell cell, double x, double origin, Type type, List<Segment.Glyph> into) {
        if (cell.leader.isEmpty()) {
            return;
        }
        Glyphs glyphs = type.shape(cell.leader);
        double width = (glyphs.width() + glyphs.ids().length * type.tracking()) * type.scale();
        double end = x + cell.width + cell.extra;
        if (width <= 0) {
            return;
        }
        double first = Math.ceil(x / width) * width;
        int count = (int) Math.min(MOST_LEADERS, Math.floor((end - first) / width));
        for (int k = 0; k < count; k++) {
            double at = first + k * width;
            for (int i = 0; i < glyphs.ids().length; i++) {
                into.add(
                        new Segment.Glyph(
                                glyphs.ids()[i],
                                "",
                                at + (glyphs.x()[i] + i * type.tracking()) * type.scale() - origin,
                                glyphs.y()[i] * type.scale()));
            }
        }
    }
}
