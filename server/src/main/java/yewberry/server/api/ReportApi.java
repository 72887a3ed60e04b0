package yewberry.server.api;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.publication.Publication;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PageCheck;
import yewberry.server.publications.Publications;
import yewberry.server.reports.LegibilityReport;
import yewberry.server.reports.Reports;

/** The state of a publication's legibility as a file. */
@RestController
@RequestMapping("/api/publications/{id}")
class ReportApi {
    /** A request checks pages for so long. */
    private static final Duration CHECKING = Duration.ofSeconds(8);

    private final Publications publications;
    private final PageCheck check;
    private final Clock clock;

    ReportApi(Publications publications, PageCheck check, Clock clock) {
        this.publications = publications;
        this.check = check;
        this.clock = clock;
    }

    /** How a report is written. */
    enum Format {
        PDF(MediaType.APPLICATION_PDF),
        CSV(new MediaType("text", "csv", StandardCharsets.UTF_8)),
        JSON(MediaType.APPLICATION_JSON);

        private final MediaType type;

        Format(MediaType type) {
            this.type = type;
        }
    }

    /**
     * The report of all pages.
     *
     * @throws Refused if they are not all checked by now; what was checked is at hand when one asks
     *     again
     */
    @GetMapping("/report/{format}")
    ResponseEntity<byte[]> report(@PathVariable UUID id, @PathVariable Format format) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        Publication publication = state.publication();
        long until = System.nanoTime() + CHECKING.toNanos();
        var found =
                check.check(
                        open,
                        publication,
                        open.check(publication, Optional.empty()),
                        0,
                        CHECKING.toNanos());
        var viewed =
                check.check(
                        open,
                        publication,
                        open.byViewing(publication),
                        0,
                        Math.max(0, until - System.nanoTime()));
        int pages = publication.pages().size();
        int checked = Math.min(found.size(), viewed.size());
        if (checked < pages) {
            throw new Refused(
                    "%d of %d pages are checked so far; ask for the report again in a moment."
                            .formatted(checked, pages));
        }
        LegibilityReport report =
                LegibilityReport.of(
                        state.revision(),
                        publication,
                        open.press(publication),
                        found,
                        viewed,
                        clock.instant());
        byte[] file =
                switch (format) {
                    case PDF -> Reports.pdf(report, open.press(publication));
                    case CSV -> Reports.csv(report);
                    case JSON -> Reports.json(report);
                };
        String name =
                Names.fileStem(publication.name())
                        + "-legibility."
                        + format.name().toLowerCase(Locale.ROOT);
        return ResponseEntity.ok()
                .contentType(format.type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(file);
    }
}
