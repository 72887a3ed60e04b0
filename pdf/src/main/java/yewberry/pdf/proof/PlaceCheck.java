package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import yewberry.core.publication.RunOut;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.PaintedPage.PaintedFile;

/** Holds the edges of areas and the places of pictures and pages against those in the file. */
final class PlaceCheck {
    /** A hundredth of a millimetre, in points. */
    private static final double EDGE_TOLERANCE = 0.01 * 72 / 25.4;

    /** A tenth of a pixel at 300 per inch, in points. */
    private static final double PLACE_TOLERANCE = 0.025;

    /** What single precision can cost. */
    private static final double OPACITY_TOLERANCE = 0.001;

    private PlaceCheck() {}

    /**
     * @param shown what of the page a reader of the file sees, in the space of the page
     */
    static List<String> check(MediumScene scene, Rect shown, PaintedPage painted) {
        List<String> problems = new ArrayList<>();
        for (Item.Filled fill : scene.fills()) {
            if (fill.paint() instanceof AreaPaint.Picture picture) {
                AffineTransform place = place(picture.place(), scene.boxes().bleed());
                if (fill.bounds().intersection(shown).isEmpty()) {
                    continue;
                }
                List<PaintedPage.Mixing> here =
                        painted.files().stream()
                                .filter(file -> isAt(file, place, picture))
                                .map(PaintedFile::mixing)
                                .toList();
                if (here.isEmpty()) {
                    problems.add("“%s” is not at its place.".formatted(picture.inWords()));
                } else if (here.stream().noneMatch(each -> isAs(each, fill))) {
                    problems.add(
                            "“%s” is of another opacity or blended otherwise."
                                    .formatted(picture.inWords()));
                }
            } else {
                Rect visible = fill.bounds().intersection(shown);
                if (visible.isEmpty()) {
                    continue;
                }
                List<PaintedPage.Mixing> here =
                        painted.areas().stream()
                                .filter(area -> isAt(area.box(), visible, scene))
                                .map(PaintedPage.PaintedArea::mixing)
                                .toList();
                if (here.isEmpty()) {
                    problems.add(
                            "The %s in %s does not have its edges."
                                    .formatted(kind(fill), fill.inWords()));
                } else if (here.stream().noneMatch(each -> isAs(each, fill))) {
                    problems.add(
                            "The %s in %s is of another opacity or blended otherwise."
                                    .formatted(kind(fill), fill.inWords()));
                }
            }
        }
        return problems;
    }

    private static boolean isAs(PaintedPage.Mixing found, Item.Filled wanted) {
        return Math.abs(found.opacity() - wanted.opacity()) <= OPACITY_TOLERANCE
                && found.blend().equals(wanted.blend().standardName());
    }

    /** What it is, for people. */
    static String kind(Item.Filled fill) {
        return switch (fill) {
            case Item.AreaFill background -> "background";
            case Item.TextFill behind -> behind.kind().inWords().toLowerCase(Locale.ROOT);
            case Item.FrontFill front -> front.kind().toLowerCase(Locale.ROOT);
        };
    }

    private static boolean isAt(Rectangle2D area, Rect wanted, MediumScene scene) {
        Rect bleed = scene.boxes().bleed();
        return near(area.getMinX(), wanted.x() - bleed.x())
                && near(area.getMaxX(), wanted.right() - bleed.x())
                && near(area.getMinY(), bleed.bottom() - wanted.bottom())
                && near(area.getMaxY(), bleed.bottom() - wanted.y());
    }

    private static boolean near(double one, double other) {
        return Math.abs(one - other) <= EDGE_TOLERANCE;
    }

    private static boolean repeats(AreaPaint.Picture picture) {
        return picture.tiled() || picture.runOut() == RunOut.MIRROR;
    }

    /** From a square of one unit, whose origin is at the bottom left, to the page. */
    private static AffineTransform place(PicturePlace place, Rect bleed) {
        return new AffineTransform(
                place.acrossX(),
                -place.acrossY(),
                -place.downX(),
                place.downY(),
                place.x() + place.downX() - bleed.x(),
                bleed.bottom() - place.y() - place.downY());
    }

    /** Copies of a picture that repeats are whole steps away and may be turned over. */
    private static boolean isAt(
            PaintedFile file, AffineTransform place, AreaPaint.Picture picture) {
        AffineTransform off = file.matrix().createAffineTransform();
        try {
            off.preConcatenate(place.createInverse());
        } catch (NoninvertibleTransformException flat) {
            return false;
        }
        boolean repeats = repeats(picture);
        double across = PLACE_TOLERANCE / picture.place().width();
        double down = PLACE_TOLERANCE / picture.place().height();
        double scaleX = repeats ? Math.abs(off.getScaleX()) : off.getScaleX();
        double scaleY = repeats ? Math.abs(off.getScaleY()) : off.getScaleY();
        double x = repeats ? Math.rint(off.getTranslateX()) : 0;
        double y = repeats ? Math.rint(off.getTranslateY()) : 0;
        return Math.abs(scaleX - 1) < across
                && Math.abs(scaleY - 1) < down
                && Math.abs(off.getShearX()) < down
                && Math.abs(off.getShearY()) < across
                && Math.abs(off.getTranslateX() - x) < across
                && Math.abs(off.getTranslateY() - y) < down;
    }
}
