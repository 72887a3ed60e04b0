package yewberry.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Progress;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.pdf.PdfWriter;

/**
 * Draws one A5 page with a CMYK picture of 300 ppi, a gradient and a multiply layer at 144 ppi:
 * Yewberry's own drawing, the file of the picture decoded anew each time, against ghostscript
 * drawing the exported page. CPU time, by turns. Goal: at most 0.4 of ghostscript's.
 */
final class DrawPage implements Bench.Benchmark {
    private static final int ROUNDS = 12;
    private static final int WARM_UP = 4;
    private static final Swatch NIGHT =
            new Swatch(new UUID(0, 1), "Night", new Cmyk(100, 86, 42, 40));
    private static final Swatch DUSK = new Swatch(new UUID(0, 2), "Dusk", new Cmyk(20, 60, 40, 0));

    @Override
    public void run() throws Exception {
        PressCondition coated = PressCondition.coated();
        byte[] file = MadePictures.cmyk(1819, 2551, 1);
        Path pdf = Files.createTempFile("yewberry-bench", ".pdf");
        PdfWriter.write(
                "Bench",
                List.of(scene(file, coated)),
                Medium.PAPER,
                coated,
                Instant.EPOCH,
                pdf,
                Progress.NONE);
        View view = View.designed(Medium.PAPER, coated);
        Samples fresh = new Samples("yewberry", ROUNDS);
        Samples known = new Samples("picture known", ROUNDS);
        Samples reference = new Samples("ghostscript", ROUNDS);
        PageScene again = scene(file, coated);
        for (int i = -WARM_UP; i < ROUNDS; i++) {
            long cold = cpu(() -> draw(scene(file, coated), view));
            long warm = cpu(() -> draw(again, view));
            long theirs = ghostscript(pdf);
            if (i >= 0) {
                fresh.add(cold);
                known.add(warm);
                reference.add(theirs);
            }
        }
        Files.delete(pdf);
        System.out.println(fresh);
        System.out.println(known);
        System.out.println(reference);
        System.out.printf(
                "CPU time     %.2f of ghostscript, %.2f with the picture known   (goal: at most 0.4)%n",
                fresh.quantile(0.5) / reference.quantile(0.5),
                known.quantile(0.5) / reference.quantile(0.5));
    }

    private static void draw(PageScene scene, View view) {
        PageRaster.page(scene, view, scene.boxes().bleed(), 144);
    }

    private static PageScene scene(byte[] file, PressCondition coated) {
        Asset asset =
                new Asset(
                        new UUID(0, 3),
                        "Clouds",
                        "clouds",
                        new Intake(Documents.NONE).look("clouds.jpg", file));
        Fill gradient =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        270,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(NIGHT.id()), 80),
                                new Fill.Gradient.Stop(100, Tinted.full(DUSK.id()), 20)));
        List<Background> backgrounds =
                List.of(
                        new Background(
                                new UUID(1, 1),
                                Sides.BOTH,
                                new Area.WholePage(),
                                new Fill.Picture(
                                        asset.id(), Placing.COVER, RunOut.NONE, Optional.empty())),
                        new Background(new UUID(1, 2), Sides.BOTH, new Area.WholePage(), gradient),
                        new Background(
                                new UUID(1, 3),
                                Sides.BOTH,
                                new Area.Band(Edge.BOTTOM, Length.mm(70)),
                                new Fill.Solid(Tinted.full(DUSK.id())),
                                70,
                                BlendMode.MULTIPLY,
                                Background.GoesTo.BOTH));
        Publication publication =
                new Publication(
                                new UUID(0, 9),
                                "Bench",
                                Setup.of(new PageSize(Length.mm(148), Length.mm(210)), false),
                                List.of(NIGHT, DUSK),
                                List.of(),
                                List.of(),
                                List.of(
                                        new Page(
                                                new UUID(0, 8),
                                                Optional.empty(),
                                                true,
                                                new Layer(backgrounds, List.of()))))
                        .withAssets(List.of(asset));
        return new Composer(coated, new Pictures(sha256 -> file, Documents.NONE))
                .compose(publication, 0);
    }

    private static long cpu(Runnable work) {
        var thread = ManagementFactory.getThreadMXBean();
        long before = thread.getCurrentThreadCpuTime();
        work.run();
        return thread.getCurrentThreadCpuTime() - before;
    }

    /** User and system time of the whole program, in nanoseconds, as the shell measures it. */
    private static long ghostscript(Path pdf) throws IOException {
        Process process =
                new ProcessBuilder(
                                "bash",
                                "-c",
                                "TIMEFORMAT='%U %S'; time gs -q -dSAFER -dNOPAUSE -dBATCH"
                                        + " -sDEVICE=ppmraw -r144 -dUsePDFX3Profile=0"
                                        + " -dRenderIntent=1 -dBlackPtComp=1"
                                        + " -sOutputFile=/dev/null \"$0\"",
                                pdf.toString())
                        .redirectErrorStream(true)
                        .start();
        String printed =
                new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        String[] times = printed.split("\\s+");
        return (long) ((Double.parseDouble(times[0]) + Double.parseDouble(times[1])) * 1e9);
    }
}
