package yewberry.core.compose;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Setup;
import yewberry.core.scene.ColorChoice;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * Settles which colour text has that chooses it by what lies behind it: the first of its list that
 * is legible on all of that, as the check judges it. Where none is for all of a run, each line
 * chooses by itself, and where none is for all of a line, each word.
 */
final class LegibleColors {
    private final Setup setup;
    private final PressCondition condition;
    private final Legibility legibility;

    private LegibleColors(Setup setup, PressCondition condition) {
        this.setup = setup;
        this.condition = condition;
        this.legibility = new Legibility(condition, Demand.of(setup), setup.destination());
    }

    /** The scene with all its colours chosen; itself where there is nothing to choose. */
    static PageScene settled(PageScene scene, Setup setup, PressCondition condition) {
        Set<UUID> frames = new LinkedHashSet<>();
        scene.text().stream()
                .filter(run -> run.choice().isPresent())
                .forEach(run -> frames.add(run.frame()));
        LegibleColors colors = new LegibleColors(setup, condition);
        PageScene settled = scene;
        for (UUID frame : frames) {
            // what a frame's text has chosen may lie behind that of the next
            settled = colors.settled(settled, frame);
        }
        return settled;
    }

    private PageScene settled(PageScene scene, UUID frame) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < scene.items().size(); i++) {
            if (scene.items().get(i) instanceof Item.GlyphRun run
                    && run.frame().equals(frame)
                    && run.choice().isPresent()) {
                items.addAll(new Choosing(scene, i, run, run.choice().get()).parts());
            } else {
                items.add(scene.items().get(i));
            }
        }
        return scene.withItems(items);
    }

    /** A colour that was chosen for some text. */
    private record Chosen(Paint paint, boolean passes, ColorChoice.Extent extent) {}

    /** One run whose colour is chosen. */
    private final class Choosing {
        private final PageScene scene;
        private final int index;
        private final Item.GlyphRun run;
        private final ColorChoice choice;
        private final List<View> views = new ArrayList<>();

        /**
         * @param index of the run among the items of the scene
         */
        Choosing(PageScene scene, int index, Item.GlyphRun run, ColorChoice choice) {
            this.scene = scene;
            this.index = index;
            this.run = run;
            this.choice = choice;
            for (Medium medium : setup.destination().media()) {
                views.add(View.designed(medium, condition));
            }
            for (Viewing viewing : choice.viewings()) {
                views.add(
                        new View(
                                viewing,
                                setup.destination().medium(viewing),
                                condition,
                                setup.press().stock().orElseGet(condition::paper)));
            }
        }

        /** The run in parts of one colour each, in reading order. */
        List<Item.GlyphRun> parts() {
            Optional<Paint> throughout = first(run);
            if (throughout.isPresent()) {
                return List.of(in(run, new Chosen(throughout.get(), true, ColorChoice.Extent.ALL)));
            }
            Parts parts = new Parts();
            for (List<Integer> lines : hyphenated()) {
                Item.GlyphRun together =
                        run.withLines(lines.stream().map(run.lines()::get).toList());
                Optional<Paint> one = first(together);
                if (one.isPresent()) {
                    Chosen chosen = new Chosen(one.get(), true, ColorChoice.Extent.LINE);
                    together.lines().forEach(line -> parts.add(line, chosen));
                } else {
                    words(together).forEach(word -> parts.add(word, forWord(word)));
                }
            }
            return parts.made();
        }

        private Chosen forWord(List<Item.Line> word) {
            Item.GlyphRun alone = run.withLines(word);
            return first(alone)
                    .map(paint -> new Chosen(paint, true, ColorChoice.Extent.WORD))
                    .orElseGet(() -> new Chosen(best(alone), false, ColorChoice.Extent.WORD));
        }

        private Item.GlyphRun in(Item.GlyphRun part, Chosen chosen) {
            return part.withPaint(
                    chosen.paint(), Optional.of(choice.settled(chosen.passes(), chosen.extent())));
        }

        private Optional<Paint> first(Item.GlyphRun part) {
            return choice.candidates().stream()
                    .filter(paint -> margin(part, paint) >= 1)
                    .findFirst();
        }

        /** That which comes nearest to being legible; the first of several. */
        private Paint best(Item.GlyphRun part) {
            Paint best = choice.candidates().getFirst();
            double most = -1;
            for (Paint paint : choice.candidates()) {
                double margin = margin(part, paint);
                if (margin > most) {
                    most = margin;
                    best = paint;
                }
            }
            return best;
        }

        /** The least ratio under any viewing, as a part of what is required; 1 and over passes. */
        private double margin(Item.GlyphRun part, Paint paint) {
            double least = Double.MAX_VALUE;
            for (View view : views) {
                MediumScene shown = scene.on(view);
                Item there = scene.allOn(view.medium()).get(index);
                least =
                        Math.min(
                                least,
                                legibility
                                        .judge(
                                                shown,
                                                shown.below(there),
                                                shown.veils(there),
                                                part.withPaint(paint, Optional.empty())
                                                        .on(view.medium(), condition),
                                                view)
                                        .map(each -> each.worst().ratio() / each.required())
                                        .orElse(Double.MAX_VALUE));
            }
            return least;
        }

        /** The numbers of the lines; those that a word goes on over stand together. */
        private List<List<Integer>> hyphenated() {
            List<List<Integer>> groups = new ArrayList<>();
            boolean goesOn = false;
            for (int i = 0; i < run.lines().size(); i++) {
                if (!goesOn) {
                    groups.add(new ArrayList<>());
                }
                groups.getLast().add(i);
                goesOn = run.lines().get(i).text().endsWith("\u00ad");
            }
            return groups;
        }

        /** The words of some lines; one that a hyphen breaks stands on two of them. */
        private List<List<Item.Line>> words(Item.GlyphRun of) {
            List<List<Item.Line>> words = new ArrayList<>();
            boolean goesOn = false;
            for (Item.Line line : of.lines()) {
                for (Item.Line word : words(line)) {
                    if (goesOn) {
                        words.getLast().add(word);
                        goesOn = false;
                    } else {
                        words.add(new ArrayList<>(List.of(word)));
                    }
                }
                goesOn = line.text().endsWith("\u00ad");
            }
            return words;
        }

        private List<Item.Line> words(Item.Line line) {
            List<Integer> begins =
                    IntStream.range(0, line.glyphs().size())
                            .filter(i ->
                                    i == 0
                                            || !line.glyphs().get(i).text().isBlank()
                                                    && !line.glyphs().get(i).text().isEmpty()
                                                    && line.glyphs().get(i - 1).isWordSpace())
                            .boxed()
                            .toList();
            List<Item.Line> words = new ArrayList<>();
            for (int i = 0; i < begins.size(); i++) {
                int to = i + 1 < begins.size() ? begins.get(i + 1) : line.glyphs().size();
                words.add(
                        run.type().leftward()
                                ? line.partLeftward(begins.get(i), to)
                                : line.part(begins.get(i), to));
            }
            return words.isEmpty() ? List.of(line) : words;
        }

        /** Text in reading order; what has one colour and stands together is one part. */
        private final class Parts {
            private final List<Item.GlyphRun> made = new ArrayList<>();
            private final List<Item.Line> lines = new ArrayList<>();
            private Optional<Chosen> now = Optional.empty();

            void add(List<Item.Line> word, Chosen chosen) {
                word.forEach(line -> add(line, chosen));
            }

            void add(Item.Line line, Chosen chosen) {
                if (!now.equals(Optional.of(chosen))) {
                    end();
                    now = Optional.of(chosen);
                }
                if (!lines.isEmpty() && lines.getLast().isFollowedBy(line)) {
                    lines.set(lines.size() - 1, lines.getLast().with(line));
                } else {
                    lines.add(line);
                }
            }

            private void end() {
                now.ifPresent(chosen -> made.add(in(run.withLines(lines), chosen)));
                lines.clear();
            }

            List<Item.GlyphRun> made() {
                end();
                return made;
            }
        }
    }
}
