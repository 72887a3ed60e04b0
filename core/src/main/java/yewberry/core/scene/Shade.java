package yewberry.core.scene;

import java.util.List;
import java.util.stream.Collectors;
import yewberry.core.publication.Fill;

/** What an area is painted with, in device colour. */
public sealed interface Shade {
    record Solid(Paint paint) implements Shade {}

    /**
     * @param angle of a linear one, in degrees: 0 from left to right, 90 from the bottom up
     * @param stops in order of their positions
     */
    record Gradient(Fill.Gradient.Kind kind, double angle, List<Stop> stops) implements Shade {
        /**
         * @param position 0 to 1
         * @param opacity 0 to 1
         */
        public record Stop(double position, Paint paint, double opacity) {}

        public Gradient {
            stops = List.copyOf(stops);
        }

        /** Whether it covers everywhere. */
        public boolean covers() {
            return stops.stream().allMatch(stop -> stop.opacity() == 1);
        }

        /** How far along it a point is, 0 to 1, where it fills a frame. */
        public double at(double x, double y, Rect frame) {
            double dx = x - (frame.x() + frame.width() / 2);
            double dy = y - (frame.y() + frame.height() / 2);
            double way =
                    switch (kind) {
                        case LINEAR -> {
                            double radians = Math.toRadians(angle);
                            double length = length(frame);
                            yield (dx * Math.cos(radians) - dy * Math.sin(radians)) / length + 0.5;
                        }
                        case RADIAL -> Math.hypot(dx, dy) / radius(frame);
                    };
            return Math.clamp(way, 0, 1);
        }

        /** From end to end of a linear one in a frame, in points: its corners are its ends. */
        public double length(Rect frame) {
            double radians = Math.toRadians(angle);
            return Math.abs(frame.width() * Math.cos(radians))
                    + Math.abs(frame.height() * Math.sin(radians));
        }

        /** Of a radial one: from the middle of the frame to a corner, in points. */
        public double radius(Rect frame) {
            return Math.hypot(frame.width(), frame.height()) / 2;
        }
    }

    /** The swatches in it. */
    default List<Paint> paints() {
        return switch (this) {
            case Solid(Paint paint) -> List.of(paint);
            case Gradient gradient -> gradient.stops().stream().map(Gradient.Stop::paint).toList();
        };
    }

    default String inWords() {
        return paints().stream().map(Paint::inWords).distinct().collect(Collectors.joining(" to "));
    }
}
