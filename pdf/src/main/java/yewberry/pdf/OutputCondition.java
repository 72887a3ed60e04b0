package yewberry.pdf;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.output.Claim;

/**
 * What the device colours of a file mean: ISO 32000-1, 14.11.5.
 *
 * @param kind of output intent; ISO 15930-7 and ISO 19005-2 name them
 * @param identifier of the characterised condition
 * @param components of the profile's colours
 */
public record OutputCondition(
        String kind, String identifier, String name, int components, byte[] profile) {
    public static OutputCondition of(Medium medium, PressCondition condition) {
        return switch (medium) {
            case PAPER ->
                    new OutputCondition(
                            "GTS_PDFX",
                            condition.registeredName(),
                            condition.name(),
                            4,
                            condition.profile());
            case SCREEN ->
                    new OutputCondition(
                            "GTS_PDFA1",
                            "sRGB IEC61966-2.1",
                            "sRGB",
                            3,
                            ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
        };
    }

    /** Those that a file names: one for each purpose, all with the same profile. */
    public static List<OutputCondition> of(PdfOutput output) {
        OutputCondition one = of(output.medium(), output.condition());
        boolean kept = output.profile().claims(Claim.PDF_A_2A);
        return kept && output.medium() == Medium.PAPER
                ? List.of(one, one.as("GTS_PDFA1"))
                : List.of(one);
    }

    private OutputCondition as(String other) {
        return new OutputCondition(other, identifier, name, components, profile);
    }

    COSStream stream(PDDocument document) throws IOException {
        COSStream stream = document.getDocument().createCOSStream();
        stream.setInt(COSName.N, components);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(profile);
        }
        return stream;
    }

    /** ISO 32000-1, 8.6.5.6: DeviceCMYK there stands for the inks of a condition. */
    static void seenUnder(PressCondition condition, PDDocument document, PDResources resources)
            throws IOException {
        COSArray space = new COSArray();
        space.add(COSName.ICCBASED);
        space.add(of(Medium.PAPER, condition).stream(document));
        COSDictionary spaces = resources.getCOSObject().getCOSDictionary(COSName.COLORSPACE);
        if (spaces == null) {
            spaces = new COSDictionary();
            resources.getCOSObject().setItem(COSName.COLORSPACE, spaces);
        }
        spaces.setItem(COSName.getPDFName("DefaultCMYK"), space);
    }
}
