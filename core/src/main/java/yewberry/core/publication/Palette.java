package yewberry.core.publication;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Gray;
import yewberry.core.color.Inks;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/**
 * What swatches come to under a press condition: tints and mixes are worked out from what they
 * derive from, so that they follow; one palette remembers them, and is for one state of a
 * publication. Two colours of one space are mixed component by component, others in CIELAB as they
 * are seen; a mix that holds a spot ink keeps its inks.
 */
public final class Palette {
    private final Function<UUID, Swatch> swatches;
    private final PressCondition condition;
    private final Map<UUID, Color> known = new HashMap<>();

    /**
     * @param swatches the swatch of an id; it refuses unknown ones
     */
    public Palette(Function<UUID, Swatch> swatches, PressCondition condition) {
        this.swatches = swatches;
        this.condition = condition;
    }

    /** The colour of a swatch. */
    public Color color(UUID id) {
        Color before = known.get(id);
        if (before == null) {
            before = color(swatches.apply(id));
            known.put(id, before);
        }
        return before;
    }

    public Color color(Swatch swatch) {
        return switch (swatch.definition()) {
            case Definition.Plain(Color color) -> color;
            case Definition.SpotInk(Color equivalent) ->
                    new Inks(List.of(new Inks.Spot(swatch.name(), equivalent, 100)), Cmyk.NONE);
            case Definition.Tint(UUID base, double percent) -> tint(color(base), percent);
            case Definition.Lighter(UUID base, double percent) -> tint(color(base), 100 - percent);
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    mix(color(one), color(other), percent);
            // what it is where there is nothing to choose by
            case Definition.Legible legible -> color(legible.swatches().getFirst());
        };
    }

    /** So many percent of a colour, the rest paper. */
    public static Color tint(Color color, double percent) {
        if (percent == 100) {
            return color;
        }
        double part = percent / 100;
        return switch (color) {
            case Cmyk cmyk -> between(Cmyk.NONE, cmyk, part);
            case Rgb rgb -> between(Rgb.WHITE, rgb, part);
            case Lab lab -> between(new Lab(100, 0, 0), lab, part);
            case Gray gray -> new Gray(gray.black() * part);
            case Inks inks ->
                    new Inks(
                            inks.spots().stream().map(spot -> spot.times(part)).toList(),
                            between(Cmyk.NONE, inks.process(), part));
        };
    }

    /**
     * @param percent of {@code one}
     */
    private Color mix(Color one, Color other, double percent) {
        double part = percent / 100;
        if (one instanceof Inks || other instanceof Inks) {
            return mixInks(inks(one), inks(other), part);
        }
        if (one instanceof Cmyk a && other instanceof Cmyk b) {
            return between(b, a, part);
        }
        if (one instanceof Rgb a && other instanceof Rgb b) {
            return between(b, a, part);
        }
        if (one instanceof Gray(double a) && other instanceof Gray(double b)) {
            return new Gray(b + (a - b) * part);
        }
        return between(condition.lab(other), condition.lab(one), part);
    }

    private Inks inks(Color color) {
        return color instanceof Inks inks ? inks : new Inks(List.of(), condition.toInk(color));
    }

    private static Inks mixInks(Inks one, Inks other, double part) {
        Map<String, Inks.Spot> spots = new LinkedHashMap<>();
        one.spots().forEach(spot -> spots.put(spot.name(), spot.times(part)));
        for (Inks.Spot spot : other.spots()) {
            spots.merge(
                    spot.name(),
                    spot.times(1 - part),
                    (a, b) -> new Inks.Spot(a.name(), a.equivalent(), a.percent() + b.percent()));
        }
        return new Inks(List.copyOf(spots.values()), between(other.process(), one.process(), part));
    }

    private static Cmyk between(Cmyk from, Cmyk to, double part) {
        return new Cmyk(
                between(from.cyan(), to.cyan(), part),
                between(from.magenta(), to.magenta(), part),
                between(from.yellow(), to.yellow(), part),
                between(from.black(), to.black(), part));
    }

    private static Rgb between(Rgb from, Rgb to, double part) {
        return new Rgb(
                (int) Math.round(between(from.red(), to.red(), part)),
                (int) Math.round(between(from.green(), to.green(), part)),
                (int) Math.round(between(from.blue(), to.blue(), part)));
    }

    private static Lab between(Lab from, Lab to, double part) {
        return new Lab(
                between(from.lightness(), to.lightness(), part),
                between(from.a(), to.a(), part),
                between(from.b(), to.b(), part));
    }

    private static double between(double from, double to, double part) {
        return from + (to - from) * part;
    }

    /**
     * Refuses swatches that derive from themselves.
     *
     * @throws Refused with the chain that closes
     */
    public static void refuseCycles(Collection<Swatch> all) {
        Map<UUID, Swatch> byId = new LinkedHashMap<>();
        all.forEach(swatch -> byId.put(swatch.id(), swatch));
        Map<UUID, Boolean> clear = new LinkedHashMap<>();
        for (Swatch swatch : all) {
            follow(swatch, byId, new ArrayList<>(), clear);
        }
    }

    private static void follow(
            Swatch swatch, Map<UUID, Swatch> byId, List<Swatch> chain, Map<UUID, Boolean> clear) {
        if (clear.containsKey(swatch.id())) {
            return;
        }
        int begins = chain.indexOf(swatch);
        chain.add(swatch);
        if (begins >= 0) {
            String names =
                    chain.subList(begins, chain.size()).stream()
                            .map(each -> "“%s”".formatted(each.name()))
                            .collect(Collectors.joining(" from "));
            throw new Refused(
                    "A swatch cannot derive from itself: %s. Choose another base."
                            .formatted(names));
        }
        for (UUID base : swatch.definition().bases()) {
            Swatch of = byId.get(base);
            if (of != null) {
                follow(of, byId, chain, clear);
            }
        }
        chain.removeLast();
        clear.put(swatch.id(), true);
    }
}
