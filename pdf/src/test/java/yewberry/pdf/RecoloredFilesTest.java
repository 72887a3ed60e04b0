package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ArgumentsSource;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Progress;
import yewberry.core.asset.KnownFile;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Box;
import yewberry.core.publication.Length;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Files of several producers with a colour changed: what ghostscript and poppler draw of them
 * before, with, and after it was taken back.
 */
class RecoloredFilesTest extends RecoloringTest {
    /**
     * @param from the colour that changed
     * @return how many pixels are in the other colour now
     */
    private static int held(BufferedImage before, BufferedImage after, Rgb from) {
        int changed = 0;
        for (int y = 0; y < before.getHeight(); y++) {
            for (int x = 0; x < before.getWidth(); x++) {
                int was = before.getRGB(x, y);
                boolean isFrom = apart(was, from) <= 1;
                Rgb wanted = isFrom ? GREEN : rgb(was);
                changed += isFrom ? 1 : 0;
                boolean isEdge =
                        !isFrom
                                && apart(was, Rgb.WHITE) > 2
                                && apart(was, RED) > 2
                                && apart(was, INK) > 1;
                if (!isEdge) {
                    assertThat(apart(after.getRGB(x, y), wanted))
                            .as("at %d, %d: %s, was %s", x, y, rgb(after.getRGB(x, y)), rgb(was))
                            .isLessThanOrEqualTo(2);
                }
            }
        }
        return changed;
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void only_what_is_chosen_has_the_other_colour_and_all_of_it_comes_back(String name)
            throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        List<BufferedImage> before = drawn(written("before.pdf", original), name);
        PageScene scene = scene(original, false, recolor(INK, 0, Recolor.What.TEXT));
        Path after = added(original, scene);
        byte[] file = appended(original, after, name);
        List<BufferedImage> with = drawn(after, name);
        for (int i = 0; i < before.size(); i++) {
            assertThat(held(before.get(i), with.get(i), INK)).as(name).isGreaterThan(40);
        }
        assertThat(matches(after, scene)).isTrue();
        assertThat(AddedLayers.added(KnownFile.of(file)).get(1))
                .singleElement()
                .satisfies(each -> assertThat(each.kind()).isEqualTo(AddedItem.Kind.COLORS));
        comesOff(file, before, name);
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void colours_come_off_by_themselves_and_so_do_backgrounds(String name) throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        PageScene both = scene(original, true, recolor(RED, 0, Recolor.What.FILLS));
        byte[] file = Files.readAllBytes(added(original, both));
        Path colours = folder.resolve("colours.pdf");
        AddedLayers.takeOff(
                KnownFile.of(file),
                each -> each.kind() == AddedItem.Kind.BACKGROUND,
                Set.of(),
                NOW,
                colours,
                Progress.NONE);
        PageScene alone = scene(original, false, recolor(RED, 0, Recolor.What.FILLS));
        List<BufferedImage> wanted = drawn(added(original, alone), name);
        List<BufferedImage> left = drawn(colours, name);
        Path ground = folder.resolve("ground.pdf");
        AddedLayers.takeOff(
                KnownFile.of(file),
                each -> each.kind() == AddedItem.Kind.COLORS,
                Set.of(),
                NOW,
                ground,
                Progress.NONE);
        List<BufferedImage> behind = drawn(added(original, scene(original, true)), name);
        List<BufferedImage> without = drawn(ground, name);
        for (int i = 0; i < wanted.size(); i++) {
            assertThat(pixels(left.get(i))).as(name).isEqualTo(pixels(wanted.get(i)));
            assertThat(pixels(without.get(i))).as(name).isEqualTo(pixels(behind.get(i)));
        }
    }

    private static byte[] page(String content) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            PDResources resources = page.getResources();
            COSArray face = new COSArray();
            face.add(resources.getFont(COSName.getPDFName("F1")).getCOSObject());
            face.add(COSInteger.get(60));
            COSDictionary set = new COSDictionary();
            set.setItem(COSName.FONT, face);
            resources.put(COSName.getPDFName("Set"), new PDExtendedGraphicsState(set));
            contents(document, page, content);
        });
    }

    /** Squares of 40 by 40 from the left: what the first one comes to, and the second. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // the colour stays changed for nothing but what is chosen
                "0.8 0.1 0.1 rg 0 0 40 40 re f 40 0 40 40 re f | FILLS | 0 | #008040 | #008040",
                "0.8 0.1 0.1 rg 0 0 40 40 re f 0 0 1 rg 40 0 40 40 re f | FILLS | 0 | #008040 | #0000ff",
                "0.8 0.1 0.1 RG 20 w 10 20 m 30 20 l S 0.8 0.1 0.1 rg 40 0 40 40 re f | LINES | 0 | #008040 | #cc1a1a",
                "q 0.8 0.1 0.1 rg 0 0 40 40 re f Q 40 0 40 40 re f | FILLS | 0 | #008040 | #000000",
                "0.8 0.1 0.1 rg 0.8 0.1 0.1 RG 20 w 0 0 40 40 re B 0 0 1 rg 50 10 20 20 re f | FILLS,LINES | 0 | #008040 | #0000ff",
                "/DeviceRGB cs 0.8 0.1 0.1 sc 0 0 40 40 re f 0 1 0 scn 40 0 40 40 re f | FILLS | 0 | #008040 | #00ff00",
                // near enough, and not near enough
                "0.78 0.12 0.1 rg 0 0 40 40 re f 0.3 0.1 0.6 rg 40 0 40 40 re f | FILLS | 5 | #008040 | #4d1a99",
                "0.78 0.12 0.1 rg 0 0 40 40 re f 0.8 0.1 0.1 rg 40 0 40 40 re f | FILLS | 0 | #c71f1a | #008040",
                // a picture within the content goes on as it is
                "q 20 0 0 20 100 100 cm BI /W 1 /H 1 /CS /G /BPC 8 ID A EI Q 0.8 0.1 0.1 rg 0 0 40 40 re f 0 0 1 rg 40 0 40 40 re f | FILLS | 0 | #008040 | #0000ff",
                // a path that clips as well, and one that only clips
                "0.8 0.1 0.1 rg q 0 0 40 40 re W f Q 40 0 40 40 re W n 40 0 80 40 re f | FILLS | 0 | #008040 | #008040",
            })
    void each_colour_is_changed_where_it_is_painted_and_set_back_behind_it(
            String content, String what, double within, String first, String second)
            throws IOException {
        byte[] file = page(content);
        Recolor.What[] chosen =
                Stream.of(what.split(",")).map(Recolor.What::valueOf).toArray(Recolor.What[]::new);
        PageScene scene = scene(file, false, recolor(RED, within, chosen));
        Path after = added(file, scene);
        BufferedImage drawn = FilesOfOthers.ghostscriptDraws(after, folder);
        holds(drawn, 20, 160, Rgb.hex(first));
        holds(drawn, 60, 160, Rgb.hex(second));
        assertThat(matches(after, scene)).isTrue();
    }

    /** Two pages that draw one form, which both inherit from the tree of pages. */
    private static byte[] sharing() throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            PDFormXObject form = new PDFormXObject(document);
            form.setBBox(new PDRectangle(40, 40));
            try (var out = form.getStream().createOutputStream()) {
                out.write("0.8 0.1 0.1 rg 0 0 40 40 re f".getBytes(StandardCharsets.US_ASCII));
            }
            PDResources resources = new PDResources();
            resources.put(COSName.getPDFName("Square"), form);
            document.addPage(new PDPage(page.getMediaBox()));
            document.getPages().getCOSObject().setItem(COSName.RESOURCES, resources);
            for (PDPage each : document.getPages()) {
                each.getCOSObject().removeItem(COSName.RESOURCES);
                contents(document, each, "/Square Do");
            }
        });
    }

    /** How far the square of a page is from a colour, of 255. */
    private int off(Path pdf, int page, Rgb wanted) throws IOException {
        byte[] one =
                FilesOfOthers.by(
                        Files.readAllBytes(pdf),
                        ".pdf",
                        "qpdf",
                        "IN",
                        "--pages",
                        ".",
                        String.valueOf(page),
                        "--",
                        "OUT");
        Path alone = written("one.pdf", one);
        return apart(FilesOfOthers.ghostscriptDraws(alone, folder).getRGB(20, 160), wanted);
    }

    @Test
    void a_form_that_pages_share_by_inheritance_changes_on_the_page_chosen_only()
            throws IOException {
        byte[] file = sharing();
        PageScene scene = scene(file, false, recolor(RED, 0, Recolor.What.FILLS));
        Path after = added(file, scene);
        assertThat(off(after, 1, GREEN)).isLessThanOrEqualTo(1);
        assertThat(off(after, 2, RED)).isLessThanOrEqualTo(1);
        Path back = folder.resolve("back.pdf");
        AddedLayers.takeOff(
                KnownFile.of(Files.readAllBytes(after)),
                each -> true,
                Set.of(),
                NOW,
                back,
                Progress.NONE);
        assertThat(off(back, 1, RED)).isLessThanOrEqualTo(1);
        assertThat(off(back, 2, RED)).isLessThanOrEqualTo(1);
        try (PDDocument document = Loader.loadPDF(back.toFile())) {
            assertThat(document.getPage(0).getCOSObject().containsKey(COSName.RESOURCES))
                    .as("it inherits again")
                    .isFalse();
        }
    }

    /** Squares of 40 by 40 in red, on a background: where they are not painted, that shows. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.8 0.1 0.1 rg 0 0 40 40 re f 0 0 1 rg 40 0 40 40 re f | FILLS | #bedcff | #0000ff",
                "0.8 0.1 0.1 rg 0 0 1 RG 8 w 0 0 40 40 re B 40 0 40 40 re f* | FILLS | #bedcff | #bedcff",
                "0.8 0.1 0.1 rg 0 0 1 RG 20 w 60 0 m 60 40 l b 0 0 1 rg 0 0 40 40 re f | FILLS | #0000ff | #0000ff",
                "0 0 1 rg 0.8 0.1 0.1 RG 4 w 0 0 40 40 re b* 60 0 m 60 40 l 4 w S | LINES | #0000ff | #bedcff",
                "0.8 0.1 0.1 rg 0.8 0.1 0.1 RG 8 w 0 0 40 40 re B 0 0 1 rg 40 0 40 40 re f | FILLS,LINES | #bedcff | #0000ff",
                "0.8 0.1 0.1 rg q 0 0 40 40 re W f 0 0 1 rg 0 0 80 20 re f Q | FILLS | #bedcff | #bedcff",
            })
    void what_is_made_see_through_shows_what_lies_behind(
            String content, String what, String first, String second) throws IOException {
        byte[] file = page(content);
        Set<Recolor.What> chosen =
                Stream.of(what.split(",")).map(Recolor.What::valueOf).collect(Collectors.toSet());
        Recolor gone = new Recolor(RED, 0, chosen, List.of(), Optional.empty());
        PageScene scene = scene(file, true, gone);
        Path after = added(file, scene);
        BufferedImage drawn = FilesOfOthers.ghostscriptDraws(after, folder);
        holds(drawn, 20, 150, Rgb.hex(first));
        holds(drawn, 60, 150, Rgb.hex(second));
        assertThat(matches(after, scene)).isTrue();
    }

    private static Recolor in(Rect area, Rgb from, Recolor.What... what) {
        Box box =
                new Box(
                        Length.pt(area.x()),
                        Length.pt(area.y()),
                        Length.pt(area.width()),
                        Length.pt(area.height()));
        return new Recolor(
                from,
                0,
                Set.of(what),
                List.of(1),
                Optional.of(Tinted.full(LEAF.id())),
                Optional.of(box));
    }

    /** The middle of all pixels that are in the other colour, in parts of the picture. */
    private static Point2D middle(BufferedImage drawn) {
        double x = 0;
        double y = 0;
        int count = 0;
        for (int row = 0; row < drawn.getHeight(); row++) {
            for (int column = 0; column < drawn.getWidth(); column++) {
                if (apart(drawn.getRGB(column, row), GREEN) <= 1) {
                    x += column + 0.5;
                    y += row + 0.5;
                    count++;
                }
            }
        }
        assertThat(count).isGreaterThan(40);
        return new Point2D.Double(x / count / drawn.getWidth(), y / count / drawn.getHeight());
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void in_the_half_of_the_page_where_it_is_seen_a_fill_changes_and_in_the_other_nothing(
            String name) throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        PageScene all = scene(original, false, recolor(RED, 0, Recolor.What.FILLS));
        List<BufferedImage> wanted = drawn(added(original, all), name);
        Point2D seen = middle(wanted.getFirst());
        Rect trim = all.boxes().trim();
        boolean left = seen.getX() < 0.5;
        Rect with = new Rect(left ? 0 : trim.width() / 2, 0, trim.width() / 2, trim.height());
        Rect without = new Rect(left ? trim.width() / 2 : 0, 0, trim.width() / 2, trim.height());

        PageScene half = scene(original, false, in(with, RED, Recolor.What.FILLS));
        Path changed = added(original, half);
        List<BufferedImage> got = drawn(changed, name);
        for (int i = 0; i < wanted.size(); i++) {
            assertThat(pixels(got.get(i))).as(name).isEqualTo(pixels(wanted.get(i)));
        }
        assertThat(matches(changed, half)).isTrue();
        PageScene other = scene(original, false, in(without, RED, Recolor.What.FILLS));
        assertThat(Files.readAllBytes(added(original, other))).as(name).isEqualTo(original);
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void text_changes_in_the_area_that_it_begins_in_as_it_is_read_back(String name)
            throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        Rect trim = scene(original, false).boxes().trim();
        int changed = 0;
        for (int part = 0; part < 4; part++) {
            Rect quarter =
                    new Rect(
                            part % 2 * trim.width() / 2,
                            part / 2 * trim.height() / 2,
                            trim.width() / 2,
                            trim.height() / 2);
            PageScene scene = scene(original, false, in(quarter, INK, Recolor.What.TEXT));
            Path after = added(original, scene);
            assertThat(matches(after, scene)).as("%s, %d", name, part).isTrue();
            changed += Arrays.equals(Files.readAllBytes(after), original) ? 0 : 1;
        }
        // one piece, or pieces that begin in several of them
        assertThat(changed).as(name).isBetween(1, 4);
    }

    /** The first 40 points from the left: what of two squares, or two pieces of text, changes. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.8 0.1 0.1 rg 0 0 40 40 re f 40 0 40 40 re f | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg q 1 0 0 1 40 0 cm 0 0 40 40 re f Q 0 0 40 40 re f | #008040 | #cc1a1a",
                "0.8 0.1 0.1 RG 20 w 10 20 m 30 20 l S 50 20 m 70 20 l S | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg 0 0 m 0 40 40 40 v 40 0 l h f 40 0 m 40 40 80 40 y 80 0 l h f | #008040 | #cc1a1a",
                // operators without what they need, and more restored than saved
                "0.8 0.1 0.1 rg Q Q 1 0 cm 0 0 40 40 re f 40 0 40 40 re f | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 12 2 Td 7 Td (I) Tj 48 0 Td (I) Tj ET | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg BT 12 2 Td /Set gs (I  ) Tj (I) Tj ET | #008040 | #cc1a1a",
                // a face that is missing takes no room
                "0.8 0.1 0.1 rg BT /None 60 Tf 400 0 Td (I) Tj (I) Tj ET 0 0 40 40 re f 40 0 40 40 re f | #008040 | #cc1a1a",
                // a path is where its middle is, though it reaches farther
                "0.8 0.1 0.1 rg 0 0 76 40 re f | #008040 | #008040",
                "0.8 0.1 0.1 rg 0 0 84 40 re f | #cc1a1a | #cc1a1a",
                // text goes on behind what is shown, by spaces of all kinds
                "0.8 0.1 0.1 rg BT /F1 60 Tf 12 2 Td (I) Tj 14.6 0 Td (III) Tj ET | #008040 | #008040",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 12 2 Td (I) Tj ( II) Tj ET | #008040 | #008040",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 30 Tc 12 2 Td (I) Tj (I) Tj ET | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 15 Tw 12 2 Td (I ) Tj (I) Tj ET | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 300 Tz 0 2 Td (I) Tj (I) Tj ET | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 12 2 Td [(I) -500] TJ (I) Tj ET | #008040 | #cc1a1a",
                "0.8 0.1 0.1 rg BT /F1 60 Tf 1 0 0 1 12 62 Tm 60 TL (I) ' 48 0 Td (I) Tj ET | #008040 | #cc1a1a",
            })
    void only_what_is_in_the_area_changes(String content, String first, String second)
            throws IOException {
        byte[] file = page(content);
        Recolor.What[] all = Recolor.What.values();
        PageScene scene = scene(file, false, in(new Rect(0, 0, 40, 180), RED, all));
        Path after = added(file, scene);
        BufferedImage drawn = FilesOfOthers.ghostscriptDraws(after, folder);
        holds(drawn, 20, 160, Rgb.hex(first));
        holds(drawn, 68, 160, Rgb.hex(second));
        assertThat(matches(after, scene)).isTrue();
    }

    @Test
    void the_box_of_its_lines_holds_where_a_text_begins() throws IOException {
        byte[] file = page("0.8 0.1 0.1 rg BT /F1 40 Tf 12 120 Td (II) Tj 0 -110 Td (II) Tj ET");
        List<Rect> words =
                scene(file, false).on(View.designed(Medium.SCREEN, COATED)).judged().stream()
                        .map(Item.GlyphRun::bounds)
                        .toList();
        assertThat(words).hasSize(2);
        for (int i = 0; i < 2; i++) {
            PageScene scene = scene(file, false, in(words.get(i), RED, Recolor.What.TEXT));
            BufferedImage drawn = FilesOfOthers.ghostscriptDraws(added(file, scene), folder);
            holds(drawn, 17, 50, i == 0 ? GREEN : RED);
            holds(drawn, 17, 160, i == 0 ? RED : GREEN);
        }
    }

    private static byte[] drawnAgain(String form, String content) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            PDFormXObject square = new PDFormXObject(document);
            square.setBBox(new PDRectangle(40, 40));
            square.setResources(new PDResources());
            try (var out = square.getContentStream().createOutputStream()) {
                out.write(form.getBytes(StandardCharsets.US_ASCII));
            }
            page.getResources().put(COSName.getPDFName("Again"), square);
            contents(document, page, content);
        });
    }

    /** A square of 40 by 40 as a form, on the left and from 80 on. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.8 0.1 0.1 rg 0 0 40 40 re f | /Again Do q 1 0 0 1 80 0 cm /Again Do Q",
                "0.8 0.1 0.1 rg 0 0 40 40 re f | q 1 0 0 1 80 0 cm /Again Do Q /Again Do",
                "0.8 0.1 0.1 rg 0 0 40 40 re f | q 1 0 0 1 80 0 cm /Again Do Q /Again Do q 1 0 0 1 80 0 cm /Again Do Q",
            })
    void the_same_form_changes_where_it_is_drawn_in_the_area_only(String form, String content)
            throws IOException {
        byte[] file = drawnAgain(form, content);
        PageScene scene = scene(file, false, in(new Rect(0, 0, 60, 180), RED, Recolor.What.FILLS));
        squares(file, scene, GREEN, RED);
    }

    @Test
    void forms_that_draw_one_another_without_end_are_refused_and_not_followed() throws IOException {
        byte[] file =
                FilesOfOthers.drawn((document, page) -> {
                    PDResources resources = page.getResources();
                    String content = "0.8 0.1 0.1 rg 0 0 1 1 re f";
                    for (int level = 0; level < 16; level++) { // 2^16 squares
                        PDFormXObject form = new PDFormXObject(document);
                        form.setBBox(new PDRectangle(40, 40));
                        form.setResources(resources);
                        try (var out = form.getContentStream().createOutputStream()) {
                            out.write(content.getBytes(StandardCharsets.US_ASCII));
                        }
                        COSName name = COSName.getPDFName("Level" + level);
                        resources.put(name, form);
                        content = "/%s Do /%s Do".formatted(name.getName(), name.getName());
                    }
                    contents(document, page, content);
                });
        PageScene scene = scene(file, false, in(new Rect(0, 0, 60, 180), RED, Recolor.What.FILLS));
        assertThatThrownBy(() -> added(file, scene))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("without end");
    }

    /** The colour that a form begins with is that around it (ISO 32000-1, 8.10.1). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.8 0.1 0.1 rg /Again Do 0 0 1 rg q 1 0 0 1 80 0 cm /Again Do Q | #008040 | #0000ff",
                "0 0 1 rg /Again Do 0.8 0.1 0.1 rg q 1 0 0 1 80 0 cm /Again Do Q | #0000ff | #008040",
            })
    void the_same_form_changes_where_it_begins_in_the_colour_only(
            String content, String first, String second) throws IOException {
        byte[] file = drawnAgain("0 0 40 40 re f", content);
        PageScene scene = scene(file, false, recolor(RED, 0, Recolor.What.FILLS));
        squares(file, scene, Rgb.hex(first), Rgb.hex(second));
    }

    private void squares(byte[] file, PageScene scene, Rgb first, Rgb second) throws IOException {
        Path after = added(file, scene);
        BufferedImage drawn = FilesOfOthers.ghostscriptDraws(after, folder);
        holds(drawn, 20, 160, first);
        holds(drawn, 100, 160, second);
        assertThat(matches(after, scene)).isTrue();
        Path back = folder.resolve("back.pdf");
        KnownFile with = KnownFile.of(Files.readAllBytes(after));
        AddedLayers.takeOff(with, each -> true, Set.of(), NOW, back, Progress.NONE);
        assertThat(pixels(FilesOfOthers.ghostscriptDraws(back, folder)))
                .isEqualTo(
                        pixels(
                                FilesOfOthers.ghostscriptDraws(
                                        written("before.pdf", file), folder)));
    }

    @Test
    void a_page_without_the_colour_stays_as_it_is() throws IOException {
        byte[] file = page("0 0 1 rg 0 0 40 40 re f");
        Path after = added(file, scene(file, false, recolor(RED, 0, Recolor.What.FILLS)));
        assertThat(Files.readAllBytes(after)).isEqualTo(file);
    }

    @Test
    void on_other_pages_than_the_chosen_ones_a_colour_stays() throws IOException {
        byte[] file = page("0.8 0.1 0.1 rg 0 0 40 40 re f");
        Recolor elsewhere =
                new Recolor(
                        RED,
                        0,
                        Set.of(Recolor.What.FILLS),
                        List.of(2),
                        Optional.of(Tinted.full(LEAF.id())));
        Path after = added(file, scene(file, false, elsewhere));
        assertThat(Files.readAllBytes(after)).isEqualTo(file);
    }
}
