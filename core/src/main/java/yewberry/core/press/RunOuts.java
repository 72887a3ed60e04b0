package yewberry.core.press;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.RunOut;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.EdgeColor;
import yewberry.core.scene.Item;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;

/** The ways in which a picture that is too small for its area could go on to its edges. */
public final class RunOuts {
    /** Pixels across that the edges are looked at in. */
    private static final int LOOKED_AT = 600;

    /** A step of so much is seen by anybody: it weighs as much as losing all of the picture. */
    private static final double WHOLE_STEP = 10;

    /** What is wanted in print: common practice, no source. */
    private static final double WANTED_PPI = 300;

    private RunOuts() {}

    /**
     * One of them, and what it costs.
     *
     * @param seam CIEDE2000 along the join, in the mean of the worst edge
     * @param cropped how much of the picture is cut off, 0 to 1
     * @param repeated how much of the area shows a part of the picture again, 0 to 1
     * @param ppi pixels per inch then; nothing for what has no pixels
     * @param cost all of it together; the least is the best
     */
    public record Option(
            RunOut kind,
            double seam,
            double cropped,
            double repeated,
            OptionalDouble ppi,
            double cost) {}

    /** All three, the best first; none where the picture reaches everywhere by itself. */
    public static List<Option> of(
            Item.AreaFill fill, AreaPaint.Picture picture, PressCondition condition) {
        PicturePlace place = picture.place();
        if (picture.tiled() || place.covers(fill.rect())) {
            return List.of();
        }
        PlaneImage image = picture.pixels().about(LOOKED_AT);
        double seam = 0;
        for (EdgeColor.Edge edge : open(place, fill.rect())) {
            seam = Math.max(seam, EdgeColor.step(image, edge, condition));
        }
        double free = 1 - covered(place, fill.rect());
        PicturePlace larger = place.enlargedTo(fill.frame());
        double factor = larger.width() / place.width();
        OptionalDouble ppi = picture.ppi();
        OptionalDouble enlarged =
                ppi.isPresent() ? OptionalDouble.of(ppi.getAsDouble() / factor) : ppi;
        double cropped = Math.max(0, 1 - area(fill.frame()) / area(larger));
        double lost =
                enlarged.isPresent()
                        ? Math.max(0, 1 - enlarged.getAsDouble() / WANTED_PPI) * (1 - 1 / factor)
                        : 0;
        List<Option> options =
                new ArrayList<>(
                        List.of(
                                new Option(RunOut.EDGE_COLOR, seam, 0, 0, ppi, seam / WHOLE_STEP),
                                new Option(RunOut.MIRROR, 0, 0, free, ppi, free),
                                new Option(
                                        RunOut.ENLARGE, 0, cropped, 0, enlarged, cropped + lost)));
        options.sort(Comparator.comparingDouble(Option::cost));
        return options;
    }

    /** The edges of a picture that the area goes on beyond. */
    private static Set<EdgeColor.Edge> open(PicturePlace place, Rect rect) {
        Set<EdgeColor.Edge> open = EnumSet.noneOf(EdgeColor.Edge.class);
        for (double px : new double[] {rect.x(), rect.right()}) {
            for (double py : new double[] {rect.y(), rect.bottom()}) {
                double u = place.u(px, py);
                double v = place.v(px, py);
                if (u < 0) {
                    open.add(EdgeColor.Edge.LEFT);
                }
                if (u > 1) {
                    open.add(EdgeColor.Edge.RIGHT);
                }
                if (v < 0) {
                    open.add(EdgeColor.Edge.TOP);
                }
                if (v > 1) {
                    open.add(EdgeColor.Edge.BOTTOM);
                }
            }
        }
        return open;
    }

    private static double area(Rect rect) {
        return rect.width() * rect.height();
    }

    private static double area(PicturePlace place) {
        return place.width() * place.height();
    }

    /** The part of a rectangle that the picture lies on, from a grid of points. */
    private static double covered(PicturePlace place, Rect rect) {
        int grid = 40;
        int within = 0;
        for (int row = 0; row < grid; row++) {
            for (int column = 0; column < grid; column++) {
                double x = rect.x() + rect.width() * (column + 0.5) / grid;
                double y = rect.y() + rect.height() * (row + 0.5) / grid;
                double u = place.u(x, y);
                double v = place.v(x, y);
                within += u >= 0 && u <= 1 && v >= 0 && v <= 1 ? 1 : 0;
            }
        }
        return (double) within / (grid * grid);
    }
}
