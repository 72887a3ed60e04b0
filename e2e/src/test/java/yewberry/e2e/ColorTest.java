package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.color.Rgb;
import yewberry.core.color.Vision;

@ExtendWith(Browser.class)
class ColorTest {
    private static final List<String> COLORS =
            List.of(
                    "#d94f2b", "#122540", "#425685", "#f5f4e7", "#5c6770", "#f6951d", "#336633",
                    "#cc0066");

    /** Chromium's own emulation of the three deficiencies, which uses the same publication. */
    @ParameterizedTest
    @CsvSource({"PROTAN, protanopia", "DEUTAN, deuteranopia", "TRITAN, tritanopia"})
    void colour_vision_is_simulated_as_chromium_does(
            Vision vision, String emulated, Browser.Window window) throws IOException {
        Page page = window.page();
        StringBuilder picture = new StringBuilder("<body style='margin:0;display:flex'>");
        COLORS.forEach(color ->
                picture.append("<div style='width:20px;height:20px;background:")
                        .append(color)
                        .append("'></div>"));
        page.setContent(picture.toString());
        CDPSession devTools = page.context().newCDPSession(page);
        JsonObject type = new JsonObject();
        type.addProperty("type", emulated);
        devTools.send("Emulation.setEmulatedVisionDeficiency", type);
        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(page.screenshot()));
        for (int i = 0; i < COLORS.size(); i++) {
            int pixel = seen.getRGB(20 * i + 10, 10);
            Rgb ours = vision.see(Rgb.hex(COLORS.get(i)));
            var near = org.assertj.core.api.Assertions.within(3);
            assertThat(pixel >> 16 & 0xff).as(COLORS.get(i)).isCloseTo(ours.red(), near);
            assertThat(pixel >> 8 & 0xff).as(COLORS.get(i)).isCloseTo(ours.green(), near);
            assertThat(pixel & 0xff).as(COLORS.get(i)).isCloseTo(ours.blue(), near);
        }
    }

    @Test
    void a_viewing_changes_picture_ratio_and_what_fails(Browser.Window window) {
        Page page = window.openDemo("?page=7&x=60&y=50");
        Locator spread = page.getByRole(AriaRole.APPLICATION);
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("✕ 1.36 : 1");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Viewing")).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Grey copy")).click();
        assertThat(strata).containsText("Fails as seen this way");
        assertThat(spread.locator("rect[fill='#122540']")).hasCount(0);
        assertThat(page.getByText(Pattern.compile("^Findings10$|^Findings\\d+$"))).isVisible();
    }

    @Test
    void a_swatch_is_made_a_tint_of_another_and_follows_it(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New swatch")).click();
        Locator made =
                page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^New swatch C60")));
        made.waitFor(); // it is open already
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Colour type")).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Tint of another"))
                .click();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Tint %")).fill("20");
        page.keyboard().press("Enter");
        assertThat(
                        page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions().setName("New swatch C0 M0 Y0 K20")))
                .isVisible();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Tint %")).fill("150");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT).getByText("from 0 to 100 %")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Close")).click();
        Browser.undoAllAndReload(page);
        assertThat(
                        page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions()
                                        .setName(Pattern.compile("^New swatch (C|K)"))))
                .hasCount(0);
    }

    @Test
    void a_failing_pair_is_mended_by_its_swatch_and_a_typed_pair_is_tried(Browser.Window window) {
        Page page = window.openDemo("/pairings");
        Locator cell =
                page.getByRole(AriaRole.CELL)
                        .filter(new Locator.FilterOptions().setHasText("✕ 1.36 : 1"))
                        .filter(new Locator.FilterOptions().setHasText("p. 7"));
        cell.getByText("Mend it…").click();
        assertThat(cell).containsText("Change “Midnight”");
        assertThat(cell).containsText("parent “Night”");
        assertThat(cell.getByAltText("The place after it").first()).isVisible();
        assertThat(cell).containsText("Other text would fail"); // the white words on Midnight
        page.getByLabel("Try a text colour").fill("#767676");
        page.getByLabel("on a background").fill("white");
        assertThat(page.getByText("4.54 : 1").first()).isVisible();
        assertThat(page.getByText("passes from 18 pt, or bold from 14 pt")).isVisible();
        page.getByLabel("on a background").fill("blurple");
        assertThat(page.getByText("not a colour that can be read")).isVisible();
    }
}
