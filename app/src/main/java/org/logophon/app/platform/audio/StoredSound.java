package org.logophon.app.platform.audio;

import java.util.UUID;
import org.logophon.core.time.programme.SampleCount;

/**
 * A sound in the store.
 *
 * @param rate    samples a second
 * @param samples how many it has
 * @param bits    of each: 16, or 24 of what people record
 */
public record StoredSound(UUID id, int rate, long samples, int bits) {

    public double seconds() {
        return samples / (double) rate;
    }

    /** Its length in a programme. */
    public SampleCount length() {
        return SampleCount.converted(samples, rate);
    }
}
