package org.logophon.render;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import org.logophon.direction.Effective;
import org.logophon.voice.Voice;

/**
 * All that determines how a take's speech sounds. Same recipe, same take. Loudness and the pause after a cue are not in
 * it: they are applied when a take is played or delivered, so a change of them is heard at once and renders nothing.
 *
 * @param engineVersion name and version of the engine
 */
public record Recipe(String text, Voice voice, String engineVersion, double paceFactor, double semitones) {

    /** Raised whenever the core itself makes another sound of the same request. */
    private static final int CORE_VERSION = 1;

    public static Recipe of(String text, Voice voice, String engineVersion, Effective direction) {
        return new Recipe(text, voice, engineVersion, direction.paceFactor(), voice.whispers() ? 0 : direction.semitones());
    }

    /** SHA-256 over every field, in hex. */
    public String hash() {
        String canonical = String.join("\u0000", "core " + CORE_VERSION, text, voice.id(), voice.engineVoice(),
                engineVersion, Long.toString(Math.round(paceFactor * 10_000)), Long.toString(Math.round(semitones * 1_000)));
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(canonical.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256.", e);
        }
    }
}
