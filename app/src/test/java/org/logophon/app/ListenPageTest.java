package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.Sound;
import tools.jackson.databind.JsonNode;

/** The Listen page, on the sound that really comes out of it. */
class ListenPageTest extends BrowserTest {

    private static final double SAMPLES = 48_000;

    /** The loudest sample of each stretch between silences of half a second, in samples from the recording's start. */
    private static final String PEAKS = """
            () => {
              const blocks = window.recorded;
              const first = blocks[0][0];
              const all = new Float32Array(blocks.at(-1)[0] + 128 - first);
              blocks.forEach(([at, samples]) => all.set(samples, at - first));
              const peaks = [];
              let quiet = Infinity;
              for (let i = 0; i < all.length; i++) {
                const level = Math.abs(all[i]);
                if (level < 0.003) { quiet++; continue; }
                if (quiet > 24000) peaks.push({ at: i, level });
                quiet = 0;
                if (level > peaks.at(-1).level) Object.assign(peaks.at(-1), { at: i, level });
              }
              return JSON.stringify(peaks.map(peak => peak.at));
            }""";

    /** Keeps which words were lit, by their index: a word is lit for a moment only. */
    private static final String LIT = """
            () => {
              window.lit = [];
              new MutationObserver(changes => changes.forEach(({ target }) => {
                if (target.matches('#words .w.now')) window.lit.push([...document.querySelectorAll('#words .w')].indexOf(target));
              })).observe(document.body, { subtree: true, attributeFilter: ['class'] });
            }""";

    private String listening(String name, String script) {
        String project = server.project(name, script);
        server.post(project + "/render", Map.of("step", "LISTEN"));
        Server.await(
                "rendered", () -> server.ready(project) == server.cues(project).size());
        return project;
    }

    private void show(String project) {
        page.navigate(address() + project + "/listen");
        assertThat(page.locator("#words .w").first()).isVisible();
        assertThat(page.locator(".lanewave path").first()).isAttached();
        assertThat(page.locator("html[data-live]")).isAttached();
    }

    private JsonNode cue(String project, int at) {
        return server.cues(project).get(at);
    }

    /** Samples of a take as the page gets it, one to −1. */
    private Sound sound(String address) {
        ByteBuffer bytes = ByteBuffer.wrap(server.bytes(address)).order(ByteOrder.LITTLE_ENDIAN);
        float[] samples = new float[(bytes.capacity() - 44) / 2];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = bytes.getShort(44 + 2 * i) / 32768f;
        }
        return new Sound(samples, bytes.getInt(24));
    }

    private static double loudest(Sound sound) {
        int loudest = 0;
        for (int i = 0; i < sound.samples().length; i++) {
            loudest = Math.abs(sound.samples()[i]) > Math.abs(sound.samples()[loudest]) ? i : loudest;
        }
        return loudest / (double) sound.rate();
    }

    @Test
    void threeCuesAreHeardThroughWithTheGapsThatWereAskedFor() {
        String project = listening("Through", "The lamp was lit.\n\nNobody slept that night.\n\nThen it was morning.");
        String direction = project + "/cues/" + cue(project, 0).get("id").asString() + "/project/direction";
        // unphrased: of a voice that glides two periods may be as loud as each other
        server.post(direction, Map.of("pause", "0.75", "phrasing", "0", "version", "0"));
        server.post(project + "/render", Map.of());
        Server.await("rendered", () -> server.ready(project) == 3);
        page.close();
        // the recorder isn't the application's own script
        page = context.browser()
                .newContext(new Browser.NewContextOptions().setBypassCSP(true).setViewportSize(1280, 800))
                .newPage();
        page.addInitScript(Speakers.RECORDER);
        show(project);
        page.keyboard().press("Shift+Space");
        assertThat(page.locator(".transport .play")).hasAttribute("aria-label", "Stop");
        // words light up as they sound
        assertThat(page.locator("#words .now")).isVisible();
        assertThat(page.locator("#cue-title")).containsText("030");
        assertThat(page.locator(".transport .play")).hasAttribute("aria-label", "Play the programme");
        String told = (String) page.evaluate(PEAKS);
        JsonNode peaks = Server.parsed(told);
        assertThat(peaks.size()).as(told).isEqualTo(3);
        for (int i = 0; i < 2; i++) {
            Sound one = sound(cue(project, i).get("sound").asString());
            Sound next = sound(cue(project, i + 1).get("sound").asString());
            double apart = (peaks.get(i + 1).asInt() - peaks.get(i).asInt()) / SAMPLES;
            double gap = apart - (one.seconds() - loudest(one)) - loudest(next);
            assertThat(gap).as("gap after cue " + i + ": " + told).isCloseTo(0.75, within(0.005));
        }
        page.context().close();
    }

    @Test
    void anotherSpeedKeepsThePitchAndTakesItsShareOfTheTime() {
        String project = listening("Faster", "The keeper walked along the cliff before the rain came over the bay.");
        show(project);
        String stretched =
                (String) page.evaluate("""
                async address => {
                  const { Stretcher } = await import('/js/sound/stretch.js');
                  const { piece } = await import('/js/sound/pieces.js');
                  const { samples } = await piece(address, 0);
                  const made = [0.75, 1.5].map(speed => {
                    const stretcher = new Stretcher(speed);
                    const parts = [];
                    for (let i = 0; i < samples.length; i += 10000) parts.push(...stretcher.push(samples.subarray(i, i + 10000)));
                    parts.push(...stretcher.end());
                    return parts.map(x => Math.round(x * 32767));
                  });
                  return JSON.stringify([Array.from(samples, x => Math.round(x * 32767)), ...made]);
                }""", cue(project, 0).get("sound").asString());
        JsonNode sounds = Server.parsed(stretched);
        Sound plain = of(sounds.get(0));
        for (int i = 1; i <= 2; i++) {
            Sound other = of(sounds.get(i));
            double speed = i == 1 ? 0.75 : 1.5;
            assertThat(other.seconds()).isCloseTo(plain.seconds() / speed, within(0.05));
            assertThat(12
                            * Math.log(PitchMeter.track(other).medianHz()
                                    / PitchMeter.track(plain).medianHz())
                            / Math.log(2))
                    .as("semitones at " + speed)
                    .isCloseTo(0, within(0.5));
            assertThat(other.rms(0, other.samples().length))
                    .isCloseTo(plain.rms(0, plain.samples().length), within(0.03));
        }
    }

    private static Sound of(JsonNode values) {
        float[] samples = new float[values.size()];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = values.get(i).asInt() / 32767f;
        }
        return new Sound(samples, 48_000);
    }

    @Test
    void aCueIsApprovedNotedAndSaysWhatHasChangedByKeyAlone() {
        String project = listening("Judged", "The lamp was lit at four.\n\nNobody slept that night.");
        show(project);
        Page other = context.newPage();
        other.navigate(address() + project + "/listen");
        assertThat(other.locator("html[data-live]")).isAttached();
        page.keyboard().press("Enter");
        assertThat(page.locator("#cue-title")).hasText("Cue 020");
        assertThat(page.locator("#order-told")).hasText("1 of 2 approved");
        assertThat(page.locator(".path [aria-current] .fact")).hasText("1 of 2 approved");
        assertThat(page.locator(".strip .review-approved")).hasCount(1);
        // the other window says so, too
        assertThat(other.locator("#order-told")).hasText("1 of 2 approved");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("n");
        assertThat(page.locator("#notewriter label")).hasText("Note on “slept”");
        page.keyboard().type("Quieter here.");
        page.keyboard().press("Enter");
        assertThat(page.locator("#notelist .note")).containsText("Quieter here.");
        assertThat(page.locator("#words .noted")).hasText("slept");
        assertThat(page.locator("#words")).isFocused();
        other.keyboard().press("]");
        assertThat(other.locator("#notelist .note")).containsText("Quieter here.");
        // what was approved is edited
        server.save(project, "The lamp was lit at five.\n\nNobody slept that night.", 1);
        assertThat(page.locator("#cuelist .state").first()).hasText("changed");
        assertThat(page.locator("#filters [data-filter=changed]")).containsText("1");
        page.locator("#filters [data-filter=changed]").click();
        assertThat(page.locator("#cuelist li:visible")).hasCount(1);
        page.locator("#filters [data-filter=all]").click();
        page.locator("#cuelist a").first().click();
        assertThat(page.locator("#cue-state")).hasText("changed");
        assertThat(page.locator("#approve")).isDisabled();
        // in Direct at its word, and in Write in the margin
        other.locator("a[href*=\"word=\"]").click();
        assertThat(other.locator("#score .noteline")).hasCount(1);
        assertThat(other.locator("#cuenotes")).containsText("Quieter here.");
        assertThat(other.locator("#score .word.picked")).containsText("slept");
        other.navigate(address() + project + "/write");
        assertThat(other.locator(".margincue .noted")).hasText("1 note");
        other.close();
    }

    @Test
    void takesAreSwitchedAtTheSameWordKeptDeletedAndBroughtBack() {
        String project = listening(
                "Switched",
                "The keeper walked along the cliff before the rain came, and nobody slept that night, for "
                        + "the wind had gone round to the north.");
        String cue = cue(project, 0).get("id").asString();
        server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "70", "version", "0"));
        server.post(project + "/cues/" + cue + "/render", Map.of());
        Server.await("again", () -> server.ready(project) == 1);
        show(project);
        assertThat(page.locator(".lane")).hasCount(2);
        assertThat(page.locator(".lane").first()).containsText("pace 100 → 70 %");
        page.evaluate(LIT);
        page.locator("#words .w").nth(10).click();
        page.waitForFunction("() => window.lit.length > 1");
        int before = (int) page.evaluate("() => window.lit.length");
        assertThat(headAt()).isPositive();
        page.keyboard().press("2");
        assertThat(page.locator(".lane.heard")).containsText("T1");
        page.waitForFunction("before => window.lit.length > before", before);
        // the faster take goes on at the same word, not at the same second, which is four words on
        List<?> lit = (List<?>) page.evaluate("() => window.lit");
        for (int i = 1; i < lit.size(); i++) {
            assertThat((int) lit.get(i) - (int) lit.get(i - 1))
                    .as("words lit: " + lit)
                    .isBetween(-1, 2);
        }
        page.keyboard().press("k");
        assertThat(page.locator(".lane.kept")).containsText("T1");
        page.getByLabel("Delete T2").click();
        assertThat(page.locator(".lane")).hasCount(1);
        page.getByLabel("Restore T2").click();
        assertThat(page.locator(".lane")).hasCount(2);
        page.keyboard().press("t");
        page.locator("#describe [name=labels]").fill("calmer");
        page.locator("#describe [value=save]").click();
        assertThat(page.locator(".lane.kept .label-chip")).hasText("calmer");
        page.keyboard().press("h");
        assertThat(page.locator(".lane .pill")).hasCount(0);
        page.keyboard().press("h");
        assertThat(page.locator(".lane .pill")).hasText("kept");
        page.keyboard().press("m");
        assertThat(page.locator(".lane")).hasCount(3);
        page.locator("#tab-history").click();
        assertThat(page.locator("#historylist")).containsText("T2 deleted");
        page.locator("#historylist button").last().click();
        assertThat(page.locator(".then")).containsText("The keeper walked along");
        page.locator("#tab-check").click();
        assertThat(page.locator("#checktold")).hasText("Nothing found in 1 kept take.");
        page.locator("#tab-whole").click();
        assertThat(page.locator("#space-told")).containsText("3 takes of this project use");
        accessible();
    }

    private double headAt() {
        return Double.parseDouble(String.valueOf(page.evaluate(
                "() => getComputedStyle(document.querySelector('.lanehead')).getPropertyValue('--at') || '0'")));
    }

    @Test
    void aPlaceIsLinkedToAndThePageIsReadableNarrowAndEmpty() {
        String project =
                listening("Placed", "The lamp was lit at four.\n\nNobody slept that night until the storm was over.");
        page.navigate(
                address() + project + "/listen?cue=" + cue(project, 1).get("id").asString() + "&at=1.0");
        assertThat(page.locator("#cue-title")).hasText("Cue 020");
        assertThat(page.locator("#words .chosen")).isVisible();
        assertThat(page.locator("#place-link")).hasAttribute("href", Pattern.compile(".*&at=1\\.0"));
        accessible();
        page.setViewportSize(390, 800);
        assertThat(page.locator("#words")).isVisible();
        assertThat((Integer) page.evaluate("() => document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(390);
        page.locator("#note-here").click();
        assertThat(page.locator("#note-text")).isFocused();
        page.keyboard().press("Escape");
        accessible();
        String empty = server.project("Empty", "");
        page.navigate(address() + empty + "/listen");
        assertThat(page.locator("#nothing")).isVisible();
        accessible();
    }
}
