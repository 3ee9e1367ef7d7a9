package org.logophon.documents.worker;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.apache.commons.io.FileUtils;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.Documents;
import org.logophon.documents.OpenedDocument;

/**
 * Opens documents of strangers in a process of their own, with a limit on its memory, its time and its answer: whatever
 * a file is made to do, it is done there. Plain text is opened here.
 */
public final class DocumentOpener {

    /** Heap of the process. A document of 30 MB with pictures opens in a third of it. */
    private static final int HEAP_MEGABYTES = 320;
    /** Private writable memory of the whole process, kept by the kernel. */
    private static final long DATA_LIMIT_BYTES = 1_200L << 20;

    /** Of the processor, which the kernel keeps: a machine that is busy elsewhere is no fault of the document. */
    private static final int WORK_SECONDS = 15;
    /** By the clock, for a process that does nothing and doesn't end. */
    private static final int DEADLINE_SECONDS = 60;
    /** What ends a process that has used up its seconds of the processor, as a status tells it (SIGXCPU). */
    private static final int WORKED_TOO_LONG = 128 + 24;
    /** A script of the greatest length with a mark on every word. */
    private static final int MOST_ANSWER_BYTES = 96 << 20;
    /** What Java ends with when its memory is used up (ExitOnOutOfMemoryError). */
    private static final int OUT_OF_MEMORY = 3;

    private static final Semaphore AT_ONCE =
            new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);

    private DocumentOpener() {}

    /**
     * Opens one file.
     *
     * @param columns for CSV: what to take (number, role, text, in, out) to index of column; empty to go by the header
     * @throws DocumentUnusable with a sentence when it can't be a script
     */
    public static OpenedDocument open(String fileName, byte[] bytes, Map<String, Integer> columns) {
        Documents.refuseSize(fileName, bytes);
        if (Documents.plainText(fileName, bytes)) {
            return Documents.open(fileName, bytes, columns);
        }
        AT_ONCE.acquireUninterruptibly();
        Path folder = null;
        try {
            // what a process that is ended leaves behind goes with its folder
            folder = Files.createTempDirectory("logophon-document");
            return outside(new WorkerFrames.Request(fileName, bytes, columns), folder);
        } catch (IOException e) {
            throw new DocumentUnusable(
                    "Documents can't be opened now: the temporary folder can't be written. Give plain "
                            + "text, or try again later.");
        } finally {
            AT_ONCE.release();
            if (folder != null) {
                FileUtils.deleteQuietly(folder.toFile());
            }
        }
    }

    private static OpenedDocument outside(WorkerFrames.Request request, Path folder) {
        Process process = start(folder);
        AtomicBoolean late = new AtomicBoolean();
        Thread deadline = new Thread(
                () -> {
                    try {
                        if (!process.waitFor(DEADLINE_SECONDS, TimeUnit.SECONDS)) {
                            late.set(true);
                            process.destroyForcibly();
                        }
                    } catch (InterruptedException answered) {
                        Thread.currentThread().interrupt();
                    }
                },
                "document-deadline");
        deadline.setDaemon(true);
        deadline.start();
        try (DataOutputStream out = new DataOutputStream(process.getOutputStream());
                DataInputStream in = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16))) {
            WorkerFrames.write(request, out);
            return answer(in);
        } catch (WorkerFrames.AnswerTooLong much) {
            throw new DocumentUnusable(request.fileName() + " holds more than any script. Open a part of it.");
        } catch (IOException gone) {
            throw new DocumentUnusable(request.fileName() + " " + why(process, late.get()));
        } finally {
            deadline.interrupt();
            process.destroyForcibly();
        }
    }

    private static OpenedDocument answer(DataInputStream in) throws IOException {
        byte kind = in.readByte();
        byte[] answer = WorkerFrames.readBytes(in, MOST_ANSWER_BYTES);
        if (kind == WorkerFrames.REFUSED) {
            throw new DocumentUnusable(new String(answer, StandardCharsets.UTF_8));
        }
        return OpenedJson.read(answer);
    }

    private static String why(Process process, boolean late) {
        if (late) {
            return tooLong(DEADLINE_SECONDS);
        }
        try {
            process.waitFor(2, TimeUnit.SECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return switch (process.isAlive() ? 0 : process.exitValue()) {
            case OUT_OF_MEMORY -> "unpacks to more than a script ever is. Save it as plain text.";
            case WORKED_TOO_LONG -> tooLong(WORK_SECONDS);
            default -> "can't be read: it is damaged or made to do harm. Save it again, or as plain text.";
        };
    }

    private static String tooLong(int seconds) {
        return "takes longer than " + seconds + " seconds to read. Save it as plain text.";
    }

    private static Process start(Path folder) {
        List<String> command = new ArrayList<>(List.of(
                "prlimit",
                "--data=" + DATA_LIMIT_BYTES,
                "--cpu=" + WORK_SECONDS + ":" + 2 * WORK_SECONDS,
                "--core=0",
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx" + HEAP_MEGABYTES + "m",
                "-Xss1m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:-UsePerfData",
                "-XX:+ExitOnOutOfMemoryError",
                "-XX:ErrorFile=/dev/null",
                "-Xlog:disable",
                "-Djava.io.tmpdir=" + folder,
                "-Djava.awt.headless=true"));
        // which classes it needs, written down when the command line was built
        String archive = System.getProperty("logophon.classes");
        if (archive != null) {
            command.add("-XX:SharedArchiveFile=" + archive);
        }
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), DocumentWorkerMain.class.getName()));
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
        // it opens what strangers wrote: none of our secrets is there to be read
        builder.environment().keySet().removeIf(name -> !name.equals("PATH") && !name.startsWith("LC_"));
        try {
            return builder.start();
        } catch (IOException e) {
            throw new DocumentUnusable(
                    "Documents can't be opened now: no process can be started. Give plain text, or try again later.");
        }
    }
}
