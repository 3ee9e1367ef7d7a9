package org.logophon.core;

import java.lang.management.ManagementFactory;

/**
 * Processor time of this thread alone: how fast the machine is, and what else it does, is no matter where it is
 * compared.
 */
public final class ProcessorTime {

    private static final int TRIES = 3;

    private ProcessorTime() {}

    /** The least of some tries, in nanoseconds. */
    public static long of(Runnable work) {
        long least = Long.MAX_VALUE;
        for (int i = 0; i < TRIES; i++) {
            long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
            work.run();
            least = Math.min(least, ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before);
        }
        return least;
    }
}
