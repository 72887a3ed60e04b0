package yewberry.core.color;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Spot inks, with process inks under them: what a spot swatch, a tint of one, or a mix that holds
 * one comes to. Each spot ink has a plate of its own.
 *
 * @param spots at least one, in the order of their names, each name once
 * @param process the process inks, often none
 */
public record Inks(List<Spot> spots, Cmyk process) implements Color {
    /**
     * @param name of the ink, which is the name of its swatch
     * @param equivalent what stands for it where there is no such ink: CMYK or CIELAB
     * @param percent coverage
     */
    public record Spot(String name, Color equivalent, double percent) {
        public Spot times(double factor) {
            return new Spot(name, equivalent, percent * factor);
        }
    }

    public Inks {
        spots = spots.stream().sorted(Comparator.comparing(Spot::name)).toList();
    }

    @Override
    public String toString() {
        String named =
                spots.stream()
                        .map(spot -> spot.name() + " " + Numbers.plain(spot.percent()) + " %")
                        .collect(Collectors.joining(", "));
        return process.equals(Cmyk.NONE) ? named : named + ", " + process;
    }
}
