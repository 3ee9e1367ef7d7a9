package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.cli.input.ExitStatus;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Clips placed to a picture from the command line. */
class PlacedNarrationTest {

    private static final String SCRIPT = """
            Wedge the clay on a dry board, slowly, until no air is left in it.

            Centre it. Lean in with the heel of your hand.

            Stop the wheel.
            """;

    @TempDir
    private Path folder;

    private String said = "";
    private int status;

    private JsonNode narrated(String... options) throws Exception {
        Path script = Files.writeString(folder.resolve("clay.txt"), SCRIPT);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        PrintStream stdout = System.out;
        PrintStream stderr = System.err;
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
        try {
            String[] all = Stream.concat(
                            Stream.of(
                                    "narrate",
                                    script.toString(),
                                    "--out",
                                    folder.resolve("out").toString(),
                                    "--json"),
                            Stream.of(options))
                    .toArray(String[]::new);
            status = Main.run(all);
        } finally {
            System.setOut(stdout);
            System.setErr(stderr);
        }
        said = err.toString(StandardCharsets.UTF_8);
        String json = out.toString(StandardCharsets.UTF_8);
        return json.isBlank() ? null : JsonMapper.builder().build().readTree(json);
    }

    private String slots(String text) throws Exception {
        return Files.writeString(folder.resolve("slots.csv"), text).toString();
    }

    private double seconds(JsonNode clip) {
        return clip.get("durationSeconds").asDouble();
    }

    /** Of the clip's bext chunk (EBU Tech 3285): the time reference stands 338 bytes into it. */
    private long timeReference(String file) throws Exception {
        byte[] bytes = Files.readAllBytes(folder.resolve("out").resolve(file));
        ByteBuffer wave = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        int at = 12;
        while (!new String(bytes, at, 4, StandardCharsets.US_ASCII).equals("bext")) {
            at += 8 + wave.getInt(at + 4);
        }
        return wave.getLong(at + 8 + 338);
    }

    @ParameterizedTest
    @CsvSource({"25, 10:00:00:00", "29.97df, 01:00:00;00", "23.976, 00:00:00:00"})
    void clipsStartOnFramesAndSayTheirTimecode(String fps, String start) throws Exception {
        JsonNode report = narrated("--fps", fps, "--start", start);
        FrameRate rate = FrameRate.named(fps);
        long first = Timecode.typed(start, rate, 0).frame();
        assertThat(report.get("clips").get(0).get("in").asString()).isEqualTo(start);
        for (JsonNode clip : report.get("clips")) {
            long samples = clip.get("startSamples").asLong();
            assertThat(rate.rounded(samples, 48_000)).as("on a frame").isEqualTo(samples);
            assertThat(timeReference(clip.get("file").asString())).isEqualTo(samples);
            assertThat(Timecode.typed(clip.get("in").asString(), rate, 0).frame() - first)
                    .isEqualTo(rate.frameAt(samples, 48_000));
        }
        assertThat(report.get("findings").size()).isZero();
        assertThat(narrated().get("clips").get(0).has("in"))
                .as("without a picture nothing is told of it")
                .isFalse();
    }

    @Test
    void whatRunsPastItsSlotIsFoundAndMadeToFit() throws Exception {
        JsonNode plain = narrated();
        double first = seconds(plain.get("clips").get(0));
        double third = seconds(plain.get("clips").get(2));
        String times =
                slots("cue,in,out\n010,1,%.2f\n020,10,20\n030,30,%.2f\n".formatted(1 + first * 0.9, 30 + third * 0.3));
        JsonNode over = narrated("--slots", times);
        assertThat(status).isZero();
        assertThat(over.get("clips").get(0).get("spareFrames").asInt()).isNegative();
        assertThat(over.get("clips").get(1).get("slot").get("in").asString()).isEqualTo("00:00:10:00");
        assertThat(over.get("findings").findValuesAsString("kind")).containsExactly("over-slot", "over-slot");
        JsonNode fitted = narrated("--slots", times, "--fit");
        assertThat(status).isZero();
        assertThat(fitted.get("clips").get(0).get("spareFrames").asInt()).isNotNegative();
        assertThat(seconds(fitted.get("clips").get(0)))
                .isLessThanOrEqualTo(first * 0.9)
                .isGreaterThan(first * 0.75);
        assertThat(seconds(fitted.get("clips").get(1)))
                .as("what fits is left alone")
                .isEqualTo(seconds(plain.get("clips").get(1)));
        assertThat(fitted.get("findings").findValuesAsString("cue")).containsExactly("030");
        assertThat(fitted.get("warnings").toString())
                .contains("cue 030: it can't fit its slot within comfort", "would have to go");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--fps|31|There is no frame rate",
                "--fps|0|There is no frame rate",
                "--start|99:99|is no timecode",
                "--slots|nowhere.edl|can't be read",
                "--fit||name a file of times with --slots"
            })
    void whatCannotBePlacedIsSaid(String option, String value, String sentence) throws Exception {
        narrated(value == null ? new String[] {option} : new String[] {option, value});
        assertThat(status).isEqualTo(option.equals("--slots") ? ExitStatus.INPUT_UNUSABLE : ExitStatus.USAGE);
        assertThat(said).contains(sentence);
        assertThat(List.of(said.split("\n"))).noneMatch(line -> line.startsWith("\tat "));
    }

    @Test
    void aDroppedFrameIsRefusedWithTheNextOne() throws Exception {
        narrated("--fps", "29.97df", "--slots", slots("in,out\n00:01:00;00,00:01:10;00"));
        assertThat(status).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(said).contains("slots.csv").contains("00:01:00;02");
    }
}
