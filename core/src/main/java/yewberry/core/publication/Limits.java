package yewberry.core.publication;

import yewberry.core.Refused;

/**
 * How much one publication holds at most: far more than any has, and little enough that no step can
 * hold up the others.
 */
public final class Limits {
    public static final int PAGES = 10_000;
    public static final int SWATCHES = 1_000;
    public static final int LOOKS = 500;
    public static final int PARENTS = 500;
    public static final int PICTURES = 2_000;
    public static final int RECIPES = 500;

    public static final int STORIES = 40_000;
    public static final int EXEMPTIONS = 2_000;

    /** Of one story. */
    public static final int PARAGRAPHS = 20_000;

    /** Of one paragraph. */
    public static final int CHARACTERS = 50_000;

    private Limits() {}

    /**
     * @throws Refused if there is more of something than before, and too much of it
     */
    public static void check(Publication before, Publication after) {
        check("pages", before.pages().size(), after.pages().size(), PAGES);
        check("swatches", before.swatches().size(), after.swatches().size(), SWATCHES);
        check("looks", before.looks().size(), after.looks().size(), LOOKS);
        check(
                "character looks",
                before.characterLooks().size(),
                after.characterLooks().size(),
                LOOKS);
        check("parents", before.parents().size(), after.parents().size(), PARENTS);
        check("pictures", before.assets().size(), after.assets().size(), PICTURES);
        check("recipes", before.recipes().size(), after.recipes().size(), RECIPES);
        check("stories", before.stories().size(), after.stories().size(), STORIES);
        check("exceptions", before.exemptions().size(), after.exemptions().size(), EXEMPTIONS);
    }

    /**
     * @throws Refused if that is more text than one story holds
     */
    public static void check(Story story) {
        if (story.paragraphs().size() > PARAGRAPHS) {
            throw new Refused(
                    "A story holds at most %d paragraphs, and this would make it %d; begin another one for the rest."
                            .formatted(PARAGRAPHS, story.paragraphs().size()));
        }
    }

    /**
     * @throws Refused if that is more text than one paragraph holds
     */
    public static void check(Paragraph paragraph) {
        int characters = paragraph.runs().stream().mapToInt(run -> run.text().length()).sum();
        if (characters > CHARACTERS) {
            throw new Refused(
                    "A paragraph holds at most %d characters, and this one has %d; divide it."
                            .formatted(CHARACTERS, characters));
        }
    }

    private static void check(String what, int before, int after, int most) {
        if (after > most && after > before) {
            throw new Refused(
                    "A publication holds at most %d %s; this would make it %d. Remove some first."
                            .formatted(most, what, after));
        }
    }
}
