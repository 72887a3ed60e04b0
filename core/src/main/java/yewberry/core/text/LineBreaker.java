package yewberry.core.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import yewberry.core.publication.Language;
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
    private final int[] tabs;
    private final Tabs stops;
    private final IntFunction<Optional<Language>> languages;
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
     * Where lines may lie, in points from the left of the column.
     *
     * @param first where the first one begins
     * @param others where all others begin
     */
    record Room(double first, double others, double end) {
        /** How wide a line may be. */
        double of(boolean isFirst) {
            return Math.max(0, end - begin(isFirst)) + TOLERANCE;
        }

        double begin(boolean isFirst) {
            return isFirst ? first : others;
        }

        double narrowest() {
            return Math.min(of(true), of(false));
        }
    }

    /** What rounding may cost before a line counts as too long, in points. */
    private static final double TOLERANCE = 1e-6;

    /** Where the first line begins. */
    private final int begin;

    private LineBreaker(
            Paragraph paragraph,
            int begin,
            Function<Run, Type> types,
            Look look,
            Language language,
            Room room) {
        this.text = paragraph.text();
        this.begin = begin;
        this.room = room;
        this.types = types(paragraph, types, look);
        this.shaped = new ShapedText(text, this.types);
        this.edges = shaped.edges();
        this.spaces = upTo(text, Characters::isWordSpace);
        this.tabs = upTo(text, c -> c == '\t');
        this.stops = new Tabs(look.setting().tabs(), room.end());
        this.languages =
                look.setting().hyphenated()
                        ? at ->
                                Optional.of(
                                        runAt(paragraph, at)
                                                .language()
                                                .or(look.setting()::language)
                                                .orElse(language))
                        : at -> Optional.empty();
    }

    private static Run runAt(Paragraph paragraph, int character) {
        int end = 0;
        for (Run run : paragraph.runs()) {
            end += run.text().length();
            if (character < end) {
                return run;
            }
        }
        return paragraph.runs().getLast();
    }

    /**
     * At least one line.
     *
     * @param begin where the first one begins, which is not the beginning where some were set
     *     before
     * @param types what each run is set in
     * @param language of words that say no other
     * @param room where lines may lie
     */
    static Broken lines(
            Paragraph paragraph,
            int begin,
            Function<Run, Type> types,
            Look look,
            Language language,
            Room room) {
        LineBreaker breaker = new LineBreaker(paragraph, begin, types, look, language, room);
        breaker.run(look);
        return new Broken(breaker.lines, breaker.shaped);
    }

    /** All of a paragraph in one line. */
    static List<ShapedLine.Piece> line(Paragraph paragraph, Function<Run, Type> types, Look look) {
        Type[] of = types(paragraph, types, look);
        int end = paragraph.text().length();
        return ShapedLine.of(
                        paragraph,
                        new Line(0, end, end, false, true, 0),
                        new ShapedText(paragraph.text(), of))
                .pieces();
    }

    private static Type[] types(Paragraph paragraph, Function<Run, Type> types, Look look) {
        Type[] of = new Type[paragraph.text().length() + 1];
        Directions directions = Directions.of(paragraph.text());
        int at = 0;
        for (Run run : paragraph.runs()) {
            Type type = types.apply(run);
            for (int i = 0; i < run.text().length(); ) {
                int codePoint = run.text().codePointAt(i);
                int next = i + Character.charCount(codePoint);
                Arrays.fill(
                        of,
                        at + i,
                        at + next,
                        type.showing(codePoint).at(directions.level(at + i)));
                i = next;
            }
            joinWords(run.text(), at, type, of);
            at += run.text().length();
        }
        of[at] = at == 0 ? Type.of(look, Optional.empty()) : of[at - 1];
        return of;
    }

    /**
     * Spaces between words that another face stands in for are of that, too: one stretch of text.
     *
     * @param text of a run
     * @param from where it begins in the paragraph
     * @param own what the run is set in
     */
    private static void joinWords(String text, int from, Type own, Type[] of) {
        int word = 0;
        while (word < text.length()) {
            int end = word;
            while (end < text.length() && !Characters.isWordSpace(text.charAt(end))) {
                end++;
            }
            int next = end;
            while (next < text.length() && Characters.isWordSpace(text.charAt(next))) {
                next++;
            }
            if (end > word && next < text.length()) {
                Type before = of[from + end - 1];
                boolean joined =
                        !before.face().equals(own.face()) && before.equals(of[from + next]);
                if (joined) {
                    Arrays.fill(of, from + end, from + next, before);
                }
            }
            word = next;
        }
    }

    private void run(Look look) {
        TextSetting setting = look.setting();
        List<Breaks.Break> breaks =
                withEmergencies(
                        Breaks.of(text, languages).stream()
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
        double natural = natural(start, last, end);
        return tabs[last] == tabs[start] ? natural : natural + tabbed(start, last);
    }

    /** Without what tabs add. */
    private double natural(int start, int last, Breaks.Break end) {
        Type type = types[Math.max(0, last - 1)];
        double mark = end.hyphenated() ? hyphens.computeIfAbsent(type, LineBreaker::hyphen) : 0;
        // what follows the last character is not seen
        return edges[last] - edges[start] + mark - type.tracking() * type.scale();
    }

    /** What tabs add to a line. */
    private double tabbed(int start, int last) {
        Tabs.Row row =
                new Tabs.Row() {
                    @Override
                    public int size() {
                        return last - start;
                    }

                    @Override
                    public double at(int cell) {
                        return edges[start + cell];
                    }

                    @Override
                    public String text(int cell) {
                        return text.substring(start + cell, start + cell + 1);
                    }
                };
        return stops.of(row, room.begin(start == begin)).stream()
                .mapToDouble(Tabs.Reach::extra)
                .sum();
    }

    private static double hyphen(Type type) {
        return (type.shape(Characters.hyphen(type.face())).width() + type.tracking())
                * type.scale();
    }

    /** Those that a justified line may make wider: behind its last tab. */
    private int spacesIn(int start, Breaks.Break end) {
        int last = trimmed(start, end.at());
        int from = tabs[last] == tabs[start] ? start : text.lastIndexOf('\t', last - 1);
        return spaces[last] - spaces[from];
    }

    private interface Test {
        boolean of(char c);
    }

    /** How many characters before each one pass a test. */
    private static int[] upTo(String text, Test test) {
        int[] passing = new int[text.length() + 1];
        for (int i = 0; i < text.length(); i++) {
            passing[i + 1] = passing[i] + (test.of(text.charAt(i)) ? 1 : 0);
        }
        return passing;
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
        double narrowest = room.narrowest();
        List<Breaks.Break> all = new ArrayList<>(breaks.size());
        int start = begin;
        for (Breaks.Break each : breaks) {
            while (natural(start, trimmed(start, each.at()), each) > narrowest) {
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
