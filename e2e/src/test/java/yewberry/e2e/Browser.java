package yewberry.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ReducedMotion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import yewberry.server.YewberryApplication;

/**
 * The real application with the demo in it, and Debian's Chromium; a fresh window for each test.
 */
public final class Browser implements BeforeEachCallback, AfterEachCallback, ParameterResolver {
    private static final Namespace NAMESPACE = Namespace.create(Browser.class);

    private record Running(
            ConfigurableApplicationContext server, com.microsoft.playwright.Browser chromium) {
        String address() {
            int port = ((WebServerApplicationContext) server).getWebServer().getPort();
            return "http://localhost:" + port;
        }
    }

    /** Begun with the first test of a process; both end with it. */
    private static final class Shared {
        static final Running RUNNING = start();
    }

    /** A window on the application. */
    public record Window(Page page, String address, List<String> complaints) {
        /** Opens the demo publication at an address within it, such as {@code ?page=7}. */
        Page openDemo(String rest) {
            page.navigate(address + "/publications/" + DEMO + rest);
            page.getByRole(AriaRole.MAIN).waitFor();
            page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
            return page;
        }

        Page openShelf() {
            page.navigate(address + "/");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Season guide"))
                    .waitFor();
            return page;
        }
    }

    private static final String FOLLOWS = "follows";

    /**
     * Without the stream that tells what others do: an open stream is never idle, which most tests
     * wait for. Requests are not held back for it, which would cost the browser its cache.
     */
    private static final String NO_NEWS =
            """
            if (!document.cookie.includes("%s")) {
              window.EventSource = class extends EventTarget { close() {} };
            }
            """
                    .formatted(FOLLOWS);

    /** Windows of this browser are told what others do, from when they are opened or reloaded. */
    static BrowserContext followed(BrowserContext browser, String address) {
        browser.addCookies(List.of(new Cookie(FOLLOWS, "yes").setUrl(address)));
        return browser;
    }

    /** The demo's id, derived from its name. */
    static final String DEMO = "23783a97-67ff-3040-9891-81dcd87b5cea";

    /**
     * Takes back all that this window did to the demo, so that the next test finds it as it was.
     */
    static void undoAllAndReload(Page page) {
        undoAll(page);
        page.reload();
        page.getByRole(AriaRole.MAIN).waitFor();
    }

    /** The same at the end of a test: the page is not read anew, which takes a second each time. */
    static void undoAll(Page page) {
        // what was typed and is not stored yet would be stored after all else was taken back
        page.evaluate("document.activeElement?.blur()");
        assertThat(page.getByText("Storing…")).hasCount(0);
        page.evaluate(
                """
                async address => {
                  const author = localStorage.getItem("yewberry-author");
                  const step = {
                    method: "POST",
                    headers: { "Content-Type": "application/json" },
                    body: JSON.stringify({ author }),
                  };
                  for (let left = 50; left > 0 && (await fetch(address, step)).ok; left--);
                }
                """,
                "/api/publications/" + DEMO + "/undo");
    }

    /** The spread as it is drawn. */
    static String drawn(Page page) {
        return page.getByRole(AriaRole.APPLICATION).locator(".picture svg").first().innerHTML();
    }

    /** Where a story is written. */
    static Locator story(Page page) {
        return page.getByLabel("Text of the story");
    }

    /**
     * Keys in one go, such as {@code Shift+ArrowUp}, where the focus is: a busy machine would make
     * pauses between those of a keyboard.
     */
    static void keysInOneGo(Page page, String... keys) {
        page.evaluate(
                """
                async (keys) => {
                  for (const each of keys) {
                    const [key, ...held] = each.split("+").reverse();
                    document.activeElement.dispatchEvent(
                      new KeyboardEvent("keydown", {
                        key,
                        shiftKey: held.includes("Shift"),
                        altKey: held.includes("Alt"),
                        bubbles: true,
                        cancelable: true,
                      }),
                    );
                    await new Promise((resolve) => setTimeout(resolve, 20));
                  }
                }
                """,
                keys);
    }

    /** Asks for something from the list of what is done with the pages chosen on the Bench. */
    static void changePages(Page page, String action) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change pages"))
                .click();
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName(action).setExact(true))
                .click();
    }

    /** Chooses what is being changed, such as a parent. */
    static void changing(Page page, String scope) {
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What is being changed"))
                .getByRole(AriaRole.BUTTON)
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(scope)).click();
    }

    /** The one without a window where there is one: it needs a third less time. */
    private static Path chromium() {
        return Stream.of("chromium-headless-shell", "chromium")
                .map(Path.of("/usr/bin")::resolve)
                .filter(Files::isExecutable)
                .findFirst()
                .orElseThrow(
                        () -> new AssertionError("There is no Chromium: apt-get install chromium"));
    }

    private static Running start() {
        Path data;
        try {
            data = Files.createTempDirectory("yewberry-e2e");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        ConfigurableApplicationContext server =
                SpringApplication.run(
                        YewberryApplication.class,
                        "--server.port=0",
                        "--yewberry.demo=true",
                        "--yewberry.data=" + data);
        // a busy machine may take its time
        PlaywrightAssertions.setDefaultAssertionTimeout(20_000);
        Playwright playwright = Playwright.create();
        var chromium =
                playwright
                        .chromium()
                        .launch(
                                new BrowserType.LaunchOptions()
                                        .setExecutablePath(chromium())
                                        .setArgs(
                                                List.of(
                                                        "--no-sandbox",
                                                        "--disable-gpu",
                                                        "--disable-quic",
                                                        "--no-first-run",
                                                        "--disable-background-networking",
                                                        "--disable-component-update",
                                                        "--disable-sync")));
        return new Running(server, chromium);
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        Running running = Shared.RUNNING;
        BrowserContext window =
                running.chromium()
                        .newContext(
                                new com.microsoft.playwright.Browser.NewContextOptions()
                                        .setViewportSize(1280, 800)
                                        .setReducedMotion(ReducedMotion.REDUCE));
        window.setDefaultTimeout(30_000);
        window.addInitScript(NO_NEWS);
        Page page = window.newPage();
        List<String> complaints = new ArrayList<>();
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") || message.type().equals("warning")) {
                complaints.add(message.text() + " " + message.location());
            }
        });
        context.getStore(NAMESPACE).put("window", new Window(page, running.address(), complaints));
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Page page = window(context).page();
        if (context.getExecutionException().isPresent()) {
            picture(page, context.getDisplayName());
        }
        Object author = author(page);
        page.context().close();
        if (author != null) {
            takeBack(window(context).address(), author.toString());
        }
    }

    private static void picture(Page page, String test) {
        Path file = Path.of("target", "failed", test.replaceAll("\\W+", "-") + ".png");
        try {
            page.screenshot(new Page.ScreenshotOptions().setPath(file));
        } catch (PlaywrightException gone) {
            // the failure that is told says more
        }
    }

    private static @Nullable Object author(Page page) {
        try {
            return page.evaluate("localStorage.getItem('yewberry-author')");
        } catch (PlaywrightException elsewhere) {
            return null; // it has opened nothing
        }
    }

    /**
     * One failure is told once, not by every test that comes after it; and what a window stores
     * while it is closed is taken back, too.
     */
    private static void takeBack(String address, String author) {
        HttpRequest step =
                HttpRequest.newBuilder(URI.create(address + "/api/publications/" + DEMO + "/undo"))
                        .header("Content-Type", "application/json")
                        .POST(
                                HttpRequest.BodyPublishers.ofString(
                                        "{\"author\":\"" + author + "\"}"))
                        .build();
        try (HttpClient client = HttpClient.newHttpClient()) {
            int status;
            do {
                status = client.send(step, HttpResponse.BodyHandlers.discarding()).statusCode();
            } while (status < 300);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static Window window(ExtensionContext context) {
        return context.getStore(NAMESPACE).get("window", Window.class);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Window.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return window(context);
    }
}
