package yewberry.core.scene;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.publication.Background;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.PictureFrame;

/**
 * What is painted on one page, in order from the lowest to the topmost, and where each thing came
 * from. Two scenes are equal only if they are the same object; readers who remember something go by
 * the {@link #key}, which outlives the scene.
 *
 * <p>A scene as it was composed is in the colours of the swatches; whoever mixes, draws or judges
 * colours reads it {@link #on} a medium, where each colour is what it becomes there.
 */
public final class PageScene {
    private final SceneKey key;
    private final List<Part> parts;
    private final PageBoxes boxes;
    private final List<Item> items;
    private final List<PlacedFrame> frames;
    private final List<PlacedPicture> pictures;
    private final List<Overset> overset;
    private final List<Link> links;
    private final PressCondition condition;
    private final Map<Medium, OnMedium> on = new EnumMap<>(Medium.class);

    public PageScene(
            SceneKey key,
            UUID page,
            PageBoxes boxes,
            List<Item> items,
            List<PlacedFrame> frames,
            List<PlacedPicture> pictures,
            List<Overset> overset,
            List<Link> links,
            PressCondition condition) {
        this(
                key,
                List.of(new Part(page, boxes.bleed())),
                boxes,
                items,
                frames,
                pictures,
                overset,
                links,
                condition);
    }

    PageScene(
            SceneKey key,
            List<Part> parts,
            PageBoxes boxes,
            List<Item> items,
            List<PlacedFrame> frames,
            List<PlacedPicture> pictures,
            List<Overset> overset,
            List<Link> links,
            PressCondition condition) {
        this.key = key;
        this.parts = List.copyOf(parts);
        this.boxes = boxes;
        this.items = List.copyOf(items);
        this.frames = List.copyOf(frames);
        this.pictures = List.copyOf(pictures);
        this.overset = List.copyOf(overset);
        this.links = List.copyOf(links);
        this.condition = condition;
    }

    /**
     * A page that it is of: of all of it, or of one side where two that face each other are one.
     *
     * @param where it is seen
     */
    public record Part(UUID page, Rect where) {}

    /**
     * A text frame of the page.
     *
     * @param place in the order of all frames, from the lowest up
     * @param where it lies before it is rotated
     */
    public record PlacedFrame(
            int place, Origin origin, UUID frame, UUID story, Rect where, Turn turn) {}

    /**
     * A frame of the page with a picture or a word.
     *
     * @param place in the order of all frames, from the lowest up
     * @param where it lies before it is rotated
     */
    public record PlacedPicture(
            int place, Origin origin, PictureFrame frame, Rect where, Turn turn) {}

    /**
     * Words that lead somewhere.
     *
     * @param leads whether what they lead to is there
     * @param where they stand, line by line, before their frame is rotated
     */
    public record Link(
            Origin origin,
            UUID run,
            LinkTo to,
            boolean leads,
            String text,
            List<Rect> where,
            Turn turn) {
        /** Around all of it, as it stands. */
        public Rect around() {
            return where.stream().map(turn::around).reduce(Rect::union).orElseThrow();
        }
    }

    /** Text of a frame that found no room in it. */
    public record Overset(Origin origin, UUID frame, UUID story, Rect where, String text) {}

    /**
     * @param all in its colours, whether it goes there or not
     * @param shown what goes there
     * @param text of that without backgrounds; what is behind text stays
     */
    private record OnMedium(List<Item> all, MediumScene shown, MediumScene text) {
        static OnMedium of(PageScene scene, Medium medium) {
            List<Item> all =
                    scene.items.stream().map(item -> item.on(medium, scene.condition)).toList();
            Planes planes = Planes.of(all, medium, scene.condition);
            return new OnMedium(
                    all,
                    new MediumScene(
                            scene, planes, all.stream().filter(item -> goesTo(item, medium))),
                    new MediumScene(
                            scene,
                            planes,
                            all.stream()
                                    .filter(item -> !(item instanceof Item.AreaFill))
                                    .filter(item ->
                                            !(item instanceof Item.FrontFill)
                                                    || goesTo(item, medium))));
        }
    }

    private static boolean goesTo(Item item, Medium medium) {
        return switch (item) {
            case Item.Lettering letters -> true;
            case Item.TextFill fill -> true;
            case Item.AreaFill fill -> goesTo(fill.goesTo(), medium);
            case Item.FrontFill fill -> goesTo(fill.goesTo(), medium);
        };
    }

    private static boolean goesTo(Background.GoesTo to, Medium medium) {
        return switch (medium) {
            case SCREEN -> to.screen();
            case PAPER -> to.paper();
        };
    }

    private OnMedium prepared(Medium medium) {
        synchronized (on) {
            return on.computeIfAbsent(medium, each -> OnMedium.of(this, each));
        }
    }

    /** What goes to a medium, in the colours that it has there; the same object each time. */
    public MediumScene on(Medium medium) {
        return prepared(medium).shown();
    }

    /** What is seen under a viewing; the same object each time. */
    public MediumScene on(View view) {
        return view.backgrounds()
                ? prepared(view.medium()).shown()
                : prepared(view.medium()).text();
    }

    /**
     * All items in the colours of a medium, whether they go there or not; those that do are the
     * same objects as in {@link #on}.
     */
    public List<Item> allOn(Medium medium) {
        return prepared(medium).all();
    }

    /**
     * The backgrounds, from the lowest to the topmost; but for those over the page of a file they
     * lie below all else.
     */
    public List<Item.AreaFill> areas() {
        return items.stream()
                .filter(Item.AreaFill.class::isInstance)
                .map(Item.AreaFill.class::cast)
                .toList();
    }

    public SceneKey key() {
        return key;
    }

    /** The page that it is of; of two that are one the left one. */
    public UUID page() {
        return parts.getFirst().page();
    }

    /** The pages that it is of, from left to right. */
    public List<UUID> pages() {
        return parts.stream().map(Part::page).toList();
    }

    List<Part> parts() {
        return parts;
    }

    /** The page that an item is on, by where the middle of it lies. */
    public UUID pageOf(Item item) {
        Rect bounds = item.bounds();
        double middle = bounds.x() + bounds.width() / 2;
        return parts.stream()
                .filter(part -> middle < part.where().right())
                .findFirst()
                .orElse(parts.getLast())
                .page();
    }

    public PageBoxes boxes() {
        return boxes;
    }

    /** In the colours of the swatches. */
    public List<Item> items() {
        return items;
    }

    /** The same page with other items. */
    public PageScene withItems(List<Item> changed) {
        return new PageScene(
                key, parts, boxes, changed, frames, pictures, overset, links, condition);
    }

    /** The text frames, from the lowest to the topmost. */
    public List<PlacedFrame> frames() {
        return frames;
    }

    /** The frames with pictures and words, from the lowest to the topmost. */
    public List<PlacedPicture> pictures() {
        return pictures;
    }

    public List<Overset> overset() {
        return overset;
    }

    /** The links, in reading order. */
    public List<Link> links() {
        return links;
    }

    /** What its ink is printed under. */
    public PressCondition condition() {
        return condition;
    }

    /** The page of a file that it is, as it is painted; nothing where it is of none. */
    public Optional<AreaPaint.Picture> filePage() {
        return Item.filePage(items);
    }

    /** The text runs, from the lowest to the topmost. */
    public List<Item.GlyphRun> text() {
        return items.stream()
                .filter(Item.GlyphRun.class::isInstance)
                .map(Item.GlyphRun.class::cast)
                .toList();
    }
}
