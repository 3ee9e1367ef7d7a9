package org.logophon.cli.bench;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;

/** Loudness and true peak of an hour of speech, streamed from a file. */
final class MeterBench {

    private static final int RATE = 48_000;
    private static final int HEADER_BYTES = 44;

    private final Path folder;

    MeterBench(Path folder) {
        this.folder = folder;
    }

    BenchResult run() throws Exception {
        String hour = Tool.path(folder, "hour.wav");
        Tool.run(List.of(
                "espeak-ng",
                "-v",
                "en-gb",
                "-w",
                Tool.path(folder, "minute.wav"),
                ("The keeper wrote one line for the weather. ").repeat(24)));
        Tool.run(List.of(
                "ffmpeg",
                "-v",
                "error",
                "-y",
                "-stream_loop",
                "-1",
                "-i",
                Tool.path(folder, "minute.wav"),
                "-t",
                "3600",
                "-ar",
                "48000",
                "-ac",
                "1",
                "-c:a",
                "pcm_s16le",
                "-bitexact",
                "-map_metadata",
                "-1",
                hour));
        ours(Path.of(hour), 60);
        long start = System.nanoTime();
        ours(Path.of(hour), Integer.MAX_VALUE);
        double ours = (System.nanoTime() - start) / 1e9;
        long again = System.nanoTime();
        Tool.run(List.of(
                "ffmpeg",
                "-hide_banner",
                "-nostats",
                "-i",
                hour,
                "-af",
                "ebur128=peak=true:framelog=verbose",
                "-f",
                "null",
                "-"));
        return new BenchResult(
                "loudness and true peak of an hour",
                "ffmpeg ebur128=peak=true",
                ours,
                (System.nanoTime() - again) / 1e9,
                "s",
                1);
    }

    private static void ours(Path file, int mostSeconds) throws IOException {
        LoudnessMeter meter = new LoudnessMeter(RATE, 1);
        TruePeak peak = new TruePeak();
        byte[] bytes = new byte[RATE * 2];
        float[] samples = new float[RATE];
        try (InputStream in = Files.newInputStream(file)) {
            in.skipNBytes(HEADER_BYTES);
            for (int second = 0; second < mostSeconds; second++) {
                int read = in.readNBytes(bytes, 0, bytes.length);
                if (read == 0) {
                    break;
                }
                ByteBuffer pcm = ByteBuffer.wrap(bytes, 0, read).order(ByteOrder.LITTLE_ENDIAN);
                for (int i = 0; i < read / 2; i++) {
                    samples[i] = pcm.getShort() / 32768f;
                }
                meter.add(samples, read / 2);
                peak.add(samples, read / 2);
            }
        }
        if (meter.loudness().silent() || peak.peak() <= 0) {
            throw new IOException("The hour of speech measures as silence.");
        }
    }
}
