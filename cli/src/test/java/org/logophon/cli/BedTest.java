package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * {@code narrate --bed}: levels as FFmpeg's ebur128 filter (EBU R 128) measures them, on noise that FFmpeg has made.
 */
class BedTest {

    private static final String SCRIPT = """
            Wedge the clay on a dry board, slowly, until no air is left in it, and then wedge it once more for luck.

            Centre it, and lean in with the heel of your hand, and keep the wheel at an even pace until it runs true.
            """;

    @TempDir
    Path folder;

    private static String said(String... command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (InputStream in = process.getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private CommandRun narrate(String... options) throws IOException {
        List<String> words = new ArrayList<>(List.of(
                "narrate",
                Files.writeString(folder.resolve("kiln.md"), SCRIPT).toString(),
                "--out",
                folder.resolve("out").toString(),
                "--voice",
                "isla"));
        words.addAll(List.of(options));
        return CommandRun.of(words.toArray(String[]::new));
    }

    /** Integrated loudness and true peak, from one second to another. */
    private double[] loudness(String file, double from, double to) throws IOException {
        String told = said(
                "ffmpeg",
                "-nostdin",
                "-i",
                folder.resolve("out").resolve(file).toString(),
                "-af",
                "atrim=" + from + ":" + to + ",ebur128=peak=true",
                "-f",
                "null",
                "-");
        String summary = told.substring(told.lastIndexOf("Summary:"));
        return new double[] {
            Double.parseDouble(summary.replaceAll("(?s).*?I:\\s+(-?[\\d.]+) LUFS.*", "$1")),
            Double.parseDouble(summary.replaceAll("(?s).*Peak:\\s+(-?[\\d.]+) dBFS.*", "$1"))
        };
    }

    @Test
    void aBedLiesAsFarUnderTheVoiceAsAskedAndTheCeilingHolds() throws IOException {
        Path noise = folder.resolve("noise.flac");
        said("ffmpeg", "-v", "error", "-f", "lavfi", "-i", "anoisesrc=color=pink:duration=3:seed=4", noise.toString());
        for (double[] asked : new double[][] {{-19, -18}, {-19, -6}, {-14, -6}}) {
            CommandRun run = narrate(
                    "--deliver",
                    "clips,programme,bed,timeline",
                    "--bed",
                    noise.toString(),
                    "--bed-level",
                    Double.toString(asked[1]),
                    "--bed-rise",
                    "0",
                    "--target",
                    Double.toString(asked[0]));
            assertThat(run.status()).as(run.err()).isZero();
            // where the voice itself is at the ceiling, again and again, so loud a bed gives way by a little more
            assertThat(loudness("bed.wav", 2.5, 6)[0])
                    .isCloseTo(asked[0] + asked[1], within(asked[0] == -14 ? 1.5 : 1.0));
            assertThat(loudness("programme.wav", 0, 60)[1]).isLessThanOrEqualTo(-0.95);
        }
        assertThat(Files.readString(folder.resolve("out/bed.edl"))).contains("* FROM CLIP NAME: bed.wav");
    }

    @Test
    void aBedThatCannotBeIsASentence() throws IOException {
        assertThat(narrate("--deliver", "clips", "--bed", "nowhere.wav").err())
                .contains("There is no file nowhere.wav");
        Path letter = Files.writeString(folder.resolve("letter.txt"), "Dear keeper");
        CommandRun run = narrate("--deliver", "clips", "--bed", letter.toString());
        assertThat(run.status()).isNotZero();
        assertThat(run.err()).contains("letter.txt can't be read");
        assertThat(narrate("--deliver", "clips", "--bed", letter.toString(), "--bed-level", "20")
                        .err())
                .contains("goes from -60 to 6 dB");
        assertThat(narrate("--deliver", "clips", "--bed-level", "-20").err()).contains("go with --bed");
    }
}
