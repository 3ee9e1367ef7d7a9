package org.logophon.core.voice.render;

import java.util.List;
import org.logophon.core.signal.sound.Sound;

/**
 * An engine's answer: sound, word times, phones.
 *
 * @param words    starts of words, in the order of time; one written word may have several
 * @param phonemes starts of phonemes, in the order of time
 */
public record Utterance(Sound sound, List<WordStart> words, List<PhonemeStart> phonemes) {

    /** @param codePoint zero-based place in the spoken text */
    public record WordStart(int codePoint, int sample) {}

    /**
     * @param silent true for a pause, which ends the word before it
     * @param ipa    the sound in letters of the International Phonetic Alphabet; empty where the engine doesn't tell
     */
    public record PhonemeStart(int sample, boolean silent, String ipa) {

        /** One of which is only known that something sounds, or nothing does. */
        public PhonemeStart(int sample, boolean silent) {
            this(sample, silent, "");
        }
    }
}
