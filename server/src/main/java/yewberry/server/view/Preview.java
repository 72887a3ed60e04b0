package yewberry.server.view;

import java.util.List;
import java.util.UUID;

/**
 * What an edit would lead to.
 *
 * @param picture the spread as SVG
 * @param findings of the pages of that spread
 * @param pages all pages that would look different
 */
public record Preview(String picture, List<FindingView> findings, List<UUID> pages) {}
