package yewberry.core.publication;

import java.util.Optional;
import yewberry.core.color.Lab;

/**
 * How and on what a publication is printed.
 *
 * @param condition id of a press condition
 * @param stock the colour of the paper, if it is not that of the condition; only ever simulated
 * @param stockIsReal whether it was answered that the paper really has this colour
 */
public record Press(String condition, Optional<Lab> stock, boolean stockIsReal) {
    public static final Press USUAL = new Press("coated", Optional.empty(), false);
}
