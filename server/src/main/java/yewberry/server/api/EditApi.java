package yewberry.server.api;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Refused;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.edit.Edit;
import yewberry.core.findings.Exemptions;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Spreads;
import yewberry.core.scene.PageScene;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.store.History;
import yewberry.server.view.Extent;
import yewberry.server.view.FindingView;
import yewberry.server.view.PageEntry;
import yewberry.server.view.PageList;
import yewberry.server.view.PictureAddresses;
import yewberry.server.view.Preview;
import yewberry.server.view.PublicationChanges;
import yewberry.server.view.PublicationView;
import yewberry.server.view.StepResult;

/** Reading a publication and changing it. */
@RestController
@RequestMapping("/api/publications/{id}")
class EditApi {
    private static final int MOST_PAGES = 2_000;

    private final Publications publications;

    EditApi(Publications publications) {
        this.publications = publications;
    }

    /**
     * @param revision that the edit was made against
     * @param author a random name of 1 to 64 characters that the browser gave itself
     */
    record EditRequest(Edit edit, long revision, String author) {}

    record StepRequest(String author) {}

    /**
     * @param page whose spread is to be drawn
     * @param viewing that it is drawn under
     * @param ppi how fine what is mixed is painted, in pixels per inch; 144 where it is left out
     * @param unchecked whether only the picture is wanted, as at each key while somebody types:
     *     then there are no findings and no pages in the answer
     * @param part that is to be drawn of the page alone; the whole spread where it is left out
     */
    record PreviewRequest(
            Edit edit,
            UUID page,
            Viewing viewing,
            Optional<Integer> ppi,
            Optional<Boolean> unchecked,
            Optional<Extent> part) {
        boolean isChecked() {
            return !unchecked.orElse(false);
        }
    }

    @GetMapping
    PublicationView read(@PathVariable UUID id) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        return PublicationView.of(
                state.publication(),
                state.revision(),
                state.uses(),
                open.press(state.publication()));
    }

    /**
     * What became of it since a revision, at the cost of what changed.
     *
     * @param since a revision that was read before
     */
    @GetMapping("/changes")
    PublicationChanges changes(@PathVariable UUID id, @RequestParam long since) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        return PublicationChanges.of(
                open.at(since),
                state.publication(),
                state.revision(),
                state.uses(),
                open.press(state.publication()));
    }

    /**
     * Some pages in their order.
     *
     * @param from the position of the first, from 0
     * @param to the position behind the last; at most 2,000 are given
     */
    @GetMapping("/pages")
    PageList pages(@PathVariable UUID id, @RequestParam int from, @RequestParam int to) {
        OpenPublication.State state = publications.get(id).state();
        List<Page> pages = state.publication().pages();
        if (from < 0 || to < from) {
            throw new Refused("Pages are asked for from a position of 0 or more to a later one.");
        }
        int first = Math.min(from, pages.size());
        int last = Math.clamp(to, first, Math.min(pages.size(), first + MOST_PAGES));
        return new PageList(
                state.revision(), pages.size(), PageEntry.of(pages.subList(first, last)));
    }

    @GetMapping("/history")
    StepResult history(@PathVariable UUID id, @RequestParam String author) {
        OpenPublication open = publications.get(id);
        return result(open, open.state(), author);
    }

    @PostMapping("/edits")
    StepResult edit(@PathVariable UUID id, @RequestBody EditRequest request) {
        checkAuthor(request.author());
        OpenPublication open = publications.get(id);
        return result(
                open,
                open.edit(request.edit(), request.revision(), request.author()),
                request.author());
    }

    @PostMapping("/undo")
    StepResult undo(@PathVariable UUID id, @RequestBody StepRequest request) {
        checkAuthor(request.author());
        OpenPublication open = publications.get(id);
        return result(open, open.undo(request.author()), request.author());
    }

    @PostMapping("/redo")
    StepResult redo(@PathVariable UUID id, @RequestBody StepRequest request) {
        checkAuthor(request.author());
        OpenPublication open = publications.get(id);
        return result(open, open.redo(request.author()), request.author());
    }

    @PostMapping("/previews")
    Preview preview(@PathVariable UUID id, @RequestBody PreviewRequest request) {
        OpenPublication open = publications.get(id);
        Publication before = open.state().publication();
        Publication after = open.preview(request.edit()).publication();
        int spread = Spreads.indexOf(after, after.indexOf(request.page()));
        List<PageScene> scenes =
                Spreads.at(after, spread).stream()
                        .map(index -> open.composer(after).compose(after, index))
                        .toList();
        Exemptions exemptions = Exemptions.of(after);
        List<FindingView> findings =
                (request.isChecked() ? scenes : List.<PageScene>of())
                        .stream()
                                .flatMap(scene ->
                                        open
                                                .findings(scene, after, judged(request.viewing()))
                                                .stream()
                                                .map(finding ->
                                                        FindingView.listed(
                                                                finding,
                                                                after.indexOf(scene.page()) + 1,
                                                                after,
                                                                exemptions)))
                                .filter(FindingView::isOpen)
                                .toList();
        View view = open.view(after, request.viewing());
        return new Preview(
                spread,
                request.part()
                        .map(part ->
                                SvgPicture.region(
                                        open.composer(after)
                                                .compose(after, after.indexOf(request.page())),
                                        part.rect(),
                                        view))
                        .orElseGet(() ->
                                SvgPicture.spread(
                                        scenes,
                                        view,
                                        true,
                                        PictureAddresses.of(before, view),
                                        request.ppi().orElse(SvgPicture.USUAL_PPI))),
                findings,
                request.isChecked() ? open.pagesTouched(before, after) : List.of());
    }

    /** As designed the verdict counts, on all that the publication goes to. */
    private static Optional<Viewing> judged(Viewing viewing) {
        return viewing == Viewing.AS_DESIGNED ? Optional.empty() : Optional.of(viewing);
    }

    private static StepResult result(
            OpenPublication open, OpenPublication.State state, String author) {
        History history = open.history(author);
        return new StepResult(
                state.revision(), history.undoable().isPresent(), history.redoable().isPresent());
    }

    static void checkAuthor(String author) {
        if (!author.matches("[A-Za-z0-9-]{1,64}")) {
            throw new Refused("The author's name must be 1 to 64 letters, digits or hyphens.");
        }
    }
}
