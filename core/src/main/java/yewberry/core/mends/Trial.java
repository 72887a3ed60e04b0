package yewberry.core.mends;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Cancellation;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;

/**
 * An edit tried out: every page that it changes composed and judged anew, so that what is predicted
 * is what comes.
 *
 * @param pages that it changes, in order
 * @param ratios the least of each run on those pages
 * @param failing the runs on those pages that fail then
 * @param worse what passed before and fails then, each text once
 * @param overset whether text finds no room then that had some
 */
public record Trial(
        Publication after,
        List<UUID> pages,
        Map<UUID, Double> ratios,
        Set<UUID> failing,
        List<String> worse,
        boolean overset) {
    /** What takes longer is not tried to its end: who asks is waiting. */
    private static final Duration LONGEST = Duration.ofSeconds(6);

    /** The positions of the pages that come out otherwise. */
    private static List<Integer> changed(Publication before, Publication after, Composer composer) {
        List<Integer> changed = new ArrayList<>();
        int pages = Math.min(before.pages().size(), after.pages().size());
        for (int i = 0; i < pages; i++) {
            Cancellation.check();
            if (composer.key(before, i) != composer.key(after, i)) {
                changed.add(i);
            }
        }
        return changed;
    }

    /** The pages that an edit changes, in order, without looking at what comes of them. */
    public static List<UUID> pages(Edit edit, Publication before, Composer composer) {
        Publication after = Editing.edit(before, edit).publication();
        return changed(before, after, composer).stream()
                .map(i -> after.pages().get(i).id())
                .toList();
    }

    /**
     * An edit of a publication that leaves its pages in their order.
     *
     * @return nothing where it changes more than can be judged in a few seconds, or how many pages
     *     there are
     * @throws yewberry.core.Refused if the edit is not possible
     */
    public static Optional<Trial> of(
            Edit edit, Publication before, Composer composer, Legibility legibility) {
        return of(edit, before, composer, legibility, LONGEST);
    }

    /**
     * The same where nobody is waiting, or is told how far it has come.
     *
     * @param longest that it may take
     */
    static Optional<Trial> of(
            Edit edit,
            Publication before,
            Composer composer,
            Legibility legibility,
            Duration longest) {
        Publication after = Editing.edit(before, edit).publication();
        return after.pages().size() == before.pages().size()
                ? Cancellation.within(longest, () -> of(before, after, composer, legibility))
                : Optional.empty();
    }

    private static Trial of(
            Publication before, Publication after, Composer composer, Legibility legibility) {
        List<Integer> changed = changed(before, after, composer);
        Map<UUID, Double> ratios = new HashMap<>();
        Set<UUID> failing = new HashSet<>();
        Set<UUID> failedBefore = new HashSet<>();
        Map<UUID, String> texts = new HashMap<>();
        boolean hadOverset = false;
        boolean hasOverset = false;
        for (int i : changed) {
            Cancellation.check();
            PageScene was = composer.compose(before, i);
            legibility.judgeEach(was).stream()
                    .filter(each -> !each.passes())
                    .forEach(each -> failedBefore.add(each.run().run()));
            hadOverset |= !was.overset().isEmpty();
            PageScene will = composer.compose(after, i);
            for (RunContrast each : legibility.judgeEach(will)) {
                UUID run = each.run().run();
                ratios.merge(run, each.worst().ratio(), Math::min);
                if (!each.passes()) {
                    failing.add(run);
                    texts.put(run, each.run().text());
                }
            }
            hasOverset |= !will.overset().isEmpty();
        }
        texts.keySet().removeAll(failedBefore);
        return new Trial(
                after,
                changed.stream().map(i -> after.pages().get(i).id()).toList(),
                ratios,
                failing,
                texts.values().stream().sorted().toList(),
                hasOverset && !hadOverset);
    }
}
