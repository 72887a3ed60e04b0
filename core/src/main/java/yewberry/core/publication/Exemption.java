package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * That somebody accepts the contrast of some text although it is too low: an exception. It holds as
 * long as the text is the same and its contrast no lower.
 *
 * @param run the text that it is for
 * @param page of the file that the text is written in; nothing for text of the publication
 * @param why the exception of WCAG 2.2 (1.4.3) that it is
 * @param reason in the words of who granted it
 * @param text as it was then
 * @param ratio the contrast that was accepted
 * @throws Refused if it has no reason, or what is accepted is no contrast
 */
public record Exemption(
        UUID id,
        UUID run,
        Optional<Imported> page,
        Why why,
        String reason,
        String text,
        double ratio)
        implements Element {
    private static final int LONGEST = 500;

    /** WCAG 2.2, 1.4.3: "Incidental" (inactive, pure decoration) and "Logotypes". */
    public enum Why {
        LOGOTYPE("logotype"),
        DECORATION("pure decoration"),
        INACTIVE("inactive");

        private final String words;

        Why(String words) {
            this.words = words;
        }

        public String inWords() {
            return words;
        }
    }

    /** One for text of the publication. */
    public Exemption(UUID id, UUID run, Why why, String reason, String text, double ratio) {
        this(id, run, Optional.empty(), why, reason, text, ratio);
    }

    public Exemption {
        reason = reason.strip();
        if (reason.isEmpty()) {
            throw new Refused("An exception needs a reason; say why the text may stay as it is.");
        }
        if (reason.length() > LONGEST
                || reason.codePoints().anyMatch(each -> Character.isISOControl(each))) {
            throw new Refused(
                    "A reason has at most %d characters, all of one line.".formatted(LONGEST));
        }
        if (!(ratio >= 1 && ratio <= 21)) {
            throw new Refused(
                    "%s : 1 is not a contrast; it goes from 1 : 1 to 21 : 1."
                            .formatted(Numbers.plain(ratio)));
        }
    }

    /** None: when its text is gone it stays, to be seen as ended. */
    @Override
    public List<Reference> references() {
        return List.of();
    }

    @Override
    public Exemption withReference(UUID old, UUID replacement) {
        return this;
    }
}
