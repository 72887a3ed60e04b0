package yewberry.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Field;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.server.publications.Beginning;

/**
 * The log sheets of a winter: five PDFs of three producers, with a colour behind their pages, a
 * numbered strip along the bottom, and a word that says that they are copies. One sheet is a scan,
 * one has a white box, and one has type that is too pale.
 */
final class DemoLogSheets {
    private static final List<String> MONTHS =
            List.of("october", "november", "december", "january", "february");

    private static final Swatch EVENING =
            new Swatch(id("evening"), "Evening", new Rgb(219, 228, 241));
    private static final Swatch NIGHT = new Swatch(id("night"), "Night", new Rgb(24, 36, 74));
    private static final Swatch MOON = new Swatch(id("moon"), "Moon", new Rgb(246, 243, 226));
    private static final Swatch RUST = new Swatch(id("rust"), "Rust", new Rgb(168, 62, 36));
    private static final Look NUMBER =
            DemoLooks.look("Sheet number", "Source Sans 3", 600, 8, 10, 0, MOON);

    private final DemoStories stories = new DemoStories();

    private DemoLogSheets() {}

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("log sheets: " + name).getBytes(StandardCharsets.UTF_8));
    }

    /** The files, by their names. */
    static Map<String, byte[]> files() {
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (String month : MONTHS) {
            String name = month + ".pdf";
            try (InputStream in =
                    DemoLogSheets.class.getResourceAsStream("/demo/log-sheets/" + name)) {
                files.put(name, in.readAllBytes());
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
        }
        return files;
    }

    static Publication publication(AssetIntake taking) {
        return new DemoLogSheets().build(taking);
    }

    private Publication build(AssetIntake taking) {
        List<Asset> assets = new ArrayList<>();
        files().forEach((name, file) -> assets.add(taking.take(id(name), name, file)));
        List<UUID> ids = new ArrayList<>();
        Publication begun =
                Beginning.ofFiles(
                        id("publication"),
                        "Log sheets",
                        assets,
                        () -> {
                            ids.add(id("begun " + ids.size()));
                            return ids.getLast();
                        });
        Parent parent =
                new Parent(
                        id("parent"),
                        "Archived",
                        new Layer(List.of(evening()), List.of(number(), copy())));
        List<Page> pages =
                begun.pages().stream()
                        .map(page -> page.withParent(Optional.of(parent.id())))
                        .toList();
        return stories.in(
                begun.withSwatches(List.of(EVENING, NIGHT, MOON, RUST))
                        .withLooks(List.of(NUMBER))
                        .withCharacterLooks(List.of())
                        .withParents(List.of(parent))
                        .withPages(pages));
    }

    private static Background evening() {
        return new Background(
                id("background evening"),
                Sides.BOTH,
                new Area.WholePage(),
                new Fill.Solid(Tinted.full(EVENING.id())));
    }

    /** Along the bottom of each page, whatever its size. */
    private TextFrame number() {
        UUID story = id("story number");
        String text =
                "Sheet %c of %c, %c"
                        .formatted(
                                Field.PAGE.character(),
                                Field.PAGES.character(),
                                Field.PUBLICATION.character());
        Paragraph paragraph =
                new Paragraph(
                        id("paragraph number"),
                        NUMBER.id(),
                        List.of(new Run(id("run number"), text, Optional.empty())));
        Length depth = Length.mm(7);
        Distance none = Distance.NONE;
        Distance side = Distance.of(Length.mm(10));
        return stories.frame(
                        id("frame number"),
                        new Box(Length.ZERO, Length.ZERO, depth, depth),
                        story,
                        List.of(paragraph))
                .withSetting(
                        new FrameSetting(
                                Length.ZERO, 1, Length.mm(5), FrameSetting.Vertical.MIDDLE, 0))
                .withBand(
                        Optional.of(
                                new TextBand(
                                        Edge.BOTTOM,
                                        depth,
                                        new Padding(none, side, none, side),
                                        new Fill.Solid(Tinted.full(NIGHT.id())))));
    }

    private static PictureFrame copy() {
        return new PictureFrame(
                id("word copy"),
                Sides.BOTH,
                new Box(Length.mm(24), Length.mm(60), Length.mm(100), Length.mm(44)),
                -24,
                PictureFrame.Level.OVER,
                new Fill.Word(
                        "Copy", "Fraunces", 700, false, Optional.empty(), Tinted.full(RUST.id())),
                18,
                BlendMode.MULTIPLY,
                Background.GoesTo.BOTH,
                new PictureFrame.Meaning(true, ""),
                List.of(),
                false,
                Hold.SHARE);
    }
}
