package yewberry.core.color;

/**
 * Composites one colour over another: ISO 32000-1, 11.3.3 to 11.3.5, on components of light, 0 to
 * 1; CSS Compositing 1 has the same formulas. Ink is turned into light by taking it from 1
 * (11.7.2).
 */
public final class Blend {
    private Blend() {}

    /** What a separable mode makes of one component. */
    static double separable(BlendMode mode, double below, double above) {
        return switch (mode) {
            case NORMAL, HUE, SATURATION, COLOR, LUMINOSITY -> above;
            case MULTIPLY -> below * above;
            case SCREEN -> screen(below, above);
            case OVERLAY -> hardLight(above, below);
            case DARKEN -> Math.min(below, above);
            case LIGHTEN -> Math.max(below, above);
            case COLOR_DODGE -> below == 0 ? 0 : below >= 1 - above ? 1 : below / (1 - above);
            case COLOR_BURN -> below == 1 ? 1 : 1 - below >= above ? 0 : 1 - (1 - below) / above;
            case HARD_LIGHT -> hardLight(below, above);
            case SOFT_LIGHT -> softLight(below, above);
            case DIFFERENCE -> Math.abs(below - above);
            case EXCLUSION -> below + above - 2 * below * above;
        };
    }

    private static double screen(double below, double above) {
        return below + above - below * above;
    }

    private static double hardLight(double below, double above) {
        return above <= 0.5 ? below * 2 * above : screen(below, 2 * above - 1);
    }

    private static double softLight(double below, double above) {
        if (above <= 0.5) {
            return below - (1 - 2 * above) * below * (1 - below);
        }
        double curve = below <= 0.25 ? ((16 * below - 12) * below + 4) * below : Math.sqrt(below);
        return below + (2 * above - 1) * (curve - below);
    }

    /**
     * What a mode makes of a colour on another one that covers.
     *
     * @param below red, green and blue, 0 to 1
     * @param above likewise
     */
    public static double[] mixed(BlendMode mode, double[] below, double[] above) {
        return switch (mode) {
            case HUE -> withLuminosity(withSaturation(above, saturation(below)), below);
            case SATURATION -> withLuminosity(withSaturation(below, saturation(above)), below);
            case COLOR -> withLuminosity(above, below);
            case LUMINOSITY -> withLuminosity(below, above);
            case NORMAL,
                    MULTIPLY,
                    SCREEN,
                    OVERLAY,
                    DARKEN,
                    LIGHTEN,
                    COLOR_DODGE,
                    COLOR_BURN,
                    HARD_LIGHT,
                    SOFT_LIGHT,
                    DIFFERENCE,
                    EXCLUSION -> {
                double[] result = new double[3];
                for (int i = 0; i < 3; i++) {
                    result[i] = separable(mode, below[i], above[i]);
                }
                yield result;
            }
        };
    }

    private static double luminosity(double[] color) {
        return 0.3 * color[0] + 0.59 * color[1] + 0.11 * color[2];
    }

    private static double saturation(double[] color) {
        return most(color) - least(color);
    }

    private static double most(double[] color) {
        return Math.max(color[0], Math.max(color[1], color[2]));
    }

    private static double least(double[] color) {
        return Math.min(color[0], Math.min(color[1], color[2]));
    }

    private static double[] withLuminosity(double[] color, double[] of) {
        double by = luminosity(of) - luminosity(color);
        double[] moved = {color[0] + by, color[1] + by, color[2] + by};
        double middle = luminosity(moved);
        double low = least(moved);
        double high = most(moved);
        for (int i = 0; i < 3; i++) {
            if (low < 0) {
                moved[i] = middle + (moved[i] - middle) * middle / (middle - low);
            }
            if (high > 1) {
                moved[i] = middle + (moved[i] - middle) * (1 - middle) / (high - middle);
            }
        }
        return moved;
    }

    private static double[] withSaturation(double[] color, double saturation) {
        double low = least(color);
        double range = most(color) - low;
        double[] result = new double[3];
        for (int i = 0; i < 3 && range > 0; i++) {
            result[i] = (color[i] - low) * saturation / range;
        }
        return result;
    }

    /**
     * Composites ink over ink, in place. Three planes are what is taken from red, green and blue
     * light; of more the first four are cyan, magenta, yellow and black, the others spot inks, all
     * 0 to 1. Spot inks know only modes that leave white white, any other counts as normal
     * (11.7.4.2).
     *
     * @param below what is there; becomes the result
     * @param belowAlpha how much of that covers, 0 to 1
     * @param above what is painted
     * @param alpha how much of it covers, 0 to 1
     * @return how much of the result covers
     */
    public static double ink(
            double[] below, double belowAlpha, double[] above, double alpha, BlendMode mode) {
        double union = belowAlpha + alpha - belowAlpha * alpha;
        if (union == 0) {
            return 0;
        }
        double part = alpha / union;
        double[] mixed =
                mode.isSeparable() || belowAlpha == 0 ? null : mixedInk(mode, below, above);
        for (int plane = 0; plane < below.length; plane++) {
            double source = above[plane];
            double blended = source;
            if (mode != BlendMode.NORMAL && belowAlpha > 0) {
                blended =
                        mixed == null || plane >= 4
                                ? ink(onPlane(mode, plane), below[plane], source)
                                : mixed[plane];
            }
            double painted = (1 - belowAlpha) * source + belowAlpha * blended;
            below[plane] = (1 - part) * below[plane] + part * painted;
        }
        return union;
    }

    /** What a separable mode makes of one plane of ink on another that covers. */
    public static double ink(BlendMode mode, double below, double above) {
        return mode == BlendMode.NORMAL ? above : 1 - separable(mode, 1 - below, 1 - above);
    }

    /** The mode that counts on a plane, by its number: spot inks, from the fifth on, know fewer. */
    public static BlendMode onPlane(BlendMode mode, int plane) {
        return plane < 4 || keepsWhite(mode) ? mode : BlendMode.NORMAL;
    }

    /** ISO 32000-1, 11.7.4.2: the modes that a spot ink can take part in. */
    public static boolean keepsWhite(BlendMode mode) {
        return mode.isSeparable() && mode != BlendMode.DIFFERENCE && mode != BlendMode.EXCLUSION;
    }

    /** 11.3.5.3: the colours as red, green and blue; black is kept, or taken for luminosity. */
    private static double[] mixedInk(BlendMode mode, double[] below, double[] above) {
        double[] light =
                mixed(
                        mode,
                        new double[] {1 - below[0], 1 - below[1], 1 - below[2]},
                        new double[] {1 - above[0], 1 - above[1], 1 - above[2]});
        if (below.length == 3) {
            return new double[] {1 - light[0], 1 - light[1], 1 - light[2]};
        }
        double black = mode == BlendMode.LUMINOSITY ? above[3] : below[3];
        return new double[] {1 - light[0], 1 - light[1], 1 - light[2], black};
    }
}
