package yewberry.core.edit;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.color.Palette;
import yewberry.core.color.Swatch;
import yewberry.core.edit.Element.*;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.publication.Uses;
import yewberry.core.text.FontLibrary;

/** Holds what an edit changed against the rest: nothing may refer to what is not there. */
final class Integrity {
    private final Publication after;

    private Integrity(Publication after) {
        this.after = after;
    }

    static void check(Publication after, Patch patch) {
        Integrity integrity = new Integrity(after);
        if (patch.changes().stream()
                .flatMap(change -> change.after().stream())
                .anyMatch(placed -> placed.element() instanceof OneSwatch)) {
            Palette.refuseCycles(after.swatches());
        }
        Set<UUID> bases = new HashSet<>();
        for (Change change : patch.changes()) {
            change.after().ifPresent(placed -> integrity.check(placed.element()));
            if (change.after().isEmpty()) {
                bases.add(change.id());
            }
        }
        if (!bases.isEmpty()) {
            integrity.checkUnused(bases);
        }
    }

    private void check(Element element) {
        switch (element) {
            case WholePublication whole -> {}
            case OneSwatch(Swatch swatch) -> check(swatch);
            case OneParent parent -> after.chain(Optional.of(parent.id()));
            case OneAsset(Asset asset) -> placings(asset);
            case OneRecipe recipe -> {}
            case OneLook(Look look) -> {
                FontLibrary.face(look.family(), look.weight());
                after.swatch(look.color().swatch());
            }
            case OnePage page -> page.parent().ifPresent(after::parent);
            case OneBackground(Owner owner, Background background) -> {
                after.layer(owner);
                background.fill().colors().forEach(color -> after.swatch(color.swatch()));
                check(background.fill());
                background.madeBy().ifPresent(made -> after.recipe(made.recipe()));
            }
            case OneFrame(Owner owner, TextFrame frame) -> {
                after.layer(owner);
                check(frame);
            }
        }
    }

    private void check(Fill fill) {
        switch (fill) {
            case Fill.None none -> {}
            case Fill.Solid solid -> {}
            case Fill.Gradient gradient -> {}
            case Fill.Picture picture -> {
                Asset asset = after.asset(picture.asset());
                if (asset.content() instanceof Asset.Document) {
                    throw new Refused(
                            "“%s” is a PDF; place one of its pages instead."
                                    .formatted(asset.name()));
                }
            }
            case Fill.PdfPage(UUID id, int number, Placing placing) -> {
                Asset asset = after.asset(id);
                if (!(asset.content() instanceof Asset.Document document)) {
                    throw new Refused(
                            "“%s” is a picture and has no pages; place it as a picture."
                                    .formatted(asset.name()));
                }
                if (number < 1 || number > document.pages().size()) {
                    throw new Refused(
                            "“%s” has no page %d; it has pages 1 to %d."
                                    .formatted(asset.name(), number, document.pages().size()));
                }
            }
        }
    }

    /** What is placed of a file must be in it, also after another one took its place. */
    private void placings(Asset asset) {
        after.layers()
                .flatMap(layer -> layer.backgrounds().stream())
                .map(Background::fill)
                .filter(fill -> fill.madeFrom().filter(asset.id()::equals).isPresent())
                .forEach(this::check);
    }

    private void check(Swatch swatch) {
        swatch.definition().bases().forEach(after::swatch);
        boolean twice =
                swatch.definition() instanceof Definition.SpotInk
                        && after.swatches().stream()
                                .anyMatch(other ->
                                        !other.id().equals(swatch.id())
                                                && other.definition() instanceof Definition.SpotInk
                                                && other.name().equals(swatch.name()));
        if (twice) {
            throw new Refused(
                    "There is a spot colour “%s” already, and two inks of one name would be one plate; give it another name."
                            .formatted(swatch.name()));
        }
    }

    private void check(TextFrame frame) {
        frame.paragraphs().stream().map(Paragraph::look).distinct().forEach(after::look);
        frame.paragraphs().stream()
                .flatMap(paragraph -> paragraph.runs().stream())
                .map(run -> run.color())
                .flatMap(Optional::stream)
                .map(Tinted::swatch)
                .distinct()
                .forEach(after::swatch);
    }

    private void checkUnused(Set<UUID> removed) {
        Uses uses = Uses.of(after);
        Set<UUID> used =
                removed.stream()
                        .filter(id ->
                                uses.swatch(id)
                                                + uses.look(id)
                                                + uses.parent(id)
                                                + uses.asset(id)
                                                + uses.recipe(id)
                                        > 0)
                        .collect(Collectors.toSet());
        if (!used.isEmpty()) {
            throw new Refused(
                    "Something that this step would remove is in use by now; choose what takes its"
                            + " place instead.");
        }
    }
}
