package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import yewberry.core.Progress;
import yewberry.core.asset.KnownFile;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.raster.PlaneRaster;
import yewberry.pdf.AddedItem;
import yewberry.pdf.AddedLayers;
import yewberry.pdf.Opening;
import yewberry.pdf.PageIndex;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.ImageCache;
import yewberry.pdf.read.PagePlates;

/**
 * Holds a file that something was taken off against the file as it was: no mark of what came off is
 * left, and pages that nothing is left on draw, pixel for pixel, as they do without it.
 */
public final class TakenOffCheck {
    /** Pixels in each direction: one for each point, but of posters. */
    private static final int MOST = 2_000;

    private TakenOffCheck() {}

    /**
     * @param before the file as it was
     * @param after the new one
     * @param goes what came off
     * @return the numbers of pages that are not as they should be
     * @throws IOException if one of them cannot be read
     */
    public static List<Integer> wrong(
            KnownFile before,
            Path after,
            Predicate<AddedItem> goes,
            PressCondition condition,
            Progress progress)
            throws IOException {
        List<Integer> wrong = new ArrayList<>();
        try (PDDocument was = Opening.of(before);
                PDDocument is = Opening.of(after, before.password())) {
            PageIndex pagesWere = PageIndex.of(was);
            PageIndex pagesAre = PageIndex.of(is);
            int count = was.getNumberOfPages();
            for (int number = 1; number <= count; number++) {
                progress.at(number - 1, count);
                PDPage page = pagesWere.page(number);
                List<AddedItem> items = AddedLayers.on(was, page);
                boolean changed = items.stream().anyMatch(goes);
                boolean left = AddedLayers.on(is, pagesAre.page(number)).stream().anyMatch(goes);
                Optional<PDPage> bare =
                        items.stream().allMatch(goes) && changed
                                ? AddedLayers.bare(was, page)
                                : Optional.empty();
                boolean differs =
                        bare.isPresent()
                                && !draws(is, pagesAre.page(number), condition)
                                        .isSame(draws(was, bare.get(), condition));
                if (left || differs) {
                    wrong.add(number);
                }
            }
        }
        return wrong;
    }

    private static PlaneRaster draws(PDDocument document, PDPage page, PressCondition condition)
            throws IOException {
        PDRectangle crop = page.getCropBox();
        int width = (int) Math.clamp(Math.ceil(crop.getWidth()), 1, MOST);
        int height = (int) Math.clamp(Math.ceil(crop.getHeight()), 1, MOST);
        AffineTransform toPixels = AffineTransform.getScaleInstance(width, height);
        toPixels.concatenate(PagePlates.unit(page));
        return PagePlates.of(
                        page,
                        Optional.ofNullable(document.getDocumentCatalog().getOCProperties()),
                        new DeviceColors(Medium.SCREEN, condition, List.of()),
                        new ImageCache(),
                        toPixels,
                        width,
                        height)
                .paint();
    }
}
