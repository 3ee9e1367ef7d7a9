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
import org.logophon.core.render.SpeechFailed;
import org.logophon.speech.worker.Frames;

/** One running worker process. Used by one thread at a time. */
final class Worker {

    private final Process process;
    private final DataInputStream in;
    private final DataOutputStream out;
    private final ScheduledExecutorService watch;
    private final LastWords lastWords;
    private int served;

    Worker(List<String> command, ScheduledExecutorService watch) {
        try {
            this.process = new ProcessBuilder(command).start();
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
        ScheduledFuture<?> deadline = watch.schedule(process::destroyForcibly, deadlineMillis, TimeUnit.MILLISECONDS);
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

    private WorkerDied died(IOException how) {
        close();
        String status;
        try {
            status = process.waitFor(2, TimeUnit.SECONDS) ? "with status " + process.exitValue() : "and lingers";
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            status = "";
        }
        String words = lastWords.get();
        return new WorkerDied(
                "A speech worker stopped " + status
                        + (words.isEmpty() ? " without a word" : "; its last words: " + words),
                how);
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
