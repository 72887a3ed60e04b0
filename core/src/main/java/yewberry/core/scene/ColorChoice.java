package yewberry.core.scene;

import java.util.List;
import java.util.UUID;
import yewberry.core.color.Viewing;

/**
 * What a legible colour chose from for some text.
 *
 * @param swatch the legible colour
 * @param name of that
 * @param candidates in the order in which they are tried
 * @param viewings that it is to be legible under, besides as designed
 * @param legible whether what was chosen is
 * @param extent what it was chosen for: where no one colour is legible throughout, less than all
 */
public record ColorChoice(
        UUID swatch,
        String name,
        List<Paint> candidates,
        List<Viewing> viewings,
        boolean legible,
        Extent extent) {
    public ColorChoice {
        candidates = List.copyOf(candidates);
    }

    public enum Extent {
        ALL,
        LINE,
        WORD
    }

    /** As it was settled. */
    public ColorChoice settled(boolean passes, Extent part) {
        return new ColorChoice(swatch, name, candidates, viewings, passes, part);
    }

    /** Why it is this one, for people. */
    public String inWords() {
        if (!legible) {
            return "None of “%s” is legible here; this is the best of them".formatted(name);
        }
        String where =
                switch (extent) {
                    case ALL -> "all that lies behind it";
                    case LINE -> "all that lies behind this line";
                    case WORD -> "all that lies behind these words";
                };
        return "Chosen by “%s”: the first of %d that is legible on %s"
                .formatted(name, candidates.size(), where);
    }
}
