package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Finding;
import yewberry.core.findings.FrontFinding;
import yewberry.core.findings.GraphicFinding;
import yewberry.core.findings.Identity;
import yewberry.core.findings.LooseLine;
import yewberry.core.findings.Offer;
import yewberry.core.findings.OnPageContent;
import yewberry.core.findings.PictureFinding;
import yewberry.core.findings.PressFinding;
import yewberry.core.findings.RunsIntoText;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.FindingMend;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;

/**
 * A finding as it is shown and exported.
 *
 * @param page the page's number, from 1
 * @param rule behind it, and where the rule comes from
 * @param offers what may mend it, not yet tried; contrasts have more. Where many findings are
 *     listed they are left out, and asked for page by page
 * @param origin what it comes from, in words
 * @param story of text that finds no room
 * @param ratio of a contrast, cut to two decimals
 * @param foreground of a contrast: the text's colour on the screen, {@code #rrggbb}
 * @param backdrop of a contrast: the worst colour behind it
 * @param failing of a contrast: the part of what is behind the text that it does not stand out
 *     from, in percent
 * @param worst of a contrast: the word where it is worst, if it is not the same all over
 * @param behind of a contrast: what paints the worst colour, in words
 * @param key the same for the same finding after edits of other things
 * @param cause the same for all findings that one change would mend
 * @param causeInWords what that is
 * @param onPicture of a contrast: whether the text stands on a picture, where no exception is
 *     possible
 * @param exemption the exception for its text, whether it holds or ended
 * @param file the page of a file that its text is written in
 */
public record FindingView(
        FindingKind kind,
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
        List<Offer> offers,
        Optional<Double> failing,
        Optional<WorstWord> worst,
        Optional<String> behind,
        UUID key,
        UUID cause,
        String causeInWords,
        Optional<ExemptionView> exemption,
        boolean onPicture,
        Optional<Imported> file) {
    /** A word, and where it stands. */
    public record WorstWord(String word, Extent where) {}

    /** Whether it is still to be mended: no exception holds for it. */
    public boolean isOpen() {
        return exemption.filter(each -> each.ended().isEmpty()).isEmpty();
    }

    /** The same without what would mend it. */
    public static FindingView listed(
            Finding finding, int page, Publication publication, Exemptions exemptions) {
        return of(finding, page, publication, List.of(), exemptions);
    }

    /**
     * @param page the number of its page, from 1
     * @param exemptions of the publication
     */
    public static FindingView of(
            Finding finding,
            int page,
            Publication publication,
            PressCondition press,
            Exemptions exemptions) {
        return of(
                finding,
                page,
                publication,
                FindingMend.offers(finding, publication, press),
                exemptions);
    }

    private static FindingView of(
            Finding finding,
            int page,
            Publication publication,
            List<Offer> offers,
            Exemptions exemptions) {
        Identity identity = Identity.of(finding);
        Optional<RunContrast> contrast =
                finding instanceof Finding.TooLittleContrast little
                        ? Optional.of(little.contrast())
                        : Optional.empty();
        return new FindingView(
                FindingKind.of(finding),
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
                        : run(finding).filter(run -> !run.isInFile()).map(Item.GlyphRun::frame),
                finding instanceof Finding.TextOverflow overflow
                        ? Optional.of(overflow.overset().story())
                        : Optional.empty(),
                contrast.map(it -> Contrast.cut(it.worst().ratio())),
                contrast.map(RunContrast::required),
                contrast.map(it -> it.worst().foreground().hex()),
                contrast.map(it -> it.worst().color().hex()),
                finding.rule(),
                finding.severity(),
                offers,
                contrast.map(it -> Math.rint(it.failing() * 1000) / 10),
                contrast.flatMap(RunContrast::spot)
                        .map(spot -> new WorstWord(spot.word(), Extent.of(spot.where()))),
                contrast.flatMap(it -> it.worst().behind()).map(RunContrast.Behind::words),
                identity.key(),
                identity.cause(),
                identity.words(),
                finding instanceof Finding.TooLittleContrast little
                        ? exemptions.of(little).map(ExemptionView::of)
                        : Optional.empty(),
                contrast.filter(RunContrast::onPicture).isPresent(),
                run(finding)
                        .filter(Item.GlyphRun::isInFile)
                        .flatMap(_ -> publication.page(finding.page()).imported()));
    }

    private static Optional<Item.GlyphRun> run(Finding finding) {
        return switch (finding) {
            case Finding.TooLittleContrast it -> Optional.of(it.contrast().run());
            case Finding.OfCharacters it -> Optional.of(it.run());
            case LooseLine it -> Optional.of(it.run());
            case OnPageContent it -> Optional.of(it.run());
            case PressFinding.OfText it -> Optional.of(it.run());
            case PressFinding.TooMuchInk it ->
                    it.place().item() instanceof Item.GlyphRun run
                            ? Optional.of(run)
                            : Optional.empty();
            case PressFinding.OfArea it -> Optional.empty();
            case PressFinding.Hairline it ->
                    it.item() instanceof Item.Lettering letters
                            ? Optional.of(letters.letters())
                            : Optional.empty();
            case GraphicFinding it -> Optional.empty();
            case PictureFinding it -> Optional.empty();
            case Finding.TextOverflow it -> Optional.empty();
            case Finding.DeadLink it -> Optional.empty();
            case RunsIntoText it -> Optional.of(it.other());
            case FrontFinding.OnClear it -> Optional.of(it.run());
            case FrontFinding.HidesText it -> Optional.of(it.run());
            case FrontFinding.NoAlternative it -> Optional.empty();
            case FrontFinding.IntoPicture it -> Optional.empty();
            case FrontFinding.HidesBackground it -> Optional.empty();
            case Finding.StockNotPrinted it -> Optional.empty();
        };
    }
}
