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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.check.TakeFinding.Kind;
import org.logophon.core.voice.recording.HeldRecording;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.WordTime;
import org.logophon.core.voice.render.WordTimes;

/**
 * Recordings of people and of our voices, held against their words: the truth is a recogniser's, or the engines' own.
 */
class RecordingAlignerTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final SpeechEngine ENGINES = SharedSpeech.ENGINES;
    private static final RecordingAligner HOLDER = new RecordingAligner(ENGINES, NativeVoices::saying);

    /** Every word, with {@code -Dlogophon.promises=true}; some of them else. */
    private static final boolean EACH = Boolean.getBoolean("logophon.promises");

    /** Words and their starts, of LibriVox recordings (public domain) in Debian's pocketsphinx-testdata. */
    private record Read(Sound sound, List<String> words, List<Double> starts) {

        HeldRecording against(List<String> script) {
            String text = String.join(" ", script);
            return HOLDER.hold(sound, text, SpokenText.of(text), "en-US");
        }
    }

    private static List<Read> librivox() throws IOException {
        Map<String, List<String[]>> files = new TreeMap<>();
        Files.readAllLines(Path.of("src/test/resources/org/logophon/speech/librivox.tsv")).stream()
                .filter(line -> !line.startsWith("#"))
                .map(line -> line.split("\t"))
                .forEach(cells -> files.computeIfAbsent(cells[0], file -> new ArrayList<>())
                        .add(cells));
        List<Read> read = new ArrayList<>();
        for (Map.Entry<String, List<String[]>> file : files.entrySet()) {
            read.add(new Read(
                    WavReader.read(Files.readAllBytes(
                            Path.of("/usr/share/pocketsphinx/test/data/librivox", file.getKey() + ".wav"))),
                    file.getValue().stream().map(cells -> cells[1]).toList(),
                    file.getValue().stream()
                            .map(cells -> Double.parseDouble(cells[2]))
                            .toList()));
        }
        return read;
    }

    /**
     * Word starts by pocketsphinx's forced alignment; the budget is the page's: 25 ms, and 90 ms at the 90th
     * percentile.
     */
    @Test
    void wordsOfPeopleStartWhereARecogniserHearsThem() throws IOException {
        List<Double> off = new ArrayList<>();
        List<TakeFinding> findings = new ArrayList<>();
        double seconds = 0;
        for (Read read : librivox()) {
            HeldRecording held = read.against(read.words());
            for (int i = 0; i < held.words().size(); i++) {
                off.add(Math.abs(held.words().get(i).startSample()
                                / (double) read.sound().rate()
                        - read.starts().get(i)));
            }
            assertThat(held.found()).isEqualTo(read.words().size());
            findings.addAll(held.findings());
            seconds += read.sound().seconds();
        }
        off.sort(null);
        System.out.printf(
                "%d words: off by %.0f ms in the median, %.0f at the 90th percentile; %d findings in %.0f s%n",
                off.size(),
                1e3 * off.get(off.size() / 2),
                1e3 * off.get(off.size() * 9 / 10),
                findings.size(),
                seconds);
        assertThat(off.get(off.size() / 2)).isLessThanOrEqualTo(0.025);
        assertThat(off.get(off.size() * 9 / 10)).isLessThanOrEqualTo(0.090);
        assertThat(findings).hasSizeLessThanOrEqualTo((int) Math.ceil(seconds / 60));
    }

    /**
     * Of all 71 words 61 are found, and of the 40 longer ones 38; "to", "be", "in", "he", "a" and their like are
     * shorter than what speakers differ by.
     */
    @Test
    void aWordThatTheScriptLacksIsFoundWhereItIsSaid() throws IOException {
        List<Read> all = librivox();
        List<int[]> cases = new ArrayList<>();
        for (int file = 0; file < all.size(); file++) {
            for (int word = 0; word < all.get(file).words().size(); word++) {
                double until = word + 1 < all.get(file).starts().size()
                        ? all.get(file).starts().get(word + 1)
                        : all.get(file).sound().seconds();
                // a quarter of a second: longer than the shortest words of the language
                if (until - all.get(file).starts().get(word) >= 0.25 && (EACH || cases.size() < 6)) {
                    cases.add(new int[] {file, word});
                }
            }
        }
        long found = cases.parallelStream()
                .filter(one -> found(all.get(one[0]), one[1]))
                .count();
        System.out.printf("%d of %d words that the script lacks were found%n", found, cases.size());
        assertThat(cases).hasSizeGreaterThanOrEqualTo(6);
        assertThat(found / (double) cases.size()).isGreaterThanOrEqualTo(0.9);
    }

    private static boolean found(Read read, int word) {
        List<String> script = new ArrayList<>(read.words());
        script.remove(word);
        double from = read.starts().get(word);
        double to = word + 1 < read.starts().size()
                ? read.starts().get(word + 1)
                : read.sound().seconds();
        return read.against(script).findings().stream()
                .anyMatch(finding -> (finding.kind() == Kind.PUT_IN || finding.kind() == Kind.TWICE)
                        && finding.fromSeconds() < to + 0.1
                        && finding.toSeconds() > from - 0.1);
    }

    @Test
    void aWordThatIsNotSaidIsFoundInTheScript() throws IOException {
        List<Read> all = librivox();
        List<int[]> cases = IntStream.range(0, all.size())
                .boxed()
                .flatMap(file -> IntStream.range(0, all.get(file).words().size())
                        .filter(word -> word % (EACH ? 3 : 16) == 1)
                        .mapToObj(word -> new int[] {file, word}))
                .toList();
        long found = cases.parallelStream()
                .filter(one -> {
                    List<String> script = new ArrayList<>(all.get(one[0]).words());
                    script.add(one[1], "lantern");
                    String before = script.subList(0, one[1]).stream()
                            .map(said -> said + " ")
                            .collect(Collectors.joining());
                    return all.get(one[0]).against(script).findings().stream()
                            .anyMatch(finding -> finding.kind() == Kind.MISSING
                                    && finding.start() <= before.length()
                                    && finding.end() > before.length());
                })
                .count();
        System.out.printf("%d of %d words that were not said were found%n", found, cases.size());
        assertThat(found / (double) cases.size()).isGreaterThanOrEqualTo(0.9);
    }

    /**
     * Voices that others are held against say it, another one of theirs is the person. Where a language has two voices,
     * one is left.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "marnie   | en-US | Nobody thanks a lamp until the night is over and the boats are home.",
                "farquhar | en-GB | The crew have one tide to lift it out and the sling is old.",
                "otis     | en-US | By autumn the brass is bright again and the new bearing is made of steel.",
                "frauke   | de    | Der Leuchtturm war seit neunzehnhundertelf nicht mehr in Betrieb, und "
                        + "niemand hat ihn je brennen sehen.",
                "volker   | de    | Der Leuchtturm war seit neunzehnhundertelf nicht mehr in Betrieb, und "
                        + "niemand hat ihn je brennen sehen.",
                "coralie  | fr-FR | Personne ne remercie une lampe avant la fin de la nuit, quand les "
                        + "bateaux sont rentrés au port.",
                "leandro  | es-419 | Nadie da las gracias a una lámpara hasta que la noche termina y los "
                        + "barcos vuelven a casa.",
                "halina   | pl    | Nikt nie dziękuje lampie, dopóki noc się nie skończy i łodzie nie wrócą do domu.",
                "rodion   | ru    | Никто не благодарит лампу, пока ночь не кончится и лодки не вернутся домой."
            })
    void hiddenTimesOfOurOwnVoicesAreFound(String person, String language, String text) {
        RecordingAligner others = new RecordingAligner(
                ENGINES,
                tag -> NativeVoices.saying(tag).stream()
                        .filter(voice -> !voice.id().equals(person))
                        .toList());
        Utterance said = ENGINES.speak(
                new SpeechRequest(NativeVoices.catalogue().find(person).orElseThrow(), SpokenText.of(text), 1, 0));
        List<WordTime> told = WordTimes.of(text, language, SpokenText.of(text), said);
        HeldRecording held = others.hold(said.sound(), text, SpokenText.of(text), language);
        List<Double> off = new ArrayList<>();
        for (int i = 0; i < told.size(); i++) {
            off.add(Math.abs(told.get(i).startSample() - held.words().get(i).startSample())
                    / (double) said.sound().rate());
        }
        off.sort(null);
        assertThat(off).hasSizeGreaterThan(10);
        assertThat(off.get(off.size() / 2)).isLessThanOrEqualTo(0.025);
        assertThat(off.get(off.size() * 9 / 10)).isLessThanOrEqualTo(0.090);
        assertThat(held.findings()).isEmpty();
        assertThat(held.phones()).isNotEmpty();
    }

    @Test
    void withoutAVoiceOfTheLanguageTheWordsShareTheTimeAndAreAllInDoubt() {
        Sound sound = ENGINES.speak(new SpeechRequest(
                        NativeVoices.catalogue().find("otis").orElseThrow(), SpokenText.of("One two three."), 1, 0))
                .sound();
        HeldRecording held =
                new RecordingAligner(ENGINES, tag -> List.of()).hold(sound, "Un deux trois.", SpokenText.of("x"), "xx");
        assertThat(held.words()).hasSize(3);
        assertThat(held.doubts()).containsOnly(1.0);
    }
}
