package yewberry.core.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import yewberry.core.publication.TextSetting;

/**
 * Chooses the lines of justified text over the whole paragraph, so that the sum of what is bad
 * about them is the least: D. E. Knuth and M. F. Plass, Breaking Paragraphs into Lines, Software:
 * Practice and Experience 11 (1981), with their badness and demerits.
 */
final class BestLines {
    /** What each line costs; theirs, as is all below. */
    private static final double LINE = 10;

    private static final double HYPHEN = 50;
    private static final double HYPHENS_IN_A_ROW = 3000;

    /** In points. */
    private static final double NOTHING = 1e-6;

    /** Something of a line from a character to a place. */
    interface Measure {
        double of(int start, Breaks.Break end);
    }

    interface Width {
        double of(boolean isFirst);
    }

    private final Measure width;
    private final Measure spaces;
    private final Width room;
    private final double stretch;
    private final double shrink;

    /**
     * @param width of a line as it is by itself, in points
     * @param spaces how many a line has
     * @param room of a line
     * @param space as wide as the face has it, in points
     */
    BestLines(
            Measure width,
            Measure spaces,
            Width room,
            double space,
            TextSetting.WordSpaces limits) {
        this.width = width;
        this.spaces = spaces;
        this.room = room;
        this.stretch = Math.max(space * (limits.most() - 100) / 100, NOTHING);
        this.shrink = Math.max(space * (100 - limits.least()) / 100, NOTHING);
    }

    /**
     * Where the lines end.
     *
     * @param places where they may, the last one where they must
     * @param begin the first character
     */
    List<Breaks.Break> of(List<Breaks.Break> places, int begin) {
        int count = places.size();
        double[] least = new double[count + 1];
        int[] from = new int[count + 1];
        Arrays.fill(least, Double.POSITIVE_INFINITY);
        least[0] = 0;
        for (int to = 1; to <= count; to++) {
            for (int before = to - 1; before >= 0; before--) {
                double cost = cost(places, begin, before, to);
                if (least[before] + cost < least[to]) {
                    least[to] = least[before] + cost;
                    from[to] = before;
                }
                if (before < to - 1 && isTooLong(places, begin, before, to)) {
                    break; // from farther back it is not shorter
                }
            }
        }
        List<Breaks.Break> chosen = new ArrayList<>();
        for (int to = count; to > 0; to = from[to]) {
            chosen.add(places.get(to - 1));
        }
        Collections.reverse(chosen);
        return chosen;
    }

    private boolean isTooLong(List<Breaks.Break> places, int begin, int before, int to) {
        Breaks.Break end = places.get(to - 1);
        int start = before == 0 ? begin : places.get(before - 1).at();
        double least = width.of(start, end) - spaces.of(start, end) * shrink;
        return least > Math.max(room.of(true), room.of(false));
    }

    /**
     * The demerits of a line between two places; 0 is the beginning. Infinite if it is too long.
     */
    double cost(List<Breaks.Break> places, int begin, int before, int to) {
        Breaks.Break end = places.get(to - 1);
        int start = before == 0 ? begin : places.get(before - 1).at();
        double left = room.of(before == 0) - width.of(start, end);
        int count = Math.max(1, (int) spaces.of(start, end));
        double ratio = left >= 0 ? left / (count * stretch) : left / (count * shrink);
        if (ratio < -1 - NOTHING) {
            // alone between two places it has to stand, and what is too long is broken before this
            return to - before == 1 ? 1e12 * (1 - ratio) : Double.POSITIVE_INFINITY;
        }
        double badness = end.must() && left >= 0 ? 0 : 100 * Math.pow(Math.abs(ratio), 3);
        double demerits = (LINE + badness) * (LINE + badness);
        if (end.hyphenated()) {
            demerits += HYPHEN * HYPHEN;
            if (before > 0 && places.get(before - 1).hyphenated()) {
                demerits += HYPHENS_IN_A_ROW;
            }
        }
        return demerits;
    }
}
