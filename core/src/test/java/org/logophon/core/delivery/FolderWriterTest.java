package org.logophon.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.delivery.FolderWriter.Written;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.digest.Sha256;

/** A folder that an editor has linked: old files or new ones, never halves, and nobody else's touched. */
class FolderWriterTest {

    @TempDir
    Path folder;

    private final Map<String, String> contents = new HashMap<>();

    private Manifest manifest(String... pathsAndTexts) {
        List<Manifest.Entry> files = new ArrayList<>();
        for (int i = 0; i < pathsAndTexts.length; i += 2) {
            String sha = Sha256.hex(pathsAndTexts[i + 1]);
            contents.put(sha, pathsAndTexts[i + 1]);
            files.add(new Manifest.Entry(
                    pathsAndTexts[i], pathsAndTexts[i + 1].length(), sha, "", "new", "", "", "", "", -1));
        }
        return Manifest.first("T", files);
    }

    private Written write(Manifest manifest) throws IOException {
        return new FolderWriter(folder)
                .write(manifest, (sha, out) -> out.write(contents.get(sha).getBytes(StandardCharsets.UTF_8)));
    }

    private String read(String path) throws IOException {
        return Files.readString(folder.resolve(path));
    }

    @Test
    void whatIsNewIsWrittenWhatIsLeftIsToldAndGoesWhenAskedAndNothingElseIsTouched() throws IOException {
        Files.writeString(folder.resolve("mine.txt"), "mine");
        assertThat(write(manifest("One/010.wav", "a", "020.wav", "b", "cue-sheet.csv", "s")))
                .isEqualTo(new Written(3, 0, List.of()));
        Written second = write(manifest("One/010.wav", "a2", "cue-sheet.csv", "s"));
        assertThat(second).isEqualTo(new Written(1, 1, List.of("020.wav")));
        assertThat(read("One/010.wav")).isEqualTo("a2");
        assertThat(read("020.wav")).as("stays until asked").isEqualTo("b");
        assertThat(write(manifest("One/010.wav", "a2", "cue-sheet.csv", "s")).left())
                .as("is still known")
                .containsExactly("020.wav");
        assertThat(new FolderWriter(folder).removeLeft()).isEqualTo(1);
        assertThat(folder.resolve("020.wav")).doesNotExist();
        assertThat(read("mine.txt")).isEqualTo("mine");
        assertThat(new FolderWriter(folder).removeLeft()).isZero();
    }

    @Test
    void whatStopsHalfWayLeavesTheOldFileWhole() throws IOException {
        write(manifest("010.wav", "the old one", "020.wav", "b"));
        Manifest next = manifest("010.wav", "the new one", "020.wav", "b");
        assertThatThrownBy(() -> new FolderWriter(folder).write(next, (sha, out) -> {
                    out.write("the n".getBytes(StandardCharsets.UTF_8));
                    out.flush();
                    throw new IOException("No space left on device");
                }))
                .isInstanceOf(IOException.class);
        assertThat(read("010.wav")).isEqualTo("the old one");
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.map(path -> path.getFileName().toString()))
                    .containsExactlyInAnyOrder("010.wav", "020.wav", "delivery.json");
        }
    }

    @Test
    void aPathThatLeadsOutOfTheFolderIsRefused() throws IOException {
        for (String path : List.of("../a.wav", "/etc/passwd", "", ".", "x/../../a")) {
            assertThatThrownBy(() -> write(manifest(path, "a"))).as(path).isInstanceOf(InvalidInput.class);
        }
        assertThat(folder.resolveSibling("a.wav")).doesNotExist();
        // nor does a list that somebody has put there
        Files.writeString(
                folder.resolve("delivery.json"),
                new Manifest(1, "", List.of(new Manifest.Entry("../b.wav", 0, "", "", "gone", "", "", "", "", -1)))
                        .json());
        Files.writeString(folder.resolveSibling("b.wav"), "not ours");
        assertThatThrownBy(() -> new FolderWriter(folder).removeLeft()).isInstanceOf(InvalidInput.class);
        assertThat(Files.readString(folder.resolveSibling("b.wav"))).isEqualTo("not ours");
        Files.delete(folder.resolveSibling("b.wav"));
    }

    @Test
    void linksAreNeverFollowed(@TempDir Path outside) throws IOException {
        Path letter = Files.writeString(outside.resolve("letter.txt"), "Dear Ffion");
        Files.createSymbolicLink(folder.resolve("010.wav"), letter);
        Files.createSymbolicLink(folder.resolve(".010.wav.part"), letter);
        assertThat(write(manifest("010.wav", "a"))).isEqualTo(new Written(1, 0, List.of()));
        assertThat(letter).hasContent("Dear Ffion");
        assertThat(read("010.wav")).isEqualTo("a");
        Files.createSymbolicLink(folder.resolve("One"), outside);
        assertThatThrownBy(() -> write(manifest("One/020.wav", "b")))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("“One” is a link");
        assertThat(outside.resolve("020.wav")).doesNotExist();
    }

    @Test
    void whatStandsInTheWayIsSaid() throws IOException {
        Files.createDirectories(folder.resolve("010.wav/mine"));
        assertThatThrownBy(() -> write(manifest("010.wav", "a"))).hasMessageContaining("“010.wav” is a folder");
        Files.writeString(folder.resolve("One"), "mine");
        assertThatThrownBy(() -> write(manifest("One/020.wav", "a"))).hasMessageContaining("“One” is a file");
        assertThat(folder.resolve("One")).hasContent("mine");
        Path file = Files.writeString(folder.resolve("here"), "mine");
        assertThatThrownBy(() -> new FolderWriter(file).write(manifest(), (sha, out) -> {}))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("“here” is a file");
    }

    @Test
    void twoAtOnceDontMixTheirFiles() throws IOException {
        Manifest first = manifest("010.wav", "a");
        new FolderWriter(folder).write(first, (sha, out) -> {
            // in the middle of it
            assertThatThrownBy(() -> write(manifest("010.wav", "b")))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessageContaining("Another delivery is being written");
            out.write('a');
        });
        assertThat(read("010.wav")).isEqualTo("a");
        assertThat(write(manifest("010.wav", "b")).written()).isEqualTo(1);
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.map(file -> file.getFileName().toString()))
                    .as("nothing is left over")
                    .containsExactlyInAnyOrder("010.wav", Manifest.FILE);
        }
    }
}
