package yewberry.core.edit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Element;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;

/**
 * Holds ids that come in against those that are there: each stands for one thing, wherever it lies.
 */
final class FreshIds {
    private FreshIds() {}

    /**
     * @throws Refused if something that is added has the id of something else
     */
    static void check(Publication before, Patch patch) {
        Set<UUID> fresh = new HashSet<>();
        for (Change change : patch.changes()) {
            List<UUID> were =
                    change.before().map(placed -> ids(placed.element())).orElse(List.of());
            Set<UUID> known = new HashSet<>(were);
            Stream<UUID> added =
                    change.after().stream()
                            .flatMap(placed -> ids(placed.element()).stream())
                            .filter(id -> !known.contains(id));
            if (!added.allMatch(fresh::add)) {
                throw twice();
            }
        }
        if (fresh.isEmpty()) {
            return;
        }
        Stream.concat(
                        before.layers().flatMap(FreshIds::ids),
                        before.stories().stream().flatMap(FreshIds::ids))
                .filter(fresh::contains)
                .findAny()
                .ifPresent(id -> {
                    throw twice();
                });
    }

    private static Stream<UUID> ids(Layer layer) {
        return Stream.concat(
                layer.backgrounds().stream().map(Background::id),
                layer.frames().stream().map(Frame::id));
    }

    private static Stream<UUID> ids(Story story) {
        return Stream.concat(
                Stream.of(story.id()),
                story.paragraphs().stream().flatMap(paragraph -> ids(paragraph).stream()));
    }

    /** Those of what lies on something and of text; the others are held against their own list. */
    private static List<UUID> ids(Element element) {
        return switch (element) {
            case Background background -> List.of(background.id());
            case Frame frame -> List.of(frame.id());
            case Story story -> List.of(story.id());
            case Paragraph paragraph -> ids(paragraph);
            case Heading _,
                    Swatch _,
                    Look _,
                    CharacterLook _,
                    Asset _,
                    Page _,
                    Parent _,
                    Recipe _,
                    Exemption _ ->
                    List.of();
        };
    }

    private static List<UUID> ids(Paragraph paragraph) {
        return Stream.concat(Stream.of(paragraph.id()), paragraph.runs().stream().map(Run::id))
                .toList();
    }

    private static Refused twice() {
        return new Refused("This was added already; reload to see it.");
    }
}
