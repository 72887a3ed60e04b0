package yewberry.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.Look;
import yewberry.core.publication.Margins;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Press;
import yewberry.core.publication.PressChecks;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Run;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.publication.Unit;
import yewberry.server.publications.Beginning;

/**
 * The season guide of the Saltmarsh Observatory: twelve facing A5 pages. In its dark part two
 * articles were left in the dark type of the light pages, and the small print of the back cover is
 * too small for its ground, so that there is something to find.
 */
public final class DemoPublication {
    private static final double WIDTH = 148;
    private static final double HEIGHT = 210;

    /** The page on which the story of the nights begins. */
    private static final int NIGHTS = 6;

    private final DemoLooks looks = new DemoLooks();

    private final CharacterLook emphasis = Beginning.emphasis(id("character look Emphasis"));
    private final CharacterLook strong = Beginning.strong(id("character look Strong"));

    private final DemoNotice notice =
            new DemoNotice(
                    DemoPublication::id, looks.reading, looks.slate, looks.shingle, looks.lantern);

    private final DemoStories stories = new DemoStories();
    private final DemoRunning running;
    private final Parent daylight;
    private final Parent night;

    private final Asset milkyWay;

    private DemoPublication(AssetIntake files) {
        // as large as its area at 300 pixels per inch
        this.milkyWay =
                files.take(
                        id("picture Milky way"),
                        "Milky way.jpg",
                        DemoPictures.milkyWay(1819, 1996));
        this.running =
                new DemoRunning(
                        DemoPublication::id,
                        files,
                        looks.reading,
                        looks.midnight,
                        looks.dusk,
                        looks.slate);
        this.daylight = daylight();
        this.night = night();
    }

    public static Publication seasonGuide(AssetIntake files) {
        return new DemoPublication(files).build();
    }

    /** Ids are derived from names, so that the demo is the same every time it is made. */
    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("season guide: " + name).getBytes(StandardCharsets.UTF_8));
    }

    private static final String WORD_MARK = "Saltmarsh Observatory";

    private Publication build() {
        Length margin = Length.mm(16);
        Setup setup =
                new Setup(
                        Destination.PAPER,
                        new PageSize(Length.mm(WIDTH), Length.mm(HEIGHT)),
                        true,
                        Bleed.USUAL,
                        Length.mm(3),
                        new Margins(Length.mm(18), Length.mm(20), margin, Length.mm(18)),
                        Unit.MM,
                        Level.AA,
                        Press.USUAL,
                        PressChecks.USUAL);
        return stories.in(
                        new Publication(
                                id("publication"),
                                "Season guide",
                                setup,
                                looks.swatches(),
                                looks(),
                                assets(),
                                List.of(darkHours()),
                                List.of(daylight, night),
                                pages(),
                                List.of()))
                .withCharacterLooks(List.of(emphasis, strong, notice.time()))
                .withExemptions(List.of(wordMark()));
    }

    /** The name beside the mark is pale on purpose; the address says it again. */
    private static Exemption wordMark() {
        return new Exemption(
                id("exemption word mark"),
                id("run word mark"),
                Exemption.Why.LOGOTYPE,
                "Word mark of the observatory; its name stands in the address as well",
                WORD_MARK,
                3.5);
    }

    private TextFrame besideTheMark() {
        Paragraph name = paragraph("word mark", looks.subtitle, WORD_MARK);
        return frame(
                "word mark",
                50,
                115,
                78,
                12,
                name.withRuns(
                        List.of(
                                run(
                                        "word mark",
                                        WORD_MARK,
                                        Optional.of(Tinted.full(looks.haze.id()))))));
    }

    private List<Asset> assets() {
        List<Asset> assets = new ArrayList<>(List.of(milkyWay));
        assets.addAll(running.assets());
        return assets;
    }

    private List<Look> looks() {
        return Stream.of(looks.all(), notice.looks(), running.looks())
                .flatMap(List::stream)
                .toList();
    }

    private Parent daylight() {
        return new Parent(
                id("parent Daylight"),
                "Daylight",
                new Layer(
                        List.of(
                                background("daylight ground", new Area.WholePage(), looks.sand),
                                background(
                                        "daylight band",
                                        new Area.Band(Edge.OUTSIDE, Length.mm(8)),
                                        looks.dusk)),
                        List.of(
                                running.band(stories),
                                frame(
                                        "daylight foot",
                                        16,
                                        196,
                                        112,
                                        6,
                                        paragraph(
                                                "daylight foot",
                                                looks.caption,
                                                "Saltmarsh Observatory, season guide")))));
    }

    private Parent night() {
        return new Parent(
                id("parent Night"),
                "Night",
                new Layer(
                        List.of(
                                background("night ground", new Area.WholePage(), looks.midnight),
                                background(
                                        "night horizon",
                                        new Area.Band(Edge.BOTTOM, Length.mm(10)),
                                        looks.dusk)),
                        List.of(
                                frame(
                                        "night foot",
                                        16,
                                        202,
                                        112,
                                        6,
                                        paragraph(
                                                "night foot",
                                                looks.nightCaption,
                                                "After dark: red light only, please")))));
    }

    /** A night that deepens downwards, with a dim band to hold a red lamp's notes. */
    private Recipe darkHours() {
        return new Recipe(
                id("recipe Dark hours"),
                "Dark hours",
                new PageSize(Length.mm(WIDTH), Length.mm(HEIGHT)),
                new Layer(
                        List.of(
                                new Background(
                                        id("background dark hours sky"),
                                        Sides.BOTH,
                                        new Area.WholePage(),
                                        new Fill.Gradient(
                                                Fill.Gradient.Kind.LINEAR,
                                                270,
                                                false,
                                                List.of(
                                                        new Fill.Gradient.Stop(
                                                                0,
                                                                Tinted.full(looks.slate.id()),
                                                                100),
                                                        new Fill.Gradient.Stop(
                                                                45,
                                                                Tinted.full(looks.midnight.id()),
                                                                100),
                                                        new Fill.Gradient.Stop(
                                                                100,
                                                                Tinted.full(looks.midnight.id()),
                                                                100)))),
                                background(
                                        "dark hours band",
                                        new Area.Band(Edge.OUTSIDE, Length.mm(6)),
                                        looks.beacon)),
                        List.of()));
    }

    private List<Page> pages() {
        List<Page> pages = new ArrayList<>();
        pages.add(cover());
        pages.add(welcome().withPart(Optional.of("Visiting")));
        pages.add(gettingHere());
        pages.add(calendar());
        pages.add(
                ending(
                        article(5, daylight, DemoText.TELESCOPES, looks.heading, looks.body),
                        looks.list,
                        DemoText.TERRACE));
        pages.addAll(nights());
        pages.add(running.draft(schools()).withPart(Optional.of("Booking and access")));
        pages.add(running.draft(access()));
        pages.add(running.marked(backCover()));
        return pages;
    }

    /** With a notice below its text. */
    private Page gettingHere() {
        Page plain = article(3, daylight, DemoText.GETTING_HERE, looks.heading, looks.body);
        UUID story = plain.layer().textFrames().getFirst().story();
        List<Paragraph> paragraphs = new ArrayList<>(stories.text(story));
        paragraphs.addAll(notice.paragraphs());
        stories.write(story, paragraphs);
        return plain;
    }

    /** The first article, and below it where to find the others. */
    private Page welcome() {
        Page plain = article(2, daylight, DemoText.WELCOME, looks.heading, looks.body);
        UUID story = plain.layer().textFrames().getFirst().story();
        List<Paragraph> paragraphs = new ArrayList<>(stories.text(story));
        paragraphs.add(paragraph("contents gap", looks.contents, ""));
        entry(paragraphs, DemoText.GETTING_HERE, 3, 3);
        entry(paragraphs, DemoText.CALENDAR, 4, 4);
        entry(paragraphs, DemoText.TELESCOPES, 5, 5);
        entry(paragraphs, DemoText.DARK_HOURS, 6, NIGHTS);
        entry(paragraphs, DemoText.AUTUMN, 7, NIGHTS);
        entry(paragraphs, DemoText.WINTER, 8, NIGHTS);
        entry(paragraphs, DemoText.COMETS, 9, NIGHTS);
        entry(paragraphs, DemoText.SCHOOLS, 10, 10);
        entry(paragraphs, DemoText.ACCESS, 11, 11);
        stories.write(story, paragraphs);
        return plain;
    }

    /**
     * A line of the contents, which leads to its heading.
     *
     * @param first the page that its story begins on
     */
    private void entry(
            List<Paragraph> contentsList, DemoText.Article article, int page, int first) {
        Paragraph line =
                paragraph("contents " + page, looks.contents, article.heading() + "\t" + page);
        contentsList.add(
                leading(
                        new LinkTo.ToParagraph(
                                id("story article " + first), id("paragraph heading " + page)),
                        line));
    }

    /** With all of it a link. */
    private static Paragraph leading(LinkTo link, Paragraph paragraph) {
        return paragraph.withRuns(
                paragraph.runs().stream().map(run -> run.withLink(Optional.of(link))).toList());
    }

    /** With a list below its text. */
    private Page ending(Page plain, Look look, List<String> items) {
        UUID story = plain.layer().textFrames().getFirst().story();
        List<Paragraph> paragraphs = new ArrayList<>(stories.text(story));
        for (String item : items) {
            paragraphs.add(paragraph(look.name() + " " + items.indexOf(item), look, item));
        }
        stories.write(story, paragraphs);
        return plain;
    }

    /** Four articles of one story, each in a frame of its own. */
    private List<Page> nights() {
        List<Page> pages =
                List.of(
                        article(6, night, DemoText.DARK_HOURS, looks.nightHeading, looks.nightBody)
                                .withPart(Optional.of("Nights")),
                        article(7, night, DemoText.AUTUMN, looks.nightHeading, looks.body),
                        underOneSky(
                                article(8, night, DemoText.WINTER, looks.nextArticle, looks.body)),
                        underOneSky(
                                article(
                                        9,
                                        night,
                                        DemoText.COMETS,
                                        looks.nightHeading,
                                        looks.nightBody)));
        List<Paragraph> all = new ArrayList<>();
        List<Page> joined = new ArrayList<>();
        UUID story = id("story article " + NIGHTS);
        for (Page page : pages) {
            TextFrame frame = page.layer().textFrames().getFirst();
            all.addAll(stories.take(frame.story()));
            joined.add(page.withLayer(page.layer().withFrames(List.of(frame.withStory(story)))));
        }
        stories.write(story, all);
        return joined;
    }

    /** One sky across both pages: midnight overhead, a little lighter towards the sea. */
    private Page underOneSky(Page plain) {
        Fill sky =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        345,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(looks.midnight.id()), 100),
                                new Fill.Gradient.Stop(62, Tinted.full(looks.midnight.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(looks.dusk.id()), 100)));
        return plain.withLayer(
                plain.layer()
                        .withBackgrounds(
                                List.of(
                                        new Background(
                                                id("background sky " + plain.id()),
                                                Sides.BOTH,
                                                new Area.WholeSpread(Length.mm(2)),
                                                sky))));
    }

    private Page cover() {
        Layer layer =
                new Layer(
                        List.of(
                                coverSky(),
                                background(
                                        "cover band",
                                        new Area.Band(Edge.BOTTOM, Length.mm(44)),
                                        looks.beacon)),
                        List.of(
                                frame(
                                        "cover title",
                                        16,
                                        24,
                                        116,
                                        70,
                                        paragraph("cover 1", looks.title, "Season guide"),
                                        paragraph(
                                                "cover 2",
                                                looks.subtitle,
                                                "Saltmarsh Observatory, October to March")),
                                frame(
                                        "cover line",
                                        16,
                                        176,
                                        116,
                                        22,
                                        paragraph(
                                                "cover 3",
                                                looks.subtitle,
                                                "Open on every clear night")),
                                call(),
                                underTheSky()));
        return new Page(id("page 1"), Optional.of(night.id()), true, layer);
    }

    /** A line across the sky, rotated as if it rose. */
    private TextFrame call() {
        TextFrame frame =
                frame(
                        "cover call",
                        62,
                        112,
                        70,
                        12,
                        paragraph("cover 4", looks.call, "Lights out, look up"));
        return frame.withSetting(frame.setting().withRotation(-9));
    }

    /** What the picture shows; where the sky is bright, it cannot be read. */
    private TextFrame underTheSky() {
        String words =
                "The Milky Way over the hides, put together from sixty long nights of winter";
        Paragraph paragraph = paragraph("cover 5", looks.nightCaption, words);
        return frame(
                "cover sky",
                16,
                140,
                116,
                8,
                paragraph.withRuns(
                        List.of(run("cover 5", words, Optional.of(Tinted.full(looks.haze.id()))))));
    }

    /** From the top of the page down to the band, out to the bleed. */
    private Background coverSky() {
        Area above =
                new Area.Rectangle(
                        new Anchor(Anchor.Across.MIDDLE, Anchor.Down.TOP),
                        Length.ZERO,
                        Length.ZERO,
                        Length.mm(WIDTH),
                        Length.mm(HEIGHT - 44),
                        Set.of(Edge.TOP, Edge.LEFT, Edge.RIGHT));
        return new Background(
                id("background cover sky"),
                Sides.BOTH,
                above,
                new Fill.Picture(milkyWay.id(), Placing.COVER, RunOut.NONE, Optional.empty()));
    }

    private Page article(
            int number, Parent parent, DemoText.Article article, Look head, Look text) {
        List<Paragraph> paragraphs = new ArrayList<>();
        paragraphs.add(paragraph("heading " + number, head, article.heading()));
        for (String each : article.paragraphs()) {
            paragraphs.add(paragraph(number + "." + paragraphs.size(), text, each));
        }
        return page(number, parent, paragraphs);
    }

    private Page page(int number, Parent parent, List<Paragraph> paragraphs) {
        double x = number % 2 == 0 ? 20 : 16;
        TextFrame frame =
                frame("article " + number, x, 20, 112, 168, paragraphs.toArray(Paragraph[]::new));
        return new Page(
                id("page " + number),
                Optional.of(parent.id()),
                true,
                new Layer(List.of(), List.of(frame)));
    }

    /** Each paragraph begins with its month, which stands out. */
    private Page calendar() {
        Page plain = article(4, daylight, DemoText.CALENDAR, looks.heading, looks.body);
        UUID story = plain.layer().textFrames().getFirst().story();
        List<Paragraph> paragraphs = new ArrayList<>();
        for (Paragraph each : stories.text(story)) {
            String text = each.text();
            int end = text.indexOf('.') + 1;
            paragraphs.add(
                    end == 0
                            ? each
                            : each.withRuns(
                                    List.of(
                                            run(
                                                            each.id() + " month",
                                                            text.substring(0, end),
                                                            Optional.empty())
                                                    .withLook(Optional.of(strong.id())),
                                            run(
                                                    each.id() + " rest",
                                                    text.substring(end),
                                                    Optional.empty()))));
        }
        stories.write(story, paragraphs);
        return plain;
    }

    /** Two words of this page have a colour of their own. */
    private Page schools() {
        Page plain = article(10, daylight, DemoText.SCHOOLS, looks.heading, looks.body);
        TextFrame frame = plain.layer().textFrames().getFirst();
        List<Paragraph> paragraphs = new ArrayList<>(stories.text(frame.story()));
        String text = paragraphs.get(2).text();
        String words = "book early";
        int at = text.indexOf(words);
        paragraphs.set(
                2,
                paragraphs
                        .get(2)
                        .withRuns(
                                List.of(
                                        run("schools 1", text.substring(0, at), Optional.empty()),
                                        run(
                                                "schools 2",
                                                words,
                                                Optional.of(Tinted.full(looks.beacon.id()))),
                                        run(
                                                "schools 3",
                                                text.substring(at + words.length()),
                                                Optional.empty()))));
        stories.write(frame.story(), paragraphs);
        return plain;
    }

    /** A lighter ground of its own on top of its parent's. */
    private Page access() {
        Page plain =
                ending(
                        article(11, daylight, DemoText.ACCESS, looks.heading, looks.body),
                        looks.steps,
                        DemoText.BEFORE_YOU_COME);
        return plain.withLayer(
                plain.layer()
                        .withBackgrounds(
                                List.of(
                                        background("access", new Area.WholePage(), looks.shingle),
                                        background(
                                                "access inside",
                                                new Area.Band(Edge.INSIDE, Length.mm(6)),
                                                looks.haze))));
    }

    private Page backCover() {
        Layer layer =
                new Layer(
                        List.of(
                                background("back ground", new Area.WholePage(), looks.dusk),
                                background(
                                        "back sky",
                                        new Area.Band(Edge.TOP, Length.mm(64)),
                                        looks.afterglow),
                                background(
                                        "back foot",
                                        new Area.Band(Edge.BOTTOM, Length.mm(10)),
                                        looks.lantern)),
                        List.of(
                                frame(
                                        "back",
                                        20,
                                        140,
                                        108,
                                        50,
                                        paragraph(
                                                "back 1",
                                                looks.nightHeading,
                                                "Come when it is clear"),
                                        paragraph(
                                                "back 2",
                                                looks.nightBody,
                                                "Saltmarsh Observatory, at the end of the sea wall. The dome opens at dusk and closes when the last visitor has seen enough."),
                                        leading(
                                                new LinkTo.Address("tel:+441632960000"),
                                                paragraph(
                                                        "back 3",
                                                        looks.smallPrint,
                                                        "Times may change with the weather. Please ring before a long journey."))),
                                besideTheMark()));
        return new Page(id("page 12"), Optional.empty(), true, layer);
    }

    private static Background background(String name, Area area, Swatch swatch) {
        return new Background(
                id("background " + name),
                Sides.BOTH,
                area,
                new Fill.Solid(Tinted.full(swatch.id())));
    }

    /** Millimetres from the top left corner of the trim. */
    private TextFrame frame(
            String name, double x, double y, double width, double height, Paragraph... text) {
        return stories.frame(
                id("frame " + name),
                new Box(Length.mm(x), Length.mm(y), Length.mm(width), Length.mm(height)),
                id("story " + name),
                List.of(text));
    }

    private static Paragraph paragraph(String name, Look look, String text) {
        return new Paragraph(
                id("paragraph " + name), look.id(), List.of(run(name, text, Optional.empty())));
    }

    private static Run run(String name, String text, Optional<Tinted> color) {
        return new Run(id("run " + name), text, color);
    }
}
