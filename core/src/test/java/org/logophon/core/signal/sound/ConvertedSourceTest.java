package org.logophon.core.signal.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class ConvertedSourceTest {

    private static final int SECONDS = 240;

    /**
     * Linear interpolation: its samples depend on their neighbours only, so that whole and parts can be held together.
     */
    private static Sound interpolated(Sound sound, int rate) {
        int length = (int) ((long) sound.samples().length * rate / sound.rate());
        float[] out = new float[length];
        for (int i = 0; i < length; i++) {
            double at = i * (double) sound.rate() / rate;
            int below = (int) at;
            float next = below + 1 < sound.samples().length ? sound.samples()[below + 1] : 0;
            out[i] = (float) (sound.samples()[below] + (next - sound.samples()[below]) * (at - below));
        }
        return new Sound(out, rate);
    }

    private static Sound noise(int rate, int seconds) {
        Random random = new Random(7);
        float[] samples = new float[rate * seconds + 11];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = random.nextFloat() - 0.5f;
        }
        return new Sound(samples, rate);
    }

    @Test
    void aLongSoundInBlocksIsTheSameAsWhole() {
        for (int rate : new int[] {16_000, 22_050, 32_000}) {
            Sound sound = noise(rate, SECONDS);
            SoundSource source = ConvertedSource.of(SoundSource.of(sound), 48_000, ConvertedSourceTest::interpolated);
            Sound whole = interpolated(sound, 48_000);
            float[] blocks = source.inMemory().samples();
            assertThat(source.length()).isEqualTo(ConvertedSource.length(sound.samples().length, rate, 48_000));
            for (int i = 0; i < whole.samples().length; i++) {
                if (Math.abs(blocks[i] - whole.samples()[i]) > 1e-4) {
                    assertThat(blocks[i]).as("sample " + i + " of " + rate).isEqualTo(whole.samples()[i]);
                }
            }
        }
    }

    @Test
    void aPartReadsAsItDoesInTheWhole() {
        SoundSource source =
                ConvertedSource.of(SoundSource.of(noise(22_050, SECONDS)), 48_000, ConvertedSourceTest::interpolated);
        float[] whole = source.inMemory().samples();
        for (long from : new long[] {0, 1, 65_279, 65_280, 3_000_001, source.length() - 5}) {
            long to = Math.min(source.length(), from + 100_000);
            float[] part = new float[(int) (to - from)];
            int[] at = {0};
            source.read(from, to, (samples, count) -> {
                System.arraycopy(samples, 0, part, at[0], count);
                at[0] += count;
            });
            assertThat(at[0]).isEqualTo(part.length);
            assertThat(part).isEqualTo(java.util.Arrays.copyOfRange(whole, (int) from, (int) to));
        }
    }

    @Test
    void theSameRateIsLeftAlone() {
        SoundSource source = SoundSource.of(noise(48_000, 1));
        assertThat(ConvertedSource.of(source, 48_000, ConvertedSourceTest::interpolated))
                .isSameAs(source);
    }
}
