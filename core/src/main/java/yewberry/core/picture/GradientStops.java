package yewberry.core.picture;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Planes;

/**
 * A gradient of inks as one of screen colours: a browser goes straight from stop to stop on the
 * screen, the press in ink, so stops are put in between until both are the same to the eye.
 */
final class GradientStops {
    /** Levels of 255 that the middle between two stops may be off. */
    private static final int OFF = 1;

    private static final int DEEPEST = 7;

    private final View view;
    private final Planes planes;
    private final List<Stop> stops = new ArrayList<>();

    /**
     * @param position 0 to 1
     */
    record Stop(double position, Rgb color) {}

    private GradientStops(MediumScene scene, View view) {
        this.view = view;
        this.planes = scene.planes();
    }

    static List<Stop> of(MediumScene scene, AreaPaint.Gradient gradient, View view) {
        GradientStops result = new GradientStops(scene, view);
        List<AreaPaint.Gradient.Stop> given = gradient.stops();
        for (int i = 1; i < given.size(); i++) {
            double[] from = result.planes.of(given.get(i - 1).paint().color());
            double[] to = result.planes.of(given.get(i).paint().color());
            Stop first = new Stop(given.get(i - 1).position(), result.see(from));
            Stop last = new Stop(given.get(i).position(), result.see(to));
            result.stops.add(first);
            result.between(first, last, from, to, 0);
            result.stops.add(last);
        }
        return result.stops;
    }

    private void between(Stop first, Stop last, double[] from, double[] to, int depth) {
        double[] middle = new double[from.length];
        for (int i = 0; i < middle.length; i++) {
            middle[i] = (from[i] + to[i]) / 2;
        }
        Rgb seen = see(middle);
        boolean straight = near(first.color(), last.color(), seen);
        if (depth < 2 || !straight && depth < DEEPEST) {
            Stop stop = new Stop((first.position() + last.position()) / 2, seen);
            between(first, stop, from, middle, depth + 1);
            stops.add(stop);
            between(stop, last, middle, to, depth + 1);
        }
    }

    private Rgb see(double[] ink) {
        return view.see(planes.color(ink));
    }

    private static boolean near(Rgb one, Rgb other, Rgb middle) {
        return Math.abs((one.red() + other.red()) / 2 - middle.red()) <= OFF
                && Math.abs((one.green() + other.green()) / 2 - middle.green()) <= OFF
                && Math.abs((one.blue() + other.blue()) / 2 - middle.blue()) <= OFF;
    }
}
