package yewberry.server.view;

import java.util.Map;
import java.util.UUID;

/**
 * What stands for the pictures of some pages: it changes only when a picture does.
 *
 * @param stamps by page
 */
public record Stamps(Map<UUID, String> stamps) {}
