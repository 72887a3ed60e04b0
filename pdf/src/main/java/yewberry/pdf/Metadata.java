package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.GregorianCalendar;
import java.util.UUID;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import yewberry.core.output.Claim;

/**
 * What a file says of itself, among it the standards that it claims: in its information dictionary
 * and as XMP (ISO 16684-1), each saying the same.
 */
final class Metadata {
    private static final String PRODUCER = "Yewberry";

    private Metadata() {}

    static void describe(PdfOutput output, PDDocument document) throws IOException {
        PDDocumentInformation information = document.getDocumentInformation();
        information.setTitle(output.title());
        information.setProducer(PRODUCER);
        GregorianCalendar created = GregorianCalendar.from(output.created().atZone(ZoneOffset.UTC));
        information.setCreationDate(created);
        information.setModificationDate(created);
        if (output.profile().claims(Claim.PDF_X_4)) {
            information.setTrapped("False");
        }
        COSStream xmp = document.getDocument().createCOSStream();
        xmp.setItem(COSName.TYPE, COSName.METADATA);
        xmp.setName(COSName.SUBTYPE, "XML");
        // readable without unpacking, as ISO 19005 and ISO 15930-7 ask for
        try (OutputStream out = xmp.createOutputStream()) {
            out.write(xmp(output).getBytes(StandardCharsets.UTF_8));
        }
        document.getDocumentCatalog().getCOSObject().setItem(COSName.METADATA, xmp);
    }

    private static String xmp(PdfOutput output) {
        String at =
                DateTimeFormatter.ISO_INSTANT.format(
                        output.created().truncatedTo(java.time.temporal.ChronoUnit.SECONDS));
        StringBuilder of = new StringBuilder();
        of.append(
                """
                <rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/">
                <dc:format>application/pdf</dc:format>
                <dc:title><rdf:Alt><rdf:li xml:lang="x-default">%s</rdf:li></rdf:Alt></dc:title>
                <dc:language><rdf:Bag><rdf:li>%s</rdf:li></rdf:Bag></dc:language>
                </rdf:Description>
                <rdf:Description rdf:about="" xmlns:xmp="http://ns.adobe.com/xap/1.0/">
                <xmp:CreateDate>%s</xmp:CreateDate>
                <xmp:ModifyDate>%s</xmp:ModifyDate>
                <xmp:MetadataDate>%s</xmp:MetadataDate>
                </rdf:Description>
                """
                        .formatted(escaped(output.title()), output.language().tag(), at, at, at));
        boolean exchanged = output.profile().claims(Claim.PDF_X_4);
        of.append(
                """
                <rdf:Description rdf:about="" xmlns:pdf="http://ns.adobe.com/pdf/1.3/">
                <pdf:Producer>%s</pdf:Producer>
                %s</rdf:Description>
                """
                        .formatted(
                                PRODUCER, exchanged ? "<pdf:Trapped>False</pdf:Trapped>\n" : ""));
        if (exchanged) {
            of.append(
                    """
                    <rdf:Description rdf:about="" xmlns:xmpMM="http://ns.adobe.com/xap/1.0/mm/">
                    <xmpMM:DocumentID>uuid:%s</xmpMM:DocumentID>
                    <xmpMM:VersionID>1</xmpMM:VersionID>
                    <xmpMM:RenditionClass>default</xmpMM:RenditionClass>
                    </rdf:Description>
                    <rdf:Description rdf:about="" xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/">
                    <pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion>
                    </rdf:Description>
                    """
                            .formatted(id(output)));
        }
        if (output.profile().claims(Claim.PDF_A_2A)) {
            of.append(
                    """
                    <rdf:Description rdf:about="" xmlns:pdfaid="http://www.aiim.org/pdfa/ns/id/">
                    <pdfaid:part>2</pdfaid:part>
                    <pdfaid:conformance>A</pdfaid:conformance>
                    </rdf:Description>
                    """);
            of.append(extensions(output));
        }
        if (output.profile().claims(Claim.PDF_UA_1)) {
            of.append(
                    """
                    <rdf:Description rdf:about="" xmlns:pdfuaid="http://www.aiim.org/pdfua/ns/id/">
                    <pdfuaid:part>1</pdfuaid:part>
                    </rdf:Description>
                    """);
        }
        return """
        <?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>
        <x:xmpmeta xmlns:x="adobe:ns:meta/">
        <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
        %s</rdf:RDF>
        </x:xmpmeta>
        <?xpacket end="w"?>
        """
                .formatted(of);
    }

    /** The same for what is the same, so that a file can be told to be made anew from it. */
    private static UUID id(PdfOutput output) {
        return UUID.nameUUIDFromBytes(
                (output.publication().map(each -> each.id().toString()).orElse(output.title())
                                + output.created())
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** ISO 19005-2, 6.6.2.3: properties of other standards are described where they are used. */
    private static String extensions(PdfOutput output) {
        StringBuilder schemas = new StringBuilder();
        if (output.profile().claims(Claim.PDF_UA_1)) {
            schemas.append(
                    schema(
                            "PDF/UA identification",
                            "http://www.aiim.org/pdfua/ns/id/",
                            "pdfuaid",
                            property(
                                    "part",
                                    "Integer",
                                    "internal",
                                    "The part of ISO 14289 that the file follows")));
        }
        if (output.profile().claims(Claim.PDF_X_4)) {
            schemas.append(
                    schema(
                            "PDF/X identification",
                            "http://www.npes.org/pdfx/ns/id/",
                            "pdfxid",
                            property(
                                    "GTS_PDFXVersion",
                                    "Text",
                                    "internal",
                                    "The part of ISO 15930 that the file follows")));
            schemas.append(
                    schema(
                            "PDF properties",
                            "http://ns.adobe.com/pdf/1.3/",
                            "pdf",
                            property(
                                    "Trapped",
                                    "Text",
                                    "internal",
                                    "Whether the file has been trapped")));
        }
        if (schemas.isEmpty()) {
            return "";
        }
        return """
        <rdf:Description rdf:about="" xmlns:pdfaExtension="http://www.aiim.org/pdfa/ns/extension/"
        xmlns:pdfaSchema="http://www.aiim.org/pdfa/ns/schema#"
        xmlns:pdfaProperty="http://www.aiim.org/pdfa/ns/property#">
        <pdfaExtension:schemas><rdf:Bag>
        %s</rdf:Bag></pdfaExtension:schemas>
        </rdf:Description>
        """
                .formatted(schemas);
    }

    private static String schema(String name, String space, String prefix, String properties) {
        return """
        <rdf:li rdf:parseType="Resource">
        <pdfaSchema:schema>%s</pdfaSchema:schema>
        <pdfaSchema:namespaceURI>%s</pdfaSchema:namespaceURI>
        <pdfaSchema:prefix>%s</pdfaSchema:prefix>
        <pdfaSchema:property><rdf:Seq>
        %s</rdf:Seq></pdfaSchema:property>
        </rdf:li>
        """
                .formatted(name, space, prefix, properties);
    }

    private static String property(String name, String type, String category, String about) {
        return """
        <rdf:li rdf:parseType="Resource">
        <pdfaProperty:name>%s</pdfaProperty:name>
        <pdfaProperty:valueType>%s</pdfaProperty:valueType>
        <pdfaProperty:category>%s</pdfaProperty:category>
        <pdfaProperty:description>%s</pdfaProperty:description>
        </rdf:li>
        """
                .formatted(name, type, category, about);
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
