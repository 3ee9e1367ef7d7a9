package org.logophon.core.voice.recording;

import java.util.Arrays;
import org.logophon.core.signal.pitch.PitchTrack;

/**
 * A melody without holes: where nothing is voiced, the line goes straight from what was to what comes; single values
 * that leap by an octave are measured wrong and go along.
 */
final class MelodyLine {

    private static final int AROUND = 2;
    /** A value so far from what is voiced within a quarter of a second around it is an octave of it, or noise. */
    private static final double LEAP_SEMITONES = 5;

    private static final int NEAR = 25;

    private MelodyLine() {}

    /** @return Hz for each hop; 0 all through when nothing is voiced */
    static double[] of(PitchTrack track) {
        float[] hertz = track.hertz().clone();
        for (int i = 0; i < hertz.length; i++) {
            float near = track.hertz()[i] == 0 ? 0 : median(track.hertz(), i, NEAR);
            if (near > 0 && Math.abs(PitchTrack.semitones(near, track.hertz()[i])) > LEAP_SEMITONES) {
                hertz[i] = 0;
            }
        }
        double[] line = new double[hertz.length];
        for (int i = 0; i < line.length; i++) {
            line[i] = hertz[i] == 0 ? 0 : median(hertz, i, AROUND);
        }
        int before = -1;
        for (int i = 0; i < line.length; i++) {
            if (line[i] == 0) {
                continue;
            }
            for (int k = before + 1; k < i; k++) {
                line[k] = before < 0
                        ? line[i]
                        : line[before] * Math.pow(line[i] / line[before], (k - before) / (double) (i - before));
            }
            before = i;
        }
        for (int k = before + 1; before >= 0 && k < line.length; k++) {
            line[k] = line[before];
        }
        return line;
    }

    /** Of the voiced values beside it. */
    private static float median(float[] hertz, int at, int around) {
        float[] near = new float[2 * around + 1];
        int count = 0;
        for (int i = Math.max(0, at - around); i <= Math.min(hertz.length - 1, at + around); i++) {
            if (hertz[i] > 0) {
                near[count++] = hertz[i];
            }
        }
        Arrays.sort(near, 0, count);
        return near[count / 2];
    }
}
