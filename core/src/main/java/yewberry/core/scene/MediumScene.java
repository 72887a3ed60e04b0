package yewberry.core.scene;

import java.lang.ref.SoftReference;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.asset.PageText;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;

/**
 * A page as it is on a medium: what goes there, in order from the lowest to the topmost, each
 * colour as what it becomes there, ink on paper and sRGB on a screen. Whoever mixes, draws or
 * judges colours reads this, so that a point of a page has one colour, whoever asks. Two are equal
 * only if they are the same object.
 */
public final class MediumScene {
    private final PageScene scene;
    private final List<Item> items;
    private final List<Item.AreaFill> areas;
    private final List<Item.Filled> fills;
    private final List<Item.Lettering> letters;
    private final List<Item.GlyphRun> text;
    private final Planes planes;
    private volatile SoftReference<Map<UUID, FileText>> written = new SoftReference<>(null);
    private volatile SoftReference<List<Item.Filled>> annotationVeils = new SoftReference<>(null);

    MediumScene(PageScene scene, Planes planes, Stream<Item> items) {
        this.scene = scene;
        this.items = items.toList();
        this.areas = only(Item.AreaFill.class);
        this.fills = only(Item.Filled.class);
        this.letters = only(Item.Lettering.class);
        this.text = only(Item.GlyphRun.class);
        this.planes = planes;
    }

    private <T extends Item> List<T> only(Class<T> kind) {
        return items.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    public Medium medium() {
        return planes.medium();
    }

    /** What all its colours are mixed in. */
    public Planes planes() {
        return planes;
    }

    public UUID page() {
        return scene.page();
    }

    public PageBoxes boxes() {
        return scene.boxes();
    }

    public List<Item> items() {
        return items;
    }

    /** The backgrounds that lie below all else, from the lowest to the topmost. */
    public List<Item.AreaFill> lower() {
        int count = 0;
        while (count < items.size() && items.get(count) instanceof Item.AreaFill) {
            count++;
        }
        return areas.subList(0, count);
    }

    /**
     * The backgrounds, from the lowest to the topmost; but for those over the page of a file they
     * lie below all else.
     */
    public List<Item.AreaFill> areas() {
        return areas;
    }

    /** All that is filled, from the lowest to the topmost; text may lie between. */
    public List<Item.Filled> fills() {
        return fills;
    }

    /** The text runs, from the lowest to the topmost. */
    public List<Item.GlyphRun> text() {
        return text;
    }

    /** The text runs and the lines around their letters, from the lowest to the topmost. */
    public List<Item.Lettering> letters() {
        return letters;
    }

    /** What lies below an item, from the lowest up. */
    public List<Item> below(Item item) {
        Optional<FileText> text = written(item);
        if (text.isEmpty()) {
            return items.subList(0, indexOf(item));
        }
        int page = indexOf(file().orElseThrow());
        List<Item> below = new ArrayList<>(items.subList(0, page));
        text.get().ground().ifPresent(below::add);
        if (text.get().onTop().isPresent()) {
            below.addAll(items.subList(page + 1, items.size()));
            below.addAll(text.get().onTop().get());
        }
        return List.copyOf(below);
    }

    /** An item and what lies below it, from the lowest up. */
    public List<Item> upTo(Item item) {
        return items.subList(0, indexOf(item) + 1);
    }

    /** What lies above an item and lets it through, from the lowest up. */
    public List<Item.Filled> veils(Item item) {
        if (written(item).filter(text -> text.onTop().isPresent()).isPresent()) {
            return List.of();
        }
        Rect bounds = item instanceof Item.Lettering letters ? letters.inkBounds() : item.bounds();
        boolean inFile = written(item).isPresent();
        int at = indexOf(inFile ? file().orElseThrow() : item);
        return Stream.concat(
                        items.subList(at + 1, items.size()).stream()
                                .filter(Item.Filled.class::isInstance)
                                .map(Item.Filled.class::cast),
                        inFile ? annotationVeils().stream() : Stream.empty())
                .filter(each -> !each.covers() && each.opacity() > 0)
                .filter(each -> !each.bounds().intersection(bounds).isEmpty())
                .toList();
    }

    /**
     * All text that is to be legible: the runs, and what is written on the page of a file, which is
     * no item. What lies below and above it can be asked for likewise.
     */
    public List<Item.GlyphRun> judged() {
        Map<UUID, FileText> inFile = fileText();
        return inFile.isEmpty()
                ? text
                : Stream.concat(inFile.values().stream().map(FileText::run), text.stream())
                        .toList();
    }

    /** What of the page of a file was not judged. */
    public List<PageText.Unread> unread() {
        return file().stream()
                .map(Item.FrontFill::paint)
                .filter(AreaPaint.Picture.class::isInstance)
                .map(AreaPaint.Picture.class::cast)
                .flatMap(picture -> picture.pixels().text().unread().stream())
                .toList();
    }

    /**
     * Where annotations and form fields of the page of a file show something. Readers draw them
     * over all else; they are no items, since no output takes them along but the file itself.
     */
    public List<Rect> annotations() {
        return file().stream()
                .flatMap(page ->
                        ((AreaPaint.Picture) page.paint())
                                .pixels().text().annotations().stream()
                                        .map(place ->
                                                new Rect(
                                                        page.frame().x() + place.x(),
                                                        page.frame().y() + place.y(),
                                                        place.width(),
                                                        place.height())))
                .toList();
    }

    /** All items, with the page of a file as it is with its annotations. */
    public List<Item> annotated() {
        return items.stream()
                .map(item ->
                        item instanceof Item.FrontFill fill && fill.isImported()
                                ? FileText.annotated(fill)
                                : item)
                .toList();
    }

    /** The page of a file. */
    private Optional<Item.FrontFill> file() {
        return items.stream()
                .filter(Item.FrontFill.class::isInstance)
                .map(Item.FrontFill.class::cast)
                .filter(Item.FrontFill::isImported)
                .findFirst();
    }

    /** Forgotten when memory is short, and made again. */
    private Map<UUID, FileText> fileText() {
        Map<UUID, FileText> known = written.get();
        if (known == null) {
            known = new LinkedHashMap<>();
            for (FileText each : file().map(FileText::of).orElse(List.of())) {
                known.put(each.run().run(), each);
            }
            written = new SoftReference<>(known);
        }
        return known;
    }

    /** Likewise. */
    private List<Item.Filled> annotationVeils() {
        List<Item.Filled> known = annotationVeils.get();
        if (known == null) {
            known = file().map(FileText::veils).orElse(List.of());
            annotationVeils = new SoftReference<>(known);
        }
        return known;
    }

    private Optional<FileText> written(Item item) {
        return item instanceof Item.GlyphRun run && run.isInFile()
                ? Optional.ofNullable(fileText().get(run.run()))
                : Optional.empty();
    }

    private int indexOf(Item item) {
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) == item) {
                return i;
            }
        }
        throw new IllegalArgumentException("An item of another scene: " + item.origin());
    }

    public PressCondition condition() {
        return scene.condition();
    }
}
