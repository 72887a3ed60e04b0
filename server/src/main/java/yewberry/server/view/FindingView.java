package yewberry.server.view;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.findings.Finding;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Owner;

/**
 * A finding as it is shown and exported.
 *
 * @param kind {@code contrast}, {@code text-overflow}, {@code missing-characters} or {@code
 *     stock-not-printed}
 * @param page the page's number, from 1
 * @param origin what it comes from, in words
 * @param ratio of a contrast, cut to two decimals
 * @param foreground of a contrast: the text's colour on the screen, {@code #rrggbb}
 * @param backdrop of a contrast: the worst colour behind it
 */
public record FindingView(
        String kind,
        int page,
        UUID pageId,
        String message,
        String origin,
        Owner owner,
        String text,
        Extent where,
        Optional<UUID> run,
        Optional<UUID> frame,
        Optional<BigDecimal> ratio,
        Optional<Double> required,
        Optional<String> foreground,
        Optional<String> backdrop) {
    /**
     * @param page the number of its page, from 1
     */
    public static FindingView of(Finding finding, int page) {
        return switch (finding) {
            case Finding.TooLittleContrast contrast -> {
                RunContrast run = contrast.contrast();
                yield view(
                        "contrast",
                        finding,
                        page,
                        Optional.of(run.run().run()),
                        Optional.of(run.run().frame()),
                        Optional.of(run));
            }
            case Finding.TextOverflow overflow ->
                    view(
                            "text-overflow",
                            finding,
                            page,
                            Optional.empty(),
                            Optional.of(overflow.overset().frame()),
                            Optional.empty());
            case Finding.StockNotPrinted stock ->
                    view(
                            "stock-not-printed",
                            finding,
                            page,
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty());
            case Finding.MissingCharacters missing ->
                    view(
                            "missing-characters",
                            finding,
                            page,
                            Optional.of(missing.run().run()),
                            Optional.of(missing.run().frame()),
                            Optional.empty());
        };
    }

    private static FindingView view(
            String kind,
            Finding finding,
            int page,
            Optional<UUID> run,
            Optional<UUID> frame,
            Optional<RunContrast> contrast) {
        return new FindingView(
                kind,
                page,
                finding.page(),
                finding.message(),
                finding.origin().inWords(),
                finding.origin().owner(),
                finding.text(),
                Extent.of(finding.where()),
                run,
                frame,
                contrast.map(it -> Contrast.cut(it.worst().ratio())),
                contrast.map(RunContrast::required),
                contrast.map(it -> it.foreground().hex()),
                contrast.map(it -> it.worst().color().hex()));
    }
}
