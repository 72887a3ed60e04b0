package yewberry.server.api;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.view.FileColors;
import yewberry.server.view.FileMatches;

/** The colours of files whose pages are pages of a publication. */
@RestController
@RequestMapping("/api/publications/{id}/files/{asset}")
class FileColorApi {
    /** So long pages are read for one answer. */
    private static final Duration READING = Duration.ofSeconds(3);

    private final Publications publications;
    private final PictureFiles files;

    FileColorApi(Publications publications, PictureFiles files) {
        this.publications = publications;
        this.files = files;
    }

    /**
     * What a file is painted in, as far as its pages can be read in a few seconds.
     *
     * @param near a colour, {@code #rrggbb}, that each is held against
     * @param first the number of the page that is read first
     */
    @GetMapping("/colors")
    FileColors colors(
            @PathVariable UUID id,
            @PathVariable UUID asset,
            @RequestParam Optional<String> near,
            @RequestParam(defaultValue = "1") int first) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        Asset file = publication.asset(asset);
        int pages = document(file).pages().size();
        List<Integer> order =
                IntStream.range(0, pages)
                        .mapToObj(i -> Math.floorMod(first - 1 + i, pages) + 1)
                        .toList();
        Map<Integer, PageText> read = read(file, order, Pictures.Changes.NONE, press);
        return FileColors.of(read, pages, near.map(Rgb::hex), press);
    }

    /**
     * What a change of a colour would change, as far as the pages that it is for can be read in a
     * few seconds, and what would stay.
     */
    @PostMapping("/matches")
    FileMatches matches(
            @PathVariable UUID id, @PathVariable UUID asset, @RequestBody Recolor recolor) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        Asset file = publication.asset(asset);
        int pages = document(file).pages().size();
        List<Integer> order =
                IntStream.rangeClosed(1, pages).filter(recolor::isOn).boxed().toList();
        Palette palette = new Palette(publication::swatch, press);
        Optional<Color> to =
                recolor.to().map(each -> Palette.tint(palette.color(each.swatch()), each.tint()));
        Map<Integer, PageText> read =
                read(
                        file,
                        order,
                        new Pictures.Changes(
                                List.of(new Pictures.Recolored(recolor, to)), List.of()),
                        press);
        return FileMatches.of(read, order.size());
    }

    private static Asset.Document document(Asset file) {
        if (file.content() instanceof Asset.Document document) {
            return document;
        }
        throw new Refused(
                "“%s” is not a PDF; only PDFs have their colours listed.".formatted(file.name()));
    }

    /** Some pages by their numbers, as far as they can be read in time. */
    private Map<Integer, PageText> read(
            Asset file, List<Integer> order, Pictures.Changes changes, PressCondition press) {
        long until = System.nanoTime() + READING.toNanos();
        Map<Integer, PageText> read = new TreeMap<>();
        for (int number : order) {
            Cancellation.check();
            if (!read.isEmpty() && System.nanoTime() >= until) {
                break;
            }
            read.put(
                    number,
                    files.pictures().of(file, number, changes, press, Medium.SCREEN).text());
        }
        return read;
    }
}
