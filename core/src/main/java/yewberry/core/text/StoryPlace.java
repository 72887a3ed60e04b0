package yewberry.core.text;

/**
 * A place in the text of a story.
 *
 * @param paragraph from 0; their number means the end of all
 * @param character in that, from 0
 */
public record StoryPlace(int paragraph, int character) {
    public static final StoryPlace BEGINNING = new StoryPlace(0, 0);
}
