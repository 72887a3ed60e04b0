package yewberry.core.publication;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * A stretch of characters that share everything.
 *
 * @param color a swatch of its own instead of that of its looks
 * @param look of its characters
 * @param language of its words; nothing means that of its paragraph's look, or of its story
 * @param link where it leads
 * @param local how it differs from its looks, its colour and language apart
 * @throws Refused if the text holds a control character other than a tab, a line break among them
 */
public record Run(
        UUID id,
        String text,
        Optional<Tinted> color,
        Optional<UUID> look,
        Optional<Language> language,
        Optional<LinkTo> link,
        Optional<LocalType> local) {
    public Run {
        local = local.filter(each -> !each.setsNothing());
        if (text.codePoints().anyMatch(each -> Character.isISOControl(each) && each != '\t')) {
            throw new Refused(
                    "The text holds a control character; take it out, or begin a new paragraph.");
        }
        if (text.codePoints().anyMatch(each -> Character.getType(each) == Character.SURROGATE)) {
            throw new Refused(
                    "The text holds half a character (a lone surrogate); type it or paste it again.");
        }
    }

    /** One of characters that look as their paragraph says. */
    public Run(UUID id, String text, Optional<Tinted> color) {
        this(id, text, color, Optional.empty());
    }

    /** One in the language around it, that leads nowhere. */
    public Run(UUID id, String text, Optional<Tinted> color, Optional<UUID> look) {
        this(id, text, color, look, Optional.empty(), Optional.empty(), Optional.empty());
    }

    public Run withId(UUID changed) {
        return new Run(changed, text, color, look, language, link, local);
    }

    public Run withText(String changed) {
        return new Run(id, changed, color, look, language, link, local);
    }

    public Run withColor(Optional<Tinted> changed) {
        return new Run(id, text, changed, look, language, link, local);
    }

    public Run withLook(Optional<UUID> changed) {
        return new Run(id, text, color, changed, language, link, local);
    }

    public Run withLanguage(Optional<Language> changed) {
        return new Run(id, text, color, look, changed, link, local);
    }

    public Run withLink(Optional<LinkTo> changed) {
        return new Run(id, text, color, look, language, changed, local);
    }

    public Run withLocal(Optional<LocalType> changed) {
        return new Run(id, text, color, look, language, link, changed);
    }

    Run withReference(UUID old, UUID replacement) {
        return new Run(
                id,
                text,
                color.map(each -> each.withReference(old, replacement)),
                look.map(each -> each.equals(old) ? replacement : each),
                language,
                link,
                local);
    }
}
