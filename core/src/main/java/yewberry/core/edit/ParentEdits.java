package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Page;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;

/** Applies edits of parents. */
final class ParentEdits {
    private ParentEdits() {}

    static Publication apply(Publication on, ParentEdit edit) {
        return switch (edit) {
            case ParentEdit.AddParent(UUID parent, String name, Optional<UUID> base) ->
                    on.withParents(on.parents().plus(new Parent(parent, name, base, Layer.EMPTY)));
            case ParentEdit.SetParentBase(UUID id, Optional<UUID> base) ->
                    change(on, id, parent -> parent.withBase(base));
            case ParentEdit.RenameParent(UUID id, String name) ->
                    change(on, id, parent -> parent.withName(name));
            case ParentEdit.RemoveParent remove -> remove(on, remove);
        };
    }

    private static Publication change(Publication on, UUID id, UnaryOperator<Parent> change) {
        return on.withParents(on.parents().changed(on.parent(id).id(), change));
    }

    private static Publication remove(Publication on, ParentEdit.RemoveParent remove) {
        Parent gone = on.parent(remove.parent());
        Lists.refuseSame(remove.parent(), remove.replacement());
        List<Page> pages =
                Lists.replacedWhere(
                        on.pages(),
                        page -> page.parent().equals(Optional.of(gone.id())),
                        page -> page.withParent(remove.replacement()));
        List<Parent> parents =
                Lists.replacedWhere(
                        on.parents(),
                        parent -> parent.base().equals(Optional.of(gone.id())),
                        parent -> parent.withBase(remove.replacement()));
        Publication without =
                on.withPages(pages)
                        .withParents(
                                parents.stream()
                                        .filter(each -> !each.id().equals(gone.id()))
                                        .toList());
        return FrameEdits.withoutFrames(without, gone.layer().textFrames());
    }
}
