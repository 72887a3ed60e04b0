package yewberry.core.findings;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.edit.TypeChange;
import yewberry.core.press.RichBlack;
import yewberry.core.press.WithinLimit;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.PressChecks;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;

/**
 * What may mend a finding, or be done instead of something else.
 *
 * @param label what it does, in words
 * @param edit that does it
 */
public record Offer(String label, Edit edit) {
    /** What would mend a finding; contrasts have mends of their own. */
    public static List<Offer> of(
            Finding finding, Publication publication, PressCondition condition) {
        if (finding instanceof PressFinding.OfText text && text.run().isInFile()) {
            return List.of(); // what others wrote is not set here
        }
        return switch (finding) {
            case Finding.TooLittleContrast low -> List.of();
            case Finding.TextOverflow overflow -> List.of();
            case Finding.StockNotPrinted stock -> List.of();
            case Finding.OfCharacters characters -> List.of();
            case Finding.DeadLink link -> List.of();
            case RunsIntoText into -> into.offers(publication);
            case LooseLine loose -> ragged(loose.run(), publication);
            case OnPageContent on -> on.offers(publication);
            case FrontFinding front -> front.offers(publication);
            case GraphicFinding graphic -> graphic.offers(publication);
            case PressFinding.TextOnBusy busy -> List.of();
            case PressFinding.Hairline line -> wider(line, publication);
            case PictureFinding picture ->
                    PictureOffers.of(
                            picture,
                            picture.fill() instanceof Item.AreaFill area
                                    ? background(publication, area.background())
                                    : Optional.empty());
            case PressFinding.TooMuchInk heavy -> lessInk(heavy, publication, condition);
            case PressFinding.SmallTypeInInks small ->
                    larger(small.run(), small.checks(), publication);
            case PressFinding.SmallTypeReversed small ->
                    larger(small.run(), small.checks(), publication);
            case PressFinding.PlainBlackArea area -> richer(area, publication);
            case PressFinding.EndsAtTrim end -> bleeding(end, publication, condition);
            case PressFinding.TextNearTrim near -> inwards(near, publication);
            case PressFinding.BackgroundLeftOut left ->
                    background(publication, left.fill().background()).stream()
                            .map(background ->
                                    new Offer(
                                            left.medium() == Medium.PAPER
                                                    ? "Print it, too"
                                                    : "Show it on the screen, too",
                                            new BackgroundEdit.ChangeBackground(
                                                    background.withGoesTo(Background.GoesTo.BOTH))))
                            .toList();
            case PressFinding.LightOverprint light ->
                    List.of(overprint(light.run().look(), Look.Overprint.BLACK));
        };
    }

    /** The ways in which a picture that is too small could go on, the best first; then a flood. */
    public static List<Offer> runOuts(
            Item.AreaFill fill, Publication publication, PressCondition condition) {
        return background(publication, fill.background())
                .map(background -> PictureOffers.runOuts(fill, background, condition))
                .orElse(List.of());
    }

    private static List<Offer> larger(
            Item.GlyphRun run, PressChecks checks, Publication publication) {
        return TypeChange.size(
                        publication,
                        run.paragraph(),
                        run.run(),
                        run.size(),
                        checks.smallType().points())
                .map(change ->
                        new Offer(
                                "Set %s in %s".formatted(change.of(), change.value()),
                                change.edit()))
                .stream()
                .toList();
    }

    /** As wide as it takes, where a look says how wide it is. */
    private static List<Offer> wider(PressFinding.Hairline line, Publication publication) {
        double times = PressFinding.Hairline.WIDE / line.line();
        Optional<Look> look =
                switch (line.item()) {
                    case Item.TextFill fill ->
                            bordered(fill, publication)
                                    .map(each ->
                                            each.withBorder(
                                                    fill.border()
                                                            .map(border ->
                                                                    border.withWidth(
                                                                            wide(
                                                                                    border.width(),
                                                                                    times)))));
                    case Item.GlyphStroke stroke -> {
                        Look of = publication.look(stroke.letters().look().id());
                        yield of.outline()
                                .map(outline ->
                                        of.withOutline(
                                                Optional.of(
                                                        outline.withWidth(
                                                                wide(outline.width(), times)))));
                    }
                    default -> Optional.empty();
                };
        return look.stream()
                .map(each ->
                        new Offer(
                                "Lines of %s pt in the look “%s”"
                                        .formatted(
                                                Numbers.plain(PressFinding.Hairline.WIDE),
                                                each.name()),
                                new LookEdit.ChangeLook(each)))
                .toList();
    }

    private static Length wide(Length now, double times) {
        return Length.pt(Math.ceil(now.points() * times * 100 - 1e-6) / 100);
    }

    /** The look that says what border this is; nothing where a paragraph has one of its own. */
    static Optional<Look> bordered(Item.TextFill fill, Publication publication) {
        return publication.looks().stream()
                .filter(each -> each.id().equals(fill.look()))
                .filter(each ->
                        fill.border().isPresent()
                                && each.panel().flatMap(Panel::border).equals(fill.border()))
                .findFirst();
    }

    private static List<Offer> ragged(Item.GlyphRun run, Publication publication) {
        return TypeChange.alignment(publication, run.paragraph(), run.run(), Look.Alignment.LEFT)
                .map(change ->
                        new Offer(
                                (change.isOfLook() ? "Set the text of %s ragged" : "Set %s ragged")
                                        .formatted(change.of()),
                                change.edit()))
                .stream()
                .toList();
    }

    private static Offer overprint(Look look, Look.Overprint setting) {
        return new Offer(
                "Let the text of look “%s” knock out".formatted(look.name()),
                new LookEdit.ChangeLook(look.withOverprint(setting), Optional.of(look)));
    }

    /** The frame goes as far inwards as its text needs; on a parent both hands change alike. */
    private static List<Offer> inwards(PressFinding.TextNearTrim near, Publication publication) {
        Side side = publication.setup().sideOf(publication.indexOf(near.page()));
        Rect safe = PageBoxes.of(publication.setup(publication.page(near.page())), side).safe();
        Rect text = near.run().bounds();
        if (text.width() > safe.width() || text.height() > safe.height()) {
            return List.of();
        }
        double across = Math.max(0, safe.x() - text.x()) - Math.max(0, text.right() - safe.right());
        double down = Math.max(0, safe.y() - text.y()) - Math.max(0, text.bottom() - safe.bottom());
        TextFrame frame =
                publication.layer(near.origin().owner()).textFrames().stream()
                        .filter(each -> each.id().equals(near.run().frame()))
                        .findFirst()
                        .orElseThrow();
        if (frame.band().isPresent()) {
            return List.of(); // its padding says where the text stands
        }
        boolean mirrored =
                near.origin() instanceof Origin.FromParent
                        && side == Side.LEFT
                        && frame.sides() == Sides.BOTH;
        Box box = frame.box();
        Box moved =
                new Box(
                        moved(box.x(), mirrored ? -across : across),
                        moved(box.y(), down),
                        box.width(),
                        box.height());
        return List.of(
                new Offer(
                        "Move its frame inwards",
                        new FrameEdit.PlaceFrame(frame.id(), frame.sides(), moved)));
    }

    /** To a hundredth of a millimetre beyond what is needed. */
    static Length moved(Length from, double points) {
        if (points == 0) {
            return from;
        }
        double millimetres = from.millimetres() + points * 25.4 / 72;
        double hundredths = millimetres * 100;
        return Length.mm(
                (points > 0 ? Math.ceil(hundredths - 1e-6) : Math.floor(hundredths + 1e-6)) / 100);
    }

    /** Its frame goes on to the bleed at that edge; on a parent's left side x counts otherwise. */
    private static List<Offer> toTheBleed(
            PressFinding.EndsAtTrim end, Item.FrontFill front, Publication publication) {
        PictureFrame frame = front.source();
        if (frame.locked()) {
            return List.of();
        }
        Side side = publication.setup().sideOf(publication.indexOf(end.page()));
        PageBoxes boxes = PageBoxes.of(publication.setup(publication.page(end.page())), side);
        Rect bleed = boxes.bleed();
        Rect rect = front.frame();
        double left = end.edge().edge() == Edge.LEFT ? bleed.x() : rect.x();
        double right = end.edge().edge() == Edge.RIGHT ? bleed.right() : rect.right();
        double top = end.edge().edge() == Edge.TOP ? bleed.y() : rect.y();
        double bottom = end.edge().edge() == Edge.BOTTOM ? bleed.bottom() : rect.bottom();
        boolean mirrored =
                front.origin() instanceof Origin.FromParent
                        && side == Side.LEFT
                        && frame.sides() == Sides.BOTH;
        Box box = frame.box();
        double x = mirrored ? boxes.trim().width() - right : left;
        Box carried =
                new Box(
                        moved(box.x(), x - box.x().points()),
                        moved(box.y(), top - box.y().points()),
                        moved(box.width(), right - left - box.width().points()),
                        moved(box.height(), bottom - top - box.height().points()));
        return List.of(
                new Offer(
                        "Carry it on to the bleed",
                        new FrameEdit.PlaceFrame(frame.id(), frame.sides(), carried)));
    }

    /** A rectangle is let off the edge; on both hands alike where it is measured from the spine. */
    private static List<Offer> bleeding(
            PressFinding.EndsAtTrim end, Publication publication, PressCondition condition) {
        if (end.fill() instanceof Item.FrontFill front) {
            return toTheBleed(end, front, publication);
        }
        if (!(end.fill() instanceof Item.AreaFill area)) {
            return List.of();
        }
        Optional<Background> background = background(publication, area.background());
        if (background.isPresent() && background.get().fill() instanceof Fill.Picture) {
            return PictureOffers.runOuts(area, background.get(), condition);
        }
        if (background.isEmpty()) {
            return List.of();
        }
        if (!(background.get().area() instanceof Area.Rectangle rectangle)) {
            return List.of(
                    new Offer(
                            "Make it the whole page",
                            new BackgroundEdit.ChangeBackground(
                                    background.get().withArea(new Area.WholePage()))));
        }
        Anchor.Across across = rectangle.anchor().across();
        boolean bySpine = across == Anchor.Across.INSIDE || across == Anchor.Across.OUTSIDE;
        Side side = publication.setup().sideOf(publication.indexOf(end.page()));
        Edge edge =
                switch (end.edge().edge()) {
                    case LEFT ->
                            bySpine ? (side == Side.RIGHT ? Edge.INSIDE : Edge.OUTSIDE) : Edge.LEFT;
                    case RIGHT ->
                            bySpine
                                    ? (side == Side.RIGHT ? Edge.OUTSIDE : Edge.INSIDE)
                                    : Edge.RIGHT;
                    case TOP, BOTTOM, INSIDE, OUTSIDE -> end.edge().edge();
                };
        Set<Edge> bleeds = new HashSet<>(rectangle.bleeds());
        bleeds.add(edge);
        return List.of(
                new Offer(
                        "Let it bleed off at the " + edge.name().toLowerCase(Locale.ROOT),
                        new BackgroundEdit.ChangeBackground(
                                background.get().withArea(rectangle.withBleeds(bleeds)))));
    }

    private static List<Offer> lessInk(
            PressFinding.TooMuchInk heavy, Publication publication, PressCondition condition) {
        Item item = heavy.place().item();
        if (item instanceof Item.GlyphRun run && heavy.place().backdrop().isPresent()) {
            return List.of(overprint(run.look(), Look.Overprint.NEVER));
        }
        if (item.paints().isEmpty()) {
            return List.of();
        }
        Paint paint = item.paints().getFirst();
        Optional<Swatch> swatch = paint.swatch().flatMap(publication::findSwatch);
        boolean alone = !(item instanceof Item.AreaFill fill) || fill.solid().isPresent();
        if (alone
                && paint.tint() == 100
                && swatch.isPresent()
                && swatch.get().definition() instanceof Definition.Plain(Color color)
                && color instanceof Cmyk ink) {
            Cmyk less = WithinLimit.nearest(ink, heavy.limit(), condition);
            return List.of(
                    new Offer(
                            "Change “%s” to %s".formatted(swatch.get().name(), less),
                            new SwatchEdit.ChangeSwatch(
                                    swatch.get().id(), new Definition.Plain(less))));
        }
        return List.of();
    }

    private static List<Offer> richer(PressFinding.PlainBlackArea area, Publication publication) {
        Cmyk rich = RichBlack.within(area.limit());
        Optional<Swatch> known =
                publication.swatches().stream()
                        .filter(each -> each.definition().equals(new Definition.Plain(rich)))
                        .findFirst();
        Swatch swatch =
                known.orElseGet(() -> new Swatch(id(area, rich), freeName(publication), rich));
        return background(publication, area.fill().background())
                .map(background ->
                        new BackgroundEdit.ChangeBackground(
                                background.withFill(new Fill.Solid(Tinted.full(swatch.id())))))
                .map(change ->
                        new Offer(
                                "Fill it with “%s”, %s".formatted(swatch.name(), rich),
                                known.isPresent()
                                        ? change
                                        : new Edit.Several(
                                                List.of(new SwatchEdit.AddSwatch(swatch), change))))
                .stream()
                .toList();
    }

    /** The same offer has the same id each time it is made. */
    private static UUID id(PressFinding.PlainBlackArea area, Cmyk rich) {
        return UUID.nameUUIDFromBytes(
                ("rich black " + area.fill().background() + rich).getBytes(StandardCharsets.UTF_8));
    }

    private static String freeName(Publication publication) {
        Set<String> taken =
                publication.swatches().stream().map(Swatch::name).collect(Collectors.toSet());
        return Stream.iterate(1, number -> number + 1)
                .map(number -> number == 1 ? "Rich black" : "Rich black " + number)
                .filter(name -> !taken.contains(name))
                .findFirst()
                .orElseThrow();
    }

    static Optional<Background> background(Publication publication, UUID id) {
        return publication
                .layers()
                .flatMap(layer -> layer.backgrounds().stream())
                .filter(each -> each.id().equals(id))
                .findFirst();
    }
}
