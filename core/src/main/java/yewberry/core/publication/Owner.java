package yewberry.core.publication;

import java.util.UUID;

/** What a background or a frame lies on. */
public sealed interface Owner extends Holder {
    record OnPage(UUID id) implements Owner {}

    record OnParent(UUID id) implements Owner {}

    record OnRecipe(UUID id) implements Owner {}
}
