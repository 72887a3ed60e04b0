package yewberry.core.flow;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import yewberry.core.publication.Field;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;

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
     * @param number of the page, from 1
     * @param count of all pages
     * @param part that the page is in; empty for none
     * @param publication its name
     */
    static PageFields of(Set<Field> used, int number, int count, String part, String publication) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        for (Field field : used) {
            texts.put(
                    field,
                    switch (field) {
                        case PAGE -> Integer.toString(number);
                        case PAGES -> Integer.toString(count);
                        case PART -> part;
                        case PUBLICATION -> publication;
                    });
        }
        return new PageFields(texts);
    }

    /** A story as it reads on the page. */
    Story in(Story story) {
        return texts.isEmpty()
                ? story
                : story.withParagraphs(story.paragraphs().stream().map(this::in).toList());
    }

    private Paragraph in(Paragraph paragraph) {
        if (paragraph.runs().stream().allMatch(run -> read(run.text()).equals(run.text()))) {
            return paragraph;
        }
        List<Run> runs =
                paragraph.runs().stream().map(run -> run.withText(read(run.text()))).toList();
        return paragraph.withRuns(runs);
    }

    private String read(String text) {
        StringBuilder read = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char each = text.charAt(i);
            if (Field.is(each)) {
                read.append(texts.getOrDefault(Field.of(each), ""));
            } else {
                read.append(each);
            }
        }
        return read.toString();
    }

    /** Where a character of a text with fields stands in what that reads. */
    int place(String text, int character) {
        return read(text.substring(0, Math.min(character, text.length()))).length();
    }
}
