package org.logophon.speech;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.worker.Frames;

/** One running worker process. Used by one thread at a time. */
final class Worker {

    /** How long a process whose pipe has broken takes to be gone. */
    private static final long ENDING_MILLIS = 1_000;
    /** 128 + SIGKILL. */
    private static final int KILLED = 137;

    private final Process process;
    private final DataInputStream in;
    private final DataOutputStream out;
    private final ScheduledExecutorService watch;
    private final LastWords lastWords;
    private int served;
    private volatile boolean late;

    Worker(List<String> command, ScheduledExecutorService watch) {
        try {
            ProcessBuilder builder = new ProcessBuilder(command);
            // it hands what strangers wrote to native code: none of our secrets is there to be read
            builder.environment().keySet().removeIf(name -> !name.equals("PATH") && !name.startsWith("LC_"));
            this.process = builder.start();
        } catch (IOException e) {
            throw new SpeechFailed(
                    "A speech worker can't be started. See that util-linux and a Java 17 runtime are installed.", e);
        }
        this.watch = watch;
        this.lastWords = new LastWords(process.getErrorStream());
        this.in = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16));
        this.out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream(), 1 << 16));
    }

    /** Writes a request's fields. */
    interface Request {
        void write(DataOutputStream out) throws IOException;
    }

    /** Reads an answer's fields. */
    interface Answer<T> {
        T read(DataInputStream in) throws IOException;
    }

    /**
     * Sends a request and reads its answer before the deadline.
     *
     * @throws WorkerDied   when the process is gone; it has then been put down
     * @throws SpeechFailed when the worker refused, with its sentence; it lives on
     */
    <T> T ask(Request request, Answer<T> answer, long deadlineMillis) throws WorkerDied {
        served++;
        ScheduledFuture<?> deadline = watch.schedule(this::endLate, deadlineMillis, TimeUnit.MILLISECONDS);
        try {
            request.write(out);
            out.flush();
            if (in.readInt() != Frames.ANSWER) {
                throw new IOException("The answer does not start as one.");
            }
            if (in.readByte() == Frames.OK) {
                return answer.read(in);
            }
            throw new SpeechFailed(Frames.readText(in));
        } catch (IOException e) {
            throw died(e);
        } finally {
            deadline.cancel(false);
        }
    }

    private void endLate() {
        late = true;
        process.destroyForcibly();
    }

    private WorkerDied died(IOException how) {
        // killed by somebody else, as when the machine runs out of memory: the request that it was at has no part in it
        boolean byOthers = ended(ENDING_MILLIS) && process.exitValue() == KILLED && !late;
        close();
        return new WorkerDied(lastSeen(), how, !byOthers);
    }

    private boolean ended(long millis) {
        try {
            return process.waitFor(millis, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Of one that is gone: how it ended, and its last words. */
    String lastSeen() {
        String status = ended(2 * ENDING_MILLIS) ? "with status " + process.exitValue() : "and lingers";
        String words = lastWords.get();
        return "A speech worker stopped " + status
                + (words.isEmpty() ? " without a word" : "; its last words: " + words);
    }

    /** Requests so far. */
    int served() {
        return served;
    }

    boolean alive() {
        return process.isAlive();
    }

    long pid() {
        return process.pid();
    }

    void close() {
        process.destroyForcibly();
    }
}
