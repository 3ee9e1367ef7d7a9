package org.logophon.core.signal.wav;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.logophon.core.signal.sound.Sound;

class WavWriterTest {

    private static final BroadcastExtension BEXT = new BroadcastExtension(
            "Ffion’s café", "010", LocalDateTime.of(2026, 3, 4, 5, 6, 7), 48_000L * 3_600, -19.0, -1.25);

    private static byte[] written(SampleFormat format, BroadcastExtension bext, float... samples) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WavWriter.write(new Sound(samples, 48_000), format, bext, out);
        return out.toByteArray();
    }

    @Test
    void theJdkReadsWhatIsWritten() throws Exception {
        byte[] wav = written(SampleFormat.PCM_24, BEXT, 0f, 0.5f, -1f, 2f);
        try (AudioInputStream in = AudioSystem.getAudioInputStream(new ByteArrayInputStream(wav))) {
            assertThat(in.getFormat().getSampleSizeInBits()).isEqualTo(24);
            assertThat(in.getFormat().getSampleRate()).isEqualTo(48_000f);
            byte[] data = in.readAllBytes();
            assertThat(data).containsExactly(0, 0, 0, 0, 0, 0x40, 1, 0, (byte) 0x80, (byte) 0xff, (byte) 0xff, 0x7f);
        }
    }

    /** Against the definition: two's complement, little-endian, one sample after another, whatever the length. */
    @Test
    void everySampleStandsAtItsPlace() throws Exception {
        for (int length = 0; length < 12; length++) {
            float[] samples = new float[length];
            for (int i = 0; i < length; i++) {
                samples[i] = (float) Math.sin(i * 1.7);
            }
            byte[] wav = written(SampleFormat.PCM_24, null, samples);
            for (int i = 0; i < length; i++) {
                int at = 44 + 3 * i;
                int value = wav[at] & 0xff | (wav[at + 1] & 0xff) << 8 | wav[at + 2] << 16;
                assertThat(value / 8_388_607.0).isCloseTo(samples[i], org.assertj.core.api.Assertions.within(1e-7));
            }
        }
    }

    @Test
    void oddDataIsPaddedToAnEvenChunk() throws Exception {
        byte[] wav = written(SampleFormat.PCM_24, null, 0.1f);
        assertThat(wav).hasSize(44 + 4);
        assertThat(ByteBuffer.wrap(wav).order(ByteOrder.LITTLE_ENDIAN).getInt(4))
                .isEqualTo(wav.length - 8);
    }

    /** EBU Tech 3285 version 2: sizes and places of the fields. */
    @Test
    void bextHoldsItsFieldsAtTheirPlaces() throws Exception {
        byte[] wav = written(SampleFormat.PCM_16, BEXT, 0f, 0f);
        assertThat(ascii(wav, 12, 4)).isEqualTo("bext");
        int at = 20;
        assertThat(ascii(wav, at, 12)).isEqualTo("Ffion's cafe");
        assertThat(ascii(wav, at + 256, 8)).isEqualTo("Logophon");
        assertThat(ascii(wav, at + 288, 3)).isEqualTo("010");
        assertThat(ascii(wav, at + 320, 18)).isEqualTo("2026-03-0405:06:07");
        ByteBuffer fields = ByteBuffer.wrap(wav).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(fields.getLong(at + 338)).isEqualTo(48_000L * 3_600);
        assertThat(fields.getShort(at + 346)).isEqualTo((short) 2);
        assertThat(fields.getShort(at + 412)).isEqualTo((short) -1900);
        assertThat(fields.getShort(at + 416)).isEqualTo((short) -125);
        assertThat(fields.getInt(16)).isEqualTo(602);
    }

    @Test
    void sixteenBitIsDitheredTheSameWayEachTime() throws Exception {
        byte[] once = written(SampleFormat.PCM_16, null, 0.25f, 0.25f, 0.25f, 0.25f);
        assertThat(written(SampleFormat.PCM_16, null, 0.25f, 0.25f, 0.25f, 0.25f))
                .isEqualTo(once);
        ByteBuffer samples = ByteBuffer.wrap(once, 44, 8).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < 4; i++) {
            assertThat(samples.getShort() - 8_191.75).isBetween(-1.6, 1.6);
        }
    }

    private static String ascii(byte[] bytes, int at, int length) {
        return new String(bytes, at, length, StandardCharsets.US_ASCII);
    }
}
