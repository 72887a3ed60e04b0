package yewberry.pdf.proof;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Scanner;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import yewberry.core.Refused;

/**
 * What an SVG file paints, mark by mark from the lowest: the elements and attributes of SVG 1.1
 * that a page is written in. Of any other is said that it is there.
 */
final class SvgMarks {
    private static final Pattern TRANSFORM = Pattern.compile("(\\w+)\\(([^)]*)\\)");
    private static final Pattern STEP = Pattern.compile("([A-Za-z])([^A-Za-z]*)");

    /** What is read here; of {@code style}, {@code opacity} and the like a page has nothing. */
    private static final Set<String> KNOWN =
            Set.of(
                    "id",
                    "x",
                    "y",
                    "width",
                    "height",
                    "d",
                    "href",
                    "transform",
                    "clip-path",
                    "fill",
                    "stroke",
                    "stroke-width",
                    "stroke-linejoin",
                    "stroke-miterlimit",
                    "preserveAspectRatio");

    /** What a page is written in; of any other element is said that it is there. */
    private static final Set<String> ELEMENTS =
            Set.of(
                    "#root",
                    "svg",
                    "defs",
                    "clipPath",
                    "linearGradient",
                    "radialGradient",
                    "stop",
                    "path",
                    "g",
                    "rect",
                    "use",
                    "image");

    private final Map<String, Element> named = new HashMap<>();
    private final Map<String, Path2D> outlines = new HashMap<>();
    private final List<Mark> marks = new ArrayList<>();

    /**
     * One thing that is painted, in the units of the file.
     *
     * @param path that is filled or followed by a line, or the box of an image
     * @param fill as it is written, "none" for nothing
     * @param stroke the same of a line
     * @param width of the line
     * @param clips what it is cut to, from the outermost: the shapes of each clip
     * @param odd what else is said of it, which a page has no use for; empty if nothing
     */
    record Mark(
            Shape path,
            boolean image,
            String fill,
            String stroke,
            double width,
            String join,
            String miterLimit,
            List<List<Shape>> clips,
            String odd) {}

    /** What holds for the elements within a group. */
    private record Within(
            AffineTransform place,
            Map<String, String> looks,
            List<List<Shape>> clips,
            String odd) {}

    private SvgMarks(Document document) {
        document.getAllElements().stream()
                .filter(element -> element.hasAttr("id"))
                .forEach(element -> named.putIfAbsent(element.id(), element));
    }

    /**
     * @throws Refused if it refers to what is not there, or a number is none
     */
    static List<Mark> of(byte[] file) {
        Document document =
                Jsoup.parse(new String(file, StandardCharsets.UTF_8), "", Parser.xmlParser());
        SvgMarks read = new SvgMarks(document);
        Within outside = new Within(new AffineTransform(), Map.of(), List.of(), "");
        document.getAllElements().stream()
                .filter(element -> !ELEMENTS.contains(element.tagName()))
                .forEach(element -> read.odd(element, outside));
        for (Element root : document.children()) {
            root.children().forEach(element -> read.element(element, outside));
        }
        return read.marks;
    }

    private void element(Element element, Within around) {
        if (element.tagName().equals("defs")) {
            return;
        }
        Within here = within(element, around);
        switch (element.tagName()) {
            case "g" -> element.children().forEach(child -> element(child, here));
            case "image" -> add(box(element), true, here);
            default -> shape(element).ifPresent(path -> add(path, false, here));
        }
    }

    private Within within(Element element, Within around) {
        AffineTransform place = new AffineTransform(around.place);
        place.concatenate(transform(element.attr("transform")));
        List<List<Shape>> clips = new ArrayList<>(around.clips);
        if (element.hasAttr("clip-path")) {
            clips(element.attr("clip-path"), place).forEach(clips::add);
        }
        Map<String, String> looks = new HashMap<>(around.looks);
        String odd = around.odd;
        for (var attribute : element.attributes()) {
            if (!KNOWN.contains(attribute.getKey())) {
                odd = attribute.getKey();
            }
            looks.put(attribute.getKey(), attribute.getValue());
        }
        return new Within(place, looks, List.copyOf(clips), odd);
    }

    private void odd(Element element, Within here) {
        marks.add(
                new Mark(
                        new Path2D.Double(),
                        false,
                        "",
                        "",
                        0,
                        "",
                        "",
                        here.clips,
                        element.tagName()));
    }

    private void add(Shape path, boolean image, Within here) {
        marks.add(
                new Mark(
                        here.place.createTransformedShape(path),
                        image,
                        here.looks.getOrDefault("fill", "#000000"),
                        here.looks.getOrDefault("stroke", "none"),
                        number(here.looks.getOrDefault("stroke-width", "1"))
                                * Math.sqrt(Math.abs(here.place.getDeterminant())),
                        here.looks.getOrDefault("stroke-linejoin", "miter"),
                        here.looks.getOrDefault("stroke-miterlimit", "4"),
                        here.clips,
                        here.odd));
    }

    /** The shapes of a clip, and before them those of the one that it is cut to. */
    private Stream<List<Shape>> clips(String link, AffineTransform place) {
        Element clip = named(link.replaceFirst("^url\\(#(.*)\\)$", "$1"));
        List<Shape> shapes = new ArrayList<>();
        for (Element child : clip.children()) {
            AffineTransform there = new AffineTransform(place);
            there.concatenate(transform(child.attr("transform")));
            shape(child).map(there::createTransformedShape).ifPresent(shapes::add);
        }
        Stream<List<Shape>> own = Stream.of(shapes);
        return clip.hasAttr("clip-path")
                ? Stream.concat(clips(clip.attr("clip-path"), place), own)
                : own;
    }

    /** Before its transform. */
    private Optional<Shape> shape(Element element) {
        return switch (element.tagName()) {
            case "rect" -> Optional.of(box(element));
            case "path" -> Optional.of(path(element.attr("d")));
            case "use" -> {
                String id = element.attr("href").replaceFirst("^#", "");
                Path2D outline = outlines.computeIfAbsent(id, key -> path(named(key).attr("d")));
                double x = number(element.attr("x"));
                double y = number(element.attr("y"));
                yield Optional.of(
                        AffineTransform.getTranslateInstance(x, y).createTransformedShape(outline));
            }
            default -> Optional.empty();
        };
    }

    private Element named(String id) {
        return Optional.ofNullable(named.get(id))
                .orElseThrow(() ->
                        new Refused("This SVG file refers to “%s”, which it lacks.".formatted(id)));
    }

    private static Rectangle2D box(Element element) {
        return new Rectangle2D.Double(
                number(element.attr("x")),
                number(element.attr("y")),
                number(element.attr("width")),
                number(element.attr("height")));
    }

    /** SVG 1.1, 7.6: the last of a list comes first. */
    private static AffineTransform transform(String list) {
        AffineTransform all = new AffineTransform();
        TRANSFORM.matcher(list).results().forEach(each -> all.concatenate(step(each)));
        return all;
    }

    private static AffineTransform step(MatchResult each) {
        double[] by = numbers(each.group(2));
        return switch (each.group(1) + by.length) {
            case "translate2" -> AffineTransform.getTranslateInstance(by[0], by[1]);
            case "scale1" -> AffineTransform.getScaleInstance(by[0], by[0]);
            case "rotate3" ->
                    AffineTransform.getRotateInstance(Math.toRadians(by[0]), by[1], by[2]);
            case "matrix6" -> new AffineTransform(by);
            default -> throw new Refused("This SVG file is placed by " + each.group() + ".");
        };
    }

    /** SVG 1.1, 8.3: of the commands those that a page is written in. */
    private static Path2D path(String data) {
        Path2D.Double path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        STEP.matcher(data)
                .results()
                .forEach(step -> {
                    double[] at = numbers(step.group(2));
                    switch (step.group(1) + at.length) {
                        case "M2" -> path.moveTo(at[0], at[1]);
                        case "L2" -> path.lineTo(at[0], at[1]);
                        case "Q4" -> path.quadTo(at[0], at[1], at[2], at[3]);
                        case "C6" -> path.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
                        case "Z0" -> path.closePath();
                        default ->
                                throw new Refused(
                                        "This SVG file has a path with " + step.group() + ".");
                    }
                });
        return path;
    }

    private static double[] numbers(String text) {
        try (Scanner in = new Scanner(text).useDelimiter("[\\s,]+")) {
            return in.tokens()
                    .filter(each -> !each.isEmpty())
                    .mapToDouble(SvgMarks::number)
                    .toArray();
        }
    }

    private static double number(String text) {
        try {
            return text.isEmpty() ? 0 : Double.parseDouble(text);
        } catch (NumberFormatException none) {
            throw new Refused("This SVG file has “%s” for a number.".formatted(text));
        }
    }
}
