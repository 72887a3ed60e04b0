package yewberry.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.color.Swatch;
import yewberry.core.edit.Change.Placed;
import yewberry.core.edit.Element.*;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.TextFrame;

/** Puts the elements of a patch into a publication, each at its place. */
final class Restoring {
    private final List<Change> changes;
    private final Map<Owner, List<Change>> backgrounds;
    private final Map<Owner, List<Change>> frames;

    Restoring(List<Change> changes) {
        this.changes = changes;
        this.backgrounds =
                of(OneBackground.class).stream()
                        .collect(
                                Collectors.groupingBy(
                                        change -> ((OneBackground) change.element()).owner()));
        this.frames =
                of(OneFrame.class).stream()
                        .collect(
                                Collectors.groupingBy(
                                        change -> ((OneFrame) change.element()).owner()));
    }

    Publication on(Publication publication) {
        Publication result = publication;
        for (Change change : of(WholePublication.class)) {
            WholePublication whole = (WholePublication) change.element();
            result = result.withName(whole.name()).withSetup(whole.setup());
        }
        List<Swatch> swatches =
                merged(
                        result.swatches(),
                        Swatch::id,
                        of(OneSwatch.class),
                        (OneSwatch element, Optional<Swatch> was) -> element.swatch());
        List<Look> looks =
                merged(
                        result.looks(),
                        Look::id,
                        of(OneLook.class),
                        (OneLook element, Optional<Look> was) -> element.look());
        List<Asset> assets =
                merged(
                        result.assets(),
                        Asset::id,
                        of(OneAsset.class),
                        (OneAsset element, Optional<Asset> was) -> element.asset());
        List<Recipe> recipes =
                merged(result.recipes(), Recipe::id, of(OneRecipe.class), Restoring::recipe);
        List<Parent> parents =
                merged(result.parents(), Parent::id, of(OneParent.class), Restoring::parent);
        List<Page> pages = merged(result.pages(), Page::id, of(OnePage.class), Restoring::page);
        return result.withSwatches(swatches)
                .withLooks(looks)
                .withAssets(assets)
                .withRecipes(recipes.stream().map(this::filled).toList())
                .withParents(parents.stream().map(this::filled).toList())
                .withPages(pages.stream().map(this::filled).toList());
    }

    private static Recipe recipe(OneRecipe element, Optional<Recipe> was) {
        return new Recipe(
                element.id(),
                element.name(),
                element.trim(),
                was.map(Recipe::layer).orElse(Layer.EMPTY));
    }

    private Recipe filled(Recipe recipe) {
        Layer layer = filled(new Owner.OnRecipe(recipe.id()), recipe.layer());
        return layer == recipe.layer() ? recipe : recipe.withLayer(layer);
    }

    private static Parent parent(OneParent element, Optional<Parent> was) {
        return new Parent(
                element.id(),
                element.name(),
                element.base(),
                was.map(Parent::layer).orElse(Layer.EMPTY));
    }

    private static Page page(OnePage element, Optional<Page> was) {
        return new Page(
                element.id(),
                element.parent(),
                element.parentShown(),
                element.part(),
                was.map(Page::layer).orElse(Layer.EMPTY));
    }

    private Parent filled(Parent parent) {
        Layer layer = filled(new Owner.OnParent(parent.id()), parent.layer());
        return layer == parent.layer() ? parent : parent.withLayer(layer);
    }

    private Page filled(Page page) {
        Layer layer = filled(new Owner.OnPage(page.id()), page.layer());
        return layer == page.layer() ? page : page.withLayer(layer);
    }

    private Layer filled(Owner owner, Layer layer) {
        if (!backgrounds.containsKey(owner) && !frames.containsKey(owner)) {
            return layer;
        }
        return new Layer(
                merged(
                        layer.backgrounds(),
                        Background::id,
                        backgrounds.getOrDefault(owner, List.of()),
                        (OneBackground element, Optional<Background> was) -> element.background()),
                merged(
                        layer.frames(),
                        TextFrame::id,
                        frames.getOrDefault(owner, List.of()),
                        (OneFrame element, Optional<TextFrame> was) -> element.frame()));
    }

    private List<Change> of(Class<? extends Element> kind) {
        return changes.stream().filter(change -> kind.isInstance(change.element())).toList();
    }

    private interface Rebuild<E extends Element, T> {
        T from(E element, Optional<T> was);
    }

    /**
     * The list without what is removed or moved, with what changed, and then with what comes in.
     */
    private static <E extends Element, T> List<T> merged(
            List<T> list, Function<T, UUID> id, List<Change> changes, Rebuild<E, T> rebuild) {
        if (changes.isEmpty()) {
            return list;
        }
        Map<UUID, T> known = new HashMap<>();
        list.forEach(each -> known.put(id.apply(each), each));
        Map<UUID, Change> byId = new HashMap<>();
        changes.forEach(change -> byId.put(change.id(), change));
        List<T> result = new ArrayList<>();
        for (T each : list) {
            Change change = byId.get(id.apply(each));
            if (change == null) {
                result.add(each);
            } else if (!change.placed()) {
                result.add(rebuilt(change, known, rebuild));
            }
        }
        changes.stream()
                .filter(change -> change.placed() && change.after().isPresent())
                .sorted(Comparator.comparingInt(change -> change.after().orElseThrow().index()))
                .forEach(change ->
                        result.add(
                                positionFor(change.after().orElseThrow(), result, id),
                                rebuilt(change, known, rebuild)));
        return result;
    }

    @SuppressWarnings("unchecked") // the caller hands over only changes of E
    private static <E extends Element, T> T rebuilt(
            Change change, Map<UUID, T> known, Rebuild<E, T> rebuild) {
        return rebuild.from((E) change.element(), Optional.ofNullable(known.get(change.id())));
    }

    private static <T> int positionFor(Placed placed, List<T> list, Function<T, UUID> id) {
        if (placed.predecessor().isEmpty()) {
            return 0;
        }
        for (int i = 0; i < list.size(); i++) {
            if (id.apply(list.get(i)).equals(placed.predecessor().get())) {
                return i + 1;
            }
        }
        return Math.min(placed.index(), list.size());
    }
}
