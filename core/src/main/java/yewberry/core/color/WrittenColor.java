package yewberry.core.color;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yewberry.core.Refused;

/**
 * Reads a colour as people write it: CSS Color 4's hex, {@code rgb()}, {@code hsl()}, {@code
 * lab()}, {@code lch()}, {@code oklch()} and names; {@code cmyk(60% 10% 40% 0%)} and the like of
 * CSS Color 5's {@code device-cmyk()}; {@code C60 M10 Y40}, inks that are left out being 0; and
 * {@code gray(40%)}, percent of black ink. Decimal commas are taken where points separate nothing.
 */
public final class WrittenColor {
    private static final Pattern CALL = Pattern.compile("([a-z-]+)\\s*\\(([^()]*)\\)");
    private static final Pattern NUMBER =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:e[+-]?\\d+)?)(%|deg)?");

    private static final Pattern WORD = Pattern.compile("\\S+");

    private static final Pattern INK =
            Pattern.compile("([cmyk])\\s*(\\d+(?:[.,]\\d+)?)\\s*%?[\\s,;/]*");

    private WrittenColor() {}

    /**
     * A colour as it was written, behind the name it is to have.
     *
     * @param name nothing where only a colour was written
     */
    public record Named(Optional<String> name, Color color) {}

    /**
     * A name and a colour, or a colour alone; nothing where the text does not end with a colour.
     */
    public static Optional<Named> named(String text) {
        String written = text.strip();
        Matcher words = WORD.matcher(written);
        while (words.find()) {
            Optional<Color> color = tried(written.substring(words.start()));
            if (color.isPresent()) {
                String name = written.substring(0, words.start()).strip();
                return Optional.of(
                        new Named(Optional.of(name).filter(it -> !it.isEmpty()), color.get()));
            }
        }
        return Optional.empty();
    }

    private static Optional<Color> tried(String text) {
        try {
            return Optional.of(read(text));
        } catch (Refused notOne) {
            return Optional.empty();
        }
    }

    /**
     * @throws Refused if it is none of these, or a value is out of range
     */
    public static Color read(String text) {
        String written = text.strip().toLowerCase(Locale.ROOT);
        Matcher call = CALL.matcher(written);
        if (call.matches()) {
            return call(text, call.group(1), numbers(text, call.group(2)));
        }
        return inks(written).or(() -> CssNames.find(written)).orElseGet(() -> hex(text));
    }

    /** Inks by their letters, each once. */
    private static Optional<Color> inks(String text) {
        Map<String, Double> inks = new HashMap<>();
        Matcher each = INK.matcher(text);
        int end = 0;
        while (each.find() && each.start() == end) {
            double percent = Double.parseDouble(each.group(2).replace(',', '.'));
            if (percent > 100 || inks.put(each.group(1), percent) != null) {
                return Optional.empty();
            }
            end = each.end();
        }
        return end == 0 || end < text.length()
                ? Optional.empty()
                : Optional.of(
                        new Cmyk(
                                inks.getOrDefault("c", 0.0),
                                inks.getOrDefault("m", 0.0),
                                inks.getOrDefault("y", 0.0),
                                inks.getOrDefault("k", 0.0)));
    }

    private static Rgb hex(String text) {
        try {
            return Rgb.hex(text);
        } catch (Refused refused) {
            throw unknown(text);
        }
    }

    private static Refused unknown(String text) {
        return new Refused(
                "“%s” is not a colour that can be read; write it like #1b2a49, rgb(27 42 73), hsl(220 46%% 20%%), lab(18 2 -20), cmyk(90%% 70%% 30%% 30%%), gray(40%%) or a CSS name."
                        .formatted(text.strip()));
    }

    private record Part(double value, String unit) {
        boolean isPercent() {
            return "%".equals(unit);
        }

        /** A percentage of {@code whole}, or the number as it is. */
        double of(double whole) {
            return isPercent() ? value / 100 * whole : value;
        }
    }

    private static List<Part> numbers(String text, String inside) {
        List<Part> parts = new ArrayList<>();
        for (String part : inside.strip().split("[\\s,/]+")) {
            Matcher number = NUMBER.matcher(part);
            if (!number.matches()) {
                throw unknown(text);
            }
            parts.add(new Part(Double.parseDouble(number.group(1)), number.group(2)));
        }
        return parts;
    }

    private static Color call(String text, String name, List<Part> parts) {
        int expected =
                switch (name) {
                    case "rgb", "rgba", "hsl", "hsla", "lab", "lch", "oklch" -> 3;
                    case "cmyk", "device-cmyk" -> 4;
                    case "gray", "grey" -> 1;
                    default -> throw unknown(text);
                };
        boolean withAlpha = expected == 3 && parts.size() == 4;
        if (withAlpha && parts.get(3).of(1) != 1) {
            throw new Refused(
                    "“%s” is see-through; a swatch is not. Leave the fourth value out."
                            .formatted(text.strip()));
        }
        if (parts.size() != expected && !withAlpha) {
            throw unknown(text);
        }
        return switch (name) {
            case "rgb", "rgba" ->
                    new Rgb(
                            component(parts.get(0)),
                            component(parts.get(1)),
                            component(parts.get(2)));
            case "hsl", "hsla" ->
                    hsl(parts.get(0).value(), parts.get(1).value(), parts.get(2).value());
            case "lab" -> new Lab(parts.get(0).of(100), parts.get(1).of(125), parts.get(2).of(125));
            case "lch" ->
                    Lab.ofLch(parts.get(0).of(100), parts.get(1).of(150), parts.get(2).value());
            case "oklch" -> oklch(parts.get(0).of(1), parts.get(1).of(0.4), parts.get(2).value());
            case "gray", "grey" -> new Gray(parts.get(0).value());
            default ->
                    new Cmyk(
                            ink(parts.get(0)),
                            ink(parts.get(1)),
                            ink(parts.get(2)),
                            ink(parts.get(3)));
        };
    }

    private static Rgb oklch(double lightness, double chroma, double hue) {
        Oklch color = new Oklch(lightness, chroma, hue);
        if (!color.inSrgb()) {
            throw new Refused(
                    "oklch(%s %s %s) lies outside sRGB; take a smaller chroma."
                            .formatted(
                                    Numbers.plain(lightness),
                                    Numbers.plain(chroma),
                                    Numbers.plain(hue)));
        }
        return color.toRgb();
    }

    private static int component(Part part) {
        return (int) Math.round(part.of(255));
    }

    /** Ink in percent; a bare number up to 1 is a fraction, as in CSS. */
    private static double ink(Part part) {
        return part.isPercent() || part.value() > 1 ? part.value() : part.value() * 100;
    }

    /** CSS Color 4, "Converting HSL colors to sRGB". */
    static Rgb hsl(double hue, double saturation, double lightness) {
        if (!(saturation >= 0 && saturation <= 100 && lightness >= 0 && lightness <= 100)) {
            throw new Refused("Saturation and lightness of HSL go from 0 to 100 %.");
        }
        double s = saturation / 100;
        double l = lightness / 100;
        double a = s * Math.min(l, 1 - l);
        return new Rgb(hslPart(0, hue, l, a), hslPart(8, hue, l, a), hslPart(4, hue, l, a));
    }

    private static int hslPart(int n, double hue, double l, double a) {
        double k = ((n + hue / 30) % 12 + 12) % 12;
        double value = l - a * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1));
        return (int) Math.round(value * 255);
    }
}
