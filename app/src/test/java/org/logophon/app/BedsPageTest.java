package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Sounds and beds by hand: laid, heard on real audio, and taken out again. */
class BedsPageTest extends BrowserTest {

    private static final int TENTH = 4_800;
    private static final int TENTHS = 12;

    private String rendered(String name, String script, int cues) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of("step", "LISTEN"));
        Server.await("rendered", () -> server.ready(project) == cues);
        return project;
    }

    @Test
    void aBedIsLaidByKeyAndSoundsUnderTheVoiceAndInTheGap() {
        String project = rendered("By key", "The lamp was lit.\n\nNobody slept that night.", 2);
        String direction =
                project + "/cues/" + server.cues(project).get(0).get("id").asString() + "/project/direction";
        server.post(direction, Map.of("pause", "2", "version", "0"));
        page.close();
        page = context.browser()
                .newContext(new Browser.NewContextOptions().setBypassCSP(true).setViewportSize(1280, 800))
                .newPage();
        page.addInitScript(Speakers.RECORDER);
        page.navigate(address() + project + "/beds");
        assertThat(page.locator("#no-beds")).isVisible();
        page.locator("#bed-sound").selectOption("Room tone");
        page.locator("#bed-from").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".bedrow")).hasCount(1);
        assertThat(page.locator("#overview polygon.bed")).hasCount(1);
        page.locator(".bedrow input[data-field$=' level']").fill("-10");
        page.keyboard().press("Tab");
        assertThat(page.locator(".hint")).containsText("Bed changed");
        page.reload();
        assertThat(page.locator(".bedrow input[data-field$=' level']")).hasValue("-10");
        assertThat(page.locator(".transport .beds")).isVisible();
        page.locator(".bedrow").getByText("Play").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".transport .cuenow b")).hasText("020");
        assertThat(page.locator(".transport .play")).hasAttribute("aria-label", "Play the programme");
        // in the gap nothing sounds but the bed, and there it is what the server made of it, at its own place
        float[] heard = Speakers.heard(page);
        float[] layer = layer(project);
        JsonNode first = server.cues(project).get(0);
        int gap = (int) Math.round((first.get("seconds").asDouble() + 0.5) * 48_000);
        assertThat(loudest(heard, gap, 24_000)).as("something sounds there").isGreaterThan(0.001);
        // where a slow page took the bed up again it comes within a hundredth of a second instead of clicking
        assertThat(alike(heard, layer, gap))
                .as("tenths of a second of %d in the gap", TENTHS)
                .isGreaterThan(TENTHS - 3);
        page.context().close();
    }

    private float[] layer(String project) {
        ByteBuffer bytes = ByteBuffer.wrap(server.bytes(
                        server.json(project + "/layer").get("address").asString()))
                .order(ByteOrder.LITTLE_ENDIAN);
        float[] samples = new float[(bytes.capacity() - 44) / 2];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = bytes.getShort(44 + 2 * i) / 32768f;
        }
        return samples;
    }

    private static double loudest(float[] samples, int from, int count) {
        double most = 0;
        for (int i = from; i < from + count; i++) {
            most = Math.max(most, Math.abs(samples[i]));
        }
        return most;
    }

    /**
     * How many tenths of a second are the same to the sample, each within a twentieth of a second of where the first
     * is: nobody knows when the page began, and a slow one takes the bed up again in between.
     */
    private static int alike(float[] heard, float[] layer, int from) {
        int most = 0;
        // three may differ
        for (int first = 0; first < 4; first++) {
            int place = place(heard, layer, from + first * TENTH, 0, heard.length);
            int same = 0;
            for (int tenth = 0; tenth < TENTHS && place >= 0; tenth++) {
                same += place(heard, layer, from + tenth * TENTH, place - TENTH / 2, place + TENTH / 2) >= 0 ? 1 : 0;
            }
            most = Math.max(most, same);
        }
        return most;
    }

    /** The first offset between two at which a tenth of a second of the layer was heard, or -1. */
    private static int place(float[] heard, float[] layer, int tenth, int least, int end) {
        for (int off = Math.max(0, least); off < Math.min(end, heard.length - tenth - TENTH); off++) {
            if (same(heard, layer, tenth, off)) {
                return off;
            }
        }
        return -1;
    }

    private static boolean same(float[] heard, float[] layer, int from, int off) {
        for (int i = from; i < from + TENTH; i++) {
            if (Math.abs(heard[off + i] - layer[i]) > 0.001) {
                return false;
            }
        }
        return true;
    }

    @Test
    void aFileIsBroughtInNotedPutIntoAGapAndTakenOutAgain() throws Exception {
        String project = server.project("In a gap", "The lamp was lit, and nobody slept.");
        Path file = Files.createTempFile("hatch", ".wav");
        Files.write(file, ToneFile.of(1.5, 0.2));
        page.navigate(address() + project + "/beds");
        page.locator("#sound-files").setInputFiles(file);
        assertThat(page.locator("#soundlist details[open]")).hasCount(1);
        page.locator("details[open] input[data-field$=' licence']").fill("recorded by ourselves");
        page.keyboard().press("Tab");
        page.locator("details[open] input[data-field$=' name']").fill("Hatch");
        page.keyboard().press("Tab");
        assertThat(page.locator("#soundlist")).containsText("Hatch");
        accessible();

        page.locator("#gap-sound").selectOption("Hatch");
        page.locator("#gap-cue").fill("010");
        page.keyboard().press("Enter");
        assertThat(page.locator("#gaplist")).containsText("after “slept”");
        page.locator("#gaplist").getByText("Remove").click();
        assertThat(page.locator("#no-gaps")).isVisible();
        page.locator("#beds-back button").click();
        assertThat(page.locator("#gaplist")).containsText("Hatch");

        // between two words it stands on Direct, beside the pause
        page.navigate(address() + project + "/direct");
        page.locator("[data-word='3']").first().click();
        page.keyboard().press("ArrowDown");
        page.locator("#markbar select[name=sound]").selectOption("Hatch");
        assertThat(page.locator("#marklist")).containsText("“Hatch” in 1.00 s, −12 dB");
        List<String> said = page.locator("#marklist li").allTextContents();
        assertThat(said).anyMatch(line -> line.contains("after “lit”"));
        page.keyboard().press("Control+z");
        assertThat(page.locator("#marklist li")).hasCount(1);
        Files.delete(file);
    }
}
