package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.TimedEngine;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;

/**
 * Word times that are found by alignment, held against the truth: engines' own times, which are hidden first, and a
 * recogniser's over recordings of people.
 */
class WordAlignmentTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final SpeechEngine ENGINES = SharedSpeech.ENGINES;
    private static final double MEDIAN = 0.025;
    private static final double NINETIETH = 0.090;

    private static final List<String> WHO = List.of(
            "The keeper",
            "An old fisherman",
            "My sister",
            "Nobody in the village",
            "The harbour master",
            "A young sailor",
            "The last visitor",
            "Our neighbour",
            "The captain's wife",
            "Every child here",
            "The painter",
            "A grey gull",
            "The new lamp",
            "The night watch",
            "His brother",
            "The storm",
            "The letter",
            "That evening the cook",
            "In winter the crew",
            "Her grandmother");
    private static final List<String> DID = List.of(
            "walked along the cliff before the rain came.",
            "counted seven ships, and smiled.",
            "never spoke about that night.",
            "has been waiting since early morning.",
            "brought bread, oil and letters up the stairs.",
            "could see the white house from the bay.",
            "asked whether the light would burn until dawn.",
            "turned towards the sea; the wind had changed.",
            "left a blue scarf on the kitchen table.",
            "knew how many steps there are: two hundred.");
    /** Whose own times are the truth, in turn: a sentence each. */
    private static final List<String> TRUTHS = List.of("rufus", "farquhar", "otis", "marnie", "verity");

    private static Voice voice(String id) {
        return NativeVoices.catalogue().find(id).orElseThrow();
    }

    /** Says everything and tells no times. */
    private record Untold(Sound sound) implements SpeechEngine {

        @Override
        public String version(Voice voice) {
            return "untold";
        }

        @Override
        public Utterance speak(SpeechRequest request) {
            return new Utterance(sound, List.of(), List.of());
        }
    }

    private static List<WordStart> found(Sound sound, String text, Voice voice, List<Voice> references) {
        return new TimedEngine(new Untold(sound), ENGINES, any -> references)
                .speak(new SpeechRequest(voice, SpokenText.of(text), 1, 0))
                .words();
    }

    /** How far off each word is, in seconds. */
    private static List<Double> off(int sentence) {
        String text = WHO.get(sentence / DID.size()) + " " + DID.get(sentence % DID.size());
        Voice truth = voice(TRUTHS.get(sentence % TRUTHS.size()));
        List<Voice> references = new ArrayList<>(NativeVoices.telling(truth));
        if (references.remove(truth)) {
            references.add(voice("isla"));
        }
        Utterance said = ENGINES.speak(new SpeechRequest(truth, SpokenText.of(text), 1, 0));
        Map<Integer, Integer> known =
                said.words().stream().collect(Collectors.toMap(WordStart::codePoint, WordStart::sample, Math::min));
        List<Double> off = new ArrayList<>();
        for (WordStart word : found(said.sound(), text, truth, references)) {
            if (known.containsKey(word.codePoint())) {
                off.add((word.sample() - known.get(word.codePoint()))
                        / (double) said.sound().rate());
            }
        }
        assertThat(off).as(text).hasSizeGreaterThanOrEqualTo(text.split(" ").length);
        return off;
    }

    private static void near(List<Double> off) {
        List<Double> sorted = off.stream().map(Math::abs).sorted().toList();
        System.out.printf(
                "%d words: off by %.0f ms in the median, %.0f at the 90th percentile%n",
                sorted.size(), 1e3 * sorted.get(sorted.size() / 2), 1e3 * sorted.get(sorted.size() * 9 / 10));
        assertThat(sorted.get(sorted.size() / 2)).isLessThanOrEqualTo(MEDIAN);
        assertThat(sorted.get(sorted.size() * 9 / 10)).isLessThanOrEqualTo(NINETIETH);
    }

    @Test
    void sentencesAgreeWithTheEnginesOwnTimes() {
        near(IntStream.range(0, WHO.size() * DID.size())
                .filter(SharedSpeech::tried)
                .parallel()
                .mapToObj(WordAlignmentTest::off)
                .flatMap(List::stream)
                .toList());
    }

    /**
     * LibriVox (public domain), from Debian's pocketsphinx-testdata; word starts by pocketsphinx's forced alignment.
     */
    @Test
    void recordingsOfPeopleAgreeWithARecogniser() throws IOException {
        Map<String, List<String[]>> recordings = new TreeMap<>();
        Files.readAllLines(Path.of("src/test/resources/org/logophon/speech/librivox.tsv")).stream()
                .filter(line -> !line.startsWith("#"))
                .map(line -> line.split("\t"))
                .forEach(cells -> recordings
                        .computeIfAbsent(cells[0], file -> new ArrayList<>())
                        .add(cells));
        assertThat(recordings).hasSize(5);
        List<Double> off = new ArrayList<>();
        for (Map.Entry<String, List<String[]>> recording : recordings.entrySet()) {
            Sound sound = WavReader.read(Files.readAllBytes(
                    Path.of("/usr/share/pocketsphinx/test/data/librivox", recording.getKey() + ".wav")));
            String text = recording.getValue().stream().map(cells -> cells[1]).collect(Collectors.joining(" "));
            List<WordStart> words = found(sound, text, voice("marnie"), NativeVoices.telling(voice("marnie")));
            assertThat(words).hasSameSizeAs(recording.getValue());
            for (int i = 0; i < words.size(); i++) {
                off.add(words.get(i).sample() / (double) sound.rate()
                        - Double.parseDouble(recording.getValue().get(i)[2]));
            }
        }
        near(off);
    }

    /** espeak-ng says "No one" and "on the" as one event; other voices, aligned, tell where they part. */
    @Test
    void wordsSaidInOneBreathArePartedBetweenTheirSounds() {
        String text = "No one was on the stairs of the tower, and it has been there for years.";
        Voice isla = voice("isla");
        Utterance said = ENGINES.speak(new SpeechRequest(isla, SpokenText.of(text), 1, 0));
        assertThat(said.words()).extracting(WordStart::codePoint).doesNotContain(text.indexOf("one"));
        Speech speech = new Narrator(ENGINES, new WorkerResampler(POOL))
                .render(Recipe.of(text, isla, "", ResolvedDirection.NEUTRAL));
        Map<Integer, Integer> aligned = found(said.sound(), text, isla, NativeVoices.telling(isla)).stream()
                .collect(Collectors.toMap(WordStart::codePoint, WordStart::sample));
        for (String pair : List.of("one was", "the stairs", "the tower", "been there")) {
            int at = text.indexOf(pair);
            int start = speech.words().stream()
                    .filter(word -> word.start() == at)
                    .findFirst()
                    .orElseThrow()
                    .startSample();
            assertThat(said.phonemes()).as(pair).anyMatch(sound -> sound.sample() == start);
            assertThat(Math.abs(start - aligned.get(at)) / (double) said.sound().rate())
                    .as(pair)
                    .isLessThan(0.06);
        }
    }
}
