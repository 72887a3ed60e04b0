package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One line says what is being changed, and exactly that is. */
@ExtendWith(Browser.class)
class ScopeTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static Locator scope(Page page) {
        return page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName("What is being changed"));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private static void choosePages(Page page, String range) {
        Locator field = page.getByLabel("Choose pages");
        field.fill(range);
        field.press("Enter");
        assertThat(field).hasValue(""); // the server says which pages these are
    }

    private static void choose(Page page, String label, String option) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile(label + "$")))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    /** The backgrounds that a page has of its own, as they are stored. */
    private static JsonNode stored(Page page, int number) {
        String publication = "/api/publications/" + Browser.DEMO;
        String script =
                """
                async ([address, number]) => {
                  const pages = await (await fetch(`${address}/pages?from=${number - 1}&to=${number}`)).json();
                  return (await fetch(`${address}/pages/${pages.pages[0].id}`)).text();
                }
                """;
        Object text = page.evaluate(script, List.of(publication, number));
        return JSON.readTree(text.toString()).path("layer").path("backgrounds");
    }

    @Test
    void pages_that_are_chosen_are_changed_together_and_what_differs_is_shown_as_such(
            Browser.Window window) {
        Page page = window.openDemo("?page=2");
        assertThat(scope(page)).containsText("Changes this page only");
        choosePages(page, "11, 12");
        assertThat(scope(page)).containsText("Changes these 2 pages");
        button(page, "Several colours, whole page").click();
        Locator fill =
                page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName("differs Fill"));
        assertThat(fill).isVisible();
        Locator opacity = page.getByLabel("Opacity %");
        assertThat(opacity).hasValue("100");
        opacity.fill("70");
        opacity.press("Enter");
        page.waitForCondition(() ->
                stored(page, 11).get(0).path("opacity").asInt() == 70
                        && stored(page, 12).get(0).path("opacity").asInt() == 70);
        Assertions.assertThat(stored(page, 11).get(0).path("fill"))
                .isNotEqualTo(stored(page, 12).get(0).path("fill"));
        // one step takes both back
        button(page, "Undo").click();
        page.waitForCondition(() -> stored(page, 12).get(0).path("opacity").asInt() == 100);
        Assertions.assertThat(stored(page, 11).get(0).path("opacity").asInt()).isEqualTo(100);

        // what the first has already is given to the other as well
        fill.click();
        String first = stored(page, 11).get(0).path("fill").path("color").path("swatch").asString();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(name(page, first)))
                .first()
                .click();
        page.waitForCondition(() ->
                stored(page, 12)
                        .get(0)
                        .path("fill")
                        .path("color")
                        .path("swatch")
                        .asString()
                        .equals(first));
        assertThat(fill).hasCount(0);
        Assertions.assertThat(window.complaints()).isEmpty();
        AccessibilityTest.passesAxe(page);
        Browser.undoAll(page);
    }

    private static String name(Page page, String swatch) {
        Object text =
                page.evaluate(
                        "async address => (await fetch(address)).text()",
                        "/api/publications/" + Browser.DEMO);
        for (JsonNode each : JSON.readTree(text.toString()).path("swatches")) {
            if (each.path("id").asString().equals(swatch)) {
                return each.path("name").asString();
            }
        }
        throw new AssertionError("No swatch " + swatch);
    }

    @Test
    void a_parent_is_changed_as_long_as_it_is_in_sight(Browser.Window window) {
        Page page = window.openDemo("?page=7");
        button(page, "Night 5 pages").click();
        page.getByText("Change what lies on it").click();
        assertThat(scope(page)).containsText("Parent Night: 5 pages");
        assertThat(scope(page)).containsText("Changes 5 pages");
        page.keyboard().press("Alt+c");
        assertThat(
                        page.getByRole(
                                AriaRole.LISTBOX,
                                new Page.GetByRoleOptions().setName("Swatch for Parent Night")))
                .isVisible();
        assertThat(page.getByText("Trying out: 5 pages change")).isVisible();
        page.keyboard().press("Escape");
        button(page, "Spread after").click();
        assertThat(scope(page)).containsText("Parent Night: 5 pages");
        button(page, "Spread after").click(); // to pages of another parent
        assertThat(scope(page)).containsText("Page 10");
        Assertions.assertThat(window.complaints()).isEmpty();
    }

    @Test
    void what_is_changed_wherever_it_is_used_is_said_while_one_is_in_its_fields(
            Browser.Window window) {
        Page page = window.openDemo("?page=7");
        assertThat(scope(page)).containsText("Page 7");
        button(page, "Dusk C82").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).focus();
        assertThat(scope(page)).containsText("Swatch “Dusk”: 8 uses");
        assertThat(scope(page)).containsText("Wherever it is used");
        page.getByRole(AriaRole.APPLICATION).focus();
        assertThat(scope(page)).containsText("Page 7");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).focus();
        button(page, "Dusk C82").click(); // it folds away
        assertThat(scope(page)).containsText("Page 7");
        Assertions.assertThat(window.complaints()).isEmpty();
    }

    @Test
    void what_goes_across_the_spread_is_on_both_pages_and_changed_from_either(
            Browser.Window window) {
        Page page = window.openDemo("?page=5");
        page.getByText("Add a background…").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Beacon")).click();
        button(page, "Beacon, whole page").click();
        choose(page, "Area", "Whole spread");
        assertThat(button(page, "Beacon, whole spread")).containsText("pages 4, 5");
        Assertions.assertThat(stored(page, 4)).hasSize(1);
        page.getByRole(
                        AriaRole.LISTBOX,
                        new Page.GetByRoleOptions().setName("Concertina: all pages"))
                .getByRole(AriaRole.OPTION)
                .nth(3)
                .click();
        assertThat(scope(page)).containsText("Page 4");
        button(page, "Beacon, whole spread").click();
        page.getByLabel("Opacity %").fill("35");
        page.getByLabel("Opacity %").press("Enter");
        page.waitForCondition(() -> stored(page, 5).get(0).path("opacity").asInt() == 35);
        Assertions.assertThat(stored(page, 4).get(0).path("opacity").asInt()).isEqualTo(35);
        Browser.undoAllAndReload(page);
        Assertions.assertThat(stored(page, 4)).isEmpty();
    }

    @Test
    void the_flatplan_changes_what_lies_on_the_pages_chosen_as_the_bench_does(
            Browser.Window window) {
        Page page = window.openDemo("/flatplan");
        assertThat(page.getByText("What lies on them is changed here, together.")).isVisible();
        choosePages(page, "8, 9");
        assertThat(scope(page)).containsText("Changes these 2 pages");
        button(page, "Midnight to Dusk, whole spread").click();
        Locator angle = page.getByLabel("Angle °");
        angle.fill("30");
        angle.press("Enter");
        page.waitForCondition(
                () -> stored(page, 9).get(0).path("fill").path("angle").asInt() == 30);
        Assertions.assertThat(stored(page, 8).get(0).path("fill").path("angle").asInt())
                .isEqualTo(30);
        // still open, still what is being changed
        assertThat(scope(page)).containsText("Pages 8, 9");
        assertThat(angle).hasValue("30");
        AccessibilityTest.passesAxe(page);
        Browser.undoAll(page);
    }

    private static Locator cell(Page page, int number) {
        return page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("^Page %d,".formatted(number))))
                .locator("img");
    }

    @Test
    void pages_of_a_spread_meet_in_the_flatplan(Browser.Window window) {
        Page page = window.openDemo("/flatplan");
        Locator left = cell(page, 8);
        Locator right = cell(page, 9);
        for (int width : new int[] {1280, 1440, 1024, 1111}) {
            page.setViewportSize(width, 800);
            page.waitForCondition(() -> {
                BoundingBox one = left.boundingBox();
                BoundingBox other = right.boundingBox();
                return one != null && other != null && Math.abs(one.x + one.width - other.x) < 0.6;
            });
        }
    }
}
