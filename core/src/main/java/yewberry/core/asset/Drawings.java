package yewberry.core.asset;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.Locale;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;

/** SVG files that stand by themselves: no scripts, nothing that lies outside the file. */
public final class Drawings {
    /** CSS Values 4, 6.2: a pixel is a 96th of an inch. */
    private static final double PIXEL = 72.0 / 96;

    /** Pixels that a drawing is drawn in to see whether it can be. */
    private static final int LOOKED_AT = 64;

    private static final Set<String> REFUSED = Set.of("script", "foreignObject", "iframe");
    private static final int MOST_ELEMENTS = 200_000;

    private Drawings() {}

    static Asset.Drawing look(byte[] file) {
        refuseWhatReachesOut(file);
        var size = load(file).size();
        draw(file, LOOKED_AT, LOOKED_AT);
        double width = size.getWidth() * PIXEL;
        double height = size.getHeight() * PIXEL;
        if (!(width > 0.1 && height > 0.1 && width < 100_000 && height < 100_000)) {
            throw new Refused(
                    "This SVG has no usable size; give its root a width and a height or a viewBox.");
        }
        return new Asset.Drawing(width, height);
    }

    private static SVGDocument load(byte[] file) {
        try {
            SVGDocument document =
                    new SVGLoader()
                            .load(
                                    new ByteArrayInputStream(file),
                                    null,
                                    LoaderContext.createDefault());
            if (document != null) {
                return document;
            }
        } catch (RuntimeException broken) {
            // said below
        }
        throw new Refused("This SVG file is damaged or holds no drawing; export it again.");
    }

    private static void refuseWhatReachesOut(byte[] file) {
        XMLInputFactory factory = XMLInputFactory.newInstance();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        int elements = 0;
        try {
            XMLStreamReader in = factory.createXMLStreamReader(new ByteArrayInputStream(file));
            while (in.hasNext()) {
                int event = in.next();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    if (elements == 0 && !in.getLocalName().equals("svg")) {
                        throw new Refused("This file is XML, but not an SVG drawing.");
                    }
                    if (++elements > MOST_ELEMENTS) {
                        throw new Refused(
                                "This SVG has more than %d elements; simplify it."
                                        .formatted(MOST_ELEMENTS));
                    }
                    element(in);
                } else if (event == XMLStreamConstants.CHARACTERS) {
                    style(in.getText());
                }
            }
        } catch (XMLStreamException broken) {
            throw new Refused("This SVG file is damaged; export it again.");
        }
    }

    private static void element(XMLStreamReader in) {
        if (REFUSED.contains(in.getLocalName())) {
            throw new Refused(
                    "This SVG holds a %s, which a picture must not; export it without."
                            .formatted(in.getLocalName()));
        }
        for (int i = 0; i < in.getAttributeCount(); i++) {
            String name = in.getAttributeLocalName(i).toLowerCase(Locale.ROOT);
            String value = in.getAttributeValue(i).strip();
            if (name.startsWith("on")) {
                throw new Refused(
                        "This SVG holds a script (%s); export it without.".formatted(name));
            }
            boolean link = name.equals("href") && !in.getLocalName().equals("a");
            if (link && !value.startsWith("#") && !value.startsWith("data:image/")) {
                throw outside(value);
            }
            style(value);
        }
    }

    private static void style(String text) {
        String lower = text.toLowerCase(Locale.ROOT);
        if (lower.contains("@import")) {
            throw outside("@import");
        }
        for (int at = lower.indexOf("url("); at >= 0; at = lower.indexOf("url(", at + 1)) {
            String inner = lower.substring(at + 4).replaceFirst("^[\\s'\"]+", "");
            if (!inner.startsWith("#") && !inner.startsWith("data:image/")) {
                throw outside(inner);
            }
        }
    }

    private static Refused outside(String what) {
        return new Refused(
                "This SVG refers to something outside the file (%s); embed it and export it again."
                        .formatted(what.length() > 60 ? what.substring(0, 60) + "…" : what));
    }

    /** A drawing as pixels of sRGB. */
    static PixelArray draw(byte[] file, int width, int height) {
        return Argb.pixels(drawn(load(file), new ViewBox(width, height), width, height));
    }

    /** An SVG file that was read. */
    public static final class File {
        private final SVGDocument document;

        private File(SVGDocument document) {
            this.document = document;
        }

        /** In points. */
        public double width() {
            return document.size().getWidth() * PIXEL;
        }

        /** In points. */
        public double height() {
            return document.size().getHeight() * PIXEL;
        }

        /**
         * A part of what it draws, on nothing.
         *
         * @param x points from its left edge to that of the part
         * @param y points from its top edge
         * @param scale pixels in a point
         * @param width pixels
         * @param height pixels
         * @throws Refused if it cannot be drawn
         */
        public BufferedImage part(double x, double y, double scale, int width, int height) {
            var size = document.size();
            double unit = PIXEL * scale;
            ViewBox whole =
                    new ViewBox(
                            (float) (-x * scale),
                            (float) (-y * scale),
                            (float) (size.getWidth() * unit),
                            (float) (size.getHeight() * unit));
            return drawn(document, whole, width, height);
        }
    }

    /**
     * @throws Refused if it cannot be read
     */
    public static File open(byte[] file) {
        return new File(load(file));
    }

    private static BufferedImage drawn(SVGDocument document, ViewBox whole, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setRenderingHint(
                RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(
                RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        try {
            document.render((java.awt.Component) null, graphics, whole);
        } catch (RuntimeException broken) {
            throw broken instanceof Refused refused
                    ? refused
                    : new Refused("This SVG file cannot be drawn; export it again.");
        } finally {
            graphics.dispose();
        }
        return image;
    }
}
