package org.logophon.app;

/**
 * Ends this process when it doesn't end by itself: once memory was used up, or under a thread that hangs, an orderly
 * end may never come. Jobs that are cut off are taken over after the start.
 */
final class StopInTime {

    private static final long MOST_MS = 20_000;
    /** As of a process that was ended by a signal that can't be refused. */
    private static final int STATUS = 137;

    private StopInTime() {}

    static void arm() {
        // made now: when it is needed there may be no memory for it
        Thread watch = new Thread(
                () -> {
                    try {
                        Thread.sleep(MOST_MS);
                    } catch (InterruptedException early) {
                        Thread.currentThread().interrupt();
                    }
                    Runtime.getRuntime().halt(STATUS);
                },
                "stop-in-time");
        watch.setDaemon(true);
        Runtime.getRuntime().addShutdownHook(new Thread(watch::start, "stop-begins"));
    }
}
