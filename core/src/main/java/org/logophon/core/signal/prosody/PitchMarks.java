package org.logophon.core.signal.prosody;

import java.util.Arrays;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;

/**
 * Where grains are centred: one mark a period in voiced speech, each at the same point of its period, and one every 5
 * ms
 * elsewhere.
 *
 * @param at     samples, rising; the first is 0 and the last the sound's length
 * @param hertz  the pitch around a mark, 0 where nothing is voiced
 */
record PitchMarks(int[] at, float[] hertz) {

    private static final double UNVOICED_SECONDS = 0.005;
    /** How far a period may differ from the one before it. */
    private static final double GIVE = 0.25;
    /** Holes in the voicing this short are a slip of the meter, not of the voice. */
    private static final int SHORT_HOLE = 3;

    static PitchMarks of(Sound sound, PitchTrack track) {
        float[] hertz = bridged(track.hertz());
        Builder marks = new Builder(sound);
        int hop = 0;
        while (hop < hertz.length) {
            int end = hop + 1;
            while (end < hertz.length && hertz[end] > 0 == hertz[hop] > 0) {
                end++;
            }
            if (hertz[hop] > 0) {
                marks.voiced(hertz, hop, end);
            }
            hop = end;
        }
        return marks.done();
    }

    private static float[] bridged(float[] track) {
        float[] hertz = track.clone();
        int last = -1;
        for (int i = 0; i < hertz.length; i++) {
            if (hertz[i] > 0) {
                if (last >= 0
                        && i - last > 1
                        && i - last <= SHORT_HOLE + 1
                        && Math.abs(Math.log(hertz[i] / hertz[last])) < GIVE) {
                    Arrays.fill(hertz, last + 1, i, (hertz[i] + hertz[last]) / 2);
                }
                last = i;
            }
        }
        return hertz;
    }

    int count() {
        return at.length;
    }

    private static final class Builder {

        private final float[] x;
        private final int rate;
        private int[] at = new int[1024];
        private float[] hertz = new float[1024];
        private int count;

        Builder(Sound sound) {
            this.x = sound.samples();
            this.rate = sound.rate();
            add(0, 0);
        }

        /** From the loudest period of a voiced stretch to both of its ends, each period laid over the one before. */
        void voiced(float[] track, int fromHop, int toHop) {
            int from = Math.max(at[count - 1] + 1, (int) (fromHop * PitchTrack.HOP_SECONDS * rate));
            int to = Math.min(x.length, (int) (toHop * PitchTrack.HOP_SECONDS * rate));
            if (to - from < rate / 500) {
                return;
            }
            int loudest = from;
            for (int i = from; i < to; i++) {
                loudest = Math.abs(x[i]) > Math.abs(x[loudest]) ? i : loudest;
            }
            int[] before = new int[(to - from) * 500 / rate + 2];
            int back = 0;
            for (int i = loudest; (i = next(i, -1, track)) >= from && back < before.length; ) {
                before[back++] = i;
            }
            fill(back > 0 ? before[back - 1] : loudest);
            while (back > 0) {
                add(before[--back], pitch(before[back], track));
            }
            add(loudest, pitch(loudest, track));
            for (int i = loudest; (i = next(i, 1, track)) < to; ) {
                add(i, pitch(i, track));
            }
        }

        private float pitch(int sample, float[] track) {
            int hop = Math.min(track.length - 1, (int) (sample / (PitchTrack.HOP_SECONDS * rate)));
            for (int reach = 0; reach < track.length; reach++) {
                if (hop - reach >= 0 && track[hop - reach] > 0) {
                    return track[hop - reach];
                }
                if (hop + reach < track.length && track[hop + reach] > 0) {
                    return track[hop + reach];
                }
            }
            throw new IllegalStateException("A voiced stretch without a pitch.");
        }

        /** The sample about a period on (or back) around which the wave is most like that around this one. */
        private int next(int sample, int way, float[] track) {
            int period = Math.round(rate / pitch(sample, track));
            int reach = Math.max(1, (int) (period * GIVE));
            int half = period / 2;
            int best = sample + way * period;
            double most = Double.NEGATIVE_INFINITY;
            for (int candidate = sample + way * period - reach;
                    candidate <= sample + way * period + reach;
                    candidate++) {
                if (candidate - half < 0
                        || candidate + half >= x.length
                        || sample - half < 0
                        || sample + half >= x.length) {
                    continue;
                }
                float alike = 0;
                float own = 1e-9f;
                for (int i = -half; i <= half; i++) {
                    alike += x[sample + i] * x[candidate + i];
                    own += x[candidate + i] * x[candidate + i];
                }
                double score = alike / Math.sqrt(own);
                if (score > most) {
                    most = score;
                    best = candidate;
                }
            }
            return best;
        }

        private void fill(int to) {
            int step = (int) (UNVOICED_SECONDS * rate);
            for (int i = at[count - 1] + step; i < to - step / 2; i += step) {
                add(i, 0);
            }
        }

        private void add(int sample, float pitch) {
            if (count > 0 && sample <= at[count - 1]) {
                return;
            }
            if (count == at.length) {
                at = Arrays.copyOf(at, 2 * count);
                hertz = Arrays.copyOf(hertz, 2 * count);
            }
            at[count] = sample;
            hertz[count++] = pitch;
        }

        PitchMarks done() {
            fill(x.length);
            add(x.length, 0);
            return new PitchMarks(Arrays.copyOf(at, count), Arrays.copyOf(hertz, count));
        }
    }
}
