package org.logophon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.cli.input.ExitStatus;
import org.logophon.standin.StandIn;
import org.logophon.standin.Temper;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The command line with a service of hired voices that the environment names: a process of its own. */
class HiredNarrateTest {

    private static final String KEY = "a-key-that-nobody-sees";
    private static final String LINE = "The lens came by sea, in forty boxes.";

    @TempDir
    private static Path folder;

    private static StandIn standIn;

    @BeforeAll
    static void start() throws Exception {
        standIn = new StandIn(0, KEY, Temper.CALM, folder.resolve("standin"), Clock.systemUTC());
    }

    @AfterAll
    static void stop() {
        standIn.close();
    }

    private record Run(int status, String out, String err) {

        JsonNode json() {
            return JsonMapper.builder().build().readTree(out);
        }
    }

    private static Run run(String key, String... args) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName()));
        command.addAll(List.of(args));
        File out = Files.createTempFile(folder, "out", "").toFile();
        File err = Files.createTempFile(folder, "err", "").toFile();
        ProcessBuilder builder = new ProcessBuilder(command).redirectOutput(out).redirectError(err);
        builder.environment().put("LOGOPHON_HIRED_ADDRESS", standIn.address());
        builder.environment().put("LOGOPHON_HIRED_KEY", key);
        int status = builder.start().waitFor();
        return new Run(
                status,
                Files.readString(out.toPath(), StandardCharsets.UTF_8),
                Files.readString(err.toPath(), StandardCharsets.UTF_8));
    }

    private static String script(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    @Test
    void aHiredVoiceIsPaidOnlyWhenThatIsAllowed() throws Exception {
        String script = script("sea.txt", "NARRATOR: The lamp is lit.\n\nKEEPER: " + LINE);
        Run refused = run(
                KEY, "narrate", script, "--out", folder.resolve("no").toString(), "--cast", "keeper=hired-rosalind");
        assertThat(refused.status()).isEqualTo(ExitStatus.USAGE);
        assertThat(refused.err())
                .contains("Rosalind is a hired voice and costs 0.0004 EUR a character. Add --allow-charges");
        Run paid = run(
                KEY,
                "narrate",
                script,
                "--out",
                folder.resolve("yes").toString(),
                "--cast",
                "keeper=hired-rosalind",
                "--allow-charges",
                "--json");
        assertThat(paid.status()).as(paid.err()).isZero();
        assertThat(paid.json().get("clips")).hasSize(2);
        assertThat(paid.json().get("charged").get("characters").asInt()).isEqualTo(LINE.length());
        assertThat(paid.json().get("charged").get("price").decimalValue()).isEqualByComparingTo("0.0148");
        assertThat(paid.err())
                .contains("Hired voices: 37 characters at most, 0.0148 EUR;")
                .doesNotContain(KEY);
        Run native_ = run(
                KEY,
                "narrate",
                script("plain.txt", "The lamp is lit."),
                "--out",
                folder.resolve("plain").toString(),
                "--json");
        assertThat(native_.json().has("charged")).isFalse();
    }

    @Test
    void whatTheAllowanceDoesNotReachIsRefusedBeforeAnythingIsPaid() throws Exception {
        String script = script(
                "long.txt",
                java.util.stream.IntStream.range(0, 270)
                        .mapToObj(i -> i + " " + LINE)
                        .collect(java.util.stream.Collectors.joining(" ")));
        Run run = run(
                KEY,
                "narrate",
                script,
                "--out",
                folder.resolve("long").toString(),
                "--voice",
                "hired-konrad",
                "--split",
                "words:60",
                "--allow-charges");
        assertThat(run.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(run.err()).contains("characters for hired voices").contains("are left this month");
    }

    @Test
    void whatIsSaidBeforeIsWhatIsCharged() throws Exception {
        String readings =
                script("readings.csv", "written,said,as\n2.3 t,two point three tonnes,words\nSkerrow,ˈskɛroʊ,ipa\n");
        Run run = run(
                KEY,
                "narrate",
                script("read.txt", "On Skerrow it weighs 2.3 t 😀."),
                "--out",
                folder.resolve("read").toString(),
                "--voice",
                "hired-rosalind",
                "--readings",
                readings,
                "--allow-charges",
                "--json");
        assertThat(run.status()).as(run.err()).isZero();
        // the words of one reading, and the sounds of the other
        int sent = "On ˈskɛroʊ it weighs two point three tonnes  .".length();
        assertThat(run.json().get("charged").get("characters").asInt()).isEqualTo(sent);
        assertThat(run.err()).contains("Hired voices: " + sent + " characters at most");
    }

    @Test
    void hiredVoicesAreListedWithTheirTermsAndAWrongKeyIsASentence() throws Exception {
        JsonNode voices = run(KEY, "voices", "--json", "--language", "fr").json();
        assertThat(voices.valueStream()
                        .filter(voice -> voice.get("id").asString().startsWith("hired-"))
                        .toList())
                .hasSize(2)
                .allSatisfy(voice -> {
                    assertThat(voice.get("pricePerCharacter").decimalValue()).isEqualByComparingTo("0.0004");
                    assertThat(voice.get("mostCharacters").asInt()).isEqualTo(500);
                    assertThat(voice.get("medianPitchHz").isNull())
                            .as("measuring would cost")
                            .isTrue();
                });
        Run wrong = run("not-the-key", "voices");
        assertThat(wrong.status()).isEqualTo(ExitStatus.INPUT_UNUSABLE);
        assertThat(wrong.err())
                .contains("refuses the key. Check LOGOPHON_HIRED_KEY.")
                .doesNotContain("not-the-key")
                .doesNotContain("\tat ");
    }
}
