package yewberry.core.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextSetting;

/**
 * Breaks a paragraph into lines. Those of ragged text are each as full as they can be; those of
 * justified text are chosen over the whole paragraph ({@link BestLines}).
 */
final class LineBreaker {
    private final String text;
    private final Room room;
    private final ShapedText shaped;
    private final double[] edges;

    /** Of each character; one more for a text of none. */
    private final Type[] types;

    private final int[] spaces;
    private final List<Line> lines = new ArrayList<>();
    private final Map<Type, Double> hyphens = new HashMap<>();

    /**
     * A line as positions of characters.
     *
     * @param end before what is left out at its end
     * @param next where the next line begins
     * @param hyphenated whether a hyphen is drawn at its end
     * @param last whether the paragraph, or what a line separator closes, ends with it
     * @param largest size of type in it, in points
     */
    record Line(int start, int end, int next, boolean hyphenated, boolean last, double largest) {}

    /** A paragraph with its lines. */
    record Broken(List<Line> lines, ShapedText shaped) {}

    /**
     * How wide lines may be, in points.
     *
     * @param first of the paragraph
     */
    record Room(double first, double others) {
        double of(boolean isFirst) {
            return isFirst ? first : others;
        }
    }

    /** Where the first line begins. */
    private final int begin;

    private LineBreaker(
            Paragraph paragraph, int begin, Function<Run, Type> types, Look look, Room room) {
        this.text = paragraph.text();
        this.begin = begin;
        this.room = room;
        this.types = types(paragraph, types, look);
        this.shaped = new ShapedText(text, this.types);
        this.edges = shaped.edges();
        this.spaces = spacesUpTo(text);
    }

    /**
     * At least one line.
     *
     * @param begin where the first one begins, which is not the beginning where some were set
     *     before
     * @param types what each run is set in
     * @param room that a line may have at most
     */
    static Broken lines(
            Paragraph paragraph, int begin, Function<Run, Type> types, Look look, Room room) {
        LineBreaker breaker = new LineBreaker(paragraph, begin, types, look, room);
        breaker.run(look);
        return new Broken(breaker.lines, breaker.shaped);
    }

    private static Type[] types(Paragraph paragraph, Function<Run, Type> types, Look look) {
        Type[] of = new Type[paragraph.text().length() + 1];
        int at = 0;
        for (Run run : paragraph.runs()) {
            Type type = types.apply(run);
            for (int i = 0; i < run.text().length(); ) {
                int codePoint = run.text().codePointAt(i);
                int next = i + Character.charCount(codePoint);
                Arrays.fill(of, at + i, at + next, type.showing(codePoint));
                i = next;
            }
            at += run.text().length();
        }
        of[at] = at == 0 ? Type.of(look, Optional.empty()) : of[at - 1];
        return of;
    }

    private void run(Look look) {
        TextSetting setting = look.setting();
        List<Breaks.Break> breaks =
                withEmergencies(
                        Breaks.of(text, setting.hyphenation()).stream()
                                .filter(each -> each.at() > begin || text.isEmpty())
                                .toList());
        int from = 0;
        for (int i = 0; i < breaks.size(); i++) {
            if (breaks.get(i).must()) {
                List<Breaks.Break> stretch = breaks.subList(from, i + 1);
                int start = from == 0 ? begin : breaks.get(from - 1).at();
                if (look.alignment() == Look.Alignment.JUSTIFIED) {
                    justified(
                            stretch,
                            start,
                            setting.spaces(),
                            Type.of(look, Optional.empty()).space());
                } else {
                    full(stretch, start);
                }
                from = i + 1;
            }
        }
    }

    /** Each line as full as it can be. */
    private void full(List<Breaks.Break> stretch, int from) {
        int start = from;
        int next = 0;
        while (next < stretch.size()) {
            int fitting = next;
            while (fitting + 1 < stretch.size() && fits(start, stretch.get(fitting + 1))) {
                fitting++;
            }
            // a hyphen may not fit where the word without one does
            while (fitting > next && !fits(start, stretch.get(fitting))) {
                fitting--;
            }
            add(start, stretch.get(fitting));
            start = stretch.get(fitting).at();
            next = fitting + 1;
        }
    }

    private void justified(
            List<Breaks.Break> stretch, int from, TextSetting.WordSpaces spaces, double space) {
        BestLines best =
                new BestLines(
                        this::width,
                        this::spacesIn,
                        isFirst -> room.of(isFirst && lines.isEmpty()),
                        space,
                        spaces);
        int start = from;
        for (Breaks.Break each : best.of(stretch, from)) {
            add(start, each);
            start = each.at();
        }
    }

    private boolean fits(int start, Breaks.Break end) {
        return width(start, end) <= room.of(lines.isEmpty());
    }

    private double width(int start, Breaks.Break end) {
        int last = trimmed(start, end.at());
        Type type = types[Math.max(0, last - 1)];
        double mark = end.hyphenated() ? hyphens.computeIfAbsent(type, LineBreaker::hyphen) : 0;
        // what follows the last character is not seen
        return edges[last] - edges[start] + mark - type.tracking() * type.scale();
    }

    private static double hyphen(Type type) {
        return (type.shape(Characters.hyphen(type.face())).width() + type.tracking())
                * type.scale();
    }

    private int spacesIn(int start, Breaks.Break end) {
        return spaces[trimmed(start, end.at())] - spaces[start];
    }

    private static int[] spacesUpTo(String text) {
        int[] spaces = new int[text.length() + 1];
        for (int i = 0; i < text.length(); i++) {
            spaces[i + 1] = spaces[i] + (Characters.isWordSpace(text.charAt(i)) ? 1 : 0);
        }
        return spaces;
    }

    private void add(int start, Breaks.Break end) {
        int last = trimmed(start, end.at());
        double largest = types[start].size();
        for (int i = start; i < last; i++) {
            largest = Math.max(largest, types[i].size());
        }
        lines.add(new Line(start, last, end.at(), end.hyphenated(), end.must(), largest));
    }

    private int trimmed(int start, int end) {
        int trimmed = end;
        while (trimmed > start && Characters.isTrimmed(text.charAt(trimmed - 1))) {
            trimmed--;
        }
        return trimmed;
    }

    /** What is wider than a line between two places is broken where it must be. */
    private List<Breaks.Break> withEmergencies(List<Breaks.Break> breaks) {
        double narrowest = Math.min(room.first(), room.others());
        List<Breaks.Break> all = new ArrayList<>(breaks.size());
        int start = begin;
        for (Breaks.Break each : breaks) {
            while (width(start, each) > narrowest) {
                int forced = forced(start, trimmed(start, each.at()), narrowest);
                if (forced >= each.at()) {
                    break;
                }
                all.add(new Breaks.Break(forced, false, false));
                start = forced;
            }
            all.add(each);
            start = each.at();
        }
        return all;
    }

    private int forced(int start, int end, double width) {
        int forced = start + 1;
        while (forced < end && edges[forced + 1] - edges[start] <= width) {
            forced++;
        }
        return Character.isLowSurrogate(text.charAt(forced - 1)) || forced == text.length()
                ? forced
                : forced + (Character.isLowSurrogate(text.charAt(forced)) ? 1 : 0);
    }
}
