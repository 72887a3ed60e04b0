package yewberry.pdf;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;

/** What a file says of itself in its metadata (ISO 16684-1). */
public final class Xmp {
    /** Bytes of metadata that are read: a file may unpack to any number of them. */
    private static final int LONGEST = 1 << 20;

    private final Document document;

    private Xmp(Document document) {
        this.document = document;
    }

    /**
     * Nothing where it has none, or none that can be read.
     *
     * @throws IOException if the file cannot be read
     */
    public static Optional<Xmp> of(PDDocument file) throws IOException {
        PDMetadata metadata = file.getDocumentCatalog().getMetadata();
        if (metadata == null) {
            return Optional.empty();
        }
        try (InputStream in = metadata.exportXMPMetadata()) {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setNamespaceAware(true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            byte[] bytes = in.readNBytes(LONGEST + 1);
            return bytes.length > LONGEST // nobody says so little at such length
                    ? Optional.empty()
                    : Optional.of(new Xmp(builder.parse(new ByteArrayInputStream(bytes))));
        } catch (SAXException | ParserConfigurationException unreadable) {
            return Optional.empty();
        }
    }

    /** One that is written as an attribute or as an element, as XMP allows both. */
    public Optional<String> property(String space, String name) {
        NodeList elements = document.getElementsByTagNameNS(space, name);
        if (elements.getLength() > 0) {
            return Optional.of(elements.item(0).getTextContent().strip());
        }
        NodeList all = document.getElementsByTagName("*");
        for (int i = 0; i < all.getLength(); i++) {
            if (all.item(i) instanceof Element element && element.hasAttributeNS(space, name)) {
                return Optional.of(element.getAttributeNS(space, name).strip());
            }
        }
        return Optional.empty();
    }
}
