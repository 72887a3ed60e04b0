package yewberry.core.mends;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.findings.Identity;
import yewberry.core.findings.Offer;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;

/**
 * A way to mend any finding: what is offered for it, tried.
 *
 * @param seen of text that stands out too little: how it does then
 * @param stays what of the finding is still there then
 * @param comes what is found on its page then that is not found there now; text that fails is apart
 * @param pages that it changes, in order; none where there was no time to look
 * @param trial what becomes of all text on those; nothing where it was not tried
 */
public record FindingMend(
        Offer offer,
        Optional<Seen> seen,
        Optional<String> stays,
        List<String> comes,
        List<UUID> pages,
        Optional<Trial> trial)
        implements Mend {
    /** Whoever asks is waiting: nothing more is tried then. */
    private static final Duration LONGEST = Duration.ofSeconds(8);

    public FindingMend {
        comes = List.copyOf(comes);
        pages = List.copyOf(pages);
    }

    /** One that there was no time to try. */
    private FindingMend(Offer offer, List<UUID> pages) {
        this(offer, Optional.empty(), Optional.empty(), List.of(), pages, Optional.empty());
    }

    private FindingMend withTrial(Optional<Trial> then) {
        return new FindingMend(offer, seen, stays, comes, pages, then);
    }

    /** What is offered for a finding; not yet tried. */
    public static List<Offer> offers(
            Finding finding, Publication publication, PressCondition condition) {
        return finding instanceof Finding.TooLittleContrast low
                ? FileMend.offers(low, publication, condition)
                : Offer.of(finding, publication, condition);
    }

    /**
     * Each of them that is possible, tried: all of them on the page of the finding first, then on
     * all pages, as far as there is time.
     *
     * @param offers for the finding
     * @param there all that is found on its page
     */
    public static List<FindingMend> of(
            Finding finding,
            List<Offer> offers,
            List<Finding> there,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition) {
        return of(finding, offers, there, publication, composer, legibility, condition, LONGEST);
    }

    /**
     * The same where it may take another time.
     *
     * @param longest that all of it may take
     */
    static List<FindingMend> of(
            Finding finding,
            List<Offer> offers,
            List<Finding> there,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Duration longest) {
        Here here = new Here(finding, there, composer, legibility, condition);
        long until = System.nanoTime() + longest.toNanos();
        List<FindingMend> onPage = new ArrayList<>();
        for (Offer offer : offers) {
            Publication after;
            try {
                after = Editing.edit(publication, offer.edit()).publication();
            } catch (Refused refused) {
                continue; // of something that is locked, or full
            }
            List<UUID> pages =
                    Cancellation.within(
                                    left(until),
                                    () -> Trial.pages(offer.edit(), publication, composer))
                            .orElse(List.of());
            onPage.add(
                    Cancellation.within(left(until), () -> here.tried(offer, after, pages))
                            .orElseGet(() -> new FindingMend(offer, pages)));
        }
        return onPage.stream()
                .map(mend ->
                        mend.withTrial(
                                Trial.of(
                                        mend.edit(),
                                        publication,
                                        composer,
                                        legibility,
                                        left(until))))
                .toList();
    }

    private static Duration left(long until) {
        return Duration.ofNanos(Math.max(0, until - System.nanoTime()));
    }

    /** What is found on the page of a finding, to try there what mends it. */
    private record Here(
            Finding finding,
            List<Finding> there,
            Composer composer,
            Legibility legibility,
            PressCondition condition) {
        FindingMend tried(Offer offer, Publication after, List<UUID> pages) {
            UUID key = Identity.of(finding).key();
            Set<UUID> known =
                    there.stream().map(each -> Identity.of(each).key()).collect(Collectors.toSet());
            PageScene scene = composer.compose(after, after.indexOf(finding.page()));
            Optional<String> stays = Optional.empty();
            List<String> comes = new ArrayList<>();
            for (Finding each : Findings.of(scene, legibility, after.setup(), condition)) {
                UUID its = Identity.of(each).key();
                if (its.equals(key)) {
                    stays = Optional.of(each.message());
                } else if (!(each instanceof Finding.TooLittleContrast) && known.add(its)) {
                    comes.add(each.message());
                }
            }
            Optional<Seen> seen = FindingMend.seen(finding, scene, legibility);
            return new FindingMend(offer, seen, stays, comes, pages, Optional.empty());
        }
    }

    private static Optional<Seen> seen(Finding finding, PageScene scene, Legibility legibility) {
        return finding instanceof Finding.TooLittleContrast low
                ? legibility.judge(scene).stream()
                        .filter(each -> each.run().run().equals(low.contrast().run().run()))
                        .findFirst()
                        .map(FindingMend::seen)
                : Optional.empty();
    }

    private static Seen seen(RunContrast contrast) {
        return new Seen(
                contrast.worst().foreground(), contrast.worst().ratio(), contrast.required());
    }

    @Override
    public String changes() {
        return "FINDING";
    }

    @Override
    public String words() {
        return offer.label();
    }

    @Override
    public String detail() {
        return "";
    }

    @Override
    public boolean isTried() {
        return trial.isPresent();
    }

    @Override
    public List<String> worse() {
        return trial.map(Trial::worse).orElse(List.of());
    }

    @Override
    public boolean overset() {
        return trial.filter(Trial::overset).isPresent();
    }

    @Override
    public Edit edit() {
        return offer.edit();
    }
}
