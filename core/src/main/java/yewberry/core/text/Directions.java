package yewberry.core.text;

import com.ibm.icu.text.Bidi;
import java.util.List;
import java.util.stream.IntStream;

/** In which direction text runs: the Unicode Bidirectional Algorithm (UAX #9), by ICU. */
final class Directions {
    private static final byte[] NONE = {};

    /** Of each character; empty where all run rightward. */
    private final byte[] levels;

    private final boolean leftward;

    private Directions(byte[] levels, boolean leftward) {
        this.levels = levels;
        this.leftward = leftward;
    }

    /** Those of a paragraph, which itself runs as its first strong character does. */
    static Directions of(String text) {
        char[] chars = text.toCharArray();
        return Bidi.requiresBidi(chars, 0, chars.length)
                ? of(text, Bidi.LEVEL_DEFAULT_LTR)
                : new Directions(NONE, false);
    }

    /**
     * @param level of the paragraph, or {@link Bidi#LEVEL_DEFAULT_LTR}
     */
    static Directions of(String text, byte level) {
        Bidi bidi = new Bidi(text, level);
        return new Directions(bidi.getLevels(), bidi.getParaLevel() % 2 == 1);
    }

    /** Whether the paragraph begins at the right. */
    boolean leftward() {
        return leftward;
    }

    /** The level of embedding of a character. */
    int level(int character) {
        return character < levels.length ? levels[character] : 0;
    }

    /** The order from left to right of what stands in a line, given the level of each in turn. */
    static List<Integer> visual(List<Integer> levels) {
        if (levels.stream().allMatch(level -> level == 0)) {
            return IntStream.range(0, levels.size()).boxed().toList();
        }
        byte[] of = new byte[levels.size()];
        for (int i = 0; i < of.length; i++) {
            of[i] = levels.get(i).byteValue();
        }
        return IntStream.of(Bidi.reorderVisual(of)).boxed().toList();
    }
}
