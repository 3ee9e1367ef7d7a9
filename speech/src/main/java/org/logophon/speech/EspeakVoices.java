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
import org.logophon.voice.Ability;
import org.logophon.voice.Gender;
import org.logophon.voice.Voice;
import org.logophon.voice.VoiceCatalogue;

/** The espeak-ng voices that Logophon offers, under given names of its own. */
public final class EspeakVoices {

    /** The voice of a role that nobody cast. */
    public static final String DEFAULT_ID = "isla";

    private EspeakVoices() {
    }

    public static VoiceCatalogue catalogue() {
        try (InputStream table = EspeakVoices.class.getResourceAsStream("voices.tsv");
             BufferedReader lines = new BufferedReader(new InputStreamReader(table, StandardCharsets.UTF_8))) {
            List<Voice> voices = lines.lines().filter(line -> !line.startsWith("#")).map(EspeakVoices::voice).toList();
            return new VoiceCatalogue(voices);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Voice voice(String line) {
        String[] cells = line.split("\t", -1);
        Set<Ability> abilities = EnumSet.of(Ability.PACE, Ability.WORD_TIMES,
                cells[7].isEmpty() ? Ability.PITCH : Ability.WHISPER);
        return new Voice(cells[0], cells[1], cells[2], cells[3], cells[4], "F".equals(cells[5]) ? Gender.FEMALE : Gender.MALE,
                "espeak-ng", cells[6], abilities);
    }
}
