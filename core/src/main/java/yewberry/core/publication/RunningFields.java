package yewberry.core.publication;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Optional;
import yewberry.core.Refused;

/**
 * What running numbers and dates of a publication read.
 *
 * @param digits that a running number has at least, with zeros in front
 * @param start the first running number
 * @param restarts whether each file begins with it again
 * @param date that texts say; nothing where they say none
 * @param form how it is written
 * @throws Refused if there are not 1 to 12 digits, or the start is below 0
 */
public record RunningFields(
        int digits, int start, boolean restarts, Optional<LocalDate> date, DateForm form) {
    public static final RunningFields USUAL =
            new RunningFields(6, 1, false, Optional.empty(), DateForm.LONG);

    private static final int MOST_DIGITS = 12;

    /** How a date is written. */
    public enum DateForm {
        /** As the language has it. */
        LONG(""),
        SHORT("d.M.uuuu"),
        /** ISO 8601. */
        ISO("uuuu-MM-dd"),
        MONTH("MMMM uuuu");

        private final String pattern;

        DateForm(String pattern) {
            this.pattern = pattern;
        }
    }

    public RunningFields {
        if (digits < 1 || digits > MOST_DIGITS) {
            throw new Refused(
                    "A running number has 1 to %d digits, not %d.".formatted(MOST_DIGITS, digits));
        }
        if (start < 0) {
            throw new Refused("A running number begins with 0 or more, not %d.".formatted(start));
        }
    }

    /**
     * @param place of the page among those that are counted together, from 0
     */
    public String number(int place) {
        return ("%0" + digits + "d").formatted((long) start + place);
    }

    /** The date in the words of a language; empty where there is none. */
    public String date(Language language) {
        Locale locale = Locale.forLanguageTag(language.tag());
        DateTimeFormatter formatter =
                form == DateForm.LONG
                        ? DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(locale)
                        : DateTimeFormatter.ofPattern(form.pattern, locale);
        return date.map(formatter::format).orElse("");
    }
}
