package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdfparser.PDFParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import yewberry.core.Cancellation;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.asset.Backed;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.ScreenAndPaper.Where;
import yewberry.core.publication.Fill;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.SeenPage;

/**
 * Adds to the pages of a PDF that exists, and takes off again what was added. The file is not
 * written anew: what is new is appended to it (ISO 32000-1, 7.5.6), so that all else in it stays.
 */
public final class AddedLayers {
    private AddedLayers() {}

    /**
     * What became of a file.
     *
     * @param pages how many of it were changed
     * @param repaired whether it was damaged, and so was written anew instead of added to
     */
    public record Outcome(int pages, boolean repaired) {}

    /**
     * Adds what scenes have besides the page of the file.
     *
     * @param original the file as it came
     * @param scenes by the number of the page, from 1
     * @param now goes into the marks of what was added
     * @param to gets the new file
     * @throws Refused if the file forbids that it is changed
     * @throws IOException if the new file cannot be written
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static Outcome add(
            KnownFile original,
            Map<Integer, PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Instant now,
            Path to,
            Progress progress)
            throws IOException {
        boolean repaired = isDamaged(original);
        try (PDDocument document = load(original);
                Materials materials = new Materials(document, condition)) {
            Set<COSDictionary> changed = new HashSet<>();
            Map<List<Object>, COSStream> forms = new HashMap<>();
            Map<List<Recoloring>, RecoloredContent> recoloring = new HashMap<>();
            PageMarks.Shared shared = new PageMarks.Shared();
            PageIndex pages = PageIndex.of(document);
            String date = PageMarks.date(now);
            int done = 0;
            for (Map.Entry<Integer, PageScene> each : scenes.entrySet()) {
                progress.at(done++, scenes.size());
                PDPage page = pages.page(each.getKey());
                PageScene scene = each.getValue();
                if (new Adding(materials, forms, recoloring, shared, page, scene, medium)
                        .add(date)) {
                    changed.add(page.getCOSObject());
                }
                if (ScreenAndPaper.of(scene).switches()) {
                    changed.add(document.getDocumentCatalog().getCOSObject());
                }
            }
            materials.finish();
            save(document, original, changed, repaired, to);
            return new Outcome(pages(document, changed), repaired);
        }
    }

    private static int pages(PDDocument document, Set<COSDictionary> changed) {
        boolean catalog = changed.contains(document.getDocumentCatalog().getCOSObject());
        return changed.size() - (catalog ? 1 : 0);
    }

    /**
     * What a file says of whether it may be changed.
     *
     * @param signed whether somebody signed it: what was signed stays valid, and readers tell that
     *     something was added since
     * @param closed whether a certificate forbids that pages are changed
     */
    public record Seals(boolean signed, boolean closed) {}

    /**
     * @throws IOException if the file cannot be read
     */
    public static Seals seals(KnownFile file) throws IOException {
        try (PDDocument document = Opening.of(file)) {
            return new Seals(!document.getSignatureDictionaries().isEmpty(), isClosed(document));
        }
    }

    /**
     * The standards that a file claims to hold to, and whether they hold with what is added.
     *
     * @param medium whose colours are added
     * @param seeThrough whether anything that is added is
     * @param switched whether a screen shows of that what is not printed, or the other way round
     * @throws IOException if the file cannot be read
     */
    public static List<Claims> claims(
            KnownFile file, Medium medium, boolean seeThrough, boolean switched)
            throws IOException {
        try (PDDocument document = Opening.of(file)) {
            return Claims.of(document, medium, seeThrough, switched);
        }
    }

    /** ISO 32000-1, 12.8.2.2: whatever else a certificate allows, it does not allow this. */
    private static boolean isClosed(PDDocument document) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary allowed = catalog.getCOSDictionary(COSName.getPDFName("Perms"));
        return allowed != null && allowed.containsKey(COSName.getPDFName("DocMDP"));
    }

    /** What was added to each page of a file, by the number of the page. */
    public static Map<Integer, List<AddedItem>> added(KnownFile file) throws IOException {
        return marks(file).added();
    }

    /** What was added to a page. */
    public static List<AddedItem> on(PDDocument document, PDPage page) {
        return new PageMarks(page, document.getDocument()).items();
    }

    /**
     * A page without what was added to it, to be drawn.
     *
     * @return nothing where its own content was changed, too
     */
    public static Optional<PDPage> bare(PDDocument document, PDPage page) {
        PageMarks marks = new PageMarks(page, document.getDocument());
        return marks.items().stream().allMatch(item -> item.kind().isPainted())
                ? Optional.of(marks.bare())
                : Optional.empty();
    }

    /**
     * What the pages of a file say was put on them.
     *
     * @param added by this, by the number of the page
     * @param others by other programs, which marked it by the standard: how many pages have some
     */
    public record Marks(Map<Integer, List<AddedItem>> added, Map<AddedItem.Kind, Integer> others) {}

    /**
     * @throws IOException if the file cannot be read
     */
    public static Marks marks(KnownFile file) throws IOException {
        Map<Integer, List<AddedItem>> added = new LinkedHashMap<>();
        Map<AddedItem.Kind, Integer> others = new EnumMap<>(AddedItem.Kind.class);
        try (PDDocument document = Opening.of(file)) {
            MarkedByOthers.Forms forms = MarkedByOthers.Forms.asTheyAre();
            int number = 0;
            for (PDPage page : document.getPages()) {
                Cancellation.check();
                PageMarks marks = new PageMarks(page, document.getDocument());
                List<AddedItem> items = marks.items();
                number++;
                if (!items.isEmpty()) {
                    added.put(number, items);
                }
                for (AddedItem.Kind kind : byOthers(marks.bare(), forms)) {
                    others.merge(kind, 1, Integer::sum);
                }
            }
        }
        return new Marks(added, others);
    }

    /** Nothing where the content cannot be read: why is told when the page is drawn. */
    private static Set<AddedItem.Kind> byOthers(PDPage page, MarkedByOthers.Forms forms) {
        try {
            Set<AddedItem.Kind> found = EnumSet.noneOf(AddedItem.Kind.class);
            found.addAll(MarkedByOthers.on(page, forms).keySet());
            if (!MarkedByOthers.watermarks(page).isEmpty()) {
                found.add(AddedItem.Kind.WATERMARK);
            }
            return found;
        } catch (IOException | RuntimeException unreadable) {
            Cancellation.check();
            return Set.of();
        }
    }

    /**
     * Takes off what was added.
     *
     * @param file that something was added to, whenever that was
     * @param goes what of it comes off
     * @param others what of that by other programs is left out; the content that they wrote stays
     *     in the file and comes back when {@link AddedItem.Kind#LEFT_OUT} comes off
     * @param to gets the new file
     * @param progress by pages
     * @throws Refused if the file forbids that it is changed
     * @throws IOException if the new file cannot be written
     */
    public static Outcome takeOff(
            KnownFile file,
            Predicate<AddedItem> goes,
            Set<AddedItem.Kind> others,
            Instant now,
            Path to,
            Progress progress)
            throws IOException {
        boolean repaired = isDamaged(file);
        try (PDDocument document = load(file)) {
            Set<COSDictionary> changed = new HashSet<>();
            boolean switched = SwitchedLayers.areIn(document);
            Set<COSDictionary> used = new HashSet<>();
            MarkedByOthers.Forms forms = MarkedByOthers.Forms.without(document, others);
            PageMarks.Shared shared = new PageMarks.Shared();
            String date = PageMarks.date(now);
            int done = 0;
            for (PDPage page : document.getPages()) {
                progress.at(done++, document.getNumberOfPages());
                PageMarks marks = new PageMarks(page, document.getDocument(), shared);
                boolean off =
                        marks.keep(marks.items().stream().filter(goes.negate()).toList(), date);
                if (leaveOut(page, marks, others, forms, document, date) || off) {
                    changed.add(page.getCOSObject());
                }
                if (switched) {
                    marks.forms().forEach(form -> used.addAll(SwitchedLayers.namedBy(form)));
                }
            }
            if (switched && !changed.isEmpty() && SwitchedLayers.takeOff(document, used)) {
                changed.add(document.getDocumentCatalog().getCOSObject());
            }
            save(document, file, changed, repaired, to);
            return new Outcome(pages(document, changed), repaired);
        }
    }

    private static boolean leaveOut(
            PDPage page,
            PageMarks marks,
            Set<AddedItem.Kind> kinds,
            MarkedByOthers.Forms forms,
            PDDocument document,
            String now)
            throws IOException {
        if (kinds.isEmpty() || Collections.disjoint(byOthers(marks.bare(), forms), kinds)) {
            return false;
        }
        Map<COSName, COSStream> replaced = new LinkedHashMap<>();
        COSBase were = page.getCOSObject().getItem(COSName.RESOURCES);
        marks.add(
                List.of(),
                bare -> {
                    Optional<MarkedByOthers.Without> without = MarkedByOthers.without(bare, forms);
                    Collection<COSDictionary> annotations =
                            kinds.contains(AddedItem.Kind.WATERMARK)
                                    ? MarkedByOthers.watermarks(page)
                                    : List.of();
                    if (without.isEmpty() && annotations.isEmpty()) {
                        return Optional.empty();
                    }
                    Optional<COSStream> content = Optional.empty();
                    if (without.isPresent() && without.get().content().isPresent()) {
                        content = Optional.of(document.getDocument().createCOSStream());
                        without.get().content().get().to(content.get());
                    }
                    without.ifPresent(each -> replaced.putAll(each.forms()));
                    return Optional.of(
                            new PageMarks.Contents(
                                    content,
                                    AddedItem.leftOut(kinds),
                                    replaced.keySet(),
                                    annotations));
                },
                Optional.ofNullable(were),
                now);
        COSDictionary own =
                page.getResources() == null
                        ? new COSDictionary()
                        : new COSDictionary(page.getResources().getCOSObject());
        page.getCOSObject()
                .setItem(
                        COSName.RESOURCES,
                        replaced.isEmpty() ? own : RecoloredContent.with(own, replaced));
        return true;
    }

    private static PDDocument load(KnownFile file) throws IOException {
        PDDocument document = Opening.of(file);
        boolean certified = isClosed(document);
        boolean closed =
                document.isEncrypted() && !document.getCurrentAccessPermission().canModify();
        if (closed || certified) {
            document.close();
            throw certified
                    ? new Refused(
                            "This PDF is certified, and its signature forbids that pages are changed; ask its author for one without.")
                    : PdfDocuments.closed();
        }
        return document;
    }

    /** Whether its objects are not where it says; nothing can be appended to such a file. */
    private static boolean isDamaged(KnownFile file) {
        try (RandomAccessReadBuffer bytes = new RandomAccessReadBuffer(file.bytes().get());
                PDDocument strict = new PDFParser(bytes, file.password()).parse(false)) {
            return strict.getNumberOfPages() < 0;
        } catch (IOException | RuntimeException damaged) {
            return true;
        }
    }

    private static void save(
            PDDocument document,
            KnownFile original,
            Set<COSDictionary> changed,
            boolean repaired,
            Path to)
            throws IOException {
        if (repaired && document.isEncrypted()) {
            throw new Refused(
                    "This PDF is damaged and encrypted, so that nothing can be appended to it; export it again.");
        }
        if (repaired) {
            document.save(to.toFile());
        } else if (changed.isEmpty()) {
            Files.write(to, original.bytes().get());
        } else {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to))) {
                document.saveIncremental(out, changed);
            }
        }
    }

    /** What one page gets. */
    private static final class Adding {
        /** Resources that are the same wherever they have the same name. */
        private static final Set<COSName> SAME =
                Set.of(COSName.FONT, COSName.PROC_SET, COSName.PROPERTIES);

        private final Materials materials;
        private final Map<List<Object>, COSStream> known;
        private final Map<List<Recoloring>, RecoloredContent> recoloring;
        private final PageMarks.Shared shared;
        private final PDPage page;
        private final MediumScene scene;
        private final List<Where> where;
        private final Medium usual;
        private final COSDictionary resources;
        private final COSDictionary forms;
        private final List<AddedItem> added = new ArrayList<>();

        /**
         * @param known forms that other pages have, by what makes them the same; gets more
         * @param recoloring what changes colours, by which it changes; gets more
         * @param shared what other pages have; gets more
         */
        Adding(
                Materials materials,
                Map<List<Object>, COSStream> known,
                Map<List<Recoloring>, RecoloredContent> recoloring,
                PageMarks.Shared shared,
                PDPage page,
                PageScene scene,
                Medium medium) {
            this.materials = materials;
            this.known = known;
            this.recoloring = recoloring;
            this.shared = shared;
            this.page = page;
            ScreenAndPaper both = ScreenAndPaper.of(scene);
            this.scene = (both.switches() ? both.all() : scene).on(medium);
            this.where = both.where();
            this.usual = medium;
            PDResources before = page.getResources();
            this.resources =
                    before == null ? new COSDictionary() : new COSDictionary(before.getCOSObject());
            COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
            this.forms = objects == null ? new COSDictionary() : new COSDictionary(objects);
        }

        /**
         * @return whether it gets anything
         */
        boolean add(String now) throws IOException {
            List<Item> together = new ArrayList<>();
            boolean behind = true;
            int from = 0; // what is together begins there
            for (int at = 0; at < scene.items().size(); at++) {
                Item item = scene.items().get(at);
                if (item instanceof Item.FrontFill fill && fill.isImported()) {
                    form(together, behind, where.get(from));
                    behind = false;
                    from = at + 1;
                    continue;
                }
                if (!together.isEmpty()
                        && !AddedItem.element(together.getFirst())
                                .equals(AddedItem.element(item))) {
                    form(together, behind, where.get(from));
                    from = at;
                }
                together.add(item);
            }
            if (!together.isEmpty()) {
                form(together, behind, where.get(from));
            }
            if (added.isEmpty() && changed(page).isEmpty()) {
                return false;
            }
            Optional<COSBase> were =
                    Optional.ofNullable(page.getCOSObject().getItem(COSName.RESOURCES));
            PageMarks marks = new PageMarks(page, materials.document().getDocument(), shared);
            marks.add(added, this::changed, were, now);
            forms.setDirect(true);
            resources.setDirect(true);
            resources.setItem(COSName.XOBJECT, forms);
            page.getCOSObject().setItem(COSName.RESOURCES, resources);
            return true;
        }

        /** The content of the page where colours of it are others. */
        private Optional<PageMarks.Contents> changed(PDPage of) throws IOException {
            Optional<AreaPaint.Picture> file = Item.filePage(scene.items());
            List<Recoloring> recolored =
                    file.map(each -> each.pixels().recolored()).orElse(List.of());
            List<Backed> backed = file.map(each -> each.pixels().backed()).orElse(List.of());
            if (recolored.isEmpty() && backed.isEmpty()) {
                return Optional.empty();
            }
            Optional<RecoloredContent.Changed> content =
                    recoloring
                            .computeIfAbsent(
                                    recolored,
                                    all ->
                                            new RecoloredContent(
                                                    materials.document(),
                                                    new DeviceColors(
                                                                    scene.medium(),
                                                                    scene.condition(),
                                                                    List.of())
                                                            .recolored(all)))
                            .of(of, backed);
            content.ifPresent(each -> each.forms().forEach(forms::setItem));
            return content.map(each ->
                    new PageMarks.Contents(
                            Optional.of(each.content()),
                            AddedItem.colors(
                                    file.get().asset().id(),
                                    Stream.concat(
                                                    recolored.stream().map(Adding::told),
                                                    backed.stream().map(Adding::told))
                                            .collect(Collectors.joining(", "))),
                            each.forms().keySet(),
                            List.of()));
        }

        private static String told(Recoloring each) {
            return each.from()
                    + each.to().map(color -> " as " + color).orElse(", which is see-through");
        }

        private static String told(Backed each) {
            return each.color() + " behind words";
        }

        /** Makes one form of what belongs to one element; nothing is left of the list. */
        private void form(List<Item> items, boolean behind, Where seen) throws IOException {
            if (items.isEmpty()) {
                return;
            }
            Rect bleed = scene.boxes().bleed();
            Optional<List<Object>> word = word(items, seen, bleed);
            COSStream form = word.map(known::get).orElse(null);
            if (form == null) {
                PDResources own = new PDResources();
                Sheet sheet = new Sheet(materials, own, bleed);
                if (seen != Where.BOTH) {
                    materials.switched(usual).name(own, seen);
                }
                for (Item item : items) {
                    sheet.draw(item, Optional.empty(), seen);
                }
                form = form(sheet.bytes(), own.getCOSObject(), bleed);
                if (word.isPresent() && isShared(own.getCOSObject())) {
                    known.put(word.get(), form);
                }
            }
            Item first = items.getFirst();
            UUID element = AddedItem.element(first);
            AddedItem item =
                    new AddedItem(
                            AddedItem.kind(first), element, AddedItem.name(first), behind, name());
            forms.setItem(COSName.getPDFName(item.resource()), form);
            added.add(item);
            items.clear();
        }

        /**
         * What makes a word the same on many pages, whose outlines need not be written each time.
         */
        private Optional<List<Object>> word(List<Item> items, Where seen, Rect bleed) {
            return items.size() == 1
                            && seen == Where.BOTH
                            && items.getFirst() instanceof Item.FrontFill front
                            && front.source().fill() instanceof Fill.Word
                    ? Optional.of(
                            List.of(
                                    front.source(),
                                    front.frame(),
                                    front.paint(),
                                    scene.boxes().side(), // it may be mirrored
                                    bleed,
                                    numbers(matrix(bleed)).toList()))
                    : Optional.empty();
        }

        private static boolean isShared(COSDictionary own) {
            return own.keySet().stream().allMatch(SAME::contains);
        }

        /**
         * What is the same on many pages, and names nothing that may differ, is in the file once.
         */
        private COSStream form(byte[] content, COSDictionary own, Rect bleed) throws IOException {
            COSArray box = numbers(0, 0, bleed.width(), bleed.height());
            COSArray matrix = numbers(matrix(bleed));
            boolean isShared = isShared(own);
            List<Object> key =
                    List.of(
                            new String(content, StandardCharsets.ISO_8859_1),
                            box.toList(),
                            matrix.toList());
            if (isShared && known.containsKey(key)) {
                return known.get(key);
            }
            COSStream form = materials.document().getDocument().createCOSStream();
            form.setItem(COSName.TYPE, COSName.XOBJECT);
            form.setItem(COSName.SUBTYPE, COSName.FORM);
            form.setItem(COSName.BBOX, box);
            form.setItem(COSName.MATRIX, matrix);
            own.setDirect(true);
            own.getValues().stream()
                    .filter(COSDictionary.class::isInstance)
                    .forEach(each -> each.setDirect(true));
            form.setItem(COSName.RESOURCES, own);
            PageMarks.write(form, content);
            if (isShared) {
                known.put(key, form);
            }
            return form;
        }

        /** One that the page has no form of yet. */
        private String name() {
            int number = forms.size() + 1;
            while (forms.containsKey(COSName.getPDFName("Added" + number))) {
                number++;
            }
            return "Added" + number;
        }

        /** From the form, whose origin is the bottom left of the bleed, to the page's own space. */
        private double[] matrix(Rect bleed) {
            Rect trim = scene.boxes().trim();
            SeenPage seen = SeenPage.of(page);
            AffineTransform matrix = new AffineTransform(seen.toUser());
            matrix.scale(seen.width() / trim.width(), seen.height() / trim.height());
            matrix.translate(bleed.x() - trim.x(), trim.bottom() - bleed.bottom());
            double[] numbers = new double[6];
            matrix.getMatrix(numbers);
            return numbers;
        }

        private static COSArray numbers(double... values) {
            COSArray array = new COSArray();
            for (double value : values) {
                array.add(new COSFloat((float) value));
            }
            return array;
        }
    }
}
