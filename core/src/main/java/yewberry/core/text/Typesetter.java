package yewberry.core.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.Look;
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
    /** What rounding may cost before a line counts as too long, in points. */
    private static final double TOLERANCE = 1e-6;

    private final Looks looks;
    private final double width;
    private final double height;
    private final List<Segment> segments = new ArrayList<>();
    private final List<Start> starts = new ArrayList<>();
    private double previousBaseline = Double.NaN;

    /** Of the last line that is set. */
    private double bottom;

    private double after;

    /**
     * Of a paragraph that is set as a whole.
     *
     * @param segment its first
     * @param bottom of its last line
     */
    private record Start(int segment, double bottom) {}

    private Typesetter(double width, double height, Looks looks) {
        this.looks = looks;
        this.width = width;
        this.height = height;
    }

    /**
     * Sets as much text as a frame takes.
     *
     * @param paragraphs of the story
     * @param begin where in them
     */
    public static SetFrame set(
            List<Paragraph> paragraphs,
            StoryPlace begin,
            Box box,
            FrameSetting setting,
            Looks looks) {
        double width = setting.columnWidth(box);
        double height = setting.columnHeight(box);
        double inset = setting.inset().points();
        List<Segment> segments = new ArrayList<>();
        StoryPlace next = begin;
        for (int column = 0; column < setting.columns(); column++) {
            Typesetter setter = new Typesetter(width, height, looks);
            next = setter.set(paragraphs, next);
            double x = inset + column * (width + setting.gap().points());
            double y = inset + setter.down(setting.vertical());
            setter.segments.forEach(segment -> segments.add(segment.movedBy(x, y)));
        }
        return new SetFrame(List.copyOf(segments), next);
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

    /** Up to where there is room. */
    private StoryPlace set(List<Paragraph> paragraphs, StoryPlace begin) {
        int from = begin.character();
        for (int i = begin.paragraph(); i < paragraphs.size(); i++) {
            int before = segments.size();
            int set = setParagraph(paragraphs.get(i), from);
            if (set < paragraphs.get(i).text().length()) {
                return set == from && from == 0
                        ? keptBack(paragraphs, begin, i)
                        : new StoryPlace(i, set);
            }
            starts.add(new Start(before, bottom));
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
        bottom = starts.get(keep - begin.paragraph() - 1).bottom();
        return new StoryPlace(keep, 0);
    }

    private boolean staysWithNext(Paragraph paragraph) {
        return looks.paragraphs(paragraph.look()).setting().keeps().withNext();
    }

    /** Up to which character of the paragraph there is room, from one of them on. */
    private int setParagraph(Paragraph paragraph, int from) {
        Look look = looks.paragraphs(paragraph.look());
        Type type = Type.of(look, Optional.empty());
        Map<Optional<UUID>, Type> known = new HashMap<>();
        Function<Run, Type> types =
                run -> known.computeIfAbsent(run.look(), each -> looks.type(look, run));
        String text = paragraph.text();
        TextSetting setting = look.setting();
        boolean isFirst = Double.isNaN(previousBaseline);
        double before = isFirst ? 0 : after + look.before().points();
        double room = width - setting.left().points() - setting.right().points();
        double indent = from == 0 ? setting.first().points() : 0;
        LineBreaker.Room each =
                new LineBreaker.Room(
                        Math.max(0, room - indent) + TOLERANCE, Math.max(0, room) + TOLERANCE);
        LineBreaker.Broken broken = LineBreaker.lines(paragraph, from, types, look, each);
        List<LineBreaker.Line> lines = broken.lines();
        List<Double> baselines = new ArrayList<>();
        double last = previousBaseline;
        for (int i = 0; i < lines.size(); i++) {
            double larger = larger(lines.get(i), type);
            double baseline = nextBaseline(type, larger, look, last, i == 0 ? before : 0);
            if (baseline + type.descent() * larger > height + TOLERANCE && !text.isBlank()) {
                break;
            }
            baselines.add(baseline);
            last = baseline;
        }
        int count = kept(setting.keeps(), baselines.size(), lines.size(), from, isFirst);
        for (int i = 0; i < count; i++) {
            place(
                    paragraph,
                    look,
                    types,
                    broken.shaped(),
                    lines.get(i),
                    baselines.get(i),
                    i == 0 && from == 0);
            previousBaseline = baselines.get(i);
            bottom = previousBaseline + type.descent() * larger(lines.get(i), type);
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

    private static double nextBaseline(
            Type type, double larger, Look look, double last, double before) {
        return Double.isNaN(last)
                ? type.ascent() * larger
                : last + before + look.leading().points();
    }

    private void place(
            Paragraph paragraph,
            Look look,
            Function<Run, Type> types,
            ShapedText shaped,
            LineBreaker.Line line,
            double baseline,
            boolean isFirst) {
        TextSetting setting = look.setting();
        double begin = setting.left().points() + (isFirst ? setting.first().points() : 0);
        double end = width - setting.right().points();
        ShapedLine whole = ShapedLine.of(paragraph, line, types, shaped);
        List<ShapedLine.Piece> pieces = whole.pieces();
        double room = end - begin - whole.width();
        long spaces =
                pieces.stream()
                        .flatMap(piece -> piece.glyphs().stream())
                        .filter(Segment.Glyph::isWordSpace)
                        .count();
        boolean stretched =
                look.alignment() == Look.Alignment.JUSTIFIED
                        && (!line.last() || room < 0)
                        && spaces > 0;
        double perSpace = stretched ? room / spaces : 0;
        double x =
                switch (look.alignment()) {
                    case LEFT, JUSTIFIED -> begin;
                    case CENTER -> begin + room / 2;
                    case RIGHT -> begin + room;
                };
        for (ShapedLine.Piece piece : pieces) {
            Segment segment = segment(paragraph.id(), piece, look, x, baseline, perSpace);
            segments.add(segment);
            x += segment.width();
        }
    }

    private Segment segment(
            UUID paragraph,
            ShapedLine.Piece piece,
            Look look,
            double x,
            double baseline,
            double perSpace) {
        List<Segment.Glyph> placed = new ArrayList<>(piece.glyphs().size());
        double stretch = 0;
        for (Segment.Glyph glyph : piece.glyphs()) {
            placed.add(new Segment.Glyph(glyph.id(), glyph.text(), glyph.x() + stretch, glyph.y()));
            stretch += glyph.isWordSpace() ? perSpace : 0;
        }
        return new Segment(
                paragraph,
                piece.run(),
                look,
                piece.run().look().map(looks::characters),
                piece.type(),
                piece.begin(),
                piece.text(),
                x,
                baseline,
                piece.width() + stretch,
                List.copyOf(placed));
    }
}
