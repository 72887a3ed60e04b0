package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * What lies behind a paragraph and around it, arranged as CSS arranges a box: the padding around
 * the text, the border around that. One without a shading and a border paints nothing and takes no
 * room.
 *
 * @param shading behind the text, its padding and its border; a colour or a gradient
 * @param reach how wide it is
 * @param radius of the outer corners
 * @param joined whether neighbours of the same look and the same panel share one
 * @param closed whether each part of a paragraph that goes on in another column has padding, border
 *     and corners all around; otherwise it is cut there, as by CSS's {@code box-decoration-break}
 * @param held whether it stays in its column, and its text gives way; otherwise its text stays and
 *     the padding spills out
 * @throws Refused if it is shaded with anything else, or the radius is beyond 100 mm
 */
public record Panel(
        Optional<Fill> shading,
        Optional<Border> border,
        Reach reach,
        Padding padding,
        Distance radius,
        boolean joined,
        boolean closed,
        boolean held) {
    public static final Panel NONE =
            new Panel(
                    Optional.empty(),
                    Optional.empty(),
                    Reach.MEASURE,
                    Padding.NONE,
                    Distance.NONE,
                    true,
                    false,
                    true);

    public enum Reach {
        /** From edge to edge of the frame. */
        FRAME,
        /** Over the measure: the column less the indents of the paragraph. */
        MEASURE,
        /** Each line as far as its text goes. */
        LINES
    }

    public Panel {
        if (shading.filter(fill -> !(fill instanceof Fill.Solid || fill instanceof Fill.Gradient))
                .isPresent()) {
            throw new Refused("A paragraph is shaded with a colour or a gradient; choose one.");
        }
    }

    /** One that shades with a colour. */
    public static Panel shaded(Tinted color, Reach reach, Padding padding) {
        return NONE.withShading(Optional.of(new Fill.Solid(color)))
                .withReach(reach)
                .withPadding(padding);
    }

    /** Whether it paints anything. */
    public boolean paints() {
        return shading.isPresent() || border.isPresent();
    }

    public Panel withShading(Optional<Fill> changed) {
        return new Panel(changed, border, reach, padding, radius, joined, closed, held);
    }

    public Panel withBorder(Optional<Border> changed) {
        return new Panel(shading, changed, reach, padding, radius, joined, closed, held);
    }

    public Panel withReach(Reach changed) {
        return new Panel(shading, border, changed, padding, radius, joined, closed, held);
    }

    public Panel withPadding(Padding changed) {
        return new Panel(shading, border, reach, changed, radius, joined, closed, held);
    }

    public Panel withRadius(Distance changed) {
        return new Panel(shading, border, reach, padding, changed, joined, closed, held);
    }

    public Panel withJoined(boolean changed) {
        return new Panel(shading, border, reach, padding, radius, changed, closed, held);
    }

    public Panel withClosed(boolean changed) {
        return new Panel(shading, border, reach, padding, radius, joined, changed, held);
    }

    public Panel withHeld(boolean changed) {
        return new Panel(shading, border, reach, padding, radius, joined, closed, changed);
    }

    /** How far its outer edge is from the text at a side, in points; nothing where it is empty. */
    public double around(Edge side, double size) {
        if (!paints()) {
            return 0;
        }
        Distance own =
                switch (side) {
                    case TOP -> padding.top();
                    case BOTTOM -> padding.bottom();
                    case LEFT, INSIDE -> padding.left();
                    case RIGHT, OUTSIDE -> padding.right();
                };
        return own.points(size) + border.map(line -> line.points(side)).orElse(0.0);
    }

    /** The swatches in it. */
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        shading.ifPresent(fill ->
                fill.colors().forEach(color -> references.add(Reference.swatch(color.swatch()))));
        border.ifPresent(line -> references.add(Reference.swatch(line.color().swatch())));
        return references;
    }

    Panel withReference(UUID old, UUID replacement) {
        return withShading(
                        shading.map(
                                fill -> fill.withSwatches(id -> id.equals(old) ? replacement : id)))
                .withBorder(border.map(line -> line.withReference(old, replacement)));
    }
}
