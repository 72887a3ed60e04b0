package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The first minute: what an empty shelf offers. */
@ExtendWith(Browser.class)
class ShelfTest {
    private static final String SHELF = "**/api/publications";

    private static Page emptyShelf(Browser.Window window) {
        Page page = window.page();
        page.route(
                SHELF,
                route ->
                        route.fulfill(
                                new Route.FulfillOptions()
                                        .setContentType("application/json")
                                        .setBody("[]")));
        page.navigate(window.address() + "/");
        page.getByText("Nothing here yet.").waitFor();
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static byte[] pdf(int pages) throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            for (int i = 0; i < pages; i++) {
                document.addPage(new PDPage(PDRectangle.A4));
            }
            document.save(out);
            return out.toByteArray();
        }
    }

    private static void remove(Page page) {
        page.evaluate(
                "() => fetch('/api/publications/' + location.pathname.split('/')[2],"
                        + " { method: 'DELETE' })");
    }

    @Test
    void a_publication_begins_from_a_pdf(Browser.Window window) throws IOException {
        Page page = emptyShelf(window);
        AccessibilityTest.passesAxe(page);
        FileChooser chooser = page.waitForFileChooser(button(page, "Choose a PDF…")::click);
        chooser.setFiles(new FilePayload("Log sheets.pdf", "application/pdf", pdf(3)));
        assertThat(page.getByText("Page 1 of 3")).isVisible();
        assertThat(button(page, "Log sheets, rectangle")).isVisible();
        assertThat(page).hasTitle(Pattern.compile("Log sheets"));
        assertThat(window.complaints()).isEmpty();
        remove(page);
    }

    @Test
    void a_publication_begins_from_the_example_or_a_size(Browser.Window window) {
        Page page = emptyShelf(window);
        button(page, "Open the example").click();
        assertThat(page).hasURL(Pattern.compile("/publications/" + Browser.DEMO));
        page = emptyShelf(window);
        button(page, "Choose a size…").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("New publication");
        assertThat(window.complaints()).isEmpty();
    }
}
