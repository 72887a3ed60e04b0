package yewberry.core.mends;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;

/**
 * A way to make text legible other than by a colour that is known to do: what lies behind it,
 * around it, or how large it is. Each was tried, so that what it leads to is known.
 *
 * @param words what it does
 * @param detail how
 * @param screen a colour that it brings, as it is seen
 * @param ratio the least that the text has then
 * @param required the least that passes then
 * @param pages that it changes, in order
 * @param worse other text that would fail for it, each once
 * @param overset whether text finds no room then that had some
 * @param trial that all this comes from
 */
public record Remedy(
        Kind kind,
        String words,
        String detail,
        Rgb screen,
        double ratio,
        double required,
        List<UUID> pages,
        List<String> worse,
        boolean overset,
        Edit edit,
        Trial trial)
        implements ContrastMend {
    /** What it changes. */
    public enum Kind {
        /** A swatch for letters that something lies over. */
        COLOR,
        /** A veil between a picture and the text. */
        VEIL,
        /** The colour of the background. */
        GROUND,
        /** How strong its colour is. */
        TINT,
        /** How much of it there is, so that what lies below shows through. */
        OPACITY,
        /** A shading behind the paragraph. */
        SHADING,
        /** A line around the letters. */
        OUTLINE,
        /** The size, so that another threshold applies. */
        LARGER,
        /** The weight, for the same. */
        BOLDER,
        /** A colour that chooses itself. */
        LEGIBLE
    }

    @Override
    public String changes() {
        return kind.name();
    }

    /** What comes behind text, and changes nothing of it; a file's own is not changed here. */
    private static final Set<Kind> BEHIND =
            EnumSet.of(Kind.VEIL, Kind.GROUND, Kind.TINT, Kind.OPACITY, Kind.SHADING);

    /**
     * The remedies that make a run pass wherever it stands; those that cost least first. Empty
     * where it passes, or none is known.
     *
     * @param kinds that are looked for
     * @param ids for what is new
     */
    public static List<Remedy> of(
            UUID run,
            Set<Kind> kinds,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Supplier<UUID> ids) {
        for (PageScene scene : composer.composeAll(publication)) {
            Optional<RunContrast> worst =
                    legibility.judgeEach(scene).stream()
                            .filter(each -> each.run().run().equals(run) && !each.passes())
                            .min(Comparator.comparingDouble(each -> each.worst().ratio()));
            if (worst.isPresent()) {
                return all(
                        new TriedOut.Failing(
                                publication,
                                composer,
                                legibility,
                                condition,
                                ids,
                                worst.get(),
                                scene),
                        kinds);
            }
        }
        return List.of();
    }

    private static List<Remedy> all(TriedOut.Failing failing, Set<Kind> kinds) {
        boolean isInFile = failing.contrast().run().isInFile();
        List<Remedy> all = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            if (kinds.contains(kind) && (BEHIND.contains(kind) || !isInFile)) {
                of(kind, failing).ifPresent(all::add);
            }
        }
        return all;
    }

    private static Optional<Remedy> of(Kind kind, TriedOut.Failing failing) {
        return switch (kind) {
            case COLOR -> new OtherType(failing).color();
            case VEIL -> new BehindWords(failing).veil();
            case SHADING -> new BehindWords(failing).shading();
            case GROUND -> new OtherGround(failing).ground();
            case TINT -> new OtherGround(failing).tint();
            case OPACITY -> new OtherGround(failing).opacity();
            case LEGIBLE -> new OtherType(failing).legible();
            case OUTLINE -> new OtherType(failing).outline();
            case LARGER -> new OtherType(failing).larger();
            case BOLDER -> new OtherType(failing).bolder();
        };
    }
}
