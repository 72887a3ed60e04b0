package yewberry.server.store;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Element;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;

/** Chooses out of one number, again and again, among what a publication has. */
abstract class Choices {
    final Publication on;
    private final String seed;
    private int drawn;

    Choices(Publication on, int choice) {
        this.on = on;
        this.seed = choice + " ";
    }

    final UUID fresh() {
        return UUID.nameUUIDFromBytes((seed + drawn++).getBytes(StandardCharsets.UTF_8));
    }

    final int upTo(int bound) {
        return Math.floorMod(fresh().hashCode(), bound);
    }

    final boolean coin() {
        return upTo(2) == 0;
    }

    final <T> Optional<T> maybe(T value) {
        return coin() ? Optional.of(value) : Optional.empty();
    }

    final <T> T any(List<T> list) {
        return list.get(upTo(list.size()));
    }

    /** Any of them, or one that is not there. */
    final UUID id(Stream<? extends Element> elements) {
        List<UUID> ids = elements.map(Element::id).toList();
        return ids.isEmpty() ? fresh() : any(ids);
    }

    final String name() {
        return "Name " + upTo(1000);
    }

    final UUID page() {
        return id(on.pages().stream());
    }

    final List<UUID> pages() {
        return Stream.of(page(), page()).distinct().toList();
    }

    final UUID parent() {
        return id(on.parents().stream());
    }

    final UUID swatch() {
        return id(on.swatches().stream());
    }

    final UUID look() {
        return id(on.looks().stream());
    }

    final UUID recipe() {
        return id(on.recipes().stream());
    }

    final UUID anyAsset() {
        return id(on.assets().stream());
    }

    final UUID background() {
        return id(on.layers().flatMap(layer -> layer.backgrounds().stream()));
    }

    final UUID frame() {
        return id(on.layers().flatMap(layer -> layer.frames().stream()));
    }

    final UUID textFrame() {
        return id(on.layers().flatMap(layer -> layer.textFrames().stream()));
    }

    final UUID run() {
        List<UUID> runs =
                on.stories().stream()
                        .flatMap(story -> story.paragraphs().stream())
                        .flatMap(paragraph -> paragraph.runs().stream())
                        .map(run -> run.id())
                        .toList();
        return runs.isEmpty() ? fresh() : any(runs);
    }

    final Owner owner() {
        return any(on.carriers().map(Carrier::asOwner).toList());
    }

    /** One that is there, or nearly always is. */
    final UUID characterLook() {
        return on.characterLooks().isEmpty() ? fresh() : any(on.characterLooks()).id();
    }

    final Set<String> some(Set<String> of) {
        return of.stream().filter(each -> coin()).collect(Collectors.toSet());
    }

    /** One that is there, or nearly always is. */
    final UUID pictureFrame() {
        List<UUID> there =
                on.layers()
                        .flatMap(layer -> layer.pictureFrames().stream())
                        .map(PictureFrame::id)
                        .toList();
        return there.isEmpty() ? fresh() : any(there);
    }

    final UUID bandFrame() {
        List<UUID> there =
                on.layers()
                        .flatMap(layer -> layer.textFrames().stream())
                        .filter(frame -> frame.band().isPresent())
                        .map(TextFrame::id)
                        .toList();
        return there.isEmpty() ? fresh() : any(there);
    }

    final UUID story() {
        return on.stories().isEmpty() ? fresh() : any(on.stories()).id();
    }
}
