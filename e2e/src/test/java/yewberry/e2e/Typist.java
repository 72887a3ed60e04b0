package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** Somebody who types fast and tabs on, while each answer of the server takes its time. */
final class Typist {
    /** Between two keys, in milliseconds. */
    static final double FAST = 40;

    /** Each question to the server waits 300 ms, as soon as the window is said to be slow. */
    private static final String SLOW =
            """
            window.ask = window.fetch;
            window.fetch = async (...args) => {
              await new Promise((resolve) => setTimeout(resolve, window.slow ? 300 : 0));
              return ask(...args);
            };
            """;

    private Typist() {}

    static Page open(Browser.Window window, String rest) {
        window.page().addInitScript(SLOW);
        Page page = window.openDemo(rest);
        page.evaluate("window.slow = true");
        return page;
    }

    static Locator field(Locator in, String label) {
        return in.getByLabel(label, new Locator.GetByLabelOptions().setExact(true))
                .and(in.page().locator("input:not([type=range])"));
    }

    /** Fills in one field after the other by keys alone. */
    static void type(Page page, Locator first, int tabs, List<String> values) {
        first.focus();
        first.selectText();
        for (int i = 0; i < values.size(); i++) {
            page.keyboard().type(values.get(i), new Keyboard.TypeOptions().setDelay(FAST));
            for (int tab = 0; tab < tabs; tab++) {
                page.keyboard().press("Tab");
            }
        }
    }

    static Locator swatch(Page page, String pattern) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(pattern)));
    }

    static long revision(Page page) {
        return ((Number)
                        page.evaluate(
                                "async () => (await (await ask('/api/publications/%s')).json()).revision"
                                        .formatted(Browser.DEMO)))
                .longValue();
    }

    /** Waits until so many steps are stored. */
    static void awaitSteps(Page page, long before, int steps) {
        page.waitForCondition(() -> revision(page) >= before + steps);
        page.waitForTimeout(1_000);
        assertThat(revision(page)).as("one step for each value").isEqualTo(before + steps);
    }

    static void check(Locator in, List<String> labels, List<String> values) {
        IntStream.range(0, labels.size())
                .forEach(i -> assertThat(field(in, labels.get(i))).hasValue(values.get(i)));
    }
}
