package yewberry.server.view;

import java.util.UUID;

/** A stretch of text as it is written, with its fields. */
public record WrittenRun(UUID run, String text) {}
