package yewberry.core.scene;

import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Gray;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Look;

/** Which text prints over what is below it. */
public final class TextOverprint {
    private static final Cmyk PLAIN_BLACK = new Cmyk(0, 0, 0, 100);

    /** Common practice, no source. */
    private static final double LIGHT = 50;

    private TextOverprint() {}

    /** Whether text of a colour does, as its look has it. */
    public static boolean prints(Look.Overprint set, Color color, PressCondition condition) {
        return switch (set) {
            case NEVER -> false;
            case BLACK -> isPlainBlack(color);
            case ALWAYS -> !isLight(color, condition);
        };
    }

    /** 100 % of the black ink and nothing else. */
    public static boolean isPlainBlack(Color color) {
        return color.equals(PLAIN_BLACK) || color instanceof Gray(double black) && black == 100;
    }

    /** White or lighter than middle grey (CIELAB 50): printed over something it would be lost. */
    private static boolean isLight(Color color, PressCondition condition) {
        return condition.lab(color).lightness() > LIGHT;
    }
}
