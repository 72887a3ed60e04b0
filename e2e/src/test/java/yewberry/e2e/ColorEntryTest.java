package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(Browser.class)
class ColorEntryTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator buttonLike(Page page, String pattern) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(pattern)));
    }

    private static Locator slider(Page page, String name) {
        return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void a_swatch_is_changed_by_sliders_that_are_drawn_by_the_server(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        buttonLike(page, "^Dusk C82").click();
        assertThat(page.getByText(Pattern.compile("^Used by swatch “Haze”"))).isVisible();
        slider(page, "Cyan of Dusk").press("ArrowLeft");
        assertThat(buttonLike(page, "^Dusk C81 M64")).isVisible();
        button(page, "By lightness, chroma and hue").click();
        slider(page, "Lightness of Dusk").press("PageUp");
        assertThat(buttonLike(page, "^Dusk C81 M64")).hasCount(0);
        Locator drawn = page.locator("img[src*='/press-conditions/']");
        page.waitForCondition(() ->
                (Boolean) drawn.evaluateAll("all => all.every(it => it.naturalWidth === 220)"));
        Locator recent =
                page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName("Recent colours for swatch “Dusk”"));
        recent.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("C82 M64 Y22 K12"))
                .click();
        assertThat(buttonLike(page, "^Dusk C82 M64 Y22 K12")).isVisible();
        Assertions.assertThat(window.complaints()).isEmpty();
        Browser.undoAll(page);
    }

    @Test
    void a_colour_is_taken_from_the_strata_and_never_from_itself(Browser.Window window) {
        Page page = window.openDemo("?page=1&x=74&y=190");
        buttonLike(page, "^Sand C3").click();
        button(page, "Take a colour from the page…").click();
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("Taking a colour for swatch “Sand”");
        strata.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take “Beacon”"))
                .click();
        assertThat(buttonLike(page, "^Sand #d94f2b")).isVisible();
        assertThat(strata).not().containsText("Taking a colour");
        Browser.undoAllAndReload(page);
        page = window.openDemo("?page=2&x=60&y=190");
        buttonLike(page, "^Sand C3").click();
        button(page, "Take a colour from the page…").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata")))
                .containsText("It is this swatch, or derives from it");
        button(page, "Leave it as it is").click();
    }

    @Test
    void of_a_gradient_the_very_colour_at_the_point_is_taken(Browser.Window window) {
        Page page = window.openDemo("?page=9&x=120&y=150");
        buttonLike(page, "^White C0").click();
        button(page, "Take a colour from the page…").click();
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        Locator top = strata.getByRole(AriaRole.LISTITEM).first();
        String values = top.getByText(Pattern.compile("C[\\d.]+ M[\\d.]+ .* here")).innerText();
        top.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Take “Midnight to Dusk”"))
                .click();
        String cyan = values.substring(values.indexOf('C'), values.indexOf('.'));
        assertThat(buttonLike(page, "^White " + cyan)).isVisible();
        Browser.undoAll(page);
    }

    @Test
    void a_swatch_is_made_while_colouring_to_the_bleed(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        page.keyboard().press("Alt+c");
        page.keyboard().press("Escape");
        Browser.changing(page, "Parent Night");
        page.keyboard().press("Alt+c");
        buttonLike(page, "^New swatch for Parent Night").click();
        Locator made =
                page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName("New swatch “New swatch”"));
        assertThat(made).containsText("Used by parent “Night”");
        slider(page, "Black of New swatch").press("End");
        assertThat(buttonLike(page, "^New swatch C60 M20 Y40 K100")).isVisible();
        button(page, "Done with “New swatch”").click();
        assertThat(made).hasCount(0);
        Browser.undoAll(page);
    }

    @Test
    void a_swatch_is_made_where_a_colour_is_chosen(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=190");
        buttonLike(page, "^Change it on parent “Night”").click();
        button(page, "New swatch for the fill of this page background").click();
        assertThat(page.getByText("Used by parent “Night”")).isVisible();
        slider(page, "Magenta of New swatch").press("End");
        assertThat(buttonLike(page, "^New swatch C100 M100")).isVisible();
        Browser.undoAllAndReload(page);
        assertThat(buttonLike(page, "^New swatch C")).hasCount(0);
    }

    @Test
    void words_get_a_tint_of_their_own(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        button(page, "Colour these words…").click();
        buttonLike(page, "That of look Body").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Sand")).click();
        page.getByLabel("Tint %").fill("60");
        page.keyboard().press("Enter");
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("Sand, 60 %");
        Browser.undoAll(page);
    }

    @Test
    void swatches_are_reordered_by_dragging(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        Locator rows = page.locator("[draggable=true]");
        assertThat(rows.first()).containsText("Black");
        rows.first().dragTo(rows.nth(3), new Locator.DragToOptions().setTargetPosition(40, 40));
        assertThat(rows.first()).containsText("White");
        assertThat(rows.nth(3)).containsText("Black");
        Browser.undoAllAndReload(page);
        assertThat(page.locator("[draggable=true]").first()).containsText("Black");
    }

    @Test
    void a_palette_is_brought_in_with_a_report_of_what_could_not_be_read(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        button(page, "Palette…").click();
        page.getByRole(AriaRole.DIALOG)
                .locator("input[type=file]")
                .setInputFiles(
                        new FilePayload(
                                "tides.css",
                                "text/css",
                                ":root {\n --ebb: #204060;\n --gap: 4px;\n}\n"
                                        .getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("1 swatch can be added, 1 line cannot")).isVisible();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Not added")))
                .containsText("line 3");
        button(page, "Add 1 swatch").click();
        assertThat(buttonLike(page, "^Ebb #204060")).isVisible();
        Browser.undoAll(page);
    }

    @Test
    void a_finding_of_the_press_shows_its_rule_and_its_mend_does_it(Browser.Window window) {
        Page page = window.openDemo("/findings");
        Locator last =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("^Small type reversed")));
        assertThat(last).containsText("Small type reversed out of several inks");
        assertThat(last).containsText("common practice");
        last.getByText("Mend it…").click();
        assertThat(last.getByAltText("The place after it")).isVisible();
        AccessibilityTest.passesAxe(page);
        last.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName("Set the look “Small print” in 9 pt: page 12"))
                .click();
        assertThat(last).hasCount(0);
        Browser.undoAll(page);
    }

    @Test
    void a_mend_that_leaves_text_without_room_says_so_before_it_is_done(Browser.Window window) {
        Page page = window.openDemo("/findings");
        page.evaluate(
                """
                async (address) => {
                  const read = async (path) => (await fetch(address + path)).json();
                  const { revision } = await read("");
                  const { pages } = await read("/pages?from=11&to=12");
                  const { layer } = await read("/pages/" + pages[0].id);
                  const { id } = layer.frames.find(({ box }) => box.y === "140 mm");
                  await fetch(address + "/edits", {
                    method: "POST",
                    headers: { "Content-Type": "application/json" },
                    body: JSON.stringify({
                      edit: {
                        type: "placeFrame",
                        frame: id,
                        sides: "BOTH",
                        box: { x: "20 mm", y: "140 mm", width: "92 mm", height: "35 mm" },
                      },
                      revision,
                      author: localStorage.getItem("yewberry-author"),
                    }),
                  });
                }
                """,
                "/api/publications/" + Browser.DEMO);
        page.reload();
        Locator small =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("^Small type reversed")));
        small.getByText("Mend it…").click();
        assertThat(page.getByText("Some text would not fit its frame.")).isVisible();
        assertThat(small.getByText("Found then:")).isVisible();
        AccessibilityTest.passesAxe(page);
        button(page, "Set the look “Small print” in 9 pt: page 12").click();
        assertThat(small).hasCount(0);
        assertThat(
                        page.getByRole(
                                AriaRole.REGION,
                                new Page.GetByRoleOptions()
                                        .setName(Pattern.compile("^Text does not fit"))))
                .isVisible();
        Browser.undoAll(page);
    }

    @Test
    void a_stock_that_is_only_simulated_is_printed_where_one_chooses(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        Browser.changePages(page, "Hide the parent’s backgrounds");
        button(page, "Setup of Season guide").click();
        page.getByLabel(Pattern.compile("^Stock")).fill("lab(80 15 5)");
        page.keyboard().press("Enter");
        button(page, "Done").click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Findings")))
                .click();
        Locator finding =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Only simulated")));
        finding.getByText("Make it a real background…").click();
        Locator where =
                finding.getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions().setName("Where the background goes"));
        where.getByRole(AriaRole.CHECKBOX).first().uncheck();
        assertThat(finding.getByText("Choose a parent or page")).isVisible();
        where.getByRole(AriaRole.CHECKBOX).first().check();
        finding.getByText("Make it a background in 1 place").click();
        assertThat(page.getByText("Only simulated")).hasCount(0);
        Browser.undoAll(page);
    }
}
