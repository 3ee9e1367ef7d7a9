package org.logophon.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Deque;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.hired.Charges;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredService;

/** A service that doesn't keep to the contract, or is having a bad day: each ends in a sound or in a sentence. */
class OddServiceTest {

    private static final Voice VOICE = new Voice(
            "hired-x", "Xenia", "en-GB", "English", "", Gender.FEMALE, "hired", "x@1", EnumSet.of(Ability.WORD_TIMES));
    private final List<String> told = new ArrayList<>();
    private final Charges charges = new Charges() {
        @Override
        public void asked(String key, Voice voice, int characters, String agreement) {
            told.add("asked " + characters);
        }

        @Override
        public void charged(String key, Voice voice, int characters) {
            told.add("charged " + characters);
        }

        @Override
        public void refused(String key) {
            told.add("refused");
        }
    };

    private record Answer(int status, String body, String retryAfter) {}

    private final Deque<Answer> answers = new ArrayDeque<>();
    private final List<String> keys = new ArrayList<>();
    private HttpServer server;
    private HiredService service;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            try (exchange) {
                String key = exchange.getRequestHeaders().getFirst("Idempotency-Key");
                keys.add(key == null ? "" : key);
                exchange.getRequestBody().readAllBytes();
                Answer answer = answers.size() > 1 ? answers.poll() : answers.peek();
                byte[] body = answer.body().getBytes(StandardCharsets.UTF_8);
                if (answer.retryAfter() != null) {
                    exchange.getResponseHeaders().set("Retry-After", answer.retryAfter());
                }
                exchange.sendResponseHeaders(answer.status(), body.length == 0 ? -1 : body.length);
                if (body.length > 0) {
                    exchange.getResponseBody().write(body);
                }
            }
        });
        server.start();
        service = new HiredService("http://localhost:" + server.getAddress().getPort(), "key");
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    private Utterance speak() {
        return new HiredEngine(service, charges).speak(new SpeechRequest(VOICE, SpokenText.of("A lamp."), 1, 0));
    }

    private static String answer(String audio, String words) {
        return "{\"audio\":\"" + audio + "\",\"words\":" + words + ",\"characters\":7}";
    }

    private static String wav(SampleFormat format) throws IOException {
        float[] tone = new float[8_000];
        for (int i = 0; i < tone.length; i++) {
            tone[i] = (float) (0.1 * Math.sin(i * 0.1));
        }
        return wav(tone, format);
    }

    private static String wav(float[] samples, SampleFormat format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WavWriter.write(new Sound(samples, 16_000), format, null, out);
        return Base64.getEncoder().encodeToString(out.toByteArray());
    }

    @Test
    void aBadDayIsWaitedForWithTheSameKey() throws IOException {
        answers.add(new Answer(429, "{\"sentence\":\"later\"}", "0"));
        answers.add(new Answer(503, "<html>down</html>", null));
        answers.add(new Answer(200, answer(wav(SampleFormat.PCM_16), "[]").substring(0, 100), null));
        answers.add(new Answer(200, answer(wav(SampleFormat.PCM_16), "[{\"at\":0,\"from\":0.1,\"to\":0.4}]"), null));
        Utterance utterance = speak();
        assertThat(utterance.sound().samples()).hasSize(8_000);
        assertThat(utterance.words()).containsExactly(new Utterance.WordStart(0, 1_600));
        assertThat(keys).hasSize(4).containsOnly(keys.get(0));
        assertThat(told).containsExactly("asked 7", "charged 7");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{\"audio\":\"!!!\"}",
                "{\"audio\":\"\"}",
                "{\"audio\":\"UklGRg==\"}",
                "[]",
                "\"text\"",
                "{\"audio\":{\"a\":1},\"words\":7}"
            })
    void anAnswerWithoutASoundIsASentence(String body) {
        answers.add(new Answer(200, body, null));
        assertThatThrownBy(this::speak)
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("gave no sound for this text");
    }

    /** It was charged. Asked again with the same key, it says what it should have said the first time. */
    @Test
    void silenceAndHalfASoundAreNotKeptAndAskedForAgain() throws IOException {
        answers.add(new Answer(200, answer(wav(new float[8_000], SampleFormat.PCM_16), "[]"), null));
        assertThatThrownBy(this::speak)
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("gave silence for this text")
                .hasMessageContaining("aren't charged a second time");
        answers.clear();
        answers.add(new Answer(
                200,
                answer(
                        wav(SampleFormat.PCM_16),
                        "[{\"at\":0,\"from\":0.1,\"to\":0.4},{\"at\":2,\"from\":0.7,\"to\":0.9}]"),
                null));
        assertThatThrownBy(this::speak)
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("ends before its words do");
        answers.clear();
        answers.add(new Answer(200, "<!doctype html><p>Sign in to go on.", null));
        answers.add(new Answer(200, answer(wav(SampleFormat.PCM_16), "[]"), null));
        assertThat(speak().sound().samples()).hasSize(8_000);
        assertThat(keys).containsOnly(keys.get(0));
    }

    @Test
    void aSoundOfMoreBitsIsTakenToo() throws IOException {
        answers.add(new Answer(200, answer(wav(SampleFormat.PCM_24), "[]"), null));
        assertThat(speak().sound().samples()).hasSize(8_000);
    }

    /** What a service doesn't tell is found by holding its sound against voices that tell. */
    @Test
    void aServiceThatTellsNoWordTimesHasThemAllTheSame() throws IOException {
        String text = "The lens came by sea, in forty boxes.";
        try (WorkerPool pool = new WorkerPool(1)) {
            Voice marnie = NativeVoices.catalogue().find("marnie").orElseThrow();
            Utterance known = new Engines(pool).speak(new SpeechRequest(marnie, SpokenText.of(text), 1, 0));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            WavWriter.write(known.sound(), SampleFormat.PCM_16, null, out);
            String audio = Base64.getEncoder().encodeToString(out.toByteArray());
            answers.add(new Answer(200, "{\"audio\":\"" + audio + "\",\"characters\":37}", null));
            Utterance said = new Engines(pool, new HiredEngine(service, charges), List.of())
                    .speak(new SpeechRequest(VOICE, SpokenText.of(text), 1, 0));
            assertThat(said.words()).hasSize(8);
            for (int i = 0; i < 8; i++) {
                assertThat(said.words().get(i).codePoint())
                        .isEqualTo(known.words().get(i).codePoint());
                assertThat(Math.abs(said.words().get(i).sample()
                                - known.words().get(i).sample()))
                        .as("word " + i)
                        .isLessThan(known.sound().rate() * 9 / 100);
            }
        }
    }

    @Test
    void wordTimesOutsideTheSoundAreBroughtInside() throws IOException {
        answers.add(new Answer(
                200, answer(wav(SampleFormat.PCM_16), "[{\"at\":0,\"from\":-3,\"to\":1e9},{\"at\":2}]"), null));
        assertThat(speak().words()).extracting(Utterance.WordStart::sample).containsExactly(0, 0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "401 | refuses the key",
                "403 | refuses the key",
                "402 | can't be paid. No.",
                "404 | refuses this text (status 404). No.",
                "413 | refuses this text (status 413). No."
            })
    void aRefusalIsSaidAtOnceAndNotTriedAgain(int status, String sentence) {
        answers.add(new Answer(status, "{\"sentence\":\"No.\"}", null));
        assertThatThrownBy(this::speak).isInstanceOf(SpeechFailed.class).hasMessageContaining(sentence);
        assertThat(keys).hasSize(1);
        assertThat(told).as("nothing is left open in the ledger").containsExactly("asked 7", "refused");
    }

    @Test
    void aRefusalWithoutASentenceIsASentenceAllTheSame() {
        answers.add(new Answer(400, "<h1>Bad</h1>", null));
        assertThatThrownBy(this::speak)
                .isInstanceOf(SpeechFailed.class)
                .hasMessage("The service of the hired voices refuses this text (status 400).");
    }

    @Test
    void anAnswerWithoutAnEndIsCutOff() {
        answers.add(new Answer(200, "x".repeat((64 << 20) + 2), null));
        assertThatThrownBy(this::speak)
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("more than a cue can hold");
        assertThat(keys).hasSize(1);
    }

    @Test
    void voicesWithHalfTheirFieldsAreVoices() {
        answers.add(new Answer(
                200,
                "{\"voices\":[{\"id\":\"y\"},{\"id\":\"z\",\"name\":\"Zoe\",\"gender\":\"female\",\"age\":\"ancient\",\"pricePerCharacter\":\"0.01\",\"currency\":\"EUR\"}]}",
                null));
        List<Voice> voices = service.voices();
        assertThat(voices).extracting(Voice::id).containsExactly("hired-y", "hired-z");
        assertThat(voices.get(0).terms().free()).isTrue();
        assertThat(voices.get(1).terms().pricePerCharacter()).isEqualByComparingTo("0.01");
        answers.clear();
        answers.add(new Answer(200, "{}", null));
        assertThat(service.voices()).isEmpty();
        assertThat(service.allowance().left()).isZero();
    }
}
