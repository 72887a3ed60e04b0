package yewberry.core.edit;

import java.util.List;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;

/** Applies edits of looks. */
final class LookEdits {
    private LookEdits() {}

    static Publication apply(Publication on, LookEdit edit) {
        return switch (edit) {
            case LookEdit.AddLook(var look) ->
                    on.withLooks(Inheritance.OF_PARAGRAPHS.plus(on.looks(), look));
            case LookEdit.ChangeLook(var look, var was) ->
                    on.withLooks(
                            Inheritance.OF_PARAGRAPHS.changed(
                                    on.looks(),
                                    uncircled(on, Merging.onto(on.look(look.id()), look, was))));
            case LookEdit.TakeIntoLook(var id, var setting, var type) -> {
                Look look = on.look(id);
                Look set = setting.map(each -> each.on(look)).orElse(look);
                yield on.withLooks(
                        Inheritance.OF_PARAGRAPHS.changed(
                                on.looks(), type.map(each -> each.on(set)).orElse(set)));
            }
            case LookEdit.RemoveLook remove -> remove(on, remove);
        };
    }

    private static Look uncircled(Publication on, Look look) {
        Inheritance.OF_PARAGRAPHS.refuseCircle(on.looks(), look);
        return look;
    }

    private static Publication remove(Publication on, LookEdit.RemoveLook remove) {
        Look gone = on.look(remove.look());
        List<Look> left = Inheritance.OF_PARAGRAPHS.without(on.looks(), gone);
        return new Replacing(gone.id(), remove.replacement())
                .in(
                        on.withLooks(Lists.plus(left, Look::id, gone)),
                        on.withLooks(left),
                        (without, id) -> without.look(id).id(),
                        uses ->
                                "The look “%s” is used in %s; choose the look that takes its place."
                                        .formatted(gone.name(), uses));
    }
}
