package yewberry.pdf;

import java.time.Instant;
import java.util.AbstractList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.output.PdfProfile;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.Structure;
import yewberry.core.publication.Language;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/**
 * What a PDF is made from.
 *
 * @param publication whose pages these are; nothing where they have no structure
 * @param title as readers show it
 * @param language of text that says no other
 * @param scenes page by page; each is asked for when it is needed
 * @param condition that it is printed under
 * @param layered the same pages, where some of them is seen on a screen or on paper only, each
 *     asked for when it is needed; else none
 */
public record PdfOutput(
        Optional<Publication> publication,
        String title,
        Language language,
        List<PageScene> scenes,
        PdfProfile profile,
        PressCondition condition,
        Instant created,
        List<ScreenAndPaper> layered) {
    public PdfOutput {
        if (profile.tagged() && publication.isEmpty()) {
            throw new IllegalArgumentException("Structure comes from a publication");
        }
    }

    /**
     * What readers show for a page: its number in the publication, of a spread both.
     *
     * @param index of the page, from 0
     */
    public String label(int index) {
        return scenes.get(index).pages().stream()
                .map(page -> publication.map(of -> of.pages().position(page).orElse(index)))
                .map(position -> String.valueOf(position.orElse(index) + 1))
                .collect(Collectors.joining("–"));
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
                created,
                List.of());
    }

    /** Pages that show one thing on a screen and print another. */
    public static PdfOutput layered(
            Publication publication,
            List<ScreenAndPaper> pages,
            PressCondition condition,
            Instant created) {
        PdfOutput plain =
                of(publication, scenes(pages), PdfProfile.SCREEN_AND_PAPER, condition, created);
        return new PdfOutput(
                plain.publication,
                plain.title,
                plain.language,
                plain.scenes,
                plain.profile,
                condition,
                created,
                pages);
    }

    private static List<PageScene> scenes(List<ScreenAndPaper> pages) {
        return new AbstractList<>() {
            @Override
            public PageScene get(int index) {
                return pages.get(index).all();
            }

            @Override
            public int size() {
                return pages.size();
            }
        };
    }

    /** Where each item of a page is seen; nothing where all are everywhere. */
    public Optional<List<ScreenAndPaper.Where>> where(int page) {
        return layered.isEmpty() ? Optional.empty() : Optional.of(layered.get(page).where());
    }

    /**
     * What a page is to whoever reads.
     *
     * @param scene of the page, whose very items the places are found by
     */
    public Map<Item, Structure.Place> places(Structure structure, int page, PageScene scene) {
        return structure.page(
                scene,
                scene.on(medium()),
                at -> where(page).map(it -> it.get(at) != ScreenAndPaper.Where.PAPER).orElse(true));
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
                created,
                List.of());
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
