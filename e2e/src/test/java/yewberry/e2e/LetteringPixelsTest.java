package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.Coverage;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.text.Segment;

/** Letters in the picture of a page as Chromium draws it: rotated, and with lines around them. */
@ExtendWith(Browser.class)
class LetteringPixelsTest {
    private static final Swatch NIGHT = new Swatch(id(1), "Night", new Cmyk(100, 86, 42, 52));
    private static final Swatch SIGNAL = new Swatch(id(2), "Signal", new Cmyk(0, 75, 90, 5));
    private static final Swatch SAND = new Swatch(id(3), "Sand", new Cmyk(3, 6, 18, 0));

    private static UUID id(int number) {
        return new UUID(0, number);
    }

    private static PageScene scene(double degrees, Optional<Outline> outline) {
        Look look =
                new Look(
                                id(4),
                                "Large",
                                "Source Sans 3",
                                700,
                                Length.pt(54),
                                Length.pt(58),
                                Length.ZERO,
                                Look.Alignment.LEFT,
                                Tinted.full(SIGNAL.id()),
                                Look.Overprint.NEVER)
                        .withOutline(outline);
        TextFrame frame =
                new TextFrame(
                                id(5),
                                Sides.BOTH,
                                new Box(Length.mm(8), Length.mm(25), Length.mm(90), Length.mm(30)),
                                id(6))
                        .withSetting(FrameSetting.USUAL.withRotation(degrees));
        Background ground =
                new Background(
                        id(7),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(NIGHT.id())));
        yewberry.core.publication.Page page =
                new yewberry.core.publication.Page(
                        id(8), Optional.empty(), true, new Layer(List.of(ground), List.of(frame)));
        Story story =
                new Story(
                        frame.story(),
                        List.of(new Story.Link(new Owner.OnPage(page.id()), frame.id())),
                        List.of(
                                new Paragraph(
                                        id(9),
                                        look.id(),
                                        List.of(new Run(id(10), "Look up", Optional.empty())))));
        Publication publication =
                new Publication(
                                id(11),
                                "Letters",
                                Setup.of(new PageSize(Length.mm(100), Length.mm(80)), false),
                                List.of(NIGHT, SIGNAL, SAND),
                                List.of(look),
                                List.of(),
                                List.of(page))
                        .withStories(List.of(story));
        return new Composer(PressCondition.coated()).compose(publication, 0);
    }

    /**
     * @param width of the line around the letters, in points; none where it is 0
     */
    @ParameterizedTest
    @CsvSource({
        "0, 0, ROUND, false",
        "17, 0, ROUND, false",
        "-123.4, 0, ROUND, false",
        "0, 3, ROUND, false",
        "12, 3, MITER, false",
        "-33, 4, BEVEL, true",
    })
    void chromium_shows_letters_where_they_are_painted(
            double degrees,
            double width,
            Outline.Join join,
            boolean centered,
            Browser.Window window)
            throws IOException {
        Outline line =
                new Outline(Tinted.full(SAND.id()), Length.pt(Math.max(1, width)), join, centered);
        PageScene scene = scene(degrees, width == 0 ? Optional.empty() : Optional.of(line));
        BufferedImage ours = SeenPixels.ours(scene);
        List<byte[]> all =
                scene.on(Medium.PAPER).letters().stream()
                        .map(each -> inked(scene, each, ours.getWidth(), ours.getHeight()))
                        .toList();
        assertThat(all).hasSize(width == 0 ? 1 : 2);
        for (byte[] one : all) {
            SeenPixels.agree(window.page(), scene, awayFromEdges(one, all), 1_000);
        }
    }

    /** Without the pixels where an edge of any is, each of which is smoothed in its own way. */
    private static byte[] awayFromEdges(byte[] inked, List<byte[]> all) {
        byte[] away = inked.clone();
        for (int at = 0; at < away.length; at++) {
            int pixel = at;
            if (all.stream().anyMatch(each -> each[pixel] != 0 && each[pixel] != -1)) {
                away[at] = 0;
            }
        }
        return away;
    }

    /** Of each pixel how much letters, or the lines around them, cover: 255 for all of it. */
    private static byte[] inked(PageScene scene, Item.Lettering letters, int width, int height) {
        byte[] inked = new byte[width * height];
        for (Item.Line line : letters.letters().lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Coverage.of(letters, line, glyph, scene.boxes().bleed(), 2, width, height)
                        .forEach((at, part) -> inked[at] = (byte) Math.round(part * 255));
            }
        }
        return inked;
    }
}
