package org.logophon.core.finish;

import java.util.List;
import org.logophon.core.loudness.Loudness;
import org.logophon.core.loudness.LoudnessMeter;
import org.logophon.core.loudness.PeakLimiter;
import org.logophon.core.loudness.TruePeak;
import org.logophon.core.render.Speech;
import org.logophon.core.render.WordTime;
import org.logophon.core.sound.Decibels;
import org.logophon.core.sound.Resampler;
import org.logophon.core.sound.Sound;

/**
 * From speech to clip: trim to the speech, convert the rate, bring to the target loudness with the role's and the cue's
 * own offset, limit the true peak, add head and tail. The rate comes first so that loudness and peak are measured on
 * the
 * very samples that are delivered.
 */
public final class ClipFinisher {

    /** A limiter at work takes loudness away; the gain is raised until the clip is this close to what was asked. */
    private static final double CLOSE_LU = 0.05;

    private static final int MOST_CORRECTIONS = 8;

    private final Resampler resampler;

    public ClipFinisher(Resampler resampler) {
        this.resampler = resampler;
    }

    /** @param offsetDb loudness of the cue against the target: −3 is 3 dB under its neighbours */
    public Clip finish(Speech speech, FinishSettings settings, double offsetDb) {
        Speech spoken = speech.trimmed();
        Sound trimmed = spoken.sound();
        Sound converted = trimmed.rate() == settings.rate() ? trimmed : resampler.resample(trimmed, settings.rate());
        Levelled levelled = level(converted, settings, offsetDb);
        Sound clip = padded(levelled.sound(), settings);
        double headSeconds = settings.headMillis() / 1000.0;
        return new Clip(
                clip,
                times(spoken.words(), trimmed.rate(), headSeconds, clip.seconds()),
                levelled.loudness(),
                Decibels.ofFactor(levelled.truePeak()));
    }

    private record Levelled(Sound sound, Loudness loudness, double truePeak) {}

    private static Levelled level(Sound sound, FinishSettings settings, double offsetDb) {
        Loudness own = LoudnessMeter.of(sound);
        double ownPeak = TruePeak.of(sound.samples());
        double ceiling = Decibels.toFactor(settings.ceilingDbtp());
        double wanted = (settings.targetLufs() == null || own.silent() ? own.lufs() : settings.targetLufs()) + offsetDb;
        double gainDb = own.silent() ? 0 : wanted - own.lufs();
        if (ownPeak * Decibels.toFactor(gainDb) <= ceiling) {
            // gain moves loudness and peak by exactly itself
            return new Levelled(
                    sound.amplified(Decibels.toFactor(gainDb)),
                    new Loudness(own.lufs() + gainDb, own.gated()),
                    ownPeak * Decibels.toFactor(gainDb));
        }
        for (int i = 0; ; i++) {
            Sound limited = PeakLimiter.limit(sound.amplified(Decibels.toFactor(gainDb)), ceiling);
            Loudness got = LoudnessMeter.of(limited);
            if (Math.abs(got.lufs() - wanted) < CLOSE_LU || i == MOST_CORRECTIONS) {
                return new Levelled(limited, got, TruePeak.of(limited.samples()));
            }
            gainDb += wanted - got.lufs();
        }
    }

    private static Sound padded(Sound sound, FinishSettings settings) {
        int head = (int) ((long) settings.headMillis() * sound.rate() / 1000);
        int tail = (int) ((long) settings.tailMillis() * sound.rate() / 1000);
        if (head + tail == 0) {
            return sound;
        }
        float[] out = new float[head + sound.samples().length + tail];
        System.arraycopy(sound.samples(), 0, out, head, sound.samples().length);
        return new Sound(out, sound.rate());
    }

    private static List<Clip.TimedWord> times(List<WordTime> words, int rate, double offset, double seconds) {
        return words.stream()
                .map(w -> new Clip.TimedWord(
                        w.start(),
                        w.end(),
                        within(w.startSample() / (double) rate + offset, seconds),
                        within(w.endSample() / (double) rate + offset, seconds)))
                .toList();
    }

    private static double within(double time, double seconds) {
        return Math.max(0, Math.min(seconds, time));
    }
}
