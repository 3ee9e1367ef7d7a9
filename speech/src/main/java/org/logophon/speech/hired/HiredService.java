package org.logophon.speech.hired;

import java.math.BigDecimal;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.outside.OutsideService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The client of the service of hired voices. */
public final class HiredService {

    public static final String ENGINE = "hired";
    static final String PREFIX = "hired-";
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration ALLOWANCE_PATIENCE = Duration.ofSeconds(3);
    private static final int ALLOWANCE_TRIES = 2;

    private final OutsideService service;

    /** @throws IllegalArgumentException with a sentence when the address is none */
    public HiredService(String address, String key) {
        this.service = new OutsideService(
                address,
                key,
                new OutsideService.Words(
                        "The service of the hired voices",
                        "LOGOPHON_HIRED_KEY",
                        "The hired voices can't be paid.%s Cast a voice that costs nothing, or wait for "
                                + "the next month.",
                        "this text"));
    }

    /** The characters that may still be spent. */
    public record Allowance(long characters, long used, String until) {

        public long left() {
            return Math.max(0, characters - used);
        }
    }

    /** @throws SpeechFailed with a sentence when the service can't be asked */
    public List<Voice> voices() {
        return voices(list());
    }

    /**
     * What it offers, as it says it: to be kept, and read by {@link #voices(String)}.
     *
     * @throws SpeechFailed with a sentence when the service can't be asked
     */
    public String list() {
        return service.ask(service.request("v1/voices").GET().build()).toString();
    }

    /** @param list as {@link #list()} gave it */
    public static List<Voice> voices(String list) {
        List<Voice> voices = new ArrayList<>();
        for (JsonNode offered : JSON.readTree(list).path("voices")) {
            voices.add(voice(offered));
        }
        return voices;
    }

    /** Asked while somebody waits: it is told within seconds that the service doesn't answer. */
    public Allowance allowance() {
        JsonNode answer = service.ask(
                service.request("v1/allowance")
                        .timeout(ALLOWANCE_PATIENCE)
                        .GET()
                        .build(),
                ALLOWANCE_TRIES);
        return new Allowance(
                answer.path("characters").asLong(0),
                answer.path("used").asLong(0),
                answer.path("until").asString(""));
    }

    /** @throws org.logophon.speech.outside.ServiceRefused when it says no, and nothing is charged */
    JsonNode speech(String once, String voice, SentText sent, String style) {
        String body = JSON.writeValueAsString(JSON.createObjectNode()
                .put("voice", voice)
                .put(sent.ssml() ? "ssml" : "text", sent.body())
                .put("style", style));
        return service.ask(service.request("v1/speech")
                .header("Idempotency-Key", once)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8))
                .build());
    }

    private static Voice voice(JsonNode offered) {
        String id = offered.path("id").asString();
        Set<Ability> byItself = EnumSet.noneOf(Ability.class);
        offered.path("canDo").forEach(ability -> byItself.add(Ability.named(ability.asString())));
        // a service is asked for its plain voice, and pace and pitch are made here: changing them costs nothing
        Set<Ability> canDo = EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE);
        canDo.addAll(byItself);
        byItself.removeAll(EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE));
        return new Voice(
                PREFIX + id,
                offered.path("name").asString(id),
                offered.path("language").asString("en"),
                offered.path("languageName").asString(""),
                offered.path("accent").asString(""),
                "female".equals(offered.path("gender").asString("")) ? Gender.FEMALE : Gender.MALE,
                age(offered.path("age").asString("grown")),
                texts(offered.path("character")),
                ENGINE,
                id + "@" + offered.path("version").asString("1"),
                canDo,
                byItself,
                texts(offered.path("styles")),
                new Terms(
                        offered.path("mostCharacters").asInt(0),
                        new BigDecimal(offered.path("pricePerCharacter").asString("0")),
                        offered.path("currency").asString("")));
    }

    private static Age age(String word) {
        for (Age age : Age.values()) {
            if (age.name().equals(word.toUpperCase(Locale.ROOT))) {
                return age;
            }
        }
        return Age.GROWN;
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(text -> texts.add(text.asString()));
        return texts;
    }
}
