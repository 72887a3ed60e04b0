package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;

/** Pages stay what they are for others, however many states were looked at in between. */
class KeysTest {
    @Test
    void many_trials_do_not_make_other_pages_look_changed() {
        Publication before =
                Sample.withPage(
                        new Layer(
                                List.of(wholePage("g", NIGHT)),
                                List.of(frame("f", 10, 10, 100, 40, BODY, "One"))));
        Composer composer = new Composer(PressCondition.coated());
        composer.compose(before, 0);
        for (int size = 5; size < 15; size++) {
            Edit edit = new LookEdit.ChangeLook(BODY.withSize(Length.pt(size)), Optional.of(BODY));
            composer.compose(Editing.edit(before, edit).publication(), 0);
            composer.key(before, 0);
        }
        Publication other =
                Editing.edit(before, new SwatchEdit.RenameSwatch(WHITE.id(), "Chalk"))
                        .publication();
        assertThat(composer.key(other, 0)).isSameAs(composer.key(before, 0));
        Publication changed =
                Editing.edit(
                                before,
                                new StoryEdit.ColorRun(
                                        id("run f 0"), Optional.of(Tinted.full(WHITE.id()))))
                        .publication();
        assertThat(composer.key(changed, 0)).isNotSameAs(composer.key(before, 0));
    }
}
