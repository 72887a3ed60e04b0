package yewberry.core.scene;

import java.awt.geom.AffineTransform;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Color;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Tinted;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;
import yewberry.core.text.Type;

/**
 * The text of a page of a file. The file paints it, so it is no item of a scene; but it is judged
 * like all text, on what the file has behind it and on what lies behind the file. Annotations and
 * form fields lie over all else, whatever is put over the page.
 *
 * @param ground what of the page of the file lies behind it, if anything
 * @param onTop what the annotation that it is in has behind it, from the lowest up; nothing for
 *     text of the page itself
 */
record FileText(
        Item.GlyphRun run, Optional<Item.FrontFill> ground, Optional<List<Item.FrontFill>> onTop) {
    private static final UUID NO_SWATCH = new UUID(0, 0);

    /** Sizes that a look can have, in points. */
    private static final double LEAST = 2;

    private static final double MOST = 1000;

    /**
     * All of a page.
     *
     * @param page of the file, in the colours of a medium
     */
    static List<FileText> of(Item.FrontFill page) {
        if (!(page.paint() instanceof AreaPaint.Picture picture)) {
            return List.of();
        }
        PageText text = picture.pixels().text();
        List<Face> faces =
                text.faces().stream()
                        .map(each ->
                                Face.drawn(
                                        each.family(),
                                        each.weight(),
                                        each.italic(),
                                        each.ascent(),
                                        each.descent(),
                                        each.outlines()))
                        .toList();
        List<FileText> all = new ArrayList<>();
        for (PageText.Stretch each : text.stretches()) {
            all.add(
                    new FileText(
                            run(each, faces.get(each.face()), page, picture),
                            ground(
                                    each.ground(),
                                    page,
                                    page.origin(),
                                    picture.pixels()::withoutText),
                            each.annotation()
                                    .map(own ->
                                            ground(
                                                            own,
                                                            page,
                                                            annotation(page),
                                                            picture.pixels()::annotations)
                                                    .stream()
                                                    .toList())));
        }
        return all;
    }

    /**
     * What annotations let the text of a page be seen through, over all that is put over it.
     *
     * @param page of the file, in the colours of a medium
     */
    static List<Item.Filled> veils(Item.FrontFill page) {
        if (!(page.paint() instanceof AreaPaint.Picture picture)) {
            return List.of();
        }
        AffineTransform place =
                AffineTransform.getTranslateInstance(page.frame().x(), page.frame().y());
        return picture.pixels().text().veils().stream()
                .<Item.Filled>map(each ->
                        new Item.FrontFill(
                                annotation(page),
                                page.source()
                                        .withOpacity(each.opacity() * 100)
                                        .withBlend(each.blend()),
                                new AreaPaint.Solid(paint(each.color(), each.color(), false)),
                                Form.of(place.createTransformedShape(each.shape())),
                                true,
                                page.frame()))
                .toList();
    }

    private static Item.GlyphRun run(
            PageText.Stretch stretch, Face face, Item.FrontFill page, AreaPaint.Picture picture) {
        String of = "%s %d ".formatted(picture.asset().sha256(), picture.page());
        Rect trim = page.frame();
        return new Item.GlyphRun(
                stretch.annotation().isPresent() ? annotation(page) : page.origin(),
                page.element(),
                id(of + "paragraph " + stretch.number()),
                id(of + stretch.number()),
                look(face, stretch, page),
                Optional.empty(),
                new Type(face, stretch.size(), 0),
                paint(stretch.color(), stretch.seen(), stretch.overprints()),
                Optional.empty(),
                stretch.degrees() == 0
                        ? Turn.NONE
                        : new Turn(
                                stretch.degrees(), trim.x() + stretch.x(), trim.y() + stretch.y()),
                stretch.lines().stream().map(line -> line(line, trim)).toList());
    }

    private static Origin annotation(Item.FrontFill page) {
        return page.origin() instanceof Origin.FromFile(UUID id, String name)
                ? new Origin.FromAnnotation(id, name)
                : page.origin();
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Item.Line line(PageText.Line line, Rect trim) {
        return new Item.Line(
                line.glyphs().stream().map(PageText.Glyph::text).collect(Collectors.joining()),
                trim.x() + line.x(),
                trim.y() + line.baseline(),
                line.width(),
                line.glyphs().stream()
                        .map(glyph -> new Segment.Glyph(glyph.id(), glyph.text(), glyph.x(), 0))
                        .toList());
    }

    /**
     * @param own the colour that the file has it in, as it is seen
     */
    private static Paint paint(Color color, Color own, boolean overprints) {
        return new Paint(color, own, Optional.empty(), color.toString(), 100, overprints, false);
    }

    /** One that no publication has: what is written in a file has no look. */
    private static Look look(Face face, PageText.Stretch stretch, Item.FrontFill page) {
        Length size = Length.pt(Math.clamp(stretch.size(), LEAST, MOST));
        return new Look(
                id(page.origin().inWords() + face.inWords()),
                "Text in " + page.origin().inWords(),
                face.family(),
                face.weight(),
                size,
                size,
                Length.ZERO,
                Look.Alignment.LEFT,
                Tinted.full(NO_SWATCH),
                Look.Overprint.BLACK);
    }

    /**
     * @param drawn what is painted there, with pictures or without
     */
    private static Optional<Item.FrontFill> ground(
            PageText.Ground ground,
            Item.FrontFill page,
            Origin from,
            Function<Boolean, Pictures.Placeable> drawn) {
        return switch (ground) {
            case PageText.Ground.Bare bare -> Optional.empty();
            case PageText.Ground.Flat(Color color) ->
                    Optional.of(with(page, from, new AreaPaint.Solid(paint(color, color, false))));
            case PageText.Ground.Mixed(boolean pictured) ->
                    Optional.of(drawnAs(page, from, drawn.apply(pictured)));
        };
    }

    /** A page with its annotations. */
    static Item.FrontFill annotated(Item.FrontFill page) {
        AreaPaint.Picture picture = (AreaPaint.Picture) page.paint();
        return drawnAs(page, page.origin(), picture.pixels().annotated());
    }

    /** The page with other pixels of the same file. */
    private static Item.FrontFill drawnAs(
            Item.FrontFill page, Origin from, Pictures.Placeable pixels) {
        AreaPaint.Picture picture = (AreaPaint.Picture) page.paint();
        return with(
                page,
                from,
                new AreaPaint.Picture(
                        picture.asset(),
                        picture.page(),
                        pixels,
                        picture.place(),
                        picture.tiled(),
                        picture.runOut(),
                        picture.seeThrough()));
    }

    private static Item.FrontFill with(Item.FrontFill page, Origin from, AreaPaint paint) {
        return new Item.FrontFill(
                from, page.source(), paint, page.form(), page.reaches(), page.frame());
    }
}
