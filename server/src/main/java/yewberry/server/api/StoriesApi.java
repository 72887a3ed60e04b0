package yewberry.server.api;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.StoryEdit;
import yewberry.core.mends.Reversal;
import yewberry.core.publication.Publication;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.ReversalView;
import yewberry.server.view.StoriesView;

/** All stories of a publication. */
@RestController
@RequestMapping("/api/publications/{id}")
class StoriesApi {
    private static final int MOST = 200;

    private final Publications publications;

    StoriesApi(Publications publications) {
        this.publications = publications;
    }

    /**
     * Those whose text holds something, those that wait to be placed first.
     *
     * @param find what; all of them where it is left out
     */
    @GetMapping("/stories")
    StoriesView stories(@PathVariable UUID id, @RequestParam(defaultValue = "") String find) {
        return StoriesView.of(publications.get(id).state().publication(), find, MOST);
    }

    /** What reversing some text out of a ground would be; nothing is stored. */
    @PostMapping("/reversals")
    ReversalView reversal(@PathVariable UUID id, @RequestBody ReversalView.Wanted wanted) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        return ReversalView.of(
                wanted.words()
                        ? Reversal.ofCharacters(
                                publication,
                                wanted.look(),
                                wanted.characters(),
                                wanted.ground(),
                                wanted.own(),
                                press,
                                UUID::randomUUID)
                        : Reversal.ofParagraphs(
                                publication,
                                new StoryEdit.WearLook(
                                        wanted.story(), wanted.paragraphs(), wanted.look()),
                                wanted.ground(),
                                wanted.own(),
                                press,
                                UUID::randomUUID));
    }

    /**
     * Paragraphs that links can lead to: headings, or all that hold something.
     *
     * @param find what; headings where it is left out
     */
    @GetMapping("/paragraphs")
    List<StoriesView.LinkPlace> paragraphs(
            @PathVariable UUID id, @RequestParam(defaultValue = "") String find) {
        return StoriesView.places(publications.get(id).state().publication(), find, MOST);
    }
}
