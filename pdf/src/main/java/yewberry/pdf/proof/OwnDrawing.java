package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.PlaneImageCache;
import yewberry.core.color.Inks;
import yewberry.core.publication.Asset;
import yewberry.core.publication.SeeThrough;
import yewberry.core.raster.PageRaster;
import yewberry.core.raster.PlaneRaster;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;
import yewberry.pdf.Opening;
import yewberry.pdf.PlacedImages;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.ImageCache;
import yewberry.pdf.read.PagePlates;

/**
 * Yewberry's own drawing of pages, as what a file is held against: from the scenes, with pictures
 * and placed pages as they are in their own files.
 */
final class OwnDrawing implements Closeable {
    /** Of all memory: several of these are in use at once. */
    private static final int PART = 24;

    private final Map<String, PDDocument> documents = new HashMap<>();
    private final Map<String, ImageCache> caches = new HashMap<>();
    private final PlaneImageCache<PictureUse> pictures = PlaneImageCache.ofMemory(PART);
    private final Map<PictureUse, Integer> drawn = new HashMap<>();

    private record PictureUse(
            String sha256, int page, Optional<SeeThrough> seeThrough, int factor) {}

    /**
     * @param region of the page, whose top left is that of the drawing
     */
    PlaneRaster draw(MediumScene scene, Rect region, int ppi) {
        return PageRaster.of(
                        scene,
                        region,
                        ppi,
                        (fill, picture) -> source(scene, fill, picture, region, ppi))
                .raster();
    }

    private Painted.Source source(
            MediumScene scene, Item.Filled fill, AreaPaint.Picture picture, Rect region, int ppi) {
        if (picture.asset().content() instanceof Asset.Document && !picture.tiled()) {
            return page(scene, fill, picture, region, ppi);
        }
        if (picture.asset().content() instanceof Asset.Document) {
            return Painted.source(fill, scene.planes(), ppi);
        }
        int wanted = PlaneImage.wanted(picture.place().width() / 72 * ppi);
        return Painted.picture(fill, picture, image(picture, wanted), scene.planes());
    }

    private PlaneImage image(AreaPaint.Picture picture, int wanted) {
        // a drawing is in the file as fine as it was wanted first
        PictureUse any =
                new PictureUse(picture.asset().sha256(), picture.page(), picture.seeThrough(), 0);
        int width = drawn.computeIfAbsent(any, use -> PlacedImages.width(picture));
        int across =
                picture.asset().content() instanceof Asset.Pixels pixels ? pixels.width() : width;
        PictureUse use =
                new PictureUse(
                        any.sha256(),
                        any.page(),
                        any.seeThrough(),
                        PlaneImage.factor(across, wanted));
        PlaneImage known = pictures.get(use);
        if (known == null) {
            known = picture.pixels().whole(width).reduced(use.factor());
            pictures.put(use, known);
        }
        return known;
    }

    /** A page of a PDF, painted on the very pixels it is wanted on. */
    private Painted.Source page(
            MediumScene scene, Item.Filled fill, AreaPaint.Picture picture, Rect region, int ppi) {
        double scale = ppi / 72.0;
        int width = (int) Math.ceil(region.width() * scale - 1e-6);
        int height = (int) Math.ceil(region.height() * scale - 1e-6);
        PlaneRaster raster;
        try {
            PDDocument document = document(picture);
            PDPage page = document.getPage(picture.page() - 1);
            AffineTransform toPixels = AffineTransform.getScaleInstance(scale, scale);
            toPixels.translate(-region.x(), -region.y());
            toPixels.concatenate(place(picture.place()));
            toPixels.concatenate(PagePlates.unit(page));
            List<String> spots = scene.planes().spots().stream().map(Inks.Spot::name).toList();
            raster =
                    PagePlates.of(
                                    page,
                                    Optional.ofNullable(
                                            document.getDocumentCatalog().getOCProperties()),
                                    new DeviceColors(scene.medium(), scene.condition(), spots)
                                            .recolored(picture.pixels().recolored()),
                                    caches.computeIfAbsent(
                                            picture.asset().sha256(), key -> new ImageCache()),
                                    toPixels,
                                    width,
                                    height)
                            .backed(picture.pixels().backed())
                            .paint();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        double[] planes = new double[raster.count()];
        return new Painted.Source() {
            private int at(double x, double y) {
                int column = Math.clamp((int) ((x - region.x()) * scale), 0, width - 1);
                int row = Math.clamp((int) ((y - region.y()) * scale), 0, height - 1);
                return row * width + column;
            }

            @Override
            public double[] ink(double x, double y) {
                int at = at(x, y);
                for (int plane = 0; plane < planes.length; plane++) {
                    planes[plane] = raster.plane(plane, at);
                }
                return planes;
            }

            @Override
            public double alpha(double x, double y) {
                return raster.alpha(at(x, y)) * fill.opacity();
            }
        };
    }

    private PDDocument document(AreaPaint.Picture picture) throws IOException {
        PDDocument known = documents.get(picture.asset().sha256());
        if (known == null) {
            known = Opening.of(picture.pixels().file());
            documents.put(picture.asset().sha256(), known);
        }
        return known;
    }

    /** From a square of one unit, from its top left, to the page. */
    private static AffineTransform place(PicturePlace place) {
        return new AffineTransform(
                place.acrossX(),
                place.acrossY(),
                place.downX(),
                place.downY(),
                place.x(),
                place.y());
    }

    @Override
    public void close() throws IOException {
        for (PDDocument document : documents.values()) {
            document.close();
        }
    }
}
