package yewberry.core.compose;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import yewberry.core.flow.FlowMemory;
import yewberry.core.scene.PageScene;

/**
 * Scenes and set text as they were made last, as many as a number of bytes holds. What is forgotten
 * is made again when it is asked for. Thread-safe.
 */
public final class SceneMemory {
    /** The part of the heap that the scenes of all publications take at most. */
    private static final int PART = 6;

    private static final SceneMemory SHARED =
            new SceneMemory(Runtime.getRuntime().maxMemory() / PART);

    /** Of text, which outlives the scenes whose colours change, the third part. */
    private static final int TEXT = 3;

    /** Bytes of a glyph with its place and its characters, as measured. */
    private static final int GLYPH = 96;

    /** Bytes of anything else that is painted, on both media, and of a scene by itself. */
    private static final int OTHER = 1_000;

    private final Cache<Object, PageScene> scenes;
    private final FlowMemory text;

    /**
     * @param bytes beyond which the least used are forgotten
     */
    public SceneMemory(long bytes) {
        this.scenes =
                Caffeine.newBuilder()
                        .weakKeys()
                        .maximumWeight(bytes - bytes / TEXT)
                        .weigher((Object key, PageScene scene) -> weight(scene))
                        .executor(Runnable::run)
                        .build();
        this.text = new FlowMemory(bytes / TEXT);
    }

    /** That of all publications together: a sixth of the heap. */
    public static SceneMemory shared() {
        return SHARED;
    }

    private static int weight(PageScene scene) {
        int glyphs =
                scene.text().stream()
                        .flatMap(run -> run.lines().stream())
                        .mapToInt(line -> line.glyphs().size())
                        .sum();
        int lines = scene.text().stream().mapToInt(run -> run.lines().size()).sum();
        return OTHER * (1 + scene.items().size() + lines / 4) + GLYPH * glyphs;
    }

    FlowMemory text() {
        return text;
    }

    /**
     * @param made the page's entry with its composer; a scene is kept while that is
     */
    Optional<PageScene> scene(Object made) {
        return Optional.ofNullable(scenes.getIfPresent(made));
    }

    void keep(Object made, PageScene scene) {
        scenes.put(made, scene);
    }

    /** Lets go of everything; it is made again when it is asked for. */
    void forget() {
        scenes.invalidateAll();
        text.forget();
    }

    /** How many scenes are kept. */
    long count() {
        scenes.cleanUp();
        return scenes.estimatedSize();
    }

    /** What is kept, in estimated bytes. */
    long size() {
        scenes.cleanUp();
        return scenes.policy().eviction().orElseThrow().weightedSize().orElseThrow() + text.size();
    }
}
