package yewberry.core.scene;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Background;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.PictureFrame;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;
import yewberry.core.text.Type;

/** One thing painted on a page, in points from the top left corner of its trim. */
public sealed interface Item {
    /** How the page of a file among some is painted; nothing where there is none. */
    static Optional<AreaPaint.Picture> filePage(List<? extends Item> items) {
        return items.stream()
                .filter(FrontFill.class::isInstance)
                .map(FrontFill.class::cast)
                .filter(FrontFill::isImported)
                .map(FrontFill::paint)
                .filter(AreaPaint.Picture.class::isInstance)
                .map(AreaPaint.Picture.class::cast)
                .findFirst();
    }

    Origin origin();

    /** All swatches it is painted with. */
    List<Paint> paints();

    /** A rectangle around all it paints. */
    Rect bounds();

    /** The same for those who tell of it later: without its glyphs, which take most of the room. */
    Item withoutGlyphs();

    /** As it is on a medium: in the colours that its own become there. */
    Item on(Medium medium, PressCondition condition);

    /** What is filled: a background, something behind text or around it, or a picture in front. */
    sealed interface Filled extends Item permits AreaFill, Formed {
        AreaPaint paint();

        /** That its fill is spread over, before it is rotated. */
        Rect frame();

        /** How it is rotated. */
        Turn turn();

        /** 0 to 1. */
        double opacity();

        BlendMode blend();

        /** Whether nothing below it shows where it is. */
        boolean covers();

        /** Whether a point lies within it. */
        boolean holds(double x, double y);

        /** Whether all of a rectangle lies within it. */
        boolean holds(Rect rect);

        /** Whether a rectangle has a part in it; where it is not known, it may. */
        boolean touches(Rect rect);

        /** What it fills where that is not just the rectangle of its bounds. */
        Optional<Shape> shape();

        /** Its one colour, where it covers with one. */
        default Optional<Paint> solid() {
            return covers() && paint() instanceof AreaPaint.Solid(Paint paint)
                    ? Optional.of(paint)
                    : Optional.empty();
        }

        @Override
        default List<Paint> paints() {
            return paint().paints();
        }

        /** What it is painted with, for people. */
        default String inWords() {
            return opacity() == 1
                    ? paint().inWords()
                    : "%s at %s %%".formatted(paint().inWords(), Numbers.plain(opacity() * 100));
        }
    }

    /**
     * A background: a rectangle with a colour or a gradient.
     *
     * @param rect that is painted
     * @param frame that its fill is spread over, which is larger where it goes across a spread
     * @param opacity 0 to 1
     */
    record AreaFill(
            Origin origin,
            UUID background,
            AreaPaint paint,
            Rect rect,
            Rect frame,
            double opacity,
            BlendMode blend,
            Background.GoesTo goesTo)
            implements Filled {
        @Override
        public boolean covers() {
            return opacity == 1
                    && blend == BlendMode.NORMAL
                    && switch (paint) {
                        case AreaPaint.Solid solid -> true;
                        case AreaPaint.Gradient gradient -> gradient.covers();
                        case AreaPaint.Picture picture -> picture.covers(rect);
                    };
        }

        public AreaFill withGoesTo(Background.GoesTo to) {
            return new AreaFill(origin, background, paint, rect, frame, opacity, blend, to);
        }

        /** Whether it paints anything at a point; what is transparent in a picture counts, too. */
        public boolean isAt(double x, double y) {
            return rect.contains(x, y)
                    && (!(paint instanceof AreaPaint.Picture picture)
                            || picture.reaches(new Rect(x, y, 0, 0)));
        }

        /** The rectangle that it really paints: a picture may be smaller than its area. */
        public Rect painted() {
            return paint instanceof AreaPaint.Picture picture && !picture.reaches(rect)
                    ? rect.intersection(picture.place().bounds())
                    : rect;
        }

        @Override
        public Turn turn() {
            return Turn.NONE;
        }

        @Override
        public boolean holds(double x, double y) {
            return rect.contains(x, y);
        }

        @Override
        public boolean holds(Rect other) {
            return rect.contains(other);
        }

        @Override
        public boolean touches(Rect other) {
            return !rect.intersection(other).isEmpty();
        }

        @Override
        public Optional<Shape> shape() {
            return Optional.empty();
        }

        @Override
        public Rect bounds() {
            return rect;
        }

        @Override
        public AreaFill withoutGlyphs() {
            return this;
        }

        @Override
        public AreaFill on(Medium medium, PressCondition condition) {
            return new AreaFill(
                    origin,
                    background,
                    paint.on(medium, condition),
                    rect,
                    frame,
                    opacity,
                    blend,
                    goesTo);
        }
    }

    /** What fills a form of its own, which may be rotated, and may lie anywhere among text. */
    sealed interface Formed extends Filled permits TextFill, FrontFill {
        /** What it fills, before it is rotated. */
        Form form();

        @Override
        default boolean holds(double x, double y) {
            return form().rectangle()
                    .filter(rect -> turn().isNone())
                    .map(rect -> rect.contains(x, y))
                    .orElseGet(() -> bounds().contains(x, y) && turned().contains(x, y));
        }

        @Override
        default boolean holds(Rect other) {
            return bounds().contains(other)
                    && shape().map(each ->
                                    each.contains(
                                            other.x(), other.y(), other.width(), other.height()))
                            .orElse(true);
        }

        @Override
        default boolean touches(Rect other) {
            return !bounds().intersection(other).isEmpty()
                    && shape().map(each ->
                                    each.intersects(
                                            other.x(), other.y(), other.width(), other.height()))
                            .orElse(true);
        }

        @Override
        default Optional<Shape> shape() {
            return form().rectangle().isPresent() && turn().isNone()
                    ? Optional.empty()
                    : Optional.of(turned());
        }

        private Shape turned() {
            return turn().isNone()
                    ? form().path()
                    : turn().transform().createTransformedShape(form().path());
        }

        @Override
        default Rect bounds() {
            return turn().isNone() ? form().bounds() : Rect.around(turned());
        }
    }

    /**
     * Something behind text or around it.
     *
     * @param paragraph that it belongs to, or the first of several that share it
     * @param run whose highlight it is
     * @param look that says it
     * @param form what it fills, before it is rotated
     * @param frame that its fill is spread over, before it is rotated
     * @param border that it is, if it is one
     */
    record TextFill(
            Origin origin,
            Kind kind,
            UUID textFrame,
            UUID paragraph,
            Optional<UUID> run,
            UUID look,
            String lookName,
            AreaPaint paint,
            Form form,
            Rect frame,
            Turn turn,
            Optional<Border> border)
            implements Formed {
        /** What it is to the text. */
        public enum Kind {
            /** The band that a frame's text stands in. */
            BAND("Band"),
            SHADING("Shading"),
            BORDER("Border"),
            HIGHLIGHT("Highlight");

            private final String words;

            Kind(String words) {
                this.words = words;
            }

            public String inWords() {
                return words;
            }
        }

        @Override
        public double opacity() {
            return 1;
        }

        @Override
        public BlendMode blend() {
            return BlendMode.NORMAL;
        }

        @Override
        public boolean covers() {
            return !(paint instanceof AreaPaint.Gradient gradient) || gradient.covers();
        }

        @Override
        public TextFill withoutGlyphs() {
            return this;
        }

        @Override
        public TextFill on(Medium medium, PressCondition condition) {
            return new TextFill(
                    origin,
                    kind,
                    textFrame,
                    paragraph,
                    run,
                    look,
                    lookName,
                    paint.on(medium, condition),
                    form,
                    frame,
                    turn,
                    border);
        }
    }

    /**
     * A picture or a word in front of the backgrounds.
     *
     * @param source the frame it stands in
     * @param form what it fills, as it is rotated
     * @param reaches whether its picture is everywhere in that
     * @param frame before it is rotated
     */
    record FrontFill(
            Origin origin,
            PictureFrame source,
            AreaPaint paint,
            Form form,
            boolean reaches,
            Rect frame)
            implements Formed {
        /** Its form and its paint are rotated already, because they are asked for often. */
        @Override
        public Turn turn() {
            return Turn.NONE;
        }

        public UUID element() {
            return source.id();
        }

        /** Whether it is the page of a file that the page is; its element is the page then. */
        public boolean isImported() {
            return origin instanceof Origin.FromFile;
        }

        @Override
        public double opacity() {
            return source.opacity() / 100;
        }

        @Override
        public BlendMode blend() {
            return source.blend();
        }

        public Background.GoesTo goesTo() {
            return source.goesTo();
        }

        @Override
        public boolean covers() {
            return opacity() == 1
                    && blend() == BlendMode.NORMAL
                    && switch (paint) {
                        case AreaPaint.Solid solid -> true;
                        case AreaPaint.Gradient gradient -> gradient.covers();
                        case AreaPaint.Picture picture -> picture.isOpaque() && reaches;
                    };
        }

        /** A part of its picture that text keeps off, where it lies on the page. */
        public Shape clearPart(PictureFrame.Clear clear, AreaPaint.Picture picture) {
            return picture.place()
                    .part(
                            clear.left() / 100,
                            clear.top() / 100,
                            clear.width() / 100,
                            clear.height() / 100);
        }

        /** Whether it paints anything at a point; what is transparent in a picture counts, too. */
        public boolean isAt(double x, double y) {
            return holds(x, y)
                    && (!(paint instanceof AreaPaint.Picture picture)
                            || picture.reaches(new Rect(x, y, 0, 0)));
        }

        /** What it is to whoever looks. */
        public String kind() {
            if (isImported()) {
                return "Page of a file";
            }
            return source.isRunningItem() ? "Running item" : "Picture";
        }

        /** Its word, or the name of its file. */
        public String named() {
            return source.fill() instanceof Fill.Word word
                    ? "“%s”".formatted(word.text())
                    : paint.inWords();
        }

        @Override
        public FrontFill withoutGlyphs() {
            return this;
        }

        @Override
        public FrontFill on(Medium medium, PressCondition condition) {
            return new FrontFill(origin, source, paint.on(medium, condition), form, reaches, frame);
        }
    }

    /** What is painted in the shapes of letters. */
    sealed interface Lettering extends Item permits GlyphRun, GlyphStroke {
        /** The run whose letters they are. */
        GlyphRun letters();

        Paint paint();

        /** What it paints of a glyph, in points of the page. */
        Shape shape(Line line, Segment.Glyph glyph);

        /** A rectangle around all it paints. */
        Rect inkBounds();
    }

    /**
     * The line around the letters of a run.
     *
     * @param width of all of it, in points; half of it lies within the letters
     */
    record GlyphStroke(GlyphRun letters, Paint paint, double width, Outline.Join join)
            implements Lettering {
        @Override
        public Origin origin() {
            return letters.origin();
        }

        @Override
        public List<Paint> paints() {
            return List.of(paint);
        }

        @Override
        public Rect bounds() {
            return grown(letters.bounds());
        }

        @Override
        public Rect inkBounds() {
            return grown(letters.inkBounds());
        }

        /** What the line goes along, in points of the page; its curves are of the third degree. */
        public Path2D path(Line line, Segment.Glyph glyph) {
            return Cubics.of(letters.shape(line, glyph));
        }

        /** Whether it paints a point of the page. */
        public boolean isAt(double x, double y) {
            return bounds().contains(x, y)
                    && letters.lines().stream()
                            .anyMatch(line ->
                                    line.glyphs().stream()
                                            .anyMatch(glyph -> shape(line, glyph).contains(x, y)));
        }

        private Rect grown(Rect rect) {
            double reach = width / 2 * (join == Outline.Join.MITER ? Outline.MITER_LIMIT : 1);
            return rect.inset(-reach, -reach, -reach, -reach);
        }

        @Override
        public Shape shape(Line line, Segment.Glyph glyph) {
            BasicStroke stroke =
                    new BasicStroke(
                            (float) width,
                            BasicStroke.CAP_BUTT,
                            switch (join) {
                                case ROUND -> BasicStroke.JOIN_ROUND;
                                case MITER -> BasicStroke.JOIN_MITER;
                                case BEVEL -> BasicStroke.JOIN_BEVEL;
                            },
                            (float) Outline.MITER_LIMIT);
            return stroke.createStrokedShape(path(line, glyph));
        }

        @Override
        public GlyphStroke withoutGlyphs() {
            return new GlyphStroke(letters.withoutGlyphs(), paint, width, join);
        }

        @Override
        public GlyphStroke on(Medium medium, PressCondition condition) {
            return new GlyphStroke(letters, paint.on(medium, condition), width, join);
        }
    }

    /**
     * A run of text in all the lines it stands on.
     *
     * @param look of its paragraph
     * @param characters the look of its characters
     * @param type what it is set in
     * @param choice what its colour was chosen from, where it is a legible one
     * @param turn how its frame is rotated; its lines are where they stand before that
     */
    record GlyphRun(
            Origin origin,
            UUID frame,
            UUID paragraph,
            UUID run,
            Look look,
            Optional<CharacterLook> characters,
            Type type,
            Paint paint,
            Optional<ColorChoice> choice,
            Turn turn,
            List<Line> lines)
            implements Lettering {
        public GlyphRun {
            lines = List.copyOf(lines);
        }

        @Override
        public List<Paint> paints() {
            return List.of(paint);
        }

        /** As it reads; where a line ends, a space stands, but for one that a hyphen breaks. */
        public String text() {
            return lines.stream()
                    .map(Line::text)
                    .collect(Collectors.joining(" "))
                    .replace("\u00ad ", "");
        }

        @Override
        public Rect bounds() {
            return lines.stream().map(this::box).reduce(Rect::union).orElseThrow();
        }

        @Override
        public GlyphRun withoutGlyphs() {
            return withLines(lines.stream().map(Line::withoutGlyphs).toList());
        }

        @Override
        public GlyphRun on(Medium medium, PressCondition condition) {
            return withPaint(paint.on(medium, condition), choice);
        }

        /** Some of its text, or more. */
        public GlyphRun withLines(List<Line> changed) {
            return new GlyphRun(
                    origin,
                    frame,
                    paragraph,
                    run,
                    look,
                    characters,
                    type,
                    paint,
                    choice,
                    turn,
                    changed);
        }

        /** In another colour. */
        public GlyphRun withPaint(Paint changed, Optional<ColorChoice> chosen) {
            return new GlyphRun(
                    origin,
                    frame,
                    paragraph,
                    run,
                    look,
                    characters,
                    type,
                    changed,
                    chosen,
                    turn,
                    lines);
        }

        /**
         * The characters that its face has no shape for. Glyph 0 is what a font shows for them
         * (OpenType, "glyph 0").
         */
        public String missing() {
            return lines.stream()
                    .flatMap(line -> line.glyphs().stream())
                    .filter(glyph -> glyph.id() == 0)
                    .map(Segment.Glyph::text)
                    .distinct()
                    .collect(Collectors.joining());
        }

        /** The face that it would be set in if that had its characters; nothing where it is. */
        public Optional<Face> wanted() {
            return Optional.of(Type.of(look, characters).face())
                    .filter(face -> !face.equals(type.face()));
        }

        public Face face() {
            return type.face();
        }

        /** Whether it is written in the file that the page is from, which paints it. */
        public boolean isInFile() {
            return origin.isInFile();
        }

        /** Of the type, in points. */
        public double size() {
            return type.size();
        }

        /** The line around its letters. */
        public Optional<Outline> outline() {
            return characters.flatMap(CharacterLook::outline).or(look::outline);
        }

        @Override
        public GlyphRun letters() {
            return this;
        }

        @Override
        public Shape shape(Line line, Segment.Glyph glyph) {
            return place(line, glyph).createTransformedShape(face().outline(glyph.id()).path());
        }

        /** Its ink may go beyond its lines' boxes. */
        @Override
        public Rect inkBounds() {
            Rect around = bounds();
            return around.inset(-size(), -size(), -size(), -size());
        }

        /** A rectangle around the box of one line. */
        public Rect box(Line line) {
            return turn.around(unturned(line));
        }

        /** Whether the box of one of its lines holds a point of the page. */
        public boolean isAt(double x, double y) {
            return lines.stream().anyMatch(line -> turn.contains(unturned(line), x, y));
        }

        /** The box of one line: its advance width, from ascent to descent. */
        private Rect unturned(Line line) {
            double ascent = type.ascent();
            return new Rect(
                    line.x(), line.baseline() - ascent, line.width(), ascent + type.descent());
        }

        /** Where a glyph stands: from the units of its outline to points of the page. */
        public AffineTransform place(Line line, Segment.Glyph glyph) {
            AffineTransform place = turn.transform();
            place.translate(line.x() + glyph.x(), line.baseline() + glyph.y());
            place.scale(scale(), scale());
            return place;
        }

        /** Thousandths of the type size to points. */
        public double scale() {
            return type.scale();
        }
    }

    /** A stretch of a run on one line; its glyphs stand relative to {@code x} and the baseline. */
    record Line(String text, double x, double baseline, double width, List<Segment.Glyph> glyphs) {
        /**
         * Some of its glyphs.
         *
         * @param from the first of them
         * @param to behind the last
         */
        public Line part(int from, int to) {
            double begin = from < glyphs.size() ? glyphs.get(from).x() : width;
            double end = to < glyphs.size() ? glyphs.get(to).x() : width;
            List<Segment.Glyph> own = moved(glyphs.subList(from, to), -begin);
            String read = own.stream().map(Segment.Glyph::text).collect(Collectors.joining());
            return new Line(read, x + begin, baseline, end - begin, own);
        }

        /**
         * The same of text that runs leftward: its first glyph is the one farthest to the right.
         *
         * @param from the first of them
         * @param to behind the last
         */
        public Line partLeftward(int from, int to) {
            double begin = to > from ? glyphs.get(to - 1).x() : width;
            double end = from > 0 ? glyphs.get(from - 1).x() : width;
            List<Segment.Glyph> own = moved(glyphs.subList(from, to), -begin);
            String read = own.stream().map(Segment.Glyph::text).collect(Collectors.joining());
            return new Line(read, x + begin, baseline, end - begin, own);
        }

        /** Some of its glyphs, where they stand. */
        Line only(Predicate<Segment.Glyph> chosen) {
            List<Segment.Glyph> own = glyphs.stream().filter(chosen).toList();
            String read = own.stream().map(Segment.Glyph::text).collect(Collectors.joining());
            return own.size() == glyphs.size() ? this : new Line(read, x, baseline, width, own);
        }

        /** Whether another part of the same line comes right after it, on either side. */
        public boolean isFollowedBy(Line next) {
            return baseline == next.baseline
                    && (Math.abs(x + width - next.x) < 1e-6
                            || Math.abs(next.x + next.width - x) < 1e-6);
        }

        /** With what comes right after it. */
        public Line with(Line next) {
            double left = Math.min(x, next.x);
            List<Segment.Glyph> all = new ArrayList<>(moved(glyphs, x - left));
            all.addAll(moved(next.glyphs, next.x - left));
            return new Line(
                    text + next.text,
                    left,
                    baseline,
                    Math.max(x + width, next.x + next.width) - left,
                    all);
        }

        private static List<Segment.Glyph> moved(List<Segment.Glyph> glyphs, double by) {
            return glyphs.stream()
                    .map(glyph ->
                            new Segment.Glyph(glyph.id(), glyph.text(), glyph.x() + by, glyph.y()))
                    .toList();
        }

        private Line withoutGlyphs() {
            return new Line(text, x, baseline, width, List.of());
        }
    }
}
