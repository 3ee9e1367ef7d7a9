package org.logophon.core.voice.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavFile;

/** Clips that are finished block by block. */
class LongClipTest {

    private final ClipFinisher finisher = new ClipFinisher((sound, rate) -> {
        throw new AssertionError("nothing to convert");
    });

    /** Speech-like bursts with peaks that a limiter has to see to, at the edges of blocks too. */
    private static Sound peaky() {
        Random random = new Random(3);
        float[] samples = new float[3 * SoundSource.BLOCK + 999];
        for (int i = 0; i < samples.length; i++) {
            double burst = Math.abs(Math.sin(i / 9_000.0));
            samples[i] = (float) (0.2 * burst * random.nextGaussian());
        }
        for (int edge = SoundSource.BLOCK; edge < samples.length; edge += SoundSource.BLOCK) {
            for (int i = -40; i < 40; i++) {
                samples[edge + i] = (float) (0.95 * Math.sin(i * 1.3));
            }
        }
        return new Sound(samples, 48_000);
    }

    @Test
    void blocksAreLimitedAsTheWholeIs() {
        Clip clip = finisher.finish(SoundSource.of(peaky()), List.of(), FinishSettings.to(-14.0), 0);
        Sound made = clip.sound().inMemory();
        assertThat(LoudnessMeter.of(made).lufs())
                .isCloseTo(-14, within(0.1))
                .isCloseTo(clip.loudness().lufs(), within(0.02));
        assertThat(TruePeak.of(made.samples())).isLessThanOrEqualTo(Decibels.toFactor(-1) + 1e-6);
        // another division into blocks gives the same samples
        float[] parts = new float[made.samples().length];
        for (int from = 0; from < parts.length; from += 10_007) {
            int start = from;
            int[] at = {0};
            clip.sound().read(from, Math.min(parts.length, from + 10_007), (samples, count) -> {
                System.arraycopy(samples, 0, parts, start + at[0], count);
                at[0] += count;
            });
        }
        for (int i = 0; i < parts.length; i++) {
            assertThat(parts[i]).isCloseTo(made.samples()[i], within(1e-5f));
        }
    }

    @Test
    void anyRangeOfAFileHoldsTheBytesOfTheWhole() throws IOException {
        for (SampleFormat format : SampleFormat.values()) {
            Clip clip = finisher.finish(
                    SoundSource.of(peaky()), List.of(), new FinishSettings(-23.0, -1, 48_000, 10, 7), 0);
            WavFile file = new WavFile(clip.sound(), format, null);
            byte[] whole = bytes(file, 0, file.size());
            assertThat(whole).hasSize((int) file.size());
            Random random = new Random(11);
            for (int i = 0; i < 60; i++) {
                int from = i == 0 ? 0 : random.nextInt(whole.length);
                int to = i == 1 ? whole.length : Math.min(whole.length, from + 1 + random.nextInt(200_000));
                assertThat(bytes(file, from, to))
                        .as(format + " " + from + "–" + to)
                        .isEqualTo(Arrays.copyOfRange(whole, from, to));
            }
        }
    }

    private static byte[] bytes(WavFile file, long from, long to) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        file.write(from, to, out);
        return out.toByteArray();
    }
}
