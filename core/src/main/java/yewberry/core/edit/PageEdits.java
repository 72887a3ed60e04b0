package yewberry.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.edit.PageEdit.AddPages;
import yewberry.core.edit.PageEdit.MovePages;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;

/** Applies edits of pages. */
final class PageEdits {
    private PageEdits() {}

    static Publication apply(Publication on, PageEdit edit) {
        return switch (edit) {
            case AddPages add ->
                    insert(
                            on,
                            add.after(),
                            add.pages().stream()
                                    .map(id -> new Page(id, add.parent(), true, Layer.EMPTY))
                                    .toList());
            case PageEdit.AddImported add -> insert(on, add.after(), imported(on, add));
            case PageEdit.SizePages(List<UUID> pages, Optional<PageSize> size) ->
                    change(on, pages, page -> page.withSize(size));
            case MovePages move -> move(on, move);
            case PageEdit.RemovePages(List<UUID> pages) -> remove(on, pages);
            case PageEdit.AssignParent(List<UUID> pages, Optional<UUID> parent) ->
                    change(on, pages, page -> page.withParent(parent));
            case PageEdit.ShowParent(List<UUID> pages, boolean shown) ->
                    change(on, pages, page -> page.withParentShown(shown));
            case PageEdit.NamePart(UUID first, Optional<String> name) ->
                    change(on, List.of(first), page -> page.withPart(name));
        };
    }

    private static List<Page> imported(Publication on, PageEdit.AddImported add) {
        Asset asset = on.asset(add.asset());
        List<Page> pages = new ArrayList<>();
        for (UUID id : add.pages()) {
            Imported of = new Imported(asset.id(), add.first() + pages.size());
            pages.add(
                    new Page(id, add.parent(), true, Layer.EMPTY)
                            .withSize(Optional.of(of.sizeIn(asset)))
                            .withImported(Optional.of(of)));
        }
        return pages;
    }

    private static Publication insert(Publication on, Optional<UUID> after, List<Page> added) {
        if (added.isEmpty()) {
            throw new Refused("Add one page or more.");
        }
        int at = after.map(page -> on.indexOf(page) + 1).orElse(0);
        Lists.refuseTwice(added, Page::id);
        added.forEach(on.pages()::refuse);
        List<Page> pages = new ArrayList<>(on.pages());
        pages.addAll(at, added);
        return on.withPages(pages);
    }

    private static Publication move(Publication on, MovePages move) {
        Set<UUID> moved = known(on, move.pages());
        if (move.after().filter(moved::contains).isPresent()) {
            throw new Refused(
                    "Pages cannot be moved behind one of themselves; choose another place.");
        }
        List<Page> staying =
                new ArrayList<>(
                        on.pages().stream().filter(page -> !moved.contains(page.id())).toList());
        int at = move.after().map(after -> staying.indexOf(on.page(after)) + 1).orElse(0);
        staying.addAll(at, on.pages().stream().filter(page -> moved.contains(page.id())).toList());
        return on.withPages(staying);
    }

    private static Publication remove(Publication on, List<UUID> pages) {
        Set<UUID> removed = known(on, pages);
        if (removed.size() == on.pages().size()) {
            throw new Refused("A publication keeps at least one page; leave one of these.");
        }
        List<Page> staying = new ArrayList<>();
        List<TextFrame> gone = new ArrayList<>();
        Optional<String> begun = Optional.empty();
        for (Page page : on.pages()) {
            if (removed.contains(page.id())) {
                gone.addAll(page.layer().textFrames());
                begun = page.part().isPresent() ? page.part() : begun;
            } else {
                // a part whose first page goes begins with the next one that stays
                boolean takesOver = begun.isPresent() && page.part().isEmpty();
                staying.add(takesOver ? page.withPart(begun) : page);
                begun = Optional.empty();
            }
        }
        return FrameEdits.withoutFrames(on.withPages(staying), gone);
    }

    static Publication change(Publication on, List<UUID> pages, UnaryOperator<Page> change) {
        Set<UUID> changed = known(on, pages);
        return on.withPages(
                Lists.replacedWhere(on.pages(), page -> changed.contains(page.id()), change));
    }

    private static Set<UUID> known(Publication on, List<UUID> pages) {
        Set<UUID> ids = new HashSet<>(pages);
        if (ids.isEmpty()) {
            throw new Refused("No page is chosen; choose at least one.");
        }
        ids.forEach(on::indexOf);
        return ids;
    }
}
