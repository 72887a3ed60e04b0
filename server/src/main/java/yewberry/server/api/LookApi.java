package yewberry.server.api;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.color.Viewing;
import yewberry.core.picture.LookSample;
import yewberry.core.publication.Publication;
import yewberry.server.publications.Missing;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;

/** What looks look like. */
@RestController
@RequestMapping("/api/publications/{id}/looks/{look}")
class LookApi {
    private final Publications publications;

    LookApi(Publications publications) {
        this.publications = publications;
    }

    /** A line of text in a look of paragraphs or of characters. */
    @GetMapping(path = "/sample", produces = "image/svg+xml")
    ResponseEntity<byte[]> sample(@PathVariable UUID id, @PathVariable UUID look) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        if (!publication.looks().holds(look) && !publication.characterLooks().holds(look)) {
            throw new Missing("look");
        }
        String svg = LookSample.of(publication, look, open.view(publication, Viewing.AS_DESIGNED));
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .cacheControl(CacheControl.maxAge(0, TimeUnit.SECONDS).cachePrivate())
                .body(svg.getBytes(StandardCharsets.UTF_8));
    }
}
