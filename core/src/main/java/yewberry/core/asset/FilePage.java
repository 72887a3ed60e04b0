package yewberry.core.asset;

import java.util.List;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;

/**
 * A page of a PDF as it is wanted.
 *
 * @param number from 1
 * @param medium that its colours come to
 * @param recolored the first that changes a colour counts
 * @param backed what lies behind words of it, those that came first below
 * @param condition whose inks its process inks are
 */
public record FilePage(
        int number,
        Part part,
        Medium medium,
        List<Recoloring> recolored,
        List<Backed> backed,
        PressCondition condition) {
    public FilePage {
        recolored = List.copyOf(recolored);
        backed = List.copyOf(backed);
    }

    /** All of one as it is. */
    public static FilePage of(int number, PressCondition condition, Medium medium) {
        return new FilePage(number, Part.ALL, medium, List.of(), List.of(), condition);
    }

    /** What of a page is drawn. */
    public enum Part {
        ALL,
        /** All but its text, and the lines that belong to that. */
        WITHOUT_TEXT,
        /** All, and its annotations and form fields over it. */
        ANNOTATED,
        /** Its annotations and form fields only, without their text. */
        ANNOTATIONS
    }

    /** Another part of the same page. */
    FilePage only(Part other) {
        return new FilePage(number, other, medium, recolored, backed, condition);
    }
}
