package yewberry.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Field;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.AddedLayers;
import yewberry.pdf.PdfDocuments;

/**
 * A background behind the 500 pages of a PDF that exists, warm, in CPU time: writing alone, against
 * qpdf laying a page under each page of the same file; the same with running numbers and a word
 * over each page; and taking it off again, against adding it. Goals: at most half of qpdf, with
 * numbers and words at most as long as qpdf; taking off at most as long as adding.
 */
final class AddToFiles implements Bench.Benchmark {
    private static final int PAGES = 500;

    /** So many until all of it is compiled; the shortest counts. */
    private static final int ROUNDS = 30;

    private static final PressCondition PRESS = PressCondition.coated();

    @Override
    public void run() throws Exception {
        for (int megabytes : new int[] {0, 50}) {
            byte[] file = file(PAGES, megabytes);
            KnownFile known = KnownFile.of(file);
            Map<Integer, PageScene> scenes = scenes(file, PAGES, false);
            Map<Integer, PageScene> more = scenes(file, PAGES, true);
            Path folder = Files.createTempDirectory("yewberry-bench");
            Path added = folder.resolve("added.pdf");
            Path off = folder.resolve("off.pdf");
            double adding = Double.MAX_VALUE;
            double addingMore = Double.MAX_VALUE;
            double taking = Double.MAX_VALUE;
            for (int round = 0; round < ROUNDS; round++) {
                addingMore = Math.min(addingMore, adding(known, more, added));
                adding = Math.min(adding, adding(known, scenes, added));
                KnownFile marked = KnownFile.of(Files.readAllBytes(added));
                double take =
                        CpuTime.of(() ->
                                AddedLayers.takeOff(
                                        marked,
                                        item -> true,
                                        Set.of(),
                                        Instant.EPOCH,
                                        off,
                                        Progress.NONE));
                taking = Math.min(taking, take);
            }
            double qpdf = qpdf(folder, file);
            System.out.printf(
                    Locale.ROOT,
                    "%d pages, %.1f MB: qpdf %.2f s; adding %.2f s, %.2f of it (goal: 0.5); with numbers and words %.2f s, %.2f of it (goal: 1.0); taking off %.2f s, %.2f of adding (goal: 1.0)%n",
                    PAGES,
                    file.length / 1e6,
                    qpdf,
                    adding,
                    adding / qpdf,
                    addingMore,
                    addingMore / qpdf,
                    taking,
                    taking / adding);
            for (Path each : List.of(added, off)) {
                Files.deleteIfExists(each);
            }
            Files.delete(folder);
        }
    }

    private static double adding(KnownFile file, Map<Integer, PageScene> scenes, Path to)
            throws Exception {
        return CpuTime.of(() ->
                AddedLayers.add(
                        file, scenes, Medium.SCREEN, PRESS, Instant.EPOCH, to, Progress.NONE));
    }

    /** Pages of text, with noise that no page shows, to make the file as large as wanted. */
    static byte[] file(int pages, int megabytes) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDType1Font font = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
            for (int i = 0; i < pages; i++) {
                PDPage page = new PDPage(PDRectangle.A4);
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.beginText();
                    content.setFont(font, 11);
                    content.setLeading(15);
                    content.newLineAtOffset(60, 760);
                    for (int line = 0; line < 40; line++) {
                        content.showText(
                                "Log of night %d, line %d: seeing 3, cloud 2/8".formatted(i, line));
                        content.newLine();
                    }
                    content.endText();
                }
            }
            byte[] noise = new byte[megabytes << 20];
            new Random(1).nextBytes(noise);
            var stream = document.getDocument().createCOSStream();
            try (var out = stream.createOutputStream()) {
                out.write(noise);
            }
            document.getDocumentCatalog().getCOSObject().setItem("Noise", stream);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    /**
     * @param more whether there are a running number and a word over each page, too
     */
    static Map<Integer, PageScene> scenes(byte[] file, int pages, boolean more) {
        Asset asset =
                new Asset(
                        new UUID(8, 1),
                        "Log",
                        "log",
                        new Intake(new PdfDocuments()).look("log.pdf", file));
        Swatch evening = new Swatch(new UUID(8, 2), "Evening", new Cmyk(12, 6, 2, 0));
        Background behind =
                new Background(
                        new UUID(8, 3),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(evening.id())));
        Look look =
                new Look(
                        new UUID(8, 6),
                        "Number",
                        "Source Sans 3",
                        400,
                        Length.pt(9),
                        Length.pt(12),
                        Length.ZERO,
                        Look.Alignment.LEFT,
                        Tinted.full(evening.id()),
                        Look.Overprint.NEVER);
        UUID story = new UUID(8, 7);
        TextFrame digits =
                new TextFrame(
                        new UUID(8, 8),
                        Sides.BOTH,
                        new Box(Length.pt(500), Length.pt(800), Length.pt(60), Length.pt(20)),
                        story);
        PictureFrame word =
                new PictureFrame(
                        new UUID(8, 9),
                        Sides.BOTH,
                        new Box(Length.pt(60), Length.pt(300), Length.pt(450), Length.pt(120)),
                        PictureFrame.Level.OVER,
                        new Fill.Word(
                                "Not current",
                                "Fraunces",
                                700,
                                false,
                                Optional.empty(),
                                Tinted.full(evening.id())));
        Parent parent =
                new Parent(
                        new UUID(8, 4),
                        "Archived",
                        new Layer(List.of(behind), more ? List.of(digits, word) : List.of()));
        Imported first = new Imported(asset.id(), 1);
        Publication set =
                new Publication(
                                new UUID(8, 5),
                                "Log",
                                Setup.of(first.sizeIn(asset), false),
                                List.of(evening),
                                List.of(look),
                                List.of(parent),
                                IntStream.rangeClosed(1, pages)
                                        .mapToObj(number ->
                                                new Page(
                                                                new UUID(9, number),
                                                                Optional.of(parent.id()),
                                                                true,
                                                                Layer.EMPTY)
                                                        .withSize(Optional.of(first.sizeIn(asset)))
                                                        .withImported(
                                                                Optional.of(
                                                                        new Imported(
                                                                                asset.id(),
                                                                                number))))
                                        .toList())
                        .withAssets(List.of(asset))
                        .withStories(
                                more ? List.of(numbers(story, digits, parent, look)) : List.of());
        Composer composer = new Composer(PRESS, new Pictures(sha256 -> file, new PdfDocuments()));
        Map<Integer, PageScene> scenes = new HashMap<>();
        for (int i = 0; i < pages; i++) {
            scenes.put(i + 1, composer.compose(set, i));
        }
        return scenes;
    }

    private static Story numbers(UUID story, TextFrame frame, Parent parent, Look look) {
        String number = String.valueOf(Field.RUNNING_NUMBER.character());
        return new Story(
                story,
                List.of(new Story.Link(new Owner.OnParent(parent.id()), frame.id())),
                List.of(
                        new Paragraph(
                                new UUID(8, 10),
                                look.id(),
                                List.of(new Run(new UUID(8, 11), number, Optional.empty())))));
    }

    /** A page of one colour under each, user and system time together; the best of some rounds. */
    private static double qpdf(Path folder, byte[] file) throws IOException, InterruptedException {
        Path in = Files.write(folder.resolve("in.pdf"), file);
        Path under = folder.resolve("under.pdf");
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(PDRectangle.A4);
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(0.86f, 0.9f, 0.95f);
                content.addRect(0, 0, 596, 842);
                content.fill();
            }
            document.save(under.toFile());
        }
        double best = Double.MAX_VALUE;
        for (int round = 0; round < ROUNDS; round++) {
            double seconds =
                    CpuTime.of(folder, "qpdf in.pdf --underlay under.pdf --repeat=1 -- out.pdf");
            best = Math.min(best, seconds);
        }
        for (Path each : Arrays.asList(in, under, folder.resolve("out.pdf"))) {
            Files.delete(each);
        }
        return best;
    }
}
