package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** Tests in a real browser. A test fails on any error that the page writes to the console. */
abstract class BrowserTest extends ApplicationTest {

    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private static Playwright playwright;
    static Browser browser;
    BrowserContext context;
    Page page;
    private final List<String> complaints = new ArrayList<>();

    @BeforeAll
    static void open() {
        // patience for a busy machine; nothing here is a measurement of time
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE.toMillis());
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    @AfterAll
    static void close() {
        browser.close();
        playwright.close();
    }

    @BeforeEach
    void newPage() {
        context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setPermissions(List.of("clipboard-read", "clipboard-write")));
        context.setDefaultTimeout(90_000);
        context.onWebError(error -> complaints.add(error.error()));
        context.onConsoleMessage(message -> {
            // the browser reports every refusal as a failed resource: those are the answers under test
            if (message.type().equals("error") && !message.text().matches(".*(402|404|409|422|ERR_FAILED).*")) {
                complaints.add(message.text());
            }
        });
        page = context.newPage();
    }

    @AfterEach
    void noComplaints() {
        context.close();
        assertThat(complaints).isEmpty();
    }

    void accessible() {
        List<Rule> violations = new AxeBuilder(page)
                .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                .analyze()
                .getViolations();
        assertThat(violations.stream()
                        .map(v -> v.getId() + ": "
                                + v.getNodes().stream()
                                        .map(n -> n.getHtml() + " " + n.getFailureSummary())
                                        .toList()))
                .as(page.url())
                .isEmpty();
    }

    String newProject(String name, String script) {
        page.navigate(address() + "/");
        page.getByLabel("New project").fill(name);
        page.getByText("Start writing").click();
        paste(script);
        return page.url().replaceAll("^.*?(/projects/[^/]+).*$", "$1");
    }

    void setDial(String dial, String value) {
        page.locator("#" + dial).fill(value);
        page.waitForResponse(
                response -> response.url().contains("/direction"),
                () -> page.locator("#" + dial).press("Tab"));
        assertThat(page.locator("#" + dial))
                .hasValue(java.util.regex.Pattern.compile("^" + value.replace(".", "\\.") + "(\\.0)?$"));
    }

    /** The whole script of a page's editor, also what is too far away to be drawn. */
    private static final String SCRIPT = """
            (async () => {
              const { EditorView } = await import('@codemirror/view');
              const script = document.getElementById('script');
              return script && EditorView.findFromDOM(script).state.doc.toString();
            })()""";

    /** Waits until the script in a page reads so. */
    static void holds(Page page, String script) {
        holds(page, java.util.regex.Pattern.compile(java.util.regex.Pattern.quote(script)));
    }

    static void holds(Page page, java.util.regex.Pattern script) {
        // a page that is on its way to another one can't be asked
        Awaitility.await()
                .pollInSameThread()
                .atMost(PATIENCE)
                .pollInterval(Duration.ofMillis(50))
                .ignoreExceptionsInstanceOf(PlaywrightException.class)
                .untilAsserted(() ->
                        assertThat((String) page.evaluate(SCRIPT)).isNotNull().matches(script));
    }

    /** Types over the whole script. */
    static void type(Page page, String script) {
        page.locator("#script").focus();
        page.keyboard().press("Control+A");
        page.keyboard().insertText(script);
    }

    /** Pastes over the whole script, by the clipboard and the keyboard. */
    void paste(String script) {
        assertThat(page.locator(".write[data-ready]")).isVisible();
        page.evaluate("text => navigator.clipboard.writeText(text)", script);
        page.locator("#script").focus();
        page.keyboard().press("Control+A");
        page.keyboard().press(script.isEmpty() ? "Delete" : "Control+V");
        holds(page, script);
        assertThat(page.locator("#saved")).hasText(java.util.regex.Pattern.compile("^saved.*"));
    }

    void open(String step) {
        page.locator(".path a", new Page.LocatorOptions().setHasText(step)).click();
    }
}
