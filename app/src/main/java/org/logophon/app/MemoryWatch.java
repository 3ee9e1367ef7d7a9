package org.logophon.app;

import java.lang.management.GarbageCollectorMXBean;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.function.LongSupplier;

/**
 * Ends this process when it does little but look for memory: long before the last byte is gone it answers nobody any
 * more, and the launcher starts another.
 */
final class MemoryWatch {

    /** As of the signal TERM, which the launcher has sent when memory is used up at one stroke. */
    private static final int STATUS = 143;

    private static final long LOOK_EVERY_MS = 4_000;
    /** More of the time than that spent on looking for memory, so many times in a row, is no peak that passes. */
    private static final double MOST_OF_THE_TIME = 0.85;

    private static final int TIMES = 4;
    private static final long MOST_MS_TO_END = 10_000;

    private final LongSupplier collectedMillis;
    private long before;
    private int inARow;

    /** @param collectedMillis time that was spent on looking for memory since the start */
    MemoryWatch(LongSupplier collectedMillis) {
        this.collectedMillis = collectedMillis;
        this.before = collectedMillis.getAsLong();
    }

    /** @return true when it is time to end */
    boolean usedUp(long passedMillis) {
        long now = collectedMillis.getAsLong();
        inARow = now - before > MOST_OF_THE_TIME * passedMillis ? inARow + 1 : 0;
        before = now;
        return inARow >= TIMES;
    }

    static void arm() {
        List<GarbageCollectorMXBean> collectors = ManagementFactory.getGarbageCollectorMXBeans();
        MemoryWatch watch = new MemoryWatch(() -> {
            long all = 0;
            for (GarbageCollectorMXBean collector : collectors) {
                all += collector.getCollectionTime();
            }
            return all;
        });
        // made now: when it is needed there may be no memory for it
        Thread ending = new Thread(() -> System.exit(STATUS), "memory-used-up");
        Thread thread = new Thread(() -> watch.look(ending), "memory-watch");
        thread.setDaemon(true);
        thread.start();
    }

    private void look(Thread ending) {
        try {
            long last = System.nanoTime();
            boolean over = false;
            while (!over) {
                Thread.sleep(LOOK_EVERY_MS);
                long now = System.nanoTime();
                over = usedUp((now - last) / 1_000_000);
                last = now;
            }
            ending.start();
            Thread.sleep(MOST_MS_TO_END);
        } catch (OutOfMemoryError none) {
            // not even for looking: there is no orderly end
        } catch (InterruptedException stopped) {
            return;
        }
        Runtime.getRuntime().halt(STATUS);
    }
}
