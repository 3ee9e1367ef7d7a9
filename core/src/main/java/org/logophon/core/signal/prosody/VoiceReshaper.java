package org.logophon.core.signal.prosody;

import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;

/**
 * Gives speech another pace, pitch, range or timbre. Grains of two periods are cut around pitch marks and laid down
 * again:
 * their new spacing is the pitch, how often each is used is the pace, and reading a grain faster or slower moves the
 * formants. Where nothing is asked of it, it gives back the very samples.
 *
 * <p>Good within ±6 semitones and 60–160 % pace; further it works and is heard.
 */
public final class VoiceReshaper {

    private static final double HALF_PI = Math.PI / 2;

    private final Sound sound;
    private final float[] x;
    private final int rate;
    private final PitchMarks marks;
    private final double median;

    /**
     * Finds the periods of a sound, once for as many shapes as are tried.
     *
     * @param track the sound's own pitch, measured before
     */
    public VoiceReshaper(Sound sound, PitchTrack track) {
        this.sound = sound;
        this.x = sound.samples();
        this.rate = sound.rate();
        this.marks = PitchMarks.of(sound, track);
        this.median = track.medianHz();
    }

    public static Sound reshape(Sound sound, Shape shape) {
        return shape.changesNothing() || sound.samples().length == 0
                ? sound
                : reshape(sound, PitchMeter.track(sound), shape);
    }

    /** @param track the sound's own pitch, measured before */
    public static Sound reshape(Sound sound, PitchTrack track, Shape shape) {
        return shape.changesNothing() || sound.samples().length == 0
                ? sound
                : new VoiceReshaper(sound, track).to(Contour.of(shape, sound.samples().length, sound.rate()));
    }

    /** @param contour of the sound's own length */
    public Sound to(Contour contour) {
        if (contour.length() != x.length) {
            throw new IllegalArgumentException("A contour is as long as its sound.");
        }
        if (contour.changesNothing() || x.length == 0) {
            return sound;
        }
        float[] out = new float[contour.laidLength()];
        double place = 0;
        int mark = 0;
        int used = -1;
        int times = 0;
        while (place < out.length + rate * 0.01) {
            double source = contour.source(place);
            while (mark + 1 < marks.count()
                    && Math.abs(marks.at()[mark + 1] - source) <= Math.abs(marks.at()[mark] - source)) {
                mark++;
            }
            times = mark == used ? times + 1 : 0;
            used = mark;
            boolean voiced = marks.hertz()[mark] > 0;
            Shape shape = contour.at(marks.at()[mark]);
            double formants = Math.pow(2, shape.timbreSemitones() / 12);
            // an unvoiced grain used again is laid down backwards: the same noise twice would ring
            lay(out, mark, place, formants, !voiced && times % 2 == 1);
            double spacing = spacing(mark);
            // toward a monotone the periods themselves are evened out; away from it the line of the pitch is followed,
            // or their jitter would grow with it
            double hertz = shape.rangeFactor() < 1 ? rate / spacing : marks.hertz()[mark];
            place += Math.max(1, voiced ? spacing * hertz / contour.pitch(marks.at()[mark], hertz, median) : spacing);
        }
        return new Sound(out, rate);
    }

    /** A mark's way to the next: a period, or the step that keeps the texture of noise. */
    private double spacing(int mark) {
        return mark + 1 < marks.count() ? marks.at()[mark + 1] - marks.at()[mark] : rate * 0.005;
    }

    /**
     * Adds a grain: half a raised cosine from the mark before, half to the mark after, so that grains at their own
     * places add up to the sound.
     */
    private void lay(float[] out, int mark, double place, double formants, boolean backwards) {
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
