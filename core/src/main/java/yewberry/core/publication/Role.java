package yewberry.core.publication;

/** What a paragraph is to whoever reads, with eyes or without. */
public enum Role {
    TITLE,
    HEADING_1,
    HEADING_2,
    HEADING_3,
    HEADING_4,
    HEADING_5,
    HEADING_6,
    BODY,
    QUOTE,
    CAPTION
}
