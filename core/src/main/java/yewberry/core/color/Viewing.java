package yewberry.core.color;

/**
 * The circumstances that pages are judged under; docs/formats.md defines each.
 *
 * <p>{@link #AS_DESIGNED} gives the verdict. {@link #ON_SCREEN} is the other side of a publication
 * that goes to paper and to the screen.
 */
public enum Viewing {
    AS_DESIGNED("as designed"),
    ON_SCREEN("on the screen"),
    ON_PRESS("on press"),
    ON_STOCK("on the chosen stock"),
    BACKGROUNDS_OFF("with backgrounds off"),
    GREY_COPY("as a grey copy"),
    PROTAN("with protan vision"),
    DEUTAN("with deutan vision"),
    TRITAN("with tritan vision");

    private final String words;

    Viewing(String words) {
        this.words = words;
    }

    /** As it stands in a sentence. */
    public String inWords() {
        return words;
    }
}
