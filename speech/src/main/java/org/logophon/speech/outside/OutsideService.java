package org.logophon.speech.outside;

import dev.failsafe.Failsafe;
import dev.failsafe.FailsafeException;
import dev.failsafe.RetryPolicy;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.logophon.core.voice.render.SpeechFailed;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The client of a service that charges. A request that fails on the way is sent again with the same key, which is
 * charged once.
 */
public final class OutsideService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST_TRIES = 8;
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    /** The whole of an answer, from its first byte on. */
    private static final Duration ANSWERED_WITHIN = Duration.ofSeconds(120);

    private static final ScheduledExecutorService LATE = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "late answers");
        thread.setDaemon(true);
        return thread;
    });
    private static final long MOST_WAIT_MILLIS = 10_000;
    private static final long FIRST_WAIT_MILLIS = 250;
    private static final int TOO_MANY = 429;
    /** Some ten minutes of sound, written in base 64. */
    private static final int MOST_ANSWER_BYTES = 64 << 20;

    private final URI address;
    private final String key;
    private final Words words;
    private final Duration answeredWithin;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();

    /**
     * What people are told of a service.
     *
     * @param service   as "The service of the hired voices"
     * @param keySetting name of the setting that holds the key
     * @param unpaid    what can be done where it can't be paid, with what it says before it
     * @param thing     that it refuses, as "this text"
     */
    public record Words(String service, String keySetting, String unpaid, String thing) {}

    /** @throws IllegalArgumentException with a sentence when the address is none */
    public OutsideService(String address, String key, Words words) {
        this(address, key, words, ANSWERED_WITHIN);
    }

    /** @param answeredWithin the whole of an answer, from its first byte on */
    OutsideService(String address, String key, Words words, Duration answeredWithin) {
        this.answeredWithin = answeredWithin;
        this.address = URI.create(address.endsWith("/") ? address : address + "/");
        if (!"http".equals(this.address.getScheme()) && !"https".equals(this.address.getScheme())) {
            throw new IllegalArgumentException("The address of a service starts with http:// or https://.");
        }
        this.key = key;
        this.words = words;
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(address.resolve(path)).timeout(PATIENCE).header("Authorization", "Bearer " + key);
    }

    /**
     * @throws SpeechFailed with a sentence when it can't be asked
     * @throws ServiceRefused when it says no, and nothing is charged
     */
    public JsonNode ask(HttpRequest request) {
        return ask(request, MOST_TRIES);
    }

    /** @param tries at most */
    public JsonNode ask(HttpRequest request, int tries) {
        RetryPolicy<JsonNode> again = RetryPolicy.<JsonNode>builder()
                .handle(NoAnswer.class)
                .withMaxAttempts(tries)
                .withDelayFn(failed -> ((NoAnswer) failed.getLastException()).wait(failed.getAttemptCount()))
                .build();
        try {
            return Failsafe.with(again).get(() -> once(request));
        } catch (NoAnswer last) {
            throw new SpeechFailed(words.service() + " can't be used now: " + last.getMessage() + ", " + tries
                    + " times. Try again later; nothing is charged twice.");
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
            throw new NoAnswer(
                    status == TOO_MANY ? "it has too many requests" : "it answers with status " + status,
                    wished(response.headers().firstValue("Retry-After").orElse("")));
        } catch (IOException gone) {
            throw new NoAnswer("it did not answer", null);
        } catch (JacksonException broken) {
            throw new NoAnswer("its answer was cut off", null);
        }
    }

    /** Milliseconds; null for a date, and for what is neither (RFC 9110, 10.2.3). */
    private static Long wished(String seconds) {
        return seconds.matches("\\d{1,6}") ? Long.parseLong(seconds) * 1_000 : null;
    }

    /** A service that never stops answering is stopped, however slowly it does. */
    private String text(InputStream body) throws IOException {
        ScheduledFuture<?> late = LATE.schedule(() -> closed(body), answeredWithin.toMillis(), TimeUnit.MILLISECONDS);
        try (body) {
            byte[] bytes = body.readNBytes(MOST_ANSWER_BYTES + 1);
            if (bytes.length > MOST_ANSWER_BYTES) {
                throw new SpeechFailed(words.service() + " answers with more than a cue can hold.");
            }
            return new String(bytes, StandardCharsets.UTF_8);
        } finally {
            late.cancel(false);
        }
    }

    private static void closed(InputStream body) {
        try {
            body.close();
        } catch (IOException gone) {
            // whoever reads it is told
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
            case 401, 403 -> words.service() + " refuses the key. Check " + words.keySetting() + ".";
            case 402 -> words.unpaid().formatted(sentence);
            default -> words.service() + " refuses " + words.thing() + " (status " + status + ")." + sentence;
        };
    }
}
