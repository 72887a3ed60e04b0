package yewberry.server.view;

/**
 * How far the search for what mends all text has come.
 *
 * @param done causes that were looked at
 * @param all causes there are; 0 before that is known, and where nobody searches
 */
public record MendProgress(int done, int all) {}
