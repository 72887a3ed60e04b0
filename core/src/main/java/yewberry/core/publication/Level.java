package yewberry.core.publication;

/** Conformance level of WCAG 2.2 that text is held to. */
public enum Level {
    AA(4.5, 3),
    AAA(7, 4.5);

    private final double normal;
    private final double large;

    Level(double normal, double large) {
        this.normal = normal;
        this.large = large;
    }

    /** The least contrast ratio: WCAG 2.2, success criteria 1.4.3 and 1.4.6. */
    public double required(boolean largeText) {
        return largeText ? large : normal;
    }
}
