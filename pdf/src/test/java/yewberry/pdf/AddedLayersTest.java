package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiPredicate;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ArgumentsSource;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.ScreenAndPaper.Where;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.pdf.proof.TakenOffCheck;

/**
 * Files of several producers with backgrounds and a watermark appended: what ghostscript and
 * poppler draw of them before, with, and after all of it was taken off again.
 */
class AddedLayersTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Instant NOW = Instant.parse("2026-01-01T00:00:00Z");
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Cmyk(60, 0, 30, 10));
    private static final Swatch SAND = new Swatch(id("sand"), "Sand", new Cmyk(4, 8, 40, 0));
    private static final Swatch MARK = new Swatch(id("mark"), "Mark", new Cmyk(0, 90, 80, 0));

    @TempDir Path folder;

    private final Map<String, byte[]> files = new HashMap<>();
    private final PdfDocuments documents = new PdfDocuments();

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** A set of one file: a colour on all of the page, a band at its left, a word over it. */
    private Publication set(byte[] file, PictureFrame.Level level) {
        files.put("file", file);
        Asset asset =
                new Asset(id("asset"), "log", "file", new Intake(documents).look("a.pdf", file));
        List<Background> behind =
                List.of(
                        new Background(
                                id("all"),
                                Sides.BOTH,
                                new Area.WholePage(),
                                new Fill.Solid(Tinted.full(SEA.id()))),
                        new Background(
                                id("band"),
                                Sides.BOTH,
                                new Area.Rectangle(
                                        new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                                        Length.pt(0),
                                        Length.pt(0),
                                        Length.pt(30),
                                        Length.pt(40),
                                        Set.of()),
                                new Fill.Solid(Tinted.full(SAND.id()))));
        PictureFrame word =
                new PictureFrame(
                        id("word"),
                        Sides.BOTH,
                        new Box(Length.pt(40), Length.pt(10), Length.pt(90), Length.pt(30)),
                        0,
                        level,
                        new Fill.Word(
                                "Void",
                                "Source Serif 4",
                                700,
                                false,
                                Optional.empty(),
                                Tinted.full(MARK.id())),
                        100,
                        BlendMode.NORMAL,
                        Background.GoesTo.BOTH,
                        new PictureFrame.Meaning(true, ""),
                        List.of(),
                        false);
        Parent parent = new Parent(id("parent"), "Marked", new Layer(behind, List.of(word)));
        Imported imported = new Imported(asset.id(), 1);
        Length none = Length.ZERO;
        Setup usual = Setup.of(imported.sizeIn(asset), false);
        Setup setup =
                new Setup(
                        Destination.SCREEN,
                        usual.trim(),
                        false,
                        new Bleed(none, none, none, none),
                        none,
                        usual.margins(),
                        usual.unit(),
                        usual.level(),
                        usual.press(),
                        usual.checks());
        return new Publication(
                        id("set"),
                        "Log sheets",
                        setup,
                        List.of(SEA, SAND, MARK),
                        List.of(),
                        List.of(parent),
                        List.of(
                                new Page(id("page"), Optional.of(parent.id()), true, Layer.EMPTY)
                                        .withSize(Optional.of(usual.trim()))
                                        .withImported(Optional.of(imported))))
                .withAssets(List.of(asset));
    }

    private PageScene scene(Publication set) {
        return new Composer(COATED, new Pictures(files::get, documents)).compose(set, 0);
    }

    private Path added(byte[] file, PageScene scene) throws IOException {
        Path to = folder.resolve("added.pdf");
        AddedLayers.Outcome outcome =
                AddedLayers.add(
                        KnownFile.of(file),
                        Map.of(1, scene),
                        Medium.SCREEN,
                        COATED,
                        NOW,
                        to,
                        Progress.NONE);
        assertThat(outcome).isEqualTo(new AddedLayers.Outcome(1, false));
        return to;
    }

    private Path written(String name, byte[] file) throws IOException {
        return Files.write(folder.resolve(name), file);
    }

    private BufferedImage poppler(Path pdf) throws IOException {
        return FilesOfOthers.popplerDraws(pdf, folder);
    }

    private BufferedImage ghostscriptDraws(Path pdf) throws IOException {
        return FilesOfOthers.ghostscriptDraws(pdf, folder);
    }

    private static int apart(int one, int other) {
        int most = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            most = Math.max(most, Math.abs((one >> shift & 255) - (other >> shift & 255)));
        }
        return most;
    }

    /** Whether all around a pixel is the same as it. */
    private static boolean isEven(BufferedImage image, int x, int y) {
        for (int j = -2; j <= 2; j++) {
            for (int i = -2; i <= 2; i++) {
                if (image.getRGB(x + i, y + j) != image.getRGB(x, y)) {
                    return false;
                }
            }
        }
        return true;
    }

    private static Rgb color(PageScene scene, String background) {
        return scene.on(Medium.SCREEN).areas().stream()
                .filter(fill -> fill.background().equals(id(background)))
                .map(fill -> ((AreaPaint.Solid) fill.paint()).paint().color())
                .map(Rgb.class::cast)
                .findFirst()
                .orElseThrow();
    }

    /** What was bare has the colour behind it, what was painted is as it was. */
    private static void holds(BufferedImage before, BufferedImage after, PageScene scene) {
        double unit = before.getWidth() / scene.boxes().trim().width();
        int sea = Integer.parseInt(color(scene, "all").hex().substring(1), 16);
        int sand = Integer.parseInt(color(scene, "band").hex().substring(1), 16);
        Map<String, Integer> seen = new HashMap<>();
        BiPredicate<Integer, Integer> inWord =
                (x, y) -> x > 36 * unit && x < 134 * unit && y > 6 * unit && y < 44 * unit;
        for (int y = 4; y < before.getHeight() - 4; y++) {
            for (int x = 4; x < before.getWidth() - 4; x++) {
                boolean edge = Math.abs(x - 30 * unit) < 3 || Math.abs(y - 40 * unit) < 3;
                if (!isEven(before, x, y) || inWord.test(x, y) || edge) {
                    continue;
                }
                int was = before.getRGB(x, y) & 0xffffff;
                boolean inBand = x < 30 * unit && y < 40 * unit;
                int wanted = was == 0xffffff ? inBand ? sand : sea : was;
                String what = was == 0xffffff ? inBand ? "band" : "all" : "painted";
                seen.merge(what, 1, Integer::sum);
                assertThat(apart(after.getRGB(x, y), wanted))
                        .as("%s at %d, %d: %06x", what, x, y, after.getRGB(x, y) & 0xffffff)
                        .isLessThanOrEqualTo(2);
            }
        }
        assertThat(seen.keySet()).containsExactlyInAnyOrder("all", "band", "painted");
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void what_is_added_is_where_it_should_be_and_comes_off_again(String name) throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        Path before = written("before.pdf", original);
        PageScene scene = scene(set(original, PictureFrame.Level.OVER));
        Path after = added(original, scene);
        byte[] bytes = Files.readAllBytes(after);
        assertThat(Arrays.copyOf(bytes, original.length))
                .as("it is appended to")
                .isEqualTo(original);
        Programs.Result check = Programs.run("qpdf", "--check", after.toString());
        assertThat(check.status()).as(check.output()).isZero();
        if (!name.equals(FilesOfOthers.RESTORES)) {
            holds(poppler(before), poppler(after), scene);
        }
        holds(ghostscriptDraws(before), ghostscriptDraws(after), scene);
        assertThat(AddedLayers.added(KnownFile.of(bytes)).get(1))
                .extracting(AddedItem::kind, AddedItem::element, AddedItem::behind)
                .containsExactly(
                        tuple(AddedItem.Kind.BACKGROUND, id("all"), true),
                        tuple(AddedItem.Kind.BACKGROUND, id("band"), true),
                        tuple(AddedItem.Kind.WATERMARK, id("word"), false));
        Path off = folder.resolve("off.pdf");
        AddedLayers.takeOff(KnownFile.of(bytes), item -> true, Set.of(), NOW, off, Progress.NONE);
        assertThat(AddedLayers.added(KnownFile.of(Files.readAllBytes(off)))).isEmpty();
        assertThat(Programs.run("qpdf", "--check", off.toString()).status()).isZero();
        same(poppler(off), poppler(before));
        same(ghostscriptDraws(off), ghostscriptDraws(before));
        assertThat(takenOffWrongly(bytes, off)).isEmpty();
        assertThat(takenOffWrongly(bytes, after)).as("nothing came off").containsExactly(1);
        Path other = folder.resolve("other.pdf");
        try (PDDocument document = Loader.loadPDF(off.toFile())) {
            PDStream more = new PDStream(document);
            try (var out = more.createOutputStream()) {
                out.write("0 0 0 rg 30 30 9 9 re f".getBytes(StandardCharsets.US_ASCII));
            }
            document.getPage(0).setContents(more);
            document.setAllSecurityToBeRemoved(true);
            document.save(other.toFile());
        }
        assertThat(takenOffWrongly(bytes, other)).as("its content is another").containsExactly(1);
    }

    private static List<Integer> takenOffWrongly(byte[] before, Path after) throws IOException {
        return TakenOffCheck.wrong(KnownFile.of(before), after, _ -> true, COATED, Progress.NONE);
    }

    private static void same(BufferedImage one, BufferedImage other) {
        assertThat(one.getRGB(0, 0, one.getWidth(), one.getHeight(), null, 0, one.getWidth()))
                .isEqualTo(
                        other.getRGB(
                                0,
                                0,
                                other.getWidth(),
                                other.getHeight(),
                                null,
                                0,
                                other.getWidth()));
    }

    /** The colour of all goes to the screen only, that of the band to paper only. */
    private static Publication switched(Publication set) {
        Layer layer = set.parents().getFirst().layer();
        List<Background> behind =
                layer.backgrounds().stream()
                        .map(each -> {
                            boolean screen = each.id().equals(id("all"));
                            return each.withGoesTo(new Background.GoesTo(screen, !screen));
                        })
                        .toList();
        return set.withParents(
                List.of(set.parents().getFirst().withLayer(layer.withBackgrounds(behind))));
    }

    private Path added(String name, byte[] file, PageScene scene, Medium medium)
            throws IOException {
        Path to = folder.resolve(name);
        AddedLayers.add(
                KnownFile.of(file), Map.of(1, scene), medium, COATED, NOW, to, Progress.NONE);
        return to;
    }

    private static boolean isRight(Path file, PageScene scene, Medium medium) throws IOException {
        return ReadBack.checkAdded(file, "", Map.of(1, scene), medium, COATED, Progress.NONE)
                .matches();
    }

    private static COSDictionary switches(PDDocument document) {
        return document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.OCPROPERTIES);
    }

    private static List<String> groups(Path file) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return switches(document) == null
                    ? List.of()
                    : List.of(document.getDocumentCatalog().getOCProperties().getGroupNames());
        }
    }

    /** As a reader shows it that does what it does for the other medium. */
    private Path theOther(Path file) throws IOException {
        Path other = folder.resolve("the-other.pdf");
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            var layers = document.getDocumentCatalog().getOCProperties();
            layers.setGroupEnabled("Screen", !layers.isGroupEnabled("Screen"));
            document.setAllSecurityToBeRemoved(true);
            document.save(other.toFile());
        }
        return other;
    }

    /**
     * Drawn as by readers that switch nothing, and with the group the other way round: the same as
     * with only what goes there. Drawings of poppler and ghostscript.
     */
    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void what_goes_to_the_screen_or_to_paper_only_is_switched(String name) throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        Path before = written("before.pdf", original);
        PageScene scene = scene(switched(set(original, PictureFrame.Level.OVER)));
        Path after = added("both.pdf", original, scene, Medium.SCREEN);
        ScreenAndPaper both = ScreenAndPaper.of(scene);
        Path screen = added("screen.pdf", original, both.seen(Where.SCREEN), Medium.SCREEN);
        Path paper = added("paper.pdf", original, both.seen(Where.PAPER), Medium.SCREEN);
        assertThat(Arrays.copyOf(Files.readAllBytes(after), original.length)).isEqualTo(original);
        Programs.Result check = Programs.run("qpdf", "--check", after.toString());
        assertThat(check.status()).as(check.output()).isZero();
        assertThat(isRight(after, scene, Medium.SCREEN)).isTrue();
        assertThat(groups(after)).containsOnlyOnce("Screen").containsAll(groups(before));
        same(poppler(after), poppler(screen));
        same(ghostscriptDraws(after), ghostscriptDraws(screen));
        same(poppler(theOther(after)), poppler(paper));
        same(ghostscriptDraws(theOther(after)), ghostscriptDraws(paper));
        Path off = folder.resolve("off.pdf");
        AddedLayers.takeOff(
                KnownFile.of(Files.readAllBytes(after)),
                item -> true,
                Set.of(),
                NOW,
                off,
                Progress.NONE);
        assertThat(groups(off)).isEqualTo(groups(before));
        assertThat(takenOffWrongly(Files.readAllBytes(after), off)).isEmpty();
        same(poppler(off), poppler(before));
        same(ghostscriptDraws(off), ghostscriptDraws(before));
    }

    /** Such as a stamp of the maker's that is only printed: it is drawn as usual, on both sides. */
    @Test
    void what_the_file_itself_switches_is_no_harm() throws IOException {
        byte[] original = FilesOfOthers.all().get("on a layer");
        try (PDDocument document = Loader.loadPDF(original)) {
            COSDictionary group =
                    (COSDictionary) switches(document).getCOSArray(COSName.OCGS).getObject(0);
            COSDictionary print = new COSDictionary();
            print.setName("PrintState", "OFF");
            COSDictionary usage = new COSDictionary();
            usage.setItem(COSName.getPDFName("Print"), print);
            group.setItem(COSName.getPDFName("Usage"), usage);
            COSDictionary event = new COSDictionary();
            event.setName(COSName.getPDFName("Event"), "Print");
            event.setItem(COSName.OCGS, switches(document).getCOSArray(COSName.OCGS));
            COSArray category = new COSArray();
            category.add(COSName.getPDFName("Print"));
            event.setItem(COSName.getPDFName("Category"), category);
            COSArray events = new COSArray();
            events.add(event);
            switches(document).getCOSDictionary(COSName.D).setItem(COSName.AS, events);
            var out = new ByteArrayOutputStream();
            document.save(out);
            original = out.toByteArray();
        }
        PageScene scene = scene(switched(set(original, PictureFrame.Level.OVER)));
        assertThat(isRight(added("both.pdf", original, scene, Medium.SCREEN), scene, Medium.SCREEN))
                .isTrue();
    }

    @Test
    void for_paper_what_is_printed_is_shown_by_readers_that_switch_nothing() throws IOException {
        byte[] original = FilesOfOthers.drawn((_, _) -> {});
        PageScene scene = scene(switched(set(original, PictureFrame.Level.OVER)));
        Path after = added("both.pdf", original, scene, Medium.PAPER);
        ScreenAndPaper both = ScreenAndPaper.of(scene);
        assertThat(isRight(after, scene, Medium.PAPER)).isTrue();
        same(
                poppler(after),
                poppler(added("paper.pdf", original, both.seen(Where.PAPER), Medium.PAPER)));
        same(
                poppler(theOther(after)),
                poppler(added("screen.pdf", original, both.seen(Where.SCREEN), Medium.PAPER)));
    }

    @Test
    void one_of_two_that_are_switched_comes_off_and_what_else_is_done_to_them_is_noticed()
            throws IOException {
        byte[] original = FilesOfOthers.drawn((_, _) -> {});
        PageScene scene = scene(switched(set(original, PictureFrame.Level.OVER)));
        byte[] once = Files.readAllBytes(added("once.pdf", original, scene, Medium.SCREEN));
        Path less = folder.resolve("less.pdf");
        AddedLayers.takeOff(
                KnownFile.of(once),
                item -> item.element().equals(id("all")),
                Set.of(),
                NOW,
                less,
                Progress.NONE);
        assertThat(groups(less)).as("the band goes by it").containsExactly("Screen");
        for (COSName each : List.of(COSName.AS, COSName.ON)) {
            Path harmed = folder.resolve("harmed.pdf");
            try (PDDocument document = Loader.loadPDF(once)) {
                COSDictionary config = switches(document).getCOSDictionary(COSName.D);
                config.removeItem(each);
                if (each == COSName.ON) {
                    config.setItem(COSName.OFF, switches(document).getCOSArray(COSName.OCGS));
                }
                document.save(harmed.toFile());
            }
            assertThat(isRight(harmed, scene, Medium.SCREEN)).as(each.getName()).isFalse();
        }
        Path twice =
                added(
                        "twice.pdf",
                        once,
                        scene(switched(set(once, PictureFrame.Level.OVER))),
                        Medium.SCREEN);
        assertThat(groups(twice)).containsExactly("Screen");
    }

    /** Links, tags, form fields and attachments stay, because the file is only appended to. */
    @Test
    void one_kind_comes_off_by_itself_and_a_second_time_goes_around_the_first() throws IOException {
        byte[] original =
                FilesOfOthers.drawn(
                        (document, page) -> page.getAnnotations().add(new PDAnnotationLink()));
        byte[] once =
                Files.readAllBytes(
                        added(original, scene(set(original, PictureFrame.Level.BEHIND))));
        assertThat(AddedLayers.added(KnownFile.of(once)).get(1))
                .allMatch(AddedItem::behind)
                .hasSize(3);
        byte[] twice = Files.readAllBytes(added(once, scene(set(once, PictureFrame.Level.OVER))));
        assertThat(AddedLayers.added(KnownFile.of(twice)).get(1))
                .extracting(AddedItem::kind, AddedItem::behind)
                .containsExactly(
                        tuple(AddedItem.Kind.BACKGROUND, true),
                        tuple(AddedItem.Kind.BACKGROUND, true),
                        tuple(AddedItem.Kind.BACKGROUND, true),
                        tuple(AddedItem.Kind.BACKGROUND, true),
                        tuple(AddedItem.Kind.WATERMARK, true),
                        tuple(AddedItem.Kind.WATERMARK, false));
        Path less = folder.resolve("less.pdf");
        AddedLayers.takeOff(
                KnownFile.of(twice),
                item -> item.kind() == AddedItem.Kind.WATERMARK,
                Set.of(),
                NOW,
                less,
                Progress.NONE);
        assertThat(AddedLayers.added(KnownFile.of(Files.readAllBytes(less))).get(1))
                .extracting(AddedItem::kind)
                .containsOnly(AddedItem.Kind.BACKGROUND)
                .hasSize(4);
        Path off = folder.resolve("off.pdf");
        AddedLayers.Outcome outcome =
                AddedLayers.takeOff(
                        KnownFile.of(Files.readAllBytes(less)),
                        item -> true,
                        Set.of(),
                        NOW,
                        off,
                        Progress.NONE);
        assertThat(outcome).isEqualTo(new AddedLayers.Outcome(1, false));
        same(poppler(off), poppler(written("before.pdf", original)));
        try (PDDocument document = Loader.loadPDF(off.toFile());
                PDDocument before = Loader.loadPDF(original)) {
            assertThat(document.getPage(0).getAnnotations()).hasSize(1);
            assertThat(document.getPage(0).getCOSObject().keySet())
                    .isEqualTo(before.getPage(0).getCOSObject().keySet());
        }
    }

    /** ISO 32000-1, 11.3.5.2: multiplied, white takes the colour over it, and black stays. */
    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void a_colour_over_the_page_is_multiplied_with_it(String name) throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        Publication behind = set(original, PictureFrame.Level.OVER);
        Background all =
                behind.parents().getFirst().layer().backgrounds().getFirst().withOver(true);
        Layer layer = new Layer(List.of(all.withBlend(BlendMode.MULTIPLY)), List.of());
        PageScene scene =
                scene(behind.withParents(List.of(behind.parents().getFirst().withLayer(layer))));
        Path after = added(original, scene);
        assertThat(AddedLayers.added(KnownFile.of(Files.readAllBytes(after))).get(1))
                .extracting(AddedItem::kind, AddedItem::behind)
                .containsExactly(tuple(AddedItem.Kind.BACKGROUND, false));
        BufferedImage before = ghostscriptDraws(written("before.pdf", original));
        BufferedImage seen = ghostscriptDraws(after);
        int sea = Integer.parseInt(color(scene, "all").hex().substring(1), 16);
        int compared = 0;
        for (int y = 4; y < before.getHeight() - 4; y++) {
            for (int x = 4; x < before.getWidth() - 4; x++) {
                if (isEven(before, x, y)) {
                    int product = 0;
                    for (int shift = 0; shift < 24; shift += 8) {
                        int one = before.getRGB(x, y) >> shift & 255;
                        product |= Math.round(one * (sea >> shift & 255) / 255f) << shift;
                    }
                    assertThat(apart(seen.getRGB(x, y), product)).isLessThanOrEqualTo(2);
                    compared++;
                }
            }
        }
        assertThat(compared).isGreaterThan(10_000);
        assertThat(readBack(after, scene).matches()).isTrue();
    }

    @Test
    void a_damaged_file_is_written_anew_and_said_to_be() throws IOException {
        byte[] whole = FilesOfOthers.drawn((document, page) -> {});
        String text = new String(whole, StandardCharsets.ISO_8859_1);
        int table = text.lastIndexOf("startxref");
        byte[] damaged =
                (text.substring(0, table) + "startxref\n7\n%%EOF\n")
                        .getBytes(StandardCharsets.ISO_8859_1);
        PageScene scene = scene(set(damaged, PictureFrame.Level.OVER));
        Path to = folder.resolve("repaired.pdf");
        AddedLayers.Outcome outcome =
                AddedLayers.add(
                        KnownFile.of(damaged),
                        Map.of(1, scene),
                        Medium.SCREEN,
                        COATED,
                        NOW,
                        to,
                        Progress.NONE);
        assertThat(outcome).isEqualTo(new AddedLayers.Outcome(1, true));
        assertThat(Programs.run("qpdf", "--check", to.toString()).status()).isZero();
        holds(poppler(written("whole.pdf", whole)), poppler(to), scene);
    }

    /** ISO 32000-1, 7.6: what is appended is encrypted like the rest, and nothing is opened up. */
    @Test
    void an_encrypted_file_stays_encrypted_and_one_that_forbids_changes_is_refused()
            throws IOException {
        byte[] locked = FilesOfOthers.all().get("qpdf, encrypted");
        Path after = added(locked, scene(set(locked, PictureFrame.Level.OVER)));
        assertThat(Files.readAllBytes(after)).startsWith(locked);
        assertThat(Programs.run("qpdf", "--is-encrypted", after.toString()).status()).isZero();
        assertThat(Programs.run("qpdf", "--check", after.toString()).status()).isZero();
        assertThat(new String(Files.readAllBytes(after), StandardCharsets.ISO_8859_1))
                .as("what was added, in words that could be read")
                .doesNotContain("Void");
        byte[] plain = FilesOfOthers.all().get("ghostscript");
        byte[] closed =
                FilesOfOthers.by(
                        plain,
                        ".pdf",
                        "qpdf",
                        "--encrypt",
                        "",
                        "owner",
                        "256",
                        "--modify=none",
                        "--",
                        "IN",
                        "OUT");
        assertThatThrownBy(() -> new Intake(documents).look("a.pdf", closed))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("its owner does not allow");
    }

    @Test
    void a_certified_file_that_forbids_changes_is_refused() throws IOException {
        byte[] certified =
                FilesOfOthers.drawn((document, page) -> {
                    COSDictionary allowed = new COSDictionary();
                    allowed.setItem(COSName.getPDFName("DocMDP"), new COSDictionary());
                    document.getDocumentCatalog()
                            .getCOSObject()
                            .setItem(COSName.getPDFName("Perms"), allowed);
                });
        PageScene scene = scene(set(certified, PictureFrame.Level.OVER));
        assertThatThrownBy(() ->
                        AddedLayers.add(
                                KnownFile.of(certified),
                                Map.of(1, scene),
                                Medium.SCREEN,
                                COATED,
                                NOW,
                                folder.resolve("no.pdf"),
                                Progress.NONE))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("certified");
    }

    @ParameterizedTest
    @ArgumentsSource(Sweep.OfFiles.class)
    void the_read_back_finds_what_was_added_and_what_is_missing(String name) throws IOException {
        byte[] original = FilesOfOthers.all().get(name);
        PageScene scene = scene(set(original, PictureFrame.Level.OVER));
        Path after = added(original, scene);
        assertThat(readBack(after, scene).matches()).isTrue();
        Path less = folder.resolve("less.pdf");
        AddedLayers.takeOff(
                KnownFile.of(Files.readAllBytes(after)),
                item -> item.element().equals(id("band")),
                Set.of(),
                NOW,
                less,
                Progress.NONE);
        assertThat(readBack(less, scene).matches()).isFalse();
    }

    @Test
    void what_is_the_same_on_several_pages_is_in_the_file_once() throws IOException {
        byte[] file =
                FilesOfOthers.drawn(
                        (document, page) -> document.addPage(new PDPage(page.getMediaBox())));
        Publication one = set(file, PictureFrame.Level.OVER);
        Page second =
                new Page(id("second"), Optional.of(id("parent")), true, Layer.EMPTY)
                        .withSize(one.pages().getFirst().size())
                        .withImported(Optional.of(new Imported(id("asset"), 2)));
        Publication two = one.withPages(one.pages().plus(second));
        Composer composer = new Composer(COATED, new Pictures(files::get, documents));
        Map<Integer, PageScene> scenes =
                Map.of(1, composer.compose(two, 0), 2, composer.compose(two, 1));
        Path to = folder.resolve("two.pdf");
        AddedLayers.add(KnownFile.of(file), scenes, Medium.SCREEN, COATED, NOW, to, Progress.NONE);
        try (PDDocument document = Loader.loadPDF(to.toFile())) {
            List<COSArray> contents =
                    List.of(
                            document.getPage(0).getCOSObject().getCOSArray(COSName.CONTENTS),
                            document.getPage(1).getCOSObject().getCOSArray(COSName.CONTENTS));
            assertThat(contents.get(1).getObject(0)).isSameAs(contents.get(0).getObject(0));
            assertThat(contents.get(1).getObject(contents.get(1).size() - 1))
                    .isSameAs(contents.get(0).getObject(contents.get(0).size() - 1));
            for (AddedItem item : AddedLayers.on(document, document.getPage(0))) {
                COSName name = COSName.getPDFName(item.resource());
                assertThat(document.getPage(1).getResources().getXObject(name).getCOSObject())
                        .as(item.name())
                        .isSameAs(
                                document.getPage(0).getResources().getXObject(name).getCOSObject());
            }
        }
        assertThat(
                        ReadBack.checkAdded(to, "", scenes, Medium.SCREEN, COATED, Progress.NONE)
                                .matches())
                .isTrue();
        Path back = folder.resolve("two, back.pdf");
        AddedLayers.takeOff(
                KnownFile.of(Files.readAllBytes(to)),
                item -> item.kind() != AddedItem.Kind.BACKGROUND,
                Set.of(),
                NOW,
                back,
                Progress.NONE);
        assertThat(AddedLayers.added(KnownFile.of(Files.readAllBytes(back))).get(2))
                .extracting(AddedItem::kind)
                .containsOnly(AddedItem.Kind.BACKGROUND);
        assertThat(Programs.run("qpdf", "--check", back.toString()).status()).isZero();
    }

    private static ReadBackReport readBack(Path file, PageScene scene) throws IOException {
        return ReadBack.checkAdded(
                file, "", Map.of(1, scene), Medium.SCREEN, COATED, Progress.NONE);
    }
}
