package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.app.services.voices.VoiceMeasuring;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** The catalogue, auditions and casting, as the server answers them. */
@Execution(ExecutionMode.CONCURRENT)
class CastTest extends ApplicationTest {

    private static final String SCRIPT =
            "NARRATOR: The lens came by sea.\n\nKEEPER: Wind north-west, force nine. Lit the lamp at "
                    + "4:52.\n\nKEEPER: Fog till noon.";

    @Autowired
    private VoiceMeasuring measuring;

    @Autowired
    private VoiceCatalogue voices;

    @BeforeEach
    void measureSome() {
        for (String id : new String[] {"isla", "aldric", "hamish", "jessamy", "marnie"}) {
            measuring.measure(voices.find(id).orElseThrow());
        }
    }

    private String found(String project, String query) {
        return server.get(project + "/cast?role=Keeper&" + query).body();
    }

    /** As the page says it: it shows the first few of them. */
    private static int rows(String page) {
        Matcher matcher = Pattern.compile(">(\\d+) voices? match").matcher(page);
        assertThat(matcher.find()).isTrue();
        return Integer.parseInt(matcher.group(1));
    }

    private JsonNode audition(String project, String voice, String more) {
        return server.asked(project + "/cast/audition?role=Keeper&voice=" + voice + more);
    }

    /** Others make house voices of their own meanwhile. */
    private void counts(String project, String query, Predicate<Voice> which) {
        Server.await(
                query + " shows what it asks for",
                () -> rows(found(project, query))
                        == voices.all().stream().filter(which).count());
    }

    @Test
    void filtersCombineAndCountAsTheyNarrow() {
        String project = server.project("Filters", SCRIPT);
        counts(project, "", v -> v.languageName().equals("English"));
        counts(project, "language=", v -> true);
        counts(project, "language=English&can=whisper", v -> v.languageName().equals("English") && v.whispers());
        long whispers = voices.all().stream()
                .filter(v -> v.languageName().equals("English") && v.whispers())
                .count();
        String page = found(project, "language=English&can=whisper");
        assertThat(page)
                .contains("woman (" + whispers / 2 + ")")
                .contains("Scotland (2)")
                .contains(">any</option>");
        assertThat(rows(found(project, "language=English&can=whisper&accent=Scotland&sounds=man")))
                .isEqualTo(1);
        assertThat(rows(found(project, "language=&search=HAMISH"))).isEqualTo(1);
        assertThat(rows(found(project, "language=English&search=bright+and+%3Cb%3E")))
                .isZero();
        assertThat(found(project, "language=English&search=%3Cscript%3E"))
                .doesNotContain("<script>")
                .contains("No voices match");
        assertThat(rows(found(project, "language=Klingon&can=sing&age=9"))).isZero();
    }

    @Test
    void theMapPlacesVoicesByWhatTheyMeasure() {
        String page = found(server.project("Map", SCRIPT), "language=English");
        double aldric = place(page, "aldric", "cx");
        double isla = place(page, "isla", "cx");
        assertThat(aldric).as("100 Hz lies to the left of 180 Hz").isLessThan(isla - 100);
        assertThat(page)
                .as("a whisper has no place")
                .doesNotContain("<circle class=\"dot\" data-voice=\"jessamy\"")
                .contains("have no place here");
        assertThat(page).contains("Aldric, English, Great Britain, man");
    }

    private static double place(String page, String voice, String attribute) {
        Matcher dot = Pattern.compile("<circle [^>]*data-voice=\"" + voice + "\"[^>]*>")
                .matcher(page);
        assertThat(dot.find()).as(voice).isTrue();
        Matcher value = Pattern.compile(attribute + "=\"([\\d.]+)\"").matcher(dot.group());
        assertThat(value.find()).isTrue();
        return Double.parseDouble(value.group(1));
    }

    @Test
    void everyCandidateSaysTheRolesOwnLineAtOneLoudness() throws Exception {
        String project = server.project("Audition", SCRIPT);
        JsonNode hamish = audition(project, "hamish", "");
        JsonNode marnie = audition(project, "marnie", "");
        assertThat(hamish.get("starts"))
                .as("a time for each written word, so that another voice goes on at the same one")
                .hasSize(9)
                .hasSameSizeAs(marnie.get("starts"));
        for (JsonNode made : new JsonNode[] {hamish, marnie, audition(project, "jessamy", "")}) {
            Path wav = Files.write(
                    Files.createTempFile("audition", ".wav"),
                    server.bytes(made.get("sound").asString()));
            assertThat(loudness(wav))
                    .as("%s by ffmpeg's ebur128", made.get("voice"))
                    .isCloseTo(-19, within(0.5));
            Files.delete(wav);
        }
        assertThat(audition(project, "jessamy", "").get("pitchHz").isNull()).isTrue();
        JsonNode typed = audition(project, "hamish", "&line=Quite+other+words.");
        assertThat(typed.get("starts")).hasSize(3);
        assertThat(audition(project, "hamish", "&line=Quite+other++words.").get("sound"))
                .as("made once")
                .isEqualTo(typed.get("sound"));
    }

    private static double loudness(Path wav) throws Exception {
        Process process = new ProcessBuilder(
                        "ffmpeg", "-hide_banner", "-nostats", "-i", wav.toString(), "-af", "ebur128", "-f", "null", "-")
                .redirectErrorStream(true)
                .start();
        Matcher matcher = Pattern.compile("I:\\s+(-?[\\d.]+) LUFS")
                .matcher(new String(process.getInputStream().readAllBytes()));
        double last = 0;
        while (matcher.find()) {
            last = Double.parseDouble(matcher.group(1));
        }
        return last;
    }

    @Test
    void theRolesDirectionIsHeardInAnAudition() {
        String project = server.project("Directed", SCRIPT);
        double seconds = audition(project, "hamish", "").get("seconds").asDouble();
        server.post(project + "/cast/direction", Map.of("role", "Keeper", "pace", "80", "version", "0"));
        assertThat(audition(project, "hamish", "").get("seconds").asDouble())
                .isCloseTo(seconds / 0.8, within(0.06 * seconds));
        assertThat(server.post(project + "/cast/direction", Map.of("role", "Keeper", "pace", "300", "version", "1"))
                        .body())
                .contains("Pace goes from 50 to 200 %, and 300 is outside.");
        assertThat(server.post(project + "/cast/direction", Map.of("role", "Keeper", "pace", "90", "version", "0"))
                        .body())
                .contains("changed in another window");
    }

    @Test
    void castingSaysBeforeWhatItChangesAndTakesStay() {
        String project = server.project("Casting", SCRIPT);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "hamish"));
        server.post(project + "/render", Map.of("step", "CAST"));
        Server.await("rendered", () -> server.ready(project) == 3);
        assertThat(server.json(project + "/cast/preview?role=Keeper&voice=aldric")
                        .get("sentence")
                        .asString())
                .isEqualTo("Aldric speaks 2 cues of Keeper. 2 cues become changed; their takes stay.");
        assertThat(server.json(project + "/cast/preview?role=Keeper&voice=hamish")
                        .get("changed")
                        .asInt())
                .isZero();
        server.post(
                project + "/cast/direction", Map.of("role", "Keeper", "pitch", "-2", "range", "150", "version", "1"));
        assertThat(server.json(project + "/cast/preview?role=Keeper&voice=jessamy")
                        .get("lacks"))
                .extracting(JsonNode::asString)
                .containsExactly(
                        "A whisper has no pitch, so the pitch dial has no effect.",
                        "A whisper has no melody, so the range dial has no effect.");
        assertThat(server.json(project + "/cast/preview?role=Keeper&voice=frauke")
                        .get("lacks")
                        .toString())
                .contains("It speaks German");
        server.post(project + "/cast/direction", Map.of("role", "Keeper", "version", "2"));
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "aldric"));
        assertThat(server.ready(project)).isEqualTo(1);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "hamish"));
        assertThat(server.ready(project))
                .as("cast back, the old takes are right again")
                .isEqualTo(3);
    }

    @Test
    void anIpaReadingIsSaidAsWrittenByAVoiceThatKnowsNone() {
        String project = server.project("Ipa", "Skerrow Head.");
        server.post(
                project + "/readings", Map.of("written", "Skerrow", "said", "ˈskɛroʊ", "as", "ipa", "language", ""));
        assertThat(server.json(project + "/cast/preview?role=Narrator&voice=marnie")
                        .get("lacks")
                        .toString())
                .contains("It can't read IPA: such readings in 1 cue are ignored.");
        assertThat(server.asked(project + "/cast/audition?role=Narrator&voice=marnie")
                        .get("starts"))
                .hasSize(2);
    }

    @Test
    void whatTheHouseThinksOfAVoiceHoldsInEveryProject() {
        String project = server.project("Notes", SCRIPT);
        server.post(project + "/voices/aldric/shortlist", Map.of("on", "true"));
        server.post(project + "/voices/aldric/stars", Map.of("stars", "4"));
        server.post(project + "/voices/aldric/note", Map.of("note", "dry & warm", "groups", "old men, logs, old men"));
        String page = server.get(server.project("Another", SCRIPT) + "/cast?role=Keeper&language=English")
                .body();
        assertThat(page)
                .contains("dry &amp; warm")
                .contains("★★★★")
                .contains("old men (1)")
                // others list voices beside this
                .containsPattern("shortlist \\([1-3]\\)");
        assertThat(page.indexOf("data-voice=\"aldric\" data-name"))
                .as("the shortlist comes first")
                .isLessThan(page.indexOf("data-voice=\"edwin\" data-name"));
        assertThat(rows(found(project, "language=&list=old+men"))).isEqualTo(1);
        assertThat(server.post(project + "/voices/aldric/stars", Map.of("stars", "9"))
                        .body())
                .contains("A voice has 0 to 5 stars.");
        assertThat(server.post(project + "/voices/nobody/stars", Map.of("stars", "1"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(server.post(project + "/voices/aldric/note", Map.of("note", "x".repeat(2_001)))
                        .body())
                .contains("at most 2,000 characters");
        server.post(project + "/voices/aldric/shortlist", Map.of("on", "false"));
        server.post(project + "/voices/aldric/note", Map.of("note", "", "groups", ""));
        server.post(project + "/voices/aldric/stars", Map.of("stars", "0"));
    }

    @Test
    void whatCannotBeHeardOrCastIsASentence() {
        String project = server.project("Odd", SCRIPT);
        assertThat(server.ask(project + "/cast/audition?role=Nobody&voice=isla").body())
                .contains("This project has no role Nobody.");
        assertThat(server.ask(project + "/cast/audition?role=Keeper&voice=nobody")
                        .statusCode())
                .isEqualTo(404);
        assertThat(server.ask(project + "/cast/audition?role=Keeper&voice=isla&line=" + "long".repeat(101))
                        .body())
                .contains("at most 400 characters");
        assertThat(server.ask(project + "/cast/audition?role=Keeper&voice=isla&line=***")
                        .body())
                .contains("Type words for the voices to say.");
        assertThat(server.post(project + "/cast", Map.of("role", "Keeper", "voice", "nobody"))
                        .body())
                .contains("There is no voice nobody.");
        assertThat(server.get(server.project("Silent", "") + "/cast").body()).contains("Nobody speaks yet");
    }

    private String house(String project, String name, Map<String, String> tuning) {
        Map<String, String> form = new HashMap<>(tuning);
        form.putAll(Map.of("name", name, "description", "dry and slow", "base", "hamish"));
        return Server.parse(server.post(project + "/voices/house", form))
                .get("voice")
                .asString();
    }

    @Test
    void aHouseVoiceIsCastLikeAnyOtherAndChangesItsCuesWhenItIsTuned() {
        String project = server.project("House", SCRIPT);
        String ewan =
                house(project, "Ewan of the lamp", Map.of("tunePace", "80", "tunePitch", "−2", "tuneTimbre", "-1,5"));
        JsonNode plain = audition(project, "hamish", "");
        JsonNode tuned = audition(project, ewan, "");
        assertThat(tuned.get("seconds").asDouble())
                .isCloseTo(
                        plain.get("seconds").asDouble() / 0.8,
                        within(0.06 * plain.get("seconds").asDouble()));
        assertThat(12
                        * Math.log(tuned.get("pitchHz").asDouble()
                                / plain.get("pitchHz").asDouble())
                        / Math.log(2))
                .isCloseTo(-2, within(0.5));
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", ewan));
        server.post(project + "/render", Map.of("step", "CAST"));
        Server.await("rendered", () -> server.ready(project) == 3);
        assertThat(server.get(project + "/direct?cue="
                                + server.cues(project).get(1).get("id").asString())
                        .body())
                .contains("Keeper · Ewan of the lamp")
                .contains("80 %");
        assertThat(found(project, "language=English&search=dry+and+slow"))
                .contains("house voice, of Hamish")
                .contains("1 voice matches");
        assertThat(server.post(project + "/voices/" + ewan + "/remove", Map.of())
                        .body())
                .contains("speaks Keeper of House. Cast another voice there first.");
        server.post(project + "/voices/" + ewan + "/house", Map.of("name", "Ewan of the lamp", "tunePace", "85"));
        assertThat(server.ready(project)).isEqualTo(1);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "hamish"));
        assertThat(server.post(project + "/voices/" + ewan + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(200);
        assertThat(server.ask(project + "/cast/audition?role=Keeper&voice=" + ewan)
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatStraysFarIsFlaggedAndWhatCannotBeIsRefused() {
        String project = server.project("Strays", SCRIPT);
        assertThat(server.json(project + "/voices/flags?tunePitch=-5&tunePace=60")
                        .toString())
                .contains("More than 4 semitones")
                .contains("More than 30 %");
        assertThat(server.json(project + "/voices/flags?tunePitch=3&tunePace=80"))
                .isEmpty();
        assertThat(server.post(project + "/voices/house", Map.of("name", "X", "base", "hamish", "tuneTimbre", "4"))
                        .body())
                .contains("Timbre goes from -3 to 3 semitones, and 4 is outside.");
        assertThat(server.post(project + "/voices/house", Map.of("name", "X", "base", "hamish", "tunePitch", "much"))
                        .body())
                .contains("Pitch is a number");
        assertThat(server.post(project + "/voices/house", Map.of("name", "  ", "base", "hamish"))
                        .body())
                .contains("A house voice has a name");
        assertThat(server.post(project + "/voices/house", Map.of("name", "ISLA", "base", "hamish"))
                        .body())
                .contains("Another voice is called ISLA.");
        assertThat(server.post(project + "/voices/house", Map.of("name", "X", "base", "nobody"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(server.post(project + "/voices/isla/remove", Map.of()).body())
                .contains("There is no house voice isla.");
    }

    @Test
    void aDescriptionFindsTheClosestVoicesWithReasons() {
        String project = server.project("Described", SCRIPT);
        JsonNode found =
                server.json(project + "/cast/described?words=an+old,+slow,+deep+man,+Scottish,+warm+and+squelchy");
        assertThat(found.get("sentence").asString()).isEqualTo("Not understood: squelchy.");
        assertThat(found.get("candidates").get(0).get("name").asString())
                .as("the one Scot that is measured here")
                .isEqualTo("Hamish");
        assertThat(found.get("candidates").get(0).get("reasons").toString())
                .contains("Hz measured")
                .contains("slower");
        assertThat(found.get("candidates").get(0).get("tuning").get("pace").asInt())
                .isLessThan(95);
        assertThat(server.json(project + "/cast/described?words=hello+there")
                        .get("sentence")
                        .asString())
                .startsWith("Describe the speaker");
        assertThat(server.get(project + "/cast/described?words=" + "old".repeat(101))
                        .body())
                .contains("at most 300 characters");
    }

    @Test
    void rangeAndEffectHoldAtEveryLevelAndGoWithACopy() {
        String project = server.project("Levels", SCRIPT);
        String cue = server.cues(project).get(1).get("id").asString();
        server.post(
                project + "/cast/direction",
                Map.of("role", "Keeper", "range", "50", "effect", "hall", "mix", "30", "version", "0"));
        server.post(
                project + "/cues/" + cue + "/direction",
                Map.of("effect", "telephone", "version", server.version(project, cue, "cue")));
        assertThat(server.get(project + "/direct?cue=" + cue).body())
                .contains("range 50 %")
                .contains("through a telephone at 30 %");
        assertThat(server.get(project + "/direct?cue="
                                + server.cues(project).get(2).get("id").asString())
                        .body())
                .contains("through a hall at 30 %");
        server.post(project + "/duplicate", Map.of());
        Matcher copy = Pattern.compile("/projects/[0-9a-f-]{36}(?=/write\">Levels \\(copy)")
                .matcher(server.get("/").body());
        assertThat(copy.find()).isTrue();
        JsonNode cues = server.cues(copy.group());
        assertThat(server.get(copy.group() + "/direct?cue="
                                + cues.get(1).get("id").asString())
                        .body())
                .contains("range 50 %")
                .contains("through a telephone at 30 %");
        // a cue that is split keeps its effect on both sides
        server.post(
                project + "/script/cut",
                Map.of(
                        "place",
                        Integer.toString(SCRIPT.indexOf("force")),
                        "version",
                        server.json(project + "/script").get("version").asString()));
        assertThat(server.get(project + "/direct?cue="
                                + server.cues(project).get(2).get("id").asString())
                        .body())
                .contains("through a telephone at 30 %");
    }

    @Test
    void anEffectIsHeardInTheTake() throws Exception {
        String project = server.project("Heard", "KEEPER: Wind north-west, force nine.");
        JsonNode plain = server.asked(project + "/cast/audition?role=Keeper&voice=hamish");
        server.post(
                project + "/cast/direction",
                Map.of("role", "Keeper", "effect", "telephone", "mix", "100", "version", "0"));
        JsonNode phone = server.asked(project + "/cast/audition?role=Keeper&voice=hamish");
        assertThat(phone.get("sound")).isNotEqualTo(plain.get("sound"));
        // sox is the outside reference: the level under 150 Hz against the whole
        assertThat(bass(server.bytes(plain.get("sound").asString()))).isGreaterThan(-35);
        assertThat(bass(server.bytes(phone.get("sound").asString())))
                .isLessThan(bass(server.bytes(plain.get("sound").asString())) - 15);
    }

    private static double bass(byte[] sound) throws Exception {
        Path wav = Files.write(Files.createTempFile("effect", ".wav"), sound);
        double[] levels = new double[2];
        for (int i = 0; i < 2; i++) {
            List<String> command = new ArrayList<>(List.of("sox", wav.toString(), "-n"));
            command.addAll(i == 0 ? List.of() : List.of("sinc", "-150"));
            command.add("stats");
            Process process =
                    new ProcessBuilder(command).redirectErrorStream(true).start();
            Matcher level = Pattern.compile("RMS lev dB\\s+(-?[\\d.]+)")
                    .matcher(new String(process.getInputStream().readAllBytes()));
            assertThat(level.find()).isTrue();
            levels[i] = Double.parseDouble(level.group(1));
        }
        Files.delete(wav);
        return levels[1] - levels[0];
    }
}
