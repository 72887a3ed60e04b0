package yewberry.server.publications;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** What a new publication begins with: a small palette, a few looks, one parent and its pages. */
public final class Beginning {
    private Beginning() {}

    /**
     * @param ids where new ids come from
     * @throws Refused if the number of pages is not within what one holds
     */
    public static Publication of(UUID id, String name, Setup setup, int pages, Supplier<UUID> ids) {
        if (pages < 1 || pages > Limits.PAGES) {
            throw new Refused(
                    "A publication of %d pages is not possible; begin with 1 to %d."
                            .formatted(pages, Limits.PAGES));
        }
        Swatch black = new Swatch(ids.get(), "Black", new Cmyk(0, 0, 0, 100));
        Swatch white = new Swatch(ids.get(), "White", new Cmyk(0, 0, 0, 0));
        Swatch dusk = new Swatch(ids.get(), "Dusk", new Cmyk(90, 70, 30, 30));
        Swatch sand = new Swatch(ids.get(), "Sand", new Cmyk(4, 8, 20, 0));
        Look body = look(ids.get(), "Body", 400, 10, 14, black);
        Look heading =
                look(ids.get(), "Heading", 700, 20, 24, black).withNext(Optional.of(body.id()));
        Parent parent = new Parent(ids.get(), "Plain", Layer.EMPTY);
        Publication begun =
                new Publication(
                        id,
                        name,
                        setup,
                        List.of(black, white, dusk, sand),
                        List.of(body, heading),
                        List.of(parent),
                        IntStream.range(0, pages)
                                .mapToObj(i ->
                                        new Page(
                                                ids.get(),
                                                Optional.of(parent.id()),
                                                true,
                                                Layer.EMPTY))
                                .toList());
        return begun.withCharacterLooks(List.of(emphasis(ids.get()), strong(ids.get())));
    }

    /** Words that are said with stress. */
    public static CharacterLook emphasis(UUID id) {
        return new CharacterLook(id, "Emphasis")
                .withItalic(Optional.of(true))
                .withEmphasis(Optional.of(CharacterLook.Emphasis.EMPHASIS));
    }

    /** Words that matter more than those around them. */
    public static CharacterLook strong(UUID id) {
        return new CharacterLook(id, "Strong")
                .withWeight(Optional.of(700))
                .withEmphasis(Optional.of(CharacterLook.Emphasis.STRONG));
    }

    /**
     * A publication whose pages are those of files, one file after the other, each page as large as
     * it is there.
     *
     * @param files what has come in; PDFs, one or more
     * @param ids where new ids come from
     * @throws Refused if they have too many pages, or one of a size that is not possible
     */
    public static Publication ofFiles(UUID id, String name, List<Asset> files, Supplier<UUID> ids) {
        List<Imported> imported = new ArrayList<>();
        List<PageSize> sizes = new ArrayList<>();
        for (Asset file : files) {
            Asset.Document document = (Asset.Document) file.content();
            for (int number = 1; number <= document.pages().size(); number++) {
                Imported page = new Imported(file.id(), number);
                imported.add(page);
                sizes.add(page.sizeIn(file));
            }
        }
        Setup setup = Setup.of(smallest(sizes), false).withTrim(sizes.getFirst());
        Publication empty = of(id, name, bare(setup), imported.size(), ids);
        List<Page> pages =
                IntStream.range(0, imported.size())
                        .mapToObj(i ->
                                empty.pages()
                                        .get(i)
                                        .withSize(Optional.of(sizes.get(i)))
                                        .withImported(Optional.of(imported.get(i))))
                        .toList();
        return empty.withAssets(files).withPages(pages);
    }

    /** Finished files are read on screens above all, and have no bleed but their own. */
    private static Setup bare(Setup usual) {
        Length none = Length.ZERO;
        return new Setup(
                Destination.SCREEN,
                usual.trim(),
                usual.facing(),
                new Bleed(none, none, none, none),
                usual.safe(),
                usual.margins(),
                usual.unit(),
                usual.level(),
                usual.press(),
                usual.checks());
    }

    /** As narrow as the narrowest and as low as the lowest: margins that fit there fit on all. */
    private static PageSize smallest(List<PageSize> sizes) {
        Comparator<Length> shorter = Comparator.comparingDouble(Length::points);
        return new PageSize(
                sizes.stream().map(PageSize::width).min(shorter).orElseThrow(),
                sizes.stream().map(PageSize::height).min(shorter).orElseThrow());
    }

    private static Look look(
            UUID id, String name, int weight, double size, double leading, Swatch color) {
        return new Look(
                id,
                name,
                "Source Serif 4",
                weight,
                Length.pt(size),
                Length.pt(leading),
                Length.pt(0),
                Look.Alignment.LEFT,
                Tinted.full(color.id()),
                Look.Overprint.BLACK);
    }
}
