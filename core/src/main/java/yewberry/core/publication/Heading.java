package yewberry.core.publication;

import java.util.List;
import java.util.UUID;

/** The name and the setup of a publication, as an element of it. */
public record Heading(UUID id, String name, Setup setup) implements Element {
    @Override
    public List<Reference> references() {
        return List.of();
    }

    @Override
    public Heading withReference(UUID old, UUID replacement) {
        return this;
    }
}
