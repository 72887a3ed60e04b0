package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Forms of several fields, filled in by somebody who types fast and tabs on, while each answer of
 * the server takes its time: everything stays, and each value is one step of undo.
 */
@ExtendWith(Browser.class)
class TypingTest {
    /** Between two keys, in milliseconds. */
    private static final double FAST = 40;

    /** Each question to the server waits 300 ms, as soon as the window is said to be slow. */
    private static final String SLOW =
            """
            window.ask = window.fetch;
            window.fetch = async (...args) => {
              await new Promise((resolve) => setTimeout(resolve, window.slow ? 300 : 0));
              return ask(...args);
            };
            """;

    private static Page open(Browser.Window window, String rest) {
        window.page().addInitScript(SLOW);
        Page page = window.openDemo(rest);
        page.evaluate("window.slow = true");
        return page;
    }

    private static Locator field(Locator in, String label) {
        return in.getByLabel(label, new Locator.GetByLabelOptions().setExact(true))
                .and(in.page().locator("input:not([type=range])"));
    }

    /** Fills in one field after the other by keys alone. */
    private static void type(Page page, Locator first, int tabs, List<String> values) {
        first.focus();
        first.selectText();
        for (int i = 0; i < values.size(); i++) {
            page.keyboard().type(values.get(i), new Keyboard.TypeOptions().setDelay(FAST));
            for (int tab = 0; tab < tabs; tab++) {
                page.keyboard().press("Tab");
            }
        }
    }

    private static Locator swatch(Page page, String pattern) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(pattern)));
    }

    private static long revision(Page page) {
        return ((Number)
                        page.evaluate(
                                "async () => (await (await ask('/api/publications/%s')).json()).revision"
                                        .formatted(Browser.DEMO)))
                .longValue();
    }

    /** Waits until so many steps are stored. */
    private static void awaitSteps(Page page, long before, int steps) {
        page.waitForCondition(() -> revision(page) >= before + steps);
        page.waitForTimeout(1_000);
        assertThat(revision(page)).as("one step for each value").isEqualTo(before + steps);
    }

    private static void check(Locator in, List<String> labels, List<String> values) {
        IntStream.range(0, labels.size())
                .forEach(i -> assertThat(field(in, labels.get(i))).hasValue(values.get(i)));
    }

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
    void margins_and_bleed_that_are_typed_in_a_row_all_stay(Browser.Window window) {
        Page page = open(window, "?page=2");
        Locator setup = page.getByLabel("Setup of Season guide");
        setup.click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        long before = revision(page);
        List<String> labels =
                List.of(
                        "Bleed, top",
                        "Bleed, bottom",
                        "Bleed, outside",
                        "Bleed, spine",
                        "Margin, top",
                        "Margin, bottom",
                        "Margin, inside",
                        "Margin, outside");
        List<String> shown =
                List.of("4 mm", "5 mm", "6 mm", "1 mm", "21 mm", "22 mm", "23 mm", "24 mm");
        type(
                page,
                field(dialog, "Bleed, top"),
                1,
                List.of("4", "5 mm", "0.6 cm", "1", "21", "22", "23", "24"));
        check(dialog, labels, shown);
        awaitSteps(page, before, 8);
        check(dialog, labels, shown);
        page.reload();
        setup.click();
        check(page.getByRole(AriaRole.DIALOG), labels, shown);
        page.keyboard().press("Escape");
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
    void a_frame_gets_all_four_numbers_and_its_story_every_word(Browser.Window window) {
        Page page = open(window, "?page=2");
        Locator panel =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Page 2")));
        Locator fold =
                panel.getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions().setName(Pattern.compile("^Text: ")))
                        .first();
        fold.click();
        long before = revision(page);
        List<String> labels = List.of("From the left", "From the top", "Width", "Height");
        List<String> values = List.of("21 mm", "31 mm", "91 mm", "101 mm");
        type(page, field(panel, "From the left"), 1, List.of("21", "31", "91", "101"));
        awaitSteps(page, before, 4);
        check(panel, labels, values);
        panel.getByText("Write", new Locator.GetByTextOptions().setExact(true)).click();
        Locator story = Browser.story(page);
        assertThat(story).isFocused();
        page.keyboard().press("Control+A");
        List<String> lines = List.of("One word", "and two more", "and, at last, quite a few");
        for (String line : lines) {
            page.keyboard().type(line, new Keyboard.TypeOptions().setDelay(FAST));
            // longer than a burst lasts: what was stored meanwhile takes nothing away
            page.waitForTimeout(line.length() * 60.0);
            page.keyboard().press("Enter");
        }
        page.keyboard().type("The end", new Keyboard.TypeOptions().setDelay(FAST));
        page.keyboard().press("Escape");
        assertThat(panel.getByText("Text: One word")).isVisible();
        panel.getByText("Write", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(story.locator("p"))
                .hasText(
                        Stream.concat(lines.stream(), Stream.of("The end")).toArray(String[]::new));
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
        Locator spread = page.getByRole(AriaRole.APPLICATION);
        String drawn = spread.innerHTML();
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
        page.waitForCondition(() -> !spread.innerHTML().equals(drawn));
        Browser.undoAll(page);
    }

    @Test
    void lengths_are_worked_out_and_what_is_none_stays_to_be_mended(Browser.Window window) {
        Page page = open(window, "?page=2");
        page.getByLabel("Setup of Season guide").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator top = field(dialog, "Margin, top");
        long before = revision(page);
        for (List<String> each :
                List.of(
                        List.of("10 mm + 1/8 in", "13.175 mm"),
                        List.of("10 %", "21 mm"),
                        List.of("60/4", "15 mm"))) {
            top.fill(each.getFirst());
            top.press("Enter");
            assertThat(page.getByText(each.getFirst() + " is " + each.getLast())).isVisible();
            assertThat(top).hasValue(each.getLast());
        }
        awaitSteps(page, before, 3);
        top.fill("wide + 3");
        top.press("Tab");
        assertThat(page.getByText("“wide + 3” is not a length")).isVisible();
        assertThat(top).hasValue("wide + 3");
        assertThat(top).hasAttribute("aria-invalid", "true");
        top.fill("4000 mm");
        top.press("Tab");
        assertThat(page.getByText("Not done.")).isVisible();
        assertThat(top).hasValue("4000 mm"); // refused by the server
        top.fill("16");
        top.press("Tab");
        assertThat(top).hasValue("16 mm");
        assertThat(page.getByText("Not done.")).hasCount(0);
        awaitSteps(page, before, 4);
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

    /** Some keys come while the one before is on its way, and the frame is left before the last. */
    @Test
    void a_frame_keeps_every_step_of_its_rotation(Browser.Window window) {
        Page page = open(window, "?page=5&x=60&y=150");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Text: The telescopes").setExact(true))
                .click();
        BoundingBox spread = page.getByRole(AriaRole.APPLICATION).locator(".picture").boundingBox();
        page.mouse().click(spread.x + spread.width * 0.74, spread.y + spread.height * 0.7);
        Locator handle =
                page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Rotation"));
        handle.focus();
        for (int pause : new int[] {650, 900, 200, 700, 1500, 50}) {
            page.keyboard().press("ArrowRight");
            page.waitForTimeout(pause);
        }
        page.keyboard().press("Escape");
        assertThat(handle).not().isVisible();
        assertThat(page.getByLabel("Rotation °")).hasValue("6");
        Browser.undoAll(page);
    }

    /** What a swatch is named, as the server has it. */
    private static boolean isThere(Page page, String swatch) {
        return (Boolean)
                page.evaluate(
                        """
                        async ([address, wanted]) => {
                          const all = await (await fetch(address)).json();
                          return all.swatches.some(({ name }) => name === wanted);
                        }
                        """,
                        List.of("/api/publications/" + Browser.DEMO, swatch));
    }

    @Test
    void a_value_that_is_being_typed_is_stored_when_the_window_closes(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        swatch(page, "^Sand").click();
        field(page.locator("body"), "Name").fill("Shingle");
        page.navigate("about:blank");
        page.navigate(window.address());
        page.waitForCondition(() -> isThere(page, "Shingle"));
        window.openDemo("?page=2");
        Browser.undoAll(page);
    }

    /** What the browser asks; the first time the answer is to stay. */
    private static List<String> stayingOnce(Page page) {
        List<String> asked = new ArrayList<>();
        page.onDialog(dialog -> {
            asked.add(dialog.type());
            if (asked.size() == 1) {
                dialog.dismiss();
            } else {
                dialog.accept();
            }
        });
        return asked;
    }

    @Test
    void what_waits_to_be_stored_is_not_left_without_being_asked(Browser.Window window) {
        Page page = open(window, "?page=2");
        List<String> asked = stayingOnce(page);
        swatch(page, "^Sand").click();
        Locator name = field(page.locator("body"), "Name");
        name.fill("Shingle");
        name.press("Enter");
        name.fill("Pebble");
        name.press("Enter");
        page.close(new Page.CloseOptions().setRunBeforeUnload(true));
        page.waitForCondition(() -> !asked.isEmpty());
        assertThat(asked).containsExactly("beforeunload");
        assertThat(name).isFocused(); // one stays where one was
        page.evaluate("window.slow = false");
        page.waitForCondition(() -> isThere(page, "Pebble"));
        Browser.undoAll(page);
    }

    @Test
    void words_that_wait_behind_others_are_not_left_without_being_asked(Browser.Window window) {
        Page page = open(window, "?page=5");
        List<String> asked = stayingOnce(page);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Text: The telescopes"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Write")).click();
        assertThat(Browser.story(page)).isFocused();
        page.evaluate(
                """
                () => {
                  window.held = [];
                  window.fetch = async (...args) => {
                    await new Promise((go) => held.push(go));
                    return ask(...args);
                  };
                }
                """);
        page.keyboard().type("One. ");
        assertThat(page.getByText("Storing…")).isVisible();
        page.keyboard().type("Two. ");
        page.close(new Page.CloseOptions().setRunBeforeUnload(true));
        page.waitForCondition(() -> !asked.isEmpty());
        assertThat(asked).containsExactly("beforeunload");
        page.evaluate("() => { window.fetch = ask; held.forEach((go) => go()); }");
        assertThat(page.getByText("Storing…")).isHidden();
        page.reload();
        assertThat(page.getByText("One. Two. The telescopes").first()).isVisible();
        Browser.undoAll(page);
    }
}
