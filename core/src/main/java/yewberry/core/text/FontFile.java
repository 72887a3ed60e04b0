package yewberry.core.text;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import org.apache.fontbox.ttf.NameRecord;
import org.apache.fontbox.ttf.NamingTable;
import org.apache.fontbox.ttf.OS2WindowsMetricsTable;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TTFTable;
import org.apache.fontbox.ttf.TrueTypeFont;
import yewberry.core.Names;
import yewberry.core.Refused;

/**
 * What a font file from outside holds, found out by reading all of it: every table that is used,
 * and every glyph.
 *
 * @param weight on the scale of OpenType's usWeightClass, 100 to 900
 * @param rights what may be done with it
 * @param digest of the file, SHA-256 in hexadecimal
 */
public record FontFile(String family, int weight, boolean italic, Rights rights, String digest) {
    /** Of a file, in bytes. */
    public static final int LARGEST = 16 * 1024 * 1024;

    private static final int HEADER = 12;

    /** So many characters are shaped together. */
    private static final int SHAPED = 200;

    /** Typographic family, OpenType 1.9.1, name table; 1 is the family of four styles. */
    private static final int TYPOGRAPHIC_FAMILY = 16;

    /** The bits of fsType: OpenType 1.9.1, OS/2 table. */
    private static final int RESTRICTED = 0x0002;

    private static final int PREVIEW_AND_PRINT = 0x0004;
    private static final int EDITABLE = 0x0008;
    private static final int NO_SUBSETTING = 0x0100;
    private static final int BITMAPS_ONLY = 0x0200;

    /** The bit of fsSelection. */
    private static final int ITALIC = 0x0001;

    /**
     * What the maker of a font allows, as it says itself.
     *
     * @param kind of embedding
     * @param whole whether it goes into a file only as a whole
     */
    public record Rights(Kind kind, boolean whole) {
        /** Those of fonts that ship. */
        public static final Rights ALL = new Rights(Kind.INSTALLABLE, false);

        public enum Kind {
            INSTALLABLE,
            EDITABLE,
            PREVIEW_AND_PRINT
        }
    }

    /**
     * Reads a font; it is drawn, too.
     *
     * @throws Refused if it cannot be used, with the reason
     */
    public static FontFile read(byte[] program) {
        refuseOtherKinds(program);
        try (TrueTypeFont font = new TTFParser().parseEmbedded(new ByteArrayInputStream(program))) {
            FontFile file = of(font, program);
            drawAll(font);
            shape(program, font);
            return file;
        } catch (Refused refused) {
            throw refused;
        } catch (IOException | RuntimeException | FontFormatException broken) {
            throw damaged();
        }
    }

    private static Refused damaged() {
        return new Refused(
                "This font file is damaged and cannot be used; get it again from where it came.");
    }

    private static void refuseOtherKinds(byte[] program) {
        if (program.length > LARGEST) {
            throw new Refused("A font file has at most 16 MB.");
        }
        if (program.length < HEADER) {
            throw damaged();
        }
        String tag = new String(program, 0, 4, StandardCharsets.ISO_8859_1);
        switch (tag) {
            case "\0\1\0\0", "true" -> {}
            case "OTTO" ->
                    throw new Refused(
                            "This font has PostScript outlines (CFF); only those with TrueType outlines can be used. Many makers offer both.");
            case "ttcf" ->
                    throw new Refused(
                            "This is a collection of several fonts; import each as a file of its own.");
            case "wOFF", "wOF2" ->
                    throw new Refused(
                            "This font is packed for web pages; import its TrueType file (.ttf).");
            default ->
                    throw new Refused(
                            "This is not a font file; choose one in the TrueType format (.ttf).");
        }
    }

    private static FontFile of(TrueTypeFont font, byte[] program) throws IOException {
        for (String needed : new String[] {"glyf", "loca", "cmap", "hmtx", "head", "maxp"}) {
            if (!font.getTableMap().containsKey(needed)) {
                throw damaged();
            }
        }
        for (TTFTable table : font.getTableMap().values()) {
            if (table.getOffset() + table.getLength() > program.length) {
                throw damaged();
            }
        }
        OS2WindowsMetricsTable metrics = font.getOS2Windows();
        NamingTable names = font.getNaming();
        if (metrics == null || names == null || font.getUnicodeCmapLookup() == null) {
            throw damaged();
        }
        String family =
                Optional.ofNullable(
                                names.getName(
                                        TYPOGRAPHIC_FAMILY,
                                        NameRecord.PLATFORM_WINDOWS,
                                        NameRecord.ENCODING_WINDOWS_UNICODE_BMP,
                                        NameRecord.LANGUAGE_WINDOWS_EN_US))
                        .or(() -> Optional.ofNullable(names.getFontFamily()))
                        .orElseThrow(FontFile::damaged);
        return new FontFile(
                Names.checked("font", family),
                Math.clamp(metrics.getWeightClass(), 100, 900),
                (metrics.getFsSelection() & ITALIC) != 0,
                rights(metrics.getFsType()),
                digest(program));
    }

    private static String digest(byte[] program) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(program));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Rights rights(int type) {
        if ((type & BITMAPS_ONLY) != 0) {
            throw new Refused(
                    "The maker of this font allows nobody to put its outlines into a file, so that no PDF could hold it.");
        }
        // of several bits the one that allows the most counts
        Rights.Kind kind =
                (type & EDITABLE) != 0
                        ? Rights.Kind.EDITABLE
                        : (type & PREVIEW_AND_PRINT) != 0
                                ? Rights.Kind.PREVIEW_AND_PRINT
                                : Rights.Kind.INSTALLABLE;
        if (kind == Rights.Kind.INSTALLABLE && (type & RESTRICTED) != 0) {
            throw new Refused(
                    "The maker of this font allows nobody to put it into a file (restricted licence), so that no PDF could hold it. Ask them for a licence that does.");
        }
        return new Rights(kind, (type & NO_SUBSETTING) != 0);
    }

    private static void drawAll(TrueTypeFont font) throws IOException {
        int count = font.getNumberOfGlyphs();
        for (int glyph = 0; glyph < count; glyph++) {
            var data = font.getGlyph().getGlyph(glyph);
            if (data != null) {
                data.getPath();
            }
        }
    }

    /** As it will be: where the layout engine cannot, nobody else is harmed. */
    private static void shape(byte[] program, TrueTypeFont characters)
            throws IOException, FontFormatException {
        Font font =
                Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(program))
                        .deriveFont((float) Face.UNITS)
                        .deriveFont(
                                Map.of(
                                        TextAttribute.KERNING,
                                        TextAttribute.KERNING_ON,
                                        TextAttribute.LIGATURES,
                                        TextAttribute.LIGATURES_ON));
        var cmap = characters.getUnicodeCmapLookup();
        StringBuilder text = new StringBuilder("The quick brown fox; AVA ffi 0123456789 ");
        for (int codePoint = 0x20; codePoint <= Character.MAX_VALUE; codePoint++) {
            if (cmap.getGlyphId(codePoint) != 0) {
                text.append((char) codePoint);
            }
            if (text.length() >= SHAPED || codePoint == Character.MAX_VALUE) {
                shape(font, text.toString().toCharArray());
                text.setLength(0);
            }
        }
    }

    private static void shape(Font font, char[] text) {
        FontRenderContext exact = new FontRenderContext(null, true, true);
        font.layoutGlyphVector(exact, text, 0, text.length, Font.LAYOUT_LEFT_TO_RIGHT).getOutline();
    }
}
