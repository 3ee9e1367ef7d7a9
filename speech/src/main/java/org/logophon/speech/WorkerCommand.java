package org.logophon.speech;

import com.sun.jna.Native;
import java.io.File;
import java.net.URISyntaxException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.logophon.speech.worker.WorkerMain;

/** The command that starts a worker process: this Java, a small heap, and a limit on memory that the kernel keeps. */
final class WorkerCommand {

    /** Private writable memory of the whole process, heap and native: a runaway library is stopped here. */
    private static final String DATA_LIMIT_BYTES = Long.toString(1_500L << 20);

    /**
     * Of threads that native code makes. espeak-ng 1.51 makes one each time it is started anew, for speaking in the
     * background, which we never ask for, and doesn't end it: with the usual 8 MB each, a worker was at its limit after
     * some eighty requests.
     */
    private static final String STACK_BYTES = Integer.toString(256 << 10);

    private WorkerCommand() {}

    /** @param espeakHome folder made by {@link EspeakData} */
    static List<String> line(String espeakHome) {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        String classpath = Stream.of(WorkerMain.class, Native.class)
                .map(WorkerCommand::place)
                .collect(Collectors.joining(File.pathSeparator));
        return List.of(
                "nice",
                "-n",
                behind(System.getenv("LOGOPHON_BEHIND")),
                "prlimit",
                "--data=" + DATA_LIMIT_BYTES,
                "--stack=" + STACK_BYTES + ":",
                "--core=0",
                java,
                "-Xmx700m",
                "-Xss1m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:-UsePerfData",
                "-XX:ErrorFile=/dev/null",
                "-Xshare:auto",
                "-cp",
                classpath,
                WorkerMain.class.getName(),
                espeakHome);
    }

    /**
     * A setting, or what suits: where both want the processor, who waits for a page comes first, and speech has a
     * third.
     */
    static String behind(String set) {
        return set != null && set.matches("1?\\d") ? set : "5";
    }

    private static String place(Class<?> type) {
        try {
            return Path.of(type.getProtectionDomain()
                            .getCodeSource()
                            .getLocation()
                            .toURI())
                    .toString();
        } catch (URISyntaxException e) {
            throw new IllegalStateException("The class " + type.getName() + " lies at no usable place.", e);
        }
    }
}
