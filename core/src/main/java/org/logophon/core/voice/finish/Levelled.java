package org.logophon.core.voice.finish;

import org.logophon.core.signal.sound.SoundSource;

/** Brings a finished sound under a lower ceiling at the loudness that it has. */
public final class Levelled {

    private Levelled() {}

    /** @param lufs loudness to keep. @param ceilingDbtp true peak that it shall not pass */
    public static SoundSource to(SoundSource sound, double lufs, double ceilingDbtp) {
        FinishSettings settings = new FinishSettings(
                Double.isFinite(lufs) ? Double.valueOf(lufs) : null, ceilingDbtp, sound.rate(), 0, 0);
        return new LevelledSource(sound, Level.of(sound, settings, 0));
    }
}
