package yewberry.server.publications;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
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
     * What is laid out behind a PDF: a page for each of its pages, as large as that, with it on.
     *
     * @param document what has come in
     * @param ids where new ids come from
     * @throws Refused if it is no PDF, or has too many pages or one of a size that is not possible
     */
    public static Publication ofDocument(UUID id, Asset document, Supplier<UUID> ids) {
        if (!(document.content() instanceof Asset.Document(List<Asset.Leaf> leaves))) {
            throw new Refused(
                    "“%s” is not a PDF; begin with a size, and place it on a page."
                            .formatted(document.name()));
        }
        List<PageSize> sizes = leaves.stream().map(Beginning::size).toList();
        PageSize first = sizes.getFirst();
        Setup setup = Setup.of(smallest(sizes), false).withTrim(first);
        Publication empty = of(id, document.name(), setup, leaves.size(), ids);
        List<Page> pages =
                IntStream.range(0, leaves.size())
                        .mapToObj(i -> {
                            PageSize size = sizes.get(i);
                            Background page = onAll(ids.get(), document.id(), i + 1, size);
                            return empty.pages()
                                    .get(i)
                                    .withSize(Optional.of(size).filter(each -> !each.equals(first)))
                                    .withLayer(Layer.EMPTY.withBackgrounds(List.of(page)));
                        })
                        .toList();
        return empty.withAssets(List.of(document)).withPages(pages);
    }

    /** As narrow as the narrowest and as low as the lowest: margins that fit there fit on all. */
    private static PageSize smallest(List<PageSize> sizes) {
        Comparator<Length> shorter = Comparator.comparingDouble(Length::points);
        return new PageSize(
                sizes.stream().map(PageSize::width).min(shorter).orElseThrow(),
                sizes.stream().map(PageSize::height).min(shorter).orElseThrow());
    }

    /** To a hundredth of a millimetre. */
    private static PageSize size(Asset.Leaf leaf) {
        return new PageSize(millimetres(leaf.width()), millimetres(leaf.height()));
    }

    private static Length millimetres(double points) {
        return Length.mm(Math.rint(Length.pt(points).millimetres() * 100) / 100);
    }

    private static Background onAll(UUID id, UUID asset, int number, PageSize size) {
        Area.Rectangle trim =
                new Area.Rectangle(
                        new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                        Length.ZERO,
                        Length.ZERO,
                        size.width(),
                        size.height(),
                        Set.of());
        return new Background(
                id,
                Sides.BOTH,
                trim,
                new Fill.PdfPage(asset, number, Placing.COVER.withFit(Placing.Fit.STRETCH)));
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
