package yewberry.pdf.read;

import java.awt.geom.Rectangle2D;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.asset.PageText;

/** What of a page cannot be told, for each reason how often, and where. */
final class NotRead {
    private final Map<PageText.Why, PageText.Unread> all = new EnumMap<>(PageText.Why.class);

    void add(PageText.Why why, Rectangle2D where) {
        all.merge(
                why,
                new PageText.Unread(why, 1, Optional.of(place(where))),
                (before, more) ->
                        new PageText.Unread(why, before.count() + 1, around(before, more)));
    }

    private static Optional<PageText.Place> around(PageText.Unread one, PageText.Unread other) {
        return Optional.of(one.where().orElseThrow().around(other.where().orElseThrow()));
    }

    /** Takes those of a reason back where they are fewer. */
    void forget(PageText.Why why, int fewerThan) {
        all.computeIfPresent(why, (key, each) -> each.count() < fewerThan ? null : each);
    }

    List<PageText.Unread> all() {
        return List.copyOf(all.values());
    }

    static PageText.Place place(Rectangle2D where) {
        return new PageText.Place(where.getX(), where.getY(), where.getWidth(), where.getHeight());
    }
}
