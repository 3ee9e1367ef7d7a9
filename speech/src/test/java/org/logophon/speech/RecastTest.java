package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.ClearnessPassage;
import org.logophon.core.voice.recording.HeldRecording;
import org.logophon.core.voice.recording.Recorded;
import org.logophon.core.voice.recording.RecordedEngine;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.heard.Recogniser;

/**
 * A recording said by another voice: what is taken over of it, measured. One of our voices is the person who records.
 */
class RecastTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final String TEXT =
            "Fourth of March. Wind north-west, and rising. We lit the lamp before the storm came, and nobody slept.";
    private static final Function<String, Optional<Voice>> VOICES =
            id -> NativeVoices.catalogue().find(id);

    private static Narrator plain() {
        return new Narrator(SharedSpeech.ENGINES, new WorkerResampler(POOL));
    }

    private static Speech said(String voice) {
        return said(voice, TEXT);
    }

    private static Speech said(String voice, String text) {
        return plain().render(Recipe.of(text, VOICES.apply(voice).orElseThrow(), "", ResolvedDirection.NEUTRAL));
    }

    private static Speech recast(Speech recording, String voice, int timing, int melody, boolean ownPitch) {
        return recast(
                new Recorded(recording.sound(), TEXT, recording.words(), recording.phones()),
                voice,
                timing,
                melody,
                ownPitch);
    }

    private static Speech recast(Recorded recorded, String voice, int timing, int melody, boolean ownPitch) {
        Narrator narrator = new Narrator(
                new RecordedEngine(SharedSpeech.ENGINES, plain(), id -> Optional.of(recorded), VOICES),
                new WorkerResampler(POOL));
        Voice as = new RecordedVoice("one", "", voice, timing, melody, ownPitch)
                .asVoice(VOICES)
                .orElseThrow();
        return narrator.render(Recipe.of(recorded.text(), as, narrator.engineVersion(as), ResolvedDirection.NEUTRAL));
    }

    @ParameterizedTest
    @CsvSource({"otis, rufus", "marnie, farquhar", "rufus, isla", "farquhar, marnie", "isla, otis"})
    void atAHundredPerCentItHasTheTimingAndTheMelodyOfTheRecording(String person, String voice) {
        Speech recording = said(person);
        Speech recast = recast(recording, voice, 100, 100, true);
        List<Double> off = new ArrayList<>();
        for (int i = 0; i < recast.words().size(); i++) {
            off.add(Math.abs(seconds(recast, i) - seconds(recording, i)));
        }
        off.sort(null);
        double correlation = correlation(recording, recast);
        double median = PitchTrack.semitones(
                PitchMeter.track(said(voice).sound()).medianHz(),
                PitchMeter.track(recast.sound()).medianHz());
        System.out.printf(
                "%s as %s: words off %.0f ms at the 90th percentile, melody %.3f, median %+.2f semitones%n",
                person, voice, 1e3 * off.get(off.size() * 9 / 10), correlation, median);
        assertThat(off.get(off.size() * 9 / 10)).isLessThanOrEqualTo(0.040);
        assertThat(correlation).isGreaterThanOrEqualTo(0.9);
        assertThat(Math.abs(median)).isLessThanOrEqualTo(0.5);
    }

    private static double seconds(Speech speech, int word) {
        return (speech.words().get(word).startSample() - speech.words().get(0).startSample())
                / (double) speech.sound().rate();
    }

    /**
     * Pearson's, over the frames in which both are voiced, in semitones. What the meter puts more than seven semitones
     * from the voice's median is an octave of it: these voices never go so far.
     */
    private static double correlation(Speech one, Speech other) {
        float[] first = PitchMeter.track(one.sound()).hertz();
        float[] second = PitchMeter.track(other.sound()).hertz();
        double shift =
                (other.words().get(0).startSample() / (double) other.sound().rate()
                                - one.words().get(0).startSample()
                                        / (double) one.sound().rate())
                        / PitchTrack.HOP_SECONDS;
        List<double[]> both = new ArrayList<>();
        double firstMedian = new PitchTrack(first).medianHz();
        double secondMedian = new PitchTrack(second).medianHz();
        for (int i = 0; i < first.length; i++) {
            int j = (int) Math.round(i + shift);
            if (j >= 0 && j < second.length && near(first[i], firstMedian) && near(second[j], secondMedian)) {
                both.add(new double[] {Math.log(first[i]), Math.log(second[j])});
            }
        }
        double x = both.stream().mapToDouble(pair -> pair[0]).average().orElseThrow();
        double y = both.stream().mapToDouble(pair -> pair[1]).average().orElseThrow();
        double together =
                both.stream().mapToDouble(pair -> (pair[0] - x) * (pair[1] - y)).sum();
        double xs = both.stream().mapToDouble(pair -> Math.pow(pair[0] - x, 2)).sum();
        double ys = both.stream().mapToDouble(pair -> Math.pow(pair[1] - y, 2)).sum();
        return together / Math.sqrt(xs * ys);
    }

    private static boolean near(float hertz, double median) {
        return hertz > 0 && Math.abs(PitchTrack.semitones(median, hertz)) < 7;
    }

    /**
     * Within five points of the voice's own, by a recogniser (Debian's pocketsphinx) over the measuring passage. Takes
     * minutes.
     */
    @ParameterizedTest
    @CsvSource({"otis, rufus", "marnie, rufus", "farquhar, rufus", "rufus, marnie"})
    @EnabledIfSystemProperty(named = "logophon.promises", matches = "true")
    void itIsNearlyAsClearAsTheVoice(String person, String voice) throws Exception {
        Speech own = said(person, ClearnessPassage.TEXT);
        HeldRecording held = new RecordingAligner(SharedSpeech.ENGINES, NativeVoices::saying)
                .hold(own.sound(), ClearnessPassage.TEXT, SpokenText.of(ClearnessPassage.TEXT), "en-GB");
        Speech recast = recast(
                new Recorded(own.sound(), ClearnessPassage.TEXT, held.words(), held.phones()), voice, 100, 100, true);
        double itself = missed(said(voice, ClearnessPassage.TEXT).sound());
        double as = missed(recast.sound());
        System.out.printf("%s said by %s: %.1f %% missed, by itself %.1f %%%n", person, voice, as, itself);
        assertThat(as).isLessThanOrEqualTo(itself + 5);
    }

    private static double missed(Sound sound) throws IOException, InterruptedException {
        Path file = Files.createTempFile("logophon-recast", ".wav");
        try (OutputStream out = Files.newOutputStream(file)) {
            WavWriter.write(new WorkerResampler(POOL).resample(sound, 16_000), SampleFormat.PCM_16, null, out);
            return Clearness.of(ClearnessPassage.TEXT, Recogniser.hear(file)).missedPercent();
        } finally {
            Files.delete(file);
        }
    }

    @Test
    void atNothingItIsTheVoiceAsItIs() {
        Speech own = said("rufus");
        Speech recast = recast(said("otis"), "rufus", 0, 0, true);
        assertThat(recast.sound().seconds())
                .isCloseTo(own.sound().seconds(), org.assertj.core.data.Offset.offset(0.08));
    }

    @Test
    void itMayHaveTheRecordingsOwnPitch() {
        Speech recording = said("marnie");
        Speech recast = recast(recording, "tamsin", 100, 100, false);
        assertThat(Math.abs(PitchTrack.semitones(
                        PitchMeter.track(recording.sound()).medianHz(),
                        PitchMeter.track(recast.sound()).medianHz())))
                .isLessThanOrEqualTo(0.5);
    }

    @Test
    void theSameTwiceIsTheSameSound() {
        Speech recording = said("otis");
        assertThat(recast(recording, "rufus", 70, 50, true).sound().pcm16())
                .isEqualTo(recast(recording, "rufus", 70, 50, true).sound().pcm16());
    }

    @Test
    void theRecordingItselfSaysItsWordsAndNoOthers() {
        Speech recording = said("otis");
        Recorded recorded = new Recorded(recording.sound(), TEXT, recording.words(), recording.phones());
        Narrator narrator = new Narrator(
                new RecordedEngine(SharedSpeech.ENGINES, plain(), id -> Optional.of(recorded), VOICES),
                new WorkerResampler(POOL));
        Voice itself = RecordedVoice.itself("one", "en-GB").asVoice(VOICES).orElseThrow();
        Speech as = narrator.render(Recipe.of(TEXT, itself, "", ResolvedDirection.NEUTRAL));
        assertThat(as.sound().pcm16()).isEqualTo(recording.sound().pcm16());
        assertThat(as.words()).isEqualTo(recording.words());
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> narrator.render(Recipe.of("Other words.", itself, "", ResolvedDirection.NEUTRAL)))
                .hasMessageContaining("The words have changed since they were recorded");
    }
}
