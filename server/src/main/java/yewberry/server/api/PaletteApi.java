package yewberry.server.api;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.publication.Publication;
import yewberry.server.palettes.PaletteFormat;
import yewberry.server.palettes.PaletteImport;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;

/** Palettes in and out. */
@RestController
@RequestMapping("/api/publications/{id}/palette")
class PaletteApi {
    private final Publications publications;

    PaletteApi(Publications publications) {
        this.publications = publications;
    }

    /** All swatches as a file. */
    @GetMapping(produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> write(@PathVariable UUID id, @RequestParam PaletteFormat format) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        String text = format.write(publication, open.press(publication));
        return ResponseEntity.ok()
                .contentType(
                        new MediaType(
                                MediaType.parseMediaType(format.mediaType()),
                                StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("palette." + format.ending())
                                .build()
                                .toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Reads a file, whose text is the body; {@code edit} of the answer adds what was read. */
    @PostMapping(consumes = MediaType.TEXT_PLAIN_VALUE)
    PaletteImport read(
            @PathVariable UUID id,
            @RequestParam PaletteFormat format,
            @RequestBody(required = false) String text) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        return format.read(
                text == null ? "" : text, publication, open.press(publication), UUID::randomUUID);
    }
}
