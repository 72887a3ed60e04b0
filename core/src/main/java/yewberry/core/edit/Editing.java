package yewberry.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.edit.Edit.*;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;

/** Applies edits. Everything here is a pure function of the publication and the edit. */
public final class Editing {
    private Editing() {}

    /**
     * The publication after an edit, and what the edit changed.
     *
     * @throws Refused if the edit is not possible; the message says why and what to do
     */
    public static Edited edit(Publication before, Edit edit) {
        return Edited.checked(before, apply(before, edit));
    }

    private static Publication apply(Publication on, Edit edit) {
        return switch (edit) {
            case Several several -> {
                Publication result = on;
                for (Edit each : several.edits()) {
                    result = apply(result, each);
                }
                yield result;
            }
            case RenamePublication(String name) -> on.withName(name);
            case ChangeSetup change -> on.withSetup(change.setup());
            case AddPages add -> PageEdits.add(on, add);
            case SizePages size ->
                    PageEdits.change(on, size.pages(), page -> page.withSize(size.size()));
            case MovePages move -> PageEdits.move(on, move);
            case RemovePages(List<UUID> pages) -> PageEdits.remove(on, pages);
            case AssignParent assign ->
                    PageEdits.change(on, assign.pages(), page -> page.withParent(assign.parent()));
            case ShowParent show ->
                    PageEdits.change(on, show.pages(), page -> page.withParentShown(show.shown()));
            case AddParent add ->
                    on.withParents(
                            on.parents()
                                    .plus(
                                            new Parent(
                                                    add.parent(),
                                                    add.name(),
                                                    add.base(),
                                                    Layer.EMPTY)));
            case SetParentBase change ->
                    on.withParents(
                            on.parents()
                                    .changed(
                                            on.parent(change.parent()).id(),
                                            parent -> parent.withBase(change.base())));
            case RenameParent rename ->
                    on.withParents(
                            on.parents()
                                    .changed(
                                            on.parent(rename.parent()).id(),
                                            parent -> parent.withName(rename.name())));
            case RemoveParent remove -> Removing.parent(on, remove);
            case AddSwatch(var swatch) -> on.withSwatches(on.swatches().plus(swatch));
            case ChangeSwatch change ->
                    on.withSwatches(
                            on.swatches()
                                    .changed(
                                            on.swatch(change.swatch()).id(),
                                            swatch -> swatch.withDefinition(change.definition())));
            case MoveSwatch move -> moveSwatch(on, move);
            case RenameSwatch rename ->
                    on.withSwatches(
                            on.swatches()
                                    .changed(
                                            on.swatch(rename.swatch()).id(),
                                            swatch -> swatch.withName(rename.name())));
            case RemoveSwatch remove -> Removing.swatch(on, remove);
            case AddLook(var look) -> on.withLooks(on.looks().plus(look));
            case ChangeLook(var look) ->
                    on.withLooks(on.looks().changed(on.look(look.id()).id(), each -> look));
            case RemoveLook remove -> Removing.look(on, remove);
            case AddAsset(var asset) -> on.withAssets(on.assets().plus(asset));
            case RenameAsset rename ->
                    on.withAssets(
                            on.assets()
                                    .changed(
                                            on.asset(rename.asset()).id(),
                                            asset -> asset.withName(rename.name())));
            case ReplaceAsset replace ->
                    on.withAssets(
                            on.assets()
                                    .changed(
                                            on.asset(replace.asset()).id(),
                                            asset ->
                                                    new Asset(
                                                            asset.id(),
                                                            asset.name(),
                                                            replace.sha256(),
                                                            replace.content())));
            case RemoveAsset remove -> Removing.asset(on, remove);
            case ClearBackgrounds(List<UUID> pages) ->
                    PageEdits.change(
                            on,
                            pages,
                            page -> page.withLayer(page.layer().withBackgrounds(List.of())));
            case NamePart part ->
                    PageEdits.change(on, List.of(part.page()), page -> page.withPart(part.name()));
            case SaveRecipe save -> Recipes.save(on, save);
            case AddRecipe(var recipe) -> on.withRecipes(on.recipes().plus(recipe));
            case RenameRecipe rename ->
                    on.withRecipes(
                            on.recipes()
                                    .changed(
                                            on.recipe(rename.recipe()).id(),
                                            recipe -> recipe.withName(rename.name())));
            case ApplyRecipe apply -> Recipes.apply(on, apply);
            case TakeOffRecipe takeOff -> Recipes.takeOff(on, takeOff.recipe(), takeOff.owners());
            case RemoveRecipe remove -> Recipes.remove(on, remove);
            case AddBackground add -> {
                sidesFit(add.owner(), add.background().sides());
                yield changeBackgrounds(
                        on, add.owner(), stack -> plus(stack, each -> each.id(), add.background()));
            }
            case ChangeBackground(var background) -> {
                Owner owner = OwnerLookup.ownerOfBackground(on, background.id());
                sidesFit(owner, background.sides());
                yield changeBackgrounds(
                        on,
                        owner,
                        stack ->
                                replacedWhere(
                                        stack,
                                        each -> each.id().equals(background.id()),
                                        each -> background));
            }
            case RestackBackground restack -> restack(on, restack);
            case RemoveBackground(UUID background) ->
                    changeBackgrounds(
                            on,
                            OwnerLookup.ownerOfBackground(on, background),
                            stack ->
                                    stack.stream()
                                            .filter(each -> !each.id().equals(background))
                                            .toList());
            case AddFrame add -> addFrame(on, add);
            case PlaceFrame place -> {
                sidesFit(OwnerLookup.ownerOfFrame(on, place.frame()), place.sides());
                yield changeFrame(
                        on,
                        place.frame(),
                        frame ->
                                new TextFrame(
                                        frame.id(),
                                        place.sides(),
                                        place.box(),
                                        frame.paragraphs()));
            }
            case RemoveFrame(UUID frame) ->
                    changeLayer(
                            on,
                            OwnerLookup.ownerOfFrame(on, frame),
                            layer ->
                                    layer.withFrames(
                                            layer.frames().stream()
                                                    .filter(each -> !each.id().equals(frame))
                                                    .toList()));
            case WriteText write ->
                    changeFrame(on, write.frame(), frame -> Writing.write(frame, write));
            case ColorRun color -> colorRun(on, color);
        };
    }

    private static Publication moveSwatch(Publication on, MoveSwatch move) {
        Swatch moved = on.swatch(move.swatch());
        if (move.after().equals(Optional.of(move.swatch()))) {
            return on;
        }
        List<Swatch> swatches = new ArrayList<>(on.swatches());
        swatches.remove(moved);
        int at = move.after().map(after -> swatches.indexOf(on.swatch(after)) + 1).orElse(0);
        swatches.add(at, moved);
        return on.withSwatches(swatches);
    }

    /** Changes a stack of backgrounds, and with that of a recipe what it put elsewhere. */
    private static Publication changeBackgrounds(
            Publication on, Owner owner, UnaryOperator<List<Background>> change) {
        Publication changed =
                changeLayer(
                        on,
                        owner,
                        layer -> layer.withBackgrounds(change.apply(layer.backgrounds())));
        return Recipes.followed(on, changed, owner);
    }

    private static Publication restack(Publication on, RestackBackground restack) {
        return changeBackgrounds(
                on,
                OwnerLookup.ownerOfBackground(on, restack.background()),
                before -> {
                    var stack = new ArrayList<>(before);
                    int from = 0;
                    while (!stack.get(from).id().equals(restack.background())) {
                        from++;
                    }
                    var moved = stack.remove(from);
                    stack.add(Math.clamp((long) from + restack.steps(), 0, stack.size()), moved);
                    return stack;
                });
    }

    private static Publication addFrame(Publication on, AddFrame add) {
        sidesFit(add.owner(), add.sides());
        Paragraph first =
                new Paragraph(
                        add.paragraph(),
                        add.look(),
                        List.of(new Run(Writing.firstRun(add.paragraph()), "", Optional.empty())));
        TextFrame frame = new TextFrame(add.frame(), add.sides(), add.box(), List.of(first));
        return changeLayer(
                on,
                add.owner(),
                layer -> layer.withFrames(plus(layer.frames(), TextFrame::id, frame)));
    }

    private static Publication colorRun(Publication on, ColorRun color) {
        return changeFrame(
                on,
                OwnerLookup.frameOfRun(on, color.run()),
                frame ->
                        frame.withParagraphs(
                                frame.paragraphs().stream()
                                        .map(paragraph -> colored(paragraph, color))
                                        .toList()));
    }

    private static Paragraph colored(Paragraph paragraph, ColorRun color) {
        return paragraph.withRuns(
                replacedWhere(
                        paragraph.runs(),
                        run -> run.id().equals(color.run()),
                        run -> run.withColor(color.color())));
    }

    private static void sidesFit(Owner owner, Sides sides) {
        if (owner instanceof Owner.OnPage && sides != Sides.BOTH) {
            throw new Refused(
                    "Only what is on a parent can be kept to left or right pages; this is on a"
                            + " page.");
        }
    }

    private static Publication changeFrame(
            Publication on, UUID frame, UnaryOperator<TextFrame> change) {
        return changeLayer(
                on,
                OwnerLookup.ownerOfFrame(on, frame),
                layer ->
                        layer.withFrames(
                                replacedWhere(
                                        layer.frames(), each -> each.id().equals(frame), change)));
    }

    private static Publication changeLayer(
            Publication on, Owner owner, UnaryOperator<Layer> change) {
        return on.withLayers(Map.of(owner, change));
    }

    private static <T> List<T> plus(List<T> list, Function<T, UUID> id, T added) {
        List<T> longer = new ArrayList<>(list);
        longer.add(added);
        refuseTwice(longer, id);
        return longer;
    }

    static <T> void refuseTwice(List<T> list, Function<T, UUID> id) {
        if (list.stream().map(id).distinct().count() < list.size()) {
            throw new Refused("This was added already; reload to see it.");
        }
    }

    static <T> List<T> replacedWhere(
            List<T> list, java.util.function.Predicate<T> where, UnaryOperator<T> change) {
        return list.stream().map(each -> where.test(each) ? change.apply(each) : each).toList();
    }
}
