package yewberry.server.view;

import java.util.List;

/**
 * Some pages in their order.
 *
 * @param count of all pages
 */
public record PageList(long revision, int count, List<PageEntry> pages) {}
