package yewberry.core.output;

import java.util.Optional;
import java.util.Set;
import yewberry.core.color.Medium;

/**
 * How a PDF is written.
 *
 * @param medium whose colours it is in
 * @param tagged whether it holds the structure of what is read
 * @param claims the standards that it says it follows
 * @param marks around its pages
 * @param flattened whether pages of PDFs that are placed become pictures
 * @param overprintShown whether text that overprints is blended with what is below it instead
 */
public record PdfProfile(
        Medium medium,
        boolean tagged,
        Set<Claim> claims,
        Optional<PrinterMarks> marks,
        boolean flattened,
        boolean overprintShown) {
    /** For a press: process colour and spot inks, out to the bleed. */
    public static final PdfProfile PRESS = of(Medium.PAPER, false, Claim.PDF_X_4);

    /** For reading, with eyes or without: sRGB, cropped to the trim. */
    public static final PdfProfile READING =
            of(Medium.SCREEN, true, Claim.PDF_A_2A, Claim.PDF_UA_1);

    /** One file for the press, for keeping and for reading. */
    public static final PdfProfile ALL =
            of(Medium.PAPER, true, Claim.PDF_X_4, Claim.PDF_A_2A, Claim.PDF_UA_1);

    /** Shows one thing on a screen and prints another; switching needs what PDF/A forbids. */
    public static final PdfProfile SCREEN_AND_PAPER = of(Medium.SCREEN, true);

    private static PdfProfile of(Medium medium, boolean tagged, Claim... claims) {
        return new PdfProfile(medium, tagged, Set.of(claims), Optional.empty(), false, false);
    }

    /** Without structure and claims. */
    public static PdfProfile plain(Medium medium) {
        return of(medium, false);
    }

    public PdfProfile {
        claims = Set.copyOf(claims);
        if (!tagged && (claims.contains(Claim.PDF_A_2A) || claims.contains(Claim.PDF_UA_1))) {
            throw new IllegalArgumentException("A claim that asks for structure");
        }
    }

    public boolean claims(Claim claim) {
        return claims.contains(claim);
    }

    /** Whether words that lead somewhere do so in it; PDF/X allows nothing over the page. */
    public boolean linked() {
        return medium == Medium.SCREEN;
    }

    public PdfProfile withoutClaims() {
        return new PdfProfile(medium, tagged, Set.of(), marks, flattened, overprintShown);
    }

    public PdfProfile with(
            Optional<PrinterMarks> changed, boolean changedFlattened, boolean changedOverprint) {
        return new PdfProfile(medium, tagged, claims, changed, changedFlattened, changedOverprint);
    }
}
