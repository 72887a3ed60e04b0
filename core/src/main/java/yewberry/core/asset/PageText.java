package yewberry.core.asset;

import java.awt.geom.Path2D;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Color;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;

/**
 * What is written on a page of a file, what of the page cannot be told to be legible or not, and
 * the colours that it is painted in. Places are in points from the top left of the page as it is
 * seen.
 *
 * @param faces that it is written in
 * @param stretches in the order of the file, those of the page itself before those of annotations
 * @param colors that anything is painted in, each once for each kind of thing
 * @param annotations where annotations and form fields show something, over all of the page
 * @param veils what they let the text of the page be seen through, from the lowest up
 */
public record PageText(
        List<FileFace> faces,
        List<Stretch> stretches,
        List<Unread> unread,
        List<Used> colors,
        List<Place> annotations,
        List<Veil> veils) {
    public static final PageText NONE =
            new PageText(List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    public PageText {
        faces = List.copyOf(faces);
        stretches = List.copyOf(stretches);
        unread = List.copyOf(unread);
        colors = List.copyOf(colors);
        annotations = List.copyOf(annotations);
        veils = List.copyOf(veils);
    }

    /**
     * One colour that an annotation paints over the page and lets through what is below, such as a
     * marker does.
     *
     * @param opacity 0 to 1
     */
    public record Veil(Path2D shape, Color color, double opacity, BlendMode blend) {}

    /**
     * Something that is painted.
     *
     * @param seen its colour as a screen shows it, before it is another one; nothing where it has
     *     many
     * @param count how many glyphs, lines, shapes or pictures
     * @param changed how many of them are painted in another one, or have pixels that are
     */
    public record Used(Painted what, Optional<Rgb> seen, int count, int changed) {}

    /** What is painted: the first four can be painted in another colour. */
    public enum Painted {
        TEXT(Optional.of(Recolor.What.TEXT)),
        LINES(Optional.of(Recolor.What.LINES)),
        FILLS(Optional.of(Recolor.What.FILLS)),
        PICTURES(Optional.of(Recolor.What.PICTURES)),
        /** In colours that are not changed, or within the content of the page. */
        OTHER_PICTURES(Optional.empty()),
        PATTERNS(Optional.empty()),
        GRADIENTS(Optional.empty()),
        ANNOTATIONS(Optional.empty());

        private final Optional<Recolor.What> what;

        Painted(Optional<Recolor.What> what) {
            this.what = what;
        }

        /** What can be painted in another colour; nothing where it cannot. */
        public Optional<Recolor.What> what() {
            return what;
        }

        public static Painted of(Recolor.What what) {
            return switch (what) {
                case TEXT -> TEXT;
                case LINES -> LINES;
                case FILLS -> FILLS;
                case PICTURES -> PICTURES;
            };
        }
    }

    /**
     * A font of the file, as it is drawn in it: squeezed or slanted letters are a face of their
     * own.
     *
     * @param family its name, without what tells subsets apart
     * @param weight 100 to 900
     * @param ascent above the baseline, in thousandths of the type size
     * @param descent below it, above zero
     * @param outlines of its glyphs, in thousandths of the type size, y down
     */
    public record FileFace(
            String family,
            int weight,
            boolean italic,
            double ascent,
            double descent,
            Map<Integer, Path2D> outlines) {
        public FileFace {
            outlines = Map.copyOf(outlines);
        }
    }

    /**
     * Text in one face, size and colour, on one ground.
     *
     * @param number of its first glyph among all of the page, which is the same on each medium
     * @param face its place among the faces
     * @param size of the type, in points
     * @param degrees that its lines are rotated by, clockwise, about a point
     * @param x of that point
     * @param y of that point
     * @param color what it comes to on the medium
     * @param seen what its own colour is on a screen, even where it is painted in another one
     * @param overprints whether it prints over what is below
     * @param ground what else the page paints where it stands, without its annotations
     * @param annotation what the annotation or form field that it is in paints below it; nothing
     *     for what is written on the page itself
     */
    public record Stretch(
            int number,
            int face,
            double size,
            double degrees,
            double x,
            double y,
            Color color,
            Rgb seen,
            boolean overprints,
            Ground ground,
            Optional<Ground> annotation,
            List<Line> lines) {
        public Stretch {
            lines = List.copyOf(lines);
        }
    }

    /**
     * @param x where it begins, before it is rotated
     * @param baseline likewise
     */
    public record Line(double x, double baseline, double width, List<Glyph> glyphs) {
        public Line {
            glyphs = List.copyOf(glyphs);
        }
    }

    /**
     * @param id by which its face has its outline
     * @param text it stands for
     * @param x from where its line begins
     */
    public record Glyph(int id, String text, double x) {}

    /** What a page itself has behind some of its text. */
    public sealed interface Ground {
        /** Nothing: what lies behind the page is behind the text. */
        record Bare() implements Ground {}

        /** One colour, which hides all below it. */
        record Flat(Color color) implements Ground {}

        /**
         * Something else.
         *
         * @param pictured whether a picture is part of it
         */
        record Mixed(boolean pictured) implements Ground {}
    }

    /**
     * Something that was not judged.
     *
     * @param count of the characters, pictures or shapes that it is about
     */
    public record Unread(Why why, int count, Optional<Place> where) {}

    /** A rectangle around it. */
    public record Place(double x, double y, double width, double height) {
        public Place around(Place other) {
            double left = Math.min(x, other.x);
            double top = Math.min(y, other.y);
            return new Place(
                    left,
                    top,
                    Math.max(x + width, other.x + other.width) - left,
                    Math.max(y + height, other.y + other.height) - top);
        }
    }

    /** Why something was not judged. */
    public enum Why {
        PICTURE("Words in a picture are pixels, and cannot be read."),
        OUTLINES("Small shapes may be letters that were turned into outlines."),
        INVISIBLE("Text that is not painted, such as what was recognised in a scan."),
        SEE_THROUGH("Text that is see-through or blended with what is below."),
        PATTERN("Text that is filled with a pattern."),
        COVERED("Text that something else is painted over."),
        ANNOTATION("Annotations and form fields that leave it to each program how they look."),
        UNREADABLE("The page could not be read.");

        private final String words;

        Why(String words) {
            this.words = words;
        }

        public String inWords() {
            return words;
        }
    }
}
