package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

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
        FileChooser chooser = page.waitForFileChooser(button(page, "Choose PDFs…")::click);
        chooser.setFiles(new FilePayload("Log sheets.pdf", "application/pdf", pdf(3)));
        assertThat(page.getByText("Page 1 of 3")).isVisible();
        assertThat(page.getByText("page 1 of “Log sheets”")).isVisible();
        assertThat(page).hasTitle(Pattern.compile("Log sheets"));
        assertThat(window.complaints()).isEmpty();
        remove(page);
    }

    /** A wrong one is said to be so; the one that opened a file is tried on the next. */
    @Test
    void a_file_that_needs_a_password_is_opened_with_it(Browser.Window window) throws IOException {
        Page page = window.page();
        page.navigate(window.address() + "/");
        FileChooser chooser = page.waitForFileChooser(button(page, "Open PDFs…")::click);
        chooser.setFiles(
                new FilePayload[] {
                    new FilePayload("night 1.pdf", "application/pdf", locked(pdf(1))),
                    new FilePayload("night 2.pdf", "application/pdf", locked(pdf(2)))
                });
        button(page, "Open them").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("night 1.pdf");
        assertThat(dialog).containsText("needs a password");
        AccessibilityTest.passesAxe(page);
        Locator password = page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true));
        assertThat(password).isFocused();
        password.fill("moon");
        page.keyboard().press("Enter");
        assertThat(dialog).containsText("does not open with that password");
        password.fill("low tide, 4 m");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Page 1 of 3")).isVisible();
        remove(page);
    }

    private static byte[] locked(byte[] file) throws IOException {
        try (PDDocument document = Loader.loadPDF(file);
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.protect(
                    new StandardProtectionPolicy("owner", "low tide, 4 m", new AccessPermission()));
            document.save(out);
            return out.toByteArray();
        }
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

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    /** From files to files: opened together, coloured at once, and exported as they came. */
    @Test
    void many_files_are_opened_as_one_set_and_go_out_as_files(Browser.Window window)
            throws IOException {
        Page page = window.page();
        page.navigate(window.address() + "/");
        FileChooser chooser = page.waitForFileChooser(button(page, "Open PDFs…")::click);
        chooser.setFiles(
                new FilePayload[] {
                    new FilePayload("sheet 10.pdf", "application/pdf", pdf(1)),
                    new FilePayload("sheet 9.pdf", "application/pdf", pdf(2)),
                    new FilePayload("writing.pdf", "application/pdf", new byte[] {1, 2, 3})
                });
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.getByRole(AriaRole.LISTITEM))
                .containsText(new String[] {"sheet 9.pdf", "sheet 10.pdf", "writing.pdf"});
        AccessibilityTest.passesAxe(page);
        button(page, "Open them").click();
        assertThat(dialog).containsText("2 files are open, with 3 pages");
        assertThat(dialog).containsText("writing.pdf");
        assertThat(dialog).containsText("It is not a PDF; a set is made of PDFs.");
        AccessibilityTest.passesAxe(page);
        button(page, "Go to the pages").click();
        assertThat(page.getByText("Page 1 of 3")).isVisible();
        assertThat(page.getByText("page 1 of “sheet 9”")).isVisible();
        more(page);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Output")).click();
        Locator files = region(page, "The files, with what was added");
        assertThat(files).containsText("3 new files in a zip file");
        button(page, "Export files").click();
        assertThat(page.getByText("Read back: all is where it should be"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
        AccessibilityTest.passesAxe(page);
        assertThat(window.complaints()).isEmpty();
        remove(page);
    }

    @Test
    void a_folder_is_opened_with_all_that_is_in_it(Browser.Window window, @TempDir Path folder)
            throws IOException {
        Path inner = Files.createDirectories(folder.resolve("winter/marsh"));
        Files.write(folder.resolve("winter/sheet 2.pdf"), pdf(1));
        Files.write(inner.resolve("sheet 1.pdf"), pdf(2));
        Files.write(inner.resolve(".hidden"), new byte[9]);
        Page page = window.page();
        page.navigate(window.address() + "/");
        FileChooser chooser = page.waitForFileChooser(button(page, "Open a folder…")::click);
        chooser.setFiles(folder.resolve("winter"));
        assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM))
                .containsText(new String[] {"winter/marsh/sheet 1.pdf", "winter/sheet 2.pdf"});
        button(page, "Open them").click();
        assertThat(page.getByText("Page 1 of 3")).isVisible();
        assertThat(page.getByText("page 1 of “winter/marsh/sheet 1”")).isVisible();
        assertThat(window.complaints()).isEmpty();
        remove(page);
    }

    /** Another file's pages behind those that are there. */
    private static void more(Page page) throws IOException {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Flatplan")).click();
        button(page, "Add pages…").first().click();
        FileChooser chooser = page.waitForFileChooser(button(page, "Pages of PDFs…")::click);
        chooser.setFiles(new FilePayload("sheet 11.pdf", "application/pdf", pdf(2)));
        assertThat(page.getByText("1 file opened, 2 pages")).isVisible();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    }

    private static Page logSheets(Browser.Window window, String findings) {
        Page page = window.page();
        page.navigate(window.address() + "/");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Log sheets")).click();
        Pattern name = Pattern.compile("^Findings " + findings);
        // files are read in processes of their own, which takes its time on a busy machine
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name))
                .waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        return page;
    }

    private static void findings(Page page) {
        Pattern name = Pattern.compile("^Findings");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name)).click();
    }

    /** Opens what mends a finding. */
    private static void mends(Page page, String finding) {
        Pattern name = Pattern.compile("^" + finding);
        Locator region = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
        region.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Mend it…"))
                .first()
                .click();
        // pages of files are made anew for it in processes of their own
        region.getByAltText("The place after it")
                .first()
                .waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        AccessibilityTest.passesAxe(page);
    }

    /** The example's log sheets: pale type in a file is found, and painted darker in all of it. */
    @Test
    void pale_text_of_a_file_is_painted_in_a_colour_that_is_legible(Browser.Window window) {
        Page page = logSheets(window, "176");
        findings(page);
        assertThat(page.getByText("“#c7c7c7” on “Evening”, background of parent “Archived”"))
                .isVisible();
        assertThat(page.getByText("Written in the file “october”").first()).isVisible();
        mends(page, "Too little contrast: “#c7c7c7” on “Evening”");
        Pattern night = Pattern.compile("^Paint all text of “october” in #c7c7c7 in “Night”");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(night)).first().click();
        assertThat(page.getByText("2 findings on 2 pages")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        Locator colours = button(page, "Colours of the file…");
        colours.focus();
        page.keyboard().press("Enter");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.getByText("#c7c7c7 in “Night”, text")).isVisible();
        dialog.getByRole(AriaRole.OPTION).nth(1).focus();
        page.keyboard().press("Space");
        assertThat(dialog.getByText("This changes 84 letters, 2 lines, on")).isVisible();
        dialog.getByRole(AriaRole.CHECKBOX, new Locator.GetByRoleOptions().setName("Lines"))
                .uncheck();
        assertThat(dialog.getByText("This changes 84 letters, on")).isVisible();
        AccessibilityTest.passesAxe(page);
        dialog.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Take back #c7c7c7"))
                .click();
        assertThat(dialog.getByText("#c7c7c7 in “Night”, text")).hasCount(0);

        dialog.getByLabel("Where").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("In an area")).click();
        dialog.getByLabel("From the top").fill("30 mm");
        dialog.getByLabel("Height").fill("1/4 in");
        dialog.getByLabel("Height").press("Enter");
        assertThat(dialog.getByLabel("Height")).hasValue("6.35 mm");
        Pattern counted = Pattern.compile("^This changes [1-7]?\\d letters, on page 1 of the file");
        assertThat(dialog.getByText(counted)).isVisible();
        AccessibilityTest.passesAxe(page);
        dialog.getByLabel(Pattern.compile("^Paint #.* in$")).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Night")).click();
        button(page, "Paint it").click();
        assertThat(dialog.getByText("× 6.35 mm from 0 mm across and 30 mm down")).isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    /** The example's log sheets: what hides the background is told, and mended with one change. */
    @Test
    void a_background_that_a_white_box_hides_is_laid_over_the_page(Browser.Window window) {
        Page page = logSheets(window, "176");
        findings(page);
        page.getByLabel("Search").fill("lets nothing through");
        assertThat(page.getByText("45 % of this page lets nothing through")).isVisible();
        mends(page, "Background hidden by what is on the page: november");
        button(page, "Lay it over all pages of “Archived”, multiplied: pages 1 to 7").click();
        Pattern less = Pattern.compile("^Findings 174");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(less))
                .waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        button(page, "Undo").click();
        assertThat(page.getByText("45 % of this page lets nothing through")).isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    /** Pixels of pictures change where that is asked for, and what would change is told before. */
    @Test
    void a_scan_lets_the_background_through_with_one_mend(Browser.Window window) {
        Page page = logSheets(window, "176");
        findings(page);
        page.getByLabel("Search").fill("100 % of this page lets nothing through");
        page.getByText("100 % of this page lets nothing through").waitFor();
        mends(page, "Background hidden by what is on the page: january");
        button(
                        page,
                        "Make all that is nearly white on page 1 of “january” see-through, its picture included: page 5")
                .click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Findings 175")))
                .waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        button(page, "Undo").click();
        assertThat(page.getByText("100 % of this page lets nothing through")).isVisible();
        page.navigate(page.url().replace("/findings", "?page=5"));
        button(page, "Colours of the file…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel(Pattern.compile("^Another colour")).fill("fff");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("write it as #rrggbb");
        dialog.getByLabel(Pattern.compile("^Another colour")).fill("#FFFFFF");
        page.keyboard().press("Enter");
        assertThat(dialog.getByText("Nothing is painted so.")).isVisible();
        assertThat(page.getByText("write it as #rrggbb")).not().isVisible();
        dialog.getByText("Pixels of pictures").click();
        dialog.getByLabel(Pattern.compile("^And colours")).fill("12");
        page.keyboard().press("Enter");
        assertThat(dialog.getByText("This changes 1 shape, 1 picture, on page 1 of the file"))
                .isVisible();
        AccessibilityTest.passesAxe(page);
        assertThat(window.complaints()).isEmpty();
    }

    /** What would hide a background is told before there is one, and mended there. */
    @Test
    void what_would_hide_a_background_is_told_beforehand_by_key(Browser.Window window) {
        Page page = logSheets(window, "176");
        Locator spread = page.getByRole(AriaRole.APPLICATION);
        spread.focus();
        page.keyboard().press("b");
        assertThat(page.getByText("Pages of files as they came", EXACTLY)).isVisible();
        page.keyboard().press("PageDown");
        assertThat(page.getByText("Page 2 of 7")).isVisible();
        assertThat(page.getByLabel("As it came")).isChecked();
        page.keyboard().press("b");
        assertThat(page.getByLabel("As it came")).not().isChecked();
        Locator choose = page.getByPlaceholder("Choose 3-7, 12, odd, all");
        choose.fill("all");
        choose.press("Enter");
        assertThat(choose).hasValue(""); // the server says which pages these are
        Browser.changePages(page, "What would hide a background…");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator rows = dialog.getByRole(AriaRole.ROW);
        assertThat(rows).containsText(new String[] {"Hidden", "45 %", "100 %"});
        assertThat(rows).containsText(new String[] {"By", "1 white fill", "1 picture"});
        AccessibilityTest.passesAxe(page);
        button(page, "Make their white fills see-through").focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("White fills of 1 page are see-through")).isVisible();
        Pattern less = Pattern.compile("^Findings 175");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(less))
                .waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        button(page, "Undo").click(); // others begin with the same example
        Pattern again = Pattern.compile("^Findings 176");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(again)))
                .isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    private static final Page.GetByTextOptions EXACTLY = new Page.GetByTextOptions().setExact(true);

    /** A page with a footer, marked as ISO 32000-1, 14.8.2.2 has it. */
    private static byte[] withFooter() throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDPage page = new PDPage(PDRectangle.A4);
            document.addPage(page);
            PDStream content = new PDStream(document);
            try (var to = content.createOutputStream()) {
                to.write(
                        "/Artifact <</Type /Pagination /Subtype /Footer>> BDC 90 20 9 9 re f EMC 90 400 90 90 re f"
                                .getBytes(StandardCharsets.US_ASCII));
            }
            page.setContents(content);
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void what_other_programs_marked_comes_off_item_by_item(Browser.Window window)
            throws IOException {
        Page page = window.page();
        page.navigate(window.address() + "/");
        FileChooser chooser = page.waitForFileChooser(button(page, "Open PDFs…")::click);
        chooser.setFiles(new FilePayload("old.pdf", "application/pdf", withFooter()));
        assertThat(page.getByText("Page 1 of 1")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Output")).click();
        Locator off = region(page, "The files, without what was added before");
        Locator export = button(page, "Export without these");
        assertThat(off).containsText("Marked by other programs");
        assertThat(export).isDisabled();
        Locator tick = off.getByRole(AriaRole.CHECKBOX);
        assertThat(tick).not().isChecked();
        tick.focus();
        page.keyboard().press("Space");
        AccessibilityTest.passesAxe(page);
        export.focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("Read back: all is where it should be"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
        assertThat(page.getByAltText("Page 1 of the new file")).isVisible();
        AccessibilityTest.passesAxe(page);
        assertThat(window.complaints()).isEmpty();
        remove(page);
    }
}
