package org.logophon.core.delivery;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.logophon.core.input.InvalidInput;

/** Holds a folder for one delivery at a time, of this process or another on this machine: two would mix their files. */
public final class FolderHold implements AutoCloseable {

    private static final String NAME = ".logophon.lock";

    private final Path file;
    private final FileChannel channel;

    private FolderHold(Path file, FileChannel channel) {
        this.file = file;
        this.channel = channel;
    }

    /**
     * @param folder that is there
     * @throws InvalidInput with a sentence when somebody else has it
     */
    public static FolderHold of(Path folder) throws IOException {
        Path file = folder.resolve(NAME);
        FileChannel channel =
                FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
        try {
            FileLock lock = channel.tryLock();
            if (lock != null) {
                return new FolderHold(file, channel);
            }
        } catch (OverlappingFileLockException here) {
            // another thread of this process has it
        }
        channel.close();
        throw new InvalidInput("Another delivery is being written into " + folder
                + ". Wait until it is done, or choose another folder.");
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(file);
        channel.close();
    }
}
