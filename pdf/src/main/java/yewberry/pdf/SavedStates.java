package yewberry.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
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
        Optional<SavedStates> plain = Optional.empty();
        try (InputStream content = page.getContents()) {
            plain = ofPlain(content.readAllBytes());
        } catch (IOException unreadable) {
            // it is read as far as it can be
        }
        return plain.orElseGet(() -> parsed(page));
    }

    private static SavedStates parsed(PDPage page) {
        Count count = new Count();
        try {
            PDFStreamParser parser = new PDFStreamParser(page);
            for (Object token = parser.parseNextToken();
                    token != null;
                    token = parser.parseNextToken()) {
                if (token instanceof Operator operator) {
                    switch (operator.getName()) {
                        case OperatorName.SAVE -> count.save();
                        case OperatorName.RESTORE -> count.restore();
                        default -> {}
                    }
                }
            }
        } catch (IOException unreadable) {
            // a reader stops there, too
        }
        return count.states();
    }

    private static final class Count {
        private int depth;
        private int lowest;

        void save() {
            depth++;
        }

        void restore() {
            lowest = Math.min(lowest, --depth);
        }

        SavedStates states() {
            return new SavedStates(-lowest, depth - lowest);
        }
    }

    /**
     * Most content is so plain that its operators are found without reading what they are given
     * (ISO 32000-1, 7.2 and 7.8.2).
     *
     * @return nothing where it has anything else: images, strings within strings, or words that run
     *     into each other
     */
    static Optional<SavedStates> ofPlain(byte[] content) {
        Count count = new Count();
        boolean inArray = false;
        int at = 0;
        while (at < content.length) {
            switch (content[at]) {
                case 0, '\t', '\n', '\f', '\r', ' ' -> at++;
                case '[', ']' -> {
                    if (inArray == (content[at] == '[')) {
                        return Optional.empty();
                    }
                    inArray = !inArray;
                    at++;
                }
                case '(' -> {
                    at = afterString(content, at + 1);
                    if (at < 0) {
                        return Optional.empty();
                    }
                }
                case '/' -> at = afterWord(content, at + 1);
                case '<' -> {
                    int end = at + 1;
                    while (end < content.length && isHex(content[end])) {
                        end++;
                    }
                    if (end == content.length || content[end] != '>') {
                        return Optional.empty();
                    }
                    at = end + 1;
                }
                default -> {
                    int end = afterWord(content, at);
                    if (inArray && !isNumber(content, at, end)) {
                        return Optional.empty();
                    }
                    if (end == at + 1 && content[at] == 'q') {
                        count.save();
                    } else if (end == at + 1 && content[at] == 'Q') {
                        count.restore();
                    } else if (!isPlain(content, at, end)) {
                        return Optional.empty();
                    }
                    at = end;
                }
            }
        }
        return inArray ? Optional.empty() : Optional.of(count.states());
    }

    private static int afterString(byte[] content, int from) {
        for (int at = from; at < content.length; at++) {
            switch (content[at]) {
                case '\\' -> at++;
                case '(' -> {
                    return -1;
                }
                case ')' -> {
                    return at + 1;
                }
                default -> {}
            }
        }
        return -1;
    }

    private static int afterWord(byte[] content, int from) {
        int at = from;
        while (at < content.length && !isBetweenWords(content[at])) {
            at++;
        }
        return at;
    }

    private static boolean isBetweenWords(byte each) {
        return switch (each) {
            case 0, '\t', '\n', '\f', '\r', ' ' -> true;
            case '(', ')', '<', '>', '[', ']', '{', '}', '/', '%' -> true;
            default -> false;
        };
    }

    private static boolean isHex(byte each) {
        return Character.digit(each, 16) >= 0 || each == ' ' || each == '\n' || each == '\r';
    }

    private static boolean isNumber(byte[] content, int from, int to) {
        for (int at = from; at < to; at++) {
            if ((content[at] < '0' || content[at] > '9') && ".+-".indexOf(content[at]) < 0) {
                return false;
            }
        }
        return to > from;
    }

    /** A number, or an operator that neither saves nor restores, and is none of an image's (BI). */
    private static boolean isPlain(byte[] content, int from, int to) {
        for (int at = from; at < to; at++) {
            byte each = content[at];
            boolean usual =
                    each >= 'a' && each <= 'z'
                            || each >= 'A' && each <= 'Z'
                            || each >= '0' && each <= '9'
                            || ".+-*'\"".indexOf(each) >= 0;
            if (!usual || each == 'I' || each == 'q' || each == 'Q') {
                return false;
            }
        }
        return to > from;
    }
}
