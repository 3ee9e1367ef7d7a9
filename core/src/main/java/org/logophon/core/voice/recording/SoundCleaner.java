package org.logophon.core.voice.recording;

import java.io.IOException;
import org.logophon.core.signal.sound.Sound;

/** Cleans recordings. What it is given stays as it is. */
public interface SoundCleaner {

    /** @throws IOException with a sentence when it can't be done */
    Sound clean(Sound sound, Cleaning cleaning) throws IOException;
}
