package yewberry.core.output;

import java.awt.image.BufferedImage;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * What lies behind all else of a page, as a web page has it: colours beside each other, gradients
 * and pictures. Text stands at other places there, so that it may stand on any of their colours.
 */
public final class WebGround {
    /** Pixels per inch of the page. */
    public static final double PPI = 96;

    private final PageScene scene;
    private final boolean hasPicture;
    private final double darkest;
    private final double lightest;
    private final boolean isVaried;

    /** The grounds of a publication, each drawn once: pages of one parent often have the same. */
    public static final class All {
        private final Map<Key, WebGround> drawn = new HashMap<>();

        private record Key(List<Item.AreaFill> areas, Rect trim) {}

        /**
         * What is behind a page; nothing where that is one colour, or where text that stands right
         * on it would be illegible on any of its colours.
         *
         * @param text on the page
         * @return the same one for pages that have the same behind them
         */
        public Optional<WebGround> of(PageScene scene, Collection<JudgedColors> text) {
            List<Item.AreaFill> areas = scene.on(Medium.SCREEN).lower();
            if (isOneColor(areas, scene.boxes().trim())) {
                return Optional.empty(); // told without drawing it
            }
            Key key = new Key(areas, scene.boxes().trim());
            WebGround ground = drawn.computeIfAbsent(key, _ -> new WebGround(scene));
            return Optional.of(ground).filter(it -> it.isVaried && it.isLegible(text));
        }
    }

    private static boolean isOneColor(List<Item.AreaFill> areas, Rect trim) {
        return areas.isEmpty()
                || areas.getLast().solid().isPresent() && areas.getLast().rect().contains(trim);
    }

    private WebGround(PageScene scene) {
        // glyphs take most of the room
        this.scene = scene.withItems(scene.items().stream().map(Item::withoutGlyphs).toList());
        this.hasPicture =
                scene.on(Medium.SCREEN).lower().stream()
                        .anyMatch(area -> area.paint() instanceof AreaPaint.Picture);
        double least = 1;
        double most = 0;
        int last = -1;
        int colors = 0;
        for (int pixel : PictureFile.pixels(image())) {
            int color = pixel & 0xffffff;
            if (color != last) {
                double luminance = Contrast.luminance(color);
                least = Math.min(least, luminance);
                most = Math.max(most, luminance);
                last = color;
                colors++;
            }
        }
        this.darkest = least;
        this.lightest = most;
        this.isVaried = colors > 1;
    }

    /** Whether there is more in it than colours and gradients. */
    public boolean hasPicture() {
        return hasPicture;
    }

    /** The trim of the page as it is seen, drawn when it is asked for: not all of them fit. */
    public BufferedImage image() {
        View view = View.designed(Medium.SCREEN, scene.condition());
        return PageRaster.areas(scene, view, scene.boxes().trim(), PPI);
    }

    private boolean isLegible(Collection<JudgedColors> text) {
        return text.stream().filter(JudgedColors::onGround).allMatch(this::isLegible);
    }

    /** Of all luminances between two the one nearest to that of the text is the hardest. */
    private boolean isLegible(JudgedColors text) {
        double own = Contrast.luminance(text.color());
        double nearest = Math.clamp(own, darkest, lightest);
        return Contrast.ratio(own, nearest) >= text.required();
    }
}
