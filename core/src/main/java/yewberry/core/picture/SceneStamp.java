package yewberry.core.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import yewberry.core.Sha256;
import yewberry.core.color.View;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.SceneKey;
import yewberry.core.text.Segment;

/**
 * A short text for all that is seen of a page: as long as it stays the same, so does the picture.
 * What things are called, and where they come from, is not in it.
 */
public final class SceneStamp {
    /** Hexadecimal digits: of so many, two of ten thousand pages are never the same by chance. */
    private static final int LENGTH = 24;

    /** The text alone is short: by number is by bytes. */
    private static final Cache<SceneKey, String> MEMO =
            Caffeine.newBuilder().weakKeys().maximumSize(20_000).executor(Runnable::run).build();

    private final StringBuilder seen = new StringBuilder();

    private SceneStamp() {}

    /** The stamp of a page under a viewing. */
    public static String of(PageScene scene, View view) {
        return of(MEMO.get(scene.key(), key -> digest(new SceneStamp().painted(scene))), view);
    }

    /**
     * The stamp of anything under a viewing.
     *
     * @param painted what stands for it
     */
    public static String of(String painted, View view) {
        return digest(
                "%s %s %s %s %s"
                        .formatted(
                                painted,
                                view.viewing(),
                                view.medium(),
                                view.stock(),
                                view.condition().registeredName()));
    }

    private static String digest(String text) {
        return Sha256.of(text.getBytes(StandardCharsets.UTF_8)).substring(0, LENGTH);
    }

    private String painted(PageScene scene) {
        add(scene.boxes().bleed(), scene.boxes().trim());
        for (Item item : scene.items()) {
            switch (item) {
                case Item.AreaFill fill -> {
                    add(fill.rect(), fill.frame(), fill.opacity(), fill.blend(), fill.goesTo());
                    add(fill.paint());
                }
                case Item.FrontFill fill -> {
                    add(fill.frame(), fill.opacity(), fill.blend(), fill.goesTo());
                    add(fill.form().path());
                    if (fill.isImported()) {
                        add("with its annotations");
                    }
                    add(fill.paint());
                }
                case Item.TextFill fill -> {
                    add(fill.frame(), fill.turn());
                    add(fill.form().path());
                    add(fill.paint());
                }
                case Item.GlyphRun run -> add(run);
                case Item.GlyphStroke line -> {
                    add(line.paint().color(), line.width(), line.join());
                    add(line.letters());
                }
            }
        }
        return seen.toString();
    }

    private void add(AreaPaint paint) {
        switch (paint) {
            case AreaPaint.Solid solid -> add(solid.paint().color());
            case AreaPaint.Gradient gradient -> {
                add(gradient.kind(), gradient.angle());
                gradient.stops()
                        .forEach(
                                stop -> add(stop.position(), stop.paint().color(), stop.opacity()));
            }
            case AreaPaint.Picture picture ->
                    add(
                            picture.asset().sha256(),
                            picture.page(),
                            picture.place(),
                            picture.tiled(),
                            picture.runOut(),
                            picture.seeThrough());
        }
    }

    private void add(Shape path) {
        double[] at = new double[6];
        for (PathIterator each = path.getPathIterator(null); !each.isDone(); each.next()) {
            add(each.currentSegment(at));
            add(Arrays.toString(at));
        }
    }

    private void add(Item.GlyphRun run) {
        add(run.face().key(), run.size(), run.paint().color(), run.paint().overprints());
        add(run.turn().degrees(), run.turn().x(), run.turn().y());
        for (Item.Line line : run.lines()) {
            add(line.x(), line.baseline());
            for (Segment.Glyph glyph : line.glyphs()) {
                add(glyph.id(), glyph.x(), glyph.y());
            }
        }
    }

    private void add(Object... values) {
        for (Object value : values) {
            seen.append(value).append(' ');
        }
    }
}
