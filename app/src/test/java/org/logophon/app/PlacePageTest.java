package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The Place page by key and by mouse. */
class PlacePageTest extends BrowserTest {

    private String shown(String name) {
        String project = server.project(
                name,
                "KEEPER: The lamp was lit at four, and nobody in the tower slept.\n\nNARRATOR: Then it was morning.");
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "isla"));
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "rufus"));
        server.post(project + "/render", Map.of("step", "PLACE"));
        Server.await("rendered", () -> server.ready(project) == 2);
        page.navigate(address() + project + "/place");
        assertThat(page.locator("#rows tr")).hasCount(2);
        assertThat(page.locator("html[data-live]")).isAttached();
        return project;
    }

    /** Of a clip on the timeline, asked for at once: it may be drawn anew between two questions. */
    private double[] middle(int clip) {
        List<?> found = (List<?>) page.evaluate(
                "at => { const box = document.querySelectorAll('#ruled .clip rect')[at].getBoundingClientRect();"
                        + " return [box.x + box.width / 2, box.y + box.height / 2]; }",
                clip);
        return new double[] {((Number) found.get(0)).doubleValue(), ((Number) found.get(1)).doubleValue()};
    }

    private Locator row(int at) {
        return page.locator("#rows tr").nth(at);
    }

    @Test
    void clipsAreMovedByKeyByDragAndByTypingAndTheTimelineFollows() {
        shown("Moved");
        page.locator("#rate").selectOption("25");
        assertThat(page.locator(".path [aria-current] .fact")).hasText("25 a second");
        page.locator("#start").fill("10:00:00:00");
        page.locator("#start").press("Tab");
        assertThat(row(0)).containsText("10:00:00:00");
        assertThat(page.locator(".transport .time")).hasText("10:00:00:00");
        row(1).getByLabel("Position of cue 020").selectOption("fixed");
        Locator in = row(1).getByLabel("Cue 020 starts at");
        in.fill("10:00:08:00");
        in.press("Tab");
        assertThat(row(1).getByLabel("Cue 020 starts at")).hasValue("10:00:08:00");
        // a frame, and ten of them
        row(1).locator(".cuecell button").focus();
        page.keyboard().press("Alt+ArrowRight");
        assertThat(row(1).getByLabel("Cue 020 starts at")).hasValue("10:00:08:01");
        page.keyboard().press("Alt+Shift+ArrowLeft");
        assertThat(row(1).getByLabel("Cue 020 starts at")).hasValue("10:00:07:16");
        page.keyboard().press("Control+z");
        assertThat(row(1).getByLabel("Cue 020 starts at")).hasValue("10:00:08:01");
        // by mouse, half a second or so to the left
        double[] middle = middle(1);
        page.mouse().move(middle[0], middle[1]);
        page.mouse().down();
        page.mouse().move(middle[0] - 60, middle[1]);
        page.mouse().up();
        assertThat(row(1).getByLabel("Cue 020 starts at")).hasValue(Pattern.compile("10:00:07:\\d\\d"));
        assertThat(page.locator("#ruled .lanename")).hasCount(3);
        accessible();
        // what is typed and can't be is said, and the field says again what is true
        row(1).getByLabel("Cue 020 starts at").fill("noon");
        row(1).getByLabel("Cue 020 starts at").press("Tab");
        assertThat(page.locator(".transport .hint")).containsText("is no timecode");
    }

    @Test
    void picturesTimesAreReadCorrectedAndTakenAndWhatRunsOverIsMadeToFit() {
        String project = shown("Read");
        double seconds = server.cues(project).get(0).get("seconds").asDouble();
        page.locator("#rate").selectOption("25");
        page.locator("#read-times").click();
        page.locator("#times-text").fill("in,out\n0,%.2f\n10,14".formatted(seconds * 0.94));
        page.locator("#times-read").click();
        assertThat(page.locator("#times-told")).containsText("2 slots, 2 for a cue");
        accessible();
        page.locator("#times-take").click();
        assertThat(row(0).locator(".over")).isVisible();
        assertThat(page.locator(".path [aria-current] .fact")).hasText("1 runs over");
        assertThat(page.locator("#ruled .slot.over")).hasCount(1);
        page.locator("#make-fit").click();
        assertThat(page.locator("#fit-rows tr")).hasCount(1);
        accessible();
        page.locator("#fit-apply").click();
        assertThat(page.locator(".path [aria-current] .fact")).containsText("all in their slots");
        assertThat(page.locator("#rows .over")).hasCount(0);
        // the other window hears of it
        server.post(project + "/place/undo", Map.of());
        assertThat(row(1)).not().containsText("00:00:14:00");
        String empty = server.project("Empty place", "");
        page.navigate(address() + empty + "/place");
        assertThat(page.locator(".place .empty b")).isVisible();
        accessible();
    }
}
