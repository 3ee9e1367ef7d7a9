package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.cli.input.ExitStatus;
import org.logophon.core.delivery.FolderHold;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.voice.figures.ClearnessPassage;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class NarrateTest {

    private static final String SCRIPT = """
            # The headland

            NARRATOR: At the top of Skerrow Head stands a lamp.

            KEEPER: Wind north-west, force nine. Lit the lamp at 4:52.

            ♪ ♪ ♪
            """;

    @TempDir
    private Path folder;

    private record Run(int status, String out, String err) {}

    private static Run run(String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        PrintStream stdout = System.out;
        PrintStream stderr = System.err;
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
        try {
            return new Run(Main.run(args), out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(stdout);
            System.setErr(stderr);
        }
    }

    private Path script(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name), text);
    }

    @Test
    void whatCannotBeReadOrWrittenIsSaidWithItsReason() throws Exception {
        String script = script("fog.txt", "Fog till noon.").toString();
        Path file = script("taken", "words");
        Run taken = run("narrate", script, "--out", file.toString());
        assertThat(taken.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(taken.err()).contains("taken is a file, and a folder is needed");
        Run under = run("narrate", script, "--out", file.resolve("clips").toString());
        assertThat(under.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(under.err()).contains("taken").doesNotContain("null");
        Run readings =
                run("check", script, "--readings", folder.resolve("none.csv").toString());
        assertThat(readings.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(readings.err()).contains("none.csv is no file");
        Run folders = run("check", script, "--readings", folder.toString());
        assertThat(folders.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(folders.err()).contains("is a folder. --readings takes a list of readings");
    }

    @Test
    void anOptionThatCannotBeIsUsage() throws Exception {
        String script = script("fog.txt", "Fog till noon.").toString();
        String out = folder.resolve("clips").toString();
        for (String[] option : new String[][] {
            {"--deliver", "nope"},
            {"--deliver", "parts:x"},
            {"--fps", "0"},
            {"--format", "mp3"},
            {"--deliver", "clips", "--rate", "1"},
            {"--deliver", "captions", "--captions", "nope"}
        }) {
            List<String> words = new ArrayList<>(List.of("narrate", script, "--out", out));
            words.addAll(List.of(option));
            Run run = run(words.toArray(String[]::new));
            assertThat(run.status())
                    .as(String.join(" ", option) + ": " + run.err())
                    .isEqualTo(ExitStatus.USAGE);
        }
    }

    @Test
    void twoDontWriteIntoOneFolderAtOnce() throws Exception {
        Path script = script("fog.txt", "Fog till noon.");
        Path out = Files.createDirectory(folder.resolve("clips"));
        try (FolderHold held = FolderHold.of(out)) {
            Run run = run("narrate", script.toString(), "--out", out.toString());
            assertThat(run.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
            assertThat(run.err()).contains("Another delivery is being written into " + out);
        }
        assertThat(run("narrate", script.toString(), "--out", out.toString()).status())
                .isZero();
    }

    @Test
    void aVoiceForARoleThatNobodyHasIsAWarning() throws Exception {
        Run run = run("check", script("fog.txt", "KEEPER: Fog till noon.").toString(), "--cast", "Kepper=isla");
        assertThat(run.status()).isEqualTo(ExitStatus.DONE);
        assertThat(run.out()).contains("--cast names Kepper").contains("The roles are Keeper.");
    }

    @ParameterizedTest
    @CsvSource({
        "--gap, NaN, NaN",
        "--gap, 42949672960, from 0 to 10 s",
        "--pace, 4294967396, from 50 to 200 %",
        "--pitch, 0x1p4, 0x1p4",
        "--target, 1e2, 1e2",
        "--pace, 99.5, 99.5"
    })
    void numbersAreReadStrictly(String option, String typed, String told) throws Exception {
        Run run = run(
                "narrate",
                script("fog.txt", "Fog till noon.").toString(),
                "--out",
                folder.resolve("out").toString(),
                option,
                typed);
        assertThat(run.status()).isEqualTo(ExitStatus.USAGE);
        assertThat(run.err()).contains(told);
    }

    @Test
    void writesNumberedClipsThatTheReferenceToolsAgreeWith() throws Exception {
        Path out = folder.resolve("out");
        Run run = run(
                "narrate",
                script("lamp.md", SCRIPT).toString(),
                "--out",
                out.toString(),
                "--cast",
                "keeper=hamish",
                "--pace",
                "90",
                "--json");
        assertThat(run.status()).isEqualTo(ExitStatus.FAILED);
        JsonNode result = JsonMapper.builder().build().readTree(run.out());
        assertThat(result.get("clips")).hasSize(2);
        assertThat(result.get("warnings").get(0).asString()).contains("cue 030").contains("no letter and no digit");
        JsonNode keeper = result.get("clips").get(1);
        assertThat(keeper.get("number").asString()).isEqualTo("020");
        assertThat(keeper.get("scene").asString()).isEqualTo("The headland");
        assertThat(keeper.get("role").asString()).isEqualTo("Keeper");
        assertThat(keeper.get("voice").asString()).isEqualTo("hamish");
        assertThat(keeper.get("words").get(8).get("text").asString()).isEqualTo("4:52");
        for (JsonNode clip : result.get("clips")) {
            Path file = out.resolve(clip.get("file").asString());
            // ffprobe and ffmpeg's ebur128 are the outside reference for format, length, loudness and true peak
            String probe = tool(
                    "ffprobe",
                    "-v",
                    "error",
                    "-show_entries",
                    "stream=codec_name,sample_rate,channels,duration",
                    "-of",
                    "csv=p=0",
                    file.toString());
            assertThat(probe).startsWith("pcm_s24le,48000,1,");
            assertThat(Double.parseDouble(probe.strip().split(",")[3]))
                    .isCloseTo(clip.get("durationSeconds").asDouble(), within(1e-5));
            String meter = tool(
                    "ffmpeg",
                    "-hide_banner",
                    "-nostats",
                    "-i",
                    file.toString(),
                    "-af",
                    "ebur128=peak=true",
                    "-f",
                    "null",
                    "-");
            assertThat(last(meter, "I:\\s+(-?[\\d.]+) LUFS"))
                    .isCloseTo(-19, within(0.15))
                    .isCloseTo(clip.get("loudnessLufs").asDouble(), within(0.15));
            assertThat(last(meter, "Peak:\\s+(-?[\\d.]+) dBFS"))
                    .isLessThanOrEqualTo(-0.9)
                    .isCloseTo(clip.get("truePeakDbtp").asDouble(), within(0.3));
        }
        assertThat(Files.readAllLines(out.resolve("cue-sheet.csv"))).hasSize(3);
        assertThat(run.err()).contains("lamp: 010 written, 1 of 3");
    }

    /** A control is a promise: 6 dB less measures as 6 LU less by ffmpeg's meter, and a gap is where the sheet says. */
    @Test
    void loudnessAndGapAreKept() throws Exception {
        String file = script(
                        "two.txt", "The crew have one tide to lift it out.\n\nAnd the sling is rated for most of it.")
                .toString();
        Path out = folder.resolve("quiet");
        assertThat(run(
                                "narrate",
                                file,
                                "--out",
                                out.toString(),
                                "--loudness",
                                "-6",
                                "--gap",
                                "1.5",
                                "--target",
                                "-20",
                                "--name",
                                "{number}")
                        .status())
                .isZero();
        for (String clip : List.of("010.wav", "020.wav")) {
            String meter = tool(
                    "ffmpeg",
                    "-hide_banner",
                    "-nostats",
                    "-i",
                    out.resolve(clip).toString(),
                    "-af",
                    "ebur128=peak=true",
                    "-f",
                    "null",
                    "-");
            assertThat(last(meter, "I:\\s+(-?[\\d.]+) LUFS")).isCloseTo(-26, within(0.15));
        }
        String[] first = Files.readAllLines(out.resolve("cue-sheet.csv")).get(1).split(",");
        String[] second =
                Files.readAllLines(out.resolve("cue-sheet.csv")).get(2).split(",");
        assertThat(Double.parseDouble(second[6])).isCloseTo(Double.parseDouble(first[7]) + 1.5, within(0.002));
    }

    /**
     * SSML 1.1, 3.2.1 (voice) and 3.1.12 (lang): another voice and another language inside a paragraph, measured by
     * Praat.
     */
    @Test
    void voicesAndLanguagesInsideAParagraph() throws Exception {
        String file = script("voices.ssml", """
                <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">
                <voice name="aldric"><p>He wrote <voice name="isla">the lamp will not be lit again tonight and nobody will sleep</voice>.</p></voice>
                <p>She said <voice name="nobody">good night</voice> and <mark name="welsh"/><lang xml:lang="cy">nos da i bawb</lang> and <lang xml:lang="tlh">qapla</lang>.</p>
                </speak>""").toString();
        Path out = folder.resolve("voices");
        Run run = run("narrate", file, "--out", out.toString(), "--name", "{number}", "--json");
        assertThat(run.status()).as(run.err()).isZero();
        assertThat(run.out())
                .contains("nobody, who says words of this cue, has no voice yet.")
                .contains("No voice speaks the language “tlh”")
                .doesNotContain("“cy”");
        // section 3.3.2: a mark's time is that of the word after it
        var clip = JsonMapper.builder().build().readTree(run.out()).get("clips").get(1);
        double start = clip.get("words")
                .valueStream()
                .filter(word -> word.get("text").asString().equals("nos"))
                .findFirst()
                .orElseThrow()
                .get("startSeconds")
                .asDouble();
        assertThat(clip.get("marks")).hasSize(1);
        assertThat(clip.get("marks").get(0).get("name").asString()).isEqualTo("welsh");
        assertThat(clip.get("marks").get(0).get("seconds").asDouble()).isEqualTo(start);
        Path praat = Files.writeString(folder.resolve("pitch.praat"), """
                form Measure
                  sentence file
                endform
                sound = Read from file: file$
                pitch = To Pitch (ac): 0.01, 60, 15, "no", 0.03, 0.45, 0.01, 0.35, 0.14, 500
                high = Get quantile: 0, 0, 0.5, "Hertz"
                writeInfoLine: fixed$ (high, 1)
                """);
        double woman = Double.parseDouble(
                tool("praat", "--run", praat.toString(), out.resolve("010.wav").toString())
                        .strip());
        assertThat(woman).as("most of it is Isla's, an octave over Aldric").isGreaterThan(150);
    }

    /** By the sound: the promise is about clips, not about estimates. */
    @ParameterizedTest
    @CsvSource({"rufus,100", "isla,100", "bram,85"})
    void cuesOfSomeSecondsKeepToThem(String voice, int pace) throws Exception {
        String file = script("long.txt", ClearnessPassage.TEXT.replace("\n", " ") + "\n")
                .toString();
        Path out = folder.resolve("seconds");
        Run run = run(
                "narrate",
                file,
                "--out",
                out.toString(),
                "--name",
                "{number}",
                "--json",
                "--voice",
                voice,
                "--pace",
                Integer.toString(pace),
                "--split",
                "seconds:12");
        assertThat(run.status()).as(run.err()).isZero();
        List<Double> seconds = JsonMapper.builder()
                .build()
                .readTree(run.out())
                .get("clips")
                .valueStream()
                .map(clip -> out.resolve(clip.get("file").asString()))
                .map(NarrateTest::seconds)
                .toList();
        assertThat(seconds)
                .hasSizeGreaterThan(4)
                .allSatisfy(one -> assertThat(one).isLessThan(12 * 1.03));
        assertThat(seconds.stream().mapToDouble(one -> one).sum() / seconds.size())
                .as("they are filled")
                .isGreaterThan(7.5);
    }

    private static double seconds(Path clip) {
        try {
            return WavReader.read(Files.readAllBytes(clip)).seconds();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void ssmlDirectsItsWordsAndWhatCannotBeDoneIsAWarning() throws Exception {
        String file = script("marked.ssml", """
                <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">
                <p>The <emphasis level="strong">lamp</emphasis> is lit<break time="900ms"/> at dusk, and <prosody rate="80%" pitch="-2st">nobody sleeps</prosody>.</p>
                <voice name="hamish"><p>Fog till <sub alias="the middle of the day">noon</sub>. <prosody contour="(0%,+20Hz)">Quiet</prosody>.</p></voice>
                </speak>""").toString();
        Path out = folder.resolve("marked");
        Run run = run("narrate", file, "--out", out.toString(), "--name", "{number}", "--json");
        assertThat(run.status()).as(run.err()).isZero();
        assertThat(run.out())
                .contains("a contour of “(0%,+20Hz)”: left out; the words stay.")
                .doesNotContain("emphasis")
                .contains("\"voice\" : \"hamish\"")
                .contains("Fog till noon. Quiet.");
        // the rest of 0.9 s, by FFmpeg, 45 dB under the loudest sample
        String peak = tool(
                "ffmpeg",
                "-hide_banner",
                "-i",
                out.resolve("010.wav").toString(),
                "-af",
                "volumedetect",
                "-f",
                "null",
                "-");
        double floor = last(peak, "max_volume: (-?[\\d.]+) dB") - 45;
        String silences = tool(
                "ffmpeg",
                "-hide_banner",
                "-i",
                out.resolve("010.wav").toString(),
                "-af",
                "silencedetect=n=" + floor + "dB:d=0.6",
                "-f",
                "null",
                "-");
        assertThat(last(silences, "silence_duration: ([\\d.]+)")).isCloseTo(0.9, within(0.03));
        // the same words without marks are shorter by that and more; said in other words they are longer
        String plain = script("plain.txt", "The lamp is lit at dusk, and nobody sleeps.\n\nFog till noon. Quiet.")
                .toString();
        Run without = run(
                "narrate",
                plain,
                "--out",
                folder.resolve("plain").toString(),
                "--name",
                "{number}",
                "--json",
                "--style",
                "urgent");
        assertThat(without.status()).isZero();
        assertThat(Files.size(out.resolve("010.wav")))
                .isGreaterThan(Files.size(folder.resolve("plain").resolve("010.wav")) + 48_000);
        assertThat(run("narrate", plain, "--out", folder.resolve("x").toString(), "--style", "gruff")
                        .err())
                .contains("There is no style “gruff”. Choose one of happy");
    }

    @Test
    void aSecondRunWritesTheSameSamples() throws Exception {
        String file = script("same.txt", "The same words, the same sound.").toString();
        byte[][] audio = new byte[2][];
        for (int i = 0; i < 2; i++) {
            Path out = folder.resolve("run" + i);
            assertThat(run("narrate", file, "--out", out.toString(), "--name", "{number}", "--pitch", "2")
                            .status())
                    .isZero();
            byte[] wav = Files.readAllBytes(out.resolve("010.wav"));
            // after the bext chunk, which holds the time of day
            audio[i] = java.util.Arrays.copyOfRange(wav, 622, wav.length);
        }
        assertThat(audio[0]).isEqualTo(audio[1]);
    }

    @Test
    void whatTheVoiceCannotReachIsAWarning() throws Exception {
        String file =
                script("high.txt", "The crew have one tide to lift it out.").toString();
        Run whisper = run(
                "narrate",
                file,
                "--out",
                folder.resolve("w").toString(),
                "--voice",
                "jessamy",
                "--pitch",
                "12",
                "--json");
        assertThat(whisper.status()).isZero();
        assertThat(JsonMapper.builder()
                        .build()
                        .readTree(whisper.out())
                        .get("warnings")
                        .get(0)
                        .asString())
                .isEqualTo("high, cue 010: A whisper has no pitch, so the change of +12.0 semitones does "
                        + "nothing to Jessamy.");
        Run high = run("narrate", file, "--out", folder.resolve("h").toString(), "--pitch", "12", "--json");
        assertThat(JsonMapper.builder().build().readTree(high.out()).get("warnings"))
                .as("the signal makes up what the engine falls short of")
                .isEmpty();
    }

    @Test
    void severalScriptsMakeAFolderEachAndNumbersAndNamesFollowTheOptions() throws Exception {
        Path out = folder.resolve("out");
        Run run = run(
                "narrate",
                script("one.txt", "First.").toString(),
                script("two.txt", "Second.\n\nThird.").toString(),
                "--out",
                out.toString(),
                "--number-from",
                "1",
                "--number-step",
                "1",
                "--number-width",
                "2",
                "--name",
                "{role}-{number}",
                "--target",
                "off");
        assertThat(run.status()).as(run.err()).isZero();
        assertThat(out.resolve("one/Narrator-01.wav")).exists();
        assertThat(out.resolve("two/Narrator-02.wav")).exists();
        assertThat(out.resolve("two/cue-sheet.csv")).exists();
        try (Stream<Path> left = Files.walk(out)) {
            assertThat(left.filter(p -> p.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void misuseIsOneSentenceAndStatusTwo() throws Exception {
        String file = script("a.txt", "Words.").toString();
        String out = folder.resolve("o").toString();
        for (List<String> args : List.of(
                List.of("--pace", "300"),
                List.of("--voice", "nobody"),
                List.of("--name", "{nummer}"),
                List.of("--target", "loud"),
                List.of("--split", "page"),
                List.of("--number-step", "0"),
                List.of("--pitch", "x"))) {
            List<String> line = Stream.concat(Stream.of("narrate", file, "--out", out), args.stream())
                    .toList();
            Run run = run(line.toArray(String[]::new));
            assertThat(run.status()).as(args.toString()).isEqualTo(ExitStatus.USAGE);
            assertThat(run.err().strip().lines().toList()).as(args.toString()).hasSize(1);
            assertThat(run.err()).doesNotContain("Exception");
        }
        assertThat(run("narrate").status()).isEqualTo(ExitStatus.USAGE);
    }

    @Test
    void unusableInputIsOneSentenceAndStatusThree() throws Exception {
        String out = folder.resolve("o").toString();
        Path binary = Files.write(
                folder.resolve("b.txt"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13});
        for (Path file :
                List.of(folder.resolve("missing.txt"), folder, binary, script("empty.txt", "# Only a heading\n"))) {
            Run run = run("narrate", file.toString(), "--out", out);
            assertThat(run.status()).as(file.toString()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
            assertThat(run.err().strip().lines().toList()).hasSize(1);
        }
    }

    @Test
    void voicesAreListedAsJsonWithWhatTheyMeasure() {
        assertThat(run("voices").out().lines().count()).isGreaterThan(300);
        JsonNode voices = JsonMapper.builder()
                .build()
                .readTree(
                        run("voices", "--json", "--language", "en-GB-scotland").out());
        assertThat(voices)
                .extracting(voice -> voice.get("id").asString())
                .contains("hamish", "farquhar")
                .doesNotContain("isla");
        for (JsonNode voice : voices) {
            for (String field : List.of(
                    "id",
                    "name",
                    "language",
                    "accent",
                    "gender",
                    "engine",
                    "canDo",
                    "medianPitchHz",
                    "pitchRangeSemitones",
                    "wordsPerMinute",
                    "syllablesPerMinute",
                    "brightnessHz")) {
                assertThat(voice.has(field)).as(field).isTrue();
            }
            boolean whispers = voice.get("canDo").toString().contains("whisper");
            assertThat(voice.get("medianPitchHz").isNull()).isEqualTo(whispers);
            assertThat(voice.get("wordsPerMinute").asDouble()).isBetween(120.0, 260.0);
        }
        assertThat(run("voices", "--language", "tlh").status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
    }

    private static String tool(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(printed).isZero();
        return printed;
    }

    private static double last(String text, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        double value = Double.NaN;
        while (found.find()) {
            value = Double.parseDouble(found.group(1));
        }
        return value;
    }
}
