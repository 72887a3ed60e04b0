package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Sample;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;

/**
 * Every shipped face, shaped by HarfBuzz's own program (hb-shape of Debian's libharfbuzz-bin): the
 * same glyphs, as far apart.
 */
class HarfBuzzTest {
    private static final List<String> TEXTS =
            List.of(
                    "An office affair: AV waffles to find the first fjord.",
                    "To. Ty, Wa; LT “Yes” – 11 miles, 27 % (f) ff ffi fl",
                    "Ångström, œuvre, Straße, naïve façade, mañana, ĳsvogel");

    /**
     * So far advances may differ, in thousandths: of a font of 2000 units to the em the width of a
     * glyph and what kerning takes of it are each rounded to a whole one.
     */
    private static final double ROUNDED = 1.01;

    @TempDir static Path folder;

    /** A glyph by its id, with what it moves the pen by, in thousandths of the type size. */
    private record Shaped(int glyph, double advance) {}

    static Stream<Face> faces() {
        return FontLibrary.families().stream()
                .flatMap(family ->
                        family.weights().stream()
                                .flatMap(weight ->
                                        Stream.of(false, true)
                                                .filter(italic -> !italic || family.italic())
                                                .map(italic ->
                                                        FontLibrary.face(
                                                                family.name(), weight, italic))));
    }

    /** Those that have the letters of the texts here. */
    static Stream<Face> latin() {
        return faces().filter(Face::showsAscii);
    }

    private static List<Shaped> harfBuzz(Face face, String text, String... features)
            throws IOException {
        Path font = folder.resolve(face.key() + ".ttf");
        if (!Files.exists(font)) {
            Files.write(font, face.program());
        }
        Process process =
                new ProcessBuilder(
                                "hb-shape",
                                "--output-format=json",
                                "--no-glyph-names",
                                "--font-size=1000",
                                "--features=" + String.join(",", features),
                                "--font-file=" + font,
                                "--text=" + text)
                        .redirectErrorStream(true)
                        .start();
        String json = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        List<Shaped> shaped =
                Pattern.compile(
                                "\"g\":(\\d+),\"cl\":\\d+,\"dx\":-?\\d+,\"dy\":-?\\d+,\"ax\":(-?\\d+)")
                        .matcher(json)
                        .results()
                        .map(HarfBuzzTest::shaped)
                        .toList();
        assertThat(shaped).as(json).isNotEmpty();
        return shaped;
    }

    private static Shaped shaped(MatchResult found) {
        return new Shaped(Integer.parseInt(found.group(1)), Double.parseDouble(found.group(2)));
    }

    private static void same(List<Shaped> ours, List<Shaped> theirs, String text) {
        assertThat(ours).extracting(Shaped::glyph).as(text).isEqualTo(glyphs(theirs));
        for (int i = 0; i < ours.size(); i++) {
            assertThat(ours.get(i).advance())
                    .as("glyph %d of “%s”", i, text)
                    .isCloseTo(theirs.get(i).advance(), within(ROUNDED));
        }
    }

    private static List<Integer> glyphs(List<Shaped> shaped) {
        return shaped.stream().map(Shaped::glyph).toList();
    }

    @ParameterizedTest
    @MethodSource("faces")
    void glyphs_ligatures_and_kerning_are_those_of_the_font(Face face) throws IOException {
        for (String text : TEXTS) {
            Glyphs glyphs = face.shape(text);
            List<Shaped> ours =
                    IntStream.range(0, glyphs.ids().length)
                            .mapToObj(i -> new Shaped(glyphs.ids()[i], glyphs.advance(i)))
                            .toList();
            same(ours, harfBuzz(face, text), text);
        }
    }

    private static List<Shaped> shaped(Glyphs glyphs) {
        return IntStream.range(0, glyphs.ids().length)
                .mapToObj(i -> new Shaped(glyphs.ids()[i], glyphs.advance(i)))
                .toList();
    }

    /** Kerned as they are drawn: small capitals and old figures have kerning of their own. */
    @ParameterizedTest
    @MethodSource("faces")
    void small_capitals_and_figures_are_those_of_the_font(Face face) throws IOException {
        List<String> texts = new ArrayList<>(TEXTS);
        texts.add("Tavern, 1704 to 1917; 11.5 m, Ave. Tahoma wavy affair 2,047");
        for (String text : texts) {
            for (Letters.Figures figures : Letters.Figures.values()) {
                for (Letters.Capitals capitals : Letters.Capitals.values()) {
                    Letters letters = new Letters(capitals, figures);
                    List<String> features = Substitutions.features(letters);
                    same(
                            shaped(face.shape(text, 0, letters)),
                            harfBuzz(face, text, features.toArray(String[]::new)),
                            text + " " + letters);
                }
            }
        }
    }

    /** Hebrew and Arabic, joined and with marks, leftward, numbers and brackets within. */
    @Test
    void text_that_runs_leftward_has_the_glyphs_and_advances_of_the_font() throws IOException {
        List<String> hebrew = List.of("שלום", "בְּרֵאשִׁית", "ירח (מלא)");
        List<String> arabic = List.of("سلام", "مُحَمَّد", "القمر (بدر)", "لا إله");
        for (int weight : new int[] {400, 700}) {
            leftward(FontLibrary.face("Noto Sans Hebrew", weight, false), hebrew);
            leftward(FontLibrary.face("Noto Naskh Arabic", weight, false), arabic);
        }
    }

    private static void leftward(Face face, List<String> texts) throws IOException {
        for (String text : texts) {
            Glyphs ours = face.shape(text, 0, Letters.USUAL, true);
            List<Integer> seen = new ArrayList<>();
            for (int glyph : ours.ids()) {
                seen.addFirst(glyph);
            }
            List<Shaped> theirs = harfBuzz(face, text, "");
            assertThat(seen).as(text).isEqualTo(glyphs(theirs));
            assertThat(ours.width())
                    .as(text)
                    .isCloseTo(
                            theirs.stream().mapToDouble(Shaped::advance).sum(),
                            within(ROUNDED * theirs.size()));
        }
    }

    @Test
    void whether_a_face_has_small_capitals_and_old_figures_is_known() throws IOException {
        int with = 0;
        for (Face face : faces().toList()) {
            boolean small = !harfBuzz(face, "abc", "smcp").equals(harfBuzz(face, "abc"));
            boolean old = !harfBuzz(face, "0123", "onum").equals(harfBuzz(face, "0123"));
            assertThat(face.hasSmallCapitals()).as(face.inWords()).isEqualTo(small);
            assertThat(face.hasOldStyleFigures()).as(face.inWords()).isEqualTo(old);
            with += small ? 1 : 0;
        }
        assertThat(with).isBetween(1, 20);
    }

    /** Divided after every third character, none of which is within a ligature. */
    @ParameterizedTest
    @MethodSource("latin")
    void a_line_of_many_runs_is_kerned_as_one(Face face) throws IOException {
        String text = "To. Ty, Wa; LT AVA 11 miles, 27 %";
        CharacterLook plain = new CharacterLook(Sample.id("plain"), "Plain");
        List<Run> runs = new ArrayList<>();
        for (int at = 0; at < text.length(); at += 3) {
            runs.add(
                    new Run(
                            Sample.id("run " + at),
                            text.substring(at, Math.min(text.length(), at + 3)),
                            Optional.empty(),
                            at % 2 == 0 ? Optional.of(plain.id()) : Optional.empty()));
        }
        Look look =
                new Look(
                                Sample.id("look"),
                                "Look",
                                face.family(),
                                face.weight(),
                                Length.pt(100),
                                Length.pt(120),
                                Length.ZERO,
                                Look.Alignment.LEFT,
                                Sample.BODY.color(),
                                Look.Overprint.BLACK)
                        .withItalic(face.italic());
        List<Segment> set =
                Typesetter.set(
                                List.of(new Paragraph(Sample.id("p"), look.id(), runs)),
                                List.of(""),
                                StoryPlace.BEGINNING,
                                new Box(Length.ZERO, Length.ZERO, Length.pt(9000), Length.pt(200)),
                                FrameSetting.USUAL,
                                Sample.looks(id -> look, plain))
                        .segments();
        List<Double> pens = new ArrayList<>();
        List<Integer> ids = new ArrayList<>();
        for (Segment segment : set) {
            for (Segment.Glyph glyph : segment.glyphs()) {
                pens.add((segment.x() + glyph.x()) * 10);
                ids.add(glyph.id());
            }
        }
        pens.add((set.getLast().x() + set.getLast().width()) * 10);
        List<Shaped> ours =
                IntStream.range(0, ids.size())
                        .mapToObj(i -> new Shaped(ids.get(i), pens.get(i + 1) - pens.get(i)))
                        .toList();
        same(ours, harfBuzz(face, text), text);
    }
}
