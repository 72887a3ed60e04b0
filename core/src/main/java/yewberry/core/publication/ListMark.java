package yewberry.core.publication;

import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * What stands before each paragraph of a list: where its first line begins, the text after it at
 * the left indent, or where there is room.
 *
 * @param level in the list, from 1; those farther in begin anew after one that is less far in
 * @param look of its characters
 * @throws Refused if the level is not within 1 to 9
 */
public record ListMark(Mark mark, int level, Optional<UUID> look) {
    private static final int DEEPEST = 9;
    private static final int LONGEST = 12;

    public ListMark {
        if (level < 1 || level > DEEPEST) {
            throw new Refused("Lists have levels from 1 to %d.".formatted(DEEPEST));
        }
    }

    public sealed interface Mark {}

    /** The same characters each time. */
    public record Bullet(String text) implements Mark {
        public Bullet {
            check(text);
            if (text.isBlank()) {
                throw new Refused("Write the sign that stands before each paragraph, such as •.");
            }
        }
    }

    /**
     * A number.
     *
     * @param before it, such as an opening bracket
     * @param after it, such as a full stop
     * @param higher whether the number of the level above stands before it, as in 2.1
     * @param onward whether it counts on after paragraphs that are not in the list, as those of
     *     headings do
     */
    public record Numbered(
            NumberStyle style, String before, String after, boolean higher, boolean onward)
            implements Mark {
        public Numbered {
            check(before);
            check(after);
        }
    }

    public enum NumberStyle {
        FIGURES,
        LOWER_LETTERS,
        UPPER_LETTERS,
        LOWER_ROMAN,
        UPPER_ROMAN;

        private static final int LETTERS = 26;
        private static final int MOST_ROMAN = 3999;
        private static final int[] VALUES = {1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1};
        private static final String[] ROMAN = {
            "m", "cm", "d", "cd", "c", "xc", "l", "xl", "x", "ix", "v", "iv", "i"
        };

        /**
         * A number as it is written: letters go on with aa after z; what Roman figures cannot write
         * is in others.
         *
         * @param number from 1
         */
        public String written(int number) {
            return switch (this) {
                case FIGURES -> String.valueOf(number);
                case LOWER_LETTERS -> letters(number);
                case UPPER_LETTERS -> letters(number).toUpperCase(Locale.ROOT);
                case LOWER_ROMAN -> roman(number);
                case UPPER_ROMAN -> roman(number).toUpperCase(Locale.ROOT);
            };
        }

        private static String letters(int number) {
            StringBuilder letters = new StringBuilder();
            for (int rest = number; rest > 0; rest = (rest - 1) / LETTERS) {
                letters.insert(0, (char) ('a' + (rest - 1) % LETTERS));
            }
            return letters.toString();
        }

        private static String roman(int number) {
            if (number > MOST_ROMAN) {
                return String.valueOf(number);
            }
            StringBuilder roman = new StringBuilder();
            int rest = number;
            for (int i = 0; i < VALUES.length; i++) {
                while (rest >= VALUES[i]) {
                    roman.append(ROMAN[i]);
                    rest -= VALUES[i];
                }
            }
            return roman.toString();
        }
    }

    private static void check(String text) {
        if (text.length() > LONGEST || text.codePoints().anyMatch(ListMark::isUnfit)) {
            throw new Refused(
                    "What stands before or after the number of a list, or instead of it, is at most %d characters."
                            .formatted(LONGEST));
        }
    }

    private static boolean isUnfit(int codePoint) {
        return Character.isISOControl(codePoint)
                || Character.getType(codePoint) == Character.SURROGATE
                || codePoint == '\u2028'
                || codePoint == '\u2029';
    }

    ListMark withReference(UUID old, UUID replacement) {
        return new ListMark(mark, level, look.map(each -> each.equals(old) ? replacement : each));
    }

    public ListMark withoutLook() {
        return new ListMark(mark, level, Optional.empty());
    }
}
