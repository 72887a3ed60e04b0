package yewberry.core.publication;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/** What lies on a page or a parent: backgrounds from the lowest up, then frames above them. */
public record Layer(List<Background> backgrounds, List<Frame> frames) {
    public static final Layer EMPTY = new Layer(List.of(), List.of());

    public Layer {
        backgrounds = List.copyOf(backgrounds);
        frames = List.copyOf(frames);
    }

    public Layer withBackgrounds(List<Background> changed) {
        return new Layer(changed, frames);
    }

    public Layer withFrames(List<? extends Frame> changed) {
        return new Layer(backgrounds, List.copyOf(changed));
    }

    /** Those that text runs in. */
    public List<TextFrame> textFrames() {
        return only(TextFrame.class);
    }

    /** Those with pictures and words in them. */
    public List<PictureFrame> pictureFrames() {
        return only(PictureFrame.class);
    }

    private <T extends Frame> List<T> only(Class<T> kind) {
        return frames.stream().filter(kind::isInstance).map(kind::cast).toList();
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
