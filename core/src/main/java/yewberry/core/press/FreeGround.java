package yewberry.core.press;

import java.util.Optional;
import yewberry.core.asset.Pictures;
import yewberry.core.asset.PlaneImage;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Rect;

/**
 * Where a page of a file has nothing but flat ground: bare, plain, or of a gradient too gentle to
 * see an edge in. A scan of white paper is free where nothing is written. Where an annotation or a
 * form field paints anything, nothing is: it lies over all else.
 */
public final class FreeGround {
    /**
     * What is looked at has 60 pixels to the inch, and as many across as these at least and most.
     */
    private static final double PER_POINT = 60 / 72.0;

    private static final int FEWEST = 300;

    private static final int MOST = 2_000;

    /** From one pixel to the next; common practice, no source. */
    private static final int EDGE = 26;

    /** So far positions are tried from each other, in points, or as share of the page's width. */
    private static final double STEP = 3;

    private static final double STEPS = 300;

    private final Rect page;
    private final int width;
    private final int height;

    /** How many pixels that are taken, or have an edge, are above and left of each corner. */
    private final int[][] sums;

    /**
     * @param annotated the same with annotations over it; the same image where there are none
     */
    private FreeGround(PlaneImage image, PlaneImage annotated, Rect page) {
        this.page = page;
        this.width = image.width();
        this.height = image.height();
        this.sums = new int[height + 1][width + 1];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                boolean taken =
                        x + 1 < width && differ(image, at, image, at + 1)
                                || y + 1 < height && differ(image, at, image, at + width)
                                || annotated != image && differ(image, at, annotated, at);
                sums[y + 1][x + 1] = (taken ? 1 : 0) + sums[y][x + 1] + sums[y + 1][x] - sums[y][x];
            }
        }
    }

    /**
     * @param page where it lies
     */
    public static FreeGround of(AreaPaint.Picture picture, Rect page) {
        int wanted = (int) Math.clamp(Math.ceil(page.width() * PER_POINT), FEWEST, MOST);
        Pictures.Placeable pixels = picture.pixels();
        PlaneImage image = pixels.about(wanted);
        PlaneImage annotated =
                pixels.text().annotations().isEmpty() ? image : pixels.annotated().about(wanted);
        return new FreeGround(image, annotated, page);
    }

    private static boolean differ(PlaneImage image, int one, PlaneImage next, int other) {
        int covers = alpha(image, one);
        int alsoCovers = alpha(next, other);
        if (Math.abs(covers - alsoCovers) > EDGE) {
            return true;
        }
        for (int plane = 0; plane < image.planes(); plane++) {
            int a = image.samples()[one * image.planes() + plane] & 0xff;
            int b = next.samples()[other * image.planes() + plane] & 0xff;
            if (Math.abs(a * covers - b * alsoCovers) > EDGE * 255) {
                return true;
            }
        }
        return false;
    }

    private static int alpha(PlaneImage image, int at) {
        return image.alpha().map(covers -> covers[at] & 0xff).orElse(255);
    }

    /** Whether nothing can be made out in a rectangle; beyond the page nothing is. */
    public boolean isFree(Rect where) {
        int left = column(where.x(), true);
        int right = column(where.right(), false);
        int top = row(where.y(), true);
        int bottom = row(where.bottom(), false);
        return right <= left
                || bottom <= top
                || sums[bottom][right] - sums[top][right] - sums[bottom][left] + sums[top][left]
                        == 0;
    }

    private int column(double x, boolean down) {
        return at((x - page.x()) / page.width() * width, width, down);
    }

    private int row(double y, boolean down) {
        return at((y - page.y()) / page.height() * height, height, down);
    }

    private static int at(double place, int most, boolean down) {
        return (int) Math.clamp(down ? Math.floor(place) : Math.ceil(place), 0, most);
    }

    /**
     * How far a rectangle has to move to lie on free ground.
     *
     * @param across in points, to the right
     * @param down in points
     */
    public record Move(double across, double down) {
        double far() {
            return Math.hypot(across, down);
        }
    }

    /**
     * The shortest way to free ground.
     *
     * @param within where it is to stay
     * @return nothing where there is none of that size
     */
    public Optional<Move> nearest(Rect box, Rect within) {
        double step = Math.max(STEP, page.width() / STEPS);
        int leftmost = (int) Math.ceil((within.x() - box.x()) / step);
        int rightmost = (int) Math.floor((within.right() - box.right()) / step);
        int top = (int) Math.ceil((within.y() - box.y()) / step);
        int bottom = (int) Math.floor((within.bottom() - box.bottom()) / step);
        Optional<Move> best = Optional.empty();
        double least = Double.MAX_VALUE;
        for (int y = top; y <= bottom; y++) {
            for (int x = leftmost; x <= rightmost; x++) {
                Move move = new Move(x * step, y * step);
                if (move.far() < least && isFree(box.movedBy(move.across(), move.down()))) {
                    best = Optional.of(move);
                    least = move.far();
                }
            }
        }
        return best;
    }
}
