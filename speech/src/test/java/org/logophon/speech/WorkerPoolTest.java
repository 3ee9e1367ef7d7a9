package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.worker.Frames;

class WorkerPoolTest {

    private static String hello(WorkerPool pool, long deadlineMillis) {
        return pool.ask(out -> out.writeByte(Frames.HELLO), Frames::readText, deadlineMillis);
    }

    @Test
    void workersStandAsFarBehindAsIsSet() {
        assertThat(WorkerCommand.behind(null)).isEqualTo("5");
        assertThat(WorkerCommand.behind("0")).isEqualTo("0");
        assertThat(WorkerCommand.behind("19")).isEqualTo("19");
        assertThat(WorkerCommand.behind("-20; rm")).isEqualTo("5");
    }

    @Test
    void aCrashCostsOneRetry(@TempDir Path folder) {
        Path once = folder.resolve("crashed");
        String home = EspeakData.prepare();
        String real = String.join(" ", WorkerCommand.line(home));
        List<String> crashesOnce = List.of(
                "sh", "-c", "if [ -e " + once + " ]; then exec " + real + "; fi; touch " + once + "; kill -9 $$");
        try (WorkerPool pool = new WorkerPool(1, home, crashesOnce)) {
            assertThat(hello(pool, 20_000)).startsWith("espeak-ng");
            assertThat(Files.exists(once)).isTrue();
        }
    }

    @Test
    void workersThatSomebodyElseKillsDontCountAgainstTheirRequest(@TempDir Path folder) {
        Path kills = folder.resolve("kills");
        String home = EspeakData.prepare();
        String real = String.join(" ", WorkerCommand.line(home));
        String thrice = "n=$(cat " + kills + " 2>/dev/null || echo 0); if [ $n -ge 3 ]; then exec " + real
                + "; fi; echo $((n + 1)) > " + kills + "; head -c 1 >/dev/null; kill -9 $$";
        try (WorkerPool pool = new WorkerPool(1, home, List.of("bash", "-c", thrice))) {
            assertThat(hello(pool, 20_000)).startsWith("espeak-ng");
            assertThat(kills).content().isEqualTo("3\n");
        }
    }

    @Test
    void aWorkerThatEndsTwiceAtARequestIsGivenUp() {
        try (WorkerPool pool = new WorkerPool(1, "", List.of("bash", "-c", "head -c 1 >/dev/null; exit 139"))) {
            assertThatThrownBy(() -> hello(pool, 20_000))
                    .isInstanceOf(SpeechFailed.class)
                    .hasMessageContaining("stopped twice on this text");
        }
    }

    @Test
    void workersKnowNothingOfOurEnvironment(@TempDir Path folder) throws IOException {
        Path seen = folder.resolve("seen");
        String home = EspeakData.prepare();
        String real = String.join(" ", WorkerCommand.line(home));
        try (WorkerPool pool = new WorkerPool(1, home, List.of("sh", "-c", "env > " + seen + "; exec " + real))) {
            hello(pool, 20_000);
            // what the shell itself sets
            assertThat(Files.readAllLines(seen)).allMatch(line -> line.matches("(PATH|PWD|OLDPWD|SHLVL|_|LC_\\w+)=.*"));
        }
    }

    @Test
    void killingAWorkerBetweenRequestsCostsNothingVisible() {
        try (WorkerPool pool = new WorkerPool(1)) {
            hello(pool, 20_000);
            long pid = pool.pids().get(0);
            ProcessHandle.of(pid).orElseThrow().destroyForcibly();
            assertThat(hello(pool, 20_000)).startsWith("espeak-ng");
            assertThat(pool.pids()).hasSize(1).doesNotContain(pid);
        }
    }

    @Test
    void aWorkerIsReplacedBeforeItHasLeftMuchBehind() {
        try (WorkerPool pool = new WorkerPool(1)) {
            hello(pool, 20_000);
            long first = pool.pids().get(0);
            for (int i = 0; i < 400; i++) {
                hello(pool, 20_000);
            }
            assertThat(pool.pids()).hasSize(1).doesNotContain(first);
        }
    }

    /**
     * What a library has loaded stays loaded when the worker's garbage is collected, as converting sound makes a lot of
     * it.
     */
    @Test
    void aWorkerOutlivesTheCollectionOfItsGarbage() {
        try (WorkerPool pool = new WorkerPool(1)) {
            Engines engines = new Engines(pool);
            WorkerResampler resampler = new WorkerResampler(pool);
            Voice otis = NativeVoices.catalogue().find("otis").orElseThrow();
            hello(pool, 20_000);
            long first = pool.pids().get(0);
            for (int i = 0; i < 95; i++) {
                Sound said = engines.speak(new SpeechRequest(
                                otis, SpokenText.of("The crew have one tide to lift it out, number " + i + "."), 1, 0))
                        .sound();
                resampler.resample(said, 48_000);
            }
            assertThat(pool.pids()).containsExactly(first);
        }
    }

    /** One that never ends by itself: that this test ends shows that the deadline did it. */
    @Test
    void aHangEndsAtItsDeadlineWithASentence() {
        try (WorkerPool pool = new WorkerPool(1, "", List.of("sleep", "infinity"))) {
            assertThatThrownBy(() -> hello(pool, 300))
                    .isInstanceOf(SpeechFailed.class)
                    .hasMessageContaining("stopped twice");
        }
    }

    @Test
    void aFloodOfOutputIsNotRead() {
        for (String flood : List.of("yes", "cat /dev/zero")) {
            try (WorkerPool pool = new WorkerPool(1, "", List.of("sh", "-c", flood))) {
                assertThatThrownBy(() -> hello(pool, 5_000)).isInstanceOf(SpeechFailed.class);
            }
        }
    }

    @Test
    void aRefusalIsASentenceAndTheWorkerLivesOn() {
        try (WorkerPool pool = new WorkerPool(1)) {
            hello(pool, 20_000);
            List<Long> pids = pool.pids();
            assertThatThrownBy(() -> pool.ask(
                            out -> {
                                out.writeByte(Frames.SPEAK);
                                Frames.writeText(out, "no/such/voice");
                                Frames.writeText(out, "Hello.");
                                out.writeInt(175);
                                out.writeInt(50);
                            },
                            in -> null,
                            20_000))
                    .hasMessageContaining("no such voice");
            hello(pool, 20_000);
            assertThat(pool.pids()).isEqualTo(pids);
        }
    }
}
