package yewberry.pdf;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;

/** What veraPDF, the reference validator of PDF/A and PDF/UA, says of a file. */
final class VeraPdf {
    static {
        VeraGreenfieldFoundryProvider.initialise();
    }

    private VeraPdf() {}

    /**
     * The rules that a file breaks, each with its clause.
     *
     * @param flavour such as 2a or ua1
     */
    static List<String> broken(Path file, String flavour) {
        PDFAFlavour of = PDFAFlavour.byFlavourId(flavour);
        try (var in = Files.newInputStream(file);
                var parser = Foundries.defaultInstance().createParser(in, of);
                var validator = Foundries.defaultInstance().createValidator(of, false)) {
            return validator.validate(parser).getTestAssertions().stream()
                    .map(each ->
                            "%s-%d %s"
                                    .formatted(
                                            each.getRuleId().getClause(),
                                            each.getRuleId().getTestNumber(),
                                            each.getMessage()))
                    .distinct()
                    .toList();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
