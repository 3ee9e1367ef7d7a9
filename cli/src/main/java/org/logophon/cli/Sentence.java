package org.logophon.cli;

import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;

/** Says what went wrong to a person. */
public final class Sentence {

    private Sentence() {}

    public static String of(Exception error) {
        if (error instanceof AccessDeniedException denied) {
            return denied.getFile()
                    + " can't be written or read: permission is missing. Choose another place or change its rights.";
        }
        if (error instanceof NoSuchFileException missing) {
            return missing.getFile() + " doesn't exist. Check the path.";
        }
        if (error instanceof FileSystemException disk) {
            return disk.getFile() + " can't be written: " + disk.getReason() + ".";
        }
        String message = error.getMessage();
        return message == null
                ? "Something failed that has no name: " + error.getClass().getSimpleName() + "."
                : message;
    }
}
