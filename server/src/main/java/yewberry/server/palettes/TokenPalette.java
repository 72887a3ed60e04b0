package yewberry.server.palettes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Gray;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.WrittenColor;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.server.palettes.PaletteEntry.Wanted;

/**
 * Design tokens as the W3C community group's format module and colour module (2025.10) have them:
 * {@code {"night": {"$type": "color", "$value": {"colorSpace": "srgb", "components": […]}}}}. What
 * that cannot say, ink and what derives from what, stands in {@code $extensions} as well.
 */
final class TokenPalette {
    private static final String OURS = "yewberry";
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private final PaletteText palette = new PaletteText();

    private TokenPalette() {}

    static PaletteText read(String text) {
        TokenPalette reading = new TokenPalette();
        try (JsonParser parser = MAPPER.createParser(text)) {
            if (parser.nextToken() == JsonToken.START_OBJECT) {
                reading.group(parser, new ArrayList<>(), Optional.empty());
            } else {
                reading.palette.leave(
                        1,
                        text.lines().findFirst().orElse(""),
                        "Design tokens begin with a brace: { \"night\": … }");
            }
        } catch (JacksonException broken) {
            int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNr();
            reading.palette.leave(
                    Math.max(1, line),
                    text.lines().skip(Math.max(0, line - 1)).findFirst().orElse(""),
                    "The file is not JSON from here on.");
        }
        return reading.palette;
    }

    /** Reads the members of a group or token whose brace was just read. */
    private void group(JsonParser parser, List<String> path, Optional<String> inherited) {
        int line = parser.currentTokenLocation().getLineNr();
        Optional<String> type = inherited;
        Optional<JsonNode> value = Optional.empty();
        Optional<JsonNode> ours = Optional.empty();
        while (parser.nextToken() != JsonToken.END_OBJECT) {
            String key = parser.currentName();
            JsonToken token = parser.nextToken();
            switch (key) {
                case "$type" -> type = Optional.ofNullable(parser.getString());
                case "$value" -> value = Optional.of(parser.readValueAsTree());
                case "$extensions" -> {
                    JsonNode extensions = parser.readValueAsTree();
                    ours = Optional.of(extensions.path(OURS)).filter(JsonNode::isObject);
                }
                default -> {
                    if (token == JsonToken.START_OBJECT && !key.startsWith("$")) {
                        List<String> deeper = new ArrayList<>(path);
                        deeper.add(key);
                        group(parser, deeper, type);
                    } else {
                        parser.skipChildren();
                    }
                }
            }
        }
        if (value.isPresent()) {
            token(line, path, type, value.get(), ours);
        }
    }

    private void token(
            int line,
            List<String> path,
            Optional<String> type,
            JsonNode value,
            Optional<JsonNode> ours) {
        String name =
                ours.map(it -> it.path("name").asString(""))
                        .filter(it -> !it.isEmpty())
                        .orElse(String.join(" ", path));
        String text = name + ": " + value;
        if (type.isPresent() && !type.get().equals("color")) {
            palette.leave(line, text, "It is a %s and no colour.".formatted(type.get()));
            return;
        }
        palette.take(
                line,
                name,
                text,
                () -> ours.flatMap(TokenPalette::own).orElseGet(() -> wanted(value)));
    }

    private static Wanted wanted(JsonNode value) {
        if (value.isString()) {
            String text = value.asString();
            return text.startsWith("{") && text.endsWith("}")
                    ? new Wanted.TintOf(text.substring(1, text.length() - 1).replace('.', ' '), 100)
                    : new Wanted.Values(WrittenColor.read(text));
        }
        if (value.path("alpha").asDouble(1) != 1) {
            throw new Refused("It is see-through; a swatch is not.");
        }
        double[] of = components(value.path("components"));
        return new Wanted.Values(
                switch (value.path("colorSpace").asString("")) {
                    case "srgb" -> new Rgb(eightBit(of[0]), eightBit(of[1]), eightBit(of[2]));
                    case "hsl" -> written("hsl(%s %s%% %s%%)", of);
                    case "lab" -> new Lab(of[0], of[1], of[2]);
                    case "lch" -> Lab.ofLch(of[0], of[1], of[2]);
                    case "oklch" -> written("oklch(%s %s %s)", of);
                    default ->
                            throw new Refused(
                                    "The colour space “%s” is not read here; use srgb, hsl, lab, lch or oklch."
                                            .formatted(value.path("colorSpace").asString("")));
                });
    }

    private static Color written(String form, double[] of) {
        return WrittenColor.read(
                form.formatted(
                        yewberry.core.color.Numbers.plain(of[0]),
                        yewberry.core.color.Numbers.plain(of[1]),
                        yewberry.core.color.Numbers.plain(of[2])));
    }

    private static int eightBit(double fraction) {
        return (int) Math.round(fraction * 255);
    }

    private static double[] components(JsonNode array) {
        if (!array.isArray() || array.size() != 3) {
            throw new Refused("A colour has three components.");
        }
        double[] components = new double[3];
        for (int i = 0; i < 3; i++) {
            components[i] = array.path(i).asDouble(0); // "none" counts as 0: CSS Color 4
        }
        return components;
    }

    /** What our own extension says; nothing if it says nothing that is known. */
    private static Optional<Wanted> own(JsonNode ours) {
        double percent = ours.path("percent").asDouble(100);
        String of = ours.path("of").asString("");
        return switch (ours.path("kind").asString("")) {
            case "cmyk", "grey" ->
                    Optional.of(
                            new Wanted.Values(WrittenColor.read(ours.path("value").asString(""))));
            case "spot" ->
                    Optional.of(
                            new Wanted.Spot(WrittenColor.read(ours.path("value").asString(""))));
            case "tint" -> Optional.of(new Wanted.TintOf(of, percent));
            case "lighter" -> Optional.of(new Wanted.LighterThan(of, percent));
            case "mix" ->
                    Optional.of(new Wanted.MixOf(of, ours.path("other").asString(""), percent));
            default -> Optional.empty();
        };
    }

    static String write(Publication publication, PressCondition press) {
        ObjectNode root = MAPPER.createObjectNode();
        Palette colors = new Palette(publication::swatch, press);
        for (Swatch swatch : PaletteValues.of(publication)) {
            ObjectNode token = root.putObject(key(swatch.name(), root));
            token.put("$type", "color");
            ObjectNode value = token.putObject("$value");
            Color color = colors.color(swatch);
            if (color instanceof Lab lab) {
                value.put("colorSpace", "lab");
                components(value, lab.lightness(), lab.a(), lab.b());
            } else {
                Rgb screen = press.toScreen(color);
                value.put("colorSpace", "srgb");
                components(
                        value, screen.red() / 255.0, screen.green() / 255.0, screen.blue() / 255.0);
                value.put("hex", screen.hex());
            }
            own(token.putObject("$extensions").putObject(OURS), swatch, publication);
        }
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private static void components(ObjectNode value, double one, double two, double three) {
        ArrayNode components = value.putArray("components");
        for (double each : new double[] {one, two, three}) {
            components.add(Math.rint(each * 1e6) / 1e6);
        }
        value.put("alpha", 1);
    }

    /** Names must not begin with $ nor hold a dot or a brace. */
    private static String key(String name, ObjectNode taken) {
        String key = name.replaceAll("[.{}]", "-").replaceFirst("^\\$+", "");
        String free = key.isEmpty() ? "colour" : key;
        for (int i = 2; taken.has(free); i++) {
            free = key + " " + i;
        }
        return free;
    }

    private static void own(ObjectNode ours, Swatch swatch, Publication publication) {
        ours.put("name", swatch.name());
        switch (swatch.definition()) {
            case Definition.Plain(Color color) -> {
                ours.put("kind", PaletteValues.kind(color));
                if (color instanceof Cmyk || color instanceof Gray) {
                    ours.put("value", PaletteValues.written(color));
                }
            }
            case Definition.SpotInk(Color color) ->
                    ours.put("kind", "spot").put("value", PaletteValues.written(color));
            case Definition.Tint(UUID base, double percent) ->
                    derived(ours, "tint", base, percent, publication);
            case Definition.Lighter(UUID base, double percent) ->
                    derived(ours, "lighter", base, percent, publication);
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    derived(ours, "mix", one, percent, publication)
                            .put("other", publication.swatch(other).name());
            case Definition.Legible legible ->
                    throw new IllegalArgumentException("A legible colour has no value");
        }
    }

    private static ObjectNode derived(
            ObjectNode ours, String kind, UUID base, double percent, Publication publication) {
        return ours.put("kind", kind)
                .put("of", publication.swatch(base).name())
                .put("percent", percent);
    }
}
