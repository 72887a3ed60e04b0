package yewberry.server.api;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import yewberry.server.publications.Typefaces;

/** Fonts that somebody brought along. */
@RestController
@RequestMapping("/api/typefaces")
class TypefaceApi {
    private final Typefaces typefaces;

    TypefaceApi(Typefaces typefaces) {
        this.typefaces = typefaces;
    }

    @GetMapping
    List<Typefaces.Typeface> all() {
        return typefaces.all();
    }

    /** Keeps a font; the body is the file itself. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Typefaces.Typeface add(@RequestParam String name, @RequestBody byte[] file) {
        return typefaces.add(name, file);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        typefaces.remove(id);
    }
}
