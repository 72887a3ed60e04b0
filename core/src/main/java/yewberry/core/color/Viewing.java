package yewberry.core.color;

/** The circumstances that pages are judged under. The WCAG verdict is that of the first. */
public enum Viewing {
    AS_DESIGNED,
    ON_PRESS,
    BACKGROUNDS_OFF,
    GREY_COPY,
    PROTAN,
    DEUTAN,
    TRITAN
}
