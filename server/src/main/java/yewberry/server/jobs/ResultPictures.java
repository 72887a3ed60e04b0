package yewberry.server.jobs;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;
import yewberry.core.Locked;
import yewberry.core.asset.Drawings;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.FileReader;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.output.PictureFile;
import yewberry.core.picture.PlacedPicture;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.FileComparison;
import yewberry.server.publications.Missing;
import yewberry.server.publications.PictureFiles;
import yewberry.server.view.FileResult;

/** Pictures of files that were exported, drawn from the files themselves. */
@Component
public class ResultPictures {
    /** Pixels along the longer side. */
    private static final int LONG = 240;

    /** Of larger files there is no picture: each is in memory while it is drawn. */
    private static final long LARGEST = 64L << 20;

    /** So many are at once. */
    private static final int AT_ONCE = 2;

    private final Semaphore turns = new Semaphore(AT_ONCE, true);

    private final FileReader reader;
    private final PictureFiles files;

    ResultPictures(FileReader reader, PictureFiles files) {
        this.reader = reader;
        this.files = files;
    }

    /**
     * The page of one of the files in a zip file that its result names, as a PNG file.
     *
     * @param publication whose file it is
     * @throws Missing if there is none
     * @throws yewberry.core.Refused if it cannot be drawn
     * @throws IOException if the zip file cannot be read
     */
    public byte[] of(Path zip, FileResult result, Publication publication, PressCondition press)
            throws IOException {
        turns.acquireUninterruptibly();
        try {
            return drawn(zip, result, publication, press);
        } finally {
            turns.release();
        }
    }

    /**
     * A page of a PDF, as a PNG file.
     *
     * @param number from 1
     * @throws IOException if it cannot be read, or there is no such page
     */
    public byte[] page(Path pdf, int number, PressCondition press) throws IOException {
        turns.acquireUninterruptibly();
        try {
            return Png.quick(FileComparison.picture(pdf, number, LONG, press));
        } finally {
            turns.release();
        }
    }

    private byte[] drawn(Path zip, FileResult result, Publication publication, PressCondition press)
            throws IOException {
        int number = result.shown().orElseThrow(() -> new Missing("picture"));
        byte[] file;
        try (ZipFile all = new ZipFile(zip.toFile())) {
            ZipEntry entry = all.getEntry(result.name());
            if (entry == null || entry.getSize() > LARGEST) {
                throw new Missing("picture");
            }
            file = all.getInputStream(entry).readAllBytes();
        }
        if (result.name().endsWith(".png") || result.name().endsWith(".jpeg")) {
            // what the server made itself
            return Png.quick(PictureFile.small(ImageIO.read(new ByteArrayInputStream(file)), LONG));
        }
        if (result.name().endsWith(".svg")) {
            return Png.quick(drawing(Drawings.open(file)));
        }
        KnownFile known = opened(file, files.passwords(publication));
        if (!(reader.look("result.pdf", known) instanceof Asset.Document document)
                || number > document.pages().size()) {
            throw new Missing("picture");
        }
        Asset.Leaf leaf = document.pages().get(number - 1);
        double scale = LONG / Math.max(leaf.width(), leaf.height());
        PlaneImage image =
                reader.page(
                        known,
                        FilePage.of(number, press, Medium.SCREEN),
                        pixels(leaf.width() * scale),
                        pixels(leaf.height() * scale));
        return Png.quick(PlacedPicture.of(image, View.designed(Medium.SCREEN, press)));
    }

    private KnownFile opened(byte[] file, List<String> passwords) {
        for (String password : passwords) {
            KnownFile known = KnownFile.of(file, password);
            try {
                reader.look("result.pdf", known);
                return known;
            } catch (Locked another) {
                // the next one may be it
            }
        }
        return KnownFile.of(file);
    }

    private static BufferedImage drawing(Drawings.File drawing) {
        double scale = LONG / Math.max(drawing.width(), drawing.height());
        return drawing.part(
                0, 0, scale, pixels(drawing.width() * scale), pixels(drawing.height() * scale));
    }

    private static int pixels(double wide) {
        return Math.max(1, (int) Math.round(wide));
    }
}
