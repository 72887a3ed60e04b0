package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * How the lines of a paragraph are set.
 *
 * @param after space below a paragraph, on top of the space above the next
 * @param first how far the first line is indented; below zero it hangs out
 * @param left how far all lines are indented at the left
 * @param right how far all lines are indented at the right
 * @param tracking between characters, in thousandths of the type size; other than zero, there are
 *     no ligatures
 * @param hyphenated whether words are divided other than at soft hyphens
 * @param language of its words; nothing means that of their story
 * @param spaces how wide justified lines may make a space, in percent of the face's own
 * @param keeps what of it stays in one column
 * @param letters which shapes of its face are drawn
 * @param tabs in any order
 * @throws Refused if a measure is out of range
 */
public record TextSetting(
        Length after,
        Length first,
        Length left,
        Length right,
        double tracking,
        boolean hyphenated,
        Optional<Language> language,
        WordSpaces spaces,
        Keeps keeps,
        Letters letters,
        List<TabStop> tabs) {
    public static final TextSetting USUAL =
            new TextSetting(Length.ZERO, Length.ZERO, Length.ZERO, Length.ZERO, 0);

    private static final int MOST_TABS = 20;

    /** In points; what rounding in different units comes to is less. */
    private static final double HAIR = 2e-6;

    /**
     * In percent of the face's own space.
     *
     * @param least what a line is closed up to
     * @param most beyond what a line counts as loose
     * @throws Refused if they are not within 50 to 100 and 100 to 500
     */
    public record WordSpaces(double least, double most) {
        /** Common practice, no source. */
        public static final WordSpaces USUAL = new WordSpaces(80, 150);

        public WordSpaces {
            if (!(least >= 50 && least <= 100 && most >= 100 && most <= 500)) {
                throw new Refused(
                        "Word spaces from %s %% to %s %% are not possible; choose from 50 to 100, and from 100 to 500."
                                .formatted(Numbers.plain(least), Numbers.plain(most)));
            }
        }
    }

    public TextSetting {
        checkAfter(after);
        checkLeft(left);
        checkRight(right);
        tabs = List.copyOf(tabs);
        if (tabs.size() > MOST_TABS) {
            throw new Refused("A look has at most %d tab stops.".formatted(MOST_TABS));
        }
        if (hangsOut(first, left)) {
            throw new Refused(
                    "The first line would hang %s out of its frame; indent all lines by as much at the left."
                            .formatted(first.inWords()));
        }
        checkTracking(tracking);
    }

    /** One with these measures, and usual in all else. */
    public TextSetting(Length after, Length first, Length left, Length right, double tracking) {
        this(
                after,
                first,
                left,
                right,
                tracking,
                false,
                Optional.empty(),
                WordSpaces.USUAL,
                Keeps.USUAL,
                Letters.USUAL,
                List.of());
    }

    /** With words divided, by the rules of a language. */
    public TextSetting hyphenatedIn(Optional<Language> changed) {
        return new TextSetting(
                after,
                first,
                left,
                right,
                tracking,
                changed.isPresent(),
                changed,
                spaces,
                keeps,
                letters,
                tabs);
    }

    public TextSetting withIndents(Length changedFirst, Length changedLeft) {
        return new TextSetting(
                after,
                changedFirst,
                changedLeft,
                right,
                tracking,
                hyphenated,
                language,
                spaces,
                keeps,
                letters,
                tabs);
    }

    TextSetting withSpaces(
            Length changedAfter,
            Length changedFirst,
            Length changedLeft,
            Length changedRight,
            boolean changedHyphenated) {
        return new TextSetting(
                changedAfter,
                changedFirst,
                changedLeft,
                changedRight,
                tracking,
                changedHyphenated,
                language,
                spaces,
                keeps,
                letters,
                tabs);
    }

    TextSetting withTracking(double changed) {
        return new TextSetting(
                after,
                first,
                left,
                right,
                changed,
                hyphenated,
                language,
                spaces,
                keeps,
                letters,
                tabs);
    }

    public TextSetting withKeeps(Keeps changed) {
        return new TextSetting(
                after,
                first,
                left,
                right,
                tracking,
                hyphenated,
                language,
                spaces,
                changed,
                letters,
                tabs);
    }

    public TextSetting withLetters(Letters changed) {
        return new TextSetting(
                after,
                first,
                left,
                right,
                tracking,
                hyphenated,
                language,
                spaces,
                keeps,
                changed,
                tabs);
    }

    public TextSetting withTabs(List<TabStop> changed) {
        return new TextSetting(
                after,
                first,
                left,
                right,
                tracking,
                hyphenated,
                language,
                spaces,
                keeps,
                letters,
                changed);
    }

    /** Whether a first line begins to the left of its frame. */
    static boolean hangsOut(Length first, Length left) {
        return left.points() + first.points() < -HAIR;
    }

    static void checkAfter(Length after) {
        notNegative("Space below a paragraph", after);
    }

    static void checkLeft(Length left) {
        notNegative("An indent at the left", left);
    }

    static void checkRight(Length right) {
        notNegative("An indent at the right", right);
    }

    static void checkTracking(double tracking) {
        if (!(tracking >= -200 && tracking <= 1000)) {
            throw new Refused(
                    "Tracking of %s is not possible; choose from -200 to 1000 thousandths of the type size."
                            .formatted(Numbers.plain(tracking)));
        }
    }

    private static void notNegative(String what, Length length) {
        if (length.value() < 0) {
            throw new Refused(
                    "%s of %s is negative; use 0 mm or more.".formatted(what, length.inWords()));
        }
    }
}
