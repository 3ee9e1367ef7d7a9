package org.logophon.speech.own;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.logophon.core.voice.render.SpeechFailed;

/**
 * Runs a program in a folder of its own, without a shell, with nothing in its environment but what its engine names,
 * and ends it and whatever it has started when it takes too long. The kernel limits its memory and what it may write.
 * Input and output are files, so that neither a program that reads nothing nor one that writes for ever holds anything
 * up.
 */
final class OwnProgram implements AutoCloseable {

    private static final int MOST_LAST_WORDS = 300;
    private static final int MOST_ERROR_BYTES = 4 << 20;
    private static final long LOOK_MILLIS = 20;
    /**
     * What a program can write between two looks at its files. Not the limit itself: the kernel counts shared memory
     * for a file, and libraries of sound set up 64 MB of it.
     */
    private static final long MOST_FILE_BYTES = 1L << 30;

    private final String name;
    private final Path folder;

    /** @param name of the engine, for sentences */
    OwnProgram(String name) {
        this.name = name;
        try {
            folder = Files.createTempDirectory("logophon-own");
        } catch (IOException full) {
            throw new UncheckedIOException(full);
        }
    }

    /** A file in its folder, which need not be there. */
    Path file(String file) {
        return folder.resolve(file);
    }

    /**
     * @param line  program and arguments
     * @param input file that is its standard input, or null
     * @return file with what it wrote to its standard output
     * @throws SpeechFailed with a sentence, when it fails or takes too long
     */
    Path run(List<String> line, Path input, Map<String, String> environment, OwnLimits limits) {
        Path output = file("output");
        Path errors = file("errors");
        List<String> bounded = new ArrayList<>(List.of(
                // whoever kills us kills it
                "setpriv",
                "--pdeathsig",
                "KILL",
                "prlimit",
                "--data=" + ((long) limits.memoryMb() << 20),
                "--fsize=" + MOST_FILE_BYTES,
                "--core=0",
                "--"));
        bounded.addAll(line);
        ProcessBuilder builder = new ProcessBuilder(bounded)
                .directory(folder.toFile())
                .redirectInput(input == null ? Path.of("/dev/null").toFile() : input.toFile())
                .redirectOutput(output.toFile())
                .redirectError(errors.toFile());
        builder.environment().clear();
        builder.environment().putAll(environment);
        try {
            Process process = builder.start();
            try {
                long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(limits.seconds());
                while (!process.waitFor(LOOK_MILLIS, TimeUnit.MILLISECONDS)) {
                    if (System.nanoTime() > end) {
                        throw new SpeechFailed(
                                ("%s took more than %d s for one text and was ended. Shorten the cue, or "
                                                + "raise “seconds” of its limits.")
                                        .formatted(name, limits.seconds()));
                    }
                    withinSize(limits);
                }
            } finally {
                process.descendants().forEach(ProcessHandle::destroyForcibly);
                process.destroyForcibly();
            }
            withinSize(limits);
            if (process.exitValue() != 0) {
                String words = lastWords(errors);
                throw new SpeechFailed("%s ended with status %d%s"
                        .formatted(
                                name,
                                process.exitValue(),
                                words.isEmpty() ? " and says nothing of why." : ": " + words));
            }
            return output;
        } catch (IOException gone) {
            throw new SpeechFailed(
                    name + " can't be started. See that util-linux is installed and the disk has room.", gone);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new SpeechFailed("The render was interrupted.", stopped);
        }
    }

    private void withinSize(OwnLimits limits) throws IOException {
        long most = (long) limits.soundMb() << 20;
        try (Stream<Path> files = Files.list(folder)) {
            if (files.anyMatch(file -> file.toFile().length() > most)) {
                throw new SpeechFailed(
                        ("%s wrote more than %d MB for one text and was ended. Shorten the cue, or raise "
                                        + "“sound-mb” of its limits.")
                                .formatted(name, limits.soundMb()));
            }
        }
    }

    /** The end of a file in one line. */
    private static String lastWords(Path file) throws IOException {
        byte[] bytes =
                Files.exists(file) && Files.size(file) < MOST_ERROR_BYTES ? Files.readAllBytes(file) : new byte[0];
        String words = new String(bytes, StandardCharsets.UTF_8).strip().replaceAll("[\\s\\p{Cntrl}]+", " ");
        return words.substring(Math.max(0, words.length() - MOST_LAST_WORDS));
    }

    @Override
    public void close() {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        } catch (IOException left) {
            throw new UncheckedIOException(left);
        }
    }
}
