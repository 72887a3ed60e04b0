package yewberry.pdf.proof;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.press.Plate;

/**
 * What a colour puts on each plate of the press.
 *
 * @param percents coverage by the name of the ink; inks without coverage are left out
 */
record Plates(Map<String, Double> percents) {
    /** ISO 32000-1, 8.6.6.5: the names of the process colorants. */
    private static final String[] PROCESS = {"Cyan", "Magenta", "Yellow", "Black"};

    Plates {
        percents = new TreeMap<>(percents);
        percents.values().removeIf(percent -> percent < 0.001);
    }

    /** Of light the parts of red, green and blue. */
    static Plates of(Color color, PressCondition condition) {
        if (color instanceof Rgb light) {
            return light(
                    new float[] {light.red() / 255f, light.green() / 255f, light.blue() / 255f});
        }
        return new Plates(Plate.of(color, condition));
    }

    /** DeviceRGB components, fractions in order. */
    static Plates light(float[] fractions) {
        return named(java.util.List.of("Red", "Green", "Blue"), fractions);
    }

    /** DeviceCMYK components, fractions in order. */
    static Plates process(float[] fractions) {
        return named(java.util.List.of(PROCESS), fractions);
    }

    static Plates named(java.util.List<String> names, float[] fractions) {
        Map<String, Double> percents = new TreeMap<>();
        for (int i = 0; i < names.size(); i++) {
            percents.put(names.get(i), Math.rint(Math.clamp(fractions[i], 0, 1) * 10_000) / 100);
        }
        return new Plates(percents);
    }

    /**
     * @param tolerance in percent of ink
     */
    boolean matches(Plates other, double tolerance) {
        var names = new java.util.TreeSet<>(percents.keySet());
        names.addAll(other.percents.keySet());
        return names.stream()
                .allMatch(name ->
                        Math.abs(
                                        percents.getOrDefault(name, 0.0)
                                                - other.percents.getOrDefault(name, 0.0))
                                <= tolerance);
    }

    /** As people write it: {@code C100 M86 Y42 K52}, a spot ink by its name. */
    String inWords() {
        boolean processOnly =
                percents.keySet().stream()
                        .allMatch(name -> java.util.List.of(PROCESS).contains(name));
        if (processOnly) {
            return new Cmyk(
                            percents.getOrDefault(PROCESS[0], 0.0),
                            percents.getOrDefault(PROCESS[1], 0.0),
                            percents.getOrDefault(PROCESS[2], 0.0),
                            percents.getOrDefault(PROCESS[3], 0.0))
                    .toString();
        }
        return percents.entrySet().stream()
                .map(each -> "%s %s %%".formatted(each.getKey(), Numbers.plain(each.getValue())))
                .collect(Collectors.joining(", "));
    }
}
