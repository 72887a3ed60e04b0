package yewberry.core.color;

import java.util.regex.Pattern;
import yewberry.core.Refused;

/**
 * An sRGB colour (IEC 61966-2-1) with 8-bit components, 0 to 255: what a screen is given, and so
 * what contrast is computed from.
 *
 * @throws Refused if a component is not within 0 to 255
 */
public record Rgb(int red, int green, int blue) implements Color {
    public static final Rgb WHITE = new Rgb(255, 255, 255);
    public static final Rgb BLACK = new Rgb(0, 0, 0);

    private static final Pattern HEX = Pattern.compile("#?([0-9a-fA-F]{3}|[0-9a-fA-F]{6})");

    public Rgb {
        checked("Red", red);
        checked("Green", green);
        checked("Blue", blue);
    }

    private static void checked(String name, int value) {
        if (value < 0 || value > 255) {
            throw new Refused(
                    "%s of %d is not possible; sRGB components go from 0 to 255."
                            .formatted(name, value));
        }
    }

    /**
     * Reads {@code #rrggbb} or {@code #rgb}, with or without the number sign.
     *
     * @throws Refused if the text is neither
     */
    public static Rgb hex(String text) {
        var match = HEX.matcher(text.strip());
        if (!match.matches()) {
            throw new Refused(
                    "“%s” is not a hex colour; write six digits, such as #1b2a49."
                            .formatted(text.strip()));
        }
        String digits = match.group(1);
        if (digits.length() == 3) {
            digits = digits.replaceAll("(.)", "$1$1");
        }
        int value = Integer.parseInt(digits, 16);
        return of(value);
    }

    /**
     * @param packed red, green and blue in the lowest three bytes
     */
    public static Rgb of(int packed) {
        return new Rgb(packed >> 16 & 0xff, packed >> 8 & 0xff, packed & 0xff);
    }

    /** Red, green and blue in the lowest three bytes. */
    public int packed() {
        return red << 16 | green << 8 | blue;
    }

    /** {@code #rrggbb}, lower case. */
    public String hex() {
        return "#%02x%02x%02x".formatted(red, green, blue);
    }

    @Override
    public String toString() {
        return hex();
    }
}
