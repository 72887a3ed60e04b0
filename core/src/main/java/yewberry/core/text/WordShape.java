package yewberry.core.text;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.text.Bidi;
import yewberry.core.publication.Letters;

/** The letters of a word as one shape, for words that are drawn and not read. */
public final class WordShape {
    /** Letters of all copies together: more than anyone reads, and few enough to be drawn. */
    static final int MOST = 3_000;

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

    /**
     * Copies of the same in rows and columns, as many as lie wholly in a rectangle, with equal
     * margins. Where these would be more than {@value #MOST} letters, they are set further apart.
     *
     * @param size in points
     * @param across at least between one and the next in a row, in points
     * @param down at least between one row and the next, in points
     * @param angle of each about its middle, in degrees clockwise
     */
    public static Path2D repeated(
            Rectangle2D rect,
            String word,
            Face face,
            double size,
            double across,
            double down,
            double angle) {
        Path2D one = of(word, face);
        Rectangle2D ink = one.getBounds2D();
        AffineTransform upright = AffineTransform.getRotateInstance(Math.toRadians(angle));
        upright.scale(size, size);
        upright.translate(-ink.getCenterX(), -ink.getCenterY());
        one.transform(upright);
        Rectangle2D box = one.getBounds2D();
        int columns = fitting(rect.getWidth(), box.getWidth(), across);
        int rows = fitting(rect.getHeight(), box.getHeight(), down);
        int most = Math.max(1, MOST / word.length());
        if ((long) columns * rows > most) {
            double fewer = Math.sqrt(most / ((double) columns * rows));
            columns = Math.clamp((int) (columns * fewer), 1, most);
            rows = Math.clamp(rows, 1, most / columns);
        }
        Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                AffineTransform to =
                        AffineTransform.getTranslateInstance(
                                rect.getX() + rect.getWidth() * (column + 0.5) / columns,
                                rect.getY() + rect.getHeight() * (row + 0.5) / rows);
                to.translate(-box.getCenterX(), -box.getCenterY());
                all.append(to.createTransformedShape(one), false);
            }
        }
        return all;
    }

    /** At least one, even where it sticks out. */
    private static int fitting(double room, double one, double gap) {
        return (int) Math.clamp(Math.floor((room + 1e-6) / Math.max(one + gap, 1e-3)), 1, 100_000);
    }

    private static Face showing(int codePoint, Face face) {
        return face.shows(codePoint) ? face : FontLibrary.showing(codePoint, face).orElse(face);
    }
}
