package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.cli.input.ExitStatus;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.voice.recording.RecordingFigures;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** {@code align}, {@code clean}, {@code recast} and {@code narrate --recordings}: one of our voices is the person. */
class RecordingCommandsTest {

    private static final List<String> CUES =
            List.of("Clear night. Every star is out.", "I lit the lamp, and the lamp lit everything.");

    @TempDir
    static Path folder;

    private static Path script;
    private static Path whole;

    /** What is narrated is the recording: one cue after the other in one file, with room between. */
    @BeforeAll
    static void record() throws IOException {
        script = Files.writeString(folder.resolve("log.txt"), String.join("\n\n", CUES));
        CommandRun run = CommandRun.of(
                "narrate",
                script.toString(),
                "--voice",
                "otis",
                "--out",
                folder.resolve("said").toString());
        assertThat(run.status()).as(run.err()).isZero();
        List<Path> clips = new ArrayList<>();
        try (var files = Files.list(folder.resolve("said"))) {
            files.filter(file -> file.toString().endsWith(".wav")).sorted().forEach(clips::add);
        }
        assertThat(clips).hasSize(2);
        List<float[]> parts = new ArrayList<>();
        int rate = 0;
        for (Path clip : clips) {
            Sound sound = WavReader.read(Files.readAllBytes(clip));
            rate = sound.rate();
            parts.add(new float[rate]);
            parts.add(sound.samples());
        }
        int length = parts.stream().mapToInt(part -> part.length).sum();
        float[] all = new float[length];
        int at = 0;
        for (float[] part : parts) {
            System.arraycopy(part, 0, all, at, part.length);
            at += part.length;
        }
        java.util.Random random = new java.util.Random(2);
        for (int i = 0; i < length; i++) {
            all[i] += (float) (random.nextGaussian() * 1e-3);
        }
        whole = folder.resolve("whole.wav");
        try (var out = Files.newOutputStream(whole)) {
            org.logophon.core.signal.wav.WavWriter.write(
                    new Sound(all, rate), org.logophon.core.signal.wav.SampleFormat.PCM_16, null, out);
        }
    }

    private static JsonNode json(String... words) {
        CommandRun run = CommandRun.of(words);
        assertThat(run.status()).as(run.err()).isZero();
        return JsonMapper.builder().build().readTree(run.out());
    }

    @Test
    void alignTellsWhenEachWordSounds() {
        JsonNode told = json("align", whole.toString(), script.toString(), "--json");
        assertThat(told.path("words")).hasSize(15);
        assertThat(told.path("words").get(0).path("word").asString()).isEqualTo("Clear");
        assertThat(told.path("words").get(0).path("startSeconds").asDouble()).isCloseTo(1.0, Offset.offset(0.1));
        double before = -1;
        for (JsonNode word : told.path("words")) {
            assertThat(word.path("startSeconds").asDouble()).isGreaterThan(before);
            assertThat(word.path("doubt").asDouble()).isBetween(0.0, 1.0);
            before = word.path("startSeconds").asDouble();
        }
        assertThat(told.path("findings")).isEmpty();
        assertThat(told.path("leftOut")).isEmpty();
    }

    @Test
    void cleanTellsItsFiguresBeforeAndAfterAndLeavesTheRecordingAsItIs() throws IOException {
        byte[] then = Files.readAllBytes(whole);
        Path out = folder.resolve("clean.wav");
        JsonNode told =
                json("clean", whole.toString(), "--out", out.toString(), "--noise", "10", "--gaps", "0.5", "--json");
        double before = told.path("before").path("noiseDb").asDouble();
        assertThat(before - told.path("after").path("noiseDb").asDouble()).isGreaterThan(8);
        assertThat(told.path("after").path("longestGap").asDouble()).isLessThan(0.55);
        Sound made = WavReader.read(Files.readAllBytes(out));
        assertThat(RecordingFigures.of(made).noiseDb()).isLessThan(before - 8);
        assertThat(Files.readAllBytes(whole)).isEqualTo(then);
    }

    @Test
    void recastSaysTheSameWordsAtTheSameTimes() throws IOException {
        JsonNode recorded = json("align", whole.toString(), script.toString(), "--json");
        Path out = folder.resolve("recast.wav");
        JsonNode told = json(
                "recast", whole.toString(), script.toString(), "--voice", "rufus", "--out", out.toString(), "--json");
        assertThat(told.path("words")).hasSameSizeAs(recorded.path("words"));
        for (int i = 0; i < told.path("words").size(); i++) {
            assertThat(told.path("words").get(i).path("startSeconds").asDouble())
                    .isCloseTo(
                            recorded.path("words").get(i).path("startSeconds").asDouble(), Offset.offset(0.04));
        }
        assertThat(WavReader.read(Files.readAllBytes(out)).seconds()).isGreaterThan(4);
    }

    @Test
    void narrateTakesRecordingsByTheirNumbers() throws IOException {
        Path takes = Files.createDirectories(folder.resolve("takes"));
        Files.copy(whole, takes.resolve("clip 020 keeper.wav"));
        CommandRun run = CommandRun.of(
                "narrate",
                script.toString(),
                "--voice",
                "isla",
                "--recordings",
                takes.toString(),
                "--out",
                folder.resolve("mixed").toString());
        assertThat(run.status()).as(run.err()).isZero();
        try (var files = Files.list(folder.resolve("mixed"))) {
            Path second = files.filter(file -> file.getFileName().toString().startsWith("020")
                            && file.toString().endsWith(".wav"))
                    .findFirst()
                    .orElseThrow();
            double seconds = WavReader.read(Files.readAllBytes(second)).seconds();
            double recording = WavReader.read(Files.readAllBytes(whole)).seconds();
            assertThat(seconds).isBetween(recording - 2, recording);
        }
    }

    @Test
    void whatIsNoSoundIsToldInASentence() throws IOException {
        Path text = Files.writeString(folder.resolve("letter.wav"), "Dear Ffion, the lamp is lit.");
        for (String[] words : List.of(
                new String[] {"align", text.toString(), script.toString()},
                new String[] {
                    "clean", text.toString(), "--out", folder.resolve("no.wav").toString()
                },
                new String[] {"align", folder.resolve("nothing.wav").toString(), script.toString()})) {
            CommandRun run = CommandRun.of(words);
            assertThat(run.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
            assertThat(run.err()).containsPattern("can't be read").doesNotContain("Exception");
        }
        assertThat(folder.resolve("no.wav")).doesNotExist();
    }

    @Test
    void anOptionThatCannotBeIsUsage() {
        String in = folder.resolve("in.wav").toString();
        CommandRun run =
                CommandRun.of("clean", in, "--out", folder.resolve("no.wav").toString(), "--hum", "1");
        assertThat(run.status()).isEqualTo(ExitStatus.USAGE);
        assertThat(run.err()).contains("50 or at 60 Hz");
    }
}
