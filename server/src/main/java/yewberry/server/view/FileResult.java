package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import yewberry.pdf.proof.ReadBackReport;

/**
 * What became of one file of a set.
 *
 * @param name of the new file, with its folders
 * @param pages how many of its pages something was added to
 * @param repaired whether it was damaged, and so was written anew instead of added to
 * @param shown the number of its page that stands for it in a picture; nothing where there is no
 *     file
 * @param problem why there is no new file, or what of it is not as it should be; nothing where all
 *     is well
 */
public record FileResult(
        String name,
        int pages,
        boolean repaired,
        Optional<Integer> shown,
        Optional<String> problem) {
    /** One that was written and read back. */
    public static FileResult of(
            String name, int pages, boolean repaired, int shown, ReadBackReport report) {
        List<String> off =
                report.pages().stream()
                        .filter(page -> !page.matches())
                        .map(page -> String.valueOf(page.number()))
                        .toList();
        return new FileResult(
                name,
                pages,
                repaired,
                Optional.of(shown),
                off.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                "Read back: %s %s not as composed."
                                        .formatted(
                                                off.size() == 1 ? "page" : "pages",
                                                off.stream()
                                                                .limit(20)
                                                                .collect(Collectors.joining(", "))
                                                        + (off.size() == 1 ? " is" : " are"))));
    }
}
