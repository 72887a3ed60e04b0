package yewberry.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Progress;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
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
import yewberry.pdf.PdfWriter;

/**
 * Exports 500 pages with 50 pictures of 24 megapixels in a virtual machine of its own that has a
 * heap of 512 MB. Goal: it ends with a file.
 */
final class ManyPictures implements Bench.Benchmark {
    private static final int PAGES = 500;
    private static final int PICTURES = 50;

    @Override
    public void run() throws Exception {
        Process process =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "-Xmx512m",
                                "-Djava.awt.headless=true",
                                "-cp",
                                System.getProperty("java.class.path"),
                                ManyPictures.class.getName())
                        .inheritIO()
                        .start();
        if (process.waitFor() != 0) {
            throw new IllegalStateException("It did not fit into a heap of 512 MB.");
        }
    }

    public static void main(String[] none) throws IOException {
        Path folder = Files.createTempDirectory("yewberry-bench");
        Intake intake = new Intake(Documents.NONE);
        List<Asset> assets = new ArrayList<>();
        for (int i = 0; i < PICTURES; i++) {
            byte[] file = MadePictures.rgb(6000, 4000, i);
            Files.write(folder.resolve("p" + i), file);
            assets.add(
                    new Asset(new UUID(1, i), "Picture " + i, "p" + i, intake.look("p.jpg", file)));
        }
        Publication publication =
                new Publication(
                                new UUID(0, 1),
                                "Bench",
                                Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true),
                                List.of(),
                                List.of(),
                                List.of(),
                                pages(assets))
                        .withAssets(assets);
        PressCondition coated = PressCondition.coated();
        Pictures pictures = new Pictures(sha256 -> read(folder.resolve(sha256)), Documents.NONE);
        Path pdf = folder.resolve("bench.pdf");
        long start = System.nanoTime();
        PdfWriter.write(
                "Bench",
                new Composer(coated, pictures).composeAll(publication),
                Medium.PAPER,
                coated,
                Instant.EPOCH,
                pdf,
                Progress.NONE);
        long seconds = (System.nanoTime() - start) / 1_000_000_000;
        long peak =
                ManagementFactory.getMemoryPoolMXBeans().stream()
                        .filter(pool -> pool.getType() == MemoryType.HEAP)
                        .map(MemoryPoolMXBean::getPeakUsage)
                        .mapToLong(usage -> usage.getUsed())
                        .sum();
        System.out.printf(
                "%d pages with %d pictures of 24 megapixels: %d s, a file of %d MB, at most %d MB of the heap of %d MB%n",
                PAGES,
                PICTURES,
                seconds,
                Files.size(pdf) >> 20,
                peak >> 20,
                Runtime.getRuntime().maxMemory() >> 20);
        try (var files = Files.list(folder)) {
            for (Path file : files.toList()) {
                Files.delete(file);
            }
        }
        Files.delete(folder);
    }

    private static List<Page> pages(List<Asset> assets) {
        List<Page> pages = new ArrayList<>();
        for (int i = 0; i < PAGES; i++) {
            Fill fill =
                    new Fill.Picture(
                            assets.get(i % PICTURES).id(),
                            Placing.COVER,
                            RunOut.NONE,
                            Optional.empty());
            Background background =
                    new Background(new UUID(2, i), Sides.BOTH, new Area.WholePage(), fill);
            pages.add(
                    new Page(
                            new UUID(3, i),
                            Optional.empty(),
                            true,
                            new Layer(List.of(background), List.of())));
        }
        return pages;
    }

    private static byte[] read(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
