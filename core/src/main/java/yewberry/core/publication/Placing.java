package yewberry.core.publication;

import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.color.Numbers;

/**
 * How a picture lies on its area.
 *
 * @param percent of its own size or of the page's width, for those that are sized by it
 * @param rotation in degrees, anticlockwise, about its middle
 * @param anchor the point of the area that it is placed from, where it does not fill the area
 * @param across from the anchor inwards; from a middle to the right
 * @param down from the anchor inwards; from a middle downwards
 * @param focus what cover keeps as near to the middle of the area as it can
 * @throws Refused if the percentage or the rotation is out of range
 */
public record Placing(
        Fit fit,
        double percent,
        Base base,
        double rotation,
        Anchor anchor,
        Length across,
        Length down,
        Focus focus) {
    /** Fills the area, its focus in the middle. */
    public static final Placing COVER =
            new Placing(
                    Fit.COVER,
                    100,
                    Base.OWN,
                    0,
                    new Anchor(Anchor.Across.MIDDLE, Anchor.Down.MIDDLE),
                    Length.ZERO,
                    Length.ZERO,
                    Focus.MIDDLE);

    public enum Fit {
        /** As large as it takes to leave nothing of the area free. */
        COVER,
        /** As large as it can be with nothing of it cut off. */
        CONTAIN,
        /** The area's sides, whatever its own are. */
        STRETCH,
        /** Again and again in both directions. */
        TILE,
        SIZED
    }

    /** What a percentage is of. */
    public enum Base {
        OWN,
        /** The width of the page's trim. */
        PAGE
    }

    /**
     * A point of a picture.
     *
     * @param x in percent of its width from the left
     * @param y in percent of its height from the top
     */
    public record Focus(double x, double y) {
        public static final Focus MIDDLE = new Focus(50, 50);

        public Focus {
            Definition.checkPercent("A focus", x);
            Definition.checkPercent("A focus", y);
        }
    }

    public Placing {
        if (!(percent >= 1 && percent <= 2000)) {
            throw new Refused(
                    "A size of %s %% is not possible; choose from 1 to 2000."
                            .formatted(Numbers.plain(percent)));
        }
        if (!(rotation >= -360 && rotation <= 360)) {
            throw new Refused(
                    "A rotation of %s degrees is not possible; choose from -360 to 360."
                            .formatted(Numbers.plain(rotation)));
        }
    }

    public Placing withFit(Fit changed) {
        return new Placing(changed, percent, base, rotation, anchor, across, down, focus);
    }

    public Placing withRotation(double changed) {
        return new Placing(fit, percent, base, changed, anchor, across, down, focus);
    }

    public Placing withFocus(Focus changed) {
        return new Placing(fit, percent, base, rotation, anchor, across, down, changed);
    }
}
