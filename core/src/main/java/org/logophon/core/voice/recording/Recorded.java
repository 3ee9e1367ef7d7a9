package org.logophon.core.voice.recording;

import java.util.List;
import java.util.Optional;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.render.Phone;
import org.logophon.core.voice.render.WordTime;

/**
 * A recording with its words.
 *
 * @param text  that it says
 * @param words when each of them sounds
 */
public record Recorded(Sound sound, String text, List<WordTime> words, List<Phone> phones) {

    public Recorded {
        words = List.copyOf(words);
        phones = List.copyOf(phones);
    }

    /** Where recordings are kept. */
    @FunctionalInterface
    public interface Store {

        Optional<Recorded> find(String recording);
    }
}
