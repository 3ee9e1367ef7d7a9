package org.logophon.core.time.bed;

import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.time.programme.SampleCount;

/** A few sounds to begin with, made by this code alone: the same ones every time. */
public final class MadeSounds {

    private static final int RATE = SampleCount.RATE;
    private static final double PEAK = 0.5;

    private MadeSounds() {}

    /** One of them. @param sound made when it is asked for */
    public record BuiltInSound(String name, Supplier<Sound> sound) {}

    public static final List<BuiltInSound> ALL = List.of(
            new BuiltInSound("Room tone", MadeSounds::roomTone),
            new BuiltInSound("Bell", MadeSounds::bell),
            new BuiltInSound("Wind", MadeSounds::wind));

    /** What a quiet room sounds like: noise that falls by some 6 dB an octave, without the rumble below. */
    private static Sound roomTone() {
        Random chance = new Random(1);
        float[] samples = new float[12 * RATE];
        double low = 0;
        double lower = 0;
        for (int i = 0; i < samples.length; i++) {
            low += 0.04 * (chance.nextGaussian() - low);
            lower += 0.004 * (low - lower);
            samples[i] = (float) (low - lower);
        }
        return scaled(samples);
    }

    /**
     * A bell's partials against its nominal, each going in its own time: hum, prime, tierce (a minor third), quint,
     * nominal and two above. From memory.
     */
    private static Sound bell() {
        double[] partials = {0.5, 1, 1.2, 1.5, 2, 2.5, 3};
        double[] strength = {0.5, 0.7, 0.8, 0.35, 1, 0.35, 0.25};
        double[] seconds = {2.4, 1.7, 1.4, 0.9, 0.8, 0.45, 0.3};
        float[] samples = new float[4 * RATE];
        for (int i = 0; i < samples.length; i++) {
            double time = i / (double) RATE;
            double sum = 0;
            for (int p = 0; p < partials.length; p++) {
                sum += strength[p] * Math.exp(-time / seconds[p]) * Math.sin(2 * Math.PI * 440 * partials[p] * time);
            }
            double end = Math.min(1, (samples.length - i) / (0.2 * RATE));
            samples[i] = (float) (sum * Math.min(1, time / 0.003) * end);
        }
        return scaled(samples);
    }

    /** Noise through a resonance that wanders, louder the higher it goes. */
    private static Sound wind() {
        Random chance = new Random(3);
        float[] samples = new float[24 * RATE];
        double band = 0;
        double low = 0;
        for (int i = 0; i < samples.length; i++) {
            double time = i / (double) RATE;
            // whole turns in the sound's length: it ends as it begins
            double gust =
                    0.5 + 0.3 * Math.sin(2 * Math.PI * time * 2 / 24) + 0.2 * Math.sin(2 * Math.PI * time * 5 / 24 + 1);
            double step = 2 * Math.sin(Math.PI * (180 + 420 * gust) / RATE);
            low += step * band;
            band += step * (chance.nextGaussian() - low - 0.35 * band);
            samples[i] = (float) (band * (0.35 + 0.65 * gust));
        }
        return scaled(samples);
    }

    private static Sound scaled(float[] samples) {
        float most = 0;
        for (float sample : samples) {
            most = Math.max(most, Math.abs(sample));
        }
        float factor = (float) (PEAK / most);
        for (int i = 0; i < samples.length; i++) {
            samples[i] *= factor;
        }
        return new Sound(samples, RATE);
    }
}
