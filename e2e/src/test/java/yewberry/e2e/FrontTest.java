package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Pictures and words in front of the backgrounds, and bands with text. */
@ExtendWith(Browser.class)
class FrontTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static void type(Page page, String label, String value) {
        field(page, label).fill(value);
        field(page, label).press("Enter");
    }

    private static Locator held(Page page) {
        return page.getByRole(
                AriaRole.GROUP,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Chosen frame")));
    }

    @Test
    void a_picture_is_placed_in_front_told_moved_and_locked(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Milky way")))
                .click();
        button(page, "Place it in front…").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Page 5")).click();
        button(page, "Picture: Milky way").click();
        AccessibilityTest.passesAxe(page);
        Locator tally =
                page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Findings")));
        assertThat(tally).hasText(Pattern.compile("Findings\\d+"));
        int before = Integer.parseInt(tally.innerText().replaceAll("\\D", ""));
        field(page, "Alternative text: what it shows").fill("The Milky Way above the sea wall");
        field(page, "Alternative text: what it shows").press("Control+Enter");
        assertThat(tally).containsText(String.valueOf(before - 1));

        button(page, "Hold it on the page").click();
        BoundingBox lay = held(page).boundingBox();
        held(page).focus();
        page.keyboard().press("Shift+ArrowRight");
        page.keyboard().press("Shift+ArrowRight");
        page.waitForCondition(() -> held(page).boundingBox().x > lay.x + 10);
        assertThat(field(page, "From the left")).hasValue("57 mm");

        button(page, "Lock").click();
        assertThat(button(page, "Unlock")).isVisible();
        assertThat(held(page)).hasAccessibleName("Chosen frame, locked");
        assertThat(button(page, "Remove")).isDisabled();
        Browser.undoAll(page);
    }

    @Test
    void a_word_runs_over_the_pages_of_a_parent(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        Browser.changing(page, "Parent Night");
        button(page, "Add a word over the page").click();
        button(page, "Over: “PROOF”").click();
        field(page, "Word").scrollIntoViewIfNeeded();
        AccessibilityTest.passesAxe(page);
        type(page, "Word", "Not yet");
        assertThat(button(page, "Over: “Not yet”")).isVisible();
        type(page, "Opacity %", "150");
        assertThat(page.getByText("An opacity").first()).isVisible();
        assertThat(field(page, "Opacity %")).hasValue("150");
        type(page, "Opacity %", "40");
        // both pages of the spread have it
        page.waitForCondition(() -> page.locator("svg image").count() >= 2);
        Browser.undoAll(page);
    }

    /** The number that each page has, told by the parent once. */
    @Test
    void a_band_with_page_numbers_is_written_once_for_all_pages(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        Browser.changing(page, "Parent Night");
        button(page, "Add a band with text…").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Dusk")).click();
        assertThat(Browser.story(page)).isFocused();
        Browser.story(page).pressSequentially("Page ");
        button(page, "Page number…").click();
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName("Page number").setExact(true))
                .click();
        assertThat(Browser.story(page).locator("[data-field=PAGE]")).hasText("Page number");
        AccessibilityTest.passesAxe(page);
        Browser.story(page).press("Escape");
        for (String number : new String[] {"6", "7"}) {
            assertThat(page.getByText("Text of page %1$s: Page %1$s".formatted(number)))
                    .hasCount(1);
        }
        button(page, "Band at the top: Page [page number]").click();
        type(page, "Depth, from the trim", "0");
        assertThat(page.getByText("would not be seen").first()).isVisible();
        type(page, "Depth, from the trim", "20");
        assertThat(field(page, "Depth, from the trim")).hasValue("20 mm");
        AccessibilityTest.passesAxe(page);
        Browser.undoAll(page);
    }
}
