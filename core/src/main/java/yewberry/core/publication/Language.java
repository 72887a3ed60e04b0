package yewberry.core.publication;

/** Languages that words can be divided in. */
public enum Language {
    ENGLISH_BRITISH("en-GB", "English (British)"),
    ENGLISH_AMERICAN("en-US", "English (American)"),
    GERMAN("de", "German"),
    FRENCH("fr", "French"),
    SPANISH("es", "Spanish"),
    ITALIAN("it", "Italian"),
    DUTCH("nl", "Dutch");

    private final String tag;
    private final String inWords;

    Language(String tag, String inWords) {
        this.tag = tag;
        this.inWords = inWords;
    }

    /** As BCP 47 writes it. */
    public String tag() {
        return tag;
    }

    public String inWords() {
        return inWords;
    }
}
