package yewberry.core.mends;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Publication;

/** A way to make text legible: an edit, with what it leads to. */
public sealed interface Mend permits ColorMend, BandMend, Remedy, SwatchMend {
    /** What it changes, such as {@code LOOK}; a name of an enumeration. */
    String changes();

    /** Of the colour that it brings, or what it does, in words. */
    String words();

    /** The values of that colour, or how it is done. */
    String detail();

    /** A colour that it brings, as it is seen. */
    Rgb screen();

    /** The least that the text has then. */
    double ratio();

    /** The least that passes then. */
    double required();

    /** Those that it changes, in order. */
    List<UUID> pages();

    /** Whether all that it changes was composed and judged: what else would come of it is known. */
    default boolean isTried() {
        return true;
    }

    /** Other text that would fail for it, each once. */
    default List<String> worse() {
        return List.of();
    }

    /** Whether text finds no room then that had some. */
    default boolean overset() {
        return false;
    }

    Edit edit();

    /**
     * All that is known for a run: colours first, then where a band behind it may end, then the
     * rest. Empty where nothing helps.
     *
     * @param ids for what is new
     */
    static List<Mend> of(
            UUID run,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Supplier<UUID> ids) {
        List<Mend> all = new ArrayList<>();
        all.addAll(
                ColorMend.of(
                        run,
                        publication,
                        composer.composeAll(publication),
                        legibility,
                        condition,
                        ids.get()));
        all.addAll(BandMend.of(run, publication, composer, legibility, condition, ids.get()));
        all.addAll(
                Remedy.of(
                        run,
                        EnumSet.allOf(Remedy.Kind.class),
                        publication,
                        composer,
                        legibility,
                        condition,
                        ids));
        return List.copyOf(all);
    }
}
