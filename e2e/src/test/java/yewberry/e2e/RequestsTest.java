package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * What each action asks of the server: no edit reads what did not change. The figures are what was
 * measured, with some room; none of them depends on how many pages there are.
 */
@ExtendWith(Browser.class)
class RequestsTest {
    private final List<Request> asked = new CopyOnWriteArrayList<>();
    private final Set<Request> underWay = ConcurrentHashMap.newKeySet();

    private void count(Page page) {
        page.onRequest(request -> {
            if (!request.resourceType().equals("eventsource")) { // that never ends
                underWay.add(request);
            }
        });
        page.onRequestFailed(underWay::remove);
        page.onRequestFinished(request -> {
            underWay.remove(request);
            if (request.url().contains("/api/")) {
                asked.add(request);
            }
        });
    }

    /** Waits until nothing is asked any more, and all is answered, however slow the machine is. */
    private void settle(Page page) {
        int before = -1;
        while (before != asked.size() || !underWay.isEmpty()) {
            before = asked.size();
            page.waitForTimeout(1500);
        }
    }

    /** Does something and waits until nothing is asked any more. */
    private void held(Page page, String action, Runnable act, int requests, int kilobytes) {
        settle(page); // what is read ahead has been read
        asked.clear();
        act.run();
        settle(page);
        List<String> names =
                asked.stream()
                        .map(each -> each.method() + " " + each.url().replaceFirst("^.*/api/", ""))
                        .toList();
        long read = asked.stream().mapToLong(each -> each.sizes().responseBodySize).sum() / 1000;
        assertThat(names).as(action).hasSizeBetween(1, requests);
        assertThat(read).as("kB for %s: %s", action, names).isLessThanOrEqualTo(kilobytes);
    }

    @Test
    void no_action_asks_for_more_than_it_needs(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        count(page);
        Locator stage = page.getByRole(AriaRole.APPLICATION);
        held(page, "turn the page", () -> turn(page), 6, 200);
        Locator parent =
                page.getByLabel("What is painted").getByText("Show the parent’s backgrounds");
        held(page, "hide the parent's backgrounds", parent::click, 12, 200);
        stage.focus();
        held(page, "undo", () -> page.keyboard().press("Control+z"), 12, 200);
        held(
                page,
                "make a swatch",
                () ->
                        page.getByRole(
                                        AriaRole.BUTTON,
                                        new Page.GetByRoleOptions().setName("New swatch"))
                                .click(),
                16,
                200);
        Browser.undoAll(page);
    }

    private static void turn(Page page) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Spread after"))
                .first()
                .click();
    }
}
