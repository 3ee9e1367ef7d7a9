package org.logophon.app.services.page;

import java.util.Locale;

/** Sizes for people. */
public final class FileSize {

    private FileSize() {}

    public static String of(long bytes) {
        if (bytes < 1_000_000) {
            return bytes == 0 ? "0 kB" : String.format(Locale.ROOT, "%.1f kB", bytes / 1e3);
        }
        return bytes < 1_000_000_000
                ? String.format(Locale.ROOT, "%.1f MB", bytes / 1e6)
                : String.format(Locale.ROOT, "%.2f GB", bytes / 1e9);
    }
}
