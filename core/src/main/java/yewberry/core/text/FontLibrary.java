package yewberry.core.text;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import yewberry.core.Refused;

/**
 * The open fonts that ship with the application, and those that somebody brought along; no font of
 * the system is ever used. Thread-safe.
 */
public final class FontLibrary {
    private static final String FIRST = "Source Serif 4";

    private static final Map<String, List<Face>> SHIPPED = load();

    /** By name; replaced as a whole. */
    private static volatile Map<String, List<Face>> families = SHIPPED;

    private FontLibrary() {}

    /**
     * A family.
     *
     * @param weights that it has, lightest first
     * @param italic whether it has faces that slant
     * @param smallCapitals whether it has some of its own
     * @param oldStyleFigures whether it has figures as high as lower-case letters
     * @param shipped whether it comes with the application
     */
    public record Family(
            String name,
            List<Integer> weights,
            boolean italic,
            boolean smallCapitals,
            boolean oldStyleFigures,
            boolean shipped) {}

    /** Those that ship come first. */
    public static List<Family> families() {
        return families.entrySet().stream()
                .map(entry -> family(entry.getKey(), entry.getValue()))
                .toList();
    }

    private static Family family(String name, List<Face> faces) {
        Face first = faces.getFirst();
        return new Family(
                name,
                faces.stream().map(Face::weight).distinct().sorted().toList(),
                faces.stream().anyMatch(Face::italic),
                first.hasSmallCapitals(),
                first.hasOldStyleFigures(),
                SHIPPED.containsKey(name));
    }

    /**
     * Adds a face that somebody brought along.
     *
     * @throws Refused if there is one of its family, weight and slope already
     */
    public static synchronized void add(Face face) {
        Map<String, List<Face>> changed = new LinkedHashMap<>(families);
        List<Face> faces = new ArrayList<>(changed.getOrDefault(face.family(), List.of()));
        if (SHIPPED.containsKey(face.family())) {
            throw new Refused(
                    "A family “%s” comes with Yewberry, and two of one name could not be told apart."
                            .formatted(face.family()));
        }
        if (faces.stream().anyMatch(each -> isAlike(each, face))) {
            throw new Refused(
                    "%s is here already; remove it first, if another file is to take its place."
                            .formatted(face.inWords()));
        }
        faces.add(face);
        faces.sort(Comparator.comparing(Face::italic).thenComparing(Face::weight));
        changed.put(face.family(), List.copyOf(faces));
        families = changed;
    }

    /** Takes one away that somebody brought along. */
    public static synchronized void remove(Face face) {
        Map<String, List<Face>> changed = new LinkedHashMap<>(families);
        changed.computeIfPresent(
                face.family(),
                (name, faces) -> {
                    List<Face> left = faces.stream().filter(each -> each != face).toList();
                    return left.isEmpty() ? null : left;
                });
        families = changed;
    }

    private static boolean isAlike(Face one, Face other) {
        return one.weight() == other.weight() && one.italic() == other.italic();
    }

    /**
     * @throws Refused if there is no such family, or it does not have that weight
     */
    public static void check(String family, int weight) {
        List<Face> faces = known(family);
        if (faces.stream().noneMatch(face -> face.weight() == weight)) {
            throw noWeight(family, weight, faces);
        }
    }

    /**
     * @throws Refused if there is no such family
     */
    public static void check(String family) {
        known(family);
    }

    /** Whether there is such a family. */
    public static boolean has(String family) {
        return families.containsKey(family);
    }

    private static List<Face> known(String family) {
        List<Face> faces = families.get(family);
        if (faces == null) {
            throw new Refused(
                    "There is no font family “%s” here; choose one of %s."
                            .formatted(family, String.join(", ", families.keySet())));
        }
        return faces;
    }

    private static Refused noWeight(String family, int weight, List<Face> faces) {
        return new Refused(
                "%s has no weight %d; choose one of %s.".formatted(family, weight, weights(faces)));
    }

    /**
     * The face of exactly this weight and slope.
     *
     * @throws Refused if the family is not here, or does not have it
     */
    public static Face face(String family, int weight, boolean italic) {
        List<Face> faces = known(family);
        return faces.stream()
                .filter(face -> face.weight() == weight && face.italic() == italic)
                .findFirst()
                .orElseThrow(() -> noWeight(family, weight, faces));
    }

    /**
     * The face of a family that comes nearest to a weight, of that slope if there is one; where the
     * family is not here any more, of one that ships.
     */
    static Face nearest(String family, int weight, boolean italic) {
        return families.getOrDefault(family, SHIPPED.get(FIRST)).stream()
                .min(
                        Comparator.comparing((Face face) -> face.italic() != italic)
                                .thenComparing(face -> Math.abs(face.weight() - weight)))
                .orElseThrow();
    }

    /** A face of another family that ships and has a shape for a character, as near as there is. */
    static Optional<Face> showing(int codePoint, Face instead) {
        return SHIPPED.keySet().stream()
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
        add(families, FIRST, "source-serif-4/SourceSerif4");
        add(families, "Source Sans 3", "source-sans-3/SourceSans3");
        add(families, "Fraunces", "fraunces/Fraunces");
        upright(families, "Noto Sans Hebrew", "noto-sans-hebrew/NotoSansHebrew");
        upright(families, "Noto Naskh Arabic", "noto-naskh-arabic/NotoNaskhArabic");
        return families;
    }

    /** One of a script that does not slant. */
    private static void upright(Map<String, List<Face>> families, String name, String path) {
        families.put(
                name,
                List.of(
                        Face.shipped(name, 400, false, path + "-Regular.ttf"),
                        Face.shipped(name, 700, false, path + "-Bold.ttf")));
    }

    private static void add(Map<String, List<Face>> families, String name, String path) {
        List<Face> faces = new ArrayList<>();
        for (String each : List.of("400Regular", "600SemiBold", "700Bold")) {
            int weight = Integer.parseInt(each.substring(0, 3));
            String file = path + "_" + each;
            faces.add(Face.shipped(name, weight, false, file + ".ttf"));
            faces.add(Face.shipped(name, weight, true, file + "_Italic.ttf"));
        }
        families.put(name, List.copyOf(faces));
    }
}
