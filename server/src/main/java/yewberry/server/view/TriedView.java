package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.Legibility;
import yewberry.core.mends.Trial;
import yewberry.core.publication.Publication;

/**
 * What would come of an edit besides what it is for; nothing is stored.
 *
 * @param pages that it changes, by their numbers
 * @param tried whether all of them were judged, so that the next two are known
 * @param worse text that would fail for it, each once
 * @param overset whether text finds no room then that had some
 */
public record TriedView(List<Integer> pages, boolean tried, List<String> worse, boolean overset) {
    /**
     * @param edit that leaves the pages in their order
     * @throws yewberry.core.Refused if it is not possible
     */
    public static TriedView of(
            Edit edit, Publication publication, Composer composer, Legibility legibility) {
        Optional<Trial> trial = Trial.of(edit, publication, composer, legibility);
        return new TriedView(
                trial
                        .map(Trial::pages)
                        .orElseGet(() -> Trial.pages(edit, publication, composer))
                        .stream()
                        .map(page -> publication.indexOf(page) + 1)
                        .toList(),
                trial.isPresent(),
                trial.map(Trial::worse).orElse(List.of()),
                trial.filter(Trial::overset).isPresent());
    }
}
