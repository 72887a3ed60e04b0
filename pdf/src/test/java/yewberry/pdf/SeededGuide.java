package yewberry.pdf;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Border;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Role;
import yewberry.core.publication.Run;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;

/**
 * A publication whose seed decides on its looks, stories, lists, links, languages, pictures and
 * grounds; the same for the same seed.
 */
final class SeededGuide {
    private static final String[] WORDS = {
        "night", "Himmel", "tide", "lantern", "étoile", "dome", "the", "of", "well-known",
        "observatory", "office", "Straße", "&", "4.30", "waffle", "far–off", "moon", "reeds"
    };
    private static final Swatch NIGHT = new Swatch(id("night"), "Night", new Cmyk(90, 70, 30, 40));
    private static final Swatch PALE = new Swatch(id("pale"), "Pale", new Rgb(240, 236, 220));
    private static final Swatch INK = new Swatch(id("ink"), "Ink", new Cmyk(0, 0, 0, 100));
    private static final Swatch LANTERN =
            new Swatch(id("lantern"), "Lantern", new Definition.SpotInk(new Cmyk(0, 48, 92, 0)));
    private static final Swatch DUSK =
            new Swatch(id("dusk"), "Dusk", new Definition.Mix(LANTERN.id(), NIGHT.id(), 40));

    private final long seed;
    private final Random random;
    private final Map<String, byte[]> files = new HashMap<>();
    private final PdfDocuments documents = new PdfDocuments();
    private final Asset sky;
    private final List<Look> looks = new ArrayList<>();
    private final List<Story> stories = new ArrayList<>();
    private final CharacterLook marked;

    SeededGuide(long seed) {
        this.seed = seed;
        this.random = new Random(seed);
        this.sky = sky();
        this.marked =
                new CharacterLook(id("marked"), "Marked")
                        .withHighlight(
                                Optional.of(
                                        new Highlight(
                                                Tinted.full(LANTERN.id()),
                                                0,
                                                0.1,
                                                0.1,
                                                0.1,
                                                false)));
        for (Role role : Role.values()) {
            looks.add(look(role));
        }
        looks.add(listed("Points", new ListMark.Bullet("•"), 1));
        looks.add(
                listed(
                        "Steps",
                        new ListMark.Numbered(
                                ListMark.NumberStyle.LOWER_ROMAN, "(", ")", false, false),
                        2));
    }

    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("guide " + name).getBytes(StandardCharsets.UTF_8));
    }

    List<PageScene> scenes(Publication publication) {
        return composer().composeAll(publication);
    }

    Composer composer() {
        return new Composer(PressCondition.coated(), new Pictures(files::get, documents));
    }

    Publication publication() {
        int count = 2 + random.nextInt(3);
        List<Page> pages = new ArrayList<>();
        List<Story.Link> chain = new ArrayList<>();
        Parent parent = parent();
        for (int i = 0; i < count; i++) {
            Page bare =
                    new Page(
                            id("page " + i),
                            random.nextInt(3) > 0 ? Optional.of(parent.id()) : Optional.empty(),
                            true,
                            random.nextInt(3) == 0 ? Optional.of("Part " + i) : Optional.empty(),
                            Optional.empty(),
                            Optional.empty(),
                            Layer.EMPTY);
            chain.add(new Story.Link(bare.asOwner(), id("main " + i)));
            pages.add(bare.withLayer(layer(i, bare)));
        }
        List<Paragraph> text = new ArrayList<>();
        for (int i = 0; i < 6 + random.nextInt(14); i++) {
            text.add(paragraph("main " + i, looks.get(random.nextInt(looks.size())), pages));
        }
        stories.add(
                new Story(id("story"), chain, text)
                        .withLanguage(
                                random.nextBoolean()
                                        ? Optional.of(Language.GERMAN)
                                        : Optional.empty()));
        return new Publication(
                        id("publication " + seed),
                        "Guide <%d> & more".formatted(seed),
                        Setup.of(new PageSize(Length.mm(105), Length.mm(148)), seed % 2 == 0),
                        List.of(NIGHT, PALE, INK, LANTERN, DUSK),
                        looks,
                        List.of(parent),
                        pages)
                .withCharacterLooks(List.of(marked))
                .withAssets(List.of(sky))
                .withStories(stories);
    }

    private Parent parent() {
        UUID parent = id("parent");
        TextFrame head = textFrame("head", new Box(mm(15), mm(4), mm(75), mm(8)), 0);
        stories.add(
                new Story(
                        id("story head"),
                        List.of(new Story.Link(new Owner.OnParent(parent), head.id())),
                        List.of(paragraph("head", looks.get(Role.BODY.ordinal()), List.of()))));
        PictureFrame proof =
                new PictureFrame(
                                id("proof"),
                                Sides.BOTH,
                                new Box(mm(20), mm(50), mm(60), mm(40)),
                                PictureFrame.Level.OVER,
                                new Fill.Word(
                                        "PROOF",
                                        "Source Sans 3",
                                        700,
                                        false,
                                        Optional.empty(),
                                        tint()))
                        .withOpacity(20)
                        .withRotation(-30);
        return new Parent(
                parent,
                "Running",
                Optional.empty(),
                new Layer(
                        List.of(background("foot", new Area.Band(Edge.BOTTOM, mm(12)))),
                        List.of(head, proof)));
    }

    private Layer layer(int page, Page on) {
        List<Background> backgrounds = new ArrayList<>();
        for (int i = 0; i < random.nextInt(3); i++) {
            backgrounds.add(background(page + "." + i, new Area.WholePage()));
        }
        List<Frame> frames = new ArrayList<>();
        frames.add(
                textFrame(
                        "main " + page,
                        new Box(mm(12), mm(15), mm(80), mm(70)),
                        random.nextInt(4) == 0 ? random.nextInt(40) - 20 : 0));
        if (random.nextBoolean()) {
            frames.add(picture(page));
        }
        if (random.nextBoolean()) {
            TextFrame side = textFrame("side " + page, new Box(mm(12), mm(95), mm(80), mm(30)), 0);
            frames.add(random.nextInt(frames.size() + 1), side);
            stories.add(
                    new Story(
                            id("story side " + page),
                            List.of(new Story.Link(on.asOwner(), side.id())),
                            List.of(
                                    paragraph(
                                            "side " + page,
                                            looks.get(random.nextInt(looks.size())),
                                            List.of()))));
        }
        return new Layer(backgrounds, frames);
    }

    private PictureFrame picture(int page) {
        boolean word = random.nextInt(3) == 0;
        Fill fill =
                word
                        ? new Fill.Word("Dusk", "Fraunces", 600, false, Optional.empty(), tint())
                        : new Fill.Picture(sky.id(), Placing.COVER, RunOut.NONE, Optional.empty());
        return new PictureFrame(
                        id("picture " + page),
                        Sides.BOTH,
                        new Box(mm(20), mm(128), mm(30), mm(15)),
                        PictureFrame.Level.CONTENT,
                        fill)
                .withOpacity(random.nextBoolean() ? 100 : 60)
                .withMeaning(
                        random.nextInt(3) == 0
                                ? new PictureFrame.Meaning(true, "")
                                : new PictureFrame.Meaning(
                                        false, "The sky over page " + (page + 1)));
    }

    private Background background(String name, Area area) {
        Fill fill =
                switch (random.nextInt(3)) {
                    case 0 -> new Fill.Solid(tint());
                    case 1 ->
                            new Fill.Gradient(
                                    random.nextBoolean()
                                            ? Fill.Gradient.Kind.LINEAR
                                            : Fill.Gradient.Kind.RADIAL,
                                    random.nextInt(360),
                                    false,
                                    List.of(
                                            new Fill.Gradient.Stop(0, tint(), 100),
                                            new Fill.Gradient.Stop(
                                                    100, tint(), random.nextBoolean() ? 100 : 30)));
                    default ->
                            new Fill.Picture(
                                    sky.id(), Placing.COVER, RunOut.NONE, Optional.empty());
                };
        return new Background(
                id("background " + name),
                Sides.BOTH,
                area,
                fill,
                random.nextInt(3) == 0 ? 50 : 100,
                random.nextInt(4) == 0 ? BlendMode.MULTIPLY : BlendMode.NORMAL,
                goesTo(name));
    }

    /** Decided on apart, so that all else is as it was without it. */
    private Background.GoesTo goesTo(String name) {
        int one = new Random(seed * 31 + name.hashCode()).nextInt(10);
        return new Background.GoesTo(one > 0, one < 8);
    }

    private Tinted tint() {
        Swatch swatch = List.of(NIGHT, PALE, INK, LANTERN, DUSK).get(random.nextInt(5));
        return new Tinted(swatch.id(), 20 + random.nextInt(80));
    }

    private Paragraph paragraph(String name, Look look, List<Page> pages) {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            StringBuilder text = new StringBuilder();
            for (int j = 0; j < 3 + random.nextInt(9); j++) {
                text.append(WORDS[random.nextInt(WORDS.length)]).append(' ');
            }
            Run run = new Run(id("run " + name + " " + i), text.toString(), Optional.empty());
            switch (random.nextInt(6)) {
                case 0 -> run = run.withLanguage(Optional.of(Language.FRENCH));
                case 1 ->
                        run =
                                run.withLink(
                                        Optional.of(
                                                new LinkTo.Address(
                                                        "https://observatory.example/nights")));
                case 2 -> {
                    if (!pages.isEmpty()) {
                        run =
                                run.withLink(
                                        Optional.of(
                                                i == 1
                                                        ? new LinkTo.ToParagraph(
                                                                id("story"), id("paragraph main 0"))
                                                        : new LinkTo.ToPage(pages.getLast().id())));
                    }
                }
                case 3 -> run = run.withLook(Optional.of(marked.id()));
                default -> {}
            }
            runs.add(run);
        }
        return new Paragraph(id("paragraph " + name), look.id(), runs);
    }

    /** Of every other role. */
    private static Optional<Border> border(Role role) {
        return Optional.of(
                        new Border(
                                List.of(Edge.LEFT),
                                Length.pt(2),
                                Tinted.full(NIGHT.id()),
                                Border.Style.SOLID))
                .filter(_ -> role.ordinal() % 2 == 0);
    }

    private Look look(Role role) {
        Look look =
                new Look(
                        id("look " + role),
                        role.name(),
                        random.nextBoolean() ? "Source Sans 3" : "Fraunces",
                        400,
                        Length.pt(8 + random.nextInt(5)),
                        Length.pt(14),
                        Length.pt(random.nextInt(6)),
                        Look.Alignment.values()[random.nextInt(3)],
                        Tinted.full(INK.id()),
                        Look.Overprint.BLACK);
        if (random.nextInt(3) == 0) {
            look =
                    look.withPanel(
                            Optional.of(
                                    Panel.shaded(
                                                    tint(),
                                                    Panel.Reach.MEASURE,
                                                    Padding.all(Distance.em(0.3)))
                                            .withBorder(border(role))));
        }
        if (role == Role.TITLE) {
            look =
                    look.withSetting(
                            look.setting()
                                    .withLetters(
                                            new Letters(
                                                    Letters.Capitals.ALL,
                                                    Letters.Figures.AS_FACE)));
        }
        return look.withRole(Optional.of(role));
    }

    private Look listed(String name, ListMark.Mark mark, int level) {
        return new Look(
                        id("look " + name),
                        name,
                        "Source Sans 3",
                        400,
                        Length.pt(9),
                        Length.pt(13),
                        Length.ZERO,
                        Look.Alignment.LEFT,
                        Tinted.full(INK.id()),
                        Look.Overprint.BLACK)
                .withList(Optional.of(new ListMark(mark, level, Optional.empty())));
    }

    private static TextFrame textFrame(String name, Box box, double degrees) {
        return new TextFrame(
                id(name),
                Sides.BOTH,
                box,
                FrameSetting.USUAL.withRotation(degrees),
                id(name.startsWith("main") ? "story" : "story " + name));
    }

    private static Length mm(double value) {
        return Length.mm(value);
    }

    private Asset sky() {
        BufferedImage image = new BufferedImage(120, 90, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setPaint(
                new GradientPaint(0, 0, new Color(0x101c3c), 120, 0, new Color(0xd08858)));
        if (random.nextBoolean()) {
            graphics.fillOval(10, 10, 100, 70);
        } else {
            graphics.fillRect(0, 0, 120, 90);
        }
        graphics.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        files.put("Sky", out.toByteArray());
        return new Asset(
                id("sky"), "Sky", "Sky", new Intake(documents).look("Sky", out.toByteArray()));
    }
}
