package org.logophon.speech;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

/** Festival's voices under our names: those that are installed, and those that can be had. */
final class FestivalVoices {

    static final String ENGINE = "festival";

    private static final Path FOLDER = Path.of("/usr/share/festival/voices");
    private static final Map<String, FestivalVoice> TABLE = read();

    private FestivalVoices() {}

    /** @param megabytes to fetch */
    private record FestivalVoice(Voice voice, Path folder, Charset charset, int megabytes) {

        boolean installed() {
            return Files.isDirectory(folder);
        }
    }

    /** Those that are installed now. */
    static List<Voice> all() {
        return TABLE.values().stream()
                .filter(FestivalVoice::installed)
                .map(FestivalVoice::voice)
                .toList();
    }

    /** What could be had beside them, a language each. */
    static List<VoiceOffer> offers() {
        Map<String, List<FestivalVoice>> missing = TABLE.values().stream()
                .filter(line -> !line.installed())
                .collect(Collectors.groupingBy(
                        line -> line.voice().language().split("-")[0], LinkedHashMap::new, Collectors.toList()));
        return missing.entrySet().stream()
                .map(language -> new VoiceOffer(
                        language.getKey(),
                        language.getValue().get(0).voice().languageName(),
                        language.getValue().size(),
                        language.getValue().stream()
                                .mapToInt(FestivalVoice::megabytes)
                                .sum()))
                .toList();
    }

    /** The characters that a voice reads. */
    static Charset charset(Voice voice) {
        return TABLE.get(voice.engineVoice()).charset();
    }

    private static Map<String, FestivalVoice> read() {
        try (InputStream table = FestivalVoices.class.getResourceAsStream("festival.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(table, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(FestivalVoices::line)
                    .collect(Collectors.toMap(
                            line -> line.voice().engineVoice(), line -> line, (one, other) -> one, LinkedHashMap::new));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static FestivalVoice line(String line) {
        String[] cells = line.split("\t", -1);
        Set<Ability> canDo = EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE, Ability.WORD_TIMES);
        Voice voice = new Voice(
                        cells[0],
                        cells[1],
                        cells[2],
                        cells[3],
                        cells[4],
                        "F".equals(cells[5]) ? Gender.FEMALE : Gender.MALE,
                        Age.GROWN,
                        List.of(),
                        ENGINE,
                        cells[6],
                        canDo,
                        EnumSet.of(Ability.PACE, Ability.WORD_TIMES),
                        List.of(),
                        Terms.FREE)
                .made(Stream.of(Making.values())
                        .filter(making -> making.id().equals(cells[9]))
                        .findFirst()
                        .orElseThrow());
        return new FestivalVoice(
                voice, FOLDER.resolve(cells[7]), Charset.forName(cells[8]), Integer.parseInt(cells[11]));
    }
}
