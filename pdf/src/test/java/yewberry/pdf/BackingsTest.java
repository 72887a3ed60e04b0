package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.blend.BlendMode;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroupAttributes;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ArgumentsSource;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Length;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Colours behind words of files by several producers: what ghostscript and poppler draw of them
 * before, with, and after they were taken back.
 */
class BackingsTest extends RecoloringTest {
    /** What poppler lets through of a letter's own colour where it smooths it away, of 255. */
    private static final int LETTERS = 8;

    private static final Rgb BLUE = new Rgb(0, 0, 255);

    /** Where the words of these files are, in those of them that nothing is told of. */
    private static final Rect WORDS = new Rect(26, 72, 106, 24);

    private static Backing leaf(Rect area, double opacity) {
        return new Backing(
                UUID.randomUUID(),
                1,
                new Box(
                        Length.pt(area.x()),
                        Length.pt(area.y()),
                        Length.pt(area.width()),
                        Length.pt(area.height())),
                Length.ZERO,
                Tinted.full(LEAF.id()),
                opacity);
    }

    private PageScene backed(byte[] file, Backing... backings) {
        return scene(file, false, List.of(), List.of(backings));
    }

    private static List<Item.GlyphRun> words(PageScene scene) {
        return scene.on(View.designed(Medium.SCREEN, COATED)).judged();
    }

    /** The words of a file, with a little around them. */
    private Rect around(byte[] file) {
        return words(backed(file)).stream()
                .filter(each -> !each.text().isBlank())
                .findFirst()
                .map(each -> each.bounds().inset(-4, -3, -4, -3))
                .orElse(WORDS);
    }

    /**
     * Holds each pixel away from the edges of the area and of letters.
     *
     * @return how many of the area are in the colour, and how many of letters
     */
    private static int[] held(BufferedImage before, BufferedImage after, Rect area, double scale) {
        int[] counts = new int[2];
        for (int y = 0; y < before.getHeight(); y++) {
            for (int x = 0; x < before.getWidth(); x++) {
                double across = (x + 0.5) / scale;
                double down = (y + 0.5) / scale;
                double rim = 1.5 / scale;
                boolean within = area.inset(rim, rim, rim, rim).contains(across, down);
                boolean isOutside = !area.inset(-rim, -rim, -rim, -rim).contains(across, down);
                Rgb was = rgb(before.getRGB(x, y));
                Rgb wanted = was;
                int rest = 2;
                if (within && apart(before.getRGB(x, y), Rgb.WHITE) <= 2) {
                    wanted = GREEN;
                    counts[0]++;
                } else if (within && apart(before.getRGB(x, y), INK) <= 1) {
                    counts[1]++;
                    rest = LETTERS;
                } else if (!isOutside) {
                    continue;
                }
                assertThat(apart(after.getRGB(x, y), wanted))
                        .as("at %d, %d: %s, was %s", x, y, rgb(after.getRGB(x, y)), was)
                        .isLessThanOrEqualTo(rest);
            }
        }
        return counts;
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void a_colour_is_behind_the_words_and_nothing_else_changes_and_it_comes_off(String name)
            throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        List<BufferedImage> before = drawn(written("before.pdf", original), name);
        Rect area = around(original);
        PageScene scene = backed(original, leaf(area, 100));
        Path after = added(original, scene);
        byte[] file = appended(original, after, name);
        List<BufferedImage> with = drawn(after, name);
        for (int i = 0; i < before.size(); i++) {
            double scale = before.get(i).getWidth() / scene.boxes().trim().width();
            int[] counts = held(before.get(i), with.get(i), area, scale);
            assertThat(counts[0]).as("%s, the colour", name).isGreaterThan(200);
            if (area != WORDS) { // behind a soft mask letters have no colour of their own
                assertThat(counts[1]).as("%s, letters", name).isGreaterThan(40);
            }
        }
        assertThat(matches(after, scene)).isTrue();
        assertThat(AddedLayers.added(KnownFile.of(file)).get(1))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.kind()).isEqualTo(AddedItem.Kind.COLORS);
                    assertThat(each.name()).contains("behind words");
                });
        comesOff(file, before, name);
    }

    /** Squares of which one draws words, by itself or as a group. */
    private static void drawing(PDFormXObject form, PDResources resources, float shift)
            throws IOException {
        form.setBBox(new PDRectangle(240, 180));
        form.setResources(resources);
        form.setMatrix(AffineTransform.getTranslateInstance(shift, 0));
        try (var out = form.getStream().createOutputStream()) {
            out.write(
                    "BT /F1 18 Tf %s 90 Td (Log) Tj ET"
                            .formatted(30 - shift)
                            .getBytes(StandardCharsets.US_ASCII));
        }
    }

    private static byte[] page(String content) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            PDResources inner = new PDResources();
            inner.put(
                    COSName.getPDFName("F1"),
                    page.getResources().getFont(COSName.getPDFName("F1")));
            PDResources resources = page.getResources();
            PDExtendedGraphicsState multiply = new PDExtendedGraphicsState();
            multiply.setBlendMode(BlendMode.MULTIPLY);
            resources.put(COSName.getPDFName("Multiply"), multiply);
            PDExtendedGraphicsState faint = new PDExtendedGraphicsState();
            faint.setNonStrokingAlphaConstant(0.5f);
            resources.put(COSName.getPDFName("Faint"), faint);
            PDFormXObject form = new PDFormXObject(document);
            drawing(form, inner, 7);
            resources.put(COSName.getPDFName("Form"), form);
            PDTransparencyGroup group = new PDTransparencyGroup(document);
            group.setGroup(new PDTransparencyGroupAttributes());
            drawing(group, inner, 7);
            resources.put(COSName.getPDFName("Group"), group);
            contents(document, page, content);
        });
    }

    private static final String LOG = "0 g BT /F1 18 Tf 30 90 Td (Log) Tj ET ";
    private static final String BOX = "0 0 1 rg 10 70 200 60 re f ";

    /**
     * What is near the left end of the area, and near its right end, of 120 by 40 points; by the
     * formulas of ISO 32000-1, 11.3.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "over a box                | BOX LOG | 100 | #008040 | #008040",
                "under what is painted later | BOX LOG 1 0 0 rg 20 105 20 20 re f | 100 | #ff0000 | #008040",
                "half opaque               | BOX LOG | 50 | #0040a0 | #0040a0",
                "text that multiplies      | BOX /Multiply gs LOG | 100 | #008040 | #008040",
                "faint text                | BOX /Faint gs LOG | 100 | #008040 | #008040",
                "a space of its own        | BOX q 0 3 -3 0 12 5 cm 0 -0.333333 0.333333 0 -1.666667 4 cm LOG Q | 100 | #008040 | #008040",
                "clipped as the text is    | BOX q 0 0 60 180 re W n LOG Q | 100 | #008040 | #0000ff",
                "in a form                 | BOX /Form Do | 100 | #008040 | #008040",
                "in a form drawn before, elsewhere | BOX q 1 0 0 1 0 -60 cm /Form Do Q /Form Do | 100 | #008040 | #008040",
                "in a group half opaque    | BOX q /Faint gs /Group Do Q | 100 | #0040a0 | #0040a0",
                "in a group that multiplies | 1 1 0 rg 10 70 200 60 re f q /Multiply gs /Group Do Q | 100 | #008000 | #008000",
                "what nobody sees first    | q BT 3 Tr /F1 18 Tf 30 90 Td (Log) Tj ET Q BOX LOG | 100 | #008040 | #008040",
                "a word elsewhere first    | BT /F1 18 Tf 30 20 Td (Log) Tj 0 70 Td (Log) Tj ET | 100 | #008040 | #008040",
                "marked as a paragraph     | BOX /P <</MCID 0>> BDC LOG EMC | 100 | #008040 | #008040",
                "two lines, each by itself | BOX LOG 0 g BT /F1 9 Tf 30 80 Td (Log) Tj ET | 100 | #008040 | #008040",
                "no words there            | BOX BT /F1 18 Tf 30 20 Td (Log) Tj ET | 100 | #0000ff | #0000ff",
                "a space of no size        | BOX q 0 0 0 0 30 90 cm LOG Q | 100 | #0000ff | #0000ff",
            })
    void it_is_painted_before_the_text_and_as_it_is(
            String name, String content, double opacity, String left, String right)
            throws IOException {
        byte[] file = page(content.replace("BOX", BOX).replace("LOG", LOG));
        PageScene scene = backed(file, leaf(new Rect(20, 60, 120, 40), opacity));
        Path after = added(file, scene);
        for (BufferedImage drawn : drawn(after, name)) {
            holds(drawn, 25, 65, Rgb.hex(left));
            holds(drawn, 134, 64, Rgb.hex(right));
        }
        assertThat(matches(after, scene)).isTrue();
    }

    /** Corners of 20 points: the middle of one is 0.29 of that from the corner of the area. */
    @Test
    void corners_are_round_as_told() throws IOException {
        byte[] file = page(BOX + LOG);
        Backing sharp = leaf(new Rect(20, 60, 120, 40), 100);
        Backing round =
                new Backing(
                        sharp.id(), 1, sharp.area(), Length.pt(20), sharp.color(), sharp.opacity());
        PageScene scene = backed(file, round);
        Path after = added(file, scene);
        for (BufferedImage drawn : drawn(after, "round")) {
            holds(drawn, 23, 63, BLUE);
            holds(drawn, 27, 67, GREEN);
            holds(drawn, 136, 97, BLUE);
            holds(drawn, 80, 61, GREEN);
        }
        assertThat(matches(after, scene)).isTrue();
    }

    @Test
    void those_that_came_first_lie_below() throws IOException {
        byte[] file = page(BOX + LOG);
        Backing wide = leaf(new Rect(20, 60, 120, 40), 100);
        Backing narrow =
                new Backing(
                        UUID.randomUUID(),
                        1,
                        new Box(Length.pt(20), Length.pt(60), Length.pt(60), Length.pt(40)),
                        Length.ZERO,
                        Tinted.full(SEA.id()),
                        100);
        Path after = added(file, backed(file, wide, narrow));
        BufferedImage drawn = FilesOfOthers.ghostscriptDraws(after, folder);
        holds(drawn, 25, 65, new Rgb(190, 220, 255));
        holds(drawn, 134, 64, GREEN);
        after = added(file, backed(file, narrow, wide));
        holds(FilesOfOthers.ghostscriptDraws(after, folder), 25, 65, GREEN);
    }

    @Test
    void text_that_it_lies_behind_is_judged_on_it_and_text_that_it_hides_is_not()
            throws IOException {
        byte[] file = page("0 0 1 rg BT /F1 18 Tf 60 79 Td (Gone) Tj ET " + LOG);
        PageScene scene = backed(file, leaf(new Rect(20, 60, 120, 40), 100));
        PageText text = scene.filePage().orElseThrow().pixels().on(Medium.SCREEN).text();
        assertThat(text.stretches())
                .singleElement()
                .satisfies(each -> {
                    assertThat(text(each)).isEqualTo("Log");
                    assertThat(each.ground()).isEqualTo(new PageText.Ground.Flat(GREEN));
                });
        assertThat(text.unread())
                .anySatisfy(each -> {
                    assertThat(each.why()).isEqualTo(PageText.Why.COVERED);
                    assertThat(each.count()).isEqualTo(4);
                });
    }

    private static String text(PageText.Stretch stretch) {
        return stretch.lines().stream()
                .flatMap(line -> line.glyphs().stream())
                .map(PageText.Glyph::text)
                .collect(Collectors.joining());
    }

    /** ISO 32000-1, 14.8.2.2: what is no real content of a tagged page is an artifact. */
    @Test
    void on_a_page_it_is_an_artifact_but_within_what_is_marked() throws IOException {
        for (boolean marked : new boolean[] {false, true}) {
            byte[] file = page(marked ? "/P <</MCID 0>> BDC " + LOG + "EMC" : LOG);
            Path after = added(file, backed(file, leaf(new Rect(20, 60, 120, 40), 100)));
            try (PDDocument document = Loader.loadPDF(after.toFile())) {
                String content =
                        new String(
                                document.getPage(0).getContents().readAllBytes(),
                                StandardCharsets.ISO_8859_1);
                assertThat(content.contains("/Artifact BMC")).isEqualTo(!marked);
                assertThat(content).containsSubsequence("/Behind-1 Do", "BT", "(Log)");
            }
        }
    }
}
