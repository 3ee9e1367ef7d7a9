package org.logophon.core.delivery;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;
import org.logophon.core.input.InvalidInput;

/**
 * A file that is the old one or the new one at every moment: it is written beside its place under a name of its own,
 * which is then moved in. A link that stands in its place is replaced and never followed (CWE-59).
 */
public final class WholeFile {

    private static final int BLOCK = 1 << 16;

    private WholeFile() {}

    /** Writes what is in the file; the stream is closed for it. */
    @FunctionalInterface
    public interface Content {
        void write(OutputStream out) throws IOException;
    }

    /** @throws InvalidInput with a sentence when a folder stands in its place */
    public static void write(Path target, Content content) throws IOException {
        write(target, content, false);
    }

    /** The same for what others rely on: it is on the disk when this ends, also after the power has gone. */
    public static void writeDurably(Path target, Content content) throws IOException {
        write(target, content, true);
    }

    private static void write(Path target, Content content, boolean durable) throws IOException {
        Path part = beside(target);
        try {
            stage(part, content, durable);
            moveIn(part, target);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** A name beside a file's place that nobody else writes to; short, however long the file's own is. */
    public static Path beside(Path target) {
        return target.resolveSibling(".logophon-" + UUID.randomUUID() + ".part");
    }

    /** Writes a new file that has no name of its own yet. @param part as {@link #beside} says */
    public static void stage(Path part, Content content) throws IOException {
        stage(part, content, false);
    }

    private static void stage(Path part, Content content, boolean durable) throws IOException {
        try (FileChannel file = FileChannel.open(part, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
                OutputStream out = new BufferedOutputStream(Channels.newOutputStream(file), BLOCK)) {
            content.write(out);
            out.flush();
            if (durable) {
                file.force(true);
            }
        }
    }

    /** Gives a staged file its name. @throws InvalidInput with a sentence when a folder has it */
    public static void moveIn(Path part, Path target) throws IOException {
        // one that is empty would be replaced
        if (Files.isDirectory(target, LinkOption.NOFOLLOW_LINKS)) {
            throw new InvalidInput("“%s” is a folder, and a file of that name is to be written. Move it away."
                    .formatted(target.getFileName()));
        }
        Files.move(part, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    /**
     * Makes the folders that lead to a file, from one that is there on.
     *
     * @param root   that the file lies in, however it was come to
     * @param target below it
     * @throws InvalidInput with a sentence when something on the way is no folder, or a link, which may lead elsewhere
     */
    public static void makeWay(Path root, Path target) throws IOException {
        Path way = root;
        for (Path step : root.relativize(target.getParent())) {
            if (step.toString().isEmpty()) {
                continue;
            }
            way = way.resolve(step);
            if (Files.isSymbolicLink(way)) {
                throw new InvalidInput("“%s” is a link, and nothing is written through links. Move it away."
                        .formatted(root.relativize(way)));
            }
            if (Files.exists(way, LinkOption.NOFOLLOW_LINKS) && !Files.isDirectory(way, LinkOption.NOFOLLOW_LINKS)) {
                throw new InvalidInput("“%s” is a file, and a folder of that name is needed. Move it away."
                        .formatted(root.relativize(way)));
            }
            if (!Files.exists(way)) {
                Files.createDirectory(way);
            }
        }
    }
}
