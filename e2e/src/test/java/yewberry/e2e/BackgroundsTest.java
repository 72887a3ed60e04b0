package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.color.Blend;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Rgb;

@ExtendWith(Browser.class)
class BackgroundsTest {
    private static final List<String> COLORS =
            List.of("#d94f2b", "#122540", "#f5f4e7", "#5c6770", "#336633");

    /** Chromium's mix-blend-mode, which uses the formulas of Compositing and Blending 1. */
    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void every_mode_blends_light_as_chromium_does(BlendMode mode, Browser.Window window)
            throws IOException {
        Page page = window.page();
        String name = mode.name().toLowerCase(Locale.ROOT).replace('_', '-');
        StringBuilder picture = new StringBuilder("<body style='margin:0'>");
        for (int below = 0; below < COLORS.size(); below++) {
            for (int above = 0; above < COLORS.size(); above++) {
                picture.append(
                        "<div style='isolation:isolate;position:absolute;left:%dpx;top:%dpx'>"
                                .formatted(above * 20, below * 20));
                picture.append(
                        "<div style='width:20px;height:20px;background:%s'></div>"
                                .formatted(COLORS.get(below)));
                picture.append(
                        "<div style='width:20px;height:20px;margin-top:-20px;mix-blend-mode:%s;background:%s'></div></div>"
                                .formatted(name, COLORS.get(above)));
            }
        }
        page.setContent(picture.toString());
        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(page.screenshot()));
        for (int below = 0; below < COLORS.size(); below++) {
            for (int above = 0; above < COLORS.size(); above++) {
                int pixel = seen.getRGB(above * 20 + 10, below * 20 + 10);
                double[] ours =
                        Blend.mixed(mode, light(COLORS.get(below)), light(COLORS.get(above)));
                for (int i = 0; i < 3; i++) {
                    Assertions.assertThat((double) (pixel >> 16 - 8 * i & 0xff))
                            .as("%s on %s", COLORS.get(above), COLORS.get(below))
                            .isCloseTo(ours[i] * 255, Assertions.within(2.0));
                }
            }
        }
    }

    private static double[] light(String hex) {
        Rgb color = Rgb.hex(hex);
        return new double[] {color.red() / 255.0, color.green() / 255.0, color.blue() / 255.0};
    }

    private static Locator choice(Page page, String label) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(label + "$")));
    }

    private static void choose(Page page, String label, String option) {
        choice(page, label).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    @Test
    void a_background_becomes_a_gradient_in_a_rectangle_that_bleeds_off(Browser.Window window) {
        Page page = window.openDemo("?page=12&x=30&y=25");
        page.getByText("Change it on this page…").first().click();
        choose(page, "Fill type", "Gradient");
        Locator spread = page.getByRole(AriaRole.APPLICATION);
        assertThat(spread.locator("linearGradient")).hasCount(1);
        choose(page, "Area", "Rectangle");
        assertThat(page.getByText("Bleeds, outside")).isVisible();
        Browser.undoAllAndReload(page);
        assertThat(page.getByRole(AriaRole.APPLICATION).locator("linearGradient")).hasCount(0);
    }

    @Test
    void where_ink_is_mixed_the_areas_are_painted_by_the_server(Browser.Window window) {
        Page page = window.openDemo("?page=12&x=60&y=30");
        page.getByText("Change it on this page…").first().click();
        Locator opacity =
                page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Opacity %"));
        opacity.fill("60");
        opacity.press("Enter");
        // of all areas, and above it the mark
        Locator images = page.getByRole(AriaRole.APPLICATION).locator("image");
        assertThat(images).hasCount(2);
        Locator image = images.first();
        Assertions.assertThat(image.getAttribute("href")).startsWith("data:image/png");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata")))
                .containsText("Afterglow at 60 %");
        Assertions.assertThat(window.complaints()).isEmpty();
        Browser.undoAll(page);
    }

    @Test
    void a_background_is_switched_off_for_paper_and_what_needs_it_is_found(Browser.Window window) {
        Page page = window.openDemo("?page=6&x=60&y=150");
        page.getByText("Change it on parent “Night”…").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Paper")).click();
        Locator strata =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Strata"));
        assertThat(strata).containsText("On screen only, not printed");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Viewing")).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Backgrounds off"))
                .click();
        assertThat(page.getByRole(AriaRole.APPLICATION).locator("rect[fill='#122540']"))
                .hasCount(0);
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Findings")))
                .click();
        assertThat(
                        page.getByRole(
                                        AriaRole.HEADING,
                                        new Page.GetByRoleOptions()
                                                .setName("Background not printed"))
                                .first())
                .isVisible();
        Browser.undoAll(page);
    }
}
