package yewberry.server.view;

import java.util.List;
import yewberry.core.output.OfficePrinter;

/**
 * What comes out of a simulated office printer.
 *
 * @param printers that there are
 * @param pages as they come out
 */
public record OfficePrintView(List<OfficePrinter> printers, List<Printed> pages) {
    /**
     * A page.
     *
     * @param number of what is on one side, from 1
     * @param label the number of the page, or of both
     * @param sheet that it comes out on, and the side
     * @param troubles words that cannot be read there, and why
     */
    public record Printed(int number, String label, String sheet, List<Unreadable> troubles) {}

    public record Unreadable(String words, String why) {}
}
