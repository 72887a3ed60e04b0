package yewberry.core.publication;

import java.util.Optional;
import java.util.regex.Pattern;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * From baseline to baseline: a length, or so many percent of the type size.
 *
 * @param length nothing where it follows the size
 * @param percent of the size; counts only where there is no length
 * @throws Refused if it is not within 2 to 2000 pt, or 50 to 500 %
 */
public record Leading(Optional<Length> length, double percent) {
    private static final Pattern PERCENT = Pattern.compile("\\s*(\\d+(?:[.,]\\d+)?)\\s*%\\s*");

    public Leading {
        if (length.map(Length::points).filter(each -> !(each >= 2 && each <= 2000)).isPresent()) {
            throw new Refused(
                    "Leading of %s is not possible; choose from 2 pt to 2000 pt."
                            .formatted(length.get()));
        }
        if (length.isEmpty() && !(percent >= 50 && percent <= 500)) {
            throw new Refused(
                    "Leading of %s %% of the size is not possible; choose from 50 to 500."
                            .formatted(Numbers.plain(percent)));
        }
        percent = length.isPresent() ? 0 : percent;
    }

    public static Leading of(Length length) {
        return new Leading(Optional.of(length), 0);
    }

    public static Leading percent(double percent) {
        return new Leading(Optional.empty(), percent);
    }

    /**
     * Reads a length as {@link Length#read} does, or a number of percent: {@code 14 pt}, {@code 120
     * %}.
     *
     * @throws Refused if the text is anything else
     */
    public static Leading read(String text) {
        var percent = PERCENT.matcher(text);
        return percent.matches()
                ? percent(Double.parseDouble(percent.group(1).replace(',', '.')))
                : of(Length.read(text));
    }

    /**
     * In points.
     *
     * @param size of the type
     */
    public double points(Length size) {
        return length.map(Length::points).orElse(size.points() * percent / 100);
    }

    /** What {@link #read} reads back to an equal value. */
    @Override
    public String toString() {
        return length.map(Length::toString).orElseGet(() -> Numbers.plain(percent) + " %");
    }
}
