package yewberry.server.view;

/** Where a step led, and whether its author has one to take back or bring back. */
public record StepResult(long revision, boolean canUndo, boolean canRedo) {}
