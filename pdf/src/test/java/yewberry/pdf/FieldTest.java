package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.multipdf.LayerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationHighlight;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationRubberStamp;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * The worst ratio and the failing share of text on gradients, pictures and blends, rotated and
 * outlined too, against the same worked out pixel by pixel from ghostscript's drawing of the
 * exported pages at 600 pixels per inch, without the text; where its letters are is read from a
 * drawing of them alone. Letters stand apart, so that each is one connected shape.
 */
class FieldTest {
    private static final PressCondition COATED = PressCondition.coated();
    static final int PPI = 600;
    private static final int PAGES = Sweep.times(60);
    private static final String WORD = "HEMLOCKS";
    private static final Swatch BLACK = new Swatch(id("black"), "Black", new Cmyk(0, 0, 0, 100));
    private static final Swatch VEIL = new Swatch(id("veil"), "Veil", new Cmyk(10, 0, 30, 40));
    private static final Legibility AA = new Legibility(COATED, Level.AA, Destination.PAPER);

    @TempDir Path folder;

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** One page with a word on it, whose circumstances a seed decides. */
    private static final class Sheet {
        final Random random;
        final int number;
        final Swatch text;
        final Look look;
        final TextFrame frame;
        final Story story;
        final Page page;
        final List<Swatch> swatches = new ArrayList<>();
        final boolean isOutlined;

        Sheet(int number, Asset waves, Asset noise) {
            this.number = number;
            this.random = new Random(1_000 + number);
            this.text = swatch("text");
            double size = 9 + random.nextInt(14);
            this.isOutlined = number % 10 == 9;
            Look plain =
                    new Look(
                            id("look" + number),
                            "Look " + number,
                            "Source Sans 3",
                            random.nextBoolean() ? 400 : 700,
                            Length.pt(size),
                            Length.pt(size * 1.2),
                            Length.pt(0),
                            Look.Alignment.LEFT,
                            Tinted.full(text.id()),
                            Look.Overprint.NEVER);
            Look tracked =
                    plain.withSetting(
                            new TextSetting(
                                    Length.pt(0), Length.pt(0), Length.pt(0), Length.pt(0), 300));
            Swatch line = swatch("line");
            this.look =
                    isOutlined
                            ? tracked.withOutline(
                                    Optional.of(
                                            new Outline(
                                                    Tinted.full(line.id()),
                                                    Length.pt(Math.max(1.5, 0.1 * size)),
                                                    Outline.Join.ROUND,
                                                    false)))
                            : tracked;
            double rotation = number % 3 == 0 ? random.nextInt(40) - 20 : 0;
            this.frame =
                    new TextFrame(
                                    id("frame" + number),
                                    Sides.BOTH,
                                    new Box(
                                            Length.mm(6 + random.nextDouble()),
                                            Length.mm(10 + random.nextDouble()),
                                            Length.mm(70),
                                            Length.mm(12)),
                                    id("story" + number))
                            .withSetting(FrameSetting.USUAL.withRotation(rotation));
            this.page =
                    new Page(
                            id("page" + number),
                            Optional.empty(),
                            true,
                            new Layer(backgrounds(waves, noise), List.of(frame)));
            this.story =
                    new Story(
                            frame.story(),
                            List.of(new Story.Link(new Owner.OnPage(page.id()), frame.id())),
                            List.of(
                                    new Paragraph(
                                            id("paragraph" + number),
                                            look.id(),
                                            List.of(
                                                    new Run(
                                                            id("run" + number),
                                                            WORD,
                                                            Optional.empty())))));
        }

        Swatch swatch(String name) {
            double dark =
                    number % 2 == 0
                            ? random.nextDouble()
                            : name.equals("text") ? 0.08 : 0.8 + 0.2 * random.nextDouble();
            Swatch swatch =
                    new Swatch(
                            id(name + number),
                            name + number,
                            new Cmyk(ink(dark), ink(dark), ink(dark), ink(0.7 * dark)));
            swatches.add(swatch);
            return swatch;
        }

        /** From half of a share up to it, in whole percent. */
        private double ink(double share) {
            return Math.rint(100 * share * (0.5 + random.nextDouble() / 2));
        }

        private List<Background> backgrounds(Asset waves, Asset noise) {
            return switch (number % 5) {
                case 0 -> List.of(on("g", gradient(Fill.Gradient.Kind.LINEAR)));
                case 1 -> List.of(on("g", gradient(Fill.Gradient.Kind.RADIAL)));
                case 2 -> List.of(on("g", picture(number % 10 == 2 ? waves : noise)));
                case 3 ->
                        List.of(
                                on("g", gradient(Fill.Gradient.Kind.LINEAR)),
                                on("p", picture(noise))
                                        .withOpacity(30 + random.nextInt(60))
                                        .withBlend(BlendMode.MULTIPLY));
                default ->
                        List.of(
                                on("g", solid("low")),
                                part("bar", solid("bar")),
                                on("veil", gradient(Fill.Gradient.Kind.LINEAR))
                                        .withOpacity(20 + random.nextInt(60))
                                        .withBlend(
                                                random.nextBoolean()
                                                        ? BlendMode.SCREEN
                                                        : BlendMode.NORMAL));
            };
        }

        private Fill solid(String name) {
            return new Fill.Solid(Tinted.full(swatch(name).id()));
        }

        private Fill picture(Asset asset) {
            return new Fill.Picture(asset.id(), Placing.COVER, RunOut.NONE, Optional.empty());
        }

        private Fill gradient(Fill.Gradient.Kind kind) {
            return new Fill.Gradient(
                    kind,
                    random.nextInt(180),
                    false,
                    List.of(
                            new Fill.Gradient.Stop(0, Tinted.full(swatch("from").id()), 100),
                            new Fill.Gradient.Stop(100, Tinted.full(swatch("to").id()), 100)));
        }

        private Background on(String name, Fill fill) {
            return new Background(id(name + number), Sides.BOTH, new Area.WholePage(), fill);
        }

        private Background part(String name, Fill fill) {
            return new Background(
                    id(name + number),
                    Sides.BOTH,
                    new Area.Rectangle(
                            new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                            Length.mm(10 + random.nextInt(20)),
                            Length.mm(0),
                            Length.mm(5 + random.nextInt(20)),
                            Length.mm(40),
                            java.util.Set.of()),
                    fill);
        }
    }

    /** Grey waves, or coarse noise in colours. */
    private static byte[] picture(boolean noise) {
        Random random = new Random(5);
        BufferedImage image = new BufferedImage(530, 290, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 290; y++) {
            for (int x = 0; x < 530; x++) {
                int level =
                        (int) (128 + 60 * Math.sin(x / 17.0) + 60 * Math.cos(y / 11.0 + x / 40.0));
                image.setRGB(x, y, level << 16 | level << 8 | (level + 255) / 2);
            }
        }
        if (noise) {
            for (int y = 0; y < 290; y += 10) {
                for (int x = 0; x < 530; x += 10) {
                    int color = random.nextInt(0x1000000);
                    for (int i = 0; i < 100; i++) {
                        image.setRGB(x + i % 10, y + i / 10, color);
                    }
                }
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static Publication publication(List<Sheet> pages, List<Asset> assets, Variant variant) {
        return new Publication(
                        id("publication"),
                        "Fields",
                        Setup.of(new PageSize(Length.mm(76), Length.mm(30)), false),
                        Stream.concat(
                                        Stream.of(BLACK),
                                        pages.stream().flatMap(each -> each.swatches.stream()))
                                .toList(),
                        pages.stream()
                                .map(each ->
                                        variant == Variant.ALONE
                                                ? each.look
                                                        .withOutline(Optional.empty())
                                                        .withColor(Tinted.full(BLACK.id()))
                                                : each.look)
                                .toList(),
                        List.of(),
                        pages.stream()
                                .map(each ->
                                        each.page.withLayer(
                                                new Layer(
                                                        variant.ground
                                                                ? each.page.layer().backgrounds()
                                                                : List.of(),
                                                        variant.text
                                                                ? List.of(each.frame)
                                                                : List.of())))
                                .toList())
                .withAssets(assets)
                .withStories(
                        variant.text ? pages.stream().map(each -> each.story).toList() : List.of());
    }

    /** Whether they are further apart than a twentieth. */
    private static boolean isFar(RunContrast ours, Brute theirs) {
        return Math.abs(ours.worst().ratio() / theirs.ratio() - 1) > 0.05
                || ours.failing() < theirs.least() - 0.05
                || ours.failing() > theirs.most() + 0.05;
    }

    private static RunContrast worst(PageScene scene) {
        return AA.judge(scene).stream()
                .min(Comparator.comparingDouble(each -> each.worst().ratio()))
                .orElseThrow();
    }

    /** The exported file, as if somebody else had made it. */
    private List<PageScene> asFile(Path pdf) {
        return asFile(pdf, List.of(), List.of());
    }

    /**
     * @param backings behind words of it
     * @param over over each of its pages, or nothing
     */
    private List<PageScene> asFile(Path pdf, List<Backing> backings, List<Background> over) {
        try {
            byte[] file = Files.readAllBytes(pdf);
            PdfDocuments documents = new PdfDocuments();
            Asset asset =
                    new Asset(
                                    id("file"),
                                    "fields.pdf",
                                    "fields",
                                    documents.read(KnownFile.of(file)))
                            .withBackings(backings);
            List<Page> pages =
                    IntStream.rangeClosed(1, ((Asset.Document) asset.content()).pages().size())
                            .mapToObj(number ->
                                    new Page(
                                                    id("page of file " + number),
                                                    Optional.empty(),
                                                    true,
                                                    over.isEmpty()
                                                            ? Layer.EMPTY
                                                            : new Layer(
                                                                    List.of(over.get(number - 1)),
                                                                    List.of()))
                                            .withImported(
                                                    Optional.of(new Imported(asset.id(), number)))
                                            .withSize(
                                                    Optional.of(
                                                            new Imported(asset.id(), number)
                                                                    .sizeIn(asset))))
                            .toList();
            Publication set =
                    new Publication(
                                    id("set"),
                                    "Set",
                                    Setup.of(new PageSize(Length.mm(76), Length.mm(30)), false),
                                    List.of(BLACK, VEIL),
                                    List.of(),
                                    List.of(),
                                    pages)
                            .withAssets(List.of(asset));
            return new Composer(COATED, new Pictures(sha256 -> file, documents)).composeAll(set);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Pages with other pages stamped on them, as annotations; or on nothing. */
    private Path stamped(Optional<Path> below, Path above) {
        Path stamped = folder.resolve("stamped on %d.pdf".formatted(below.hashCode()));
        try (PDDocument from = Loader.loadPDF(above.toFile());
                PDDocument to =
                        below.isPresent()
                                ? Loader.loadPDF(below.get().toFile())
                                : new PDDocument()) {
            LayerUtility forms = new LayerUtility(to);
            for (int i = 0; i < PAGES; i++) {
                PDRectangle box = from.getPage(i).getMediaBox();
                if (below.isEmpty()) {
                    to.addPage(new PDPage(box));
                    to.getPage(i).setCropBox(from.getPage(i).getCropBox());
                }
                PDFormXObject form = forms.importPageAsForm(from, i);
                form.setBBox(box);
                form.setMatrix(new AffineTransform());
                PDAppearanceDictionary looks = new PDAppearanceDictionary();
                looks.setNormalAppearance(new PDAppearanceStream(form.getCOSObject()));
                PDAnnotationRubberStamp stamp = new PDAnnotationRubberStamp();
                stamp.setRectangle(box);
                stamp.setAppearance(looks);
                to.getPage(i).setAnnotations(List.of(stamp));
            }
            to.save(stamped.toFile());
            return stamped;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Every fourth page, with a marker over the whole of it. */
    private Path marked(Path file) {
        Path marked = folder.resolve("marked " + file.getFileName());
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            for (int i = PAGES - 1; i >= 0; i--) {
                if (i % 4 > 0) {
                    document.removePage(i);
                }
            }
            for (PDPage page : document.getPages()) {
                PDRectangle box = page.getMediaBox();
                PDAppearanceStream look = new PDAppearanceStream(document);
                look.setBBox(box);
                PDExtendedGraphicsState multiply = new PDExtendedGraphicsState();
                multiply.setBlendMode(org.apache.pdfbox.pdmodel.graphics.blend.BlendMode.MULTIPLY);
                multiply.setNonStrokingAlphaConstant(0.8f);
                PDResources resources = new PDResources();
                resources.put(COSName.getPDFName("Marker"), multiply);
                look.setResources(resources);
                try (var out = look.getStream().createOutputStream()) {
                    out.write(
                            "/Marker gs 0.1 0.05 0.5 0 k 0 0 %s %s re f"
                                    .formatted(box.getUpperRightX(), box.getUpperRightY())
                                    .getBytes(StandardCharsets.US_ASCII));
                }
                PDAppearanceDictionary looks = new PDAppearanceDictionary();
                looks.setNormalAppearance(look);
                PDAnnotationHighlight marker = new PDAnnotationHighlight();
                marker.setRectangle(box);
                marker.setPrinted(true); // ghostscript draws no others
                marker.setAppearance(looks);
                page.setAnnotations(List.of(marker));
            }
            document.save(marked.toFile());
            return marked;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A veil behind the words of each page, from what is read of them. */
    private static List<Backing> veils(List<PageScene> scenes) {
        List<Backing> veils = new ArrayList<>();
        for (int i = 0; i < PAGES; i++) {
            Rect words = worst(scenes.get(i)).run().bounds().inset(-6, -6, -6, -6);
            veils.add(
                    new Backing(
                            id("veil " + i),
                            i + 1,
                            new Box(
                                    Length.pt(words.x()),
                                    Length.pt(words.y()),
                                    Length.pt(words.width()),
                                    Length.pt(words.height())),
                            Length.ZERO,
                            Tinted.full(VEIL.id()),
                            30 + i % 7 * 10));
        }
        return veils;
    }

    /** The same as something over pages. */
    private static Background over(Backing veil) {
        Box area = veil.area();
        return new Background(
                        id("veil on " + veil.page()),
                        Sides.BOTH,
                        new Area.Rectangle(
                                new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                                area.x(),
                                area.y(),
                                area.width(),
                                area.height(),
                                java.util.Set.of()),
                        new Fill.Solid(veil.color()))
                .withOpacity(veil.opacity())
                .withOver(true);
    }

    /** Every fourth page from the third on, as ghostscript draws what goes out. */
    private List<BufferedImage> sample(Path original, List<PageScene> scenes) {
        try {
            Path added = folder.resolve("veiled " + original.getFileName());
            Map<Integer, PageScene> some = new TreeMap<>();
            IntStream.range(0, PAGES)
                    .filter(i -> i % 4 == 2)
                    .forEach(i -> some.put(i + 1, scenes.get(i)));
            AddedLayers.add(
                    KnownFile.of(Files.readAllBytes(original)),
                    some,
                    Medium.PAPER,
                    COATED,
                    Instant.EPOCH,
                    added,
                    Progress.NONE);
            Path few = folder.resolve("few " + original.getFileName());
            try (PDDocument document = Loader.loadPDF(added.toFile())) {
                for (int i = PAGES - 1; i >= 0; i--) {
                    if (i % 4 != 2) {
                        document.removePage(i);
                    }
                }
                for (PDPage page : document.getPages()) {
                    COSDictionary group = new COSDictionary(); // mixed as on the press (11.6.6)
                    group.setItem(COSName.S, COSName.TRANSPARENCY);
                    group.setItem(COSName.CS, COSName.DEVICECMYK);
                    page.getCOSObject().setItem(COSName.GROUP, group);
                }
                document.save(few.toFile());
            }
            return Ghostscript.pages(few, PPI);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private record Drawn(List<PageScene> scenes, List<BufferedImage> pages) {}

    /** What of the pages is there. */
    private enum Variant {
        WITH(true, true),
        WITHOUT(false, true),
        /** In black, so that they are seen. */
        ALONE(true, false),
        /** In their own colours. */
        LETTERS(true, false);

        private final boolean text;
        private final boolean ground;

        Variant(boolean text, boolean ground) {
            this.text = text;
            this.ground = ground;
        }
    }

    private Path pdf(Variant variant) {
        return folder.resolve(variant + ".pdf");
    }

    private void write(Variant variant, List<PageScene> scenes) throws IOException {
        PdfWriter.write(
                variant.name(),
                scenes,
                Medium.PAPER,
                COATED,
                Instant.EPOCH,
                pdf(variant),
                Progress.NONE);
    }

    private Drawn drawn(Variant variant, Composer composer, Publication publication) {
        List<PageScene> scenes = composer.composeAll(publication);
        try {
            write(variant, scenes);
            return new Drawn(scenes, Ghostscript.pages(pdf(variant), PPI));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void worst_ratio_and_failing_share_are_what_every_pixel_of_ghostscripts_drawing_says()
            throws IOException {
        byte[] waves = picture(false);
        byte[] noise = picture(true);
        PdfDocuments documents = new PdfDocuments();
        Intake intake = new Intake(documents);
        List<Asset> assets =
                List.of(
                        new Asset(id("w"), "waves.png", "waves", intake.look("waves.png", waves)),
                        new Asset(id("n"), "noise.png", "noise", intake.look("noise.png", noise)));
        Composer composer =
                new Composer(
                        COATED,
                        new Pictures(sha256 -> sha256.equals("waves") ? waves : noise, documents));
        List<Sheet> pages =
                IntStream.range(0, PAGES)
                        .mapToObj(number -> new Sheet(number, assets.get(0), assets.get(1)))
                        .toList();
        List<Drawn> drawn =
                Stream.of(Variant.WITH, Variant.WITHOUT, Variant.ALONE)
                        .parallel()
                        .map(each -> drawn(each, composer, publication(pages, assets, each)))
                        .toList();
        Drawn with = drawn.get(0);
        Drawn without = drawn.get(1);
        Drawn alone = drawn.get(2);
        write(Variant.LETTERS, composer.composeAll(publication(pages, assets, Variant.LETTERS)));
        Path whole = pdf(Variant.WITH);
        Map<String, List<PageScene>> files =
                Map.of(
                        "the file",
                        asFile(whole),
                        "the file, all of it in annotations",
                        asFile(stamped(Optional.empty(), whole)),
                        "the file, its text in annotations",
                        asFile(stamped(Optional.of(pdf(Variant.WITHOUT)), pdf(Variant.LETTERS))));
        List<List<BufferedImage>> marked =
                Stream.of(Variant.WITH, Variant.WITHOUT)
                        .parallel()
                        .map(each -> {
                            try {
                                return Ghostscript.pages(marked(pdf(each)), PPI);
                            } catch (IOException e) {
                                throw new UncheckedIOException(e);
                            }
                        })
                        .toList();
        List<PageScene> belowMarkers = asFile(marked(whole));
        List<Backing> veils = veils(files.get("the file"));
        List<PageScene> onVeils = asFile(whole, veils, List.of());
        List<BufferedImage> withVeils = sample(whole, onVeils);
        Path bare = pdf(Variant.WITHOUT);
        List<BufferedImage> onlyVeils =
                sample(bare, asFile(bare, List.of(), veils.stream().map(FieldTest::over).toList()));
        List<String> far = new ArrayList<>();
        int failing = 0;
        for (int i = 0; i < PAGES; i++) {
            RunContrast ours = AA.judge(with.scenes().get(i)).getFirst();
            double size = ours.run().size();
            Brute brute =
                    pages.get(i).isOutlined
                            ? Brute.outlined(
                                    alone.pages().get(i),
                                    with.pages().get(i),
                                    size,
                                    ours.required())
                            : Brute.of(
                                    alone.pages().get(i),
                                    with.pages().get(i),
                                    without.pages().get(i),
                                    size,
                                    ours.required());
            assertThat(brute.letters()).as("page %d", i).isEqualTo(WORD.length());
            failing += ours.passes() ? 0 : 1;
            if (isFar(ours, brute)) {
                far.add("page %d: %s, theirs %s".formatted(i, ours, brute));
            }
            if (!pages.get(i).isOutlined) {
                if (i % 4 == 0) {
                    Brute below =
                            Brute.of(
                                    alone.pages().get(i),
                                    marked.get(0).get(i / 4),
                                    marked.get(1).get(i / 4),
                                    size,
                                    ours.required());
                    RunContrast read = worst(belowMarkers.get(i / 4));
                    assertThat(read.veiled()).isTrue();
                    if (isFar(read, below)) {
                        far.add("page %d below a marker: %s, theirs %s".formatted(i, read, below));
                    }
                }
                if (i % 4 == 2) {
                    Brute veiled =
                            Brute.of(
                                    alone.pages().get(i),
                                    withVeils.get(i / 4),
                                    onlyVeils.get(i / 4),
                                    size,
                                    ours.required());
                    RunContrast read = worst(onVeils.get(i));
                    assertThat(read.veiled()).isFalse();
                    if (isFar(read, veiled)) {
                        far.add("page %d on a veil: %s, theirs %s".formatted(i, read, veiled));
                    }
                }
                for (var file : files.entrySet()) {
                    if (i % 4 > 0 && !file.getKey().equals("the file")) {
                        continue; // a sample of them is enough
                    }
                    RunContrast read = worst(file.getValue().get(i));
                    assertThat(read.run().text().replace(" ", "")).isEqualTo(WORD);
                    if (isFar(read, brute)) {
                        far.add(
                                "page %d of %s: %s, theirs %s"
                                        .formatted(i, file.getKey(), read, brute));
                    }
                }
            }
        }
        assertThat(far).isEmpty();
        assertThat(failing).isBetween(PAGES / 6, PAGES - PAGES / 6);
    }
}
