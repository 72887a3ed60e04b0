package yewberry.core.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import yewberry.core.color.Viewing;
import yewberry.core.scene.PageScene;

/**
 * Remembers what was found on pages, for as long as their scenes are the same: after an edit only
 * the pages that it changed are checked. Thread-safe.
 */
public final class CheckedPages {
    /** As many as two publications of the largest kind have. */
    private static final int MOST = 20_000;

    private final Cache<PageScene, Map<Optional<Viewing>, List<Finding>>> found =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).executor(Runnable::run).build();

    /**
     * What was found on a page before.
     *
     * @param viewing that text was judged under; nothing for the verdict
     */
    public Optional<List<Finding>> known(PageScene scene, Optional<Viewing> viewing) {
        return Optional.ofNullable(found.getIfPresent(scene))
                .map(byViewing -> byViewing.get(viewing));
    }

    /** What is found on a page, by checking it if that was not done yet. */
    public List<Finding> of(
            PageScene scene, Optional<Viewing> viewing, Supplier<List<Finding>> check) {
        Optional<List<Finding>> known = known(scene, viewing);
        if (known.isPresent()) {
            return known.get();
        }
        List<Finding> fresh = check.get();
        found.get(scene, each -> new ConcurrentHashMap<>()).put(viewing, fresh);
        return fresh;
    }
}
