package yewberry.core.text;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import yewberry.core.Refused;

/** The open fonts that ship with the application; no font of the system is ever used. */
public final class FontLibrary {
    private static final Map<String, List<Face>> FAMILIES = load();

    private FontLibrary() {}

    /**
     * A family.
     *
     * @param weights that it has, lightest first
     * @param smallCapitals whether its upright faces have some of their own
     * @param oldStyleFigures whether they have figures as high as lower-case letters
     */
    public record Family(
            String name, List<Integer> weights, boolean smallCapitals, boolean oldStyleFigures) {}

    /** What all families have, found out once. */
    private static final class Known {
        private static final List<Family> ALL =
                FAMILIES.entrySet().stream()
                        .map(entry -> family(entry.getKey(), entry.getValue()))
                        .toList();
    }

    public static List<Family> families() {
        return Known.ALL;
    }

    private static Family family(String name, List<Face> faces) {
        List<Face> upright = faces.stream().filter(face -> !face.italic()).toList();
        return new Family(
                name,
                upright.stream().map(Face::weight).toList(),
                upright.getFirst().hasSmallCapitals(),
                upright.getFirst().hasOldStyleFigures());
    }

    /**
     * The face of exactly this weight and slope.
     *
     * @throws Refused if the family or the weight is not shipped
     */
    public static Face face(String family, int weight, boolean italic) {
        List<Face> faces = FAMILIES.get(family);
        if (faces == null) {
            throw new Refused(
                    "There is no font family “%s” here; choose one of %s."
                            .formatted(family, String.join(", ", FAMILIES.keySet())));
        }
        return faces.stream()
                .filter(face -> face.weight() == weight && face.italic() == italic)
                .findFirst()
                .orElseThrow(() ->
                        new Refused(
                                "%s has no weight %d; choose one of %s."
                                        .formatted(family, weight, weights(faces))));
    }

    /**
     * The face of a family that comes nearest to a weight, of that slope if there is one.
     *
     * @throws Refused if the family is not shipped
     */
    static Face nearest(String family, int weight, boolean italic) {
        List<Face> faces = FAMILIES.getOrDefault(family, List.of());
        return faces.stream()
                .min(
                        Comparator.comparing((Face face) -> face.italic() != italic)
                                .thenComparing(face -> Math.abs(face.weight() - weight)))
                .orElseGet(() -> face(family, weight, italic));
    }

    /** A face of another family that has a shape for a character, as near as there is. */
    static Optional<Face> showing(int codePoint, Face instead) {
        return FAMILIES.keySet().stream()
                .map(family -> nearest(family, instead.weight(), instead.italic()))
                .filter(face -> face.shows(codePoint))
                .findFirst();
    }

    private static String weights(List<Face> faces) {
        return faces.stream()
                .map(face -> String.valueOf(face.weight()))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static Map<String, List<Face>> load() {
        NoSystemFonts.configure();
        Map<String, List<Face>> families = new LinkedHashMap<>();
        add(families, "Source Serif 4", "source-serif-4/SourceSerif4");
        add(families, "Source Sans 3", "source-sans-3/SourceSans3");
        add(families, "Fraunces", "fraunces/Fraunces");
        return families;
    }

    private static void add(Map<String, List<Face>> families, String name, String path) {
        List<Face> faces = new ArrayList<>();
        for (String each : List.of("400Regular", "600SemiBold", "700Bold")) {
            int weight = Integer.parseInt(each.substring(0, 3));
            String file = path + "_" + each;
            faces.add(new Face(name, weight, false, file + ".ttf"));
            faces.add(new Face(name, weight, true, file + "_Italic.ttf"));
        }
        families.put(name, List.copyOf(faces));
    }
}
