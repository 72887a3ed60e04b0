package yewberry.server.api;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Progress;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Identity;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.Mend;
import yewberry.core.mends.WholeMend;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.MendProgress;
import yewberry.server.view.MendView;
import yewberry.server.view.TriedView;
import yewberry.server.view.WholeMendView;

/** What would make text legible. */
@RestController
@RequestMapping("/api/publications/{id}")
class MendApi {
    private final Publications publications;

    /** How far the searches have come that somebody watches, by the ids they gave them. */
    private final Map<UUID, MendProgress> watched = new ConcurrentHashMap<>();

    MendApi(Publications publications) {
        this.publications = publications;
    }

    /** What would make a run legible; an empty list where nothing that is known would. */
    @GetMapping("/mends")
    List<MendView> mends(@PathVariable UUID id, @RequestParam UUID run) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        return Mend.of(
                        run,
                        publication,
                        open.composer(publication),
                        open.legibility(publication),
                        open.press(publication),
                        UUID::randomUUID)
                .stream()
                .map(mend -> MendView.of(mend, publication))
                .toList();
    }

    /** An edit that mends something, and leaves the pages in their order. */
    record TryRequest(Edit edit) {}

    /** What else would come of an edit; nothing is stored. */
    @PostMapping("/tried")
    TriedView tried(@PathVariable UUID id, @RequestBody TryRequest request) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        return TriedView.of(
                request.edit(),
                publication,
                open.composer(publication),
                open.legibility(publication));
    }

    /**
     * A set of changes for all text that fails, but for what is excepted.
     *
     * @param watch an id that one can ask by how far it has come
     * @param cause of findings, where only what fails for that is to be mended
     */
    @GetMapping("/whole-mend")
    WholeMendView wholeMend(
            @PathVariable UUID id,
            @RequestParam Optional<UUID> watch,
            @RequestParam Optional<UUID> cause) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        Publication publication = state.publication();
        Composer composer = open.composer(publication);
        Legibility legibility = open.legibility(publication);
        Exemptions exemptions = Exemptions.of(publication);
        Set<UUID> excepted = new HashSet<>();
        for (PageScene scene : composer.composeAll(publication)) {
            for (RunContrast each : legibility.judgeEach(scene)) {
                if (exemptions.of(each).filter(Exemptions.Held::holds).isPresent()
                        || cause.isPresent() && !isFor(cause.get(), scene, each)) {
                    excepted.add(each.run().run());
                }
            }
        }
        Progress progress =
                (done, all) ->
                        watch.ifPresent(each -> watched.put(each, new MendProgress(done, all)));
        try {
            return WholeMendView.of(
                    state.revision(),
                    WholeMend.of(
                            publication,
                            composer,
                            legibility,
                            open.press(publication),
                            excepted,
                            UUID::randomUUID,
                            progress),
                    publication);
        } finally {
            watch.ifPresent(watched::remove);
        }
    }

    private static boolean isFor(UUID cause, PageScene scene, RunContrast contrast) {
        Finding finding =
                new Finding.TooLittleContrast(scene.page(), contrast, Optional.empty(), true);
        return !contrast.passes() && Identity.of(finding).cause().equals(cause);
    }

    @GetMapping("/whole-mend/progress")
    MendProgress progress(@PathVariable UUID id, @RequestParam UUID watch) {
        return watched.getOrDefault(watch, new MendProgress(0, 0));
    }
}
