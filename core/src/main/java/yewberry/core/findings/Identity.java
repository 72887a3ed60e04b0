package yewberry.core.findings;

import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.legibility.RunContrast;
import yewberry.core.scene.Item;

/**
 * What makes a finding the same one after an edit of something else, after a restart and for
 * somebody else: the check and the elements it is about, never a place in a list or on the page.
 *
 * @param key of the finding itself
 * @param cause of all findings that the same change would mend
 * @param words what the cause is
 */
public record Identity(UUID key, UUID cause, String words) {
    public static Identity of(Finding finding) {
        String check = finding.getClass().getSimpleName();
        UUID page = finding.page();
        return switch (finding) {
            case Finding.TooLittleContrast it -> contrast(it);
            case Finding.TextOverflow it -> alone(finding, check, page, it.overset().frame());
            case Finding.StockNotPrinted it -> shared(finding, "stock", "The stock", page);
            case Finding.MissingCharacters it ->
                    shared(
                            finding,
                            it.run().face().family(),
                            "Characters that “%s” does not have"
                                    .formatted(it.run().face().family()),
                            page,
                            it.run().run());
            case Finding.OtherFont it ->
                    shared(
                            finding,
                            it.wanted(),
                            "Characters that “%s” does not have".formatted(it.wanted()),
                            page,
                            it.run().run());
            case Finding.DeadLink it ->
                    alone(finding, check, page, it.link().to(), it.link().text());
            case OnPageContent it ->
                    shared(finding, it.run().frame().toString(), it.text(), page, it.run().frame());
            case LooseLine it -> ofLook(finding, it.run(), page);
            case RunsIntoText it ->
                    alone(
                            finding,
                            check,
                            page,
                            it.fill().paragraph(),
                            it.fill().kind(),
                            it.other().run());
            case FrontFinding.NoAlternative it -> ofElement(finding, it.fill().element(), page);
            case FrontFinding.OnClear it ->
                    alone(finding, check, page, it.fill().element(), it.run().run());
            case FrontFinding.HidesText it ->
                    alone(finding, check, page, it.fill().element(), it.run().run());
            case FrontFinding.HidesBackground it ->
                    shared(
                            finding,
                            it.fill().source().fill().madeFrom().orElseThrow().toString(),
                            it.text(),
                            page,
                            it.fill().element());
            case FrontFinding.IntoPicture it ->
                    alone(
                            finding,
                            check,
                            page,
                            it.fill().element(),
                            it.behind().paragraph(),
                            it.behind().kind());
            case GraphicFinding.FaintBorder it ->
                    shared(
                            finding,
                            it.fill().look().toString(),
                            it.text(),
                            page,
                            it.fill().paragraph());
            case GraphicFinding.FaintPicture it -> ofElement(finding, it.fill().element(), page);
            case PressFinding.Hairline it -> ofItem(finding, it.item(), page);
            case PressFinding.TooMuchInk it -> ofItem(finding, it.place().item(), page);
            case PressFinding.OfText it -> ofLook(finding, it.run(), page);
            case PressFinding.EndsAtTrim it ->
                    shared(
                            finding,
                            element(it.fill()).toString() + it.edge().edge(),
                            it.text(),
                            page,
                            element(it.fill()),
                            it.edge().edge());
            case AreaFinding it -> ofItem(finding, it.fill(), page);
        };
    }

    private static Identity contrast(Finding.TooLittleContrast finding) {
        RunContrast contrast = finding.contrast();
        Item.GlyphRun run = contrast.run();
        RunContrast.Against worst = contrast.worst();
        String words =
                "“%s” on %s"
                        .formatted(
                                run.paint().inWords(),
                                worst.name()
                                        + worst.behind()
                                                .map(behind -> ", " + behind.words())
                                                .orElse(""));
        return new Identity(
                id("contrast", finding.page(), run.run(), finding.circumstance()),
                id(
                        "contrast",
                        run.paint().inWords(),
                        worst.behind().map(RunContrast.Behind::element),
                        worst.behind().isPresent() ? Optional.empty() : worst.name()),
                words);
    }

    private static Identity ofItem(Finding finding, Item item, UUID page) {
        return switch (item) {
            case Item.Filled fill -> ofElement(finding, element(fill), page);
            case Item.Lettering letters -> ofLook(finding, letters.letters(), page);
        };
    }

    private static UUID element(Item.Filled fill) {
        return switch (fill) {
            case Item.AreaFill area -> area.background();
            case Item.FrontFill front -> front.element();
            case Item.TextFill text -> text.paragraph();
        };
    }

    private static Identity ofLook(Finding finding, Item.GlyphRun run, UUID page) {
        return shared(
                finding,
                run.look().id().toString(),
                "Look “%s”".formatted(run.look().name()),
                page,
                run.run());
    }

    private static Identity ofElement(Finding finding, UUID element, UUID page) {
        return shared(finding, element.toString(), finding.text(), page, element);
    }

    /** One whose cause others may have, too. */
    private static Identity shared(Finding finding, String cause, String words, Object... key) {
        String check = finding.getClass().getSimpleName();
        return new Identity(id(check, id(key)), id("cause", check, cause), words);
    }

    /** One that is its own cause. */
    private static Identity alone(Finding finding, Object... key) {
        UUID id = id(key);
        return new Identity(id, id, finding.text());
    }

    private static UUID id(Object... parts) {
        return UUID.nameUUIDFromBytes(
                Stream.of(parts)
                        .map(Objects::toString)
                        .collect(Collectors.joining("|"))
                        .getBytes(StandardCharsets.UTF_8));
    }
}
