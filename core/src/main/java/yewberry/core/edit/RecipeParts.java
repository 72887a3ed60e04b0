package yewberry.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Swatch;

/**
 * A recipe with all that it needs, to be taken to another publication.
 *
 * @param swatches what its colours are, those that others derive from first
 * @param assets what is placed in it
 */
public record RecipeParts(Recipe recipe, List<Swatch> swatches, List<Asset> assets) {
    public RecipeParts {
        swatches = List.copyOf(swatches);
        assets = List.copyOf(assets);
    }

    /**
     * @throws Refused if there is no such recipe
     */
    public static RecipeParts of(Publication from, UUID id) {
        Recipe recipe = from.recipe(id);
        Set<Swatch> swatches = new LinkedHashSet<>();
        Set<Asset> assets = new LinkedHashSet<>();
        for (Background background : recipe.layer().backgrounds()) {
            background.fill().colors().forEach(use -> gather(from, use.swatch(), swatches));
            background.fill().madeFrom().map(from::asset).ifPresent(assets::add);
        }
        return new RecipeParts(recipe, List.copyOf(swatches), List.copyOf(assets));
    }

    private static void gather(Publication from, UUID id, Set<Swatch> swatches) {
        Swatch swatch = from.swatch(id);
        swatch.definition().bases().forEach(base -> gather(from, base, swatches));
        swatches.add(swatch);
    }

    /**
     * The edit that adds it to a publication. A swatch that is there already, by name and values,
     * is used; any other comes along, under a name that is still free.
     *
     * @throws Refused if the recipe needs a swatch or a picture that does not come with it
     */
    public Edit into(Publication target, Supplier<UUID> ids) {
        List<Edit> edits = new ArrayList<>();
        Map<UUID, UUID> known = new HashMap<>();
        Set<String> names =
                target.swatches().stream().map(Swatch::name).collect(Collectors.toSet());
        for (Swatch swatch : swatches) {
            Definition definition = swatch.definition();
            for (UUID base : definition.bases()) {
                definition = definition.with(base, found(known, base));
            }
            Definition wanted = definition;
            Optional<Swatch> there =
                    target.swatches().stream()
                            .filter(each -> each.name().equals(swatch.name()))
                            .filter(each -> each.definition().equals(wanted))
                            .findFirst();
            if (there.isPresent()) {
                known.put(swatch.id(), there.get().id());
            } else {
                Swatch fresh = new Swatch(ids.get(), Names.free(swatch.name(), names), wanted);
                names.add(fresh.name());
                known.put(swatch.id(), fresh.id());
                edits.add(new SwatchEdit.AddSwatch(fresh));
            }
        }
        for (Asset asset : assets) {
            Optional<Asset> there =
                    target.assets().stream()
                            .filter(each -> each.sha256().equals(asset.sha256()))
                            .findFirst();
            UUID id = there.map(Asset::id).orElseGet(ids);
            known.put(asset.id(), id);
            if (there.isEmpty()) {
                edits.add(
                        new AssetEdit.AddAsset(
                                new Asset(id, asset.name(), asset.sha256(), asset.content())));
            }
        }
        List<Background> backgrounds =
                recipe.layer().backgrounds().stream()
                        .map(each -> background(each, known, ids.get()))
                        .toList();
        edits.add(
                new RecipeEdit.AddRecipe(
                        new Recipe(
                                ids.get(),
                                recipe.name(),
                                recipe.trim(),
                                new Layer(backgrounds, List.of()))));
        return new Edit.Several(edits);
    }

    private static UUID found(Map<UUID, UUID> known, UUID id) {
        UUID there = known.get(id);
        if (there == null) {
            throw new Refused(
                    "This recipe needs a swatch or a picture that does not come with it; export it again from where it came from.");
        }
        return there;
    }

    private static Background background(Background from, Map<UUID, UUID> known, UUID id) {
        Fill colored = from.fill().withSwatches(swatch -> found(known, swatch));
        Fill placed = colored.withAsset(asset -> found(known, asset));
        return from.withId(id).withFill(placed).withMadeBy(Optional.empty());
    }
}
