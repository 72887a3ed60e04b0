package yewberry.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.color.Definition;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;

/** Applies edits of swatches. */
final class SwatchEdits {
    private SwatchEdits() {}

    static Publication apply(Publication on, SwatchEdit edit) {
        return switch (edit) {
            case SwatchEdit.AddSwatch(var swatch) -> on.withSwatches(on.swatches().plus(swatch));
            case SwatchEdit.ChangeSwatch(UUID id, Definition definition, var was) ->
                    change(
                            on,
                            id,
                            swatch ->
                                    swatch.withDefinition(
                                            Merging.onto(swatch.definition(), definition, was)));
            case SwatchEdit.MoveSwatch move -> move(on, move);
            case SwatchEdit.RenameSwatch(UUID id, String name) ->
                    change(on, id, swatch -> swatch.withName(name));
            case SwatchEdit.RemoveSwatch remove -> remove(on, remove);
        };
    }

    private static Publication change(Publication on, UUID id, UnaryOperator<Swatch> change) {
        return on.withSwatches(on.swatches().changed(on.swatch(id).id(), change));
    }

    private static Publication move(Publication on, SwatchEdit.MoveSwatch move) {
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

    private static Publication remove(Publication on, SwatchEdit.RemoveSwatch remove) {
        Swatch gone = on.swatch(remove.swatch());
        return new Replacing(gone.id(), remove.replacement())
                .in(
                        on,
                        on.withSwatches(on.swatches().without(gone.id())),
                        (without, id) -> without.swatch(id).id(),
                        uses ->
                                "“%s” is used in %s; choose the swatch that takes its place."
                                        .formatted(gone.name(), uses));
    }
}
