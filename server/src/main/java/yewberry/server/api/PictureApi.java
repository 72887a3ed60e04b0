package yewberry.server.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Refused;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.findings.Offer;
import yewberry.core.picture.PlacedPicture;
import yewberry.core.picture.Png;
import yewberry.core.press.RunOuts;
import yewberry.core.publication.Asset;
import yewberry.core.publication.PageRange;
import yewberry.core.publication.Publication;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.server.publications.Missing;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.publications.SetFiles;
import yewberry.server.view.FileIn;
import yewberry.server.view.PictureAddresses;
import yewberry.server.view.RunOutList;
import yewberry.server.view.RunOutView;

/**
 * Pictures and PDFs that are brought along to be placed, and the pages of a publication by range.
 */
@RestController
@RequestMapping("/api/publications/{id}")
class PictureApi {
    private final Publications publications;
    private final PictureFiles files;
    private final SetFiles sets;

    PictureApi(Publications publications, PictureFiles files, SetFiles sets) {
        this.publications = publications;
        this.files = files;
        this.sets = sets;
    }

    /**
     * Keeps a file; the body is the file itself. The answer is what an edit adds or replaces.
     *
     * @param name of the file
     */
    @Operation(
            requestBody =
                    @RequestBody(
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                                            schema = @Schema(type = "string", format = "binary"))))
    @PostMapping(path = "/pictures", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Asset add(@PathVariable UUID id, @RequestParam String name, InputStream file)
            throws IOException {
        publications.get(id);
        return files.add(UUID.randomUUID(), name, file);
    }

    /**
     * Keeps a PDF, or all the PDFs of a zip file; the body is the file itself. The answer says of
     * each what an edit adds, or why not.
     *
     * @param name of the file
     * @param password for those that need one, percent-encoded as in an address
     */
    @Operation(
            requestBody =
                    @RequestBody(
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                                            schema = @Schema(type = "string", format = "binary"))))
    @PostMapping(path = "/files", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    List<FileIn> addFiles(
            @PathVariable UUID id,
            @RequestParam String name,
            @RequestHeader(name = SetFiles.PASSWORD, defaultValue = "") String password,
            InputStream file)
            throws IOException {
        publications.get(id);
        return sets.take(name, file, SetFiles.password(password));
    }

    /**
     * A small picture of an asset, as a PNG file.
     *
     * @param page of a document, from 1
     * @param width pixels
     */
    @GetMapping(path = "/pictures/{asset}/thumbnail", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> thumbnail(
            @PathVariable UUID id,
            @PathVariable UUID asset,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(defaultValue = "160") int width) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        View view = open.view(publication, Viewing.AS_DESIGNED);
        Asset found = publication.asset(asset);
        if (width < 16 || width > 1000) {
            throw new Refused("A small picture is 16 to 1000 pixels wide.");
        }
        if (found.content() instanceof Asset.Document document
                && (page < 1 || page > document.pages().size())) {
            throw new Refused(
                    "“%s” has no page %d; it has pages 1 to %d."
                            .formatted(found.name(), page, document.pages().size()));
        }
        var image =
                files.pictures()
                        .of(found, page, Optional.empty(), view.condition(), view.medium())
                        .about(width);
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(0, TimeUnit.SECONDS).cachePrivate())
                .body(Png.of(PlacedPicture.of(image, view)));
    }

    /**
     * The pixels of a picture as they are seen, as a PNG file, for a spread that moves them itself.
     *
     * @param factor by which it is smaller than its file, a power of two
     * @param stamp of what is seen; with the newest one the pixels may be kept for good
     */
    @GetMapping(path = "/pictures/{asset}/seen", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> seen(
            @PathVariable UUID id,
            @PathVariable UUID asset,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing,
            @RequestParam(defaultValue = "1") int factor,
            @RequestParam(defaultValue = "") String stamp) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        View view = open.view(publication, viewing);
        Asset found = publication.asset(asset);
        if (!(found.content() instanceof Asset.Pixels pixels)
                || factor < 1
                || factor > pixels.width()
                || Integer.bitCount(factor) != 1) {
            throw new Refused(
                    "Pixels are read of a picture, 1, 2, 4, 8 … times smaller than its file.");
        }
        PlaneImage image =
                files.pictures()
                        .of(found, 1, Optional.empty(), view.condition(), view.medium())
                        .about(Math.max(1, pixels.width() / factor));
        CacheControl kept =
                stamp.equals(PictureAddresses.stamp(found, view))
                        ? CacheControl.maxAge(Duration.ofDays(365)).immutable()
                        : CacheControl.maxAge(0, TimeUnit.SECONDS);
        return ResponseEntity.ok()
                .cacheControl(kept.cachePrivate())
                .body(Png.quick(PlacedPicture.of(image, view)));
    }

    /** How a picture could go on to the edges of its area on a page. */
    @GetMapping("/pages/{page}/run-outs")
    RunOutList runOuts(
            @PathVariable UUID id, @PathVariable UUID page, @RequestParam UUID background) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        PageScene scene =
                open.composer(publication).compose(publication, publication.indexOf(page));
        Item.AreaFill fill =
                scene.areas().stream()
                        .filter(each -> each.background().equals(background))
                        .findFirst()
                        .orElseThrow(() -> new Missing("background"));
        if (!(fill.paint() instanceof AreaPaint.Picture picture)) {
            throw new Refused("Only pictures run out; this background is a colour.");
        }
        List<RunOuts.Option> options = RunOuts.of(fill, picture, press);
        List<Offer> offers = Offer.runOuts(fill, publication, press);
        List<RunOutView> views = new ArrayList<>();
        for (int i = 0; i < Math.min(options.size(), offers.size()); i++) {
            views.add(RunOutView.of(options.get(i), offers.get(i)));
        }
        return new RunOutList(views, offers.stream().skip(options.size()).findFirst());
    }

    /** The pages that a range such as {@code 3-7, 12} stands for. */
    @GetMapping("/ranges")
    List<UUID> pages(@PathVariable UUID id, @RequestParam String text) {
        Publication publication = publications.get(id).state().publication();
        return PageRange.of(text, publication.pages().size()).stream()
                .map(index -> publication.pages().get(index).id())
                .toList();
    }
}
