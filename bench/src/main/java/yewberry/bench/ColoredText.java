package yewberry.bench;

import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.compose.SceneMemory;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;

/**
 * Composing 500 pages of text with shadings, borders and highlights on every second paragraph
 * against the same without, CPU time by turns; and the spread in view after the background of a
 * parent changed, whose text chooses its colour by it.
 */
final class ColoredText implements Bench.Benchmark {
    private static final int ROUNDS = 5;
    private static final int WARM_UP = 3;
    private static final int CHANGES = 40;
    private static final Swatch LAMP = new Swatch(new UUID(0, 2), "Lamp", new Cmyk(0, 48, 92, 0));
    private static final Swatch NIGHT =
            new Swatch(new UUID(0, 3), "Night", new Cmyk(100, 86, 42, 52));
    private static final Swatch PALE = new Swatch(new UUID(0, 4), "Pale", new Cmyk(5, 3, 12, 0));
    private static final UUID NOTICE = new UUID(1, 2);
    private static final UUID MARKED = new UUID(1, 3);

    @Override
    public void run() {
        Publication plain = Compose.publication(Look.Alignment.LEFT);
        Publication colored = colored(plain);
        Samples without = new Samples("without", ROUNDS);
        Samples with = new Samples("with", ROUNDS);
        for (int i = -WARM_UP; i < ROUNDS; i++) {
            long own = composed(colored);
            long other = composed(plain);
            if (i >= 0) {
                with.add(own);
                without.add(other);
            }
        }
        System.out.println(with);
        System.out.println(without);
        System.out.printf(
                Locale.ROOT,
                "%.2f times the time of text without (goal: at most 1.2)%n",
                with.quantile(0.5) / without.quantile(0.5));
        legible(plain);
    }

    private static long composed(Publication publication) {
        long begin = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        Composer composer =
                new Composer(PressCondition.coated(), Pictures.NONE, new SceneMemory(512L << 20));
        for (int i = 0; i < publication.pages().size(); i++) {
            composer.compose(publication, i);
        }
        return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - begin;
    }

    private static Publication colored(Publication plain) {
        Look body = plain.looks().getFirst();
        Look notice =
                body.copy(NOTICE, "Notice")
                        .withPanel(
                                Optional.of(
                                        Panel.shaded(
                                                        new Tinted(LAMP.id(), 20),
                                                        Panel.Reach.MEASURE,
                                                        Padding.all(Distance.em(0.4)))
                                                .withBorder(
                                                        Optional.of(
                                                                new Border(
                                                                        Border.ALL,
                                                                        Length.pt(1),
                                                                        Tinted.full(LAMP.id()),
                                                                        Border.Style.SOLID)))));
        CharacterLook marked =
                new CharacterLook(MARKED, "Marked")
                        .withHighlight(
                                Optional.of(
                                        new Highlight(
                                                Tinted.full(LAMP.id()), 0, 0, 0.1, 0, false)));
        Story story = plain.stories().getFirst();
        List<Paragraph> text = new ArrayList<>();
        for (int i = 0; i < story.paragraphs().size(); i++) {
            Paragraph each = story.paragraphs().get(i);
            text.add(i % 2 == 0 ? each : noticed(each));
        }
        return plain.withSwatches(with(plain.swatches(), LAMP))
                .withLooks(List.of(body, notice))
                .withCharacterLooks(List.of(marked))
                .withStories(List.of(new Story(story.id(), story.chain(), text)));
    }

    private static <T> List<T> with(List<T> some, T more) {
        List<T> all = new ArrayList<>(some);
        all.add(more);
        return all;
    }

    /** With ten words in the middle highlighted. */
    private static Paragraph noticed(Paragraph plain) {
        String[] words = plain.text().split(" ");
        int from = words.length / 3;
        int to = Math.min(words.length, from + 10);
        List<Run> runs = new ArrayList<>();
        run(plain, runs, words, 0, from, Optional.empty());
        run(plain, runs, words, from, to, Optional.of(MARKED));
        run(plain, runs, words, to, words.length, Optional.empty());
        return plain.withLook(NOTICE).withRuns(runs);
    }

    private static void run(
            Paragraph of, List<Run> runs, String[] words, int from, int to, Optional<UUID> look) {
        if (from < to) {
            String text = String.join(" ", List.of(words).subList(from, to));
            runs.add(
                    new Run(
                            UUID.nameUUIDFromBytes((of.id() + " " + from).getBytes()),
                            to < words.length ? text + " " : text,
                            Optional.empty(),
                            look));
        }
    }

    /** All text stands on its parent's background, which is dark and pale in turn. */
    private static void legible(Publication plain) {
        Swatch ink = plain.swatches().getFirst();
        Swatch reading =
                new Swatch(
                        new UUID(0, 5),
                        "Reading",
                        new Definition.Legible(List.of(ink.id(), PALE.id()), List.of()));
        UUID parent = new UUID(8, 0);
        Publication base =
                plain.withSwatches(List.of(ink, NIGHT, PALE, reading))
                        .withLooks(
                                List.of(
                                        plain.looks()
                                                .getFirst()
                                                .withColor(Tinted.full(reading.id()))))
                        .withParents(List.of(new Parent(parent, "All", Layer.EMPTY)))
                        .withPages(
                                plain.pages().stream()
                                        .map(page -> page.withParent(Optional.of(parent)))
                                        .toList());
        Composer composer =
                new Composer(PressCondition.coated(), Pictures.NONE, new SceneMemory(512L << 20));
        Samples samples = new Samples("spread in view", CHANGES);
        for (int i = -10; i < CHANGES; i++) {
            Swatch ground = i % 2 == 0 ? NIGHT : PALE;
            Publication changed =
                    base.withParents(List.of(new Parent(parent, "All", ground(i, ground))));
            long begin = System.nanoTime();
            List<PageScene> spread =
                    IntStream.of(249, 250)
                            .mapToObj(page -> composer.compose(changed, page))
                            .toList();
            long took = System.nanoTime() - begin;
            if (spread.stream()
                    .flatMap(scene -> scene.text().stream())
                    .anyMatch(run -> run.paint().name().equals("Pale") != (ground == NIGHT))) {
                throw new IllegalStateException("The text did not follow its background");
            }
            if (i >= 0) {
                samples.add(took);
            }
        }
        System.out.println(samples);
        System.out.printf(
                Locale.ROOT,
                "%.1f ms at the 95th percentile (goal: 150)%n",
                samples.quantile(0.95));
    }

    private static Layer ground(int number, Swatch swatch) {
        return new Layer(
                List.of(
                        new Background(
                                new UUID(9, number & 0xff),
                                Sides.BOTH,
                                new Area.WholePage(),
                                new Fill.Solid(Tinted.full(swatch.id())))),
                List.of());
    }
}
