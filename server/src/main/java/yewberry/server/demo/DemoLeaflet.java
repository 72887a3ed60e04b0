package yewberry.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/**
 * The leaflet that is handed out at the observatory's gate: two single pages whose backgrounds are
 * gradients, a veil that lets them through, and a corner that bleeds off.
 */
final class DemoLeaflet {
    private static final Swatch MIDNIGHT =
            new Swatch(id("midnight"), "Midnight", new Cmyk(100, 86, 42, 40));
    private static final Swatch DUSK = new Swatch(id("dusk"), "Dusk", new Cmyk(82, 64, 22, 12));
    private static final Swatch ROSE = new Swatch(id("rose"), "Rose", new Cmyk(18, 46, 26, 0));
    private static final Swatch MOONLIGHT =
            new Swatch(id("moonlight"), "Moonlight", new Cmyk(5, 3, 12, 0));
    private static final Swatch LANTERN =
            new Swatch(id("lantern"), "Lantern", new Definition.SpotInk(new Cmyk(0, 48, 92, 0)));
    private static final Look TITLE = look("Title", "Fraunces", 700, 30, 33);
    private static final Look TEXT =
            look("Text", "Source Sans 3", 400, 11, 15)
                    .withSetting(
                            TextSetting.USUAL.hyphenatedIn(Optional.of(Language.ENGLISH_BRITISH)));

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("gate leaflet: " + name).getBytes(StandardCharsets.UTF_8));
    }

    private static Look look(String name, String family, int weight, double size, double leading) {
        return new Look(
                id("look " + name),
                name,
                family,
                weight,
                Length.pt(size),
                Length.pt(leading),
                Length.pt(6),
                Look.Alignment.LEFT,
                Tinted.full(MOONLIGHT.id()),
                Look.Overprint.BLACK);
    }

    private final DemoStories stories = new DemoStories();

    private DemoLeaflet() {}

    static Publication publication(AssetIntake files) {
        return new DemoLeaflet().build(files);
    }

    private Publication build(AssetIntake files) {
        Asset mark =
                files.take(
                        id("picture Observatory mark"),
                        "Observatory mark.png",
                        DemoPictures.mark(400));
        return stories.in(
                new Publication(
                        id("publication"),
                        "Gate leaflet",
                        Setup.of(new PageSize(Length.mm(99), Length.mm(210)), false),
                        List.of(MIDNIGHT, DUSK, ROSE, MOONLIGHT, LANTERN),
                        List.of(TITLE, TEXT),
                        List.of(mark),
                        List.of(),
                        List.of(),
                        List.of(front(mark), back()),
                        List.of()));
    }

    private Page front(Asset mark) {
        return page(
                1,
                List.of(
                        background("dusk sky", new Area.WholePage(), duskSky()),
                        new Background(
                                id("veil"),
                                Sides.BOTH,
                                new Area.Band(Edge.BOTTOM, Length.mm(52)),
                                solid(MIDNIGHT),
                                70,
                                BlendMode.MULTIPLY,
                                Background.GoesTo.BOTH),
                        background(
                                "lamp",
                                new Area.Rectangle(
                                        new Anchor(Anchor.Across.RIGHT, Anchor.Down.TOP),
                                        Length.ZERO,
                                        Length.ZERO,
                                        Length.mm(14),
                                        Length.mm(14),
                                        Set.of(Edge.TOP, Edge.RIGHT)),
                                solid(LANTERN)),
                        background("mark", new Area.WholePage(), markAbove(mark))),
                frame(
                        "title",
                        20,
                        paragraph("title", TITLE, "After dark at the sea wall"),
                        paragraph("line", TEXT, "Saltmarsh Observatory")),
                frame(
                        "hours",
                        166,
                        paragraph("hours 1", TEXT, "Open on every clear night, October to March."),
                        paragraph("hours 2", TEXT, "The gate closes an hour after moonrise.")));
    }

    /** Its white box was not taken off, so that there is something to find. */
    private static Fill markAbove(Asset mark) {
        return new Fill.Picture(
                mark.id(),
                new Placing(
                        Placing.Fit.SIZED,
                        25,
                        Placing.Base.PAGE,
                        0,
                        new Anchor(Anchor.Across.LEFT, Anchor.Down.MIDDLE),
                        Length.mm(13),
                        Length.mm(12),
                        Placing.Focus.MIDDLE),
                RunOut.NONE,
                Optional.empty());
    }

    private static Fill duskSky() {
        return new Fill.Gradient(
                Fill.Gradient.Kind.LINEAR,
                270,
                false,
                List.of(stop(0, MIDNIGHT), stop(55, DUSK), stop(100, ROSE)));
    }

    private Page back() {
        return page(
                2,
                List.of(
                        background("night", new Area.WholePage(), solid(MIDNIGHT)),
                        background(
                                "glow",
                                new Area.WholePage(),
                                new Fill.Gradient(
                                        Fill.Gradient.Kind.RADIAL,
                                        0,
                                        false,
                                        List.of(
                                                new Fill.Gradient.Stop(
                                                        0, new Tinted(DUSK.id(), 80), 100),
                                                new Fill.Gradient.Stop(
                                                        70, Tinted.full(DUSK.id()), 0),
                                                new Fill.Gradient.Stop(
                                                        100, Tinted.full(DUSK.id()), 0))))),
                frame(
                        "ask",
                        30,
                        paragraph("ask 1", TITLE, "Please"),
                        paragraph("ask 2", TEXT, "Switch your lamp to red before the first bend."),
                        paragraph("ask 3", TEXT, "Keep to the boards; the saltmarsh is soft."),
                        paragraph("ask 4", TEXT, "Ask anyone with a blue armband for a look.")));
    }

    private static Page page(int number, List<Background> backgrounds, TextFrame... frames) {
        return new Page(
                id("page " + number),
                Optional.empty(),
                true,
                new Layer(backgrounds, Arrays.asList(frames)));
    }

    private static Fill.Gradient.Stop stop(double position, Swatch swatch) {
        return new Fill.Gradient.Stop(position, Tinted.full(swatch.id()), 100);
    }

    private static Fill solid(Swatch swatch) {
        return new Fill.Solid(Tinted.full(swatch.id()));
    }

    private static Background background(String name, Area area, Fill fill) {
        return new Background(id("ground " + name), Sides.BOTH, area, fill);
    }

    /** Across the page within its margins, in millimetres from the top. */
    private TextFrame frame(String name, double top, Paragraph... text) {
        return stories.frame(
                id("frame " + name),
                new Box(Length.mm(10), Length.mm(top), Length.mm(76), Length.mm(60)),
                id("story " + name),
                List.of(text));
    }

    private static Paragraph paragraph(String name, Look look, String text) {
        return new Paragraph(
                id("paragraph " + name),
                look.id(),
                List.of(new Run(id("run " + name), text, Optional.empty())));
    }
}
