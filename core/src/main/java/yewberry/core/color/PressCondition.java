package yewberry.core.color;

import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * A way of printing: an ICC output profile with its name. Both directions of conversion are
 * relative colorimetric with black-point compensation (ICC white paper "Black-point compensation",
 * Adobe 2006; ISO 18619): the paper maps to white, the deepest black to black.
 *
 * <p>This is the one piece of code that turns ink into screen colour, for pictures and for checks.
 * It is thread-safe.
 */
public final class PressCondition {
    private static final double[] D50 = {0.9642, 1, 0.8249};

    /** A publication holds a few hundred colours; the bound only guards against abuse. */
    private static final int CACHED = 20_000;

    private final String name;
    private final String registeredName;
    private final byte[] profile;
    private final ICC_ColorSpace space;
    private final double[] black;
    private final Map<Cmyk, Rgb> toScreen = new ConcurrentHashMap<>();
    private final Map<Rgb, Cmyk> toInk = new ConcurrentHashMap<>();

    private PressCondition(String name, String registeredName, byte[] profile) {
        this.name = name;
        this.registeredName = registeredName;
        this.profile = profile;
        this.space = new ICC_ColorSpace(ICC_Profile.getInstance(profile));
        this.black = blackPoint();
    }

    /** Offset on coated paper, built from the measured data FOGRA39L. */
    public static PressCondition coated() {
        return Coated.CONDITION;
    }

    private static final class Coated {
        static final PressCondition CONDITION =
                new PressCondition("Coated offset", "FOGRA39", bytes("coated.icc"));

        private static byte[] bytes(String file) {
            try (InputStream in =
                    PressCondition.class.getResourceAsStream("/yewberry/press/" + file)) {
                return in.readAllBytes();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    public String name() {
        return name;
    }

    /** The name of the characterised printing condition, for a PDF's output intent. */
    public String registeredName() {
        return registeredName;
    }

    /** The ICC profile, a copy. */
    public byte[] profile() {
        return profile.clone();
    }

    /** What a screen shows for this colour. */
    public Rgb toScreen(Color color) {
        return switch (color) {
            case Rgb rgb -> rgb;
            case Cmyk cmyk -> cached(toScreen, cmyk, this::screenOf);
        };
    }

    /** The inks that print this colour as well as this condition can. */
    public Cmyk toInk(Color color) {
        return switch (color) {
            case Cmyk cmyk -> cmyk;
            case Rgb rgb -> cached(toInk, rgb, this::inkOf);
        };
    }

    private static <K, V> V cached(Map<K, V> cache, K key, Function<K, V> compute) {
        V known = cache.get(key);
        if (known != null) {
            return known;
        }
        if (cache.size() >= CACHED) {
            cache.clear();
        }
        V value = compute.apply(key);
        cache.put(key, value);
        return value;
    }

    private Rgb screenOf(Cmyk cmyk) {
        double[] xyz = xyz(fractions(cmyk));
        for (int i = 0; i < 3; i++) {
            xyz[i] = (xyz[i] - black[i]) * D50[i] / (D50[i] - black[i]);
        }
        return Srgb.fromXyzD50(xyz);
    }

    private Cmyk inkOf(Rgb rgb) {
        double[] xyz = Srgb.toXyzD50(rgb);
        float[] scaled = new float[3];
        for (int i = 0; i < 3; i++) {
            scaled[i] = (float) Math.max(0, xyz[i] * (D50[i] - black[i]) / D50[i] + black[i]);
        }
        float[] ink = space.fromCIEXYZ(scaled);
        return new Cmyk(percent(ink[0]), percent(ink[1]), percent(ink[2]), percent(ink[3]));
    }

    /**
     * To a tenth of a percent, finer than the 8 bits of a plate, so that white is no ink at all.
     */
    private static double percent(float fraction) {
        return Math.clamp(Math.rint(fraction * 1000.0) / 10, 0, 100);
    }

    private static float[] fractions(Cmyk cmyk) {
        return new float[] {
            (float) (cmyk.cyan() / 100),
            (float) (cmyk.magenta() / 100),
            (float) (cmyk.yellow() / 100),
            (float) (cmyk.black() / 100)
        };
    }

    private double[] xyz(float[] ink) {
        float[] xyz = space.toCIEXYZ(ink);
        return new double[] {xyz[0], xyz[1], xyz[2]};
    }

    /**
     * The neutral of the lightness that the profile prints for black in its perceptual rendering:
     * black goes into ink by the perceptual table and back by the colorimetric one.
     */
    private double[] blackPoint() {
        double y = xyz(space.fromRGB(new float[] {0, 0, 0}))[1];
        return new double[] {y * D50[0], y * D50[1], y * D50[2]};
    }
}
