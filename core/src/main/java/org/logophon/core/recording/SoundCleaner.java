package org.logophon.core.recording;

import java.io.IOException;
import org.logophon.core.sound.Sound;

/** Cleans recordings. What it is given stays as it is. */
public interface SoundCleaner {

    /** @throws IOException with a sentence when it can't be done */
    Sound clean(Sound sound, Cleaning cleaning) throws IOException;
}
