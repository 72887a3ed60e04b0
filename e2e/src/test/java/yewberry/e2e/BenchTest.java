package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The spread is what the Bench is about: how large it gets, and that one comes back to it. */
@ExtendWith(Browser.class)
class BenchTest {
    private static Locator stage(Page page) {
        return page.getByRole(AriaRole.APPLICATION);
    }

    private static Locator panel(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** The pages of the spread themselves. */
    private static Locator sheet(Page page) {
        return stage(page).locator(".picture");
    }

    /** The part of the window's height that they take. */
    private static double height(Page page) {
        BoundingBox box = sheet(page).boundingBox();
        return box.height / page.viewportSize().height;
    }

    @Test
    void panels_fold_by_key_and_by_button_and_stay_folded(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        assertThat(height(page)).isGreaterThanOrEqualTo(0.7);
        stage(page).focus();
        page.keyboard().press("f");
        for (String name : List.of("Catalogue", "Strata", "Pages")) {
            assertThat(panel(page, name)).hasAttribute("aria-pressed", "false");
        }
        assertThat(page.getByPlaceholder("Search the catalogue")).isHidden();
        assertThat(page.getByLabel("Concertina: all pages")).isHidden();
        page.waitForCondition(() -> height(page) >= 0.9);
        page.reload();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        assertThat(panel(page, "Catalogue")).hasAttribute("aria-pressed", "false");
        panel(page, "Catalogue").click();
        assertThat(page.getByPlaceholder("Search the catalogue")).isVisible();
        stage(page).focus();
        page.keyboard().press("d");
        page.keyboard().press("t");
        assertThat(page.getByLabel("Concertina: all pages")).isVisible();
        assertThat(panel(page, "Strata")).hasAttribute("aria-pressed", "true");
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void one_comes_back_to_the_same_page_zoom_and_point(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        stage(page).focus();
        page.keyboard().press("PageDown");
        page.keyboard().press("PageDown");
        Locator label = page.getByText("Pages 6 and 7 of 12");
        assertThat(label).isVisible();
        page.keyboard().press("p");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("a");
        Locator zoom = page.getByLabel("Zoom", new Page.GetByLabelOptions().setExact(true));
        assertThat(zoom).hasValue("100 %");
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("page 6");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Output")).click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench")).click();
        assertThat(label).isVisible();
        assertThat(zoom).hasValue("100 %");
        assertThat(strata).containsText("page 6");
        page.reload();
        assertThat(label).isVisible();
        assertThat(zoom).hasValue("100 %");
    }

    @Test
    void on_a_narrow_window_each_part_has_all_of_its_width(Browser.Window window) {
        window.page().setViewportSize(360, 800);
        Page page = window.openDemo("?page=7");
        Locator parts = page.locator("main > :is(aside, section)");
        assertThat(parts).hasCount(4);
        assertThat(
                        parts.evaluateAll(
                                "all => all.map(it => it.getBoundingClientRect()).map(it => `${it.x} ${it.width}`)"))
                .isEqualTo(List.of("0 360", "0 360", "0 360", "0 360"));
    }

    @Test
    void covers_on_the_shelf_have_their_pictures(Browser.Window window) {
        Page page = window.openShelf();
        Locator cover = page.locator("li", new Page.LocatorOptions().setHasText("Season guide"));
        page.waitForFunction(
                "() => [...document.images].every(it => it.complete && it.naturalWidth > 0)");
        // a night sky has many colours, a plain colour and some type on it few
        assertThat(
                        cover.locator("img")
                                .evaluate(
                                        """
                                        image => {
                                          const canvas = document.createElement('canvas');
                                          canvas.width = image.naturalWidth;
                                          canvas.height = image.naturalHeight;
                                          const context = canvas.getContext('2d');
                                          context.drawImage(image, 0, 0);
                                          const { data } = context.getImageData(
                                            0, canvas.height / 4, canvas.width, canvas.height / 2);
                                          const colors = new Set();
                                          for (let i = 0; i < data.length; i += 4) {
                                            colors.add(data[i] << 16 | data[i + 1] << 8 | data[i + 2]);
                                          }
                                          return colors.size > 500;
                                        }
                                        """))
                .isEqualTo(true);
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void panels_are_made_larger_by_keys_and_by_pointer_and_stay_so(Browser.Window window) {
        Page page = window.openDemo("?page=5");
        Locator edge =
                page.getByRole(
                        AriaRole.SEPARATOR,
                        new Page.GetByRoleOptions().setName("Width of the strata"));
        assertThat(edge).hasAttribute("aria-valuenow", "256");
        edge.focus();
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("ArrowLeft");
        assertThat(edge).hasAttribute("aria-valuenow", "272");
        BoundingBox at = edge.boundingBox();
        page.mouse().move(at.x + 3, 400);
        page.mouse().down();
        page.mouse().move(at.x - 47, 400, new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        assertThat(edge).hasAttribute("aria-valuenow", "322");
        Locator pages =
                page.getByRole(
                        AriaRole.SEPARATOR,
                        new Page.GetByRoleOptions().setName("Height of the pages"));
        pages.focus();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("ArrowUp");
        }
        assertThat(pages).hasAttribute("aria-valuenow", "260"); // no higher than that
        page.reload();
        assertThat(edge).hasAttribute("aria-valuenow", "322");
        assertThat(page.getByLabel("What is painted").boundingBox().width)
                .isCloseTo(322, within(1.0));
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void a_spread_that_is_still_being_drawn_says_so(Browser.Window window) {
        window.page()
                .addInitScript(
                        """
                        const ask = window.fetch;
                        const held = [];
                        let drawn = false;
                        window.draw = () => {
                          drawn = true;
                          held.forEach((go) => go());
                        };
                        window.fetch = async (asked, ...rest) => {
                          if (!drawn && asked.url?.includes("/spreads/5/picture")) {
                            await new Promise((resolve) => held.push(resolve));
                          }
                          return ask(asked, ...rest);
                        };
                        """);
        Page page = window.openDemo("?page=2");
        assertThat(stage(page)).isVisible();
        page.getByRole(
                        AriaRole.LISTBOX,
                        new Page.GetByRoleOptions().setName("Concertina: all pages"))
                .getByRole(AriaRole.OPTION)
                .nth(9)
                .click();
        assertThat(stage(page)).hasAttribute("aria-busy", "true");
        assertThat(page.getByText("Drawing…")).isVisible();
        page.evaluate("window.draw()");
        assertThat(stage(page)).hasAttribute("aria-busy", "false");
        assertThat(page.getByText("Drawing…")).hasCount(0);
    }

    @Test
    void a_value_is_seen_while_it_is_typed_and_while_it_is_stored_and_not_when_it_is_refused(
            Browser.Window window) {
        Page page = window.openDemo("?page=4");
        Browser.changing(page, "Parent Daylight");
        panel(page, "Sand, whole page").click();
        Locator opacity = page.getByLabel("Opacity %");
        String before = Browser.drawn(page);
        opacity.press("Control+a");
        page.keyboard().type("40");
        page.waitForCondition(() -> !Browser.drawn(page).equals(before));
        page.keyboard().press("Escape");
        page.waitForCondition(() -> Browser.drawn(page).equals(before));

        List<Route> held = new CopyOnWriteArrayList<>();
        page.route("**/edits", held::add);
        opacity.press("Control+a");
        page.keyboard().type("60");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> !held.isEmpty() && !Browser.drawn(page).equals(before));
        assertThat(stage(page)).hasAttribute("aria-busy", "false");
        String tried = Browser.drawn(page);
        held.forEach(Route::resume);
        page.unroute("**/edits");
        assertThat(page.getByText("Background changed")).isVisible();
        assertThat(Browser.drawn(page)).isEqualTo(tried);

        page.route("**/edits", route -> route.fulfill(REFUSED));
        opacity.press("Control+a");
        page.keyboard().type("70");
        page.waitForCondition(() -> !Browser.drawn(page).equals(tried));
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("The disk is full");
        page.waitForCondition(() -> Browser.drawn(page).equals(tried));
        page.unroute("**/edits");
        Browser.undoAll(page);
    }

    private static final Route.FulfillOptions REFUSED =
            new Route.FulfillOptions()
                    .setStatus(507)
                    .setContentType("application/problem+json")
                    .setBody("{\"detail\": \"The disk is full; make room and try again.\"}");

    @Test
    void the_spreads_beside_the_open_one_are_there_before_they_are_turned_to(
            Browser.Window window) {
        List<String> there = new CopyOnWriteArrayList<>();
        window.page().onRequestFinished(request -> there.add(request.url()));
        Page page = window.openDemo("?page=4");
        // they are read once one has settled
        page.waitForCondition(
                () -> there.stream().anyMatch(each -> each.contains("/spreads/3/picture")));
        List<String> read = new CopyOnWriteArrayList<>();
        page.onRequest(request -> read.add(request.url()));
        stage(page).focus();
        page.keyboard().press("PageDown");
        assertThat(page.getByText("Pages 6 and 7 of 12")).isVisible();
        assertThat(stage(page)).containsText("Dark hours");
        assertThat(read).noneMatch(each -> each.contains("/spreads/3/picture"));
    }
}
