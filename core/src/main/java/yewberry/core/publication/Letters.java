package yewberry.core.publication;

/** Which of a face's shapes letters and figures are drawn in, as far as it has them. */
public record Letters(Capitals capitals, Figures figures) {
    public static final Letters USUAL = new Letters(Capitals.AS_TYPED, Figures.AS_FACE);

    public enum Capitals {
        AS_TYPED,
        ALL,
        /** What is typed as capitals stays as it is. */
        SMALL
    }

    /** Figures as high as capitals or as lower-case letters; those of tables are equally wide. */
    public enum Figures {
        AS_FACE,
        LINING,
        LINING_TABLE,
        OLD_STYLE,
        OLD_STYLE_TABLE
    }
}
