package yewberry.core.publication;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.Names;
import yewberry.core.Refused;

/**
 * A publication: everything the designer decided. Immutable; an edit makes another one that shares
 * all that did not change.
 */
public record Publication(
        UUID id,
        String name,
        Setup setup,
        Elements<Swatch> swatches,
        Elements<Look> looks,
        Elements<CharacterLook> characterLooks,
        Elements<Asset> assets,
        Elements<Recipe> recipes,
        Elements<Parent> parents,
        Elements<Page> pages,
        Elements<Story> stories,
        Elements<Exemption> exemptions) {
    public Publication {
        name = Names.checked("publication", name);
    }

    public Publication(
            UUID id,
            String name,
            Setup setup,
            List<Swatch> swatches,
            List<Look> looks,
            List<Asset> assets,
            List<Recipe> recipes,
            List<Parent> parents,
            List<Page> pages,
            List<Story> stories) {
        this(
                id,
                name,
                setup,
                Elements.of(swatches),
                Elements.of(looks),
                Elements.of(List.of()),
                Elements.of(assets),
                Elements.of(recipes),
                Elements.of(parents),
                Elements.of(pages),
                Elements.of(stories),
                Elements.of(List.of()));
    }

    /** One without pictures, recipes and text. */
    public Publication(
            UUID id,
            String name,
            Setup setup,
            List<Swatch> swatches,
            List<Look> looks,
            List<Parent> parents,
            List<Page> pages) {
        this(id, name, setup, swatches, looks, List.of(), List.of(), parents, pages, List.of());
    }

    public Publication withName(String changed) {
        return new Publication(
                id,
                changed,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withSetup(Setup changed) {
        return new Publication(
                id,
                name,
                changed,
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withSwatches(List<Swatch> changed) {
        return new Publication(
                id,
                name,
                setup,
                Elements.of(changed),
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withLooks(List<Look> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                Elements.of(changed),
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withCharacterLooks(List<CharacterLook> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                Elements.of(changed),
                assets,
                recipes,
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withAssets(List<Asset> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                Elements.of(changed),
                recipes,
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withRecipes(List<Recipe> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                Elements.of(changed),
                parents,
                pages,
                stories,
                exemptions);
    }

    public Publication withParents(List<Parent> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                Elements.of(changed),
                pages,
                stories,
                exemptions);
    }

    public Publication withPages(List<Page> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                Elements.of(changed),
                stories,
                exemptions);
    }

    public Publication withStories(Collection<Story> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                Elements.of(changed),
                exemptions);
    }

    public Publication withExemptions(List<Exemption> changed) {
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                stories,
                Elements.of(changed));
    }

    /** A run by its id, wherever it stands. */
    public Optional<Run> findRun(UUID run) {
        return stories.stream()
                .flatMap(story -> story.paragraphs().stream())
                .flatMap(paragraph -> paragraph.runs().stream())
                .filter(each -> each.id().equals(run))
                .findFirst();
    }

    public Optional<Swatch> findSwatch(UUID swatch) {
        return swatches.find(swatch);
    }

    public Optional<Look> findLook(UUID look) {
        return looks.find(look);
    }

    public Optional<Asset> findAsset(UUID asset) {
        return assets.find(asset);
    }

    public Optional<Parent> findParent(UUID parent) {
        return parents.find(parent);
    }

    /** The swatch of this id, or a {@link Refused} that a person understands. */
    public Swatch swatch(UUID swatch) {
        return findSwatch(swatch).orElseThrow(() -> gone("swatch"));
    }

    public Look look(UUID look) {
        return findLook(look).orElseThrow(() -> gone("look"));
    }

    public CharacterLook characterLook(UUID look) {
        return characterLooks.find(look).orElseThrow(() -> gone("character look"));
    }

    public Asset asset(UUID asset) {
        return findAsset(asset).orElseThrow(() -> gone("picture"));
    }

    public Recipe recipe(UUID recipe) {
        return recipes.find(recipe).orElseThrow(() -> gone("recipe"));
    }

    public Parent parent(UUID parent) {
        return findParent(parent).orElseThrow(() -> gone("parent"));
    }

    /** Whether what a link leads to is there. */
    public boolean holds(LinkTo link) {
        return switch (link) {
            case LinkTo.Address address -> true;
            case LinkTo.ToPage(UUID page) -> pages.holds(page);
            case LinkTo.ToParagraph(UUID story, UUID paragraph) ->
                    findStory(story).filter(each -> each.paragraphs().holds(paragraph)).isPresent();
        };
    }

    public Optional<Story> findStory(UUID story) {
        return stories.find(story);
    }

    public Story story(UUID story) {
        return findStory(story).orElseThrow(() -> gone("text"));
    }

    public Page page(UUID page) {
        return pages.get(indexOf(page));
    }

    /**
     * What holds on a page: the setup, with the size that the page has.
     *
     * @throws Refused if margins or bleed leave no room on it
     */
    public Setup setup(Page page) {
        return page.size().map(setup::withTrim).orElse(setup);
    }

    /**
     * What the pages measure that something lies on; those of a parent are as the publication's.
     */
    public PageSize trim(Owner owner) {
        return switch (owner) {
            case Owner.OnPage(UUID page) -> page(page).size().orElse(setup.trim());
            case Owner.OnParent parent -> setup.trim();
            case Owner.OnRecipe(UUID recipe) -> recipe(recipe).trim();
        };
    }

    /** Position of a page from 0; its number is one more. */
    public int indexOf(UUID page) {
        return pages.position(page).orElseThrow(() -> gone("page"));
    }

    public Layer layer(Owner owner) {
        return switch (owner) {
            case Owner.OnPage(UUID page) -> page(page).layer();
            case Owner.OnParent(UUID parent) -> parent(parent).layer();
            case Owner.OnRecipe(UUID recipe) -> recipe(recipe).layer();
        };
    }

    /**
     * @throws Refused if it is not there
     */
    public void require(Holder holder) {
        switch (holder) {
            case Owner owner -> layer(owner);
            case Holder.InStory(UUID story) -> story(story);
        }
    }

    /** A frame of a chain. */
    public TextFrame frame(Story.Link link) {
        return layer(link.owner()).textFrames().stream()
                .filter(each -> each.id().equals(link.frame()))
                .findFirst()
                .orElseThrow(() -> gone("frame"));
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

    /**
     * All that it is made of, but for what lies on pages, parents and recipes, and for paragraphs.
     */
    public Stream<Element> elements() {
        return Stream.of(
                        Stream.of(heading()),
                        swatches.stream(),
                        looks.stream(),
                        characterLooks.stream(),
                        assets.stream(),
                        stories.stream(),
                        exemptions.stream(),
                        carriers())
                .flatMap(elements -> elements);
    }

    public Heading heading() {
        return new Heading(id, name, setup);
    }

    /** Everything that backgrounds lie on: parents, recipes and pages. */
    public Stream<Carrier> carriers() {
        return Stream.of(parents.stream(), recipes.stream(), pages.stream())
                .flatMap(carriers -> carriers);
    }

    /** What lies on parents, on recipes and on pages. */
    public Stream<Layer> layers() {
        return carriers().map(Carrier::layer);
    }

    /** Whether there is what a reference needs. */
    public boolean holds(Reference reference) {
        return switch (reference.kind()) {
            case SWATCH -> swatches.holds(reference.id());
            case LOOK -> looks.holds(reference.id());
            case CHARACTER_LOOK -> characterLooks.holds(reference.id());
            case ASSET -> assets.holds(reference.id());
            case PARENT -> parents.holds(reference.id());
            case RECIPE -> recipes.holds(reference.id());
            case STORY -> stories.holds(reference.id());
        };
    }

    /** Everything that refers to one element refers to another; the rest stays the same object. */
    public Publication withReference(UUID old, UUID replacement) {
        return new Publication(
                id,
                name,
                setup,
                swatches.mapped(each -> each.withReference(old, replacement)),
                looks.mapped(each -> each.withReference(old, replacement)),
                characterLooks.mapped(each -> each.withReference(old, replacement)),
                assets.mapped(each -> each.withReference(old, replacement)),
                recipes.mapped(
                        each -> each.withLayer(each.layer().withReference(old, replacement))),
                parents.mapped(each ->
                        each.withReference(old, replacement)
                                .withLayer(each.layer().withReference(old, replacement))),
                pages.mapped(each ->
                        each.withReference(old, replacement)
                                .withLayer(each.layer().withReference(old, replacement))),
                stories.mapped(each -> each.withReference(old, replacement)),
                exemptions);
    }

    /**
     * With what lies on some pages, parents or recipes changed.
     *
     * @throws Refused if one of them is not there
     */
    public Publication withLayers(Map<Owner, UnaryOperator<Layer>> changes) {
        Map<UUID, UnaryOperator<Page>> onPages = new HashMap<>();
        Map<UUID, UnaryOperator<Parent>> onParents = new HashMap<>();
        Map<UUID, UnaryOperator<Recipe>> onRecipes = new HashMap<>();
        changes.forEach((owner, change) -> {
            switch (owner) {
                case Owner.OnPage(UUID page) -> {
                    page(page);
                    onPages.put(page, each -> each.withLayer(change.apply(each.layer())));
                }
                case Owner.OnParent(UUID parent) -> {
                    parent(parent);
                    onParents.put(parent, each -> each.withLayer(change.apply(each.layer())));
                }
                case Owner.OnRecipe(UUID recipe) -> {
                    recipe(recipe);
                    onRecipes.put(recipe, each -> each.withLayer(change.apply(each.layer())));
                }
            }
        });
        return new Publication(
                id,
                name,
                setup,
                swatches,
                looks,
                characterLooks,
                assets,
                onRecipes.isEmpty() ? recipes : recipes.changed(onRecipes),
                onParents.isEmpty() ? parents : parents.changed(onParents),
                onPages.isEmpty() ? pages : pages.changed(onPages),
                stories,
                exemptions);
    }

    /** That something is not there any more. */
    public static Refused gone(String what) {
        return new Refused(
                "There is no such %s in this publication any more; it may have been removed."
                                .formatted(what)
                        + " Reload to see what is there.");
    }
}
