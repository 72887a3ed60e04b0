package yewberry.server.view;

import java.util.List;

/**
 * What the files of a set say of themselves.
 *
 * @param added what was added to them before they came in, by kind
 * @param signed the names of those that somebody signed
 * @param closed the names of those that are certified, which forbids that pages are changed
 */
public record FilesView(List<AddedBefore> added, List<String> signed, List<String> closed) {
    public FilesView {
        added = List.copyOf(added);
        signed = List.copyOf(signed);
        closed = List.copyOf(closed);
    }
}
