package yewberry.core.color;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import yewberry.core.Refused;
import yewberry.core.Sha256;

/**
 * A way of printing: an ICC output profile with its name and ink limit. On the screen, and from the
 * screen into ink, conversion is relative colorimetric with black-point compensation (ISO 18619):
 * the paper maps to white, the deepest black to black. A proof on stock is absolute: paper and
 * black are as they are.
 *
 * <p>This is the one piece of code that turns ink into screen colour, for pictures and for checks.
 * It is thread-safe.
 */
public final class PressCondition {
    /** A publication holds a few hundred colours; the bound only guards against abuse. */
    private static final int COLORS = 20_000;

    /** Of up to three megabytes each. */
    private static final int TABLES = 16;

    private final String id;
    private final String name;
    private final String registeredName;
    private final byte[] profile;
    private final double inkLimit;
    private final ICC_ColorSpace space;
    private final double[] black;
    private final double[] white;
    private volatile String profileSum;
    private volatile ScreenTable toLight;

    /** A stock that is being chosen goes through many colours. */
    private final Cache<Lab, ScreenTable> onStocks = kept(TABLES);

    private volatile double[][] grid;
    private volatile PlaneTable fromScreen;

    /** By all bytes of the profile. */
    private final Cache<ProfileUse, PlaneTable> fromProfiles = kept(TABLES);

    private final Cache<Cmyk, Rgb> toScreen = kept(COLORS);
    private final Cache<Color, Cmyk> toInk = kept(COLORS);

    private PressCondition(
            String id, String name, String registeredName, byte[] profile, double inkLimit) {
        this.id = id;
        this.name = name;
        this.registeredName = registeredName;
        this.profile = profile;
        this.inkLimit = inkLimit;
        ICC_Profile icc = ICC_Profile.getInstance(profile);
        this.space = new ICC_ColorSpace(icc);
        this.white = mediaWhite(icc);
        this.black = blackPoint();
    }

    /** Offset on coated paper, built from the measured data FOGRA39L. */
    public static PressCondition coated() {
        return Shipped.COATED;
    }

    /** Those that ship with the application; the first is what a new publication gets. */
    public static List<PressCondition> shipped() {
        return Shipped.ALL;
    }

    private static final class Shipped {
        static final PressCondition COATED = shipped("coated", "Coated offset", "FOGRA39", 330);
        static final List<PressCondition> ALL =
                List.of(
                        COATED,
                        shipped("uncoated", "Uncoated offset", "FOGRA29", 300),
                        shipped(
                                "light-weight-coated",
                                "Light-weight coated web offset",
                                "FOGRA28",
                                300));

        private static PressCondition shipped(
                String id, String name, String registeredName, double inkLimit) {
            try (InputStream in =
                    PressCondition.class.getResourceAsStream("/yewberry/press/" + id + ".icc")) {
                return new PressCondition(id, name, registeredName, in.readAllBytes(), inkLimit);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /**
     * A condition from a profile of the user's own.
     *
     * @param inkLimit the most ink in one place, in percent
     * @throws Refused if the profile is damaged or is not for CMYK output
     */
    public static PressCondition imported(String id, String name, byte[] profile, double inkLimit) {
        if (!(inkLimit >= 100 && inkLimit <= 400)) {
            throw new Refused(
                    "An ink limit of %s %% is not possible; choose from 100 to 400 %%."
                            .formatted(Numbers.plain(inkLimit)));
        }
        if (profile.length < 128
                || ByteBuffer.wrap(profile).getInt() != profile.length
                || ByteBuffer.wrap(profile).getInt(36) != 0x61637370) {
            throw new Refused(
                    "This is not a whole ICC profile: its length or its signature is wrong. Get it again from where it came from.");
        }
        try {
            ICC_Profile icc = ICC_Profile.getInstance(profile);
            if (icc.getColorSpaceType() != ColorSpace.TYPE_CMYK) {
                throw new Refused(
                        "This ICC profile is not for CMYK; choose the output profile of a press.");
            }
            if (icc.getProfileClass() != ICC_Profile.CLASS_OUTPUT) {
                throw new Refused(
                        "This ICC profile is not an output profile; choose the profile of a press, not a link between two.");
            }
            return new PressCondition(id, name, name, profile.clone(), inkLimit);
        } catch (IllegalArgumentException | java.awt.color.CMMException damaged) {
            throw new Refused(
                    "This ICC profile is damaged and cannot be used; get it again from where it came from.");
        }
    }

    /**
     * {@code coated}, {@code uncoated}, {@code light-weight-coated}, or that of an imported one.
     */
    public String id() {
        return id;
    }

    public String name() {
        return name;
    }

    /** The name of the characterised printing condition, for a PDF's output intent. */
    public String registeredName() {
        return registeredName;
    }

    /** What the ICC profile is known by, as {@link Sha256} has it. */
    public String profileSum() {
        String sum = profileSum;
        if (sum == null) {
            sum = Sha256.of(profile);
            profileSum = sum;
        }
        return sum;
    }

    /** The ICC profile, a copy. */
    public byte[] profile() {
        return profile.clone();
    }

    /** The inks that the profile proposes for a colour as seen on the screen, in percent. */
    double[] proposed(Lab wanted) {
        return percents(inkOf(wanted.xyz()));
    }

    /** How inks in percent are seen on the screen, without remembering it. */
    Lab seen(double[] ink) {
        return Lab.ofXyz(compensated(new Cmyk(ink[0], ink[1], ink[2], ink[3])));
    }

    /** The most ink in one place, all inks together, in percent. */
    public double inkLimit() {
        return inkLimit;
    }

    /** What a colour becomes on a medium before it is mixed with others. */
    public Color device(Color color, Medium medium) {
        return switch (medium) {
            case PAPER -> color instanceof Inks ? color : toInk(color);
            case SCREEN -> toScreen(color);
        };
    }

    /** What is seen of a colour that goes to a medium: on paper all of it is ink. */
    public Rgb seen(Color color, Medium medium) {
        return toScreen(device(color, medium));
    }

    /** What a screen shows for this colour. */
    public Rgb toScreen(Color color) {
        return switch (color) {
            case Rgb rgb -> rgb;
            case Lab lab -> Srgb.fromXyzD50(lab.xyz());
            case Cmyk cmyk -> toScreen.get(cmyk, ink -> Srgb.fromXyzD50(compensated(ink)));
            case Gray gray -> toScreen(gray.ink());
            case Inks inks -> toScreen(toInk(inks));
        };
    }

    /** The screen's components before they are rounded, 0 to 255, cut at the edge of the gamut. */
    public double[] screenComponents(Color color) {
        return switch (color) {
            case Rgb rgb -> new double[] {rgb.red(), rgb.green(), rgb.blue()};
            case Lab lab -> Srgb.components(lab.xyz());
            case Cmyk cmyk -> Srgb.components(compensated(cmyk));
            case Gray gray -> screenComponents(gray.ink());
            case Inks inks -> screenComponents(toInk(inks));
        };
    }

    /** Many pixels of ink at once, as {@link #toScreen}. */
    public ScreenTable screenTable() {
        ScreenTable made = toLight;
        if (made == null) {
            made = new ScreenTable(grid(), xyz -> Srgb.linear(compensated(xyz)));
            toLight = made;
        }
        return made;
    }

    /** Many pixels of ink at once, as {@link #proof} on a stock. */
    public ScreenTable proofTable(Lab stock) {
        return onStocks.get(
                stock,
                of -> new ScreenTable(grid(), xyz -> Srgb.linear(onStock(xyz, stock.xyz()))));
    }

    /** Many pixels of sRGB at once, as {@link #toInk}. */
    public PlaneTable inkTable() {
        PlaneTable made = fromScreen;
        if (made == null) {
            made = PlaneTable.ofSrgb(this);
            fromScreen = made;
        }
        return made;
    }

    /** A profile, all of it, and what its colours are wanted on. */
    private record ProfileUse(ByteBuffer profile, Medium medium) {}

    /**
     * Many pixels at once of colours that another ICC profile describes; nothing where it is this
     * condition's own, whose colours are the inks.
     *
     * @throws Refused if it is damaged, or not for red, green and blue or four inks
     */
    public Optional<PlaneTable> planeTable(byte[] other, Medium medium) {
        if (Arrays.equals(profile, other)) {
            return Optional.empty();
        }
        return Optional.of(
                fromProfiles.get(
                        new ProfileUse(ByteBuffer.wrap(other.clone()), medium),
                        key -> PlaneTable.of(other, this, medium)));
    }

    /** The process inks that print this colour as well as this condition can. */
    public Cmyk toInk(Color color) {
        return switch (color) {
            case Cmyk cmyk -> cmyk;
            case Gray gray -> gray.ink();
            case Rgb rgb -> toInk.get(rgb, each -> inkOf(Srgb.toXyzD50(rgb)));
            case Lab lab -> toInk.get(lab, each -> inkOf(lab.xyz()));
            case Inks inks -> equivalent(inks);
        };
    }

    /** The colour as it is seen on the screen, in CIELAB: paper is white there, black is black. */
    public Lab lab(Color color) {
        return switch (color) {
            case Lab lab -> lab;
            case Rgb rgb -> Lab.ofXyz(Srgb.toXyzD50(rgb));
            case Cmyk cmyk -> Lab.ofXyz(compensated(cmyk));
            case Gray gray -> lab(gray.ink());
            case Inks inks -> lab(toInk(inks));
        };
    }

    /** All inks of a colour together, spot inks as themselves, in percent. */
    public double totalInk(Color color) {
        return color instanceof Inks inks
                ? inks.process().total()
                        + inks.spots().stream().mapToDouble(Inks.Spot::percent).sum()
                : toInk(color).total();
    }

    /** The colour as it is measured on the paper of this condition: absolute colorimetric. */
    public Lab measured(Color color) {
        return Lab.ofXyz(onStock(toInk(color), white));
    }

    /** The paper of this condition, as measured. */
    public Lab paper() {
        return measured(Cmyk.NONE);
    }

    /** What a screen shows for a proof of this colour on a stock: paper and black as they are. */
    public Rgb proof(Color color, Lab stock) {
        return Srgb.fromXyzD50(onStock(toInk(color), stock.xyz()));
    }

    private static <K, V> Cache<K, V> kept(int most) {
        return Caffeine.newBuilder().maximumSize(most).executor(Runnable::run).build();
    }

    /** Each spot ink counts as its equivalent at its coverage, added up: as in the press PDF. */
    private Cmyk equivalent(Inks inks) {
        double[] sum = percents(inks.process());
        for (Inks.Spot spot : inks.spots()) {
            double[] of = percents(toInk(spot.equivalent()));
            for (int i = 0; i < 4; i++) {
                sum[i] += of[i] * spot.percent() / 100;
            }
        }
        return new Cmyk(
                Math.min(100, sum[0]),
                Math.min(100, sum[1]),
                Math.min(100, sum[2]),
                Math.min(100, sum[3]));
    }

    private static double[] percents(Cmyk ink) {
        return new double[] {ink.cyan(), ink.magenta(), ink.yellow(), ink.black()};
    }

    /** What the tables are made from: relative XYZ of every step of every ink, made once. */
    private double[][] grid() {
        double[][] made = grid;
        if (made == null) {
            made = ScreenTable.grid(this::relative);
            grid = made;
        }
        return made;
    }

    private double[] compensated(Cmyk cmyk) {
        return compensated(relative(cmyk));
    }

    /** XYZ relative to the paper, with black-point compensation. */
    private double[] compensated(double[] relative) {
        double[] xyz = relative.clone();
        for (int i = 0; i < 3; i++) {
            xyz[i] = (xyz[i] - black[i]) * Lab.D50[i] / (Lab.D50[i] - black[i]);
        }
        return xyz;
    }

    private double[] onStock(Cmyk cmyk, double[] stock) {
        return onStock(relative(cmyk), stock);
    }

    /** XYZ on a stock of this XYZ: ICC.1, absolute colorimetric. */
    private static double[] onStock(double[] relative, double[] stock) {
        double[] xyz = relative.clone();
        for (int i = 0; i < 3; i++) {
            xyz[i] *= stock[i] / Lab.D50[i];
        }
        return xyz;
    }

    Cmyk inkOf(double[] xyz) {
        float[] scaled = new float[3];
        for (int i = 0; i < 3; i++) {
            double range = Lab.D50[i] - black[i];
            scaled[i] = (float) Math.max(0, xyz[i] * range / Lab.D50[i] + black[i]);
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

    private double[] relative(Cmyk cmyk) {
        double[] percents = percents(cmyk);
        float[] fractions = new float[4];
        for (int i = 0; i < 4; i++) {
            fractions[i] = (float) (percents[i] / 100);
        }
        return xyz(fractions);
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
        return new double[] {y * Lab.D50[0], y * Lab.D50[1], y * Lab.D50[2]};
    }

    /** ICC.1, mediaWhitePointTag: an XYZ of three s15Fixed16 numbers behind eight bytes of head. */
    private static double[] mediaWhite(ICC_Profile icc) {
        byte[] tag = icc.getData(ICC_Profile.icSigMediaWhitePointTag);
        if (tag == null || tag.length < 20) {
            return Lab.D50.clone();
        }
        ByteBuffer numbers = ByteBuffer.wrap(tag, 8, 12);
        return new double[] {
            numbers.getInt() / 65536.0, numbers.getInt() / 65536.0, numbers.getInt() / 65536.0
        };
    }
}
