package org.logophon.core.delivery;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.UUID;
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
        while (true) {
            FileChannel channel = FileChannel.open(
                    file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
            if (!locked(channel)) {
                channel.close();
                throw new InvalidInput("Another delivery is being written into " + folder
                        + ". Wait until it is done, or choose another folder.");
            }
            if (stillThere(file, channel)) {
                return new FolderHold(file, channel);
            }
            channel.close();
        }
    }

    private static boolean locked(FileChannel channel) throws IOException {
        try {
            return channel.tryLock() != null;
        } catch (OverlappingFileLockException here) {
            // another thread of this process has it
            return false;
        }
    }

    /**
     * False for a file that its last holder took away after it was opened here: the lock of that one keeps nobody out.
     */
    private static boolean stillThere(Path file, FileChannel channel) throws IOException {
        byte[] mine = UUID.randomUUID().toString().getBytes(StandardCharsets.US_ASCII);
        channel.truncate(0).write(ByteBuffer.wrap(mine));
        try {
            return Arrays.equals(Files.readAllBytes(file), mine);
        } catch (NoSuchFileException gone) {
            return false;
        }
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(file);
        channel.close();
    }
}
