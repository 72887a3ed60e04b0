package yewberry.core.press;

import java.util.Map;
import java.util.TreeMap;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Inks;
import yewberry.core.color.PressCondition;

/** What a colour puts on the plates of the press. */
public final class Plate {
    private Plate() {}

    /**
     * Coverage in percent by the name of the ink, inks without any left out. The names of process
     * inks are those of ISO 32000-1, 8.6.6.5.
     */
    public static Map<String, Double> of(Color color, PressCondition condition) {
        Map<String, Double> plates = new TreeMap<>();
        if (color instanceof Inks inks) {
            inks.spots().forEach(spot -> plates.put(spot.name(), spot.percent()));
            process(plates, inks.process());
        } else {
            process(plates, condition.toInk(color));
        }
        plates.values().removeIf(percent -> percent <= 0);
        return plates;
    }

    private static void process(Map<String, Double> plates, Cmyk ink) {
        plates.put("Cyan", ink.cyan());
        plates.put("Magenta", ink.magenta());
        plates.put("Yellow", ink.yellow());
        plates.put("Black", ink.black());
    }
}
