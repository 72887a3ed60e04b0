package yewberry.pdf.proof;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import yewberry.core.color.Medium;
import yewberry.core.raster.PlaneRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.pdf.PageIndex;

/**
 * A second witness: the page as PDFBox's renderer draws it, by other code than the plates. It
 * blends in light and knows nothing of an output intent, so that it is asked only where all areas
 * are of one colour and nothing mixes, with the profile as DefaultCMYK (ISO 32000-1, 8.6.5.6), and
 * believed only where all around a pixel is even: edges are mixed in light, too.
 */
final class SecondDrawing {
    private static final COSName DEFAULT_CMYK = COSName.getPDFName("DefaultCMYK");

    /** Up to so much of a difference around a pixel it counts as even. */
    private static final float EVEN = 0.01f;

    /** Of 255: what rounding and two ways through a profile can cost. */
    private static final int NEAR = 4;

    private static final int WHITE = 0xffffff;

    private final PDDocument document;
    private final PageIndex pages;
    private final Medium medium;
    private final Map<Integer, Integer> colors = new HashMap<>();
    private int lastInk;
    private int lastLight = WHITE;

    /**
     * @param document that holds one output intent
     */
    SecondDrawing(PDDocument document, PageIndex pages, Medium medium) {
        this.document = document;
        this.pages = pages;
        this.medium = medium;
    }

    /** Whether all of a page is drawn by it as it would be printed. */
    static boolean isOfUse(MediumScene scene) {
        return scene.planes().spots().isEmpty()
                && scene.fills().stream().allMatch(fill -> fill.solid().isPresent())
                && scene.text().stream().noneMatch(run -> run.paint().overprints())
                // at the joins of lines it leaves seams
                && scene.letters().stream().noneMatch(Item.GlyphStroke.class::isInstance);
    }

    /**
     * The pixel that is off the most.
     *
     * @param index of the page, from 0
     * @param wanted Yewberry's own drawing, as large as the page shows
     * @return its index in the drawing; nothing where both agree
     */
    Optional<Integer> differs(int index, PlaneRaster wanted, int ppi) throws IOException {
        PDPage page = pages.page(index + 1);
        BufferedImage found = drawn(page, index, ppi);
        int width = Math.min(wanted.width(), found.getWidth());
        int height = Math.min(wanted.height(), found.getHeight());
        PDColorSpace profile = medium == Medium.PAPER ? PDColorSpace.create(profile()) : null;
        int[] pixels = found.getRGB(0, 0, width, height, null, 0, width);
        int most = NEAR;
        Optional<Integer> worst = Optional.empty();
        for (int y = 1; y < height - 1; y++) {
            for (int x = 1; x < width - 1; x++) {
                int at = y * wanted.width() + x;
                int off = apart(light(wanted, at, profile), pixels[y * width + x]);
                if (off > most && isEven(wanted, at)) {
                    most = off;
                    worst = Optional.of(at);
                }
            }
        }
        return worst;
    }

    private BufferedImage drawn(PDPage page, int index, int ppi) throws IOException {
        COSDictionary resources = page.getResources().getCOSObject();
        COSDictionary spaces = resources.getCOSDictionary(COSName.COLORSPACE);
        COSDictionary with = new COSDictionary();
        if (spaces != null) {
            with.addAll(spaces);
        }
        if (medium == Medium.PAPER) {
            with.setItem(DEFAULT_CMYK, profile());
        }
        resources.setItem(COSName.COLORSPACE, with);
        try {
            return new PDFRenderer(document).renderImageWithDPI(index, ppi, ImageType.RGB);
        } finally {
            resources.setItem(COSName.COLORSPACE, spaces);
        }
    }

    private COSArray profile() {
        PDOutputIntent intent = document.getDocumentCatalog().getOutputIntents().getFirst();
        COSArray space = new COSArray();
        space.add(COSName.ICCBASED);
        space.add(intent.getDestOutputIntent());
        return space;
    }

    private static boolean isEven(PlaneRaster raster, int at) {
        for (int plane = 0; plane < raster.count(); plane++) {
            float low = raster.printed(plane, at);
            float high = low;
            for (int row = at - raster.width(); row <= at + raster.width(); row += raster.width()) {
                for (int each = row - 1; each <= row + 1; each++) {
                    low = Math.min(low, raster.printed(plane, each));
                    high = Math.max(high, raster.printed(plane, each));
                }
            }
            if (high - low > EVEN) {
                return false;
            }
        }
        return true;
    }

    private int light(PlaneRaster raster, int at, PDColorSpace profile) throws IOException {
        int key = 0;
        for (int plane = 0; plane < raster.count(); plane++) {
            key = key << 8 | Math.round(raster.printed(plane, at) * 255);
        }
        if (profile == null) {
            return ~key & 0xffffff;
        }
        if (key == lastInk) {
            return lastLight;
        }
        Integer known = colors.get(key);
        if (known == null) {
            float[] ink = {
                (key >>> 24) / 255f,
                (key >> 16 & 0xff) / 255f,
                (key >> 8 & 0xff) / 255f,
                (key & 0xff) / 255f
            };
            float[] rgb = profile.toRGB(ink);
            known =
                    Math.round(rgb[0] * 255) << 16
                            | Math.round(rgb[1] * 255) << 8
                            | Math.round(rgb[2] * 255);
            colors.put(key, known);
        }
        lastInk = key;
        lastLight = known;
        return known;
    }

    private static int apart(int one, int other) {
        int apart = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            apart = Math.max(apart, Math.abs((one >> shift & 0xff) - (other >> shift & 0xff)));
        }
        return apart;
    }
}
