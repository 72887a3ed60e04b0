package yewberry.pdf;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
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
import yewberry.core.scene.PageScene;

/**
 * Three A6 pages that face: a background and a band, a band alone, and a bare page; all with text.
 */
final class Leaflet {
    static final Swatch NIGHT = new Swatch(id("night"), "Night", new Cmyk(100, 86, 42, 52));
    static final Swatch SIGNAL = new Swatch(id("signal"), "Signal", new Rgb(217, 79, 43));
    static final Swatch PALE = new Swatch(id("pale"), "Pale", new Cmyk(5, 3, 12, 0));
    static final Swatch INK = new Swatch(id("ink"), "Ink", new Cmyk(0, 0, 0, 100));
    static final String WORDS = "An office affair: AV waffles to find the first fjord.";

    private Leaflet() {}

    static List<PageScene> scenes() {
        return new Composer(PressCondition.coated()).composeAll(publication());
    }

    static Publication publication() {
        Look pale = look("Pale", 11, PALE);
        Look ink = look("Ink", 9, INK);
        Publication plain =
                new Publication(
                        id("publication"),
                        "Leaflet",
                        Setup.of(new PageSize(Length.mm(105), Length.mm(148)), true),
                        List.of(NIGHT, SIGNAL, PALE, INK),
                        List.of(pale, ink),
                        List.of(),
                        List.of(
                                page(
                                        1,
                                        List.of(
                                                wholePage(1, new Area.WholePage(), NIGHT),
                                                wholePage(
                                                        2,
                                                        new Area.Band(Edge.BOTTOM, Length.mm(30)),
                                                        SIGNAL))),
                                page(
                                        2,
                                        List.of(
                                                wholePage(
                                                        3,
                                                        new Area.Band(Edge.OUTSIDE, Length.mm(12)),
                                                        SIGNAL))),
                                page(3, List.of())));
        return plain.withStories(List.of(story(1, pale), story(2, ink), story(3, ink)));
    }

    /** A publication whose frames on pages are all rotated. */
    static Publication rotated(Publication publication, double degrees) {
        return publication.withPages(
                publication.pages().stream()
                        .map(page -> page.withLayer(rotated(page.layer(), degrees)))
                        .toList());
    }

    private static Layer rotated(Layer layer, double degrees) {
        FrameSetting setting = FrameSetting.USUAL.withRotation(degrees);
        return layer.withFrames(
                layer.textFrames().stream().map(frame -> frame.withSetting(setting)).toList());
    }

    private static Story story(int number, Look look) {
        return story(
                new Owner.OnPage(id("page" + number)),
                id("f" + number),
                IntStream.range(0, 3)
                        .mapToObj(i -> number + "." + i)
                        .map(name ->
                                new Paragraph(
                                        id("p" + name),
                                        look.id(),
                                        List.of(new Run(id("r" + name), WORDS, Optional.empty()))))
                        .toList());
    }

    /** The story of a frame, whose id is made from the frame's. */
    static Story story(Owner owner, UUID frame, List<Paragraph> text) {
        return new Story(storyOf(frame), List.of(new Story.Link(owner, frame)), text);
    }

    static UUID storyOf(UUID frame) {
        return id("story of " + frame);
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Look look(String name, double size, Swatch color) {
        return new Look(
                id("look" + name),
                name,
                "Source Serif 4",
                400,
                Length.pt(size),
                Length.pt(size * 1.4),
                Length.pt(3),
                Look.Alignment.JUSTIFIED,
                Tinted.full(color.id()),
                Look.Overprint.BLACK);
    }

    private static Background wholePage(int number, Area area, Swatch swatch) {
        return new Background(
                id("ground" + number), Sides.BOTH, area, new Fill.Solid(Tinted.full(swatch.id())));
    }

    private static Page page(int number, List<Background> backgrounds) {
        Box box = new Box(Length.mm(20), Length.mm(20), Length.mm(65), Length.mm(80));
        TextFrame frame =
                new TextFrame(id("f" + number), Sides.BOTH, box, storyOf(id("f" + number)));
        return new Page(
                id("page" + number),
                Optional.empty(),
                true,
                new Layer(backgrounds, List.of(frame)));
    }
}
