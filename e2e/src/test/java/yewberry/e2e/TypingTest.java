package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.e2e.Typist.awaitSteps;
import static yewberry.e2e.Typist.check;
import static yewberry.e2e.Typist.field;
import static yewberry.e2e.Typist.open;
import static yewberry.e2e.Typist.revision;
import static yewberry.e2e.Typist.swatch;
import static yewberry.e2e.Typist.type;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Forms of several fields, filled in by somebody who types fast and tabs on, while each answer of
 * the server takes its time: everything stays, and each value is one step of undo.
 */
@ExtendWith(Browser.class)
class TypingTest {
    @Test
    void keys_count_while_the_spread_is_still_on_its_way(Browser.Window window) {
        Page page = open(window, "?page=4");
        page.getByRole(AriaRole.APPLICATION).focus();
        for (String key : List.of("PageDown", "p", "ArrowRight", "ArrowRight", "ArrowDown")) {
            page.keyboard().press(key);
        }
        // from the middle of 148 x 210 mm
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata")))
                .containsText("page 6, 76 × 106 mm");
    }

    /** Notes all that is put into fields by the application, rather than by whoever types. */
    private static final String NOTING =
            """
            const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value");
            window.put = [];
            Object.defineProperty(HTMLInputElement.prototype, "value", {
              configurable: true,
              get() { return own.get.call(this); },
              set(value) {
                if (own.get.call(this) !== value && this === document.activeElement) put.push(value);
                own.set.call(this, value);
              },
            });
            """;

    /** A value that goes back for a moment takes what is chosen in the field with it. */
    @Test
    void a_value_never_goes_back_while_it_is_stored_however_busy_the_browser_is(
            Browser.Window window) {
        window.page().addInitScript(NOTING);
        Page page = open(window, "?page=3");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Text: ")))
                .first()
                .click();
        Locator width = page.getByLabel("Width", new Page.GetByLabelOptions().setExact(true));
        width.first().focus();
        page.evaluate(
                """
                () => {
                  window.put = [];
                  window.slow = false;
                  const busy = () => {
                    const until = performance.now() + 90;
                    while (performance.now() < until);
                  };
                  window.work = setInterval(busy, 100);
                }
                """);
        for (String value : List.of("81 mm", "82 mm", "83 mm", "84 mm")) {
            page.keyboard().press("Control+a");
            page.keyboard().type(value);
            page.keyboard().press("Enter");
            page.keyboard().press("Control+a");
            page.waitForTimeout(1_500);
        }
        page.evaluate("clearInterval(work)");
        assertThat(page.evaluate("put.join()")).isEqualTo("");
        assertThat(width.first()).hasValue("84 mm");
        Browser.undoAll(page);
    }

    @Test
    void inks_that_are_typed_in_a_row_all_stay_and_one_can_be_put_back(Browser.Window window) {
        Page page = open(window, "?page=2");
        swatch(page, "^Dusk C82").click();
        Locator main = page.locator("body");
        long before = revision(page);
        List<String> labels = List.of("C %", "M %", "Y %", "K %");
        type(page, field(main, "C %"), 2, List.of("11", "12", "13", "14"));
        check(main, labels, List.of("11", "12", "13", "14"));
        // back to what it was, before anything was answered
        type(page, field(main, "C %"), 2, List.of("82"));
        awaitSteps(page, before, 5);
        check(main, labels, List.of("82", "12", "13", "14"));
        assertThat(swatch(page, "^Dusk C82 M12 Y13 K14")).isVisible();
        Browser.undoAll(page);
    }

    @Test
    void how_lines_are_set_is_typed_in_a_row_and_the_text_follows(Browser.Window window) {
        Page page = open(window, "?page=5");
        swatch(page, "^Body Source Serif").click();
        page.getByText("Lines and spaces").click();
        Locator catalogue =
                page.getByRole(
                        AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Catalogue"));
        String drawn = Browser.drawn(page);
        long before = revision(page);
        List<String> labels =
                List.of(
                        "Space below",
                        "Indent first line",
                        "Indent left",
                        "Indent right",
                        "Tracking ‰");
        type(page, field(catalogue, "Space below"), 1, List.of("3", "9", "12", "6", "20"));
        awaitSteps(page, before, 5);
        check(catalogue, labels, List.of("3 pt", "9 pt", "12 pt", "6 pt", "20"));
        page.waitForCondition(() -> !Browser.drawn(page).equals(drawn));
        Browser.undoAll(page);
    }

    @Test
    void a_typed_hex_value_stays_what_was_typed(Browser.Window window) {
        Page page = open(window, "?page=2");
        swatch(page, "^Dusk C82").click();
        Locator written = page.getByLabel(Pattern.compile("^Write a colour"));
        assertThat(written).hasValue("cmyk(82% 64% 22% 12%)");
        written.fill("#00ff80");
        written.press("Enter");
        assertThat(page.getByText("Swatch “Dusk” changed")).isVisible();
        assertThat(written).hasValue("#00ff80");
        assertThat(swatch(page, "^Dusk #00ff80")).isVisible();
        assertThat(page.getByText(Pattern.compile("Not printable"))).isVisible();
        Browser.undoAll(page);
    }

    @Test
    void a_stop_that_passes_another_while_typed_keeps_what_is_typed_next(Browser.Window window) {
        Page page = open(window, "?page=9&x=60&y=150");
        page.getByText("Change it on pages 8, 9…").click();
        Locator second =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Stop 2"));
        long before = revision(page);
        field(second, "Position %").fill("40");
        field(second, "Position %").press("Enter");
        Locator first =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Stop 1"));
        type(page, field(first, "Position %"), 1, List.of("70", "55", "45"));
        awaitSteps(page, before, 4);
        Object stops =
                page.evaluate(
                        """
                        async base => {
                          const { pages } = await (await ask(base + "/pages?from=8&to=9")).json();
                          const { layer } = await (await ask(`${base}/pages/${pages[0].id}`)).json();
                          const { stops } = layer.backgrounds.at(-1).fill;
                          return stops.map(it => `${it.position} ${it.color.tint} ${it.opacity}`).join(", ");
                        }
                        """,
                        "/api/publications/" + Browser.DEMO);
        assertThat(stops).isEqualTo("40 100 100, 70 55 45, 100 100 100");
        Browser.undoAll(page);
    }
}
