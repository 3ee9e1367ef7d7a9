package org.logophon.core.voice.finish;

import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.SoundSource;

/**
 * The gain and limiting that bring a sound to its loudness below the ceiling of its peaks, found by measuring it.
 *
 * @param gainDb   that it is raised by
 * @param ceiling  factor of full scale that a limiter keeps its true peaks under; 0 where no limiter is needed
 * @param rest     factor that is left to take off the whole after the limiter
 * @param loudness that comes of it
 * @param truePeak that comes of it, factor of full scale
 */
record Level(double gainDb, double ceiling, double rest, Loudness loudness, double truePeak) {

    /** A limiter at work takes loudness away; the gain is raised until the clip is this close to what was asked. */
    private static final double CLOSE_LU = 0.05;

    private static final int MOST_CORRECTIONS = 8;

    boolean limited() {
        return ceiling > 0;
    }

    /** @param offsetDb loudness of the cue against the target */
    static Level of(SoundSource sound, FinishSettings settings, double offsetDb) {
        Measured own = Measured.of(sound);
        double ceiling = Decibels.toFactor(settings.ceilingDbtp());
        boolean asItIs = settings.targetLufs() == null || own.loudness().silent();
        double wanted = (asItIs ? own.loudness().lufs() : settings.targetLufs()) + offsetDb;
        double gainDb = own.loudness().silent() ? 0 : wanted - own.loudness().lufs();
        if (own.truePeak() * Decibels.toFactor(gainDb) <= ceiling) {
            // gain moves loudness and peak by exactly itself
            return new Level(gainDb, 0, 1, own.moved(gainDb), own.truePeak() * Decibels.toFactor(gainDb));
        }
        for (int i = 0; ; i++) {
            Level limiting = new Level(gainDb, ceiling, 1, own.loudness(), own.truePeak());
            Measured got = Measured.of(new LevelledSource(sound, limiting));
            double rest = got.truePeak() > ceiling ? ceiling / got.truePeak() : 1;
            Loudness loudness = got.moved(Decibels.ofFactor(rest));
            if (Math.abs(loudness.lufs() - wanted) < CLOSE_LU || i == MOST_CORRECTIONS) {
                return new Level(gainDb, ceiling, rest, loudness, got.truePeak() * rest);
            }
            gainDb += wanted - loudness.lufs();
        }
    }

    private record Measured(Loudness loudness, double truePeak) {

        static Measured of(SoundSource sound) {
            LoudnessMeter loudness = new LoudnessMeter(sound.rate(), 1);
            TruePeak peak = new TruePeak();
            sound.readAll((samples, count) -> {
                loudness.add(samples, count);
                peak.add(samples, count);
            });
            return new Measured(loudness.loudness(), peak.end());
        }

        Loudness moved(double decibels) {
            return new Loudness(loudness.lufs() + decibels, loudness.gated());
        }
    }
}
