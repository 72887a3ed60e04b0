package yewberry.core.output;

import yewberry.core.color.Medium;

/** What is made of a publication. */
public enum OutputKind {
    PRESS_PDF("Press PDF", "press", "pdf", Medium.PAPER),
    READING_PDF("Reading PDF", "reading", "pdf", Medium.SCREEN),
    ALL_PDF("One PDF for all", "all", "pdf", Medium.PAPER),
    SCREEN_AND_PAPER_PDF("Screen and paper PDF", "screen-and-paper", "pdf", Medium.SCREEN),
    OFFICE_PDF("Office printout", "office", "pdf", Medium.SCREEN),
    PNG("PNG pictures", "png", "zip", Medium.SCREEN),
    JPEG("JPEG pictures", "jpeg", "zip", Medium.SCREEN),
    SVG("SVG pages", "svg", "zip", Medium.SCREEN),
    WEB("Web page", "web", "zip", Medium.SCREEN);

    private final String inWords;
    private final String suffix;
    private final String ending;
    private final Medium medium;

    OutputKind(String inWords, String suffix, String ending, Medium medium) {
        this.inWords = inWords;
        this.suffix = suffix;
        this.ending = ending;
        this.medium = medium;
    }

    public String inWords() {
        return inWords;
    }

    /** What tells it from others in the name of a file. */
    public String suffix() {
        return suffix;
    }

    /** How the name of its file ends, without the full stop. */
    public String ending() {
        return ending;
    }

    /** Whose colours it is in. */
    public Medium medium() {
        return medium;
    }

    public boolean isPdf() {
        return ending.equals("pdf");
    }

    /** Whether it is pixels. */
    public boolean isPicture() {
        return this == PNG || this == JPEG;
    }

    /** Whether it is for a press, which cuts it from a larger sheet. */
    public boolean isTrimmed() {
        return this == PRESS_PDF || this == ALL_PDF;
    }
}
