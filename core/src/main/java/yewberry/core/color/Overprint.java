package yewberry.core.color;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What two colours come to where the upper one prints over the lower instead of knocking it out:
 * ISO 32000-1, 8.6.7, with overprint mode 1. Process inks that the upper colour does not have keep
 * their coverage, and so do spot inks that it does not name.
 */
public final class Overprint {
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
