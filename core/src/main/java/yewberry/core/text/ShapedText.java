package yewberry.core.text;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import yewberry.core.publication.Letters;

/**
 * A paragraph, shaped as one as far as it is set in one type. Lines are broken by its edges, and
 * most of them are cut out of it.
 */
final class ShapedText {
    private final String text;
    private final Type[] types;
    private final List<Stretch> stretches = new ArrayList<>();

    /** Where each character begins, in points, and where all end. */
    private final double[] edges;

    /**
     * @param plain whether each character is drawn
     */
    private record Stretch(int from, int to, Type type, Glyphs glyphs, boolean plain) {}

    /** Some characters of a face with nothing beside them. */
    private record Alone(
            Face face, String text, boolean ligatures, Letters letters, boolean leftward) {}

    private static final int MOST_KNOWN = 20_000;

    /** How wide they are, in thousandths of the type size. */
    private static final Cache<Alone, Double> ALONE =
            Caffeine.newBuilder().maximumSize(MOST_KNOWN).executor(Runnable::run).build();

    /**
     * @param types of each character
     */
    ShapedText(String text, Type[] types) {
        this.text = text;
        this.types = types;
        this.edges = new double[text.length() + 1];
        double x = 0;
        int from = 0;
        while (from < text.length()) {
            int to = from + 1;
            while (to < text.length() && types[to].equals(types[from])) {
                to++;
            }
            x = stretch(from, to, types[from], x);
            from = to;
        }
        edges[text.length()] = x;
    }

    /** What a character is set in. */
    Type type(int character) {
        return types[character];
    }

    double[] edges() {
        return edges;
    }

    /**
     * Those inside a ligature share its width, and what is not drawn has none.
     *
     * @return where it ends
     */
    private double stretch(int from, int to, Type type, double x) {
        String shown = Characters.shown(text.substring(from, to));
        Glyphs glyphs = type.shape(shown);
        stretches.add(new Stretch(from, to, type, glyphs, shown.length() == to - from));
        double[] of = edges(glyphs, shown.length(), type);
        int at = 0;
        for (int i = from; i < to; i++) {
            edges[i] = x + of[at];
            char c = text.charAt(i);
            at += Characters.isIgnorable(c) || Characters.isLineEnd(c) ? 0 : 1;
        }
        return x + of[at];
    }

    private static double[] edges(Glyphs glyphs, int length, Type type) {
        double[] edges = new double[length + 1];
        double tracking = type.tracking();
        int count = glyphs.ids().length;
        int first = 0;
        for (int i = 0; i < count; i++) {
            int from = glyphs.starts()[i];
            int to = i + 1 < count ? glyphs.starts()[i + 1] : length;
            if (to > from) {
                // several glyphs may stand for the same characters
                double begin = glyphs.x()[first] + first * tracking;
                double advance = glyphs.x()[i + 1] + (i + 1) * tracking - begin;
                for (int c = from; c < to; c++) {
                    double share = (double) (c - from) / (to - from);
                    edges[c] = (begin + share * advance) * type.scale();
                }
                first = i + 1;
            }
        }
        edges[length] = (glyphs.width() + count * tracking) * type.scale();
        return edges;
    }

    /**
     * The glyphs of a part, as if it were shaped by itself; nothing where it is to be: where it is
     * set in several types, or does not begin and end beside spaces.
     *
     * @param shown what is drawn of it
     */
    Optional<Glyphs> part(int from, int to, String shown) {
        boolean apart =
                to <= text.length()
                        && (from == 0 || isSpace(from - 1))
                        && (to == text.length() || isSpace(to))
                        && Characters.shown(text.substring(from, to)).equals(shown);
        return apart
                ? stretches.stream()
                        .filter(each -> each.plain() && each.from() <= from && to <= each.to())
                        .findFirst()
                        .flatMap(each -> cut(each, from - each.from(), to - each.from()))
                : Optional.empty();
    }

    private boolean isSpace(int at) {
        return text.charAt(at) == ' ';
    }

    private Optional<Glyphs> cut(Stretch stretch, int from, int to) {
        Glyphs all = stretch.glyphs();
        int first = glyph(all, from);
        int end = to == stretch.to() - stretch.from() ? all.ids().length : glyph(all, to);
        if (first < 0 || end <= first) {
            return Optional.empty();
        }
        int[] starts = Arrays.copyOfRange(all.starts(), first, end);
        double[] x = Arrays.copyOfRange(all.x(), first, end + 1);
        double origin = x[0];
        for (int i = 0; i < starts.length; i++) {
            starts[i] -= from;
            x[i] -= origin;
        }
        // a space behind it may have drawn the last one nearer
        int last = end - 1;
        x[x.length - 1] =
                end == all.ids().length
                        ? x[x.length - 1] - origin
                        : x[x.length - 2] + alone(stretch, all.starts()[last], to);
        return Optional.of(
                new Glyphs(
                        Arrays.copyOfRange(all.ids(), first, end),
                        starts,
                        x,
                        Arrays.copyOfRange(all.y(), first, end)));
    }

    /** The glyph that begins with a character; below zero if none does. */
    private static int glyph(Glyphs glyphs, int character) {
        int found = Arrays.binarySearch(glyphs.starts(), character);
        while (found > 0 && glyphs.starts()[found - 1] == character) {
            found--;
        }
        return found;
    }

    /** How wide some characters of a stretch are with nothing beside them. */
    private double alone(Stretch stretch, int from, int to) {
        String of = text.substring(stretch.from() + from, stretch.from() + to);
        return ALONE.get(
                new Alone(
                        stretch.type().face(),
                        of,
                        stretch.type().tracking() == 0,
                        stretch.type().letters(),
                        stretch.type().leftward()),
                key -> stretch.type().shape(of).width());
    }
}
