package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Edited;
import yewberry.core.edit.Editing;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.PublicationEdit;
import yewberry.core.edit.RecipeEdit;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Length;
import yewberry.core.publication.Margins;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;

/** Pages of five sizes in one publication: a fold-out, a slip, a square, and two near the rest. */
class PageSizesTest {
    private static final PageSize FOLD_OUT = mm(280, 210);
    private static final List<PageSize> SIZES =
            List.of(FOLD_OUT, mm(70, 210), mm(148, 148), mm(150, 212));

    private static PageSize mm(double width, double height) {
        return new PageSize(Length.mm(width), Length.mm(height));
    }

    private static UUID page(Publication publication, int number) {
        return publication.pages().get(number - 1).id();
    }

    private static Publication edited(Publication on, Edit edit) {
        return Editing.edit(on, edit).publication();
    }

    /** Page 1 as all, then a page of each other size. */
    private static Publication publication() {
        Publication result = Sample.publication();
        while (result.pages().size() < 5) {
            UUID last = page(result, result.pages().size());
            result =
                    edited(
                            result,
                            new PageEdit.AddPages(
                                    List.of(UUID.randomUUID()),
                                    Optional.of(last),
                                    Optional.of(Sample.PARENT)));
        }
        for (int i = 0; i < SIZES.size(); i++) {
            result =
                    edited(
                            result,
                            new PageEdit.SizePages(
                                    List.of(page(result, i + 2)), Optional.of(SIZES.get(i))));
        }
        return result;
    }

    private static Background wholePage(Area area) {
        return new Background(
                UUID.randomUUID(),
                Sides.BOTH,
                area,
                new Fill.Solid(Tinted.full(Sample.publication().swatches().getFirst().id())));
    }

    private static List<PageScene> scenes(Publication publication) {
        return new Composer(PressCondition.coated()).composeAll(publication);
    }

    @Test
    void each_page_has_boxes_of_its_own() {
        List<PageScene> scenes = scenes(publication());
        for (int i = 0; i < SIZES.size(); i++) {
            PageBoxes boxes = scenes.get(i + 1).boxes();
            assertThat(boxes.trim().width()).isCloseTo(SIZES.get(i).width().points(), within(1e-9));
            assertThat(boxes.bleed().height())
                    .isCloseTo(
                            SIZES.get(i).height().points() + 2 * Length.mm(3).points(),
                            within(1e-9));
        }
        assertThat(scenes.getFirst().boxes().trim().width())
                .isCloseTo(Sample.a5().trim().width().points(), within(1e-9));
    }

    @Test
    void a_parents_background_reaches_the_bleed_of_every_page() {
        Background band = wholePage(new Area.Band(Edge.BOTTOM, Length.mm(20)));
        Publication with =
                edited(
                        publication(),
                        new BackgroundEdit.AddBackground(new Owner.OnParent(Sample.PARENT), band));
        for (PageScene scene : scenes(with)) {
            scene.areas().stream()
                    .filter(fill -> fill.background().equals(band.id()))
                    .forEach(fill -> {
                        Rect bleed = scene.boxes().bleed();
                        assertThat(fill.rect().bottom()).isCloseTo(bleed.bottom(), within(1e-9));
                        assertThat(fill.rect().x()).isCloseTo(bleed.x(), within(1e-9));
                        assertThat(fill.rect().right()).isCloseTo(bleed.right(), within(1e-9));
                        assertThat(fill.rect().height())
                                .isCloseTo(Length.mm(23).points(), within(1e-9));
                    });
        }
    }

    /** The fold-out is page 2, on the left; the slip beside it is page 3. */
    @Test
    void a_fill_across_the_spread_goes_over_both_pages_however_wide() {
        Publication facing = publication();
        Publication with = facing;
        List<UUID> ids = List.of(UUID.randomUUID(), UUID.randomUUID());
        for (int number = 2; number <= 3; number++) {
            Background across = wholePage(new Area.WholeSpread(Length.mm(2)));
            with =
                    edited(
                            with,
                            new BackgroundEdit.AddBackground(
                                    new Owner.OnPage(page(with, number)),
                                    new Background(
                                            ids.get(number - 2),
                                            Sides.BOTH,
                                            across.area(),
                                            across.fill())));
        }
        List<PageScene> scenes = scenes(with);
        Rect onLeft = frame(scenes.get(1), ids.get(0));
        Rect onRight = frame(scenes.get(2), ids.get(1));
        assertThat(onLeft.width()).isCloseTo(onRight.width(), within(1e-9));
        // two millimetres are swallowed of each page, three are bleed
        assertThat(onLeft.width())
                .isCloseTo(Length.mm(280 + 3 - 2 + 70 + 3 - 2).points(), within(1e-9));
        assertThat(onLeft.x()).isCloseTo(-Length.mm(3).points(), within(1e-9));
        assertThat(onRight.right()).isCloseTo(Length.mm(70 + 3).points(), within(1e-9));
        assertThat(onLeft.height()).isCloseTo(onRight.height(), within(1e-9));
    }

    private static Rect frame(PageScene scene, UUID background) {
        return scene.areas().stream()
                .filter(fill -> fill.background().equals(background))
                .findFirst()
                .orElseThrow()
                .frame();
    }

    @Test
    void a_page_beside_one_that_changes_its_size_is_composed_anew() {
        Composer composer = new Composer(PressCondition.coated());
        Publication before = publication();
        PageScene right = composer.compose(before, 2);
        Publication after =
                edited(
                        before,
                        new PageEdit.SizePages(
                                List.of(page(before, 2)), Optional.of(mm(200, 210))));
        assertThat(composer.compose(after, 2)).isNotSameAs(right);
        assertThat(composer.compose(after, 3)).isSameAs(composer.compose(before, 3));
    }

    @Test
    void a_recipe_fits_itself_to_the_page_it_is_put_on() {
        Publication with = publication();
        Background band = wholePage(new Area.Band(Edge.LEFT, Length.mm(14)));
        with =
                edited(
                        with,
                        new BackgroundEdit.AddBackground(new Owner.OnPage(page(with, 1)), band));
        UUID recipe = UUID.randomUUID();
        with =
                edited(
                        with,
                        new RecipeEdit.SaveRecipe(recipe, "Edge", new Owner.OnPage(page(with, 1))));
        UUID foldOut = page(with, 2);
        with =
                edited(
                        with,
                        new RecipeEdit.ApplyRecipe(
                                recipe,
                                List.of(new Owner.OnPage(foldOut)),
                                Optional.empty(),
                                List.of()));
        Background use = with.page(foldOut).layer().backgrounds().getLast();
        double wide = Sample.a5().trim().width().millimetres();
        assertThat(((Area.Band) use.area()).depth().millimetres())
                .isCloseTo(14 * 280 / wide, within(0.01));
        Recipe saved = with.recipe(recipe);
        assertThat(saved.trim()).isEqualTo(Sample.a5().trim());
    }

    @Test
    void what_leaves_no_room_is_refused_by_the_page_and_by_the_setup() {
        Publication with = publication();
        assertThatThrownBy(() ->
                        Editing.edit(
                                with,
                                new PageEdit.SizePages(
                                        List.of(page(with, 1)), Optional.of(mm(20, 210)))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no room");
        Setup wide =
                new Setup(
                        with.setup().destination(),
                        with.setup().trim(),
                        true,
                        with.setup().bleed(),
                        with.setup().safe(),
                        new Margins(Length.mm(10), Length.mm(10), Length.mm(40), Length.mm(40)),
                        with.setup().unit(),
                        with.setup().level(),
                        with.setup().press(),
                        with.setup().checks());
        assertThatThrownBy(() -> Editing.edit(with, new PublicationEdit.ChangeSetup(wide)))
                .as("the slip is 70 mm wide")
                .isInstanceOf(Refused.class)
                .hasMessageContaining("70 mm");
    }

    @Test
    void a_size_is_undone_and_taken_back_to_that_of_the_publication() {
        Publication before = publication();
        Edited back =
                Editing.edit(
                        before, new PageEdit.SizePages(List.of(page(before, 2)), Optional.empty()));
        assertThat(scenes(back.publication()).get(1).boxes().trim())
                .isEqualTo(scenes(before).getFirst().boxes().trim());
        assertThat(Edited.by(back.patch().inverse(), back.publication()).publication())
                .isEqualTo(before);
    }
}
