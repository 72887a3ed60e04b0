package yewberry.pdf.read;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDFontDescriptor;
import yewberry.core.asset.PageText;

/** The faces that a page of a file writes with, each with the outlines that it uses. */
final class FileFaces {
    /** In the place of a glyph that paints nothing. */
    static final int SPACE = -1;

    private final Map<Key, Open> all = new LinkedHashMap<>();

    /**
     * @param linear what a glyph is turned into beyond its size and rotation, to a ten-thousandth
     */
    private record Key(COSDictionary font, List<Long> linear) {}

    /** A face, as far as it was written with. */
    static final class Open {
        private final int number;
        private final PageText.FileFace named;
        private final Map<Integer, Path2D> outlines = new HashMap<>();

        private Open(int number, PageText.FileFace named) {
            this.number = number;
            this.named = named;
            outlines.put(SPACE, new Path2D.Double());
        }

        /** Among those of its page, from 0. */
        int number() {
            return number;
        }

        /** Of a glyph, by its code, in thousandths of an em; nothing before it is drawn. */
        Optional<Path2D> outline(int code) {
            return Optional.ofNullable(outlines.get(code));
        }

        void draw(int code, Path2D outline) {
            outlines.put(code, outline);
        }

        private PageText.FileFace closed() {
            return new PageText.FileFace(
                    named.family(),
                    named.weight(),
                    named.italic(),
                    named.ascent(),
                    named.descent(),
                    outlines);
        }
    }

    List<PageText.FileFace> closed() {
        return all.values().stream().map(Open::closed).toList();
    }

    Open of(PDFont font, AffineTransform linear) {
        double[] four = new double[4];
        linear.getMatrix(four);
        List<Long> rounded = new ArrayList<>();
        for (double each : four) {
            rounded.add(Math.round(each * 10_000));
        }
        Key key = new Key(font.getCOSObject(), rounded);
        Open known = all.get(key);
        if (known == null) {
            known = new Open(all.size(), named(font));
            all.put(key, known);
        }
        return known;
    }

    /** ISO 32000-1, 9.8; a descriptor may say less than the name does. */
    private static PageText.FileFace named(PDFont font) {
        String full = font.getName() == null ? "Unnamed" : font.getName();
        String name = full.replaceFirst("^[A-Z]{6}\\+", "");
        PDFontDescriptor descriptor = font.getFontDescriptor();
        double ascent = descriptor == null ? 0 : descriptor.getAscent();
        double descent = descriptor == null ? 0 : Math.abs(descriptor.getDescent());
        boolean usable = ascent > 0 && ascent < 2000 && descent < 2000;
        String lower = name.toLowerCase(Locale.ROOT);
        return new PageText.FileFace(
                name.replaceFirst("[-,](Regular|Bold|Italic|Oblique|BoldItalic|BoldOblique)$", ""),
                weight(lower, descriptor),
                lower.contains("italic") || lower.contains("oblique"),
                usable ? ascent : 800,
                usable ? descent : 200,
                Map.of());
    }

    private static int weight(String name, PDFontDescriptor descriptor) {
        if (name.contains("semibold") || name.contains("demi")) {
            return 600;
        }
        if (name.contains("bold") || name.contains("heavy") || name.contains("black")) {
            return 700;
        }
        double said = descriptor == null ? 0 : descriptor.getFontWeight();
        boolean forced = descriptor != null && descriptor.isForceBold();
        return forced
                ? 700
                : said >= 100 && said <= 900 ? (int) (Math.rint(said / 100) * 100) : 400;
    }
}
