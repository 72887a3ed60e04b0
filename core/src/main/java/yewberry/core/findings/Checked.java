package yewberry.core.findings;

import java.util.List;
import yewberry.core.asset.PageText;

/**
 * What checking a page came to.
 *
 * @param unread what of the page of a file could not be judged
 */
public record Checked(List<Finding> findings, List<PageText.Unread> unread) {
    public Checked {
        findings = List.copyOf(findings);
        unread = List.copyOf(unread);
    }
}
