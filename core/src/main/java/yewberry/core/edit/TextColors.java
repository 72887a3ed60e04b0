package yewberry.core.edit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Element;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Page;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Reference;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

/** A legible colour is for text: it has no colour of its own that anything else could have. */
final class TextColors {
    private TextColors() {}

    /**
     * @throws Refused if something that is no text is coloured with one
     */
    static void check(Publication after, Patch patch) {
        Map<UUID, Swatch> legible = new HashMap<>();
        after.swatches().stream()
                .filter(each -> each.definition() instanceof Definition.Legible)
                .forEach(each -> legible.put(each.id(), each));
        if (legible.isEmpty()) {
            return;
        }
        boolean becomes =
                patch.changes().stream()
                        .anyMatch(change ->
                                legible.containsKey(change.id())
                                        && change.before()
                                                .filter(placed ->
                                                        placed.element() instanceof Swatch was
                                                                && !(was.definition()
                                                                        instanceof
                                                                        Definition.Legible))
                                                .isPresent());
        Stream<Element> changed =
                becomes
                        ? all(after)
                        : patch.changes().stream()
                                .flatMap(change -> change.after().stream())
                                .map(Change.Placed::element);
        changed.flatMap(TextColors::notOfText)
                .filter(legible::containsKey)
                .findFirst()
                .ifPresent(id -> {
                    throw new Refused(
                            "“%s” is a legible colour, which is for text only; choose another swatch."
                                    .formatted(legible.get(id).name()));
                });
    }

    private static Stream<Element> all(Publication in) {
        return Stream.of(
                        in.swatches().stream(),
                        in.looks().stream(),
                        in.characterLooks().stream(),
                        in.assets().stream(),
                        in.stories().stream().flatMap(story -> story.paragraphs().stream()),
                        in.layers().flatMap(layer -> layer.backgrounds().stream()),
                        in.layers().flatMap(layer -> layer.frames().stream()))
                .flatMap(each -> each)
                .map(Element.class::cast);
    }

    /** The swatches that anything but the text itself has. */
    private static Stream<UUID> notOfText(Element element) {
        return switch (element) {
            case Swatch swatch -> swatch.definition().bases().stream();
            case Background background -> swatches(background.fill().colors());
            case Look look -> Stream.concat(ofOutline(look.outline()), ofPanel(look.panel()));
            case CharacterLook look ->
                    Stream.concat(
                            ofOutline(look.outline()),
                            look.highlight().stream().map(each -> each.color().swatch()));
            case Paragraph paragraph -> ofPanel(paragraph.panel());
            case PictureFrame frame -> swatches(frame.fill().colors());
            case TextFrame frame ->
                    frame.band().stream().flatMap(band -> swatches(band.fill().colors()));
            case Asset asset -> asset.references().stream().map(Reference::id);
            case Heading _, Page _, Parent _, Recipe _, Story _, Exemption _ -> Stream.empty();
        };
    }

    private static Stream<UUID> ofOutline(Optional<Outline> outline) {
        return outline.stream().map(line -> line.color().swatch());
    }

    private static Stream<UUID> ofPanel(Optional<Panel> panel) {
        return panel.stream().flatMap(each -> each.references().stream()).map(Reference::id);
    }

    private static Stream<UUID> swatches(List<Tinted> colors) {
        return colors.stream().map(Tinted::swatch);
    }
}
