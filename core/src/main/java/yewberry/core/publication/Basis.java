package yewberry.core.publication;

import java.util.Set;
import java.util.UUID;

/**
 * That a look is based on another: whatever it does not set itself is as that has it, and follows
 * when that changes.
 *
 * @param look the other one
 * @param own the properties it sets itself, each by its way, such as {@code setting.after}
 */
public record Basis(UUID look, Set<String> own) {
    public Basis {
        own = Set.copyOf(own);
    }

    public Basis withOwn(Set<String> changed) {
        return new Basis(look, changed);
    }

    Basis withReference(UUID old, UUID replacement) {
        return look.equals(old) ? new Basis(replacement, own) : this;
    }
}
