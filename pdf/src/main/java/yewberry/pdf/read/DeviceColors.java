package yewberry.pdf.read;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.graphics.color.PDCIEBasedColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;
import yewberry.core.Refused;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PlaneTable;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;

/**
 * Turns colours of a file (ISO 32000-1, 8.6) into planes: on paper the inks of a press condition
 * and the spot inks that are asked for, on a screen what is taken from white light. A spot ink that
 * is not asked for counts as what stands for it.
 */
public final class DeviceColors {
    private static final List<String> PROCESS = List.of("Cyan", "Magenta", "Yellow", "Black");

    private final Medium medium;
    private final PressCondition condition;
    private final List<String> spots;

    /** Colours that are painted in others. */
    private final List<Recoloring> recolored;

    /**
     * @param spots the names of the spot inks that have planes of their own, in order
     */
    public DeviceColors(Medium medium, PressCondition condition, List<String> spots) {
        this(medium, condition, spots, List.of());
    }

    private DeviceColors(
            Medium medium,
            PressCondition condition,
            List<String> spots,
            List<Recoloring> recolored) {
        this.medium = medium;
        this.condition = condition;
        this.spots = medium == Medium.PAPER ? List.copyOf(spots) : List.of();
        this.recolored = recolored;
    }

    /** The same with some colours painted in others. */
    public DeviceColors recolored(List<Recoloring> changes) {
        return new DeviceColors(medium, condition, spots, List.copyOf(changes));
    }

    /** The same with all colours as they are. */
    DeviceColors asTheyAre() {
        return recolored.isEmpty() ? this : recolored(List.of());
    }

    /** The changes of colours of pictures somewhere on the page. */
    List<Recoloring> pictures(Point2D at) {
        return recolored.stream().filter(each -> each.isFor(Recolor.What.PICTURES, at)).toList();
    }

    /** Whether pictures have any pixels painted in others. */
    public boolean hasPictures() {
        return recolored.stream().anyMatch(each -> each.what().contains(Recolor.What.PICTURES));
    }

    PressCondition condition() {
        return condition;
    }

    /** Whether it matters where something is painted. */
    public boolean hasAreas() {
        return recolored.stream().anyMatch(each -> each.area().isPresent());
    }

    /**
     * The change of a colour of something that is painted, if there is one.
     *
     * @param at where it is on the page as it is seen, in points from its top left
     */
    public Optional<Recoloring> change(
            PDColorSpace space, float[] values, Recolor.What what, Point2D at) throws IOException {
        if (recolored.isEmpty()) {
            return Optional.empty();
        }
        Rgb seen = seen(space, values);
        return recolored.stream()
                .filter(each -> each.changes(seen, what, at, condition))
                .findFirst();
    }

    /** As a screen shows a colour of the file, before it is another one. */
    Rgb seen(PDColorSpace space, float[] values) throws IOException {
        double[] taken = inLight().of(space, values).planes();
        return new Rgb(light(taken[0]), light(taken[1]), light(taken[2]));
    }

    private static int light(double taken) {
        return Math.clamp(Math.round((1 - taken) * 255), 0, 255);
    }

    /**
     * The colour of something that is painted, or what takes its place.
     *
     * @param at where it is on the page as it is seen, in points from its top left
     * @return nothing where it is not painted at all
     * @throws IOException if the colour space is broken
     */
    public Optional<Inked> of(PDColorSpace space, float[] values, Recolor.What what, Point2D at)
            throws IOException {
        Optional<Recoloring> change = change(space, values, what, at);
        return change.isEmpty()
                ? Optional.of(of(space, values))
                : change.get().to().map(this::inked);
    }

    /** Ink or light on its planes. */
    Inked inked(Color color) {
        return switch (color) {
            case Cmyk ink -> process(share(ink), true);
            case Rgb rgb ->
                    light(new float[] {rgb.red() / 255f, rgb.green() / 255f, rgb.blue() / 255f});
            default -> throw new IllegalStateException("Neither ink nor light: " + color);
        };
    }

    private static float[] share(Cmyk ink) {
        return new float[] {
            (float) (ink.cyan() / 100),
            (float) (ink.magenta() / 100),
            (float) (ink.yellow() / 100),
            (float) (ink.black() / 100)
        };
    }

    /** The same for light, as soft masks are worked out in. */
    DeviceColors inLight() {
        return new DeviceColors(Medium.SCREEN, condition, List.of());
    }

    Medium medium() {
        return medium;
    }

    public int count() {
        return process() + spots.size();
    }

    int process() {
        return medium == Medium.PAPER ? 4 : 3;
    }

    /**
     * A colour on its planes.
     *
     * @param planes each 0 to 1
     * @param named those that the colour is defined on; with overprint the others stay as they are
     * @param direct whether it is defined in process inks as they are
     */
    public record Inked(double[] planes, boolean[] named, boolean direct) {
        /** The planes that it prints on, where it is set to print over what is below. */
        public boolean[] printed(boolean overprint, int mode) {
            boolean[] printed = new boolean[planes.length];
            for (int i = 0; i < printed.length; i++) {
                boolean free = direct && mode == 1 && i < 4 && planes[i] == 0;
                printed[i] = !overprint || named[i] && !free;
            }
            return printed;
        }
    }

    /**
     * @throws IOException if the colour space is broken
     */
    public Inked of(PDColorSpace space, float[] values) throws IOException {
        return switch (space) {
            case PDDeviceCMYK cmyk -> process(values, true);
            case PDDeviceGray gray -> gray(values[0]);
            case PDDeviceRGB rgb -> light(values);
            case PDICCBased icc -> profiled(icc, values);
            case PDIndexed indexed -> of(indexed.getBaseColorSpace(), entry(indexed, values[0]));
            case PDSeparation spot -> separation(spot, values);
            case PDDeviceN several -> several(several, values);
            case PDCIEBasedColorSpace other -> light(other.toRGB(values));
            default -> light(space.toRGB(values));
        };
    }

    private static float[] entry(PDIndexed indexed, float at) throws IOException {
        // PDFBox keeps the table to itself and gives it in light only
        return IndexedTable.of(indexed).entry(Math.round(at));
    }

    private Inked process(float[] ink, boolean direct) {
        double[] planes = new double[count()];
        boolean[] named = new boolean[count()];
        switch (medium) {
            case PAPER -> {
                for (int i = 0; i < 4; i++) {
                    planes[i] = Math.clamp(ink[i], 0, 1);
                    named[i] = true;
                }
            }
            case SCREEN -> {
                taken(condition.toScreen(cmyk(ink)), planes);
                Arrays.fill(named, true);
            }
        }
        return new Inked(planes, named, direct && medium == Medium.PAPER);
    }

    private static Cmyk cmyk(float[] ink) {
        return new Cmyk(percent(ink[0]), percent(ink[1]), percent(ink[2]), percent(ink[3]));
    }

    private static double percent(float part) {
        return Math.clamp(Math.rint(part * 100_000.0) / 1000, 0, 100);
    }

    /** ISO 32000-1, 10.3.3: grey is black ink alone. */
    private Inked gray(float light) {
        return switch (medium) {
            case PAPER -> process(new float[] {0, 0, 0, 1 - light}, false);
            case SCREEN -> light(new float[] {light, light, light});
        };
    }

    private Inked light(float[] rgb) {
        switch (medium) {
            case PAPER -> {
                Rgb color = new Rgb(level(rgb[0]), level(rgb[1]), level(rgb[2]));
                Cmyk ink = condition.toInk(color);
                return process(
                        new float[] {
                            (float) (ink.cyan() / 100),
                            (float) (ink.magenta() / 100),
                            (float) (ink.yellow() / 100),
                            (float) (ink.black() / 100)
                        },
                        false);
            }
            case SCREEN -> {
                double[] planes = new double[count()];
                boolean[] named = new boolean[count()];
                for (int i = 0; i < 3; i++) {
                    planes[i] = 1 - Math.clamp(rgb[i], 0, 1);
                }
                Arrays.fill(named, true);
                return new Inked(planes, named, false);
            }
        }
        throw new IllegalStateException();
    }

    private static int level(float part) {
        return Math.round(Math.clamp(part, 0f, 1f) * 255);
    }

    private static void taken(Rgb color, double[] planes) {
        planes[0] = 1 - color.red() / 255.0;
        planes[1] = 1 - color.green() / 255.0;
        planes[2] = 1 - color.blue() / 255.0;
    }

    private Inked profiled(PDICCBased icc, float[] values) throws IOException {
        Optional<PlaneTable> table = table(icc);
        if (table.isEmpty()) {
            return switch (values.length) {
                case 1 -> gray(values[0]);
                case 4 -> process(values, false);
                default -> light(values);
            };
        }
        byte[] device = new byte[values.length];
        for (int i = 0; i < device.length; i++) {
            device[i] = (byte) level(values[i]);
        }
        byte[] converted = new byte[process()];
        table.get().convert(device, converted);
        float[] planes = new float[converted.length];
        for (int i = 0; i < planes.length; i++) {
            planes[i] = (converted[i] & 0xff) / 255f;
        }
        return medium == Medium.PAPER
                ? process(planes, false)
                : light(new float[] {1 - planes[0], 1 - planes[1], 1 - planes[2]});
    }

    /** Of a profile that is neither the condition's own, nor for grey, nor broken. */
    Optional<PlaneTable> table(PDICCBased icc) throws IOException {
        if (icc.getNumberOfComponents() == 1 || icc.isSRGB()) {
            return Optional.empty();
        }
        try {
            return condition.planeTable(icc.getPDStream().toByteArray(), medium);
        } catch (Refused broken) {
            return Optional.empty();
        }
    }

    /** Many pixels of sRGB at once. */
    Optional<PlaneTable> lightTable() {
        return medium == Medium.PAPER ? Optional.of(condition.inkTable()) : Optional.empty();
    }

    private Inked separation(PDSeparation spot, float[] values) throws IOException {
        String name = spot.getColorantName();
        if (name.equals("All") && medium == Medium.PAPER) {
            double[] planes = new double[count()];
            boolean[] named = new boolean[count()];
            Arrays.fill(planes, values[0]);
            Arrays.fill(named, true);
            return new Inked(planes, named, false);
        }
        if (name.equals("None")) {
            return new Inked(new double[count()], new boolean[count()], false);
        }
        int plane = plane(name);
        if (plane < 0) {
            return of(spot.getAlternateColorSpace(), TintTransform.of(spot.getCOSObject(), values));
        }
        double[] planes = new double[count()];
        boolean[] named = new boolean[count()];
        planes[plane] = Math.clamp(values[0], 0, 1);
        named[plane] = true;
        return new Inked(planes, named, false);
    }

    private int plane(String name) {
        if (medium == Medium.SCREEN) {
            return -1;
        }
        int process = PROCESS.indexOf(name);
        int spot = spots.indexOf(name);
        return process >= 0 ? process : spot >= 0 ? 4 + spot : -1;
    }

    private Inked several(PDDeviceN space, float[] values) throws IOException {
        List<String> names = space.getColorantNames();
        double[] planes = new double[count()];
        boolean[] named = new boolean[count()];
        for (int i = 0; i < names.size(); i++) {
            int plane = plane(names.get(i));
            if (plane < 0 && !names.get(i).equals(COSName.NONE.getName())) {
                return of(
                        space.getAlternateColorSpace(),
                        TintTransform.of(space.getCOSObject(), values));
            }
            if (plane >= 0) {
                planes[plane] = Math.clamp(values[i], 0, 1);
                named[plane] = true;
            }
        }
        return new Inked(planes, named, false);
    }
}
