package org.logophon.core.voice.finish;

import org.logophon.core.input.InvalidInput;

/**
 * The settings by which clips are finished.
 *
 * @param targetLufs  loudness to bring speech to, −60…0; null leaves it as rendered
 * @param ceilingDbtp true peak that no clip passes
 * @param rate        samples a second of the clip
 * @param headMillis  silence before the speech
 * @param tailMillis  silence after it
 */
public record FinishSettings(Double targetLufs, double ceilingDbtp, int rate, int headMillis, int tailMillis) {

    /** −19 LUFS in one channel: as loud as −16 when panned to two. Common practice, no source. */
    public static final double DEFAULT_TARGET_LUFS = -19;
    /** EBU R 128 (2023): at most −1 dBTP. */
    public static final double CEILING_DBTP = -1;
    /** How close to its target a clip comes; only the ceiling may keep it quieter. */
    public static final double LOUDNESS_PROMISE_LU = 0.5;
    /** Rounding of a meter's reading at the ceiling. */
    private static final double CEILING_TOLERANCE_DB = 0.01;
    /** Video practice. */
    public static final int RATE = 48_000;

    public FinishSettings {
        if (targetLufs != null && !(targetLufs >= -60 && targetLufs <= 0)) {
            throw new InvalidInput("The target loudness goes from -60 to 0 LUFS, and " + targetLufs + " is outside.");
        }
    }

    /** True when a true peak is under the ceiling. */
    public static boolean keepsCeiling(double truePeakDbtp) {
        return truePeakDbtp <= CEILING_DBTP + CEILING_TOLERANCE_DB;
    }

    public static FinishSettings to(Double targetLufs) {
        return new FinishSettings(targetLufs, CEILING_DBTP, RATE, 0, 0);
    }

    /** The same without a change of rate, for playing. */
    public FinishSettings atRate(int samplesPerSecond) {
        return new FinishSettings(targetLufs, ceilingDbtp, samplesPerSecond, headMillis, tailMillis);
    }
}
