package yewberry.pdf.proof;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yewberry.core.asset.Drawings;
import yewberry.core.color.BlendMode;
import yewberry.core.color.View;
import yewberry.core.output.PictureFile;
import yewberry.core.picture.SvgPicture;
import yewberry.core.picture.SvgPicture.PlacedScene;
import yewberry.core.raster.PageRaster;
import yewberry.core.raster.PlaneRaster;
import yewberry.core.scene.Rect;

/**
 * Holds an SVG file against the scenes: each thing that it paints against each item, and, drawn by
 * other code than what wrote it, its pixels over the whole of every page.
 */
public final class SvgReadBack {
    /** Of a square of so many pixels, 0.4 mm wide, is asked whether it is off. */
    private static final int SIDE = 5;

    /**
     * The other code cuts clips at whole pixels, and mixes light where an edge crosses one. An area
     * that is wrong is off over all of a square, but for so few pixels.
     */
    private static final int SPARED = 2;

    /**
     * What is thinner than a square, such as the stem of a letter, is wrong where the square as a
     * whole is this much too light or too dark.
     */
    private static final double MEAN = 0.3;

    /** So many pixels are compared at once. */
    private static final int BAND = 1_500_000;

    /** So many pixels from where it ends a page is not looked at in this way. */
    private static final int END = 2;

    private final Drawings.File drawing;
    private final View view;
    private final int ppi;
    private final double left;
    private final double top;

    private SvgReadBack(byte[] file, List<PlacedScene> pages, View view) {
        this.drawing = Drawings.open(file);
        this.view = view;
        // as fine as what the file holds as pixels, so that they lie on those compared
        this.ppi = SvgPicture.ppi(pages);
        this.left = pages.getFirst().x() + pages.getFirst().visible().x();
        this.top = pages.stream().mapToDouble(page -> page.visible().y()).min().orElseThrow();
    }

    /**
     * @param pages that the file shows, from left to right
     * @return what is not as it should be, in words: the first thing that is not as its item, and a
     *     place of another colour on each page that has one
     * @throws yewberry.core.Refused if the file cannot be read
     */
    public static List<String> problems(byte[] file, List<PlacedScene> pages, View view) {
        SvgReadBack readBack = new SvgReadBack(file, pages, view);
        return Stream.of(
                        readBack.size(pages).stream(),
                        SvgItemCheck.problem(SvgMarks.of(file), pages, view, readBack.ppi).stream(),
                        pages.stream().flatMap(page -> readBack.bands(page).limit(1)))
                .flatMap(each -> each)
                .toList();
    }

    private Optional<String> size(List<PlacedScene> pages) {
        PlacedScene last = pages.getLast();
        double bottom =
                pages.stream().mapToDouble(page -> page.visible().bottom()).max().orElseThrow();
        double width = last.x() + last.visible().right() - left;
        double height = bottom - top;
        boolean fits =
                Math.abs(drawing.width() - width) < SvgItemCheck.TOLERANCE
                        && Math.abs(drawing.height() - height) < SvgItemCheck.TOLERANCE;
        return fits
                ? Optional.empty()
                : Optional.of(
                        "a size of %s × %s mm instead of %s × %s mm"
                                .formatted(
                                        PlateComparison.millimetres(drawing.width()),
                                        PlateComparison.millimetres(drawing.height()),
                                        PlateComparison.millimetres(width),
                                        PlateComparison.millimetres(height)));
    }

    /** What is wrong, band by band from the top. */
    private Stream<String> bands(PlacedScene page) {
        Rect shown = page.visible();
        int rows = Math.max(4 * SIDE, BAND / PageRaster.pixels(shown.width(), ppi));
        int all = PageRaster.pixels(shown.height(), ppi);
        return Stream.iterate(0, from -> from < all, from -> from + rows - 2 * SIDE)
                .map(from -> {
                    double y = from * 72.0 / ppi;
                    double height = Math.min(shown.height() - y, rows * 72.0 / ppi);
                    return new Rect(shown.x(), shown.y() + y, shown.width(), height);
                })
                .flatMap(band -> problem(page, band));
    }

    private Stream<String> problem(PlacedScene page, Rect band) {
        BufferedImage wanted = PageRaster.page(page.scene(), view, band, ppi);
        BufferedImage found =
                drawing.part(
                        page.x() + band.x() - left,
                        band.y() - top,
                        ppi / 72.0,
                        wanted.getWidth(),
                        wanted.getHeight());
        return off(wanted, found).or(() -> uneven(wanted, found)).stream()
                .map(at ->
                        "another colour at %s mm, %s mm"
                                .formatted(
                                        millimetres(band.x(), at % wanted.getWidth()),
                                        millimetres(band.y(), at / wanted.getWidth())));
    }

    /** The middle of the square in which the most pixels are off, if those are enough. */
    private static Optional<Integer> off(BufferedImage wanted, BufferedImage found) {
        PlateComparison comparison = PlateComparison.of(light(wanted), light(found));
        int width = wanted.getWidth();
        return Squares.furthest(
                        width,
                        wanted.getHeight(),
                        SIDE,
                        (x, y) -> comparison.isOff(y * width + x) ? 1 : 0)
                .filter(square -> square.sum() >= SIDE * SIDE - SPARED)
                .map(Squares.Square::middle);
    }

    /** The middle of the square that is the most too light or too dark, if it is enough so. */
    private static Optional<Integer> uneven(BufferedImage wanted, BufferedImage found) {
        int width = wanted.getWidth();
        int height = wanted.getHeight();
        int[] one = PictureFile.pixels(wanted);
        int[] other = PictureFile.pixels(found);
        return IntStream.of(0, 8, 16)
                .mapToObj(shift ->
                        Squares.furthest(
                                width,
                                height,
                                SIDE,
                                (x, y) ->
                                        isAtEnd(x, width) || isAtEnd(y, height)
                                                ? 0
                                                : (other[y * width + x] >> shift & 0xff)
                                                        - (one[y * width + x] >> shift & 0xff)))
                .flatMap(Optional::stream)
                .filter(square -> Math.abs(square.sum()) > MEAN * 255 * SIDE * SIDE)
                .map(Squares.Square::middle)
                .findFirst();
    }

    /** There pixels are partly page. */
    private static boolean isAtEnd(int at, int length) {
        return Math.min(at, length - 1 - at) < END;
    }

    private double millimetres(double from, int pixels) {
        return PlateComparison.millimetres(from + (pixels + 0.5) * 72 / ppi);
    }

    private static PlaneRaster light(BufferedImage image) {
        PlaneRaster raster = new PlaneRaster(image.getWidth(), image.getHeight(), 3);
        int[] pixels = PictureFile.pixels(image);
        double[] light = new double[3];
        for (int at = 0; at < pixels.length; at++) {
            for (int plane = 0; plane < 3; plane++) {
                light[plane] = (pixels[at] >> 16 - 8 * plane & 0xff) / 255.0;
            }
            raster.paint(at, light, (pixels[at] >>> 24) / 255.0, BlendMode.NORMAL);
        }
        return raster;
    }
}
