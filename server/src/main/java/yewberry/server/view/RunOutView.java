package yewberry.server.view;

import java.util.Optional;
import yewberry.core.findings.Offer;
import yewberry.core.press.RunOuts;
import yewberry.core.publication.RunOut;

/**
 * A way in which a picture that is too small could go on.
 *
 * @param seam CIEDE2000 along the join
 * @param cropped percent of the picture that is cut off
 * @param repeated percent of the area that shows a part of it again
 * @param ppi pixels per inch then
 */
public record RunOutView(
        RunOut kind,
        double seam,
        double cropped,
        double repeated,
        Optional<Double> ppi,
        Offer offer) {
    public static RunOutView of(RunOuts.Option option, Offer offer) {
        return new RunOutView(
                option.kind(),
                Math.rint(option.seam() * 10) / 10,
                Math.rint(option.cropped() * 1000) / 10,
                Math.rint(option.repeated() * 1000) / 10,
                option.ppi().isPresent()
                        ? Optional.of(Math.rint(option.ppi().getAsDouble()))
                        : Optional.empty(),
                offer);
    }
}
