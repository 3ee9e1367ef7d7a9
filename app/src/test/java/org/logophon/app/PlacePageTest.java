package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The Place page by key and by mouse. */
class PlacePageTest extends BrowserTest {

    private static final LocatorAssertions.ContainsTextOptions SOON =
            new LocatorAssertions.ContainsTextOptions().setTimeout(60_000);

    private String shown(String name) {
        String project = server.project(
                name,
                "KEEPER: The lamp was lit at four, and nobody in the tower slept.\n\nNARRATOR: Then it was morning.");
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "isla"));
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "rufus"));
        server.post(project + "/render", Map.of("step", "PLACE"));
        Server.await("rendered", java.time.Duration.ofSeconds(120), () -> server.ready(project) == 2);
        page.navigate(address() + project + "/place");
        assertThat(page.locator("#rows tr")).hasCount(2);
        assertThat(page.locator("html[data-live]")).isAttached();
        return project;
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
        row(1).getByLabel("How cue 020 stands").selectOption("fixed");
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
        var clip = page.locator("#ruled .clip").nth(1).boundingBox();
        page.mouse().move(clip.x + clip.width / 2, clip.y + 10);
        page.mouse().down();
        page.mouse().move(clip.x + clip.width / 2 - 60, clip.y + 10);
        page.mouse().up();
        assertThat(row(1).getByLabel("Cue 020 starts at")).hasValue(Pattern.compile("10:00:07:\\d\\d"));
        assertThat(page.locator("#ruled .lanename")).hasCount(3);
        accessible();
        // what is typed and can't be is said, and the field says again what is true
        row(1).getByLabel("Cue 020 starts at").fill("noon");
        row(1).getByLabel("Cue 020 starts at").press("Tab");
        assertThat(page.locator(".transport .hint")).containsText("is no timecode");
    }

    /** A test picture with a second counted in it, made by FFmpeg: VP8, 25 frames a second. */
    private static Path testPicture(Path folder) throws Exception {
        Path file = folder.resolve("picture.webm");
        List<String> command = List.of(
                "ffmpeg",
                "-v",
                "error",
                "-f",
                "lavfi",
                "-i",
                "testsrc=size=160x90:rate=25:duration=20",
                "-c:v",
                "libvpx",
                "-b:v",
                "200k",
                file.toString());
        assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
        return file;
    }

    /** How far the picture is from the programme, in seconds, while it plays: the median of three seconds. */
    private static final String OFF = """
            () => new Promise(resolve => {
              const video = document.querySelector('video');
              const off = [];
              const began = performance.now();
              document.addEventListener('logophon:playhead', event => {
                if (event.detail.seconds === null) return;
                const now = performance.now() - began;
                if (now > 2000) off.push(Math.abs(video.currentTime - event.detail.elapsed));
                if (now > 5000) resolve(off.sort((a, b) => a - b)[off.length >> 1]);
              });
            })""";

    @Test
    void anOwnPictureGoesWithTheVoiceAndItsSlotsAreTapped(@TempDir Path folder) throws Exception {
        String project = server.project(
                "Own picture",
                "The keeper walked along the cliff before the rain came over the bay, and he counted the ships that were still out, and lit the lamp early.");
        server.post(project + "/render", Map.of("step", "PLACE"));
        Server.await("rendered", java.time.Duration.ofSeconds(120), () -> server.ready(project) == 1);
        page.navigate(address() + project + "/place");
        page.locator("#rate").selectOption("25");
        page.locator("#video-file").setInputFiles(testPicture(folder));
        assertThat(page.locator("#video-told")).containsText("00:00:20:00 long. It stays in this browser.");
        accessible();
        page.getByLabel("Play the programme").click();
        double off = ((Number) page.evaluate(OFF)).doubleValue();
        assertThat(off).as("seconds apart").isLessThanOrEqualTo(0.04);
        page.locator("#rows .cuecell").first().click();
        page.keyboard().press("i");
        assertThat(page.locator(".transport .hint")).containsText("O taps the out");
        page.waitForFunction(
                "from => document.querySelector('video').currentTime > from + 0.5",
                page.evaluate("() => document.querySelector('video').currentTime"));
        page.keyboard().press("o");
        assertThat(page.getByLabel("Slot of cue 010 begins at")).hasValue(Pattern.compile("00:00:0\\d:\\d\\d"));
        page.locator("#video-close").click();
        assertThat(page.locator("video")).isHidden();
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
        assertThat(page.locator(".path [aria-current] .fact")).containsText("all in their slots", SOON);
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
