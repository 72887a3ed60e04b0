package yewberry.server.view;

import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.Area;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Where the pages of a spread stand in its picture, in millimetres.
 *
 * @param view what the picture shows, from the top left corner of the leftmost trim
 */
public record SpreadView(int index, Extent view, List<PlacedPage> pages) {
    /**
     * @param x where the trim begins in the picture
     * @param words around all text of the page, so that marks can stand beside it
     * @param visible the part of the page that the picture shows, from the corner of its own trim
     */
    public record PlacedPage(
            UUID page,
            int number,
            Side side,
            double x,
            Extent visible,
            Extent trim,
            Extent bleed,
            Extent safe,
            Optional<Extent> words,
            List<FrameOnPage> frames,
            List<PictureOnPage> pictures,
            String text) {}

    /**
     * A frame with a picture or a word, of the page or of its parents.
     *
     * @param place in the order of all frames of the page, from the lowest up
     * @param where it lies before it is rotated
     * @param rotation about its middle, in degrees clockwise
     * @param name of its file, or its word
     * @param hold what it keeps to here
     * @param clear the corners of the parts that text keeps off, x and y in turn, in millimetres
     */
    public record PictureOnPage(
            UUID frame,
            int place,
            Owner owner,
            Extent where,
            double rotation,
            PictureFrame.Level level,
            String name,
            boolean locked,
            Hold hold,
            List<List<Double>> clear) {
        static PictureOnPage of(
                PageScene.PlacedPicture placed, PageScene scene, Publication publication) {
            PictureFrame frame = placed.frame();
            String name =
                    frame.fill() instanceof Fill.Word word
                            ? word.text()
                            : frame.fill()
                                    .madeFrom()
                                    .map(asset -> publication.asset(asset).name())
                                    .orElseThrow();
            return new PictureOnPage(
                    frame.id(),
                    placed.place(),
                    placed.origin().owner(),
                    Extent.of(placed.where()),
                    placed.turn().degrees(),
                    frame.level(),
                    name,
                    frame.locked(),
                    kept(frame, placed.origin(), scene, publication),
                    keptClear(frame, scene));
        }
    }

    /**
     * A text frame of the page or of its parents.
     *
     * @param place in the order of all frames of the page, from the lowest up
     * @param where it lies before it is rotated
     * @param rotation about its middle, in degrees clockwise
     * @param turn which one of its story's it is, from 0
     * @param hold what it keeps to here
     * @param band that it stands in
     */
    public record FrameOnPage(
            UUID frame,
            int place,
            Owner owner,
            UUID story,
            int turn,
            Extent where,
            double rotation,
            boolean locked,
            Hold hold,
            Optional<BandOnPage> band) {
        static FrameOnPage of(
                PageScene.PlacedFrame placed, PageScene scene, Publication publication) {
            TextFrame frame =
                    publication.frame(new Story.Link(placed.origin().owner(), placed.frame()));
            return new FrameOnPage(
                    placed.frame(),
                    placed.place(),
                    placed.origin().owner(),
                    placed.story(),
                    publication.story(placed.story()).place(placed.frame()),
                    Extent.of(placed.where()),
                    placed.turn().degrees(),
                    frame.locked(),
                    kept(frame, placed.origin(), scene, publication),
                    frame.band().map(band -> BandOnPage.of(band, scene.boxes())));
        }
    }

    /**
     * A band that text stands in.
     *
     * @param along that it lies along
     * @param where it is within the trim
     */
    public record BandOnPage(PageEdge along, Extent where) {
        /** An edge as it is seen on a page. */
        public enum PageEdge {
            TOP,
            BOTTOM,
            LEFT,
            RIGHT
        }

        static BandOnPage of(TextBand band, PageBoxes boxes) {
            return new BandOnPage(
                    PageEdge.valueOf(band.edge().on(boxes.side()).name()),
                    Extent.of(
                            boxes.place(new Area.Band(band.edge(), band.depth()))
                                    .intersection(boxes.trim())));
        }
    }

    /** What a frame keeps to on a page; one of its own lies where it says. */
    private static Hold kept(Frame frame, Origin origin, PageScene scene, Publication publication) {
        return origin instanceof Origin.FromParent
                ? frame.holdOn(
                        publication.setup().trim(),
                        publication.setup(publication.page(scene.page())).trim())
                : Hold.TOP_LEFT;
    }

    /** The corners of the parts of a picture that text keeps off, x and y in turn. */
    private static List<List<Double>> keptClear(PictureFrame frame, PageScene scene) {
        if (frame.clear().isEmpty()) {
            return List.of();
        }
        return scene.items().stream()
                .filter(Item.FrontFill.class::isInstance)
                .map(Item.FrontFill.class::cast)
                .filter(fill -> fill.element().equals(frame.id()))
                .flatMap(fill ->
                        fill.paint() instanceof AreaPaint.Picture picture
                                ? frame.clear().stream()
                                        .map(each -> corners(fill.clearPart(each, picture)))
                                : Stream.empty())
                .toList();
    }

    private static List<Double> corners(Shape part) {
        List<Double> corners = new ArrayList<>();
        double[] at = new double[6];
        for (PathIterator path = part.getPathIterator(null); !path.isDone(); path.next()) {
            if (path.currentSegment(at) != PathIterator.SEG_CLOSE) {
                corners.add(Extent.mm(at[0]));
                corners.add(Extent.mm(at[1]));
            }
        }
        return corners;
    }

    public static SpreadView of(int index, List<PageScene> scenes, Publication publication) {
        List<SvgPicture.PlacedScene> arranged = SvgPicture.arrange(scenes);
        Rect view =
                arranged.stream()
                        .map(placed -> placed.visible().movedBy(placed.x(), 0))
                        .reduce(Rect::union)
                        .orElseThrow();
        return new SpreadView(
                index,
                Extent.of(view),
                arranged.stream().map(placed -> placed(placed, publication)).toList());
    }

    private static PlacedPage placed(SvgPicture.PlacedScene placed, Publication publication) {
        PageScene scene = placed.scene();
        return new PlacedPage(
                scene.page(),
                publication.indexOf(scene.page()) + 1,
                scene.boxes().side(),
                Extent.mm(placed.x()),
                Extent.of(placed.visible()),
                Extent.of(scene.boxes().trim()),
                Extent.of(scene.boxes().bleed()),
                Extent.of(scene.boxes().safe()),
                scene.text().stream()
                        .map(Item.GlyphRun::bounds)
                        .reduce(Rect::union)
                        .map(Extent::of),
                scene.frames().stream()
                        .map(frame -> FrameOnPage.of(frame, scene, publication))
                        .toList(),
                scene.pictures().stream()
                        .map(frame -> PictureOnPage.of(frame, scene, publication))
                        .toList(),
                ItemView.text(scene));
    }
}
