package yewberry.server.view;

import java.util.List;
import java.util.UUID;

/**
 * A publication that was made of files.
 *
 * @param files each that came, with what became of it
 */
public record SetCreated(UUID id, List<FileIn> files) {}
