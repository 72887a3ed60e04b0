package yewberry.server.view;

import java.util.UUID;

/**
 * That a publication came to the shelf, or went.
 *
 * @param gone whether it was removed
 */
public record ShelfNews(UUID publication, boolean gone) implements Told {
    @Override
    public String event() {
        return "shelf";
    }
}
