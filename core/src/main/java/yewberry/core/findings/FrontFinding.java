package yewberry.core.findings;

import java.awt.geom.Area;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Numbers;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.FrameEdit;
import yewberry.core.press.OpaqueParts;
import yewberry.core.publication.Fill;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** What is wrong about a picture in front of the backgrounds and the text around it. */
public sealed interface FrontFinding extends Finding {
    Item.FrontFill fill();

    @Override
    default Origin origin() {
        return fill().origin();
    }

    /** What would mend it. */
    default List<Offer> offers(Publication publication) {
        return List.of();
    }

    static List<Finding> in(PageScene scene) {
        List<Finding> found = new ArrayList<>();
        List<Item> items = scene.items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof Item.FrontFill fill) {
                if (fill.source().isRead() && fill.source().meaning().isOpen()) {
                    found.add(new NoAlternative(scene.page(), fill));
                }
                hidden(scene, fill, items.subList(0, i)).ifPresent(found::add);
                found.addAll(onClear(scene, fill, items.subList(i + 1, items.size())));
                intoPicture(scene, fill).ifPresent(found::add);
                if (fill.isImported()) {
                    hidesBackground(scene, fill, items.subList(0, i)).ifPresent(found::add);
                }
            }
        }
        return found;
    }

    /** What of a page of a file hides the backgrounds behind it. */
    private static Optional<Finding> hidesBackground(
            PageScene scene, Item.FrontFill fill, List<Item> below) {
        List<Item.AreaFill> behind =
                below.stream()
                        .filter(Item.AreaFill.class::isInstance)
                        .map(Item.AreaFill.class::cast)
                        .toList();
        if (behind.isEmpty() || !(fill.paint() instanceof AreaPaint.Picture picture)) {
            return Optional.empty();
        }
        return OpaqueParts.of(picture, scene.boxes().trim())
                .filter(parts -> parts.share() >= HidesBackground.MUCH)
                .map(parts -> new HidesBackground(scene.page(), fill, parts, behind));
    }

    /** Text below a picture that covers it. */
    private static Optional<Finding> hidden(
            PageScene scene, Item.FrontFill fill, List<Item> below) {
        if (!fill.covers() || fill.source().fill() instanceof Fill.Word) {
            return Optional.empty();
        }
        for (Item item : below) {
            if (item instanceof Item.GlyphRun run) {
                for (Item.Line line : run.lines()) {
                    Rect shared = fill.bounds().intersection(run.box(line));
                    if (far(shared) > RunsIntoText.SEEN && fill.touches(shared)) {
                        return Optional.of(
                                new HidesText(scene.page(), fill, run.withoutGlyphs(), shared));
                    }
                }
            }
        }
        return Optional.empty();
    }

    /** Text above parts of a picture that it keeps off, for each part the line that has most. */
    private static List<Finding> onClear(PageScene scene, Item.FrontFill fill, List<Item> above) {
        List<Finding> found = new ArrayList<>();
        if (!(fill.paint() instanceof AreaPaint.Picture picture)) {
            return found;
        }
        for (PictureFrame.Clear clear : fill.source().clear()) {
            Area part = new Area(fill.clearPart(clear, picture));
            part.intersect(new Area(fill.shape().orElse(fill.bounds().shape())));
            double all = size(part);
            Area taken = new Area();
            Item.GlyphRun first = null;
            for (Item item : above) {
                if (item instanceof Item.GlyphRun run
                        && !run.bounds().intersection(Rect.around(part)).isEmpty()) {
                    for (Item.Line line : run.lines()) {
                        Area shared = new Area(run.box(line).shape());
                        shared.intersect(part);
                        if (far(Rect.around(shared)) > RunsIntoText.SEEN) {
                            taken.add(shared);
                            first = first == null ? run : first;
                        }
                    }
                }
            }
            if (first != null) {
                found.add(
                        new OnClear(
                                scene.page(),
                                fill,
                                first.withoutGlyphs(),
                                Rect.around(taken),
                                size(taken) / all));
            }
        }
        return found;
    }

    /** In square points, by the corners of its flattened outline. */
    private static double size(Area area) {
        double sum = 0;
        double[] at = new double[6];
        double startX = 0;
        double startY = 0;
        double x = 0;
        double y = 0;
        for (var path = area.getPathIterator(null, 0.01); !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            if (kind == PathIterator.SEG_MOVETO) {
                startX = at[0];
                startY = at[1];
            } else {
                double toX = kind == PathIterator.SEG_CLOSE ? startX : at[0];
                double toY = kind == PathIterator.SEG_CLOSE ? startY : at[1];
                sum += x * toY - toX * y;
                at[0] = toX;
                at[1] = toY;
            }
            x = at[0];
            y = at[1];
        }
        return Math.abs(sum) / 2;
    }

    /** What is behind text and lies partly on a picture; what lies on it wholly is meant to. */
    private static Optional<Finding> intoPicture(PageScene scene, Item.FrontFill fill) {
        if (fill.source().isRunningItem()) {
            return Optional.empty();
        }
        Optional<Finding> worst = Optional.empty();
        double most = RunsIntoText.SEEN;
        for (Item item : scene.items()) {
            if (item instanceof Item.TextFill behind && !fill.holds(behind.bounds())) {
                Rect shared = behind.bounds().intersection(fill.bounds());
                if (far(shared) > most && behind.touches(shared) && fill.touches(shared)) {
                    most = far(shared);
                    worst = Optional.of(new IntoPicture(scene.page(), fill, behind, shared));
                }
            }
        }
        return worst;
    }

    /** To say that a picture is decoration. */
    static Offer decoration(Item.FrontFill fill) {
        return new Offer(
                "It is decoration",
                new FrameEdit.ChangePicture(
                        fill.source().withMeaning(new PictureFrame.Meaning(true, "")),
                        Optional.of(fill.source())));
    }

    private static double far(Rect shared) {
        return Math.min(shared.width(), shared.height());
    }

    /** A picture of the content that says nothing to those who do not see it. */
    record NoAlternative(UUID page, Item.FrontFill fill) implements FrontFinding {
        @Override
        public Rect where() {
            return fill.bounds();
        }

        @Override
        public String text() {
            return "%s %s".formatted(fill.kind(), fill.named());
        }

        @Override
        public Severity severity() {
            return Severity.DOUBTFUL;
        }

        @Override
        public String message() {
            return "%s has no alternative text. Say what it shows, or say that it is decoration."
                    .formatted(fill.named());
        }

        @Override
        public String rule() {
            return "WCAG 2.2, 1.1.1: what is no decoration has a text that says the same.";
        }

        @Override
        public List<Offer> offers(Publication publication) {
            return List.of(decoration(fill));
        }
    }

    /**
     * Text over a part of a picture that is to be kept clear.
     *
     * @param share of the part that text lies over, 0 to 1
     */
    record OnClear(UUID page, Item.FrontFill fill, Item.GlyphRun run, Rect where, double share)
            implements FrontFinding {
        @Override
        public String text() {
            return run.text();
        }

        @Override
        public String message() {
            return "Text lies over a part of %s that is to be kept clear: %s × %s mm, %s %% of it. Move the text or the picture."
                    .formatted(
                            fill.named(),
                            RunsIntoText.millimetres(where.width()),
                            RunsIntoText.millimetres(where.height()),
                            Numbers.plain(Math.max(1, Math.rint(share * 100))));
        }

        @Override
        public String rule() {
            return "Set for this picture: text keeps off that part.";
        }
    }

    /** Text below a picture in front that covers it. */
    record HidesText(UUID page, Item.FrontFill fill, Item.GlyphRun run, Rect where)
            implements FrontFinding {
        @Override
        public String text() {
            return run.text();
        }

        @Override
        public String message() {
            return "%s lies over this text and hides it. Move one of them, or put the picture further back."
                    .formatted(fill.named());
        }

        @Override
        public String rule() {
            return "All text is seen.";
        }
    }

    /**
     * The page of a file with white boxes, scans or pictures, which hide what was laid behind it.
     *
     * @param behind the backgrounds
     */
    record HidesBackground(
            UUID page, Item.FrontFill fill, OpaqueParts parts, List<Item.AreaFill> behind)
            implements FrontFinding {
        /** A smaller part of the page is not told; common practice, no source. */
        static final double MUCH = 0.02;

        @Override
        public Rect where() {
            return parts.where();
        }

        @Override
        public String text() {
            return fill.named();
        }

        @Override
        public Severity severity() {
            return Severity.DOUBTFUL;
        }

        @Override
        public String message() {
            return "%s %% of this page lets nothing through: a white box, a scan or a picture hides the background behind it. Lay the background over the page, or leave it so."
                    .formatted(Numbers.plain(Math.rint(parts.share() * 100)));
        }

        @Override
        public String rule() {
            return "A background that lies behind a page is seen; common practice, no source.";
        }

        /** Multiplied, all that is darker than the background stays; darkened, all that is. */
        @Override
        public List<Offer> offers(Publication publication) {
            String pages = onPages();
            List<Offer> offers = new ArrayList<>();
            offers.add(
                    over(
                            publication,
                            BlendMode.MULTIPLY,
                            "Lay it over %s, multiplied".formatted(pages)));
            offers.add(
                    over(
                            publication,
                            BlendMode.DARKEN,
                            "Lay it over %s, darkening only".formatted(pages)));
            publication
                    .page(page)
                    .imported()
                    .ifPresent(
                            file -> offers.addAll(FileOffers.seeThrough(fill, file, publication)));
            return offers;
        }

        /** What of a parent changes, changes on all its pages. */
        private String onPages() {
            return behind.stream()
                    .map(Item.AreaFill::origin)
                    .filter(Origin.FromParent.class::isInstance)
                    .map(Origin.FromParent.class::cast)
                    .map(parent -> "all pages of “%s”".formatted(parent.name()))
                    .findFirst()
                    .orElse("the page");
        }

        private Offer over(Publication publication, BlendMode blend, String label) {
            List<Edit> edits = new ArrayList<>();
            for (Item.AreaFill each : behind) {
                Offer.background(publication, each.background())
                        .map(is -> is.withOver(true).withBlend(blend))
                        .map(BackgroundEdit.ChangeBackground::new)
                        .ifPresent(edits::add);
            }
            return new Offer(label, edits.size() == 1 ? edits.getFirst() : new Edit.Several(edits));
        }
    }

    /** What is behind text, and runs into a picture. */
    record IntoPicture(UUID page, Item.FrontFill fill, Item.TextFill behind, Rect where)
            implements FrontFinding {
        @Override
        public Origin origin() {
            return behind.origin();
        }

        @Override
        public String text() {
            return "%s in %s".formatted(behind.kind().inWords(), behind.inWords());
        }

        @Override
        public Severity severity() {
            return Severity.DOUBTFUL;
        }

        @Override
        public String message() {
            return "%s runs %s mm into %s. Keep it in its column, give it less padding, or move the frames apart."
                    .formatted(
                            RunsIntoText.named(behind),
                            RunsIntoText.millimetres(far(where)),
                            fill.named());
        }

        @Override
        public String rule() {
            return "What is behind text stays clear of pictures; common practice, no source.";
        }

        @Override
        public List<Offer> offers(Publication publication) {
            List<Offer> offers = new ArrayList<>(RunsIntoText.kept(behind, publication));
            RunsIntoText.apart(page, behind, fill.bounds(), publication).ifPresent(offers::add);
            return offers;
        }
    }
}
