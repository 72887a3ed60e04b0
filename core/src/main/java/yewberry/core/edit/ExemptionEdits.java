package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import yewberry.core.Refused;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;

/** Applies edits of what is excepted from the checks. */
final class ExemptionEdits {
    private ExemptionEdits() {}

    static Publication apply(Publication on, ExemptionEdit edit) {
        return switch (edit) {
            case ExemptionEdit.AddExemption(var exemption) -> add(on, exemption);
            case ExemptionEdit.EndExemption(var id) -> {
                if (!on.exemptions().holds(id)) {
                    throw Publication.gone("exception");
                }
                yield on.withExemptions(
                        on.exemptions().stream().filter(each -> !each.id().equals(id)).toList());
            }
        };
    }

    private static Publication add(Publication on, Exemption exemption) {
        if (exemption.page().isPresent()) {
            requireFile(on, exemption.page());
        } else {
            requireText(on, exemption);
        }
        List<Exemption> others =
                on.exemptions().stream()
                        .filter(each -> !each.run().equals(exemption.run()))
                        .toList();
        return on.withExemptions(Elements.of(others).plus(exemption));
    }

    /** What is written in a file stays what it is. */
    private static void requireFile(Publication on, Optional<Imported> page) {
        if (on.pages().stream().noneMatch(each -> each.imported().equals(page))) {
            throw new Refused(
                    "The page of the file that this exception is for is gone; there is nothing to except.");
        }
    }

    private static void requireText(Publication on, Exemption exemption) {
        Run run =
                on.findRun(exemption.run())
                        .orElseThrow(() ->
                                new Refused(
                                        "The text that this exception is for is gone; there is nothing to except."));
        if (!run.text().equals(exemption.text())) {
            throw new Refused(
                    "The text of this exception was changed meanwhile; look at the finding again before you except it.");
        }
    }
}
