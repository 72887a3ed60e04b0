package yewberry.server.view;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.findings.Exemptions;
import yewberry.core.publication.Exemption;

/**
 * An exception as it is shown and exported.
 *
 * @param run that it is for
 * @param why the exception of WCAG 2.2 that it is
 * @param reason in the words of who granted it
 * @param text as it was then
 * @param ratio that was accepted
 * @param ended why it does not hold any more; nothing where it does
 */
public record ExemptionView(
        UUID id,
        UUID run,
        Exemption.Why why,
        String reason,
        String text,
        BigDecimal ratio,
        Optional<String> ended) {
    public static ExemptionView of(Exemptions.Held held) {
        Exemption exemption = held.exemption();
        return new ExemptionView(
                exemption.id(),
                exemption.run(),
                exemption.why(),
                exemption.reason(),
                exemption.text(),
                Contrast.cut(exemption.ratio()),
                held.ended());
    }
}
