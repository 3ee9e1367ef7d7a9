package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.WebError;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** Tests in a real browser, which run beside others. A test fails on any error that the page writes to the console. */
@Execution(ExecutionMode.CONCURRENT)
abstract class BrowserTest extends ApplicationTest {

    static final int WIDTH = 1280;
    static final int HEIGHT = 800;
    private static final Object CLIPBOARD = new Object();
    private static final Duration PATIENCE = Duration.ofSeconds(180);

    BrowserContext context;
    Page page;
    private final List<String> complaints = new ArrayList<>();

    static {
        // patience for a busy machine; nothing here is a measurement of time
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE.toMillis());
    }

    private final Consumer<WebError> onError = error -> complaints.add(error.error());
    private final Consumer<ConsoleMessage> onMessage = message -> {
        // the browser reports every refusal as a failed resource: those are the answers under test
        if (message.type().equals("error") && !message.text().matches(".*(402|404|409|422|ERR_FAILED).*")) {
            complaints.add(message.text());
        }
    };

    @BeforeEach
    void newPage() {
        context = TestBrowser.windows();
        context.grantPermissions(List.of("clipboard-read", "clipboard-write"));
        context.onWebError(onError);
        context.onConsoleMessage(onMessage);
        page = context.newPage();
    }

    @AfterEach
    void noComplaints() {
        TestBrowser.forget(address());
        context.offWebError(onError);
        context.offConsoleMessage(onMessage);
        assertThat(complaints).isEmpty();
    }

    void accessible() {
        accessible(page);
    }

    void accessible(Page page) {
        Accessible.check(page);
    }

    /**
     * A project with a script, opened on Write. Made by one call: how people make one is tested where that is tested.
     */
    String newProject(String name, String script) {
        String project = server.project(name, script);
        page.navigate(address() + project + "/write");
        assertThat(page.locator(".write[data-ready]")).isVisible();
        return project;
    }

    /** The same, as people make one: by the shelf's form and the clipboard. */
    String pastedProject(String name, String script) {
        page.navigate(address() + "/");
        page.getByLabel("New project").fill(name);
        page.getByText("Start writing").click();
        paste(script);
        return page.url().replaceAll("^.*?(/projects/[^/]+).*$", "$1");
    }

    /** Where something stands once it is drawn and nothing around it moves any more. */
    BoundingBox steady(Locator locator) {
        AtomicReference<BoundingBox> before = new AtomicReference<>();
        page.waitForCondition(() -> {
            // what is drawn anew is nowhere for a moment
            BoundingBox now = locator.boundingBox();
            BoundingBox last = before.getAndSet(now);
            return now != null && last != null && now.x == last.x && now.y == last.y && now.width == last.width;
        });
        return before.get();
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
        // windows share their clipboard
        synchronized (CLIPBOARD) {
            page.evaluate("text => navigator.clipboard.writeText(text)", script);
            page.locator("#script").focus();
            page.keyboard().press("Control+A");
            page.keyboard().press(script.isEmpty() ? "Delete" : "Control+V");
            holds(page, script);
        }
        assertThat(page.locator("#saved")).hasText(java.util.regex.Pattern.compile("^saved.*"));
    }

    void open(String step) {
        page.locator(".path a", new Page.LocatorOptions().setHasText(step)).click();
    }
}
