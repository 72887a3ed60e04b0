package yewberry.server.api;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Progress;
import yewberry.core.compose.Composer;
import yewberry.core.findings.Exemptions;
import yewberry.core.legibility.Legibility;
import yewberry.core.mends.Mend;
import yewberry.core.mends.WholeMend;
import yewberry.core.publication.Publication;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.MendProgress;
import yewberry.server.view.MendView;
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

    /**
     * A set of changes for all text that fails, but for what is excepted.
     *
     * @param watch an id that one can ask by how far it has come
     */
    @GetMapping("/whole-mend")
    WholeMendView wholeMend(@PathVariable UUID id, @RequestParam Optional<UUID> watch) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        Publication publication = state.publication();
        Composer composer = open.composer(publication);
        Legibility legibility = open.legibility(publication);
        Exemptions exemptions = Exemptions.of(publication);
        Set<UUID> excepted =
                composer.composeAll(publication).stream()
                        .flatMap(scene -> legibility.judgeEach(scene).stream())
                        .filter(each ->
                                exemptions.of(each).filter(Exemptions.Held::holds).isPresent())
                        .map(each -> each.run().run())
                        .collect(Collectors.toSet());
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

    @GetMapping("/whole-mend/progress")
    MendProgress progress(@PathVariable UUID id, @RequestParam UUID watch) {
        return watched.getOrDefault(watch, new MendProgress(0, 0));
    }
}
