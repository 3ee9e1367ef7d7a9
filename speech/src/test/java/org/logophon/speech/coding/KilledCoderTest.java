package org.logophon.speech.coding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.coding.Tags;

/** The system ends programs that use too much; a file is whole all the same, or it is said what to do. */
class KilledCoderTest {

    private static final int RATE = 48_000;
    private static final int SECONDS = 120;
    private static final SoundFormat FLAC = new SoundFormat(SoundFormat.Kind.FLAC, RATE, 24);
    private static final Tags TAGS = new Tags("Lamp", "Log", "1/1", "", "2026-03-01", List.of());

    @TempDir
    private Path folder;

    private final FfmpegCoder coder = new FfmpegCoder();

    /** A rising tone; each time that it is read, somebody is told after a while. */
    private static SoundSource tone(Runnable halfWay) {
        return new SoundSource() {
            @Override
            public int rate() {
                return RATE;
            }

            @Override
            public long length() {
                return (long) RATE * SECONDS;
            }

            @Override
            public void read(long from, long to, BlockReader reader) {
                float[] block = new float[BLOCK];
                for (long at = from; at < to; at += BLOCK) {
                    int count = (int) Math.min(BLOCK, to - at);
                    for (int i = 0; i < count; i++) {
                        block[i] = (float) (0.3 * Math.sin((at + i) * (at + i) * 1e-8));
                    }
                    reader.block(block, count);
                    if (at <= (from + to) / 2 && at + BLOCK > (from + to) / 2) {
                        halfWay.run();
                    }
                }
            }
        };
    }

    private static void kill(Path file) {
        ProcessHandle.current()
                .children()
                .filter(child -> child.info().commandLine().orElse("").contains(file.toString()))
                .forEach(ProcessHandle::destroyForcibly);
    }

    private long samples(Path file) throws IOException {
        long[] all = {0};
        coder.decode(file, RATE, (samples, count) -> all[0] += count);
        return all[0];
    }

    @Test
    void whatIsKilledHalfWayIsMadeAgain() throws IOException {
        Path file = folder.resolve("again.flac");
        AtomicInteger times = new AtomicInteger();
        coder.code(
                tone(() -> {
                    if (times.incrementAndGet() == 1) {
                        kill(file);
                    }
                }),
                FLAC,
                TAGS,
                file);
        assertThat(times.get()).isEqualTo(2);
        assertThat(samples(file)).isEqualTo((long) RATE * SECONDS);
    }

    @Test
    void whatIsKilledEachTimeIsSaid() {
        Path file = folder.resolve("never.flac");
        assertThatThrownBy(() -> coder.code(tone(() -> kill(file)), FLAC, TAGS, file))
                .isInstanceOf(CodingFailed.class)
                .hasMessageContaining("stopped from outside");
    }

    @Test
    void aReaderThatIsKilledBlamesNotTheFile() throws IOException {
        Path file = folder.resolve("whole.flac");
        coder.code(tone(() -> {}), FLAC, TAGS, file);
        assertThatThrownBy(() -> coder.decode(file, RATE, (samples, count) -> kill(file)))
                .isInstanceOf(CodingFailed.class)
                .hasMessageContaining("stopped from outside")
                .hasMessageContaining("Send it again");
    }
}
