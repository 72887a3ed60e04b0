package yewberry.core.publication;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * A length as it was given: a number in a unit, so that 12 pt stays 12 pt. It is kept to nine
 * decimals, which is what is written of it: what is read again is always equal.
 *
 * @throws Refused if the number is not finite or beyond 100 m
 */
public record Length(double value, Unit unit) {
    public static final Length ZERO = mm(0);

    private static final Pattern WRITTEN =
            Pattern.compile("([+-]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*(mm|cm|pt|in|\")");
    private static final Pattern UNIT = Pattern.compile("mm|cm|pt|in|\"", Pattern.CASE_INSENSITIVE);
    private static final double LIMIT_POINTS = 100_000 * Unit.MM.points();

    public Length {
        if (!Double.isFinite(value) || Math.abs(value * unit.points()) > LIMIT_POINTS) {
            throw new Refused("A length of that size cannot be handled; stay under 100 m.");
        }
        value = Math.rint(value * 1e9) / 1e9 + 0.0;
    }

    public static Length mm(double value) {
        return new Length(value, Unit.MM);
    }

    public static Length pt(double value) {
        return new Length(value, Unit.PT);
    }

    /**
     * Reads a number and its unit, with a decimal point or a decimal comma: {@code 3 mm}, {@code
     * 0,125 in}, {@code 12pt}, {@code 1.5 cm} (kept as millimetres).
     *
     * @throws Refused if the text is anything else
     */
    public static Length parse(String text) {
        var match = WRITTEN.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!match.matches()) {
            throw new Refused(
                    "“%s” is not a length; write a number and a unit, such as 3 mm, 8.5 in or 12 pt."
                            .formatted(text.strip()));
        }
        double number = Double.parseDouble(match.group(1).replace(',', '.'));
        return switch (match.group(2)) {
            case "mm" -> mm(number);
            case "cm" -> mm(number * 10);
            case "pt" -> pt(number);
            default -> new Length(number, Unit.IN);
        };
    }

    /**
     * Reads what {@link #parse} reads, and calculations with units, such as {@code 10 mm + 1/8 in}.
     *
     * @throws Refused if the text is anything else
     */
    public static Length read(String text) {
        return UNIT.matcher(text).find()
                ? WrittenLength.read(text, Unit.MM, Optional.empty())
                : parse(text);
    }

    /** Whether {@link #parse} reads it. */
    static boolean isPlain(String text) {
        return WRITTEN.matcher(text.strip().toLowerCase(Locale.ROOT)).matches();
    }

    public Length negative() {
        return new Length(-value, unit);
    }

    /** In its own unit, to a thousandth. */
    public Length times(double factor) {
        return new Length(Math.rint(value * factor * 1000) / 1000, unit);
    }

    /** In points, 72 to the inch: the unit of every scene. */
    public double points() {
        return value * unit.points();
    }

    public double millimetres() {
        return unit == Unit.MM ? value : points() / Unit.MM.points();
    }

    /** What {@link #parse} reads back to an equal value. */
    @Override
    public String toString() {
        String number =
                value == Math.rint(value)
                        ? String.valueOf((long) value)
                        : BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
        return number + " " + unit.symbol();
    }

    /** In millimetres with at most three decimals, for messages. */
    public String inWords() {
        return unit == Unit.MM
                ? Numbers.plain(value) + " mm"
                : "%s (%s mm)".formatted(this, Numbers.plain(millimetres()));
    }
}
