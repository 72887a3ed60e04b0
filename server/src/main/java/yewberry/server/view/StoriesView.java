package yewberry.server.view;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;

/**
 * The stories of a publication, those that wait to be placed first, the rest by their pages.
 *
 * @param all how many there are that were looked for
 * @param waiting how many of these run through no frame
 * @param stories as many as were asked for
 */
public record StoriesView(int all, int waiting, List<StoryEntry> stories) {
    private static final int LONGEST = 80;

    /**
     * One story.
     *
     * @param begins its first words
     * @param frames how many it runs through
     * @param where its first and its last frame are, in words; empty where it waits
     */
    public record StoryEntry(UUID id, String begins, int words, int frames, String where) {}

    /**
     * @param find what their text holds; empty for all
     * @param most how many are given
     */
    public static StoriesView of(Publication in, String find, int most) {
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        List<Story> found =
                in.stories().stream()
                        .filter(story ->
                                wanted.isEmpty()
                                        || story.text().toLowerCase(Locale.ROOT).contains(wanted))
                        .sorted(Comparator.comparingInt(story -> page(story, in)))
                        .toList();
        return new StoriesView(
                found.size(),
                (int) found.stream().filter(story -> story.chain().isEmpty()).count(),
                found.stream().limit(most).map(story -> entry(story, in)).toList());
    }

    /** Its index; those on parents come before all pages, those that wait before these. */
    private static int page(Story story, Publication in) {
        return story.chain().isEmpty()
                ? -2
                : story.chain().getFirst().owner() instanceof Owner.OnPage(UUID id)
                        ? in.indexOf(id)
                        : -1;
    }

    private static StoryEntry entry(Story story, Publication in) {
        String text = story.text().strip();
        return new StoryEntry(
                story.id(),
                beginning(text),
                text.isEmpty() ? 0 : text.split("\\s+").length,
                story.chain().size(),
                where(story, in));
    }

    static String beginning(String text) {
        String line = text.lines().findFirst().orElse("").strip();
        return line.length() <= LONGEST ? line : line.substring(0, LONGEST - 1).strip() + "…";
    }

    private static String where(Story story, Publication in) {
        if (story.chain().isEmpty()) {
            return "";
        }
        String first = where(story.chain().getFirst(), in);
        String last = where(story.chain().getLast(), in);
        return first.equals(last) ? first : first + " to " + last;
    }

    private static String where(Story.Link link, Publication in) {
        return switch (link.owner()) {
            case Owner.OnPage(UUID page) -> "page " + (in.indexOf(page) + 1);
            case Owner.OnParent(UUID parent) -> "parent “%s”".formatted(in.parent(parent).name());
            case Owner.OnRecipe recipe ->
                    throw new IllegalStateException("text of a recipe: " + recipe.id());
        };
    }

    /**
     * A paragraph that links can lead to.
     *
     * @param text its beginning
     */
    public record LinkPlace(UUID story, UUID paragraph, String text) {}

    /**
     * Headings, or where something is looked for all paragraphs that hold it.
     *
     * @param find what their text holds; empty for headings
     * @param most how many are given
     */
    public static List<LinkPlace> places(Publication in, String find, int most) {
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        return in.stories().stream()
                .sorted(Comparator.comparingInt(story -> page(story, in)))
                .flatMap(story ->
                        story.paragraphs().stream()
                                .filter(each ->
                                        wanted.isEmpty()
                                                ? isHeading(each, in)
                                                : each.text()
                                                        .toLowerCase(Locale.ROOT)
                                                        .contains(wanted))
                                .map(each ->
                                        new LinkPlace(
                                                story.id(), each.id(), beginning(each.text()))))
                .filter(place -> !place.text().isEmpty())
                .limit(most)
                .toList();
    }

    private static boolean isHeading(Paragraph paragraph, Publication in) {
        return in.look(paragraph.look())
                .role()
                .filter(role -> role.name().startsWith("HEADING") || role.name().equals("TITLE"))
                .isPresent();
    }
}
