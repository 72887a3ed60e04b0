package yewberry.server.view;

import java.util.List;
import java.util.UUID;

/** Pages that something is asked about together. */
public record ChosenPages(List<UUID> pages) {}
