package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.findings.Finding;
import yewberry.core.findings.FrontFinding;
import yewberry.core.findings.LooseLine;
import yewberry.core.findings.Offer;
import yewberry.core.findings.PictureFinding;
import yewberry.core.findings.PressFinding;
import yewberry.core.findings.RunsIntoText;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;

/**
 * A finding as it is shown and exported.
 *
 * @param kind such as {@code contrast} or {@code too-much-ink}; docs/api.md has them all
 * @param page the page's number, from 1
 * @param rule behind it, and where the rule comes from
 * @param offers what would mend it; contrasts have mends of their own
 * @param origin what it comes from, in words
 * @param story of text that finds no room
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
        Optional<UUID> story,
        Optional<BigDecimal> ratio,
        Optional<Double> required,
        Optional<String> foreground,
        Optional<String> backdrop,
        String rule,
        Finding.Severity severity,
        List<Offer> offers) {
    /**
     * @param page the number of its page, from 1
     */
    public static FindingView of(
            Finding finding, int page, Publication publication, PressCondition press) {
        Optional<RunContrast> contrast =
                finding instanceof Finding.TooLittleContrast little
                        ? Optional.of(little.contrast())
                        : Optional.empty();
        return new FindingView(
                kind(finding),
                page,
                finding.page(),
                finding.message(),
                finding.origin().inWords(),
                finding.origin().owner(),
                finding.text(),
                Extent.of(finding.where()),
                run(finding).map(Item.GlyphRun::run),
                finding instanceof Finding.TextOverflow overflow
                        ? Optional.of(overflow.overset().frame())
                        : run(finding).map(Item.GlyphRun::frame),
                finding instanceof Finding.TextOverflow overflow
                        ? Optional.of(overflow.overset().story())
                        : Optional.empty(),
                contrast.map(it -> Contrast.cut(it.worst().ratio())),
                contrast.map(RunContrast::required),
                contrast.map(it -> it.worst().foreground().hex()),
                contrast.map(it -> it.worst().color().hex()),
                finding.rule(),
                finding.severity(),
                Offer.of(finding, publication, press));
    }

    private static String kind(Finding finding) {
        return switch (finding) {
            case Finding.TooLittleContrast it -> "contrast";
            case Finding.TextOverflow it -> "text-overflow";
            case Finding.StockNotPrinted it -> "stock-not-printed";
            case Finding.MissingCharacters it -> "missing-characters";
            case Finding.OtherFont it -> "other-font";
            case Finding.DeadLink it -> "dead-link";
            case RunsIntoText it -> "runs-into-text";
            case FrontFinding.NoAlternative it -> "no-alternative-text";
            case FrontFinding.OnClear it -> "text-on-clear-part";
            case FrontFinding.HidesText it -> "text-hidden";
            case FrontFinding.IntoPicture it -> "runs-into-picture";
            case LooseLine it -> "loose-line";
            case PictureFinding.Unreadable it -> "picture-unreadable";
            case PictureFinding.TooCoarse it -> "picture-too-coarse";
            case PictureFinding.Boxed it -> "picture-boxed";
            case PictureFinding.NotForPress it -> "pdf-not-for-press";
            case PictureFinding.SpotCannotBlend it -> "spot-cannot-blend";
            case PressFinding.TooMuchInk it -> "too-much-ink";
            case PressFinding.SmallTypeInInks it -> "small-type-inks";
            case PressFinding.SmallTypeReversed it -> "small-type-reversed";
            case PressFinding.PlainBlackArea it -> "plain-black-area";
            case PressFinding.LightOverprint it -> "light-overprint";
            case PressFinding.EndsAtTrim it -> "ends-at-trim";
            case PressFinding.TextNearTrim it -> "text-near-trim";
            case PressFinding.BackgroundLeftOut it ->
                    switch (it.medium()) {
                        case PAPER -> "background-not-printed";
                        case SCREEN -> "background-not-shown";
                    };
        };
    }

    private static Optional<Item.GlyphRun> run(Finding finding) {
        return switch (finding) {
            case Finding.TooLittleContrast it -> Optional.of(it.contrast().run());
            case Finding.OfCharacters it -> Optional.of(it.run());
            case LooseLine it -> Optional.of(it.run());
            case PressFinding.OfText it -> Optional.of(it.run());
            case PressFinding.TooMuchInk it ->
                    it.place().item() instanceof Item.GlyphRun run
                            ? Optional.of(run)
                            : Optional.empty();
            case PressFinding.OfArea it -> Optional.empty();
            case PictureFinding it -> Optional.empty();
            case Finding.TextOverflow it -> Optional.empty();
            case Finding.DeadLink it -> Optional.empty();
            case RunsIntoText it -> Optional.of(it.other());
            case FrontFinding.OnClear it -> Optional.of(it.run());
            case FrontFinding.HidesText it -> Optional.of(it.run());
            case FrontFinding.NoAlternative it -> Optional.empty();
            case FrontFinding.IntoPicture it -> Optional.empty();
            case Finding.StockNotPrinted it -> Optional.empty();
        };
    }
}
