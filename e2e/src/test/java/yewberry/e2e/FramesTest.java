package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Text frames are placed on the page itself, and chained. */
@ExtendWith(Browser.class)
class FramesTest {
    private static Page open(Browser.Window window) {
        Page page = window.openDemo("?page=5&x=60&y=150");
        button(page, "Text: The telescopes").click();
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator chosen(Page page) {
        return chosen(page, "Chosen frame");
    }

    private static Locator chosen(Page page, String what) {
        return page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^" + what)));
    }

    /** By a click into the lower part of page 5, where no text is. */
    private static void choose(Page page) {
        BoundingBox spread = page.getByRole(AriaRole.APPLICATION).locator(".picture").boundingBox();
        page.mouse().click(spread.x + spread.width * 0.74, spread.y + spread.height * 0.7);
        assertThat(chosen(page)).isVisible();
    }

    private static void drag(Page page, double x, double y, double dx, double dy) {
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + dx, y + dy, new Mouse.MoveOptions().setSteps(6));
        page.mouse().up();
    }

    @Test
    void a_frame_is_sized_by_a_handle_and_moved_by_its_edge_but_not_from_within(
            Browser.Window window) {
        Page page = open(window);
        choose(page);
        BoundingBox box = chosen(page).boundingBox();
        drag(page, box.x + box.width / 2, box.y + box.height, 0, -120);
        assertThat(field(page, "Height")).not().hasValue("168 mm");
        assertThat(field(page, "Width")).hasValue("112 mm");
        assertThat(page.getByText("Frame placed")).isVisible();
        double height = Double.parseDouble(field(page, "Height").inputValue().split(" ")[0]);
        assertThat(height).isBetween(80.0, 150.0);

        BoundingBox now = chosen(page).boundingBox();
        drag(page, now.x + now.width / 4, now.y, 30, 40);
        assertThat(field(page, "From the top")).not().hasValue("20 mm");
        assertThat(field(page, "Width")).hasValue("112 mm");
        String top = field(page, "From the top").inputValue();

        BoundingBox last = chosen(page).boundingBox();
        drag(page, last.x + last.width / 2, last.y + last.height * 0.8, 50, 50);
        assertThat(field(page, "From the top")).hasValue(top);
        Browser.undoAll(page);
    }

    @Test
    void a_frame_of_the_parent_that_is_being_changed_is_moved_on_either_hand(
            Browser.Window window) {
        Page page = window.openDemo("?page=4");
        Browser.changing(page, "Parent Daylight");
        BoundingBox spread = page.getByRole(AriaRole.APPLICATION).locator(".picture").boundingBox();
        double pixels = spread.width / (2 * 148 + 6);
        // the caption at the foot, 20 mm from the left edge where it stands mirrored
        page.mouse().click(spread.x + (3 + 76) * pixels, spread.y + (3 + 199) * pixels);
        BoundingBox before = chosen(page).boundingBox();
        assertThat(before.x).isCloseTo(spread.x + (3 + 20) * pixels, within(2.0));
        chosen(page).focus();
        page.keyboard().press("Shift+ArrowLeft");
        assertThat(page.getByText("Frame placed")).isVisible();
        assertThat(captionX(page)).isEqualTo("26 mm"); // farther from the spine
        assertThat(chosen(page).boundingBox().x).isCloseTo(before.x - 10 * pixels, within(2.0));

        // on the other hand it goes the other way
        page.mouse().click(spread.x + (3 + 148 + 80) * pixels, spread.y + (3 + 199) * pixels);
        BoundingBox right = chosen(page).boundingBox();
        assertThat(right.x).isCloseTo(spread.x + (3 + 148 + 26) * pixels, within(2.0));
        drag(page, right.x + right.width / 4, right.y, -7.5 * pixels, 0);
        page.waitForCondition(() -> captionX(page).equals("18 mm")); // drawn to the margin
        Browser.undoAllAndReload(page);

        // while the page is being changed the parent's frames are not held
        page.mouse().click(spread.x + (3 + 76) * pixels, spread.y + (3 + 199) * pixels);
        assertThat(chosen(page)).not().isVisible();
    }

    @Test
    void a_frame_of_a_parent_is_held_on_a_page_of_another_size_by_what_it_keeps_to(
            Browser.Window window) {
        Page page = window.openDemo("?page=4");
        edit(
                page,
                """
                (pages, parent) => [
                  {type: "sizePages", pages: [pages[3].id], size: {width: "200 mm", height: "240 mm"}},
                  {type: "holdFrame", frame: parent.layer.frames[1].id, hold: {across: "FAR", down: "FAR"}},
                ]
                """);
        page.reload();
        Browser.changing(page, "Parent Daylight");
        BoundingBox spread = page.getByRole(AriaRole.APPLICATION).locator(".picture").boundingBox();
        double pixels = spread.width / (200 + 148 + 6);
        // 30 mm below where it is on the other pages, and as far from the outer edge
        page.mouse().click(spread.x + (3 + 76) * pixels, spread.y + (3 + 229) * pixels);
        BoundingBox before = chosen(page).boundingBox();
        assertThat(before.x).isCloseTo(spread.x + (3 + 20) * pixels, within(2.0));
        assertThat(before.y).isCloseTo(spread.y + (3 + 226) * pixels, within(2.0));
        chosen(page).focus();
        page.keyboard().press("Shift+ArrowLeft");
        page.waitForCondition(() -> captionX(page).equals("26 mm")); // on pages of the usual size
        assertThat(chosen(page).boundingBox().x).isCloseTo(before.x - 10 * pixels, within(2.0));
        drag(page, before.x, before.y, 0, -20 * pixels);
        page.waitForCondition(() -> !caption(page, "y").equals("196 mm"));
        double y = Double.parseDouble(caption(page, "y").split(" ")[0]);
        assertThat(y).isCloseTo(176, within(1.5));
        assertThat(chosen(page).boundingBox().y)
                .isCloseTo(spread.y + (3 + y + 30) * pixels, within(2.0));
        Browser.undoAll(page);
    }

    @Test
    void a_band_with_text_is_made_deeper_by_its_inner_edge_and_by_keys(Browser.Window window) {
        Page page = window.openDemo("?page=4");
        Browser.changing(page, "Parent Daylight");
        BoundingBox spread = page.getByRole(AriaRole.APPLICATION).locator(".picture").boundingBox();
        double pixels = spread.width / (2 * 148 + 6);
        page.mouse().click(spread.x + (3 + 100) * pixels, spread.y + (3 + 2) * pixels);
        Locator band = chosen(page, "Chosen band");
        BoundingBox before = band.boundingBox();
        assertThat(before.width).isCloseTo(148 * pixels, within(2.0));
        assertThat(before.height).isCloseTo(11 * pixels, within(2.0));
        AccessibilityTest.passesAxe(page);
        drag(page, before.x + before.width / 4, before.y + before.height, 0, 14 * pixels);
        page.waitForCondition(() -> !depth(page).equals("11 mm"));
        double depth = Double.parseDouble(depth(page).split(" ")[0]);
        assertThat(depth).isCloseTo(25, within(1.5));
        assertThat(band.boundingBox().height).isCloseTo(depth * pixels, within(2.0));

        band.focus();
        // along the edge there is nothing to move
        Browser.keysInOneGo(page, "ArrowUp", "ArrowUp", "ArrowRight");
        page.waitForCondition(() -> Double.parseDouble(depth(page).split(" ")[0]) < depth - 1.5);
        button(page, "Undo").click();
        page.waitForCondition(() -> Double.parseDouble(depth(page).split(" ")[0]) == depth);
        page.keyboard().press("Escape");
        assertThat(window.complaints()).isEmpty();
        Browser.undoAllAndReload(page);
        assertThat(depth(page)).isEqualTo("11 mm");
    }

    /** Makes edits, from the pages and the parent of the pages. */
    private static void edit(Page page, String edits) {
        page.evaluate(
                """
                async (address) => {
                  const read = async (path) => (await fetch(address + path)).json();
                  const { revision, parents } = await read("");
                  const { pages } = await read("/pages?from=0&to=12");
                  const parent = parents.find(({ name }) => name === "Daylight");
                  const answer = await fetch(address + "/edits", {
                    method: "POST",
                    headers: { "Content-Type": "application/json" },
                    body: JSON.stringify({
                      edit: { type: "several", edits: (%s)(pages, parent) },
                      revision,
                      author: localStorage.getItem("yewberry-author"),
                    }),
                  });
                  if (!answer.ok) {
                    throw new Error(await answer.text());
                  }
                }
                """
                        .formatted(edits.strip()),
                "/api/publications/" + Browser.DEMO);
    }

    private static String depth(Page page) {
        return daylight(page, "frames[0].band.depth");
    }

    private static String captionX(Page page) {
        return caption(page, "x");
    }

    private static String caption(Page page, String property) {
        return daylight(page, "frames[1].box." + property);
    }

    private static String daylight(Page page, String what) {
        return (String)
                page.evaluate(
                        """
                        async address => {
                          const { parents } = await (await fetch(address)).json();
                          const { layer } = parents.find(({ name }) => name === "Daylight");
                          return layer.%s;
                        }
                        """
                                .formatted(what),
                        "/api/publications/" + Browser.DEMO);
    }

    @Test
    void a_frame_is_rotated_by_its_handle_by_keys_and_by_number(Browser.Window window) {
        Page page = open(window);
        choose(page);
        Locator handle =
                page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Rotation"));
        BoundingBox box = chosen(page).boundingBox();
        BoundingBox at = handle.boundingBox();
        double middle = box.y + box.height / 2;
        // from above the middle to the right of it
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width, middle + 2, new Mouse.MoveOptions().setSteps(8));
        page.keyboard().down("Shift");
        page.mouse().move(box.x + box.width, middle - 2);
        page.mouse().up();
        page.keyboard().up("Shift");
        assertThat(field(page, "Rotation °")).hasValue("90");
        assertThat(page.getByText("Frame rotated")).isVisible();
        // around a frame that lies on its side
        BoundingBox turned = chosen(page).boundingBox();
        assertThat(turned.width).isGreaterThan(turned.height);

        handle.focus();
        Browser.keysInOneGo(page, "ArrowLeft", "Shift+ArrowLeft");
        assertThat(field(page, "Rotation °")).hasValue("74");
        assertThat(handle).hasAttribute("aria-valuenow", "74");

        field(page, "Rotation °").fill("725");
        field(page, "Rotation °").press("Enter");
        assertThat(field(page, "Rotation °")).hasValue("5");
        button(page, "Undo").click();
        assertThat(field(page, "Rotation °")).hasValue("74");
        Browser.undoAll(page);
    }

    @Test
    void an_edge_is_drawn_to_the_margin_and_what_is_near_but_not_beyond(Browser.Window window) {
        Page page = open(window);
        choose(page);
        BoundingBox box = chosen(page).boundingBox();
        double pixels = box.width / 112;
        // 2 mm back from 20 mm to the margin at 18 mm, and a little too far
        drag(page, box.x + box.width / 4, box.y, 0, -2 * pixels - 3);
        assertThat(field(page, "From the top")).hasValue("18 mm");
        Browser.undoAll(page);
    }

    @Test
    void a_frame_is_moved_and_sized_by_keys_as_one_step(Browser.Window window) {
        Page page = open(window);
        choose(page);
        chosen(page).focus();
        Browser.keysInOneGo(page, "ArrowRight", "ArrowRight", "ArrowRight", "Shift+ArrowDown");
        assertThat(field(page, "From the left")).hasValue("19 mm");
        assertThat(field(page, "From the top")).hasValue("30 mm");
        page.keyboard().press("Alt+ArrowLeft");
        assertThat(field(page, "Width")).hasValue("111 mm");
        button(page, "Undo").click();
        assertThat(field(page, "Width")).hasValue("112 mm");
        button(page, "Undo").click();
        assertThat(field(page, "From the left")).hasValue("16 mm");
        assertThat(field(page, "From the top")).hasValue("20 mm");
        page.getByRole(AriaRole.APPLICATION).focus();
        Browser.undoAll(page);
    }

    @Test
    void text_goes_on_in_a_frame_that_is_chosen_on_another_spread_and_is_parted_again(
            Browser.Window window) {
        Page page = open(window);
        button(page, "Go on…").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("In another frame…"))
                .click();
        assertThat(page.getByText("Choose the frame that the text goes on in")).isVisible();
        page.getByRole(AriaRole.APPLICATION).focus();
        page.keyboard().press("PageDown");
        button(page, "Go on here").first().click();
        assertThat(page.getByText("From page 5, on to page 7")).not().isVisible();
        button(page, "Text: The telescopes, 2 of 5").click();
        assertThat(page.getByText("From page 5, on to page 7")).isVisible();
        button(page, "Write").click();
        assertThat(Browser.story(page)).containsText("relay of mirrors");
        assertThat(page.getByText("5 frames, page 5 to page 9")).isVisible();
        page.keyboard().press("Escape");
        button(page, "Part from before").click();
        assertThat(button(page, "Text: empty, 1 of 4")).isVisible();
        Browser.undoAll(page);
    }
}
