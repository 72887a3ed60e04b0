package yewberry.server.api;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.asset.PageText;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.view.FileColors;

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
        if (!(file.content() instanceof Asset.Document document)) {
            throw new Refused(
                    "“%s” is not a PDF; only PDFs have their colours listed."
                            .formatted(file.name()));
        }
        int pages = document.pages().size();
        long until = System.nanoTime() + READING.toNanos();
        Map<Integer, PageText> read = new TreeMap<>();
        for (int i = 0; i < pages && (i == 0 || System.nanoTime() < until); i++) {
            Cancellation.check();
            int number = Math.floorMod(first - 1 + i, pages) + 1;
            read.put(
                    number,
                    files.pictures().of(file, number, List.of(), press, Medium.SCREEN).text());
        }
        return FileColors.of(read, pages, near.map(Rgb::hex), press);
    }
}
