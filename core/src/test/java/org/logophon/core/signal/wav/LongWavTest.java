package org.logophon.core.signal.wav;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.signal.sound.SoundSource;

/** WAV over 4 GB is RF64 (EBU Tech 3306); and the document beside the sound (EBU Tech 3285, Supplement 5). */
class LongWavTest {

    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private static SoundSource silence(long samples) {
        return new SoundSource() {
            @Override
            public int rate() {
                return RATE;
            }

            @Override
            public long length() {
                return samples;
            }

            @Override
            public void read(long from, long to, BlockReader reader) {
                float[] block = new float[BLOCK];
                for (long at = from; at < to; at += BLOCK) {
                    reader.block(block, (int) Math.min(BLOCK, to - at));
                }
            }
        };
    }

    private static BroadcastExtension extension() {
        return new BroadcastExtension("Long", "010", LocalDateTime.of(2026, 1, 2, 3, 4), 0, -19, -2);
    }

    /** The head as it is written, and a file of the right length with nothing else in it. */
    private Path headOnly(WavFile wav) throws IOException {
        ByteArrayOutputStream head = new ByteArrayOutputStream();
        wav.write(0, 4_096, head);
        Path file = Files.write(folder.resolve("long.wav"), head.toByteArray());
        try (RandomAccessFile whole = new RandomAccessFile(file.toFile(), "rw")) {
            whole.setLength(wav.size());
        }
        return file;
    }

    private static String probed(Path file) throws IOException {
        Process process = new ProcessBuilder(
                        "ffprobe",
                        "-v",
                        "error",
                        "-show_entries",
                        "stream=duration,sample_rate,bits_per_sample",
                        "-of",
                        "csv=p=0",
                        file.toString())
                .redirectErrorStream(true)
                .start();
        try (InputStream in = process.getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        }
    }

    @Test
    void tenHoursAreOneFile() throws IOException {
        long samples = 10L * 3_600 * RATE;
        WavFile wav = new WavFile(silence(samples), SampleFormat.PCM_24, extension(), "<clip/>");
        assertThat(wav.size()).isGreaterThan(5_000_000_000L);
        Path file = headOnly(wav);
        assertThat(probed(file)).isEqualTo("48000,24,36000.000000");
        ByteBuffer head =
                ByteBuffer.wrap(Files.newInputStream(file).readNBytes(60)).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(new String(head.array(), 0, 4, StandardCharsets.US_ASCII)).isEqualTo("RF64");
        assertThat(new String(head.array(), 12, 4, StandardCharsets.US_ASCII)).isEqualTo("ds64");
        assertThat(head.getLong(20)).isEqualTo(wav.size() - 8);
        assertThat(head.getLong(28)).isEqualTo(samples * 3);
        assertThat(head.getLong(36)).isEqualTo(samples);
        assertThat(Axml.read(file)).contains("<clip/>");
    }

    @Test
    void theDocumentLiesBesideTheSoundWhateverItsLength() throws IOException {
        for (String xml : new String[] {"<clip/>", "<clip a='1'/>", "<clip>naïve 日本</clip>"}) {
            Path file = folder.resolve("clip.wav");
            try (var out = Files.newOutputStream(file)) {
                WavWriter.write(silence(RATE), SampleFormat.PCM_16, extension(), xml, out);
            }
            assertThat(Axml.read(file)).contains(xml);
            assertThat(probed(file)).isEqualTo("48000,16,1.000000");
        }
        assertThat(Axml.read(Files.write(folder.resolve("no.wav"), new byte[3])))
                .isEmpty();
        byte[] endless = "RIFF\0\0\0\0WAVEaxml\uffff\uffff\uffff\u007f".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(Axml.read(Files.write(folder.resolve("endless.wav"), endless)))
                .isEmpty();
    }
}
