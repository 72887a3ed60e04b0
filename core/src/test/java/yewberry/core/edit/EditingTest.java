package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.PARENT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

class EditingTest {
    private static final Owner ON_PAGE_1 = new Owner.OnPage(page(1));

    private final Publication sample = Sample.publication();

    private static Publication after(Publication before, Edit edit) {
        return Editing.edit(before, edit).publication();
    }

    private static void refused(Publication before, Edit edit, String... words) {
        var refusal =
                assertThatThrownBy(() -> Editing.edit(before, edit)).isInstanceOf(Refused.class);
        for (String word : words) {
            refusal.hasMessageContaining(word);
        }
    }

    private static List<UUID> ids(Publication publication) {
        return publication.pages().stream().map(Page::id).toList();
    }

    @Test
    void pages_are_added_behind_the_one_named_or_at_the_front() {
        UUID added = id("new");
        assertThat(
                        ids(
                                after(
                                        sample,
                                        new PageEdit.AddPages(
                                                List.of(added),
                                                Optional.of(page(2)),
                                                Optional.empty()))))
                .containsExactly(page(1), page(2), added, page(3), page(4));
        assertThat(
                        ids(
                                after(
                                        sample,
                                        new PageEdit.AddPages(
                                                List.of(added),
                                                Optional.empty(),
                                                Optional.of(PARENT)))))
                .startsWith(added, page(1));
    }

    @Test
    void sending_the_same_addition_twice_cannot_add_it_twice() {
        Edit add = new PageEdit.AddPages(List.of(id("n")), Optional.empty(), Optional.empty());
        refused(after(sample, add), add, "added already");
        Edit swatch = new SwatchEdit.AddSwatch(new Swatch(id("s"), "S", new Cmyk(1, 2, 3, 4)));
        refused(after(sample, swatch), swatch, "added already");
    }

    @Test
    void pages_move_together_and_keep_their_order() {
        assertThat(
                        ids(
                                after(
                                        sample,
                                        new PageEdit.MovePages(
                                                List.of(page(3), page(1)), Optional.of(page(4))))))
                .containsExactly(page(2), page(4), page(1), page(3));
        assertThat(ids(after(sample, new PageEdit.MovePages(List.of(page(4)), Optional.empty()))))
                .containsExactly(page(4), page(1), page(2), page(3));
        refused(
                sample,
                new PageEdit.MovePages(List.of(page(1)), Optional.of(page(1))),
                "behind one of themselves");
    }

    @Test
    void the_last_page_cannot_be_removed() {
        assertThat(ids(after(sample, new PageEdit.RemovePages(List.of(page(1), page(4))))))
                .containsExactly(page(2), page(3));
        refused(
                sample,
                new PageEdit.RemovePages(List.of(page(1), page(2), page(3), page(4))),
                "at least one page");
    }

    @Test
    void pages_of_a_removed_parent_get_the_replacement_or_none() {
        UUID other = id("other parent");
        Publication two = after(sample, new ParentEdit.AddParent(other, "Light", Optional.empty()));
        assertThat(after(two, new ParentEdit.RemoveParent(PARENT, Optional.of(other))).pages())
                .allMatch(page -> page.parent().equals(Optional.of(other)));
        assertThat(after(two, new ParentEdit.RemoveParent(PARENT, Optional.empty())).pages())
                .allMatch(page -> page.parent().isEmpty());
        refused(
                two,
                new ParentEdit.RemoveParent(PARENT, Optional.of(PARENT)),
                "cannot replace itself");
    }

    @Test
    void parents_are_based_on_one_another_but_not_in_a_circle() {
        UUID other = id("other parent");
        Publication two =
                after(sample, new ParentEdit.AddParent(other, "Light", Optional.of(PARENT)));
        assertThat(two.chain(Optional.of(other)))
                .extracting(parent -> parent.name())
                .containsExactly("Dark", "Light");
        refused(
                two,
                new ParentEdit.SetParentBase(PARENT, Optional.of(other)),
                "cannot be based on itself",
                "“Dark”");
        refused(
                two,
                new ParentEdit.SetParentBase(other, Optional.of(id("nobody"))),
                "no such parent");
    }

    @Test
    void what_was_based_on_a_removed_parent_is_based_on_the_replacement() {
        UUID other = id("other parent");
        UUID third = id("third parent");
        Publication three =
                after(
                        after(sample, new ParentEdit.AddParent(third, "Dim", Optional.empty())),
                        new ParentEdit.AddParent(other, "Light", Optional.of(PARENT)));
        assertThat(
                        after(three, new ParentEdit.RemoveParent(PARENT, Optional.of(third)))
                                .parent(other)
                                .base())
                .contains(third);
        assertThat(
                        after(three, new ParentEdit.RemoveParent(PARENT, Optional.empty()))
                                .parent(other)
                                .base())
                .isEmpty();
    }

    @Test
    void a_part_whose_first_page_goes_begins_with_the_next() {
        Publication named =
                after(sample, new PageEdit.NamePart(page(2), Optional.of("Dark hours")));
        Publication without = after(named, new PageEdit.RemovePages(List.of(page(2))));
        assertThat(without.page(page(3)).part()).contains("Dark hours");
        assertThat(without.page(page(1)).part()).isEmpty();
        Publication none = after(named, new PageEdit.NamePart(page(2), Optional.empty()));
        assertThat(none.pages()).allMatch(page -> page.part().isEmpty());
    }

    @Test
    void own_backgrounds_of_pages_go_in_one_step() {
        Publication two =
                after(
                        after(
                                sample,
                                new BackgroundEdit.AddBackground(
                                        new Owner.OnPage(page(1)), wholePage("one", SIGNAL))),
                        new BackgroundEdit.AddBackground(
                                new Owner.OnPage(page(2)), wholePage("two", SIGNAL)));
        assertThat(after(two, new BackgroundEdit.ClearBackgrounds(List.of(page(1), page(2)))))
                .isEqualTo(sample);
    }

    @Test
    void removing_a_swatch_in_use_asks_for_a_replacement_and_uses_it_everywhere() {
        Publication used =
                after(
                        Sample.withPage(
                                new Layer(
                                        List.of(wholePage("g", SIGNAL)),
                                        List.of(frame("f", 10, 10, 80, 40, BODY, "Some words")))),
                        new StoryEdit.ColorRun(
                                id("run f 0"), Optional.of(Tinted.full(SIGNAL.id()))));
        refused(
                used,
                new SwatchEdit.RemoveSwatch(SIGNAL.id(), Optional.empty()),
                "Signal",
                "2 places");

        Publication replaced =
                after(used, new SwatchEdit.RemoveSwatch(SIGNAL.id(), Optional.of(WHITE.id())));
        Layer layer = replaced.pages().getFirst().layer();
        assertThat(layer.backgrounds().getFirst().fill())
                .isEqualTo(new Fill.Solid(Tinted.full(WHITE.id())));
        Paragraph paragraph = replaced.stories().getFirst().paragraphs().getFirst();
        assertThat(paragraph.runs().getFirst().color()).contains(Tinted.full(WHITE.id()));
        assertThat(replaced.findSwatch(SIGNAL.id())).isEmpty();
    }

    @Test
    void an_unused_swatch_goes_without_asking() {
        assertThat(
                        after(sample, new SwatchEdit.RemoveSwatch(SIGNAL.id(), Optional.empty()))
                                .findSwatch(SIGNAL.id()))
                .isEmpty();
    }

    @Test
    void a_look_takes_the_place_of_a_removed_one() {
        Publication used =
                Sample.withPage(
                        new Layer(List.of(), List.of(frame("f", 10, 10, 80, 40, BODY, "a", "b"))));
        refused(used, new LookEdit.RemoveLook(BODY.id(), Optional.empty()), "Body", "2 places");
        assertThat(
                        after(used, new LookEdit.RemoveLook(BODY.id(), Optional.of(HEADING.id())))
                                .stories()
                                .getFirst()
                                .paragraphs())
                .allMatch(paragraph -> paragraph.look().equals(HEADING.id()));
    }

    @Test
    void renaming_takes_any_printable_name_and_uses_follow_by_id() {
        Publication renamed =
                after(
                        after(
                                sample,
                                new SwatchEdit.RenameSwatch(NIGHT.id(), "Nuit “étoilée” <&>")),
                        new ParentEdit.RenameParent(PARENT, "夜"));
        assertThat(renamed.swatch(NIGHT.id()).name()).isEqualTo("Nuit “étoilée” <&>");
        assertThat(renamed.parent(PARENT).name()).isEqualTo("夜");
        assertThat(renamed.parent(PARENT).layer()).isEqualTo(sample.parent(PARENT).layer());
        refused(sample, new ParentEdit.RenameParent(PARENT, " "), "needs a name");
    }

    @Test
    void nothing_may_refer_to_what_is_not_there() {
        UUID nowhere = id("nowhere");
        refused(
                sample,
                new PageEdit.AssignParent(List.of(page(1)), Optional.of(nowhere)),
                "parent");
        refused(
                sample,
                new BackgroundEdit.AddBackground(
                        ON_PAGE_1, wholePage("g", new Swatch(nowhere, "x", new Cmyk(0, 0, 0, 0)))),
                "swatch");
        refused(sample, new FrameEdit.RemoveFrame(nowhere), "frame");
        refused(sample, new PageEdit.RemovePages(List.of(nowhere)), "page");
        refused(sample, new PageEdit.RemovePages(List.of()), "No page is chosen");
        refused(sample, new StoryEdit.ColorRun(nowhere, Optional.empty()), "text");
        Look unknown =
                new Look(
                        BODY.id(),
                        "Body",
                        "Wingtips",
                        400,
                        BODY.size(),
                        BODY.leading().length().orElseThrow(),
                        BODY.before(),
                        BODY.alignment(),
                        BODY.color(),
                        BODY.overprint());
        refused(sample, new LookEdit.ChangeLook(unknown), "Wingtips", "Source Serif 4");
    }

    @Test
    void only_what_is_on_a_parent_can_be_kept_to_one_side() {
        Background left =
                new Background(
                        id("b"),
                        Sides.LEFT,
                        wholePage("x", NIGHT).area(),
                        new Fill.Solid(Tinted.full(NIGHT.id())));
        refused(
                sample,
                new BackgroundEdit.AddBackground(ON_PAGE_1, left),
                "Only what is on a parent");
        Edit onParent = new BackgroundEdit.AddBackground(new Owner.OnParent(PARENT), left);
        assertThat(after(sample, onParent).parent(PARENT).layer().backgrounds()).hasSize(2);
    }

    @Test
    void backgrounds_are_restacked_and_stop_at_either_end() {
        Publication three =
                Sample.withPage(
                        new Layer(
                                List.of(
                                        wholePage("a", INK),
                                        wholePage("b", NIGHT),
                                        wholePage("c", WHITE)),
                                List.of()));
        assertThat(stack(after(three, new BackgroundEdit.RestackBackground(id("a"), 1))))
                .containsExactly(id("b"), id("a"), id("c"));
        assertThat(stack(after(three, new BackgroundEdit.RestackBackground(id("a"), 99))))
                .containsExactly(id("b"), id("c"), id("a"));
        assertThat(stack(after(three, new BackgroundEdit.RestackBackground(id("a"), -1))))
                .containsExactly(id("a"), id("b"), id("c"));
    }

    private static List<UUID> stack(Publication publication) {
        return publication.pages().getFirst().layer().backgrounds().stream()
                .map(Background::id)
                .toList();
    }

    @Test
    void a_frame_is_added_placed_and_removed() {
        Box box = new Box(Length.mm(10), Length.mm(10), Length.mm(50), Length.mm(20));
        Edit add =
                new FrameEdit.AddFrame(
                        ON_PAGE_1, id("f"), Sides.BOTH, box, id("s"), id("p"), BODY.id());
        Publication added = after(sample, add);
        Box wider = new Box(Length.mm(5), Length.mm(10), Length.mm(90), Length.mm(20));
        Publication placed = after(added, new FrameEdit.PlaceFrame(id("f"), Sides.BOTH, wider));
        assertThat(placed.pages().getFirst().layer().textFrames().getFirst().box())
                .isEqualTo(wider);
        assertThat(after(placed, new FrameEdit.RemoveFrame(id("f")))).isEqualTo(sample);
    }

    @Test
    void several_edits_are_one_step_or_none() {
        Swatch new1 = new Swatch(id("n1"), "N1", new Cmyk(1, 1, 1, 1));
        Edit good =
                new Edit.Several(
                        List.of(
                                new SwatchEdit.AddSwatch(new1),
                                new LookEdit.ChangeLook(BODY.withColor(Tinted.full(new1.id())))));
        assertThat(after(sample, good).look(BODY.id()).color().swatch()).isEqualTo(new1.id());
        Edit bad =
                new Edit.Several(
                        List.of(
                                new SwatchEdit.AddSwatch(new1),
                                new FrameEdit.RemoveFrame(id("nowhere"))));
        refused(sample, bad, "frame");
    }

    @Test
    void an_edit_shares_all_that_it_did_not_change() {
        Publication changed =
                after(
                        sample,
                        new BackgroundEdit.AddBackground(ON_PAGE_1, wholePage("own", SIGNAL)));
        assertThat(changed.pages().get(1)).isSameAs(sample.pages().get(1));
        assertThat(changed.parents().getFirst()).isSameAs(sample.parents().getFirst());
        assertThat(changed.setup()).isSameAs(sample.setup());
    }
}
