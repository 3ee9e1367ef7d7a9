package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.cli.input.ExitStatus;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.direction.ssml.SsmlReader;

/** {@code restore}: words, voice, readings and marks come back from the sound. */
class RestoreTest {

    private static final String SCRIPT = """
            <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">
            <voice name="isla"><p>The <sub alias="lantern">lamp</sub> is lit.<break time="400ms"/> <emphasis>Now</emphasis> go.</p></voice>
            <voice name="marnie"><p>Tomorrow &amp; after.</p></voice>
            </speak>
            """;

    @TempDir
    Path folder;

    private List<String> clips(String format) throws IOException {
        Path script = Files.writeString(folder.resolve("kiln.ssml"), SCRIPT);
        CommandRun run = CommandRun.of(
                "narrate",
                script.toString(),
                "--out",
                folder.resolve(format).toString(),
                "--deliver",
                "clips",
                "--format",
                format);
        assertThat(run.status()).as(run.err()).isZero();
        List<String> clips = new ArrayList<>();
        try (var files = Files.list(folder.resolve(format))) {
            files.filter(file -> file.toString().endsWith("." + format))
                    .sorted()
                    .forEach(file -> clips.add(file.toString()));
        }
        return clips;
    }

    @ParameterizedTest
    @ValueSource(strings = {"wav", "flac", "mp3", "opus", "m4a"})
    void everyFormatGivesItsWordsBack(String format) throws IOException {
        List<String> words = new ArrayList<>(
                List.of("restore", "--out", folder.resolve("back.ssml").toString()));
        words.addAll(clips(format));
        CommandRun run = CommandRun.of(words.toArray(String[]::new));
        assertThat(run.status()).as(run.err()).isZero();
        List<SsmlCue> then = SsmlReader.read(SCRIPT).cues();
        List<SsmlCue> now =
                SsmlReader.read(Files.readString(folder.resolve("back.ssml"))).cues();
        assertThat(now).hasSameSizeAs(then);
        for (int i = 0; i < then.size(); i++) {
            assertThat(now.get(i).text()).isEqualTo(then.get(i).text());
            assertThat(now.get(i).voice()).isEqualTo(then.get(i).voice());
            assertThat(now.get(i).marks()).isEqualTo(then.get(i).marks());
            assertThat(now.get(i).readings()).isEqualTo(then.get(i).readings());
        }
    }

    @Test
    void whatIsNoClipIsToldAndNothingIsLost() throws IOException {
        Path noise = Files.write(folder.resolve("wind.mp3"), new byte[5_000]);
        Path out = Files.writeString(folder.resolve("kept.ssml"), "mine");
        CommandRun none = CommandRun.of("restore", noise.toString(), "--out", out.toString());
        assertThat(none.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(none.err()).contains("wind.mp3 isn't a clip of Logophon's").contains("None of these files");
        assertThat(Files.readString(out)).isEqualTo("mine");
        CommandRun missing = CommandRun.of("restore", "nowhere.wav", "--out", out.toString());
        assertThat(missing.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(missing.err()).contains("can't be read");
    }
}
