package yewberry.core.publication;

import yewberry.core.Refused;

/**
 * What of a paragraph stays in one column.
 *
 * @param first so many lines at least, where it begins at the end of a column
 * @param last so many lines at least, where it ends at the beginning of one
 * @param together whether all of it does
 * @param withNext whether its end does with the beginning of the next paragraph
 * @param begin where it begins
 * @throws Refused if a number of lines is not within 1 to 20
 */
public record Keeps(int first, int last, boolean together, boolean withNext, Begin begin) {
    public static final Keeps USUAL = new Keeps(1, 1, false, false);

    private static final int MOST = 20;

    public enum Begin {
        ANYWHERE,
        COLUMN,
        FRAME
    }

    /** One that begins where the paragraph before it ends. */
    public Keeps(int first, int last, boolean together, boolean withNext) {
        this(first, last, together, withNext, Begin.ANYWHERE);
    }

    public Keeps withBegin(Begin changed) {
        return new Keeps(first, last, together, withNext, changed);
    }

    public Keeps {
        if (first < 1 || first > MOST || last < 1 || last > MOST) {
            throw new Refused("Lines are kept together by 1 to %d.".formatted(MOST));
        }
    }
}
