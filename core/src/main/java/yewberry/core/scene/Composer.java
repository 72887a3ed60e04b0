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

    /**
     * A page where it stands.
     *
     * @param beside the size of the page beside it, if there is one
     */
    private record Wanted(Page page, Side side, Optional<PageSize> beside) {
        static Wanted of(Publication publication, int index) {
            Optional<PageSize> beside =
                    Spreads.beside(publication, index)
                            .map(other -> publication.setup(publication.pages().get(other)).trim());
            return new Wanted(
                    publication.pages().get(index), publication.setup().sideOf(index), beside);
        }
    }

    /** A scene and exactly what it was made from. */
    private record Composed(
            Wanted wanted,
            List<Parent> parents,
            Setup setup,
            Ingredients ingredients,
            PageScene scene) {
        boolean holds(Publication in, Wanted now) {
            return wanted.page() == now.page()
                    && wanted.side() == now.side()
                    && wanted.beside().equals(now.beside())
                    && setup == in.setup()
                    && isSame(parents, in.chain(now.page().parent()))
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
        Wanted wanted = Wanted.of(publication, index);
        Deque<Composed> variants =
                memo.computeIfAbsent(wanted.page().id(), id -> new ArrayDeque<>(VARIANTS));
        synchronized (variants) {
            Optional<PageScene> known = known(variants, publication, wanted);
            if (known.isPresent()) {
                return known.get();
            }
            Composed fresh = fresh(publication, wanted);
            if (variants.size() == VARIANTS) {
                variants.removeLast();
            }
            variants.addFirst(fresh);
            return fresh.scene();
        }
    }

    /** The scene of the page at this position, if it was composed before. */
    public Optional<PageScene> known(Publication publication, int index) {
        Wanted wanted = Wanted.of(publication, index);
        Deque<Composed> variants = memo.get(wanted.page().id());
        if (variants == null) {
            return Optional.empty();
        }
        synchronized (variants) {
            return known(variants, publication, wanted);
        }
    }

    private static Optional<PageScene> known(
            Deque<Composed> variants, Publication publication, Wanted wanted) {
        return variants.stream()
                .filter(each -> each.holds(publication, wanted))
                .findFirst()
                .map(Composed::scene);
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

    private Composed fresh(Publication publication, Wanted wanted) {
        Ingredients ingredients = new Ingredients(publication);
        List<Parent> parents = publication.chain(wanted.page().parent());
        Setup setup = publication.setup();
        Optional<PageBoxes> beside =
                wanted.beside()
                        .map(size -> PageBoxes.of(setup.withTrim(size), wanted.side().opposite()));
        PageScene scene =
                new PageComposition(
                                publication,
                                condition,
                                pictures,
                                PageBoxes.of(publication.setup(wanted.page()), wanted.side()),
                                beside,
                                ingredients,
                                setter)
                        .compose(wanted.page(), parents);
        return new Composed(wanted, parents, setup, ingredients.sealed(), scene);
    }
}
