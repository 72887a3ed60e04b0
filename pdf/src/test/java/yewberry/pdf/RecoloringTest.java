package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;

/** A file with a colour changed, and what is drawn of it. */
abstract class RecoloringTest {
    static final PressCondition COATED = PressCondition.coated();
    static final Instant NOW = Instant.parse("2026-01-01T00:00:00Z");
    static final Rgb GREEN = new Rgb(0, 128, 64);
    static final Swatch LEAF = new Swatch(id("leaf"), "Leaf", GREEN);
    static final Swatch SEA = new Swatch(id("sea"), "Sea", new Rgb(190, 220, 255));
    static final Rgb INK = new Rgb(26, 26, 77);
    static final Rgb RED = new Rgb(204, 26, 26);

    @TempDir Path folder;

    final Map<String, byte[]> files = new HashMap<>();
    final PdfDocuments documents = new PdfDocuments();

    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    static Recolor recolor(Rgb from, double within, Recolor.What... what) {
        return new Recolor(
                from, within, Set.of(what), List.of(), Optional.of(Tinted.full(LEAF.id())));
    }

    /**
     * @param behind whether a background lies behind the page, too
     */
    PageScene scene(byte[] file, boolean behind, Recolor... recolored) {
        return scene(file, behind, List.of(recolored), List.of());
    }

    PageScene scene(byte[] file, boolean behind, List<Recolor> recolored, List<Backing> backings) {
        files.put("file", file);
        Asset asset =
                new Asset(
                        id("asset"),
                        "log",
                        "file",
                        new Intake(documents).look("a.pdf", file),
                        recolored,
                        backings);
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
        Background sea =
                new Background(
                        id("all"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(SEA.id())));
        Publication set =
                new Publication(
                                id("set"),
                                "Log sheets",
                                setup,
                                List.of(LEAF, SEA),
                                List.of(),
                                List.of(),
                                List.of(
                                        new Page(
                                                        id("page"),
                                                        Optional.empty(),
                                                        true,
                                                        new Layer(
                                                                behind ? List.of(sea) : List.of(),
                                                                List.of()))
                                                .withSize(Optional.of(usual.trim()))
                                                .withImported(Optional.of(imported))))
                        .withAssets(List.of(asset));
        return new Composer(COATED, new Pictures(files::get, documents)).compose(set, 0);
    }

    Path added(byte[] file, PageScene scene) throws IOException {
        Path to = folder.resolve("recoloured.pdf");
        AddedLayers.add(
                KnownFile.of(file),
                Map.of(1, scene),
                Medium.SCREEN,
                COATED,
                NOW,
                to,
                Progress.NONE);
        return to;
    }

    List<BufferedImage> drawn(Path pdf, String name) throws IOException {
        List<BufferedImage> drawn = new ArrayList<>();
        drawn.add(FilesOfOthers.ghostscriptDraws(pdf, folder));
        if (!name.equals(FilesOfOthers.RESTORES)) {
            drawn.add(FilesOfOthers.popplerDraws(pdf, folder));
        }
        return drawn;
    }

    /** What was added is behind the file as it came, in one that others can read. */
    static byte[] appended(byte[] original, Path after, String name) throws IOException {
        assertThat(Programs.run("qpdf", "--check", after.toString()).status())
                .as(name)
                .isIn(0, 3); // 3 is a warning, which the original may give as well
        byte[] file = Files.readAllBytes(after);
        assertThat(file).startsWith(original);
        return file;
    }

    /** Taken off again, the file is drawn as it was. */
    void comesOff(byte[] file, List<BufferedImage> before, String name) throws IOException {
        Path back = folder.resolve("back.pdf");
        AddedLayers.takeOff(KnownFile.of(file), each -> true, Set.of(), NOW, back, Progress.NONE);
        List<BufferedImage> again = drawn(back, name);
        for (int i = 0; i < before.size(); i++) {
            assertThat(pixels(again.get(i))).isEqualTo(pixels(before.get(i)));
        }
    }

    Path written(String name, byte[] file) throws IOException {
        return Files.write(folder.resolve(name), file);
    }

    static int apart(int one, Rgb other) {
        return Math.max(
                Math.abs((one >> 16 & 255) - other.red()),
                Math.max(
                        Math.abs((one >> 8 & 255) - other.green()),
                        Math.abs((one & 255) - other.blue())));
    }

    static void holds(BufferedImage drawn, int x, int y, Rgb wanted) {
        assertThat(apart(drawn.getRGB(x, y), wanted))
                .as("at %d, %d: %s", x, y, rgb(drawn.getRGB(x, y)))
                .isLessThanOrEqualTo(1);
    }

    static Rgb rgb(int packed) {
        return new Rgb(packed >> 16 & 255, packed >> 8 & 255, packed & 255);
    }

    static boolean matches(Path file, PageScene scene) throws IOException {
        return ReadBack.checkAdded(file, "", Map.of(1, scene), Medium.SCREEN, COATED, Progress.NONE)
                .matches();
    }

    static void contents(PDDocument document, PDPage page, String content) throws IOException {
        PDStream stream = new PDStream(document);
        try (var out = stream.createOutputStream()) {
            out.write(content.getBytes(StandardCharsets.US_ASCII));
        }
        page.setContents(stream);
    }

    static int[] pixels(BufferedImage image) {
        return image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
    }
}
