package yewberry.core.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import yewberry.core.color.Viewing;
import yewberry.core.scene.SceneKey;

/**
 * Remembers what was found on pages, for as long as they are made from the same: after an edit only
 * the pages that it changed are checked. Thread-safe.
 */
public final class CheckedPages {
    /** The part of the heap that they may take. */
    private static final int PART = 8;

    /** Bytes of one finding, as measured, and of a page without any. */
    private static final int SIZE = 800;

    private final Cache<SceneKey, Map<Optional<Viewing>, Checked>> found =
            Caffeine.newBuilder()
                    .weakKeys()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / PART)
                    .weigher(CheckedPages::weight)
                    .executor(Runnable::run)
                    .build();

    private static int weight(SceneKey page, Map<Optional<Viewing>, Checked> byViewing) {
        return SIZE
                * (1 + byViewing.values().stream().mapToInt(each -> each.findings().size()).sum());
    }

    /**
     * What was found on a page before.
     *
     * @param viewing that text was judged under; nothing for the verdict
     */
    public Optional<Checked> known(SceneKey page, Optional<Viewing> viewing) {
        return Optional.ofNullable(found.getIfPresent(page))
                .map(byViewing -> byViewing.get(viewing));
    }

    /** What is found on a page, by checking it if that was not done yet. */
    public Checked of(SceneKey page, Optional<Viewing> viewing, Supplier<Checked> check) {
        Optional<Checked> known = known(page, viewing);
        if (known.isPresent()) {
            return known.get();
        }
        Checked fresh = check.get();
        found.asMap().merge(page, Map.of(viewing, fresh), CheckedPages::both);
        return fresh;
    }

    private static <K, V> Map<K, V> both(Map<K, V> some, Map<K, V> others) {
        Map<K, V> all = new HashMap<>(some);
        all.putAll(others);
        return Map.copyOf(all);
    }
}
