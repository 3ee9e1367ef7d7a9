package org.logophon.documents;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.logophon.core.delivery.WholeFile;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.digest.Sha256;

/** A script that somebody put into a folder, and what is told of it beside it. */
public record WatchedScript(Path file) {

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
    /** Of common file systems. */
    private static final int LONGEST_NAME_BYTES = 255;

    private static final int DIGEST_DIGITS = 8;
    private static final String DONE = ".done.txt";
    private static final String FAILED = ".failed.txt";

    /** How a file looks from outside: one that looks the same twice is whole, as far as one can tell. */
    public record Looks(long bytes, long changedMillis) {}

    /**
     * Those of a folder, by their names; no hidden ones, none that editors keep beside an open one, nothing behind a
     * link.
     */
    public static List<WatchedScript> in(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(file -> Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS))
                    .filter(WatchedScript::script)
                    .sorted()
                    .map(WatchedScript::new)
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

    /**
     * Where its clips go: by its name without its ending, and by all of it where another script is called so, too.
     *
     * @throws InvalidInput with a sentence when a file or a link stands there
     */
    public Path clips() throws IOException {
        boolean alone = in(file.getParent()).stream()
                        .filter(other -> other.base().equals(base()))
                        .count()
                < 2;
        Path clips = file.resolveSibling(alone ? base() : named(name(), " clips"));
        if (Files.isSymbolicLink(clips)) {
            throw new InvalidInput("“%s” is a link, and clips aren't written through links. Move it away."
                    .formatted(clips.getFileName()));
        }
        if (Files.exists(clips) && !Files.isDirectory(clips)) {
            throw new InvalidInput("“%s” is a file, and the clips need a folder of that name. Move the file away."
                    .formatted(clips.getFileName()));
        }
        return clips;
    }

    /** All of it. @throws NoSuchFileException when it has gone, or a link stands there by now */
    public byte[] read() throws IOException {
        if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            throw new NoSuchFileException(file.toString());
        }
        try (InputStream in = Files.newInputStream(file, LinkOption.NOFOLLOW_LINKS)) {
            return in.readAllBytes();
        }
    }

    /** Null for one that has gone. */
    public Looks looks() throws IOException {
        return looks(file);
    }

    private static Looks looks(Path path) throws IOException {
        try {
            BasicFileAttributes attributes =
                    Files.readAttributes(path, BasicFileAttributes.class, LinkOption.NOFOLLOW_LINKS);
            return new Looks(attributes.size(), attributes.lastModifiedTime().toMillis());
        } catch (NoSuchFileException gone) {
            return null;
        }
    }

    /** True where what is told of it is as young as it is. */
    public boolean toldSince(Looks now) throws IOException {
        for (String ending : List.of(DONE, FAILED)) {
            Path beside = beside(ending);
            // a folder of that name tells nothing
            Looks told = Files.isRegularFile(beside, LinkOption.NOFOLLOW_LINKS) ? looks(beside) : null;
            if (told != null && told.changedMillis() >= now.changedMillis()) {
                return true;
            }
        }
        return false;
    }

    /**
     * Says beside it what became of it, whole or not at all, in place of what was said before.
     *
     * @throws InvalidInput with a sentence when a folder stands there
     */
    public void tell(boolean done, String words) throws IOException {
        WholeFile.write(beside(done ? DONE : FAILED), out -> out.write(words.getBytes(StandardCharsets.UTF_8)));
        Path other = beside(done ? FAILED : DONE);
        if (!Files.isDirectory(other, LinkOption.NOFOLLOW_LINKS)) {
            Files.deleteIfExists(other);
        }
    }

    private Path beside(String ending) {
        return file.resolveSibling(named(name(), ending));
    }

    /**
     * A name with something after it, as long as a name can be: of a longer one the end goes, and a digest tells it
     * from others.
     */
    private static String named(String name, String ending) {
        if (bytes(name + ending) <= LONGEST_NAME_BYTES) {
            return name + ending;
        }
        String digest = "~" + Sha256.hex(name).substring(0, DIGEST_DIGITS);
        int end = name.length();
        while (bytes(name.substring(0, end) + digest + ending) > LONGEST_NAME_BYTES) {
            end = name.offsetByCodePoints(end, -1);
        }
        return name.substring(0, end) + digest + ending;
    }

    private static int bytes(String name) {
        return name.getBytes(StandardCharsets.UTF_8).length;
    }
}
