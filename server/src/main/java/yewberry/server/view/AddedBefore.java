package yewberry.server.view;

import java.util.List;
import java.util.UUID;
import yewberry.pdf.AddedItem;

/**
 * What was added to files before they came in.
 *
 * @param what names it when it is to come off
 * @param name in words; empty where it stands for all of its kind
 * @param byOthers whether another program put it there and marked it by the standard
 * @param pages how many pages have it
 * @param files that have it
 */
public record AddedBefore(
        String what,
        AddedItem.Kind kind,
        String name,
        boolean byOthers,
        int pages,
        List<UUID> files) {
    public static final String BY_OTHERS = "others-";

    public AddedBefore {
        files = List.copyOf(files);
    }
}
