package yewberry.server.view;

import java.util.UUID;

/** What was made. */
public record Created(UUID id) {}
