package yewberry.server.view;

import java.util.List;
import yewberry.core.edit.CommonBackground;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;

/**
 * What lies on some pages, besides what their parents have.
 *
 * @param backgrounds from the lowest up
 * @param frames where it is one page; of several each is changed on its own page
 * @param frameCount those of all the pages
 */
public record CommonLayer(List<CommonBackground> backgrounds, List<Frame> frames, int frameCount) {
    public static CommonLayer of(Publication publication, List<Page> pages) {
        return new CommonLayer(
                CommonBackground.of(publication, pages.stream().map(Page::id).toList()),
                pages.size() == 1 ? pages.getFirst().layer().frames() : List.of(),
                pages.stream().mapToInt(page -> page.layer().frames().size()).sum());
    }
}
