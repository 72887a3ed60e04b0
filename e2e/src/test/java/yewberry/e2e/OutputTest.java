package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** Outputs as they are chosen, made and looked at. */
@ExtendWith(Browser.class)
class OutputTest {
    @TempDir Path folder;

    private static void choose(Page page, String field, String option) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile(field + "$")))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    private static void press(Page page, String name) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    @Test
    void an_output_says_what_it_loses_and_is_saved_under_a_name(Browser.Window window) {
        Page page = window.openDemo("/output");
        choose(page, "Kind", "One PDF for all");
        assertThat(page.getByText("PDF/X-4 allows nothing over the page")).isVisible();
        page.getByLabel("Printer’s marks").check();
        AccessibilityTest.passesAxe(page);
        page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)).fill("2-3");
        page.keyboard().press("Enter");
        press(page, "Save settings…");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true))
                .fill("For the printer");
        page.keyboard().press("Tab");
        press(page, "Save");
        assertThat(page.getByText("saved as “For the printer”")).isVisible();
        press(page, "Export one PDF for all");
        Locator made =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Export of")));
        assertThat(made.first().getByText("Read back: the file is what was composed"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
        choose(page, "Kind", "Press PDF");
        choose(page, "Saved settings", "For the printer");
        assertThat(page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("2-3");
        press(page, "Remove these");
        assertThat(page.getByText("Saved settings")).isHidden();
        assertThat(window.complaints()).isEmpty();
    }

    /** A press PDF of a dark page, and a printout of it without its background. */
    @Test
    void two_files_are_compared_page_beside_page(Browser.Window window) {
        Page page = window.openDemo("/output");
        page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)).fill("3");
        page.keyboard().press("Enter");
        press(page, "Export press PDF");
        Locator press = made(page, "season-guide-press.pdf");
        choose(page, "Kind", "Office printout");
        page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)).fill("3");
        page.keyboard().press("Enter");
        page.getByLabel("With backgrounds").uncheck();
        press(page, "Export office printout");
        Locator office = made(page, "season-guide-office.pdf");
        press.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("Compare with$")))
                .click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(Pattern.compile("office\\.pdf")))
                .first()
                .click();
        Locator differs = differing(page);
        assertThat(differs)
                .containsText(
                        "Page 3.", new LocatorAssertions.ContainsTextOptions().setTimeout(120_000));
        for (String of : List.of("first", "second")) {
            Locator picture = differs.getByAltText("Page 1 of the " + of + " file");
            page.waitForCondition(() ->
                    (boolean)
                            picture.evaluate("each => each.complete && each.naturalHeight >= 240"));
        }
        AccessibilityTest.passesAxe(page);
        assertThat(office).isVisible();
        assertThat(window.complaints()).isEmpty();
    }

    @Test
    void a_file_is_shown_beside_the_page_as_it_is_now(Browser.Window window) {
        Page page = window.openDemo("/output");
        page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)).fill("4");
        page.keyboard().press("Enter");
        press(page, "Export press PDF");
        made(page, "season-guide-press.pdf");
        page.evaluate(
                """
                async address => {
                  const read = async path => (await fetch(address + path)).json();
                  const { revision, swatches } = await read("");
                  const { pages } = await read("/pages?from=3&to=4");
                  const background = {
                    id: crypto.randomUUID(), sides: "BOTH", area: { type: "wholePage" },
                    fill: { type: "solid", color: { swatch: swatches[2].id, tint: 100 } },
                  };
                  const edit = {
                    type: "addBackground", owner: { type: "onPage", id: pages[0].id }, background,
                  };
                  const author = localStorage.getItem("yewberry-author");
                  await fetch(address + "/edits", {
                    method: "POST",
                    headers: { "Content-Type": "application/json" },
                    body: JSON.stringify({ revision, author, edit }),
                  });
                }
                """,
                "/api/publications/" + Browser.DEMO);
        window.openDemo("/output");
        made(page, "season-guide-press.pdf")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Has this changed since?"))
                .click();
        Locator differs = differing(page);
        assertThat(differs)
                .containsText(
                        "Page 4.", new LocatorAssertions.ContainsTextOptions().setTimeout(120_000));
        for (String alt : List.of("Page 1 of the file", "Page 4 as it is now")) {
            Locator picture = differs.getByAltText(alt);
            picture.scrollIntoViewIfNeeded();
            page.waitForCondition(() ->
                    (boolean)
                            picture.evaluate("each => each.complete && each.naturalHeight > 100"));
        }
        AccessibilityTest.passesAxe(page);
        assertThat(window.complaints()).isEmpty();
        Browser.undoAll(page);
    }

    /** The pages that the latest comparison tells. */
    private static Locator differing(Page page) {
        return page.getByRole(
                        AriaRole.LIST, new Page.GetByRoleOptions().setName("Pages that differ"))
                .first()
                .getByRole(AriaRole.LISTITEM);
    }

    /** The export of that file, read back. */
    private static Locator made(Page page, String file) {
        Locator made =
                page.getByRole(
                                AriaRole.REGION,
                                new Page.GetByRoleOptions().setName(Pattern.compile("^Export of")))
                        .filter(
                                new Locator.FilterOptions()
                                        .setHas(
                                                page.getByRole(
                                                        AriaRole.HEADING,
                                                        new Page.GetByRoleOptions()
                                                                .setName(file)
                                                                .setExact(true))))
                        .first();
        assertThat(made.getByText("Read back: the file is what was composed"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
        return made;
    }

    @Test
    void an_office_printer_shows_white_words_on_white_paper(Browser.Window window) {
        Page page = window.openDemo("/output");
        press(page, "Try an office printer…");
        Locator printer =
                page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("A simulated office printer"));
        Locator first = printer.getByRole(AriaRole.LISTITEM).first();
        assertThat(first).containsText("“Season guide”");
        AccessibilityTest.passesAxe(page);
        page.getByLabel("Backgrounds are printed").check();
        assertThat(first).not().containsText("“Season guide”");
        page.getByLabel("On both sides").check();
        assertThat(printer.getByRole(AriaRole.LISTITEM).nth(1)).containsText("Sheet 1, back");
        assertThat(window.complaints()).isEmpty();
    }

    /** By axe-core; where words cannot be read on the web page, they are a finding. */
    @Test
    void the_web_page_passes_axe_and_has_the_colours_that_are_judged(Browser.Window window)
            throws IOException {
        Page page = window.openDemo("/output");
        choose(page, "Kind", "Web page");
        press(page, "Export web page");
        Locator made =
                page.getByRole(
                                AriaRole.REGION,
                                new Page.GetByRoleOptions().setName(Pattern.compile("^Export of")))
                        .filter(new Locator.FilterOptions().setHasText("season-guide-web.zip"))
                        .first();
        // exports of a publication take turns
        assertThat(made.getByText("Download"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
        var file = page.waitForDownload(() -> made.getByText("Download").click());
        unpack(Files.readAllBytes(file.path()));
        String css = Files.readString(folder.resolve("style.css"), StandardCharsets.UTF_8);
        String findings =
                page.request()
                        .get(window.address() + "/api/publications/" + Browser.DEMO + "/findings")
                        .text();
        Page web = page.context().newPage();
        web.navigate(folder.resolve("index.html").toUri().toString());
        var violations = new AxeBuilder(web).analyze().getViolations();
        assertThat(violations.stream().map(rule -> rule.getId())).isSubsetOf("color-contrast");
        violations.stream()
                .flatMap(rule -> rule.getNodes().stream())
                .forEach(node -> {
                    String words = node.getHtml().replaceAll("<[^>]+>", "").strip();
                    assertThat(findings).contains(words.substring(0, Math.min(12, words.length())));
                });
        // a highlight: the time of high water
        Locator time = web.getByText("18:40");
        String name = (String) time.evaluate("each => each.className");
        String declared = css.substring(css.indexOf("." + name + " {"));
        String background =
                Pattern.compile("background-color:\\s*(#[0-9a-f]{6})")
                        .matcher(declared)
                        .results()
                        .findFirst()
                        .orElseThrow()
                        .group(1);
        assertThat(time.evaluate("each => getComputedStyle(each).backgroundColor"))
                .isEqualTo(
                        "rgb(%d, %d, %d)"
                                .formatted(
                                        Integer.parseInt(background.substring(1, 3), 16),
                                        Integer.parseInt(background.substring(3, 5), 16),
                                        Integer.parseInt(background.substring(5, 7), 16)));
        assertThat(web.title()).isEqualTo("Season guide");
        web.close();
    }

    private void unpack(byte[] zip) throws IOException {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                Path to = folder.resolve(entry.getName());
                Files.createDirectories(to.getParent());
                Files.write(to, in.readAllBytes());
            }
        }
    }
}
