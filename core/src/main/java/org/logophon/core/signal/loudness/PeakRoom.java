package org.logophon.core.signal.loudness;

import org.logophon.core.signal.sound.Loudest;

/**
 * Room for one sound beside another under a ceiling: where the two together would pass it, the one gives way and the
 * other stays as it is. The largest true peak of a sum is at most the sum of the largest ones. Works on windows like
 * {@link PeakLimiter}.
 */
public final class PeakRoom {

    /**
     * A changing gain moves peaks between samples: what was much too loud is looked at again, and what is left then is
     * a hair. Ours.
     */
    private static final int LOOKS = 3;

    private static final double HAIR = Math.pow(10, -0.05 / 20);

    private final int reach;
    private final double ceiling;

    /** @param ceiling factor of full scale that no true peak of the sum shall pass */
    public PeakRoom(int rate, double ceiling) {
        this.reach = PeakLimiter.reach(rate);
        this.ceiling = ceiling * HAIR;
    }

    /** Samples on each side that have a say in what becomes of one. */
    public int margin() {
        return LOOKS * PeakLimiter.margin(reach);
    }

    /** @param first stays as it is. @return the second, where need be quieter */
    public float[] beside(float[] first, float[] second) {
        double most = Loudest.of(first, 0, first.length) + Loudest.of(second, 0, second.length);
        if (most * TruePeak.MOST_GAIN <= ceiling) {
            return second;
        }
        float[] peaks = new float[first.length];
        TruePeak.envelope(first, peaks);
        float[] given = second;
        float[] gain = new float[second.length];
        for (int look = 0; look < LOOKS; look++) {
            TruePeak.envelope(given, gain);
            boolean over = false;
            for (int i = 0; i < gain.length; i++) {
                double room = Math.max(0, ceiling - peaks[i]);
                over |= gain[i] > room;
                gain[i] = gain[i] > room ? (float) (room / gain[i]) : 1;
            }
            if (!over) {
                return given;
            }
            given = PeakLimiter.times(given, gain, reach);
        }
        return given;
    }
}
