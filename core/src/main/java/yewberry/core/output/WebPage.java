package yewberry.core.output;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Language;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.text.Face;
import yewberry.core.text.FontFile;

/**
 * The stories of a publication as a page of the web: HTML in the order in which they are read, and
 * CSS with the colours in which each stretch of text is judged, of the letters and of what is
 * behind them. Where that is a picture or a gradient, it is the colour of it that is hardest to
 * read on, unless the whole of it can be behind the text ({@link WebGround}).
 */
public final class WebPage {
    /** Of pictures. */
    public static final double PPI = 144;

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
    private final Map<Integer, Stand> grounds = new HashMap<>();
    private final WebGround.All drawn = new WebGround.All();
    private final Map<Integer, WebGround> pictured = new HashMap<>();
    private final Map<WebGround, String> groundNames = new HashMap<>();
    private final Map<ByteBuffer, String> groundFiles = new HashMap<>();
    private final Progress progress;
    private final Map<Integer, Integer> numbers = new HashMap<>();
    private final Map<UUID, Integer> shown = new HashMap<>();
    private final Set<UUID> told = new HashSet<>();

    /** The pages that a section begins with: those on which an element begins. */
    private final TreeSet<Integer> sections = new TreeSet<>();

    /**
     * What something stands on.
     *
     * @param color of it; of a picture or gradient the one that stands for it
     * @param page whose picture or gradient it is, from 0
     */
    private record Stand(Rgb color, Optional<Integer> page) {}

    /** A stretch of text, or a picture. */
    private record Piece(Item item, Rgb color, Stand behind) {}

    private WebPage(Publication publication, PressCondition condition, Progress progress) {
        this.progress = progress;
        this.publication = publication;
        this.condition = condition;
        this.structure = new Structure(publication, true);
    }

    /**
     * Its files by their names; the page is {@code index.html}.
     *
     * @param scenes of the pages that are in it
     * @param progress told of pages; half of it is judging them, half writing
     * @throws java.util.concurrent.CancellationException if it says so
     */
    public static Map<String, byte[]> of(
            Publication publication,
            List<PageScene> scenes,
            PressCondition condition,
            Progress progress) {
        WebPage page = new WebPage(publication, condition, progress);
        for (int i = 0; i < scenes.size(); i++) {
            progress.part(0, 2).at(i, scenes.size());
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
        Map<Item, JudgedColors> judged = JudgedColors.of(scene, publication.setup());
        View view = View.designed(Medium.SCREEN, condition);
        Map<Item, Structure.Place.Read> read = new LinkedHashMap<>();
        for (Item item : scene.on(Medium.SCREEN).items()) {
            if (item instanceof Item.TextFill fill && fill.kind() == Item.TextFill.Kind.BORDER) {
                borders.put(fill.paragraph(), view.see(fill.paints().getFirst().color()));
            }
            if (places.get(item) instanceof Structure.Place.Read at) {
                read.put(item, at);
            }
        }
        if (read.isEmpty()) {
            return; // no section begins here
        }
        Stand ground = ground(scene, page, read.keySet(), judged);
        read.forEach((item, at) -> {
            JudgedColors colors = judged.get(item);
            Stand behind =
                    ground.page().isPresent() && colors.onGround()
                            ? ground
                            : new Stand(colors.behind(), Optional.empty());
            pieces.put(
                    List.of(page, at.number()),
                    new Piece(item.withoutGlyphs(), colors.color(), behind));
            if (item instanceof Item.GlyphRun run) {
                faces.add(run.face());
                told.add(run.paragraph());
            } else {
                picture(scene, item, page, at.number());
            }
        });
    }

    /** What most of a page's text stands on. */
    private Stand ground(
            PageScene scene, int page, Set<Item> read, Map<Item, JudgedColors> judged) {
        Map<Rgb, Integer> counts = new HashMap<>();
        List<JudgedColors> text = new ArrayList<>();
        for (Item item : read) {
            if (item instanceof Item.GlyphRun run) {
                counts.merge(judged.get(item).behind(), run.text().length(), Integer::sum);
                text.add(judged.get(item));
            }
        }
        Rgb most =
                counts.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .map(Map.Entry::getKey)
                        .orElseGet(View.designed(Medium.SCREEN, condition)::bare);
        Optional<WebGround> ground = drawn.of(scene, text);
        ground.ifPresent(it -> pictured.put(page, it));
        Stand stand = new Stand(most, ground.map(_ -> page));
        grounds.put(page, stand);
        return stand;
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
        List<Node> blocks = structure.blocks();
        blocks.forEach(block -> sections.add(block.page()));
        StringBuilder html = new StringBuilder();
        int last = -1;
        for (Node block : blocks) {
            if (block.page() > last) {
                html.append(last < 0 ? "" : "</section>\n");
                last = block.page();
                progress.part(1, 2).at(last, shown.size());
                html.append(
                        "<section id=\"page-%d\" class=\"%s\">\n"
                                .formatted(numbers.get(last), named("page", section(last))));
            }
            html.append(block(block, grounds.get(last))).append('\n');
        }
        return html.append(last < 0 ? "" : "</section>\n").toString();
    }

    /** A gradient is as long as the section; a picture keeps its proportions. */
    private String section(int page) {
        String css = "background-color:" + grounds.get(page).color().hex();
        WebGround ground = pictured.get(page);
        if (ground == null) {
            return css;
        }
        String name = groundNames.computeIfAbsent(ground, it -> groundFile(it, page));
        return css
                + ";background-image:url(%s);background-size:%s"
                        .formatted(name, ground.hasPicture() ? "cover" : "100% 100%");
    }

    /** Left and right pages may look the same, too. */
    private String groundFile(WebGround ground, int page) {
        byte[] file = PictureFile.png(ground.image(), WebGround.PPI);
        String name =
                groundFiles.computeIfAbsent(
                        ByteBuffer.wrap(file), _ -> "pictures/page-%d.png".formatted(page + 1));
        files.putIfAbsent(name, file);
        return name;
    }

    /**
     * @param around the colour that the element stands on
     */
    private String block(Node node, Stand around) {
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
                    dressed(
                            "li",
                            node,
                            around,
                            behind ->
                                    inner(
                                            node,
                                            each ->
                                                    each.kind() == Node.Kind.LABEL
                                                            ? words(each, behind) + " "
                                                            : block(each, behind)));
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
        String language = language(node).map(it -> " lang=\"%s\"".formatted(it.tag())).orElse("");
        return "<%s%s%s>%s</%s>".formatted(name, language, more, inner, name);
    }

    /** An item of a list is in the language of what it says. */
    private static Optional<Language> language(Node node) {
        return node.kind() == Node.Kind.ITEM ? node.nodes().getLast().language() : node.language();
    }

    private String text(String name, Node node, Stand around) {
        return dressed(name, node, around, behind -> words(node, behind));
    }

    /**
     * A paragraph with its shading, border and setting.
     *
     * @param inner what is in it, on the colour that it has behind it
     */
    private String dressed(String name, Node node, Stand around, Function<Stand, String> inner) {
        Optional<Node.Part.Content> begins = node.first();
        Optional<Item.GlyphRun> first = begins.flatMap(this::run);
        if (first.isEmpty()) {
            return element(name, node, "", inner.apply(around));
        }
        Item.GlyphRun run = first.get();
        Stand behind = pieces.get(key(begins.get())).behind();
        StringBuilder css = new StringBuilder(setting(run.look()));
        if (!behind.equals(around)) {
            css.append(";background-color:").append(behind.color().hex());
        }
        panel(run).ifPresent(panel -> css.append(panel(panel, run, begins.get())));
        return element(
                name,
                node,
                " id=\"p-%s\" class=\"%s\"".formatted(run.paragraph(), named(name, css.toString())),
                inner.apply(behind));
    }

    private Optional<Item.GlyphRun> first(Node node) {
        return node.first().flatMap(this::run);
    }

    private Optional<Item.GlyphRun> run(Node.Part.Content content) {
        return Optional.of(pieces.get(key(content)))
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
    private String words(Node node, Stand around) {
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

    private String stretch(Node.Part.Content content, Stand around) {
        Piece piece = pieces.get(key(content));
        if (!(piece.item() instanceof Item.GlyphRun run)) {
            return "";
        }
        StringBuilder css = new StringBuilder("color:").append(piece.color().hex());
        if (!piece.behind().equals(around)) {
            css.append(";background-color:").append(piece.behind().color().hex());
        }
        run.characters().ifPresent(look -> css.append(characters(look, run)));
        String text = escaped(content.text());
        return "<span class=\"%s\">%s</span>".formatted(named("t", css.toString()), text);
    }

    private static String characters(CharacterLook look, Item.GlyphRun run) {
        String css =
                ";font-weight:%d;font-style:%s"
                        .formatted(run.face().weight(), run.face().italic() ? "italic" : "normal");
        String family = look.family().map(each -> ";font-family:" + family(each)).orElse("");
        String size = look.size().isEmpty() ? "" : ";font-size:%spt".formatted(number(run.size()));
        return css + family + size;
    }

    private String link(Node node, Stand around) {
        Optional<LinkTo> to = structure.leads(node);
        String inner = words(node, around);
        if (to.isEmpty()) {
            return inner;
        }
        String href =
                switch (to.get()) {
                    case LinkTo.Address(String uri) -> uri;
                    case LinkTo.ToPage(UUID page) ->
                            Optional.ofNullable(shown.get(page))
                                    .map(sections::floor)
                                    .map(at -> "#page-" + numbers.get(at))
                                    .orElse("");
                    case LinkTo.ToParagraph(UUID story, UUID paragraph) ->
                            told.contains(paragraph) ? "#p-" + paragraph : "";
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
