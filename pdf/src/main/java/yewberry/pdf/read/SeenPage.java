package yewberry.pdf.read;

import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * A page of a file as it is seen: its crop box, turned by its rotation, in points of 1/72 inch.
 *
 * @param width points
 * @param height points
 * @param toUser from points as it is seen, from the bottom left up, to the page's own space
 */
public record SeenPage(double width, double height, AffineTransform toUser) {
    /** In the space that it is in. */
    public static Rectangle2D rectangle(PDRectangle box) {
        return new Rectangle2D.Double(
                box.getLowerLeftX(), box.getLowerLeftY(), box.getWidth(), box.getHeight());
    }

    /** ISO 32000-1, table 30: Rotate turns clockwise, UserUnit is in 1/72 inch. */
    public static SeenPage of(PDPage page) {
        PDRectangle crop = page.getCropBox();
        double unit = unit(page);
        int rotation = Math.floorMod(page.getRotation(), 360);
        boolean turned = rotation % 180 != 0;
        AffineTransform toUser =
                switch (rotation) {
                    case 90 ->
                            new AffineTransform(
                                    0, 1, -1, 0, crop.getUpperRightX(), crop.getLowerLeftY());
                    case 180 ->
                            new AffineTransform(
                                    -1, 0, 0, -1, crop.getUpperRightX(), crop.getUpperRightY());
                    case 270 ->
                            new AffineTransform(
                                    0, -1, 1, 0, crop.getLowerLeftX(), crop.getUpperRightY());
                    default ->
                            AffineTransform.getTranslateInstance(
                                    crop.getLowerLeftX(), crop.getLowerLeftY());
                };
        toUser.scale(1 / unit, 1 / unit);
        return new SeenPage(
                (turned ? crop.getHeight() : crop.getWidth()) * unit,
                (turned ? crop.getWidth() : crop.getHeight()) * unit,
                toUser);
    }

    /** From a page's own space to points from the top left of it as it is seen. */
    public static AffineTransform toSeen(PDPage page) {
        SeenPage seen = of(page);
        AffineTransform toSeen = AffineTransform.getScaleInstance(seen.width(), seen.height());
        toSeen.concatenate(PagePlates.unit(page));
        return toSeen;
    }

    /** How many 1/72 inch one unit of the page is. */
    private static double unit(PDPage page) {
        float unit = page.getCOSObject().getFloat(COSName.getPDFName("UserUnit"), 1);
        return unit > 0 && Float.isFinite(unit) ? unit : 1;
    }
}
