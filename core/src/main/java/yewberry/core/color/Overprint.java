package yewberry.core.color;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What two colours come to where the upper one prints over the lower instead of knocking it out:
 * ISO 32000-1, 8.6.7, with overprint mode 1. Process inks that the upper colour does not have keep
 * their coverage, and so do spot inks that it does not name.
 */
public final class Overprint {
    private static final Cmyk ALL = new Cmyk(100, 100, 100, 100);

    private Overprint() {}

    public static Color over(Color upper, Color lower, PressCondition condition) {
        Cmyk below = process(lower, condition);
        Cmyk process =
                switch (upper) {
                    // a mix of inks names all process plates or none (DeviceN, Separation)
                    case Inks inks -> inks.process().equals(Cmyk.NONE) ? below : inks.process();
                    case Cmyk cmyk -> kept(cmyk, below);
                    case Gray gray -> kept(gray.ink(), below);
                    case Rgb rgb -> kept(condition.toInk(rgb), below);
                    case Lab lab -> kept(condition.toInk(lab), below);
                };
        Map<String, Inks.Spot> spots = new LinkedHashMap<>();
        spots(lower).forEach(spot -> spots.put(spot.name(), spot));
        spots(upper).forEach(spot -> spots.put(spot.name(), spot));
        return spots.isEmpty() ? process : new Inks(new ArrayList<>(spots.values()), process);
    }

    /**
     * What the lesser of this and what is below has (ISO 32000-1, 11.3.5.2, Lighten, of ink): no
     * more of the inks that a color prints than it has itself, and as much as before of all others.
     * The greater of that and of the color (Darken) is the same as the color overprinting.
     *
     * @param spots that are there
     * @return nothing where the color has all of each ink that it prints, and takes none away
     */
    public static Optional<Color> takenAway(
            Color upper, List<Inks.Spot> spots, PressCondition condition) {
        Cmyk own = process(upper, condition);
        boolean namesProcess = upper instanceof Inks && !own.equals(Cmyk.NONE);
        Cmyk process =
                new Cmyk(
                        most(own.cyan(), namesProcess),
                        most(own.magenta(), namesProcess),
                        most(own.yellow(), namesProcess),
                        most(own.black(), namesProcess));
        Map<String, Double> named = new LinkedHashMap<>();
        spots(upper).forEach(spot -> named.put(spot.name(), spot.percent()));
        List<Inks.Spot> most =
                spots.stream()
                        .map(spot ->
                                new Inks.Spot(
                                        spot.name(),
                                        spot.equivalent(),
                                        named.getOrDefault(spot.name(), 100.0)))
                        .toList();
        boolean all = process.equals(ALL) && most.stream().allMatch(spot -> spot.percent() == 100);
        return Optional.<Color>of(most.isEmpty() ? process : new Inks(most, process))
                .filter(_ -> !all);
    }

    private static double most(double own, boolean printsAll) {
        return own > 0 || printsAll ? own : 100;
    }

    private static List<Inks.Spot> spots(Color color) {
        return color instanceof Inks inks ? inks.spots() : List.of();
    }

    private static Cmyk process(Color color, PressCondition condition) {
        return color instanceof Inks inks ? inks.process() : condition.toInk(color);
    }

    private static Cmyk kept(Cmyk upper, Cmyk lower) {
        return new Cmyk(
                upper.cyan() > 0 ? upper.cyan() : lower.cyan(),
                upper.magenta() > 0 ? upper.magenta() : lower.magenta(),
                upper.yellow() > 0 ? upper.yellow() : lower.yellow(),
                upper.black() > 0 ? upper.black() : lower.black());
    }
}
