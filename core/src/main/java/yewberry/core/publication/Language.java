package yewberry.core.publication;

/** Languages that words can be divided in. */
public enum Language {
    ENGLISH_BRITISH("English (British)"),
    ENGLISH_AMERICAN("English (American)"),
    GERMAN("German"),
    FRENCH("French"),
    SPANISH("Spanish"),
    ITALIAN("Italian"),
    DUTCH("Dutch");

    private final String inWords;

    Language(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }
}
