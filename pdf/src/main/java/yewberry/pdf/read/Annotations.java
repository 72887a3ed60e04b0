package yewberry.pdf.read;

import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;

/**
 * The annotations and form fields of a page that are seen on a screen, over all else (ISO 32000-1,
 * 12.5). Those that come without a look of their own are drawn by each reader as it likes.
 *
 * @param drawn those that have one, from the lowest up
 * @param undrawn the others
 */
public record Annotations(List<PDAnnotation> drawn, List<PDAnnotation> undrawn) {
    private static final Set<String> SEEN =
            Set.of(
                    "Circle",
                    "FreeText",
                    "Highlight",
                    "Ink",
                    "Line",
                    "PolyLine",
                    "Polygon",
                    "Square",
                    "Squiggly",
                    "Stamp",
                    "StrikeOut",
                    "Text",
                    "Underline");

    /**
     * @param renewed whether readers draw all form fields anew (12.7.2, NeedAppearances)
     */
    static Annotations of(PDPage page, Layers layers, boolean renewed) throws IOException {
        List<PDAnnotation> seen =
                page.getAnnotations().stream()
                        .filter(each -> !each.isHidden() && !each.isNoView())
                        .filter(each -> each.getRectangle() != null)
                        .filter(each -> !layers.isOff(each.getCOSObject()))
                        .toList();
        return new Annotations(
                seen.stream().filter(each -> isDrawn(each, renewed)).toList(),
                seen.stream()
                        .filter(each -> !isDrawn(each, renewed))
                        .filter(Annotations::shows)
                        .toList());
    }

    /** Whether the readers of a file draw its form fields anew. */
    public static boolean renewed(COSDictionary catalog) {
        return catalog.getDictionaryObject(COSName.ACRO_FORM) instanceof COSDictionary form
                && form.getDictionaryObject(COSName.NEED_APPEARANCES) == COSBoolean.TRUE;
    }

    private static boolean isDrawn(PDAnnotation annotation, boolean renewed) {
        return annotation.getNormalAppearanceStream() != null
                && !(renewed && annotation instanceof PDAnnotationWidget);
    }

    private static boolean shows(PDAnnotation annotation) {
        return annotation instanceof PDAnnotationWidget field
                ? hasValue(field.getCOSObject())
                : SEEN.contains(annotation.getSubtype());
    }

    /** Its own, or that of the field that it is part of. */
    private static boolean hasValue(COSDictionary field) {
        return field.containsKey(COSName.V)
                || field.getDictionaryObject(COSName.PARENT) instanceof COSDictionary parent
                        && parent.containsKey(COSName.V);
    }

    /** Where it is on the page. */
    static Rectangle2D place(PDAnnotation annotation, AffineTransform toSeen) {
        return toSeen.createTransformedShape(SeenPage.rectangle(annotation.getRectangle()))
                .getBounds2D();
    }
}
