package yewberry.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
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
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputPages;
import yewberry.core.output.OutputSettings;
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
import yewberry.pdf.PdfOutput;
import yewberry.pdf.PdfWriter;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/**
 * A press PDF of 2,000 pages of text with 50 pictures behind some, in a heap of 512 MB, against
 * ghostscript's pdfwrite rewriting it (goal: as many pages a second); a reading PDF against the
 * press PDF (goal: at most 1.5 of its time); and the read-back of 500 pages against ghostscript's
 * tiffsep drawing them as finely (goal: at most 1.0 of its time). Seconds of the clock.
 */
final class WriteOutputs implements Bench.Benchmark {
    private static final int PAGES = 2000;
    private static final int READ_BACK = 500;
    private static final int PICTURES = 50;

    /** As the read-back draws. */
    private static final int PPI = 144;

    @Override
    public void run() throws Exception {
        apart("write", "512m");
        apart("read", "2g");
    }

    private static void apart(String what, String heap) throws Exception {
        Process process =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "-Xmx" + heap,
                                "-Djava.awt.headless=true",
                                "-cp",
                                System.getProperty("java.class.path"),
                                WriteOutputs.class.getName(),
                                what)
                        .inheritIO()
                        .start();
        if (process.waitFor() != 0) {
            throw new IllegalStateException("It did not fit into a heap of " + heap);
        }
    }

    public static void main(String[] what) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("yewberry-bench");
        Intake intake = new Intake(Documents.NONE);
        List<Asset> assets = new ArrayList<>();
        for (int i = 0; i < PICTURES; i++) {
            byte[] file = MadePictures.rgb(1200, 900, i);
            Files.write(folder.resolve("p" + i), file);
            assets.add(
                    new Asset(new UUID(1, i), "Picture " + i, "p" + i, intake.look("p.jpg", file)));
        }
        Pictures pictures = new Pictures(sha256 -> read(folder.resolve(sha256)), Documents.NONE);
        OutputSettings press = OutputSettings.of(OutputKind.PRESS_PDF);
        if (what[0].equals("write")) {
            write(made(PAGES, assets), press, pictures, folder);
        } else {
            readBack(made(READ_BACK, assets), press, pictures, folder);
        }
        try (var files = Files.list(folder)) {
            for (Path file : files.toList()) {
                Files.delete(file);
            }
        }
        Files.delete(folder);
    }

    private static Publication made(int pages, List<Asset> assets) {
        return pictured(Compose.publication(Look.Alignment.LEFT, pages), assets);
    }

    private static void write(
            Publication publication, OutputSettings press, Pictures pictures, Path folder)
            throws IOException, InterruptedException {
        written(publication, press.withPages("1-100"), pictures, folder.resolve("warm.pdf"));
        Path pdf = folder.resolve("press.pdf");
        double ours = written(publication, press, pictures, pdf);
        OutputSettings reading = OutputSettings.of(OutputKind.READING_PDF).withClaims(false);
        double tagged = written(publication, reading, pictures, folder.resolve("reading.pdf"));
        double theirs =
                clock(
                        "gs -q -dNOPAUSE -dBATCH -sDEVICE=pdfwrite -o %s %s"
                                .formatted(folder.resolve("gs.pdf"), pdf));
        System.out.printf(
                Locale.ROOT,
                "%d pages: press PDF %.1f s, %.1f times as fast as pdfwrite, which took %.1f s (goal: 1.0); reading PDF %.1f s, %.2f of the press PDF (goal: 1.5)%n",
                PAGES,
                ours,
                theirs / ours,
                theirs,
                tagged,
                tagged / ours);
    }

    private static void readBack(
            Publication publication, OutputSettings press, Pictures pictures, Path folder)
            throws IOException, InterruptedException {
        Path pdf = folder.resolve("press.pdf");
        written(publication, press, pictures, pdf);
        long begin = System.nanoTime();
        ReadBackReport report =
                ReadBack.check(pdf, output(publication, press, pictures), Progress.NONE);
        double back = (System.nanoTime() - begin) / 1e9;
        if (!report.matches()) {
            throw new IllegalStateException("The file is not what was composed.");
        }
        double tiffsep =
                clock(
                        "gs -q -dNOPAUSE -dBATCH -sDEVICE=tiffsep -r%d -o %s/plate-%%d.tif %s"
                                .formatted(PPI, folder, pdf));
        System.out.printf(
                Locale.ROOT,
                "%d pages: read-back %.1f s, %.2f of tiffsep, which took %.1f s (goal: 1.0)%n",
                READ_BACK,
                back,
                back / tiffsep,
                tiffsep);
    }

    private static double clock(String command) throws IOException, InterruptedException {
        long begin = System.nanoTime();
        int status = new ProcessBuilder(command.split(" ")).inheritIO().start().waitFor();
        if (status != 0) {
            throw new IllegalStateException("It failed: " + command);
        }
        return (System.nanoTime() - begin) / 1e9;
    }

    private static PdfOutput output(Publication of, OutputSettings settings, Pictures pictures) {
        PressCondition coated = PressCondition.coated();
        Publication made = OutputPages.of(of, settings);
        return PdfOutput.of(
                made,
                OutputPages.scenes(made, settings, new Composer(coated, pictures)),
                settings.profile(),
                coated,
                Instant.EPOCH);
    }

    private static double written(
            Publication of, OutputSettings settings, Pictures pictures, Path file)
            throws IOException {
        long begin = System.nanoTime();
        PdfWriter.write(output(of, settings, pictures), file, Progress.NONE);
        return (System.nanoTime() - begin) / 1e9;
    }

    private static Publication pictured(Publication plain, List<Asset> assets) {
        List<Page> pages = new ArrayList<>();
        for (int i = 0; i < plain.pages().size(); i++) {
            Page page = plain.pages().get(i);
            Fill fill =
                    new Fill.Picture(
                            assets.get(i / 3 % PICTURES).id(),
                            Placing.COVER,
                            RunOut.NONE,
                            Optional.empty());
            Background behind =
                    new Background(new UUID(6, i), Sides.BOTH, new Area.WholePage(), fill);
            pages.add(
                    i % 3 == 0
                            ? page.withLayer(page.layer().withBackgrounds(List.of(behind)))
                            : page);
        }
        return plain.withPages(pages).withAssets(assets);
    }

    private static byte[] read(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
