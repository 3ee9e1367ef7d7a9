package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Route;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The Write page as one types. */
class WritePageTest extends BrowserTest {

    @Test
    void theMarginFollowsTheText() {
        pastedProject("Margin", "One cue of words.");
        assertThat(page.locator(".margincue .number")).hasText(new String[] {"010"});
        page.locator("#script").press("Control+End");
        page.keyboard().type("\n\nKEEPER: And another.");
        assertThat(page.locator(".margincue .number")).hasText(new String[] {"010", "020"});
        assertThat(page.locator(".margincue .who").nth(1)).hasText("Keeper");
        assertThat(page.locator(".margintime .figures").first()).hasText(Pattern.compile("≈ \\d\\.\\d s"));
        assertThat(page.locator("#total-words")).hasText("6");
        // each number stands level with the first line of its cue
        double number = steady(page.locator(".margincue").nth(1)).y;
        double line = steady(page.locator("#script .spoken").nth(1)).y;
        assertThat(Math.abs(number - line)).isLessThan(6);
    }

    @Test
    void timeIsHeldAgainstTheTarget() {
        pastedProject("Target", "Many words of narration that run on and on. ".repeat(20));
        page.locator("#tab-counts").click();
        page.getByLabel("Target length").fill("0:20");
        page.getByText("Set", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator("#total-against"))
                .hasText(Pattern.compile("of 00:20: too long by (\\d+ s|\\d\\d:\\d\\d), about \\d+ words"));
        page.locator("#tab-counts").click();
        page.getByLabel("Target length").fill("9:59");
        // the script is saved meanwhile, and its counts come anew: not under the hand
        page.clock().install();
        page.evaluate("document.dispatchEvent(new CustomEvent('logophon:saved'))");
        page.clock().runFor(5_000);
        page.clock().resume();
        assertThat(page.getByLabel("Target length")).hasValue("9:59");
        page.getByLabel("Target length").fill("00:20");
        page.locator("#tab-counts").focus();
        // they were asked for before a hand was there, and come when it is
        AtomicReference<Route> held = new AtomicReference<>();
        page.route("**/counts", held::set);
        page.evaluate("document.dispatchEvent(new CustomEvent('logophon:saved'))");
        page.waitForCondition(() -> held.get() != null);
        page.getByLabel("Target length").fill("9:58");
        page.locator("#tab-counts").focus();
        page.waitForResponse("**/counts", () -> held.get().resume()).finished();
        assertThat(page.getByLabel("Target length")).hasValue("9:58");
        page.unroute("**/counts");
        page.getByLabel("Target length").fill("10:00");
        page.getByText("Set", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator("#total-against")).containsText("to spare");
    }

    @Test
    void nothingIsLostWhileTheServerIsAway() {
        String project = pastedProject("Away", "First words.");
        page.route("**/script", Route::abort);
        type(page, "Words typed while nobody answers.");
        assertThat(page.locator("#saved")).hasText("not saved yet");
        assertThat(page.locator(".transport .hint")).containsText("Your text stays here");
        page.unroute("**/script");
        assertThat(page.locator("#saved")).hasText(java.util.regex.Pattern.compile("^saved.*"));
        assertThat(server.json(project + "/script").get("words").asInt()).isEqualTo(5);
    }

    @Test
    void textThatIsHostileOrUnspeakableIsShownAsTextAndNamed() {
        pastedProject("Hostile", "");
        paste("<script>document.title='broken'</script> <b>bold</b>\u202e\n\n…\n\n# <i>scene</i>\n\n"
                + "word ".repeat(3_000) + "\n\nGood words.");
        page.keyboard().press("Control+Home");
        assertThat(page.locator("#script script, #script b, #script i")).hasCount(0);
        assertThat(page.locator("#script")).containsText("<b>bold</b>");
        assertThat(page).hasTitle(Pattern.compile("Hostile.*"));
        assertThat(page.locator("#findings")).containsText("no letter and no digit");
        assertThat(page.locator("#findings")).containsText("a cue can hold 10,000");
        assertThat(page.locator("#head")).containsText("Render 2 cues");
        accessible();
        page.getByText("Split at sentences").click();
        assertThat(page.locator("#findings")).not().containsText("a cue can hold 10,000");
        assertThat(page.locator("#head")).containsText(Pattern.compile("Render [2-4]\\d cues"));
    }

    @Test
    void aLongScriptStaysInStep() {
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < 400; i++) {
            script.append("The keeper wrote line ").append(i).append(" of the log, and slept.\n\n");
        }
        pastedProject("Long", script.toString());
        page.locator("#script").press("Control+End");
        assertThat(page.locator(".margincue .number").last()).hasText("4000");
        assertThat(page.locator("#script .spoken").last()).containsText("line 399 of the log");
        double number = steady(page.locator(".margincue").last()).y;
        double line = steady(page.locator("#script .spoken").last()).y;
        assertThat(Math.abs(number - line)).isLessThan(6);
        assertThat(page.locator("#script .cm-line").count())
                .as("only what is near is drawn")
                .isLessThan(400);
        // all of it is chosen, not only what is drawn
        page.keyboard().press("Control+A");
        page.keyboard().insertText("One cue.");
        holds(page, "One cue.");
        assertThat(page.locator("#total-words")).hasText("2");
    }
}
