package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputPages;
import yewberry.core.output.OutputSettings;
import yewberry.core.output.PrinterMarks;
import yewberry.core.output.Structure;
import yewberry.core.publication.Box;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Files whose pages are spreads, of publications of every make. */
class SpreadPdfTest {
    private static final PressCondition COATED = PressCondition.coated();

    /** A page is 105 mm wide: 525 pixels. */
    private static final int PPI = 127;

    private static final int PAGE = 525;

    @TempDir Path folder;

    /** Those whose pages face each other. */
    static Stream<Long> seeds() {
        return Sweep.seeds(20).map(seed -> 2 * seed);
    }

    private PdfOutput output(SeededGuide guide, Publication publication, OutputSettings settings) {
        return settings.kind() == OutputKind.SCREEN_AND_PAPER_PDF
                ? PdfOutput.layered(
                        publication,
                        OutputPages.layered(publication, settings, guide.composer()),
                        COATED,
                        Instant.EPOCH)
                : PdfOutput.of(
                        publication,
                        OutputPages.scenes(publication, settings, guide.composer()),
                        settings.profile(),
                        COATED,
                        Instant.EPOCH);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void they_are_read_back_and_drawn_as_their_pages(long seed) throws IOException {
        SeededGuide guide = new SeededGuide(seed);
        Publication publication = guide.publication();
        check(seed, guide, publication, 0.002);
        OutputSettings settings = OutputSettings.of(OutputKind.READING_PDF);
        assertThat(words(output(guide, publication, settings.withSpreads(true))))
                .isEqualTo(words(output(guide, publication, settings)));
    }

    /** Letters that the spine cuts are on the other page, too: they are there as a whole. */
    @ParameterizedTest
    @MethodSource("seeds")
    void what_goes_beyond_the_spine_ends_there(long seed) throws IOException {
        SeededGuide guide = new SeededGuide(seed);
        Publication publication = guide.publication();
        Publication moved =
                publication.withPages(
                        publication.pages().stream().map(page -> moved(page, 35)).toList());
        check(seed, guide, moved, 0.01);
    }

    /** Both stand at the same top, and each is as wide as it is. */
    @ParameterizedTest
    @MethodSource("seeds")
    void pages_of_several_sizes_are_read_back(long seed) throws IOException {
        SeededGuide guide = new SeededGuide(seed);
        Publication publication = guide.publication();
        List<Page> pages = new ArrayList<>(publication.pages());
        PageSize small = new PageSize(Length.mm(90), Length.mm(120));
        pages.set(1, pages.get(1).withSize(Optional.of(small)));
        Publication mixed = publication.withPages(pages);
        OutputSettings settings =
                OutputSettings.of(seed % 4 == 0 ? OutputKind.PRESS_PDF : OutputKind.ALL_PDF)
                        .withMarks(Optional.of(PrinterMarks.USUAL))
                        .withSpreads(true);
        PdfOutput spreads = output(guide, mixed, settings);
        Path file = folder.resolve("mixed.pdf");
        PdfWriter.write(spreads, file, Progress.NONE);
        ReadBackReport report = ReadBack.check(file, spreads, Progress.NONE);
        assertThat(report.problems()).isEmpty();
        assertThat(report.matches()).as(report.toString()).isTrue();
    }

    /** Its frames farther to the right. */
    static Page moved(Page page, double right) {
        return page.withLayer(
                page.layer()
                        .withFrames(
                                page.layer().frames().stream()
                                        .map(frame ->
                                                frame.withPlace(
                                                        frame.sides(),
                                                        new Box(
                                                                Length.mm(
                                                                        frame.box()
                                                                                        .x()
                                                                                        .millimetres()
                                                                                + right),
                                                                frame.box().y(),
                                                                frame.box().width(),
                                                                frame.box().height())))
                                        .toList()));
    }

    private void check(long seed, SeededGuide guide, Publication publication, double most)
            throws IOException {
        OutputKind kind = OutputKind.values()[(int) (seed / 2 % 4)];
        OutputSettings settings =
                OutputSettings.of(kind).withOverprintShown(kind == OutputKind.ALL_PDF);
        PdfOutput single = output(guide, publication, settings);
        PdfOutput spreads = output(guide, publication, settings.withSpreads(true));
        assertThat(spreads.scenes()).hasSize(publication.pages().size() / 2 + 1);
        Path file = folder.resolve("spreads.pdf");
        PdfWriter.write(spreads, file, Progress.NONE);
        ReadBackReport report = ReadBack.check(file, spreads, Progress.NONE);
        assertThat(report.problems()).isEmpty();
        assertThat(report.pages()).allSatisfy(page -> assertThat(page.problems()).isEmpty());
        assertThat(report.matches()).as(report.toString()).isTrue();
        if (publication.pages().size() > 2) {
            assertThat(report.pages().get(1).label()).hasValue("2–3");
            assertThat(report.pages().get(1).pages())
                    .containsExactly(
                            publication.pages().get(1).id(), publication.pages().get(2).id());
        }
        assertThat(Programs.run("qpdf", "--check", file.toString()).status()).isZero();
        if (kind == OutputKind.READING_PDF || kind == OutputKind.ALL_PDF) {
            assertThat(VeraPdf.broken(file, "2a")).isEmpty();
            assertThat(VeraPdf.broken(file, "ua1")).isEmpty();
        }
        Path pages = folder.resolve("pages.pdf");
        PdfWriter.write(single, pages, Progress.NONE);
        List<BufferedImage> joined = drawn(file);
        List<BufferedImage> each = drawn(pages);
        for (int page = 0; page < each.size(); page++) {
            boolean left = page % 2 == 1 && page + 1 < each.size();
            BufferedImage spread = joined.get((page + 1) / 2);
            int from = left || spread.getWidth() < 2 * PAGE ? 0 : PAGE;
            assertThat(differing(each.get(page), spread, from))
                    .as("page %d", page + 1)
                    .isLessThan(most);
        }
    }

    /** By ghostscript, to the trim. */
    private List<BufferedImage> drawn(Path pdf) throws IOException {
        Path to = Files.createTempDirectory(folder, "drawn");
        Ghostscript.draw(pdf, "png16m", PPI, to.resolve("%d.png"), "-dUseTrimBox");
        List<BufferedImage> pages = new ArrayList<>();
        for (int number = 1; Files.exists(to.resolve(number + ".png")); number++) {
            pages.add(ImageIO.read(to.resolve(number + ".png").toFile()));
        }
        return pages;
    }

    /** The part of a page's pixels that a spread has in another colour. */
    private static double differing(BufferedImage page, BufferedImage spread, int from) {
        int height = Math.min(page.getHeight(), spread.getHeight());
        int[] one = page.getRGB(0, 0, PAGE, height, null, 0, PAGE);
        int[] other = spread.getRGB(from, 0, PAGE, height, null, 0, PAGE);
        int differing = 0;
        for (int i = 0; i < one.length; i++) {
            int at = i;
            boolean same =
                    Stream.of(0, 8, 16)
                            .allMatch(shift ->
                                    Math.abs(
                                                    (one[at] >> shift & 0xff)
                                                            - (other[at] >> shift & 0xff))
                                            <= 8);
            differing += same ? 0 : 1;
        }
        return differing / (double) one.length;
    }

    /** In the order in which they are read. */
    private static List<String> words(PdfOutput output) {
        Structure structure = output.structure().orElseThrow();
        for (int page = 0; page < output.scenes().size(); page++) {
            output.places(structure, page, output.scenes().get(page));
        }
        return Arrays.asList(structure.root().text().strip().split("\\s+"));
    }
}
