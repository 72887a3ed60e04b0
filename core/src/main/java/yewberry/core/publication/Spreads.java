package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which pages are seen together: with facing pages 1, then 2 and 3, and so on; else each alone. */
public final class Spreads {
    private Spreads() {}

    /** Positions of pages from 0, spread by spread, each from left to right. */
    public static List<List<Integer>> of(Publication publication) {
        List<List<Integer>> spreads = new ArrayList<>();
        for (int index = 0; index < publication.pages().size(); index++) {
            if (publication.setup().facing() && index > 0 && index % 2 == 0) {
                spreads.set(spreads.size() - 1, List.of(index - 1, index));
            } else {
                spreads.add(List.of(index));
            }
        }
        return List.copyOf(spreads);
    }

    /** The spread that the page at this position is on, from 0. */
    public static int indexOf(Publication publication, int page) {
        return publication.setup().facing() ? (page + 1) / 2 : page;
    }

    /** The position of the page beside the one at this position, if there is one. */
    public static Optional<Integer> beside(Publication publication, int page) {
        return at(publication, indexOf(publication, page)).stream()
                .filter(each -> each != page)
                .findFirst();
    }

    /** The pages of one spread, as positions from 0. */
    public static List<Integer> at(Publication publication, int spread) {
        if (!publication.setup().facing()) {
            return List.of(spread);
        }
        int right = 2 * spread;
        if (spread == 0) {
            return List.of(0);
        }
        return right < publication.pages().size() ? List.of(right - 1, right) : List.of(right - 1);
    }
}
