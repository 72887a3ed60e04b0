package yewberry.core.publication;

import java.util.List;

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
}
