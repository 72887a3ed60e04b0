package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What became of one file of a set.
 *
 * @param name of the new file, with its folders
 * @param pages how many of its pages something was added to
 * @param repaired whether it was damaged, and so was written anew instead of added to
 * @param shown the number of its page that stands for it in a picture; nothing where there is no
 *     file
 * @param of the pages of the publication that are in it, where they are known
 * @param problem why there is no new file, or what of it is not as it should be; nothing where all
 *     is well
 * @param difference from the picture that it is held against; nothing for most
 */
public record FileResult(
        String name,
        int pages,
        boolean repaired,
        Optional<Integer> shown,
        Optional<String> problem,
        List<UUID> of,
        Optional<Difference> difference) {
    /**
     * How a picture differs from another one.
     *
     * @param other that one, as a PNG file in base64
     * @param where they differ, likewise; nothing where they differ in size
     */
    public record Difference(String other, Optional<String> where) {}

    public FileResult {
        // those that were stored before do not say
        of = of == null ? List.of() : List.copyOf(of);
    }

    /** One of a set. */
    public FileResult(
            String name,
            int pages,
            boolean repaired,
            Optional<Integer> shown,
            Optional<String> problem) {
        this(name, pages, repaired, shown, problem, List.of(), Optional.empty());
    }

    /** With what is not as it should be, or differs. */
    public FileResult withProblem(Optional<String> changed, Optional<Difference> seen) {
        return new FileResult(name, pages, repaired, shown, changed, of, seen);
    }

    /**
     * One that was written and read back.
     *
     * @param wrong the numbers of pages that are not as they should be
     */
    public static FileResult of(
            String name, int pages, boolean repaired, int shown, List<Integer> wrong) {
        return new FileResult(
                name,
                pages,
                repaired,
                Optional.of(shown),
                wrong.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                "Read back: %s %s not as they should be."
                                        .formatted(
                                                wrong.size() == 1 ? "page" : "pages",
                                                wrong.stream()
                                                                .limit(20)
                                                                .map(String::valueOf)
                                                                .collect(Collectors.joining(", "))
                                                        + (wrong.size() == 1 ? " is" : " are"))));
    }
}
