package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;

/** Lays pieces of speech one after the other, without the quiet around each. */
final class SoundJoiner {

    /** Kept of a piece's own quiet on both sides, so that soft starts and ends stay whole. */
    private static final double EDGE_SECONDS = 0.010;

    private final int rate;
    private final List<Sound> sounds = new ArrayList<>();
    private int length;

    SoundJoiner(int rate) {
        this.rate = rate;
    }

    /** Where a piece has come to lie. @param moved samples that it lies later than in its own sound */
    record Laid(int moved, int start, int end) {

        int at(int sample) {
            return Math.max(start, Math.min(end, sample + moved));
        }
    }

    /** @param restSeconds before it; nothing before the first one */
    Laid add(Sound piece, double restSeconds, double gainDb) {
        if (piece.rate() != rate) {
            throw new IllegalArgumentException("Pieces are joined at one rate.");
        }
        int rest = sounds.isEmpty() ? 0 : (int) Math.round(restSeconds * rate);
        if (rest > 0) {
            sounds.add(new Sound(new float[rest], rate));
            length += rest;
        }
        SpeechSpan span = SpeechSpan.of(piece).widened(EDGE_SECONDS, piece);
        sounds.add(piece.cut(span.from(), span.to()).amplified(Decibels.toFactor(gainDb)));
        Laid laid = new Laid(length - span.from(), length, length + span.to() - span.from());
        length = laid.end();
        return laid;
    }

    Sound sound() {
        float[] samples = new float[length];
        int at = 0;
        for (Sound sound : sounds) {
            System.arraycopy(sound.samples(), 0, samples, at, sound.samples().length);
            at += sound.samples().length;
        }
        return new Sound(samples, rate);
    }

    /** K-weighted loudness of its speech; NaN for silence. */
    static double level(Sound piece) {
        SpeechSpan span = SpeechSpan.of(piece);
        Loudness loudness = LoudnessMeter.of(piece.cut(span.from(), span.to()));
        return loudness.silent() ? Double.NaN : loudness.lufs();
    }

    /** Mean of levels by length, so that a short piece doesn't pull the long ones; NaN when all are silent. */
    static double mean(List<Sound> pieces) {
        double sum = 0;
        double seconds = 0;
        for (Sound piece : pieces) {
            double level = level(piece);
            if (!Double.isNaN(level)) {
                sum += level * piece.seconds();
                seconds += piece.seconds();
            }
        }
        return seconds == 0 ? Double.NaN : sum / seconds;
    }

    /** Decibels from one level to another, as far as is sensible. */
    static double gain(double level, double target, double most) {
        return Double.isNaN(level) || Double.isNaN(target) ? 0 : Math.max(-most, Math.min(most, target - level));
    }
}
