package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A story is written beside the page that it is read on. */
@ExtendWith(Browser.class)
class StoryTest {
    private static Page open(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        write(page);
        return page;
    }

    private static void write(Page page) {
        button(page, "Text: The telescopes").click();
        button(page, "Write").click();
        assertThat(Browser.story(page)).isFocused();
        assertThat(page.getByText(Pattern.compile("^on page 5$|frames"))).isVisible();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator paragraphs(Page page) {
        return Browser.story(page).locator("p");
    }

    /** What a screen reader is told of the spread, which is drawn of the same scene. */
    private static Locator read(Page page) {
        return page.getByRole(AriaRole.APPLICATION);
    }

    private static void atTheEndOf(Page page, int paragraph) {
        BoundingBox box = paragraphs(page).nth(paragraph).boundingBox();
        paragraphs(page)
                .nth(paragraph)
                .click(new Locator.ClickOptions().setPosition(box.width - 3, box.height - 5));
    }

    private static long revision(Page page) {
        return ((Number)
                        page.evaluate(
                                "async address => (await (await fetch(address)).json()).revision",
                                "/api/publications/" + Browser.DEMO))
                .longValue();
    }

    @Test
    void the_picture_follows_and_a_burst_of_typing_is_one_step(Browser.Window window) {
        window.page().clock().install();
        Page page = open(window);
        long before = revision(page);
        String drawn = Browser.drawn(page);
        atTheEndOf(page, 0);
        // however slow the machine is, no time goes by within the burst
        page.clock().pauseAt(((Number) page.evaluate("Date.now()")).longValue() + 1000);
        page.keyboard().type(" of Saltmarsh");
        page.clock().resume();
        page.waitForCondition(() -> !Browser.drawn(page).equals(drawn));
        assertThat(read(page)).containsText("The telescopes of Saltmarsh");
        assertThat(revision(page)).isEqualTo(before + 1);
        page.keyboard().press("Control+z");
        assertThat(paragraphs(page).first()).hasText("The telescopes");
        page.keyboard().press("Control+Shift+z");
        assertThat(paragraphs(page).first()).hasText("The telescopes of Saltmarsh");
        // what is not stored yet is taken back as well as what is
        page.keyboard().type(" and Dunlin");
        page.keyboard().press("Control+z");
        assertThat(paragraphs(page).first()).hasText("The telescopes of Saltmarsh");
        Browser.undoAll(page);
    }

    @Test
    void paragraphs_are_divided_joined_and_given_looks_and_lines_end_within_them(
            Browser.Window window) {
        Page page = open(window);
        int before = paragraphs(page).count();
        atTheEndOf(page, 1);
        page.keyboard().press("Enter");
        page.keyboard().type("One");
        page.keyboard().press("Shift+Enter");
        page.keyboard().type("Two");
        page.keyboard().press("Shift+Alt+Digit3");
        assertThat(paragraphs(page)).hasCount(before + 1);
        assertThat(paragraphs(page).nth(2)).hasAttribute("data-name", "Heading");
        assertThat(paragraphs(page).nth(2).locator("br")).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(Browser.story(page)).not().isVisible();
        assertThat(read(page)).containsText(Pattern.compile("One\\sTwo"));
        button(page, "Write").click();
        assertThat(paragraphs(page).nth(2)).hasAttribute("data-name", "Heading");
        assertThat(paragraphs(page).nth(2).locator("br")).hasCount(1);
        paragraphs(page).nth(2).click(new Locator.ClickOptions().setPosition(1, 8));
        page.keyboard().press("Home");
        page.keyboard().press("Backspace");
        assertThat(paragraphs(page)).hasCount(before);
        Browser.undoAll(page);
    }

    @Test
    void words_get_a_colour_of_their_own_and_keep_it_while_one_types_on(Browser.Window window) {
        Page page = open(window);
        atTheEndOf(page, 0);
        page.keyboard().press("Control+Shift+ArrowLeft");
        page.getByLabel("Colour of the words").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Beacon")).click();
        Locator colored = Browser.story(page).locator("span[data-swatch]");
        assertThat(colored).hasText("telescopes");
        assertThat(Browser.story(page)).isFocused();
        page.keyboard().press("End");
        page.keyboard().type("!");
        assertThat(colored).hasText("telescopes!");
        page.keyboard().press("Escape");
        assertThat(read(page)).containsText("The telescopes!");
        button(page, "Write").click();
        assertThat(colored).hasText("telescopes!");
        Browser.undoAll(page);
    }

    /** All that wears the look follows, and the words have no colour of their own any more. */
    @Test
    void a_colour_that_words_have_of_their_own_is_taken_into_their_look(Browser.Window window) {
        Page page = open(window);
        atTheEndOf(page, 0);
        page.keyboard().press("Control+Shift+ArrowLeft");
        page.getByLabel("Colour of the words").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Beacon")).click();
        Locator colored = Browser.story(page).locator("span[data-swatch]");
        assertThat(colored).hasText("telescopes");
        button(page, "Take the colour into “Heading”").click();
        assertThat(colored).hasCount(0);
        page.waitForCondition(() ->
                (Boolean)
                        page.evaluate(
                                """
                                async address => {
                                  const all = await (await fetch(address)).json();
                                  const beacon = all.swatches.find(each => each.name === "Beacon");
                                  const look = all.looks.find(each => each.look.name === "Heading");
                                  return look.look.color.swatch === beacon.id;
                                }
                                """,
                                "/api/publications/" + Browser.DEMO));
        Browser.undoAll(page);
    }

    @Test
    void keys_are_meant_where_the_caret_is_seen_however_busy_the_browser_is(Browser.Window window) {
        Page page = open(window);
        page.evaluate(
                """
                () => {
                  const busy = () => {
                    for (const begun = performance.now(); performance.now() - begun < 40; );
                  };
                  for (let i = 0; i < 60; i++) setTimeout(busy);
                }
                """);
        page.keyboard().press("End");
        page.keyboard().press("Enter");
        page.keyboard().type("Bring a torch");
        page.keyboard().press("Home");
        page.keyboard().type("Please. ");
        assertThat(paragraphs(page).nth(0)).hasText("The telescopes");
        assertThat(paragraphs(page).nth(1)).hasText("Please. Bring a torch");
        assertThat(page.getByText("Text stored")).isVisible();
        Browser.undoAll(page);
    }

    @Test
    void words_stand_out_by_keys_and_by_name(Browser.Window window) {
        Page page = open(window);
        atTheEndOf(page, 0);
        page.keyboard().press("Control+Shift+ArrowLeft");
        page.keyboard().press("Control+i");
        Locator slanted = Browser.story(page).locator("span[data-characters]");
        assertThat(slanted).hasText("telescopes");
        assertThat(Browser.story(page).locator("[title=Emphasis]")).hasCSS("font-style", "italic");
        assertThat(page.getByLabel("Look of the words")).containsText("Emphasis");
        page.keyboard().press("Control+i");
        assertThat(slanted).hasCount(0);
        page.getByLabel("Look of the words").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Strong")).click();
        assertThat(slanted).hasText("telescopes");
        assertThat(Browser.story(page)).isFocused(); // again, once the list is closed
        page.keyboard().press("Escape");
        assertThat(Browser.story(page)).not().isVisible();

        button(page, "Write").click();
        assertThat(slanted).hasText("telescopes");
        Browser.undoAll(page);
    }

    @Test
    void a_look_is_picked_up_on_the_page_and_given_by_key_and_by_pointer(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        Locator strata =
                page.getByRole(
                        AriaRole.COMPLEMENTARY,
                        new Page.GetByRoleOptions().setName("What is painted"));
        read(page).focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(strata).containsText("Look Heading.");
        button(page, "Pick up its look").click();
        Locator picked =
                page.getByRole(
                        AriaRole.GROUP, new Page.GetByRoleOptions().setName("Picked up look"));
        assertThat(picked).containsText("Look Heading");

        read(page).focus();
        page.keyboard().press("ArrowRight");
        assertThat(strata).containsText("Look Body.");
        page.keyboard().press("Enter");
        assertThat(page.getByText("“In the dome stands").last()).containsText("has it now");
        assertThat(strata).containsText("Look Heading.");

        page.keyboard().press("ArrowRight");
        assertThat(strata).containsText("Look Body.");
        BoundingBox cross = read(page).locator("svg[viewBox='-16.5 -16.5 33 33']").boundingBox();
        page.mouse().click(cross.x + cross.width / 2, cross.y + cross.height / 2);
        assertThat(strata).containsText("Look Heading.");

        read(page).focus();
        page.keyboard().press("Escape");
        assertThat(picked).not().isVisible();
        Browser.undoAll(page);
    }

    @Test
    void a_look_is_picked_up_and_given_to_other_text_any_number_of_times(Browser.Window window) {
        Page page = open(window);
        atTheEndOf(page, 0);
        button(page, "Pick up the look").click();
        Locator picked =
                page.getByRole(
                        AriaRole.GROUP, new Page.GetByRoleOptions().setName("Picked up look"));
        assertThat(picked).containsText("Look Heading");
        for (int paragraph : new int[] {1, 2}) {
            atTheEndOf(page, paragraph);
            page.keyboard().press("Shift+Alt+G");
        }
        String heading = paragraphs(page).first().getAttribute("data-look");
        assertThat(paragraphs(page).nth(1)).hasAttribute("data-look", heading);
        assertThat(paragraphs(page).nth(2)).hasAttribute("data-look", heading);
        picked.getByText("Look Heading").click();
        atTheEndOf(page, 3);
        button(page, "Give it").click();
        assertThat(paragraphs(page).nth(3)).not().hasAttribute("data-look", heading);
        button(page, "Put it down").click();
        assertThat(picked).not().isVisible();
        Browser.undoAll(page);
    }

    @Test
    void text_without_room_is_marked_and_gets_pages(Browser.Window window) {
        Page page = open(window);
        atTheEndOf(page, 1);
        String much = "Ask the operator for a look through the Long Glass. ".repeat(12);
        for (int i = 0; i < 6; i++) {
            page.keyboard().press("Enter");
            page.keyboard().insertText(much);
        }
        assertThat(page.getByText(Pattern.compile("^No room from here: \\d+ words"))).isVisible();
        button(page, "Make room for the rest").click();
        assertThat(page.getByText(Pattern.compile("^Pages? \\d+.* of 1[34]$"))).isVisible();
        assertThat(page.getByText("No room from here")).not().isVisible();
        assertThat(page.getByText(Pattern.compile("^[23] frames, page 5 to page [67]$")))
                .isVisible();
        Browser.undoAll(page);
    }

    @Test
    void what_somebody_else_writes_comes_in_and_what_is_typed_stays(Browser.Window window) {
        try (BrowserContext theirs = window.page().context().browser().newContext()) {
            Browser.followed(window.page().context(), window.address());
            Page own = open(window);
            Page other = theirs.newPage();
            other.navigate(window.address() + "/publications/" + Browser.DEMO + "?page=5");
            write(other);
            atTheEndOf(own, 1);
            own.keyboard().type(" Mine.");
            atTheEndOf(other, 3);
            other.keyboard().type(" Theirs.");
            assertThat(paragraphs(own).nth(3)).containsText("Theirs.");
            assertThat(paragraphs(other).nth(1)).containsText("Mine.");
            assertThat(paragraphs(own).nth(1)).containsText("Mine.");
            own.keyboard().type(" More.");
            assertThat(paragraphs(other).nth(1)).containsText("Mine. More.");
            Browser.undoAll(own);
            Browser.undoAll(other);
        }
    }

    @Test
    void what_is_pasted_keeps_its_paragraphs_and_each_has_an_id_of_its_own(Browser.Window window) {
        Page page = open(window);
        int before = paragraphs(page).count();
        page.keyboard().press("Control+a");
        page.keyboard().press("Control+c");
        page.keyboard().press("Control+End");
        page.keyboard().press("Enter");
        page.keyboard().press("Control+v");
        assertThat(paragraphs(page)).hasCount(2 * before);
        assertThat(paragraphs(page).nth(before)).hasText("The telescopes");
        page.keyboard().press("Escape");
        button(page, "Write").click();
        assertThat(paragraphs(page)).hasCount(2 * before);
        Browser.undoAll(page);
    }
}
