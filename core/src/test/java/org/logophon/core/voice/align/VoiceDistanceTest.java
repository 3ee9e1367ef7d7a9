package org.logophon.core.voice.align;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.logophon.core.signal.prosody.Shape;
import org.logophon.core.signal.prosody.VoiceReshaper;
import org.logophon.core.signal.sound.Hums;
import org.logophon.core.signal.sound.Sound;

/** Made-up voices that say the same, one of them with another throat. */
class VoiceDistanceTest {

    /** @param first of nine words, which come in another order for each */
    private static Sound said(int first, double pitch, double seconds) {
        Hums hums = new Hums(pitch, 16_000);
        for (int word = 0; word < 9; word++) {
            hums.word((first + (first + 1) * word) % 9, word, seconds);
        }
        return hums.sound();
    }

    @Test
    void neitherPaceNorLoudnessTellsVoicesApart() {
        Sound voice = said(0, 120, 0.3);
        double otherWords = VoiceDistance.of(voice, said(3, 120, 0.3)).distance();
        assertThat(VoiceDistance.of(voice, said(0, 120, 0.4)).distance()).isLessThan(otherWords / 2);
        assertThat(VoiceDistance.of(voice, voice.amplified(0.25)).distance()).isLessThan(otherWords / 20);
    }

    @Test
    void anotherThroatIsFoundByWhatItMovesResonances() {
        Sound voice = said(0, 120, 0.3);
        assertThat(VoiceDistance.of(voice, voice).timbreSemitones()).isZero();
        Sound shorter = VoiceReshaper.reshape(voice, new Shape(1, 0, 0, 2));
        assertThat(VoiceDistance.of(voice, shorter).timbreSemitones()).isBetween(1, 3);
    }
}
