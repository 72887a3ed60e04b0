package yewberry.core.publication;

import java.util.ArrayList;
import java.util.LinkedList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.color.Swatch;

/**
 * A publication: everything the designer decided. Immutable; an edit makes another one that shares
 * all that did not change.
 */
public record Publication(
        UUID id,
        String name,
        Setup setup,
        List<Swatch> swatches,
        List<Look> looks,
        List<Asset> assets,
        List<Recipe> recipes,
        List<Parent> parents,
        List<Page> pages) {
    public Publication {
        name = Names.checked("publication", name);
        swatches = List.copyOf(swatches);
        looks = List.copyOf(looks);
        assets = List.copyOf(assets);
        recipes = List.copyOf(recipes);
        parents = List.copyOf(parents);
        pages = List.copyOf(pages);
    }

    /** One without pictures and recipes. */
    public Publication(
            UUID id,
            String name,
            Setup setup,
            List<Swatch> swatches,
            List<Look> looks,
            List<Parent> parents,
            List<Page> pages) {
        this(id, name, setup, swatches, looks, List.of(), List.of(), parents, pages);
    }

    public Publication withName(String changed) {
        return new Publication(
                id, changed, setup, swatches, looks, assets, recipes, parents, pages);
    }

    public Publication withSetup(Setup changed) {
        return new Publication(id, name, changed, swatches, looks, assets, recipes, parents, pages);
    }

    public Publication withSwatches(List<Swatch> changed) {
        return new Publication(id, name, setup, changed, looks, assets, recipes, parents, pages);
    }

    public Publication withLooks(List<Look> changed) {
        return new Publication(id, name, setup, swatches, changed, assets, recipes, parents, pages);
    }

    public Publication withAssets(List<Asset> changed) {
        return new Publication(id, name, setup, swatches, looks, changed, recipes, parents, pages);
    }

    public Publication withRecipes(List<Recipe> changed) {
        return new Publication(id, name, setup, swatches, looks, assets, changed, parents, pages);
    }

    public Publication withParents(List<Parent> changed) {
        return new Publication(id, name, setup, swatches, looks, assets, recipes, changed, pages);
    }

    public Publication withPages(List<Page> changed) {
        return new Publication(id, name, setup, swatches, looks, assets, recipes, parents, changed);
    }

    public Optional<Swatch> findSwatch(UUID swatch) {
        return swatches.stream().filter(each -> each.id().equals(swatch)).findFirst();
    }

    public Optional<Look> findLook(UUID look) {
        return looks.stream().filter(each -> each.id().equals(look)).findFirst();
    }

    public Optional<Asset> findAsset(UUID asset) {
        return assets.stream().filter(each -> each.id().equals(asset)).findFirst();
    }

    public Optional<Parent> findParent(UUID parent) {
        return parents.stream().filter(each -> each.id().equals(parent)).findFirst();
    }

    /** The swatch of this id, or a {@link Refused} that a person understands. */
    public Swatch swatch(UUID swatch) {
        return findSwatch(swatch).orElseThrow(() -> gone("swatch"));
    }

    public Look look(UUID look) {
        return findLook(look).orElseThrow(() -> gone("look"));
    }

    public Asset asset(UUID asset) {
        return findAsset(asset).orElseThrow(() -> gone("picture"));
    }

    public Recipe recipe(UUID recipe) {
        return recipes.stream()
                .filter(each -> each.id().equals(recipe))
                .findFirst()
                .orElseThrow(() -> gone("recipe"));
    }

    public Parent parent(UUID parent) {
        return findParent(parent).orElseThrow(() -> gone("parent"));
    }

    public Page page(UUID page) {
        return pages.get(indexOf(page));
    }

    /** Position of a page from 0; its number is one more. */
    public int indexOf(UUID page) {
        return IntStream.range(0, pages.size())
                .filter(index -> pages.get(index).id().equals(page))
                .findFirst()
                .orElseThrow(() -> gone("page"));
    }

    public Layer layer(Owner owner) {
        return switch (owner) {
            case Owner.OnPage(UUID page) -> page(page).layer();
            case Owner.OnParent(UUID parent) -> parent(parent).layer();
            case Owner.OnRecipe(UUID recipe) -> recipe(recipe).layer();
        };
    }

    /**
     * The parents of a page from the lowest up: each is based on the one before it.
     *
     * @param parent the page's own
     */
    public List<Parent> chain(Optional<UUID> parent) {
        LinkedList<Parent> chain = new LinkedList<>();
        Optional<UUID> next = parent;
        while (next.isPresent()) {
            Parent found = parent(next.get());
            if (chain.contains(found)) {
                throw circle(found, chain);
            }
            chain.addFirst(found);
            next = found.base();
        }
        return List.copyOf(chain);
    }

    private static Refused circle(Parent closes, List<Parent> chain) {
        String names =
                Stream.concat(chain.stream(), Stream.of(closes))
                        .map(each -> "“%s”".formatted(each.name()))
                        .collect(Collectors.joining(" → "));
        return new Refused(
                "A parent cannot be based on itself: %s. Choose another one.".formatted(names));
    }

    /** How many pages show what lies on this parent, their own or one theirs is based on. */
    public int pagesWith(UUID parent) {
        return (int)
                pages.stream()
                        .filter(page ->
                                chain(page.parent()).stream()
                                        .anyMatch(each -> each.id().equals(parent)))
                        .count();
    }

    /** Everything that backgrounds lie on: parents, recipes and pages. */
    public List<Owner> owners() {
        List<Owner> owners = new ArrayList<>();
        parents.forEach(parent -> owners.add(new Owner.OnParent(parent.id())));
        recipes.forEach(recipe -> owners.add(new Owner.OnRecipe(recipe.id())));
        pages.forEach(page -> owners.add(new Owner.OnPage(page.id())));
        return owners;
    }

    /** What lies on parents, on recipes and on pages. */
    public Stream<Layer> layers() {
        return Stream.of(
                        parents.stream().map(Parent::layer),
                        recipes.stream().map(Recipe::layer),
                        pages.stream().map(Page::layer))
                .flatMap(layers -> layers);
    }

    private static Refused gone(String what) {
        return new Refused(
                "There is no such %s in this publication any more; it may have been removed."
                                .formatted(what)
                        + " Reload to see what is there.");
    }
}
