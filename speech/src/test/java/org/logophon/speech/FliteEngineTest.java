package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;

class FliteEngineTest {

    private static final WorkerPool POOL = new WorkerPool(1);
    private static final FliteEngine ENGINE = new FliteEngine(POOL);

    @AfterAll
    static void stop() {
        POOL.close();
    }

    private static Voice voice(String id) {
        return FliteVoices.all().stream()
                .filter(voice -> voice.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Utterance speak(String id, String text, double pace) {
        return ENGINE.speak(new SpeechRequest(voice(id), SpokenText.of(text), pace, 0));
    }

    @Test
    void oneWorkerServesManyTextsInAllVoices() {
        speak("rufus", "A lamp.", 1);
        List<Long> worker = POOL.pids();
        for (int i = 0; i < 120; i++) {
            speak(FliteVoices.all().get(i % 4).id(), "Lamp " + i + ".", 0.8 + i % 5 * 0.1);
        }
        assertThat(POOL.pids())
                .as("the library keeps pointers that it is given; a collected one would be a crash")
                .isEqualTo(worker);
    }

    @Test
    void paceIsTheEnginesOwnAndTheNextTextIsNotTouchedByIt() {
        double own = SpeechSpan.soundingSeconds(
                speak("rufus", "The lamp was lit at four.", 1).sound());
        assertThat(SpeechSpan.soundingSeconds(
                                speak("rufus", "The lamp was lit at four.", 0.5).sound())
                        / own)
                .isBetween(1.8, 2.2);
        assertThat(SpeechSpan.soundingSeconds(
                        speak("rufus", "The lamp was lit at four.", 1).sound()))
                .isEqualTo(own);
    }

    @Test
    void theSameRequestGivesTheSameSamples() {
        float[] first =
                speak("marnie", "The lamp was lit at four.", 1.1).sound().samples();
        speak("otis", "Something else.", 2);
        assertThat(speak("marnie", "The lamp was lit at four.", 1.1).sound().samples())
                .isEqualTo(first);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<speak><break time='9s'/></speak>",
                "%s%n%x \\ ; rm -rf",
                "a\u0000b\u0007c",
                "😀😀😀 lamp",
                "((((((((((",
                "lamp' OR 1=1 --",
                "שלום lamp 你好",
                "1e999 -1 0x41",
                "\u202elamp",
                "ａｂｃ ﬁ ﬂ",
                "Dr. No. St. vs. e.g. i.e."
            })
    void hostileTextIsOnlyText(String text) {
        Utterance utterance = speak("rufus", text + " Lamp.", 1);
        assertThat(SpeechSpan.soundingSeconds(utterance.sound())).isGreaterThan(0.1);
        int length = SpokenText.of(text + " Lamp.")
                .text()
                .codePointCount(0, SpokenText.of(text + " Lamp.").text().length());
        assertThat(utterance.words())
                .allSatisfy(word -> assertThat(word.codePoint()).isBetween(0, length));
    }

    @Test
    void aTextOfOneCuesLengthIsSpokenWhole() {
        String text = "The crew have one tide to lift it out. ".repeat(256).strip();
        Utterance utterance = speak("otis", text, 1);
        assertThat(utterance.words()).hasSize(256 * 9);
        assertThat(utterance.words().get(utterance.words().size() - 1).codePoint())
                .isEqualTo(text.lastIndexOf("out"));
    }

    @Test
    void lettersItDoesNotKnowAreWrittenInThoseItDoes() {
        NarrowText ascii = NarrowText.ascii(SpokenText.of("Ffïon’s “naïve” café, Ærø — ок"));
        assertThat(ascii.text()).startsWith("Ffion's \"naive\" cafe, AEro").containsPattern("^\\p{ASCII}*$");
        // each letter knows the place that it comes from
        assertThat(ascii.spokenAt(ascii.text().indexOf("cafe"))).isEqualTo("Ffïon’s “naïve” café".indexOf("café"));
        assertThat(ascii.spokenAt(10_000)).isEqualTo("Ffïon’s “naïve” café, Ærø — ок".length() - 1);
        assertThat(NarrowText.ascii(SpokenText.of("")).spokenAt(3)).isZero();
    }
}
