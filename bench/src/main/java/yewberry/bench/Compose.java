package yewberry.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.compose.SceneMemory;
import yewberry.core.publication.Box;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.text.FontLibrary;

/**
 * Sets a story through 500 pages, ragged and justified: lines broken, shaped and placed, against
 * pango (a small C program on Debian's libpango) breaking and shaping the same paragraphs in the
 * same face at the same width. CPU time, one thread each, by turns. Goal: ragged at least as fast.
 */
final class Compose implements Bench.Benchmark {
    private static final int PAGES = 500;
    private static final int ROUNDS = 5;
    private static final int WARM_UP = 3;
    private static final double WIDTH = 317;
    private static final double HEIGHT = 476;
    private static final double SIZE = 9.5;
    private static final Swatch INK = new Swatch(new UUID(0, 1), "Ink", new Cmyk(0, 0, 0, 100));
    private static final String[] WORDS =
            ("the observatory stands above highest tide and its dome is painted colour of mud season runs from"
                            + " October to March when nights are long enough worth staying up for every clear"
                            + " evening that half year open visitors small telescopes on terrace yours use bring"
                            + " blanket somebody count with Orion’s belt down Sirius brightest star all")
                    .split(" ");

    @Override
    public void run() throws Exception {
        Path program = built();
        Path font = Files.createTempFile("yewberry-bench", ".ttf");
        Files.write(font, FontLibrary.face("Source Serif 4", 400, false).program());
        for (Look.Alignment alignment : List.of(Look.Alignment.LEFT, Look.Alignment.JUSTIFIED)) {
            compare(alignment, program, font);
        }
    }

    private static void compare(Look.Alignment alignment, Path program, Path font)
            throws IOException, InterruptedException {
        Publication publication = publication(alignment);
        Story story = publication.stories().getFirst();
        int used =
                new Composer(PressCondition.coated())
                        .flows()
                        .places(story.id(), publication)
                        .getLast()
                        .paragraph();
        Path text = Files.createTempFile("yewberry-bench", ".txt");
        Files.writeString(
                text,
                String.join(
                        "\n",
                        story.paragraphs().stream().limit(used).map(Paragraph::text).toList()));
        Samples ours = new Samples("yewberry", ROUNDS);
        Samples theirs = new Samples("pango", ROUNDS);
        for (int i = -WARM_UP; i < ROUNDS; i++) {
            long own = composed(publication, story.id());
            long other = pango(program, font, alignment, text);
            if (i >= 0) {
                ours.add(own);
                theirs.add(other);
            }
        }
        System.out.println(alignment.name().toLowerCase(Locale.ROOT) + ", " + PAGES + " pages");
        System.out.println(ours);
        System.out.println(theirs);
        System.out.printf(
                Locale.ROOT,
                "%.0f pages a second; %.2f times as fast as pango (goal: ragged at least 1.0)%n",
                PAGES / (ours.quantile(0.5) / 1000),
                theirs.quantile(0.5) / ours.quantile(0.5));
    }

    private static long composed(Publication publication, UUID story) {
        long begin = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        // nothing is known from the round before
        new Composer(PressCondition.coated(), Pictures.NONE, new SceneMemory(512L << 20))
                .flows()
                .places(story, publication);
        return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - begin;
    }

    private static long pango(Path program, Path font, Look.Alignment alignment, Path text)
            throws IOException {
        Process process =
                new ProcessBuilder(
                                program.toString(),
                                font.toString(),
                                "Source Serif 4",
                                String.valueOf(SIZE),
                                String.valueOf(WIDTH),
                                alignment == Look.Alignment.JUSTIFIED ? "1" : "0",
                                text.toString(),
                                "2")
                        .start();
        String printed =
                new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        // the first round opens the font
        return Long.parseLong(printed.lines().toList().get(1).split(" ")[0]);
    }

    private static Path built() throws IOException, InterruptedException {
        Path program = Files.createTempDirectory("yewberry-bench").resolve("compose");
        String source = "bench/src/main/c/compose.c";
        String compile =
                "cc -O2 -o %s %s $(pkg-config --cflags --libs pangoft2 fontconfig)"
                        .formatted(program, source);
        int status = new ProcessBuilder("sh", "-c", compile).inheritIO().start().waitFor();
        if (status != 0) {
            throw new IllegalStateException(
                    "compose.c is not built; install gcc, pkg-config and libpango1.0-dev");
        }
        return program;
    }

    /** As much text as 500 frames take, and a little more. */
    static Publication publication(Look.Alignment alignment) {
        return publication(alignment, PAGES);
    }

    /** The same of so many frames, each on a page. */
    static Publication publication(Look.Alignment alignment, int count) {
        Look look =
                new Look(
                        new UUID(1, 1),
                        "Body",
                        "Source Serif 4",
                        400,
                        Length.pt(SIZE),
                        Length.pt(13.5),
                        Length.pt(6),
                        alignment,
                        Tinted.full(INK.id()),
                        Look.Overprint.BLACK);
        UUID story = new UUID(2, 0);
        List<Page> pages = new ArrayList<>();
        List<Story.Link> chain = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            UUID page = new UUID(3, i);
            UUID frame = new UUID(4, i);
            Box box = new Box(Length.pt(50), Length.pt(57), Length.pt(WIDTH), Length.pt(HEIGHT));
            pages.add(
                    new Page(
                            page,
                            Optional.empty(),
                            true,
                            new Layer(
                                    List.of(),
                                    List.of(new TextFrame(frame, Sides.BOTH, box, story)))));
            chain.add(new Story.Link(new Owner.OnPage(page), frame));
        }
        Random random = new Random(7);
        List<Paragraph> text =
                IntStream.range(0, 9 * count)
                        .mapToObj(i ->
                                new Paragraph(
                                        new UUID(5, i),
                                        look.id(),
                                        List.of(
                                                new Run(
                                                        new UUID(6, i),
                                                        words(random),
                                                        Optional.empty()))))
                        .toList();
        return new Publication(
                        new UUID(7, 0),
                        "Bench",
                        Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true),
                        List.of(INK),
                        List.of(look),
                        List.of(),
                        pages)
                .withStories(List.of(new Story(story, chain, text)));
    }

    private static String words(Random random) {
        List<String> words = new ArrayList<>();
        for (int left = 40 + random.nextInt(50); left > 0; left--) {
            words.add(WORDS[random.nextInt(WORDS.length)]);
        }
        return String.join(" ", words) + ".";
    }
}
