package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import yewberry.core.Locked;
import yewberry.core.Refused;
import yewberry.core.asset.Documents;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.PlaneImage;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Limits;
import yewberry.core.raster.PlaneRaster;
import yewberry.pdf.read.Annotations;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.ImageCache;
import yewberry.pdf.read.PagePlates;
import yewberry.pdf.read.PageWords;
import yewberry.pdf.read.SeenPage;

/** Reads and draws PDF files with PDFBox. */
public final class PdfDocuments implements Documents {
    private static final int MOST_PAGES = Limits.PAGES;

    private final LastOpened last = new LastOpened();

    @Override
    public Asset.Document read(KnownFile file) {
        try (PDDocument document = Opening.of(file)) {
            if (document.isEncrypted() && !document.getCurrentAccessPermission().canModify()) {
                throw closed();
            }
            int count = document.getNumberOfPages();
            if (count < 1 || count > MOST_PAGES) {
                throw new Refused(
                        "This PDF has %d pages; it can have 1 to %d.".formatted(count, MOST_PAGES));
            }
            List<Asset.Leaf> pages = new ArrayList<>();
            PageIndex index = PageIndex.of(document);
            for (int number = 1; number <= count; number++) {
                PDPage page = index.page(number);
                Unpacking.check(page, number);
                pages.add(leaf(page));
            }
            return new Asset.Document(pages, document.isEncrypted());
        } catch (InvalidPasswordException locked) {
            throw new Locked(
                    file.password().isEmpty()
                            ? "This PDF is encrypted, and needs a password to be opened."
                            : "This PDF does not open with that password; try another one.");
        } catch (IOException | IllegalStateException | ClassCastException broken) {
            throw new Refused("This PDF is damaged and cannot be read; export it again.");
        }
    }

    /** Of a file that opens for everybody, but says that nobody may change it. */
    static Refused closed() {
        return new Refused(
                "This PDF is encrypted, and its owner does not allow that it is changed; ask for one without that.");
    }

    private static Asset.Leaf leaf(PDPage page) throws IOException {
        SeenPage seen = SeenPage.of(page);
        if (!(seen.width() > 0 && seen.height() > 0)) {
            throw new Refused("A page of this PDF has no size; export it again.");
        }
        BroughtAlong brought = BroughtAlong.by(page);
        return new Asset.Leaf(
                seen.width(), seen.height(), brought.screenColor(), brought.missingFonts());
    }

    @Override
    public PlaneImage draw(KnownFile file, FilePage wanted, int width, int height) {
        try {
            return last.read(
                    file,
                    (document, pages) ->
                            draw(document, pages.page(wanted.number()), wanted, width, height));
        } catch (IOException broken) {
            throw new Refused(
                    "Page %d of this PDF cannot be drawn; export it again."
                            .formatted(wanted.number()));
        }
    }

    private static PlaneImage draw(
            PDDocument document, PDPage page, FilePage wanted, int width, int height)
            throws IOException {
        AffineTransform toPixels = AffineTransform.getScaleInstance(width, height);
        toPixels.concatenate(PagePlates.unit(page));
        DeviceColors colors = colors(wanted);
        PagePlates plates =
                PagePlates.of(
                                page,
                                layers(document),
                                colors,
                                new ImageCache(),
                                toPixels,
                                width,
                                height)
                        .backed(wanted.backed());
        return image(
                switch (wanted.part()) {
                    case ALL -> plates.paint();
                    case WITHOUT_TEXT -> plates.paintWithoutText(lines(document, page, wanted));
                    case ANNOTATED -> plates.paintAnnotated(renewed(document));
                    case ANNOTATIONS ->
                            plates.paintAnnotations(
                                    renewed(document), lines(document, page, wanted));
                });
    }

    @Override
    public PageText text(KnownFile file, FilePage wanted) {
        try {
            return last.read(
                    file,
                    (document, pages) ->
                            PageWords.of(
                                            document,
                                            pages.page(wanted.number()),
                                            colors(wanted),
                                            wanted.backed())
                                    .text());
        } catch (IOException broken) {
            throw new Refused(
                    "Page %d of this PDF cannot be read; export it again."
                            .formatted(wanted.number()));
        }
    }

    /** Those that belong to text. */
    private static List<Rectangle2D> lines(PDDocument document, PDPage page, FilePage wanted)
            throws IOException {
        return PageWords.of(document, page, colors(wanted), wanted.backed()).lines();
    }

    private static DeviceColors colors(FilePage wanted) {
        return new DeviceColors(wanted.medium(), wanted.condition(), List.of())
                .recolored(wanted.recolored());
    }

    private static boolean renewed(PDDocument document) {
        return Annotations.renewed(document.getDocumentCatalog().getCOSObject());
    }

    private static Optional<PDOptionalContentProperties> layers(PDDocument document) {
        return Optional.ofNullable(document.getDocumentCatalog().getOCProperties());
    }

    private static PlaneImage image(PlaneRaster raster) {
        int pixels = raster.width() * raster.height();
        byte[] samples = new byte[pixels * raster.count()];
        byte[] alpha = new byte[pixels];
        boolean covers = true;
        for (int at = 0; at < pixels; at++) {
            if (raster.alpha(at) == 0) {
                covers = false; // and nothing is painted there
                continue;
            }
            for (int plane = 0; plane < raster.count(); plane++) {
                samples[at * raster.count() + plane] =
                        (byte) Math.round(raster.plane(plane, at) * 255);
            }
            alpha[at] = (byte) Math.round(raster.alpha(at) * 255);
            covers &= alpha[at] == (byte) 255;
        }
        return new PlaneImage(
                raster.width(),
                raster.height(),
                raster.count(),
                samples,
                covers ? Optional.empty() : Optional.of(alpha));
    }
}
