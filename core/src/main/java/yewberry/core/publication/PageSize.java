package yewberry.core.publication;

import java.util.List;
import yewberry.core.Refused;

/**
 * The trim size: what a page measures when it has been cut.
 *
 * @throws Refused if a side is under 10 mm or over 5080 mm (200 in, the largest page of PDF 1.7
 *     without a user unit: ISO 32000-1, annex C.2)
 */
public record PageSize(Length width, Length height) {
    private static final double SMALLEST_MM = 10;
    private static final double LARGEST_MM = 5080;

    public PageSize {
        check("wide", width);
        check("high", height);
    }

    private static void check(String direction, Length length) {
        if (length.millimetres() < SMALLEST_MM || length.millimetres() > LARGEST_MM) {
            throw new Refused(
                    "A page %s %s is not possible; choose from 10 mm to 5080 mm."
                            .formatted(length.inWords(), direction));
        }
    }

    /** A size with the name the trade knows it by. */
    public record Named(String name, PageSize size) {}

    /**
     * ISO 216 A series, two common ISO B sizes, and the common North American sizes (ANSI Y14.1).
     */
    public static List<Named> common() {
        return List.of(
                mm("A3", 297, 420),
                mm("A4", 210, 297),
                mm("A5", 148, 210),
                mm("A6", 105, 148),
                mm("A7", 74, 105),
                mm("B4", 250, 353),
                mm("B5", 176, 250),
                mm("DL leaflet", 99, 210),
                mm("Square", 210, 210),
                inches("Letter", 8.5, 11),
                inches("Tabloid", 11, 17),
                inches("Half letter", 5.5, 8.5));
    }

    private static Named mm(String name, double width, double height) {
        return new Named(name, new PageSize(Length.mm(width), Length.mm(height)));
    }

    private static Named inches(String name, double width, double height) {
        return new Named(
                name, new PageSize(new Length(width, Unit.IN), new Length(height, Unit.IN)));
    }
}
