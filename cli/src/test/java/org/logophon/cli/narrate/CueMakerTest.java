package org.logophon.cli.narrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.logophon.cli.input.ScriptFile;
import org.logophon.core.direction.Direction;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenSounds;
import org.logophon.core.voice.render.Utterance;

class CueMakerTest {

    private static final int RATE = FinishSettings.RATE;
    private static final Resampler ONE_RATE = (sound, rate) -> {
        throw new AssertionError("The engine speaks at the rate of clips.");
    };

    private final List<SpeechRequest> asked = new ArrayList<>();

    /** Two seconds of a tone for whatever is said. */
    private final SpeechEngine engine = new SpeechEngine() {
        @Override
        public String version(Voice voice) {
            return "tone 1";
        }

        @Override
        public Utterance speak(SpeechRequest request) {
            asked.add(request);
            float[] tone = new float[2 * RATE];
            for (int i = 0; i < tone.length; i++) {
                tone[i] = (float) (0.1 * Math.sin(2 * Math.PI * 150 * i / RATE));
            }
            return new Utterance(new Sound(tone, RATE), List.of(new Utterance.WordStart(0, 0)), List.of());
        }
    };

    private static Voice voice(String id, String name) {
        return new Voice(
                id, name, "en-US", "English", "", Gender.FEMALE, "test", id, EnumSet.of(Ability.PACE, Ability.PITCH));
    }

    private CueMaker maker(Direction direction, KeptSpeech kept) {
        NarrationPlan plan = new NarrationPlan(
                voice("vera", "Vera"),
                "en",
                Map.of("keeper", voice("kit", "Kit")),
                direction,
                ReadingList.NONE,
                "{number}",
                FinishSettings.to(-19.0),
                SpokenSounds.NONE);
        return new CueMaker(new Narrator(engine, ONE_RATE), new ClipFinisher(ONE_RATE), plan, null, kept);
    }

    private static ScriptFile script(String text) {
        Script script = Script.parse(text, Splitting.DEFAULT, HandCuts.NONE, "en");
        List<String> numbers = script.cues().stream()
                .map(cue -> "0" + (script.cues().indexOf(cue) + 1) + "0")
                .toList();
        return new ScriptFile("lantern", script, numbers, List.of(), List.of(), "");
    }

    @Test
    void aClipIsFinishedAndSaysWhoSpeaksIt() {
        ScriptFile file = script("The lamp was lit.\n\nKEEPER: Fog till noon.");
        CueMaker maker = maker(Direction.NONE, new KeptSpeech(0));
        MadeClip first = maker.make(file, 0, "010.wav", null).made();
        assertThat(first.clip().voice()).isEqualTo("Vera");
        assertThat(first.clip().loudness().lufs()).isCloseTo(-19, within(0.5));
        MadeClip second = maker.make(file, 1, "020.wav", null).made();
        assertThat(second.clip().voice()).isEqualTo("Kit");
        assertThat(second.clip().number()).isEqualTo("020");
        assertThat(second.clip().file()).isEqualTo("020.wav");
        assertThat(second.clip().text()).isEqualTo("Fog till noon.");
    }

    @Test
    void theLengthIsThatOfTheFinishedClip() {
        MadeClip.Sounding made =
                maker(Direction.NONE, new KeptSpeech(0)).make(script("The lamp was lit."), 0, "010.wav", null);
        assertThat(made.made().length())
                .isEqualTo(new SampleCount(made.sound().sound().length()));
    }

    @Test
    void louderCuesGetTheirDecibelsOnTopOfTheTarget() {
        MadeClip made = maker(new Direction(null, null, -6.0, null), new KeptSpeech(0))
                .make(script("The lamp was lit."), 0, "010.wav", null)
                .made();
        assertThat(made.clip().loudness().lufs()).isCloseTo(-25, within(0.5));
    }

    @Test
    void aCueWithoutWordsIsRefusedWithASentenceAndAsksNoEngine() {
        CueMaker maker = maker(Direction.NONE, new KeptSpeech(0));
        assertThatThrownBy(() -> maker.make(script("…"), 0, "010.wav", null)).isInstanceOf(SpeechFailed.class);
        assertThat(asked).isEmpty();
    }

    @Test
    void whatWasSpokenBeforeNeedsNoEngine() {
        ScriptFile file = script("The lamp was lit.");
        CueMaker maker = maker(Direction.NONE, new KeptSpeech(10L * RATE));
        MadeClip.Sounding first = maker.make(file, 0, "010.wav", null);
        int renders = asked.size();
        MadeClip.Sounding again = maker.make(file, 0, "010.wav", null);
        assertThat(asked).hasSize(renders);
        assertThat(again.made().clip().loudness()).isEqualTo(first.made().clip().loudness());
        assertThat(again.made().length()).isEqualTo(first.made().length());
    }

    @Test
    void aTitleIsSpokenByTheVoiceOfTheNarration() {
        maker(Direction.NONE, new KeptSpeech(0)).say("Lantern. Two seconds.");
        assertThat(asked).isNotEmpty().allSatisfy(request -> {
            assertThat(request.voice().name()).isEqualTo("Vera");
            assertThat(request.text().text()).contains("Lantern");
        });
    }
}
