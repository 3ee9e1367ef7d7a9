package org.logophon.speech.heard;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.voice.recording.HeardWord;

/** Debian's pocketsphinx with its model of US English: it was made for people, and knows nothing of our voices. */
public final class Recogniser {

    /** It listens at this rate, to one channel of 16 bits. */
    public static final int RATE = 16_000;

    private static final String PACKAGE = "pocketsphinx";
    private static final String COMMAND = "pocketsphinx_continuous";
    private static final Path MODEL = Path.of("/usr/share/pocketsphinx/model/en-us");
    private static final String MISSING = "Debian's packages pocketsphinx and pocketsphinx-en-us aren't installed, "
            + "which write down what is said in US English. Install them, and try again.";
    private static final int MOST_SECONDS = 600;

    private Recogniser() {}

    /** What is missing, as a sentence; empty when it is here. */
    public static String missing() {
        boolean command = java.util.stream.Stream.of(
                        System.getenv().getOrDefault("PATH", "").split(":"))
                .anyMatch(folder -> !folder.isEmpty() && Files.isExecutable(Path.of(folder, COMMAND)));
        return command && Files.isDirectory(MODEL) ? "" : MISSING;
    }

    /** Name and version of the package, as they are written down beside the figures. */
    public static String version() throws IOException, InterruptedException {
        return PACKAGE + " " + said("dpkg-query", "--show", "--showformat=${Version}", PACKAGE);
    }

    /** @param wav 16 kHz, one channel, 16 bits @return the words that it finds, with spaces and line ends between */
    public static String hear(Path wav) throws IOException, InterruptedException {
        return said(COMMAND, "-infile", wav.toString(), "-logfn", "/dev/null");
    }

    /** The words with their times, and how sure it is of each. @param wav as {@link #hear} takes it */
    public static List<HeardWord> words(Path wav) throws IOException, InterruptedException {
        List<HeardWord> words = new ArrayList<>();
        for (String line : said(COMMAND, "-infile", wav.toString(), "-time", "yes", "-logfn", "/dev/null")
                .split("\n")) {
            String[] cells = line.strip().split(" ");
            // what is no word stands in brackets of some kind; a line of words alone is said again in rows
            if (cells.length == 4 && Character.isLetter(cells[0].charAt(0)) && cells[1].matches("\\d+\\.\\d+")) {
                words.add(new HeardWord(
                        cells[0].replaceAll("\\(\\d+\\)$", ""),
                        Double.parseDouble(cells[1]),
                        Double.parseDouble(cells[2]),
                        Double.parseDouble(cells[3])));
            }
        }
        return words;
    }

    private static String said(String... command) throws IOException, InterruptedException {
        Process process;
        try {
            process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException missing) {
            throw new CodingFailed(MISSING, missing);
        }
        process.getOutputStream().close();
        CompletableFuture<byte[]> reading = CompletableFuture.supplyAsync(() -> {
            try {
                return process.getInputStream().readAllBytes();
            } catch (IOException gone) {
                return new byte[0];
            }
        });
        try {
            String said = new String(reading.get(MOST_SECONDS, TimeUnit.SECONDS), StandardCharsets.UTF_8).strip();
            if (process.waitFor() != 0) {
                throw new CodingFailed(command[0] + " failed. " + MISSING);
            }
            return said;
        } catch (TimeoutException | ExecutionException late) {
            throw new CodingFailed(command[0] + " took longer than ten minutes and was stopped.", late);
        } finally {
            process.destroyForcibly();
        }
    }
}
