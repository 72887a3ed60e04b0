package yewberry.core.edit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.edit.RecipeEdit.ApplyRecipe;
import yewberry.core.edit.RecipeEdit.RemoveRecipe;
import yewberry.core.edit.RecipeEdit.SaveRecipe;
import yewberry.core.publication.Adapting;
import yewberry.core.publication.Background;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;

/**
 * Recipes: what they put on pages and parents knows which of their backgrounds it is a use of, and
 * follows it, but for what was set anew where it is.
 */
final class Recipes {
    private Recipes() {}

    static Publication apply(Publication on, RecipeEdit edit) {
        return switch (edit) {
            case SaveRecipe save -> save(on, save);
            case RecipeEdit.AddRecipe(Recipe recipe) -> on.withRecipes(on.recipes().plus(recipe));
            case RecipeEdit.RenameRecipe(UUID id, String name) ->
                    on.withRecipes(
                            on.recipes()
                                    .changed(on.recipe(id).id(), recipe -> recipe.withName(name)));
            case ApplyRecipe apply -> put(on, apply);
            case RecipeEdit.TakeOffRecipe(UUID recipe, List<Owner> owners) ->
                    takeOff(on, recipe, owners);
            case RemoveRecipe remove -> remove(on, remove);
        };
    }

    private static Publication save(Publication on, SaveRecipe save) {
        if (save.from() instanceof Owner.OnRecipe) {
            throw new Refused("A recipe is saved from a page or a parent.");
        }
        List<Background> backgrounds =
                on.layer(save.from()).backgrounds().stream()
                        .map(each ->
                                copy(each, derived(save.recipe(), each.id()), Optional.empty()))
                        .toList();
        if (backgrounds.isEmpty()) {
            throw new Refused(
                    "There is no background to save here; choose a page or parent that has one of its own.");
        }
        Recipe recipe =
                new Recipe(
                        save.recipe(),
                        save.name(),
                        on.trim(save.from()),
                        new Layer(backgrounds, List.of()));
        return on.withRecipes(on.recipes().plus(recipe));
    }

    private static Publication put(Publication on, ApplyRecipe apply) {
        Recipe recipe = on.recipe(apply.recipe());
        if (apply.owners().isEmpty()) {
            throw new Refused("Choose at least one page or parent to put the recipe on.");
        }
        Map<Owner, UnaryOperator<Layer>> layers = new LinkedHashMap<>();
        for (Owner owner : apply.owners()) {
            if (owner instanceof Owner.OnRecipe) {
                throw new Refused("A recipe is put on pages and parents, not on another recipe.");
            }
            List<Background> uses = new ArrayList<>();
            for (Background part : recipe.layer().backgrounds()) {
                use(on, recipe, part, owner).map(use -> set(use, apply)).ifPresent(uses::add);
            }
            layers.put(
                    owner,
                    layer -> {
                        List<Background> stack = without(layer, recipe.id());
                        stack.addAll(uses);
                        return layer.withBackgrounds(stack);
                    });
        }
        return on.withLayers(layers);
    }

    /**
     * Applies the overrides that this use of the recipe carries; each replaces the recipe's value.
     */
    private static Background set(Background use, ApplyRecipe apply) {
        Background set = apply.opacity().map(use::withOpacity).orElse(use);
        Map<UUID, UUID> others = new HashMap<>();
        apply.colors().forEach(each -> others.put(each.swatch(), each.replacement()));
        return set.withFill(set.fill().withSwatches(is -> others.getOrDefault(is, is)));
    }

    /** Nothing where a background of one hand meets a page of the other. */
    private static Optional<Background> use(
            Publication on, Recipe recipe, Background part, Owner owner) {
        Background fitted = Adapting.fit(part, recipe.trim(), on.trim(owner));
        Background use =
                copy(
                        fitted,
                        derived(recipe.id(), owner.id(), part.id()),
                        Optional.of(new Background.RecipeUse(recipe.id(), part.id())));
        if (owner instanceof Owner.OnPage(UUID page)) {
            Side side = on.setup().sideOf(on.indexOf(page));
            return part.sides().include(side)
                    ? Optional.of(use.withSides(Sides.BOTH))
                    : Optional.empty();
        }
        return Optional.of(use);
    }

    private static Background copy(
            Background background, UUID id, Optional<Background.RecipeUse> madeBy) {
        return background.withId(id).withMadeBy(madeBy);
    }

    /** Derived, so that an edit stays a pure function and does not add twice. */
    private static UUID derived(UUID... from) {
        return UUID.nameUUIDFromBytes(List.of(from).toString().getBytes(StandardCharsets.UTF_8));
    }

    private static List<Background> without(Layer layer, UUID recipe) {
        return new ArrayList<>(
                layer.backgrounds().stream().filter(each -> !isOf(each, recipe)).toList());
    }

    private static boolean isOf(Background background, UUID recipe) {
        return background.madeBy().filter(made -> made.recipe().equals(recipe)).isPresent();
    }

    private static List<Owner> users(Publication on, UUID recipe) {
        return on.carriers()
                .filter(carrier ->
                        carrier.layer().backgrounds().stream().anyMatch(each -> isOf(each, recipe)))
                .map(Carrier::asOwner)
                .toList();
    }

    private static Publication takeOff(Publication on, UUID recipe, List<Owner> owners) {
        on.recipe(recipe);
        Map<Owner, UnaryOperator<Layer>> layers = new LinkedHashMap<>();
        for (Owner owner : owners.isEmpty() ? users(on, recipe) : owners) {
            layers.put(owner, layer -> layer.withBackgrounds(without(layer, recipe)));
        }
        return on.withLayers(layers);
    }

    private static Publication remove(Publication on, RemoveRecipe remove) {
        Recipe gone = on.recipe(remove.recipe());
        Publication result = on;
        if (remove.takeOff()) {
            result = takeOff(on, gone.id(), List.of());
        } else {
            UnaryOperator<Background> free =
                    each -> isOf(each, gone.id()) ? each.withMadeBy(Optional.empty()) : each;
            Map<Owner, UnaryOperator<Layer>> layers = new LinkedHashMap<>();
            for (Owner owner : users(on, gone.id())) {
                layers.put(
                        owner,
                        layer ->
                                layer.withBackgrounds(
                                        layer.backgrounds().stream().map(free).toList()));
            }
            result = on.withLayers(layers);
        }
        return result.withRecipes(
                result.recipes().stream().filter(each -> !each.id().equals(gone.id())).toList());
    }

    /** Where a background of a recipe was added, changed, moved or removed, so are its uses. */
    static Publication followed(Publication before, Publication after, Owner changed) {
        if (!(changed instanceof Owner.OnRecipe(UUID id))) {
            return after;
        }
        Map<UUID, Background> old = new HashMap<>();
        before.recipe(id).layer().backgrounds().forEach(each -> old.put(each.id(), each));
        Recipe recipe = after.recipe(id);
        Map<Owner, UnaryOperator<Layer>> layers = new LinkedHashMap<>();
        for (Owner owner : users(before, id)) {
            layers.put(owner, layer -> followed(layer, recipe, old, after, owner));
        }
        return after.withLayers(layers);
    }

    private static Layer followed(
            Layer layer, Recipe recipe, Map<UUID, Background> old, Publication on, Owner owner) {
        Map<UUID, Background> fresh = new HashMap<>();
        for (Background part : recipe.layer().backgrounds()) {
            use(on, recipe, part, owner).ifPresent(use -> fresh.put(part.id(), use));
        }
        List<Background> stack = new ArrayList<>();
        int last = -1;
        for (Background each : layer.backgrounds()) {
            if (!isOf(each, recipe.id())) {
                stack.add(each);
                continue;
            }
            UUID part = each.madeBy().orElseThrow().background();
            if (fresh.containsKey(part)) {
                Background was = old.get(part);
                Optional<Background> made =
                        was == null ? Optional.empty() : use(on, recipe, was, owner);
                stack.add(merged(each, made, fresh.get(part)));
                last = stack.size() - 1;
            }
        }
        for (Background part : recipe.layer().backgrounds()) {
            if (!old.containsKey(part.id()) && fresh.containsKey(part.id())) {
                last = last < 0 ? stack.size() : last + 1;
                stack.add(last, fresh.get(part.id()));
            }
        }
        return layer.withBackgrounds(inOrder(stack, recipe));
    }

    /** The uses of a recipe stand in its order, in the places that they have among the others. */
    private static List<Background> inOrder(List<Background> stack, Recipe recipe) {
        List<UUID> order = recipe.layer().backgrounds().stream().map(Background::id).toList();
        Iterator<Background> uses =
                stack.stream()
                        .filter(each -> isOf(each, recipe.id()))
                        .sorted(
                                Comparator.comparingInt(each ->
                                        order.indexOf(each.madeBy().orElseThrow().background())))
                        .toList()
                        .iterator();
        return stack.stream().map(each -> isOf(each, recipe.id()) ? uses.next() : each).toList();
    }

    /** Each property follows, unless it was set anew where it is. */
    private static Background merged(Background is, Optional<Background> made, Background fresh) {
        if (made.isEmpty()) {
            return is;
        }
        Background was = made.get();
        return new Background(
                is.id(),
                pick(is, was, fresh, Background::sides),
                pick(is, was, fresh, Background::area),
                pick(is, was, fresh, Background::fill),
                pick(is, was, fresh, Background::opacity),
                pick(is, was, fresh, Background::blend),
                pick(is, was, fresh, Background::goesTo),
                is.madeBy(),
                pick(is, was, fresh, Background::over));
    }

    private static <T> T pick(
            Background is, Background was, Background fresh, Function<Background, T> property) {
        T now = property.apply(is);
        return now.equals(property.apply(was)) ? property.apply(fresh) : now;
    }
}
