package yewberry.core.text;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import yewberry.core.Refused;

/** The open fonts that ship with the application; no font of the system is ever used. */
public final class FontLibrary {
    private static final Map<String, List<Face>> FAMILIES = load();

    private FontLibrary() {}

    /** A family with the weights it has, lightest first. */
    public record Family(String name, List<Integer> weights) {}

    public static List<Family> families() {
        return FAMILIES.entrySet().stream()
                .map(entry ->
                        new Family(
                                entry.getKey(),
                                entry.getValue().stream().map(Face::weight).toList()))
                .toList();
    }

    /**
     * The face of exactly this weight.
     *
     * @throws Refused if the family or the weight is not shipped
     */
    public static Face face(String family, int weight) {
        List<Face> faces = FAMILIES.get(family);
        if (faces == null) {
            throw new Refused(
                    "There is no font family “%s” here; choose one of %s."
                            .formatted(family, String.join(", ", FAMILIES.keySet())));
        }
        return faces.stream()
                .filter(face -> face.weight() == weight)
                .findFirst()
                .orElseThrow(() ->
                        new Refused(
                                "%s has no weight %d; choose one of %s."
                                        .formatted(family, weight, weights(faces))));
    }

    private static String weights(List<Face> faces) {
        return faces.stream()
                .map(face -> String.valueOf(face.weight()))
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
        faces.add(new Face(name, 400, path + "_400Regular.ttf"));
        faces.add(new Face(name, 600, path + "_600SemiBold.ttf"));
        faces.add(new Face(name, 700, path + "_700Bold.ttf"));
        families.put(name, List.copyOf(faces));
    }
}
