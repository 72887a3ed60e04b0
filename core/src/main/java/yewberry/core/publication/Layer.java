package yewberry.core.publication;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/** What lies on a page or a parent: backgrounds from the lowest up, then text frames above them. */
public record Layer(List<Background> backgrounds, List<TextFrame> frames) {
    public static final Layer EMPTY = new Layer(List.of(), List.of());

    public Layer {
        backgrounds = List.copyOf(backgrounds);
        frames = List.copyOf(frames);
    }

    public Layer withBackgrounds(List<Background> changed) {
        return new Layer(changed, frames);
    }

    public Layer withFrames(List<TextFrame> changed) {
        return new Layer(backgrounds, changed);
    }

    /** This very object where nothing on it refers to the old one. */
    Layer withReference(UUID old, UUID replacement) {
        boolean refers =
                Stream.concat(backgrounds.stream(), frames.stream())
                        .flatMap(each -> each.references().stream())
                        .anyMatch(each -> each.id().equals(old));
        return refers
                ? new Layer(
                        backgrounds.stream()
                                .map(each -> each.withReference(old, replacement))
                                .toList(),
                        frames.stream().map(each -> each.withReference(old, replacement)).toList())
                : this;
    }
}
