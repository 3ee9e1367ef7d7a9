package org.logophon.speech;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

/** The espeak-ng voices that Logophon offers, under given names of its own. */
final class EspeakVoices {

    static final String ENGINE = "espeak-ng";

    private EspeakVoices() {}

    static List<Voice> all() {
        try (InputStream table = EspeakVoices.class.getResourceAsStream("voices.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(table, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(EspeakVoices::voice)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Voice voice(String line) {
        String[] cells = line.split("\t", -1);
        boolean whispers = !cells[7].isEmpty();
        Set<Ability> byItself =
                EnumSet.of(Ability.PACE, Ability.IPA, Ability.WORD_TIMES, whispers ? Ability.WHISPER : Ability.PITCH);
        Set<Ability> canDo = EnumSet.copyOf(byItself);
        if (!whispers) {
            canDo.add(Ability.RANGE);
        }
        return new Voice(
                        cells[0],
                        cells[1],
                        cells[2],
                        cells[3],
                        cells[4],
                        "F".equals(cells[5]) ? Gender.FEMALE : Gender.MALE,
                        age(cells[6]),
                        List.of(),
                        ENGINE,
                        cells[6],
                        canDo,
                        byItself,
                        List.of(),
                        Terms.FREE)
                .made(Making.FORMANT);
    }

    /** As the engine's own voice files say it: "gender female 70" and "gender male 50". */
    private static Age age(String engineVoice) {
        return engineVoice.endsWith("+f1") || engineVoice.endsWith("+m1") ? Age.OLD : Age.GROWN;
    }
}
