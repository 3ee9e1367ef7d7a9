package org.logophon.app.audio;

import java.util.UUID;
import org.logophon.core.programme.SampleCount;

/**
 * A sound in the store.
 *
 * @param rate    samples a second
 * @param samples how many it has
 */
public record StoredSound(UUID id, int rate, long samples) {

    public double seconds() {
        return samples / (double) rate;
    }

    /** Its length in a programme. */
    public SampleCount length() {
        return SampleCount.converted(samples, rate);
    }
}
