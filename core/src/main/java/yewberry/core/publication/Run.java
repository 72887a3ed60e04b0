package yewberry.core.publication;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * A stretch of characters that share everything.
 *
 * @param color a swatch of its own instead of that of its looks
 * @param look of its characters
 * @throws Refused if the text holds a control character, a line break among them
 */
public record Run(UUID id, String text, Optional<Tinted> color, Optional<UUID> look) {
    public Run {
        if (text.codePoints().anyMatch(Character::isISOControl)) {
            throw new Refused(
                    "The text holds a control character; take it out, or begin a new paragraph.");
        }
        if (text.codePoints().anyMatch(each -> Character.getType(each) == Character.SURROGATE)) {
            throw new Refused(
                    "The text holds half a character (a lone surrogate); type it or paste it anew.");
        }
    }

    /** One of characters that look as their paragraph says. */
    public Run(UUID id, String text, Optional<Tinted> color) {
        this(id, text, color, Optional.empty());
    }

    public Run withText(String changed) {
        return new Run(id, changed, color, look);
    }

    public Run withColor(Optional<Tinted> changed) {
        return new Run(id, text, changed, look);
    }

    public Run withLook(Optional<UUID> changed) {
        return new Run(id, text, color, changed);
    }

    Run withReference(UUID old, UUID replacement) {
        return new Run(
                id,
                text,
                color.map(each -> each.withReference(old, replacement)),
                look.map(each -> each.equals(old) ? replacement : each));
    }
}
