package yewberry.core.publication;

import java.util.Optional;
import yewberry.core.Refused;

/**
 * Where text goes on after a tab.
 *
 * @param at from the left of the column; nothing means at the right end of the lines
 * @param side of the text that stands there
 * @param leader what the room before it is filled with, over and over; empty for nothing
 * @throws Refused if it lies left of the column, or the leader has more than 8 characters
 */
public record TabStop(Optional<Length> at, Side side, String leader) {
    private static final int LONGEST = 8;

    public enum Side {
        LEFT,
        CENTER,
        RIGHT,
        /** The decimal point or comma of a number; without one, its right end. */
        DECIMAL
    }

    public TabStop {
        if (at.filter(each -> each.value() < 0).isPresent()) {
            throw new Refused("A tab stop stands at 0 mm or more.");
        }
        if (leader.length() > LONGEST || leader.codePoints().anyMatch(Character::isISOControl)) {
            throw new Refused(
                    "A leader is written in at most %d characters, such as “.” or “. ”."
                            .formatted(LONGEST));
        }
    }
}
