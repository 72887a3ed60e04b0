package yewberry.core.color;

/** How a colour acts on what is below it: the blend modes of ISO 32000-1, 11.3.5, and CSS. */
public enum BlendMode {
    NORMAL("Normal"),
    MULTIPLY("Multiply"),
    SCREEN("Screen"),
    OVERLAY("Overlay"),
    DARKEN("Darken"),
    LIGHTEN("Lighten"),
    COLOR_DODGE("ColorDodge"),
    COLOR_BURN("ColorBurn"),
    HARD_LIGHT("HardLight"),
    SOFT_LIGHT("SoftLight"),
    DIFFERENCE("Difference"),
    EXCLUSION("Exclusion"),
    HUE("Hue"),
    SATURATION("Saturation"),
    COLOR("Color"),
    LUMINOSITY("Luminosity");

    private final String standardName;

    BlendMode(String standardName) {
        this.standardName = standardName;
    }

    /** Its name in a PDF. */
    public String standardName() {
        return standardName;
    }

    /** Whether it looks at one component after the other; the others mix them. */
    public boolean isSeparable() {
        return ordinal() < HUE.ordinal();
    }
}
