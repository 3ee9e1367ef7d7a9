package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A project in another language. */
@Execution(ExecutionMode.CONCURRENT)
@ResourceLock("the account of what is hired")
class LanguagesTest extends ApplicationTest {

    private static final String SCRIPT = """
            # The wheel

            NARRATOR: Your wheel wobbles? You can true it in 50 seconds, with one small key.

            KEEPER: Turn the bike over and spin the wheel. Watch the gap at the brake pad.

            # The road

            NARRATOR: That's a true wheel. Go and ride it.
            """;

    @Autowired
    private JdbcTemplate jdbc;

    private String german(String first) {
        HttpResponse<String> made = server.post(first + "/languages", Map.of("language", "de"));
        assertThat(made.statusCode()).as(made.body()).isEqualTo(200);
        return Server.parse(made).get("address").asString().replace("/translation", "");
    }

    private List<String> words(String project) {
        return jdbc.queryForList(
                "select text from cue where project_id = ?::uuid and removed_at is null order by position",
                String.class,
                project.replace("/projects/", ""));
    }

    private String script(String project) {
        return jdbc.queryForObject(
                "select script from project where id = ?::uuid", String.class, project.replace("/projects/", ""));
    }

    private List<String> numbers(String project) {
        return server.cues(project)
                .valueStream()
                .map(cue -> cue.get("number").asString())
                .toList();
    }

    private String cue(String project, int at) {
        return server.cues(project).get(at).get("id").asString();
    }

    private HttpResponse<String> say(String version, int at, String text) {
        return server.post(
                version + "/translation/cues/" + cue(version, at),
                Map.of("was", words(version).get(at), "text", text));
    }

    /** What stands in the last column but one of each row. */
    private List<String> states(String version) {
        Matcher state = Pattern.compile("<span class=\"state said-([a-z-]+)\"")
                .matcher(server.get(version + "/translation").body());
        List<String> states = new ArrayList<>();
        while (state.find()) {
            states.add(state.group(1));
        }
        return states;
    }

    @Test
    void aVersionHasTheSameCuesNumbersSlotsRolesAndDirection() {
        String first = server.project("Trued", SCRIPT);
        String cue = cue(first, 1);
        server.post(first + "/cast", Map.of("role", "Keeper", "voice", "edwin"));
        server.post(first + "/cues/" + cue + "/direction", Map.of("pace", "90", "version", "0"));
        jdbc.update("update cue set slot_in_millis = 1000, slot_out_millis = 3000 where id = ?::uuid", cue);
        jdbc.update("update cue set number = 'B7' where id = ?::uuid", cue);
        String version = german(first);
        assertThat(numbers(version)).isEqualTo(numbers(first)).containsExactly("010", "B7", "030");
        assertThat(words(version)).as("untranslated").isEqualTo(words(first));
        assertThat(states(version)).containsExactly("to-translate", "to-translate", "to-translate");
        assertThat(script(version)).contains("# The road", "KEEPER:");
        Map<String, Object> there = jdbc.queryForMap(
                "select slot_in_millis, slot_out_millis, pace_percent from cue where id = ?::uuid", cue(version, 1));
        assertThat(there)
                .containsEntry("slot_in_millis", 1000)
                .containsEntry("slot_out_millis", 3000)
                .containsEntry("pace_percent", 90);
        // German voices, one for each role
        List<String> cast = jdbc.queryForList(
                "select voice_id from role where project_id = ?::uuid",
                String.class,
                version.replace("/projects/", ""));
        assertThat(cast).hasSize(2).doesNotContainNull();
        assertThat(server.get(version + "/cast?language=German").body()).contains("Narrator", "Keeper");
        assertThat(server.get("/").body()).contains("Trued (German)");
        assertThat(server.post(first + "/languages", Map.of("language", "de")).body())
                .contains("That language exists already");
        assertThat(server.post(version + "/languages", Map.of("language", "fr")).body())
                .contains("This is a translation itself");
        assertThat(server.post(first + "/languages", Map.of("language", "tlh")).statusCode())
                .isEqualTo(422);
        assertThat(server.get(first + "/translation").statusCode()).isEqualTo(404);
        assertThat(server.post(server.project("Nothing", "") + "/languages", Map.of("language", "de"))
                        .body())
                .contains("There is nothing to translate yet");
    }

    @Test
    void whatChangesInTheFirstLanguageIsToBeLookedAt() {
        String first = server.project("Looked at", SCRIPT);
        String version = german(first);
        assertThat(say(version, 0, "Dein Rad eiert? In 50 Sekunden läuft es wieder rund.")
                        .statusCode())
                .isEqualTo(200);
        assertThat(say(version, 2, "Jetzt läuft es rund. Fahr los.").statusCode())
                .isEqualTo(200);
        assertThat(states(version)).containsExactly("done", "to-translate", "done");
        assertThat(numbers(version)).containsExactly("010", "020", "030");
        // nothing in common with what it was, and still the same cue
        assertThat(words(version).get(2)).isEqualTo("Jetzt läuft es rund. Fahr los.");
        server.save(first, SCRIPT.replace("Go and ride it.", "Now ride it."), 1);
        assertThat(states(version)).containsExactly("done", "to-translate", "to-look-at");
        assertThat(server.get(version + "/translation").body())
                .contains("was: <span>That&#39;s a true wheel. Go and ride it.");
        assertThat(server.get(first + "/languages").body()).contains("1 to translate · 1 to check");
        server.post(version + "/translation/cues/" + cue(version, 2) + "/seen", Map.of());
        assertThat(states(version)).containsExactly("done", "to-translate", "done");
        assertThat(server.post(
                                version + "/translation/cues/" + cue(version, 0),
                                Map.of("was", "something else", "text", "Anderes."))
                        .statusCode())
                .as("another window was quicker")
                .isEqualTo(409);
        assertThat(say(version, 0, "# Keine Überschrift: in 50 Sekunden").statusCode())
                .isEqualTo(200);
        assertThat(words(version).get(0)).isEqualTo("# Keine Überschrift: in 50 Sekunden");
        assertThat(say(version, 0, "  ").statusCode()).isEqualTo(422);
        assertThat(say(version, 0, "Dein Rad eiert? In 15 Sekunden läuft es wieder rund.")
                        .statusCode())
                .isEqualTo(200);
        assertThat(server.get(version + "/translation").body()).contains("“50” isn&#39;t in the translation; “15” is.");
    }

    @Test
    void cuesThatComeGoAndMoveAreBroughtInStep() {
        String first = server.project("In step", SCRIPT);
        String version = german(first);
        say(version, 0, "Dein Rad eiert? In 50 Sekunden läuft es wieder rund.");
        say(version, 1, "Stell das Fahrrad auf den Kopf und dreh das Rad.");
        say(version, 2, "Jetzt läuft es rund. Fahr los.");
        server.save(first, """
                # The wheel

                NARRATOR: Your wheel wobbles? You can true it in 50 seconds, with one small key.

                Mark the worst place with a piece of chalk.

                Squeeze the spokes two by two.

                # The road

                NARRATOR: That's a true wheel. Go and ride it.
                """, 1);
        assertThat(server.get(version + "/translation").body()).contains("2 cues are missing here; 1 is only here");
        assertThat(Server.parse(server.post(version + "/translation/bring", Map.of()))
                        .get("sentence")
                        .asString())
                .contains("1 that it no longer has was removed");
        assertThat(words(version))
                .containsExactly(
                        "Dein Rad eiert? In 50 Sekunden läuft es wieder rund.",
                        "Mark the worst place with a piece of chalk.",
                        "Squeeze the spokes two by two.",
                        "Jetzt läuft es rund. Fahr los.");
        assertThat(numbers(version)).isEqualTo(numbers(first));
        assertThat(states(version)).containsExactly("done", "to-translate", "to-translate", "done");
        assertThat(server.get(version + "/translation").body()).doesNotContain("data-bring");
        // a cue that was written anew keeps its place, and is to be looked at
        say(version, 1, "Zeichne die schlimmste Stelle an.");
        server.save(first, script(first).replace("Mark the worst place with a piece of chalk.", "Chalk helps."), 2);
        assertThat(states(version)).containsExactly("done", "to-look-at", "to-translate", "done");
        assertThat(server.get(version + "/translation").body())
                .doesNotContain("data-bring")
                .contains("was: <span>Mark the worst place");
    }

    @Test
    void whatIsWrittenInTheVersionsOwnScriptKeepsItsPlace() {
        String first = server.project("By hand", SCRIPT);
        String version = german(first);
        String script = script(version);
        int at = server.json(version + "/script").get("version").asInt();
        server.save(
                version,
                script.replace(
                        "Turn the bike over and spin the wheel. Watch the gap at the brake pad.", "Kopfüber damit."),
                at);
        assertThat(states(version)).containsExactly("to-translate", "to-look-at", "to-translate");
        assertThat(server.get(version + "/translation").body()).doesNotContain("data-bring");
    }

    @Test
    void aCueOfTheVersionsOwnGivesWayToANumberOfTheFirstLanguage() {
        String first = server.project("Own cue", SCRIPT);
        String version = german(first);
        int at = server.json(version + "/script").get("version").asInt();
        server.save(version, script(version).replace("# The road", "Nur hier gesagt.\n\n# The road"), at);
        assertThat(numbers(version)).containsExactly("010", "020", "025", "030");
        jdbc.update("update cue set number = '025' where id = ?::uuid", cue(first, 2));
        say(version, 3, "Fahr los.");
        assertThat(numbers(version)).containsExactly("010", "020", "022", "025");
    }

    @Test
    void textsComeByTheirNumbersOrInOrder() throws Exception {
        String first = server.project("Brought", SCRIPT);
        String version = german(first);
        String csv = server.get(version + "/translation/texts.csv").body();
        assertThat(csv).startsWith("number,role,first,text\r\n010,Narrator,");
        assertThat(sent(version, "de.csv", "number,text\n030,Fahr los.\n010,Eiert es? In 50 Sekunden rund.\n"))
                .contains("2 cues have words from de.csv; 2 changed.");
        assertThat(states(version)).containsExactly("done", "to-translate", "done");
        assertThat(words(version).get(2)).isEqualTo("Fahr los.");
        assertThat(sent(version, "de.txt", "Eins, in 50 Sekunden.\n\nZwei.\n\nDrei.\n"))
                .contains("3 cues have words");
        assertThat(words(version)).containsExactly("Eins, in 50 Sekunden.", "Zwei.", "Drei.");
        assertThat(sent(version, "two.txt", "Eins.\n\nZwei.\n")).contains("two has 2 paragraphs, and there are 3 cues");
        assertThat(sent(version, "other.csv", "number,text\n900,Anderswo.\n")).contains("none of the cues’ numbers");
        assertThat(sent(version, "empty.txt", "")).contains("sentence");
        assertThat(words(version)).containsExactly("Eins, in 50 Sekunden.", "Zwei.", "Drei.");
    }

    private String sent(String version, String name, String content) {
        String boundary = "----words";
        String body = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n" + content + "\r\n--" + boundary + "--\r\n";
        return server.send(server.request(version + "/translation/texts")
                        .setHeader("Accept", "application/json")
                        .header("X-XSRF-TOKEN", server.token())
                        .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                        .POST(HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8)))
                .body();
    }

    /** The stand-in cuts off every third answer after it has charged for it. */
    @Test
    void aServiceIsAskedAfterItsPriceWasAgreedTo() {
        // what another test has paid for would cost nothing here
        jdbc.update("delete from paid_translation");
        String first = server.project(
                "Asked of a service", SCRIPT.replace("small key.", "small key of " + UUID.randomUUID() + "."));
        String version = german(first);
        HttpResponse<String> price = server.post(version + "/translation/service", Map.of());
        assertThat(price.statusCode()).isEqualTo(402);
        int characters = Server.parse(price).get("characters").asInt();
        assertThat(characters)
                .isEqualTo(words(first).stream().mapToInt(String::length).sum());
        assertThat(Server.parse(price).get("sentence").asString()).contains("EUR at most");
        assertThat(states(version)).containsOnly("to-translate");
        JsonNode done = Server.parse(
                server.post(version + "/translation/service", Map.of("agreed", Integer.toString(characters))));
        assertThat(done.get("said").asInt()).isEqualTo(2);
        assertThat(done.get("skipped")).hasSize(1);
        assertThat(done.get("sentence").asString()).contains("there is no translation for 010");
        assertThat(states(version)).containsExactly("to-translate", "done", "done");
        assertThat(words(version).get(2)).isEqualTo("Jetzt läuft es rund. Fahr los.");
        assertThat(server.get("/ledger").body()).contains("Translation to German", "Asked of a service (German)");
        String other = german(server.project("Another", SCRIPT));
        assertThat(server.post(
                                other + "/translation/service",
                                Map.of("agreement", done.get("agreement").asString()))
                        .statusCode())
                .as("a price that was agreed to elsewhere")
                .isEqualTo(403);
        // what was paid for isn't paid for again
        assertThat(Server.parse(server.post(other + "/translation/service", Map.of()))
                        .get("characters")
                        .asInt())
                .isEqualTo(words(other).get(0).length());
        // nothing that somebody wrote is written over
        say(version, 0, "Von Hand.");
        assertThat(server.post(version + "/translation/service", Map.of()).body())
                .contains("All cues have words already.");
    }

    @Test
    void aGlossaryHoldsInTheVersions() {
        String first = server.project("Glossary", SCRIPT);
        String version = german(first);
        assertThat(server.post(
                                first + "/languages/glossary",
                                Map.of("written", "brake pad", "said", "Bremsklotz", "language", "de"))
                        .body())
                .contains("is always Bremsklotz");
        server.post(first + "/languages/glossary", Map.of("written", "key"));
        say(version, 1, "Dreh das Rad, und achte auf die Bremse.");
        assertThat(server.get(version + "/translation").body())
                .contains("“brake pad” is always “Bremsklotz”, which isn&#39;t in the translation.");
        String list = server.get(first + "/languages").body();
        String term = list.replaceAll("(?s).*glossary/([0-9a-f-]{36})/remove.*brake pad.*", "$1");
        assertThat(list).contains("stays as it is");
        server.post(first + "/languages/glossary/" + term + "/remove", Map.of());
        assertThat(server.post(first + "/languages/glossary", Map.of("written", " "))
                        .statusCode())
                .isEqualTo(422);
        assertThat(server.post(first + "/languages/glossary", Map.of("written", "x", "language", "xx"))
                        .statusCode())
                .isEqualTo(422);
    }

    /** Each request that goes out is one of the contract, and each of the contract is one that goes out. */
    @Test
    void theContractNamesWhatIsAsked() throws IOException {
        String contract = Files.readString(Path.of("../docs/translation.yaml"));
        String client = Files.readString(
                Path.of("../speech/src/main/java/org/logophon/speech/outside/TranslationService.java"));
        List<String> paths = contract.lines()
                .filter(line -> line.startsWith("  /"))
                .map(line -> line.strip().replace(":", "").substring(1))
                .toList();
        assertThat(paths).containsExactlyInAnyOrder("v1/translation/terms", "v1/translation");
        assertThat(paths).allSatisfy(path -> assertThat(client).contains("\"" + path + "\""));
        assertThat(Stream.of(
                                "pricePerCharacter",
                                "currency",
                                "mostCharacters",
                                "glossary",
                                "written",
                                "said",
                                "characters")
                        .collect(Collectors.toList()))
                .allSatisfy(field -> assertThat(contract).contains(field + ":"))
                .allSatisfy(field -> assertThat(client).contains("\"" + field + "\""));
    }
}
