package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;
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
        held(
                page,
                "choose pages",
                () -> {
                    page.getByLabel("Choose pages").fill("2-9");
                    page.keyboard().press("Enter");
                },
                8,
                300);
        held(
                page,
                "colour them",
                () -> {
                    page.getByText("Add a background…").first().click();
                    page.getByRole(AriaRole.MENUITEM).first().click();
                },
                20,
                300);
        stage.focus();
        held(page, "take that back", () -> page.keyboard().press("Control+z"), 20, 300);
        held(page, "open the Findings", () -> screen(page, "^Findings"), 16, 600);
        held(page, "open the Flatplan", () -> screen(page, "^Flatplan"), 20, 600);
        Browser.undoAll(page);
    }

    /** At the size shown, and at no other that is only assumed first; those beside it likewise. */
    @Test
    void a_page_that_is_opened_has_each_spread_drawn_once(Browser.Window window) {
        Page page = window.page();
        count(page);
        window.openDemo("?page=5");
        settle(page);
        List<String> drawn =
                asked.stream()
                        .map(Request::url)
                        .filter(url -> url.contains("/picture?"))
                        .map(url -> url.replaceFirst("/picture.*", ""))
                        .toList();
        assertThat(drawn).hasSizeBetween(1, 3).doesNotHaveDuplicates();
    }

    @Test
    void writing_sends_and_reads_one_paragraph(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        count(page);
        exact(page, "Text: The telescopes").click();
        exact(page, "Write").click();
        Browser.story(page).waitFor();
        Browser.story(page).locator("p").nth(1).click();
        held(page, "write a word", () -> page.keyboard().type("Dunlin "), 24, 400);
        long sent =
                asked.stream()
                        .filter(each -> each.url().endsWith("/edits"))
                        .mapToLong(each -> each.postDataBuffer().length)
                        .sum();
        assertThat(sent).as("bytes of the edit").isBetween(1L, 5_000L);
        Browser.undoAll(page);
    }

    private static Locator exact(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void screen(Page page, String name) {
        page.getByRole(AriaRole.NAVIGATION)
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(Pattern.compile(name)))
                .click();
    }

    private static final int KILOBYTE = 1000;

    @Test
    void the_first_screens_read_no_more_script_than_they_need(Browser.Window window)
            throws IOException {
        Page page = window.page();
        // what is read ahead of the other screens comes later and is not counted
        page.addInitScript(
                "const later = setTimeout; window.setTimeout = (act, after, ...more) => after === 1500 ? 0 : later(act, after, ...more)");
        List<Response> scripts = new CopyOnWriteArrayList<>();
        page.onResponse(response -> {
            if (response.url().endsWith(".js")) {
                scripts.add(response);
            }
        });
        window.openShelf();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        assertThat(zipped(scripts)).as("the shelf").isBetween(50, 250);
        scripts.clear();
        window.openDemo("?page=5");
        page.waitForLoadState(LoadState.NETWORKIDLE);
        assertThat(zipped(scripts)).as("the Bench").isBetween(50, 350);
    }

    /** In kB, whatever the server zips. */
    private static int zipped(List<Response> scripts) throws IOException {
        var sum = new ByteArrayOutputStream();
        for (Response each : scripts) {
            try (var zip = new GZIPOutputStream(sum)) {
                zip.write(each.body());
            }
        }
        return sum.size() / KILOBYTE;
    }

    private static void turn(Page page) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Spread after"))
                .first()
                .click();
    }
}
