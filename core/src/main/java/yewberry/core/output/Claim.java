package yewberry.core.output;

/** A standard that a file says it follows. */
public enum Claim {
    /** For exchange with a printer: ISO 15930-7. */
    PDF_X_4("PDF/X-4"),
    /** For keeping, with structure and text that can be read again: ISO 19005-2, level A. */
    PDF_A_2A("PDF/A-2a"),
    /** For everybody, with whatever they read by: ISO 14289-1. */
    PDF_UA_1("PDF/UA-1");

    private final String inWords;

    Claim(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }
}
