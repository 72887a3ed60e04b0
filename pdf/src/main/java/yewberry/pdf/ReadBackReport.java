package yewberry.pdf;

import java.util.List;
import java.util.Optional;

/**
 * What was found when an exported file was opened again, held against what it was made from.
 *
 * @param matches whether nothing at all differs
 * @param problems what is wrong with the file as a whole
 */
public record ReadBackReport(boolean matches, List<PageReport> pages, List<String> problems) {
    static ReadBackReport of(List<PageReport> pages, List<String> problems) {
        boolean matches = problems.isEmpty() && pages.stream().allMatch(PageReport::matches);
        return new ReadBackReport(matches, List.copyOf(pages), List.copyOf(problems));
    }

    /**
     * @param number of the page, from 1
     * @param matches whether nothing on the page differs
     * @param problems each place where text is missing, moved, misread or in another colour
     */
    public record PageReport(
            int number,
            boolean matches,
            List<BoxCheck> boxes,
            List<CornerCheck> corners,
            List<TextColorCheck> textColors,
            List<String> problems) {
        static PageReport of(
                int number,
                List<BoxCheck> boxes,
                List<CornerCheck> corners,
                List<TextColorCheck> textColors,
                List<String> problems) {
            boolean matches =
                    problems.isEmpty()
                            && boxes.stream().allMatch(BoxCheck::matches)
                            && corners.stream().allMatch(CornerCheck::matches)
                            && textColors.stream().allMatch(TextColorCheck::matches);
            return new PageReport(
                    number, matches, boxes, corners, textColors, List.copyOf(problems));
        }
    }

    /** A page box; sides in points. */
    public record BoxCheck(String box, Extent expected, Extent found, boolean matches) {}

    /** A box from its lower left corner, in points. */
    public record Extent(double x, double y, double width, double height) {}

    /** What stands in a corner of the bleed, in words; nothing is the bare stock. */
    public record CornerCheck(
            String corner, Optional<String> expected, Optional<String> found, boolean matches) {}

    /**
     * @param color in words
     * @param glyphs how many glyphs were to be in this colour
     * @param found how many are, at their place
     */
    public record TextColorCheck(String color, int glyphs, int found, boolean matches) {}
}
