package yewberry.core.scene;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import yewberry.core.Cancellation;
import yewberry.core.asset.Pictures;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;

/**
 * Composes the pages of one publication under one press condition and remembers them: a page is
 * composed anew only when something that it is made from is another object than before.
 * Thread-safe.
 */
public final class Composer {
    /** The stored state and a preview take turns; both are kept. */
    private static final int VARIANTS = 2;

    private final Map<UUID, Deque<Composed>> memo = new ConcurrentHashMap<>();
    private final FrameSetter setter = new FrameSetter();
    private final PressCondition condition;
    private final Pictures pictures;

    /**
     * @param condition that mixes across colour spaces are worked out under
     * @param pictures where placed files come from
     */
    public Composer(PressCondition condition, Pictures pictures) {
        this.condition = condition;
        this.pictures = pictures;
    }

    /** For publications without pictures. */
    public Composer(PressCondition condition) {
        this(condition, Pictures.NONE);
    }

    /** A scene and exactly what it was made from. */
    private record Composed(
            Page page,
            List<Parent> parents,
            Setup setup,
            Side side,
            Optional<PageSize> beside,
            Ingredients ingredients,
            PageScene scene) {
        boolean holds(
                Publication in, Page wanted, Side wantedSide, Optional<PageSize> wantedBeside) {
            return page == wanted
                    && side == wantedSide
                    && beside.equals(wantedBeside)
                    && setup == in.setup()
                    && isSame(parents, in.chain(wanted.parent()))
                    && ingredients.unchangedIn(in);
        }
    }

    /** The very same objects, in the same order. */
    private static boolean isSame(List<Parent> some, List<Parent> others) {
        return some.size() == others.size()
                && IntStream.range(0, some.size()).allMatch(i -> some.get(i) == others.get(i));
    }

    /** The scene of the page at this position, from 0. */
    public PageScene compose(Publication publication, int index) {
        Cancellation.check();
        Page page = publication.pages().get(index);
        Side side = publication.setup().sideOf(index);
        Optional<PageSize> beside =
                Spreads.beside(publication, index)
                        .map(other -> publication.setup(publication.pages().get(other)).trim());
        Deque<Composed> variants =
                memo.computeIfAbsent(page.id(), id -> new ArrayDeque<>(VARIANTS));
        synchronized (variants) {
            for (Composed each : variants) {
                if (each.holds(publication, page, side, beside)) {
                    return each.scene();
                }
            }
            Composed fresh = fresh(publication, page, side, beside);
            if (variants.size() == VARIANTS) {
                variants.removeLast();
            }
            variants.addFirst(fresh);
            return fresh.scene();
        }
    }

    /** All pages, in order. */
    public List<PageScene> composeAll(Publication publication) {
        List<PageScene> scenes =
                IntStream.range(0, publication.pages().size())
                        .mapToObj(index -> compose(publication, index))
                        .toList();
        forgetRemoved(publication);
        return scenes;
    }

    private void forgetRemoved(Publication publication) {
        if (memo.size() > 2 * publication.pages().size() + 16) {
            memo.keySet().retainAll(publication.pages().stream().map(Page::id).toList());
        }
    }

    private Composed fresh(
            Publication publication, Page page, Side side, Optional<PageSize> beside) {
        Ingredients ingredients = new Ingredients(publication);
        List<Parent> parents = publication.chain(page.parent());
        PageScene scene =
                new PageComposition(
                                publication,
                                condition,
                                pictures,
                                PageBoxes.of(publication.setup(page), side),
                                beside.map(size ->
                                        PageBoxes.of(
                                                publication.setup().withTrim(size),
                                                side.opposite())),
                                ingredients,
                                setter)
                        .compose(page, parents);
        return new Composed(
                page, parents, publication.setup(), side, beside, ingredients.sealed(), scene);
    }
}
