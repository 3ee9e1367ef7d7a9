package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** A folder whose scripts become clips like a project. */
@Execution(ExecutionMode.CONCURRENT)
class WatchedFolderTest extends ApplicationTest {

    private Path watched(String project) {
        server.post(project + "/watched", Map.of());
        return Path.of(server.json(project + "/watched").get("folder").asString());
    }

    private static List<String> files(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    private static boolean told(Path folder, String name, String words) {
        try {
            return Files.exists(folder.resolve(name))
                    && Files.readString(folder.resolve(name)).contains(words);
        } catch (IOException e) {
            return false;
        }
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void aScriptBecomesClipsBesideItLikeTheProjectAndAgainWhenItChanges() throws IOException {
        String like = server.project("Like this one", "KEEPER: Only a model.");
        server.post(like + "/cast", Map.of("role", "Keeper", "voice", "edwin"));
        Path folder = watched(like);
        assertThat(folder.getParent()).isEqualTo(WATCHED);
        Path script = Files.writeString(folder.resolve("kiln.md"), "KEEPER: Light the kiln.\n\nWait.\n");
        Files.writeString(folder.resolve("empty.txt"), " ");
        try (RandomAccessFile huge =
                new RandomAccessFile(folder.resolve("huge.txt").toFile(), "rw")) {
            huge.setLength(4L << 30);
        }
        Server.await("done", () -> told(folder, "kiln.md.done.txt", "Done. The clips are in kiln: delivery 1."));
        List<String> clips = files(folder.resolve("kiln"));
        assertThat(clips.stream().filter(name -> name.endsWith(".wav")))
                .containsExactly("010_light-the-kiln.wav", "020_wait.wav");
        Server.await("failed", () -> told(folder, "empty.txt.failed.txt", "Not done. empty.txt"));
        Server.await("too large", () -> told(folder, "huge.txt.failed.txt", "Not done. huge.txt is over 30 MB"));
        Files.delete(folder.resolve("huge.txt"));
        String made = server.named("kiln");
        assertThat(server.get(made + "/cast").body()).contains("Edwin");
        int takes = server.cues(made).get(0).get("takes").asInt();
        // one cue changes
        Files.writeString(script, "KEEPER: Light the kiln.\n\nWait for a day and a night.\n");
        Server.await("again", () -> told(folder, "kiln.md.done.txt", "delivery 2."));
        assertThat(server.cues(made).get(0).get("takes").asInt())
                .as("what didn't change isn't rendered")
                .isEqualTo(takes);
        assertThat(server.cues(made).get(1).get("words").asString()).startsWith("Wait for");
        server.post(like + "/watched/stop", Map.of());
        assertThat(server.json(like + "/watched").get("folder").asString()).isEmpty();
        assertThat(files(folder)).contains("kiln.md", "kiln");
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void eachScriptStandsForItselfAndWhatCannotBeToldBesideItIsToldOnThePage() throws IOException {
        String like = server.project("Each for itself", "Only a model.");
        Path folder = watched(like);
        Path outside = Files.createTempDirectory("logophon-outside");
        Files.writeString(folder.resolve("a-link.md"), "Light the kiln.");
        Files.createSymbolicLink(folder.resolve("a-link"), outside);
        Files.writeString(folder.resolve("b-marked.txt"), " ");
        Files.createDirectory(folder.resolve("b-marked.txt.failed.txt"));
        Files.writeString(folder.resolve("c-file.md"), "Light the kiln.");
        Files.writeString(folder.resolve("c-file"), "mine");
        Files.writeString(folder.resolve("z-kiln.md"), "Light the kiln.");
        Server.await("the last one is done", () -> told(folder, "z-kiln.md.done.txt", "Done."));
        Server.await("a link is told", () -> told(folder, "a-link.md.failed.txt", "is a link"));
        Server.await("a file is told", () -> told(folder, "c-file.md.failed.txt", "“c-file” is a file"));
        assertThat(outside).isEmptyDirectory();
        assertThat(server.json(like + "/watched").get("untold").get(0).asString())
                .startsWith("b-marked.txt: “b-marked.txt.failed.txt” is a folder");
        // it is taken out
        Files.delete(folder.resolve("b-marked.txt"));
        Server.await(
                "nothing is told of it",
                () -> server.json(like + "/watched").get("untold").isEmpty());
        server.post(like + "/watched/stop", Map.of());
        Files.delete(outside);
    }
}
