package org.logophon.standin;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.YearMonth;
import java.time.ZoneOffset;
import org.logophon.core.input.digest.Sha256;

/**
 * The accounts of what was spoken and charged, on disk: a request that comes again with its key gets its answer again
 * and is charged once.
 */
final class Accounts {

    static final int ALLOWANCE = 10_000;

    private final Path folder;
    private final Clock clock;

    Accounts(Path folder, Clock clock) throws IOException {
        this.folder = Files.createDirectories(folder);
        this.clock = clock;
    }

    /** @return the answer that was given for this key, or null */
    synchronized String answer(String key) throws IOException {
        Path file = folder.resolve(name(key));
        return Files.exists(file) ? Files.readString(file, StandardCharsets.UTF_8) : null;
    }

    /** @return false when the allowance doesn't reach: nothing is charged then */
    synchronized boolean charge(String key, String answer, int characters) throws IOException {
        if (Files.exists(folder.resolve(name(key)))) {
            // the same request came twice at once, and the other one was quicker
            return true;
        }
        int used = used();
        if (used + characters > ALLOWANCE) {
            return false;
        }
        Path part = folder.resolve(name(key) + ".part");
        Files.writeString(part, answer, StandardCharsets.UTF_8);
        Files.writeString(used(month()), Integer.toString(used + characters), StandardCharsets.UTF_8);
        Files.move(part, folder.resolve(name(key)));
        return true;
    }

    /** Characters of this month. */
    synchronized int used() throws IOException {
        Path file = used(month());
        return Files.exists(file)
                ? Integer.parseInt(
                        Files.readString(file, StandardCharsets.UTF_8).strip())
                : 0;
    }

    YearMonth month() {
        return YearMonth.from(clock.instant().atZone(ZoneOffset.UTC));
    }

    private Path used(YearMonth month) {
        return folder.resolve("used-" + month);
    }

    private static String name(String key) {
        return Sha256.hex(key) + ".json";
    }
}
