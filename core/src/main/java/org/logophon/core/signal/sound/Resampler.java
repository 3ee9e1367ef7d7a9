package org.logophon.core.signal.sound;

/** Changes the sample rate of a sound without changing what is heard. */
public interface Resampler {

    /**
     * @param rate wanted samples a second
     * @return the same sound; its length is rounded to whole samples
     */
    Sound resample(Sound sound, int rate);
}
