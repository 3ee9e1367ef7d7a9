package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What {@code narrate --deliver} writes, held against outside tools: ffprobe and FFmpeg. */
class DeliverTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final String SCRIPT = """
            # One

            NARRATOR: Wedge the clay on a dry board, slowly, until no air is left in it.

            Centre it, and lean in with the heel of your hand.

            # Two

            KEEPER: Nobody slept that night, for the wind had gone round to the north.
            """;

    @TempDir
    Path folder;

    private JsonNode narrate(String script, String out, String... options) throws IOException {
        Path file = Files.writeString(folder.resolve("kiln.md"), script);
        List<String> words = new ArrayList<>(
                List.of("narrate", file.toString(), "--out", folder.resolve(out).toString(), "--json"));
        words.addAll(List.of("--voice", "isla"));
        words.addAll(List.of(options));
        CommandRun run = CommandRun.of(words.toArray(String[]::new));
        assertThat(run.status()).as(run.err()).isZero();
        return JSON.readTree(run.out());
    }

    private static JsonNode probe(Path file) throws IOException {
        return JSON.readTree(said(
                "ffprobe",
                "-v",
                "error",
                "-of",
                "json",
                "-show_format",
                "-show_streams",
                "-show_chapters",
                file.toString()));
    }

    private static String said(String... command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (InputStream in = process.getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static double seconds(Path file) throws IOException {
        return probe(file).path("format").path("duration").asDouble();
    }

    /** Seconds of what is decoded. */
    private static double heard(Path file) throws IOException {
        Process process = new ProcessBuilder(
                        "ffmpeg",
                        "-v",
                        "error",
                        "-nostdin",
                        "-i",
                        file.toString(),
                        "-f",
                        "s16le",
                        "-ar",
                        "48000",
                        "-ac",
                        "1",
                        "-")
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (InputStream in = process.getInputStream()) {
            return in.transferTo(java.io.OutputStream.nullOutputStream()) / 96_000.0;
        }
    }

    /** Integrated loudness and true peak as FFmpeg's ebur128 filter has them (EBU R 128). */
    private static double[] loudness(Path file) throws IOException {
        String told = said("ffmpeg", "-nostdin", "-i", file.toString(), "-af", "ebur128=peak=true", "-f", "null", "-");
        String summary = told.substring(told.lastIndexOf("Summary:"));
        return new double[] {
            Double.parseDouble(summary.replaceAll("(?s).*?I:\\s+(-?[\\d.]+) LUFS.*", "$1")),
            Double.parseDouble(summary.replaceAll("(?s).*Peak:\\s+(-?[\\d.]+) dBFS.*", "$1"))
        };
    }

    private List<String> files(String out) throws IOException {
        try (Stream<Path> all = Files.walk(folder.resolve(out))) {
            return all.filter(Files::isRegularFile)
                    .map(file -> folder.resolve(out).relativize(file).toString())
                    .sorted()
                    .toList();
        }
    }

    @Test
    void everyPartIsWrittenListedAndWhole() throws Exception {
        JsonNode report = narrate(
                SCRIPT,
                "all",
                "--deliver",
                "clips,programme,parts:1,audiobook,captions,words,timeline,markers,sheet,script",
                "--captions",
                "srt,vtt,ttml,words",
                "--fps",
                "25",
                "--start",
                "10:00:00:00");
        Path out = folder.resolve("all");
        List<String> others = new ArrayList<>();
        report.path("files").forEach(file -> others.add(file.asString()));
        List<String> clips = new ArrayList<>();
        report.path("clips").forEach(clip -> clips.add(clip.path("file").asString()));
        List<String> all = new ArrayList<>(clips);
        all.addAll(others);
        assertThat(files("all")).containsExactlyInAnyOrderElementsOf(all);
        assertThat(others)
                .contains(
                        "programme.wav",
                        "parts/01.wav",
                        "audiobook.m4b",
                        "captions.srt",
                        "captions.vtt",
                        "captions.ttml",
                        "captions-words.vtt",
                        "words.json",
                        "timeline.edl",
                        "timeline.otio",
                        "markers.csv",
                        "cue-sheet.csv",
                        "cue-sheet.json",
                        "cue-sheet.html",
                        "script.txt",
                        "script.ssml",
                        "delivery.json");
        JsonNode listed =
                JSON.readTree(Files.readString(out.resolve("delivery.json"))).path("files");
        assertThat(listed.size()).isEqualTo(all.size() - 1);
        for (JsonNode file : listed) {
            byte[] bytes = Files.readAllBytes(out.resolve(file.path("path").asString()));
            assertThat(file.path("bytes").asLong()).isEqualTo(bytes.length);
            assertThat(file.path("sha256").asString())
                    .isEqualTo(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)));
            assertThat(file.path("change").asString()).isEqualTo("new");
        }
        // the whole is as long as the programme, and chapters stand where scenes begin
        double end = 0;
        for (JsonNode clip : report.path("clips")) {
            end = clip.path("startSamples").asLong() / 48_000.0
                    + clip.path("durationSeconds").asDouble();
        }
        assertThat(seconds(out.resolve("programme.wav"))).isCloseTo(end, within(0.001));
        assertThat(seconds(out.resolve("parts/01.wav"))).isCloseTo(end, within(0.001));
        JsonNode chapters = probe(out.resolve("audiobook.m4b")).path("chapters");
        assertThat(chapters.size()).isEqualTo(2);
        assertThat(chapters.get(1).path("start_time").asDouble())
                .isCloseTo(report.path("clips").get(2).path("startSamples").asLong() / 48_000.0, within(0.05));
        assertThat(chapters.get(1).path("tags").path("title").asString()).isEqualTo("Two");
        // captions are read by FFmpeg as they are written
        String read =
                said("ffmpeg", "-v", "error", "-i", out.resolve("captions.srt").toString(), "-f", "webvtt", "-");
        assertThat(read).startsWith("WEBVTT").contains("Wedge the clay");
        assertThat(Files.readString(out.resolve("captions.vtt"))).contains("<v Keeper>");
        assertThat(Files.readString(out.resolve("markers.csv"))).contains("10:00:00:00,One,");
        assertThat(Files.readString(out.resolve("cue-sheet.csv"))
                        .lines()
                        .findFirst()
                        .orElseThrow())
                .endsWith(",in,out");
    }

    @ParameterizedTest
    @ValueSource(strings = {"wav", "flac", "mp3", "opus", "m4a"})
    void everyFormatKeepsLengthLoudnessPeakAndTags(String format) throws Exception {
        JsonNode report =
                narrate(SCRIPT, format, "--deliver", "clips,programme", "--format", format, "--target", "-16");
        Path out = folder.resolve(format);
        JsonNode first = report.path("clips").get(0);
        Path clip = out.resolve(first.path("file").asString());
        assertThat(clip.toString()).endsWith("." + format);
        // a codec's frame: 1152 samples in MP3, 1024 in AAC, 20 ms in Opus. What ffprobe says of MP3 counts the codec's
        // own
        // delay as well, up to a frame on each side; what is heard of it doesn't
        double frame = format.equals("mp3") ? 2 * 0.0241 : 0.0241;
        assertThat(seconds(clip)).isCloseTo(first.path("durationSeconds").asDouble(), within(frame));
        assertThat(heard(clip)).isCloseTo(first.path("durationSeconds").asDouble(), within(0.0241));
        double[] measured = loudness(clip);
        assertThat(measured[0]).isCloseTo(first.path("loudnessLufs").asDouble(), within(0.3));
        assertThat(measured[1]).isLessThanOrEqualTo(-0.95);
        double[] whole = loudness(out.resolve("programme." + format));
        assertThat(whole[0]).isCloseTo(-16, within(0.5));
        assertThat(whole[1]).isLessThanOrEqualTo(-0.95);
        if (!format.equals("wav")) {
            JsonNode probed = probe(clip);
            String tags = probed.path("format").path("tags") + " "
                    + probed.path("streams").get(0).path("tags");
            assertThat(tags).containsIgnoringCase("010 Wedge the clay").contains("kiln");
        }
        if (format.equals("mp3")) {
            assertThat(probe(out.resolve("programme.mp3")).path("chapters").size())
                    .isEqualTo(2);
        }
    }

    @Test
    void otherRatesAndDepthsAreWhatWasAskedFor() throws Exception {
        narrate(SCRIPT, "rates", "--deliver", "clips,programme", "--rate", "44100", "--bits", "16");
        JsonNode stream =
                probe(folder.resolve("rates/programme.wav")).path("streams").get(0);
        assertThat(stream.path("sample_rate").asInt()).isEqualTo(44_100);
        assertThat(stream.path("codec_name").asString()).isEqualTo("pcm_s16le");
        assertThat(loudness(folder.resolve("rates/programme.wav"))[1]).isLessThanOrEqualTo(-0.95);
        narrate(SCRIPT, "floats", "--deliver", "clips", "--rate", "96000", "--bits", "32");
        JsonNode floats = probe(folder.resolve("floats").resolve(files("floats").get(0)))
                .path("streams")
                .get(0);
        assertThat(floats.path("codec_name").asString()).isEqualTo("pcm_f32le");
        assertThat(floats.path("sample_rate").asInt()).isEqualTo(96_000);
    }

    @Test
    void partsAreCutBetweenCuesAndJoinToTheWhole() throws Exception {
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < 13; i++) {
            script.append(
                    "Wedge the clay on a dry board, slowly, until no air is left in it, and then wedge it again.\n\n");
        }
        JsonNode report = narrate(script.toString(), "parts", "--deliver", "programme,parts:1", "--format", "flac");
        double joined = 0;
        List<Double> starts = new ArrayList<>();
        for (String file : files("parts")) {
            if (file.startsWith("parts/")) {
                starts.add(joined);
                joined += seconds(folder.resolve("parts").resolve(file));
            }
        }
        assertThat(starts.size()).isGreaterThan(1);
        assertThat(joined).isCloseTo(seconds(folder.resolve("parts/programme.flac")), within(1e-4));
        double at = 0;
        List<Double> cues = new ArrayList<>();
        for (JsonNode clip : report.path("clips")) {
            cues.add(at);
            at += clip.path("durationSeconds").asDouble() + 0.4;
        }
        for (double start : starts) {
            assertThat(cues).anySatisfy(cue -> assertThat(cue).isCloseTo(start, within(0.002)));
        }
    }

    @Test
    void onlyWhatChangedIsWrittenAgain() throws Exception {
        narrate(SCRIPT, "first", "--deliver", "clips,sheet,timeline,script");
        narrate(
                SCRIPT.replace("slowly", "gently"),
                "second",
                "--deliver",
                "clips,sheet,timeline,script",
                "--since",
                folder.resolve("first").toString());
        assertThat(files("second").stream().filter(file -> file.endsWith(".wav")))
                .containsExactly("010_wedge-the-clay-on-a-dry-board-gently.wav");
        JsonNode listed = JSON.readTree(Files.readString(folder.resolve("second/delivery.json")))
                .path("files");
        List<String> told = new ArrayList<>();
        listed.forEach(file -> told.add(file.path("cue").asString()
                + file.path("change").asString() + " " + file.path("why").asString()));
        assertThat(told).contains("010changed words", "020moved ", "030moved ");
        // the same once more is the same, byte for byte
        narrate(SCRIPT, "again", "--deliver", "clips");
        for (String clip : files("again")) {
            if (clip.endsWith(".wav")) {
                assertThat(Files.mismatch(
                                folder.resolve("again").resolve(clip),
                                folder.resolve("first").resolve(clip)))
                        .isEqualTo(-1);
            }
        }
    }

    @Test
    void aTitleIsSpokenFirstAndFoldersAreMadeOfScenes() throws Exception {
        JsonNode plain = narrate(SCRIPT, "plain", "--deliver", "programme");
        narrate(SCRIPT, "titled", "--deliver", "programme,clips", "--title", "The Kiln", "--names", "{scene}/{number}");
        assertThat(seconds(folder.resolve("titled/programme.wav")))
                .isGreaterThan(seconds(folder.resolve("plain/programme.wav")) + 2);
        assertThat(files("titled")).contains("One/010.wav", "One/020.wav", "Two/030.wav");
        assertThat(plain.path("files").size()).isEqualTo(2);
    }

    @Test
    void whatCannotBeUsedIsSaidAndNothingIsWritten() throws Exception {
        Path script = Files.writeString(folder.resolve("a.md"), SCRIPT);
        List<List<String>> wrong = List.of(
                List.of("--deliver", "clips,sausages"),
                List.of("--deliver", "parts"),
                List.of("--deliver", "clips", "--format", "wma"),
                List.of("--deliver", "clips", "--rate", "8000"),
                List.of("--deliver", "clips", "--since", folder.toString()),
                List.of("--deliver", "captions", "--captions", "sub"),
                List.of("--format", "mp3"));
        for (List<String> options : wrong) {
            List<String> words = new ArrayList<>(List.of(
                    "narrate",
                    script.toString(),
                    "--out",
                    folder.resolve("wrong").toString()));
            words.addAll(options);
            CommandRun run = CommandRun.of(words.toArray(String[]::new));
            assertThat(run.status()).as(options.toString()).isNotZero();
            assertThat(run.err().strip()).as(options.toString()).endsWith(".").doesNotContain("Exception");
            assertThat(folder.resolve("wrong")).as(options.toString()).doesNotExist();
        }
    }
}
