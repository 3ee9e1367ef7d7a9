package org.logophon.app.platform.disk;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.logophon.app.platform.failure.NoRoom;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/** The room on the disk that holds the database and the temporary files. */
@Component
public class DiskRoom {

    /** Under it the pages warn. */
    static final DataSize LITTLE = DataSize.ofGigabytes(1);

    private final Path folder;
    private final DataSize least;

    /**
     * @param data  the data folder; empty where the database is kept elsewhere: then the temporary folder's disk counts
     * @param least what is left alone, so that the database can go on and what is there can be read
     */
    public DiskRoom(@Value("${logophon.data}") String data, @Value("${logophon.disk-least}") DataSize least) {
        this.folder = Path.of(data.isBlank() ? System.getProperty("java.io.tmpdir") : data);
        this.least = least;
    }

    public long freeBytes() {
        try {
            return Files.getFileStore(folder).getUsableSpace();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public boolean little() {
        return freeBytes() < LITTLE.toBytes();
    }

    public boolean full() {
        return freeBytes() < least.toBytes();
    }

    /**
     * To be asked before something is written, so that the disk never gets so full that the database stops.
     *
     * @param bytes that will be written
     * @throws NoRoom when they would eat into what is left alone
     */
    public void need(long bytes) {
        if (freeBytes() - bytes < least.toBytes()) {
            throw new NoRoom();
        }
    }

    /** For the pages: what to say of the disk, or null. */
    public String warning() {
        long free = freeBytes();
        if (free >= LITTLE.toBytes() && free >= least.toBytes()) {
            return null;
        }
        String left = free < 10_000_000 ? "almost nothing" : String.format(Locale.ROOT, "%,d MB", free / 1_000_000);
        return free < least.toBytes()
                ? "The disk is full: " + left
                        + " is left where Logophon keeps its data. Nothing can be saved or rendered before "
                        + "there is room."
                : "The disk is nearly full: " + left + " is left where Logophon keeps its data.";
    }
}
