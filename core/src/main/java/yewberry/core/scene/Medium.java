package yewberry.core.scene;

import yewberry.core.color.Viewing;

/** What a page is made for: it decides which backgrounds are there. */
public enum Medium {
    SCREEN,
    PAPER,
    /** Paper, on a printer that leaves page backgrounds out. */
    PAPER_WITHOUT_BACKGROUNDS;

    /** What a viewing shows. */
    public static Medium of(Viewing viewing) {
        return switch (viewing) {
            case AS_DESIGNED, GREY_COPY, PROTAN, DEUTAN, TRITAN -> SCREEN;
            case ON_PRESS -> PAPER;
            case BACKGROUNDS_OFF -> PAPER_WITHOUT_BACKGROUNDS;
        };
    }

    boolean has(Item item) {
        return switch (item) {
            case Item.GlyphRun run -> true;
            case Item.AreaFill fill ->
                    switch (this) {
                        case SCREEN -> fill.goesTo().screen();
                        case PAPER -> fill.goesTo().paper();
                        case PAPER_WITHOUT_BACKGROUNDS -> false;
                    };
        };
    }
}
