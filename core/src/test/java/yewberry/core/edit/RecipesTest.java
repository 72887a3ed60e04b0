package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;

class RecipesTest {
    private static final UUID RECIPE = new UUID(90, 1);
    private static final UUID BAND = new UUID(90, 2);
    private static final UUID FRESH = new UUID(90, 3);

    private final Publication sample = Sample.publication();
    private final Owner first = new Owner.OnPage(sample.pages().get(0).id());
    private final Owner second = new Owner.OnPage(sample.pages().get(1).id());

    private static Publication after(Publication before, Edit... edits) {
        return Editing.edit(before, new Edit.Several(List.of(edits))).publication();
    }

    private static Background band(UUID id, double depth) {
        return new Background(
                id,
                Sides.BOTH,
                new Area.Band(Edge.TOP, Length.mm(depth)),
                new Fill.Solid(Tinted.full(Sample.SIGNAL.id())));
    }

    /** A recipe of one band, saved from the first page, on the second. */
    private Publication applied() {
        return after(
                sample,
                new BackgroundEdit.AddBackground(first, band(BAND, 10)),
                new RecipeEdit.SaveRecipe(RECIPE, "Dark hours", first),
                new RecipeEdit.ApplyRecipe(RECIPE, List.of(second), Optional.empty(), List.of()));
    }

    private static List<Background> made(Publication in, Owner owner) {
        return in.layer(owner).backgrounds().stream()
                .filter(each -> each.madeBy().isPresent())
                .toList();
    }

    private static Background part(Publication in) {
        return in.recipe(RECIPE).layer().backgrounds().getFirst();
    }

    @Test
    void what_is_saved_is_put_on_another_page() {
        assertThat(made(applied(), second))
                .singleElement()
                .satisfies(use -> {
                    assertThat(use.area()).isEqualTo(new Area.Band(Edge.TOP, Length.mm(10)));
                    assertThat(use.id()).isNotEqualTo(BAND);
                });
    }

    @Test
    void putting_it_there_again_does_not_put_it_twice() {
        Publication twice =
                after(
                        applied(),
                        new RecipeEdit.ApplyRecipe(
                                RECIPE, List.of(second), Optional.of(40.0), List.of()));
        assertThat(made(twice, second))
                .singleElement()
                .extracting(Background::opacity)
                .as("one final value, not 40 % of anything")
                .isEqualTo(40.0);
    }

    @Test
    void colours_can_be_others_where_it_is_put() {
        Publication other =
                after(
                        applied(),
                        new RecipeEdit.ApplyRecipe(
                                RECIPE,
                                List.of(second),
                                Optional.empty(),
                                List.of(
                                        new RecipeEdit.Instead(
                                                Sample.SIGNAL.id(), Sample.NIGHT.id()))));
        assertThat(made(other, second).getFirst().fill())
                .isEqualTo(new Fill.Solid(Tinted.full(Sample.NIGHT.id())));
    }

    @Test
    void two_colours_can_change_places() {
        Background veil = band(FRESH, 4).withFill(new Fill.Solid(Tinted.full(Sample.NIGHT.id())));
        Publication swapped =
                after(
                        applied(),
                        new BackgroundEdit.AddBackground(new Owner.OnRecipe(RECIPE), veil),
                        new RecipeEdit.ApplyRecipe(
                                RECIPE,
                                List.of(second),
                                Optional.empty(),
                                List.of(
                                        new RecipeEdit.Instead(
                                                Sample.SIGNAL.id(), Sample.NIGHT.id()),
                                        new RecipeEdit.Instead(
                                                Sample.NIGHT.id(), Sample.SIGNAL.id()))));
        assertThat(made(swapped, second))
                .extracting(Background::fill)
                .containsExactly(
                        new Fill.Solid(Tinted.full(Sample.NIGHT.id())),
                        new Fill.Solid(Tinted.full(Sample.SIGNAL.id())));
    }

    @Test
    void a_change_of_the_recipe_follows_everywhere() {
        Publication applied = applied();
        Publication changed =
                after(
                        applied,
                        new BackgroundEdit.ChangeBackground(
                                part(applied).withArea(new Area.Band(Edge.TOP, Length.mm(22)))));
        assertThat(made(changed, second).getFirst().area())
                .isEqualTo(new Area.Band(Edge.TOP, Length.mm(22)));
        assertThat(changed.layer(first).backgrounds().getLast().area())
                .as("what it was saved from is no use of it")
                .isEqualTo(new Area.Band(Edge.TOP, Length.mm(10)));
    }

    @Test
    void what_was_set_anew_where_it_is_stays() {
        Publication applied = applied();
        Background use = made(applied, second).getFirst();
        Publication changed =
                after(
                        applied,
                        new BackgroundEdit.ChangeBackground(use.withOpacity(30)),
                        new BackgroundEdit.ChangeBackground(
                                part(applied)
                                        .withOpacity(80)
                                        .withArea(new Area.Band(Edge.BOTTOM, Length.mm(10)))));
        Background now = made(changed, second).getFirst();
        assertThat(now.opacity()).isEqualTo(30);
        assertThat(now.area()).isEqualTo(new Area.Band(Edge.BOTTOM, Length.mm(10)));
    }

    @Test
    void what_comes_to_the_recipe_or_goes_from_it_does_so_everywhere() {
        Publication applied = applied();
        Publication two =
                after(
                        applied,
                        new BackgroundEdit.AddBackground(
                                new Owner.OnRecipe(RECIPE), band(FRESH, 5)));
        assertThat(made(two, second)).hasSize(2);
        Publication one = after(two, new BackgroundEdit.RemoveBackground(part(two).id()));
        assertThat(made(one, second))
                .singleElement()
                .extracting(Background::area)
                .isEqualTo(new Area.Band(Edge.TOP, Length.mm(5)));
    }

    @Test
    void what_moves_up_in_the_recipe_moves_up_everywhere_in_its_own_places() {
        Publication two =
                after(
                        applied(),
                        new BackgroundEdit.AddBackground(
                                new Owner.OnRecipe(RECIPE), band(FRESH, 5)),
                        new BackgroundEdit.AddBackground(second, band(new UUID(90, 4), 1)));
        Publication moved = after(two, new BackgroundEdit.RestackBackground(FRESH, -1));
        assertThat(moved.layer(second).backgrounds())
                .extracting(Background::area)
                .containsExactly(
                        new Area.Band(Edge.TOP, Length.mm(5)),
                        new Area.Band(Edge.TOP, Length.mm(10)),
                        new Area.Band(Edge.TOP, Length.mm(1)));
    }

    @Test
    void it_is_taken_off_without_a_trace() {
        Publication applied = applied();
        Publication off = after(applied, new RecipeEdit.TakeOffRecipe(RECIPE, List.of()));
        assertThat(off.layer(second)).isEqualTo(sample.layer(second));
        assertThat(off.recipe(RECIPE).name()).isEqualTo("Dark hours");
    }

    @Test
    void a_removed_recipe_leaves_its_uses_or_takes_them_along() {
        Publication kept = after(applied(), new RecipeEdit.RemoveRecipe(RECIPE, false));
        assertThat(kept.layer(second).backgrounds())
                .anyMatch(each -> each.area().equals(new Area.Band(Edge.TOP, Length.mm(10))));
        assertThat(made(kept, second)).isEmpty();
        Publication gone = after(applied(), new RecipeEdit.RemoveRecipe(RECIPE, true));
        assertThat(gone.layer(second)).isEqualTo(sample.layer(second));
    }

    @Test
    void measures_adapt_to_another_trim() {
        Recipe wide =
                new Recipe(
                        RECIPE,
                        "Wide",
                        new PageSize(
                                Length.mm(sample.setup().trim().width().millimetres() * 2),
                                sample.setup().trim().height()),
                        new yewberry.core.publication.Layer(
                                List.of(
                                        new Background(
                                                BAND,
                                                Sides.BOTH,
                                                new Area.Band(Edge.OUTSIDE, Length.mm(30)),
                                                new Fill.Solid(Tinted.full(Sample.SIGNAL.id())))),
                                List.of()));
        Publication there =
                after(
                        sample,
                        new RecipeEdit.AddRecipe(wide),
                        new RecipeEdit.ApplyRecipe(
                                RECIPE, List.of(second), Optional.empty(), List.of()));
        assertThat(made(there, second).getFirst().area())
                .isEqualTo(new Area.Band(Edge.OUTSIDE, Length.mm(15)));
    }

    @Test
    void another_publication_gets_the_swatches_it_lacks() {
        RecipeParts parts = RecipeParts.of(applied(), RECIPE);
        Publication bare =
                sample.withSwatches(
                        sample.swatches().stream()
                                .filter(each -> !each.id().equals(Sample.SIGNAL.id()))
                                .toList());
        List<UUID> given = new ArrayList<>();
        Supplier<UUID> ids =
                () -> {
                    given.add(new UUID(91, given.size()));
                    return given.getLast();
                };
        assertThat(((Edit.Several) parts.into(bare, ids)).edits())
                .hasExactlyElementsOfTypes(SwatchEdit.AddSwatch.class, RecipeEdit.AddRecipe.class);
        assertThat(((Edit.Several) parts.into(sample, ids)).edits())
                .as("what is there is used")
                .hasExactlyElementsOfTypes(RecipeEdit.AddRecipe.class);
    }

    @Test
    void undoing_an_application_brings_everything_back() {
        Publication before = after(sample, new BackgroundEdit.AddBackground(first, band(BAND, 10)));
        Edited saved = Editing.edit(before, new RecipeEdit.SaveRecipe(RECIPE, "Dark hours", first));
        Edited applied =
                Editing.edit(
                        saved.publication(),
                        new RecipeEdit.ApplyRecipe(
                                RECIPE, List.of(first, second), Optional.empty(), List.of()));
        Publication undone =
                Edited.by(applied.patch().inverse(), applied.publication()).publication();
        assertThat(undone).isEqualTo(saved.publication());
    }

    @Test
    void one_id_stands_for_one_recipe() {
        assertThatThrownBy(
                        () -> after(applied(), new RecipeEdit.SaveRecipe(RECIPE, "Twice", first)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("added already");
    }

    @Test
    void a_page_without_backgrounds_makes_no_recipe() {
        assertThatThrownBy(() -> after(sample, new RecipeEdit.SaveRecipe(RECIPE, "Empty", second)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no background to save");
    }

    @Test
    void a_recipe_takes_no_text() {
        assertThatThrownBy(() ->
                        Editing.edit(
                                applied(),
                                new FrameEdit.AddFrame(
                                        new Owner.OnRecipe(RECIPE),
                                        Sample.id("frame"),
                                        Sides.BOTH,
                                        new Box(
                                                Length.mm(1),
                                                Length.mm(1),
                                                Length.mm(50),
                                                Length.mm(50)),
                                        Sample.id("story"),
                                        Sample.id("paragraph"),
                                        Sample.BODY.id())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("backgrounds only");
    }
}
