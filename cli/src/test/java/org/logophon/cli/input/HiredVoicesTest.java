package org.logophon.cli.input;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.PiecewiseEngine;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.hired.Charges;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredRequest;
import org.logophon.speech.hired.HiredService;
import org.logophon.standin.StandIn;
import org.logophon.standin.Temper;

/** Hired voices through the contract, with the stand-in at the other end. */
class HiredVoicesTest {

    private static final String KEY = "a-key-that-nobody-sees";
    private static final String LINE = "The lens came by sea, in forty boxes.";

    @TempDir
    private Path folder;

    private StandIn standIn;

    /** What was charged, by request. */
    private static final class Book implements Charges {

        private final Map<String, Integer> charged = new ConcurrentHashMap<>();

        @Override
        public void asked(String key, Voice voice, int characters, String agreement) {
            charged.putIfAbsent(key, 0);
        }

        @Override
        public void charged(String key, Voice voice, int characters) {
            charged.put(key, characters);
        }

        private int sum() {
            return charged.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    private final Book book = new Book();

    @AfterEach
    void stop() {
        if (standIn != null) {
            standIn.close();
        }
    }

    private HiredService start(Temper temper) throws IOException {
        standIn =
                new StandIn(0, KEY, temper, folder, Clock.fixed(Instant.parse("2026-11-25T12:00:00Z"), ZoneOffset.UTC));
        return new HiredService(standIn.address(), KEY);
    }

    private Speech render(HiredService service, String voiceId, String text, Direction direction) {
        Voice voice = service.voices().stream()
                .filter(v -> v.id().equals("hired-" + voiceId))
                .findFirst()
                .orElseThrow();
        Narrator narrator = new Narrator(new PiecewiseEngine(new HiredEngine(service, book)), (sound, rate) -> sound);
        return narrator.render(Recipe.of(text, voice, narrator.engineVersion(voice), ResolvedDirection.of(direction)));
    }

    @Test
    void eightVoicesInFourLanguagesSayTheirTerms() throws IOException {
        List<Voice> voices = start(Temper.CALM).voices();
        assertThat(voices)
                .hasSize(8)
                .extracting(Voice::languageName)
                .contains("English", "German", "French", "Spanish");
        assertThat(voices).allSatisfy(voice -> {
            assertThat(voice.terms().mostCharacters()).isEqualTo(500);
            assertThat(voice.terms().free()).isFalse();
            assertThat(voice.canDo()).contains(Ability.STYLES, Ability.WORD_TIMES, Ability.PACE, Ability.PITCH);
        });
    }

    @Test
    void aLineIsSpokenWithItsWordTimesAndPaidByTheCharacter() throws IOException {
        HiredService service = start(Temper.CALM);
        Speech speech = render(service, "rosalind", LINE, Direction.NONE);
        assertThat(speech.words()).hasSize(8);
        for (int i = 0; i + 1 < speech.words().size(); i++) {
            assertThat(speech.words().get(i).endSample())
                    .isBetween(
                            speech.words().get(i).startSample() + 1,
                            speech.words().get(i + 1).startSample());
        }
        assertThat(book.sum()).isEqualTo(LINE.length());
        assertThat(service.allowance().used()).isEqualTo(LINE.length());
        assertThat(service.allowance().left()).isEqualTo(10_000 - LINE.length());
    }

    @Test
    void wordsByIpaAreSentAsSsmlAndChargedByTheirSounds() throws IOException {
        HiredService service = start(Temper.CALM);
        Voice rosalind = service.voices().stream()
                .filter(v -> v.id().equals("hired-rosalind"))
                .findFirst()
                .orElseThrow();
        Narrator narrator = new Narrator(new PiecewiseEngine(new HiredEngine(service, book)), (sound, rate) -> sound);
        String text = "At Skerrow & <Head> the lamp is lit.";
        int at = text.indexOf("Skerrow");
        Recipe recipe = Recipe.of(
                text,
                List.of(new Pronunciation(at, at + 7, "sˈiːmʊn", true)),
                rosalind,
                narrator.engineVersion(rosalind),
                ResolvedDirection.NEUTRAL);
        Speech speech = narrator.render(recipe);
        assertThat(speech.words()).hasSize(7);
        assertThat(speech.words().get(1).start()).isEqualTo(at);
        assertThat(speech.words().get(2).startSample())
                .as("what comes after the IPA is found at its time")
                .isGreaterThan(speech.words().get(1).startSample());
        assertThat(book.sum())
                .isEqualTo(text.length())
                .isEqualTo(HiredRequest.of(recipe).stream()
                        .mapToInt(HiredRequest::characters)
                        .sum());
        Speech asWritten = render(service, "rosalind", text, Direction.NONE);
        assertThat(java.util.Arrays.equals(
                        speech.sound().samples(), asWritten.sound().samples()))
                .as("other sounds are spoken")
                .isFalse();
    }

    @Test
    void ssmlThatCannotBeReadIsRefusedAndCostsNothing() throws Exception {
        HiredService service = start(Temper.CALM);
        HttpClient http = HttpClient.newHttpClient();
        for (String ssml : List.of(
                "<speak>no end",
                "<!DOCTYPE speak [<!ENTITY a SYSTEM \"file:///etc/hostname\">]><speak>&a;</speak>",
                "<speak><phoneme alphabet='ipa'/></speak>",
                "<speak/>")) {
            String body = new tools.jackson.databind.json.JsonMapper()
                    .writeValueAsString(Map.of("voice", "rosalind", "ssml", ssml));
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(standIn.address() + "/v1/speech"))
                            .header("Authorization", "Bearer " + KEY)
                            .header("Idempotency-Key", ssml)
                            .POST(HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(answer.statusCode()).as(ssml).isEqualTo(400);
            assertThat(answer.body()).contains("sentence");
        }
        assertThat(service.allowance().used()).isZero();
    }

    @Test
    void aStyleOfTheVoiceIsHeard() throws IOException {
        HiredService service = start(Temper.CALM);
        Speech plain = render(service, "thaddeus", LINE, Direction.NONE);
        Speech urgent = render(
                service, "thaddeus", LINE, new Direction(null, null, null, null, null, null, null, "urgent", null));
        assertThat(urgent.sound().seconds()).isLessThan(plain.sound().seconds() * 0.93);
        assertThat(book.charged).as("two requests").hasSize(2);
    }

    @Test
    void anotherPaceOrPitchCostsNothingMore() throws IOException {
        HiredService service = start(Temper.CALM);
        Speech plain = render(service, "thaddeus", LINE, Direction.NONE);
        Speech directed = render(service, "thaddeus", LINE, new Direction(80, 2.0, null, null));
        assertThat(directed.sound().seconds())
                .isCloseTo(
                        plain.sound().seconds() / 0.8,
                        within(0.05 * plain.sound().seconds()));
        assertThat(directed.measurement().semitones()).isCloseTo(2, within(0.5));
        assertThat(service.allowance().used()).isEqualTo(LINE.length());
    }

    @Test
    void aTextOverTheLimitIsMadeInPiecesWithoutAStepInLevel() throws IOException {
        HiredService service = start(Temper.CALM);
        String text = IntStream.rangeClosed(1, 14)
                .mapToObj(i -> "On day " + "abcdefghijklmn".charAt(i - 1)
                        + " the crew have one tide to lift it out, and the sling is rated for it.")
                .collect(Collectors.joining(" "));
        assertThat(text.length()).isGreaterThan(1_000);
        Speech speech = render(service, "rosalind", text, Direction.NONE);
        assertThat(book.charged).hasSize(3);
        assertThat(book.sum()).isBetween(text.length() - 3, text.length());
        Sound sound = speech.sound();
        double[] levels = IntStream.range(0, 14)
                .mapToDouble(i -> {
                    // from "the crew" to the end: the number of the day differs
                    int from = speech.words().get(i * 19 + 3).startSample();
                    int to = speech.words().get(i * 19 + 18).endSample();
                    return LoudnessMeter.of(sound.cut(from, to)).lufs();
                })
                .toArray();
        for (double level : levels) {
            assertThat(level)
                    .as("the same sentence, whichever request it came with")
                    .isCloseTo(levels[0], within(0.5));
        }
    }

    @Test
    void retriesAndParallelRendersChargeEachRequestOnce() throws IOException {
        HiredService service = start(new Temper(4, 7, 5, 0, 0, 0));
        IntStream.range(0, 12)
                .parallel()
                .forEach(i -> render(service, "imogen", "Line number " + i % 6 + " of the script.", Direction.NONE));
        assertThat(book.charged).as("six lines, each asked for twice").hasSize(6);
        assertThat(service.allowance().used()).isEqualTo(book.sum());
        // another program with the same folder: the service knows what was paid
        standIn.close();
        HiredService again = start(Temper.CALM);
        render(again, "imogen", "Line number 3 of the script.", Direction.NONE);
        assertThat(again.allowance().used()).isEqualTo(book.sum());
    }

    @Test
    void whatTheAllowanceDoesNotReachIsRefusedAndCostsNothing() throws IOException {
        // as the stand-in keeps it: what was charged in the month of its clock
        Files.writeString(folder.resolve("used-2026-11"), "9600");
        HiredService service = start(Temper.CALM);
        String long500 = "The crew have one tide to lift it out. ".repeat(12);
        render(service, "nieves", "Nothing yet.", Direction.NONE);
        long used = service.allowance().used();
        assertThat(used).isEqualTo(9_612);
        assertThat(service.allowance().left()).isLessThan(480);
        assertThatThrownBy(() -> render(service, "nieves", "One more. " + long500, Direction.NONE))
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("The allowance of this month doesn't reach")
                .hasMessageContaining("Cast a voice that costs nothing");
        assertThat(service.allowance().used()).isEqualTo(used);
    }

    @Test
    void aServiceThatCannotBeUsedIsASentenceWithoutTheKey() throws IOException {
        start(Temper.CALM);
        assertThatThrownBy(() -> new HiredService(standIn.address(), "wrong").voices())
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("refuses the key")
                .hasMessageNotContaining("wrong");
        assertThatThrownBy(() -> new HiredService("ftp://nowhere", KEY))
                .hasMessageContaining("starts with http:// or https://");
        String address = standIn.address();
        standIn.close();
        standIn = null;
        assertThatThrownBy(() -> new HiredService(address, KEY).voices())
                .isInstanceOf(SpeechFailed.class)
                .hasMessageContaining("it did not answer")
                .hasMessageNotContaining(KEY);
    }
}
