package org.logophon.core.voice.align;

import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;

/**
 * The distance of two voices that say the same words, and by how much the first one's
 * resonances would be moved to come nearest.
 *
 * @param distance        mean distance of mel-cepstra on the path; only of use beside other voices' distances
 * @param timbreSemitones −3 to +3: over 0 the other has a shorter vocal tract
 */
public record VoiceDistance(double distance, int timbreSemitones) {

    private static final int MOST_SEMITONES = 3;
    /** Every so many steps are enough for a mean. */
    private static final int EVERY = 2;

    public static VoiceDistance of(Sound voice, Sound person) {
        double highest = MelCepstra.highestHertz(Math.min(voice.rate(), person.rate()));
        float[][] asked = thinned(MelCepstra.of(speech(person), highest));
        MelCepstra.Spectra own = MelCepstra.Spectra.of(speech(voice), MelCepstra.STEP_SECONDS);
        VoiceDistance best = new VoiceDistance(Double.MAX_VALUE, 0);
        for (int semitones = -MOST_SEMITONES; semitones <= MOST_SEMITONES; semitones++) {
            float[][] steps = thinned(MelCepstra.of(own, highest, Math.pow(2, semitones / 12.0)));
            int[] path = Warp.path(steps, asked);
            double sum = 0;
            for (int i = 0; i < steps.length; i++) {
                sum += Warp.distance(steps[i], asked[Math.min(asked.length - 1, (path[i] + path[i + 1]) / 2)]);
            }
            if (sum / steps.length < best.distance()) {
                best = new VoiceDistance(sum / steps.length, semitones);
            }
        }
        return best;
    }

    private static Sound speech(Sound sound) {
        SpeechSpan span = SpeechSpan.of(sound);
        return sound.cut(span.from(), span.to());
    }

    private static float[][] thinned(MelCepstra steps) {
        float[][] thinned = new float[(steps.frames().length + EVERY - 1) / EVERY][];
        for (int i = 0; i < thinned.length; i++) {
            thinned[i] = steps.frames()[EVERY * i];
        }
        return thinned;
    }
}
