package yewberry.server.view;

import java.time.OffsetDateTime;
import java.util.UUID;
import yewberry.core.publication.Setup;

/**
 * A publication on the shelf.
 *
 * @param pages how many it has
 */
public record ShelfEntry(UUID id, String name, Setup setup, int pages, OffsetDateTime changed) {}
