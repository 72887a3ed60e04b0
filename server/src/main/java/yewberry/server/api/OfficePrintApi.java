package yewberry.server.api;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.output.OfficePrinter;
import yewberry.core.output.OfficePrintout;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputSettings;
import yewberry.core.picture.Png;
import yewberry.core.publication.Publication;
import yewberry.core.scene.JoinedPages;
import yewberry.server.publications.Missing;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.OfficePrintView;

/** What comes out of a simulated office printer, before paper is spent. */
@RestController
@RequestMapping("/api/publications/{id}/office-print")
class OfficePrintApi {
    private static final double PPI = 60;

    /** So many pages are judged in one request. */
    private static final int MOST = 100;

    private final Publications publications;

    OfficePrintApi(Publications publications) {
        this.publications = publications;
    }

    /**
     * @param from the first of what is on one side, from 1
     */
    @GetMapping
    OfficePrintView print(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "copper") String printer,
            @RequestParam(defaultValue = "true") boolean backgrounds,
            @RequestParam(defaultValue = "false") boolean mono,
            @RequestParam(defaultValue = "false") boolean saving,
            @RequestParam(defaultValue = "false") boolean duplex,
            @RequestParam(defaultValue = "false") boolean spreads,
            @RequestParam(defaultValue = "1") int from) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        OfficePrinter.Job job =
                new OfficePrinter.Job(
                        OfficePrinter.model(printer), backgrounds, mono, saving, duplex, spreads);
        List<List<Integer>> leaves = leaves(publication, job);
        List<OfficePrintView.Printed> pages =
                IntStream.range(Math.max(0, from - 1), Math.min(leaves.size(), from - 1 + MOST))
                        .mapToObj(at -> printed(open, publication, job, at, leaves.get(at)))
                        .toList();
        return new OfficePrintView(OfficePrinter.MODELS, pages);
    }

    private static List<List<Integer>> leaves(Publication publication, OfficePrinter.Job job) {
        return OutputSettings.of(OutputKind.OFFICE_PDF)
                .withSpreads(job.spreads())
                .leaves(publication);
    }

    private static OfficePrintView.Printed printed(
            OpenPublication open,
            Publication publication,
            OfficePrinter.Job job,
            int at,
            List<Integer> leaf) {
        return new OfficePrintView.Printed(
                at + 1,
                leaf.stream()
                        .map(page -> String.valueOf(page + 1))
                        .collect(Collectors.joining("–")),
                OfficePrintout.sheet(at, job.duplex()),
                printout(open, publication, job, leaf).troubles().stream()
                        .map(each -> new OfficePrintView.Unreadable(each.words(), each.why()))
                        .toList());
    }

    private static OfficePrintout printout(
            OpenPublication open,
            Publication publication,
            OfficePrinter.Job job,
            List<Integer> leaf) {
        return new OfficePrintout(
                JoinedPages.scene(
                        leaf.stream()
                                .map(page -> open.composer(publication).compose(publication, page))
                                .toList()),
                job,
                publication,
                open.press(publication));
    }

    @GetMapping(path = "/{number}", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> picture(
            @PathVariable UUID id,
            @PathVariable int number,
            @RequestParam(defaultValue = "copper") String printer,
            @RequestParam(defaultValue = "true") boolean backgrounds,
            @RequestParam(defaultValue = "false") boolean mono,
            @RequestParam(defaultValue = "false") boolean saving,
            @RequestParam(defaultValue = "false") boolean spreads) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        OfficePrinter.Job job =
                new OfficePrinter.Job(
                        OfficePrinter.model(printer), backgrounds, mono, saving, false, spreads);
        List<List<Integer>> leaves = leaves(publication, job);
        if (number < 1 || number > leaves.size()) {
            throw new Missing("page");
        }
        return ResponseEntity.ok(
                Png.quick(printout(open, publication, job, leaves.get(number - 1)).picture(PPI)));
    }
}
