package yewberry.core.output;

import yewberry.core.Refused;
import yewberry.core.publication.Length;

/**
 * What is printed around a page for whoever cuts and checks it, outside its bleed.
 *
 * @param crop lines where it is trimmed
 * @param registration crosses that show whether the plates lie on each other
 * @param patches fields of each ink
 * @param jobLine what file it is of, which page, and when it was made
 * @param length of the lines
 * @param weight of the lines
 * @param distance from the trim to the lines, at least the bleed
 * @throws Refused if a length is not one that can be printed
 */
public record PrinterMarks(
        boolean crop,
        boolean registration,
        boolean patches,
        boolean jobLine,
        Length length,
        Length weight,
        Length distance) {
    /** 5 mm long, a quarter of a point, 3 mm off: common practice, no source. */
    public static final PrinterMarks USUAL =
            new PrinterMarks(true, true, true, true, Length.mm(5), Length.pt(0.25), Length.mm(3));

    private static final double LONGEST = 30;

    public PrinterMarks {
        between("Marks are", length, 1, LONGEST);
        between("A distance of marks is", distance, 0, LONGEST);
        if (!(weight.points() >= 0.1 && weight.points() <= 3)) {
            throw new Refused(
                    "Lines of marks are 0.1 to 3 pt thick: thinner ones may not print, thicker ones do not tell where to cut.");
        }
    }

    private static void between(String what, Length length, double least, double most) {
        if (!(length.millimetres() >= least && length.millimetres() <= most)) {
            throw new Refused(
                    "%s from %.0f to %.0f mm; choose a length between."
                            .formatted(what, least, most));
        }
    }

    public boolean any() {
        return crop || registration || patches || jobLine;
    }

    /**
     * How far the sheet goes beyond the trim, in points.
     *
     * @param bleed the largest of the page
     */
    public double beyond(double bleed) {
        return offset(bleed) + Math.max(length.points(), Length.mm(6).points());
    }

    /**
     * How far from the trim the lines begin, in points: outside the bleed whatever is set.
     *
     * @param bleed the largest of the page
     */
    public double offset(double bleed) {
        return Math.max(distance.points(), bleed);
    }
}
