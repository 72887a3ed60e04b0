package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Undo and redo are exact mirrors: steps drawn by a seed, made by hand in the browser. */
@ExtendWith(Browser.class)
class RandomStepsTest {
    /** How many steps are drawn; all of them are 200. */
    private static final int STEPS = Integer.getInteger("yewberry.steps", 12);

    private static final long SEED = Long.getLong("yewberry.seed", 20261126);

    /** All that is stored of the demo but for its revision. */
    private static final String STATE =
            """
            async base => {
              const read = async path => (await fetch(base + path)).json();
              const publication = await read("");
              const { pages } = await read("/pages?from=0&to=200");
              const layers = await Promise.all(pages.map(page => read(`/pages/${page.id}`)));
              return JSON.stringify([publication, pages, layers],
                (key, value) => key === "revision" ? undefined : value);
            }
            """;

    private static final String BASE = "/api/publications/" + Browser.DEMO;

    private final Random random = new Random(SEED);

    private interface Step {
        void make(Page page);
    }

    private final List<Step> steps =
            List.of(
                    this::addBackground,
                    this::addBackground,
                    this::typeOpacity,
                    this::typeOpacity,
                    this::giveParent,
                    this::showParent,
                    page -> named(page, "New swatch").first().click(),
                    page -> named(page, "New parent").first().click(),
                    this::addPages,
                    this::movePages,
                    this::removePage);

    private static Locator named(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator panel(Page page) {
        return page.getByLabel("What is painted");
    }

    private static String state(Page page) {
        return page.evaluate(STATE, BASE).toString();
    }

    private static long revision(Page page) {
        Object revision =
                page.evaluate("async base => (await (await fetch(base)).json()).revision", BASE);
        return ((Number) revision).longValue();
    }

    private void choosePages(Page page) {
        Locator field = page.getByLabel("Choose pages");
        field.fill(List.of("1", "2-3", "odd", "4", "all").get(random.nextInt(5)));
        field.press("Enter");
        page.waitForCondition(() -> field.inputValue().isEmpty());
    }

    private static void pick(Random random, Locator options) {
        options.first().waitFor();
        options.nth(random.nextInt(options.count())).click();
    }

    private void addBackground(Page page) {
        page.getByText("Add a background…").click();
        pick(random, page.getByRole(AriaRole.MENUITEM));
    }

    private void typeOpacity(Page page) {
        Locator background =
                panel(page)
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName(Pattern.compile(", whole page")))
                        .first();
        if (background.count() == 0) {
            addBackground(page);
            return;
        }
        if (!"true".equals(background.getAttribute("aria-expanded"))) {
            background.click();
        }
        Locator opacity = panel(page).getByLabel("Opacity %").first();
        opacity.fill(String.valueOf(random.nextInt(101)));
        opacity.press("Enter");
    }

    private void giveParent(Page page) {
        Locator parent =
                panel(page)
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions().setName(Pattern.compile("Parent$")))
                        .first();
        parent.click();
        pick(
                random,
                page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions()
                                .setName(
                                        Pattern.compile(
                                                "^(No parent|Night|Daylight|New parent.*)$"))));
    }

    private void showParent(Page page) {
        Locator tick = panel(page).getByLabel("Show the parent’s backgrounds");
        if (tick.count() == 0) {
            addBackground(page);
        } else {
            tick.click();
        }
    }

    private void addPages(Page page) {
        Browser.changePages(page, "Add pages…");
        page.getByLabel("How many").fill(String.valueOf(1 + random.nextInt(2)));
        page.getByRole(AriaRole.DIALOG)
                .getByText("Add", new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    private void movePages(Page page) {
        Browser.changePages(page, "Move…");
        page.getByLabel("To after page").fill(String.valueOf(random.nextInt(8)));
        page.getByRole(AriaRole.DIALOG)
                .getByText("Move", new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    private void removePage(Page page) {
        page.getByLabel("Choose pages").fill("5");
        page.getByLabel("Choose pages").press("Enter");
        page.getByText("Page 5", new Page.GetByTextOptions().setExact(true)).first().waitFor();
        Browser.changePages(page, "Remove…");
        page.getByRole(AriaRole.DIALOG)
                .getByText("Remove", new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    /** What is being stored, however slow the machine is. */
    private static List<Request> sent(Page page) {
        List<Request> underWay = new CopyOnWriteArrayList<>();
        page.onRequest(request -> {
            if (request.method().equals("POST")) {
                underWay.add(request);
            }
        });
        page.onRequestFinished(underWay::remove);
        page.onRequestFailed(underWay::remove);
        return underWay;
    }

    private static void press(Page page, String keys, long before) {
        page.getByRole(AriaRole.APPLICATION).focus();
        page.keyboard().press(keys);
        page.waitForCondition(() -> revision(page) > before);
    }

    @Test
    void each_step_is_undone_and_redone_exactly_and_so_are_all_of_them(Browser.Window window) {
        Page page = window.openDemo("?page=2");
        List<Request> underWay = sent(page);
        Deque<String> states = new ArrayDeque<>();
        states.push(state(page));
        List<String> made = new ArrayList<>();
        while (made.size() < STEPS) {
            choosePages(page);
            long before = revision(page);
            steps.get(random.nextInt(steps.size())).make(page);
            page.waitForTimeout(150);
            if (revision(page) == before) {
                page.waitForTimeout(350); // or what was chosen was so already
            }
            page.waitForCondition(underWay::isEmpty);
            long after = revision(page);
            String now = state(page);
            if (now.equals(states.peek())) {
                continue; // what was chosen was so already
            }
            press(page, "Control+z", after);
            assertThat(state(page)).as("undone: step %d", made.size()).isEqualTo(states.peek());
            press(page, "Control+Shift+z", revision(page));
            assertThat(state(page)).as("redone: step %d", made.size()).isEqualTo(now);
            states.push(now);
            made.add(now);
        }
        for (int left = STEPS; left > 0; left--) {
            assertThat(state(page)).as("after %d steps", left).isEqualTo(states.pop());
            press(page, "Control+z", revision(page));
        }
        assertThat(state(page)).as("at the beginning").isEqualTo(states.pop());
        for (String each : made) {
            press(page, "Control+Shift+z", revision(page));
            assertThat(state(page)).isEqualTo(each);
        }
        // a step that is not possible, such as moving all pages behind themselves, is refused
        assertThat(window.complaints()).allMatch(each -> each.contains("status of 422"));
        for (int i = 0; i <= STEPS / 40; i++) {
            Browser.undoAll(page);
        }
    }
}
