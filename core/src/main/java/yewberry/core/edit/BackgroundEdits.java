package yewberry.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.publication.Background;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;

/** Applies edits of backgrounds; of a recipe's own, what it put elsewhere changes too. */
final class BackgroundEdits {
    private BackgroundEdits() {}

    static Publication apply(Publication on, BackgroundEdit edit) {
        return switch (edit) {
            case BackgroundEdit.ClearBackgrounds(List<UUID> pages) ->
                    PageEdits.change(
                            on,
                            pages,
                            page -> page.withLayer(page.layer().withBackgrounds(List.of())));
            case BackgroundEdit.AddBackground(Owner owner, Background background) -> {
                OwnerLookup.sidesFit(owner, background.sides());
                yield change(on, owner, stack -> Lists.plus(stack, Background::id, background));
            }
            case BackgroundEdit.ChangeBackground(Background background, var was) ->
                    changed(
                            on,
                            background.id(),
                            each -> Merging.onto(each, background, was, Set.of()));
            case BackgroundEdit.ChangeBackgrounds many -> {
                Publication result = on;
                for (UUID background : many.backgrounds()) {
                    result = changed(result, background, each -> changed(each, many));
                }
                yield result;
            }
            case BackgroundEdit.RestackBackground(UUID background, int steps) ->
                    change(
                            on,
                            OwnerLookup.ownerOfBackground(on, background),
                            stack -> restacked(stack, background, steps));
            case BackgroundEdit.RemoveBackground(UUID background) ->
                    change(
                            on,
                            OwnerLookup.ownerOfBackground(on, background),
                            stack ->
                                    stack.stream()
                                            .filter(each -> !each.id().equals(background))
                                            .toList());
        };
    }

    private static Publication changed(
            Publication on, UUID background, UnaryOperator<Background> change) {
        Owner owner = OwnerLookup.ownerOfBackground(on, background);
        return change(
                on,
                owner,
                stack ->
                        Lists.replacedWhere(
                                stack,
                                each -> each.id().equals(background),
                                each -> {
                                    Background made = change.apply(each);
                                    OwnerLookup.sidesFit(owner, made.sides());
                                    return made;
                                }));
    }

    /** It keeps its id and what it is a use of, whatever the edit says. */
    private static Background changed(Background each, BackgroundEdit.ChangeBackgrounds many) {
        Background was = many.was().withId(each.id()).withMadeBy(each.madeBy());
        Background made = many.background().withId(each.id()).withMadeBy(each.madeBy());
        return Merging.onto(each, made, Optional.of(was), many.also());
    }

    private static Publication change(
            Publication on, Owner owner, UnaryOperator<List<Background>> change) {
        Publication changed =
                OwnerLookup.changeLayer(
                        on,
                        owner,
                        layer -> layer.withBackgrounds(change.apply(layer.backgrounds())));
        return Recipes.followed(on, changed, owner);
    }

    private static List<Background> restacked(List<Background> before, UUID background, int steps) {
        List<Background> stack = new ArrayList<>(before);
        int from = 0;
        while (!stack.get(from).id().equals(background)) {
            from++;
        }
        Background moved = stack.remove(from);
        stack.add(Math.clamp((long) from + steps, 0, stack.size()), moved);
        return stack;
    }
}
