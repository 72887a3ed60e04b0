package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Medium;

/**
 * What the files of a set say of themselves.
 *
 * @param added what was added to them before they came in
 * @param files the files, in the order of their pages
 * @param signed the names of those that somebody signed
 * @param closed the names of those that are certified, which forbids that pages are changed
 * @param claims the standards that they claim to hold to
 * @param medium in whose colours they are added to; readers that switch nothing show this one
 * @param switched how many backgrounds and pictures go to the screen only, or to paper only:
 *     readers switch them
 */
public record FilesView(
        List<AddedBefore> added,
        List<OneFile> files,
        List<String> signed,
        List<String> closed,
        List<Claim> claims,
        Medium medium,
        int switched) {
    public record OneFile(UUID id, String name) {}

    /**
     * @param name of the file
     * @param standard such as PDF/A-2b
     * @param doubt why it may not hold with what is added; nothing where it does
     */
    public record Claim(String name, String standard, Optional<String> doubt) {}

    public FilesView {
        added = List.copyOf(added);
        files = List.copyOf(files);
        signed = List.copyOf(signed);
        closed = List.copyOf(closed);
        claims = List.copyOf(claims);
    }
}
