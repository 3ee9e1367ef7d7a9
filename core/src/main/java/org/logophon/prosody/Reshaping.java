package org.logophon.prosody;

import org.logophon.pitch.PitchMeter;
import org.logophon.pitch.PitchTrack;
import org.logophon.sound.Sound;

/**
 * Gives speech another pace, pitch, range or timbre. Grains of two periods are cut around pitch marks and laid down again:
 * their new spacing is the pitch, how often each is used is the pace, and reading a grain faster or slower moves the
 * formants. Where nothing is asked of it, it gives back the very samples.
 *
 * <p>Good within ±6 semitones and 60–160 % pace; further it works and is heard.
 */
public final class Reshaping {

    private static final double HALF_PI = Math.PI / 2;

    private final float[] x;
    private final int rate;
    private final PitchMarks marks;
    private final double median;
    private final Shape shape;
    private final double formants;
    private final float[] out;

    private Reshaping(Sound sound, PitchTrack track, Shape shape) {
        this.x = sound.samples();
        this.rate = sound.rate();
        this.marks = PitchMarks.of(sound, track);
        this.median = track.medianHz();
        this.shape = shape;
        this.formants = Math.pow(2, shape.timbreSemitones() / 12);
        this.out = new float[(int) Math.round(x.length / shape.paceFactor())];
    }

    public static Sound reshape(Sound sound, Shape shape) {
        return shape.changesNothing() || sound.samples().length == 0 ? sound : reshape(sound, PitchMeter.track(sound), shape);
    }

    /** @param track the sound's own pitch, measured before */
    public static Sound reshape(Sound sound, PitchTrack track, Shape shape) {
        if (shape.changesNothing() || sound.samples().length == 0) {
            return sound;
        }
        Reshaping work = new Reshaping(sound, track, shape);
        work.run();
        return new Sound(work.out, sound.rate());
    }

    private void run() {
        double place = 0;
        int mark = 0;
        int used = -1;
        int times = 0;
        while (place < out.length + rate * 0.01) {
            double source = place * shape.paceFactor();
            while (mark + 1 < marks.count() && Math.abs(marks.at()[mark + 1] - source) <= Math.abs(marks.at()[mark] - source)) {
                mark++;
            }
            times = mark == used ? times + 1 : 0;
            used = mark;
            boolean voiced = marks.hertz()[mark] > 0;
            // an unvoiced grain used again is laid down backwards: the same noise twice would ring
            lay(mark, place, !voiced && times % 2 == 1);
            place += Math.max(1, voiced ? spacing(mark) * marks.hertz()[mark] / pitch(marks.hertz()[mark]) : spacing(mark));
        }
    }

    /** A mark's way to the next: a period, or the step that keeps the texture of noise. */
    private double spacing(int mark) {
        return mark + 1 < marks.count() ? marks.at()[mark + 1] - marks.at()[mark] : rate * 0.005;
    }

    private double pitch(double hertz) {
        double ranged = median * Math.pow(hertz / median, shape.rangeFactor());
        return ranged * Math.pow(2, shape.semitones() / 12);
    }

    /** Adds a grain: half a raised cosine from the mark before, half to the mark after, so that grains at their own places add up to the sound. */
    private void lay(int mark, double place, boolean backwards) {
        int centre = marks.at()[mark];
        double left = mark > 0 ? centre - marks.at()[mark - 1] : 1;
        double right = mark + 1 < marks.count() ? marks.at()[mark + 1] - centre : 1;
        double before = (backwards ? right : left) / formants;
        double after = (backwards ? left : right) / formants;
        int from = (int) Math.max(0, Math.ceil(place - before));
        int to = (int) Math.min(out.length - 1.0, Math.floor(place + after));
        for (int i = from; i <= to; i++) {
            double away = i - place;
            double weight = Math.cos(HALF_PI * away / (away < 0 ? before : after));
            double source = centre + (backwards ? -away : away) * formants;
            out[i] += (float) (weight * weight * read(source));
        }
    }

    /** The wave between its samples, by a cubic through four of them (Catmull and Rom). */
    private float read(double at) {
        int i = (int) Math.floor(at);
        float t = (float) (at - i);
        if (t < 1e-6f) {
            return sample(i);
        }
        float a = sample(i - 1);
        float b = sample(i);
        float c = sample(i + 1);
        float d = sample(i + 2);
        return b + 0.5f * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
    }

    private float sample(int i) {
        return i < 0 || i >= x.length ? 0 : x[i];
    }
}
