package yewberry.core.output;

import java.util.Set;
import java.util.stream.Collectors;
import yewberry.core.color.Medium;

/**
 * How a PDF is written.
 *
 * @param medium whose colours it is in
 * @param tagged whether it holds the structure of what is read
 * @param claims the standards that it says it follows
 */
public record PdfProfile(Medium medium, boolean tagged, Set<Claim> claims) {
    /** For a press: process colour and spot inks, out to the bleed. */
    public static final PdfProfile PRESS =
            new PdfProfile(Medium.PAPER, false, Set.of(Claim.PDF_X_4));

    /** For reading, with eyes or without: sRGB, cropped to the trim. */
    public static final PdfProfile READING =
            new PdfProfile(Medium.SCREEN, true, Set.of(Claim.PDF_A_2A, Claim.PDF_UA_1));

    /** One file for the press, for keeping and for reading. */
    public static final PdfProfile ALL =
            new PdfProfile(
                    Medium.PAPER, true, Set.of(Claim.PDF_X_4, Claim.PDF_A_2A, Claim.PDF_UA_1));

    /** Without structure and claims. */
    public static PdfProfile plain(Medium medium) {
        return new PdfProfile(medium, false, Set.of());
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

    public PdfProfile without(Claim claim) {
        return new PdfProfile(
                medium,
                tagged,
                claims.stream().filter(each -> each != claim).collect(Collectors.toSet()));
    }
}
