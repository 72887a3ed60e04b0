package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Text that differs from its looks: marked, cleared, taken into them, given to other text. */
@ExtendWith(Browser.class)
class LocalDifferencesTest {
    /** What the server has of the second paragraph, and of the look that it wears. */
    private static final String STORED =
            """
            async address => {
              const all = await (await fetch(address)).json();
              const { stories } = await (await fetch(address + "/stories")).json();
              for (const { id } of stories) {
                const story = await (await fetch(address + "/stories/" + id)).json();
                const [title, text] = story.paragraphs;
                if (title.runs.some(run => run.text.includes("The telescopes"))) {
                  const look = all.looks.find(each => each.look.id === text.look).look;
                  return JSON.stringify([
                    text.local ?? null,
                    text.runs.map(run => run.local ?? null),
                    look.size,
                    look.setting.left,
                  ]);
                }
              }
            }
            """;

    private Page page;

    @BeforeEach
    void open(Browser.Window window) {
        page = window.openDemo("?page=5");
        button("Text: The telescopes").click();
        button("Write").click();
        assertThat(Browser.story(page)).isFocused();
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator bar() {
        return page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Local differences"));
    }

    /** Chooses the first three words of the second paragraph. */
    private void chooseWords() {
        Browser.story(page)
                .locator("p")
                .nth(1)
                .click(new Locator.ClickOptions().setPosition(20, 8));
        page.keyboard().press("Home");
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("Control+Shift+ArrowRight");
        }
    }

    private void type(String field, String value) {
        bar().getByLabel(field, new Locator.GetByLabelOptions().setExact(true)).fill(value);
        page.keyboard().press("Tab");
    }

    private void stored(String pattern) {
        Pattern wanted = Pattern.compile(pattern);
        page.waitForCondition(() ->
                wanted.matcher((String) page.evaluate(STORED, "/api/publications/" + Browser.DEMO))
                        .find());
    }

    private void differ() {
        chooseWords();
        button("Local differences…").click();
        type("Size %", "150");
        bar().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("The paragraph"))
                .click();
        type("Indent left", "12");
        stored("^\\[\\{\"left\":\"12 pt\"},\\[\\{\"size\":150},null],");
    }

    @Test
    void words_and_paragraphs_differ_are_marked_and_stay_so_after_a_reload() {
        differ();
        Locator paragraph = Browser.story(page).locator("p").nth(1);
        assertThat(paragraph).hasClass(Pattern.compile("differs"));
        assertThat(paragraph.locator("span.differs").first()).hasAttribute("title", "size");
        page.reload();
        button("Text: The telescopes").click();
        button("Write").click();
        assertThat(paragraph).hasClass(Pattern.compile("differs"));
        chooseWords();
        button("Local differences…").click();
        assertThat(bar().getByLabel("Size %")).hasValue("150");
        page.keyboard().press("Escape");
        Browser.undoAll(page);
    }

    @Test
    void what_differs_is_cleared_at_once_and_comes_back_with_one_step() {
        differ();
        button("Clear the differences").click();
        stored("^\\[null,\\[null],");
        button("Done").click();
        assertThat(Browser.story(page)).isFocused();
        assertThat(Browser.story(page).locator(".differs")).hasCount(0);
        page.keyboard().press("Control+z");
        stored("^\\[\\{\"left\":\"12 pt\"},\\[\\{\"size\":150},null],");
        assertThat(Browser.story(page).locator("p.differs")).hasCount(1);
        Browser.undoAll(page);
    }

    /** One step: the look has it, and the paragraph differs no more. */
    @Test
    void what_differs_is_taken_into_the_look() {
        differ();
        button("Take indent left into “Body”").click();
        stored("^\\[null,\\[\\{\"size\":150},null],\"9.5 pt\",\"12 pt\"]");
        bar().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("The chosen words"))
                .click();
        button("Take size into “Body”").click();
        stored("^\\[null,\\[null],\"14.25 pt\",\"12 pt\"]");
        button("Done").click();
        page.keyboard().press("Control+z");
        stored("^\\[null,\\[\\{\"size\":150},null],\"9.5 pt\",\"12 pt\"]");
        Browser.undoAll(page);
    }

    /** Nothing is lost where the look cannot have it: 4 times 300 pt is more than there is. */
    @Test
    void what_a_look_cannot_take_in_stays_a_difference() {
        chooseWords();
        button("Local differences…").click();
        type("Size %", "400");
        stored("\"size\":400}");
        page.evaluate(
                """
                async address => {
                  const all = await (await fetch(address)).json();
                  const was = all.looks.find(each => each.look.name === "Body").look;
                  const edit = { type: "changeLook", look: { ...was, size: "300 pt" }, was };
                  const headers = { "Content-Type": "application/json" };
                  const body = JSON.stringify({ revision: all.revision, author: "other", edit });
                  await fetch(address + "/edits", { method: "POST", headers, body });
                }
                """,
                "/api/publications/" + Browser.DEMO);
        stored("\"size\":400},null],\"300 pt\"");
        button("Take size into “Body”").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("from 2 pt to 1000 pt");
        stored("\"size\":400},null],\"300 pt\"");
        assertThat(bar().getByLabel("Size %")).hasValue("400");
        page.evaluate(
                """
                async address => {
                  const headers = { "Content-Type": "application/json" };
                  const body = JSON.stringify({ author: "other" });
                  await fetch(address + "/undo", { method: "POST", headers, body });
                }
                """,
                "/api/publications/" + Browser.DEMO);
        stored("\"size\":400},null],\"9.5 pt\"");
        Browser.undoAll(page);
    }

    @Test
    void the_sheet_of_looks_counts_what_differs_and_clears_it() {
        differ();
        button("Done").click();
        page.keyboard().press("Escape");
        button("Sheet…").click();
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        Locator body =
                sheet.getByRole(AriaRole.LISTITEM)
                        .filter(
                                new Locator.FilterOptions()
                                        .setHas(page.getByAltText("A line in the look Body")));
        // one has a colour of its own in the demo
        assertThat(body).containsText("2 paragraphs differ from it in places");
        body.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Clear the differences"))
                .click();
        stored("^\\[null,\\[null(,null)*],");
        assertThat(body).not().containsText("from it in places");
        assertThat(sheet.getByText("from it in places")).not().hasCount(0);
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done")).click();
        Browser.undoAll(page);
    }

    @Test
    void a_value_that_cannot_be_is_refused_in_words_and_nothing_is_lost() {
        chooseWords();
        button("Local differences…").click();
        bar().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("The paragraph"))
                .click();
        type("Size", "1 pt");
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText("choose a size from 2 pt to 1000 pt");
        type("Size", "12 pt");
        stored("^\\[\\{\"size\":\"12 pt\"},");
        Browser.undoAll(page);
    }
}
