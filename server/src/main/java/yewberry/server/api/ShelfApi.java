package yewberry.server.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Locked;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Length;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Setup;
import yewberry.server.demo.DemoData;
import yewberry.server.jobs.Jobs;
import yewberry.server.publications.Beginning;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.publications.SetFiles;
import yewberry.server.view.Created;
import yewberry.server.view.FileIn;
import yewberry.server.view.Options;
import yewberry.server.view.SetCreated;
import yewberry.server.view.ShelfEntry;

/** The shelf: all publications, and what a new one can be made of. */
@RestController
@RequestMapping("/api")
class ShelfApi {
    private final Publications publications;
    private final SetFiles sets;
    private final DemoData demo;
    private final Jobs jobs;

    ShelfApi(Publications publications, SetFiles sets, DemoData demo, Jobs jobs) {
        this.publications = publications;
        this.sets = sets;
        this.demo = demo;
        this.jobs = jobs;
    }

    /**
     * @param bleed at the top, the bottom and the outside
     */
    record CreateRequest(
            String name,
            Destination destination,
            PageSize trim,
            boolean facing,
            Length bleed,
            int pages) {}

    @GetMapping("/publications")
    List<ShelfEntry> shelf() {
        return publications.list().stream()
                .map(each ->
                        new ShelfEntry(
                                each.id(), each.name(), each.setup(), each.pages(), each.changed()))
                .toList();
    }

    @PostMapping("/publications")
    @ResponseStatus(HttpStatus.CREATED)
    Created create(@RequestBody CreateRequest wanted) {
        UUID id = UUID.randomUUID();
        Setup usual = Setup.of(wanted.trim(), wanted.facing());
        Setup setup =
                new Setup(
                        wanted.destination(),
                        usual.trim(),
                        usual.facing(),
                        new Bleed(wanted.bleed(), wanted.bleed(), wanted.bleed(), Length.ZERO),
                        usual.safe(),
                        usual.margins(),
                        wanted.trim().width().unit(),
                        usual.level(),
                        usual.press(),
                        usual.checks());
        publications.create(
                Beginning.of(id, wanted.name(), setup, wanted.pages(), UUID::randomUUID));
        return new Created(id);
    }

    /**
     * A publication whose pages are those of a PDF, or of all the PDFs in a zip file.
     *
     * @param name of the file
     * @param called what the publication is called; after the file where it is left out
     */
    @Operation(
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                                            schema = @Schema(type = "string", format = "binary"))))
    @PostMapping(
            path = "/publications/documents",
            consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    SetCreated createFrom(
            @RequestParam String name,
            @RequestParam Optional<String> called,
            @RequestHeader(name = SetFiles.PASSWORD, defaultValue = "") String password,
            InputStream file)
            throws IOException {
        List<FileIn> all = sets.take(name, file, SetFiles.password(password));
        List<Asset> opened = all.stream().flatMap(each -> each.asset().stream()).toList();
        if (opened.isEmpty()) {
            String why = all.getFirst().refused().orElseThrow();
            String told =
                    all.size() == 1
                            ? why
                            : "None of its %d files can be opened. “%s”: %s"
                                    .formatted(all.size(), all.getFirst().name(), why);
            throw all.stream().anyMatch(FileIn::locked) ? new Locked(told) : new Refused(told);
        }
        UUID id = UUID.randomUUID();
        String usual = opened.size() == 1 ? opened.getFirst().name() : PictureFiles.title(name);
        publications.create(Beginning.ofFiles(id, called.orElse(usual), opened, UUID::randomUUID));
        return new SetCreated(id, all);
    }

    /** Puts the examples that are not on the shelf there, and names the first to look at. */
    @PostMapping("/publications/examples")
    @ResponseStatus(HttpStatus.CREATED)
    Created examples() {
        return new Created(demo.add());
    }

    @DeleteMapping("/publications/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable UUID id) {
        publications.get(id);
        jobs.endAllOf(id);
        publications.delete(id);
    }

    @GetMapping("/options")
    Options options() {
        return Options.all();
    }
}
