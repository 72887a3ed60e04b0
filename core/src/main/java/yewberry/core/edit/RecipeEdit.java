package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Recipe;

/** A change of a recipe, or of what it put on pages and parents. */
public sealed interface RecipeEdit extends Edit {
    /** Saves the backgrounds of a page or a parent under a name. */
    record SaveRecipe(UUID recipe, String name, Owner from) implements RecipeEdit {}

    /** Brings a recipe along from elsewhere. */
    record AddRecipe(Recipe recipe) implements RecipeEdit {}

    record RenameRecipe(UUID recipe, String name) implements RecipeEdit {}

    /**
     * Puts the backgrounds of a recipe on pages and parents, fitted to their size; where it is
     * there already, it is put there anew.
     *
     * @param opacity what all of them get, in percent; nothing means that each has its own
     * @param colors swatches that take the place of others
     */
    record ApplyRecipe(
            UUID recipe, List<Owner> owners, Optional<Double> opacity, List<Instead> colors)
            implements RecipeEdit {}

    /** One swatch in the place of another. */
    record Instead(UUID swatch, UUID replacement) {}

    /** Takes a recipe off pages and parents; on all of them where none are named. */
    record TakeOffRecipe(UUID recipe, List<Owner> owners) implements RecipeEdit {}

    /**
     * @param takeOff whether what it put on pages and parents goes, too; else it stays there and is
     *     no longer changed with anything
     */
    record RemoveRecipe(UUID recipe, boolean takeOff) implements RecipeEdit {}
}
