package org.logophon.core.voice.render;

import org.logophon.core.voice.render.Utterance.PhonemeStart;

/**
 * Engines tell of a stop when it bursts; lips and tongue have closed before. The closure is heard: it is the quiet
 * before the burst, back to where the sound before it ends.
 */
final class Closures {

    private static final String STOPS = "pbtdkɡgqcʈɖʔ";
    /** Quieter than this share of what comes before, nothing is open. */
    private static final double QUIET = 0.08;

    private static final double STEP_SECONDS = 0.0025;
    private static final double LONGEST_SECONDS = 0.150;
    /** After a pause nobody hears when the lips close: so long before the burst, by habit. Ours. */
    private static final double AFTER_PAUSE_SECONDS = 0.060;

    private Closures() {}

    /** @return where each sound starts, in samples: stops where they close */
    static int[] starts(Utterance utterance) {
        float[] x = utterance.sound().samples();
        int rate = utterance.sound().rate();
        int[] starts = new int[utterance.phonemes().size()];
        for (int i = 0; i < starts.length; i++) {
            PhonemeStart phoneme = utterance.phonemes().get(i);
            starts[i] = Math.max(i == 0 ? 0 : starts[i - 1], Math.min(x.length, phoneme.sample()));
            if (!phoneme.ipa().isEmpty() && STOPS.indexOf(phoneme.ipa().charAt(0)) >= 0) {
                int before = i == 0 ? 0 : starts[i - 1];
                boolean paused = i == 0 || utterance.phonemes().get(i - 1).silent();
                int least = starts[i] - (int) ((paused ? AFTER_PAUSE_SECONDS : LONGEST_SECONDS) * rate);
                starts[i] =
                        closed(x, Math.max(before, least), starts[i], Math.max(1, (int) (STEP_SECONDS * rate)), paused);
            }
        }
        return starts;
    }

    private static int closed(float[] x, int from, int burst, int step, boolean paused) {
        double limit = paused ? Double.MAX_VALUE : QUIET * loudest(x, from, burst);
        int at = burst;
        while (at - step >= from && loudest(x, at - step, at) < limit) {
            at -= step;
        }
        return at;
    }

    private static double loudest(float[] x, int from, int to) {
        double loudest = 0;
        for (int i = from; i < to; i++) {
            loudest = Math.max(loudest, Math.abs(x[i]));
        }
        return loudest;
    }
}
