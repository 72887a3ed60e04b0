package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The list of all that can be done, opened by one key. */
@ExtendWith(Browser.class)
class CommandsTest {
    private static Locator stage(Page page) {
        return page.getByRole(AriaRole.APPLICATION);
    }

    private static Locator list(Page page) {
        return page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Actions"));
    }

    private static void command(Page page, String typed) {
        page.keyboard().press(".");
        assertThat(list(page).getByPlaceholder("Search by name")).isFocused();
        page.keyboard().type(typed);
        assertThat(list(page).getByRole(AriaRole.MENUITEM).first()).isVisible();
        page.keyboard().press("Enter");
        assertThat(list(page)).isHidden();
    }

    @Test
    void what_is_typed_finds_an_action_and_enter_does_it(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        stage(page).focus();
        command(page, "catalogue");
        assertThat(page.getByPlaceholder("Search the catalogue")).isHidden();
        assertThat(stage(page)).isFocused();
        command(page, "catalogue");
        assertThat(page.getByPlaceholder("Search the catalogue")).isVisible();
        command(page, "remove page");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Remove page 5");
        page.keyboard().press("Escape");
        command(page, "go findings");
        assertThat(page).hasURL(Pattern.compile("/findings$"));
        assertThat(
                        page.getByRole(
                                AriaRole.HEADING, new Page.GetByRoleOptions().setName("Findings")))
                .isVisible();
        command(page, "view grey");
        assertThat(page.getByRole(AriaRole.BANNER)).containsText("Grey copy");
        command(page, "go bench");
        assertThat(page.getByText("Pages 4 and 5 of 12")).isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void what_an_action_needs_is_folded_out(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        stage(page).focus();
        page.keyboard().press("f");
        assertThat(page.getByLabel("Swatch for Page 5")).isHidden();
        command(page, "bleed");
        assertThat(page.getByLabel("Swatch for Page 5")).isVisible();
        assertThat(page.getByLabel("Concertina: all pages")).isHidden();
    }

    @Test
    void what_stands_on_the_screen_is_pressed_or_gone_to_by_its_name(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        stage(page).focus();
        command(page, "swatches slate"); // nothing is offered that is called so
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Slate");
        command(page, "search catalogue");
        assertThat(page.getByPlaceholder("Search the catalogue")).isFocused();
        page.navigate(window.address() + "/publications/" + Browser.DEMO + "/output");
        page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName("Output").setExact(true))
                .waitFor();
        command(page, "export press pdf");
        assertThat(
                        page.getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions().setName("Season-guide-press.pdf")))
                .isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void a_full_stop_that_is_typed_opens_nothing_and_escape_goes_back(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        page.getByPlaceholder("Search the catalogue").focus();
        page.keyboard().press(".");
        assertThat(page.getByPlaceholder("Search the catalogue")).hasValue(".");
        assertThat(list(page)).isHidden();
        page.getByPlaceholder("Search the catalogue").fill("");
        stage(page).focus();
        page.keyboard().press(".");
        page.keyboard().type("zebra");
        assertThat(list(page)).containsText("No action has “zebra” in its name.");
        AccessibilityTest.passesAxe(page);
        page.keyboard().press("Escape");
        page.keyboard().press("Escape");
        assertThat(list(page)).isHidden();
        assertThat(stage(page)).isFocused();
    }

    /** Where the focus is: the name of the part of the screen. */
    private static String part(Page page) {
        return (String)
                page.evaluate(
                        "() => document.activeElement.closest('[role][aria-label]:is(aside, section, header, main)')?.ariaLabel ?? ''");
    }

    @Test
    void from_the_page_every_panel_is_at_most_six_stops_away(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        stage(page).click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Text: The telescopes").setExact(true))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Write").setExact(true))
                .click();
        assertThat(Browser.story(page)).isFocused();
        Set<String> reached = new HashSet<>();
        for (int stop = 0; stop < 6; stop++) {
            page.keyboard().press("F6");
            reached.add(part(page));
        }
        assertThat(reached)
                .containsExactlyInAnyOrder(
                        "Yewberry", "Catalogue", "Spread", "Text", "What is painted", "All pages");
        // back to the part that is left as it was left
        assertThat(Browser.story(page)).isFocused();
        page.keyboard().press("F6");
        String next = part(page);
        page.keyboard().press("Shift+F6");
        assertThat(Browser.story(page)).isFocused();
        // what is folded is no stop
        page.keyboard().press("Escape");
        stage(page).focus();
        page.keyboard().press("f");
        Set<String> open = new HashSet<>();
        for (int stop = 0; stop < 6; stop++) {
            page.keyboard().press("F6");
            open.add(part(page));
        }
        assertThat(open).containsExactlyInAnyOrder("Yewberry", "Spread");
        assertThat(next).isNotEmpty();
        assertThat(window.complaints()).isEmpty();
    }
}
