package yewberry.core.color;

/**
 * What pages are made for. It decides what colours become before they are mixed, and which
 * backgrounds are there: on paper the inks of the press condition, on a screen the light of sRGB.
 */
public enum Medium {
    PAPER("on paper"),
    SCREEN("on the screen");

    private final String words;

    Medium(String words) {
        this.words = words;
    }

    /** As it stands in a sentence. */
    public String inWords() {
        return words;
    }
}
