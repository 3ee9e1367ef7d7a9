package org.logophon.speech;

import org.logophon.core.voice.Making;
import org.logophon.core.voice.Voice;

/**
 * How much of a pace is asked of engines that stretch their sounds. What was learned from recordings blurs when it hurries
 * and when it drags: its plain speech made shorter or longer in the signal is understood better. Over five clear voices and
 * the passage of 232 words a recogniser (pocketsphinx 0.8+5prealpha+1-15) missed, in per cent: at pace 150 by the engine
 * 16.6, in the signal 13.5, by Praat's overlap-add 13.0, by SoX's tempo 14.4; at pace 80 8.8, 8.9, 7.9 and 7.5, and 7.7 where
 * the one voice of joined half-sounds, which drags well, is asked for it.
 */
final class PaceShare {

    private PaceShare() {}

    /** @param paceFactor that is wanted @return what to ask for */
    static double of(Voice voice, double paceFactor) {
        return voice.making() == Making.DIPHONE ? Math.min(1, paceFactor) : 1;
    }
}
