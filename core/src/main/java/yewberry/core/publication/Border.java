package yewberry.core.publication;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * Lines around a paragraph, outside its padding.
 *
 * @param sides that have a line: some of top, right, bottom and left, at least one
 * @param width of a line, all of it where it is a double or a triple one
 * @throws Refused if there are no sides, one is no side of a paragraph, or the width is not above 0
 *     pt and up to 72 pt
 */
public record Border(List<Edge> sides, Length width, Tinted color, Style style) {
    public static final List<Edge> ALL = List.of(Edge.TOP, Edge.RIGHT, Edge.BOTTOM, Edge.LEFT);

    public enum Style {
        SOLID,
        /** Dashes of three widths. */
        DASHED,
        /** Round dots, a width apart. */
        DOTTED,
        /** Two lines, each a third of the width. */
        DOUBLE,
        /** Three lines, each a fifth of the width. */
        TRIPLE
    }

    public Border {
        Set<Edge> given = sides.isEmpty() ? Set.of() : EnumSet.copyOf(sides);
        if (given.isEmpty() || !ALL.containsAll(given)) {
            throw new Refused(
                    "A border has lines on some of these sides: top, right, bottom, left; choose at least one.");
        }
        if (!(width.points() > 0 && width.points() <= 72)) {
            throw new Refused(
                    "A border of %s is not possible; choose a width above 0 pt and up to 72 pt."
                            .formatted(width.inWords()));
        }
        sides = ALL.stream().filter(given::contains).toList();
    }

    /** How wide it is on a side, in points. */
    public double points(Edge side) {
        return sides.contains(side) ? width.points() : 0;
    }

    Border withReference(UUID old, UUID replacement) {
        return new Border(sides, width, color.withReference(old, replacement), style);
    }
}
