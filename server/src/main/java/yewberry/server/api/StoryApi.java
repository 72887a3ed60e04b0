package yewberry.server.api;

import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.compose.Composer;
import yewberry.core.findings.MakeRoom;
import yewberry.core.findings.Offer;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.server.publications.Missing;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.CaretView;
import yewberry.server.view.FlowView;
import yewberry.server.view.StoryView;

/** Stories and how they run. */
@RestController
@RequestMapping("/api/publications/{id}/stories/{story}")
class StoryApi {
    private final Publications publications;

    StoryApi(Publications publications) {
        this.publications = publications;
    }

    /**
     * @param since the revision at which it was read last; only what is not as it was then is given
     */
    @GetMapping
    StoryView story(
            @PathVariable UUID id, @PathVariable UUID story, @RequestParam Optional<Long> since) {
        OpenPublication open = publications.get(id);
        OpenPublication.State now = open.state();
        Story there = now.publication().findStory(story).orElseThrow(() -> new Missing("text"));
        Optional<Story> before = since.flatMap(open::at).flatMap(was -> was.findStory(story));
        return StoryView.of(there, before, now.revision());
    }

    /**
     * Where one of its characters stands; nothing where it finds no room.
     *
     * @param character of the paragraph, from 0
     */
    @GetMapping("/caret")
    Optional<CaretView> caret(
            @PathVariable UUID id,
            @PathVariable UUID story,
            @RequestParam UUID paragraph,
            @RequestParam int character) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        publication.findStory(story).orElseThrow(() -> new Missing("text"));
        return open.composer(publication)
                .flows()
                .place(story, paragraph, Math.max(0, character), publication)
                .map(CaretView::of);
    }

    /**
     * What adds as many pages as its text needs.
     *
     * @param on a page that it is placed on first, where it waits to be placed
     */
    @GetMapping("/room")
    Offer room(@PathVariable UUID id, @PathVariable UUID story, @RequestParam Optional<UUID> on) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        publication.findStory(story).orElseThrow(() -> new Missing("text"));
        Flows flows = open.composer(publication).flows();
        return on.map(page -> MakeRoom.place(publication, story, page, flows, UUID::randomUUID))
                .orElseGet(() -> MakeRoom.of(publication, story, flows, UUID::randomUUID));
    }

    /** Through which frames it runs, where in it each of them begins, and what finds no room. */
    @GetMapping("/flow")
    FlowView flow(@PathVariable UUID id, @PathVariable UUID story) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        Story there = publication.findStory(story).orElseThrow(() -> new Missing("text"));
        Composer composer = open.composer(publication);
        return FlowView.of(
                there,
                composer.places(story, publication),
                composer.flows().marks(story, publication),
                publication);
    }
}
