package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Colour behind text: reversed in one step, in a look, and a colour that chooses itself. */
@ExtendWith(Browser.class)
class TextOnColorTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void choose(Locator in, String label, String option) {
        in.getByLabel(label, new Locator.GetByLabelOptions().setExact(true)).first().click();
        in.page()
                .getByRole(
                        AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    private static int rectangles(Page page, String color) {
        return page.locator("svg rect[fill='%s']".formatted(color)).count();
    }

    /** The catalogue, with a look open in it. */
    private static Locator inLook(Page page, String look) {
        Locator catalogue =
                page.getByRole(
                        AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Catalogue"));
        catalogue
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^" + look)))
                .click();
        return catalogue;
    }

    private static Page write(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        button(page, "Text: The telescopes").click();
        button(page, "Write").click();
        assertThat(Browser.story(page)).isFocused();
        return page;
    }

    @Test
    void a_heading_is_reversed_in_one_step_seen_before_and_has_its_colour_back(
            Browser.Window window) {
        Page page = write(window);
        String midnight = "#122540";
        int before = rectangles(page, midnight);
        button(page, "Ground…").click();
        Locator bar =
                page.getByRole(
                        AriaRole.GROUP, new Page.GetByRoleOptions().setName("Ground of the text"));
        choose(bar, "Ground behind the paragraph", "Midnight");
        assertThat(bar.getByRole(AriaRole.STATUS))
                .containsText(Pattern.compile("White ✓ 15\\.\\d+ : 1"));
        AccessibilityTest.passesAxe(page);
        // it is seen, and nothing is stored
        page.waitForCondition(() -> rectangles(page, midnight) > before);
        button(page, "Leave it as it is").click();
        page.waitForCondition(() -> rectangles(page, midnight) == before);

        button(page, "Ground…").click();
        choose(bar, "Ground behind the paragraph", "Midnight");
        assertThat(bar.getByRole(AriaRole.STATUS)).containsText("White");
        button(page, "As a look of its own").click();
        page.waitForCondition(() -> rectangles(page, midnight) > before);
        assertThat(bar).hasCount(0);
        assertThat(page.getByLabel("Look", new Page.GetByLabelOptions().setExact(true)))
                .containsText("Heading reversed");

        button(page, "Ground…").click();
        button(page, "Take the ground off").click();
        page.waitForCondition(() -> rectangles(page, midnight) == before);
        Browser.undoAll(page);
    }

    /** Words get a look that is made for them: seen before, and one step of undo. */
    @Test
    void words_get_a_ground_in_one_step(Browser.Window window) {
        Page page = write(window);
        String midnight = "#122540";
        int before = rectangles(page, midnight);
        page.keyboard().press("Control+Home");
        page.keyboard().press("Control+Shift+ArrowRight");
        assertThat(page.locator(".ProseMirror .chosen").first()).isVisible();
        button(page, "Ground…").click();
        Locator bar =
                page.getByRole(
                        AriaRole.GROUP, new Page.GetByRoleOptions().setName("Ground of the text"));
        choose(bar, "Ground behind the chosen words", "Midnight");
        assertThat(bar.getByRole(AriaRole.STATUS)).containsText("✓");
        page.waitForCondition(() -> rectangles(page, midnight) > before);
        button(page, "As a look of its own").click();
        assertThat(bar).hasCount(0);
        page.waitForCondition(() -> rectangles(page, midnight) > before);
        assertThat(page.getByText("Storing…")).hasCount(0);
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setExact(true))
                .click();
        page.waitForCondition(() -> rectangles(page, midnight) == before);
        assertThat(page.getByLabel("Undo", new Page.GetByLabelOptions().setExact(true)))
                .isDisabled();
        Browser.undoAll(page);
    }

    @Test
    void only_one_paragraph_is_shaded(Browser.Window window) {
        Page page = write(window);
        int before = page.locator("svg rect").count();
        button(page, "Ground…").click();
        button(page, "Only this paragraph…").click();
        page.getByLabel("Differs from the look “Heading”").check();
        Locator bar =
                page.getByRole(
                        AriaRole.GROUP, new Page.GetByRoleOptions().setName("Ground of the text"));
        choose(bar, "Shading", "One colour");
        page.waitForCondition(() -> page.locator("svg rect").count() > before);
        Locator padding = bar.getByLabel("Padding: one value, two or four");
        padding.fill("1 2 3");
        padding.press("Enter");
        assertThat(page.getByText("is not one value, two or four").first()).isVisible();
        assertThat(padding).hasValue("1 2 3");
        AccessibilityTest.passesAxe(page);
        padding.fill("1 mm 0,5 em");
        padding.press("Enter");
        assertThat(padding).hasValue("1 mm  0.5 em");
        assertThat(bar.getByLabel("Left", new Locator.GetByLabelOptions().setExact(true)))
                .hasValue("0.5 em");
        Browser.undoAll(page);
    }

    /** By the edges of the shading itself, and by keys on them, as one step. */
    @Test
    void a_padding_is_set_on_the_page_itself(Browser.Window window) {
        Page page = window.openDemo("?page=3");
        Locator bar = page.locator("svg rect[fill='#5d6876']").first();
        BoundingBox at = bar.boundingBox();
        page.mouse().click(at.x + at.width * 0.8, at.y + at.height / 2);
        Locator top =
                page.getByRole(
                        AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Padding, top"));
        assertThat(top).hasAttribute("aria-valuetext", "0.25 em");
        AccessibilityTest.passesAxe(page);
        BoundingBox handle = top.boundingBox();
        page.mouse().move(handle.x + handle.width / 2, handle.y + handle.height / 2);
        page.mouse().down();
        page.mouse()
                .move(
                        handle.x + handle.width / 2,
                        handle.y + handle.height / 2 - 20,
                        new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        page.waitForCondition(() ->
                Optional.ofNullable(bar.boundingBox())
                        .filter(each -> each.height > at.height + 15)
                        .isPresent());
        assertThat(top).not().hasAttribute("aria-valuetext", "0.25 em");
        Locator left =
                page.getByRole(
                        AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Padding, left"));
        left.focus();
        page.keyboard().press("ArrowUp");
        assertThat(left).hasAttribute("aria-valuetext", "0.82 em");
        page.keyboard().press("Control+Z");
        Browser.undoAll(page);
    }

    /** Walking through swatches by keys shows each, and leaving gives back what was. */
    @Test
    void walking_through_swatches_and_paddings_shows_each_and_reverts(Browser.Window window) {
        Page page = window.openDemo("?page=3");
        Locator catalogue = inLook(page, "Notice heading");
        button(page, "Shading and border").click();
        String slate = page.locator("svg rect[fill='#5d6876']").first().getAttribute("height");
        assertThat(slate).isNotEmpty();
        catalogue.getByLabel("Colour of the shading").first().click();
        page.keyboard().press("ArrowDown");
        page.waitForCondition(() -> rectangles(page, "#5d6876") == 0);
        page.keyboard().press("Escape");
        page.waitForCondition(() -> rectangles(page, "#5d6876") > 0);

        Locator top = catalogue.getByLabel("Top", new Locator.GetByLabelOptions().setExact(true));
        top.focus();
        page.keyboard().press("Shift+ArrowUp");
        assertThat(top).hasValue("1.25 em");
        page.waitForCondition(() ->
                rectangles(page, "#5d6876") > 0
                        && !page.locator("svg rect[fill='#5d6876']")
                                .first()
                                .getAttribute("height")
                                .equals(slate));
        page.keyboard().press("Escape");
        assertThat(top).hasValue("0.25 em");
        page.waitForCondition(() ->
                rectangles(page, "#5d6876") > 0
                        && page.locator("svg rect[fill='#5d6876']")
                                .first()
                                .getAttribute("height")
                                .equals(slate));
    }

    @Test
    void a_legible_colour_says_what_it_chose_and_why(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        page.getByRole(AriaRole.APPLICATION).focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        Locator strata = page.getByLabel("From the top down to the stock");
        assertThat(strata)
                .containsText("Chosen by “Reading”: the first of 2 that is legible on all");
        assertThat(strata).containsText("Moonlight");
    }

    @Test
    void a_swatch_is_made_to_choose_and_its_list_is_put_in_order(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        Locator catalogue = inLook(page, "Reading");
        Locator list =
                catalogue.getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions()
                                .setName("Swatches in the order in which they are tried"));
        Locator first = list.getByLabel("First", new Locator.GetByLabelOptions().setExact(true));
        assertThat(first.first()).containsText("Black");
        AccessibilityTest.passesAxe(page);
        button(page, "Try swatch 2 earlier").click();
        assertThat(first.first()).containsText("Moonlight");
        list.getByLabel("Grey copy").check();
        button(page, "Leave swatch 2 out").click();
        assertThat(button(page, "Leave swatch 1 out")).isDisabled();
        Browser.undoAll(page);
    }

    @Test
    void a_legible_colour_is_offered_for_text_only(Browser.Window window) {
        Page page = window.openDemo("?page=6");
        Locator catalogue = inLook(page, "Night body");
        catalogue
                .getByLabel("Colour", new Locator.GetByLabelOptions().setExact(true))
                .first()
                .click();
        Locator reading =
                page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName("Reading").setExact(true));
        assertThat(reading).hasCount(1);
        page.keyboard().press("Escape");
        button(page, "Shading and border").click();
        choose(catalogue, "Shading", "One colour");
        catalogue.getByLabel("Colour of the shading").first().click();
        assertThat(
                        page.getByRole(
                                AriaRole.OPTION,
                                new Page.GetByRoleOptions().setName("Moonlight").setExact(true)))
                .hasCount(1);
        assertThat(reading).hasCount(0);
        page.keyboard().press("Escape");
        Browser.undoAll(page);
    }
}
