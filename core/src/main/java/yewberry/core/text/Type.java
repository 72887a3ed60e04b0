package yewberry.core.text;

import java.util.Optional;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Letters;
import yewberry.core.publication.Look;

/**
 * What characters are set in.
 *
 * @param size in points
 * @param tracking between characters, in thousandths of the size
 * @param letters which shapes of the face are drawn
 * @param level of embedding as UAX #9 has it; at odd ones text runs leftward
 */
public record Type(Face face, double size, double tracking, Letters letters, int level) {
    /** One in the face's usual shapes. */
    public Type(Face face, double size, double tracking) {
        this(face, size, tracking, Letters.USUAL, 0);
    }

    /** That of a paragraph's look, with what a look of characters sets. */
    public static Type of(Look look, Optional<CharacterLook> characters) {
        String family = characters.flatMap(CharacterLook::family).orElse(look.family());
        int weight = characters.flatMap(CharacterLook::weight).orElse(look.weight());
        boolean italic = characters.flatMap(CharacterLook::italic).orElse(look.italic());
        double size = characters.flatMap(CharacterLook::size).orElse(100.0) / 100;
        Letters letters = look.setting().letters();
        Face face = FontLibrary.nearest(family, weight, italic);
        return new Type(
                face,
                look.size().points() * size,
                characters.flatMap(CharacterLook::tracking).orElse(look.setting().tracking()),
                new Letters(
                        characters.flatMap(CharacterLook::capitals).orElse(letters.capitals()),
                        characters.flatMap(CharacterLook::figures).orElse(letters.figures())),
                0);
    }

    /**
     * The type that one character is set in: this, or where its face has no shape for that, one of
     * another shipped family that has.
     */
    Type showing(int codePoint) {
        boolean shown =
                codePoint < 0x7f && face.showsAscii()
                        || Characters.isDrawnByAll(codePoint)
                        || face.shows(codePoint);
        if (shown) {
            return this;
        }
        return FontLibrary.showing(codePoint, face)
                .map(other -> new Type(other, size, tracking, letters, level))
                .orElse(this);
    }

    Type at(int embedding) {
        return embedding == level ? this : new Type(face, size, tracking, letters, embedding);
    }

    /** Whether text runs from the right to the left in it. */
    public boolean leftward() {
        return level % 2 == 1;
    }

    /** Thousandths of the size to points. */
    public double scale() {
        return size / Face.UNITS;
    }

    /** From the baseline up to the top of the face, in points. */
    public double ascent() {
        return face.ascent() * scale();
    }

    /** From the baseline down to the bottom of the face, in points. */
    public double descent() {
        return face.descent() * scale();
    }

    /** How wide a space is with what follows it, in points. */
    public double space() {
        return Math.max(1, face.space() + tracking) * scale();
    }

    /** What stands in for a tab is as wide as a space. */
    Glyphs shape(String text) {
        String drawn = text.replace('\t', ' ');
        if (letters.capitals() != Letters.Capitals.ALL) {
            return face.shape(drawn, tracking, letters, leftward());
        }
        Capitals capitals = Capitals.of(drawn);
        return capitals.of(face.shape(capitals.text(), tracking, letters, leftward()));
    }
}
