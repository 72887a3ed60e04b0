package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.PARENT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.ParentEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Spreads;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.SceneKey;

class ComposerTest {
    private final Composer composer = new Composer(PressCondition.coated());

    private static Publication after(Publication before, Edit edit) {
        return Editing.edit(before, edit).publication();
    }

    private static Publication onPage(int number, Background background) {
        return after(
                Sample.publication(),
                new BackgroundEdit.AddBackground(new Owner.OnPage(page(number)), background));
    }

    private static List<UUID> fills(PageScene scene) {
        return scene.items().stream()
                .map(item -> item.paints().getFirst().swatch().orElseThrow())
                .toList();
    }

    @Test
    void a_page_shows_its_parents_backgrounds_and_puts_its_own_on_top() {
        PageScene scene = composer.compose(onPage(1, wholePage("own", SIGNAL)), 0);
        assertThat(fills(scene)).containsExactly(NIGHT.id(), SIGNAL.id());
        assertThat(scene.items().getFirst().origin())
                .isEqualTo(new Origin.FromParent(PARENT, "Dark"));
        assertThat(scene.items().getLast().origin()).isEqualTo(new Origin.FromPage(page(1)));
    }

    @Test
    void what_lies_on_the_parent_of_a_parent_lies_below() {
        UUID other = id("other parent");
        Publication two =
                after(
                        after(
                                after(
                                        Sample.publication(),
                                        new ParentEdit.AddParent(
                                                other, "Light", Optional.of(PARENT))),
                                new BackgroundEdit.AddBackground(
                                        new Owner.OnParent(other), wholePage("light", WHITE))),
                        new PageEdit.AssignParent(List.of(page(1)), Optional.of(other)));
        assertThat(fills(composer.compose(two, 0))).containsExactly(NIGHT.id(), WHITE.id());
        assertThat(two.pagesWith(PARENT)).as("through the other one, too").isEqualTo(4);
        Publication changed =
                after(
                        two,
                        new BackgroundEdit.ChangeBackground(
                                two.parent(PARENT)
                                        .layer()
                                        .backgrounds()
                                        .getFirst()
                                        .withFill(new Fill.Solid(Tinted.full(SIGNAL.id())))));
        assertThat(fills(composer.compose(changed, 0)))
                .as("the page is composed anew when the lower one changes")
                .containsExactly(SIGNAL.id(), WHITE.id());
    }

    private static Publication onParent(Layer layer) {
        Publication plain = Sample.publication();
        return Sample.withText(
                plain.withParents(List.of(plain.parents().getFirst().withLayer(layer))));
    }

    @Test
    void a_page_can_hide_its_parents_backgrounds_but_keeps_its_text() {
        TextFrame foot = frame("foot", 10, 190, 100, 10, BODY, "Foot");
        Publication publication =
                after(
                        onParent(new Layer(List.of(wholePage("g", NIGHT)), List.of(foot))),
                        new PageEdit.ShowParent(List.of(page(1)), false));
        assertThat(composer.compose(publication, 0).items())
                .hasSize(1)
                .allMatch(item -> item instanceof Item.GlyphRun);
        assertThat(composer.compose(publication, 1).items()).hasSize(2);
    }

    @Test
    void a_fill_of_none_paints_nothing_and_white_does() {
        Background white = wholePage("w", WHITE);
        assertThat(fills(composer.compose(onPage(1, white), 0)))
                .containsExactly(NIGHT.id(), WHITE.id());
        assertThat(fills(composer.compose(onPage(1, white.withFill(new Fill.None())), 0)))
                .containsExactly(NIGHT.id());
    }

    @Test
    void a_page_that_moves_to_the_other_side_takes_the_parents_other_side() {
        Background left =
                new Background(
                        id("left only"),
                        Sides.LEFT,
                        band("x", Edge.TOP, 10, SIGNAL).area(),
                        new Fill.Solid(Tinted.full(SIGNAL.id())));
        Publication publication =
                after(
                        Sample.publication(),
                        new BackgroundEdit.AddBackground(new Owner.OnParent(PARENT), left));
        assertThat(fills(composer.compose(publication, 0))).containsExactly(NIGHT.id());
        assertThat(fills(composer.compose(publication, 1)))
                .containsExactly(NIGHT.id(), SIGNAL.id());

        Publication moved =
                after(publication, new PageEdit.MovePages(List.of(page(1)), Optional.of(page(2))));
        assertThat(moved.pages().get(1).id()).isEqualTo(page(1));
        assertThat(fills(composer.compose(moved, 1))).containsExactly(NIGHT.id(), SIGNAL.id());
        assertThat(fills(composer.compose(moved, 0))).containsExactly(NIGHT.id());
    }

    @Test
    void a_frame_on_a_parent_stands_mirrored_about_the_spine_on_left_pages() {
        TextFrame frame = frame("f", 10, 20, 50, 20, BODY, "Text");
        Publication publication = onParent(new Layer(List.of(), List.of(frame)));
        double onRight = composer.compose(publication, 0).text().getFirst().lines().getFirst().x();
        double onLeft = composer.compose(publication, 1).text().getFirst().lines().getFirst().x();
        assertThat(onRight * 25.4 / 72).isCloseTo(10, org.assertj.core.api.Assertions.within(1e-6));
        assertThat(onLeft * 25.4 / 72)
                .isCloseTo(148 - 10 - 50, org.assertj.core.api.Assertions.within(1e-6));
    }

    @Test
    void a_rotated_frame_of_a_parent_is_rotated_the_other_way_on_left_pages() {
        TextFrame frame = frame("f", 10, 20, 50, 20, BODY, "Text");
        TextFrame rotated = frame.withSetting(frame.setting().withRotation(-90));
        Publication publication = onParent(new Layer(List.of(), List.of(rotated)));
        Item.GlyphRun onRight = composer.compose(publication, 0).text().getFirst();
        Item.GlyphRun onLeft = composer.compose(publication, 1).text().getFirst();
        assertThat(onRight.turn().degrees()).isEqualTo(-90);
        assertThat(onLeft.turn().degrees()).isEqualTo(90);
        // a quarter to the left, what begins at the left of 50 mm begins 25 mm below the middle
        assertThat(onRight.bounds().bottom() * 25.4 / 72)
                .isCloseTo(30 + 25, org.assertj.core.api.Assertions.within(1e-6));
        assertThat(onLeft.bounds().y() * 25.4 / 72)
                .isCloseTo(30 - 25, org.assertj.core.api.Assertions.within(1e-6));
    }

    @Test
    void an_edit_recomposes_only_the_pages_it_touches() {
        Publication before = Sample.publication();
        List<PageScene> old = composer.composeAll(before);
        Publication after =
                after(
                        before,
                        new BackgroundEdit.AddBackground(
                                new Owner.OnPage(page(3)), wholePage("own", SIGNAL)));
        List<PageScene> now = composer.composeAll(after);
        assertThat(now.get(0)).isSameAs(old.get(0));
        assertThat(now.get(1)).isSameAs(old.get(1));
        assertThat(now.get(2)).isNotSameAs(old.get(2));
        assertThat(now.get(3)).isSameAs(old.get(3));
        assertThat(composer.composeAll(before)).as("a preview's way back").isEqualTo(old);
    }

    @Test
    void a_changed_swatch_recomposes_the_pages_that_use_it() {
        Publication before = onPage(2, wholePage("own", SIGNAL));
        List<PageScene> old = composer.composeAll(before);
        Publication after =
                after(
                        before,
                        new SwatchEdit.ChangeSwatch(
                                SIGNAL.id(), new Definition.Plain(new Cmyk(0, 0, 100, 0))));
        List<PageScene> now = composer.composeAll(after);
        assertThat(now.get(0)).isSameAs(old.get(0));
        assertThat(now.get(1)).isNotSameAs(old.get(1));
        assertThat(now.get(1).items().getLast().paints().getFirst().color())
                .isEqualTo(new Cmyk(0, 0, 100, 0));
    }

    @Test
    void a_changed_base_recomposes_what_derives_from_it() {
        UUID haze = id("haze");
        Publication before =
                after(
                        after(
                                Sample.publication(),
                                new SwatchEdit.AddSwatch(
                                        new Swatch(
                                                haze,
                                                "Haze",
                                                new Definition.Tint(NIGHT.id(), 50)))),
                        new BackgroundEdit.AddBackground(
                                new Owner.OnPage(page(2)),
                                new Background(
                                        id("hazy"),
                                        Sides.BOTH,
                                        wholePage("x", NIGHT).area(),
                                        new Fill.Solid(new Tinted(haze, 50)))));
        Item hazy = composer.compose(before, 1).items().getLast();
        assertThat(hazy.paints().getFirst().color()).isEqualTo(new Cmyk(25, 21.5, 10.5, 13));
        assertThat(hazy.paints().getFirst().inWords()).isEqualTo("Haze, 50 %");
        Publication after =
                after(
                        before,
                        new SwatchEdit.ChangeSwatch(
                                NIGHT.id(), new Definition.Plain(new Cmyk(0, 0, 0, 80))));
        assertThat(composer.compose(after, 1).items().getLast().paints().getFirst().color())
                .isEqualTo(new Cmyk(0, 0, 0, 20));
    }

    @Test
    void spreads_are_1_then_2_and_3_then_4() {
        Publication facing = Sample.publication();
        assertThat(Spreads.of(facing)).containsExactly(List.of(0), List.of(1, 2), List.of(3));
        for (int page = 0; page < 4; page++) {
            assertThat(Spreads.at(facing, Spreads.indexOf(facing, page))).contains(page);
        }
    }

    /** What is remembered by a page's key, findings and pictures, stays so while one tries out. */
    @Test
    void a_page_keeps_its_key_however_much_is_tried_out_beside_it() {
        Publication stored = Sample.publication();
        SceneKey key = composer.key(stored, 0);
        for (String tried : List.of("one", "two", "three", "four")) {
            composer.compose(onPage(1, wholePage(tried, SIGNAL)), 0);
            assertThat(composer.key(stored, 0)).as(tried).isEqualTo(key);
        }
    }
}
