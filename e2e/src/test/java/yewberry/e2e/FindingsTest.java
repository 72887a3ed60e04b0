package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static yewberry.e2e.AccessibilityTest.passesAxe;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What was found, by cause and by viewings, and what is excepted. */
@ExtendWith(Browser.class)
class FindingsTest {
    private static Locator region(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    private static void choose(Page page, String field, String option) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile(field + "$")))
                .click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^" + option)))
                .click();
    }

    private static Locator tally(Page page) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Findings")));
    }

    /** As soon as they are counted. */
    private static int counted(Page page) {
        assertThat(tally(page)).hasText(Pattern.compile("Findings\\d+"));
        return Integer.parseInt(tally(page).textContent().replaceAll("\\D", ""));
    }

    @Test
    void one_ground_behind_several_paragraphs_is_one_finding_with_its_places(
            Browser.Window window) {
        Page page = window.openDemo("/findings");
        Locator winter = region(page, "“Black” on “Midnight to Dusk”");
        assertThat(winter).containsText("4 places");
        page.getByText("Show all 4 places").click();
        assertThat(page.getByText("What winter shows")).isVisible();
        passesAxe(page);
        page.getByLabel("Search").fill("milky way");
        assertThat(winter).hasCount(0);
        Locator sky = region(page, "“Haze” on “Milky way”");
        assertThat(sky).containsText(Pattern.compile("at “\\w+”, and \\d+ % of what is behind it"));
        assertThat(sky).containsText("no exception is possible");
        assertThat(sky.getByRole(AriaRole.IMG))
                .hasAttribute("src", Pattern.compile("failing=[0-9a-f-]{36}"));
    }

    @Test
    void a_text_is_excepted_with_a_reason_and_the_exception_is_ended(Browser.Window window) {
        Page page = window.openDemo("/findings");
        Locator booking = region(page, "“Beacon” on “Sand”");
        assertThat(booking).isVisible();
        int before = counted(page);
        booking.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Except it…"))
                .click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator main =
                dialog.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Except it").setExact(true));
        assertThat(main).isDisabled();
        dialog.getByLabel("Reason, in your words").fill("The words are said again below");
        passesAxe(page);
        main.click();
        assertThat(booking).hasCount(0);
        assertThat(tally(page)).hasText("Findings" + (before - 1));
        choose(page, "Show", "Excepted, 2");
        Locator list =
                page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Exceptions"));
        assertThat(list).containsText("The words are said again below");
        assertThat(list).containsText("Word mark of the observatory");
        passesAxe(page);
        list.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("End it"))
                .last()
                .click();
        assertThat(tally(page)).hasText("Findings" + before);
        Browser.undoAll(page);
    }

    @Test
    void all_text_is_mended_in_one_step_and_that_is_undone(Browser.Window window) {
        Page page = window.openDemo("/findings");
        int before = counted(page);
        page.getByText("Mend all text…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator changes =
                dialog.getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("Changes"));
        assertThat(changes).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
        assertThat(dialog.getByText("Page 1: 1 of")).isVisible();
        passesAxe(page);
        changes.getByRole(AriaRole.CHECKBOX).last().uncheck();
        changes.getByRole(AriaRole.CHECKBOX).last().check();
        dialog.getByText("Page after").click();
        dialog.getByText(Pattern.compile("^Make \\d+ changes$")).click();
        assertThat(page.getByText("Mend all text…")).hasCount(0); // nothing of contrast is left
        Browser.undoAllAndReload(page);
        assertThat(tally(page)).hasText("Findings" + before);
    }

    @Test
    void the_report_is_saved_in_each_format(Browser.Window window) {
        Page page = window.openDemo("/findings");
        for (String format : List.of("PDF", "CSV", "JSON")) {
            Download file =
                    page.waitForDownload(() ->
                            page.getByRole(
                                            AriaRole.BUTTON,
                                            new Page.GetByRoleOptions()
                                                    .setName(format)
                                                    .setExact(true))
                                    .click());
            org.assertj.core.api.Assertions.assertThat(file.suggestedFilename())
                    .isEqualTo("season-guide-legibility." + format.toLowerCase(Locale.ROOT));
        }
    }

    @Test
    void text_that_fails_only_without_backgrounds_stands_in_the_table(Browser.Window window) {
        Page page = window.openDemo("/findings");
        choose(page, "Arranged", "Text by viewings");
        Locator table = page.getByRole(AriaRole.TABLE);
        assertThat(table).containsText("Backgrounds off");
        choose(page, "Failing", "Backgrounds off");
        page.getByLabel("Search").fill("walk slowly");
        assertThat(table.getByRole(AriaRole.ROW)).hasCount(2);
        Locator row = table.getByRole(AriaRole.ROW).last();
        assertThat(row.getByRole(AriaRole.CELL).first()).hasText("13.90");
        assertThat(row.getByRole(AriaRole.CELL).nth(2)).containsText("✕ 1.10");
        passesAxe(page);
        row.getByRole(AriaRole.LINK).click();
        assertThat(page).hasURL(Pattern.compile("page=6&x="));
    }

    @Test
    void each_mend_is_seen_beside_the_place_as_it_is_and_what_it_mended_is_listed(
            Browser.Window window) {
        Page page = window.openDemo("/findings");
        Locator booking = region(page, "“Beacon” on “Sand”");
        booking.getByText("Mend it…").click();
        Locator mends =
                booking.getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("Mends"));
        assertThat(mends.getByAltText("The place as it is now")).isVisible();
        Locator after = mends.getByAltText("The place after it");
        assertThat(after.first()).isVisible();
        assertThat(after.first()).hasJSProperty("complete", true);
        page.waitForCondition(() -> (int) after.first().evaluate("img => img.naturalWidth") > 20);
        passesAxe(page);
        int before = mended(page); // what others did to the same publication is remembered, too
        mends.getByText("Give it to this text only").first().click();
        assertThat(booking).hasCount(0);
        choose(page, "Show", "Mended, %d".formatted(before + 1));
        Locator mended =
                page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Mended"));
        assertThat(mended).containsText("Too little contrast: “book early”");
        assertThat(mended).containsText("It was: “Beacon” on “Sand”");
        passesAxe(page);
        Browser.undoAllAndReload(page);
        choose(page, "Show", "Mended, %d".formatted(before));
    }

    /** How many findings are listed as mended. */
    private static int mended(Page page) {
        Locator show =
                page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Show$")));
        show.click();
        String option =
                page.getByRole(
                                AriaRole.OPTION,
                                new Page.GetByRoleOptions().setName(Pattern.compile("^Mended, ")))
                        .textContent();
        page.keyboard().press("Escape");
        return Integer.parseInt(option.replaceAll("\\D", ""));
    }

    @Test
    void pictures_that_may_have_text_in_them_are_listed_as_not_judged(Browser.Window window) {
        Page page = window.openDemo("/findings");
        assertThat(page.getByText("Text inside 2 pictures cannot be judged.")).isVisible();
        choose(page, "Show", "Not judged, 2");
        Locator list =
                page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Not judged"));
        assertThat(list).containsText("Milky way");
        passesAxe(page);
        list.getByText("page 12").click();
        assertThat(page).hasURL(Pattern.compile("page=12"));
    }

    /**
     * What is seen at a point goes to the tool that judges it by itself, and can be changed there.
     */
    @Test
    void a_pair_is_taken_from_the_page(Browser.Window window) {
        Page page = window.openDemo("/findings");
        region(page, "“Beacon” on “Sand”")
                .getByRole(
                        AriaRole.LINK, new Locator.GetByRoleOptions().setName("Show on the Bench"))
                .first()
                .click();
        page.getByText("Try this pair by itself").click();
        assertThat(page.getByLabel("Try a text colour")).hasValue("#d94f2b");
        assertThat(page.getByLabel("on a background")).hasValue("C3 M6 Y18 K0");
        Locator viewings =
                page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Viewings"));
        assertThat(viewings.getByRole(AriaRole.LISTITEM).first()).containsText("3.51 : 1");
        page.getByLabel("Pick the text colour").fill("#000000");
        assertThat(page.getByLabel("Try a text colour")).hasValue("#000000");
        passesAxe(page);
    }

    @Test
    void the_arrow_keys_go_from_finding_to_finding(Browser.Window window) {
        Page page = window.openDemo("/findings");
        Locator entries = page.locator("[data-index]");
        assertThat(entries.nth(2)).isVisible();
        focusable(entries.first()).focus();
        page.keyboard().press("ArrowDown");
        assertThat(focusable(page.locator("[data-index='1']"))).isFocused();
        page.keyboard().press("End");
        Locator last = page.locator("[data-index]:focus-within");
        assertThat(last).not().hasAttribute("data-index", "1");
        assertThat(last).isInViewport();
        page.keyboard().press("Home");
        assertThat(focusable(page.locator("[data-index='0']"))).isFocused();
        page.keyboard().press("ArrowUp"); // there is nothing before it
        assertThat(focusable(page.locator("[data-index='0']"))).isFocused();
    }

    private static Locator focusable(Locator in) {
        return in.locator(":is(a[href], button)").first();
    }
}
