package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Pages of a size of their own, and what is read after an edit. */
@ExtendWith(Browser.class)
class PageSizesTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator leaf(Page page, int number) {
        return page.getByRole(
                        AriaRole.LISTBOX,
                        new Page.GetByRoleOptions().setName("Concertina: all pages"))
                .getByRole(AriaRole.OPTION)
                .nth(number - 1);
    }

    @Test
    void a_page_that_folds_out_is_as_large_as_it_is_typed_and_goes_back(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        double usual = leaf(page, 5).locator("img").boundingBox().width;
        Browser.changePages(page, "Size…");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Size of page 5");
        dialog.getByLabel("Width").fill("280");
        AccessibilityTest.passesAxe(page);
        dialog.getByText("Give this size").click();
        assertThat(page.getByText("280 mm × 210 mm")).isVisible();
        // as wide as 280 to 148
        assertThat(leaf(page, 5).locator("img").boundingBox().width)
                .isBetween(usual * 1.8, usual * 2);

        Browser.changePages(page, "Size…");
        dialog.getByText("As all pages").click();
        assertThat(page.getByText("280 mm × 210 mm")).hasCount(0);
        Browser.undoAll(page);
    }

    @Test
    void a_size_that_is_not_possible_is_refused_in_words(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        Browser.changePages(page, "Size…");
        page.getByRole(AriaRole.DIALOG).getByLabel("Width").fill("4 mm");
        page.getByText("Give this size").click();
        assertThat(page.getByRole(AriaRole.ALERT).getByText("choose from 10 mm to 5080 mm"))
                .isVisible();
        assertThat(button(page, "Undo")).isDisabled();
    }

    @Test
    void an_edit_of_one_page_reads_one_small_picture_and_not_the_publication(
            Browser.Window window) {
        Page page = window.openDemo("?page=2");
        assertThat(leaf(page, 12).locator("img")).isVisible();
        // an image that stands there may not have been asked for yet
        page.waitForFunction(
                "() => document.images.length >= 12"
                        + " && [...document.images].every(it => it.complete && it.naturalWidth > 0)");
        List<String> read = new CopyOnWriteArrayList<>();
        page.onRequest(
                request -> read.add(request.url().replaceFirst(".*/publications/[^/]*", "")));
        page.getByLabel("Show the parent’s backgrounds").click();
        assertThat(button(page, "Undo")).isEnabled();
        page.waitForCondition(() -> read.stream().anyMatch(path -> path.contains("/small?")));
        page.waitForTimeout(600);
        assertThat(read).filteredOn(path -> path.contains("/small?")).hasSize(1);
        assertThat(read).filteredOn(path -> path.startsWith("/changes?")).isNotEmpty();
        assertThat(read).doesNotContain("").noneMatch(path -> path.startsWith("/pages?"));
        Browser.undoAll(page);
    }
}
