package yewberry.core.scene;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Inks;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/**
 * What the colours of a page are mixed in, each 0 to 1, where nothing is painted 0. On paper: cyan,
 * magenta, yellow and black, then the spot inks. On a screen: what is taken from the red, the green
 * and the blue of white, sRGB as encoded.
 */
public final class Planes {
    private static final double NOTHING = 1e-9;

    private final Medium medium;
    private final PressCondition condition;
    private final List<Inks.Spot> spots;

    private Planes(Medium medium, PressCondition condition, List<Inks.Spot> spots) {
        this.medium = medium;
        this.condition = condition;
        this.spots = spots;
    }

    static Planes of(List<Item> items, Medium medium, PressCondition condition) {
        Map<String, Inks.Spot> spots = new LinkedHashMap<>();
        for (Item item : items) {
            for (Paint paint : item.paints()) {
                if (medium == Medium.PAPER && paint.color() instanceof Inks inks) {
                    inks.spots().forEach(spot -> spots.putIfAbsent(spot.name(), spot));
                }
            }
        }
        return new Planes(medium, condition, List.copyOf(spots.values()));
    }

    public Medium medium() {
        return medium;
    }

    public int count() {
        return process() + spots.size();
    }

    /** How many there are without the spot inks. */
    public int process() {
        return process(medium);
    }

    public static int process(Medium medium) {
        return switch (medium) {
            case PAPER -> 4;
            case SCREEN -> 3;
        };
    }

    /** The spot inks behind the process planes, in order. */
    public List<Inks.Spot> spots() {
        return spots;
    }

    public double[] of(Color color) {
        double[] planes = new double[count()];
        switch (condition.device(color, medium)) {
            case Rgb rgb -> {
                planes[0] = 1 - rgb.red() / 255.0;
                planes[1] = 1 - rgb.green() / 255.0;
                planes[2] = 1 - rgb.blue() / 255.0;
            }
            case Inks inks -> {
                process(inks.process(), planes);
                for (Inks.Spot spot : inks.spots()) {
                    for (int i = 0; i < spots.size(); i++) {
                        if (spots.get(i).name().equals(spot.name())) {
                            planes[4 + i] = spot.percent() / 100;
                        }
                    }
                }
            }
            case Color ink -> process(condition.toInk(ink), planes);
        }
        return planes;
    }

    private static void process(Cmyk ink, double[] planes) {
        planes[0] = ink.cyan() / 100;
        planes[1] = ink.magenta() / 100;
        planes[2] = ink.yellow() / 100;
        planes[3] = ink.black() / 100;
    }

    /** The colour of planes that cover completely. */
    public Color color(double[] planes) {
        if (medium == Medium.SCREEN) {
            return new Rgb(component(planes[0]), component(planes[1]), component(planes[2]));
        }
        Cmyk process =
                new Cmyk(
                        percent(planes[0]),
                        percent(planes[1]),
                        percent(planes[2]),
                        percent(planes[3]));
        List<Inks.Spot> used = new ArrayList<>();
        for (int i = 0; i < spots.size(); i++) {
            if (planes[4 + i] > NOTHING) {
                Inks.Spot spot = spots.get(i);
                used.add(new Inks.Spot(spot.name(), spot.equivalent(), percent(planes[4 + i])));
            }
        }
        return used.isEmpty() ? process : new Inks(used, process);
    }

    /**
     * Of a pixel of the screen, as {@link #color} has it: red, green and blue in the lowest three
     * bytes.
     */
    public static int screen(float[] planes) {
        return component(planes[0]) << 16 | component(planes[1]) << 8 | component(planes[2]);
    }

    private static int component(double taken) {
        double left = taken <= 0 ? 1 : taken >= 1 ? 0 : 1 - taken;
        return (int) (left * 255 + 0.5);
    }

    /** To a thousandth of a percent, so that arithmetic noise makes no new colour. */
    private static double percent(double part) {
        return Math.clamp(Math.rint(part * 100_000) / 1000, 0, 100);
    }
}
