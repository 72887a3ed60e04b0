package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Lists, tabs and links of a story, and stories that wait to be placed. */
@ExtendWith(Browser.class)
class ListsAndLinksTest {
    private static Page open(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        button(page, "Text: The telescopes").click();
        button(page, "Write").click();
        assertThat(Browser.story(page)).isFocused();
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator paragraphs(Page page) {
        return Browser.story(page).locator("p");
    }

    private static Locator read(Page page) {
        return page.getByRole(AriaRole.APPLICATION);
    }

    private static void into(Page page, int paragraph) {
        paragraphs(page).nth(paragraph).click();
        page.keyboard().press("Home");
    }

    private static void choose(Page page, String label, String option) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    private static String path(Page page, String path) {
        return (String)
                page.evaluate(
                        "async path => JSON.stringify(await (await fetch(path)).json())",
                        "/api/publications/" + Browser.DEMO + path);
    }

    @Test
    void words_lead_to_an_address_a_page_or_a_heading(Browser.Window window) {
        Page page = open(window);
        into(page, 0);
        page.keyboard().press("Shift+End");
        button(page, "Link, language…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator address =
                dialog.getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName("Address").setExact(true));
        choose(page, "They lead to", "A page");
        dialog.getByLabel("Page", new Locator.GetByLabelOptions().setExact(true)).fill("99");
        button(page, "Apply").click();
        assertThat(dialog.getByRole(AriaRole.ALERT)).containsText("There is no page 99");
        choose(page, "They lead to", "An address");
        address.fill("javascript:alert(1)");
        button(page, "Apply").click();
        assertThat(dialog.getByRole(AriaRole.ALERT)).containsText("begins with https://");
        address.fill("https://observatory.example/glass");
        choose(page, "Language of the words", "German");
        button(page, "Apply").click();
        Locator linked = Browser.story(page).locator("[data-link]");
        assertThat(linked).hasText("The telescopes");
        page.keyboard().press("Escape");
        button(page, "Write").click();
        assertThat(linked).hasText("The telescopes");
        assertThat(Browser.story(page).locator("[data-language=GERMAN]")).hasCount(1);
        // another one in its place
        into(page, 0);
        page.keyboard().press("Shift+End");
        button(page, "Link, language…").click();
        assertThat(address).hasValue("https://observatory.example/glass");
        choose(page, "They lead to", "A heading");
        dialog.getByLabel("Dark hours").check();
        button(page, "Apply").click();
        page.waitForCondition(
                () -> linked.getAttribute("data-link").contains("\"type\":\"toParagraph\""));
        Browser.undoAll(page);
    }

    @Test
    void a_list_shows_its_marks_and_is_counted_from_a_number_that_is_given(Browser.Window window) {
        Page page = open(window);
        Locator marks = Browser.story(page).locator(".listMark");
        assertThat(marks).hasCount(3);
        into(page, 4);
        choose(page, "Look", "Steps");
        assertThat(marks.nth(0)).containsText("1.");
        into(page, 5);
        choose(page, "Look", "Steps");
        assertThat(marks.nth(1)).containsText("2.");
        into(page, 4);
        button(page, "Link, language…").click();
        page.getByLabel(Pattern.compile("^Number of the paragraph")).fill("7");
        button(page, "Apply").click();
        assertThat(marks.nth(0)).containsText("7.");
        assertThat(marks.nth(1)).containsText("8.");
        // what is divided off has the next number, and the first keeps its own
        page.keyboard().press("End");
        page.keyboard().press("Enter");
        page.keyboard().type("One more");
        assertThat(marks.nth(0)).containsText("7.");
        assertThat(marks.nth(1)).containsText("8.");
        assertThat(marks.nth(2)).containsText("9.");
        assertThat(read(page)).containsText("One more");
        Browser.undoAll(page);
    }

    @Test
    void a_tab_is_put_in_by_keys_and_the_key_of_that_name_goes_on(Browser.Window window) {
        Page page = open(window);
        into(page, 0);
        page.keyboard().press("End");
        page.keyboard().press("Shift+Alt+T");
        page.keyboard().type("9 inches");
        assertThat(read(page)).containsText(Pattern.compile("The telescopes\\s9 inches"));
        page.keyboard().press("Escape");
        page.waitForCondition(() -> path(page, "").contains("\"revision\""));
        assertThat(path(page, "/stories?find=9%20inches")).contains("\"all\":1");
        button(page, "Write").click();
        page.keyboard().press("Tab");
        assertThat(Browser.story(page)).not().isFocused();
        Browser.undoAll(page);
    }

    @Test
    void a_story_is_written_before_it_has_a_frame_and_placed(Browser.Window window) {
        Page page = window.openDemo("?page=3");
        button(page, "Show all stories").click();
        button(page, "New story").click();
        assertThat(Browser.story(page)).isFocused();
        assertThat(page.getByText("in no frame yet")).isVisible();
        page.keyboard().type("Written on the train");
        page.keyboard().press("Escape");
        Locator place = button(page, "Place on this page");
        assertThat(page.getByText("1 to be placed")).isVisible();
        place.click();
        assertThat(page.getByText("Placed on this page")).isVisible();
        assertThat(read(page)).containsText("Written on the train");
        assertThat(place).hasCount(0);
        Browser.undoAll(page);
    }

    @Test
    void frames_are_read_in_the_order_they_are_given(Browser.Window window) {
        Page page = window.openDemo("?page=1");
        // a frame is called by its text, which comes a moment after it
        page.waitForCondition(() ->
                names(page).size() > 1
                        && names(page).stream().noneMatch(each -> each.endsWith("…")));
        List<String> before = names(page);
        button(page, before.getFirst()).click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Order of frames"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Forward"))
                .click();
        page.waitForCondition(() -> names(page).get(1).equals(before.getFirst()));
        assertThat(names(page).getFirst()).isEqualTo(before.get(1));
        assertThat(
                        page.getByRole(
                                AriaRole.GROUP,
                                new Page.GetByRoleOptions().setName("Order of frames")))
                .containsText("2nd of 4 from the back");
        Browser.undoAll(page);
    }

    private static List<String> names(Page page) {
        return page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Text: ")))
                .allInnerTexts();
    }
}
