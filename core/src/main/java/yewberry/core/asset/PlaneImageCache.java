package yewberry.core.asset;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

/**
 * Pictures as they were made last, as many as a number of bytes holds. Thread-safe.
 *
 * @param <K> what a picture is known by
 */
public final class PlaneImageCache<K> {
    private final Cache<K, PlaneImage> known;

    /** Of a part of all memory that there may be, such as a sixteenth. */
    public static <K> PlaneImageCache<K> ofMemory(int part) {
        return new PlaneImageCache<>(Runtime.getRuntime().maxMemory() / part);
    }

    /**
     * @param bytes of samples and cover, beyond which the least used are forgotten
     */
    public PlaneImageCache(long bytes) {
        this.known =
                Caffeine.newBuilder()
                        .maximumWeight(bytes)
                        .weigher((Object key, PlaneImage image) ->
                                (int) Math.min(Integer.MAX_VALUE, image.size()))
                        .executor(Runnable::run)
                        .build();
    }

    /** What is kept under the key, or null. */
    public PlaneImage get(K key) {
        return known.getIfPresent(key);
    }

    public void put(K key, PlaneImage image) {
        known.put(key, image);
    }
}
