package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TabStop;
import yewberry.core.publication.TextFrame;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** A contents list with leaders and links, and lists, as poppler reads them. */
class LinksAndListsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Box BOX =
            new Box(Length.mm(15), Length.mm(20), Length.mm(75), Length.mm(90));
    private static final LinkTo AWAY =
            new LinkTo.Address("https://observatory.example/nights?from=2026");

    @TempDir Path folder;

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Run run(String text, Optional<LinkTo> link) {
        return new Run(id("run " + text), text, Optional.empty()).withLink(link);
    }

    private static Paragraph paragraph(Look look, Run... runs) {
        return new Paragraph(id("paragraph " + runs[0].text()), look.id(), List.of(runs));
    }

    static Publication publication() {
        Publication leaflet = Leaflet.publication();
        Look plain = leaflet.looks().getLast();
        Look contents =
                look(plain, "Contents")
                        .withSetting(
                                plain.setting()
                                        .withTabs(
                                                List.of(
                                                        new TabStop(
                                                                Optional.empty(),
                                                                TabStop.Side.RIGHT,
                                                                ". "))));
        Look steps =
                look(plain, "Steps")
                        .withList(
                                Optional.of(
                                        new ListMark(
                                                new ListMark.Numbered(
                                                        ListMark.NumberStyle.FIGURES,
                                                        "",
                                                        ".",
                                                        false,
                                                        false),
                                                1,
                                                Optional.empty())))
                        .withSetting(plain.setting().withIndents(Length.mm(-6), Length.mm(6)));
        Look shouted =
                look(plain, "Shouted")
                        .withSetting(
                                plain.setting()
                                        .withLetters(
                                                new Letters(
                                                        Letters.Capitals.ALL,
                                                        Letters.Figures.AS_FACE)));
        Look small =
                look(plain, "Small")
                        .withSetting(
                                plain.setting()
                                        .withLetters(
                                                new Letters(
                                                        Letters.Capitals.SMALL,
                                                        Letters.Figures.OLD_STYLE)));
        Paragraph heading = paragraph(plain, run("Moonrise over the marsh", Optional.empty()));
        Story second = story("second", heading);
        UUID page = id("page third");
        Story first =
                story(
                        "first",
                        paragraph(
                                contents,
                                run(
                                        "Moonrise\t2",
                                        Optional.of(
                                                new LinkTo.ToParagraph(
                                                        second.id(), heading.id())))),
                        paragraph(contents, run("Maps\t3", Optional.of(new LinkTo.ToPage(page)))),
                        paragraph(steps, run("Let your eyes adjust.", Optional.empty())),
                        paragraph(steps, run("Look up, and wait.", Optional.empty())),
                        paragraph(shouted, run("Große Straße", Optional.empty())),
                        paragraph(small, run("Open 1704 to 1917", Optional.empty())),
                        paragraph(
                                plain,
                                run("All nights are on ", Optional.empty()),
                                run(
                                        "the web page of the Observatory, with the times of the"
                                                + " moon and what is to be seen",
                                        Optional.of(AWAY)),
                                run(".", Optional.empty())),
                        paragraph(
                                plain, run("nowhere", Optional.of(new LinkTo.ToPage(id("gone"))))));
        Story third = story("third", paragraph(plain, run("Turned", Optional.of(AWAY))));
        List<Look> looks = new ArrayList<>(leaflet.looks());
        looks.addAll(List.of(contents, steps, shouted, small));
        return leaflet.withLooks(looks)
                .withSetup(
                        leaflet.setup()
                                .withLanguage(Language.GERMAN)
                                .withTitle(Optional.of("Nächte am Moor")))
                .withPages(List.of(page("first", 0), page("second", 0), page("third", 30)))
                .withStories(List.of(first, second, third));
    }

    private static Look look(Look like, String name) {
        return new Look(
                id(name),
                name,
                like.family(),
                like.weight(),
                like.size(),
                Length.pt(14),
                Length.ZERO,
                Look.Alignment.LEFT,
                like.color(),
                like.overprint());
    }

    private static Story story(String name, Paragraph... text) {
        Page page = page(name, 0);
        return new Story(
                id("story " + name),
                List.of(new Story.Link(page.asOwner(), id("frame " + name))),
                List.of(text));
    }

    private static Page page(String name, double rotation) {
        return new Page(
                id("page " + name),
                Optional.empty(),
                true,
                new Layer(
                        List.of(),
                        List.of(
                                new TextFrame(
                                        id("frame " + name),
                                        Sides.BOTH,
                                        BOX,
                                        FrameSetting.USUAL.withRotation(rotation),
                                        id("story " + name)))));
    }

    private Path written(Medium medium, List<PageScene> scenes) throws IOException {
        Path pdf = folder.resolve("links.pdf");
        PdfWriter.write(
                PdfOutput.of(
                        publication(), scenes, PdfProfile.plain(medium), COATED, Instant.EPOCH),
                pdf,
                Progress.NONE);
        return pdf;
    }

    @ParameterizedTest
    @EnumSource(Medium.class)
    void text_with_leaders_marks_and_capitals_is_copied_as_it_was_typed(Medium medium)
            throws IOException {
        List<PageScene> scenes = new Composer(COATED).composeAll(publication());
        Path pdf = written(medium, scenes);
        ReadBackReport report = ReadBack.check(pdf, scenes, medium, COATED, Progress.NONE);
        assertThat(report.pages()).allSatisfy(page -> assertThat(page.problems()).isEmpty());
        assertThat(report.matches()).isTrue();
        String copied =
                Programs.run("pdftotext", "-enc", "UTF-8", "-layout", pdf.toString(), "-")
                        .output()
                        .replaceAll("[ \u00a0]+", " ");
        assertThat(copied)
                .contains("Moonrise 2")
                .contains("Maps 3")
                .contains("1. Let your eyes adjust.")
                .contains("2. Look up, and wait.")
                .contains("Große Straße")
                .contains("Open 1704 to 1917");
    }

    @Test
    void a_file_says_its_title_and_its_language() throws IOException {
        Path pdf = written(Medium.PAPER, new Composer(COATED).composeAll(publication()));
        assertThat(Programs.run("pdfinfo", pdf.toString()).output())
                .containsPattern("Title: +Nächte am Moor");
        assertThat(Programs.run("qpdf", "--json", pdf.toString()).output())
                .contains("\"/Lang\": \"u:de\"")
                .contains("\"/DisplayDocTitle\": true");
    }

    /** As poppler's pdftohtml finds them: a page of the file, or an address. */
    @Test
    void links_lead_to_addresses_pages_and_paragraphs_on_screens() throws IOException {
        List<PageScene> scenes = new Composer(COATED).composeAll(publication());
        Path pdf = written(Medium.SCREEN, scenes);
        String xml = Programs.run("pdftohtml", "-xml", "-stdout", "-i", pdf.toString()).output();
        List<String> found =
                Pattern.compile("href=\"([^\"]+)\"")
                        .matcher(xml)
                        .results()
                        .map(LinksAndListsTest::target)
                        .toList();
        assertThat(found).contains("page 2", "page 3", ((LinkTo.Address) AWAY).uri());
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            // two lines of contents, an address of two lines, and nothing that leads nowhere
            assertThat(document.getPage(0).getAnnotations()).hasSize(4);
            PDAnnotationLink turned =
                    (PDAnnotationLink) document.getPage(2).getAnnotations().getFirst();
            float[] corners = turned.getQuadPoints();
            double angle =
                    Math.toDegrees(Math.atan2(corners[1] - corners[3], corners[2] - corners[0]));
            assertThat(angle).isBetween(29.9, 30.1);
        }
        try (PDDocument document = Loader.loadPDF(written(Medium.PAPER, scenes).toFile())) {
            assertThat(document.getPage(0).getAnnotations()).isEmpty();
        }
    }

    private static String target(MatchResult href) {
        String to = href.group(1).replace("&amp;", "&");
        return to.startsWith("http") ? to : "page " + to.replaceAll(".*#", "");
    }

    @Test
    void links_that_are_lost_or_lead_elsewhere_are_found() throws IOException {
        List<PageScene> scenes = new Composer(COATED).composeAll(publication());
        Path pdf = written(Medium.SCREEN, scenes);
        Path other = folder.resolve("other.pdf");
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            var links = document.getPage(0).getAnnotations();
            PDActionURI elsewhere = new PDActionURI();
            elsewhere.setURI("https://observatory.example/elsewhere");
            ((PDAnnotationLink) links.getFirst()).setAction(elsewhere);
            document.getPage(0).setAnnotations(links);
            document.getPage(2).setAnnotations(List.of());
            document.save(other.toFile());
        }
        ReadBackReport report = ReadBack.check(other, scenes, Medium.SCREEN, COATED, Progress.NONE);
        assertThat(report.matches()).isFalse();
        assertThat(report.pages().getFirst().problems())
                .containsExactly("The link of “Moonrise\t2” leads elsewhere.");
        assertThat(report.pages().getLast().problems())
                .containsExactly("The link of “Turned” is missing.");
    }
}
