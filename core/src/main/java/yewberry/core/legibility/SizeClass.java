package yewberry.core.legibility;

import yewberry.core.color.Numbers;
import yewberry.core.text.Type;

/**
 * Whether text counts as large, and why. WCAG 2.2, "large scale (text)": at least 18 point, or 14
 * point bold; bold begins at weight 700 (CSS Fonts 4).
 */
public record SizeClass(boolean large, String reason) {
    private static final double LARGE = 18;
    private static final double LARGE_BOLD = 14;
    private static final int BOLD = 700;

    /** Binary noise of a size given in millimetres must not cost the class. */
    private static final double TOLERANCE = 1e-9;

    public static SizeClass of(Type text) {
        double size = text.size();
        String type = "%s pt in weight %d".formatted(Numbers.plain(size), text.face().weight());
        if (size >= LARGE - TOLERANCE) {
            return new SizeClass(true, "large text: " + type + " is 18 pt or over");
        }
        if (size >= LARGE_BOLD - TOLERANCE && text.face().weight() >= BOLD) {
            return new SizeClass(true, "large text: " + type + " is bold and 14 pt or over");
        }
        return new SizeClass(
                false,
                size >= LARGE_BOLD - TOLERANCE
                        ? "normal text: " + type + " is under 18 pt and not bold"
                        : "normal text: " + type + " is under 14 pt");
    }
}
