package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/** The whole journey in the real application, as a designer makes it. */
@ExtendWith(Browser.class)
class JourneyTest {
    /** A swatch of the demo in sRGB, as it is printed. */
    private static final String BEACON =
            PressCondition.coated().seen(Rgb.hex("#d94f2b"), Medium.PAPER).hex();

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static int tally(Page page) {
        Locator tally =
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Findings"));
        assertThat(tally).hasText(Pattern.compile("Findings\\d+"));
        return Integer.parseInt(tally.textContent().replace("Findings", ""));
    }

    private static void tallyIs(Page page, int count) {
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Findings")))
                .hasText("Findings" + count);
    }

    private static Locator alert(Page page, String words) {
        return page.getByRole(AriaRole.ALERT).getByText(words);
    }

    @Test
    void from_the_shelf_to_a_press_pdf_that_was_read_back(Browser.Window window) {
        Page page = window.openShelf();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Season guide"))
                .click();
        page.waitForURL("**/publications/*");
        int before = tally(page);
        assertThat(before).isPositive();

        // The parent's background changes: on a light background the forgotten dark text can be
        // read,
        // and the pale text cannot.
        page.navigate(page.url() + "?page=7&x=60&y=120");
        page.getByText("Change it on parent “Night”…").click();
        page.getByText("Changes 5 pages.").waitFor();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"))
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("\\bFill$")))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Sand")).click();
        page.waitForCondition(
                () -> !page.getByText("Findings" + before).isVisible() && tally(page) != before);
        int light = tally(page);

        // Undo and redo it.
        button(page, "Undo").click();
        tallyIs(page, before);
        button(page, "Redo").click();
        tallyIs(page, light);
        button(page, "Undo").click();
        tallyIs(page, before);

        // Mend one: the first of page 7, for that text alone.
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Findings")).click();
        Locator seven =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("“Black” on “Midnight”, background")));
        seven.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Mend it…"))
                .first()
                .click();
        Locator mends =
                seven.getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("Mends"));
        assertThat(mends).containsText(Pattern.compile("“Black, lighter”, 4\\.[5-9]\\d : 1"));
        // beside what it is now, swatches that are there come first
        assertThat(mends.getByRole(AriaRole.LISTITEM).nth(1)).containsText("“White”");
        mends.getByText("Give it to this text only").last().click();
        tallyIs(page, before - 1);

        // Export, and read what was read back.
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Output")).click();
        assertThat(page.getByText((before - 1) + " findings are still open")).isVisible();
        button(page, "Export press PDF").click();
        assertThat(page.getByText("Read back: the file is what was composed"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
        button(page, "Page by page").click();
        Locator table = page.getByRole(AriaRole.TABLE);
        assertThat(table.getByRole(AriaRole.ROW)).hasCount(13);
        assertThat(table).containsText("MediaBox 151 × 216 mm");
        assertThat(table).containsText("Nowhere off by more than");
        Download file = page.waitForDownload(() -> page.getByText("Download").click());
        assertThat(file.suggestedFilename()).isEqualTo("season-guide-press.pdf");

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench")).click();
        assertThat(window.complaints()).isEmpty();
        Browser.undoAllAndReload(page);
        tallyIs(page, before);
    }

    /** Counts what a person does: clicks. */
    @Test
    void a_parent_is_coloured_to_the_bleed_in_at_most_four_actions_by_mouse(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        int actions = 2;
        Browser.changing(page, "Parent Daylight: 6 pages");
        button(page, "Colour to the bleed…").click();
        actions++;
        assertThat(
                        page.getByRole(
                                AriaRole.LISTBOX,
                                new Page.GetByRoleOptions()
                                        .setName("Swatch for Parent Daylight: 6 pages")))
                .isVisible();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Beacon")).click();
        actions++;
        coloured(page);
        assertThat(actions).isLessThanOrEqualTo(4);
        Browser.undoAll(page);
    }

    /** Counts what a person does: a key or chord, or a name typed in one go. */
    @Test
    void a_parent_is_coloured_to_the_bleed_in_at_most_four_actions_by_keyboard(
            Browser.Window window) {
        Page page = window.openDemo("?page=2");
        int actions = 0;
        page.keyboard().press("Alt+c");
        page.keyboard().press("Alt+c"); // on the parent
        actions += 2;
        assertThat(page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Black")))
                .isFocused();
        page.keyboard().type("beac");
        actions++;
        assertThat(page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Beacon")))
                .isFocused();
        assertThat(page.getByText("Trying out: 6 pages change")).isVisible();
        page.keyboard().press("Enter");
        actions++;
        coloured(page);
        assertThat(actions).isLessThanOrEqualTo(4);
        page.keyboard().press("Control+z");
        assertThat(button(page, "Undo")).isDisabled();
    }

    /** Page 2, out to the corner of its bleed, is in the colour of the swatch Beacon. */
    private static void coloured(Page page) {
        assertThat(page.getByText("Coloured, out to the bleed")).isVisible();
        assertThat(page.getByRole(AriaRole.APPLICATION).locator("rect[fill='" + BEACON + "']"))
                .hasCount(2);
    }

    @Test
    void a_trial_shows_the_picture_and_stores_nothing(Browser.Window window) {
        Page page = window.openDemo("?page=7");
        page.keyboard().press("Alt+c");
        page.keyboard().type("beac");
        Locator fills = page.getByRole(AriaRole.APPLICATION).locator("rect[fill='" + BEACON + "']");
        assertThat(fills).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(fills).hasCount(0);
        assertThat(button(page, "Undo")).isDisabled();
    }

    private static Locator width(Page page) {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Width"));
    }

    @Test
    void a_new_publication_gets_pages_a_parent_and_text_by_keyboard_and_numbers(
            Browser.Window window) {
        Page page = window.openShelf();
        button(page, "New publication").click();
        page.getByLabel("Name").fill("Dome leaflet");
        page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)).fill("4");
        page.getByLabel("Bleed").fill("0,125 in");
        button(page, "Create").click();
        page.waitForURL("**/publications/*");
        assertThat(page.getByText("Bleed 3.175 mm")).isVisible();

        button(page, "Add a text frame").click();
        page.getByText("Text: empty").click();
        width(page).fill("2,5 in");
        page.keyboard().press("Enter");
        assertThat(width(page)).hasValue("63.5 mm");
        button(page, "Write").click();
        assertThat(Browser.story(page)).isFocused();
        page.keyboard().type("Open on clear nights");
        page.keyboard().press("Enter");
        page.keyboard().type("Bring a coat");
        page.keyboard().press("Escape");
        assertThat(page.getByText("Text: Open on clear nights")).isVisible();
        assertThat(page.getByRole(AriaRole.APPLICATION).locator("path").first()).isAttached();

        Browser.changePages(page, "Add pages…");
        page.getByLabel("How many").fill("2");
        button(page, "Add").click();
        assertThat(page.getByText("Page 1 of 6")).isVisible();

        width(page).fill("-5 mm");
        page.keyboard().press("Enter");
        assertThat(alert(page, "holds nothing")).isVisible();
        assertThat(width(page)).hasValue("-5 mm"); // stays, to be mended
        width(page).press("Escape");
        assertThat(width(page)).hasValue("63.5 mm");
        button(page, "Close").click();

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Yewberry, to the shelf"))
                .click();
        button(page, "Remove Dome leaflet").click();
        button(page, "Remove for good").click();
        assertThat(
                        page.getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions().setName("Dome leaflet")))
                .hasCount(0);
    }

    @Test
    void deleting_a_swatch_in_use_asks_for_a_replacement(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sand")).click();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Swatches"))
                .getByText("Remove…")
                .click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("It is used in 2 places");
        assertThat(dialog.getByText("Replace and remove")).isDisabled();
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Swatch instead"))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("White")).click();
        dialog.getByText("Replace and remove").click();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sand")))
                .hasCount(0);
        Browser.undoAllAndReload(page);
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sand")))
                .hasCount(1);
    }

    @Test
    void many_pages_are_chosen_in_the_concertina_and_changed_in_one_step(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        Locator pages =
                page.getByRole(
                        AriaRole.LISTBOX,
                        new Page.GetByRoleOptions().setName("Concertina: all pages"));
        pages.getByRole(AriaRole.OPTION).nth(1).click();
        pages.getByRole(AriaRole.OPTION)
                .nth(4)
                .click(
                        new Locator.ClickOptions()
                                .setModifiers(
                                        java.util.List.of(
                                                com.microsoft.playwright.options.KeyboardModifier
                                                        .SHIFT)));
        assertThat(
                        page.getByRole(
                                AriaRole.GROUP,
                                new Page.GetByRoleOptions().setName("For Pages 2 to 5")))
                .isVisible();
        Browser.changePages(page, "Give a parent…");
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Night")).click();
        assertThat(
                        page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions().setName("Night 9 pages")))
                .isVisible();
        button(page, "Undo").click();
        assertThat(
                        page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions().setName("Night 5 pages")))
                .isVisible();
        assertThat(button(page, "Undo")).isDisabled();
    }

    @Test
    void the_server_being_gone_is_said_and_nothing_is_lost(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        page.route("**/edits", route -> route.abort());
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sand")).click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Shingle");
        page.keyboard().press("Enter");
        assertThat(alert(page, "does not answer")).isVisible();
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Shingle"); // what was typed stays, to be sent again
    }

    @Test
    void a_paragraph_begun_after_a_heading_gets_the_look_that_follows_it(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Text: The telescopes"))
                .click();
        button(page, "Write").click();
        Locator paragraphs = Browser.story(page).locator("p");
        assertThat(Browser.story(page)).isFocused();
        page.keyboard().press("End");
        page.keyboard().press("Enter");
        page.keyboard().type("Bring a torch");
        assertThat(paragraphs.nth(1)).hasText("Bring a torch");
        assertThat(paragraphs.nth(0)).hasAttribute("data-name", "Heading");
        assertThat(paragraphs.nth(1)).hasAttribute("data-name", "Body");
        assertThat(page.getByText("Text stored")).isVisible();
        Browser.undoAll(page);
    }
}
