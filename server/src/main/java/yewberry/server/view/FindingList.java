package yewberry.server.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.findings.Checked;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Finding;
import yewberry.core.findings.KnownFinding;
import yewberry.core.findings.NotJudged;
import yewberry.core.publication.Publication;

/**
 * What is found on the pages that were checked.
 *
 * @param level that text is held to
 * @param findings that are open, as many as are listed
 * @param same the pages whose open findings are those of the list before, which are not listed
 *     again
 * @param mark tells it from other lists of the same revision
 * @param open how many are open
 * @param excepted those that an exception holds for
 * @param exemptions all exceptions, in the order in which they were granted
 * @param mended what was found before and is not any more, the last first; empty until all pages
 *     are checked
 * @param notJudged pictures and PDFs that may have text in them
 * @param checked how many pages were; the others come with the next request
 * @param pages how many there are
 */
public record FindingList(
        long revision,
        String level,
        List<FindingView> findings,
        List<UUID> same,
        UUID mark,
        int open,
        List<FindingView> excepted,
        List<ExemptionView> exemptions,
        List<MendedView> mended,
        List<NotJudgedView> notJudged,
        int checked,
        int pages) {
    private static final UUID NO_MARK = new UUID(0, 0);

    /** How a finding is told. */
    @FunctionalInterface
    public interface Shown {
        /**
         * @param page the number of its page, from 1
         */
        FindingView of(Finding finding, int page, Publication publication, Exemptions exemptions);
    }

    /**
     * @param found on each page that was checked, by its position
     * @param view how each is told
     * @param most so many open findings are listed, page by page
     */
    public static FindingList of(
            long revision,
            Publication publication,
            Map<Integer, Checked> found,
            Shown view,
            int most) {
        Exemptions exemptions = Exemptions.of(publication);
        List<FindingView> open = new ArrayList<>();
        List<FindingView> excepted = new ArrayList<>();
        int all = 0;
        for (Map.Entry<Integer, Checked> page : found.entrySet()) {
            for (Finding finding : page.getValue().findings()) {
                boolean isOpen = exemptions.isOpen(finding);
                all += isOpen ? 1 : 0;
                if (!isOpen || open.size() < most) {
                    (isOpen ? open : excepted)
                            .add(view.of(finding, page.getKey() + 1, publication, exemptions));
                }
            }
        }
        return new FindingList(
                revision,
                publication.setup().level().name(),
                open,
                List.of(),
                NO_MARK,
                all,
                excepted,
                exemptions
                        .all(
                                publication,
                                found.values().stream()
                                        .flatMap(each -> each.findings().stream())
                                        .filter(Finding.TooLittleContrast.class::isInstance)
                                        .map(Finding.TooLittleContrast.class::cast)
                                        .filter(Finding.TooLittleContrast::isVerdict)
                                        .map(Finding.TooLittleContrast::contrast))
                        .stream()
                        .map(ExemptionView::of)
                        .toList(),
                List.of(),
                NotJudged.of(publication, found).stream().map(NotJudgedView::of).toList(),
                found.size(),
                publication.pages().size());
    }

    /** Whether no page is left to be checked, and all that is found is listed. */
    public boolean isWhole() {
        return checked == pages && findings.size() == open;
    }

    /** All that is found, whether an exception holds for it or not. */
    public List<KnownFinding> known() {
        return Stream.concat(findings.stream(), excepted.stream()).map(MendedView::known).toList();
    }

    public FindingList withMended(List<KnownFinding> known, Publication publication) {
        return new FindingList(
                revision,
                level,
                findings,
                same,
                mark,
                open,
                excepted,
                exemptions,
                known.stream()
                        .filter(each -> publication.pages().position(each.page()).isPresent())
                        .map(each -> MendedView.of(each, publication))
                        .toList(),
                notJudged,
                checked,
                pages);
    }

    /** The same without the open findings of some pages, which are known. */
    public FindingList without(List<UUID> same, UUID mark) {
        Set<UUID> left = Set.copyOf(same);
        return new FindingList(
                revision,
                level,
                findings.stream().filter(each -> !left.contains(each.pageId())).toList(),
                same,
                mark,
                open,
                excepted,
                exemptions,
                mended,
                notJudged,
                checked,
                pages);
    }
}
