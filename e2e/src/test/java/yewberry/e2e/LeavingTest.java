package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.e2e.Typist.field;
import static yewberry.e2e.Typist.open;
import static yewberry.e2e.Typist.swatch;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A window that is closed while what was typed is not stored yet. */
@ExtendWith(Browser.class)
class LeavingTest {
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
