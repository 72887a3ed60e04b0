package yewberry.server.view;

import java.util.List;
import yewberry.core.findings.Hiding;

/**
 * What of pages would hide a background.
 *
 * @param hiding of the pages that have something
 * @param read how many of the pages asked for, from the first, this is about
 */
public record HidingList(List<Hiding> hiding, int read) {
    public HidingList {
        hiding = List.copyOf(hiding);
    }
}
