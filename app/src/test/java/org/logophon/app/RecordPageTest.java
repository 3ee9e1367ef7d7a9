package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** A role's cues are said into a microphone, which hears a file that the test makes. */
@ResourceLock("microphone")
class RecordPageTest extends BrowserTest {

    private static final String FIRST = "Clear night. Every star is out.";
    private static final String SECOND = "I lit the lamp, and the lamp lit everything.";

    private String project() {
        return server.project("To read", "KEEPER: " + FIRST + "\n\nKEEPER: " + SECOND);
    }

    private void show(String project) {
        context.grantPermissions(List.of("microphone"));
        page.navigate(address() + project + "/record");
        assertThat(page.locator("#prompt")).hasText(FIRST);
    }

    private static void hears(byte[] wav) throws IOException {
        Files.write(TestBrowser.MICROPHONE, wav);
    }

    /** Without the count-in what the microphone hears begins at once. */
    private void record(String secondsAtLeast) {
        page.keyboard().press("r");
        assertThat(page.locator("#go")).hasClass(Pattern.compile("recording"));
        page.waitForFunction("least => document.getElementById('time').textContent >= least", secondsAtLeast);
        page.keyboard().press("r");
    }

    @Test
    void aCueIsSaidHeldAgainstItsWordsKeptAndDelivered() throws IOException {
        String project = project();
        hears(PersonSaying.wav(0.6, 6, FIRST));
        show(project);
        page.locator("#countin").uncheck();
        page.locator("body").click();
        record("00:04.5");
        Locator take = page.locator(".takecard");
        assertThat(take).isVisible();
        assertThat(take.locator(".waveword")).hasCount(6);
        assertThat(take).containsText("words found 6 of 6");
        assertThat(take.locator(".doubt")).hasCount(0);
        accessible();
        page.keyboard().press("Enter");
        assertThat(page.locator("#prompt")).hasText(SECOND);
        assertThat(page.locator(".readlist li").first()).containsText("recorded");
        var cue = server.cues(project).get(0);
        assertThat(cue.get("state").asString()).isEqualTo("ready");
        server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
        Server.await(
                "delivered", () -> server.get(project + "/deliveries").body().contains("/file"));
        assertThat(Packages.of(server, project).keySet())
                .anyMatch(file -> file.startsWith("010") && file.endsWith(".wav"));
    }

    @Test
    void wordsSaidAsSoonAsTheMicrophoneIsOnAreHeardThoughSoundComesSlowly() throws IOException {
        hears(PersonSaying.wav(0.3, 6, FIRST));
        page.addInitScript("""
                const resume = AudioContext.prototype.resume;
                AudioContext.prototype.resume = async function () {
                  await resume.call(this);
                  await new Promise(done => setTimeout(done, 1500));
                };""");
        show(project());
        page.locator("#countin").uncheck();
        page.locator("body").click();
        record("00:04.5");
        assertThat(page.locator(".takecard")).containsText("words found 6 of 6");
    }

    @Test
    void whatDoesNotReachTheServerIsKeptAndOfferedAgain() throws IOException {
        String project = project();
        hears(PersonSaying.wav(0.6, 6, FIRST));
        show(project);
        page.route(Pattern.compile("/record/cues/[^/]+$"), route -> {
            if (route.request().method().equals("POST")) {
                route.abort();
            } else {
                route.resume();
            }
        });
        page.locator("#countin").uncheck();
        page.locator("body").click();
        record("00:04.0");
        assertThat(page.locator("#advice")).containsText("kept in this browser");
        assertThat(page.locator("#leftover")).containsText("A recording of cue 010");
        page.unroute(Pattern.compile("/record/cues/[^/]+$"));
        page.reload();
        page.getByText("Save", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator(".takecard")).isVisible();
        assertThat(page.locator("#leftover")).isHidden();
        page.reload();
        assertThat(page.locator(".takecard")).isVisible();
        assertThat(page.locator("#leftover")).isHidden();
    }

    @Test
    void whoMayNotUseTheMicrophoneIsToldWhatToDo() {
        String project = project();
        page.addInitScript("""
                navigator.mediaDevices.getUserMedia = async () => { throw new DOMException('', window.why); };""");
        show(project);
        for (Map.Entry<String, String> why : Map.of(
                        "NotAllowedError", "may not use the microphone",
                        "NotFoundError", "No microphone is there",
                        "NotReadableError", "Another program holds the microphone")
                .entrySet()) {
            page.evaluate("why => { window.why = why; }", why.getKey());
            page.locator("#go").click();
            assertThat(page.locator("#advice")).containsText(why.getValue());
        }
    }

    @Test
    void oneFileWithAllCuesIsCutLookedOverAndTaken() {
        String project = project();
        show(project);
        page.locator("#files")
                .setInputFiles(new FilePayload(
                        "everything.wav", "audio/wav", PersonSaying.wav(1, 1.5, FIRST, SECOND, SECOND)));
        Locator rows = page.locator(".cutlist li");
        assertThat(rows).hasCount(3);
        assertThat(rows.nth(0)).containsText(FIRST);
        assertThat(rows.nth(2)).containsText("2 of 2: ");
        double from = Double.parseDouble(
                rows.nth(0).locator("input[type=number]").first().inputValue());
        assertThat(from).isBetween(1.0, 1.4);
        accessible();
        com.microsoft.playwright.Response heard = page.waitForResponse(
                answer -> answer.url().contains("/sound.wav"),
                () -> rows.nth(0).getByLabel("Play cue 010").click());
        assertThat(heard.status()).isEqualTo(200);
        rows.nth(1).locator("input[type=checkbox]").uncheck();
        page.getByText("Import selected cues").click();
        assertThat(page.locator(".brought")).hasCount(0);
        assertThat(page.locator("#toread-told")).containsText("2 recorded");
        assertThat(server.ready(project)).isEqualTo(2);
    }

    @Test
    void aCueThatWasNotFoundIsPutInByHand() {
        String project = project();
        show(project);
        page.locator("#files")
                .setInputFiles(new FilePayload("some.wav", "audio/wav", PersonSaying.wav(1, 1.5, FIRST, "Mm.")));
        Locator rows = page.locator(".cutlist li");
        assertThat(rows).hasCount(1);
        page.getByLabel("Put cue 020 in by hand").click();
        assertThat(rows).hasCount(2);
        assertThat(rows.nth(1).getByLabel("Cue 020 begins at"))
                .hasValue(rows.nth(0).getByLabel("Cue 010 ends at").inputValue());
        assertThat(page.locator(".missing")).isHidden();
        page.getByText("Import selected cues").click();
        assertThat(page.locator("#toread-told")).containsText("2 recorded");
    }

    @Test
    void anotherVoiceSaysItInTheTimingOfTheRecording() {
        String project = project();
        show(project);
        page.locator("#files")
                .setInputFiles(new FilePayload("010 keeper.wav", "audio/wav", PersonSaying.wav(0.5, 0.5, FIRST)));
        assertThat(page.locator(".takecard")).isVisible();
        page.locator("#voice").selectOption("hamish");
        page.locator("#recast-go").click();
        assertThat(page.locator(".takecard")).hasCount(2);
        assertThat(page.locator(".takecard").first()).containsText("Hamish, as recorded");
        page.locator("#byvoice").click();
        assertThat(page.locator("#back")).isHidden();
    }
}
