package yewberry.core.compose;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.flow.FilledFrame;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Length;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.ColorChoice;
import yewberry.core.scene.Cubics;
import yewberry.core.scene.Form;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;
import yewberry.core.scene.SceneKey;
import yewberry.core.scene.Turn;
import yewberry.core.text.Face;
import yewberry.core.text.FontLibrary;
import yewberry.core.text.Segment;
import yewberry.core.text.SetPanel;
import yewberry.core.text.WordShape;

/**
 * Composes one page: the backgrounds of its parents, its own on top, then what runs behind the
 * content, the page of a file that it is, the frames of its parents, its own, and what runs over
 * the content.
 */
final class PageComposition {
    private final Publication publication;
    private final PressCondition condition;
    private final Pictures pictures;
    private final Optional<PageBoxes> beside;
    private final PageBoxes boxes;
    private final Ingredients ingredients;
    private final Flows flows;
    private UUID page;
    private final List<Filled> filled = new ArrayList<>();
    private final List<Item> items = new ArrayList<>();
    private final List<PageScene.PlacedFrame> placed = new ArrayList<>();
    private final List<PageScene.PlacedPicture> pictureFrames = new ArrayList<>();
    private final List<PageScene.Overset> overset = new ArrayList<>();
    private final List<PageScene.Link> links = new ArrayList<>();

    /** A frame, and what runs through it. */
    record Filled(TextFrame frame, FilledFrame text, UUID page, Optional<Box> box) {
        /** Whether the same runs through it still; a frame of another page may be gone. */
        boolean holds(Publication in, Flows flows) {
            boolean isThere =
                    in.pages().position(page).isPresent()
                            && in.findStory(frame.story()).stream()
                                    .flatMap(story -> story.chain().stream())
                                    .anyMatch(link -> link.frame().equals(frame.id()));
            return isThere && flows.through(frame, in, page, box).isSameAs(text);
        }
    }

    PageComposition(
            Publication publication,
            PressCondition condition,
            Pictures pictures,
            PageBoxes boxes,
            Optional<PageBoxes> beside,
            Ingredients ingredients,
            Flows flows) {
        this.condition = condition;
        this.pictures = pictures;
        this.beside = beside;
        this.publication = publication;
        this.boxes = boxes;
        this.ingredients = ingredients;
        this.flows = flows;
    }

    /**
     * @param parents from the lowest up
     */
    PageScene compose(SceneKey key, Page page, List<Parent> parents) {
        this.page = page.id();
        Origin own = new Origin.FromPage(page.id());
        boolean isFile = page.imported().isPresent();
        backgrounds(page, parents, background -> !(isFile && background.over()));
        for (PictureFrame.Level level : PictureFrame.Level.values()) {
            if (level == PictureFrame.Level.CONTENT) {
                page.imported()
                        .ifPresent(file -> {
                            imported(page.id(), file);
                            backgrounds(page, parents, Background::over);
                        });
            }
            parents.forEach(parent -> frames(parent.layer().frames(), origin(parent), level));
            frames(page.layer().frames(), own, level);
        }
        return new PageScene(
                key, page.id(), boxes, items, placed, pictureFrames, overset, links, condition);
    }

    /** The frames that it set, in the order in which they are painted. */
    List<Filled> filled() {
        return List.copyOf(filled);
    }

    private static Origin origin(Parent parent) {
        return new Origin.FromParent(parent.id(), parent.name());
    }

    /** Some of those of the parents, if they show, and of the page's own. */
    private void backgrounds(Page page, List<Parent> parents, Predicate<Background> which) {
        if (page.parentShown()) {
            parents.forEach(
                    parent -> backgrounds(parent.layer().backgrounds(), origin(parent), which));
        }
        backgrounds(page.layer().backgrounds(), new Origin.FromPage(page.id()), which);
    }

    private void backgrounds(
            List<Background> backgrounds, Origin origin, Predicate<Background> which) {
        for (Background background : backgrounds) {
            if (background.sides().include(boxes.side()) && which.test(background)) {
                paint(background)
                        .ifPresent(paint ->
                                items.add(
                                        new Item.AreaFill(
                                                origin,
                                                background.id(),
                                                paint,
                                                boxes.place(background.area()),
                                                boxes.frame(background.area(), beside),
                                                background.opacity() / 100,
                                                background.blend(),
                                                background.goesTo())));
            }
        }
    }

    /** The page of a file fills the trim; it is the first of the content. */
    private void imported(UUID page, Imported file) {
        Asset asset = ingredients.leaf(file.asset(), file.number());
        PictureFrame frame =
                new PictureFrame(
                        page,
                        Sides.BOTH,
                        new Box(
                                Length.ZERO,
                                Length.ZERO,
                                Length.pt(boxes.trim().width()),
                                Length.pt(boxes.trim().height())),
                        0,
                        PictureFrame.Level.CONTENT,
                        new Fill.PdfPage(
                                file.asset(),
                                file.number(),
                                Placing.COVER.withFit(Placing.Fit.STRETCH)),
                        100,
                        BlendMode.NORMAL,
                        Background.GoesTo.BOTH,
                        new PictureFrame.Meaning(true, ""),
                        List.of(),
                        true);
        Fill.PdfPage fill = (Fill.PdfPage) frame.fill();
        Rect box = boxes.trim();
        List<Pictures.Recolored> recolored =
                asset.recoloredOn(file.number())
                        .map(each ->
                                new Pictures.Recolored(
                                        each,
                                        each.to()
                                                .map(to ->
                                                        ingredients.paint(to, condition).color())))
                        .toList();
        List<Pictures.Laid> backed =
                asset.backingsOn(file.number())
                        .map(each ->
                                new Pictures.Laid(
                                        each, ingredients.paint(each.color(), condition).color()))
                        .toList();
        AreaPaint.Picture paint =
                new AreaPaint.Picture(
                        asset,
                        file.number(),
                        pictures.of(
                                asset,
                                file.number(),
                                new Pictures.Changes(recolored, backed),
                                condition,
                                Medium.PAPER),
                        PicturePlace.of(fill.placing(), asset.extent(file.number()), box, boxes),
                        false,
                        RunOut.NONE,
                        Optional.empty());
        items.add(
                new Item.FrontFill(
                        new Origin.FromFile(page, asset.name()),
                        frame,
                        paint,
                        Form.of(box),
                        paint.reaches(box),
                        box));
    }

    private Optional<AreaPaint> paint(Background background) {
        return switch (background.fill()) {
            case Fill.None none -> Optional.empty();
            case Fill.Solid(Tinted color) ->
                    Optional.of(new AreaPaint.Solid(ingredients.paint(color, condition)));
            case Fill.Gradient gradient -> Optional.of(paint(gradient));
            case Fill.Picture picture -> Optional.of(paint(picture, background.area()));
            case Fill.PdfPage(UUID asset, int number, Placing placing) ->
                    Optional.of(
                            placed(
                                    ingredients.asset(asset),
                                    number,
                                    placing,
                                    RunOut.NONE,
                                    Optional.empty(),
                                    boxes.frame(background.area(), beside)));
            case Fill.Word word -> throw new IllegalArgumentException("A word as a background");
        };
    }

    /** Behind text there are colours and gradients only. */
    private AreaPaint behind(Fill fill) {
        return switch (fill) {
            case Fill.Solid(Tinted color) ->
                    new AreaPaint.Solid(ingredients.paint(color, condition));
            case Fill.Gradient gradient -> paint(gradient);
            case Fill.None none -> throw new IllegalArgumentException("Nothing behind text");
            case Fill.Picture picture ->
                    throw new IllegalArgumentException("A picture behind text");
            case Fill.PdfPage page -> throw new IllegalArgumentException("A page behind text");
            case Fill.Word word -> throw new IllegalArgumentException("A word behind text");
        };
    }

    private AreaPaint paint(Fill.Picture picture, Area area) {
        return placed(
                ingredients.asset(picture.asset()),
                1,
                picture.placing(),
                picture.runOut(),
                picture.seeThrough(),
                boxes.frame(area, beside));
    }

    private AreaPaint.Picture placed(
            Asset asset,
            int page,
            Placing placing,
            RunOut runOut,
            Optional<SeeThrough> seeThrough,
            Rect frame) {
        PicturePlace place = PicturePlace.of(placing, asset.extent(page), frame, boxes);
        return new AreaPaint.Picture(
                asset,
                page,
                pictures.of(asset, page, seeThrough, condition, Medium.PAPER),
                runOut == RunOut.ENLARGE ? place.enlargedTo(frame) : place,
                placing.fit() == Placing.Fit.TILE,
                runOut,
                seeThrough);
    }

    private AreaPaint paint(Fill.Gradient gradient) {
        List<AreaPaint.Gradient.Stop> stops = new ArrayList<>();
        for (Fill.Gradient.Stop stop : gradient.stops()) {
            double position = stop.position() / 100;
            stops.add(
                    new AreaPaint.Gradient.Stop(
                            gradient.reversed() ? 1 - position : position,
                            ingredients.paint(stop.color(), condition),
                            stop.opacity() / 100));
        }
        return new AreaPaint.Gradient(
                gradient.kind(), gradient.angle(), gradient.reversed() ? stops.reversed() : stops);
    }

    /** Text is content. */
    private void frames(List<Frame> frames, Origin origin, PictureFrame.Level level) {
        for (Frame frame : frames) {
            if (!frame.sides().include(boxes.side())) {
                continue;
            }
            switch (frame) {
                case TextFrame text -> {
                    if (level == PictureFrame.Level.CONTENT) {
                        frame(text, origin);
                    }
                }
                case PictureFrame picture -> {
                    if (level == picture.level()) {
                        picture(picture, origin);
                    }
                }
            }
        }
    }

    /** Of the next frame in the order of all. */
    private int place() {
        return placed.size() + pictureFrames.size();
    }

    private void picture(PictureFrame frame, Origin origin) {
        Rect box = box(frame, origin);
        Turn turn = turn(frame, origin, box);
        pictureFrames.add(new PageScene.PlacedPicture(place(), origin, frame, box, turn));
        switch (frame.fill()) {
            case Fill.Picture(
                            UUID asset,
                            Placing placing,
                            RunOut runOut,
                            Optional<SeeThrough> seeThrough) ->
                    items.add(
                            front(frame, origin, box, turn, asset, 1, placing, runOut, seeThrough));
            case Fill.PdfPage(UUID asset, int number, Placing placing) ->
                    items.add(
                            front(
                                    frame,
                                    origin,
                                    box,
                                    turn,
                                    asset,
                                    number,
                                    placing,
                                    RunOut.NONE,
                                    Optional.empty()));
            case Fill.Word word ->
                    items.add(
                            new Item.FrontFill(
                                    origin,
                                    frame,
                                    new AreaPaint.Solid(ingredients.paint(word.color(), condition)),
                                    Form.of(Cubics.of(shape(word, box))).turned(turn),
                                    true,
                                    box));
            case Fill.None none -> {}
            case Fill.Solid solid -> throw new IllegalArgumentException("A colour in front");
            case Fill.Gradient gradient ->
                    throw new IllegalArgumentException("A gradient in front");
        }
    }

    private static Shape shape(Fill.Word word, Rect box) {
        Rectangle2D room = box.shape().getBounds2D();
        Face face = FontLibrary.face(word.family(), word.weight(), word.italic());
        double size = word.size().map(Length::points).orElse(0.0);
        return word.repeat()
                .map(repeat ->
                        WordShape.repeated(
                                room,
                                word.text(),
                                face,
                                size,
                                repeat.across().points(),
                                repeat.down().points(),
                                repeat.angle()))
                .orElseGet(() -> WordShape.within(room, word.text(), face, size));
    }

    private Item.FrontFill front(
            PictureFrame frame,
            Origin origin,
            Rect box,
            Turn turn,
            UUID file,
            int page,
            Placing placing,
            RunOut runOut,
            Optional<SeeThrough> seeThrough) {
        AreaPaint.Picture paint =
                placed(ingredients.asset(file), page, placing, runOut, seeThrough, box);
        return new Item.FrontFill(
                origin,
                frame,
                paint.turned(turn),
                Form.of(box).turned(turn),
                paint.reaches(box),
                box);
    }

    private void frame(TextFrame frame, Origin origin) {
        Optional<Rect> inBand = frame.band().map(band -> inBand(frame, band, origin));
        Rect box = inBand.orElseGet(() -> box(frame, origin));
        Turn turn = inBand.isPresent() ? Turn.NONE : turn(frame, origin, box);
        Optional<Box> own =
                inBand.map(PageComposition::box)
                        .or(() ->
                                Optional.of(held(frame, origin))
                                        .filter(held -> held != frame.box()));
        FilledFrame text = flows.through(frame, publication, page, own);
        filled.add(new Filled(frame, text, page, own));
        placed.add(
                new PageScene.PlacedFrame(place(), origin, frame.id(), frame.story(), box, turn));
        List<Segment> segments =
                text.segments().stream().map(each -> each.on(boxes.side())).toList();
        BehindText behind =
                new BehindText(origin, frame.id(), box, turn, boxes.side(), this::behind);
        frame.band().ifPresent(band -> items.add(band(frame, band, origin)));
        List<SetPanel> panels = text.panels();
        items.addAll(
                behind.panels(
                        panels,
                        BehindText.Beyond.counts(panels)
                                ? new BehindText.Beyond(beyond(frame, false), beyond(frame, true))
                                : BehindText.Beyond.NOTHING));
        items.addAll(behind.highlights(segments));
        letters(runs(segments, frame, origin, box, turn));
        links(segments, origin, box, turn);
        String rest = text.overset();
        if (!rest.isEmpty()) {
            overset.add(
                    new PageScene.Overset(
                            origin, frame.id(), frame.story(), turn.around(box), rest));
        }
    }

    /** How high a panel that goes on beyond a frame is there, in points. */
    private double beyond(TextFrame frame, boolean onward) {
        List<Story.Link> chain = publication.story(frame.story()).chain();
        int at = 0;
        while (!chain.get(at).frame().equals(frame.id())) {
            at++;
        }
        double height = 0;
        int step = onward ? 1 : -1;
        for (int i = at + step; i >= 0 && i < chain.size(); i += step) {
            List<SetPanel> panels = panels(chain.get(i));
            for (SetPanel each : onward ? panels : panels.reversed()) {
                if (onward ? !each.cutAbove() : !each.cutBelow()) {
                    return height;
                }
                height += BehindText.height(each);
                if (onward ? !each.cutBelow() : !each.cutAbove()) {
                    return height;
                }
            }
        }
        return height;
    }

    /** Those of another frame, which this page depends on from now on. */
    private List<SetPanel> panels(Story.Link link) {
        UUID on = link.owner() instanceof Owner.OnPage(UUID id) ? id : page;
        TextFrame frame = publication.frame(link);
        FilledFrame text = flows.through(frame, publication, on, Optional.empty());
        filled.add(new Filled(frame, text, on, Optional.empty()));
        return text.panels();
    }

    /** Where the text of a band stands: within the trim, its padding mirrored with the page. */
    private Rect inBand(TextFrame frame, TextBand band, Origin origin) {
        Rect all = boxes.place(new Area.Band(band.edge(), band.depth())).intersection(boxes.trim());
        double em = firstLook(frame).size().points();
        Padding padding = band.padding();
        boolean mirrored = isMirrored(frame, origin);
        double left = (mirrored ? padding.right() : padding.left()).points(em);
        double right = (mirrored ? padding.left() : padding.right()).points(em);
        Rect inside = all.inset(left, padding.top().points(em), right, padding.bottom().points(em));
        boolean roomy =
                inside.width() > 0 && inside.height() > 0 && frame.setting().isRoomy(box(inside));
        // a page may be smaller than the band was made for; then its text stands without padding
        return roomy ? inside : all;
    }

    static Box box(Rect rect) {
        return new Box(
                Length.pt(rect.x()),
                Length.pt(rect.y()),
                Length.pt(rect.width()),
                Length.pt(rect.height()));
    }

    private Look firstLook(TextFrame frame) {
        return publication.look(publication.story(frame.story()).paragraphs().getFirst().look());
    }

    private Item.TextFill band(TextFrame frame, TextBand band, Origin origin) {
        Rect all = boxes.place(new Area.Band(band.edge(), band.depth()));
        Look look = firstLook(frame);
        return new Item.TextFill(
                origin,
                Item.TextFill.Kind.BAND,
                frame.id(),
                publication.story(frame.story()).paragraphs().getFirst().id(),
                Optional.empty(),
                look.id(),
                look.name(),
                behind(band.fill()),
                Form.of(all),
                all,
                Turn.NONE,
                Optional.empty());
    }

    private void links(List<Segment> segments, Origin origin, Rect box, Turn turn) {
        int from = 0;
        for (int to = 1; to <= segments.size(); to++) {
            if (to == segments.size() || segments.get(to).run() != segments.get(from).run()) {
                List<Segment> run = segments.subList(from, to);
                run.getFirst()
                        .run()
                        .link()
                        .ifPresent(link -> links.add(link(link, run, origin, box, turn)));
                from = to;
            }
        }
    }

    private PageScene.Link link(
            LinkTo link, List<Segment> run, Origin origin, Rect box, Turn turn) {
        return new PageScene.Link(
                origin,
                run.getFirst().run().id(),
                link,
                ingredients.leads(link),
                run.stream().map(Segment::text).collect(Collectors.joining(" ")),
                run.stream()
                        .map(each ->
                                new Rect(
                                        box.x() + each.x(),
                                        box.y() + each.baseline() - each.type().ascent(),
                                        each.width(),
                                        each.type().ascent() + each.type().descent()))
                        .toList(),
                turn);
    }

    /** What is on both sides of a parent stands mirrored about the spine on the left. */
    private Rect box(Frame frame, Origin origin) {
        Box box = held(frame, origin);
        double x = box.x().points();
        double width = box.width().points();
        return new Rect(
                isMirrored(frame, origin) ? boxes.trim().width() - x - width : x,
                box.y().points(),
                width,
                box.height().points());
    }

    /** What is on a parent keeps to something on pages of another size. */
    private Box held(Frame frame, Origin origin) {
        if (!(origin instanceof Origin.FromParent)) {
            return frame.box();
        }
        PageSize usual = publication.setup().trim();
        return frame.holdOn(usual, trim()).on(frame.box(), usual, trim());
    }

    private PageSize trim() {
        return publication.setup(publication.page(page)).trim();
    }

    private Turn turn(Frame frame, Origin origin, Rect box) {
        double degrees = frame.rotation();
        // a mark on all pages leans the same way on both hands
        boolean running = frame instanceof PictureFrame picture && picture.isRunningItem();
        return Turn.about(box, isMirrored(frame, origin) && !running ? -degrees : degrees);
    }

    private boolean isMirrored(Frame frame, Origin origin) {
        return origin instanceof Origin.FromParent
                && boxes.side() == Side.LEFT
                && frame.sides() == Sides.BOTH;
    }

    private List<Item.GlyphRun> runs(
            List<Segment> segments, TextFrame frame, Origin origin, Rect box, Turn turn) {
        List<Item.GlyphRun> runs = new ArrayList<>();
        int from = 0;
        for (int to = 1; to <= segments.size(); to++) {
            if (to == segments.size() || !areOne(segments.get(from), segments.get(to))) {
                runs.add(run(segments.subList(from, to), frame, origin, box, turn));
                from = to;
            }
        }
        return runs;
    }

    /** Where a face has no shape for a character, a run goes on in another. */
    private static boolean areOne(Segment one, Segment other) {
        return one.run() == other.run() && one.type().equals(other.type());
    }

    /** Outlines lie below all letters of their frame, so that none eats the letter beside it. */
    private void letters(List<Item.GlyphRun> runs) {
        runs.forEach(run ->
                run.outline()
                        .filter(line -> !line.centered())
                        .ifPresent(line -> items.add(outline(run, line, 2))));
        items.addAll(runs);
        runs.forEach(run ->
                run.outline()
                        .filter(Outline::centered)
                        .ifPresent(line -> items.add(outline(run, line, 1))));
    }

    private Item.GlyphStroke outline(Item.GlyphRun run, Outline line, int times) {
        return new Item.GlyphStroke(
                run,
                ingredients.paint(line.color(), condition),
                times * line.width().points(),
                line.join());
    }

    private Item.GlyphRun run(
            List<Segment> segments, TextFrame frame, Origin origin, Rect box, Turn turn) {
        Segment first = segments.getFirst();
        Optional<CharacterLook> characters = first.characters();
        Tinted color =
                first.run()
                        .color()
                        .or(() -> characters.flatMap(CharacterLook::color))
                        .orElse(first.look().color());
        boolean outlined =
                characters.flatMap(CharacterLook::outline).or(first.look()::outline).isPresent();
        Optional<ColorChoice> choice = ingredients.choice(color, first.look(), outlined, condition);
        return new Item.GlyphRun(
                origin,
                frame.id(),
                first.paragraph(),
                first.run().id(),
                first.look(),
                characters,
                first.type(),
                choice.map(each -> each.candidates().getFirst())
                        .orElseGet(
                                () -> ingredients.paint(color, first.look(), outlined, condition)),
                choice,
                turn,
                segments.stream()
                        .map(each ->
                                new Item.Line(
                                        each.text(),
                                        box.x() + each.x(),
                                        box.y() + each.baseline(),
                                        each.width(),
                                        each.glyphs()))
                        .toList());
    }
}
