package yewberry.core.output;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import yewberry.core.publication.Language;
import yewberry.core.publication.ListMark;
import yewberry.core.scene.Rect;

/** An element of the structure of a publication: what a stretch of it is to whoever reads. */
public final class Node {
    private final Kind kind;
    private final int level;
    private final Optional<Language> language;
    private final String alternative;
    private final Optional<ListMark.Mark> marks;
    private final List<Part> parts = new ArrayList<>();

    /** What an element is. */
    public enum Kind {
        DOCUMENT,
        /** A named part of the publication. */
        PART,
        TITLE,
        HEADING,
        PARAGRAPH,
        QUOTE,
        CAPTION,
        LIST,
        ITEM,
        /** The sign or number that an item of a list has. */
        LABEL,
        /** What an item of a list says. */
        BODY,
        FIGURE,
        LINK,
        SPAN
    }

    /** What an element holds, in the order in which it is read. */
    public sealed interface Part {
        /** An element within it. */
        record Within(Node node) implements Part {}

        /**
         * Something painted.
         *
         * @param page among those written, from 0
         * @param number among what is read on it, from 0
         * @param where it lies, from the top left corner of the trim
         * @param text as it is read
         */
        record Content(int page, int number, Rect where, String text) implements Part {}
    }

    /**
     * @param level of a heading, from 1; else 0
     * @param language of what it holds, where that is another than around it
     * @param alternative in place of it, for those who do not see it; else empty
     */
    Node(Kind kind, int level, Optional<Language> language, String alternative) {
        this(kind, level, language, alternative, Optional.empty());
    }

    private Node(
            Kind kind,
            int level,
            Optional<Language> language,
            String alternative,
            Optional<ListMark.Mark> marks) {
        this.kind = kind;
        this.level = level;
        this.language = language;
        this.alternative = alternative;
        this.marks = marks;
    }

    /** Words that lead somewhere. */
    public static Node link() {
        return of(Kind.LINK);
    }

    static Node list(ListMark.Mark marks) {
        return new Node(Kind.LIST, 0, Optional.empty(), "", Optional.of(marks));
    }

    static Node of(Kind kind) {
        return new Node(kind, 0, Optional.empty(), "");
    }

    Node within(Node node) {
        parts.add(new Part.Within(node));
        return node;
    }

    void hold(Part.Content content) {
        parts.add(content);
    }

    public Kind kind() {
        return kind;
    }

    /** Of a heading, from 1; else 0. */
    public int level() {
        return level;
    }

    public Optional<Language> language() {
        return language;
    }

    /** In place of it, for those who do not see it; empty where it is read itself. */
    public String alternative() {
        return alternative;
    }

    /** What stands before the items of a list; nothing of all else. */
    public Optional<ListMark.Mark> marks() {
        return marks;
    }

    /** In the order in which they are read; elements that hold nothing are none. */
    public List<Part> parts() {
        return parts.stream()
                .filter(part -> !(part instanceof Part.Within(Node node)) || !node.isBare())
                .toList();
    }

    private boolean isBare() {
        return parts.stream()
                .allMatch(part -> part instanceof Part.Within(Node node) && node.isBare());
    }

    /** The elements right within it, those that hold nothing, too. */
    List<Node> within() {
        return parts.stream()
                .filter(Part.Within.class::isInstance)
                .map(part -> ((Part.Within) part).node())
                .toList();
    }

    /** The elements right within it. */
    public List<Node> nodes() {
        return parts().stream()
                .filter(Part.Within.class::isInstance)
                .map(part -> ((Part.Within) part).node())
                .toList();
    }

    /** What is painted of it itself, and not of what is within it. */
    public List<Part.Content> contents() {
        return parts.stream()
                .filter(Part.Content.class::isInstance)
                .map(Part.Content.class::cast)
                .toList();
    }

    /** The characters of it, and of all within it, as they are read. */
    public String text() {
        return parts.stream()
                .map(part ->
                        switch (part) {
                            case Part.Content content -> content.text();
                            case Part.Within(Node node) -> node.text();
                        })
                .collect(Collectors.joining());
    }

    /** All elements in reading order, this one first. */
    public List<Node> all() {
        List<Node> all = new ArrayList<>();
        collect(all);
        return all;
    }

    private void collect(List<Node> all) {
        all.add(this);
        nodes().forEach(node -> node.collect(all));
    }

    /** The page that it begins on, among those written, from 0; it is not bare. */
    public int page() {
        return first().orElseThrow().page();
    }

    /** The first of what is painted of it or of anything within it. */
    public Optional<Part.Content> first() {
        for (Part part : parts) {
            Optional<Part.Content> found =
                    switch (part) {
                        case Part.Content content -> Optional.of(content);
                        case Part.Within(Node node) -> node.first();
                    };
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }
}
