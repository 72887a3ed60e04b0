package yewberry.core.edit;

import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;

/** Applies edits of looks. */
final class LookEdits {
    private LookEdits() {}

    static Publication apply(Publication on, LookEdit edit) {
        return switch (edit) {
            case LookEdit.AddLook(var look) -> on.withLooks(on.looks().plus(look));
            case LookEdit.ChangeLook(var look, var was) ->
                    on.withLooks(
                            on.looks()
                                    .changed(
                                            on.look(look.id()).id(),
                                            each -> Merging.onto(each, look, was)));
            case LookEdit.RemoveLook remove -> remove(on, remove);
        };
    }

    private static Publication remove(Publication on, LookEdit.RemoveLook remove) {
        Look gone = on.look(remove.look());
        return new Replacing(gone.id(), remove.replacement())
                .in(
                        on,
                        on.withLooks(on.looks().without(gone.id())),
                        (without, id) -> without.look(id).id(),
                        uses ->
                                "The look “%s” is used in %s; choose the look that takes its place."
                                        .formatted(gone.name(), uses));
    }
}
