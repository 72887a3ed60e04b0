package yewberry.core.scene;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.asset.InkBytes;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Blend;
import yewberry.core.color.Color;

/**
 * What areas come to on a medium: the one place that opacities, blend modes and gradients are
 * worked out in, for single points and for pictures.
 */
public final class Painted {
    /** How fine pictures are where the colour of single points is asked for. */
    public static final double POINTS_PPI = 300;

    private final Planes planes;
    private final List<Item> items;
    private final Map<Item, Source> sources = new IdentityHashMap<>();

    /**
     * @param items of the scene, from the lowest up; text in them is left out
     */
    public Painted(MediumScene scene, List<? extends Item> items) {
        this.planes = scene.planes();
        this.items = List.copyOf(items);
    }

    /** The colour that all areas come to at a point; bare stock is no ink, or white light. */
    public Color at(double x, double y) {
        List<Item.Filled> there = new ArrayList<>();
        for (Item item : items) {
            if (item instanceof Item.Filled fill && fill.holds(x, y)) {
                there.add(fill);
            }
        }
        return of(there, x, y);
    }

    /**
     * The colour that some areas come to where their fills are at a point, whether they reach it or
     * not.
     *
     * @param areas from the lowest up
     */
    public Color of(List<Item.Filled> areas, double x, double y) {
        double[] ink = new double[planes.count()];
        double alpha = 0;
        Optional<Color> alone = Optional.empty();
        for (Item.Filled fill : areas) {
            alone = fill.solid().map(Paint::color);
            Source source = sources.computeIfAbsent(fill, each -> source(fill, planes, POINTS_PPI));
            alpha = Blend.ink(ink, alpha, source.ink(x, y), source.alpha(x, y), fill.blend());
        }
        if (alone.isPresent()) {
            return alone.get(); // exactly, where nothing is mixed
        }
        for (int i = 0; i < ink.length; i++) {
            ink[i] *= alpha;
        }
        return planes.color(ink);
    }

    /**
     * What a colour comes to below some fills at a point.
     *
     * @param fills above it, from the lowest up; those that do not hold the point are left out
     */
    public Color below(Color color, List<Item.Filled> fills, double x, double y) {
        double[] ink = planes.of(color).clone();
        double alpha = 1;
        for (Item.Filled fill : fills) {
            if (fill.holds(x, y)) {
                Source source =
                        sources.computeIfAbsent(fill, each -> source(fill, planes, POINTS_PPI));
                alpha = Blend.ink(ink, alpha, source.ink(x, y), source.alpha(x, y), fill.blend());
            }
        }
        return planes.color(ink);
    }

    /** What an area paints at a point, before it meets what is below it. */
    public interface Source {
        /** The planes, 0 to 1; the array may be used again by the next call. */
        double[] ink(double x, double y);

        /** How much of it covers, 0 to 1. */
        double alpha(double x, double y);

        /**
         * The same of some points in a row.
         *
         * @param xs where they are across
         * @param count of them
         * @param inks gets the planes of each, point by point; anything where it does not cover
         * @param alphas gets how much covers
         */
        default void row(double[] xs, int count, double y, double[] inks, double[] alphas) {
            for (int i = 0; i < count; i++) {
                alphas[i] = alpha(xs[i], y);
                double[] ink = ink(xs[i], y);
                System.arraycopy(ink, 0, inks, i * ink.length, ink.length);
            }
        }

        /**
         * The same of four planes, whether they cover or not.
         *
         * @param inks gets those of each point, as {@link InkBytes}
         * @param from where the first goes
         */
        default void bytes(double[] xs, int count, double y, int[] inks, int from) {
            for (int i = 0; i < count; i++) {
                inks[from + i] = InkBytes.of(ink(xs[i], y), 0);
            }
        }
    }

    /**
     * @param ppi how fine a picture is wanted
     */
    public static Source source(Item.Filled fill, Planes planes, double ppi) {
        return switch (fill.paint()) {
            case AreaPaint.Solid(Paint paint) ->
                    new SolidSource(planes.of(paint.color()), fill.opacity());
            case AreaPaint.Gradient gradient -> new GradientSource(fill, gradient, planes);
            case AreaPaint.Picture picture -> {
                int wanted = PlaneImage.wanted(picture.place().width() / 72 * ppi);
                yield picture(fill, picture, picture.pixels().about(wanted), planes);
            }
        };
    }

    /**
     * A picture as an image gives it.
     *
     * @param image of the picture, in whatever fineness
     */
    public static Source picture(
            Item.Filled fill, AreaPaint.Picture picture, PlaneImage image, Planes planes) {
        return new PictureSource(fill, picture, image, planes.count());
    }

    /** One colour everywhere. */
    private record SolidSource(double[] ink, double opacity) implements Source {
        @Override
        public double[] ink(double x, double y) {
            return ink;
        }

        @Override
        public double alpha(double x, double y) {
            return opacity;
        }

        @Override
        public void row(double[] xs, int count, double y, double[] inks, double[] alphas) {
            Arrays.fill(alphas, 0, count, opacity);
            for (int i = 0; i < count; i++) {
                System.arraycopy(ink, 0, inks, i * ink.length, ink.length);
            }
        }
    }

    private static final class GradientSource implements Source {
        private final double opacity;
        private final double[] positions;
        private final double[] opacities;
        private final double[][] inks;
        private final double[] mixed;
        private final AreaPaint.Gradient.Way way;
        private double atX = Double.NaN;
        private double atY = Double.NaN;
        private int next;
        private double part;

        GradientSource(Item.Filled fill, AreaPaint.Gradient gradient, Planes planes) {
            List<AreaPaint.Gradient.Stop> stops = gradient.stops();
            this.opacity = fill.opacity();
            this.positions = stops.stream().mapToDouble(stop -> stop.position()).toArray();
            this.opacities = stops.stream().mapToDouble(stop -> stop.opacity()).toArray();
            this.inks =
                    gradient.stops().stream()
                            .map(stop -> planes.of(stop.paint().color()))
                            .toArray(double[][]::new);
            this.mixed = new double[planes.count()];
            this.way = gradient.within(fill.frame(), fill.turn());
        }

        @Override
        public double[] ink(double x, double y) {
            look(x, y);
            mix(next, part, mixed, 0);
            return mixed;
        }

        @Override
        public double alpha(double x, double y) {
            look(x, y);
            return alpha(next, part);
        }

        @Override
        public void row(double[] xs, int count, double y, double[] into, double[] alphas) {
            for (int i = 0; i < count; i++) {
                double along = way.at(xs[i], y);
                int stop = next(along);
                double between = part(along, stop);
                alphas[i] = alpha(stop, between);
                mix(stop, between, into, i * mixed.length);
            }
        }

        private void mix(int stop, double between, double[] into, int first) {
            double[] before = inks[stop - 1];
            double[] after = inks[stop];
            for (int plane = 0; plane < before.length; plane++) {
                into[first + plane] = before[plane] + (after[plane] - before[plane]) * between;
            }
        }

        private double alpha(int stop, double between) {
            double before = opacities[stop - 1];
            return opacity * (before + (opacities[stop] - before) * between);
        }

        /** Both are asked for at the same point, one after the other. */
        private void look(double x, double y) {
            if (x != atX || y != atY) {
                atX = x;
                atY = y;
                double along = way.at(x, y);
                next = next(along);
                part = part(along, next);
            }
        }

        /** The stop that a point lies before, from the second on. */
        private int next(double way) {
            int next = 1;
            while (next < positions.length - 1 && positions[next] < way) {
                next++;
            }
            return next;
        }

        private double part(double way, int next) {
            double from = positions[next - 1];
            double to = positions[next];
            return to <= from ? (way < to ? 0 : 1) : Math.clamp((way - from) / (to - from), 0, 1);
        }
    }
}
