package yewberry.core.findings;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Numbers;
import yewberry.core.compose.Composer;
import yewberry.core.edit.FrameEdit;
import yewberry.core.press.FreeGround;
import yewberry.core.press.FreePlaces;
import yewberry.core.publication.Box;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextFrame;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Text that was put over the page of a file, such as its number, and lies on what is there.
 *
 * @param run the first of its frame
 * @param where what of it does
 * @param free how far it would have to move on this page; nothing where there is no room
 */
public record OnPageContent(
        UUID page, Item.GlyphRun run, Rect where, Optional<FreeGround.Move> free)
        implements Finding {
    /** So far it moves away from what is there, in points; common practice, no source. */
    private static final double CLEAR = 3;

    public OnPageContent {
        run = run.withoutGlyphs();
    }

    /** All of a page. */
    public static List<Finding> in(PageScene scene) {
        Optional<AreaPaint.Picture> file =
                scene.filePage().filter(picture -> picture.pixels().problem().isEmpty());
        if (file.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<Item.GlyphRun>> frames = frames(scene);
        if (frames.isEmpty()) {
            return List.of();
        }
        FreeGround ground = FreeGround.of(file.get(), scene.boxes().trim());
        List<Finding> found = new ArrayList<>();
        List<Item.Filled> over = over(scene);
        frames.values().forEach(runs -> of(scene, runs, ground, over).ifPresent(found::add));
        return found;
    }

    private static Map<UUID, List<Item.GlyphRun>> frames(PageScene scene) {
        Map<UUID, List<Item.GlyphRun>> frames = new LinkedHashMap<>();
        scene.text()
                .forEach(run ->
                        frames.computeIfAbsent(run.frame(), _ -> new ArrayList<>()).add(run));
        return frames;
    }

    /** What covers the page of the file: text on it does not lie on that page any more. */
    private static List<Item.Filled> over(PageScene scene) {
        List<Item> items = scene.items();
        int page = 0;
        while (!(items.get(page) instanceof Item.FrontFill fill && fill.isImported())) {
            page++;
        }
        return items.subList(page + 1, items.size()).stream()
                .filter(Item.Filled.class::isInstance)
                .map(Item.Filled.class::cast)
                .filter(Item.Filled::covers)
                .toList();
    }

    private static Optional<Finding> of(
            PageScene scene, List<Item.GlyphRun> runs, FreeGround ground, List<Item.Filled> over) {
        List<Rect> lines = lines(runs);
        Optional<Rect> taken =
                lines.stream()
                        .filter(line -> !ground.isFree(line))
                        .filter(line -> over.stream().noneMatch(fill -> fill.holds(line)))
                        .reduce(Rect::union);
        if (taken.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                new OnPageContent(
                        scene.page(),
                        runs.getFirst(),
                        taken.get(),
                        ground.nearest(room(lines), scene.boxes().safe())));
    }

    private static List<Rect> lines(List<Item.GlyphRun> runs) {
        return runs.stream().flatMap(run -> run.lines().stream().map(run::box)).toList();
    }

    /** That lines need, with some air around them. */
    private static Rect room(List<Rect> lines) {
        Rect all = lines.stream().reduce(Rect::union).orElseThrow();
        return all.inset(-CLEAR, -CLEAR, -CLEAR, -CLEAR);
    }

    @Override
    public Origin origin() {
        return run.origin();
    }

    @Override
    public String text() {
        return run.text();
    }

    @Override
    public Severity severity() {
        return Severity.DOUBTFUL;
    }

    @Override
    public String message() {
        return free.isPresent()
                ? "“%s” lies on what is on the page of the file. The nearest free place is %s away."
                        .formatted(text(), way(free.get()))
                : "“%s” lies on what is on the page of the file, and no place of its size is free there. Make it smaller, or give it a ground of its own."
                        .formatted(text());
    }

    @Override
    public String rule() {
        return "Numbers and other running items keep clear of what is on a page; common practice, no source.";
    }

    private static String way(FreeGround.Move move) {
        List<String> parts = new ArrayList<>();
        if (move.across() != 0) {
            parts.add(millimetres(move.across()) + (move.across() > 0 ? " right" : " left"));
        }
        if (move.down() != 0) {
            parts.add(millimetres(move.down()) + (move.down() > 0 ? " down" : " up"));
        }
        return String.join(" and ", parts);
    }

    private static String millimetres(double points) {
        return Numbers.plain(Math.ceil(Math.abs(points) * 254 / 72) / 10) + " mm";
    }

    /** Its frame moves there; what is on a parent moves on all pages of it. */
    List<Offer> offers(Publication publication) {
        Optional<TextFrame> frame = frame(publication);
        if (frame.isEmpty() || free.isEmpty()) {
            return List.of();
        }
        String where =
                origin() instanceof Origin.FromParent parent
                        ? ", on all pages of “%s”".formatted(parent.name())
                        : "";
        return List.of(
                new Offer(
                        "Move its frame %s%s".formatted(way(free.get()), where),
                        moved(
                                frame.get(),
                                free.get(),
                                isMirrored(publication, publication.indexOf(page), frame.get()))));
    }

    /**
     * The same for what is on a parent, to where nothing is on any page that it is on, as far as
     * those can be looked at in time.
     *
     * @param composer of the publication
     * @return nothing where it is on one page only, or no place is free on all
     */
    public Optional<Offer> freeOnAll(Publication publication, Composer composer, Duration atMost) {
        Optional<TextFrame> frame = frame(publication);
        if (frame.isEmpty() || !(origin() instanceof Origin.FromParent parent)) {
            return Optional.empty();
        }
        long until = System.nanoTime() + atMost.toNanos();
        PageSize size = publication.trim(new Owner.OnPage(page));
        FreePlaces places = new FreePlaces(Math.max(size.width().points(), size.height().points()));
        int looked = 0;
        int all = 0;
        int own = publication.indexOf(page);
        int pages = publication.pages().size();
        for (int next = 0; next < pages; next++) {
            int i = (own + next) % pages; // this one first, however little time there is
            Page each = publication.pages().get(i);
            if (each.imported().isEmpty()
                    || publication.chain(each.parent()).stream()
                            .noneMatch(one -> one.id().equals(parent.parent()))) {
                continue;
            }
            all++;
            if (places.nearest().isEmpty() || System.nanoTime() > until) {
                continue;
            }
            PageScene scene = composer.compose(publication, i);
            List<Item.GlyphRun> runs = frames(scene).get(run.frame());
            Optional<AreaPaint.Picture> file = scene.filePage();
            if (runs != null && file.isPresent()) {
                places.keep(
                        FreeGround.of(file.get(), scene.boxes().trim()),
                        room(lines(runs)),
                        scene.boxes().safe(),
                        isMirrored(publication, i, frame.get()));
            }
            looked++;
        }
        int of = all;
        int seen = looked;
        return places.nearest()
                .filter(_ -> seen > 1)
                .map(move ->
                        new Offer(
                                "Move its frame %s, where nothing is on %s of “%s”"
                                        .formatted(
                                                way(move),
                                                seen == of
                                                        ? "any page"
                                                        : "the %d of %d pages that could be looked at"
                                                                .formatted(seen, of),
                                                parent.name()),
                                moved(frame.get(), move, false)));
    }

    private Optional<TextFrame> frame(Publication publication) {
        return publication.layer(run.origin().owner()).textFrames().stream()
                .filter(each -> each.id().equals(run.frame()))
                .filter(each -> each.band().isEmpty() && !each.locked())
                .findFirst();
    }

    /** What stands on the right of right pages is on the left of left ones. */
    private boolean isMirrored(Publication publication, int index, TextFrame frame) {
        return origin() instanceof Origin.FromParent
                && publication.setup().sideOf(index) == Side.LEFT
                && frame.sides() == Sides.BOTH;
    }

    private static FrameEdit moved(TextFrame frame, FreeGround.Move move, boolean mirrored) {
        Box box = frame.box();
        Box moved =
                new Box(
                        Offer.moved(box.x(), mirrored ? -move.across() : move.across()),
                        Offer.moved(box.y(), move.down()),
                        box.width(),
                        box.height());
        return new FrameEdit.PlaceFrame(frame.id(), frame.sides(), moved);
    }
}
