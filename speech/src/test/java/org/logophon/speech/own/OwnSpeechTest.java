package org.logophon.speech.own;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;

/** Programs that do as they should, and programs that don't. */
class OwnSpeechTest {

    private static final OwnEnginesFile FILE = OwnEnginesFile.read(Path.of("../docs/engines.yaml"));
    private static final Voice WREN = FILE.voices().get(0);
    private static final OwnLimits SHORT = new OwnLimits(1_000, 1, 200, 1, 2);

    private static OwnSpeech shell(String script, OwnLimits limits) {
        return new OwnSpeech(new OwnEngine(
                "odd",
                "Odd",
                List.of("/bin/sh", "-c", script, "{voice}"),
                false,
                false,
                List.of(),
                Map.of("GREETING", "hello"),
                null,
                null,
                limits,
                List.of()));
    }

    private static void fails(String script, OwnLimits limits, String sentence) {
        assertThatThrownBy(() -> shell(script, limits).speak(request(WREN, "Fog.")))
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining(sentence);
    }

    private static SpeechRequest request(Voice voice, String text) {
        return new SpeechRequest(voice, SpokenText.of(text), 1, 0);
    }

    @Test
    void aProgramThatReadsAPipeAndOneThatReadsFilesSpeak() {
        for (OwnEngine engine : FILE.engines()) {
            Utterance said = engine.speaker().speak(request(engine.voices().get(0), "The lamp is lit."));
            assertThat(SpeechSpan.soundingSeconds(said.sound())).as(engine.id()).isBetween(0.6, 2.5);
            assertThat(engine.speaker().version(engine.voices().get(0)))
                    .startsWith("own " + engine.id())
                    .containsPattern("\\d\\.\\d");
        }
    }

    @Test
    void otherArgumentsAreAnotherVersion() {
        assertThat(shell("true", SHORT).version(WREN))
                .isNotEqualTo(shell("false", SHORT).version(WREN));
    }

    @Test
    void whatFailsIsASentence() {
        fails("echo No such model >&2; exit 3", SHORT, "Odd ended with status 3: No such model");
        fails("exit 4", SHORT, "Odd ended with status 4 and says nothing of why.");
        fails("true", SHORT, "Odd gave no sound that can be read. It is no WAV file.");
        fails("kill -SEGV $$", SHORT, "Odd ended with status 139");
    }

    @Test
    void oneThatNeverEndsIsEndedWithAllThatItHasStarted() {
        long sleepers = sleepers();
        fails("sleep 4444 & sleep 4444 & wait", SHORT, "Odd took more than 1 s");
        await().until(() -> sleepers() == sleepers);
    }

    private static long sleepers() {
        return ProcessHandle.allProcesses()
                .filter(process -> process.info().commandLine().orElse("").endsWith("sleep 4444"))
                .count();
    }

    @Test
    void oneThatWritesWithoutEndIsEnded() {
        OwnLimits patient = new OwnLimits(1_000, 30, 200, 1, 2);
        fails("yes", patient, "Odd wrote more than 1 MB");
        fails("yes > more", patient, "Odd wrote more than 1 MB");
        fails("yes >&2", patient, "Odd wrote more than 1 MB");
    }

    /** The kernel says no to more memory than was allowed. */
    @Test
    void oneThatWantsMoreMemoryThanItMayIsRefusedIt() {
        fails(
                "exec /usr/bin/perl -e '$x = \"x\" x 400_000_000; print length $x'",
                new OwnLimits(1_000, 30, 200, 1, 2),
                "Odd ended with status");
    }

    @Test
    void itSeesNothingButWhatItsEngineNames() {
        fails("/usr/bin/env >&2; exit 1", SHORT, "GREETING=hello");
        assertThatThrownBy(() -> shell("/usr/bin/env >&2; exit 1", SHORT).speak(request(WREN, "Fog.")))
                .satisfies(failed -> assertThat(failed.getMessage())
                        .doesNotContain("HOME=")
                        .doesNotContain("LOGOPHON")
                        .doesNotContain("PATH=/"));
    }

    /** What strangers wrote is never an argument, so neither a shell nor a program takes it for one. */
    @Test
    void aTextIsOnlyText(@TempDir Path folder) {
        Path made = folder.resolve("made");
        for (String text : List.of(
                "$(touch " + made + ")",
                "`touch " + made + "`",
                "; touch " + made,
                "--help",
                "{sound} {text}",
                "\n\n")) {
            Utterance said = FILE.engines().get(0).speaker().speak(request(WREN, text + " Lamp."));
            assertThat(SpeechSpan.soundingSeconds(said.sound())).as(text).isGreaterThan(0.1);
        }
        assertThat(Files.exists(made)).isFalse();
    }

    @Test
    void noMoreOfThemRunThanMay(@TempDir Path folder) throws IOException {
        // each leaves a file while it runs, and says how many there are
        OwnSpeech two = shell(
                "touch %1$s/$$; ls %1$s | /usr/bin/wc -l >> %1$s.most; sleep 0.2; rm %1$s/$$; exit 9"
                        .formatted(folder.resolve("runs")),
                new OwnLimits(1_000, 20, 200, 1, 2));
        Files.createDirectory(folder.resolve("runs"));
        IntStream.range(0, 8)
                .parallel()
                .forEach(i -> assertThatThrownBy(() -> two.speak(request(WREN, "Fog.")))
                        .hasMessageContaining("status 9"));
        List<String> counts = Files.readAllLines(folder.resolve("runs.most"));
        assertThat(counts).hasSize(8).allMatch(count -> Integer.parseInt(count.strip()) <= 2);
    }
}
