package yewberry.pdf;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;
import yewberry.core.color.Medium;

/**
 * A standard that a file claims to hold to, in its metadata (ISO 19005-1, 6.7.11; ISO 14289-1, 5).
 *
 * @param standard such as PDF/A-2b
 * @param doubt why it may not hold with what is added; nothing where it does
 */
public record Claims(String standard, Optional<String> doubt) {
    private static final String ARCHIVE = "http://www.aiim.org/pdfa/ns/id/";
    private static final String ACCESS = "http://www.aiim.org/pdfua/ns/id/";

    /** Bytes of metadata that are read: a file may unpack to any number of them. */
    private static final int LONGEST = 1 << 20;

    private static final String ARCHIVE_INTENT = "GTS_PDFA1";

    /**
     * @param medium whose colours are added
     * @param seeThrough whether anything that is added is
     */
    static List<Claims> of(PDDocument document, Medium medium, boolean seeThrough)
            throws IOException {
        PDMetadata metadata = document.getDocumentCatalog().getMetadata();
        if (metadata == null) {
            return List.of();
        }
        Document xmp;
        try (InputStream in = metadata.exportXMPMetadata()) {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setNamespaceAware(true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            byte[] bytes = in.readNBytes(LONGEST + 1);
            if (bytes.length > LONGEST) {
                return List.of(); // nobody says so little at such length
            }
            xmp = builder.parse(new ByteArrayInputStream(bytes));
        } catch (SAXException | ParserConfigurationException unreadable) {
            return List.of(); // a reader finds no claim either
        }
        List<Claims> claims = new ArrayList<>();
        property(xmp, ARCHIVE, "part")
                .ifPresent(part ->
                        claims.add(
                                new Claims(
                                        "PDF/A-" + part + level(xmp),
                                        doubt(document, part, medium, seeThrough))));
        // what is added is marked as artifacts, which PDF/UA leaves alone (ISO 14289-1, 7.1)
        property(xmp, ACCESS, "part")
                .ifPresent(part -> claims.add(new Claims("PDF/UA-" + part, Optional.empty())));
        return claims;
    }

    private static String level(Document xmp) {
        return property(xmp, ARCHIVE, "conformance").map(String::toLowerCase).orElse("");
    }

    /** One that is written as an attribute or as an element, as XMP allows both. */
    private static Optional<String> property(Document xmp, String space, String name) {
        NodeList elements = xmp.getElementsByTagNameNS(space, name);
        if (elements.getLength() > 0) {
            return Optional.of(elements.item(0).getTextContent().strip());
        }
        NodeList all = xmp.getElementsByTagName("*");
        for (int i = 0; i < all.getLength(); i++) {
            if (all.item(i) instanceof Element element && element.hasAttributeNS(space, name)) {
                return Optional.of(element.getAttributeNS(space, name).strip());
            }
        }
        return Optional.empty();
    }

    private static Optional<String> doubt(
            PDDocument document, String part, Medium medium, boolean seeThrough) {
        if (part.equals("1") && seeThrough) {
            return Optional.of(
                    "PDF/A-1 allows nothing that is see-through, and some of what is added is.");
        }
        boolean names =
                document.getDocumentCatalog().getOutputIntents().stream()
                        .anyMatch(intent -> isFor(intent, medium));
        return names
                ? Optional.empty()
                : Optional.of(
                        "It names no profile for colours in %s, which are added (output intent)."
                                .formatted(medium == Medium.PAPER ? "CMYK" : "RGB"));
    }

    /** ISO 19005-2, 6.2.4.3: device colours are allowed where the file's own intent is for them. */
    private static boolean isFor(PDOutputIntent intent, Medium medium) {
        COSStream profile = intent.getDestOutputIntent();
        return ARCHIVE_INTENT.equals(intent.getCOSObject().getNameAsString(COSName.S))
                && profile != null
                && profile.getInt(COSName.N) == (medium == Medium.PAPER ? 4 : 3);
    }
}
