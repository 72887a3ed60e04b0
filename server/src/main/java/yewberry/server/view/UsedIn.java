package yewberry.server.view;

import java.util.List;
import java.util.UUID;
import yewberry.core.edit.LocalDifferences;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * Where an element is used.
 *
 * @param names of what uses it that is no page, in words
 * @param pages their numbers, in order
 * @param differing in how many paragraphs something differs from it, where it is a look
 */
public record UsedIn(UUID id, List<String> names, List<Integer> pages, int differing) {
    public static UsedIn of(UUID id, Publication publication) {
        Uses.Places places = Uses.places(publication, id);
        return new UsedIn(
                id, places.names(), places.pages(), LocalDifferences.count(publication, id));
    }
}
