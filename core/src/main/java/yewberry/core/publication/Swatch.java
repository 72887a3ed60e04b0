package yewberry.core.publication;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;

/**
 * A named colour of a publication. Everything that is coloured refers to one by id.
 *
 * @throws Refused if a spot ink has the name of a process ink
 */
public record Swatch(UUID id, String name, Definition definition) implements Element {
    /** ISO 32000-1, 8.6.6.4: names with a meaning of their own. */
    private static final Set<String> RESERVED =
            Set.of("cyan", "magenta", "yellow", "black", "all", "none");

    public Swatch {
        name = Names.checked("swatch", name);
        if (definition instanceof Definition.SpotInk
                && RESERVED.contains(name.toLowerCase(Locale.ROOT))) {
            throw new Refused(
                    "A spot colour cannot be named “%s”, which is a process ink to every press; give it another name."
                            .formatted(name));
        }
    }

    public Swatch(UUID id, String name, Color color) {
        this(id, name, new Definition.Plain(color));
    }

    public Swatch withName(String changed) {
        return new Swatch(id, changed, definition);
    }

    public Swatch withDefinition(Definition changed) {
        return new Swatch(id, name, changed);
    }

    @Override
    public List<Reference> references() {
        return definition.bases().stream().map(Reference::swatch).toList();
    }

    @Override
    public Swatch withReference(UUID old, UUID replacement) {
        return definition.bases().contains(old)
                ? withDefinition(definition.with(old, replacement))
                : this;
    }
}
