package yewberry.core.color;

/**
 * What a screen shows for colours under a viewing.
 *
 * @param stock the paper, which only shows where paper is simulated
 */
public record View(Viewing viewing, PressCondition condition, Lab stock) {
    public Rgb see(Color color) {
        return switch (viewing) {
            case ON_PRESS -> condition.proof(color, stock);
            case AS_DESIGNED, BACKGROUNDS_OFF, GREY_COPY, PROTAN, DEUTAN, TRITAN ->
                    shifted(condition.toScreen(color));
        };
    }

    /** The bare stock. */
    public Rgb bare() {
        return see(Cmyk.NONE);
    }

    /** Whether it changes the colours of the screen at all. */
    public boolean shifts() {
        return switch (viewing) {
            case AS_DESIGNED, ON_PRESS, BACKGROUNDS_OFF -> false;
            case GREY_COPY, PROTAN, DEUTAN, TRITAN -> true;
        };
    }

    /** A screen colour as this viewing changes it. */
    public Rgb shifted(Rgb color) {
        return switch (viewing) {
            case AS_DESIGNED, ON_PRESS, BACKGROUNDS_OFF -> color;
            case GREY_COPY -> grey(color);
            case PROTAN -> Vision.PROTAN.see(color);
            case DEUTAN -> Vision.DEUTAN.see(color);
            case TRITAN -> Vision.TRITAN.see(color);
        };
    }

    /** The grey of the same relative luminance. */
    private static Rgb grey(Rgb color) {
        double luminance = Contrast.luminance(color);
        return Srgb.fromLinear(new double[] {luminance, luminance, luminance});
    }
}
