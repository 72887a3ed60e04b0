package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Box;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Text with characters that are not drawn, or drawn otherwise, extracted by poppler. */
class CharactersTest {
    private static final PressCondition COATED = PressCondition.coated();

    @TempDir Path folder;

    /** What is typed, and what a reader of the file copies. */
    record Typed(String text, String copied) {
        @Override
        public String toString() {
            return copied;
        }
    }

    static List<Typed> typed() {
        return List.of(
                new Typed("Salt\u200bmarsh in the night", "Saltmarsh in the night"),
                new Typed("sea\u200dmark and tide", "seamark and tide"),
                new Typed("obser\u00advation of a star", "observation of a star"),
                new Typed("one line\u2028and another", "one line and another"),
                // decomposed, beside the same letters composed
                new Typed(
                        "cafe\u0301 or caf\u00e9, nai\u0308ve",
                        "cafe\u0301 or caf\u00e9, nai\u0308ve"),
                new Typed(
                        "a non-breaking\u00a0space and a space",
                        "a non-breaking space and a space"),
                new Typed("office, waffle, first fjord", "office, waffle, first fjord"),
                // in Hebrew and Arabic; poppler marks what runs leftward
                new Typed("ירח מלא בחורף 1704", "ירח מלא בחורף 1704"),
                new Typed("القمر فوق المستنقع", "القمر فوق المستنقع"),
                new Typed(
                        "5\u202fmm \u2212 2\u2009mm \u2010 \u2011 -",
                        "5 mm \u2212 2 mm \u2010 \u2011 -"));
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static PageScene scene(String text) {
        Publication leaflet = Leaflet.publication();
        Paragraph paragraph =
                new Paragraph(
                        id("p"),
                        leaflet.looks().getLast().id(),
                        List.of(new Run(id("r"), text, Optional.empty())));
        Box box = new Box(Length.mm(10), Length.mm(20), Length.mm(85), Length.mm(80));
        Page page =
                new Page(
                        id("page"),
                        Optional.empty(),
                        true,
                        new Layer(
                                List.of(),
                                List.of(
                                        new TextFrame(
                                                id("f"),
                                                Sides.BOTH,
                                                box,
                                                Leaflet.storyOf(id("f"))))));
        Story story = Leaflet.story(page.asOwner(), id("f"), List.of(paragraph));
        return new Composer(COATED)
                .compose(leaflet.withPages(List.of(page)).withStories(List.of(story)), 0);
    }

    @ParameterizedTest
    @MethodSource("typed")
    void text_is_copied_as_its_characters_and_the_file_reads_back_right(Typed typed)
            throws IOException {
        List<PageScene> scenes = List.of(scene(typed.text()));
        Path pdf = folder.resolve("text.pdf");
        PdfWriter.write("Text", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.pages().getFirst().problems()).isEmpty();
        assertThat(report.matches()).isTrue();
        Programs.Result copied = Programs.run("pdftotext", "-enc", "UTF-8", pdf.toString(), "-");
        assertThat(plain(copied.output())).isEqualTo(plain(typed.copied()));
    }

    /** Spaces of every kind and width count as one. */
    private static String plain(String text) {
        return text.replaceAll("[\u202a-\u202e]", "")
                .replaceAll("[\\s\u00a0\u2009\u202f]+", " ")
                .strip();
    }
}
