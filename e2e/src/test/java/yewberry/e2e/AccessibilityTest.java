package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ForcedColors;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;

/** WCAG 2.2 AA: what axe-core finds, and what has to be tried by keys. */
@ExtendWith(Browser.class)
class AccessibilityTest {
    static void passesAxe(Page page) {
        // one picture's parts would be drawn with those of another, which axe does not tell
        assertThat(
                        page.evaluate(
                                """
                                () => {
                                  const ids = [...document.querySelectorAll("[id]")].map(({ id }) => id);
                                  return ids.filter((id, at) => ids.indexOf(id) < at);
                                }
                                """))
                .as("ids that stand twice")
                .isEqualTo(List.of());
        // what passes would be told as well, node by node
        var violationsOnly = new AxeRunOptions();
        violationsOnly.setResultTypes(List.of("violations"));
        var violations =
                new AxeBuilder(page)
                        .setLegacyMode(true) // there are no frames to go through
                        .options(violationsOnly)
                        .withTags(
                                List.of(
                                        "wcag2a",
                                        "wcag2aa",
                                        "wcag21a",
                                        "wcag21aa",
                                        "wcag22aa",
                                        "best-practice"))
                        .analyze()
                        .getViolations();
        assertThat(violations)
                .as(() ->
                        violations.stream()
                                .map(rule ->
                                        rule.getId()
                                                + ": "
                                                + rule.getNodes().stream()
                                                        .map(node -> node.getHtml())
                                                        .limit(3)
                                                        .toList())
                                .toList()
                                .toString())
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"?page=7&x=60&y=50", "/pairings", "/findings", "/output"})
    void the_screens_of_a_publication_pass_axe(String screen, Browser.Window window) {
        passesAxe(window.openDemo(screen));
    }

    @Test
    void the_shelf_and_its_dialog_pass_axe(Browser.Window window) {
        Page page = window.openShelf();
        passesAxe(page);
        page.getByText("New publication").click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        passesAxe(page);
    }

    @ParameterizedTest
    @ValueSource(strings = {"?page=7&x=60&y=50", "/flatplan"})
    void in_a_dark_surround_all_passes_axe(String screen, Browser.Window window) {
        Page page = window.openDemo("?page=2");
        page.getByLabel("Dark surround").click();
        page = window.openDemo(screen); // it is kept
        assertThat(page.evaluate("document.documentElement.dataset.surround")).isEqualTo("dark");
        passesAxe(page);
    }

    @Test
    void looks_fonts_stories_and_links_pass_axe(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        for (String dialog : List.of("Sheet…", "Fonts…")) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(dialog)).click();
            page.getByRole(AriaRole.DIALOG).waitFor();
            passesAxe(page);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Done")).click();
        }
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show all stories"))
                .click();
        page.getByText("Open on every clear").first().waitFor();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Steps")))
                .click();
        for (String fold : List.of("Lines and spaces", "Tab stops", "List")) {
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(fold).setExact(true))
                    .click();
        }
        page.getByText("At the line end").click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Tab stop 1")).waitFor();
        passesAxe(page);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Text: Welcome"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Write").setExact(true))
                .click();
        Browser.story(page).waitFor();
        page.keyboard().press("Shift+End");
        page.waitForTimeout(100);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Link, language…"))
                .click();
        page.getByLabel("They lead to").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("A heading")).click();
        page.getByLabel("The telescopes").waitFor();
        passesAxe(page);
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Local differences…"))
                .click();
        page.getByLabel("Tracking ‰").last().waitFor();
        passesAxe(page);
        Browser.undoAll(page);
    }

    @Test
    void open_editors_and_dialogs_pass_axe(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        page.keyboard().press("Alt+c");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Beacon")).waitFor();
        for (String fold :
                List.of(
                        "Mend it…",
                        "Change the text and its frame…",
                        "Change it on parent “Night”…",
                        "Keys of the spread")) {
            page.getByText(fold).first().click();
        }
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Night 5 pages"))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Dusk C82")))
                .first()
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Text: ")))
                .first()
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Write"))
                .first()
                .click();
        Browser.story(page).waitFor();
        passesAxe(page);
        page.keyboard().press("Escape");
        page.getByText("By lightness, chroma and hue").click();
        page.getByText("Take a colour from the page…").first().click();
        page.getByText("Taking a colour for").waitFor();
        passesAxe(page);
        page.getByText("Palette…").click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        passesAxe(page);
        page.keyboard().press("Escape");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Dark hours")))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Milky way")))
                .click();
        passesAxe(page);
        page.getByText("Put it on pages…").click();
        page.getByText("page it changes").waitFor();
        passesAxe(page);
        page.keyboard().press("Escape");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Setup of Season guide"))
                .click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        passesAxe(page);
    }

    /** 1280 px at 400 % are 320 CSS px: WCAG 2.2, 1.4.10; the page itself is exempt. */
    @ParameterizedTest
    @ValueSource(strings = {"?page=7&x=60&y=50", "/flatplan", "/pairings", "/findings", "/output"})
    void at_400_percent_nothing_scrolls_sideways_but_the_page(
            String screen, Browser.Window window) {
        window.page().setViewportSize(320, 640);
        Page page = window.openDemo(screen);
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(320);
        passesAxe(page);
    }

    @Test
    void the_items_of_a_page_are_walked_by_arrow_keys_and_announced(Browser.Window window) {
        Page page = window.openDemo("?page=7");
        Locator spread = page.getByRole(AriaRole.APPLICATION);
        Locator announced =
                page.getByRole(AriaRole.STATUS)
                        .filter(new Locator.FilterOptions().setHasText("From the top"));
        spread.focus();
        page.keyboard().press("ArrowDown");
        assertThat(announced).containsText("Text in look Night heading: What autumn shows");
        page.keyboard().press("ArrowDown");
        assertThat(announced).containsText("Text in look Body: Low in the west");
        assertThat(announced)
                .containsText(
                        "text in Black, contrast 1.36 : 1, fails; Midnight, parent “Night”; stock");
        page.keyboard().press("ArrowUp");
        assertThat(announced).containsText("What autumn shows");
        assertThat(spread).isFocused();
    }

    @Test
    void the_crosshair_moves_by_1_and_10_mm_and_is_announced(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        page.getByRole(AriaRole.APPLICATION).focus();
        page.keyboard().press("p");
        page.keyboard().press("ArrowRight");
        assertThat(strata).containsText("page 7, 61 × 50 mm");
        page.keyboard().press("Shift+ArrowDown");
        assertThat(strata).containsText("page 7, 61 × 60 mm");
        assertThat(
                        page.getByRole(AriaRole.STATUS)
                                .filter(
                                        new Locator.FilterOptions()
                                                .setHasText("Page 7, 61 by 60 millimetres")))
                .isAttached();
    }

    @Test
    void spreads_turn_and_zoom_by_keys_and_by_the_field(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        Locator zoom = page.getByLabel("Zoom", new Page.GetByLabelOptions().setExact(true));
        page.getByRole(AriaRole.APPLICATION).focus();
        page.keyboard().press("PageDown");
        assertThat(page.getByText("Pages 4 and 5 of 12")).isVisible();
        page.keyboard().press("a");
        assertThat(zoom).hasValue("100 %");
        page.keyboard().press("+");
        assertThat(zoom).hasValue("141 %");
        page.keyboard().press("w");
        assertThat(zoom).not().hasValue("141 %");
        zoom.fill("9999");
        page.keyboard().press("Enter");
        assertThat(zoom).hasValue("3200 %");
        zoom.fill("huge");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT).getByText("is not a zoom")).isVisible();
    }

    @Test
    void the_page_has_a_text_equivalent(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        assertThat(page.getByRole(AriaRole.APPLICATION))
                .containsText(Pattern.compile("Text of page 6: Dark hours\\s+From the last light"));
    }

    @Test
    void every_control_shows_when_it_has_the_focus(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        int seen = 0;
        for (int i = 0; i < 45; i++) {
            page.keyboard().press("Tab");
            Object outline =
                    page.evaluate(
                            """
                            () => {
                              const e = document.activeElement;
                              if (!e || e === document.body) return null;
                              const on = n => { const s = getComputedStyle(n); return s.outlineStyle !== 'none' && parseFloat(s.outlineWidth) >= 2; };
                              return on(e) || (e.parentElement && on(e.parentElement)) ? '' : e.outerHTML.slice(0, 160);
                            }
                            """);
            if (outline != null) {
                assertThat(outline).as("focused without an outline").isEqualTo("");
                seen++;
            }
        }
        assertThat(seen).isGreaterThan(30);
    }

    /**
     * WCAG 2.2, 2.5.8 asks for 24 px; ours are 28 and more. Text links within sentences are exempt.
     */
    @Test
    void hit_areas_are_28_px_or_more(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        Object small =
                page.evaluate(
                        """
                        () => [...document.querySelectorAll('button, [role=option], a, input[type=text]')]
                          .filter(e => e.offsetParent && !e.closest('[hidden]'))
                          .filter(e => e.getBoundingClientRect().height < 27.5)
                          .map(e => e.outerHTML.slice(0, 120))
                        """);
        assertThat((List<?>) small).isEmpty();
    }

    /** WCAG 2.2, 1.4.11: the edge of every control against what is around it, as it is shown. */
    @Test
    void edges_of_controls_stand_out_3_to_1(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        List<?> edges =
                (List<?>)
                        page.evaluate(
                                """
                                () => {
                                  const numbers = color => color.match(/[\\d.]+/g).map(Number);
                                  const clear = color => numbers(color)[3] === 0;
                                  const hex = color => "#" + numbers(color).slice(0, 3)
                                    .map(n => n.toString(16).padStart(2, "0")).join("");
                                  const around = element => {
                                    let up = element.parentElement;
                                    while (clear(getComputedStyle(up).backgroundColor)) up = up.parentElement;
                                    return getComputedStyle(up).backgroundColor;
                                  };
                                  return [...document.querySelectorAll("button:not(:disabled), input[type=text]")]
                                    .filter(each => each.offsetParent)
                                    .map(each => [each, getComputedStyle(each)])
                                    .filter(([, style]) => parseFloat(style.borderTopWidth) > 0 && !clear(style.borderTopColor))
                                    .map(([each, style]) => hex(style.borderTopColor) + " " + hex(around(each)));
                                }
                                """);
        assertThat(edges).hasSizeGreaterThan(10);
        for (Object edge : edges) {
            String[] pair = edge.toString().split(" ");
            assertThat(Contrast.ratio(Rgb.hex(pair[0]), Rgb.hex(pair[1])))
                    .as(edge.toString())
                    .isGreaterThanOrEqualTo(3);
        }
    }

    @Test
    void the_shelf_reflows_at_400_percent(Browser.Window window) {
        window.page().setViewportSize(320, 640);
        Page page = window.openShelf();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(320);
        passesAxe(page);
    }

    @Test
    void in_forced_colours_swatches_keep_theirs_and_controls_their_edges(Browser.Window window) {
        window.page()
                .emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
        Page page = window.openDemo("?page=7&x=60&y=50");
        Object chip =
                page.evaluate(
                        "getComputedStyle([...document.querySelectorAll('span[aria-hidden]')].find(e => e.style.background)).backgroundColor");
        assertThat(chip.toString()).isNotEqualTo("rgba(0, 0, 0, 0)");
        Object edge =
                page.evaluate(
                        "getComputedStyle([...document.querySelectorAll('button')].find(e => e.textContent.includes('Change pages'))).borderTopWidth");
        assertThat(edge).isEqualTo("1px");
        passesAxe(page);
    }
}
