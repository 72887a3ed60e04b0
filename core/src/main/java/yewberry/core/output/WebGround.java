package yewberry.core.output;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/**
 * The gradients and pictures that lie behind all else of a page, as a web page has them. Text
 * stands at other places there, so that it may stand on any of their colours.
 *
 * @param hasPicture whether there is more in it than colours and gradients
 */
public record WebGround(PageScene scene, boolean hasPicture) {
    /** Pixels per inch of the page. */
    public static final double PPI = 96;

    /**
     * What is behind a page; nothing where that is one colour, or where text that stands right on
     * it would be illegible on any of its colours.
     *
     * @param text on the page
     */
    public static Optional<WebGround> of(PageScene scene, Collection<JudgedColors> text) {
        List<Item.AreaFill> areas = scene.on(Medium.SCREEN).lower();
        if (areas.stream().allMatch(area -> area.paint() instanceof AreaPaint.Solid)) {
            return Optional.empty(); // told without drawing it
        }
        boolean hasPicture =
                areas.stream().anyMatch(area -> area.paint() instanceof AreaPaint.Picture);
        WebGround ground = new WebGround(scene, hasPicture);
        int[] colors =
                Arrays.stream(pixels(ground.image()))
                        .map(each -> each & 0xffffff)
                        .distinct()
                        .toArray();
        double darkest = luminances(colors).min().orElseThrow();
        double lightest = luminances(colors).max().orElseThrow();
        boolean legible =
                text.stream()
                        .filter(JudgedColors::onGround)
                        .allMatch(each -> isLegible(each, darkest, lightest));
        return Optional.of(ground).filter(_ -> legible && colors.length > 1);
    }

    /** The trim of the page as it is seen, drawn when it is asked for: not all of them fit. */
    public BufferedImage image() {
        View view = View.designed(Medium.SCREEN, scene.condition());
        return PageRaster.areas(scene, view, scene.boxes().trim(), PPI);
    }

    private static DoubleStream luminances(int[] colors) {
        return Arrays.stream(colors).mapToDouble(Contrast::luminance);
    }

    /** Of all luminances between two the one nearest to that of the text is the hardest. */
    private static boolean isLegible(JudgedColors text, double darkest, double lightest) {
        double own = Contrast.luminance(text.color());
        double nearest = Math.clamp(own, darkest, lightest);
        return Contrast.ratio(own, nearest) >= text.required();
    }

    private static int[] pixels(BufferedImage image) {
        int width = image.getWidth();
        return image.getRGB(0, 0, width, image.getHeight(), null, 0, width);
    }
}
