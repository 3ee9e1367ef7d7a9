package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.WordTime;

class EspeakEngineTest {

    private static final WorkerPool POOL = new WorkerPool(2);
    private static final EspeakEngine ENGINE = new EspeakEngine(POOL);
    private static final VoiceCatalogue VOICES = new FixedVoices(EspeakVoices.all());
    private static final String LINE = "The crew have one tide to lift it out, and the sling is rated for most of it.";

    @AfterAll
    static void stop() {
        POOL.close();
    }

    private static Voice voice(String id) {
        return VOICES.find(id).orElseThrow();
    }

    private static Speech render(String text, String voice, Integer pace, Double pitch) {
        return new Narrator(ENGINE, new WorkerResampler(POOL))
                .render(Recipe.of(
                        text,
                        voice(voice),
                        ENGINE.version(voice(voice)),
                        ResolvedDirection.of(new Direction(pace, pitch, null, null))));
    }

    /** Sixteen syllables, and no English figures for their tones. */
    @ParameterizedTest
    @ValueSource(strings = {"meiling", "haoran"})
    void mandarinIsASyllableForACharacter(String id) {
        Speech said = render("夜晚结束船只回家之前没有人感谢灯。", id, null, null);
        assertThat(said.sound().seconds()).isBetween(3.0, 5.1);
    }

    @Test
    void aWorkerThatHasSpokenOftenSpeaksOn(@TempDir Path folder) throws IOException {
        Path starts = folder.resolve("starts");
        String home = EspeakData.prepare();
        List<String> counted = List.of(
                "sh", "-c", "echo started >> " + starts + "; exec " + String.join(" ", WorkerCommand.line(home)));
        try (WorkerPool one = new WorkerPool(1, home, counted)) {
            EspeakEngine engine = new EspeakEngine(one);
            SpeechRequest request = new SpeechRequest(voice("isla"), SpokenText.of("One tide."), 1, 0);
            for (int i = 0; i < 180; i++) {
                engine.speak(request);
            }
        }
        assertThat(Files.readAllLines(starts)).as("workers that it took").hasSize(1);
    }

    @Test
    void everyVoiceSpeaks() {
        assertThat(VOICES.all()).hasSizeGreaterThan(300).allSatisfy(voice -> {
            Sound sound = ENGINE.speak(new SpeechRequest(voice, SpokenText.of("1 2 3 salam салам שלום ᎣᏏᏲ"), 1, 0))
                    .sound();
            assertThat(SpeechSpan.soundingSeconds(sound)).as(voice.id()).isGreaterThan(0.2);
        });
    }

    @Test
    void everyLanguageHasAManAndAWomanAndEveryEnglishAccentSeveralAndAWhisper() {
        VOICES.all().stream().collect(Collectors.groupingBy(Voice::language)).forEach((language, voices) -> {
            assertThat(voices).as(language).extracting(Voice::gender).contains(Gender.MALE, Gender.FEMALE);
            if (language.startsWith("en-")) {
                for (Gender gender : Gender.values()) {
                    assertThat(voices.stream().filter(v -> v.gender() == gender && !v.whispers()))
                            .as(language)
                            .hasSizeGreaterThanOrEqualTo(3);
                }
                assertThat(voices.stream().filter(Voice::whispers)).as(language).isNotEmpty();
            }
        });
        assertThat(VOICES.all().stream()
                        .filter(v -> v.language().startsWith("en-"))
                        .map(Voice::language)
                        .collect(Collectors.toSet()))
                .isEqualTo(Set.of(
                        "en-GB",
                        "en-GB-x-rp",
                        "en-GB-x-lancs",
                        "en-GB-x-westmid",
                        "en-GB-scotland",
                        "en-US",
                        "en-US-x-nyc",
                        "en-029"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                LINE,
                "Its lens weighs 2.3 t, and it floats — on a bath (of mercury); that 1,240 children could turn it.",
                "Lit the lamp at 4:52. “Read” until two… Naïve café e\u0301te\u0301 😀 done? It’s £38,500 in No. 4.",
                "\u202eHELLO\u202c \u200bworld, UV and LED: 12 W, that’s all!\u0000 Dr. Who’s back-up.",
                "Roedd y goleudy yn dywyll, a’r môr yn ddu."
            })
    void everyWrittenWordHasItsTime(String text) {
        Speech speech = render(text, "isla", null, null);
        assertThat(speech.words())
                .extracting(w -> text.substring(w.start(), w.end()))
                .isEqualTo(Words.of(text).stream().map(w -> w.in(text)).toList());
        int at = -1;
        for (WordTime word : speech.words()) {
            assertThat(word.startSample()).isGreaterThan(at);
            assertThat(word.endSample())
                    .isGreaterThan(word.startSample())
                    .isLessThanOrEqualTo(speech.sound().samples().length);
            at = word.startSample();
        }
    }

    /** The sound itself says where a word starts: speech after a full stop begins where its word does. */
    @Test
    void wordTimesAgreeWithTheSound() {
        String text = "Lamp. Tide. Boat. Crane. Putty.";
        Speech speech = render(text, "bram", null, null);
        for (WordTime word : speech.words()) {
            Sound before = speech.sound().cut(Math.max(0, word.startSample() - 2_200), word.startSample());
            Sound after = speech.sound()
                    .cut(word.startSample(), Math.min(speech.sound().samples().length, word.startSample() + 2_200));
            assertThat(energy(after)).isGreaterThan(20 * energy(before));
        }
    }

    @Test
    void aWordEndsWhereThePauseAfterItStarts() {
        String text = "Wind north-west, force nine. Lit the lamp.";
        Speech speech = render(text, "hamish", 83, null);
        WordTime nine = speech.words().get(3);
        WordTime lit = speech.words().get(4);
        double pause =
                (lit.startSample() - nine.endSample()) / (double) speech.sound().rate();
        assertThat(pause).isBetween(0.15, 0.8);
        assertThat(energy(speech.sound().cut(nine.endSample() + 700, lit.startSample() - 200)))
                .isLessThan(energy(speech.sound().cut(nine.startSample(), nine.endSample())) / 1000);
    }

    /** The promise of domain.md on the whole cue: pace ±3 %, pitch ±0.5 semitone. */
    @ParameterizedTest
    @CsvSource({
        "isla, 60, 0",
        "isla, 85, -2",
        "isla, 160, 6",
        "bram, 100, -6",
        "bram, 120, 3",
        "hamish, 75, 4",
        "tamsin, 140, -4",
        "xanthe, 90, 5"
    })
    void paceAndPitchMeasureAsAsked(String voice, int pace, double pitch) {
        Sound own = render(LINE, voice, null, null).sound();
        Sound directed = render(LINE, voice, pace, pitch).sound();
        double gotPace = 100 * SpeechSpan.soundingSeconds(own) / SpeechSpan.soundingSeconds(directed);
        double gotPitch = PitchTrack.semitones(
                PitchMeter.track(own).medianHz(), PitchMeter.track(directed).medianHz());
        assertThat(gotPace).isCloseTo(pace, within(pace * 0.03));
        assertThat(gotPitch).isCloseTo(pitch, within(0.5));
    }

    /** In every timbre, whatever the worker spoke before. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "isla", "tamsin", "bryony", "linnet", "rowan", "aldric", "bram", "corin", "wystan", "crispin", "jory",
                "jessamy"
            })
    void theSameRequestGivesTheSameSamples(String id) {
        SpeechRequest request = new SpeechRequest(voice(id), SpokenText.of(LINE), 0.9, 2);
        float[] first = ENGINE.speak(request).sound().samples();
        for (String before : List.of(
                "Something else, much faster.",
                "The keeper, and the boy, and the lamp, and the sea, wrote one line for the weather. ".repeat(9),
                "break time=\"9s\"/ Lamp.",
                "שלום, 你好")) {
            ENGINE.speak(new SpeechRequest(voice("thirza"), SpokenText.of(before), 1.8, -5));
            assertThat(java.util.Arrays.equals(ENGINE.speak(request).sound().samples(), first))
                    .isTrue();
        }
    }

    @Test
    void aWhisperHasNoPitch() {
        List<Voice> whispers = VOICES.all().stream().filter(Voice::whispers).toList();
        Speech speech = render(LINE, whispers.get(0).id(), 90, 3.0);
        assertThat(PitchMeter.track(speech.sound()).voicedShare()).isLessThan(0.1);
        assertThat(speech.measurement().misses(0.9, 3.0, whispers.get(0)))
                .singleElement()
                .asString()
                .contains("whisper has no pitch");
    }

    /** The measured median pitch of every English voice: women's lie above men's in each accent. */
    @Test
    void womenSoundHigherThanMen() {
        VOICES.all().stream()
                .filter(v -> v.language().startsWith("en-") && !v.whispers())
                .collect(Collectors.groupingBy(Voice::language))
                .forEach((accent, voices) -> {
                    double highestMan = 0;
                    double lowestWoman = 1_000;
                    for (Voice voice : voices) {
                        double hertz = PitchMeter.track(
                                        ENGINE.speak(new SpeechRequest(voice, SpokenText.of(LINE), 1, 0))
                                                .sound())
                                .medianHz();
                        highestMan = voice.gender() == Gender.MALE ? Math.max(highestMan, hertz) : highestMan;
                        lowestWoman = voice.gender() == Gender.FEMALE ? Math.min(lowestWoman, hertz) : lowestWoman;
                    }
                    assertThat(lowestWoman).as(accent).isGreaterThan(highestMan * 1.2);
                });
    }

    /**
     * Text is text: what an engine would take for markup, phonemes or commands is spoken or passed over, and nothing
     * breaks.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<break time=\"9s\"/>Lamp.",
                "[[h@l'oU]] lamp",
                "<voice name='x'>Lamp</voice>",
                "&lt;lamp&gt; %s %n $(id)",
                "\u0001\u0002 lamp \u0007",
                "lamp \ud800 lamp",
                "ÁÀÂ\u0300\u0301\u0302\u0303 lamp",
                "lamp\u200d\u200b\ufeff"
            })
    void hostileTextIsOnlyText(String text) {
        Speech speech = render(text, "isla", null, null);
        assertThat(speech.sound().seconds()).isLessThan(8);
        assertThat(speech.words()).isNotEmpty();
    }

    @Test
    void theLongestCueIsSpokenWhole() {
        String text = "The keeper wrote one line for the weather and one for the lamp. "
                .repeat(156)
                .strip();
        Speech speech = render(text, "bram", null, null);
        assertThat(speech.words()).hasSize(156 * 13);
        assertThat(speech.sound().seconds()).isBetween(400.0, 900.0);
        WordTime last = speech.words().get(speech.words().size() - 1);
        assertThat(last.startSample()).isGreaterThan((int) (speech.sound().samples().length * 0.99));
    }

    /** A sine keeps its frequency, level and length across the change of rate. */
    @Test
    void resamplingKeepsATone() {
        Sound tone = sine(22_050);
        Sound resampled = new WorkerResampler(POOL).resample(tone, 48_000);
        assertThat(resampled.samples()).hasSize(48_000);
        double worst = 0;
        Sound wanted = sine(48_000);
        for (int i = 2_000; i < 46_000; i++) {
            worst = Math.max(worst, Math.abs(resampled.samples()[i] - wanted.samples()[i]));
        }
        assertThat(worst).isLessThan(1e-4);
    }

    /** One second of 440 Hz at −6 dBFS. */
    private static Sound sine(int rate) {
        float[] samples = new float[rate];
        for (int i = 0; i < rate; i++) {
            samples[i] = (float) (0.5 * Math.sin(2 * Math.PI * 440 * i / rate));
        }
        return new Sound(samples, rate);
    }

    private static double energy(Sound sound) {
        double sum = 1e-9;
        for (float sample : sound.samples()) {
            sum += sample * sample;
        }
        return sum;
    }
}
