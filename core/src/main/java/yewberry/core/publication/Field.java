package yewberry.core.publication;

import java.util.EnumSet;
import java.util.Set;

/**
 * What a text says of the page that it stands on. In a text each is one character of those that
 * Unicode leaves to a program's own use and gives no other meaning (Unicode, noncharacters).
 */
public enum Field {
    /** The number of the page, from 1. */
    PAGE('\ufdd0'),
    /** How many pages there are. */
    PAGES('\ufdd1'),
    /** The name of the part that the page is in. */
    PART('\ufdd2'),
    /** The name of the publication. */
    PUBLICATION('\ufdd3'),
    /** The name of the file that the page is one of, or nothing. */
    FILE('\ufdd4'),
    /** The number of the page in its file, from 1; where it is of none that in the publication. */
    FILE_PAGE('\ufdd5'),
    /** How many pages its file has; where it is of none how many the publication has. */
    FILE_PAGES('\ufdd6'),
    /** The number of the page through all files, as the publication writes such numbers. */
    RUNNING_NUMBER('\ufdd7'),
    /** The date of the publication, as it writes it. */
    DATE('\ufdd8');

    private static final char FIRST = PAGE.character;
    private static final char LAST = DATE.character;

    private final char character;

    Field(char character) {
        this.character = character;
    }

    /** That stands for it in a text. */
    public char character() {
        return character;
    }

    public static boolean is(int character) {
        return character >= FIRST && character <= LAST;
    }

    /** That a character stands for. */
    public static Field of(char character) {
        return values()[character - FIRST];
    }

    /** Those in a text. */
    public static Set<Field> in(Story story) {
        Set<Field> found = EnumSet.noneOf(Field.class);
        for (Paragraph paragraph : story.paragraphs()) {
            for (Run run : paragraph.runs()) {
                run.text().chars().filter(Field::is).forEach(each -> found.add(of((char) each)));
            }
        }
        return found;
    }

    /** Whether a paragraph has any. */
    public static boolean isIn(Paragraph paragraph) {
        return paragraph.runs().stream().anyMatch(run -> run.text().chars().anyMatch(Field::is));
    }
}
