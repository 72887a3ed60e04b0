package yewberry.pdf;

import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import yewberry.core.color.Cmyk;
import yewberry.core.output.PrinterMarks;
import yewberry.core.scene.Cubics;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.Rect;
import yewberry.core.text.Face;
import yewberry.core.text.FontLibrary;

/**
 * What is printed around a page for whoever cuts and checks it, as an artifact: lines in all inks
 * (ISO 32000-1, 8.6.6.4: the colorant All), fields of each, and a line of text.
 */
public final class SheetMarks {
    /** Of a cross, a patch and a line of text, in points. */
    private static final double CROSS = 4;

    private static final double PATCH = 12;
    private static final double TYPE = 6;

    private static final List<Cmyk> PATCHES =
            List.of(
                    new Cmyk(100, 0, 0, 0),
                    new Cmyk(0, 100, 0, 0),
                    new Cmyk(0, 0, 100, 0),
                    new Cmyk(0, 0, 0, 100),
                    new Cmyk(50, 0, 0, 0),
                    new Cmyk(0, 50, 0, 0),
                    new Cmyk(0, 0, 50, 0),
                    new Cmyk(0, 0, 0, 50));

    private final PrinterMarks marks;
    private final Rect trim;
    private final double offset;
    private final double middle;
    private final PageBoxes boxes;

    SheetMarks(PrinterMarks marks, PageBoxes boxes) {
        this.marks = marks;
        this.boxes = boxes;
        this.trim = boxes.trim();
        this.offset = marks.offset(bleed(boxes));
        this.middle = offset + (marks.beyond(bleed(boxes)) - offset) / 2;
    }

    /** The largest bleed of a page, in points. */
    static double bleed(PageBoxes boxes) {
        Rect trim = boxes.trim();
        Rect bleed = boxes.bleed();
        return DoubleStream.of(
                        trim.x() - bleed.x(),
                        trim.y() - bleed.y(),
                        bleed.right() - trim.right(),
                        bleed.bottom() - trim.bottom())
                .max()
                .orElse(0);
    }

    void draw(Sheet sheet, String jobLine) throws IOException {
        sheet.beginMarks(marks.weight().points());
        lines(marks, boxes).forEach(sheet::mark);
        if (marks.patches()) {
            double x = trim.x() + trim.width() / 2 + 4 * CROSS;
            for (int i = 0; i < PATCHES.size() && x + PATCH < trim.right(); i++) {
                sheet.patch(
                        PATCHES.get(i), new Rect(x, trim.y() - middle - PATCH / 2, PATCH, PATCH));
                x += PATCH;
            }
        }
        if (marks.jobLine()) {
            Face face = FontLibrary.face("Source Sans 3", 400, false);
            sheet.line(
                    jobLine,
                    face,
                    TYPE,
                    trim.x() + 2,
                    trim.bottom() + middle + TYPE / 2,
                    trim.width() / 2 - 4 * CROSS);
        }
        sheet.endMarks();
    }

    /**
     * The lines around a page, in points from the top left corner of its trim: those that show
     * where it is cut, then crosses.
     */
    public static List<Path2D> lines(PrinterMarks marks, PageBoxes boxes) {
        SheetMarks of = new SheetMarks(marks, boxes);
        List<Path2D> lines = new ArrayList<>();
        if (marks.crop()) {
            of.crop(lines);
        }
        if (marks.registration()) {
            of.registration(lines);
        }
        return lines;
    }

    private void crop(List<Path2D> lines) {
        double to = offset + marks.length().points();
        for (double x : new double[] {trim.x(), trim.right()}) {
            lines.add(line(x, trim.y() - offset, x, trim.y() - to));
            lines.add(line(x, trim.bottom() + offset, x, trim.bottom() + to));
        }
        for (double y : new double[] {trim.y(), trim.bottom()}) {
            lines.add(line(trim.x() - offset, y, trim.x() - to, y));
            lines.add(line(trim.right() + offset, y, trim.right() + to, y));
        }
    }

    private void registration(List<Path2D> lines) {
        double x = trim.x() + trim.width() / 2;
        double y = trim.y() + trim.height() / 2;
        double[][] places = {
            {x, trim.y() - middle},
            {x, trim.bottom() + middle},
            {trim.x() - middle, y},
            {trim.right() + middle, y}
        };
        for (double[] at : places) {
            lines.add(line(at[0] - CROSS, at[1], at[0] + CROSS, at[1]));
            lines.add(line(at[0], at[1] - CROSS, at[0], at[1] + CROSS));
            lines.add(
                    Cubics.of(
                            new Ellipse2D.Double(
                                    at[0] - CROSS / 2, at[1] - CROSS / 2, CROSS, CROSS)));
        }
    }

    private static Path2D line(double fromX, double fromY, double toX, double toY) {
        Path2D line = new Path2D.Double();
        line.moveTo(fromX, fromY);
        line.lineTo(toX, toY);
        return line;
    }
}
