package yewberry.core.text;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.GlyphSubstitutionTable;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TTFTable;
import org.apache.fontbox.ttf.TrueTypeFont;
import yewberry.core.publication.Letters;

/**
 * A font program in which characters have the glyphs that features of its GSUB table put in the
 * place of theirs, one for one: its cmap table is written anew, all else stays as it was. The
 * layout engine then kerns what is drawn. Sources: OpenType 1.9.1, GSUB lookup type 1, and cmap
 * format 12.
 */
final class Substitutions {
    private static final String[] SCRIPTS = {"latn", "DFLT"};
    private static final int LAST = 0x1ffff;
    private static final int DIRECTORY = 12;
    private static final int RECORD = 16;

    private Substitutions() {}

    /** A character with its glyph. */
    private record Mapped(int codePoint, int glyph) {}

    /** The tags of the features that draw letters and figures so; none for those of the face. */
    static List<String> features(Letters letters) {
        List<String> features =
                new ArrayList<>(
                        switch (letters.figures()) {
                            case AS_FACE -> List.of();
                            case LINING -> List.of("lnum", "pnum");
                            case LINING_TABLE -> List.of("lnum", "tnum");
                            case OLD_STYLE -> List.of("onum", "pnum");
                            case OLD_STYLE_TABLE -> List.of("onum", "tnum");
                        });
        if (letters.capitals() == Letters.Capitals.SMALL) {
            features.add("smcp");
        }
        return features;
    }

    /** Whether a feature draws some characters otherwise. */
    static boolean has(byte[] program, String feature, String sample) {
        try (TrueTypeFont font = parsed(program)) {
            CmapLookup cmap = font.getUnicodeCmapLookup();
            return sample.codePoints()
                    .map(cmap::getGlyphId)
                    .anyMatch(glyph -> substituted(font, glyph, List.of(feature)) != glyph);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param program a TrueType font
     */
    static byte[] in(byte[] program, List<String> features) {
        try (TrueTypeFont font = parsed(program)) {
            CmapLookup cmap = font.getUnicodeCmapLookup();
            List<String> inOrder = inOrder(font, features);
            List<Mapped> mapped = new ArrayList<>();
            for (int codePoint = 0; codePoint <= LAST; codePoint++) {
                int glyph = cmap.getGlyphId(codePoint);
                if (glyph != 0) {
                    mapped.add(new Mapped(codePoint, substituted(font, glyph, inOrder)));
                }
            }
            return replaced(program, table(mapped));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * As the font wants them applied: by the place of their first lookup, whichever script it is
     * for.
     */
    private static List<String> inOrder(TrueTypeFont font, List<String> features)
            throws IOException {
        TTFTable table = font.getTableMap().get(GlyphSubstitutionTable.TAG);
        if (table == null) {
            return features;
        }
        ByteBuffer gsub = ByteBuffer.wrap(font.getTableBytes(table));
        int list = unsigned(gsub, 6);
        Map<String, Integer> first = new HashMap<>();
        for (int i = 0; i < unsigned(gsub, list); i++) {
            int record = list + 2 + 6 * i;
            byte[] tag = new byte[4];
            gsub.get(record, tag);
            int feature = list + unsigned(gsub, record + 4);
            int lookups = unsigned(gsub, feature + 2);
            for (int j = 0; j < lookups; j++) {
                first.merge(
                        new String(tag, StandardCharsets.US_ASCII),
                        unsigned(gsub, feature + 4 + 2 * j),
                        Math::min);
            }
        }
        return features.stream()
                .sorted(Comparator.comparing(tag -> first.getOrDefault(tag, Integer.MAX_VALUE)))
                .toList();
    }

    private static int unsigned(ByteBuffer in, int at) {
        return Short.toUnsignedInt(in.getShort(at));
    }

    private static TrueTypeFont parsed(byte[] program) throws IOException {
        return new TTFParser().parseEmbedded(new ByteArrayInputStream(program));
    }

    private static int substituted(TrueTypeFont font, int glyph, List<String> features) {
        try {
            GlyphSubstitutionTable table = font.getGsub();
            return table == null ? glyph : table.getSubstitution(glyph, SCRIPTS, features);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A cmap table of one subtable, a group for each character. */
    private static byte[] table(List<Mapped> mapped) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            int header = 16;
            int group = 12;
            out.writeShort(0);
            out.writeShort(1);
            // Unicode, full repertoire
            out.writeShort(3);
            out.writeShort(10);
            out.writeInt(DIRECTORY);
            out.writeShort(12);
            out.writeShort(0);
            out.writeInt(header + mapped.size() * group);
            out.writeInt(0);
            out.writeInt(mapped.size());
            for (Mapped each : mapped) {
                out.writeInt(each.codePoint());
                out.writeInt(each.codePoint());
                out.writeInt(each.glyph());
            }
        }
        return bytes.toByteArray();
    }

    /** With the new table behind all others, and the directory saying so. */
    private static byte[] replaced(byte[] program, byte[] cmap) {
        int begin = (program.length + 3) / 4 * 4;
        ByteBuffer font = ByteBuffer.allocate(begin + cmap.length);
        font.put(0, program);
        font.put(begin, cmap);
        int tables = font.getShort(4);
        for (int i = 0; i < tables; i++) {
            int record = DIRECTORY + i * RECORD;
            if (isCmap(font, record)) {
                font.putInt(record + 8, begin);
                font.putInt(record + 12, cmap.length);
            }
        }
        return font.array();
    }

    private static boolean isCmap(ByteBuffer font, int record) {
        return font.get(record) == 'c'
                && font.get(record + 1) == 'm'
                && font.get(record + 2) == 'a'
                && font.get(record + 3) == 'p';
    }
}
