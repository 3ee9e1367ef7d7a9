package org.logophon.core.voice.render;

import java.util.Optional;

/** The sounds of a language's words. */
public interface SpokenSounds {

    /** Of nothing. */
    SpokenSounds NONE = (words, tag) -> Optional.empty();

    /**
     * @param words a word or some
     * @param tag   BCP 47
     * @return in letters of the International Phonetic Alphabet, stress before its syllable; empty where nobody knows
     */
    Optional<String> of(String words, String tag);
}
