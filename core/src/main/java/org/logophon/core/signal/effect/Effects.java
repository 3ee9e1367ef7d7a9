package org.logophon.core.signal.effect;

import java.util.Arrays;
import org.logophon.core.signal.prosody.Shape;
import org.logophon.core.signal.prosody.VoiceReshaper;
import org.logophon.core.signal.sound.Sound;

/** Makes the effects. The same sound gives the same samples every time. */
public final class Effects {

    /** Quality factors of the two halves of a fourth-order Butterworth filter. */
    private static final double[] BUTTERWORTH = {0.5412, 1.3066};

    private static final double HALL_SECONDS = 1.6;
    private static final double[] HALL_DELAYS = {0.0297, 0.0371, 0.0411, 0.0437, 0.0493, 0.0533};
    private static final double[] HALL_BLUR = {0.0050, 0.0017, 0.0127};
    private static final double TUBE_SECONDS = 0.0061;
    private static final double TUBE_FEEDBACK = 0.72;

    private Effects() {}

    /**
     * @param mixPercent 0 the voice alone, 100 the effect alone; both are brought to one level, so that the mix changes
     *     the
     *                   colour and not the loudness
     * @return as long as the sound, but for the hall, which goes on after it
     */
    public static Sound apply(Sound sound, Effect effect, int mixPercent) {
        if (effect == null || mixPercent == 0 || sound.samples().length == 0) {
            return sound;
        }
        float[] wet = switch (effect) {
            case TELEPHONE -> band(sound.samples(), 300, 3400, sound.rate());
            case SMALL_SPEAKER -> smallSpeaker(sound);
            case HALL -> hall(sound);
            case MACHINE -> machine(sound);
        };
        return new Sound(mixed(sound.samples(), wet, mixPercent / 100.0), sound.rate());
    }

    private static float[] mixed(float[] dry, float[] wet, double mix) {
        double level =
                power(dry) == 0 ? 0 : Math.sqrt(power(dry) / Math.max(1e-12, power(Arrays.copyOf(wet, dry.length))));
        float[] out = new float[Math.max(dry.length, wet.length)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) ((i < dry.length ? dry[i] * (1 - mix) : 0) + (i < wet.length ? wet[i] * level * mix : 0));
        }
        return out;
    }

    private static double power(float[] samples) {
        double sum = 0;
        for (float sample : samples) {
            sum += sample * sample;
        }
        return sum;
    }

    private static float[] band(float[] in, double low, double high, int rate) {
        float[] out = in;
        for (double q : BUTTERWORTH) {
            out = Biquad.lowPass(high, q, rate)
                    .filter(Biquad.highPass(low, q, rate).filter(out));
        }
        return out;
    }

    private static float[] smallSpeaker(Sound sound) {
        float[] out = Biquad.peak(1_300, 1.4, 9, sound.rate()).filter(band(sound.samples(), 480, 5_000, sound.rate()));
        double loudest = 1e-9;
        for (float sample : out) {
            loudest = Math.max(loudest, Math.abs(sample));
        }
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) Math.tanh(2.2 * out[i] / loudest);
        }
        return out;
    }

    /**
     * Combs beside one another, then all-pass filters in a row (M. R. Schroeder, "Natural sounding artificial
     * reverberation", JAES 10, 1962).
     */
    private static float[] hall(Sound sound) {
        int rate = sound.rate();
        float[] in = Arrays.copyOf(sound.samples(), sound.samples().length + (int) (HALL_SECONDS * 0.75 * rate));
        float[] sum = new float[in.length];
        for (double delay : HALL_DELAYS) {
            int reach = (int) Math.round(delay * rate);
            float feedback = (float) Math.pow(10, -3 * delay / HALL_SECONDS);
            float[] comb = new float[in.length];
            float dull = 0;
            for (int i = 0; i < in.length; i++) {
                // stone swallows the heights a little at each turn
                dull = i < reach ? 0 : 0.75f * comb[i - reach] + 0.25f * dull;
                comb[i] = in[i] + feedback * dull;
                sum[i] += i < reach ? 0 : comb[i - reach];
            }
        }
        float[] out = sum;
        for (double delay : HALL_BLUR) {
            out = allPass(out, (int) Math.round(delay * rate), 0.7f);
        }
        return Biquad.highPass(120, 0.707, rate).filter(out);
    }

    private static float[] allPass(float[] in, int reach, float gain) {
        float[] out = new float[in.length];
        for (int i = 0; i < in.length; i++) {
            out[i] = -gain * in[i] + (i < reach ? 0 : in[i - reach] + gain * out[i - reach]);
        }
        return out;
    }

    private static float[] machine(Sound sound) {
        float[] flat = VoiceReshaper.reshape(sound, new Shape(1, 0, 0, 0)).samples();
        int reach = (int) Math.round(TUBE_SECONDS * sound.rate());
        float[] out = new float[flat.length];
        for (int i = 0; i < flat.length; i++) {
            out[i] = (float) (flat[i] + (i < reach ? 0 : TUBE_FEEDBACK * out[i - reach]));
        }
        return out;
    }
}
