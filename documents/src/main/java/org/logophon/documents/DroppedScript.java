package org.logophon.documents;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/** A script that somebody put into a folder, and what is told of it beside it. */
public record DroppedScript(Path file) {

    private static final Set<String> ENDINGS = Set.of(
            "txt",
            "md",
            "markdown",
            "docx",
            "doc",
            "odt",
            "rtf",
            "pdf",
            "htm",
            "html",
            "xhtml",
            "srt",
            "vtt",
            "csv",
            "tsv",
            "ssml");
    private static final String DONE = ".done.txt";
    private static final String FAILED = ".failed.txt";

    /** How a file looks from outside: one that looks the same twice is whole, as far as one can tell. */
    public record Looks(long bytes, long changedMillis) {}

    /** Those of a folder, by their names; no hidden ones, none that editors keep beside an open one, nothing behind a link. */
    public static List<DroppedScript> in(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(file -> Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS))
                    .filter(DroppedScript::script)
                    .sorted()
                    .map(DroppedScript::new)
                    .toList();
        }
    }

    private static boolean script(Path file) {
        String name = file.getFileName().toString();
        String lower = name.toLowerCase(Locale.ROOT);
        boolean ours = lower.endsWith(DONE) || lower.endsWith(FAILED);
        boolean hidden = name.startsWith(".") || name.startsWith("~");
        return !ours && !hidden && ENDINGS.contains(lower.substring(lower.lastIndexOf('.') + 1));
    }

    public String name() {
        return file.getFileName().toString();
    }

    /** Without its ending. */
    public String base() {
        return name().substring(0, name().lastIndexOf('.'));
    }

    /** Where its clips go: by its name without its ending, and by all of it where another script is called so, too. */
    public Path clips() throws IOException {
        boolean alone = in(file.getParent()).stream()
                        .filter(other -> other.base().equals(base()))
                        .count()
                < 2;
        return file.resolveSibling(alone ? base() : name() + " clips");
    }

    /** Null for one that has gone. */
    public Looks looks() throws IOException {
        return looks(file);
    }

    private static Looks looks(Path path) throws IOException {
        try {
            BasicFileAttributes attributes = Files.readAttributes(path, BasicFileAttributes.class);
            return new Looks(attributes.size(), attributes.lastModifiedTime().toMillis());
        } catch (NoSuchFileException gone) {
            return null;
        }
    }

    /** True where what is told of it is as young as it is. */
    public boolean toldSince(Looks now) throws IOException {
        for (String ending : List.of(DONE, FAILED)) {
            Looks told = looks(beside(ending));
            if (told != null && told.changedMillis() >= now.changedMillis()) {
                return true;
            }
        }
        return false;
    }

    /** Says beside it what became of it, whole or not at all, in place of what was said before. */
    public void tell(boolean done, String words) throws IOException {
        String ending = done ? DONE : FAILED;
        Path part = file.resolveSibling("." + name() + ending + ".part");
        Files.writeString(part, words);
        Files.move(part, beside(ending), StandardCopyOption.REPLACE_EXISTING);
        Files.deleteIfExists(beside(done ? FAILED : DONE));
    }

    private Path beside(String ending) {
        return file.resolveSibling(name() + ending);
    }
}
