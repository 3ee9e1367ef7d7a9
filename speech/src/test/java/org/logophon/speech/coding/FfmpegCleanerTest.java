package org.logophon.speech.coding;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Random;
import org.apache.commons.math3.transform.DftNormalization;
import org.apache.commons.math3.transform.FastFourierTransformer;
import org.apache.commons.math3.transform.TransformType;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.recording.Activity;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.recording.RecordingFigures;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.SharedSpeech;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** Noise and hum are put under speech that is known, and taken out again. */
class FfmpegCleanerTest {

    private static final String TEXT = "Clear night. Every star is out. I lit the lamp, and the lamp lit everything.";
    private static final int RATE = 48_000;
    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final FfmpegCleaner CLEANER = new FfmpegCleaner();

    private static Sound clean;
    private static Sound noisy;

    /** White noise and 50 Hz, together 25 dB under the speech. */
    @BeforeAll
    static void record() {
        Sound said = new WorkerResampler(POOL)
                .resample(
                        SharedSpeech.ENGINES
                                .speak(new SpeechRequest(
                                        NativeVoices.catalogue().find("otis").orElseThrow(), SpokenText.of(TEXT), 1, 0))
                                .sound(),
                        RATE);
        int around = RATE / 2;
        float[] samples = new float[said.samples().length + 2 * around];
        System.arraycopy(said.samples(), 0, samples, around, said.samples().length);
        clean = new Sound(samples, RATE);
        double level = said.rms(0, said.samples().length) * Math.pow(10, -25 / 20.0) / Math.sqrt(2);
        Random random = new Random(5);
        float[] mixed = samples.clone();
        for (int i = 0; i < mixed.length; i++) {
            mixed[i] +=
                    (float) (level * (random.nextGaussian() + Math.sqrt(2) * Math.sin(2 * Math.PI * 50 * i / RATE)));
        }
        noisy = new Sound(mixed, RATE);
    }

    @Test
    void noiseAndHumFallByTenDecibelsAndMoreAndTheSpeechStays() throws IOException {
        Sound made = CLEANER.clean(noisy, new Cleaning(12, 50, true, false, false, 0));
        assertThat(made.samples()).hasSameSizeAs(noisy.samples());
        double before = gaps(noisy);
        double after = gaps(made);
        System.out.printf("gaps %.1f dB before, %.1f after%n", before, after);
        assertThat(before - after).isGreaterThanOrEqualTo(10);
        double[] own = bands(clean);
        double[] left = bands(made);
        for (int band = 0; band < own.length; band++) {
            assertThat(left[band]).as("third of an octave " + band).isCloseTo(own[band], Offset.offset(1.5));
        }
        RecordingAligner holder = new RecordingAligner(SharedSpeech.ENGINES, NativeVoices::saying);
        assertThat(holder.hold(made, TEXT, SpokenText.of(TEXT), "en-GB").found())
                .isGreaterThanOrEqualTo(
                        holder.hold(noisy, TEXT, SpokenText.of(TEXT), "en-GB").found());
    }

    /** A decibel and a half of what was asked. */
    @Test
    void noiseFallsByWhatIsAsked() throws IOException {
        for (double asked : new double[] {6, 10}) {
            Sound humless = CLEANER.clean(noisy, new Cleaning(0, 50, true, false, false, 0));
            Sound made = CLEANER.clean(humless, new Cleaning(asked, 0, false, false, false, 0));
            double fell = RecordingFigures.of(humless).noiseDb()
                    - RecordingFigures.of(made).noiseDb();
            assertThat(fell).isCloseTo(asked, Offset.offset(1.5));
        }
    }

    @Test
    void clicksAreMendedAndLongGapsShortened() throws IOException {
        float[] clicked = clean.samples().clone();
        for (int at : new int[] {RATE, 2 * RATE, 3 * RATE}) {
            clicked[at] += 0.6f;
        }
        Sound broken = new Sound(clicked, RATE);
        assertThat(RecordingFigures.of(broken).clicks()).isGreaterThanOrEqualTo(2);
        Sound mended = CLEANER.clean(broken, new Cleaning(0, 0, false, true, false, 0));
        assertThat(RecordingFigures.of(mended).clicks())
                .isLessThan(RecordingFigures.of(broken).clicks());
        double longest = RecordingFigures.of(noisy).longestGap();
        Sound shorter = CLEANER.clean(noisy, new Cleaning(0, 0, false, false, false, 0.2));
        assertThat(RecordingFigures.of(shorter).longestGap()).isLessThanOrEqualTo(0.23);
        assertThat(shorter.seconds()).isLessThan(noisy.seconds() - (longest - 0.25));
    }

    /** 30 Hz, as of a street or a hand on the table, 15 dB under the speech. */
    @Test
    void rumbleGoesAndTheVoiceStays() throws IOException {
        float[] shaken = clean.samples().clone();
        double level = clean.rms(0, shaken.length) * Math.pow(10, -15 / 20.0) * Math.sqrt(2);
        for (int i = 0; i < shaken.length; i++) {
            shaken[i] += (float) (level * Math.sin(2 * Math.PI * 30 * i / RATE));
        }
        Sound rumbling = new Sound(shaken, RATE);
        Sound made = CLEANER.clean(rumbling, new Cleaning(0, 0, true, false, false, 0));
        double fell = gaps(rumbling) - gaps(made);
        System.out.printf("rumble at 30 Hz fell by %.1f dB%n", fell);
        assertThat(fell).isGreaterThanOrEqualTo(12);
        double[] own = bands(clean);
        double[] left = bands(made);
        for (int band = 0; band < own.length; band++) {
            assertThat(left[band]).as("third of an octave " + band).isCloseTo(own[band], Offset.offset(0.5));
        }
    }

    /** What was cut off by 6 dB comes nearer to what was said, by the share of what is wrong in it. */
    @Test
    void clippedPeaksAreRoundedAgain() throws IOException {
        float peak = 0;
        for (float sample : clean.samples()) {
            peak = Math.max(peak, Math.abs(sample));
        }
        float[] cut = clean.samples().clone();
        for (int i = 0; i < cut.length; i++) {
            cut[i] = Math.max(-1, Math.min(1, 2 * cut[i] / peak));
        }
        Sound clipped = new Sound(cut, RATE);
        assertThat(RecordingFigures.of(clipped).clipped()).isPositive();
        Sound made = CLEANER.clean(clipped, new Cleaning(0, 0, false, false, true, 0));
        assertThat(RecordingFigures.of(made).clipped()).isZero();
        double before = distortion(clipped);
        double after = distortion(made);
        System.out.printf("what is wrong of clipped speech: %.1f dB before, %.1f after%n", before, after);
        assertThat(after).isLessThan(before - 3);
    }

    /** What is left beside the clean speech at its best level, in dB under it. */
    private static double distortion(Sound sound) {
        double both = 0;
        double own = 0;
        double all = 0;
        for (int i = 0; i < clean.samples().length; i++) {
            both += (double) clean.samples()[i] * sound.samples()[i];
            own += (double) clean.samples()[i] * clean.samples()[i];
            all += (double) sound.samples()[i] * sound.samples()[i];
        }
        double explained = both * both / own;
        return 10 * Math.log10((all - explained) / explained);
    }

    @Test
    void nothingAskedIsNothingDone() throws IOException {
        assertThat(CLEANER.clean(noisy, Cleaning.NONE)).isSameAs(noisy);
    }

    /** Level where the clean speech is silent, 40 ms away from it. */
    private static double gaps(Sound sound) {
        int step = RATE / 100;
        boolean[] quiet = new boolean[clean.samples().length / step];
        for (int i = 0; i < quiet.length; i++) {
            quiet[i] = clean.rms(i * step, (i + 1) * step) < 1e-5;
        }
        double sum = 0;
        int count = 0;
        for (int i = 4; i + 4 < quiet.length; i++) {
            boolean all = true;
            for (int k = -4; k <= 4; k++) {
                all &= quiet[i + k];
            }
            if (all) {
                double rms = sound.rms(i * step, (i + 1) * step);
                sum += rms * rms;
                count++;
            }
        }
        assertThat(count).isGreaterThan(20);
        return 10 * Math.log10(sum / count);
    }

    /** Speech's spectrum in thirds of an octave from 200 Hz to 6 kHz, over its louder windows. */
    private static double[] bands(Sound sound) {
        int size = 2048;
        double[] power = new double[size / 2];
        double level = clean.rms(0, clean.samples().length);
        for (int at = 0; at + size <= clean.samples().length; at += size / 2) {
            if (clean.rms(at, at + size) < level) {
                continue;
            }
            double[][] frame = new double[2][size];
            for (int i = 0; i < size; i++) {
                frame[0][i] = sound.samples()[at + i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / size));
            }
            FastFourierTransformer.transformInPlace(frame, DftNormalization.STANDARD, TransformType.FORWARD);
            for (int i = 0; i < power.length; i++) {
                power[i] += frame[0][i] * frame[0][i] + frame[1][i] * frame[1][i];
            }
        }
        double[] bands = new double[14];
        for (int band = 0; band < bands.length; band++) {
            double low = 200 * Math.pow(2, band / 3.0);
            double sum = 0;
            for (int i = 0; i < power.length; i++) {
                double hertz = i * (double) RATE / size;
                sum += hertz >= low && hertz < low * Math.pow(2, 1 / 3.0) ? power[i] : 0;
            }
            bands[band] = 10 * Math.log10(sum);
        }
        assertThat(Activity.of(sound).levels()).isNotEmpty();
        return bands;
    }
}
