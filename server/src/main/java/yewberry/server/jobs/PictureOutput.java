package yewberry.server.jobs;

import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import yewberry.core.Names;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputSettings;
import yewberry.core.output.PictureFile;
import yewberry.core.picture.SvgPicture;
import yewberry.core.picture.SvgPicture.PlacedScene;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.JoinedPages;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.SvgReadBack;
import yewberry.server.view.FileResult;

/** The pages of a publication as pictures in a zip file, each read back. */
public final class PictureOutput {
    /** Of 8 bits: what a JPEG file may lose on average, and anywhere. */
    private static final double MEAN_LOSS = 3;

    /** A picture larger than this does not fit into memory beside what else is there. */
    private static final double MOST_PIXELS = 80e6;

    private final Publication publication;
    private final List<PageScene> scenes;
    private final OutputSettings settings;
    private final View view;

    /**
     * @param scenes of the pages that are in it
     */
    public PictureOutput(
            Publication publication,
            List<PageScene> scenes,
            OutputSettings settings,
            PressCondition press) {
        this.publication = publication;
        this.scenes = scenes;
        this.settings = settings;
        this.view = View.designed(publication.setup().destination().media().getFirst(), press);
    }

    /** Pages that are one picture, and what of them is seen. */
    private static final class Leaf {
        private final List<PlacedScene> pages;
        private final int number;

        Leaf(List<PlacedScene> pages, int number) {
            this.pages = pages;
            this.number = number;
        }
    }

    private void checkSize() {
        for (PageScene scene : scenes) {
            Rect region = region(scene);
            double across = (settings.spreads() ? 2 : 1) * region.width() / 72;
            double most = Math.sqrt(MOST_PIXELS / (across * region.height() / 72));
            if (settings.kind().isPicture() && settings.ppi() > most) {
                throw new Refused(
                        "A picture of these pages would have more than 80 million pixels; choose at most %d pixels per inch."
                                .formatted((int) most));
            }
        }
    }

    /**
     * @param progress by pictures
     * @throws IOException if the file cannot be written
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public List<FileResult> write(Path zip, Progress progress) throws IOException {
        checkSize();
        List<FileResult> results = new ArrayList<>();
        List<Leaf> leaves = leaves();
        String stem = Names.fileStem(publication.name());
        try (ZipOutputStream out =
                new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(zip)))) {
            for (int i = 0; i < leaves.size(); i++) {
                progress.at(i, leaves.size());
                Leaf leaf = leaves.get(i);
                String name = "%s-%03d.%s".formatted(stem, leaf.number, settings.kind().suffix());
                out.putNextEntry(new ZipEntry(name));
                Optional<String> problem = Optional.empty();
                if (settings.kind() == OutputKind.SVG) {
                    byte[] file =
                            SvgPicture.file(leaf.pages, view).getBytes(StandardCharsets.UTF_8);
                    problem =
                            SvgReadBack.problems(file, leaf.pages, view).stream()
                                    .findFirst()
                                    .map("Read back: %s."::formatted);
                    out.write(file);
                } else {
                    BufferedImage image = image(leaf);
                    byte[] file = file(image);
                    problem = differing(image, file);
                    out.write(file);
                }
                out.closeEntry();
                results.add(
                        new FileResult(
                                name,
                                leaf.pages.size(),
                                false,
                                Optional.of(1),
                                problem,
                                leaf.pages.stream().map(page -> page.scene().page()).toList(),
                                Optional.empty()));
            }
        }
        return results;
    }

    private List<Leaf> leaves() {
        List<Leaf> leaves = new ArrayList<>();
        int at = 0;
        for (List<Integer> leaf : settings.leaves(publication)) {
            leaves.add(
                    new Leaf(
                            SvgPicture.arrange(scenes.subList(at, at + leaf.size())).stream()
                                    .map(this::cut)
                                    .toList(),
                            leaf.getFirst() + 1));
            at += leaf.size();
        }
        return leaves;
    }

    private Rect region(PageScene scene) {
        return settings.toBleed() ? scene.boxes().bleed() : scene.boxes().trim();
    }

    /** At the spine pages are cut in any case: neither goes beyond it. */
    private PlacedScene cut(PlacedScene page) {
        return new PlacedScene(
                page.scene(), page.x(), page.visible().intersection(region(page.scene())));
    }

    /** Facing pages are drawn as one, their spine between two pixels, so that no seam shows. */
    private BufferedImage image(Leaf leaf) {
        PageScene scene = JoinedPages.scene(leaf.pages.stream().map(PlacedScene::scene).toList());
        Rect region = region(scene);
        // a page alone begins with a whole pixel
        double spine = leaf.pages.getLast().x();
        double whole =
                leaf.pages.size() == 1
                        ? spine - region.x()
                        : PageRaster.pixels(spine - region.x(), settings.ppi())
                                * 72.0
                                / settings.ppi();
        return PageRaster.page(
                scene,
                view,
                new Rect(
                        spine - whole, region.y(), whole + region.right() - spine, region.height()),
                settings.ppi());
    }

    private byte[] file(BufferedImage image) {
        return settings.kind() == OutputKind.PNG
                ? PictureFile.png(image, settings.ppi())
                : JpegFile.of(image, settings.ppi());
    }

    /** What of a file is not as the page was drawn. */
    private Optional<String> differing(BufferedImage wanted, byte[] file) throws IOException {
        BufferedImage found = ImageIO.read(new ByteArrayInputStream(file));
        if (found == null
                || found.getWidth() != wanted.getWidth()
                || found.getHeight() != wanted.getHeight()) {
            return Optional.of("Read back: it is not of the size that was drawn.");
        }
        long sum = 0;
        int largest = 0;
        for (int y = 0; y < wanted.getHeight(); y++) {
            for (int x = 0; x < wanted.getWidth(); x++) {
                int one = wanted.getRGB(x, y);
                int other = found.getRGB(x, y);
                for (int shift = 0; shift < 24; shift += 8) {
                    int off = Math.abs((one >> shift & 0xff) - (other >> shift & 0xff));
                    largest = Math.max(largest, off);
                    sum += off;
                }
            }
        }
        double mean = sum / (3.0 * wanted.getWidth() * wanted.getHeight());
        boolean agrees = settings.kind() == OutputKind.PNG ? largest == 0 : mean <= MEAN_LOSS;
        return agrees
                ? Optional.empty()
                : Optional.of("Read back: its colours are not those of the page.");
    }
}
