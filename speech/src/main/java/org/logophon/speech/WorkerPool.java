package org.logophon.speech;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.apache.commons.pool2.BasePooledObjectFactory;
import org.apache.commons.pool2.PooledObject;
import org.apache.commons.pool2.impl.DefaultPooledObject;
import org.apache.commons.pool2.impl.GenericObjectPool;
import org.apache.commons.pool2.impl.GenericObjectPoolConfig;
import org.logophon.core.voice.render.SpeechFailed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A fixed number of worker processes, each started when first needed and replaced when it dies. A request whose worker
 * died is tried once more on a fresh one; a request that kills two fails with a sentence, and the rest go on.
 */
public final class WorkerPool implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(WorkerPool.class);

    /**
     * A native library leaves a little behind with every start (a thread now and then); a new process leaves nothing.
     */
    private static final int MOST_REQUESTS = 200;
    /** Deaths of workers at a request that it seems to have caused. */
    private static final int MOST_OWN_DEATHS = 2;
    /** Deaths of any kind at a request. */
    private static final int MOST_DEATHS = 6;

    private final String espeakHome;
    private final GenericObjectPool<Worker> workers;
    private final Set<Worker> running = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "worker-deadlines");
        thread.setDaemon(true);
        return thread;
    });
    private volatile boolean closed;

    public WorkerPool(int size) {
        this(size, EspeakData.prepare());
    }

    private WorkerPool(int size, String espeakHome) {
        this(size, espeakHome, WorkerCommand.line(espeakHome));
    }

    /** @param espeakHome folder that goes with the pool, or empty */
    WorkerPool(int size, String espeakHome, List<String> command) {
        this.espeakHome = espeakHome;
        GenericObjectPoolConfig<Worker> config = new GenericObjectPoolConfig<>();
        config.setMaxTotal(size);
        config.setMaxIdle(size);
        config.setTestOnBorrow(true);
        config.setFairness(true);
        config.setJmxEnabled(false);
        this.workers = new GenericObjectPool<>(new Workers(command), config);
    }

    private final class Workers extends BasePooledObjectFactory<Worker> {

        private final List<String> command;

        Workers(List<String> command) {
            this.command = command;
        }

        @Override
        public Worker create() {
            Worker worker = new Worker(command, watch);
            running.add(worker);
            return worker;
        }

        @Override
        public PooledObject<Worker> wrap(Worker worker) {
            return new DefaultPooledObject<>(worker);
        }

        @Override
        public boolean validateObject(PooledObject<Worker> pooled) {
            Worker worker = pooled.getObject();
            if (!worker.alive() && worker.served() == 0) {
                LOG.warn("{} before it was asked for anything", worker.lastSeen());
            }
            return worker.alive() && worker.served() < MOST_REQUESTS;
        }

        @Override
        public void destroyObject(PooledObject<Worker> pooled) {
            running.remove(pooled.getObject());
            pooled.getObject().close();
        }
    }

    /**
     * Starts some workers now, in the background: whoever will need them soon doesn't wait for their processes then.
     * One that can't be started is told when it is needed.
     */
    public void early(int count) {
        for (int i = 0; i < count; i++) {
            Thread start = new Thread(this::startOne, "worker-start");
            start.setDaemon(true);
            start.start();
        }
    }

    private void startOne() {
        try {
            workers.addObject();
            if (closed) {
                workers.clear();
            }
        } catch (Exception later) {
            LOG.debug("A worker isn't started early", later);
        }
    }

    /** Runs a request on a free worker, waiting for one. */
    <T> T ask(Worker.Request request, Worker.Answer<T> answer, long deadlineMillis) {
        int own = 0;
        for (int deaths = 1; ; deaths++) {
            try {
                return askOne(request, answer, deadlineMillis);
            } catch (WorkerDied died) {
                own += died.ofItsRequest() ? 1 : 0;
                if (own < MOST_OWN_DEATHS && deaths < MOST_DEATHS) {
                    LOG.warn("{}. The request is tried once more", died.getMessage());
                    continue;
                }
                LOG.warn("{}. The request is given up", died.getMessage());
                throw new SpeechFailed(
                        own < MOST_OWN_DEATHS
                                ? "Speech workers are killed by the system again and again; it may be short "
                                        + "of memory. Render again later."
                                : "The speech engine stopped twice on this text. Change its wording, or cast "
                                        + "another voice.",
                        died);
            }
        }
    }

    private <T> T askOne(Worker.Request request, Worker.Answer<T> answer, long deadlineMillis) throws WorkerDied {
        Worker worker = borrow();
        boolean lives = false;
        try {
            T made = worker.ask(request, answer, deadlineMillis);
            lives = true;
            return made;
        } catch (SpeechFailed refused) {
            lives = true;
            throw refused;
        } finally {
            giveBack(worker, lives);
        }
    }

    private Worker borrow() throws WorkerDied {
        if (closed) {
            throw new SpeechFailed("Logophon is stopping.");
        }
        try {
            return workers.borrowObject();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new SpeechFailed("The render was interrupted.", e);
        } catch (SpeechFailed cantStart) {
            throw cantStart;
        } catch (Exception none) {
            // the pool found a new worker dead, or was closed meanwhile
            if (!closed) {
                throw new WorkerDied("A new speech worker was gone at once", none, false);
            }
            throw new SpeechFailed("Logophon is stopping.", none);
        }
    }

    private void giveBack(Worker worker, boolean lives) {
        if (lives) {
            workers.returnObject(worker);
            return;
        }
        try {
            workers.invalidateObject(worker);
        } catch (Exception gone) {
            LOG.debug("A dead worker was put away already", gone);
        }
    }

    /** Process ids of the workers that run now. */
    public List<Long> pids() {
        return running.stream().map(Worker::pid).toList();
    }

    @Override
    public void close() {
        closed = true;
        workers.close();
        running.forEach(Worker::close);
        watch.shutdownNow();
        EspeakData.remove(espeakHome);
    }
}
