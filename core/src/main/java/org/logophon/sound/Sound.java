package org.logophon.sound;

/**
 * Mono sound.
 *
 * @param samples −1…1 at full scale; owned by this value and not to be changed by others
 * @param rate    samples a second
 */
public record Sound(float[] samples, int rate) {

    public Sound {
        if (rate < 1_000 || rate > 768_000) {
            throw new IllegalArgumentException("A sound has 1,000 to 768,000 samples a second, not " + rate + ".");
        }
    }

    public double seconds() {
        return samples.length / (double) rate;
    }

    /** From 16-bit PCM, as engines give it. */
    public static Sound ofPcm16(short[] pcm, int rate) {
        float[] samples = new float[pcm.length];
        for (int i = 0; i < pcm.length; i++) {
            samples[i] = pcm[i] / 32768f;
        }
        return new Sound(samples, rate);
    }

    /** Samples from {@code from} to {@code to}, exclusive. */
    public Sound cut(int from, int to) {
        return new Sound(java.util.Arrays.copyOfRange(samples, from, to), rate);
    }

    public Sound amplified(double gain) {
        float[] out = new float[samples.length];
        float factor = (float) gain;
        for (int i = 0; i < out.length; i++) {
            out[i] = samples[i] * factor;
        }
        return new Sound(out, rate);
    }
}
