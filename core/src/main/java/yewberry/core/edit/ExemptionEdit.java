package yewberry.core.edit;

import java.util.UUID;
import yewberry.core.publication.Exemption;

/** A change of what is excepted from the checks. */
public sealed interface ExemptionEdit extends Edit {
    /** Takes the place of another of the same text. */
    record AddExemption(Exemption exemption) implements ExemptionEdit {}

    record EndExemption(UUID exemption) implements ExemptionEdit {}
}
