package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.io.IOException;
import java.io.InputStream;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import yewberry.core.asset.InkImage;
import yewberry.core.publication.Asset;
import yewberry.core.publication.RunOut;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;
import yewberry.core.scene.Shade;
import yewberry.pdf.PaintedPage.PaintedFile;

/**
 * Holds the pictures and pages in a file against those of the scenes: their place, how they are
 * painted, and the ink of a reduced copy of each.
 */
final class PlacedFilesCheck {
    /** A tenth of a pixel at 300 per inch, in points. */
    private static final double PLACE_TOLERANCE = 0.025;

    private static final double OPACITY_TOLERANCE = 1e-4;

    /** About how many pixels across the copies are that are held against each other. */
    private static final int COPY = 200;

    /** Of 255, in the mean over a copy. */
    private static final double INK_TOLERANCE = 2;

    private final Map<COSStream, byte[]> copies = new IdentityHashMap<>();

    void check(PageScene scene, PDPage page, List<PaintedFile> files, List<String> problems) {
        List<Item.AreaFill> wanted =
                scene.areas().stream()
                        .filter(fill -> fill.shade() instanceof Shade.Picture)
                        .toList();
        Iterator<PaintedFile> found = files.iterator();
        PaintedFile next = found.hasNext() ? found.next() : null;
        for (Item.AreaFill fill : wanted) {
            Shade.Picture picture = (Shade.Picture) fill.shade();
            AffineTransform place = place(picture.place(), scene.boxes().bleed(), page);
            if (next == null) {
                problems.add("“%s” is missing.".formatted(picture.inWords()));
                continue;
            }
            PaintedFile first = next;
            if (!isAt(first, place, picture)) {
                problems.add("“%s” is not at its place.".formatted(picture.inWords()));
            }
            do {
                next = found.hasNext() ? found.next() : null;
            } while (next != null
                    && next.stream() == first.stream()
                    && repeats(picture)
                    && isAt(next, place, picture));
            check(fill, picture, first, problems);
        }
        if (next != null) {
            problems.add("More pictures are placed than there should be.");
        }
    }

    private void check(
            Item.AreaFill fill, Shade.Picture picture, PaintedFile file, List<String> problems) {
        if (Math.abs(file.opacity() - fill.opacity()) > OPACITY_TOLERANCE
                || !file.blend().equals(fill.blend().standardName())) {
            problems.add("“%s” is not painted as it was set.".formatted(picture.inWords()));
        }
        if (!(picture.asset().content() instanceof Asset.Document)) {
            ink(picture, file.stream(), problems);
        }
    }

    private static boolean repeats(Shade.Picture picture) {
        return picture.tiled() || picture.runOut() == RunOut.MIRROR;
    }

    /** From a square of one unit, whose origin is at the bottom left, to the page. */
    private static AffineTransform place(PicturePlace place, Rect bleed, PDPage page) {
        return new AffineTransform(
                place.acrossX(),
                -place.acrossY(),
                -place.downX(),
                place.downY(),
                page.getMediaBox().getLowerLeftX() - bleed.x() + place.x() + place.downX(),
                page.getMediaBox().getLowerLeftY() + bleed.bottom() - place.y() - place.downY());
    }

    /** Copies of a picture that repeats are whole steps away and may be turned over. */
    private static boolean isAt(PaintedFile file, AffineTransform place, Shade.Picture picture) {
        AffineTransform off = file.matrix().createAffineTransform();
        try {
            off.preConcatenate(place.createInverse());
        } catch (NoninvertibleTransformException flat) {
            return false;
        }
        boolean repeats = repeats(picture);
        double across = PLACE_TOLERANCE / picture.place().width();
        double down = PLACE_TOLERANCE / picture.place().height();
        double scaleX = repeats ? Math.abs(off.getScaleX()) : off.getScaleX();
        double scaleY = repeats ? Math.abs(off.getScaleY()) : off.getScaleY();
        double x = repeats ? Math.rint(off.getTranslateX()) : 0;
        double y = repeats ? Math.rint(off.getTranslateY()) : 0;
        return Math.abs(scaleX - 1) < across
                && Math.abs(scaleY - 1) < down
                && Math.abs(off.getShearX()) < down
                && Math.abs(off.getShearY()) < across
                && Math.abs(off.getTranslateX() - x) < across
                && Math.abs(off.getTranslateY() - y) < down;
    }

    private void ink(Shade.Picture picture, COSStream stream, List<String> problems) {
        InkImage wanted = picture.ink().about(COPY);
        byte[] found = copies.computeIfAbsent(stream, each -> copy(each, wanted));
        double mean = off(found, wanted);
        boolean drawn = picture.asset().content() instanceof Asset.Drawing;
        // a drawing is drawn anew at each size, so its edges differ
        if (mean > (drawn ? 4 * INK_TOLERANCE : INK_TOLERANCE)
                || wanted.alpha().isPresent() != stream.containsKey(COSName.SMASK)) {
            problems.add("“%s” is not in its inks.".formatted(picture.inWords()));
        }
    }

    /** Where something shows through, what stands there does not count. */
    private static double off(byte[] found, InkImage wanted) {
        long off = 0;
        int counted = 0;
        for (int i = 0; i < found.length; i++) {
            if (wanted.alpha().isEmpty() || wanted.alpha().get()[i / 4] == (byte) 255) {
                off += Math.abs((found[i] & 0xff) - (wanted.ink()[i] & 0xff));
                counted++;
            }
        }
        return found.length == 0 ? 255 : (double) off / Math.max(1, counted);
    }

    /** The image with as many pixels as another, each the mean of those it stands for. */
    private static byte[] copy(COSStream stream, InkImage like) {
        int width = stream.getInt(COSName.WIDTH);
        int height = stream.getInt(COSName.HEIGHT);
        long[] sums = new long[like.ink().length];
        int[] counts = new int[like.width() * like.height()];
        byte[] row = new byte[width * 4];
        try (InputStream in = stream.createInputStream()) {
            for (int y = 0; y < height; y++) {
                if (in.readNBytes(row, 0, row.length) < row.length) {
                    return new byte[0];
                }
                int to = (int) ((long) y * like.height() / height) * like.width();
                for (int x = 0; x < width; x++) {
                    int at = to + (int) ((long) x * like.width() / width);
                    counts[at]++;
                    for (int plate = 0; plate < 4; plate++) {
                        sums[at * 4 + plate] += row[x * 4 + plate] & 0xff;
                    }
                }
            }
        } catch (IOException broken) {
            return new byte[0];
        }
        byte[] copy = new byte[sums.length];
        for (int i = 0; i < copy.length; i++) {
            copy[i] = (byte) (sums[i] / Math.max(1, counts[i / 4]));
        }
        return copy;
    }
}
