package yewberry.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import yewberry.core.color.PressCondition;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Level;
import yewberry.core.scene.PageScene;

/**
 * Reading and judging all text of 200 pages of a PDF that exists, with a colour behind them, warm,
 * in CPU time, against poppler drawing the same pages at 144 pixels per inch. Goal: at most half.
 */
final class FileLegibility implements Bench.Benchmark {
    private static final int PAGES = 200;
    private static final int ROUNDS = 3;
    private static final int PPI = 144;
    private static final PressCondition PRESS = PressCondition.coated();

    @Override
    public void run() throws Exception {
        byte[] file = AddToFiles.file(PAGES, 0);
        double best = Double.MAX_VALUE;
        for (int round = 0; round < ROUNDS; round++) {
            Map<Integer, PageScene> scenes = AddToFiles.scenes(file, PAGES, false);
            Legibility legibility = new Legibility(PRESS, Level.AA, Destination.SCREEN);
            int[] runs = {0};
            double judged =
                    CpuTime.of(() ->
                            scenes.values()
                                    .forEach(scene -> runs[0] += legibility.judge(scene).size()));
            if (runs[0] < PAGES) {
                throw new IllegalStateException("Pages without text.");
            }
            best = Math.min(best, judged);
        }
        Path folder = Files.createTempDirectory("yewberry-bench");
        Files.write(folder.resolve("pages.pdf"), file);
        double poppler = CpuTime.of(folder, "pdftoppm -r %d pages.pdf page".formatted(PPI));
        try (var files = Files.list(folder)) {
            for (Path each : files.toList()) {
                Files.delete(each);
            }
        }
        Files.delete(folder);
        System.out.printf(
                Locale.ROOT,
                "%d pages: poppler %.1f s; reading and judging %.1f s, %.2f of it (goal: 0.5)%n",
                PAGES,
                poppler,
                best,
                best / poppler);
    }
}
