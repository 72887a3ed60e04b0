package yewberry.core.publication;

import java.util.List;
import yewberry.core.color.Medium;
import yewberry.core.color.Viewing;

/** Where a publication goes: what its colours are mixed, drawn and judged by. */
public enum Destination {
    PAPER(List.of(Medium.PAPER)),
    SCREEN(List.of(Medium.SCREEN)),
    /** Judged on either; the worse counts. */
    BOTH(List.of(Medium.PAPER, Medium.SCREEN));

    private final List<Medium> media;

    Destination(List<Medium> media) {
        this.media = media;
    }

    /** The first is what is shown as designed. */
    public List<Medium> media() {
        return media;
    }

    public boolean has(Medium medium) {
        return media.contains(medium);
    }

    /** What is seen under a viewing; a press and a stock are paper. */
    public Medium medium(Viewing viewing) {
        return switch (viewing) {
            case ON_SCREEN -> Medium.SCREEN;
            case ON_PRESS, ON_STOCK -> Medium.PAPER;
            case AS_DESIGNED, BACKGROUNDS_OFF, GREY_COPY, PROTAN, DEUTAN, TRITAN ->
                    media.getFirst();
        };
    }
}
