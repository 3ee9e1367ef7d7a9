package org.logophon.app.deliver;

import java.util.Locale;

/** Sizes for people. */
final class FileSize {

    private FileSize() {}

    static String of(long bytes) {
        return bytes < 1_000_000
                ? String.format(Locale.ROOT, "%.1f kB", bytes / 1e3)
                : String.format(Locale.ROOT, "%.1f MB", bytes / 1e6);
    }
}
