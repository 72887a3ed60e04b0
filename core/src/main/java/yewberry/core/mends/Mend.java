package yewberry.core.mends;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Rgb;
import yewberry.core.edit.Edit;

/** A way to mend what is wrong: an edit, with what it leads to. */
public sealed interface Mend permits ContrastMend, FindingMend {
    /**
     * How text is seen then.
     *
     * @param screen a colour that it brings, as it is seen
     * @param ratio the least that the text has
     * @param required the least that passes
     */
    record Seen(Rgb screen, double ratio, double required) {}

    /** What it changes, such as {@code LOOK}; a name of an enumeration. */
    String changes();

    /** Of the colour that it brings, or what it does, in words. */
    String words();

    /** The values of that colour, or how it is done. */
    String detail();

    /** Nothing where it is not about how text stands out. */
    Optional<Seen> seen();

    /** Those that it changes, in order. */
    List<UUID> pages();

    /** Whether all that it changes was composed and judged: what else would come of it is known. */
    default boolean isTried() {
        return true;
    }

    /** What of it would be wrong still, in words. */
    default Optional<String> stays() {
        return Optional.empty();
    }

    /** Other text that would fail for it, each once. */
    default List<String> worse() {
        return List.of();
    }

    /** What else would be wrong on the page that was not, in words. */
    default List<String> comes() {
        return List.of();
    }

    /** Whether text finds no room then that had some. */
    default boolean overset() {
        return false;
    }

    Edit edit();
}
