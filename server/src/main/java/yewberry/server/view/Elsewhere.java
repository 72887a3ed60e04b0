package yewberry.server.view;

import java.util.UUID;

/** A recipe of another publication. */
public record Elsewhere(UUID publication, String publicationName, UUID recipe, String name) {}
