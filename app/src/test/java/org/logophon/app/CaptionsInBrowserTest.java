package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.text.script.Words;
import org.logophon.core.time.caption.Caption;
import org.logophon.core.time.caption.Captions;
import org.logophon.core.time.caption.WebVtt;
import org.logophon.core.time.caption.WordCaptions;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip.TimedWord;
import tools.jackson.databind.JsonNode;

/** WebVTT as Chromium's own parser takes it: every caption, its times, its voice, and its words one by one. */
class CaptionsInBrowserTest extends BrowserTest {

    private static final String TEXT =
            "Lean <in> & hold: the kiln needs eight hours; open it too soon, and everything in it cracks. Wait.";

    private static final String PARSED = """
            async vtt => {
              const track = document.querySelector('track');
              track.src = URL.createObjectURL(new Blob([vtt], { type: 'text/vtt' }));
              track.track.mode = 'hidden';
              await new Promise((resolve, reject) => { track.onload = resolve; track.onerror = reject; });
              return JSON.stringify([...track.track.cues].map(cue => {
                const parsed = cue.getCueAsHTML();
                return { start: cue.startTime, end: cue.endTime, text: parsed.textContent,
                  voice: parsed.querySelector('span[title]')?.title ?? '', raw: cue.text };
              }));
            }""";

    private JsonNode parsed(String vtt) {
        page.setContent("<video><track default></video>");
        return Server.parsed((String) page.evaluate(PARSED, vtt));
    }

    private static List<TimedWord> words() {
        List<TimedWord> words = new ArrayList<>();
        double at = 0;
        for (var word : Words.of(TEXT)) {
            words.add(new TimedWord(word.start(), word.end(), at, at + 0.3));
            at += 0.34;
        }
        return words;
    }

    @Test
    void captionsAndWordsAreReadAsTheyWereWritten() {
        Captions.Place place =
                new Captions.Place(SampleCount.ofMillis(3_600_000), SampleCount.ofMillis(3_700_000), 0.04, "en-GB");
        List<Caption> captions = Captions.of(TEXT, words(), place, "Keeper");
        JsonNode shown = parsed(WebVtt.of(captions, "en-GB"));
        assertThat(shown.size()).isEqualTo(captions.size()).isGreaterThan(1);
        for (int i = 0; i < captions.size(); i++) {
            JsonNode cue = shown.get(i);
            assertThat(cue.get("start").asDouble()).isCloseTo(captions.get(i).startMillis() / 1_000.0, within(1e-6));
            assertThat(cue.get("end").asDouble()).isCloseTo(captions.get(i).endMillis() / 1_000.0, within(1e-6));
            assertThat(cue.get("text").asString())
                    .isEqualTo(String.join("\n", captions.get(i).lines()));
            assertThat(cue.get("voice").asString()).isEqualTo("Keeper");
        }
        List<WordCaptions.Group> groups = WordCaptions.of(TEXT, words(), place, "");
        JsonNode oneByOne = parsed(WordCaptions.vtt(groups, ""));
        assertThat(oneByOne.size()).isEqualTo(groups.size());
        List<String> said = new ArrayList<>();
        oneByOne.forEach(cue -> said.addAll(List.of(cue.get("text").asString().split(" "))));
        assertThat(said).isEqualTo(List.of(TEXT.split(" ")));
    }
}
