package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.e2e.Typist.FAST;
import static yewberry.e2e.Typist.awaitSteps;
import static yewberry.e2e.Typist.check;
import static yewberry.e2e.Typist.field;
import static yewberry.e2e.Typist.open;
import static yewberry.e2e.Typist.revision;
import static yewberry.e2e.Typist.type;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Lengths and angles that are typed in a row, on a slow line: all of them stay. */
@ExtendWith(Browser.class)
class MeasuresTest {
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
}
