package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.cli.input.ExitStatus;
import org.logophon.speech.NativeVoices;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Proof from the command line, and every kind of script. */
class CheckTest {

    @TempDir
    private Path folder;

    private record Run(int status, String out) {

        JsonNode json() {
            return JsonMapper.builder().build().readTree(out);
        }
    }

    private static Run run(String... args) {
        PrintStream standard = System.out;
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        try {
            return new Run(Main.run(args), out.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(standard);
        }
    }

    private String file(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    @Test
    void findingsAreNumberedAsNarrateWouldNumber() throws Exception {
        String script = file("lamp.md", "# One tide\n\nIts lens weighs 2.3 t.\n\nIn 1911 it was new.\n");
        JsonNode findings = run("check", script, "--json").json().get("findings");
        assertThat(findings).extracting(f -> f.get("cue").asString()).containsExactly("010", "020");
        JsonNode lens = findings.get(0);
        assertThat(lens.get("text").asString()).isEqualTo("2.3 t");
        assertThat(lens.get("start").asInt()).isEqualTo(16);
        assertThat(lens.get("end").asInt()).isEqualTo(21);
        assertThat(lens.get("kind").asString()).isEqualTo("unit");
        assertThat(lens.get("said").asString()).isEqualTo("two point three metric tons");
        assertThat(lens.get("wouldSay")).isEqualTo(lens.get("said"));
        assertThat(lens.get("sureness").asString()).isIn("sure", "likely");
        assertThat(lens.get("suggestions").get(0).asString()).isEqualTo("two point three metric tons");
        assertThat(lens.get("reason").asString()).isNotBlank();
    }

    @Test
    void splittingNumbersVoicesAndReadingsCount() throws Exception {
        String script = file("lamp.txt", "It weighs 2.3 t. It is 12 W.");
        String readings = file("readings.csv", "written,said\n12 W,twelve watts\n");
        JsonNode findings = run(
                        "check",
                        script,
                        "--split",
                        "sentence",
                        "--number-from",
                        "5",
                        "--number-step",
                        "5",
                        "--readings",
                        readings,
                        "--json")
                .json()
                .get("findings");
        assertThat(findings).extracting(f -> f.get("cue").asString()).containsExactly("005");
        String american = NativeVoices.catalogue().all().stream()
                .filter(voice -> voice.language().equals("en-US"))
                .findFirst()
                .orElseThrow()
                .id();
        assertThat(run("check", script, "--voice", american, "--json")
                        .json()
                        .get("findings")
                        .get(0)
                        .get("suggestions")
                        .get(0)
                        .asString())
                .isEqualTo("two point three metric tons");
    }

    @Test
    void forPeopleItIsALineAFinding() throws Exception {
        Run run = run("check", file("a.txt", "Skerrow weighs 2.3 t.\n\nNothing else here."));
        assertThat(run.status()).isEqualTo(ExitStatus.DONE);
        assertThat(run.out())
                .contains("010  Skerrow: unknown word")
                .contains("1 place to look at.", "1 written form is said by rule");
        assertThat(run("check", file("b.txt", "Nothing to see here.")).out()).contains("Nothing to look at.");
        assertThat(run("check", folder.resolve("missing.txt").toString()).status())
                .isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(run("check", file("c.txt", "Words."), "--split", "page").status())
                .isEqualTo(ExitStatus.USAGE);
    }

    @Test
    void captionsAndTablesKeepTheirCuesAndNumbers() throws Exception {
        String table = file("cues.csv", "number,text\n7,Lit at 4:52 pm.\n8,Out at 12 W.\n");
        assertThat(run("check", table, "--json").json().get("findings"))
                .extracting(f -> f.get("cue").asString())
                .containsExactly("7", "8");
        Path out = folder.resolve("out");
        Run narrated = run("narrate", table, "--out", out.toString(), "--json");
        assertThat(narrated.json().get("clips"))
                .extracting(c -> c.get("file").asString())
                .containsExactly("7_lit-at-4-52-pm.wav", "8_out-at-12-w.wav");
        String captions = file(
                "a.srt",
                "1\n00:00:01,000 --> 00:00:03,000\nOne two.\n\n2\n00:00:04,000 --> 00:00:06,000\nThree four.\n");
        assertThat(run("narrate", captions, "--out", folder.resolve("srt").toString(), "--json")
                        .json()
                        .get("clips"))
                .extracting(c -> c.get("text").asString())
                .isEqualTo(List.of("One two.", "Three four."));
    }

    @Test
    void readingsAreHeardInTheClip() throws Exception {
        String script = file("uv.txt", "Under UV light.");
        double plain =
                seconds(run("narrate", script, "--out", folder.resolve("a").toString(), "--json"));
        String readings = file(
                "r.pls",
                "<lexicon version='1.0' xmlns='http://www.w3.org/2005/01/pronunciation-lexicon' "
                        + "alphabet='ipa' xml:lang='en'>"
                        + "<lexeme><grapheme>UV</grapheme><alias>ultra violet and then some "
                        + "more</alias></lexeme></lexicon>");
        double read = seconds(
                run("narrate", script, "--out", folder.resolve("b").toString(), "--readings", readings, "--json"));
        assertThat(read).isGreaterThan(plain + 0.8);
    }

    private static double seconds(Run run) {
        return run.json().get("clips").get(0).get("durationSeconds").asDouble();
    }
}
