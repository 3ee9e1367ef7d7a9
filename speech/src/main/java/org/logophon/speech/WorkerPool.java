package org.logophon.speech;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.logophon.core.render.SpeechFailed;

/**
 * A fixed number of worker processes, each started when first needed and replaced when it dies. A request whose worker
 * died is tried once more on a fresh one; a request that kills two fails with a sentence, and the rest go on.
 */
public final class WorkerPool implements AutoCloseable {

    /**
     * A native library leaves a little behind with every start (a thread now and then); a new process leaves nothing.
     */
    private static final int MOST_REQUESTS = 400;

    private final String espeakHome;
    private final List<String> command;
    private final BlockingQueue<Slot> free;
    private final Set<Worker> running = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "worker-deadlines");
        thread.setDaemon(true);
        return thread;
    });
    private volatile boolean closed;

    /** A place for one worker, empty until first used. */
    private static final class Slot {
        private Worker worker;
    }

    public WorkerPool(int size) {
        this(size, EspeakData.prepare());
    }

    private WorkerPool(int size, String espeakHome) {
        this(size, espeakHome, WorkerCommand.line(espeakHome));
    }

    /** @param espeakHome folder that goes with the pool, or empty */
    WorkerPool(int size, String espeakHome, List<String> command) {
        this.espeakHome = espeakHome;
        this.command = command;
        this.free = new ArrayBlockingQueue<>(size);
        for (int i = 0; i < size; i++) {
            free.add(new Slot());
        }
    }

    /** Runs a request on a free worker, waiting for one. */
    <T> T ask(Worker.Request request, Worker.Answer<T> answer, long deadlineMillis) {
        Slot slot = take();
        try {
            return askTwice(slot, request, answer, deadlineMillis);
        } finally {
            free.add(slot);
        }
    }

    private <T> T askTwice(Slot slot, Worker.Request request, Worker.Answer<T> answer, long deadlineMillis) {
        try {
            return worker(slot).ask(request, answer, deadlineMillis);
        } catch (WorkerDied first) {
            drop(slot);
            try {
                return worker(slot).ask(request, answer, deadlineMillis);
            } catch (WorkerDied second) {
                drop(slot);
                throw new SpeechFailed(
                        "The speech engine stopped twice on this text. Change its wording, or cast another voice.",
                        second);
            }
        }
    }

    private Worker worker(Slot slot) {
        if (closed) {
            throw new SpeechFailed("Logophon is stopping.");
        }
        if (slot.worker == null || !slot.worker.alive() || slot.worker.served() >= MOST_REQUESTS) {
            drop(slot);
            slot.worker = new Worker(command, watch);
            running.add(slot.worker);
        }
        return slot.worker;
    }

    private void drop(Slot slot) {
        if (slot.worker != null) {
            running.remove(slot.worker);
            slot.worker.close();
            slot.worker = null;
        }
    }

    private Slot take() {
        try {
            return free.take();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new SpeechFailed("The render was interrupted.", e);
        }
    }

    /** Process ids of the workers that run now. */
    public List<Long> pids() {
        return running.stream().map(Worker::pid).toList();
    }

    @Override
    public void close() {
        closed = true;
        running.forEach(Worker::close);
        watch.shutdownNow();
        EspeakData.remove(espeakHome);
    }
}
