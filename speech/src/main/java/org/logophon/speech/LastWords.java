package org.logophon.speech;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;

/** The end of what a process wrote to its error stream: why it died, when it dies. */
final class LastWords {

    private static final int MOST = 600;

    private final StringBuilder words = new StringBuilder();
    private final Thread reader;

    LastWords(InputStream errors) {
        reader = new Thread(() -> read(errors), "worker-last-words");
        reader.setDaemon(true);
        reader.start();
    }

    private void read(InputStream errors) {
        byte[] some = new byte[1_024];
        try (errors) {
            for (int count = errors.read(some); count >= 0; count = errors.read(some)) {
                add(new String(some, 0, count, StandardCharsets.UTF_8));
            }
        } catch (IOException gone) {
            add(" …");
        }
    }

    private synchronized void add(String some) {
        words.append(some);
        if (words.length() > MOST) {
            words.delete(0, words.length() - MOST);
        }
    }

    /** In one line; empty for a process that died silently. To be asked when it is dead. */
    String get() {
        try {
            reader.join(200);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        synchronized (this) {
            return words.toString().strip().replaceAll("\\s+", " ");
        }
    }
}
