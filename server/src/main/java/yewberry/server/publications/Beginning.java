package yewberry.server.publications;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** What a new publication begins with: a small palette, two looks, one parent and its pages. */
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
        Swatch ink = new Swatch(ids.get(), "Ink", new Cmyk(0, 0, 0, 100));
        Swatch white = new Swatch(ids.get(), "White", new Cmyk(0, 0, 0, 0));
        Swatch dusk = new Swatch(ids.get(), "Dusk", new Cmyk(90, 70, 30, 30));
        Swatch sand = new Swatch(ids.get(), "Sand", new Cmyk(4, 8, 20, 0));
        Look body = look(ids.get(), "Body", 400, 10, 14, ink);
        Look heading = look(ids.get(), "Heading", 700, 20, 24, ink);
        Parent parent = new Parent(ids.get(), "Plain", Layer.EMPTY);
        return new Publication(
                id,
                name,
                setup,
                List.of(ink, white, dusk, sand),
                List.of(body, heading),
                List.of(parent),
                IntStream.range(0, pages)
                        .mapToObj(i ->
                                new Page(ids.get(), Optional.of(parent.id()), true, Layer.EMPTY))
                        .toList());
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
