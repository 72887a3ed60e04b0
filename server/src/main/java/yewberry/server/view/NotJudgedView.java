package yewberry.server.view;

import java.util.List;
import java.util.UUID;
import yewberry.core.findings.NotJudged;

/**
 * A picture or a PDF that may have text in it, which is drawn and not read, and so is not judged.
 *
 * @param names of what shows it that is no page, in words
 * @param pages numbers of the pages that show it themselves
 */
public record NotJudgedView(UUID asset, String name, List<String> names, List<Integer> pages) {
    static NotJudgedView of(NotJudged each) {
        return new NotJudgedView(
                each.asset(), each.name(), each.where().names(), each.where().pages());
    }
}
