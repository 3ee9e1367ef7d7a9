package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** Open pages say what is true now, whoever changed it. */
class LivePageTest extends BrowserTest {

    private Page another(String address) {
        Page other = context.newPage();
        other.navigate(address() + address);
        assertThat(other.locator("html[data-live]")).isAttached();
        return other;
    }

    @Test
    void deliverFollowsTheRendersOfAnotherTab() {
        String project = newProject("Followed", "The first cue of three.\n\nThe second.\n\nThe third of them.");
        Page deliver = another(project + "/deliver");
        assertThat(deliver.locator(".warn.missing summary")).hasText("3 cues have no take and will be missing");
        assertThat(deliver.getByText(".wav")).hasCount(0);
        page.locator("#head .btn-amber").click();
        assertThat(deliver.locator("#names").getByText(".wav")).hasCount(3);
        assertThat(deliver.locator(".warn.missing")).hasCount(0);
        assertThat(deliver.locator(".path .fact").last()).hasText("3 of 3 ready");
        // and a package that is built by a script is there too
        server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
        assertThat(deliver.getByText(Pattern.compile("^Download"))).isVisible();
        deliver.close();
    }

    @Test
    void twoWindowsThatWriteDifferentCuesHaveBoth() {
        String project = newProject("Both", "First cue.\n\nSecond cue.");
        Page other = another(project + "/write");
        assertThat(other.locator(".write[data-ready]")).isVisible();
        assertThat(page.locator(".transport .also")).containsText("also here: writing");
        // this window's words are on their way while the other one saves
        page.route("**/script", Route::abort);
        type(page, "First cue, and longer.\n\nSecond cue.");
        assertThat(page.locator("#saved")).hasText("not saved yet");
        type(other, "First cue.\n\nSecond cue, and longer.");
        assertThat(other.locator("#saved")).hasText(Pattern.compile("^saved.*"));
        page.unroute("**/script");
        holds(page, "First cue, and longer.\n\nSecond cue, and longer.");
        holds(other, "First cue, and longer.\n\nSecond cue, and longer.");
        assertThat(page.locator("#conflict")).isHidden();
        other.close();
        assertThat(page.locator(".transport .also")).isHidden();
    }

    @Test
    void directFollowsMarksTakesAndWords() {
        String project = newProject("Two of them", "The lamp was lit at four.");
        page.locator("#head .btn-amber").click();
        assertThat(page.locator("#head .pill")).hasText("all rendered");
        Page one = another(project + "/direct");
        assertThat(one.locator("#stage[data-state=ready] #score .word")).hasCount(6);
        String cue = server.cues(project).get(0).get("id").asString();
        server.post(
                project + "/cues/" + cue + "/marks", Map.of("start", "4", "end", "8", "kind", "pace", "value", "80"));
        assertThat(one.locator("#marklist")).containsText("pace 80 %");
        assertThat(one.locator("#cuestate")).hasText("changed");
        server.post(project + "/cues/" + cue + "/render", Map.of());
        assertThat(one.locator("#stage[data-state=ready]")).isVisible();
        assertThat(one.locator(".takes")).containsText("T2");
        server.save(project, "The lamp was lit at five.", 1);
        assertThat(one.locator("#cuelist .words")).hasText("The lamp was lit at five.");
        one.close();
    }

    @Test
    void writeFollowsAnotherTabWhileNothingIsTyped() {
        String project = newProject("Shared", "First words.");
        Page other = another(project + "/write");
        assertThat(page.locator("html[data-live]")).isAttached();
        int version = server.json(project + "/script").get("version").asInt();
        org.assertj.core.api.Assertions.assertThat(
                        server.save(project, "Words from elsewhere.", version).statusCode())
                .isEqualTo(200);
        holds(page, "Words from elsewhere.");
        holds(other, "Words from elsewhere.");
        assertThat(page.locator("#conflict")).isHidden();
        other.close();
    }

    @Test
    void theShelfFollowsItsProjectsAndSaysWhatADeletionTakes() {
        String project = newProject("On the shelf", "A cue to render.");
        Page shelf = another("/");
        var row = shelf.locator("tr", new Page.LocatorOptions().setHasText("On the shelf"));
        assertThat(row.locator(".state")).hasText("1 to render");
        server.post(project + "/render", Map.of("step", "WRITE"));
        assertThat(row.locator(".state")).hasText("ready");
        shelf.getByLabel("Delete On the shelf", new Page.GetByLabelOptions().setExact(true))
                .click();
        assertThat(row.locator(".pop p").last())
                .hasText(
                        "Its script, 1 cue, 1 take and 0 deliveries go with it. For 30 days the shelf can restore it.");
        shelf.getByLabel("Delete On the shelf now").click();
        assertThat(shelf.getByText("The project was deleted.")).isVisible();
        // its own page says so
        assertThat(page.locator(".transport .hint")).containsText("deleted in another window");
        shelf.getByText("Deleted projects").click();
        shelf.getByLabel("Restore On the shelf").click();
        assertThat(shelf.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("On the shelf").setExact(true)))
                .isVisible();
        shelf.close();
    }

    /** Nobody finds out by losing words: it is said before anything is saved, and taken back by itself. */
    @Test
    void aPageSaysThatNobodyAnswersUntilSomebodyDoes() {
        String project = newProject("Away", "The lamp was lit at four.");
        AtomicReference<Consumer<Route>> stream = new AtomicReference<>(route -> route.fulfill(
                new Route.FulfillOptions().setContentType("text/event-stream").setBody("""
                        event: hello
                        data: {"stamp":""}

                        event: away
                        data: {"sentence":"The database doesn't answer right now."}

                        """)));
        page.route("**/events", route -> stream.get().accept(route));
        page.navigate(address() + project + "/write");
        assertThat(page.locator("#away")).hasText("The database doesn't answer right now.");
        accessible();
        stream.set(Route::abort);
        assertThat(page.locator("#away")).containsText("Logophon doesn’t answer");
        stream.set(Route::resume);
        assertThat(page.locator("#away")).isHidden();
    }

    @Test
    @ResourceLock("upkeep")
    void spaceShowsWhatItHasTakenAwayAndIsAccessible() {
        page.navigate(address() + "/storage");
        assertThat(page.locator("html[data-live]")).isAttached();
        accessible();
        page.getByText("Free it now").click();
        // a job like others: it waits for its turn
        assertThat(page.locator("#storage")).containsText("Taken away just now");
        assertThat(page.getByText("Free it now")).isEnabled();
        accessible();
    }
}
