package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import yewberry.core.text.Face;

/**
 * A face in a document: glyphs are written by id, the program is cut down to those used if it may
 * be, and each maps back to the characters it stands for, ligatures too (ISO 32000-1, 9.10.3).
 */
final class EmbeddedFont {
    /** The most entries that one block of a ToUnicode CMap may have (Adobe Technical Note 5014). */
    private static final int BLOCK = 100;

    private final String name;
    private final PDDocument document;
    private final TrueTypeFont program;
    private final PDType0Font font;
    private final boolean whole;
    private final double unitsPerEm;
    private final Map<Integer, String> used = new TreeMap<>();

    EmbeddedFont(PDDocument document, Face face, String name) throws IOException {
        this.name = name;
        this.document = document;
        this.program = new TTFParser().parse(new RandomAccessReadBuffer(face.program()));
        program.setEnableGsub(false);
        this.whole = face.rights().whole();
        this.font = PDType0Font.load(document, program, !whole);
        this.unitsPerEm = program.getUnitsPerEm();
    }

    /** The name it has among a page's resources. */
    String name() {
        return name;
    }

    PDType0Font font() {
        return font;
    }

    byte[] encode(int glyph) {
        used.putIfAbsent(glyph, "");
        return font.encodeGlyphId(glyph);
    }

    /**
     * Whether a glyph is read as these characters by itself: the first that it stands for are what
     * it maps to, and for others it has to be said where it stands.
     */
    boolean reads(int glyph, String text) {
        if (text.isEmpty()) {
            return false;
        }
        return used.merge(glyph, text, (known, other) -> known.isEmpty() ? other : known)
                .equals(text);
    }

    /** The glyph of a space; 0 where there is none. */
    int space() throws IOException {
        return program.getUnicodeCmapLookup().getGlyphId(' ');
    }

    /** Whether a space can be written that is read as one. */
    boolean readsSpace() throws IOException {
        return space() != 0 && reads(space(), " ");
    }

    /** The width a reader of the file gives this glyph, in thousandths of the type size. */
    double width(int glyph) throws IOException {
        return Math.round(program.getAdvanceWidth(glyph) * 1000 / unitsPerEm);
    }

    /**
     * Cuts the program down to the glyphs used, if it may be; nothing can be written in this font
     * after it.
     */
    void finish() throws IOException {
        if (!whole) {
            font.addGlyphsToSubset(new HashSet<>(used.keySet()));
            font.subset();
        }
        COSStream toUnicode = document.getDocument().createCOSStream();
        try (OutputStream out = toUnicode.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(toUnicode().getBytes(StandardCharsets.US_ASCII));
        }
        font.getCOSObject().setItem(COSName.TO_UNICODE, toUnicode);
    }

    private String toUnicode() {
        StringBuilder map =
                new StringBuilder(
                        """
                        /CIDInit /ProcSet findresource begin
                        12 dict begin
                        begincmap
                        /CIDSystemInfo <</Registry (Adobe) /Ordering (UCS) /Supplement 0>> def
                        /CMapName /Adobe-Identity-UCS def
                        /CMapType 2 def
                        1 begincodespacerange
                        <0000> <FFFF>
                        endcodespacerange
                        """);
        List<Map.Entry<Integer, String>> entries =
                used.entrySet().stream().filter(entry -> !entry.getValue().isEmpty()).toList();
        for (int from = 0; from < entries.size(); from += BLOCK) {
            var block = entries.subList(from, Math.min(from + BLOCK, entries.size()));
            map.append(block.size()).append(" beginbfchar\n");
            for (var entry : block) {
                map.append("<%04X> <".formatted(entry.getKey()));
                for (char unit : entry.getValue().toCharArray()) {
                    map.append("%04X".formatted((int) unit));
                }
                map.append(">\n");
            }
            map.append("endbfchar\n");
        }
        return map.append("endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n")
                .toString();
    }
}
