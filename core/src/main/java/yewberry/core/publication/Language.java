package yewberry.core.publication;

/** Languages of text. */
public enum Language {
    ENGLISH_BRITISH("English (British)", "en-GB"),
    ENGLISH_AMERICAN("English (American)", "en-US"),
    GERMAN("German", "de"),
    FRENCH("French", "fr"),
    SPANISH("Spanish", "es"),
    ITALIAN("Italian", "it"),
    DUTCH("Dutch", "nl"),
    HEBREW("Hebrew", "he"),
    ARABIC("Arabic", "ar");

    private final String inWords;
    private final String tag;

    Language(String inWords, String tag) {
        this.inWords = inWords;
        this.tag = tag;
    }

    public String inWords() {
        return inWords;
    }

    /** As BCP 47 has it. */
    public String tag() {
        return tag;
    }
}
