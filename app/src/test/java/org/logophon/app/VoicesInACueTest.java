package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.core.signal.pitch.PitchTrack;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Quotations, other roles and languages inside a cue; readings and pitches in Hz as marks; SSML opened with its marks.
 */
@Execution(ExecutionMode.CONCURRENT)
class VoicesInACueTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    private static final String LINE = "In the log he wrote, “the lamp will not be lit again tonight,” and closed it.";
    private static final String QUOTE = "the lamp will not be lit again tonight";

    private String project(String name) {
        String project = server.project(name, "NARRATOR: " + LINE + "\n\nKEEPER: Fog till noon.");
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "isla"));
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "aldric"));
        return project;
    }

    private String cue(String project, int at) {
        return project + "/cues/" + server.cues(project).get(at).get("id").asString();
    }

    private HttpResponse<String> mark(String cue, String text, String words, String kind, String value) {
        int start = text.indexOf(words);
        return server.post(
                cue + "/marks",
                Map.of("start", "" + start, "end", "" + (start + words.length()), "kind", kind, "value", value));
    }

    private JsonNode quotation(String cue, String way, String role) {
        int start = LINE.indexOf(QUOTE);
        return Server.parse(server.post(
                cue + "/quotation",
                Map.of("start", "" + start, "end", "" + (start + QUOTE.length()), "voicing", way, "role", role)));
    }

    private void render(String project) {
        server.post(project + "/render", Map.of());
        Server.await(
                "rendered", () -> server.ready(project) == server.cues(project).size());
    }

    /** Median pitch in Hz of some words of the kept take, as its score shows it. */
    private double pitch(String project, String cue, int from, int to) {
        String page =
                server.get(project + "/direct?cue=" + cue.replaceAll(".*/", "")).body();
        JsonNode score = server.json(page.replaceAll("(?s).*data-score=\"([^\"]+)\".*", "$1"));
        double start = score.get("words").get(from).get("from").asDouble();
        double end = score.get("words").get(to).get("to").asDouble();
        double[] voiced = IntStream.range((int) (start * 100), (int) (end * 100))
                .mapToDouble(i -> score.get("pitch").get(i).asDouble())
                .filter(hertz -> hertz > 0)
                .sorted()
                .toArray();
        return voiced[voiced.length / 2];
    }

    private List<String> marks(String cue) {
        JsonNode answer = server.json(cue + "/marks");
        String text = answer.get("text").asString();
        return Stream.iterate(0, i -> i < answer.get("marks").size(), i -> i + 1)
                .map(i -> answer.get("marks").get(i))
                .map(mark -> mark.get("kind").asString() + " "
                        + mark.get("value").asString() + ": "
                        + text.substring(
                                mark.get("start").asInt(), mark.get("end").asInt()))
                .toList();
    }

    /** An accent on purpose: the same voice, with what French words sound like brought to its own sounds. */
    @Test
    void aVoiceSaysAnotherLanguageInItsOwnSounds() {
        String text = "She said bonjour and left.";
        String project = server.project("Accent", "NARRATOR: " + text);
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "isla"));
        String cue = cue(project, 0);
        assertThat(mark(cue, text, "bonjour", "language", "fr own").statusCode())
                .isEqualTo(200);
        assertThat(server.get(cue + "/marks").body()).contains("in French, in the voice’s own sounds");
        render(project);
        assertThat(server.get(cue + "/ssml").body())
                .contains("<lang xml:lang=\"fr\" score:sounds=\"own\">bonjour</lang>");
        // the recipe says what it said
        assertThat(jdbc.queryForObject(
                        "select origin::text from take t join cue c on c.id = t.cue_id where c.id = ?::uuid",
                        String.class,
                        cue.replaceAll(".*/", "")))
                .contains("fr own");
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "marnie"));
        assertThat(server.get(project + "/direct?cue=" + cue.replaceAll(".*/", ""))
                        .body())
                .contains("Marnie can&#39;t say French in its own sounds: its engine takes no IPA.");
    }

    @Test
    void aQuotationIsGivenToARoleInOneStep() {
        String project = project("Quoted");
        render(project);
        String cue = cue(project, 0);
        assertThat(server.json(cue + "/marks").get("quotations"))
                .singleElement()
                .satisfies(found -> assertThat(found.get("voicing").asString()).isEqualTo("PLAIN"));
        assertThat(server.json(cue + "/marks").get("roles"))
                .singleElement()
                .satisfies(role -> assertThat(role.asString()).isEqualTo("Keeper"));
        double narrator = pitch(project, cue, 0, 4);
        assertThat(quotation(cue, "ROLE", "Keeper")
                        .get("quotations")
                        .get(0)
                        .get("role")
                        .asString())
                .isEqualTo("Keeper");
        assertThat(marks(cue)).containsExactly("pause 200: wrote", "role Keeper: " + QUOTE);
        render(project);
        assertThat(PitchTrack.semitones(narrator, pitch(project, cue, 0, 4)))
                .as("the narrator goes on as before")
                .isCloseTo(0, within(0.7));
        assertThat(PitchTrack.semitones(narrator, pitch(project, cue, 5, 12)))
                .as("Aldric is about an octave lower")
                .isLessThan(-7);
        // his direction is heard in the quotation as well: it is his role's
        server.post(
                cue(project, 1) + "/role/direction",
                Map.of(
                        "role",
                        "Keeper",
                        "pitch",
                        "-2",
                        "version",
                        server.version(
                                project, server.cues(project).get(1).get("id").asString(), "role")));
        assertThat(server.cues(project))
                .extracting(c -> c.get("state").asString())
                .containsExactly("changed", "changed");
        assertThat(quotation(cue, "TURNED", "")
                        .get("quotations")
                        .get(0)
                        .get("voicing")
                        .asString())
                .isEqualTo("TURNED");
        quotation(cue, "PLAIN", "");
        assertThat(marks(cue)).isEmpty();
        assertThat(server.post(cue + "/quotation", Map.of("start", "0", "end", "4", "voicing", "TURNED"))
                        .body())
                .contains("in the cue any more. Reload the page.");
        assertThat(server.post(
                                cue + "/quotation",
                                Map.of("start", "0", "end", "4", "voicing", "ROLE", "role", "Stranger"))
                        .body())
                .contains("This project has no role Stranger.");
    }

    @Test
    void recastingShowsTheCuesInWhichARoleSaysAFewWords() {
        String project = project("Recast");
        quotation(cue(project, 0), "ROLE", "Keeper");
        render(project);
        assertThat(server.json(project + "/cast/preview?role=Keeper&voice=hamish")
                        .get("changed")
                        .asInt())
                .as("his own cue, and the one that quotes him")
                .isEqualTo(2);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", ""));
        JsonNode cue = server.cues(project).get(0);
        assertThat(cue.get("state").asString()).isEqualTo("problem");
        assertThat(server.get(project + "/direct?cue=" + cue.get("id").asString())
                        .body())
                .contains("Keeper, who says words of this cue, has no voice yet.");
    }

    @Test
    void wordsOfAnotherLanguageAreSaidByAVoiceThatKnowsIt() {
        String project = server.project("Welsh", "She said nos da i bawb and left.");
        String cue = cue(project, 0);
        render(project);
        mark(cue, "She said nos da i bawb and left.", "nos da i bawb", "language", "cy");
        assertThat(server.json(cue + "/marks").get("marks").get(0).get("label").asString())
                .isEqualTo("in Welsh");
        render(project);
        assertThat(server.ready(project)).isEqualTo(1);
        assertThat(mark(cue, "She said nos da i bawb and left.", "nos", "language", "no such")
                        .body())
                .contains("A language is named by its tag");
        mark(cue, "She said nos da i bawb and left.", "left", "language", "tlh");
        assertThat(server.get(project + "/direct").body()).contains("No voice speaks the language “tlh”");
    }

    @Test
    void readingsAreMarksThatAreUndoneAndMoveWithTheirWords() {
        String text = "It weighs 2.3 t, or £40 a day.";
        String project = server.project("Readings on the score", text);
        String cue = cue(project, 0);
        mark(cue, text, "2.3 t", "reading", "words two point three tonnes");
        assertThat(marks(cue)).containsExactly("reading words two point three tonnes: 2.3 t");
        assertThat(server.get(project + "/readings").body())
                .as("the list of readings shows it too")
                .contains("two point three tonnes");
        assertThat(mark(cue, text, "t,", "reading", "letters").statusCode()).isEqualTo(200);
        assertThat(marks(cue)).as("a word has one reading").containsExactly("reading letters: t,");
        server.post(project + "/marks/undo", Map.of());
        assertThat(marks(cue)).containsExactly("reading words two point three tonnes: 2.3 t");
        server.save(project, "Dry, it weighs 2.3 t, or £40 a day.", 1);
        assertThat(marks(cue)).containsExactly("reading words two point three tonnes: 2.3 t");
        assertThat(server.save(project, "Dry, it weighs 2.4 t, or £40 a day.", 2)
                        .body())
                .contains("2.3 t");
        assertThat(marks(cue)).isEmpty();
        assertThat(mark(cue, "Dry, it weighs 2.4 t, or £40 a day.", "Dry", "reading", "ipa")
                        .body())
                .contains("The pronunciation is missing");
    }

    @Test
    void aPitchMayBeAskedForInHertz() {
        String project = project("In Hertz");
        String cue = cue(project, 0);
        assertThat(mark(cue, LINE, QUOTE, "pitch", "180 Hz").body())
                .contains("Render the cue first, then ask for 180 Hz");
        render(project);
        mark(cue, LINE, QUOTE, "pitch", "230 Hz");
        render(project);
        assertThat(pitch(project, cue, 5, 12)).isCloseTo(230, within(230 * 0.04));
        mark(cue, LINE, QUOTE, "pitch", "170hz");
        render(project);
        assertThat(pitch(project, cue, 5, 12)).isCloseTo(170, within(170 * 0.04));
        assertThat(mark(cue, LINE, QUOTE, "pitch", "high Hz").body()).contains("“high” is none");
        assertThat(mark(cue, LINE, QUOTE, "pitch", "9 Hz").body()).contains("between 40 and 1,000 Hz");
    }

    @Test
    void ssmlIsOpenedWithItsMarksAndVoices() {
        String project = server.project("Opened", "Old words.");
        String ssml = """
                <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">
                <p>The <emphasis level="strong">lamp</emphasis> weighs <sub alias="two point three tonnes">2.3 t</sub>.</p>
                <voice name="aldric"><p>Fog<break time="400ms"/> till noon.</p></voice></speak>""";
        String boundary = "----logophon-test";
        String body = Stream.of(new String[] {"how", "replace"}, new String[] {"version", "1"})
                        .map(field -> "--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + field[0]
                                + "\"\r\n\r\n" + field[1] + "\r\n")
                        .reduce("", String::concat)
                + "--" + boundary
                + "\r\nContent-Disposition: form-data; name=\"files\"; "
                + "filename=\"night.ssml\"\r\nContent-Type: application/ssml+xml\r\n\r\n"
                + ssml + "\r\n--" + boundary + "--\r\n";
        HttpResponse<String> opened = server.send(server.request(project + "/open")
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofString(body)));
        assertThat(opened.statusCode()).as(opened.body()).isEqualTo(200);
        assertThat(marks(cue(project, 0)))
                .containsExactly("stress strong: lamp", "reading words two point three tonnes: 2.3 t");
        assertThat(marks(cue(project, 1))).containsExactly("pause 400: Fog");
        assertThat(server.get(project + "/direct?cue="
                                + server.cues(project).get(1).get("id").asString())
                        .body())
                .contains("Aldric · Aldric");
    }
}
