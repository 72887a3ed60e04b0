package yewberry.server.api;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Identity;
import yewberry.core.findings.Offer;
import yewberry.core.findings.OnPageContent;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.ContrastMend;
import yewberry.core.mends.FindingMend;
import yewberry.core.mends.Mend;
import yewberry.core.mends.WholeMend;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.MendProgress;
import yewberry.server.view.MendView;
import yewberry.server.view.WholeMendView;

/** What would mend what is found. */
@RestController
@RequestMapping("/api/publications/{id}")
class MendApi {
    /** So long pages are looked at for a place that is free on all of them. */
    private static final Duration LOOKING = Duration.ofMillis(1500);

    /** So many search at a time: each has one of the few threads that all else is computed on. */
    private final Semaphore searches = new Semaphore(2);

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
        return shown(ofText(run, open, publication), publication);
    }

    /** What is offered for the findings of a page, by their keys, without trying it. */
    @GetMapping("/pages/{page}/offers")
    Map<UUID, List<Offer>> offers(@PathVariable UUID id, @PathVariable UUID page) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        Composer composer = open.composer(publication);
        PressCondition press = open.press(publication);
        long until = System.nanoTime() + LOOKING.toNanos();
        Map<UUID, List<Offer>> offers = new HashMap<>();
        for (Finding finding : found(open, publication, page)) {
            offers.putIfAbsent(
                    Identity.of(finding).key(),
                    offers(finding, publication, composer, press, until));
        }
        return offers;
    }

    /**
     * What would mend a finding, whatever it is about, with what would come of it.
     *
     * @param finding its key; nothing mends what is not found any more
     * @param run of text, which may fail under some viewing only and is not found without that
     */
    @GetMapping("/pages/{page}/findings/{finding}/mends")
    List<MendView> mends(
            @PathVariable UUID id,
            @PathVariable UUID page,
            @PathVariable UUID finding,
            @RequestParam Optional<UUID> run) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        List<Finding> there = found(open, publication, page);
        return there.stream()
                .filter(each -> Identity.of(each).key().equals(finding))
                .findFirst()
                .map(one -> mends(open, publication, one, there))
                .orElseGet(() ->
                        run.map(each -> shown(ofText(each, open, publication), publication))
                                .orElse(List.of()));
    }

    private static List<? extends Mend> ofText(
            UUID run, OpenPublication open, Publication publication) {
        return ContrastMend.of(
                run,
                publication,
                open.composer(publication),
                open.legibility(publication),
                open.press(publication),
                UUID::randomUUID);
    }

    private static List<MendView> shown(List<? extends Mend> mends, Publication publication) {
        return mends.stream().map(mend -> MendView.of(mend, publication)).toList();
    }

    private static List<MendView> mends(
            OpenPublication open, Publication publication, Finding one, List<Finding> there) {
        Composer composer = open.composer(publication);
        Legibility legibility = open.legibility(publication);
        PressCondition press = open.press(publication);
        List<Mend> mends = new ArrayList<>();
        if (one instanceof Finding.TooLittleContrast low) {
            mends.addAll(ofText(low.contrast().run().run(), open, publication));
        }
        long until = System.nanoTime() + LOOKING.toNanos();
        mends.addAll(
                FindingMend.of(
                        one,
                        offers(one, publication, composer, press, until),
                        there,
                        publication,
                        composer,
                        legibility,
                        press));
        return shown(mends, publication);
    }

    private static List<Finding> found(OpenPublication open, Publication publication, UUID page) {
        PageScene scene =
                open.composer(publication).compose(publication, PageApi.indexOf(publication, page));
        return open.findings(scene, publication, Optional.empty());
    }

    private static List<Offer> offers(
            Finding finding,
            Publication publication,
            Composer composer,
            PressCondition press,
            long until) {
        List<Offer> all = new ArrayList<>();
        if (finding instanceof OnPageContent on) {
            Duration left = Duration.ofNanos(Math.max(0, until - System.nanoTime()));
            on.freeOnAll(publication, composer, left).ifPresent(all::add);
        }
        all.addAll(FindingMend.offers(finding, publication, press));
        return all;
    }

    /**
     * A set of changes for all text that fails, but for what is excepted.
     *
     * @param watch an id that one can ask by how far it has come
     * @param cause of findings, where only what fails for that is to be mended
     * @throws Refused if others are searching already
     */
    @GetMapping("/whole-mend")
    WholeMendView wholeMend(
            @PathVariable UUID id,
            @RequestParam Optional<UUID> watch,
            @RequestParam Optional<UUID> cause) {
        OpenPublication open = publications.get(id);
        if (!searches.tryAcquire()) {
            throw new Refused(
                    "Two searches for what mends all text are under way; wait until one of them is done, or cancel it.");
        }
        try {
            return wholeMend(open, watch, cause);
        } finally {
            searches.release();
            watch.ifPresent(watched::remove);
        }
    }

    private WholeMendView wholeMend(
            OpenPublication open, Optional<UUID> watch, Optional<UUID> cause) {
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
