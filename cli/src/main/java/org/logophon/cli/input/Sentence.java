package org.logophon.cli.input;

import java.io.UncheckedIOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;

/** Says what went wrong to a person. */
public final class Sentence {

    private Sentence() {}

    public static String of(Throwable error) {
        if (error instanceof OutOfMemoryError || error instanceof StackOverflowError) {
            return "This takes more memory than there is. Split the script into several files.";
        }
        if (error instanceof AccessDeniedException denied) {
            return denied.getFile()
                    + " can't be written or read: permission is missing. Choose another place or change its rights.";
        }
        if (error instanceof NoSuchFileException missing) {
            return missing.getFile() + " doesn't exist. Check the path.";
        }
        if (error instanceof FileAlreadyExistsException || error instanceof NotDirectoryException) {
            return ((FileSystemException) error).getFile()
                    + " is a file, and a folder is needed. Choose another place.";
        }
        if (error instanceof FileSystemException disk) {
            return disk.getFile() + " can't be read or written: "
                    + (disk.getReason() == null ? "see that its folder is there and yours" : disk.getReason())
                    + ". Choose another place, or make room.";
        }
        if (error instanceof UncheckedIOException inner) {
            return of(inner.getCause());
        }
        if (error instanceof MalformedInputException) {
            return "A file is not in UTF-8. Save it as plain text in UTF-8.";
        }
        String message = error.getMessage();
        return message == null
                ? "Something failed that has no name: " + error.getClass().getSimpleName() + "."
                : message;
    }
}
