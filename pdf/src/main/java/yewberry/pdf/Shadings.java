package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import yewberry.core.color.BlendMode;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;

/**
 * The gradients of a page as shadings, and the graphics states of areas that let through what is
 * below (ISO 32000-1, 8.7.4.5 and 11.6.4).
 */
final class Shadings {
    private static final COSName SHADING = COSName.getPDFName("Shading");
    private static final COSName FUNCTIONS = COSName.getPDFName("Functions");
    private static final COSName BOUNDS = COSName.getPDFName("Bounds");
    private static final COSName ENCODE = COSName.getPDFName("Encode");
    private static final COSName COORDS = COSName.getPDFName("Coords");
    private static final COSName EXTEND = COSName.getPDFName("Extend");
    private static final COSName LUMINOSITY = COSName.getPDFName("Luminosity");

    private final PDDocument document;
    private final InkSpaces spaces;
    private final PDResources resources;
    private final Rect bleed;
    private final Map<Object, String> names = new HashMap<>();

    /**
     * @param resources of the page
     * @param bleed of the page; its bottom left corner is the origin of the file
     */
    Shadings(PDDocument document, InkSpaces spaces, PDResources resources, Rect bleed) {
        this.document = document;
        this.spaces = spaces;
        this.resources = resources;
        this.bleed = bleed;
    }

    /** Whether what is below an area has a part in its colour. */
    static boolean mixes(Item.Filled fill) {
        return !fill.covers();
    }

    /** The name of a shading, made when it is first asked for. */
    String shading(AreaPaint.Gradient gradient, Rect frame) throws IOException {
        List<Object> key = List.of(gradient, frame);
        String known = names.get(key);
        if (known != null) {
            return known;
        }
        InkSpaces.Shared shared =
                spaces.shared(gradient.stops().stream().map(stop -> stop.paint().color()).toList());
        return added(
                SHADING, "Sh", key, shading(gradient, frame, shared.space(), shared.fractions()));
    }

    private COSDictionary shading(
            AreaPaint.Gradient gradient, Rect frame, COSBase space, List<double[]> values) {
        double x = frame.x() + frame.width() / 2 - bleed.x();
        double y = bleed.bottom() - frame.y() - frame.height() / 2;
        COSDictionary shading = new COSDictionary();
        shading.setItem(COSName.COLORSPACE, space);
        switch (gradient.kind()) {
            case LINEAR -> {
                double radians = Math.toRadians(gradient.angle());
                double dx = gradient.length(frame) / 2 * Math.cos(radians);
                double dy = gradient.length(frame) / 2 * Math.sin(radians);
                shading.setInt(COSName.SHADING_TYPE, 2);
                shading.setItem(COORDS, numbers(x - dx, y - dy, x + dx, y + dy));
            }
            case RADIAL -> {
                shading.setInt(COSName.SHADING_TYPE, 3);
                shading.setItem(COORDS, numbers(x, y, 0, x, y, gradient.radius(frame)));
            }
        }
        COSArray extend = new COSArray();
        extend.add(COSBoolean.TRUE);
        extend.add(COSBoolean.TRUE);
        shading.setItem(EXTEND, extend);
        shading.setItem(COSName.FUNCTION, function(gradient.stops(), values));
        return shading;
    }

    /** Straight from stop to stop, stitched together: 7.10.3 and 7.10.4. */
    private static COSDictionary function(
            List<AreaPaint.Gradient.Stop> stops, List<double[]> values) {
        COSArray pieces = new COSArray();
        COSArray bounds = new COSArray();
        COSArray encode = new COSArray();
        if (stops.getFirst().position() > 0) {
            piece(pieces, encode, values.getFirst(), values.getFirst());
            bounds.add(new COSFloat((float) stops.getFirst().position()));
        }
        for (int i = 1; i < stops.size(); i++) {
            piece(pieces, encode, values.get(i - 1), values.get(i));
            bounds.add(new COSFloat((float) stops.get(i).position()));
        }
        if (stops.getLast().position() < 1) {
            piece(pieces, encode, values.getLast(), values.getLast());
        } else {
            bounds.remove(bounds.size() - 1);
        }
        COSDictionary function = new COSDictionary();
        function.setInt(COSName.FUNCTION_TYPE, 3);
        function.setItem(COSName.DOMAIN, numbers(0, 1));
        function.setItem(FUNCTIONS, pieces);
        function.setItem(BOUNDS, bounds);
        function.setItem(ENCODE, encode);
        return function;
    }

    private static void piece(COSArray pieces, COSArray encode, double[] from, double[] to) {
        COSDictionary piece = new COSDictionary();
        piece.setInt(COSName.FUNCTION_TYPE, 2);
        piece.setItem(COSName.DOMAIN, numbers(0, 1));
        piece.setItem(COSName.C0, numbers(from));
        piece.setItem(COSName.C1, numbers(to));
        piece.setItem(COSName.N, COSInteger.ONE);
        pieces.add(piece);
        encode.add(COSInteger.ZERO);
        encode.add(COSInteger.ONE);
    }

    /** The name of the graphics state of an area. */
    String state(Item.Filled fill) throws IOException {
        boolean masked = fill.paint() instanceof AreaPaint.Gradient gradient && !gradient.covers();
        List<Object> key =
                masked
                        ? List.of(fill.paint(), fill.frame(), fill.opacity(), fill.blend())
                        : List.of(fill.opacity(), fill.blend());
        String known = names.get(key);
        if (known != null) {
            return known;
        }
        COSDictionary state = new COSDictionary();
        state.setItem(COSName.CA_NS, new COSFloat((float) fill.opacity()));
        if (fill.blend() != BlendMode.NORMAL) {
            state.setItem(COSName.BM, COSName.getPDFName(fill.blend().standardName()));
        }
        if (masked) {
            state.setItem(COSName.SMASK, mask((AreaPaint.Gradient) fill.paint(), fill.frame()));
        }
        return added(COSName.EXT_G_STATE, "T", key, state);
    }

    /** A soft mask of the stops' opacities: 11.6.5.3. */
    private COSDictionary mask(AreaPaint.Gradient gradient, Rect frame) throws IOException {
        List<double[]> opacities =
                gradient.stops().stream().map(stop -> new double[] {stop.opacity()}).toList();
        COSStream form = document.getDocument().createCOSStream();
        form.setItem(COSName.TYPE, COSName.XOBJECT);
        form.setItem(COSName.SUBTYPE, COSName.FORM);
        form.setItem(COSName.BBOX, numbers(0, 0, bleed.width(), bleed.height()));
        form.setItem(COSName.GROUP, grayGroup());
        COSDictionary shadings = new COSDictionary();
        shadings.setItem(
                COSName.getPDFName("Mask"),
                shading(gradient, frame, COSName.DEVICEGRAY, opacities));
        COSDictionary own = new COSDictionary();
        own.setItem(SHADING, shadings);
        form.setItem(COSName.RESOURCES, own);
        try (OutputStream out = form.createOutputStream(COSName.FLATE_DECODE)) {
            out.write("/Mask sh".getBytes(StandardCharsets.US_ASCII));
        }
        return byLuminosity(form);
    }

    static COSDictionary grayGroup() {
        COSDictionary group = new COSDictionary();
        group.setItem(COSName.S, COSName.TRANSPARENCY);
        group.setItem(COSName.CS, COSName.DEVICEGRAY);
        return group;
    }

    /** A soft mask that lets through as much as a form is light: ISO 32000-1, 11.6.5.3. */
    static COSDictionary byLuminosity(COSStream form) {
        COSDictionary mask = new COSDictionary();
        mask.setItem(COSName.S, LUMINOSITY);
        mask.setItem(COSName.G, form);
        return mask;
    }

    private String added(COSName kind, String letter, Object key, COSDictionary what) {
        COSDictionary of = resources.getCOSObject().getCOSDictionary(kind);
        if (of == null) {
            of = new COSDictionary();
            resources.getCOSObject().setItem(kind, of);
        }
        String name = letter + (names.size() + 1);
        of.setItem(COSName.getPDFName(name), what);
        names.put(key, name);
        return name;
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) {
            array.add(new COSFloat((float) value));
        }
        return array;
    }
}
