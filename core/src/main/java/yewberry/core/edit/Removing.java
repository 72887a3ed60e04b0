package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.edit.Edit.RemoveAsset;
import yewberry.core.edit.Edit.RemoveLook;
import yewberry.core.edit.Edit.RemoveParent;
import yewberry.core.edit.Edit.RemoveSwatch;
import yewberry.core.publication.Page;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/** Takes things with a name out of a publication; what used them gets another one. */
final class Removing {
    private Removing() {}

    static Publication parent(Publication on, RemoveParent remove) {
        Parent gone = on.parent(remove.parent());
        refuseSame(remove.parent(), remove.replacement());
        List<Page> pages =
                Editing.replacedWhere(
                        on.pages(),
                        page -> page.parent().equals(Optional.of(gone.id())),
                        page -> page.withParent(remove.replacement()));
        List<Parent> parents =
                Editing.replacedWhere(
                        on.parents(),
                        parent -> parent.base().equals(Optional.of(gone.id())),
                        parent -> parent.withBase(remove.replacement()));
        return on.withPages(pages)
                .withParents(
                        parents.stream().filter(each -> !each.id().equals(gone.id())).toList());
    }

    static Publication swatch(Publication on, RemoveSwatch remove) {
        var gone = on.swatch(remove.swatch());
        refuseSame(remove.swatch(), remove.replacement());
        Publication without = on.withSwatches(on.swatches().without(gone.id()));
        int uses = Uses.of(on).of(gone.id());
        if (uses == 0) {
            return without;
        }
        UUID replacement =
                needed(
                        remove.replacement(),
                        "“%s” is used in %s; choose the swatch that takes its place.",
                        gone.name(),
                        uses);
        return without.withReference(gone.id(), without.swatch(replacement).id());
    }

    static Publication look(Publication on, RemoveLook remove) {
        var gone = on.look(remove.look());
        refuseSame(remove.look(), remove.replacement());
        Publication without = on.withLooks(on.looks().without(gone.id()));
        int uses = Uses.of(on).of(gone.id());
        if (uses == 0) {
            return without;
        }
        UUID replacement =
                needed(
                        remove.replacement(),
                        "The look “%s” is used in %s; choose the look that takes its place.",
                        gone.name(),
                        uses);
        return without.withReference(gone.id(), without.look(replacement).id());
    }

    static Publication asset(Publication on, RemoveAsset remove) {
        var gone = on.asset(remove.asset());
        refuseSame(remove.asset(), remove.replacement());
        Publication without = on.withAssets(on.assets().without(gone.id()));
        int uses = Uses.of(on).of(gone.id());
        if (uses == 0) {
            return without;
        }
        UUID replacement =
                needed(
                        remove.replacement(),
                        "“%s” is placed in %s; choose what takes its place.",
                        gone.name(),
                        uses);
        return without.withReference(gone.id(), without.asset(replacement).id());
    }

    /**
     * @param refusal with a place for the name of what is removed and one for where it is used
     */
    private static UUID needed(Optional<UUID> replacement, String refusal, String name, int uses) {
        return replacement.orElseThrow(() -> new Refused(refusal.formatted(name, places(uses))));
    }

    private static String places(int count) {
        return count == 1 ? "1 place" : count + " places";
    }

    private static void refuseSame(UUID removed, Optional<UUID> replacement) {
        if (replacement.filter(removed::equals).isPresent()) {
            throw new Refused("What is removed cannot replace itself; choose another one.");
        }
    }
}
