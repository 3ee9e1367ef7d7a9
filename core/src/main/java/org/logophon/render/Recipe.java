package org.logophon.render;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import org.logophon.direction.Effective;
import org.logophon.reading.Said;
import org.logophon.voice.Voice;

/**
 * All that determines how a take's speech sounds. Same recipe, same take. Loudness and the pause after a cue are not in
 * it: they are applied when a take is played or delivered, so a change of them is heard at once and renders nothing.
 *
 * @param said          places of the text that readings say otherwise
 * @param engineVersion name and version of the engine
 */
public record Recipe(String text, List<Said> said, Voice voice, String engineVersion, double paceFactor, double semitones) {

    /** Raised whenever the core itself makes another sound of the same request. */
    private static final int CORE_VERSION = 1;

    public Recipe {
        said = List.copyOf(said);
    }

    /** A text that is said as it is written. */
    public static Recipe of(String text, Voice voice, String engineVersion, Effective direction) {
        return of(text, List.of(), voice, engineVersion, direction);
    }

    public static Recipe of(String text, List<Said> said, Voice voice, String engineVersion, Effective direction) {
        return new Recipe(text, said, voice, engineVersion, direction.paceFactor(), voice.whispers() ? 0 : direction.semitones());
    }

    /** What the engine is given: only the readings that the text uses count. */
    public SpokenText spokenText() {
        return SpokenText.of(text, said);
    }

    /** The text with its readings in the place of what they stand for, as a person would write it down; IPA is left as written. */
    public String saidText() {
        StringBuilder words = new StringBuilder();
        int from = 0;
        for (Said place : said) {
            words.append(text, from, place.start()).append(place.ipa() ? text.substring(place.start(), place.end()) : place.words());
            from = place.end();
        }
        return words.append(text, from, text.length()).toString();
    }

    private String spoken() {
        return said.isEmpty() ? text : text + '\u0001' + spokenText().text();
    }

    /** SHA-256 over every field, in hex. */
    public String hash() {
        String canonical = String.join("\u0000", "core " + CORE_VERSION, spoken(), voice.id(), voice.engineVoice(),
                engineVersion, Long.toString(Math.round(paceFactor * 10_000)), Long.toString(Math.round(semitones * 1_000)));
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(canonical.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256.", e);
        }
    }
}
