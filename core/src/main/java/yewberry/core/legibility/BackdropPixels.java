package yewberry.core.legibility;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;

/**
 * What lies behind a line of text where it is a picture, or where several gradients cross: all
 * pixels under its ink. Of each glyph the worst part is left out, up to a twentieth of its ink, so
 * that a stray pixel does not decide.
 */
final class BackdropPixels {
    private static final double PPI = 300;
    private static final double SCALE = PPI / 72;

    /** The part of a glyph's ink that is left out at most. */
    private static final double LEFT_OUT = 0.05;

    private final MediumScene scene;
    private final Item.GlyphRun run;
    private final View view;
    private final Rect region;
    private PageRaster areas;
    private BufferedImage backdrop;
    private BufferedImage text;

    /**
     * @param region around the ink of the line
     */
    BackdropPixels(MediumScene scene, Item.GlyphRun run, View view, Rect region) {
        this.scene = scene;
        this.run = run;
        this.view = view;
        // a grid that lies still on the page, however the text is moved
        double left = Math.floor(region.x() * SCALE) / SCALE;
        double top = Math.floor(region.y() * SCALE) / SCALE;
        this.region = new Rect(left, top, region.right() - left, region.bottom() - top);
    }

    private record Pixel(int at, double covered, double ratio, Rect cell) {}

    /**
     * The colours behind a glyph in some cells of the page.
     *
     * @param named the area that a cell's colours are named by
     */
    List<Optional<Paint>> behind(
            Backdrop.GlyphInk ink, List<Rect> cells, Function<Rect, Item.AreaFill> named) {
        if (areas == null) {
            areas = PageRaster.areas(scene, region, PPI);
            backdrop = areas.image(view);
            text =
                    run.paint().overprints()
                            ? PageRaster.overprinted(scene, run.paint(), region, PPI).image(view)
                            : null;
        }
        int width = areas.raster().width();
        Rgb plain = view.see(run.paint().color());
        List<Pixel> pixels = new ArrayList<>();
        double[] all = {0};
        Coverage.of(
                        ink.run(),
                        ink.line(),
                        ink.glyph(),
                        region,
                        SCALE,
                        width,
                        areas.raster().height())
                .forEach((at, covered) -> {
                    all[0] += covered;
                    double x = region.x() + (at % width + 0.5) / SCALE;
                    double y = region.y() + (at / width + 0.5) / SCALE;
                    cells.stream()
                            .filter(cell -> cell.contains(x, y))
                            .findFirst()
                            .ifPresent(cell ->
                                    pixels.add(
                                            new Pixel(at, covered, ratio(at, width, plain), cell)));
                });
        pixels.sort(Comparator.comparingDouble(Pixel::ratio));
        return kept(pixels, all[0] * LEFT_OUT, named);
    }

    private double ratio(int at, int width, Rgb plain) {
        Rgb front = text == null ? plain : rgb(text, at, width);
        return Contrast.ratio(front, rgb(backdrop, at, width));
    }

    private static Rgb rgb(BufferedImage image, int at, int width) {
        int packed = image.getRGB(at % width, at / width);
        return new Rgb(packed >> 16 & 0xff, packed >> 8 & 0xff, packed & 0xff);
    }

    /** Of colours that are nearly the same the worst stands for all. */
    private List<Optional<Paint>> kept(
            List<Pixel> pixels, double leftOut, Function<Rect, Item.AreaFill> named) {
        Map<Integer, Optional<Paint>> kept = new HashMap<>();
        List<Optional<Paint>> inOrder = new ArrayList<>();
        int width = areas.raster().width();
        double passed = 0;
        for (Pixel pixel : pixels) {
            passed += pixel.covered();
            if (passed <= leftOut) {
                continue;
            }
            int near = backdrop.getRGB(pixel.at() % width, pixel.at() / width) & 0xf8f8f8;
            if (!kept.containsKey(near)) {
                Optional<Paint> paint =
                        Optional.of(
                                Paint.sampled(
                                        scene.planes().color(planes(pixel.at())),
                                        named.apply(pixel.cell())));
                kept.put(near, paint);
                inOrder.add(paint);
            }
        }
        return inOrder;
    }

    private double[] planes(int at) {
        double[] planes = new double[areas.raster().count()];
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane] = areas.raster().printed(plane, at);
        }
        return planes;
    }
}
