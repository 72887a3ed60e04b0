package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Several people, or several windows of one, at the same publication. */
@ExtendWith(Browser.class)
class OthersTest {
    private static Page open(BrowserContext browser, String address, String rest) {
        Page page = browser.newPage();
        page.navigate(address + "/publications/" + Browser.DEMO + rest);
        page.getByRole(AriaRole.APPLICATION).waitFor();
        return page;
    }

    private static Locator setup(Page page) {
        return page.getByLabel("Setup of ");
    }

    private static Locator field(Page page, String label) {
        return page.getByRole(AriaRole.DIALOG)
                .getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
    }

    private static void rename(Page page, String name) {
        setup(page).click();
        field(page, "Name of the publication").fill(name);
        page.keyboard().press("Enter");
        assertThat(setup(page)).hasAttribute("aria-label", "Setup of " + name);
        page.keyboard().press("Escape");
    }

    @Test
    void what_somebody_else_changes_shows_with_the_name_and_nothing_typed_is_lost(
            Browser.Window window) {
        try (BrowserContext theirs = window.page().context().browser().newContext()) {
            Page own =
                    open(
                            Browser.followed(window.page().context(), window.address()),
                            window.address(),
                            "?page=5");
            Page other = open(theirs, window.address(), "?page=5");
            setup(other).click();
            field(other, "Your name").fill("Mara");
            other.keyboard().press("Enter");
            other.keyboard().press("Escape");

            setup(own).click();
            Locator margin = field(own, "Margin, top");
            margin.fill("21 m");
            rename(other, "Season guide, new");
            assertThat(own.getByText("Mara changed this")).isAttached();
            assertThat(field(own, "Name of the publication")).hasValue("Season guide, new");
            assertThat(margin).hasValue("21 m");
            assertThat(margin).isFocused();
            own.keyboard().type("m");
            own.keyboard().press("Enter");
            assertThat(margin).hasValue("21 mm");
            own.keyboard().press("Escape");
            assertThat(own.getByText("Pages 4 and 5 of 12")).isVisible();

            setup(other).click();
            assertThat(field(other, "Margin, top")).hasValue("21 mm");
            other.keyboard().press("Escape");
            rename(other, "Season guide");
            assertThat(setup(own)).hasAttribute("aria-label", "Setup of Season guide");
            // what was changed by both cannot be undone by one: it is set as it was
            setup(own).click();
            margin.fill("18 mm");
            own.keyboard().press("Enter");
            setup(other).click();
            assertThat(field(other, "Margin, top")).hasValue("18 mm");
        }
    }

    @Test
    void all_windows_of_a_browser_share_one_stream_and_the_next_takes_it_over(
            Browser.Window window) {
        try (BrowserContext theirs = window.page().context().browser().newContext()) {
            AtomicInteger streams = new AtomicInteger();
            theirs.onRequest(request -> {
                if (request.url().contains("/api/events?")) {
                    streams.incrementAndGet();
                }
            });
            List<Page> windows = new ArrayList<>();
            for (int i = 0; i < 7; i++) {
                windows.add(open(theirs, window.address(), ""));
            }
            assertThat(streams).hasValue(1);
            Page other =
                    open(
                            Browser.followed(window.page().context(), window.address()),
                            window.address(),
                            "");
            rename(other, "Season guide, once");
            for (Page each : windows) {
                assertThat(setup(each)).hasAttribute("aria-label", "Setup of Season guide, once");
            }
            windows.removeFirst().close();
            windows.getFirst().waitForCondition(() -> streams.get() == 2);
            rename(other, "Season guide");
            for (Page each : windows) {
                assertThat(setup(each)).hasAttribute("aria-label", "Setup of Season guide");
                assertThat(each.getByText("Somebody else changed this")).isVisible();
            }
        }
    }
}
