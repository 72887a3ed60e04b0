package yewberry.core.flow;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import yewberry.core.publication.Field;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;

/**
 * What fields come to on a page.
 *
 * @param texts of those that a story has
 */
record PageFields(Map<Field, String> texts) {
    static final PageFields NONE = new PageFields(Map.of());

    PageFields {
        texts = Map.copyOf(texts);
    }

    /**
     * @param used those that the story has
     * @param says what each comes to
     */
    static PageFields of(Set<Field> used, Function<Field, String> says) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        used.forEach(field -> texts.put(field, says.apply(field)));
        return new PageFields(texts);
    }

    /**
     * Paragraphs as they read on the page.
     *
     * @param having the places of those that have fields
     */
    List<Paragraph> in(List<Paragraph> paragraphs, List<Integer> having) {
        if (texts.isEmpty()) {
            return paragraphs;
        }
        List<Paragraph> read = new ArrayList<>(paragraphs);
        having.forEach(place -> read.set(place, in(paragraphs.get(place))));
        return read;
    }

    private Paragraph in(Paragraph paragraph) {
        List<Run> runs =
                paragraph.runs().stream().map(run -> run.withText(read(run.text()))).toList();
        return paragraph.withRuns(runs);
    }

    private String read(String text) {
        StringBuilder read = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            if (Field.is(text.charAt(i))) {
                read.append(texts.getOrDefault(Field.of(text.charAt(i)), ""));
            } else {
                read.append(text.charAt(i));
            }
        }
        return read.toString();
    }

    private int length(char written) {
        return Field.is(written) ? texts.getOrDefault(Field.of(written), "").length() : 1;
    }

    /** Where a character of a text with fields stands in what that reads. */
    int place(String text, int character) {
        return read(text.substring(0, Math.min(character, text.length()))).length();
    }

    /**
     * Where what was read here up to a place goes on as another page reads it: within a field as
     * far in, if it is that long there.
     *
     * @param text with fields
     * @param place in what that reads here
     */
    int onward(String text, int place, PageFields to) {
        int here = 0;
        int there = 0;
        for (int i = 0; i < text.length() && here < place; i++) {
            int length = length(text.charAt(i));
            boolean isWhole = here + length <= place;
            int other = to.length(text.charAt(i));
            there += isWhole ? other : Math.min(place - here, other);
            here += length;
        }
        return there;
    }
}
