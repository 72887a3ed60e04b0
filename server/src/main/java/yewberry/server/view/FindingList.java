package yewberry.server.view;

import java.util.List;

/**
 * What is found on the pages that were checked.
 *
 * @param level that text is held to
 * @param checked how many pages were; the others come with the next request
 * @param pages how many there are
 */
public record FindingList(
        long revision, String level, List<FindingView> findings, int checked, int pages) {}
