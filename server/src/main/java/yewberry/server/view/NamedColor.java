package yewberry.server.view;

import java.util.Optional;

/**
 * What was typed for a new swatch.
 *
 * @param color nothing where none was typed
 */
public record NamedColor(Optional<String> name, Optional<EverySpace> color) {}
