package org.logophon.documents;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.input.InvalidInput;

/** What is told beside a script, whatever else is in its folder. */
class WatchedScriptTest {

    @TempDir
    private Path home;

    private Path folder;
    private Path outside;

    @BeforeEach
    void make() throws IOException {
        folder = Files.createDirectory(home.resolve("folder"));
        outside = Files.createDirectory(home.resolve("outside"));
    }

    private WatchedScript script(String name) throws IOException {
        return new WatchedScript(Files.writeString(folder.resolve(name), "Fog."));
    }

    private static List<String> names(Path in) throws IOException {
        try (var all = Files.list(in)) {
            return all.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void nothingIsWrittenThroughALink() throws IOException {
        WatchedScript script = script("kiln.md");
        Path letter = Files.writeString(outside.resolve("letter.txt"), "Dear Ffion");
        Files.createSymbolicLink(folder.resolve(".kiln.md.done.txt.part"), letter);
        Files.createSymbolicLink(folder.resolve("kiln.md.done.txt"), letter);
        script.tell(true, "Done.");
        assertThat(letter).hasContent("Dear Ffion");
        assertThat(folder.resolve("kiln.md.done.txt")).isRegularFile().hasContent("Done.");
        assertThat(Files.isSymbolicLink(folder.resolve("kiln.md.done.txt"))).isFalse();
        Files.createSymbolicLink(folder.resolve("kiln"), outside);
        assertThatThrownBy(script::clips).isInstanceOf(InvalidInput.class).hasMessageContaining("“kiln” is a link");
    }

    @Test
    void nothingIsReadThroughALinkThatCameMeanwhile() throws IOException {
        WatchedScript script = script("kiln.md");
        Files.delete(script.file());
        Files.createSymbolicLink(script.file(), Files.writeString(outside.resolve("letter.txt"), "Dear Ffion"));
        assertThatThrownBy(script::read).isInstanceOf(NoSuchFileException.class);
        assertThat(WatchedScript.in(folder)).isEmpty();
    }

    @Test
    void aFolderInTheWayStaysAndIsSaid() throws IOException {
        WatchedScript script = script("kiln.md");
        Files.createDirectory(folder.resolve("kiln.md.done.txt"));
        assertThatThrownBy(() -> script.tell(true, "Done."))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("“kiln.md.done.txt” is a folder");
        assertThat(script.toldSince(script.looks())).isFalse();
        script.tell(false, "Not done.");
        assertThat(script.toldSince(script.looks())).isTrue();
        assertThat(names(folder)).containsExactly("kiln.md", "kiln.md.done.txt", "kiln.md.failed.txt");
    }

    @Test
    void aFileWhereTheClipsGoIsSaid() throws IOException {
        WatchedScript script = script("kiln.md");
        Files.writeString(folder.resolve("kiln"), "a note");
        assertThatThrownBy(script::clips).isInstanceOf(InvalidInput.class).hasMessageContaining("“kiln” is a file");
    }

    @Test
    void namesAsLongAsNamesCanBeAreTold() throws IOException {
        WatchedScript one = script("f".repeat(250) + ".txt");
        WatchedScript other = script("f".repeat(249) + "g.txt");
        one.tell(true, "one");
        other.tell(true, "other");
        List<String> told = names(folder).stream()
                .filter(name -> name.endsWith(".done.txt"))
                .toList();
        assertThat(told).hasSize(2).allSatisfy(name -> assertThat(name.length()).isLessThanOrEqualTo(255));
        assertThat(WatchedScript.in(folder)).containsExactlyInAnyOrder(one, other);
        one.tell(false, "one");
        assertThat(names(folder)).filteredOn(name -> name.endsWith(".done.txt")).hasSize(1);
        // a character of several bytes isn't cut in two
        WatchedScript wide = script("é".repeat(125) + ".md");
        wide.tell(true, "wide");
        assertThat(names(folder)).anyMatch(name -> name.startsWith("éé") && name.endsWith(".done.txt"));
    }
}
