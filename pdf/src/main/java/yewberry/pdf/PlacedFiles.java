package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.multipdf.LayerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import yewberry.core.Refused;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Asset;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.EdgeColor;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;

/**
 * The pictures and PDF pages that are placed in a document, each of them in it once however often
 * it is placed: pictures as images in DeviceCMYK, pages as forms that keep what they are made of.
 */
final class PlacedFiles implements Closeable {
    /** How far the colour of an edge goes on under the picture, so that no seam shows. */
    private static final double UNDER = 0.5;

    private static final COSName AROUND = COSName.getPDFName("Around");

    /** Above it they become a pattern, which some devices place less exactly. */
    private static final int MOST_COPIES = 400;

    private final boolean flattened;
    private final PDDocument document;
    private final PressCondition condition;
    private final Map<Key, PlacedFile> known = new HashMap<>();
    private final Map<String, PDDocument> sources = new HashMap<>();

    /**
     * @param condition that process inks of placed pages are seen under on a screen
     * @param flattened whether pages become pictures
     */
    PlacedFiles(PDDocument document, PressCondition condition, boolean flattened) {
        this.flattened = flattened;
        this.document = document;
        this.condition = condition;
    }

    private record Key(String sha256, int page, Optional<SeeThrough> seeThrough) {}

    /**
     * @param unit what turns the space it is drawn in into a square of one unit
     * @param edges the colours along its left, right, top and bottom edge
     */
    private record PlacedFile(String name, COSStream object, double[] unit, List<Color> edges) {}

    /**
     * Paints a picture on a rectangle of a page; the caller saves and restores the state.
     *
     * @param covers whether nothing shows through; what overlaps does not darken then
     */
    void paint(
            ContentWriter content,
            PDResources resources,
            AreaPaint.Picture picture,
            Rect rect,
            Rect bleed,
            boolean covers)
            throws IOException {
        PlacedFile placed = placed(picture);
        double x = rect.x() - bleed.x();
        double y = bleed.bottom() - rect.bottom();
        PicturePlace place = picture.place();
        double[] matrix = matrix(place, bleed);
        content.clipRectangle(x, y, rect.width(), rect.height());
        if (picture.tiled() || picture.runOut() == RunOut.MIRROR && !place.covers(rect)) {
            Copies copies = Copies.of(place, rect);
            if (copies.count() > MOST_COPIES) {
                String name = pattern(resources, placed, picture.tiled(), matrix);
                content.fillPattern(name, x, y, rect.width(), rect.height());
            } else {
                named(resources, COSName.XOBJECT, placed.name(), placed.object());
                copies(content, placed, copies, picture.tiled(), matrix);
            }
            return;
        }
        if (picture.runOut() == RunOut.EDGE_COLOR && !place.covers(rect)) {
            withEdges(content, resources, picture, placed, rect, bleed, covers);
            return;
        }
        named(resources, COSName.XOBJECT, placed.name(), placed.object());
        content.transform(product(matrix, placed.unit()));
        content.external(placed.name());
    }

    /**
     * The colours of the edges lie under the picture and under each other, so that no seam shows;
     * where something shows through them, they are put together by themselves first, and end
     * exactly where a picture that is see-through begins.
     */
    private void withEdges(
            ContentWriter content,
            PDResources resources,
            AreaPaint.Picture picture,
            PlacedFile placed,
            Rect rect,
            Rect bleed,
            boolean covers)
            throws IOException {
        PicturePlace place = picture.place();
        ContentWriter inner = covers ? content : new ContentWriter();
        boolean seeThrough = placed.object().getItem(COSName.SMASK) != null;
        inner.save();
        if (seeThrough) {
            inner.graphicsState(AROUND.getName());
        }
        edges(inner, placed, place, rect, bleed);
        inner.restore();
        double[] square = product(matrix(place, bleed), placed.unit());
        inner.transform(square);
        inner.external(placed.name());
        if (covers) {
            named(resources, COSName.XOBJECT, placed.name(), placed.object());
            return;
        }
        COSDictionary objects = new COSDictionary();
        objects.setItem(COSName.getPDFName(placed.name()), placed.object());
        COSDictionary own = new COSDictionary();
        own.setItem(COSName.XOBJECT, objects);
        if (seeThrough) {
            COSDictionary states = new COSDictionary();
            states.setItem(AROUND, around(square, bleed));
            own.setItem(COSName.EXT_G_STATE, states);
        }
        COSDictionary group = PdfWriter.transparencyGroup(picture.pixels().medium());
        COSStream form = form(bleed, group, own, inner);
        COSDictionary known = resources.getCOSObject().getCOSDictionary(COSName.XOBJECT);
        String name = "G" + (known == null ? 1 : known.size() + 1);
        named(resources, COSName.XOBJECT, name, form);
        content.external(name);
    }

    /**
     * A state that paints all but a picture's own pixels: a soft mask (ISO 32000-1, 11.6.5.3) that
     * is black where an image of one pixel lies as the picture does, so that both take the same
     * pixels of any device.
     *
     * @param square where the picture lies, as a matrix from a square of one unit
     */
    private COSDictionary around(double[] square, Rect bleed) throws IOException {
        COSDictionary objects = new COSDictionary();
        objects.setItem(COSName.IMAGE, image(1, 1, COSName.DEVICEGRAY, new byte[1]));
        COSDictionary own = new COSDictionary();
        own.setItem(COSName.XOBJECT, objects);
        ContentWriter content = new ContentWriter();
        content.fillGray(1);
        content.fillRectangle(0, 0, bleed.width(), bleed.height());
        content.transform(square);
        content.external(COSName.IMAGE.getName());
        COSStream form = form(bleed, Shadings.grayGroup(), own, content);
        COSDictionary state = new COSDictionary();
        state.setItem(COSName.SMASK, Shadings.byLuminosity(form));
        return state;
    }

    private COSStream form(
            Rect bleed, COSDictionary group, COSDictionary resources, ContentWriter content)
            throws IOException {
        COSStream form = document.getDocument().createCOSStream();
        form.setItem(COSName.TYPE, COSName.XOBJECT);
        form.setItem(COSName.SUBTYPE, COSName.FORM);
        form.setItem(COSName.BBOX, numbers(0, 0, bleed.width(), bleed.height()));
        form.setItem(COSName.GROUP, group);
        form.setItem(COSName.RESOURCES, resources);
        try (OutputStream out = form.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(content.bytes());
        }
        return form;
    }

    /** One matrix, because five decimals of each of two would not do for the small ones. */
    private static double[] product(double[]... matrices) {
        AffineTransform product = new AffineTransform();
        for (double[] matrix : matrices) {
            product.concatenate(new AffineTransform(matrix));
        }
        double[] result = new double[6];
        product.getMatrix(result);
        return result;
    }

    /**
     * The copies of a picture, side by side, that a rectangle takes.
     *
     * @param left the first, where the picture itself is 0
     * @param top likewise
     */
    private record Copies(int left, int right, int top, int bottom) {
        static Copies of(PicturePlace place, Rect rect) {
            double[] us = new double[4];
            double[] vs = new double[4];
            for (int i = 0; i < 4; i++) {
                double px = i % 2 == 0 ? rect.x() : rect.right();
                double py = i < 2 ? rect.y() : rect.bottom();
                us[i] = place.u(px, py);
                vs[i] = place.v(px, py);
            }
            Arrays.sort(us);
            Arrays.sort(vs);
            return new Copies(
                    (int) Math.floor(us[0]),
                    (int) Math.ceil(us[3]) - 1,
                    (int) Math.floor(vs[0]),
                    (int) Math.ceil(vs[3]) - 1);
        }

        long count() {
            return (long) (right - left + 1) * (bottom - top + 1);
        }
    }

    private static void copies(
            ContentWriter content,
            PlacedFile placed,
            Copies copies,
            boolean tiled,
            double[] matrix) {
        for (int row = copies.top(); row <= copies.bottom(); row++) {
            for (int column = copies.left(); column <= copies.right(); column++) {
                boolean turnedX = !tiled && column % 2 != 0;
                boolean turnedY = !tiled && row % 2 != 0;
                content.save();
                // rows go downwards, the square of one unit upwards
                double[] copy = {
                    turnedX ? -1 : 1,
                    0,
                    0,
                    turnedY ? -1 : 1,
                    turnedX ? column + 1 : column,
                    turnedY ? 1 - row : -row
                };
                content.transform(product(matrix, copy, placed.unit()));
                content.external(placed.name());
                content.restore();
            }
        }
    }

    /** From a square of one unit, whose origin is at the bottom left, to the page. */
    private static double[] matrix(PicturePlace place, Rect bleed) {
        return new double[] {
            place.acrossX(),
            -place.acrossY(),
            -place.downX(),
            place.downY(),
            place.x() + place.downX() - bleed.x(),
            bleed.bottom() - place.y() - place.downY()
        };
    }

    /**
     * Beyond each edge its colour, as far as the area goes; they meet in a mitre, which those at
     * the top and bottom cut out of those at the sides.
     */
    private static void edges(
            ContentWriter content, PlacedFile placed, PicturePlace place, Rect rect, Rect bleed) {
        double far = Math.hypot(rect.width(), rect.height()) + place.width() + place.height();
        double u = far / place.width();
        double v = far / place.height();
        double inU = UNDER / place.width();
        double inV = UNDER / place.height();
        double[][] shapes = {
            {inU, -v, inU, 1 + v, -u, 1 + v, -u, -v},
            {1 - inU, -v, 1 - inU, 1 + v, 1 + u, 1 + v, 1 + u, -v},
            {inU, inV, 1 - inU, inV, 1 + u, -v, -u, -v},
            {inU, 1 - inV, 1 - inU, 1 - inV, 1 + u, 1 + v, -u, 1 + v}
        };
        for (int edge = 0; edge < 4; edge++) {
            double[] points = new double[8];
            for (int i = 0; i < 8; i += 2) {
                double s = shapes[edge][i];
                double t = shapes[edge][i + 1];
                points[i] = place.x() + s * place.acrossX() + t * place.downX() - bleed.x();
                points[i + 1] =
                        bleed.bottom() - (place.y() + s * place.acrossY() + t * place.downY());
            }
            switch (placed.edges().get(edge)) {
                case Rgb light -> content.fillColor(light);
                case Color ink -> content.fillColor((Cmyk) ink);
            }
            content.fillPolygon(points);
        }
    }

    /**
     * ISO 32000-1, 8.7.3: a cell of one picture, or of four of them that mirror each other.
     *
     * @return its name among the resources
     */
    private String pattern(PDResources resources, PlacedFile placed, boolean tiled, double[] matrix)
            throws IOException {
        double side = tiled ? 1 : 2;
        ContentWriter cell = new ContentWriter();
        double[][] copies =
                tiled
                        ? new double[][] {{1, 0, 0, 1, 0, 0}}
                        : new double[][] {
                            {1, 0, 0, 1, 0, 0},
                            {-1, 0, 0, 1, 2, 0},
                            {1, 0, 0, -1, 0, 2},
                            {-1, 0, 0, -1, 2, 2}
                        };
        for (double[] copy : copies) {
            cell.save();
            cell.transform(product(copy, placed.unit()));
            cell.external(placed.name());
            cell.restore();
        }
        COSStream pattern = document.getDocument().createCOSStream();
        pattern.setItem(COSName.TYPE, COSName.PATTERN);
        pattern.setItem(COSName.PATTERN_TYPE, COSInteger.ONE);
        pattern.setItem(COSName.PAINT_TYPE, COSInteger.ONE);
        pattern.setItem(COSName.TILING_TYPE, COSInteger.ONE);
        pattern.setItem(COSName.BBOX, numbers(0, 0, side, side));
        pattern.setItem(COSName.X_STEP, new COSFloat((float) side));
        pattern.setItem(COSName.Y_STEP, new COSFloat((float) side));
        pattern.setItem(COSName.MATRIX, numbers(matrix));
        COSDictionary own = new COSDictionary();
        COSDictionary objects = new COSDictionary();
        objects.setItem(COSName.getPDFName(placed.name()), placed.object());
        own.setItem(COSName.XOBJECT, objects);
        pattern.setItem(COSName.RESOURCES, own);
        try (OutputStream out = pattern.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(cell.bytes());
        }
        COSDictionary patterns = resources.getCOSObject().getCOSDictionary(COSName.PATTERN);
        String name = "P" + (patterns == null ? 1 : patterns.size() + 1);
        named(resources, COSName.PATTERN, name, pattern);
        return name;
    }

    private static void named(PDResources resources, COSName kind, String name, COSStream object) {
        COSDictionary of = resources.getCOSObject().getCOSDictionary(kind);
        if (of == null) {
            of = new COSDictionary();
            resources.getCOSObject().setItem(kind, of);
        }
        of.setItem(COSName.getPDFName(name), object);
    }

    private PlacedFile placed(AreaPaint.Picture picture) throws IOException {
        Key key = new Key(picture.asset().sha256(), picture.page(), picture.seeThrough());
        PlacedFile placed = known.get(key);
        if (placed == null) {
            String name = "X" + (known.size() + 1);
            placed =
                    picture.asset().content() instanceof Asset.Document && !flattened
                            ? page(name, picture)
                            : image(name, picture);
            known.put(key, placed);
        }
        return placed;
    }

    private PlacedFile image(String name, AreaPaint.Picture picture) throws IOException {
        PlaneImage image = picture.pixels().whole(PlacedImages.width(picture));
        COSStream stream =
                image.planes() == 4
                        ? image(image.width(), image.height(), COSName.DEVICECMYK, image.samples())
                        : image(
                                image.width(),
                                image.height(),
                                COSName.DEVICERGB,
                                light(image.samples()));
        if (image.alpha().isPresent()) {
            stream.setItem(
                    COSName.SMASK,
                    image(image.width(), image.height(), COSName.DEVICEGRAY, image.alpha().get()));
        }
        List<Color> edges = new ArrayList<>();
        for (EdgeColor.Edge edge : EdgeColor.Edge.values()) {
            edges.add(EdgeColor.color(EdgeColor.of(image, edge)));
        }
        return new PlacedFile(name, stream, new double[] {1, 0, 0, 1, 0, 0}, edges);
    }

    private static byte[] light(byte[] taken) {
        byte[] light = new byte[taken.length];
        for (int i = 0; i < light.length; i++) {
            light[i] = (byte) ~taken[i];
        }
        return light;
    }

    private COSStream image(int width, int height, COSName space, byte[] samples)
            throws IOException {
        COSStream stream = document.getDocument().createCOSStream();
        stream.setItem(COSName.TYPE, COSName.XOBJECT);
        stream.setItem(COSName.SUBTYPE, COSName.IMAGE);
        stream.setInt(COSName.WIDTH, width);
        stream.setInt(COSName.HEIGHT, height);
        stream.setInt(COSName.BITS_PER_COMPONENT, 8);
        stream.setItem(COSName.COLORSPACE, space);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(samples);
        }
        return stream;
    }

    private PlacedFile page(String name, AreaPaint.Picture picture) throws IOException {
        PDDocument source = sources.get(picture.asset().sha256());
        if (source == null) {
            source = Opening.of(picture.pixels().file());
            if (source.isEncrypted()) {
                source.close();
                throw new Refused(
                        "“%s” is encrypted, and its pages do not go into another file; export the files themselves."
                                .formatted(picture.asset().name()));
            }
            sources.put(picture.asset().sha256(), source);
        }
        PDFormXObject form =
                new LayerUtility(document).importPageAsForm(source, picture.page() - 1);
        // what a page paints is put together by itself before it meets what is below
        Medium medium = picture.pixels().medium();
        form.getCOSObject().setItem(COSName.GROUP, PdfWriter.transparencyGroup(medium));
        if (medium == Medium.SCREEN) {
            OutputCondition.seenUnder(condition, document, form.getResources());
        }
        // a page that is turned comes turned, but on the sides that it has unturned
        PDRectangle box = form.getBBox();
        double[] unit = {1 / box.getWidth(), 0, 0, 1 / box.getHeight(), 0, 0};
        return new PlacedFile(name, form.getCOSObject(), unit, List.of());
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) {
            array.add(new COSFloat((float) value));
        }
        return array;
    }

    /** Lets go of the files that pages came from; call it when the document is written. */
    @Override
    public void close() throws IOException {
        for (PDDocument source : sources.values()) {
            source.close();
        }
    }
}
