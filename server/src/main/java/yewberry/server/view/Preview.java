package yewberry.server.view;

import java.util.List;
import java.util.UUID;

/**
 * What an edit would lead to.
 *
 * @param spread the index of the spread that is drawn, from 0
 * @param picture it as SVG
 * @param findings of the pages of that spread
 * @param pages all pages that would look different
 */
public record Preview(int spread, String picture, List<FindingView> findings, List<UUID> pages) {}
