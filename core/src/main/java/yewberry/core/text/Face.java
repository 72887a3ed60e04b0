package yewberry.core.text;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.LineMetrics;
import java.awt.font.TextAttribute;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import yewberry.core.publication.Letters;

/**
 * One face of a font: its program, its metrics and the outlines of its glyphs. All measures are
 * thousandths of the type size ("units"), y down, from the baseline. Thread-safe.
 */
public final class Face {
    /** Units of outlines and advances to the em. */
    public static final double UNITS = 1000;

    private static final String ASCII =
            "!\"#$%&'()*+,-./0123456789:;<=>?@ABCDEFGHIJKLMNOPQRSTUVWXYZ[\\]^_`abcdefghijklmnopqrstuvwxyz{|}~";

    /** So many digits of a file tell it apart. */
    private static final int MARK = 16;

    private static final FontRenderContext EXACT = new FontRenderContext(null, true, true);

    private static final Map<TextAttribute, Object> NO_LIGATURES =
            Collections.singletonMap(TextAttribute.LIGATURES, null);

    private final String family;
    private final int weight;
    private final boolean italic;
    private final Supplier<byte[]> source;
    private final FontFile.Rights rights;

    /** What tells files of the same name apart. */
    private final String key;

    private final Map<Integer, Outline> outlines = new ConcurrentHashMap<>();
    private final Map<List<String>, Font> featured = new ConcurrentHashMap<>();
    private final Map<String, Boolean> known = new ConcurrentHashMap<>();
    private volatile Font font;
    private volatile Optional<Height> height = Optional.empty();

    /**
     * @param source of its program
     */
    private Face(
            String family,
            int weight,
            boolean italic,
            FontFile.Rights rights,
            String mark,
            Supplier<byte[]> source) {
        this.family = family;
        this.key =
                family.replaceAll("[^A-Za-z0-9]", "") + "-" + weight + (italic ? "i" : "") + mark;
        this.weight = weight;
        this.italic = italic;
        this.rights = rights;
        this.source = source;
    }

    /** One that ships. */
    static Face shipped(String family, int weight, boolean italic, String resource) {
        return new Face(family, weight, italic, FontFile.Rights.ALL, "", () -> resource(resource));
    }

    /**
     * One that somebody brought along.
     *
     * @param source of its program, which is asked for it whenever that is needed
     */
    public static Face imported(FontFile file, Supplier<byte[]> source) {
        return new Face(
                file.family(),
                file.weight(),
                file.italic(),
                file.rights(),
                "-" + file.digest().substring(0, MARK),
                source);
    }

    /**
     * One of which only the outlines of some glyphs are known.
     *
     * @param ascent above the baseline, in units
     * @param descent below it, above zero
     * @param outlines in units, by the ids of the glyphs; others have none
     */
    public static Face drawn(
            String family,
            int weight,
            boolean italic,
            double ascent,
            double descent,
            Map<Integer, Path2D> outlines) {
        Face face =
                new Face(
                        family,
                        weight,
                        italic,
                        FontFile.Rights.ALL,
                        "",
                        () -> {
                            throw new IllegalStateException(family + " is there as outlines only");
                        });
        face.height = Optional.of(new Height(ascent, descent));
        outlines.forEach(
                (id, path) -> face.outlines.put(id, new Outline(path, path.getBounds2D())));
        return face;
    }

    private static byte[] resource(String name) {
        try (InputStream in = Face.class.getResourceAsStream("/yewberry/fonts/" + name)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Above and below the baseline. */
    private record Height(double ascent, double descent) {}

    /** What its maker allows. */
    public FontFile.Rights rights() {
        return rights;
    }

    /** The shape of a glyph and the box around its ink; empty for a space. */
    public record Outline(Path2D path, Rectangle2D ink) {}

    public String family() {
        return family;
    }

    /** Weight on the scale of OpenType's usWeightClass. */
    public int weight() {
        return weight;
    }

    public boolean italic() {
        return italic;
    }

    /** Its family, weight and slope, for people. */
    public String inWords() {
        return "%s %d%s".formatted(family, weight, italic ? " italic" : "");
    }

    /** A name for use inside a file: letters, digits and hyphens only. */
    public String key() {
        return key;
    }

    /** The TrueType program. */
    public byte[] program() {
        return source.get();
    }

    /** How wide a space is. */
    public double space() {
        return shape(" ").width();
    }

    /** From the baseline up to the top of the face, above zero. */
    public double ascent() {
        return height().ascent();
    }

    /** From the baseline down to the bottom of the face, above zero. */
    public double descent() {
        return height().descent();
    }

    private Height height() {
        if (height.isEmpty()) {
            LineMetrics metrics = font().getLineMetrics("Hx", EXACT);
            height = Optional.of(new Height(metrics.getAscent(), metrics.getDescent()));
        }
        return height.get();
    }

    /** Whether it has a shape for a character. */
    boolean shows(int codePoint) {
        return font().canDisplay(codePoint);
    }

    /** The outline of a glyph by its id in the font program. */
    public Outline outline(int glyph) {
        return outlines.computeIfAbsent(glyph, this::outlined);
    }

    private Outline outlined(int glyph) {
        Path2D path =
                new Path2D.Double(font().createGlyphVector(EXACT, new int[] {glyph}).getOutline());
        return new Outline(path, path.getBounds2D());
    }

    /** Lays out one stretch of text with kerning and ligatures, from the origin to the right. */
    Glyphs shape(String text) {
        return shape(text, font(), false);
    }

    /**
     * The same for text that is tracked: without ligatures, which would stay closed within. What is
     * between characters is left to the caller.
     *
     * @param letters which of its shapes are drawn; that text is in capitals is left to the caller
     * @param leftward whether it runs from the right to the left
     */
    Glyphs shape(String text, double tracking, Letters letters, boolean leftward) {
        Font font = font(letters);
        return shape(text, tracking == 0 ? font : font.deriveFont(NO_LIGATURES), leftward);
    }

    Glyphs shape(String text, double tracking, Letters letters) {
        return shape(text, tracking, letters, false);
    }

    /** Whether it has small capitals of its own. */
    public boolean hasSmallCapitals() {
        return has("smcp", "abcxyz");
    }

    /** Whether it has figures as high as lower-case letters. */
    public boolean hasOldStyleFigures() {
        return has("onum", "0123456789");
    }

    private boolean has(String feature, String sample) {
        return known.computeIfAbsent(feature, each -> Substitutions.has(program(), each, sample));
    }

    /** The same glyphs by the same ids, but other ones for some characters. */
    private Font font(Letters letters) {
        List<String> features = Substitutions.features(letters);
        return features.isEmpty()
                ? font()
                : featured.computeIfAbsent(
                        features, each -> load(Substitutions.in(program(), each)));
    }

    private static Glyphs shape(String text, Font font, boolean leftward) {
        char[] chars = text.toCharArray();
        var vector =
                font.layoutGlyphVector(
                        EXACT,
                        chars,
                        0,
                        chars.length,
                        leftward ? Font.LAYOUT_RIGHT_TO_LEFT : Font.LAYOUT_LEFT_TO_RIGHT);
        int count = vector.getNumGlyphs();
        int[] ids = vector.getGlyphCodes(0, count, null);
        int[] starts = vector.getGlyphCharIndices(0, count, null);
        float[] positions = vector.getGlyphPositions(0, count + 1, null);
        double[] x = new double[count + 1];
        double[] y = new double[count];
        for (int i = 0; i <= count; i++) {
            x[i] = positions[2 * i];
            if (i < count) {
                y[i] = positions[2 * i + 1];
            }
        }
        return leftward
                ? Glyphs.compact(ids, starts, x, y).reversed()
                : Glyphs.compact(ids, starts, x, y).ascending();
    }

    /** Whether it has shapes for all of ASCII, which need not be asked for one by one then. */
    boolean showsAscii() {
        return known.computeIfAbsent("ASCII", each -> font().canDisplayUpTo(ASCII) < 0);
    }

    private Font font() {
        Font loaded = font;
        if (loaded == null) {
            synchronized (this) {
                loaded = font;
                if (loaded == null) {
                    loaded = load(program());
                    font = loaded;
                }
            }
        }
        return loaded;
    }

    private Font load(byte[] program) {
        try {
            return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(program))
                    .deriveFont((float) UNITS)
                    .deriveFont(
                            Map.of(
                                    TextAttribute.KERNING, TextAttribute.KERNING_ON,
                                    TextAttribute.LIGATURES, TextAttribute.LIGATURES_ON));
        } catch (FontFormatException | IOException e) {
            throw new IllegalStateException("The font " + inWords() + " is damaged", e);
        }
    }
}
