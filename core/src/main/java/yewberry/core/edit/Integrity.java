package yewberry.core.edit;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Element;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Limits;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Reference;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
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
                .anyMatch(placed -> placed.element() instanceof Swatch)) {
            Palette.refuseCycles(after.swatches());
        }
        TextColors.check(after, patch);
        Set<UUID> removed = new HashSet<>();
        for (Change change : patch.changes()) {
            change.after().ifPresent(integrity::check);
            if (change.after().isEmpty()) {
                if (isReferredTo(change.element())) {
                    removed.add(change.id());
                }
                if (change.element() instanceof TextFrame frame) {
                    integrity.checkNotInChain(frame);
                }
            }
        }
        if (!removed.isEmpty()) {
            integrity.checkUnused(removed);
        }
    }

    private static boolean isReferredTo(Element element) {
        return switch (element) {
            case Swatch swatch -> true;
            case Look look -> true;
            case CharacterLook look -> true;
            case Asset asset -> true;
            case Parent parent -> true;
            case Recipe recipe -> true;
            case Page page -> false;
            case Background background -> false;
            case Story story -> true;
            case Frame frame -> false;
            case Paragraph paragraph -> false;
            case Heading heading -> false;
            case Exemption exemption -> false;
        };
    }

    private void check(Change.Placed placed) {
        placed.owner().ifPresent(after::require);
        for (Reference each : placed.element().references()) {
            if (!after.holds(each)) {
                throw Publication.gone(each.kind().inWords());
            }
        }
        switch (placed.element()) {
            case Swatch swatch -> check(swatch);
            case Look look -> {
                FontLibrary.check(look.family(), look.weight());
                Inheritance.OF_PARAGRAPHS.refuseCircle(after.looks(), look);
            }
            case CharacterLook look -> {
                look.family().ifPresent(FontLibrary::check);
                Inheritance.OF_CHARACTERS.refuseCircle(after.characterLooks(), look);
            }
            case Asset asset -> placings(asset);
            case Parent parent -> after.chain(Optional.of(parent.id()));
            case Background background -> check(background.fill());
            case Recipe recipe -> {}
            case Page page -> {
                after.setup(page);
                imported(page);
            }
            case Heading heading -> after.pages().forEach(after::setup);
            case PictureFrame frame -> check(frame.fill());
            case TextFrame frame -> {
                if (after.story(frame.story()).place(frame.id()) < 0) {
                    throw apart();
                }
            }
            case Story story -> chain(after.story(story.id()));
            case Paragraph paragraph -> {
                Limits.check(paragraph);
                paragraph.runs().stream()
                        .flatMap(run -> run.local().flatMap(LocalType::family).stream())
                        .forEach(FontLibrary::check);
            }
            case Exemption exemption -> {}
        }
    }

    /** A chain goes once through frames that are there, all on pages or all on one parent. */
    private void chain(Story story) {
        if (story.paragraphs().isEmpty()) {
            throw new Refused("A story keeps at least one paragraph, empty if need be.");
        }
        Set<UUID> frames = new HashSet<>();
        for (Story.Link link : story.chain()) {
            if (!after.frame(link).story().equals(story.id()) || !frames.add(link.frame())) {
                throw apart();
            }
        }
        long parents =
                story.chain().stream()
                        .map(Story.Link::owner)
                        .filter(Owner.OnParent.class::isInstance)
                        .distinct()
                        .count();
        boolean onPages =
                story.chain().stream().anyMatch(link -> link.owner() instanceof Owner.OnPage);
        if (parents > 1 || parents == 1 && onPages) {
            throw new Refused(
                    "Text runs either from page to page or within one parent, because a parent's"
                            + " text is the same on all its pages; choose a frame beside it.");
        }
    }

    private void checkNotInChain(TextFrame gone) {
        if (after.findStory(gone.story()).filter(each -> each.place(gone.id()) >= 0).isPresent()) {
            throw apart();
        }
    }

    private static Refused apart() {
        return new Refused("Its frames were changed meanwhile; reload to see how it runs now.");
    }

    private void check(Fill fill) {
        switch (fill) {
            case Fill.None none -> {}
            case Fill.Solid solid -> {}
            case Fill.Gradient gradient -> {}
            case Fill.Word word -> FontLibrary.check(word.family(), word.weight());
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
                new Imported(id, number).sizeIn(asset);
                if (asset.content() instanceof Asset.Document document && document.encrypted()) {
                    throw new Refused(
                            "“%s” is encrypted, and its pages are not placed in other documents; open it with its pages as pages instead."
                                    .formatted(asset.name()));
                }
            }
        }
    }

    /** What is placed of a file must be in it, also after another one took its place. */
    private void placings(Asset asset) {
        after.layers()
                .flatMap(layer ->
                        Stream.concat(
                                layer.backgrounds().stream().map(Background::fill),
                                layer.pictureFrames().stream().map(PictureFrame::fill)))
                .filter(fill -> fill.madeFrom().filter(asset.id()::equals).isPresent())
                .forEach(this::check);
        after.pages().stream()
                .filter(page ->
                        page.imported().filter(each -> each.asset().equals(asset.id())).isPresent())
                .forEach(this::imported);
    }

    /** The page of a file is as large as it is there. */
    private void imported(Page page) {
        page.imported()
                .ifPresent(file -> {
                    Asset asset = after.asset(file.asset());
                    if (!page.size().equals(Optional.of(file.sizeIn(asset)))) {
                        throw new Refused(
                                "Page %d is page %d of “%s”, and as large as that; its size is not changed here."
                                        .formatted(
                                                after.indexOf(page.id()) + 1,
                                                file.number(),
                                                asset.name()));
                    }
                });
    }

    private void check(Swatch swatch) {
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

    private void checkUnused(Set<UUID> removed) {
        Uses uses = Uses.of(after);
        Set<UUID> used = removed.stream().filter(id -> uses.of(id) > 0).collect(Collectors.toSet());
        if (!used.isEmpty()) {
            throw new Refused(
                    "Something that this step would remove is in use by now; choose what takes its"
                            + " place instead.");
        }
    }
}
