package yewberry.core.text;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.text.Bidi;
import yewberry.core.publication.Letters;

/** The letters of a word as one shape, for words that are drawn and not read. */
public final class WordShape {
    private WordShape() {}

    /**
     * The outlines of a word in one line that begins at the origin of its baseline, y down, at a
     * size of one point. A character that the face has no shape for is taken from another that has.
     */
    public static Path2D of(String word, Face face) {
        Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        boolean leftward =
                !new Bidi(word, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight();
        double x = 0;
        int from = 0;
        while (from < word.length()) {
            Face own = showing(word.codePointAt(from), face);
            int to = from;
            while (to < word.length() && showing(word.codePointAt(to), face).equals(own)) {
                to += Character.charCount(word.codePointAt(to));
            }
            Glyphs glyphs = own.shape(word.substring(from, to), 0, Letters.USUAL, leftward);
            if (leftward) {
                x -= glyphs.width();
            }
            for (int i = 0; i < glyphs.ids().length; i++) {
                double place = leftward ? glyphs.width() - glyphs.x()[i + 1] : glyphs.x()[i];
                AffineTransform at = AffineTransform.getTranslateInstance(x + place, glyphs.y()[i]);
                path.append(at.createTransformedShape(own.outline(glyphs.ids()[i]).path()), false);
            }
            if (!leftward) {
                x += glyphs.width();
            }
            from = to;
        }
        path.transform(AffineTransform.getScaleInstance(1 / Face.UNITS, 1 / Face.UNITS));
        return path;
    }

    /**
     * The same in the middle of a rectangle, as large as it lets it, or of a size in points.
     *
     * @param size 0 for as large as fits
     */
    public static Path2D within(Rectangle2D rect, String word, Face face, double size) {
        Path2D path = of(word, face);
        Rectangle2D ink = path.getBounds2D();
        double scale =
                size > 0 || ink.isEmpty()
                        ? Math.max(size, 1)
                        : Math.min(
                                rect.getWidth() / ink.getWidth(),
                                rect.getHeight() / ink.getHeight());
        AffineTransform place =
                AffineTransform.getTranslateInstance(rect.getCenterX(), rect.getCenterY());
        place.scale(scale, scale);
        place.translate(-ink.getCenterX(), -ink.getCenterY());
        path.transform(place);
        return path;
    }

    private static Face showing(int codePoint, Face face) {
        return face.shows(codePoint) ? face : FontLibrary.showing(codePoint, face).orElse(face);
    }
}
