package org.logophon.speech.coding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.Loudest;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.time.coding.FloatFile;

/** WAV files of 32-bit floats (IEEE 754) whose samples are no sound, at the one door that files come in by. */
class StrangeSoundsTest {

    private static final int RATE = 48_000;

    @TempDir
    private Path folder;

    /** A tone, with one sample in its middle. */
    private Path file(int rate, int samples, float strange, float level) throws IOException {
        ByteBuffer wav = ByteBuffer.allocate(44 + 4 * samples).order(ByteOrder.LITTLE_ENDIAN);
        wav.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + 4 * samples);
        wav.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        wav.putShort((short) 3)
                .putShort((short) 1)
                .putInt(rate)
                .putInt(4 * rate)
                .putShort((short) 4)
                .putShort((short) 32);
        wav.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(4 * samples);
        for (int i = 0; i < samples; i++) {
            wav.putFloat(i == samples / 2 ? strange : (float) (level * Math.sin(i * 0.06)));
        }
        return Files.write(folder.resolve("strange.wav"), wav.array());
    }

    private FloatFile decoded(Path file) throws IOException {
        return FloatFile.decoded(new FfmpegCoder(), file, folder.resolve("samples.f32"), RATE, 7_200);
    }

    @ParameterizedTest
    @ValueSource(floats = {Float.NaN, Float.POSITIVE_INFINITY, Float.NEGATIVE_INFINITY})
    void whatIsNoNumberIsRefused(float strange) throws IOException {
        Path file = file(RATE, RATE, strange, 0.5f);
        assertThatThrownBy(() -> decoded(file))
                .isInstanceOf(CodingFailed.class)
                .hasMessageContaining("samples that are no numbers");
    }

    @ParameterizedTest
    @ValueSource(floats = {3e38f, -3e38f, 2f})
    void whatGoesOverFullScaleIsBroughtDownAndSaid(float strange) throws IOException {
        FloatFile sound = decoded(file(RATE, RATE, strange, 0.5f));
        assertThat(Loudest.of(sound.inMemory().samples())).isEqualTo(1);
        assertThat(sound.remark()).contains("dB over full scale");
        FloatFile usual = decoded(file(RATE, RATE, 0.5f, 0.5f));
        assertThat(Loudest.of(usual.inMemory().samples())).isEqualTo(0.5f);
        assertThat(usual.remark()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 7_999, 192_001, 768_000})
    void ratesThatNobodyRecordsAtAreRefused(int rate) throws IOException {
        Path file = file(rate, 1_000, 0, 0.5f);
        assertThatThrownBy(() -> decoded(file)).hasMessageContaining("samples a second, and 8,000 to 192,000 are read");
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 100, 2_399})
    void lessThanAnybodyHearsIsRefused(int samples) throws IOException {
        Path file = file(RATE, samples, 0.5f, 0.5f);
        assertThatThrownBy(() -> decoded(file)).hasMessageContaining("is shorter than 0.05 s");
    }

    @Test
    void whatIsReadIsRead() throws IOException {
        assertThat(decoded(file(8_000, 8_000, 0, 0.5f)).length()).isBetween(47_900L, 48_100L);
        assertThat(decoded(file(192_000, 192_000, 0, 0.5f)).length()).isBetween(47_900L, 48_100L);
        assertThat(decoded(file(RATE, 2_400, 0, 0.5f)).length()).isEqualTo(2_400);
    }
}
