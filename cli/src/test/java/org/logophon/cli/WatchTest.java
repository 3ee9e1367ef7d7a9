package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code watch}: a folder into which scripts are put. */
class WatchTest {

    private static final Duration PATIENCE = Duration.ofSeconds(60);

    @TempDir
    Path folder;

    private CommandRun once(String... more) {
        return CommandRun.of(Stream.concat(Stream.of("watch", folder.toString(), "--once"), Stream.of(more))
                .toArray(String[]::new));
    }

    private List<String> files(String inside) throws IOException {
        try (Stream<Path> all = Files.list(folder.resolve(inside))) {
            return all.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    private String told(String name) throws IOException {
        return Files.readString(folder.resolve(name));
    }

    @Test
    void scriptsBecomeClipsBesideThemAndWhatFailsIsTold() throws IOException {
        Files.writeString(folder.resolve("kiln.md"), "Light the kiln.\n\nWait.\n");
        Files.writeString(folder.resolve("empty.txt"), " ");
        Files.writeString(folder.resolve(".hidden.md"), "No.");
        Files.writeString(folder.resolve("~$open.docx"), "No.");
        Files.writeString(folder.resolve("picture.png"), "No.");
        CommandRun run = once("--name", "{number}");
        assertThat(run.status()).as(run.err()).isZero();
        assertThat(files("kiln")).contains("010.wav", "020.wav", "cue-sheet.csv");
        assertThat(told("kiln.md.done.txt")).startsWith("Done: the clips are in kiln. 2 cues were rendered.");
        assertThat(told("empty.txt.failed.txt")).startsWith("Not done.").contains("empty.txt");
        assertThat(files(""))
                .containsExactly(
                        ".hidden.md",
                        "empty.txt",
                        "empty.txt.failed.txt",
                        "kiln",
                        "kiln.md",
                        "kiln.md.done.txt",
                        "picture.png",
                        "~$open.docx");
        // once more: nothing is new, what is told is no script
        FileTime then = Files.getLastModifiedTime(folder.resolve("kiln/010.wav"));
        assertThat(once("--name", "{number}").err()).doesNotContain("kiln.md");
        assertThat(Files.getLastModifiedTime(folder.resolve("kiln/010.wav"))).isEqualTo(then);
        // what failed is mended
        Files.writeString(folder.resolve("empty.txt"), "Words.");
        Files.setLastModifiedTime(
                folder.resolve("empty.txt"), FileTime.from(Instant.now().plusSeconds(2)));
        once();
        assertThat(Files.exists(folder.resolve("empty.txt.failed.txt"))).isFalse();
        assertThat(told("empty.txt.done.txt")).startsWith("Done");
    }

    @Test
    void eachScriptStandsForItself() throws IOException {
        Path outside = Files.createDirectory(folder.resolveSibling(folder.getFileName() + "-outside"));
        Files.writeString(folder.resolve("a-link.md"), "Light the kiln.");
        Files.createSymbolicLink(folder.resolve("a-link"), outside);
        Files.writeString(folder.resolve("b-marked.md"), "Light the kiln.");
        Files.createDirectory(folder.resolve("b-marked.md.done.txt"));
        Files.writeString(folder.resolve("c-file.md"), "Light the kiln.");
        Files.writeString(folder.resolve("c-file"), "mine");
        Files.writeString(folder.resolve("d".repeat(250) + ".md"), "Light the kiln.");
        Files.writeString(folder.resolve("z-kiln.md"), "Light the kiln.");
        CommandRun run = once("--name", "{number}");
        assertThat(run.status()).as(run.err()).isZero();
        assertThat(told("a-link.md.failed.txt")).contains("is a link");
        assertThat(run.err()).contains("b-marked.md: “b-marked.md.done.txt” is a folder");
        assertThat(told("c-file.md.failed.txt")).contains("“c-file” is a file");
        assertThat(files("d".repeat(250))).contains("010.wav");
        assertThat(told("z-kiln.md.done.txt")).startsWith("Done");
        assertThat(outside).isEmptyDirectory();
        Files.delete(outside);
    }

    @Test
    void twoOfOneNameHaveFoldersOfTheirOwn() throws IOException {
        Files.writeString(folder.resolve("kiln.md"), "Light the kiln.");
        Files.writeString(folder.resolve("kiln.txt"), "Wait.");
        once();
        assertThat(files("kiln.md clips")).anyMatch(name -> name.endsWith(".wav"));
        assertThat(files("kiln.txt clips")).anyMatch(name -> name.endsWith(".wav"));
    }

    @Test
    void whatCannotBeAskedIsSaid() {
        assertThat(CommandRun.of("watch", folder.resolve("none").toString()).err())
                .contains("There is no folder");
        assertThat(once("--out", "x").status()).isEqualTo(2);
        assertThat(once("--out=x").err()).contains("beside each script");
        assertThat(CommandRun.of("watch").status()).isEqualTo(2);
    }

    @Test
    void anOptionThatIsNoneEndsIt() throws IOException {
        Files.writeString(folder.resolve("kiln.md"), "Light the kiln.");
        CommandRun run = CommandRun.of("watch", folder.toString(), "--voice", "nobody");
        assertThat(run.status()).isEqualTo(2);
        assertThat(run.err()).contains("There is no voice nobody");
    }

    /** It goes on until it is stopped: here it is left behind. */
    @Test
    void aScriptThatChangesRendersOnlyWhatChanged() throws IOException {
        Path script = Files.writeString(folder.resolve("kiln.md"), "Light the kiln.\n\nWait.\n\nOpen it.\n");
        CompletableFuture.runAsync(() -> CommandRun.of("watch", folder.toString(), "--name", "{number}"));
        Awaitility.await("made").atMost(PATIENCE).until(() -> Files.exists(folder.resolve("kiln.md.done.txt")));
        assertThat(told("kiln.md.done.txt")).contains("3 cues were rendered.");
        byte[] before = Files.readAllBytes(folder.resolve("kiln/010.wav"));
        Files.writeString(script, "Light the kiln.\n\nWait for a day.\n\nOpen it.\n");
        Awaitility.await("made again")
                .atMost(PATIENCE)
                .ignoreExceptions()
                .until(() -> told("kiln.md.done.txt").contains("1 cue was rendered."));
        assertThat(Files.size(folder.resolve("kiln/010.wav"))).isEqualTo(before.length);
        // written in two steps: nothing is made of half of it
        Files.writeString(folder.resolve("two.md"), "First.");
        Awaitility.await("made").atMost(PATIENCE).until(() -> Files.exists(folder.resolve("two.md.done.txt")));
        Files.delete(script);
        Awaitility.await("what was made stays")
                .during(Duration.ofSeconds(2))
                .atMost(PATIENCE)
                .until(() -> Files.exists(folder.resolve("kiln/010.wav")));
    }
}
