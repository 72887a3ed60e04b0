package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.PARENT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;
import static yewberry.core.Sample.wholePage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.edit.StoryEdit.WrittenParagraph;
import yewberry.core.publication.Box;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

class PatchTest {
    @Test
    void a_patch_names_exactly_the_elements_that_an_edit_touches() {
        Edited edited =
                Editing.edit(
                        Sample.publication(),
                        new BackgroundEdit.AddBackground(
                                new Owner.OnPage(page(2)), wholePage("own", SIGNAL)));
        assertThat(edited.patch().touched()).containsExactly(id("own"));
    }

    @Test
    void moving_one_page_far_touches_that_page_alone() {
        Edited edited =
                Editing.edit(
                        Sample.publication(),
                        new PageEdit.MovePages(List.of(page(1)), Optional.of(page(4))));
        assertThat(edited.patch().touched()).containsExactly(page(1));
    }

    @Test
    void an_edit_that_changes_nothing_has_an_empty_patch() {
        Edited edited =
                Editing.edit(Sample.publication(), new ParentEdit.RenameParent(PARENT, "Dark"));
        assertThat(edited.patch().isEmpty()).isTrue();
    }

    /**
     * Random edits: each patch leads there, its inverse leads back, and so does undoing them all.
     */
    @Test
    void a_patch_leads_to_its_publication_and_its_inverse_back() {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            Publication now = Sample.publication();
            List<Publication> states = new ArrayList<>(List.of(now));
            List<Patch> patches = new ArrayList<>();
            for (int i = 0; i < 25; i++) {
                Edited edited;
                try {
                    edited = Editing.edit(now, randomEdit(random, now, seed + "." + i));
                } catch (Refused refused) {
                    continue;
                }
                assertThat(Edited.by(edited.patch(), now).publication())
                        .isEqualTo(edited.publication());
                now = edited.publication();
                patches.add(edited.patch());
                states.add(now);
            }
            assertThat(patches).hasSizeGreaterThan(10);
            for (int i = patches.size() - 1; i >= 0; i--) {
                now = Edited.by(patches.get(i).inverse(), now).publication();
                assertThat(now).as("seed %d, step %d", seed, i).isEqualTo(states.get(i));
            }
        }
    }

    private static Edit randomEdit(Random random, Publication now, String name) {
        UUID fresh = id(name);
        UUID anyPage = any(random, now.pages()).id();
        Owner owner =
                now.parents().isEmpty() || random.nextBoolean()
                        ? new Owner.OnPage(anyPage)
                        : new Owner.OnParent(any(random, now.parents()).id());
        UUID anySwatch = any(random, now.swatches()).id();
        return switch (random.nextInt(13)) {
            case 0 ->
                    new PageEdit.AddPages(
                            List.of(fresh, id(name + "b")),
                            Optional.of(anyPage),
                            Optional.of(PARENT));
            case 1 ->
                    new PageEdit.MovePages(
                            List.of(anyPage), Optional.of(any(random, now.pages()).id()));
            case 2 -> new PageEdit.RemovePages(List.of(anyPage));
            case 3 ->
                    new BackgroundEdit.AddBackground(
                            owner, wholePage(name, any(random, now.swatches())));
            case 4 ->
                    new SwatchEdit.AddSwatch(
                            new Swatch(fresh, name, new Cmyk(random.nextInt(100), 0, 0, 0)));
            case 5 ->
                    new SwatchEdit.RemoveSwatch(
                            anySwatch, Optional.of(any(random, now.swatches()).id()));
            case 6 -> new ParentEdit.AddParent(fresh, name, Optional.empty());
            case 7 ->
                    new ParentEdit.RemoveParent(
                            now.parents().isEmpty() ? PARENT : any(random, now.parents()).id(),
                            Optional.empty());
            case 8 ->
                    new FrameEdit.AddFrame(
                            owner,
                            fresh,
                            Sides.BOTH,
                            new Box(Length.mm(1), Length.mm(1), Length.mm(50), Length.mm(50)),
                            id(name + "s"),
                            id(name + "p"),
                            BODY.id());
            case 9 -> {
                var frames =
                        now.pages().stream()
                                .map(Page::layer)
                                .flatMap(l -> l.textFrames().stream())
                                .toList();
                yield frames.isEmpty()
                        ? new PublicationEdit.RenamePublication(name)
                        : written(now.story(any(random, frames).story()), random, name);
            }
            case 11 -> {
                var frames = now.layers().flatMap(layer -> layer.textFrames().stream()).toList();
                yield frames.isEmpty()
                        ? new PublicationEdit.RenamePublication(name)
                        : chained(frames, owner, random, name);
            }
            case 10 -> {
                var backgrounds =
                        now.parents().stream()
                                .flatMap(p -> p.layer().backgrounds().stream())
                                .toList();
                yield backgrounds.isEmpty()
                        ? new SwatchEdit.RenameSwatch(anySwatch, name)
                        : new BackgroundEdit.RestackBackground(
                                any(random, backgrounds).id(), random.nextInt(5) - 2);
            }
            default -> new PageEdit.AssignParent(List.of(anyPage), Optional.empty());
        };
    }

    private static Edit written(Story story, Random random, String name) {
        int from = random.nextInt(story.paragraphs().size() + 1);
        int to = from + random.nextInt(story.paragraphs().size() + 1 - from);
        List<WrittenParagraph> was =
                story.paragraphs().subList(from, to).stream().map(WrittenParagraph::of).toList();
        return new StoryEdit.WriteText(
                story.id(),
                from == 0 ? Optional.empty() : Optional.of(story.paragraphs().get(from - 1).id()),
                List.of(
                        new WrittenParagraph(id(name + "w"), BODY.id(), "Words " + name),
                        new WrittenParagraph(id(name + "v"), BODY.id(), "More " + name)),
                was);
    }

    private static Edit chained(List<TextFrame> frames, Owner owner, Random random, String name) {
        UUID frame = any(random, frames).id();
        return switch (random.nextInt(5)) {
            case 0 -> new FrameEdit.JoinFrames(frame, any(random, frames).id());
            case 1 -> new FrameEdit.PartFrames(frame, id(name + "s"), id(name + "p"));
            case 2 -> new FrameEdit.RemoveFrame(frame);
            default ->
                    new FrameEdit.ContinueFrame(
                            frame,
                            owner,
                            id(name),
                            Sides.BOTH,
                            new Box(Length.mm(1), Length.mm(9), Length.mm(50), Length.mm(5)));
        };
    }

    private static <T> T any(Random random, List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    @Test
    void the_longest_ascending_row_is_found() {
        // worked by hand: 2 5 8 9 is one of the longest rows of 7 2 5 3 8 1 9
        List<Integer> found = LongestAscending.of(new int[] {7, 2, 5, 3, 8, 1, 9});
        assertThat(found).hasSize(4).isSorted();
        assertThat(LongestAscending.of(new int[] {3, 2, 1})).hasSize(1);
        assertThat(LongestAscending.of(new int[] {})).isEmpty();
        int[] ascending = {1, 2, 3, 4};
        assertThat(LongestAscending.of(ascending)).isEqualTo(Arrays.asList(0, 1, 2, 3));
    }

    @Test
    void undoing_an_addition_that_somebody_uses_by_now_is_refused() {
        Edited added =
                Editing.edit(
                        Sample.publication(),
                        new SwatchEdit.AddSwatch(new Swatch(id("n"), "N", new Cmyk(9, 9, 9, 9))));
        Publication used =
                Editing.edit(
                                added.publication(),
                                new LookEdit.ChangeLook(BODY.withColor(Tinted.full(id("n")))))
                        .publication();
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> Edited.by(added.patch().inverse(), used))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("in use by now");
    }
}
