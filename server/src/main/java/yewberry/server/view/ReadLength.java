package yewberry.server.view;

import yewberry.core.publication.Length;

/** What a length that was written comes to. */
public record ReadLength(Length length) {}
