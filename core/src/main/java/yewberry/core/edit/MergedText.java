package yewberry.core.edit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import yewberry.core.edit.StoryEdit.WrittenRun;

/**
 * The text of a paragraph that two people changed at the same time: what each of them changed, word
 * by word. Where both changed the same words, the words of both are there, so that nobody's are
 * lost.
 *
 * @param apart whether they changed other words
 */
record MergedText(List<WrittenRun> runs, boolean apart) {
    /** Beyond so many pairs of words both texts are taken as changed throughout. */
    private static final long MOST_PAIRS = 4_000_000;

    /** A word, or the space between two, in one run. */
    private record Word(String text, WrittenRun style) {}

    /**
     * @param was what both of them saw
     * @param made what one made of it
     * @param here what the other did, which is there already
     */
    static MergedText of(List<WrittenRun> was, List<WrittenRun> made, List<WrittenRun> here) {
        if (made.equals(was) || made.equals(here)) {
            return new MergedText(here, true);
        }
        if (here.equals(was)) {
            return new MergedText(made, true);
        }
        List<Word> before = words(was);
        List<Word> mine = words(made);
        List<Word> theirs = words(here);
        int[] inMine = matches(before, mine);
        int[] inTheirs = matches(before, theirs);
        List<Word> merged = new ArrayList<>();
        boolean apart = true;
        int fromBefore = 0;
        int fromMine = 0;
        int fromTheirs = 0;
        for (int at = 0; at <= before.size(); at++) {
            boolean end = at == before.size();
            if (end || inMine[at] >= 0 && inTheirs[at] >= 0) {
                int toMine = end ? mine.size() : inMine[at];
                int toTheirs = end ? theirs.size() : inTheirs[at];
                List<Word> old = before.subList(fromBefore, at);
                List<Word> own = mine.subList(fromMine, toMine);
                List<Word> other = theirs.subList(fromTheirs, toTheirs);
                if (own.equals(old) || own.equals(other)) {
                    merged.addAll(other);
                } else if (other.equals(old)) {
                    merged.addAll(own);
                } else {
                    apart = false;
                    merged.addAll(other);
                    if (!other.isEmpty()
                            && !own.isEmpty()
                            && !other.getLast().text().isBlank()
                            && !own.getFirst().text().isBlank()) {
                        merged.add(new Word(" ", own.getFirst().style()));
                    }
                    merged.addAll(own);
                }
                if (!end) {
                    merged.add(before.get(at));
                }
                fromBefore = at + 1;
                fromMine = toMine + 1;
                fromTheirs = toTheirs + 1;
            }
        }
        return new MergedText(runs(merged), apart);
    }

    /** For each word where it still is in the other text, or -1: a longest common subsequence. */
    private static int[] matches(List<Word> was, List<Word> now) {
        int[] places = new int[was.size()];
        Arrays.fill(places, -1);
        int begin = 0;
        while (begin < Math.min(was.size(), now.size()) && was.get(begin).equals(now.get(begin))) {
            places[begin] = begin;
            begin++;
        }
        int end = 0;
        while (end < Math.min(was.size(), now.size()) - begin
                && was.get(was.size() - 1 - end).equals(now.get(now.size() - 1 - end))) {
            places[was.size() - 1 - end] = now.size() - 1 - end;
            end++;
        }
        int height = was.size() - begin - end;
        int width = now.size() - begin - end;
        if ((long) height * width > MOST_PAIRS) {
            return places;
        }
        int[][] longest = new int[height + 1][width + 1];
        for (int i = height - 1; i >= 0; i--) {
            for (int j = width - 1; j >= 0; j--) {
                longest[i][j] =
                        was.get(begin + i).equals(now.get(begin + j))
                                ? longest[i + 1][j + 1] + 1
                                : Math.max(longest[i + 1][j], longest[i][j + 1]);
            }
        }
        int i = 0;
        int j = 0;
        while (i < height && j < width) {
            if (was.get(begin + i).equals(now.get(begin + j))) {
                places[begin + i] = begin + j;
                i++;
                j++;
            } else if (longest[i + 1][j] >= longest[i][j + 1]) {
                i++;
            } else {
                j++;
            }
        }
        return places;
    }

    private static List<Word> words(List<WrittenRun> runs) {
        List<Word> words = new ArrayList<>();
        for (WrittenRun run : runs) {
            WrittenRun style = run.withText("");
            String text = run.text();
            int from = 0;
            for (int to = 1; to <= text.length(); to++) {
                boolean begins =
                        to == text.length()
                                || Character.isWhitespace(text.charAt(to - 1))
                                        != Character.isWhitespace(text.charAt(to));
                if (begins) {
                    words.add(new Word(text.substring(from, to), style));
                    from = to;
                }
            }
        }
        return words;
    }

    private static List<WrittenRun> runs(List<Word> words) {
        List<WrittenRun> runs = new ArrayList<>();
        int from = 0;
        for (int to = 1; to <= words.size(); to++) {
            if (to == words.size() || !words.get(to).style().equals(words.get(from).style())) {
                StringBuilder text = new StringBuilder();
                words.subList(from, to).forEach(word -> text.append(word.text()));
                runs.add(words.get(from).style().withText(text.toString()));
                from = to;
            }
        }
        return runs;
    }
}
