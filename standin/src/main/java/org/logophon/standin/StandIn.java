package org.logophon.standin;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.WordTime;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.standin.OfferedVoices.Offered;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The server. On loopback only. */
public final class StandIn implements AutoCloseable {

    private static final int MOST_BODY_BYTES = 1 << 16;
    private static final int THREADS = 4;

    private final HttpServer server;
    private final WorkerPool pool = new WorkerPool(1);
    private final Narrator narrator;
    private final OfferedVoices voices = new OfferedVoices(NativeVoices.catalogue());
    private final JsonMapper json = JsonMapper.builder().build();
    private final ExecutorService threads = Executors.newFixedThreadPool(THREADS);
    private final AtomicInteger answers = new AtomicInteger();
    private final Random random = new Random(1);
    private final KnownSentences sentences;
    private final Accounts accounts;
    private final String key;
    private final AtomicInteger lies = new AtomicInteger();
    private volatile Temper temper;

    /**
     * @param port   0 for any free one
     * @param key    that requests must bring
     * @param folder for what was spoken and charged
     */
    public StandIn(int port, String key, Temper temper, Path folder, Clock clock) throws IOException {
        this(port, key, temper, folder, clock, null);
    }

    /** @param engine speaks its voices; null for the engines that come with the machine */
    public StandIn(int port, String key, Temper temper, Path folder, Clock clock, SpeechEngine engine)
            throws IOException {
        this.narrator = new Narrator(engine == null ? new Engines(pool) : engine, new WorkerResampler(pool));
        this.key = key;
        this.temper = temper;
        this.accounts = new Accounts(folder, clock);
        this.sentences = new KnownSentences();
        this.server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.setExecutor(threads);
        server.createContext("/v1/voices", exchange -> answer(exchange, "GET", this::listed));
        server.createContext("/v1/allowance", exchange -> answer(exchange, "GET", this::allowance));
        server.createContext("/v1/translation/terms", exchange -> answer(exchange, "GET", this::terms));
        server.createContext("/v1/translation", exchange -> answer(exchange, "POST", this::translation));
        server.createContext("/v1/speech", exchange -> answer(exchange, "POST", this::speech));
        server.start();
    }

    /** The key comes by the environment, where no list of processes shows it. @param args port and folder */
    public static void main(String[] args) throws IOException {
        StandIn standIn = new StandIn(
                Integer.parseInt(args[0]),
                System.getenv("STANDIN_KEY"),
                Temper.USUAL,
                Path.of(args[1]),
                Clock.systemUTC());
        Runtime.getRuntime().addShutdownHook(new Thread(standIn::close));
    }

    /** From now on. */
    public void become(Temper other) {
        temper = other;
    }

    public String address() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    private interface Work {
        void answer(HttpExchange exchange) throws IOException;
    }

    private void answer(HttpExchange exchange, String method, Work work) throws IOException {
        try (exchange) {
            if (!("Bearer " + key).equals(exchange.getRequestHeaders().getFirst("Authorization"))) {
                refuse(exchange, 401, "The key is missing or wrong.");
            } else if (!method.equals(exchange.getRequestMethod())) {
                refuse(exchange, 405, "This address answers to " + method + ".");
            } else {
                try {
                    work.answer(exchange);
                } catch (SpeechFailed | IllegalArgumentException failed) {
                    refuse(exchange, 400, failed.getMessage());
                }
            }
        }
    }

    private void listed(HttpExchange exchange) throws IOException {
        List<Map<String, Object>> all = new ArrayList<>();
        for (Offered offered : voices.all()) {
            all.add(Map.ofEntries(
                    Map.entry("id", offered.id()),
                    Map.entry("name", offered.name()),
                    Map.entry("version", "1"),
                    Map.entry("language", offered.language()),
                    Map.entry("languageName", offered.languageName()),
                    Map.entry("accent", offered.accent()),
                    Map.entry("gender", offered.gender()),
                    Map.entry("age", "grown"),
                    Map.entry("character", offered.character()),
                    Map.entry("canDo", voices.canDo(offered)),
                    Map.entry("styles", offered.styles()),
                    Map.entry("mostCharacters", OfferedVoices.MOST_CHARACTERS),
                    Map.entry("pricePerCharacter", OfferedVoices.PRICE),
                    Map.entry("currency", OfferedVoices.CURRENCY)));
        }
        send(exchange, 200, json.writeValueAsString(Map.of("voices", all)));
    }

    private void allowance(HttpExchange exchange) throws IOException {
        send(
                exchange,
                200,
                json.writeValueAsString(Map.of(
                        "characters",
                        Accounts.ALLOWANCE,
                        "used",
                        accounts.used(),
                        "until",
                        accounts.month()
                                .plusMonths(1)
                                .atDay(1)
                                .atStartOfDay()
                                .toInstant(ZoneOffset.UTC)
                                .toString())));
    }

    private void speech(HttpExchange exchange) throws IOException {
        charged(exchange, this::spoken);
    }

    private void terms(HttpExchange exchange) throws IOException {
        send(
                exchange,
                200,
                json.writeValueAsString(Map.of(
                        "pricePerCharacter",
                        KnownSentences.PRICE,
                        "currency",
                        OfferedVoices.CURRENCY,
                        "mostCharacters",
                        OfferedVoices.MOST_CHARACTERS,
                        "languages",
                        KnownSentences.PAIRS)));
    }

    private void translation(HttpExchange exchange) throws IOException {
        charged(exchange, this::translated);
    }

    private interface Charged {
        /** @return the answer; null when it was refused */
        String answer(HttpExchange exchange, String once) throws IOException;
    }

    /** Charged once for each key, whatever becomes of the answer on its way. */
    private void charged(HttpExchange exchange, Charged work) throws IOException {
        int turn = answers.incrementAndGet();
        Temper now = temper;
        pause(now);
        if (Temper.turn(now.busy(), turn)) {
            exchange.getResponseHeaders().set("Retry-After", "1");
            refuse(exchange, 429, "Too many requests. Try again in a second.");
            return;
        }
        if (Temper.turn(now.down(), turn)) {
            refuse(exchange, 503, "The service is busy with itself.");
            return;
        }
        String once = exchange.getRequestHeaders().getFirst("Idempotency-Key");
        if (once == null || once.isBlank() || once.length() > 200) {
            refuse(exchange, 400, "A request that is charged brings an Idempotency-Key of 1 to 200 characters.");
            return;
        }
        String answer = accounts.answer(once);
        if (answer == null) {
            answer = work.answer(exchange, once);
        }
        if (answer != null) {
            // what is charged and never arrives whole is what a client must be ready for
            String sent = Temper.turn(now.broken(), turn) ? answer.substring(0, answer.length() / 2) : answer;
            send(
                    exchange,
                    200,
                    Temper.turn(now.lying(), turn)
                            ? Lie.nth(lies.getAndIncrement()).instead(answer)
                            : sent);
        }
    }

    /** @return null when it was refused */
    private JsonNode body(HttpExchange exchange) throws IOException {
        try {
            return json.readTree(exchange.getRequestBody().readNBytes(MOST_BODY_BYTES));
        } catch (JacksonException bad) {
            refuse(exchange, 400, "The body is not JSON.");
            return null;
        }
    }

    private String translated(HttpExchange exchange, String once) throws IOException {
        JsonNode asked = body(exchange);
        if (asked == null) {
            return null;
        }
        String text = asked.path("text").asString("");
        int characters = text.codePointCount(0, text.length());
        if (text.isBlank() || characters > OfferedVoices.MOST_CHARACTERS) {
            refuse(exchange, 400, "A request has 1 to " + OfferedVoices.MOST_CHARACTERS + " characters of text.");
            return null;
        }
        String said = sentences
                .of(text, asked.path("from").asString(""), asked.path("to").asString(""))
                .orElse(null);
        if (said == null) {
            return json.writeValueAsString(Map.of("text", "", "characters", 0, "sentence", "No translation for this."));
        }
        String answer = json.writeValueAsString(Map.of("text", said, "characters", characters));
        return paid(exchange, once, answer, characters);
    }

    /** @return null when the allowance doesn't reach */
    private String paid(HttpExchange exchange, String once, String answer, int characters) throws IOException {
        if (!accounts.charge(once, answer, characters)) {
            refuse(
                    exchange,
                    402,
                    "The allowance of this month doesn't reach: %,d characters are left, and this text has %,d."
                            .formatted(Accounts.ALLOWANCE - accounts.used(), characters));
            return null;
        }
        return answer;
    }

    /** @return null when it was refused */
    private String spoken(HttpExchange exchange, String once) throws IOException {
        JsonNode asked = body(exchange);
        if (asked == null) {
            return null;
        }
        Offered offered = voices.find(asked.path("voice").asString(""));
        RequestedText wanted = RequestedText.of(asked);
        String text = wanted.text();
        int characters = wanted.characters();
        if (offered == null) {
            refuse(exchange, 404, "There is no such voice.");
            return null;
        }
        if (text.isBlank()) {
            refuse(exchange, 400, "There is no text to speak.");
            return null;
        }
        if (characters > OfferedVoices.MOST_CHARACTERS) {
            refuse(
                    exchange,
                    413,
                    "A request has at most " + OfferedVoices.MOST_CHARACTERS + " characters, and this one has "
                            + characters + ".");
            return null;
        }
        Voice voice = voices.spoken(offered, asked.path("style").asString(""));
        Speech speech = narrator.render(
                Recipe.of(text, wanted.said(), voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL));
        String answer = json.writeValueAsString(
                Map.of("audio", wav(speech), "words", words(speech, text), "characters", characters));
        return paid(exchange, once, answer, characters);
    }

    private static String wav(Speech speech) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WavWriter.write(speech.sound(), SampleFormat.PCM_16, null, out);
        return Base64.getEncoder().encodeToString(out.toByteArray());
    }

    private static List<Map<String, Object>> words(Speech speech, String text) {
        List<Map<String, Object>> words = new ArrayList<>();
        for (WordTime word : speech.words()) {
            double rate = speech.sound().rate();
            words.add(Map.of(
                    "at",
                    text.codePointCount(0, word.start()),
                    "from",
                    word.startSample() / rate,
                    "to",
                    word.endSample() / rate));
        }
        return words;
    }

    private void pause(Temper temper) {
        if (temper.mostMillis() == 0) {
            return;
        }
        try {
            int millis;
            synchronized (random) {
                millis = temper.leastMillis() + random.nextInt(temper.mostMillis() - temper.leastMillis() + 1);
            }
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void refuse(HttpExchange exchange, int status, String sentence) throws IOException {
        send(exchange, status, json.writeValueAsString(Map.of("sentence", sentence)));
    }

    private static void send(HttpExchange exchange, int status, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json; charset=utf-8");
        exchange.sendResponseHeaders(status, bytes.length);
        exchange.getResponseBody().write(bytes);
    }

    @Override
    public void close() {
        server.stop(0);
        threads.shutdownNow();
        pool.close();
    }
}
