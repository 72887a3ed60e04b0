package yewberry.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Progress;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.compose.SceneMemory;
import yewberry.core.legibility.ByViewing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.scene.PageScene;
import yewberry.pdf.PdfWriter;

/**
 * Judging all text of 500 pages, a third of them with a picture behind it, in CPU time, against
 * poppler drawing the same exported pages at 144 pixels per inch. Goals: at most a fifth of it for
 * one viewing, pictures known; at most half for all viewings.
 */
final class WholeCheck implements Bench.Benchmark {
    private static final int PPI = 144;

    @Override
    public void run() throws Exception {
        byte[] file = MadePictures.rgb(3000, 2000, 1);
        Asset asset =
                new Asset(
                        new UUID(5, 1),
                        "Picture",
                        "p",
                        new Intake(Documents.NONE).look("p.jpg", file));
        Publication publication = pictured(Compose.publication(Look.Alignment.LEFT), asset);
        PressCondition press = PressCondition.coated();
        Composer composer =
                new Composer(
                        press,
                        new Pictures(sha256 -> file, Documents.NONE),
                        new SceneMemory(512L << 20));
        List<PageScene> scenes = composer.composeAll(publication);
        scenes.forEach(scene -> scene.text().size());
        List<View> all = ByViewing.views(publication.setup(), press);
        judged(scenes.subList(0, 30), publication, press, all); // the code is warm
        double one =
                judged(scenes, publication, press, List.of(View.designed(Medium.PAPER, press)));
        double every = judged(scenes, publication, press, all);
        double poppler = drawn(scenes, press);
        System.out.printf(
                Locale.ROOT,
                "poppler %.1f s; one viewing %.1f s, %.2f of it (goal: 0.2); %d viewings %.1f s, %.2f of it (goal: 0.5)%n",
                poppler,
                one,
                one / poppler,
                all.size(),
                every,
                every / poppler);
    }

    private static double judged(
            List<PageScene> scenes, Publication of, PressCondition press, List<View> views) {
        long begin = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        Legibility legibility =
                new Legibility(press, Demand.of(of.setup()), of.setup().destination());
        int runs = 0;
        for (PageScene scene : scenes) {
            runs += ByViewing.on(scene, legibility, views).runs();
        }
        if (runs < scenes.size()) {
            throw new IllegalStateException("Pages without text.");
        }
        return (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - begin) / 1e9;
    }

    private static Publication pictured(Publication plain, Asset asset) {
        Fill fill = new Fill.Picture(asset.id(), Placing.COVER, RunOut.NONE, Optional.empty());
        List<Page> pages = new ArrayList<>();
        for (int i = 0; i < plain.pages().size(); i++) {
            Page page = plain.pages().get(i);
            Background behind =
                    new Background(new UUID(6, i), Sides.BOTH, new Area.WholePage(), fill);
            pages.add(
                    i % 3 == 0
                            ? page.withLayer(page.layer().withBackgrounds(List.of(behind)))
                            : page);
        }
        return plain.withPages(pages).withAssets(List.of(asset));
    }

    private static double drawn(List<PageScene> scenes, PressCondition press)
            throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("yewberry-bench");
        Path pdf = folder.resolve("pages.pdf");
        PdfWriter.write("Pages", scenes, Medium.PAPER, press, Instant.EPOCH, pdf, Progress.NONE);
        double seconds = CpuTime.of(folder, "pdftoppm -r %d pages.pdf page".formatted(PPI));
        try (var files = Files.list(folder)) {
            for (Path each : files.toList()) {
                Files.delete(each);
            }
        }
        Files.delete(folder);
        return seconds;
    }
}
