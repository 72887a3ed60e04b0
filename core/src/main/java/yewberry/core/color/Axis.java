package yewberry.core.color;

/**
 * A component that a colour can be moved along while its others stay: of its own space, or the
 * lightness, chroma and hue of CIELAB.
 */
public enum Axis {
    LIGHTNESS(0, 100),
    CHROMA(0, 110),
    HUE(0, 360),
    A(-100, 100),
    B(-100, 100),
    CYAN(0, 100),
    MAGENTA(0, 100),
    YELLOW(0, 100),
    BLACK(0, 100),
    RED(0, 255),
    GREEN(0, 255),
    BLUE(0, 255);

    private final double least;
    private final double most;

    Axis(double least, double most) {
        this.least = least;
        this.most = most;
    }

    /**
     * The colour with this component at a part of the way from its least to its most.
     *
     * @param part 0 to 1
     */
    public Color at(double part, Color of, PressCondition condition) {
        double value = least + part * (most - least);
        return switch (this) {
            case LIGHTNESS -> lch(condition.lab(of), value, Double.NaN, Double.NaN);
            case CHROMA -> lch(condition.lab(of), Double.NaN, value, Double.NaN);
            case HUE -> lch(condition.lab(of), Double.NaN, Double.NaN, value);
            case A -> new Lab(condition.lab(of).lightness(), value, condition.lab(of).b());
            case B -> new Lab(condition.lab(of).lightness(), condition.lab(of).a(), value);
            case CYAN, MAGENTA, YELLOW, BLACK -> ink(of, value, condition);
            case RED, GREEN, BLUE -> rgb(condition.toScreen(of), (int) Math.round(value));
        };
    }

    private static Lab lch(Lab of, double lightness, double chroma, double hue) {
        return Lab.ofLch(
                Double.isNaN(lightness) ? of.lightness() : lightness,
                Double.isNaN(chroma) ? of.chroma() : chroma,
                Double.isNaN(hue) ? of.hue() : hue);
    }

    private Color ink(Color of, double value, PressCondition condition) {
        if (of instanceof Gray) {
            return new Gray(value);
        }
        Cmyk ink = condition.toInk(of);
        return new Cmyk(
                this == CYAN ? value : ink.cyan(),
                this == MAGENTA ? value : ink.magenta(),
                this == YELLOW ? value : ink.yellow(),
                this == BLACK ? value : ink.black());
    }

    private Rgb rgb(Rgb of, int value) {
        return new Rgb(
                this == RED ? value : of.red(),
                this == GREEN ? value : of.green(),
                this == BLUE ? value : of.blue());
    }
}
