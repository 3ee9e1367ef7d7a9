package org.logophon.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.input.InvalidInput;

class FolderHoldTest {

    private static final int WRITERS = 8;
    private static final int TRIES_OF_EACH = 5_000;

    @TempDir
    private Path folder;

    /** One ends while others begin: they may have opened a lock file that is being taken away. */
    @Test
    void oneHasTheFolderHoweverOftenItChangesHands() throws IOException {
        AtomicInteger inside = new AtomicInteger();
        AtomicInteger held = new AtomicInteger();
        AtomicInteger together = new AtomicInteger();
        writers(() -> {
            try (FolderHold hold = FolderHold.of(folder)) {
                held.incrementAndGet();
                if (inside.incrementAndGet() > 1) {
                    together.incrementAndGet();
                }
                Thread.yield();
                inside.decrementAndGet();
            } catch (InvalidInput taken) {
                // as it should be
            } catch (IOException failed) {
                throw new UncheckedIOException(failed);
            }
        });
        assertThat(held.get()).isPositive();
        assertThat(together.get()).as("two at once").isZero();
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).as("what is left").isEmpty();
        }
    }

    private static void writers(Runnable attempt) {
        ExecutorService threads = Executors.newFixedThreadPool(WRITERS);
        try {
            List<CompletableFuture<Void>> all = new ArrayList<>();
            for (int i = 0; i < WRITERS; i++) {
                all.add(CompletableFuture.runAsync(
                        () -> {
                            for (int tries = 0; tries < TRIES_OF_EACH; tries++) {
                                attempt.run();
                            }
                        },
                        threads));
            }
            all.forEach(CompletableFuture::join);
        } finally {
            threads.shutdown();
        }
    }
}
