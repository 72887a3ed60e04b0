package yewberry.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
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

    private static final String ARCHIVE_INTENT = "GTS_PDFA1";

    /**
     * @param medium whose colours are added
     * @param seeThrough whether anything that is added is
     * @param switched whether a screen shows of that what is not printed, or the other way round
     */
    static List<Claims> of(PDDocument document, Medium medium, boolean seeThrough, boolean switched)
            throws IOException {
        Optional<Xmp> said = Xmp.of(document);
        if (said.isEmpty()) {
            return List.of(); // a reader finds no claim either
        }
        Xmp xmp = said.get();
        List<Claims> claims = new ArrayList<>();
        xmp.property(ARCHIVE, "part")
                .ifPresent(part ->
                        claims.add(
                                new Claims(
                                        "PDF/A-" + part + level(xmp),
                                        doubt(document, part, medium, seeThrough, switched))));
        // what is added is marked as artifacts, which PDF/UA leaves alone (ISO 14289-1, 7.1)
        xmp.property(ACCESS, "part")
                .ifPresent(part -> claims.add(new Claims("PDF/UA-" + part, Optional.empty())));
        return claims;
    }

    private static String level(Xmp xmp) {
        return xmp.property(ARCHIVE, "conformance").map(String::toLowerCase).orElse("");
    }

    private static Optional<String> doubt(
            PDDocument document, String part, Medium medium, boolean seeThrough, boolean switched) {
        // ISO 19005-1, 6.1.13 and 19005-2, 6.9: no layers, and none that switch by themselves
        if (switched) {
            return Optional.of(
                    "PDF/A allows nothing that is only seen or only printed, and some of what is added is.");
        }
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
