package yewberry.core.output;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Edge;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.text.Face;
import yewberry.core.text.FontFile;

/**
 * The stories of a publication as a page of the web: HTML in the order in which they are read, and
 * CSS with the colours in which each stretch of text is judged, of the letters and of what is
 * behind them. Where that is a picture or a gradient, it is the colour of it that is hardest to
 * read on.
 */
public final class WebPage {
    private static final double PPI = 144;

    private final Publication publication;
    private final PressCondition condition;
    private final Structure structure;
    private final Map<List<Integer>, Piece> pieces = new HashMap<>();
    private final Map<UUID, Rgb> borders = new HashMap<>();
    private final Map<Border, Rgb> lastBorders = new HashMap<>();
    private final Map<Face, String> fonts = new LinkedHashMap<>();
    private final Set<Face> faces = new LinkedHashSet<>();
    private final Map<UUID, Panel> panels = new HashMap<>();
    private final Map<String, byte[]> files = new LinkedHashMap<>();
    private final Map<String, String> classes = new LinkedHashMap<>();
    private final Map<Integer, Rgb> grounds = new HashMap<>();
    private final Map<Integer, Integer> numbers = new HashMap<>();
    private final Map<UUID, Integer> shown = new HashMap<>();

    /**
     * A stretch of text, or a picture.
     *
     * @param behind it, as it is judged
     */
    private record Piece(Item item, List<Boolean> spaced, Rgb color, Rgb behind) {}

    private WebPage(Publication publication, PressCondition condition) {
        this.publication = publication;
        this.condition = condition;
        this.structure = new Structure(publication, true);
    }

    /**
     * Its files by their names; the page is {@code index.html}.
     *
     * @param scenes of the pages that are in it
     */
    public static Map<String, byte[]> of(
            Publication publication, List<PageScene> scenes, PressCondition condition) {
        WebPage page = new WebPage(publication, condition);
        for (int i = 0; i < scenes.size(); i++) {
            page.add(scenes.get(i), i);
        }
        String body = page.body();
        page.fonts();
        page.files.put("style.css", page.css().getBytes(StandardCharsets.UTF_8));
        page.files.put("index.html", page.html(body).getBytes(StandardCharsets.UTF_8));
        return page.files;
    }

    private void add(PageScene scene, int page) {
        numbers.put(page, publication.pages().position(scene.page()).orElse(page) + 1);
        shown.put(scene.page(), page);
        Map<Item, Structure.Place> places = structure.page(scene, scene.on(Medium.SCREEN));
        Legibility legibility =
                new Legibility(condition, Demand.of(publication.setup()), Destination.SCREEN);
        Map<Item, RunContrast> judged = OutputPages.judged(scene, legibility, Medium.SCREEN);
        View view = View.designed(Medium.SCREEN, condition);
        Map<Rgb, Integer> counts = new HashMap<>();
        List<Item> there = scene.allOn(Medium.SCREEN);
        Map<Item, Item> composed = new IdentityHashMap<>();
        for (int i = 0; i < there.size(); i++) {
            composed.put(there.get(i), scene.items().get(i));
        }
        for (Item item : scene.on(Medium.SCREEN).items()) {
            if (item instanceof Item.TextFill fill && fill.kind() == Item.TextFill.Kind.BORDER) {
                borders.put(fill.paragraph(), view.see(fill.paints().getFirst().color()));
            }
            if (!(places.get(item) instanceof Structure.Place.Read read)) {
                continue;
            }
            Optional<RunContrast.Against> against =
                    Optional.ofNullable(judged.get(composed.get(item)))
                            .flatMap(each ->
                                    each.against().stream()
                                            .min(
                                                    Comparator.comparingDouble(
                                                            RunContrast.Against::ratio)));
            Rgb behind = against.map(RunContrast.Against::color).orElseGet(view::bare);
            Rgb color =
                    against.map(RunContrast.Against::foreground)
                            .orElseGet(() ->
                                    view.see(
                                            item.paints().stream()
                                                    .map(Paint::color)
                                                    .findFirst()
                                                    .orElse(behind)));
            pieces.put(List.of(page, read.number()), new Piece(item, read.spaced(), color, behind));
            if (item instanceof Item.GlyphRun run) {
                faces.add(run.face());
                counts.merge(behind, run.text().length(), Integer::sum);
            } else {
                picture(scene, item, page, read.number());
            }
        }
        grounds.put(
                page,
                counts.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .map(Map.Entry::getKey)
                        .orElseGet(view::bare));
    }

    private void picture(PageScene scene, Item item, int page, int number) {
        var shownPart = item.bounds().intersection(scene.boxes().trim());
        if (!shownPart.isEmpty()) {
            files.put(
                    pictureName(page, number),
                    PictureFile.png(
                            PageRaster.page(
                                    scene, View.designed(Medium.SCREEN, condition), shownPart, PPI),
                            PPI));
        }
    }

    private static String pictureName(int page, int number) {
        return "pictures/%d-%d.png".formatted(page + 1, number + 1);
    }

    /** Fonts that may be installed anywhere go with it; others are named only. */
    private void fonts() {
        for (Face face : faces) {
            if (face.rights().kind() == FontFile.Rights.Kind.INSTALLABLE) {
                String name = "fonts/%d.ttf".formatted(fonts.size() + 1);
                files.put(name, face.program());
                fonts.put(face, name);
            }
        }
    }

    private String html(String body) {
        return """
        <!doctype html>
        <html lang="%s">
        <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <title>%s</title>
        <link rel="stylesheet" href="style.css">
        </head>
        <body>
        <main>
        %s</main>
        </body>
        </html>
        """
                .formatted(
                        publication.setup().language().tag(),
                        escaped(publication.setup().title().orElse(publication.name())),
                        body);
    }

    /** The elements, in one section for each page that they begin on. */
    private String body() {
        StringBuilder html = new StringBuilder();
        int[] last = {-1};
        blocks(structure.root(), html, last);
        if (last[0] >= 0) {
            html.append("</section>\n");
        }
        return html.toString();
    }

    private void blocks(Node of, StringBuilder html, int[] last) {
        for (Node node : of.nodes()) {
            if (node.kind() == Node.Kind.PART) {
                blocks(node, html, last);
                continue;
            }
            int page = node.first().orElseThrow().page();
            if (page > last[0]) {
                if (last[0] >= 0) {
                    html.append("</section>\n");
                }
                html.append(
                        "<section id=\"page-%d\" class=\"%s\">\n"
                                .formatted(
                                        numbers.get(page),
                                        named(
                                                "page",
                                                "background-color:" + grounds.get(page).hex())));
                last[0] = page;
            }
            html.append(block(node, grounds.get(last[0]))).append('\n');
        }
    }

    /**
     * @param around the colour that the element stands on
     */
    private String block(Node node, Rgb around) {
        return switch (node.kind()) {
            case FIGURE -> {
                Node.Part.Content content = node.contents().getFirst();
                String name = pictureName(content.page(), content.number());
                yield files.containsKey(name)
                        ? "<figure><img src=\"%s\" alt=\"%s\"></figure>"
                                .formatted(name, escaped(node.alternative()))
                        : "";
            }
            case QUOTE -> element("blockquote", node, "", inner(node, each -> block(each, around)));
            case LIST -> {
                boolean numbered =
                        node.marks().filter(ListMark.Numbered.class::isInstance).isPresent();
                yield element(
                        numbered ? "ol" : "ul",
                        node,
                        " role=\"list\"",
                        inner(node, each -> block(each, around)));
            }
            case ITEM ->
                    element(
                            "li",
                            node,
                            "",
                            inner(
                                    node,
                                    each ->
                                            each.kind() == Node.Kind.LABEL
                                                    ? words(each, around) + " "
                                                    : block(each, around)));
            case TITLE -> text("p", node, around);
            case HEADING -> text("h" + node.level(), node, around);
            case PARAGRAPH, CAPTION -> text("p", node, around);
            case BODY -> words(node, around);
            case DOCUMENT, PART, LABEL, LINK, SPAN -> words(node, around);
        };
    }

    private static String inner(Node node, Function<Node, String> each) {
        return node.nodes().stream().map(each).collect(Collectors.joining());
    }

    private static String element(String name, Node node, String more, String inner) {
        String language = node.language().map(it -> " lang=\"%s\"".formatted(it.tag())).orElse("");
        return "<%s%s%s>%s</%s>".formatted(name, language, more, inner, name);
    }

    /** A paragraph with its shading, border and setting. */
    private String text(String name, Node node, Rgb around) {
        Optional<Item.GlyphRun> first = first(node);
        if (first.isEmpty()) {
            return element(name, node, "", words(node, around));
        }
        Item.GlyphRun run = first.get();
        Rgb behind = pieces.get(key(node.first().orElseThrow())).behind();
        StringBuilder css = new StringBuilder(setting(run.look()));
        if (!behind.equals(around)) {
            css.append(";background-color:").append(behind.hex());
        }
        panel(run).ifPresent(panel -> css.append(panel(panel, run, node.first().orElseThrow())));
        return element(
                name,
                node,
                " id=\"p-%s\" class=\"%s\"".formatted(run.paragraph(), named(name, css.toString())),
                words(node, behind));
    }

    private Optional<Item.GlyphRun> first(Node node) {
        return node.first()
                .map(content -> pieces.get(key(content)))
                .map(Piece::item)
                .filter(Item.GlyphRun.class::isInstance)
                .map(Item.GlyphRun.class::cast);
    }

    private static List<Integer> key(Node.Part.Content content) {
        return List.of(content.page(), content.number());
    }

    private Optional<Panel> panel(Item.GlyphRun run) {
        if (panels.isEmpty()) {
            publication
                    .stories()
                    .forEach(story -> {
                        for (Paragraph each : story.paragraphs()) {
                            panels.put(each.id(), each.panel(publication.look(each.look())));
                        }
                    });
        }
        return Optional.ofNullable(panels.get(run.paragraph())).filter(Panel::paints);
    }

    private static String setting(Look look) {
        return "font-family:%s;font-size:%spt;font-weight:%d;font-style:%s;line-height:%s;text-align:%s"
                .formatted(
                        family(look.family()),
                        number(look.size().points()),
                        look.weight(),
                        look.italic() ? "italic" : "normal",
                        number(look.leading().points(look.size()) / look.size().points()),
                        switch (look.alignment()) {
                            case LEFT -> "start";
                            case CENTER -> "center";
                            case RIGHT -> "end";
                            default -> "justify";
                        });
    }

    private static String family(String name) {
        String rest = name.contains("Sans") ? "sans-serif" : "serif";
        return "%s,%s".formatted(quoted(name), rest);
    }

    private static String quoted(String name) {
        return "'%s'".formatted(name.replaceAll("[^\\p{L}\\p{N} ._-]", ""));
    }

    private String panel(Panel panel, Item.GlyphRun run, Node.Part.Content at) {
        double size = run.look().size().points();
        StringBuilder css = new StringBuilder();
        css.append(
                ";padding:%spt %spt %spt %spt"
                        .formatted(
                                number(panel.padding().top().points(size)),
                                number(panel.padding().right().points(size)),
                                number(panel.padding().bottom().points(size)),
                                number(panel.padding().left().points(size))));
        css.append(";border-radius:%spt".formatted(number(panel.radius().points(size))));
        panel.border().ifPresent(border -> css.append(border(border, run, at)));
        return css.toString();
    }

    private String border(Border border, Item.GlyphRun run, Node.Part.Content at) {
        // paragraphs that share a border have it once
        Rgb color =
                borders.getOrDefault(
                        run.paragraph(),
                        lastBorders.getOrDefault(border, pieces.get(key(at)).color()));
        lastBorders.put(border, color);
        String style =
                switch (border.style()) {
                    case SOLID -> "solid";
                    case DASHED -> "dashed";
                    case DOTTED -> "dotted";
                    case DOUBLE, TRIPLE -> "double";
                };
        StringBuilder css = new StringBuilder();
        for (Edge side : border.sides()) {
            css.append(
                    ";border-%s:%spt %s %s"
                            .formatted(
                                    side.name().toLowerCase(Locale.ROOT),
                                    number(border.width().points()),
                                    style,
                                    color.hex()));
        }
        return css.toString();
    }

    /** What is written in an element, each stretch in its colours. */
    private String words(Node node, Rgb around) {
        StringBuilder html = new StringBuilder();
        for (Node.Part part : node.parts()) {
            html.append(
                    switch (part) {
                        case Node.Part.Content content -> stretch(content, around);
                        case Node.Part.Within(Node within) ->
                                switch (within.kind()) {
                                    case LINK -> link(within, around);
                                    case SPAN -> element("span", within, "", words(within, around));
                                    default -> block(within, around);
                                };
                    });
        }
        return html.toString();
    }

    private String stretch(Node.Part.Content content, Rgb around) {
        Piece piece = pieces.get(key(content));
        if (!(piece.item() instanceof Item.GlyphRun run)) {
            return "";
        }
        StringBuilder css = new StringBuilder("color:").append(piece.color().hex());
        if (!piece.behind().equals(around)) {
            css.append(";background-color:").append(piece.behind().hex());
        }
        run.characters().ifPresent(look -> css.append(characters(look, run)));
        String text = escaped(content.text());
        return "<span class=\"%s\">%s</span>".formatted(named("t", css.toString()), text);
    }

    private static String characters(CharacterLook look, Item.GlyphRun run) {
        return ";font-weight:%d;font-style:%s"
                .formatted(run.face().weight(), run.face().italic() ? "italic" : "normal");
    }

    private String link(Node node, Rgb around) {
        Optional<LinkTo> to = structure.leads(node);
        String inner = words(node, around);
        if (to.isEmpty()) {
            return inner;
        }
        String href =
                switch (to.get()) {
                    case LinkTo.Address(String uri) -> uri;
                    case LinkTo.ToPage(UUID page) ->
                            shown.containsKey(page) ? "#page-" + numbers.get(shown.get(page)) : "";
                    case LinkTo.ToParagraph(UUID story, UUID paragraph) -> "#p-" + paragraph;
                };
        String color =
                first(node)
                        .map(run -> pieces.get(key(node.first().orElseThrow())).color().hex())
                        .orElse("inherit");
        return href.isEmpty()
                ? inner
                : element(
                        "a",
                        node,
                        " href=\"%s\" class=\"%s\""
                                .formatted(escaped(href), named("a", "color:" + color)),
                        inner);
    }

    /** The class of some declarations, each set of them once. */
    private String named(String kind, String css) {
        return classes.computeIfAbsent(css, _ -> kind + (classes.size() + 1));
    }

    private String css() {
        StringBuilder css =
                new StringBuilder(
                        """
                        body { margin: 0; }
                        section { padding: 2rem max(1rem, calc(50% - 20rem)); }
                        p, h1, h2, h3, h4, h5, h6, blockquote, ul, ol, figure { margin: 0 0 0.75rem; }
                        ul, ol { padding: 0; list-style: none; }
                        img { max-width: 100%; height: auto; display: block; }
                        span { box-decoration-break: clone; -webkit-box-decoration-break: clone; }
                        """);
        fonts.forEach((face, file) ->
                css.append(
                        "@font-face { font-family: %s; font-weight: %d; font-style: %s; src: url(%s); }\n"
                                .formatted(
                                        quoted(face.family()),
                                        face.weight(),
                                        face.italic() ? "italic" : "normal",
                                        file)));
        classes.forEach((declarations, name) ->
                css.append(".%s { %s }\n".formatted(name, declarations.replace(";", "; "))));
        return css.toString();
    }

    private static String number(double value) {
        return BigDecimal.valueOf(value)
                .setScale(3, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
