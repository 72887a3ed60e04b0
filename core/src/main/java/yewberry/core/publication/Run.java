package yewberry.core.publication;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * A stretch of characters that share everything.
 *
 * @param color a swatch of its own instead of the look's
 * @throws Refused if the text holds a control character, a line break among them
 */
public record Run(UUID id, String text, Optional<Tinted> color) {
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

    public Run withText(String changed) {
        return new Run(id, changed, color);
    }

    public Run withColor(Optional<Tinted> changed) {
        return new Run(id, text, changed);
    }

    Run withReference(UUID old, UUID replacement) {
        return withColor(
                color.map(each -> each.swatch().equals(old) ? each.withSwatch(replacement) : each));
    }
}
