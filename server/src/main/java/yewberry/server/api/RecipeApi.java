package yewberry.server.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.edit.RecipeParts;
import yewberry.core.publication.Publication;
import yewberry.server.publications.Publications;
import yewberry.server.recipes.RecipeFile;
import yewberry.server.view.Brought;
import yewberry.server.view.Elsewhere;

/** Recipes that go from one publication to another, directly or as a file. */
@RestController
@RequestMapping("/api/publications/{id}/recipes")
class RecipeApi {
    private final Publications publications;
    private final RecipeFile files;

    RecipeApi(Publications publications, RecipeFile files) {
        this.publications = publications;
        this.files = files;
    }

    /** The recipes of all other publications. */
    @GetMapping("/elsewhere")
    List<Elsewhere> elsewhere(@PathVariable UUID id) {
        return publications.list().stream()
                .filter(listed -> !listed.id().equals(id))
                .flatMap(listed ->
                        publications.get(listed.id()).state().publication().recipes().stream()
                                .map(recipe ->
                                        new Elsewhere(
                                                listed.id(),
                                                listed.name(),
                                                recipe.id(),
                                                recipe.name())))
                .toList();
    }

    /** Brings a recipe of another publication along. */
    @PostMapping("/copies")
    Brought copy(@PathVariable UUID id, @RequestParam UUID from, @RequestParam UUID recipe) {
        return brought(id, RecipeParts.of(publications.get(from).state().publication(), recipe));
    }

    /** Reads a file, which is the body. */
    @Operation(
            requestBody =
                    @RequestBody(
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                                            schema = @Schema(type = "string", format = "binary"))))
    @PostMapping(path = "/imports", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Brought read(@PathVariable UUID id, InputStream file) throws IOException {
        return brought(id, files.read(file));
    }

    private Brought brought(UUID id, RecipeParts parts) {
        Publication target = publications.get(id).state().publication();
        return new Brought(parts.recipe().name(), parts.into(target, UUID::randomUUID));
    }

    /** The recipe as a file. */
    @GetMapping(path = "/{recipe}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> write(@PathVariable UUID id, @PathVariable UUID recipe) {
        RecipeParts parts = RecipeParts.of(publications.get(id).state().publication(), recipe);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(
                                        parts.recipe().name() + ".recipe.json",
                                        StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(files.write(parts));
    }
}
