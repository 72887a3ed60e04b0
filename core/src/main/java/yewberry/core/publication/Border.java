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
 * @param carriesMeaning whether something is lost to those who do not see it; then it has to stand
 *     out from what is beside it (WCAG 2.2, 1.4.11)
 * @throws Refused if there are no sides, one is no side of a paragraph, or the width is not above 0
 *     pt and up to 72 pt
 */
public record Border(
        List<Edge> sides, Length width, Tinted color, Style style, boolean carriesMeaning) {
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

    /** One that is there for its looks. */
    public Border(List<Edge> sides, Length width, Tinted color, Style style) {
        this(sides, width, color, style, false);
    }

    /** How wide each single line of it is, in points. */
    public double line() {
        return width.points()
                / switch (style) {
                    case SOLID, DASHED, DOTTED -> 1;
                    case DOUBLE -> 3;
                    case TRIPLE -> 5;
                };
    }

    /** How wide it is on a side, in points. */
    public double points(Edge side) {
        return sides.contains(side) ? width.points() : 0;
    }

    public Border withWidth(Length changed) {
        return new Border(sides, changed, color, style, carriesMeaning);
    }

    public Border withMeaning(boolean carries) {
        return new Border(sides, width, color, style, carries);
    }

    Border withReference(UUID old, UUID replacement) {
        return new Border(
                sides, width, color.withReference(old, replacement), style, carriesMeaning);
    }
}
