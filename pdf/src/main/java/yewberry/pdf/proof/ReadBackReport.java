package yewberry.pdf.proof;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

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

    /** The numbers of pages that differ. */
    public List<Integer> wrong() {
        return pages.stream().filter(page -> !page.matches()).map(PageReport::number).toList();
    }

    /**
     * @param number of the page in the file, from 1
     * @param label that readers show for it, such as its number in the publication; nothing where
     *     it is its number in the file
     * @param page of the publication that it was held against; nothing where it was another file's
     * @param facing the page to the right of that, where both are one in the file
     * @param matches whether nothing on the page differs
     * @param painted how the whole page compares, pixel by pixel
     * @param problems each thing that is missing, moved, misread or not as it was written
     * @param other the page of the file that it was compared with, or, of a file that was made
     *     before and whose pages stand elsewhere now, the page in it; else nothing
     */
    public record PageReport(
            int number,
            Optional<String> label,
            Optional<UUID> page,
            Optional<UUID> facing,
            boolean matches,
            List<BoxCheck> boxes,
            PaintCheck painted,
            List<TextColorCheck> textColors,
            List<String> problems,
            Optional<OtherPage> other) {
        static PageReport of(
                int number,
                List<BoxCheck> boxes,
                PaintCheck painted,
                List<TextColorCheck> textColors,
                List<String> problems) {
            boolean matches =
                    problems.isEmpty()
                            && painted.matches()
                            && boxes.stream().allMatch(BoxCheck::matches)
                            && textColors.stream().allMatch(TextColorCheck::matches);
            return new PageReport(
                    number,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    matches,
                    boxes,
                    painted,
                    textColors,
                    List.copyOf(problems),
                    Optional.empty());
        }

        /** The pages of the publication that it was held against, from left to right. */
        public List<UUID> pages() {
            return Stream.of(page, facing).flatMap(Optional::stream).toList();
        }

        /**
         * @param scene one page, or two that face each other
         */
        PageReport heldAgainst(List<UUID> scene) {
            return with(label, scene, other);
        }

        PageReport labelled(String shown) {
            Optional<String> told =
                    Optional.of(shown).filter(each -> !each.equals(String.valueOf(number)));
            return with(told, pages(), other);
        }

        PageReport withOther(OtherPage before) {
            return with(label, pages(), Optional.of(before));
        }

        private PageReport with(
                Optional<String> shown, List<UUID> against, Optional<OtherPage> before) {
            return new PageReport(
                    number,
                    shown,
                    against.stream().findFirst(),
                    against.stream().skip(1).findFirst(),
                    matches,
                    boxes,
                    painted,
                    textColors,
                    problems,
                    before);
        }
    }

    /**
     * A page of another file.
     *
     * @param number of the page in it, from 1
     * @param label that readers show for it
     */
    public record OtherPage(int number, String label) {}

    /** A page box; sides in points. */
    public record BoxCheck(String box, Extent expected, Extent found, boolean matches) {}

    /** A box from its lower left corner, in points. */
    public record Extent(double x, double y, double width, double height) {}

    /**
     * The page as the file paints it, against Yewberry's own drawing of it.
     *
     * @param ppi pixels per inch that both were painted in
     * @param largest difference in percent of a plate, or of light
     * @param plate that it is on, in words
     * @param x millimetres from the left edge of the trim to it
     * @param y millimetres from the top edge of the trim to it
     * @param share of the page that differs, in percent
     * @param picture where it differs, as a PNG file in base64; nothing where it does not
     */
    public record PaintCheck(
            int ppi,
            double largest,
            String plate,
            double x,
            double y,
            double share,
            boolean matches,
            Optional<String> picture) {}

    /**
     * @param color in words
     * @param glyphs how many glyphs were to be in this colour
     * @param found how many are, at their place
     */
    public record TextColorCheck(String color, int glyphs, int found, boolean matches) {}
}
