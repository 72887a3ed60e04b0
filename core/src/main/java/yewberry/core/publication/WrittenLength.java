package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yewberry.core.Refused;

/**
 * Reads a length as people write it: in any unit, as a fraction, a percentage of something, or a
 * calculation, such as {@code 12 pt}, {@code 1 1/8 in}, {@code 33.3 %}, {@code 210/3}, {@code 10 mm
 * + 1/8 in}, {@code 2 * (5 mm - 1 pt)}. What may be added and multiplied is as in CSS Values 4,
 * section 10.9; a number without a unit counts in the usual one.
 */
public final class WrittenLength {
    private static final Pattern TOKEN =
            Pattern.compile(
                    "\\s*(?:(?<whole>\\d+)\\s+(?=\\d+\\s*/\\s*\\d))?(?:(?<fraction>\\d+\\s*/\\s*\\d+)(?=\\s*(?:mm|cm|pt|in|\"))|(?<number>\\d+(?:[.,]\\d*)?|[.,]\\d+)|(?<sign>[-+*/()×÷−]))(?:\\s*(?<unit>mm|cm|pt|in|\"|%))?");
    private static final int LONGEST = 200;

    private final String text;
    private final Unit usual;
    private final Optional<Length> whole;
    private final List<Token> tokens = new ArrayList<>();
    private Optional<Unit> first = Optional.empty();
    private int next;

    /** A sign, or a value in points, or without a dimension. */
    private record Token(String sign, Value value) {}

    /**
     * @param dimension 1 of a length, 0 of a number
     */
    private record Value(double amount, int dimension) {}

    private WrittenLength(String text, Unit usual, Optional<Length> whole) {
        this.text = text;
        this.usual = usual;
        this.whole = whole;
    }

    /**
     * @param usual the unit of numbers that have none
     * @param whole what percentages are of
     * @throws Refused if it is no length
     */
    public static Length read(String text, Unit usual, Optional<Length> whole) {
        return Length.isPlain(text)
                ? Length.parse(text)
                : new WrittenLength(text.strip(), usual, whole).read();
    }

    private Length read() {
        if (text.length() > LONGEST) {
            throw new Refused("A length is written in at most 200 characters.");
        }
        Matcher matcher = TOKEN.matcher(text.toLowerCase(Locale.ROOT));
        int end = 0;
        while (end < text.length()) {
            matcher.region(end, text.length());
            if (!matcher.lookingAt() || matcher.end() == end) {
                throw unknown();
            }
            tokens.add(token(matcher));
            end = matcher.end();
        }
        Value value = sum();
        if (next < tokens.size()) {
            throw unknown();
        }
        Unit unit = first.orElse(usual);
        if (value.dimension() == 0 && first.isEmpty()) {
            return new Length(rounded(value.amount()), usual);
        }
        if (value.dimension() != 1) {
            throw new Refused("“%s” comes to a number, not to a length.".formatted(text));
        }
        return new Length(rounded(value.amount() / unit.points()), unit);
    }

    /** To a ten-thousandth: what is typed is meant no finer. */
    private static double rounded(double value) {
        return Math.rint(value * 10_000) / 10_000;
    }

    private Token token(Matcher matcher) {
        if (matcher.group("sign") != null) {
            if (matcher.group("unit") != null) {
                throw unknown();
            }
            return new Token(
                    switch (matcher.group("sign")) {
                        case "×" -> "*";
                        case "÷" -> "/";
                        case "−" -> "-";
                        default -> matcher.group("sign");
                    },
                    null);
        }
        double number = 0;
        if (matcher.group("whole") != null) {
            number = Double.parseDouble(matcher.group("whole"));
        }
        if (matcher.group("fraction") != null) {
            String[] parts = matcher.group("fraction").split("/");
            number +=
                    divided(
                            Double.parseDouble(parts[0].strip()),
                            Double.parseDouble(parts[1].strip()));
        } else {
            number += Double.parseDouble(matcher.group("number").replace(',', '.'));
        }
        return new Token("", value(number, matcher.group("unit")));
    }

    private Value value(double number, String unit) {
        return switch (unit) {
            case null -> new Value(number, 0);
            case "%" -> {
                Length of =
                        whole.orElseThrow(() ->
                                new Refused(
                                        "There is nothing that “%s” could be a percentage of; write a length."
                                                .formatted(text)));
                first = Optional.of(first.orElse(of.unit()));
                yield new Value(number / 100 * of.points(), 1);
            }
            case "mm" -> in(number, Unit.MM);
            case "cm" -> in(number * 10, Unit.MM);
            case "pt" -> in(number, Unit.PT);
            default -> in(number, Unit.IN);
        };
    }

    private Value in(double number, Unit unit) {
        first = Optional.of(first.orElse(unit));
        return new Value(number * unit.points(), 1);
    }

    private Refused unknown() {
        return new Refused(
                "“%s” is not a length; write it like 3 mm, 8.5 in, 33 %%, 210/3 or 10 mm + 1/8 in."
                        .formatted(text));
    }

    private boolean accept(String sign) {
        boolean is = next < tokens.size() && tokens.get(next).sign().equals(sign);
        next += is ? 1 : 0;
        return is;
    }

    private Value sum() {
        Value value = product();
        while (true) {
            if (accept("+")) {
                value = added(value, product(), 1);
            } else if (accept("-")) {
                value = added(value, product(), -1);
            } else {
                return value;
            }
        }
    }

    /** A number beside a length counts in the usual unit. */
    private Value added(Value one, Value other, int sign) {
        if (one.dimension() == other.dimension()) {
            return new Value(one.amount() + sign * other.amount(), one.dimension());
        }
        return added(length(one), length(other), sign);
    }

    private Value length(Value value) {
        return switch (value.dimension()) {
            case 0 -> new Value(value.amount() * usual.points(), 1);
            case 1 -> value;
            default -> throw unknown();
        };
    }

    private Value product() {
        Value value = factor();
        while (true) {
            if (accept("*")) {
                Value other = factor();
                value =
                        new Value(
                                value.amount() * other.amount(),
                                value.dimension() + other.dimension());
            } else if (accept("/")) {
                Value other = factor();
                value =
                        new Value(
                                divided(value.amount(), other.amount()),
                                value.dimension() - other.dimension());
            } else {
                return value;
            }
        }
    }

    private double divided(double value, double by) {
        if (by == 0) {
            throw new Refused("“%s” divides by nothing.".formatted(text));
        }
        return value / by;
    }

    private Value factor() {
        if (accept("+")) {
            return factor();
        }
        if (accept("-")) {
            Value value = factor();
            return new Value(-value.amount(), value.dimension());
        }
        if (accept("(")) {
            Value value = sum();
            if (!accept(")")) {
                throw unknown();
            }
            return value;
        }
        if (next == tokens.size() || tokens.get(next).value() == null) {
            throw unknown();
        }
        return tokens.get(next++).value();
    }
}
