package org.logophon.speech.hired;

import dev.failsafe.Failsafe;
import dev.failsafe.FailsafeException;
import dev.failsafe.RetryPolicy;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.Set;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks the service. A request that fails on the way is sent again with the same key, which is charged once. */
public final class HiredService {

    public static final String ENGINE = "hired";
    static final String PREFIX = "hired-";
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST_TRIES = 8;
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Duration ALLOWANCE_PATIENCE = Duration.ofSeconds(3);
    private static final int ALLOWANCE_TRIES = 2;
    private static final long MOST_WAIT_MILLIS = 10_000;
    private static final long FIRST_WAIT_MILLIS = 250;
    private static final int TOO_MANY = 429;
    /** Some ten minutes of sound, written in base 64. */
    private static final int MOST_ANSWER_BYTES = 64 << 20;

    private final URI address;
    private final String key;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();

    /** @throws IllegalArgumentException with a sentence when the address is none */
    public HiredService(String address, String key) {
        this.address = URI.create(address.endsWith("/") ? address : address + "/");
        if (!"http".equals(this.address.getScheme()) && !"https".equals(this.address.getScheme())) {
            throw new IllegalArgumentException("The address of hired voices starts with http:// or https://.");
        }
        this.key = key;
    }

    /** What may still be spent. */
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
        return ask(request("v1/voices").GET().build()).toString();
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
        JsonNode answer =
                ask(request("v1/allowance").timeout(ALLOWANCE_PATIENCE).GET().build(), ALLOWANCE_TRIES);
        return new Allowance(
                answer.path("characters").asLong(0),
                answer.path("used").asLong(0),
                answer.path("until").asString(""));
    }

    /** @throws ServiceRefused when it says no, and nothing is charged */
    JsonNode speech(String once, String voice, SentText sent, String style) {
        String body = JSON.writeValueAsString(JSON.createObjectNode()
                .put("voice", voice)
                .put(sent.ssml() ? "ssml" : "text", sent.body())
                .put("style", style));
        return ask(request("v1/speech")
                .header("Idempotency-Key", once)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8))
                .build());
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(address.resolve(path)).timeout(PATIENCE).header("Authorization", "Bearer " + key);
    }

    private JsonNode ask(HttpRequest request) {
        return ask(request, MOST_TRIES);
    }

    private JsonNode ask(HttpRequest request, int tries) {
        RetryPolicy<JsonNode> again = RetryPolicy.<JsonNode>builder()
                .handle(NoAnswer.class)
                .withMaxAttempts(tries)
                .withDelayFn(failed -> ((NoAnswer) failed.getLastException()).wait(failed.getAttemptCount()))
                .build();
        try {
            return Failsafe.with(again).get(() -> once(request));
        } catch (NoAnswer last) {
            throw new SpeechFailed("The service of the hired voices can't be used now: " + last.getMessage() + ", "
                    + tries + " times. Try again later; nothing is charged twice.");
        } catch (FailsafeException stopped) {
            if (stopped.getCause() instanceof InterruptedException) {
                Thread.currentThread().interrupt();
            }
            throw new SpeechFailed("The render was interrupted.", stopped);
        }
    }

    /** That the service gave no answer that can be used, which may pass. */
    private static final class NoAnswer extends RuntimeException {

        private final Long wishedMillis;

        /** @param wishedMillis before it is asked again; null when it says nothing of it */
        NoAnswer(String how, Long wishedMillis) {
            super(how);
            this.wishedMillis = wishedMillis;
        }

        Duration wait(int tried) {
            long millis = wishedMillis == null ? FIRST_WAIT_MILLIS << tried - 1 : wishedMillis;
            return Duration.ofMillis(Math.min(MOST_WAIT_MILLIS, millis));
        }
    }

    private JsonNode once(HttpRequest request) throws InterruptedException {
        try {
            HttpResponse<InputStream> response = http.send(request, HttpResponse.BodyHandlers.ofInputStream());
            int status = response.statusCode();
            String body = text(response.body());
            if (status == 200) {
                return JSON.readTree(body);
            }
            if (status != TOO_MANY && status < 500) {
                throw new ServiceRefused(refused(status, body));
            }
            OptionalLong after = response.headers().firstValueAsLong("Retry-After");
            throw new NoAnswer(
                    status == TOO_MANY ? "it has too many requests" : "it answers with status " + status,
                    after.isPresent() ? after.getAsLong() * 1_000 : null);
        } catch (IOException gone) {
            throw new NoAnswer("it did not answer", null);
        } catch (JacksonException broken) {
            throw new NoAnswer("its answer was cut off", null);
        }
    }

    /** A service that never stops answering is stopped. */
    private static String text(InputStream body) throws IOException {
        try (body) {
            byte[] bytes = body.readNBytes(MOST_ANSWER_BYTES + 1);
            if (bytes.length > MOST_ANSWER_BYTES) {
                throw new SpeechFailed("The service of the hired voices answers with more than a cue can hold.");
            }
            return new String(bytes, StandardCharsets.UTF_8);
        }
    }

    private String sentence(String body) {
        try {
            return " " + JSON.readTree(body).path("sentence").asString("");
        } catch (JacksonException notOurs) {
            // a refusal of some machine on the way: its status is all that it says
            return "";
        }
    }

    private String refused(int status, String body) {
        String sentence = sentence(body);
        return switch (status) {
            case 401, 403 -> "The service of the hired voices refuses the key. Check LOGOPHON_HIRED_KEY.";
            case 402 ->
                "The hired voices can't be paid." + sentence
                        + " Cast a voice that costs nothing, or wait for the next month.";
            default -> "The service of the hired voices refuses this text (status " + status + ")." + sentence;
        };
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
