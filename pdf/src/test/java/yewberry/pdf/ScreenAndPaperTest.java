package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.AbstractList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputPages;
import yewberry.core.output.OutputSettings;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.publication.Background;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.ReadBack;

/** Files that show one thing on a screen and print another, as other programs do so. */
class ScreenAndPaperTest {
    private static final PressCondition COATED = PressCondition.coated();

    @TempDir Path folder;

    /** The leaflet, whose first page is dark on a screen only. */
    private static Publication publication() {
        Publication leaflet = Leaflet.publication();
        return leaflet.withPages(
                leaflet.pages().stream().map(ScreenAndPaperTest::onScreen).toList());
    }

    private static Page onScreen(Page page) {
        return page.withLayer(
                page.layer()
                        .withBackgrounds(
                                page.layer().backgrounds().stream()
                                        .map(each ->
                                                each.withGoesTo(new Background.GoesTo(true, false)))
                                        .toList()));
    }

    /** Each page is made anew whenever it is asked for, as where memory is short. */
    private static PdfOutput output() {
        OutputSettings settings = OutputSettings.of(OutputKind.SCREEN_AND_PAPER_PDF);
        Publication made = OutputPages.of(publication(), settings);
        List<ScreenAndPaper> anew =
                new AbstractList<>() {
                    @Override
                    public ScreenAndPaper get(int index) {
                        return OutputPages.layered(made, settings, new Composer(COATED)).get(index);
                    }

                    @Override
                    public int size() {
                        return made.pages().size();
                    }
                };
        return PdfOutput.layered(made, anew, COATED, Instant.EPOCH);
    }

    private Path written() throws IOException {
        Path file = folder.resolve("both.pdf");
        PdfWriter.write(output(), file, Progress.NONE);
        return file;
    }

    /** A program may print warnings, and draws all the same. */
    private BufferedImage drawn(Path file, String... command) throws IOException {
        Path picture = folder.resolve(command[0] + ".png");
        String[] whole = new String[command.length];
        for (int i = 0; i < command.length; i++) {
            whole[i] = command[i].replace("IN", file.toString()).replace("OUT", picture.toString());
        }
        Programs.Result result = Programs.run(whole);
        assertThat(result.status()).as(result.output()).isZero();
        return ImageIO.read(picture.toFile());
    }

    private static Rgb at(BufferedImage image, double x, double y) {
        int rgb = image.getRGB((int) (image.getWidth() * x), (int) (image.getHeight() * y));
        return new Rgb(rgb >> 16 & 0xff, rgb >> 8 & 0xff, rgb & 0xff);
    }

    /** The lightest and the darkest of an image, as a ratio. */
    private static double span(BufferedImage image) {
        double most = 1;
        Rgb ground = at(image, 0.5, 0.95);
        for (int y = image.getHeight() / 20; y < image.getHeight() / 2; y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int rgb = image.getRGB(x, y);
                Rgb color = new Rgb(rgb >> 16 & 0xff, rgb >> 8 & 0xff, rgb & 0xff);
                most = Math.max(most, Contrast.ratio(color, ground));
            }
        }
        return most;
    }

    @Test
    void it_is_dark_where_it_is_viewed_and_white_where_it_is_printed() throws IOException {
        Path file = written();
        // of ghostscript 10.00 only the interpreter that it replaces switches by -dPrinted
        String[] gs = {
            "gs",
            "-q",
            "-dNEWPDF=false",
            "-dNOPAUSE",
            "-dBATCH",
            "-sDEVICE=png16m",
            "-r144",
            "-dLastPage=1",
            "-dUseCropBox",
            "-dPrinted=%s",
            "-sOutputFile=OUT",
            "IN"
        };
        gs[9] = "-dPrinted=false";
        BufferedImage viewed = drawn(file, gs);
        assertThat(Contrast.ratio(at(viewed, 0.02, 0.5), new Rgb(255, 255, 255))).isGreaterThan(7);
        gs[9] = "-dPrinted=true";
        BufferedImage printed = drawn(file, gs);
        assertThat(at(printed, 0.02, 0.5)).isEqualTo(new Rgb(255, 255, 255));
        assertThat(Contrast.ratio(at(popplers(file), 0.02, 0.5), new Rgb(255, 255, 255)))
                .isGreaterThan(7);
        // neither of them draws what is there where a group is off as it would be printed:
        // ghostscript
        // then goes by the usual state, poppler knows none but that; so that is made the printed
        // one
        Path off = folder.resolve("off.pdf");
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            COSDictionary all =
                    document.getDocumentCatalog()
                            .getCOSObject()
                            .getCOSDictionary(COSName.OCPROPERTIES);
            all.getCOSDictionary(COSName.D).setItem(COSName.OFF, all.getCOSArray(COSName.OCGS));
            document.save(off.toFile());
        }
        BufferedImage theirs = popplers(off);
        assertThat(at(theirs, 0.02, 0.5)).isEqualTo(new Rgb(255, 255, 255));
        assertThat(span(theirs)).isGreaterThan(4.5);
    }

    private BufferedImage popplers(Path file) throws IOException {
        Path poppler = folder.resolve("poppler");
        Programs.run(
                "pdftoppm",
                "-r",
                "144",
                "-png",
                "-singlefile",
                "-cropbox",
                "-l",
                "1",
                file.toString(),
                poppler.toString());
        return ImageIO.read(folder.resolve("poppler.png").toFile());
    }

    @Test
    void text_that_is_drawn_for_each_is_read_once() throws IOException {
        Path file = written();
        assertThat(output().where(0).orElseThrow())
                .contains(ScreenAndPaper.Where.SCREEN, ScreenAndPaper.Where.PAPER);
        String text = Programs.run("pdftotext", "-l", "1", file.toString(), "-").output();
        // three paragraphs of the same words are on the page
        assertThat(text.split("fjord", -1)).hasSize(4);
        assertThat(Programs.run("qpdf", "--check", file.toString()).status()).isZero();
        assertThat(ReadBack.check(file, output(), Progress.NONE).matches()).isTrue();
    }

    /** What was added to a file comes off it; its own groups do not. */
    @Test
    void its_group_is_its_own() throws IOException {
        try (PDDocument document = Loader.loadPDF(written().toFile())) {
            assertThat(document.getDocumentCatalog().getOCProperties().getGroupNames())
                    .containsExactly("Screen");
            assertThat(SwitchedLayers.areIn(document)).isFalse();
            SwitchedLayers.addedTo(document, Medium.PAPER);
            assertThat(SwitchedLayers.areIn(document)).isTrue();
            assertThat(SwitchedLayers.takeOff(document, Set.of())).isTrue();
            assertThat(document.getDocumentCatalog().getOCProperties().getGroupNames())
                    .containsExactly("Screen");
            assertThat(SwitchedLayers.areAsViewed(document)).isTrue();
        }
    }

    private void isNoticed(Consumer<COSDictionary> harm) throws IOException {
        Path harmed = folder.resolve("harmed.pdf");
        try (PDDocument document = Loader.loadPDF(written().toFile())) {
            harm.accept(
                    document.getDocumentCatalog()
                            .getCOSObject()
                            .getCOSDictionary(COSName.OCPROPERTIES));
            document.save(harmed.toFile());
        }
        assertThat(ReadBack.check(harmed, output(), Progress.NONE).matches()).isFalse();
    }

    @Test
    void switching_that_is_lost_is_noticed() throws IOException {
        isNoticed(all -> all.getCOSDictionary(COSName.D).removeItem(COSName.AS));
        isNoticed(all ->
                all.getCOSDictionary(COSName.D)
                        .setItem(COSName.OFF, all.getCOSArray(COSName.OCGS)));
        isNoticed(all -> group(all).removeItem(COSName.getPDFName("Usage")));
        isNoticed(all ->
                group(all)
                        .getCOSDictionary(COSName.getPDFName("Usage"))
                        .getCOSDictionary(COSName.getPDFName("Print"))
                        .setName("PrintState", "ON"));
    }

    private static COSDictionary group(COSDictionary all) {
        return (COSDictionary) all.getCOSArray(COSName.OCGS).getObject(0);
    }

    /** No background, and every word in a colour that can be read on paper. */
    @Test
    void an_office_printout_is_cut_at_the_trim_and_can_be_read() throws IOException {
        OutputSettings settings = OutputSettings.of(OutputKind.OFFICE_PDF).withBackgrounds(false);
        Publication made = OutputPages.of(Leaflet.publication(), settings);
        PdfOutput output =
                PdfOutput.of(
                        made,
                        OutputPages.scenes(made, settings, new Composer(COATED)),
                        settings.profile(),
                        COATED,
                        Instant.EPOCH);
        Path file = folder.resolve("office.pdf");
        PdfWriter.write(output, file, Progress.NONE);
        assertThat(ReadBack.check(file, output, Progress.NONE).matches()).isTrue();
        BufferedImage drawn =
                drawn(
                        file,
                        "gs",
                        "-q",
                        "-dNOPAUSE",
                        "-dBATCH",
                        "-sDEVICE=png16m",
                        "-r144",
                        "-dLastPage=1",
                        "-sOutputFile=OUT",
                        "IN");
        // A6
        assertThat(drawn.getWidth()).isEqualTo((int) Math.round(105 / 25.4 * 144));
        assertThat(at(drawn, 0.02, 0.5)).isEqualTo(new Rgb(255, 255, 255));
        assertThat(span(drawn)).isGreaterThan(4.5);
    }
}
