package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Hired voices: the price first, nothing paid twice, and a ledger that agrees with the service's own account. */
@ResourceLock("the account of what is hired")
class HiredTest extends ApplicationTest {

    @Autowired
    private VoiceCatalogue voices;

    @Autowired
    private Narrator narrator;

    @Autowired
    private JdbcClient jdbc;

    @BeforeEach
    void listed() {
        Server.await(
                "hired voices are listed", () -> voices.find("hired-rosalind").isPresent());
    }

    /** A project whose narrator is a hired voice. */
    private String project(String name, String script, String voice) {
        String project = server.project(name, script);
        assertThat(server.post(project + "/cast", Map.of("role", "Narrator", "voice", voice))
                        .body())
                .contains("speaks Narrator now");
        return project;
    }

    private List<CSVRecord> ledger(String project) throws Exception {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new java.io.StringReader(server.get("/ledger.csv").body()))
                .stream()
                .filter(row -> row.get("project").equals(project))
                .toList();
    }

    private long charged(String project) throws Exception {
        return ledger(project).stream()
                .mapToLong(row -> Long.parseLong(row.get("characters")))
                .sum();
    }

    private void renderAll(String project, int agreed, int cues) {
        server.post(project + "/render", Map.of("agreed", Integer.toString(agreed)));
        Server.await("rendered", () -> server.ready(project) == cues);
    }

    @Test
    void theCatalogueSaysWhatTheyCostAndThatTheyAreNotMeasured() {
        String page = server.get(server.project("Catalogue", "A lamp.") + "/cast?language=English&cost=hired")
                .body();
        assertThat(page)
                .contains("3 voices match")
                .contains("Rosalind")
                .contains("0.40 EUR")
                .contains("per 1,000 characters, 500 at once")
                .contains("not measured")
                .contains("Ledger of hired voices")
                .doesNotContain(HiredStandIn.KEY);
    }

    @Test
    void thePriceComesFirstAndWhatWasAgreedToIsPaidOnce() throws Exception {
        String project = project("Price first", "The lens came by sea.\n\nFog till noon.", "hired-rosalind");
        int characters = "The lens came by sea.".length() + "Fog till noon.".length();
        long before = STAND_IN.used();
        String head = server.post(project + "/render", Map.of()).body();
        assertThat(head)
                .contains("This costs " + characters + " characters of hired voices, 0.01 EUR.")
                .contains("are left after it")
                .contains("Render for 0.01 EUR");
        assertThat(server.ready(project)).isZero();
        assertThat(STAND_IN.used()).as("nothing is paid before").isEqualTo(before);
        assertThat(server.post(project + "/render", Map.of("agreed", Integer.toString(characters - 1)))
                        .body())
                .as("less was agreed to")
                .contains("This costs");
        renderAll(project, characters, 2);
        assertThat(STAND_IN.used() - before).isEqualTo(characters);
        CSVRecord line = ledger("Price first").get(0);
        assertThat(line.get("voice")).isEqualTo("Rosalind");
        assertThat(line.get("characters")).isEqualTo(Integer.toString(characters));
        assertThat(Double.parseDouble(line.get("price"))).isEqualTo(characters * 0.0004);
        assertThat(line.get("currency")).isEqualTo("EUR");
        assertThat(server.get("/ledger").body().replaceAll("\\s+", " "))
                .contains("Price first")
                .contains("of <span class=\"figures\">10,000</span> characters are left")
                .doesNotContain(HiredStandIn.KEY);
    }

    @Test
    void anotherPaceOrTheSameWordsElsewhereCostNothing() throws Exception {
        String project = project("Pace", "The gallery rail is cold.", "hired-thaddeus");
        renderAll(project, 100, 1);
        long before = STAND_IN.used();
        String cue = server.cues(project).get(0).get("id").asString();
        server.post(
                project + "/cues/" + cue + "/direction",
                Map.of("pace", "85", "pitch", "-2", "version", server.version(project, cue, "cue")));
        assertThat(server.ready(project)).isZero();
        renderAll(project, 0, 1);
        String other = project("Pace again", "The gallery rail is cold.", "hired-thaddeus");
        renderAll(other, 0, 1);
        assertThat(STAND_IN.used()).isEqualTo(before);
        assertThat(charged("Pace again")).isZero();
    }

    @Test
    void aStyleOfTheVoiceIsAnotherRequest() throws Exception {
        String project = project("Style", "Put the lamp out now.", "hired-thaddeus");
        renderAll(project, 100, 1);
        String cue = server.cues(project).get(0).get("id").asString();
        String stage = server.post(
                        project + "/cues/" + cue + "/direction",
                        Map.of("style", "urgent", "version", server.version(project, cue, "cue")))
                .body();
        assertThat(stage).contains("urgent, its own way").contains("urgent at 100 %");
        assertThat(server.post(project + "/cues/" + cue + "/render", Map.of()).body())
                .contains("This costs 21 characters")
                .contains("Render for 0.01 EUR");
        double calm = server.cues(project).get(0).get("seconds").asDouble();
        server.post(project + "/cues/" + cue + "/render", Map.of("agreed", "21"));
        Server.await("rendered", () -> server.ready(project) == 1);
        assertThat(server.cues(project).get(0).get("seconds").asDouble())
                .as("an urgent one is quicker")
                .isLessThan(calm * 0.95);
        assertThat(charged("Style")).isEqualTo(42);
    }

    @Test
    void aRenderOverTheAllowanceIsRefusedAndTheRestCanBeDone() {
        String script = "KEEPER: Fog till noon.\n\nNARRATOR: "
                + Stream.of("lamp", "lens", "log")
                        .map(word -> IntStream.range(0, 80)
                                .mapToObj(
                                        i -> "Line %03d of the %s is one that nobody will pay for.".formatted(i, word))
                                .collect(Collectors.joining(" ")))
                        .collect(Collectors.joining("\n\n"));
        String project = project("Too long", script, "hired-rosalind");
        long before = STAND_IN.used();
        String head =
                server.post(project + "/render", Map.of("agreed", "1000000")).body();
        assertThat(head)
                .contains("so the allowance doesn’t reach")
                .contains("Cast a voice that costs nothing")
                .doesNotContain("Render for")
                .contains("Free voices only: 1 cue");
        assertThat(server.ready(project)).isZero();
        server.post(project + "/render/free", Map.of());
        Server.await("rendered", () -> server.ready(project) == 1);
        assertThat(STAND_IN.used()).isEqualTo(before);
    }

    @Test
    void nothingIsPaidTwiceWhenTheServerDiesBetweenPayingAndSaving() throws Exception {
        String project = project("Crash", "One for the weather, one for the lamp.", "hired-rosalind");
        renderAll(project, 100, 1);
        long before = STAND_IN.used();
        // as a server leaves it that was killed when the answer had come: charged there, not written down here
        jdbc.sql("update charge set state = 'asked', charged_at = null where project_name = 'Crash'")
                .update();
        jdbc.sql("delete from paid_speech where key in (select key from charge where project_name = 'Crash')")
                .update();
        assertThat(server.get("/ledger").body())
                .contains("+ 38 open")
                .contains("Rendering the same words again settles it");
        String again = project("Crash again", "One for the weather, one for the lamp.", "hired-rosalind");
        String cue = server.cues(again).get(0).get("id").asString();
        server.post(
                again + "/cues/" + cue + "/direction",
                Map.of("pace", "90", "version", server.version(again, cue, "cue")));
        renderAll(again, 100, 1);
        assertThat(STAND_IN.used()).as("the service knows its key").isEqualTo(before);
        assertThat(charged("Crash") + charged("Crash again")).isEqualTo(38);
        assertThat(ledger("Crash again").get(0).get("unsettled_characters")).isEqualTo("0");
    }

    @Test
    void theLedgerBalancesUnderParallelRendersAndAnswersThatAreCutOff() {
        long ledgerBefore = sum();
        long before = STAND_IN.used();
        String script = String.join(
                "\n\n",
                IntStream.rangeClosed(1, 12)
                        .mapToObj(i -> "Prism " + "abcdefghijkl".charAt(i - 1) + " is washed in rain water.")
                        .toList());
        List<String> projects = Stream.of("Side one", "Side two")
                .map(name -> project(name, script, "hired-imogen"))
                .toList();
        projects.forEach(project -> server.post(project + "/render", Map.of("agreed", "1000")));
        Server.await("rendered", () -> projects.stream().allMatch(project -> server.ready(project) == 12));
        int characters = script.replace("\n\n", "").length();
        assertThat(STAND_IN.used() - before).isEqualTo(characters);
        assertThat(sum() - ledgerBefore).isEqualTo(characters);
    }

    private long sum() {
        return jdbc.sql("select coalesce(sum(characters), 0) from charge where state = 'charged'")
                .query(Long.class)
                .single();
    }

    @Test
    void anAuditionOfAHiredVoiceIsAgreedToFirst() {
        String project = server.project("Audition", "The lamp is lit at dusk.");
        String wish = project + "/cast/audition?role=Narrator&voice=hired-rosalind";
        HttpResponse<String> first = server.ask(wish);
        assertThat(first.statusCode()).isEqualTo(402);
        JsonNode price = Server.parse(first);
        assertThat(price.get("characters").asInt()).isEqualTo(24);
        assertThat(price.get("sentence").asString()).startsWith("This costs 24 characters of hired voices, 0.01 EUR.");
        HttpResponse<String> paid = server.post(
                project + "/cast/audition", Map.of("role", "Narrator", "voice", "hired-rosalind", "agreed", "24"));
        assertThat(paid.statusCode()).isEqualTo(200);
        assertThat(server.bytes(Server.parse(paid).get("sound").asString()).length)
                .isGreaterThan(20_000);
        assertThat(server.ask(wish).statusCode()).as("kept").isEqualTo(200);
        assertThat(server.ask(project + "/hear?written=lamp").statusCode())
                .as("the role has no hired voice")
                .isEqualTo(200);
    }

    @Test
    void castingSaysWhatItWillCost() {
        String project = server.project("Cost of casting", "The lamp turns.\n\nKEEPER: Fog.");
        server.post(project + "/cast/direction", Map.of("role", "Narrator", "style", "weary", "version", "0"));
        JsonNode preview = server.json(project + "/cast/preview?role=Narrator&voice=hired-rosalind");
        assertThat(preview.get("cost").asString())
                .startsWith("Rendering all of them costs 15 characters of hired voices")
                .endsWith("You are asked again before it is paid.");
        assertThat(preview.get("lacks").get(0).asString()).contains("no style of its own for weary");
        assertThat(server.json(project + "/cast/preview?role=Narrator&voice=isla")
                        .get("cost")
                        .asString())
                .isEmpty();
    }

    @Test
    void measuringAHiredVoiceHasAPriceToo() throws Exception {
        String project = server.project("Measuring", "A lamp.");
        assertThat(server.get(project + "/voices/hired-nieves/measure").statusCode())
                .isEqualTo(402);
        int characters = Server.parse(server.get(project + "/voices/hired-nieves/measure"))
                .get("characters")
                .asInt();
        assertThat(Server.parse(server.post(
                                project + "/voices/hired-nieves/measure",
                                Map.of("agreed", Integer.toString(characters))))
                        .get("sentence")
                        .asString())
                .isEqualTo("Nieves is measured.");
        assertThat(server.get(server.project("Measured", "A lamp.") + "/cast?language=Spanish&search=nieves")
                        .body())
                .doesNotContain("not measured · measure")
                .contains(" Hz");
        assertThat(charged("the house")).isEqualTo(characters);
    }

    @Test
    void wordsThatGrowAfterTheirPriceWasAgreedToAreNotPaid() {
        Voice voice = voices.find("hired-konrad").orElseThrow();
        Recipe recipe =
                Recipe.of("Niemand hat zugestimmt.", voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
        long before = STAND_IN.used();
        assertThatThrownBy(() -> narrator.render(recipe))
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("nobody has agreed to its price");
        java.util.UUID agreement = java.util.UUID.randomUUID();
        jdbc.sql("insert into agreement (id, workspace_id, agreed_characters, at) select :id, id, "
                        + "5, now() from workspace")
                .param("id", agreement)
                .update();
        assertThatThrownBy(() -> narrator.render(recipe, agreement.toString()))
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("changed after their price was agreed to");
        assertThat(STAND_IN.used()).isEqualTo(before);
    }

    @Test
    void namesInTheLedgerAreNoFormulas() {
        renderAll(project("=1+1", "A gull.", "hired-rosalind"), 10, 1);
        assertThat(server.get("/ledger.csv").body()).contains("'=1+1");
        assertThat(server.get("/ledger.csv")
                        .headers()
                        .firstValue("Content-Type")
                        .orElse(""))
                .startsWith("text/csv");
    }
}
