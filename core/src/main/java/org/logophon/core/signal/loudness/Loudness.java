package org.logophon.core.signal.loudness;

/**
 * A measured loudness.
 *
 * @param lufs  LUFS (= LKFS), −∞ for silence
 * @param gated false when the sound was under 400 ms, too short for one block of BS.1770: then the plain mean
 */
public record Loudness(double lufs, boolean gated) {

    public boolean silent() {
        return lufs == Double.NEGATIVE_INFINITY;
    }
}
