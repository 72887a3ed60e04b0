package yewberry.core.scene;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Weigher;
import java.util.Optional;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.SetText;

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
    private final Cache<TextFrame, FrameSetter.CachedText> texts;

    /**
     * @param bytes beyond which the least used are forgotten
     */
    public SceneMemory(long bytes) {
        this.scenes = byWeight(bytes - bytes / TEXT, (key, scene) -> weight(scene));
        this.texts = byWeight(bytes / TEXT, (frame, text) -> weight(text.text()));
    }

    /** That of all publications together: a sixth of the heap. */
    public static SceneMemory shared() {
        return SHARED;
    }

    /** By the very key, and for no longer than somebody else has it. */
    private static <K, V> Cache<K, V> byWeight(long bytes, Weigher<K, V> weigher) {
        return Caffeine.newBuilder()
                .weakKeys()
                .maximumWeight(bytes)
                .weigher(weigher)
                .executor(Runnable::run)
                .build();
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

    private static int weight(SetText text) {
        int glyphs = text.segments().stream().mapToInt(each -> each.glyphs().size()).sum();
        return OTHER + OTHER / 4 * text.segments().size() + GLYPH * glyphs;
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

    Optional<FrameSetter.CachedText> text(TextFrame frame) {
        return Optional.ofNullable(texts.getIfPresent(frame));
    }

    void keep(TextFrame frame, FrameSetter.CachedText text) {
        texts.put(frame, text);
    }

    /** Lets go of everything; it is made again when it is asked for. */
    void forget() {
        scenes.invalidateAll();
        texts.invalidateAll();
    }

    /** What is kept, in estimated bytes. */
    long size() {
        return size(scenes) + size(texts);
    }

    private static long size(Cache<?, ?> cache) {
        cache.cleanUp();
        return cache.policy().eviction().orElseThrow().weightedSize().orElseThrow();
    }
}
