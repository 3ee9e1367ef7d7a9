package org.logophon.cli.clearness;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.logophon.cli.InputUnusable;

/** Debian's pocketsphinx with its model of US English: it was made for people, and knows nothing of our voices. */
final class Recogniser {

    static final int RATE = 16_000;
    private static final String PACKAGE = "pocketsphinx";

    private Recogniser() {}

    /** Name and version of the package, as they are written down beside the figures. */
    static String version() throws IOException, InterruptedException {
        return PACKAGE + " " + said("dpkg-query", "--show", "--showformat=${Version}", PACKAGE);
    }

    /** @param wav 16 kHz, one channel, 16 bits @return the words that it finds, with spaces and line ends between */
    static String hear(Path wav) throws IOException, InterruptedException {
        return said("pocketsphinx_continuous", "-infile", wav.toString(), "-logfn", "/dev/null");
    }

    private static String said(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        if (process.waitFor() != 0) {
            throw new InputUnusable(
                    command[0] + " failed. Install the packages pocketsphinx and pocketsphinx-en-us, and try again.");
        }
        return said;
    }
}
