package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;

/** Festival by pipe, under the same rules as the engines that are libraries. */
class FestivalEngineTest {

    private static final String LINE = "The crew have one tide to lift it out, and the sling is rated for most of it.";
    private static final WorkerPool POOL = new WorkerPool(1);
    private static final FestivalEngine ENGINE = new FestivalEngine(POOL);
    private static final Voice VERITY = FestivalVoices.all().get(0);

    @AfterAll
    static void stop() {
        POOL.close();
    }

    private static Utterance speak(String text, double pace) {
        return ENGINE.speak(new SpeechRequest(VERITY, SpokenText.of(text), pace, 0));
    }

    private static Speech render(Integer pace, Double pitch) {
        return new Narrator(new Engines(POOL), new WorkerResampler(POOL))
                .render(Recipe.of(
                        LINE,
                        VERITY,
                        ENGINE.version(VERITY),
                        ResolvedDirection.of(new Direction(pace, pitch, null, null))));
    }

    private static final Map<String, String> LINES = Map.of(
            "it", "La lampada si accende ogni sera, perché la città è lontana; dopo 12 ore si spegne.",
            "fi", "Majakan lamppu syttyy joka ilta, ja yöllä näkyy valo; 12 tunnin jälkeen se sammuu.",
            "cs", "Lampa na majáku svítí každý večer, protože město leží daleko; po 12 hodinách zhasne.",
            "ca", "La llàntia del far s’encén cada vespre, perquè la ciutat és lluny; després d’unes hores s’apaga.",
            "ru", "Лампа на маяке горит каждый вечер, потому что город далеко; утром её гасят.");

    /** Those that are installed: on a bare machine the tests install an Italian and a Catalan one. */
    static List<Voice> ofOtherLanguages() {
        return FestivalVoices.all().stream()
                .filter(voice -> !voice.language().startsWith("en"))
                .toList();
    }

    /** Words with their places through letters of two bytes, and pace and pitch as they are promised. */
    @ParameterizedTest
    @MethodSource("ofOtherLanguages")
    void anotherLanguageKeepsTheSamePromises(Voice voice) {
        String line = LINES.get(voice.language());
        Narrator narrator = new Narrator(new Engines(POOL), new WorkerResampler(POOL));
        Utterance said = ENGINE.speak(new SpeechRequest(voice, SpokenText.of(line), 1, 0));
        List<Integer> starts = IntStream.range(0, line.length())
                .filter(at -> Character.isLetterOrDigit(line.charAt(at)) && (at == 0 || line.charAt(at - 1) == ' '))
                .boxed()
                .toList();
        assertThat(said.words()).extracting(Utterance.WordStart::codePoint).containsAll(starts);
        assertThat(said.words()).extracting(Utterance.WordStart::sample).isSorted();
        double own = SpeechSpan.soundingSeconds(said.sound());
        double hertz = PitchMeter.track(said.sound()).medianHz();
        for (int pace : new int[] {80, 125}) {
            Speech made = narrator.render(
                    Recipe.of(line, voice, "", ResolvedDirection.of(new Direction(pace, null, null, null))));
            assertThat(SpeechSpan.soundingSeconds(made.sound()))
                    .as(voice.id() + " at pace " + pace)
                    .isCloseTo(own * 100 / pace, within(0.03 * own * 100 / pace));
        }
        Speech higher =
                narrator.render(Recipe.of(line, voice, "", ResolvedDirection.of(new Direction(null, 3.0, null, null))));
        assertThat(12 * Math.log(PitchMeter.track(higher.sound()).medianHz() / hertz) / Math.log(2))
                .isCloseTo(3, within(0.5));
    }

    /** One Festival says all voices in turn: none leaves anything to the next. */
    @Test
    void aVoiceSoundsTheSameAfterAnother() {
        float[] before = speak(LINE, 1).sound().samples();
        for (Voice voice : ofOtherLanguages()) {
            String line = LINES.get(voice.language());
            float[] first = ENGINE.speak(new SpeechRequest(voice, SpokenText.of(line), 1, 0))
                    .sound()
                    .samples();
            assertThat(speak(LINE, 1).sound().samples())
                    .as("after " + voice.id())
                    .isEqualTo(before);
            assertThat(ENGINE.speak(new SpeechRequest(voice, SpokenText.of(line), 1, 0))
                            .sound()
                            .samples())
                    .as(voice.id())
                    .isEqualTo(first);
        }
    }

    @Test
    void theSameRequestGivesTheSameSamples() {
        float[] first = speak(LINE, 1.1).sound().samples();
        speak("Something else.", 2);
        assertThat(speak(LINE, 1.1).sound().samples()).isEqualTo(first);
    }

    @Test
    void everyWordOfEverySentenceHasItsPlaceAndTime() {
        String text = "He said \"no\", and 12 of them left. Then the lamp was lit.";
        Utterance utterance = speak(text, 1);
        List<Utterance.WordStart> words = utterance.words();
        assertThat(words)
                .extracting(Utterance.WordStart::codePoint)
                .isSorted()
                .contains(text.indexOf("said"), text.indexOf("12"), text.indexOf("lamp"), text.indexOf("lit"));
        assertThat(words).extracting(Utterance.WordStart::sample).isSorted();
        // a sentence ends in a rest, and the next begins behind it
        int then = words.stream()
                .filter(word -> word.codePoint() == text.indexOf("Then"))
                .findFirst()
                .orElseThrow()
                .sample();
        assertThat(utterance.phonemes())
                .anyMatch(sound -> sound.silent()
                        && Math.abs(sound.sample() - then) < utterance.sound().rate() / 2);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\")(system \"touch %s\")(set! u \"",
                "<speak><break time='9s'/></speak>",
                "%s%n%x \\ ; rm -rf",
                "a\u0000b\u0007c",
                "😀😀😀 lamp",
                "((((((((((",
                "\\\"\\\\\" ' `",
                "שלום lamp 你好",
                "1e999 -1 0x41"
            })
    void hostileTextIsOnlyText(String text, @TempDir Path folder) {
        Path made = folder.resolve("made");
        Utterance utterance = speak(text.replace("%s", made.toString()) + " Lamp.", 1);
        assertThat(SpeechSpan.soundingSeconds(utterance.sound())).isGreaterThan(0.1);
        assertThat(Files.exists(made)).as("a text is data, never code").isFalse();
    }

    @Test
    void aTextOfOneCuesLengthIsSpokenWhole() {
        String text = "The crew have one tide to lift it out. ".repeat(60).strip();
        Utterance utterance = speak(text, 1);
        assertThat(utterance.words()).hasSize(60 * 9);
        assertThat(utterance.words().get(utterance.words().size() - 1).codePoint())
                .isEqualTo(text.lastIndexOf("out"));
    }

    /** The promises of pace, over what sounds, and of pitch: ±3 % and ±0.5 semitones. */
    @Test
    void paceAndPitchAreWhatIsAsked() {
        Speech plain = render(null, null);
        double own = SpeechSpan.soundingSeconds(plain.sound());
        for (int pace : new int[] {80, 125}) {
            assertThat(SpeechSpan.soundingSeconds(render(pace, null).sound()))
                    .as("pace " + pace)
                    .isCloseTo(own * 100 / pace, within(0.03 * own * 100 / pace));
        }
        double hertz = PitchMeter.track(plain.sound()).medianHz();
        for (double semitones : new double[] {-4, 3}) {
            double moved = PitchMeter.track(render(null, semitones).sound()).medianHz();
            assertThat(12 * Math.log(moved / hertz) / Math.log(2))
                    .as("pitch " + semitones)
                    .isCloseTo(semitones, within(0.5));
        }
    }
}
