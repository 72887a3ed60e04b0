package yewberry.core.color;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.util.function.Function;
import yewberry.core.Refused;

/**
 * Turns many pixels of red, green and blue, or of inks, into what they are mixed in on a medium:
 * the process inks of a press condition, or what is taken from the light of a white sRGB screen.
 * Relative colorimetric with black-point compensation. A table is interpolated in the simplex that
 * a colour lies in. It is immutable and thread-safe.
 */
public final class PlaneTable {
    /** Components of what goes in, steps of the table, and its entries, the first outermost. */
    private final int components;

    private final int steps;
    private final int planes;
    private final float[] table;

    /**
     * @param planes what comes out, 0 to 1 each, so many of them
     */
    private PlaneTable(
            int components, int steps, int planes, Function<float[], double[]> converted) {
        this.components = components;
        this.steps = steps;
        this.planes = planes;
        int entries = (int) Math.pow(steps, components);
        this.table = new float[entries * planes];
        float[] fractions = new float[components];
        for (int entry = 0; entry < entries; entry++) {
            int rest = entry;
            for (int component = components - 1; component >= 0; component--) {
                fractions[component] = (float) (rest % steps) / (steps - 1);
                rest /= steps;
            }
            double[] of = converted.apply(fractions);
            for (int plane = 0; plane < planes; plane++) {
                table[entry * planes + plane] = (float) (of[plane] * 255);
            }
        }
    }

    /** Of sRGB, into ink. */
    static PlaneTable ofSrgb(PressCondition condition) {
        return new PlaneTable(3, 33, 4, rgb -> ink(condition.inkOf(Srgb.toXyzD50(rgb))));
    }

    private static double[] ink(Cmyk ink) {
        return new double[] {
            ink.cyan() / 100, ink.magenta() / 100, ink.yellow() / 100, ink.black() / 100
        };
    }

    private static double[] taken(double[] xyz) {
        double[] light = Srgb.components(xyz);
        return new double[] {1 - light[0] / 255, 1 - light[1] / 255, 1 - light[2] / 255};
    }

    /**
     * Of the colours that an ICC profile describes.
     *
     * @throws Refused if it is damaged, or not for red, green and blue or four inks
     */
    static PlaneTable of(byte[] profile, PressCondition condition, Medium medium) {
        try {
            ICC_Profile icc = ICC_Profile.getInstance(profile);
            ICC_ColorSpace space = new ICC_ColorSpace(icc);
            int components = space.getNumComponents();
            if (space.getType() != ColorSpace.TYPE_RGB && space.getType() != ColorSpace.TYPE_CMYK) {
                throw new Refused("The ICC profile of this picture is for neither RGB nor CMYK.");
            }
            double[] black = darkest(space);
            return new PlaneTable(
                    components,
                    components == 3 ? 33 : 17,
                    medium == Medium.PAPER ? 4 : 3,
                    device -> {
                        double[] xyz = compensated(space.toCIEXYZ(device), black);
                        return switch (medium) {
                            case PAPER -> ink(condition.inkOf(xyz));
                            case SCREEN -> taken(xyz);
                        };
                    });
        } catch (IllegalArgumentException | CMMException damaged) {
            throw new Refused("The ICC profile of this picture is damaged.");
        }
    }

    /** The neutral of the lightness of its black: ISO 18619. */
    private static double[] darkest(ICC_ColorSpace space) {
        double y = space.toCIEXYZ(space.fromRGB(new float[3]))[1];
        return new double[] {y * Lab.D50[0], y * Lab.D50[1], y * Lab.D50[2]};
    }

    private static double[] compensated(float[] xyz, double[] black) {
        double[] result = new double[3];
        for (int i = 0; i < 3; i++) {
            result[i] = Math.max(0, (xyz[i] - black[i]) * Lab.D50[i] / (Lab.D50[i] - black[i]));
        }
        return result;
    }

    /**
     * @param device a byte for each component of each pixel: three, or four of inks
     * @param converted a byte for each plane of each pixel, 255 for all there is of it
     * @throws IllegalArgumentException if the lengths do not fit
     */
    public void convert(byte[] device, byte[] converted) {
        if (device.length % components != 0
                || converted.length / planes < device.length / components) {
            throw new IllegalArgumentException(
                    "%d bytes do not fit %d".formatted(device.length, converted.length));
        }
        float[] parts = new float[components];
        int[] strides = new int[components];
        int last = -1;
        for (int pixel = 0; pixel * components < device.length; pixel++) {
            int from = pixel * components;
            int to = pixel * planes;
            int packed = packed(device, from);
            if (pixel > 0 && packed == last) {
                System.arraycopy(converted, to - planes, converted, to, planes);
                continue;
            }
            last = packed;
            int at = 0;
            int stride = planes;
            for (int component = components - 1; component >= 0; component--) {
                float scaled = (device[from + component] & 0xff) * (steps - 1) / 255f;
                int cell = Math.min(steps - 2, (int) scaled);
                at += cell * stride;
                parts[component] = scaled - cell;
                strides[component] = stride;
                stride *= steps;
            }
            interpolate(at, parts, strides, converted, to);
        }
    }

    private int packed(byte[] device, int from) {
        int packed = 0;
        for (int component = 0; component < components; component++) {
            packed = packed << 8 | device[from + component] & 0xff;
        }
        return packed;
    }

    /** From the lowest corner to the highest, along the component with the largest part first. */
    private void interpolate(int lowest, float[] parts, int[] strides, byte[] converted, int to) {
        for (int i = 1; i < components; i++) {
            for (int j = i; j > 0 && parts[j] > parts[j - 1]; j--) {
                float part = parts[j];
                parts[j] = parts[j - 1];
                parts[j - 1] = part;
                int stride = strides[j];
                strides[j] = strides[j - 1];
                strides[j - 1] = stride;
            }
        }
        for (int plane = 0; plane < planes; plane++) {
            int at = lowest + plane;
            float sum = table[at] * (1 - parts[0]);
            for (int i = 0; i < components; i++) {
                at += strides[i];
                sum += table[at] * (parts[i] - (i + 1 < components ? parts[i + 1] : 0));
            }
            converted[to + plane] = (byte) Math.round(sum);
        }
    }
}
