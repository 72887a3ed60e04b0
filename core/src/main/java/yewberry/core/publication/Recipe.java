package yewberry.core.publication;

import java.util.List;
import java.util.UUID;
import yewberry.core.Names;
import yewberry.core.Refused;

/**
 * Backgrounds that are saved under a name, to be used again.
 *
 * @param trim the size of the pages they were made for
 * @param layer the backgrounds, from the lowest up
 * @throws Refused if there is text on the layer
 */
public record Recipe(UUID id, String name, PageSize trim, Layer layer) implements Carrier {
    public Recipe {
        name = Names.checked("recipe", name);
        if (!layer.frames().isEmpty()) {
            throw new Refused(
                    "A recipe holds backgrounds only; put the text on a page or a parent.");
        }
    }

    public Recipe withName(String changed) {
        return new Recipe(id, changed, trim, layer);
    }

    /** This very object where the layer is. */
    @Override
    public Recipe withLayer(Layer changed) {
        return changed == layer ? this : new Recipe(id, name, trim, changed);
    }

    @Override
    public Owner asOwner() {
        return new Owner.OnRecipe(id);
    }

    @Override
    public List<Reference> references() {
        return List.of();
    }

    @Override
    public Recipe withReference(UUID old, UUID replacement) {
        return this;
    }
}
