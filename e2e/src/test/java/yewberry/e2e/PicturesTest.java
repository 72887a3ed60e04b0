package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(Browser.class)
class PicturesTest {
    private static byte[] buoy() throws IOException {
        BufferedImage image = new BufferedImage(300, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, 300, 300);
        graphics.setColor(new Color(0xc02040));
        graphics.fillOval(60, 60, 180, 180);
        graphics.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private static void choose(Page page, String label, String option) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile(label + "$")))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    private static void bring(Page page, String name, byte[] file) {
        FileChooser chooser =
                page.waitForFileChooser(() -> button(page, "Import pictures and PDFs").click());
        chooser.setFiles(new FilePayload(name, "application/octet-stream", file));
    }

    @Test
    void a_picture_is_brought_along_placed_found_boxed_and_mended(Browser.Window window)
            throws IOException {
        Page page = window.openDemo("?page=6&x=74&y=105");
        bring(page, "Buoy.png", buoy());
        button(page, "Buoy").click();
        assertThat(page.getByText("PNG, 300 × 300 px, RGB, without a profile")).isVisible();
        page.getByText("Place it, to the bleed…").click();
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName("Page 6").setExact(true))
                .click();
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("Buoy");
        page.getByText("Change it on this page…").first().click();
        choose(page, "Fit", "Contain");
        page.getByText("Compare…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.getByText("The join will not be seen")).isVisible();
        assertThat(dialog.getByRole(AriaRole.LISTITEM)).hasCount(3);
        dialog.getByText("Leave it as it is").click();
        assertThat(page.getByTitle("✕ box").first()).isVisible();
        page.getByText("One colour is transparent").click();
        assertThat(page.getByTitle("✕ box")).hasCount(0);
        Assertions.assertThat(window.complaints()).isEmpty();
        Browser.undoAll(page);
    }

    @Test
    void what_cannot_be_placed_is_said_and_nothing_changes(Browser.Window window)
            throws IOException {
        Page page = window.openDemo("?page=6");
        bring(page, "Buoy.jpg", buoy());
        assertThat(page.getByText("is named like a JPEG file and is a PNG file inside"))
                .isVisible();
        bring(page, "note.png", "no picture".getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(page.getByText("is of an unknown kind")).isVisible();
        assertThat(button(page, "Buoy")).hasCount(0);
    }

    @Test
    void a_recipe_is_previewed_put_on_a_range_changed_everywhere_and_taken_off(
            Browser.Window window) {
        Page page = window.openDemo("?page=2&x=60&y=150");
        button(page, "Dark hours").click();
        page.getByText("Put it on pages…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator range = dialog.getByLabel("Or pages such as 3-7, 12, odd, all");
        range.fill("9-2");
        range.press("Enter");
        assertThat(page.getByText("runs backwards; write 2-9")).isVisible();
        range.fill("2-4");
        range.press("Enter");
        assertThat(dialog.getByText("Page 2: 1 of 3 pages it changes")).isVisible();
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Page after"))
                .click();
        assertThat(dialog.getByText("Page 3: 2 of 3 pages it changes")).isVisible();
        dialog.getByText("Put it there").click();
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("Slate to Midnight");
        assertThat(page.getByText("What is changed here changes 3 places")).isVisible();
        page.getByText("Take it off everywhere").click();
        assertThat(strata).not().containsText("Slate to Midnight");
        Assertions.assertThat(window.complaints()).hasSize(1).first().asString().contains("422");
        Browser.undoAll(page);
    }

    @Test
    void in_the_flatplan_pages_are_chosen_by_keys_and_get_a_parent(Browser.Window window) {
        Page page = window.openDemo("/flatplan");
        Locator plan = page.getByRole(AriaRole.LISTBOX);
        Locator second =
                plan.getByRole(
                        AriaRole.OPTION,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^Page 2,")));
        second.click();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(page.getByText("Pages 2, 3").first()).isVisible();
        choose(page, "Parent", "Night");
        assertThat(
                        plan.getByRole(
                                AriaRole.OPTION,
                                new Locator.GetByRoleOptions()
                                        .setName(Pattern.compile("^Page 3, parent Night"))))
                .hasCount(1);
        page.getByText("Begin a part here…").click();
        page.getByRole(AriaRole.DIALOG)
                .getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("Arriving");
        page.getByText("Begin it").click();
        assertThat(plan.getByText("Arriving")).isVisible();
        Assertions.assertThat(window.complaints()).isEmpty();
        Browser.undoAll(page);
    }

    /** From one to the left edge of another, as slowly as a hand. */
    private static void drag(Page page, BoundingBox from, BoundingBox to) {
        double x = from.x + 30;
        double y = from.y + 80;
        page.mouse().move(x, y);
        page.mouse().down();
        // a drag begins only after the pointer has moved a little
        page.mouse().move(x + 20, y + 10, new Mouse.MoveOptions().setSteps(4));
        int steps = 12;
        for (int i = 1; i <= steps; i++) {
            page.mouse()
                    .move(
                            x + 20 + (to.x + 4 - x - 20) * i / steps,
                            y + 10 + (to.y + 80 - y - 10) * i / steps);
            page.waitForTimeout(60);
        }
        page.mouse().up();
    }

    @Test
    void in_the_flatplan_a_page_is_dragged_to_another_place(Browser.Window window) {
        Page page = window.openDemo("/flatplan");
        Locator plan = page.getByRole(AriaRole.LISTBOX);
        Locator access =
                plan.getByRole(
                        AriaRole.OPTION,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^Page 11,")));
        assertThat(access).hasAccessibleName(Pattern.compile("2 own backgrounds"));
        Locator target =
                plan.getByRole(
                        AriaRole.OPTION,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^Page 2,")));
        // when the findings have come, nothing moves any more
        assertThat(plan.getByText("✕ 1").first()).isVisible();
        drag(page, access.boundingBox(), target.boundingBox());
        assertThat(
                        plan.getByRole(
                                AriaRole.OPTION,
                                new Locator.GetByRoleOptions()
                                        .setName(
                                                Pattern.compile("^Page [23],.*2 own backgrounds"))))
                .hasCount(1);
        Browser.undoAll(page);
    }

    @Test
    void of_a_thousand_pages_only_those_near_are_in_the_document(Browser.Window window) {
        Page page = window.page();
        page.navigate(window.address());
        Object id =
                page.evaluate(
                        """
                        async () => (await (await fetch("/api/publications", {
                          method: "POST",
                          headers: { "Content-Type": "application/json" },
                          body: JSON.stringify({
                            name: "Long", trim: { width: "148 mm", height: "210 mm" },
                            destination: "PAPER", facing: true, bleed: "3 mm", pages: 1000,
                          }),
                        })).json()).id
                        """);
        page.navigate(window.address() + "/publications/" + id + "/flatplan");
        Locator pages = page.getByRole(AriaRole.OPTION);
        pages.first().waitFor();
        page.mouse().move(600, 500);
        for (int i = 0; i < 20; i++) {
            page.mouse().wheel(0, 1500);
            page.waitForTimeout(50);
            // 80 spreads are 160 pages
            Assertions.assertThat(pages.count()).isBetween(1, 160);
        }
        assertThat(
                        page.getByRole(
                                AriaRole.OPTION,
                                new Page.GetByRoleOptions().setName(Pattern.compile("^Page 2,"))))
                .hasCount(0);
        page.evaluate("id => fetch('/api/publications/' + id, { method: 'DELETE' })", id);
    }

    /** Drops files where an element has its middle. */
    private static void drop(Locator on, Map<String, byte[]> files) {
        List<Map<String, String>> sent =
                files.entrySet().stream()
                        .map(file ->
                                Map.of(
                                        "name",
                                        file.getKey(),
                                        "bytes",
                                        Base64.getEncoder().encodeToString(file.getValue())))
                        .toList();
        on.evaluate(
                """
                (element, files) => {
                  const data = new DataTransfer();
                  for (const { name, bytes } of files) {
                    const read = Uint8Array.from(atob(bytes), it => it.charCodeAt(0));
                    data.items.add(new File([read], name));
                  }
                  const { x, y, width, height } = element.getBoundingClientRect();
                  const at = { clientX: x + width / 2, clientY: y + height / 2 };
                  for (const type of ["dragenter", "dragover", "drop"]) {
                    element.dispatchEvent(new DragEvent(type,
                      { bubbles: true, cancelable: true, dataTransfer: data, ...at }));
                  }
                }
                """,
                sent);
    }

    private static Locator cell(Page page, int number) {
        return page.getByRole(
                AriaRole.OPTION,
                new Page.GetByRoleOptions()
                        .setName(Pattern.compile("^Page %d,".formatted(number))));
    }

    @Test
    void files_are_dropped_on_a_page_on_the_catalogue_and_on_a_run_of_pages(Browser.Window window)
            throws IOException {
        Page page = window.openDemo("?page=3");
        // one on the left page of the spread
        drop(page.getByRole(AriaRole.APPLICATION).locator(".picture"), Map.of("Float.png", buoy()));
        assertThat(page.getByText("Placed on page")).isVisible();
        assertThat(button(page, "Float")).containsText("1 ×");
        drop(page.locator("aside[aria-label=Catalogue]"), Map.of("Bell.png", buoy()));
        assertThat(button(page, "Bell")).containsText("unused");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Flatplan")).click();
        drop(
                cell(page, 4),
                new TreeMap<>(
                        Map.of(
                                "Mast.png",
                                buoy(),
                                "Rope.png",
                                buoy(),
                                "note.png",
                                new byte[] {1, 2})));
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("On pages 4, 5, one on each, out to the bleed.");
        dialog.getByLabel("From page").fill("12");
        assertThat(dialog).containsText("There are 1 page too few from page 12 on");
        dialog.getByLabel("From page").fill("4");
        AccessibilityTest.passesAxe(page);
        dialog.getByText("Place", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(cell(page, 5)).hasAccessibleName(Pattern.compile("1 own background"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("2 are imported");
        Browser.undoAll(page);
    }

    @Test
    void a_swatch_is_made_by_typing_its_name_and_value_and_found_by_it(Browser.Window window) {
        Page page = window.openDemo("?page=3");
        Locator search = page.getByPlaceholder("Search the catalogue");
        search.fill("c82 m64");
        assertThat(button(page, "Dusk")).isVisible();
        assertThat(page.getByText("uses “Dusk”").first()).isVisible();
        search.fill("Harbour #0f4a38");
        button(page, "New swatch “Harbour”").click();
        assertThat(search).hasValue("");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Harbour");
        assertThat(button(page, "Harbour")).containsText("#0f4a38");
        Browser.undoAll(page);
    }
}
