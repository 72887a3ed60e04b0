package yewberry.pdf;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.rendering.PDFRenderer;
import yewberry.core.Refused;
import yewberry.core.asset.Documents;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;

/** Reads and draws PDF files with PDFBox. */
public final class PdfDocuments implements Documents {
    private static final int MOST_PAGES = 5000;

    @Override
    public Asset.Document read(byte[] file) {
        try (PDDocument document = Loader.loadPDF(file)) {
            if (document.isEncrypted()) {
                throw encrypted();
            }
            int count = document.getNumberOfPages();
            if (count < 1 || count > MOST_PAGES) {
                throw new Refused(
                        "This PDF has %d pages; it can have 1 to %d.".formatted(count, MOST_PAGES));
            }
            List<Asset.Leaf> pages = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                pages.add(leaf(document.getPage(i)));
            }
            return new Asset.Document(pages);
        } catch (InvalidPasswordException locked) {
            throw encrypted();
        } catch (IOException | IllegalStateException | ClassCastException broken) {
            throw new Refused("This PDF is damaged and cannot be read; export it anew.");
        }
    }

    private static Refused encrypted() {
        return new Refused("This PDF is encrypted; save it without a password.");
    }

    private static Asset.Leaf leaf(PDPage page) throws IOException {
        PDRectangle crop = page.getCropBox();
        boolean turned = page.getRotation() % 180 != 0;
        double width = turned ? crop.getHeight() : crop.getWidth();
        double height = turned ? crop.getWidth() : crop.getHeight();
        if (!(width > 0 && height > 0)) {
            throw new Refused("A page of this PDF has no size; export it anew.");
        }
        BroughtAlong brought = BroughtAlong.by(page);
        return new Asset.Leaf(width, height, brought.screenColor(), brought.missingFonts());
    }

    @Override
    public BufferedImage draw(
            byte[] file, int number, int width, int height, PressCondition condition) {
        try (PDDocument document = Loader.loadPDF(file)) {
            PDPage page = document.getPage(number - 1);
            underCondition(document, page, condition);
            BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
            Graphics2D graphics = image.createGraphics();
            graphics.setBackground(new Color(0, 0, 0, 0));
            PDRectangle crop = page.getCropBox();
            boolean turned = page.getRotation() % 180 != 0;
            new PDFRenderer(document)
                    .renderPageToGraphics(
                            number - 1,
                            graphics,
                            width / (turned ? crop.getHeight() : crop.getWidth()),
                            height / (turned ? crop.getWidth() : crop.getHeight()));
            graphics.dispose();
            return image;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** ISO 32000-1, 8.6.5.6: DeviceCMYK on this page stands for the inks of the condition. */
    private static void underCondition(PDDocument document, PDPage page, PressCondition condition)
            throws IOException {
        PDStream profile = new PDStream(document);
        profile.getCOSObject().setInt(COSName.N, 4);
        try (var out = profile.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(condition.profile());
        }
        COSArray space = new COSArray();
        space.add(COSName.ICCBASED);
        space.add(profile);
        PDResources resources = page.getResources();
        if (resources == null) {
            resources = new PDResources();
            page.setResources(resources);
        }
        COSDictionary spaces = resources.getCOSObject().getCOSDictionary(COSName.COLORSPACE);
        if (spaces == null) {
            spaces = new COSDictionary();
            resources.getCOSObject().setItem(COSName.COLORSPACE, spaces);
        }
        spaces.setItem(COSName.getPDFName("DefaultCMYK"), space);
    }
}
