package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The user's own picture beside the timeline: in step with the voice, and slots tapped while it runs. */
class PicturePageTest extends BrowserTest {

    private static final double FRAME = 0.04;

    /**
     * A picture made by FFmpeg: VP8, 25 frames a second, its frame number as sixteen black or white fields from the
     * lowest bit on, and a beep at each second.
     */
    private static Path counted(Path folder) throws Exception {
        Path file = folder.resolve("picture.webm");
        List<String> command = List.of(
                "ffmpeg",
                "-v",
                "error",
                "-f",
                "lavfi",
                "-i",
                "color=black:size=128x16:rate=25:duration=20,geq=lum='255*mod(floor(N/pow(2,floor(X/8))),2)':cb=128:cr=128",
                "-f",
                "lavfi",
                "-i",
                "aevalsrc='0.5*sin(2*PI*1000*t)*lt(mod(t,1),0.04)':s=48000:d=20",
                "-c:v",
                "libvpx",
                "-deadline",
                "realtime",
                "-b:v",
                "300k",
                "-c:a",
                "libopus",
                file.toString());
        assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
        return file;
    }

    /**
     * For each frame that is shown in some seconds: its number as it is seen, and where the programme is at that
     * moment.
     */
    private static final String SEEN = """
            seconds => {
              const video = document.querySelector('video');
              const canvas = Object.assign(document.createElement('canvas'), { width: 128, height: 16 });
              const paint = canvas.getContext('2d', { willReadFrequently: true });
              const seen = [];
              let heard = null;
              document.addEventListener('logophon:playhead', event => {
                heard = event.detail.seconds === null ? null : { at: performance.now(), elapsed: event.detail.elapsed };
              });
              window.seen = new Promise(resolve => {
                const look = () => {
                  if (heard) {
                    paint.drawImage(video, 0, 0, 128, 16);
                    const row = paint.getImageData(0, 8, 128, 1).data;
                    let number = 0;
                    for (let bit = 0; bit < 16; bit++) if (row[(bit * 8 + 4) * 4] > 127) number |= 1 << bit;
                    seen.push([number / 25, heard.elapsed + (performance.now() - heard.at) / 1000]);
                    if (seen.at(-1)[1] - seen[0][1] > seconds) { resolve(JSON.stringify(seen)); return; }
                  }
                  video.requestVideoFrameCallback(look);
                };
                video.requestVideoFrameCallback(look);
              });
            }""";

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.get(sorted.size() / 2);
    }

    /** Brings the picture to a second. */
    private void showAt(double seconds) {
        page.evaluate("""
                seconds => new Promise(resolve => {
                  const video = document.querySelector('video');
                  video.addEventListener('seeked', () => resolve(video.currentTime), { once: true });
                  video.currentTime = seconds;
                })""", seconds);
    }

    @Test
    void anOwnPictureStartsAndGoesWithTheVoiceAndItsSlotsAreTapped(@TempDir Path folder) throws Exception {
        String project = server.project(
                "Own picture",
                "The keeper walked along the cliff before the rain came over the bay, and he counted the "
                        + "ships that were still out, and lit the lamp early.");
        server.post(project + "/render", Map.of("step", "PLACE"));
        Server.await("rendered", () -> server.ready(project) == 1);
        page.navigate(address() + project + "/place");
        page.locator("#rate").selectOption("25");
        page.locator("#video-file").setInputFiles(counted(folder));
        assertThat(page.locator("#video-told")).containsText("00:00:20:00 long. It stays in this browser.");
        accessible();
        page.getByLabel("Play its sound").check();
        assertThat((Boolean) page.evaluate("() => document.querySelector('video').muted"))
                .isFalse();
        page.evaluate(SEEN, 5);
        page.getByLabel("Play the programme").click();
        JsonNode seen = Server.parsed((String) page.evaluate("() => window.seen"));
        List<Double> off = new java.util.ArrayList<>();
        // a frame is seen from its own time on until the next one's
        seen.forEach(one -> off.add(one.get(1).asDouble() - one.get(0).asDouble() - FRAME / 2));
        assertThat(off).as("frames seen in five seconds").hasSizeGreaterThanOrEqualTo(24);
        assertThat(Math.abs(median(off.subList(0, 12))))
                .as("at the start: " + off.subList(0, 12))
                .isLessThanOrEqualTo(FRAME);
        assertThat(Math.abs(median(off.subList(off.size() / 2, off.size()))))
                .as("later")
                .isLessThanOrEqualTo(FRAME);
        page.locator(".transport .play").click();
        page.locator("#rows .cuecell").first().click();
        showAt(1);
        page.keyboard().press("i");
        assertThat(page.locator(".transport .hint")).containsText("In at 00:00:01:00. O taps the out");
        showAt(2.2);
        page.keyboard().press("o");
        assertThat(page.getByLabel("Slot of cue 010 begins at")).hasValue("00:00:01:00");
        assertThat(page.getByLabel("Slot of cue 010 ends at")).hasValue("00:00:02:05");
        page.locator("#video-close").click();
        assertThat(page.locator("video")).isHidden();
    }
}
