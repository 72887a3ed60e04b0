package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.id;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.publication.Basis;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/** Looks that are based on others. */
class InheritanceTest {
    private static final Look NOTE = on(Sample.look("Note", 400, 8, INK), BODY, "size");
    private static final Look ASIDE = on(Sample.look("Aside", 700, 8, INK), NOTE, "weight");

    private static Look on(Look look, Look base, String... own) {
        return look.withBasis(Optional.of(new Basis(base.id(), Set.of(own))));
    }

    /** A note in the body's look but for its size, and an aside in that but for its weight. */
    private static Publication publication() {
        Publication with = Sample.publication();
        for (Look each : List.of(NOTE, ASIDE)) {
            with = edited(with, new LookEdit.AddLook(each));
        }
        return with;
    }

    private static Publication edited(Publication on, Edit edit) {
        return Editing.edit(on, edit).publication();
    }

    private static Publication changed(Publication on, Look was, Look made) {
        return edited(on, new LookEdit.ChangeLook(made, Optional.of(was)));
    }

    private static Look look(Publication of, Look like) {
        return of.look(like.id());
    }

    private static Set<String> own(Publication of, Look like) {
        return look(of, like).basis().orElseThrow().own();
    }

    @Test
    void what_a_look_does_not_set_itself_is_as_its_basis_has_it_and_follows() {
        Publication before = publication();
        assertThat(look(before, NOTE).leading()).isEqualTo(BODY.leading());
        assertThat(look(before, ASIDE).size()).isEqualTo(Length.pt(8));

        Look made =
                BODY.withColor(Tinted.full(SIGNAL.id()))
                        .withSize(Length.pt(12))
                        .withItalic(true)
                        .withSetting(
                                new TextSetting(
                                        Length.mm(3), Length.ZERO, Length.ZERO, Length.ZERO, 20));
        Publication after = changed(before, BODY, made);
        assertThat(look(after, NOTE).color().swatch()).isEqualTo(SIGNAL.id());
        assertThat(look(after, NOTE).size()).as("set itself").isEqualTo(Length.pt(8));
        assertThat(look(after, ASIDE).setting()).isEqualTo(made.setting());
        assertThat(look(after, ASIDE).italic()).isTrue();
        assertThat(look(after, ASIDE).weight()).as("set itself").isEqualTo(700);
        assertThat(look(after, ASIDE).name()).isEqualTo("Aside");
    }

    @Test
    void what_is_changed_in_a_look_it_sets_itself_until_it_is_given_back() {
        Publication before = publication();
        Look note = look(before, NOTE);
        Publication red = changed(before, note, note.withColor(Tinted.full(SIGNAL.id())));
        assertThat(own(red, NOTE)).containsExactlyInAnyOrder("size", "color");
        assertThat(look(red, ASIDE).color().swatch()).isEqualTo(SIGNAL.id());

        Publication dark = changed(red, BODY, BODY.withColor(Tinted.full(NIGHT.id())));
        assertThat(look(dark, NOTE).color().swatch()).isEqualTo(SIGNAL.id());

        Look given = look(dark, NOTE);
        Publication back =
                changed(
                        dark,
                        given,
                        given.withBasis(Optional.of(new Basis(BODY.id(), Set.of("size")))));
        assertThat(look(back, NOTE).color().swatch()).isEqualTo(NIGHT.id());
        assertThat(look(back, ASIDE).color().swatch()).isEqualTo(NIGHT.id());
        assertThat(own(back, NOTE)).containsExactly("size");
    }

    @Test
    void one_property_of_the_setting_is_set_apart_from_the_rest() {
        Publication before = publication();
        Look note = look(before, NOTE);
        Publication kept =
                changed(
                        before,
                        note,
                        note.withSetting(
                                note.setting()
                                        .withKeeps(
                                                new yewberry.core.publication.Keeps(
                                                        2, 2, false, false))));
        assertThat(own(kept, NOTE)).containsExactlyInAnyOrder("size", "setting.keeps");
        TextSetting hyphenated =
                BODY.setting()
                        .hyphenatedIn(Optional.of(yewberry.core.publication.Language.values()[0]));
        Publication after = changed(kept, BODY, BODY.withSetting(hyphenated));
        assertThat(look(after, NOTE).setting().language()).isPresent();
        assertThat(look(after, NOTE).setting().keeps().first()).isEqualTo(2);
    }

    @Test
    void a_look_that_gets_a_basis_looks_as_before() {
        Publication before = Sample.publication();
        Look heading =
                before.looks().stream()
                        .filter(each -> each.name().equals("Heading"))
                        .findFirst()
                        .orElseThrow();
        Publication after = changed(before, heading, on(heading, BODY));
        Look now = look(after, heading);
        assertThat(now.withBasis(Optional.empty())).isEqualTo(heading);
        assertThat(now.basis().orElseThrow().own())
                .contains("size", "weight")
                .doesNotContain("family");
    }

    @Test
    void when_the_basis_goes_what_was_based_on_it_stays_as_it_looks() {
        Publication before = publication();
        Publication after = edited(before, new LookEdit.RemoveLook(NOTE.id(), Optional.empty()));
        Look aside = look(after, ASIDE);
        assertThat(aside.withBasis(Optional.empty()))
                .isEqualTo(look(before, ASIDE).withBasis(Optional.empty()));
        assertThat(aside.basis()).contains(new Basis(BODY.id(), Set.of("size", "weight")));
    }

    @Test
    void a_look_is_not_based_on_itself_whatever_stands_between() {
        Publication before = publication();
        assertThatThrownBy(() -> changed(before, BODY, on(BODY, ASIDE)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("based on itself");
        assertThatThrownBy(() -> changed(before, BODY, on(BODY, BODY)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("based on itself");
    }

    @Test
    void a_change_of_the_basis_is_one_step_back() {
        Publication before = publication();
        Edited edited =
                Editing.edit(
                        before,
                        new LookEdit.ChangeLook(
                                BODY.withColor(Tinted.full(SIGNAL.id())), Optional.of(BODY)));
        assertThat(look(edited.publication(), ASIDE).color().swatch()).isEqualTo(SIGNAL.id());
        assertThat(edited.patch().inverse().applyTo(edited.publication())).isEqualTo(before);
    }

    @Test
    void looks_of_characters_are_based_on_each_other_likewise() {
        UUID strong = id("strong");
        CharacterLook base = new CharacterLook(strong, "Strong").withWeight(Optional.of(700));
        CharacterLook loud =
                new CharacterLook(id("loud"), "Loud")
                        .withColor(Optional.of(Tinted.full(SIGNAL.id())))
                        .withBasis(Optional.of(new Basis(strong, Set.of("color"))));
        Publication publication = Sample.publication();
        for (CharacterLook each : Stream.of(base, loud).toList()) {
            publication = edited(publication, new CharacterLookEdit.AddCharacterLook(each));
        }
        assertThat(publication.characterLook(loud.id()).weight()).contains(700);
        Publication after =
                edited(
                        publication,
                        new CharacterLookEdit.ChangeCharacterLook(
                                base.withWeight(Optional.of(600)).withItalic(Optional.of(true)),
                                Optional.of(base)));
        assertThat(after.characterLook(loud.id()).weight()).contains(600);
        assertThat(after.characterLook(loud.id()).italic()).contains(true);
        assertThat(after.characterLook(loud.id()).color()).isPresent();
        Publication gone =
                edited(after, new CharacterLookEdit.RemoveCharacterLook(strong, Optional.empty()));
        assertThat(gone.characterLook(loud.id()).basis()).isEmpty();
        assertThat(gone.characterLook(loud.id()).weight()).contains(600);
    }
}
