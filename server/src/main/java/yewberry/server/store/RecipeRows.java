package yewberry.server.store;

import static yewberry.server.store.db.Tables.RECIPE;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Layer;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.server.store.db.tables.records.RecipeRecord;

/** Recipes as rows; their backgrounds have rows of their own. */
final class RecipeRows extends Rows<Recipe, RecipeRecord> {
    private final Columns columns;

    RecipeRows(Columns columns) {
        super(Recipe.class, RECIPE, RECIPE.PUBLICATION, RECIPE.ID, RECIPE.POSITION);
        this.columns = columns;
    }

    @Override
    List<Recipe> list(Publication in, Optional<Holder> owner) {
        return in.recipes();
    }

    @Override
    void fill(RecipeRecord row, Recipe recipe, Optional<Holder> owner) {
        row.setName(recipe.name());
        row.setTrim(columns.write(recipe.trim(), PageSize.class));
    }

    List<Recipe> read(DSLContext db, UUID in, Function<UUID, Layer> layers) {
        return fetch(db, in).stream()
                .map(row ->
                        new Recipe(
                                row.getId(),
                                row.getName(),
                                columns.read(row.getTrim(), PageSize.class),
                                layers.apply(row.getId())))
                .toList();
    }
}
