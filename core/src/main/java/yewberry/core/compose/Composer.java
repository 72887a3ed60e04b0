package yewberry.core.compose;

import java.util.AbstractList;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.RandomAccess;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import yewberry.core.Cancellation;
import yewberry.core.asset.Pictures;
import yewberry.core.color.PressCondition;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;
import yewberry.core.publication.Spreads;
import yewberry.core.publication.Story;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.SceneKey;
import yewberry.core.text.StoryPlace;

/**
 * Composes the pages of one publication under one press condition, and knows what it made them
 * from: a page gets another key only when something that it is made from is another object than
 * before. Scenes themselves are remembered as long as there is room. Thread-safe.
 */
public final class Composer {
    /** The stored state and what is tried out take turns; those met last are kept. */
    private static final int VARIANTS = 2;

    private final Map<UUID, Deque<Composed>> made = new ConcurrentHashMap<>();
    private final SceneMemory memory;
    private final Flows flows;
    private final PressCondition condition;
    private final Pictures pictures;

    /**
     * @param condition that mixes across colour spaces are worked out under
     * @param pictures where placed files come from
     */
    public Composer(PressCondition condition, Pictures pictures) {
        this(condition, pictures, SceneMemory.shared());
    }

    /**
     * @param memory that scenes are kept in
     */
    public Composer(PressCondition condition, Pictures pictures, SceneMemory memory) {
        this.condition = condition;
        this.pictures = pictures;
        this.memory = memory;
        this.flows = new Flows(memory.text());
    }

    /** One of the same pictures that remembers pages of its own. */
    public Composer another() {
        return new Composer(condition, pictures, memory);
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

    /** Exactly what a scene was made from; equal only if it is the same object. */
    private record Composed(
            SceneKey key,
            Wanted wanted,
            List<Parent> parents,
            Setup setup,
            Ingredients ingredients,
            List<PageComposition.Filled> filled) {
        boolean holds(Publication in, Wanted now, Flows flows) {
            return wanted.page() == now.page()
                    && wanted.side() == now.side()
                    && wanted.beside().equals(now.beside())
                    && setup == in.setup()
                    && isSame(parents, in.chain(now.page().parent()))
                    && ingredients.unchangedIn(in)
                    && filled.stream().allMatch(each -> each.holds(in, flows));
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
                made.computeIfAbsent(wanted.page().id(), id -> new ArrayDeque<>(VARIANTS));
        synchronized (variants) {
            Optional<Composed> known = known(variants, publication, wanted);
            return known.flatMap(memory::scene)
                    .orElseGet(() -> fresh(publication, wanted, known, variants));
        }
    }

    /**
     * Where each frame of a story begins in its text, and last where that ends or finds no more
     * room. How much a band holds, the first page that shows it decides.
     */
    public List<StoryPlace> places(UUID story, Publication in) {
        List<Story.Link> chain = in.story(story).chain();
        Optional<Integer> page =
                chain.stream()
                        .filter(link -> in.frame(link).band().isPresent())
                        .flatMap(link -> firstPage(link.owner(), in).stream())
                        .findFirst();
        if (page.isEmpty()) {
            return flows.places(story, in);
        }
        PageScene scene = compose(in, page.get());
        return scene.frames().stream()
                .filter(placed -> placed.story().equals(story))
                .findFirst()
                .map(placed ->
                        flows.places(
                                story,
                                in,
                                page.get(),
                                placed.frame(),
                                PageComposition.box(placed.where())))
                .orElseGet(() -> flows.places(story, in));
    }

    /** The position of the first page that shows what is on something. */
    private static Optional<Integer> firstPage(Owner owner, Publication in) {
        return switch (owner) {
            case Owner.OnPage(UUID page) -> {
                OptionalInt at = in.pages().position(page);
                yield at.isPresent() ? Optional.of(at.getAsInt()) : Optional.empty();
            }
            case Owner.OnParent(UUID parent) ->
                    IntStream.range(0, in.pages().size())
                            .filter(at ->
                                    in.pages().get(at).parentShown()
                                            && in.pages()
                                                    .get(at)
                                                    .parent()
                                                    .equals(Optional.of(parent)))
                            .boxed()
                            .findFirst();
            case Owner.OnRecipe recipe -> Optional.empty();
        };
    }

    /** How stories run through their frames. */
    public Flows flows() {
        return flows;
    }

    /** What stands for the scene of the page at this position, if it was composed before. */
    public Optional<SceneKey> known(Publication publication, int index) {
        Wanted wanted = Wanted.of(publication, index);
        Deque<Composed> variants = made.get(wanted.page().id());
        if (variants == null) {
            return Optional.empty();
        }
        synchronized (variants) {
            return known(variants, publication, wanted).map(Composed::key);
        }
    }

    /** The same; the page is composed if it was not yet. */
    public SceneKey key(Publication publication, int index) {
        return known(publication, index).orElseGet(() -> compose(publication, index).key());
    }

    private Optional<Composed> known(
            Deque<Composed> variants, Publication publication, Wanted wanted) {
        Optional<Composed> known =
                variants.stream()
                        .filter(each -> each.holds(publication, wanted, flows))
                        .findFirst();
        known.filter(each -> each != variants.getFirst())
                .ifPresent(each -> {
                    variants.remove(each);
                    variants.addFirst(each);
                });
        return known;
    }

    /**
     * All pages, in order; each is composed when it is asked for, and maybe again if it is again.
     */
    public List<PageScene> composeAll(Publication publication) {
        forgetRemoved(publication);
        return new AllScenes(publication);
    }

    private final class AllScenes extends AbstractList<PageScene> implements RandomAccess {
        private final Publication publication;

        AllScenes(Publication publication) {
            this.publication = publication;
        }

        @Override
        public PageScene get(int index) {
            return compose(publication, Objects.checkIndex(index, size()));
        }

        @Override
        public int size() {
            return publication.pages().size();
        }
    }

    private void forgetRemoved(Publication publication) {
        if (made.size() > 2 * publication.pages().size() + 16) {
            made.keySet().retainAll(publication.pages().stream().map(Page::id).toList());
        }
    }

    /**
     * @param known what it was made from before, if that is the same
     */
    private PageScene fresh(
            Publication publication,
            Wanted wanted,
            Optional<Composed> known,
            Deque<Composed> variants) {
        Ingredients ingredients = new Ingredients(publication);
        List<Parent> parents = publication.chain(wanted.page().parent());
        Setup setup = publication.setup();
        Optional<PageBoxes> beside =
                wanted.beside()
                        .map(size -> PageBoxes.of(setup.withTrim(size), wanted.side().opposite()));
        SceneKey key = known.map(Composed::key).orElseGet(SceneKey::new);
        PageComposition composition =
                new PageComposition(
                        publication,
                        condition,
                        pictures,
                        PageBoxes.of(publication.setup(wanted.page()), wanted.side()),
                        beside,
                        ingredients,
                        flows);
        PageScene scene =
                LegibleColors.settled(
                        composition.compose(key, wanted.page(), parents), setup, condition);
        Composed now =
                known.orElseGet(() ->
                        new Composed(
                                key,
                                wanted,
                                parents,
                                setup,
                                ingredients.sealed(),
                                composition.filled()));
        if (known.isEmpty()) {
            if (variants.size() == VARIANTS) {
                variants.removeLast();
            }
            variants.addFirst(now);
        }
        memory.keep(now, scene);
        return scene;
    }
}
