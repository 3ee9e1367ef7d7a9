package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.prosody.Shape;
import org.logophon.core.signal.prosody.VoiceReshaper;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.figures.MeasuringPassage;
import org.logophon.core.voice.figures.VoiceFigures;
import org.logophon.core.voice.figures.VoiceMeter;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;

/** What is measured on the voices, against Praat. */
class FiguresAgreementTest {

    private static final VoiceCatalogue VOICES = NativeVoices.catalogue();
    private static final double CEILING_HZ = 5_500;
    private static Narrator narrator;

    @BeforeAll
    static void start() {
        narrator = new Narrator(SharedSpeech.ENGINES, new WorkerResampler(SharedSpeech.POOL));
    }

    private static Voice voice(String id) {
        return VOICES.find(id).orElseThrow();
    }

    /** The figures that Praat gave for the same passages, see the head of praat.tsv. */
    @Test
    void everyEnglishVoiceMeasuresAsAnotherToolMeasuresIt() throws IOException {
        List<String[]> stored;
        try (InputStream table = FiguresAgreementTest.class.getResourceAsStream("praat.tsv")) {
            stored = new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .toList();
        }
        assertThat(stored)
                .extracting(row -> row[0])
                .containsExactlyInAnyOrderElementsOf(VOICES.all().stream()
                        .filter(v -> v.language().startsWith("en"))
                        .map(Voice::id)
                        .toList());
        int words = Words.count(MeasuringPassage.in("en-GB").text());
        SharedSpeech.some(stored).parallelStream().forEach(row -> {
            VoiceFigures ours = SharedSpeech.figures(voice(row[0]));
            if (row[1].equals("-")) {
                assertThat(ours.medianPitchHz()).as("%s whispers", row[0]).isNull();
            } else {
                double hertz = Double.parseDouble(row[1]);
                assertThat(ours.medianPitchHz()).as("pitch of %s", row[0]).isCloseTo(hertz, within(0.015 * hertz));
                assertThat(ours.pitchRangeSemitones())
                        .as("range of %s", row[0])
                        .isCloseTo(Double.parseDouble(row[2]), within(0.7));
            }
            double pace = words / Double.parseDouble(row[3]) * 60;
            assertThat(ours.wordsPerMinute()).as("pace of %s", row[0]).isCloseTo(pace, within(0.02 * pace));
            double gravity = Double.parseDouble(row[4]);
            assertThat(ours.brightnessHz()).as("brightness of %s", row[0]).isCloseTo(gravity, within(0.1 * gravity));
        });
    }

    @Test
    void otherLanguagesReadPublishedWords() {
        assertThat(MeasuringPassage.in("de").text()).startsWith("Einst stritten sich Nordwind und Sonne");
        // CLDR's Welsh numbers; for Lojban it has none, and its words aren't counted
        assertThat(MeasuringPassage.in("cy").text()).startsWith("un dau tri pedwar pump");
        assertThat(MeasuringPassage.in("jbo").text()).startsWith("1 2 3 ");
        assertThat(VoiceMeter.measure(
                                narrator,
                                VOICES.all().stream()
                                        .filter(v -> v.language().equals("jbo"))
                                        .findFirst()
                                        .orElseThrow())
                        .wordsPerMinute())
                .isNull();
    }

    private static Sound spoken(String id, String text) {
        return narrator.render(Recipe.of(text, voice(id), narrator.engineVersion(voice(id)), ResolvedDirection.NEUTRAL))
                .sound();
    }

    private static double interval(double fromHz, double toHz) {
        return 12 * Math.log(toHz / fromHz) / Math.log(2);
    }

    @ParameterizedTest
    @CsvSource({"isla,3", "isla,-3", "marnie,3", "marnie,-3", "rufus,2"})
    void timbreMovesFormantsAndNotThePitch(String id, double semitones) {
        Shape shape = new Shape(1, 0, 1, semitones);
        Sound words = spoken(id, "The crew have one tide to lift it out.");
        assertThat(interval(Praat.pitch(words), Praat.pitch(VoiceReshaper.reshape(words, shape))))
                .as("pitch")
                .isCloseTo(0, within(0.1));
        // a held vowel, whose formants stand still
        Sound vowel = spoken(id, "Aaah. Aaah. Aaah.");
        double[] before = Praat.pitchAndFormants(vowel, CEILING_HZ);
        double[] after =
                Praat.pitchAndFormants(VoiceReshaper.reshape(vowel, shape), CEILING_HZ * Math.pow(2, semitones / 12));
        double moved = 0;
        for (int formant = 1; formant <= 3; formant++) {
            moved += interval(before[formant], after[formant]) / 3;
        }
        assertThat(moved).as("formants, in semitones").isCloseTo(semitones, within(1.0));
    }

    @ParameterizedTest
    @CsvSource({"marnie,80,4", "rufus,125,-3", "farquhar,100,-6", "otis,140,2", "isla,160,-6"})
    void paceAndPitchAreKeptByEveryEngine(String id, int pace, double pitch) {
        String text = "The crew have one tide to lift it out, and the sling is rated for most of it.";
        Voice voice = voice(id);
        ResolvedDirection asked = ResolvedDirection.of(new Direction(pace, pitch, null, null));
        Speech own = narrator.render(Recipe.of(text, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL));
        Speech directed = narrator.render(Recipe.of(text, voice, narrator.engineVersion(voice), asked));
        assertThat(directed.measurement().misses(asked.paceFactor(), asked.semitones(), voice))
                .isEmpty();
        double semitones = interval(Praat.pitch(own.sound()), Praat.pitch(directed.sound()));
        assertThat(semitones).as("pitch by Praat").isCloseTo(pitch, within(0.5));
        assertThat(directed.words()).hasSize(Words.count(text));
        for (int i = 0; i + 1 < directed.words().size(); i++) {
            assertThat(directed.words().get(i).endSample())
                    .isLessThanOrEqualTo(directed.words().get(i + 1).startSample());
        }
    }

    @Test
    void flitesWordsFindTheirWayBackThroughLettersItDoesNotKnow() {
        String text = "Ffïon’s lens, the the “£38,500” one: naïve café at 4:52.";
        Voice marnie = voice("marnie");
        Speech speech =
                narrator.render(Recipe.of(text, marnie, narrator.engineVersion(marnie), ResolvedDirection.NEUTRAL));
        assertThat(speech.words().stream()
                        .map(w -> text.substring(w.start(), w.end()))
                        .toList())
                .containsExactly("Ffïon’s", "lens", "the", "the", "£38,500", "one", "naïve", "café", "at", "4:52");
        assertThat(speech.words()).allSatisfy(w -> assertThat(w.endSample()).isGreaterThan(w.startSample()));
    }

    @Test
    void monotoneIsMonotone() {
        Voice isla = voice("isla");
        Direction flat = new Direction(null, null, 0, null, null, null, null);
        Speech speech = narrator.render(Recipe.of(
                "The lamp was lit at four, and it burned until the morning.",
                isla,
                narrator.engineVersion(isla),
                ResolvedDirection.of(flat)));
        assertThat(VoiceMeter.of(speech.sound(), MeasuringPassage.in("en"), false)
                        .pitchRangeSemitones())
                .isLessThan(0.5);
    }
}
