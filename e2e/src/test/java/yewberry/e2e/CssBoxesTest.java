package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Border;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;
import yewberry.core.text.Looks;
import yewberry.core.text.Segment;
import yewberry.core.text.SetFrame;
import yewberry.core.text.SetPanel;
import yewberry.core.text.StoryPlace;
import yewberry.core.text.Typesetter;

/**
 * The same paragraphs as boxes of CSS, laid out by Chromium: their edges lie within a tenth of a
 * point of each other. Chromium rounds the metrics of a face to whole pixels, so that all is laid
 * out there a hundred times as large.
 */
@ExtendWith(Browser.class)
class CssBoxesTest {
    private static final double TIMES = 100;
    private static final Offset<Double> NEAR = within(0.1);

    /** Source Serif 4 Regular in hhea: read from the file, byte by byte. */
    private static final double ASCENT = 1.036;

    private static final double DESCENT = 0.335;
    private static final double WIDTH = 170;
    private static final double HEIGHT = 400;
    private static final Tinted COLOR = Tinted.full(new UUID(0, 1));
    private static final List<String> LINES =
            List.of("Reeds and mud,", "stars,", "wind", "and tide");

    /** What of a paragraph is compared. */
    record Case(
            double size,
            double leading,
            double top,
            double right,
            double bottom,
            double left,
            double border,
            double indent) {
        Look look(boolean closed) {
            Panel panel =
                    Panel.shaded(
                                    COLOR,
                                    Panel.Reach.MEASURE,
                                    new Padding(em(top), em(right), em(bottom), em(left)))
                            .withClosed(closed)
                            .withJoined(false)
                            .withBorder(
                                    border == 0
                                            ? Optional.empty()
                                            : Optional.of(
                                                    new Border(
                                                            Border.ALL,
                                                            Length.pt(border),
                                                            COLOR,
                                                            Border.Style.SOLID)));
            Look look =
                    new Look(
                            new UUID(1, 1),
                            "Boxed",
                            "Source Serif 4",
                            400,
                            Length.pt(size),
                            Length.pt(leading),
                            Length.ZERO,
                            Look.Alignment.LEFT,
                            COLOR,
                            Look.Overprint.NEVER);
            return look.withPanel(Optional.of(panel))
                    .withSetting(look.setting().withIndents(Length.ZERO, Length.pt(indent)));
        }

        private static Distance em(double value) {
            return Distance.em(value);
        }

        String css(boolean closed) {
            return ("margin:0 0 0 %spx;padding:%sem %sem %sem %sem;border:%spx solid;"
                            + "font:%spx/%spx S;box-decoration-break:%s")
                    .formatted(
                            indent * TIMES,
                            top,
                            right,
                            bottom,
                            left,
                            border * TIMES,
                            size * TIMES,
                            leading * TIMES,
                            closed ? "clone" : "slice");
        }
    }

    private static Paragraph paragraph(int number, List<String> lines) {
        return new Paragraph(
                new UUID(2, number),
                new UUID(1, 1),
                List.of(
                        new Run(
                                new UUID(3, number),
                                String.join("\u2028", lines),
                                Optional.empty())));
    }

    private static SetFrame set(Look look, int columns, double height, List<Paragraph> text) {
        return Typesetter.set(
                text,
                text.stream().map(each -> "").toList(),
                StoryPlace.BEGINNING,
                new Box(
                        Length.ZERO,
                        Length.ZERO,
                        Length.pt(columns * WIDTH + (columns - 1) * 10),
                        Length.pt(height)),
                new FrameSetting(Length.ZERO, columns, Length.pt(10), FrameSetting.Vertical.TOP, 0),
                new Looks() {
                    @Override
                    public Look paragraphs(UUID id) {
                        return look;
                    }

                    @Override
                    public CharacterLook characters(UUID id) {
                        throw new IllegalArgumentException("No look of characters: " + id);
                    }

                    @Override
                    public Language language() {
                        return Language.ENGLISH_BRITISH;
                    }
                });
    }

    private static String font() throws IOException {
        try (InputStream file =
                Typesetter.class.getResourceAsStream(
                        "/yewberry/fonts/source-serif-4/SourceSerif4_400Regular.ttf")) {
            return Base64.getEncoder().encodeToString(file.readAllBytes());
        }
    }

    private static List<List<Double>> boxes(
            Browser.Window window, String container, String box, int count) throws IOException {
        String boxes = "<div class=b>%s</div>".formatted(String.join("<br>", LINES)).repeat(count);
        return rectangles(
                window, "orphans:1;widows:1;" + container, "box-sizing:border-box;" + box, boxes);
    }

    /**
     * Left, top, width and height of each fragment of each element of class b, in points.
     *
     * @param container the style of what they stand in
     * @param box the style of each of them
     */
    @SuppressWarnings("unchecked")
    private static List<List<Double>> rectangles(
            Browser.Window window, String container, String box, String html) throws IOException {
        Page page = window.page();
        page.setContent(
                ("<!doctype html><style>@font-face{font-family:S;src:url(data:font/ttf;base64,"
                                + "%s)}body{margin:0}.c{%s}.b{%s}</style><div class=c>%s</div>")
                        .formatted(font(), container, box, html));
        page.evaluate("document.fonts.load('100px S')");
        List<Object> found =
                (List<Object>)
                        page.evaluate(
                                "document.fonts.ready.then(() => [...document.querySelectorAll('.b')]"
                                        + ".flatMap(b => [...b.getClientRects()])"
                                        // a line end by itself is one without a width
                                        + ".filter(r => r.width > 0)"
                                        + ".map(r => [r.x, r.y, r.width, r.height]))");
        List<List<Double>> rects = new ArrayList<>();
        for (Object each : found) {
            rects.add(
                    ((List<Object>) each)
                            .stream().map(n -> ((Number) n).doubleValue() / TIMES).toList());
        }
        return rects;
    }

    private static void same(List<SetPanel> ours, List<List<Double>> theirs) {
        assertThat(ours).hasSameSizeAs(theirs);
        for (int i = 0; i < ours.size(); i++) {
            SetPanel.Row row = ours.get(i).rows().getFirst();
            List<Double> rect = theirs.get(i);
            assertThat(row.x()).as("left of " + i).isCloseTo(rect.get(0), NEAR);
            assertThat(row.y()).as("top of " + i).isCloseTo(rect.get(1), NEAR);
            assertThat(row.width()).as("width of " + i).isCloseTo(rect.get(2), NEAR);
            assertThat(row.height()).as("height of " + i).isCloseTo(rect.get(3), NEAR);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "10, 14, 0, 0, 0, 0, 0, 0",
        "10, 14, 0.6, 0.8, 0.4, 1, 2, 0",
        "9.5, 17, 0.1, 0, 2, 0.3, 0.5, 12",
        "23, 27, 0.3, 0.5, 0.35, 0.5, 6, 0",
        "12, 9, 1, 1, 1, 1, 1, 5",
    })
    void boxes_one_below_the_other(
            double size,
            double leading,
            double top,
            double right,
            double bottom,
            double left,
            double border,
            double indent,
            Browser.Window window)
            throws IOException {
        Case of = new Case(size, leading, top, right, bottom, left, border, indent);
        SetFrame set =
                set(
                        of.look(false),
                        1,
                        HEIGHT * 3,
                        List.of(paragraph(1, LINES), paragraph(2, LINES), paragraph(3, LINES)));
        // a leading below the height of the type begins at the ascent here, not above the frame
        double down = set.panels().getFirst().rows().getFirst().y();
        double half = (leading - size * (ASCENT + DESCENT)) / 2;
        assertThat(down).isCloseTo(Math.max(0, -(border + top * size + half)), within(1e-6));
        List<List<Double>> theirs =
                boxes(
                        window,
                        "width:%spx;padding-top:%spx".formatted(WIDTH * TIMES, down * TIMES),
                        of.css(false),
                        3);
        same(set.panels(), theirs);
        Segment first = set.segments().getFirst();
        assertThat(first.x()).isCloseTo(theirs.getFirst().getFirst() + border + left * size, NEAR);
    }

    /** As high as a whole number of lines, so that nothing is left over below a cut. */
    @ParameterizedTest
    @CsvSource({"false, 50", "true, 56", "true, 42"})
    void boxes_that_go_on_in_other_columns(boolean closed, double height, Browser.Window window)
            throws IOException {
        Case of = new Case(10, 14, 0.6, 0.8, 0.4, 1, 2, 0);
        SetFrame set = set(of.look(closed), 3, height, List.of(paragraph(1, LINES)));
        List<List<Double>> theirs =
                boxes(
                        window,
                        "columns:3;column-gap:%spx;column-fill:auto;width:%spx;height:%spx"
                                .formatted(10 * TIMES, (3 * WIDTH + 20) * TIMES, height * TIMES),
                        of.css(closed),
                        1);
        same(set.panels(), theirs);
    }

    /** A span over the end of a line, whose padding moves no text. */
    @ParameterizedTest
    @CsvSource({
        "10, 14, 0, 0, 0, false",
        "10, 14, 0.1, 0.05, 0.15, false",
        "23, 30, 0.1, 0.05, 0.15, true",
        "9.5, 20, 0, 0.3, 0.4, true",
    })
    void highlights_over_the_end_of_a_line(
            double size,
            double leading,
            double top,
            double bottom,
            double sides,
            boolean closed,
            Browser.Window window)
            throws IOException {
        List<Rect> ours =
                highlights(
                        new Case(size, leading, 0, 0, 0, 0, 0, 0)
                                .look(false)
                                .withPanel(Optional.empty()),
                        new Highlight(COLOR, top, bottom, sides, 0, closed));
        List<List<Double>> theirs =
                rectangles(
                        window,
                        "font:%spx/%spx S;width:40000px".formatted(size * TIMES, leading * TIMES),
                        "padding:%1$sem %3$sem %2$sem;margin:0 -%3$sem;box-decoration-break:%4$s"
                                .formatted(top, bottom, sides, closed ? "clone" : "slice"),
                        "Reeds and <span class=b>mud,<br>stars</span> and wind");
        assertThat(ours).hasSameSizeAs(theirs).hasSize(2);
        // the first line of a frame begins at the ascent
        double ascent = theirs.getFirst().get(1) - ours.getFirst().y();
        for (int i = 0; i < 2; i++) {
            List<Double> rect = theirs.get(i);
            assertThat(ours.get(i).x()).as("left of " + i).isCloseTo(rect.get(0), NEAR);
            assertThat(ours.get(i).y() + ascent).as("top of " + i).isCloseTo(rect.get(1), NEAR);
            assertThat(ours.get(i).width()).as("width of " + i).isCloseTo(rect.get(2), NEAR);
            assertThat(ours.get(i).height()).as("height of " + i).isCloseTo(rect.get(3), NEAR);
        }
    }

    private static List<Rect> highlights(Look look, Highlight highlight) {
        CharacterLook marked =
                new CharacterLook(new UUID(1, 9), "Marked").withHighlight(Optional.of(highlight));
        UUID page = new UUID(4, 1);
        UUID frame = new UUID(4, 2);
        UUID story = new UUID(4, 3);
        Paragraph text =
                new Paragraph(
                        new UUID(2, 1),
                        look.id(),
                        List.of(
                                new Run(new UUID(3, 1), "Reeds and ", Optional.empty()),
                                new Run(
                                        new UUID(3, 2),
                                        "mud,\u2028stars",
                                        Optional.empty(),
                                        Optional.of(marked.id())),
                                new Run(new UUID(3, 3), " and wind", Optional.empty())));
        Box box = new Box(Length.ZERO, Length.ZERO, Length.pt(400), Length.pt(200));
        Publication publication =
                new Publication(
                                new UUID(4, 0),
                                "Boxes",
                                Setup.of(new PageSize(Length.mm(150), Length.mm(150)), false),
                                List.of(new Swatch(COLOR.swatch(), "Ink", new Cmyk(0, 0, 0, 100))),
                                List.of(look),
                                List.of(),
                                List.of(
                                        new yewberry.core.publication.Page(
                                                page,
                                                Optional.empty(),
                                                true,
                                                new Layer(
                                                        List.of(),
                                                        List.of(
                                                                new TextFrame(
                                                                        frame,
                                                                        Sides.BOTH,
                                                                        box,
                                                                        story))))))
                        .withCharacterLooks(List.of(marked))
                        .withStories(
                                List.of(
                                        new Story(
                                                story,
                                                List.of(
                                                        new Story.Link(
                                                                new Owner.OnPage(page), frame)),
                                                List.of(text))));
        return new Composer(PressCondition.coated())
                .compose(publication, 0).items().stream()
                        .filter(Item.TextFill.class::isInstance)
                        .map(Item::bounds)
                        .toList();
    }
}
