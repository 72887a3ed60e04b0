package yewberry.core.flow;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.Segment;
import yewberry.core.text.SetFrame;

/**
 * What frames were filled with last, and their text, as much as a number of bytes holds.
 * Thread-safe.
 */
public final class FlowMemory {
    /** The stored state and a preview take turns; both are kept. */
    private static final int VARIANTS = 2;

    /** Bytes of a glyph with its place and its characters, as measured. */
    private static final int GLYPH = 96;

    /** Bytes of a stretch of a line by itself. */
    private static final int SEGMENT = 250;

    /** Bytes of a frame's text by itself. */
    private static final int FRAME = 1_000;

    /** By the very frames, and by what the page decides of how text runs through them. */
    private final Cache<TextFrame, Map<Flow.OnPage, List<FilledFrame>>> filled =
            Caffeine.newBuilder().weakKeys().executor(Runnable::run).build();

    private final Cache<FilledFrame, SetFrame> texts;

    /** Of one frame on so many pages; then it is found out again. */
    private static final int MOST_PAGES = 20_000;

    /**
     * @param bytes of text beyond which the least used is forgotten
     */
    public FlowMemory(long bytes) {
        this.texts =
                Caffeine.newBuilder()
                        .weakKeys()
                        .maximumWeight(bytes)
                        .weigher((FilledFrame frame, SetFrame text) -> weight(text.segments()))
                        .executor(Runnable::run)
                        .build();
    }

    private static int weight(List<Segment> text) {
        int glyphs = text.stream().mapToInt(each -> each.glyphs().size()).sum();
        return FRAME + SEGMENT * text.size() + GLYPH * glyphs;
    }

    Optional<FilledFrame> known(TextFrame frame, Flow.OnPage page, Predicate<FilledFrame> holds) {
        Map<Flow.OnPage, List<FilledFrame>> pages = filled.getIfPresent(frame);
        return pages == null
                ? Optional.empty()
                : pages.getOrDefault(page, List.of()).stream().filter(holds).findFirst();
    }

    void keep(TextFrame frame, Flow.OnPage page, FilledFrame with, SetFrame text) {
        texts.put(with, text);
        Map<Flow.OnPage, List<FilledFrame>> pages =
                filled.get(frame, each -> new ConcurrentHashMap<>());
        if (pages.size() > MOST_PAGES) {
            pages.clear();
        }
        pages.merge(
                page,
                List.of(with),
                (before, now) -> {
                    List<FilledFrame> both = new ArrayList<>(now);
                    both.addAll(before.subList(0, Math.min(before.size(), VARIANTS - 1)));
                    return List.copyOf(both);
                });
    }

    SetFrame text(FilledFrame frame) {
        return texts.get(frame, FilledFrame::set);
    }

    /** Lets go of all text; it is set again when it is asked for. */
    public void forget() {
        texts.invalidateAll();
    }

    /** What is kept, in estimated bytes. */
    public long size() {
        texts.cleanUp();
        return texts.policy().eviction().orElseThrow().weightedSize().orElseThrow();
    }
}
