package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A colour between what a file has on its page and its words. */
@ExtendWith(Browser.class)
class BackingTest {
    /**
     * Black words on a dark box, and others on another one.
     *
     * @param places where there are such words
     */
    private static byte[] onBox(int places) throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDPage page = new PDPage(new PDRectangle(400, 300));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                for (int place = 0; place < places; place++) {
                    content.setNonStrokingColor(0.1f);
                    content.addRect(40, 180 - 100 * place, 200, 40);
                    content.fill();
                    content.setNonStrokingColor(0f);
                    content.beginText();
                    content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                    content.newLineAtOffset(60, 200 - 100 * place);
                    content.showText("The dome is closed in fog");
                    content.endText();
                }
            }
            document.save(out);
            return out.toByteArray();
        }
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static void goTo(Page page, String name) {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)))
                .click();
    }

    private static Page findings(Browser.Window window, byte[] file) {
        Page page = window.page();
        page.navigate(window.address() + "/");
        FileChooser chooser = page.waitForFileChooser(button(page, "Open PDFs…")::click);
        chooser.setFiles(new FilePayload("fog.pdf", "application/pdf", file));
        assertThat(page.getByText("Page 1 of 1")).isVisible();
        goTo(page, "Findings");
        return page;
    }

    @Test
    void all_places_of_a_cause_are_mended_as_one_step(Browser.Window window) throws IOException {
        Page page = findings(window, onBox(2));
        button(page, "Mend all 2 places…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Mend all 2 places");
        Locator make =
                dialog.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile("^Make \\d change")));
        make.waitFor(new Locator.WaitForOptions().setTimeout(60_000));
        AccessibilityTest.passesAxe(page);
        make.click();
        assertThat(button(page, "Mend all 2 places…")).hasCount(0);
        assertThat(page.getByText("2 findings")).hasCount(0);
        button(page, "Undo").click();
        assertThat(button(page, "Mend all 2 places…")).isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void words_on_a_box_of_the_file_get_a_colour_behind_them_that_is_corrected_by_hand(
            Browser.Window window) throws IOException {
        Page page = findings(window, onBox(1));
        button(page, "Mend it…").click();
        assertThat(page.getByText(Pattern.compile("A shading of “.*” behind these lines")))
                .isVisible();
        assertThat(page.getByText("Over what the file has there, which stays as it is").first())
                .isVisible();
        AccessibilityTest.passesAxe(page);
        button(page, "Do it: page 1").first().click();
        assertThat(page.getByText("0 findings").or(page.getByText("Nothing is wrong")).first())
                .isVisible();

        goTo(page, "Bench");
        button(page, "Colours of the file…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator row =
                dialog.getByRole(AriaRole.BUTTON)
                        .filter(
                                new Locator.FilterOptions()
                                        .setHasText(Pattern.compile("at \\d+ %, page 1")));
        row.focus();
        page.keyboard().press("Enter");
        AccessibilityTest.passesAxe(page);
        page.evaluate(
                """
                () => {
                  const ask = window.fetch;
                  window.stored = 0;
                  window.fetch = async (...args) => {
                    await new Promise((resolve) => setTimeout(resolve, 300));
                    const answer = await ask(...args);
                    window.stored += answer.url.endsWith("/edits") ? 1 : 0;
                    return answer;
                  };
                }
                """);
        dialog.getByLabel("Opacity (%)").focus();
        for (String value : new String[] {"90", "0.4 cm", "21", "31", "70", "11"}) {
            page.keyboard().press("Control+a");
            page.keyboard().type(value, new Keyboard.TypeOptions().setDelay(40));
            page.keyboard().press("Tab");
        }
        page.waitForFunction("() => window.stored === 6"); // one after the other
        assertThat(dialog.getByText(Pattern.compile("at 90 %, page 1"))).isVisible();
        assertThat(dialog.getByLabel("Radius")).hasValue("4 mm");
        assertThat(dialog.getByLabel("From the left")).hasValue("21 mm");
        assertThat(dialog.getByLabel("From the top")).hasValue("31 mm");
        assertThat(dialog.getByLabel("Width")).hasValue("70 mm");
        assertThat(dialog.getByLabel("Height")).hasValue("11 mm");
        button(page, "Close").click();

        goTo(page, "Output");
        button(page, "Export files").click();
        assertThat(page.getByText("Read back: all is where it should be"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
        goTo(page, "Bench");
        button(page, "Colours of the file…").click();
        row.click();
        dialog.getByText("Take back", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(dialog.getByText("Behind words")).hasCount(0);
        button(page, "Close").click();
        assertThat(page.getByText("1 finding on this spread")).isVisible();
        assertThat(window.complaints()).isEmpty();
    }
}
