package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionGoTo;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDBorderStyleDictionary;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import yewberry.core.publication.LinkTo;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * The links of a file (ISO 32000-1, 12.5.6.5): an annotation for each line of the words. Where one
 * leads within the file is known when all pages are there.
 */
final class Links {
    /** In points. */
    private static final double AROUND = 0.01;

    private final Optional<Tags> tags;
    private final Map<UUID, PDPage> pages = new HashMap<>();
    private final Map<UUID, Place> paragraphs = new HashMap<>();
    private final List<Wanted> wanted = new ArrayList<>();

    /** Where a paragraph begins, in the space of the file. */
    private record Place(PDPage page, double top) {}

    /**
     * @param tags of the file; nothing where it has no structure
     */
    Links(Optional<Tags> tags) {
        this.tags = tags;
    }

    private record Wanted(PDPage page, PageScene.Link link, Rect bleed) {}

    void page(PDPage page, PageScene scene) {
        scene.pages().forEach(each -> pages.put(each, page));
        Rect bleed = scene.boxes().bleed();
        for (Item.GlyphRun run : scene.text()) {
            paragraphs.putIfAbsent(
                    run.paragraph(), new Place(page, bleed.bottom() - run.bounds().y()));
        }
        scene.links().stream()
                .filter(PageScene.Link::leads)
                .forEach(link -> wanted.add(new Wanted(page, link, bleed)));
    }

    /** To be called when all pages are there. */
    void finish() {
        Map<PDPage, List<PDAnnotation>> byPage = new LinkedHashMap<>();
        for (Wanted each : wanted) {
            for (Rect line : each.link().where()) {
                PDAnnotationLink annotation = annotation(each, line);
                if (leads(annotation, each.link().to())) {
                    tags.ifPresent(of -> of.annotation(each.page(), annotation, each.link()));
                    byPage.computeIfAbsent(each.page(), page -> new ArrayList<>()).add(annotation);
                }
            }
        }
        byPage.forEach(PDPage::setAnnotations);
    }

    private boolean leads(PDAnnotationLink annotation, LinkTo to) {
        switch (to) {
            case LinkTo.Address(String uri) -> {
                PDActionURI action = new PDActionURI();
                action.setURI(uri);
                annotation.setAction(action);
                return true;
            }
            case LinkTo.ToPage(UUID page) -> {
                PDPage target = pages.get(page);
                return target != null && leads(annotation, target, target.getCropBox());
            }
            case LinkTo.ToParagraph(UUID story, UUID paragraph) -> {
                Place place = paragraphs.get(paragraph);
                if (place == null) {
                    return false;
                }
                PDRectangle box = place.page().getCropBox();
                return leads(
                        annotation,
                        place.page(),
                        new PDRectangle(
                                box.getLowerLeftX(), 0, box.getWidth(), (float) place.top()));
            }
        }
    }

    private static boolean leads(PDAnnotationLink annotation, PDPage page, PDRectangle to) {
        PDPageXYZDestination destination = new PDPageXYZDestination();
        destination.setPage(page);
        destination.setLeft((int) to.getLowerLeftX());
        destination.setTop((int) Math.ceil(to.getUpperRightY()));
        PDActionGoTo action = new PDActionGoTo();
        action.setDestination(destination);
        annotation.setAction(action);
        return true;
    }

    /** With its corners, so that words of a rotated frame are met where they are. */
    private static PDAnnotationLink annotation(Wanted wanted, Rect line) {
        AffineTransform place =
                new AffineTransform(1, 0, 0, -1, -wanted.bleed().x(), wanted.bleed().bottom());
        place.concatenate(wanted.link().turn().transform());
        double[][] corners = {
            {line.x(), line.bottom()},
            {line.right(), line.bottom()},
            {line.right(), line.y()},
            {line.x(), line.y()}
        };
        float[] quad = new float[8];
        double[] low = {Double.MAX_VALUE, Double.MAX_VALUE};
        double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE};
        for (int i = 0; i < corners.length; i++) {
            Point2D at = place.transform(new Point2D.Double(corners[i][0], corners[i][1]), null);
            quad[2 * i] = (float) at.getX();
            quad[2 * i + 1] = (float) at.getY();
            low[0] = Math.min(low[0], at.getX());
            low[1] = Math.min(low[1], at.getY());
            high[0] = Math.max(high[0], at.getX());
            high[1] = Math.max(high[1], at.getY());
        }
        PDAnnotationLink annotation = new PDAnnotationLink();
        // a little larger, so that rounding leaves no corner outside
        annotation.setRectangle(
                new PDRectangle(
                        (float) (low[0] - AROUND),
                        (float) (low[1] - AROUND),
                        (float) (high[0] - low[0] + 2 * AROUND),
                        (float) (high[1] - low[1] + 2 * AROUND)));
        annotation.setQuadPoints(quad);
        annotation.setContents(wanted.link().text());
        annotation.setPrinted(true);
        PDBorderStyleDictionary none = new PDBorderStyleDictionary();
        none.setWidth(0);
        annotation.setBorderStyle(none);
        return annotation;
    }
}
