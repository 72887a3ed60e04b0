package yewberry.core.scene;

import java.awt.geom.Point2D;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleBinaryOperator;
import java.util.stream.Collectors;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Fill;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;

/** What an area is painted with, in device colour. */
public sealed interface AreaPaint {
    record Solid(Paint paint) implements AreaPaint {}

    /**
     * @param angle of a linear one, in degrees: 0 from left to right, 90 from the bottom up
     * @param stops in order of their positions
     */
    record Gradient(Fill.Gradient.Kind kind, double angle, List<Stop> stops) implements AreaPaint {
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

        /** How far along it a point is. */
        public interface Way {
            /** 0 to 1. */
            double at(double x, double y);
        }

        /** The same of a frame that is rotated. */
        public Way within(Rect frame, Turn turn) {
            Way way = within(frame);
            if (turn.isNone()) {
                return way;
            }
            return (x, y) -> {
                Point2D back = turn.back(x, y);
                return way.at(back.getX(), back.getY());
            };
        }

        /** Where it fills a frame. */
        public Way within(Rect frame) {
            double middleX = frame.x() + frame.width() / 2;
            double middleY = frame.y() + frame.height() / 2;
            return switch (kind) {
                case LINEAR -> {
                    double across = Math.cos(Math.toRadians(angle)) / length(frame);
                    double down = -Math.sin(Math.toRadians(angle)) / length(frame);
                    yield (x, y) ->
                            Math.clamp((x - middleX) * across + (y - middleY) * down + 0.5, 0, 1);
                }
                case RADIAL -> {
                    double radius = radius(frame);
                    yield (x, y) -> Math.clamp(Math.hypot(x - middleX, y - middleY) / radius, 0, 1);
                }
            };
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

    /**
     * A picture, a drawing, or a page of a PDF.
     *
     * @param page of a document, from 1; else 1
     * @param pixels what it is on a medium
     * @param tiled whether it is there again and again in both directions
     * @param seeThrough a colour of it that is made transparent
     */
    record Picture(
            Asset asset,
            int page,
            Pictures.Placeable pixels,
            PicturePlace place,
            boolean tiled,
            RunOut runOut,
            Optional<SeeThrough> seeThrough)
            implements AreaPaint {
        /** Whether nothing of a rectangle is left free, and nothing shows through. */
        public boolean covers(Rect rect) {
            return isOpaque() && reaches(rect);
        }

        /** Whether nothing shows through where it is. */
        public boolean isOpaque() {
            return asset.content() instanceof Asset.Pixels pixels
                    && !pixels.transparent()
                    && seeThrough.isEmpty();
        }

        /** The same, rotated. */
        public Picture turned(Turn turn) {
            return turn.isNone()
                    ? this
                    : new Picture(
                            asset, page, pixels, place.turned(turn), tiled, runOut, seeThrough);
        }

        /** Whether it, or what goes on from it, is everywhere on a rectangle. */
        public boolean reaches(Rect rect) {
            return tiled
                    || runOut == RunOut.EDGE_COLOR
                    || runOut == RunOut.MIRROR
                    || place.covers(rect);
        }

        /** Pixels per inch as it lies on the page; nothing for what has no pixels. */
        public OptionalDouble ppi() {
            return ppi(Math::min);
        }

        /** The same in the direction in which there are more of them. */
        public OptionalDouble finest() {
            return ppi(Math::max);
        }

        private OptionalDouble ppi(DoubleBinaryOperator choice) {
            return asset.content() instanceof Asset.Pixels pixels
                    ? OptionalDouble.of(
                            72
                                    * choice.applyAsDouble(
                                            pixels.width() / place.width(),
                                            pixels.height() / place.height()))
                    : OptionalDouble.empty();
        }
    }

    /** In the colours that its own become on a medium. */
    default AreaPaint on(Medium medium, PressCondition condition) {
        return switch (this) {
            case Solid(Paint paint) -> new Solid(paint.on(medium, condition));
            case Gradient gradient ->
                    new Gradient(
                            gradient.kind(),
                            gradient.angle(),
                            gradient.stops().stream()
                                    .map(stop ->
                                            new Gradient.Stop(
                                                    stop.position(),
                                                    stop.paint().on(medium, condition),
                                                    stop.opacity()))
                                    .toList());
            case Picture picture ->
                    new Picture(
                            picture.asset(),
                            picture.page(),
                            picture.pixels().on(medium),
                            picture.place(),
                            picture.tiled(),
                            picture.runOut(),
                            picture.seeThrough());
        };
    }

    /** The swatches in it. */
    default List<Paint> paints() {
        return switch (this) {
            case Solid(Paint paint) -> List.of(paint);
            case Picture picture -> List.of();
            case Gradient gradient -> gradient.stops().stream().map(Gradient.Stop::paint).toList();
        };
    }

    default String inWords() {
        if (this instanceof Picture picture) {
            return picture.asset().content() instanceof Asset.Document
                    ? "%s, page %d".formatted(picture.asset().name(), picture.page())
                    : picture.asset().name();
        }
        return paints().stream().map(Paint::inWords).distinct().collect(Collectors.joining(" to "));
    }
}
