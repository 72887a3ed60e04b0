package yewberry.pdf;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.output.PdfProfile;
import yewberry.core.output.Structure;
import yewberry.core.publication.Language;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.scene.PageScene;

/**
 * What a PDF is made from.
 *
 * @param publication whose pages these are; nothing where they have no structure
 * @param title as readers show it
 * @param language of text that says no other
 * @param scenes page by page; each is asked for when it is needed
 * @param condition that it is printed under
 */
public record PdfOutput(
        Optional<Publication> publication,
        String title,
        Language language,
        List<PageScene> scenes,
        PdfProfile profile,
        PressCondition condition,
        Instant created) {
    public PdfOutput {
        if (profile.tagged() && publication.isEmpty()) {
            throw new IllegalArgumentException("Structure comes from a publication");
        }
    }

    /** Pages of a publication. */
    public static PdfOutput of(
            Publication publication,
            List<PageScene> scenes,
            PdfProfile profile,
            PressCondition condition,
            Instant created) {
        Setup setup = publication.setup();
        return new PdfOutput(
                Optional.of(publication),
                setup.title().orElse(publication.name()),
                setup.language(),
                scenes,
                profile,
                condition,
                created);
    }

    /** Pages of British text, without structure and claims. */
    public static PdfOutput plain(
            String title,
            List<PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Instant created) {
        return new PdfOutput(
                Optional.empty(),
                title,
                Language.ENGLISH_BRITISH,
                scenes,
                PdfProfile.plain(medium),
                condition,
                created);
    }

    public Medium medium() {
        return profile.medium();
    }

    /** A structure to give its pages to; nothing where the file has none. */
    public Optional<Structure> structure() {
        return publication
                .filter(_ -> profile.tagged())
                .map(each -> new Structure(each, profile.linked()));
    }
}
