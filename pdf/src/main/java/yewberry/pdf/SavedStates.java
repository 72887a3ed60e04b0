package yewberry.pdf;

import java.io.IOException;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * How often a page's content saves and restores the graphics state more than it does the other.
 *
 * @param missing how many more it restores than it has saved by then
 * @param open how many it leaves saved, the missing ones given to it
 */
record SavedStates(int missing, int open) {
    /** Content that cannot be read to its end counts as far as it can. */
    static SavedStates of(PDPage page) {
        int depth = 0;
        int lowest = 0;
        try {
            PDFStreamParser parser = new PDFStreamParser(page);
            for (Object token = parser.parseNextToken();
                    token != null;
                    token = parser.parseNextToken()) {
                if (token instanceof Operator operator) {
                    switch (operator.getName()) {
                        case OperatorName.SAVE -> depth++;
                        case OperatorName.RESTORE -> lowest = Math.min(lowest, --depth);
                        default -> {}
                    }
                }
            }
        } catch (IOException unreadable) {
            // a reader stops there, too
        }
        return new SavedStates(-lowest, depth - lowest);
    }
}
