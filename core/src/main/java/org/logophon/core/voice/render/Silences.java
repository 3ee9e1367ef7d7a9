package org.logophon.core.voice.render;

import java.util.List;
import org.logophon.core.signal.sound.Sound;

/** The silences of a take between its words, as a pause that is asked for finds it. */
public final class Silences {

    private Silences() {}

    /** @return samples of silence after each word but the last; 0 where one runs into the next */
    public static int[] between(Sound sound, List<WordTime> words) {
        RestRenderer rests = new RestRenderer(sound, words);
        int[] silent = new int[Math.max(0, words.size() - 1)];
        for (int i = 0; i < silent.length; i++) {
            silent[i] = rests.silence(i).length();
        }
        return silent;
    }
}
