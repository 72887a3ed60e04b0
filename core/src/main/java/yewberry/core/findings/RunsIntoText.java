package yewberry.core.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Numbers;
import yewberry.core.edit.Edit;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.publication.Box;
import yewberry.core.publication.Look;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * A shading, a border or a highlight that runs into the text of another frame.
 *
 * @param other the text, without its glyphs
 * @param overlap what both share, in the space of the page
 */
public record RunsIntoText(UUID page, Item.TextFill fill, Item.GlyphRun other, Rect overlap)
        implements Finding {
    /** What touches only by so much, in points, is not seen: common practice, no source. */
    static final double SEEN = 0.3;

    private static final double MM = 72 / 25.4;

    static List<RunsIntoText> in(PageScene scene) {
        List<RunsIntoText> found = new ArrayList<>();
        List<Other> text = scene.text().stream().map(run -> new Other(run, run.bounds())).toList();
        for (Item item : scene.items()) {
            if (item instanceof Item.TextFill fill) {
                worst(scene, text, fill).ifPresent(found::add);
            }
        }
        return found;
    }

    /** A run with the rectangle around it, which is worked out once. */
    private record Other(Item.GlyphRun run, Rect bounds) {}

    /** The line that it runs into the farthest. */
    private static Optional<RunsIntoText> worst(
            PageScene scene, List<Other> text, Item.TextFill fill) {
        Optional<RunsIntoText> worst = Optional.empty();
        Rect bounds = fill.bounds();
        for (Other other : text) {
            Item.GlyphRun run = other.run();
            if (run.frame().equals(fill.textFrame())
                    || bounds.intersection(other.bounds()).isEmpty()) {
                continue;
            }
            for (Item.Line line : run.lines()) {
                Rect shared = fill.bounds().intersection(run.box(line));
                boolean seen = far(shared) > SEEN && fill.touches(shared);
                if (seen && worst.filter(each -> far(each.overlap()) >= far(shared)).isEmpty()) {
                    worst =
                            Optional.of(
                                    new RunsIntoText(
                                            scene.page(), fill, run.withoutGlyphs(), shared));
                }
            }
        }
        return worst;
    }

    private static double far(Rect shared) {
        return Math.min(shared.width(), shared.height());
    }

    @Override
    public Origin origin() {
        return fill.origin();
    }

    @Override
    public Rect where() {
        return overlap;
    }

    @Override
    public String text() {
        return other.text();
    }

    @Override
    public Severity severity() {
        return Severity.DOUBTFUL;
    }

    @Override
    public String message() {
        return "%s runs %s mm into the text of another frame. Keep it in its own, give it less padding, or move the frames apart."
                .formatted(named(fill), millimetres(far(overlap)));
    }

    /** Rounded up to a tenth; what binary fractions add is no more. */
    static String millimetres(double points) {
        return Numbers.plain(Math.ceil(points / MM * 10 - 1e-6) / 10);
    }

    static String named(Item.TextFill fill) {
        return fill.kind() == Item.TextFill.Kind.BAND
                ? "The band"
                : "The %s of look “%s”"
                        .formatted(fill.kind().inWords().toLowerCase(Locale.ROOT), fill.lookName());
    }

    @Override
    public String rule() {
        return "What is behind one text stays clear of others; common practice, no source.";
    }

    List<Offer> offers(Publication publication) {
        List<Offer> offers = new ArrayList<>(kept(fill, publication));
        apart(page, fill, other.bounds(), publication).ifPresent(offers::add);
        return offers;
    }

    /** Its frame goes as far away as it takes, the shorter way, if that is on the page. */
    static Optional<Offer> apart(
            UUID page, Item.TextFill fill, Rect from, Publication publication) {
        TextFrame frame =
                publication.frame(new Story.Link(fill.origin().owner(), fill.textFrame()));
        if (frame.band().isPresent() || frame.locked() || frame.rotation() != 0) {
            return Optional.empty();
        }
        Rect shared = fill.bounds().intersection(from);
        boolean across = shared.width() <= shared.height();
        double far = Math.ceil((across ? shared.width() : shared.height()) / MM * 10 - 1e-6) / 10;
        boolean back =
                across
                        ? fill.bounds().x() + fill.bounds().right() < from.x() + from.right()
                        : fill.bounds().y() + fill.bounds().bottom() < from.y() + from.bottom();
        Side side = publication.setup().sideOf(publication.indexOf(page));
        boolean mirrored =
                fill.origin() instanceof Origin.FromParent
                        && side == Side.LEFT
                        && frame.sides() == Sides.BOTH;
        double by = (back != (across && mirrored) ? -far : far) * MM;
        Box box = frame.box();
        Box moved =
                new Box(
                        across ? Offer.moved(box.x(), by) : box.x(),
                        across ? box.y() : Offer.moved(box.y(), by),
                        box.width(),
                        box.height());
        PageSize trim = publication.setup(publication.page(page)).trim();
        boolean stays =
                moved.x().points() >= 0
                        && moved.y().points() >= 0
                        && moved.x().points() + box.width().points() <= trim.width().points()
                        && moved.y().points() + box.height().points() <= trim.height().points();
        String way = across ? back ? "left" : "right" : back ? "up" : "down";
        return stays
                ? Optional.of(
                        new Offer(
                                across
                                        ? "Move its frame %s mm to the %s"
                                                .formatted(Numbers.plain(far), way)
                                        : "Move its frame %s mm %s"
                                                .formatted(Numbers.plain(far), way),
                                new FrameEdit.PlaceFrame(frame.id(), frame.sides(), moved)))
                : Optional.empty();
    }

    /** What spills can be kept in its column. */
    static List<Offer> kept(Item.TextFill fill, Publication publication) {
        Optional<Look> look = publication.looks().find(fill.look());
        Optional<Story> story =
                publication.stories().stream()
                        .filter(each -> each.paragraphs().holds(fill.paragraph()))
                        .findFirst();
        if (look.isEmpty() || story.isEmpty() || fill.kind() == Item.TextFill.Kind.BAND) {
            return List.of();
        }
        Paragraph paragraph = story.get().paragraphs().find(fill.paragraph()).orElseThrow();
        Panel panel = paragraph.panel(look.get());
        if (panel.held()) {
            return List.of();
        }
        Edit edit =
                paragraph.panel().isPresent()
                        ? new StoryEdit.SetPanel(
                                story.get().id(),
                                List.of(paragraph.id()),
                                Optional.of(panel.withHeld(true)))
                        : new LookEdit.ChangeLook(
                                look.get().withPanel(Optional.of(panel.withHeld(true))));
        return List.of(
                new Offer(
                        "Keep the %s of look “%s” inside its column"
                                .formatted(
                                        fill.kind().inWords().toLowerCase(Locale.ROOT),
                                        look.get().name()),
                        edit));
    }
}
