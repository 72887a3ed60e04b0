package yewberry.core.color;

/**
 * What is seen of colours under a viewing.
 *
 * @param medium that the pages are seen on
 * @param stock the chosen paper, which only shows where it is simulated
 */
public record View(Viewing viewing, Medium medium, PressCondition condition, Lab stock) {
    /** What a verdict is about: relative colorimetric with black-point compensation. */
    public static View designed(Medium medium, PressCondition condition) {
        return new View(Viewing.AS_DESIGNED, medium, condition, condition.paper());
    }

    /** Whether page backgrounds are there. */
    public boolean backgrounds() {
        return viewing != Viewing.BACKGROUNDS_OFF;
    }

    public Rgb see(Color color) {
        return switch (viewing) {
            case ON_PRESS -> condition.proof(color, condition.paper());
            case ON_STOCK -> condition.proof(color, stock);
            case AS_DESIGNED, ON_SCREEN, BACKGROUNDS_OFF, GREY_COPY, PROTAN, DEUTAN, TRITAN ->
                    shifted(condition.seen(color, medium));
        };
    }

    /** The bare stock. */
    public Rgb bare() {
        return see(Cmyk.NONE);
    }

    /** Whether it changes the colours of the screen at all. */
    public boolean shifts() {
        return switch (viewing) {
            case AS_DESIGNED, ON_SCREEN, ON_PRESS, ON_STOCK, BACKGROUNDS_OFF -> false;
            case GREY_COPY, PROTAN, DEUTAN, TRITAN -> true;
        };
    }

    /** Whether colours of a screen are seen as they are. */
    public boolean keepsLight() {
        return switch (viewing) {
            case AS_DESIGNED, ON_SCREEN, BACKGROUNDS_OFF -> medium == Medium.SCREEN;
            case ON_PRESS, ON_STOCK, GREY_COPY, PROTAN, DEUTAN, TRITAN -> false;
        };
    }

    /** What is seen before colours are shifted: the same view for all that begin alike. */
    public View unshifted() {
        return switch (viewing) {
            case ON_PRESS, ON_STOCK -> this;
            case AS_DESIGNED, ON_SCREEN, BACKGROUNDS_OFF, GREY_COPY, PROTAN, DEUTAN, TRITAN ->
                    designed(medium, condition);
        };
    }

    /** A screen colour as this viewing changes it. */
    public Rgb shifted(Rgb color) {
        return switch (viewing) {
            case AS_DESIGNED, ON_SCREEN, ON_PRESS, ON_STOCK, BACKGROUNDS_OFF -> color;
            case GREY_COPY -> GreyCopy.of(color);
            case PROTAN -> Vision.PROTAN.see(color);
            case DEUTAN -> Vision.DEUTAN.see(color);
            case TRITAN -> Vision.TRITAN.see(color);
        };
    }

    /** Many pixels of ink at once, as {@link #see} but for {@link #shifted}. */
    public ScreenTable table() {
        return switch (viewing) {
            case ON_PRESS -> condition.proofTable(condition.paper());
            case ON_STOCK -> condition.proofTable(stock);
            case AS_DESIGNED, ON_SCREEN, BACKGROUNDS_OFF, GREY_COPY, PROTAN, DEUTAN, TRITAN ->
                    condition.screenTable();
        };
    }
}
