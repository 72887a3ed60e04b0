package yewberry.core.color;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.util.function.Function;
import yewberry.core.Refused;

/**
 * Turns many pixels of red, green and blue, or of other inks, into the process inks of a press
 * condition: relative colorimetric with black-point compensation. A table is interpolated in the
 * simplex that a colour lies in. It is immutable and thread-safe.
 */
public final class InkTable {
    private static final int INKS = 4;

    /** Components of what goes in, steps of the table, and its entries, the first outermost. */
    private final int components;

    private final int steps;
    private final float[] table;

    private InkTable(int components, int steps, Function<float[], Cmyk> ink) {
        this.components = components;
        this.steps = steps;
        int entries = (int) Math.pow(steps, components);
        this.table = new float[entries * INKS];
        float[] fractions = new float[components];
        for (int entry = 0; entry < entries; entry++) {
            int rest = entry;
            for (int component = components - 1; component >= 0; component--) {
                fractions[component] = (float) (rest % steps) / (steps - 1);
                rest /= steps;
            }
            Cmyk of = ink.apply(fractions);
            table[entry * INKS] = (float) (of.cyan() * 2.55);
            table[entry * INKS + 1] = (float) (of.magenta() * 2.55);
            table[entry * INKS + 2] = (float) (of.yellow() * 2.55);
            table[entry * INKS + 3] = (float) (of.black() * 2.55);
        }
    }

    static InkTable ofSrgb(PressCondition condition) {
        return new InkTable(3, 33, rgb -> condition.inkOf(Srgb.toXyzD50(rgb)));
    }

    /**
     * Of the colours that an ICC profile describes.
     *
     * @throws Refused if it is damaged, or not for red, green and blue or four inks
     */
    static InkTable of(byte[] profile, PressCondition condition) {
        try {
            ICC_Profile icc = ICC_Profile.getInstance(profile);
            ICC_ColorSpace space = new ICC_ColorSpace(icc);
            int components = space.getNumComponents();
            if (space.getType() != ColorSpace.TYPE_RGB && space.getType() != ColorSpace.TYPE_CMYK) {
                throw new Refused("The ICC profile of this picture is for neither RGB nor CMYK.");
            }
            double[] black = darkest(space);
            return new InkTable(
                    components,
                    components == 3 ? 33 : 17,
                    device -> condition.inkOf(compensated(space.toCIEXYZ(device), black)));
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
     * @param ink four bytes a pixel, cyan, magenta, yellow and black, 255 for 100 %
     * @throws IllegalArgumentException if the lengths do not fit
     */
    public void convert(byte[] device, byte[] ink) {
        if (device.length % components != 0 || ink.length / INKS < device.length / components) {
            throw new IllegalArgumentException(
                    "%d bytes do not fit %d bytes of ink".formatted(device.length, ink.length));
        }
        float[] parts = new float[components];
        int[] strides = new int[components];
        int last = -1;
        for (int pixel = 0; pixel * components < device.length; pixel++) {
            int from = pixel * components;
            int to = pixel * INKS;
            int packed = packed(device, from);
            if (pixel > 0 && packed == last) {
                System.arraycopy(ink, to - INKS, ink, to, INKS);
                continue;
            }
            last = packed;
            int at = 0;
            int stride = INKS;
            for (int component = components - 1; component >= 0; component--) {
                float scaled = (device[from + component] & 0xff) * (steps - 1) / 255f;
                int cell = Math.min(steps - 2, (int) scaled);
                at += cell * stride;
                parts[component] = scaled - cell;
                strides[component] = stride;
                stride *= steps;
            }
            interpolate(at, parts, strides, ink, to);
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
    private void interpolate(int lowest, float[] parts, int[] strides, byte[] ink, int to) {
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
        for (int plate = 0; plate < INKS; plate++) {
            int at = lowest + plate;
            float sum = table[at] * (1 - parts[0]);
            for (int i = 0; i < components; i++) {
                at += strides[i];
                sum += table[at] * (parts[i] - (i + 1 < components ? parts[i + 1] : 0));
            }
            ink[to + plate] = (byte) Math.round(sum);
        }
    }
}
