package yewberry.core.scene;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Inks;
import yewberry.core.color.PressCondition;

/**
 * The plates that a page is printed with, and its colours on them: cyan, magenta, yellow and black
 * first, then the spot inks, each 0 to 1.
 */
public final class InkPlanes {
    private static final double NOTHING = 1e-9;

    private final PressCondition condition;
    private final List<Inks.Spot> spots;

    private InkPlanes(PressCondition condition, List<Inks.Spot> spots) {
        this.condition = condition;
        this.spots = spots;
    }

    public static InkPlanes of(PageScene scene, PressCondition condition) {
        Map<String, Inks.Spot> spots = new LinkedHashMap<>();
        for (Item item : scene.items()) {
            for (Paint paint : item.paints()) {
                if (paint.color() instanceof Inks inks) {
                    inks.spots().forEach(spot -> spots.putIfAbsent(spot.name(), spot));
                }
            }
        }
        return new InkPlanes(condition, List.copyOf(spots.values()));
    }

    public int count() {
        return 4 + spots.size();
    }

    /** The spot inks behind the process planes, in order. */
    public List<Inks.Spot> spots() {
        return spots;
    }

    public double[] of(Color color) {
        double[] planes = new double[count()];
        Cmyk process = color instanceof Inks inks ? inks.process() : condition.toInk(color);
        planes[0] = process.cyan() / 100;
        planes[1] = process.magenta() / 100;
        planes[2] = process.yellow() / 100;
        planes[3] = process.black() / 100;
        if (color instanceof Inks inks) {
            for (Inks.Spot spot : inks.spots()) {
                for (int i = 0; i < spots.size(); i++) {
                    if (spots.get(i).name().equals(spot.name())) {
                        planes[4 + i] = spot.percent() / 100;
                    }
                }
            }
        }
        return planes;
    }

    /** The colour of inks that cover completely. */
    public Color color(double[] planes) {
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

    /** To a thousandth of a percent, so that arithmetic noise makes no new colour. */
    private static double percent(double part) {
        return Math.clamp(Math.rint(part * 100_000) / 1000, 0, 100);
    }
}
