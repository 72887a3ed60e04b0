package yewberry.pdf.proof;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.Selector;
import yewberry.core.Progress;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.output.JudgedColors;
import yewberry.core.output.Node;
import yewberry.core.output.PictureFile;
import yewberry.core.output.Structure;
import yewberry.core.output.WebGround;
import yewberry.core.output.WebPage;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.Face;
import yewberry.core.text.FontFile;

/**
 * Reads a web page from its files and holds it against the scenes: its elements in their order,
 * each with its language and where it leads; every stretch of text in its colour, on the colour
 * that it was judged on, in its type; borders; pictures by their pixels; fonts by their bytes; and
 * that nothing is fetched from elsewhere.
 */
public final class WebReadBack {
    /** Of a page that is wrong all over not each place is told. */
    private static final int MOST = 20;

    private static final Pattern URL = Pattern.compile("url\\(([^)]*)\\)");

    private final Map<String, byte[]> files;
    private final Publication publication;
    private final List<PageScene> scenes;
    private final Structure structure;
    private final Map<Place, Read> read = new HashMap<>();
    private final Map<UUID, Rgb> borders = new HashMap<>();
    private final Map<Integer, Integer> numbers = new HashMap<>();
    private final Map<UUID, Integer> shown = new HashMap<>();
    private final WebGround.All drawn = new WebGround.All();
    private final Map<UUID, WebGround> grounds = new HashMap<>();
    private final Map<Behind, Optional<String>> heldAgainst = new HashMap<>();
    private final Progress progress;
    private final Set<UUID> told = new HashSet<>();

    /** The pages on which something begins, from 0. */
    private final TreeSet<Integer> begun = new TreeSet<>();

    private final List<Wanted> wanted = new ArrayList<>();
    private final Set<String> problems = new LinkedHashSet<>();

    /** Where something is read: of its page, from 0, and among what is read there, from 0. */
    private record Place(int page, int number) {}

    /** Something that is read. */
    private record Read(Item item, JudgedColors colors, UUID page, int at) {}

    /**
     * What comes next in the page.
     *
     * @param says an element, or the text itself
     * @param read of text and pictures, what it is
     */
    private record Wanted(String says, Optional<Read> read) {}

    /** A picture behind pages, and the file that is to be it. */
    private record Behind(String file, WebGround ground) {}

    /** What is there. */
    record Found(String says, Element at) {}

    private WebReadBack(
            Map<String, byte[]> files,
            Publication publication,
            List<PageScene> scenes,
            Progress progress) {
        this.files = files;
        this.publication = publication;
        this.scenes = scenes;
        this.structure = new Structure(publication, true);
        this.progress = progress;
        for (int i = 0; i < scenes.size(); i++) {
            progress.part(0, 3).at(i, scenes.size());
            add(scenes.get(i), i);
        }
    }

    /**
     * @param files by their names, as they are in the output
     * @param publication as the output has it
     * @param scenes of the pages that are in it
     * @param progress told of pages; a third of it each is what should be there, what is there, and
     *     what is behind it
     * @return one without pages: what is wrong is said of the whole
     * @throws java.util.concurrent.CancellationException if the progress says so
     */
    public static ReadBackReport check(
            Map<String, byte[]> files,
            Publication publication,
            List<PageScene> scenes,
            Progress progress) {
        WebReadBack readBack = new WebReadBack(files, publication, scenes, progress);
        readBack.read();
        return ReadBackReport.of(List.of(), readBack.problems.stream().limit(MOST).toList());
    }

    private void add(PageScene scene, int page) {
        numbers.put(page, publication.pages().position(scene.page()).orElse(page) + 1);
        shown.put(scene.page(), page);
        Map<Item, Structure.Place> places = structure.page(scene, scene.on(Medium.SCREEN));
        Map<Item, JudgedColors> colors = JudgedColors.of(scene, publication.setup());
        View view = View.designed(Medium.SCREEN, scene.condition());
        List<JudgedColors> text = new ArrayList<>();
        boolean isRead = false;
        for (Item item : scene.on(Medium.SCREEN).items()) {
            if (item instanceof Item.TextFill fill && fill.kind() == Item.TextFill.Kind.BORDER) {
                borders.put(fill.paragraph(), view.see(fill.paints().getFirst().color()));
            }
            if (places.get(item) instanceof Structure.Place.Read at) {
                isRead = true;
                if (item instanceof Item.GlyphRun run) {
                    text.add(colors.get(item));
                    told.add(run.paragraph());
                }
                read.put(
                        new Place(page, at.number()),
                        new Read(item.withoutGlyphs(), colors.get(item), scene.page(), page));
            }
        }
        if (isRead) {
            drawn.of(scene, text).ifPresent(ground -> grounds.put(scene.page(), ground));
        }
    }

    private void read() {
        byte[] html = files.get("index.html");
        byte[] css = files.get("style.css");
        if (html == null || css == null) {
            problems.add("%s is missing".formatted(html == null ? "index.html" : "style.css"));
            return;
        }
        Document page = Jsoup.parse(new String(html, StandardCharsets.UTF_8));
        String sheet = new String(css, StandardCharsets.UTF_8);
        WebStyle style;
        try {
            style = new WebStyle(page, sheet);
        } catch (Selector.SelectorParseException broken) {
            problems.add("style.css is not as it was written");
            return;
        }
        String language = publication.setup().language().tag();
        if (!page.select("html").attr("lang").equals(language)) {
            problems.add("the page does not say that it is in “%s”".formatted(language));
        }
        List<Found> found = found(page.body());
        wanted();
        compare(style, found);
        grounds(page, style);
        fetched(page, sheet);
        fonts(style);
        borders(page, style);
        panels(page, style);
    }

    // what is wanted

    private void wanted() {
        List<Node> blocks = structure.blocks();
        blocks.forEach(block -> begun.add(block.page()));
        int last = -1;
        for (Node block : blocks) {
            if (block.page() > last) {
                last = block.page();
                wanted.add(new Wanted("page " + numbers.get(last), Optional.empty()));
            }
            element(block);
        }
    }

    private void element(Node node) {
        switch (node.kind()) {
            case FIGURE -> {
                var content = node.contents().getFirst();
                Read picture = read.get(new Place(content.page(), content.number()));
                if (!shown(picture).isEmpty()) {
                    wanted.add(new Wanted("figure", Optional.empty()));
                    wanted.add(new Wanted("picture: " + node.alternative(), Optional.of(picture)));
                }
            }
            case LIST -> {
                boolean numbered =
                        node.marks().filter(ListMark.Numbered.class::isInstance).isPresent();
                begin(numbered ? "ol" : "ul", node);
            }
            case QUOTE -> begin("blockquote", node);
            case ITEM -> begin("li", node);
            case HEADING -> begin("h" + node.level(), node);
            case TITLE, PARAGRAPH, CAPTION -> begin("p", node);
            case LINK -> {
                Optional<String> leads = leads(node);
                leads.ifPresentOrElse(to -> begin("a to " + to, node), () -> parts(node));
            }
            case SPAN -> begin("span", node);
            case DOCUMENT, PART, LABEL, BODY -> parts(node);
        }
    }

    private void begin(String name, Node node) {
        var language =
                node.kind() == Node.Kind.ITEM ? node.nodes().getLast().language() : node.language();
        wanted.add(
                new Wanted(
                        name + language.map(it -> " in “%s”".formatted(it.tag())).orElse(""),
                        Optional.empty()));
        parts(node);
    }

    private void parts(Node node) {
        for (var part : node.parts()) {
            switch (part) {
                case Node.Part.Within(Node within) -> element(within);
                case Node.Part.Content content -> {
                    if (!content.text().isBlank()) {
                        wanted.add(
                                new Wanted(
                                        text(content.text()),
                                        Optional.of(
                                                read.get(
                                                        new Place(
                                                                content.page(),
                                                                content.number())))));
                    }
                }
            }
        }
    }

    private static String text(String text) {
        return "“%s”".formatted(text);
    }

    /** Where it leads within this page, or elsewhere; nothing where that is not in it. */
    private Optional<String> leads(Node link) {
        return structure
                .leads(link)
                .flatMap(to ->
                        switch (to) {
                            case LinkTo.Address(String uri) -> Optional.of(uri);
                            case LinkTo.ToPage(UUID page) ->
                                    Optional.ofNullable(shown.get(page))
                                            .map(begun::floor)
                                            .map(at -> "#page-" + numbers.get(at));
                            case LinkTo.ToParagraph(UUID story, UUID paragraph) ->
                                    told.contains(paragraph)
                                            ? Optional.of("#p-" + paragraph)
                                            : Optional.empty();
                        });
    }

    // what is there

    static List<Found> found(Element of) {
        List<Found> found = new ArrayList<>();
        found(of, found);
        return found;
    }

    private static void found(Element of, List<Found> into) {
        for (org.jsoup.nodes.Node node : of.childNodes()) {
            if (node instanceof TextNode text) {
                if (!text.getWholeText().isBlank()) {
                    into.add(new Found(text(text.getWholeText()), of));
                }
            } else if (node instanceof Element element) {
                says(element).ifPresent(says -> into.add(new Found(says, element)));
                found(element, into);
            }
        }
    }

    private static Optional<String> says(Element element) {
        String language = element.hasAttr("lang") ? " in “%s”".formatted(element.attr("lang")) : "";
        return switch (element.tagName()) {
            case "main" -> Optional.empty();
            case "section" -> Optional.of(element.id().replace("page-", "page "));
            case "span" -> language.isEmpty() ? Optional.empty() : Optional.of("span" + language);
            case "a" -> Optional.of("a to " + element.attr("href") + language);
            case "img" -> Optional.of("picture: " + element.attr("alt"));
            default -> Optional.of(element.tagName() + language);
        };
    }

    // both

    private void compare(WebStyle style, List<Found> found) {
        String page = "";
        int most = Math.max(wanted.size(), found.size());
        for (int i = 0; i < most; i++) {
            String should = i < wanted.size() ? wanted.get(i).says() : "the end";
            String is = i < found.size() ? found.get(i).says() : "the end";
            page = should.startsWith("page ") ? should : page;
            progress.part(1, 3).at((int) ((long) i * shown.size() / most), shown.size());
            if (!should.equals(is)) {
                problems.add("on %s there is %s instead of %s".formatted(page, is, should));
                return; // all that follows would be wrong
            }
            Optional<Read> one = wanted.get(i).read();
            if (one.isEmpty()) {
                continue;
            }
            Element at = found.get(i).at();
            Optional<String> problem =
                    one.get().item() instanceof Item.GlyphRun run
                            ? looks(style, at, run, one.get())
                            : picture(at.attr("src"), drawn(one.get()));
            if (problem.isPresent()) {
                problems.add("on %s, %s %s".formatted(page, should, problem.get()));
            }
        }
    }

    private Optional<String> looks(WebStyle style, Element at, Item.GlyphRun run, Read read) {
        JudgedColors colors = read.colors();
        String color = style.value(at, "color");
        Optional<Element> stands = style.behind(at);
        String behind = stands.map(it -> style.value(it, "background-color")).orElse("nothing");
        boolean pictured =
                stands.map(it -> !style.value(it, "background-image").isEmpty()).orElse(false);
        boolean isJudged =
                pictured
                        ? isOnGround(stands.get(), read)
                        : behind.equals(colors.behind().hex()) || isLegibleFurtherOn(behind, read);
        if (!color.equals(colors.color().hex()) || !isJudged) {
            return Optional.of(
                    "is %s on %s instead of %s on %s"
                            .formatted(
                                    color,
                                    pictured ? "the picture of another page" : behind,
                                    colors.color().hex(),
                                    colors.behind().hex()));
        }
        boolean own = run.characters().isPresent();
        int weight = own ? run.face().weight() : run.look().weight();
        boolean italic = own ? run.face().italic() : run.look().italic();
        boolean sized = run.characters().flatMap(CharacterLook::size).isPresent();
        double size = sized ? run.size() : run.look().size().points();
        String family = style.value(at, "font-family").split(",")[0].replace("'", "");
        boolean isSet =
                family.equals(
                                run.characters()
                                        .flatMap(CharacterLook::family)
                                        .orElse(run.look().family()))
                        && style.value(at, "font-weight").equals(String.valueOf(weight))
                        && style.value(at, "font-style").equals(italic ? "italic" : "normal")
                        && isOf(style.value(at, "font-size"), size)
                        && isSpaced(style, at, run.look());
        return isSet
                ? Optional.empty()
                : Optional.of(
                        "is set in %s %s %s %s, lines %s apart, %s"
                                .formatted(
                                        family,
                                        style.value(at, "font-weight"),
                                        style.value(at, "font-style"),
                                        style.value(at, "font-size"),
                                        style.value(at, "line-height"),
                                        style.value(at, "text-align")));
    }

    private static boolean isSpaced(WebStyle style, Element at, Look look) {
        double lines = look.leading().points(look.size()) / look.size().points();
        String aligned =
                switch (look.alignment()) {
                    case LEFT -> "start";
                    case CENTER -> "center";
                    case RIGHT -> "end";
                    default -> "justify";
                };
        return isOf(style.value(at, "line-height") + "pt", lines)
                && style.value(at, "text-align").equals(aligned);
    }

    /** Whether it is of the page that an element shows the ground of. */
    private boolean isOnGround(Element section, Read read) {
        return read.colors().onGround()
                && section.id().equals("page-" + numbers.get(shown.get(read.page())))
                && grounds.containsKey(read.page());
    }

    /** Text that goes on from another page stands on one colour of the ground of its own. */
    private boolean isLegibleFurtherOn(String behind, Read read) {
        return read.colors().onGround()
                && grounds.containsKey(read.page())
                && behind.matches("#[0-9a-f]{6}")
                && Contrast.ratio(read.colors().color(), Rgb.hex(behind))
                        >= read.colors().required();
    }

    /** Where the ground of a page is more than one colour, its section shows it, and else none. */
    private void grounds(Document page, WebStyle style) {
        Map<String, UUID> named = new HashMap<>();
        shown.forEach((id, at) -> named.put(String.valueOf(numbers.get(at)), id));
        for (Element section : page.select("section")) {
            String number = section.id().replace("page-", "");
            Optional<UUID> id = Optional.ofNullable(named.get(number));
            id.ifPresent(it -> progress.part(2, 3).at(shown.get(it), shown.size()));
            Optional<WebGround> wanted = id.map(grounds::get);
            Matcher name = URL.matcher(style.value(section, "background-image"));
            boolean isThere = name.matches();
            if (wanted.isPresent() != isThere) {
                problems.add(
                        "page %s has %s behind it"
                                .formatted(number, isThere ? "a picture" : "no picture"));
            } else if (isThere) {
                heldAgainst
                        .computeIfAbsent(
                                new Behind(name.group(1), wanted.get()),
                                it -> picture(it.file(), it.ground().image()))
                        .ifPresent(problem ->
                                problems.add(
                                        "the picture behind page %s %s"
                                                .formatted(number, problem)));
            }
        }
    }

    /** Sizes are written to a thousandth of a point. */
    private static boolean isOf(String size, double points) {
        return size.matches("\\d{1,6}(\\.\\d{1,3})?pt")
                && Math.abs(Double.parseDouble(size.substring(0, size.length() - 2)) - points)
                        <= 0.0006;
    }

    private BufferedImage drawn(Read picture) {
        PageScene scene = scenes.get(picture.at());
        View view = View.designed(Medium.SCREEN, scene.condition());
        return PageRaster.page(scene, view, shown(picture), WebPage.PPI);
    }

    private Rect shown(Read picture) {
        return picture.item().bounds().intersection(scenes.get(picture.at()).boxes().trim());
    }

    private Optional<String> picture(String name, BufferedImage wanted) {
        byte[] file = files.get(name);
        if (file == null) {
            return Optional.of("is missing");
        }
        try {
            BufferedImage is = ImageIO.read(new ByteArrayInputStream(file));
            return is != null && isSame(is, wanted)
                    ? Optional.empty()
                    : Optional.of("is not as it is drawn");
        } catch (IOException | RuntimeException broken) {
            return Optional.of("cannot be read");
        }
    }

    private static boolean isSame(BufferedImage one, BufferedImage other) {
        return one.getWidth() == other.getWidth()
                && one.getHeight() == other.getHeight()
                && Arrays.equals(PictureFile.pixels(one), PictureFile.pixels(other));
    }

    /**
     * What is loaded is among the files, and where words lead within the page there is something.
     */
    private void fetched(Document page, String css) {
        Set<String> loaded =
                page.select("[src], link[href]").stream()
                        .map(each -> each.hasAttr("src") ? each.attr("src") : each.attr("href"))
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        Matcher urls = URL.matcher(css);
        while (urls.find()) {
            loaded.add(urls.group(1));
        }
        loaded.removeAll(files.keySet());
        loaded.forEach(each -> problems.add("“%s” is not among the files".formatted(each)));
        for (Element each : page.select("a[href^=#]")) {
            if (page.getElementById(each.attr("href").substring(1)) == null) {
                problems.add("“%s” leads nowhere".formatted(each.text()));
            }
        }
    }

    private void fonts(WebStyle style) {
        read.values().stream()
                .map(Read::item)
                .filter(Item.GlyphRun.class::isInstance)
                .map(item -> ((Item.GlyphRun) item).face())
                .distinct()
                .filter(face -> face.rights().kind() == FontFile.Rights.Kind.INSTALLABLE)
                .filter(face -> style.fonts().stream().noneMatch(font -> isOf(font, face)))
                .forEach(face -> problems.add("the font %s is missing".formatted(face.inWords())));
    }

    private boolean isOf(Map<String, String> font, Face face) {
        String source = font.getOrDefault("src", "").replaceAll("^url\\(|\\)$", "");
        return font.getOrDefault("font-family", "").equals("'%s'".formatted(face.family()))
                && font.getOrDefault("font-weight", "").equals(String.valueOf(face.weight()))
                && font.getOrDefault("font-style", "").equals(face.italic() ? "italic" : "normal")
                && files.containsKey(source)
                && Arrays.equals(files.get(source), face.program());
    }

    private void borders(Document page, WebStyle style) {
        borders.forEach((paragraph, color) -> {
            Element at = page.getElementById("p-" + paragraph);
            if (at != null
                    && style.declared(at).entrySet().stream()
                            .noneMatch(each ->
                                    each.getKey().startsWith("border-")
                                            && each.getValue().endsWith(color.hex()))) {
                problems.add("the border of “%s” is missing".formatted(at.text()));
            }
        });
    }

    private void panels(Document page, WebStyle style) {
        publication
                .stories()
                .forEach(story -> {
                    for (Paragraph each : story.paragraphs()) {
                        Look look = publication.look(each.look());
                        Panel panel = each.panel(look);
                        Element at = page.getElementById("p-" + each.id());
                        if (panel.paints()
                                && at != null
                                && !isAround(panel, style.declared(at), look.size().points())) {
                            problems.add(
                                    "the box around “%s” is not as it was set"
                                            .formatted(at.text()));
                        }
                    }
                });
    }

    private static boolean isAround(Panel panel, Map<String, String> declared, double size) {
        Padding padding = panel.padding();
        String[] sides = declared.getOrDefault("padding", "").split(" ");
        List<Distance> wanted =
                List.of(padding.top(), padding.right(), padding.bottom(), padding.left());
        return sides.length == 4
                && IntStream.range(0, 4).allMatch(i -> isOf(sides[i], wanted.get(i).points(size)))
                && isOf(declared.getOrDefault("border-radius", ""), panel.radius().points(size))
                && panel.border().stream().allMatch(border -> isAround(border, declared));
    }

    private static boolean isAround(Border border, Map<String, String> declared) {
        String style =
                switch (border.style()) {
                    case SOLID -> "solid";
                    case DASHED -> "dashed";
                    case DOTTED -> "dotted";
                    case DOUBLE, TRIPLE -> "double";
                };
        return border.sides().stream()
                .map(side ->
                        declared.getOrDefault("border-" + side.name().toLowerCase(Locale.ROOT), ""))
                .map(line -> line.split(" "))
                .allMatch(line ->
                        line.length == 3
                                && isOf(line[0], border.width().points())
                                && line[1].equals(style));
    }
}
