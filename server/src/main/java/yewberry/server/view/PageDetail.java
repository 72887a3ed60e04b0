package yewberry.server.view;

import java.util.UUID;
import yewberry.core.publication.Layer;

/**
 * A page by itself.
 *
 * @param number from 1
 * @param layer what lies on it, besides what its parent has
 */
public record PageDetail(UUID id, int number, Layer layer) {}
