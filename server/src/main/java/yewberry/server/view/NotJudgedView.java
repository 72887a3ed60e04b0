package yewberry.server.view;

import java.util.List;
import java.util.UUID;
import yewberry.core.asset.PageText;
import yewberry.core.findings.NotJudged;

/**
 * A picture or a PDF that may have text in it, which is drawn and not read, and so is not judged;
 * or what of the pages of a file could not be.
 *
 * @param names of what shows it that is no page, in words
 * @param pages numbers of the pages that show it themselves
 * @param why of the pages of a file, in sentences
 */
public record NotJudgedView(
        UUID asset, String name, List<String> names, List<Integer> pages, List<String> why) {
    static NotJudgedView of(NotJudged each) {
        return new NotJudgedView(
                each.asset(),
                each.name(),
                each.where().names(),
                each.where().pages(),
                each.why().stream().map(PageText.Why::inWords).toList());
    }
}
