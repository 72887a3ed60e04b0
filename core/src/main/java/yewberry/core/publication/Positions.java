package yewberry.core.publication;

import java.security.SecureRandom;
import java.util.List;
import java.util.UUID;

/**
 * Where elements stand in a list, by their ids: without an object for each of them, since it is
 * made anew whenever something comes in, goes or moves. Immutable.
 */
final class Positions {
    /** Nobody can choose ids that all fall on one place. */
    private static final long SECRET = new SecureRandom().nextLong() | 1;

    private final UUID[] ids;

    /**
     * At the place that an id falls on, or behind it, its position and one; 0 where there is none.
     */
    private final int[] places;

    Positions(List<? extends Element> inOrder) {
        this.ids = new UUID[inOrder.size()];
        this.places = new int[Integer.highestOneBit(Math.max(1, ids.length)) * 4];
        for (int position = 0; position < ids.length; position++) {
            ids[position] = inOrder.get(position).id();
            int place = place(ids[position]);
            while (places[place] != 0) {
                place = next(place);
            }
            places[place] = position + 1;
        }
    }

    /** The position of an element, from 0; below that where it is not there. */
    int of(UUID id) {
        for (int place = place(id); places[place] != 0; place = next(place)) {
            if (ids[places[place] - 1].equals(id)) {
                return places[place] - 1;
            }
        }
        return -1;
    }

    private int place(UUID id) {
        long mixed = (id.getMostSignificantBits() * SECRET ^ id.getLeastSignificantBits()) * SECRET;
        return (int) (mixed >>> 32) & places.length - 1;
    }

    private int next(int place) {
        return place + 1 & places.length - 1;
    }
}
