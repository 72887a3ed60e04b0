package yewberry.core;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.text.Looks;

/** A small made-up publication for tests: A5 pages that face, two looks, one parent, four pages. */
public final class Sample {
    public static final Swatch INK = new Swatch(id("ink"), "Ink", new Cmyk(0, 0, 0, 100));
    public static final Swatch NIGHT = new Swatch(id("night"), "Night", new Cmyk(100, 86, 42, 52));
    public static final Swatch WHITE = new Swatch(id("white"), "White", new Cmyk(0, 0, 0, 0));
    public static final Swatch SIGNAL = new Swatch(id("signal"), "Signal", new Rgb(217, 79, 43));
    public static final Look BODY = look("Body", 400, 10, INK);
    public static final Look HEADING = look("Heading", 700, 20, INK);
    public static final UUID PARENT = id("parent");

    /** What frames were made with, by their story, whose id says all of it. */
    private static final Map<UUID, List<Paragraph>> WRITTEN = new ConcurrentHashMap<>();

    private Sample() {}

    /** The value of one of the plain swatches here. */
    public static Color color(Swatch swatch) {
        return ((Definition.Plain) swatch.definition()).color();
    }

    /** As designed, on coated paper: no fill counts as white. */
    public static View asDesigned() {
        return View.designed(Medium.PAPER, PressCondition.coated());
    }

    public static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    public static Look look(String name, int weight, double size, Swatch color) {
        return new Look(
                id("look " + name),
                name,
                "Source Serif 4",
                weight,
                Length.pt(size),
                Length.pt(size * 1.4),
                Length.pt(0),
                Look.Alignment.LEFT,
                Tinted.full(color.id()),
                Look.Overprint.BLACK);
    }

    public static Setup a5() {
        return Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true);
    }

    /** Four pages with the parent "Dark", which has a whole-page background; no text. */
    public static Publication publication() {
        Layer dark = new Layer(List.of(wholePage("dark background", NIGHT)), List.of());
        return new Publication(
                id("publication"),
                "Leaflet",
                a5(),
                List.of(INK, NIGHT, WHITE, SIGNAL),
                List.of(BODY, HEADING),
                List.of(new Parent(PARENT, "Dark", dark)),
                IntStream.rangeClosed(1, 4)
                        .mapToObj(number ->
                                new Page(page(number), Optional.of(PARENT), true, Layer.EMPTY))
                        .toList());
    }

    /** Id of a page of {@link #publication} by its number. */
    public static UUID page(int number) {
        return id("page " + number);
    }

    /** With this layer on page 1 and no parent there, so that nothing else is in the way. */
    public static Publication withPage(Layer layer) {
        Publication publication = publication();
        Page first = publication.pages().getFirst().withParent(Optional.empty()).withLayer(layer);
        return withText(
                publication.withPages(
                        Stream.concat(Stream.of(first), publication.pages().stream().skip(1))
                                .toList()));
    }

    public static Publication withColor(Publication in, Swatch swatch, Color color) {
        return in.withSwatches(
                in.swatches().stream()
                        .map(each ->
                                each.id().equals(swatch.id())
                                        ? each.withDefinition(new Definition.Plain(color))
                                        : each)
                        .toList());
    }

    public static Background wholePage(String name, Swatch swatch) {
        return background(name, new Area.WholePage(), swatch);
    }

    public static Background band(String name, Edge edge, double depth, Swatch swatch) {
        return background(name, new Area.Band(edge, Length.mm(depth)), swatch);
    }

    private static Background background(String name, Area area, Swatch swatch) {
        return new Background(id(name), Sides.BOTH, area, new Fill.Solid(Tinted.full(swatch.id())));
    }

    /** Looks of paragraphs as told, and some of characters. */
    public static Looks looks(Function<UUID, Look> paragraphs, CharacterLook... characters) {
        return new Looks() {
            @Override
            public Look paragraphs(UUID look) {
                return paragraphs.apply(look);
            }

            @Override
            public CharacterLook characters(UUID look) {
                return Arrays.stream(characters)
                        .filter(each -> each.id().equals(look))
                        .findFirst()
                        .orElseThrow();
            }

            @Override
            public Language language() {
                return Language.ENGLISH_BRITISH;
            }
        };
    }

    /** For each paragraph that nothing stands before it. */
    public static List<String> noMarks(List<Paragraph> paragraphs) {
        return Collections.nCopies(paragraphs.size(), "");
    }

    /** A frame of a story of its own, which {@link #withText} puts in. */
    public static TextFrame frame(
            String name,
            double x,
            double y,
            double width,
            double height,
            Look look,
            String... text) {
        return frame(
                name,
                new Box(Length.mm(x), Length.mm(y), Length.mm(width), Length.mm(height)),
                IntStream.range(0, text.length)
                        .mapToObj(i -> paragraph(name + " " + i, look, text[i]))
                        .toList());
    }

    public static TextFrame frame(String name, Box box, List<Paragraph> paragraphs) {
        UUID story = id("story " + name + paragraphs);
        WRITTEN.put(story, paragraphs);
        return new TextFrame(id(name), Sides.BOTH, box, story);
    }

    /** What was written into a frame that was made here. */
    public static List<Paragraph> written(TextFrame frame) {
        return WRITTEN.get(frame.story());
    }

    /** With a story for each frame that was made here. */
    public static Publication withText(Publication in) {
        List<Story> stories =
                in.carriers()
                        .flatMap(carrier ->
                                carrier.layer().textFrames().stream()
                                        .map(frame -> story(frame, carrier.asOwner())))
                        .toList();
        return in.withStories(stories);
    }

    private static Story story(TextFrame frame, Owner on) {
        return new Story(frame.story(), List.of(new Story.Link(on, frame.id())), written(frame));
    }

    public static Paragraph paragraph(String name, Look look, String text) {
        return new Paragraph(
                id("paragraph " + name),
                look.id(),
                List.of(new Run(id("run " + name), text, Optional.empty())));
    }
}
