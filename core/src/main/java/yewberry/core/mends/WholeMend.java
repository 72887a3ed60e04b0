package yewberry.core.mends;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.Cancellation;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;

/**
 * A set of changes after which no text fails that can be mended, and from which none can be left
 * out. Of few candidates it is the smallest set there is, and of those the one that changes colours
 * least; of many it is found step by step and then thinned out.
 *
 * @param changes in the order in which they are made
 * @param left text that none of them mends, with the page it is on
 * @param more whether there was more than could be tried in the time there is
 */
public record WholeMend(List<Change> changes, List<Left> left, boolean more) {
    /** Beyond so many candidates the smallest set is not searched by trying all. */
    private static final int FEW = 12;

    /** Those that leave the text as it is set. */
    private static final Set<Remedy.Kind> AROUND =
            Set.of(Remedy.Kind.COLOR, Remedy.Kind.GROUND, Remedy.Kind.LEGIBLE);

    /** What is tried where nothing else does. */
    private static final Set<Remedy.Kind> LAST = Set.of(Remedy.Kind.VEIL);

    /**
     * For so long changes are looked for, and whoever asked sees how far that is; then those that
     * were found are put together.
     */
    private static final Duration LOOKING = Duration.ofSeconds(110);

    /** For so long they are put together; what was not tried by then is told as more. */
    private static final Duration PUTTING = Duration.ofSeconds(45);

    /** One of them, on all pages that it changes. */
    private static final Duration TRYING = Duration.ofSeconds(20);

    /**
     * One of the changes.
     *
     * @param words what it does
     * @param runs that it mends
     * @param pages that it changes, in order
     * @param difference how far it changes a colour, CIEDE2000
     */
    public record Change(
            String words, Edit edit, Set<UUID> runs, List<UUID> pages, double difference) {}

    /** Text that stays as it is. */
    public record Left(UUID page, UUID run, String text, double ratio, double required) {}

    /**
     * @param excepted runs that are left as they are
     * @param ids for what is new
     * @param progress by the causes that were looked at
     */
    public static WholeMend of(
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Set<UUID> excepted,
            Supplier<UUID> ids,
            Progress progress) {
        return new Search(
                        publication,
                        composer,
                        legibility,
                        condition,
                        excepted,
                        ids,
                        progress,
                        new AtomicBoolean(),
                        System.nanoTime() + LOOKING.toNanos())
                .found();
    }

    private record Search(
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Set<UUID> excepted,
            Supplier<UUID> ids,
            Progress progress,
            AtomicBoolean more,
            long lookingEnds) {
        WholeMend found() {
            Map<UUID, Left> failing = new LinkedHashMap<>();
            Map<UUID, RunContrast> contrasts = new HashMap<>();
            Map<String, List<UUID>> causes = new LinkedHashMap<>();
            for (PageScene scene : composer.composeAll(publication)) {
                for (RunContrast each : legibility.judgeEach(scene)) {
                    if (!each.passes() && !excepted.contains(each.run().run())) {
                        failing.merge(each.run().run(), left(scene, each), Search::worse);
                        if (contrasts.putIfAbsent(each.run().run(), each) == null) {
                            causes.computeIfAbsent(cause(each), _ -> new ArrayList<>())
                                    .add(each.run().run());
                        }
                    }
                }
            }
            List<Change> candidates = candidates(causes.values(), contrasts, failing);
            Set<UUID> mendable = runs(candidates);
            List<Change> chosen =
                    thinned(
                            candidates.size() <= FEW
                                    ? smallest(candidates, mendable)
                                    : stepByStep(candidates, mendable),
                            candidates,
                            failing.keySet());
            Set<UUID> mended = mended(chosen, failing.keySet());
            return new WholeMend(
                    chosen,
                    failing.values().stream().filter(each -> !mended.contains(each.run())).toList(),
                    more.get());
        }

        /**
         * Of each cause what mends the first run, and then what mends those that this leaves, such
         * as where something is put behind some words only.
         */
        private List<Change> candidates(
                Collection<List<UUID>> causes,
                Map<UUID, RunContrast> contrasts,
                Map<UUID, Left> failing) {
            List<Change> candidates = new ArrayList<>();
            Set<UUID> mended = new HashSet<>();
            List<UUID> rest = new ArrayList<>();
            int looked = 0;
            for (List<UUID> runs : causes) {
                progress.at(looked++, causes.size());
                if (isOver(lookingEnds)) {
                    break;
                }
                List<Change> found = candidates(contrasts.get(runs.getFirst()), failing);
                candidates.addAll(found);
                found.forEach(each -> mended.addAll(each.runs()));
                if (!found.isEmpty()) {
                    rest.addAll(runs.subList(1, runs.size()));
                }
            }
            progress.at(causes.size(), causes.size());
            for (UUID run : rest) {
                if (mended.contains(run)) {
                    continue;
                }
                if (isOver(lookingEnds)) {
                    break;
                }
                List<Change> found = candidates(contrasts.get(run), failing);
                candidates.addAll(found);
                found.forEach(each -> mended.addAll(each.runs()));
            }
            return candidates;
        }

        private List<Change> candidates(RunContrast contrast, Map<UUID, Left> failing) {
            return contrast.run().isInFile()
                    ? inFile(contrast, failing.get(contrast.run().run()).page(), failing.keySet())
                    : candidates(contrast, failing.keySet());
        }

        private static Left left(PageScene scene, RunContrast contrast) {
            return new Left(
                    scene.page(),
                    contrast.run().run(),
                    contrast.run().text(),
                    contrast.worst().ratio(),
                    contrast.required());
        }

        private static Left worse(Left one, Left other) {
            return one.ratio() <= other.ratio() ? one : other;
        }

        /** Runs of one look in one colour on one ground are mended alike. */
        private static String cause(RunContrast contrast) {
            RunContrast.Against worst = contrast.worst();
            return "%s|%s|%s"
                    .formatted(
                            contrast.run().look().id(),
                            contrast.run().paint().inWords(),
                            worst.behind()
                                    .map(each -> each.element().toString())
                                    .orElse(worst.name()));
        }

        /** What would mend a run and makes no other text fail, with all that it mends besides. */
        private List<Change> candidates(RunContrast contrast, Set<UUID> failing) {
            Cancellation.check();
            UUID run = contrast.run().run();
            Rgb was = contrast.worst().foreground();
            String text = shortened(contrast.run().text());
            List<Change> all = new ArrayList<>();
            for (ColorMend mend : mends(run)) {
                String words =
                        mend.scope() == ColorMend.Scope.LOOK
                                ? "Text of the look “%s” in “%s”"
                                        .formatted(contrast.run().look().name(), mend.name())
                                : "“%s” in “%s”".formatted(text, mend.name());
                tried(mend.edit())
                        .flatMap(trial ->
                                change(
                                        words,
                                        mend.edit(),
                                        difference(was, mend.screen()),
                                        trial,
                                        failing))
                        .ifPresent(all::add);
            }
            all.addAll(remedies(run, AROUND, text, was, failing));
            if (all.isEmpty()) {
                all.addAll(remedies(run, LAST, text, was, failing));
            }
            return all;
        }

        /**
         * Text that is written in a file changes with all of that colour there; where no colour
         * helps, something is put behind its lines.
         */
        private List<Change> inFile(RunContrast contrast, UUID page, Set<UUID> failing) {
            Cancellation.check();
            List<Change> colors = colorsInFile(contrast, page, failing);
            if (!colors.isEmpty()) {
                return colors;
            }
            List<Change> veils = behind(contrast, Remedy.Kind.VEIL, failing);
            return veils.isEmpty() ? behind(contrast, Remedy.Kind.SHADING, failing) : veils;
        }

        private List<Change> behind(RunContrast contrast, Remedy.Kind kind, Set<UUID> failing) {
            return remedies(
                    contrast.run().run(),
                    Set.of(kind),
                    shortened(contrast.run().text()),
                    contrast.worst().foreground(),
                    failing);
        }

        private List<Change> colorsInFile(RunContrast contrast, UUID page, Set<UUID> failing) {
            return publication.page(page).imported().stream()
                    .flatMap(file -> FileMend.of(contrast, file, publication, condition).stream())
                    .flatMap(mend ->
                            tried(mend.edit())
                                    .flatMap(trial ->
                                            change(
                                                    mend.words(),
                                                    mend.edit(),
                                                    mend.difference(),
                                                    trial,
                                                    failing))
                                    .stream())
                    .toList();
        }

        /** While changes are looked for: no longer than that goes on. */
        private Optional<Trial> tried(Edit edit) {
            long left = Math.max(0, lookingEnds - System.nanoTime());
            return tried(edit, Duration.ofNanos(Math.min(TRYING.toNanos(), left)));
        }

        private Optional<Trial> tried(Edit edit, Duration longest) {
            Optional<Trial> trial = Trial.of(edit, publication, composer, legibility, longest);
            if (trial.isEmpty()) {
                more.set(true);
            }
            return trial;
        }

        /** Of each scope the swatch that reads best, and the nearest colour. */
        private List<ColorMend> mends(UUID run) {
            List<ColorMend> all =
                    ColorMend.of(
                            run,
                            publication,
                            composer.composeAll(publication),
                            legibility,
                            condition,
                            ids.get());
            Map<ColorMend.Scope, ColorMend> first = new LinkedHashMap<>();
            Map<ColorMend.Scope, ColorMend> last = new LinkedHashMap<>();
            for (ColorMend mend : all) {
                first.putIfAbsent(mend.scope(), mend);
                last.put(mend.scope(), mend);
            }
            return Stream.concat(first.values().stream(), last.values().stream())
                    .distinct()
                    .toList();
        }

        private List<Change> remedies(
                UUID run, Set<Remedy.Kind> kinds, String text, Rgb was, Set<UUID> failing) {
            return Remedy.of(run, kinds, publication, composer, legibility, condition, ids).stream()
                    .flatMap(remedy ->
                            change(
                                    "%s, for “%s”".formatted(remedy.words(), text),
                                    remedy.edit(),
                                    difference(was, remedy.screen()),
                                    remedy.trial(),
                                    failing)
                                    .stream())
                    .toList();
        }

        private double difference(Rgb one, Rgb other) {
            return Difference.ciede2000(condition.lab(one), condition.lab(other));
        }

        private static Optional<Change> change(
                String words, Edit edit, double difference, Trial trial, Set<UUID> failing) {
            Set<UUID> runs =
                    failing.stream()
                            .filter(trial.ratios()::containsKey)
                            .filter(run -> !trial.failing().contains(run))
                            .collect(Collectors.toSet());
            return runs.isEmpty() || !trial.worse().isEmpty() || trial.overset()
                    ? Optional.empty()
                    : Optional.of(new Change(words, edit, runs, trial.pages(), difference));
        }

        private static String shortened(String text) {
            return text.codePointCount(0, text.length()) <= 30
                    ? text
                    : text.substring(0, text.offsetByCodePoints(0, 30)).strip() + "…";
        }

        /** All subsets, the smaller and then the gentler first. */
        private static List<Change> smallest(List<Change> candidates, Set<UUID> mendable) {
            List<Change> best = candidates;
            for (int subset = 0; subset < 1 << candidates.size(); subset++) {
                if (Integer.bitCount(subset) > best.size()) {
                    continue;
                }
                List<Change> some = new ArrayList<>();
                Set<UUID> mended = new HashSet<>();
                for (int i = 0; i < candidates.size(); i++) {
                    if ((subset >> i & 1) == 1) {
                        some.add(candidates.get(i));
                        mended.addAll(candidates.get(i).runs());
                    }
                }
                boolean isBetter = some.size() < best.size() || difference(some) < difference(best);
                if (mended.containsAll(mendable) && isBetter) {
                    best = some;
                }
            }
            return best;
        }

        private static double difference(List<Change> changes) {
            return changes.stream().mapToDouble(Change::difference).sum();
        }

        /** The one that mends most of what is left, again and again. */
        private static List<Change> stepByStep(List<Change> candidates, Set<UUID> mendable) {
            List<Change> chosen = new ArrayList<>();
            Set<UUID> left = new HashSet<>(mendable);
            while (!left.isEmpty()) {
                Change next =
                        candidates.stream()
                                .max(
                                        Comparator.<Change>comparingLong(each ->
                                                        each.runs().stream()
                                                                .filter(left::contains)
                                                                .count())
                                                .thenComparing(
                                                        Comparator.comparingDouble(
                                                                        Change::difference)
                                                                .reversed()))
                                .orElseThrow();
                chosen.add(next);
                left.removeAll(next.runs());
            }
            return chosen;
        }

        /** What all of them together mend; nothing, if they cannot be made together. */
        private Set<UUID> mended(List<Change> changes, Set<UUID> failing) {
            if (changes.isEmpty()) {
                return Set.of();
            }
            Optional<Trial> together;
            try {
                together = tried(together(changes), TRYING);
            } catch (Refused apart) {
                return Set.of(); // such as two that each bring the same swatch
            }
            return together.filter(trial -> trial.worse().isEmpty())
                    .map(trial ->
                            failing.stream()
                                    .filter(trial.ratios()::containsKey)
                                    .filter(run -> !trial.failing().contains(run))
                                    .collect(Collectors.toSet()))
                    .orElse(Set.of());
        }

        /**
         * Two changes may undo each other: what does not do together goes, and what is not needed.
         */
        private List<Change> thinned(List<Change> changes, List<Change> others, Set<UUID> failing) {
            long until = System.nanoTime() + PUTTING.toNanos();
            List<Change> kept = changes;
            Set<UUID> mended = mended(changes, failing);
            if (!mended.containsAll(runs(changes))) {
                kept = fitting(changes, others, failing, until);
                mended = mended(kept, failing);
            }
            for (Change each : List.copyOf(kept)) {
                if (isOver(until)) {
                    break;
                }
                List<Change> without = kept.stream().filter(other -> other != each).toList();
                // of many only those are tried that others may stand for
                boolean isTried = kept.size() <= FEW || runs(without).containsAll(each.runs());
                if (isTried && mended(without, failing).containsAll(mended)) {
                    kept = without;
                }
            }
            return kept;
        }

        /** Those that do together, one after the other. */
        private List<Change> fitting(
                List<Change> changes, List<Change> others, Set<UUID> failing, long until) {
            List<Change> kept = new ArrayList<>();
            Set<UUID> mended = Set.of();
            for (Change each : Stream.concat(changes.stream(), others.stream()).toList()) {
                if (mended.containsAll(each.runs())) {
                    continue; // others are for what a change that does not fit leaves
                }
                if (isOver(until)) {
                    break;
                }
                List<Change> with = new ArrayList<>(kept);
                with.add(each);
                Set<UUID> now = mended(with, failing);
                if (now.size() > mended.size() && now.containsAll(mended)) {
                    kept = with;
                    mended = now;
                }
            }
            return kept;
        }

        private boolean isOver(long until) {
            boolean over = System.nanoTime() > until;
            if (over) {
                more.set(true);
            }
            return over;
        }

        private static Set<UUID> runs(List<Change> changes) {
            return changes.stream()
                    .flatMap(each -> each.runs().stream())
                    .collect(Collectors.toSet());
        }
    }

    /** Several changes as one edit. */
    public static Edit together(List<Change> changes) {
        return changes.size() == 1
                ? changes.getFirst().edit()
                : new Edit.Several(changes.stream().map(Change::edit).toList());
    }
}
