package yewberry.core.output;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntPredicate;
import java.util.stream.Stream;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Language;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Role;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;

/**
 * What a publication is to whoever reads: the elements of its stories and its pictures, page by
 * page, in the order of the frames. What is on parents, backgrounds and all that lies behind text
 * stands beside it.
 *
 * <p>Pages are given in their order, each once; elements that go on over pages grow with them.
 */
public final class Structure {
    /** How deep headings go: ISO 32000-1, 14.8.4.3.2. */
    private static final int DEEPEST = 6;

    /** After these a line ends within a word, or without a space. */
    private static final String JOINS = "\u00ad-\u2010\u2013\u2014/";

    private final Publication publication;
    private final boolean linked;
    private final Node root = Node.of(Node.Kind.DOCUMENT);
    private final Map<UUID, Telling> stories = new HashMap<>();
    private final Map<Linked, Node> links = new HashMap<>();
    private final List<Node> headings = new ArrayList<>();
    private Node open = root;
    private int pages;
    private int lastLevel;

    /** Words of one run that lead somewhere. */
    private record Linked(UUID run, LinkTo to) {}

    /**
     * @param linked whether words that lead somewhere do so in it
     */
    public Structure(Publication publication, boolean linked) {
        this.publication = publication;
        this.linked = linked;
    }

    /** What something painted is to whoever reads. */
    public sealed interface Place {
        /**
         * It is read.
         *
         * @param number among what is read on its page, from 0
         * @param spaced for each line, whether a space goes on from it to the next
         */
        record Read(Node node, int number, List<Boolean> spaced) implements Place {}

        /** It stands beside what is read. */
        record Beside(Artifact kind) implements Place {}
    }

    /** What stands beside what is read: ISO 32000-1, 14.8.2.2. */
    public enum Artifact {
        BACKGROUND,
        /** What is behind text and around it. */
        LAYOUT,
        HEADER,
        FOOTER,
        /** Neither at the top nor at the bottom. */
        RUNNING,
        WATERMARK,
        /** What is printed around the page. */
        SHEET
    }

    /** A story as far as it was told. */
    private final class Telling {
        private final Story story;
        private final Map<UUID, Integer> order = new HashMap<>();
        private final Map<UUID, Node> blocks = new HashMap<>();
        private final List<String> marks;
        private final Deque<OpenList> lists = new ArrayDeque<>();
        private Optional<Node> quote = Optional.empty();

        Telling(Story story) {
            this.story = story;
            for (Paragraph paragraph : story.paragraphs()) {
                order.put(paragraph.id(), order.size());
            }
            this.marks = Flows.marks(story, publication);
        }

        Paragraph paragraph(UUID id) {
            return story.paragraphs().get(order.get(id));
        }

        String mark(UUID paragraph) {
            return marks.get(order.get(paragraph));
        }

        Language language(Look look) {
            return look.setting()
                    .language()
                    .or(story::language)
                    .orElse(publication.setup().language());
        }
    }

    /** A list, at a level, that has an item. */
    private record OpenList(int level, Node list, Node body) {}

    /**
     * The places of all that is painted on the next page, each by the very item.
     *
     * @param all of it
     * @param scene what of it goes where it is written for
     */
    public Map<Item, Place> page(PageScene all, MediumScene scene) {
        return page(all, scene, _ -> true);
    }

    /**
     * The same where some is a copy of other items.
     *
     * @param read whether the item at a place is no such copy
     */
    public Map<Item, Place> page(PageScene all, MediumScene scene, IntPredicate read) {
        int page = pages++;
        UUID begun = all.page();
        begin(begun);
        Map<UUID, UUID> storyOf = new HashMap<>();
        all.frames().forEach(frame -> storyOf.put(frame.frame(), frame.story()));
        Map<UUID, LinkTo> leads = new HashMap<>();
        all.links().stream()
                .filter(PageScene.Link::leads)
                .forEach(link -> leads.put(link.run(), link.to()));
        Map<Item, Place> places = new IdentityHashMap<>();
        Map<UUID, Integer> labelled = new HashMap<>();
        List<Item.GlyphRun> text = new ArrayList<>();
        for (int at = 0; at < scene.items().size(); at++) {
            if (read.test(at) && scene.items().get(at) instanceof Item.GlyphRun run) {
                text.add(run);
            }
        }
        Map<Item.GlyphRun, Item.GlyphRun> following = following(text);
        int number = 0;
        for (int at = 0; at < scene.items().size(); at++) {
            Item item = scene.items().get(at);
            if (!(item instanceof Item.AreaFill) && !begun.equals(all.pageOf(item))) {
                begun = all.pageOf(item);
                begin(begun);
            }
            if (item instanceof Item.GlyphRun && !read.test(at)) {
                places.put(item, new Place.Beside(Artifact.LAYOUT));
                continue;
            }
            switch (item) {
                case Item.AreaFill fill -> places.put(item, new Place.Beside(Artifact.BACKGROUND));
                case Item.TextFill fill -> places.put(item, new Place.Beside(Artifact.LAYOUT));
                case Item.GlyphStroke line -> places.put(item, new Place.Beside(Artifact.LAYOUT));
                case Item.FrontFill fill -> {
                    Optional<Node> figure = figure(fill);
                    if (figure.isEmpty()) {
                        places.put(item, beside(fill, scene));
                        continue;
                    }
                    figure.get().hold(new Node.Part.Content(page, number, fill.bounds(), ""));
                    places.put(item, new Place.Read(figure.get(), number++, List.of()));
                }
                case Item.GlyphRun run -> {
                    if (run.origin() instanceof Origin.FromParent) {
                        places.put(item, running(run, scene));
                        continue;
                    }
                    Node node = node(run, storyOf.get(run.frame()), leads, labelled);
                    List<Boolean> spaced = spaced(run, following.get(run));
                    node.hold(
                            new Node.Part.Content(page, number, run.bounds(), words(run, spaced)));
                    places.put(item, new Place.Read(node, number++, spaced));
                }
            }
        }
        return places;
    }

    private void begin(UUID id) {
        Page page = publication.page(id);
        page.part().ifPresent(part -> open = root.within(Node.of(Node.Kind.PART)));
    }

    private static Place beside(Item.FrontFill fill, MediumScene scene) {
        if (fill.source().isRunningItem()) {
            return new Place.Beside(Artifact.WATERMARK);
        }
        return new Place.Beside(
                fill.origin() instanceof Origin.FromParent
                        ? pagination(fill, scene)
                        : Artifact.LAYOUT);
    }

    private static Place running(Item.GlyphRun run, MediumScene scene) {
        return new Place.Beside(pagination(run, scene));
    }

    /** By the third of the page that it stands in. */
    private static Artifact pagination(Item item, MediumScene scene) {
        double height = scene.boxes().trim().height();
        double middle = item.bounds().y() + item.bounds().height() / 2;
        if (middle < height / 3) {
            return Artifact.HEADER;
        }
        return middle > height * 2 / 3 ? Artifact.FOOTER : Artifact.RUNNING;
    }

    /** A picture that says something; what is on parents does not. */
    private Optional<Node> figure(Item.FrontFill fill) {
        if (!fill.source().isRead() || fill.origin() instanceof Origin.FromParent) {
            return Optional.empty();
        }
        return Optional.of(
                open.within(new Node(Node.Kind.FIGURE, 0, Optional.empty(), alternative(fill))));
    }

    /** A word that is drawn reads as itself, where nothing else is said of it. */
    static String alternative(Item.FrontFill fill) {
        String said = fill.source().meaning().text();
        return said.isEmpty() && fill.source().fill() instanceof Fill.Word word
                ? word.text()
                : said;
    }

    /** Of each run the next of its paragraph on the page. */
    private static Map<Item.GlyphRun, Item.GlyphRun> following(List<Item.GlyphRun> text) {
        Map<Item.GlyphRun, Item.GlyphRun> following = new IdentityHashMap<>();
        Map<UUID, Item.GlyphRun> last = new HashMap<>();
        for (Item.GlyphRun run : text) {
            Item.GlyphRun before = last.put(run.paragraph(), run);
            if (before != null) {
                following.put(before, run);
            }
        }
        return following;
    }

    /** Where lines end, words do, but for those that are divided or joined there. */
    private static List<Boolean> spaced(Item.GlyphRun run, Item.GlyphRun next) {
        List<Boolean> spaced = new ArrayList<>();
        for (int i = 0; i < run.lines().size(); i++) {
            String text = run.lines().get(i).text();
            boolean ends =
                    i + 1 < run.lines().size()
                            || next == null
                            || !run.lines().get(i).isFollowedBy(next.lines().getFirst());
            boolean open =
                    !text.isEmpty()
                            && JOINS.indexOf(text.charAt(text.length() - 1)) < 0
                            && !Character.isWhitespace(text.charAt(text.length() - 1));
            spaced.add(ends && open);
        }
        return spaced;
    }

    private static String words(Item.GlyphRun run, List<Boolean> spaced) {
        StringBuilder words = new StringBuilder();
        for (int i = 0; i < run.lines().size(); i++) {
            words.append(run.lines().get(i).text());
            if (spaced.get(i)) {
                words.append(' ');
            }
        }
        return words.toString();
    }

    /** The element that a run belongs to. */
    private Node node(
            Item.GlyphRun run, UUID story, Map<UUID, LinkTo> leads, Map<UUID, Integer> labelled) {
        Telling telling = stories.computeIfAbsent(story, id -> new Telling(publication.story(id)));
        Paragraph paragraph = telling.paragraph(run.paragraph());
        boolean begins = !telling.blocks.containsKey(paragraph.id());
        Node block = begins ? block(telling, paragraph, run) : telling.blocks.get(paragraph.id());
        telling.blocks.put(paragraph.id(), block);
        String mark = telling.mark(paragraph.id());
        int read = labelled.getOrDefault(paragraph.id(), begins ? 0 : mark.length());
        if (read < mark.length() && mark.startsWith(run.text(), read)) {
            labelled.put(paragraph.id(), read + run.text().length());
            return label(telling, block);
        }
        labelled.put(paragraph.id(), mark.length());
        return inline(telling, paragraph, run, block, leads);
    }

    /** The label of an item stands beside its body; that of a heading within it. */
    private static Node label(Telling telling, Node block) {
        OpenList list = telling.lists.peek();
        if (list == null || list.body() != block) {
            return block;
        }
        Node item = list.list().within().getLast();
        return item.within().stream()
                .filter(node -> node.kind() == Node.Kind.LABEL)
                .findFirst()
                .orElseThrow();
    }

    private Node inline(
            Telling telling,
            Paragraph paragraph,
            Item.GlyphRun run,
            Node block,
            Map<UUID, LinkTo> leads) {
        Optional<Run> written =
                paragraph.runs().stream().filter(each -> each.id().equals(run.run())).findFirst();
        Optional<Language> language =
                written.flatMap(Run::language).filter(each -> each != telling.language(run.look()));
        LinkTo to = leads.get(run.run());
        if (linked && to != null) {
            return links.computeIfAbsent(
                    new Linked(run.run(), to),
                    each -> block.within(new Node(Node.Kind.LINK, 0, language, "")));
        }
        return language.isPresent()
                ? block.within(new Node(Node.Kind.SPAN, 0, language, ""))
                : block;
    }

    private Node block(Telling telling, Paragraph paragraph, Item.GlyphRun run) {
        Look look = run.look();
        Optional<Language> language =
                Optional.of(telling.language(look))
                        .filter(each -> each != publication.setup().language());
        Role role = look.role().orElse(Role.BODY);
        boolean listed =
                !telling.mark(paragraph.id()).isEmpty()
                        && (role == Role.BODY || role == Role.QUOTE || role == Role.CAPTION);
        if (listed) {
            telling.quote = Optional.empty();
            return item(telling, look.list().orElseThrow(), language);
        }
        telling.lists.clear();
        if (role != Role.QUOTE) {
            telling.quote = Optional.empty();
        }
        return switch (role) {
            case TITLE -> open.within(new Node(Node.Kind.TITLE, 0, language, ""));
            case HEADING_1, HEADING_2, HEADING_3, HEADING_4, HEADING_5, HEADING_6 -> {
                int wanted = role.ordinal() - Role.HEADING_1.ordinal() + 1;
                // whoever goes from heading to heading misses none
                int level = Math.min(Math.min(wanted, lastLevel + 1), DEEPEST);
                lastLevel = level;
                Node heading = open.within(new Node(Node.Kind.HEADING, level, language, ""));
                headings.add(heading);
                yield heading;
            }
            case BODY -> open.within(new Node(Node.Kind.PARAGRAPH, 0, language, ""));
            case CAPTION -> open.within(new Node(Node.Kind.CAPTION, 0, language, ""));
            case QUOTE -> {
                Node quote = telling.quote.orElseGet(() -> open.within(Node.of(Node.Kind.QUOTE)));
                telling.quote = Optional.of(quote);
                yield quote.within(new Node(Node.Kind.PARAGRAPH, 0, language, ""));
            }
        };
    }

    private Node item(Telling telling, ListMark mark, Optional<Language> language) {
        int level = mark.level();
        while (!telling.lists.isEmpty() && telling.lists.peek().level() > level) {
            telling.lists.pop();
        }
        Node list;
        if (!telling.lists.isEmpty() && telling.lists.peek().level() == level) {
            list = telling.lists.pop().list();
        } else if (telling.lists.isEmpty()) {
            list = open.within(Node.list(mark.mark()));
        } else {
            list = telling.lists.peek().body().within(Node.list(mark.mark()));
        }
        Node item = list.within(Node.of(Node.Kind.ITEM));
        item.within(Node.of(Node.Kind.LABEL));
        Node body = item.within(new Node(Node.Kind.BODY, 0, language, ""));
        telling.lists.push(new OpenList(level, list, body));
        return body;
    }

    /** The whole of it, as far as pages were given. */
    public Node root() {
        return root;
    }

    /** The topmost elements, those of named parts, too, in reading order. */
    public List<Node> blocks() {
        return blocks(root).toList();
    }

    private static Stream<Node> blocks(Node of) {
        return of.nodes().stream()
                .flatMap(node -> node.kind() == Node.Kind.PART ? blocks(node) : Stream.of(node));
    }

    /** The headings, in reading order. */
    public List<Node> headings() {
        return List.copyOf(headings);
    }

    /** Where the words of an element lead; nothing where they lead nowhere. */
    public Optional<LinkTo> leads(Node node) {
        return links.entrySet().stream()
                .filter(each -> each.getValue() == node)
                .map(each -> each.getKey().to())
                .findFirst();
    }

    /** The element of the words of a run that lead somewhere; nothing where they stand beside. */
    public Optional<Node> link(UUID run, LinkTo to) {
        return Optional.ofNullable(links.get(new Linked(run, to)));
    }
}
