package org.logophon.app.platform.failure;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.sql.SQLException;

/** The disk is full. It doesn't pass by itself, so nothing that meets it is tried again by itself. */
public class NoRoom extends RuntimeException {

    public static final String SENTENCE =
            "There is no room on the disk that holds Logophon’s data. What was saved is safe, "
                    + "and what stands in this page stays in it. Make room on the disk, then try again.";

    /** Class 53, insufficient resources: disk full (PostgreSQL 15, appendix A). */
    private static final String DISK_FULL = "53100";
    /** What the system says of ENOSPC and EDQUOT (POSIX.1-2017, the texts of the GNU C library). */
    private static final String SYSTEM_WORDS = ".*(No space left on device|Disk quota exceeded).*";

    public NoRoom() {
        super(SENTENCE);
    }

    /** True when a full disk is the reason, whether the database or the system says so. */
    public static boolean is(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof NoRoom
                    || cause instanceof SQLException sql && DISK_FULL.equals(sql.getSQLState())
                    || cause instanceof IOException io && said(io).matches(SYSTEM_WORDS)) {
                return true;
            }
        }
        return false;
    }

    private static String said(IOException failure) {
        return String.valueOf(
                failure instanceof FileSystemException system ? system.getReason() : failure.getMessage());
    }
}
