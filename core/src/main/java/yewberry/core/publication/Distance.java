package yewberry.core.publication;

import java.util.Optional;
import java.util.regex.Pattern;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * Between text and what is around it: a length, or so many times the type size.
 *
 * @param length nothing where it follows the size
 * @param em of the size; counts only where there is no length
 * @throws Refused if it is below zero or beyond 500 mm, or beyond 20 em
 */
public record Distance(Optional<Length> length, double em) {
    private static final Pattern EM =
            Pattern.compile("\\s*([+-]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*em\\s*");

    private static final Length MOST = Length.mm(500);
    private static final double MOST_EM = 20;

    public static final Distance NONE = of(Length.ZERO);

    public Distance {
        boolean within =
                length.map(each -> each.value() >= 0 && each.points() <= MOST.points())
                        .orElse(em >= 0 && em <= MOST_EM);
        if (!within) {
            throw new Refused(
                    "A distance of %s between text and what is around it is not possible; choose from 0 mm to 500 mm, or from 0 em to 20 em."
                            .formatted(words(length, em)));
        }
        em = length.isPresent() ? 0 : em;
    }

    public static Distance of(Length length) {
        return new Distance(Optional.of(length), 0);
    }

    public static Distance em(double em) {
        return new Distance(Optional.empty(), em);
    }

    /**
     * Reads a length as {@link Length#read} does, or a number of em: {@code 3 mm}, {@code 0.5 em}.
     *
     * @throws Refused if the text is anything else
     */
    public static Distance read(String text) {
        var match = EM.matcher(text);
        return match.matches()
                ? em(Double.parseDouble(match.group(1).replace(',', '.')))
                : of(Length.read(text));
    }

    /**
     * @param size of the type, in points
     */
    public double points(double size) {
        return length.map(Length::points).orElse(size * em);
    }

    private static String words(Optional<Length> length, double em) {
        return length.map(Length::toString).orElseGet(() -> Numbers.plain(em) + " em");
    }

    /** What {@link #read} reads back to an equal value. */
    @Override
    public String toString() {
        return words(length, em);
    }
}
