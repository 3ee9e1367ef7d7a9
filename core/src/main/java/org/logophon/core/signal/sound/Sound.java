package org.logophon.core.signal.sound;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;

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

    /** @param pcm 16-bit little-endian */
    public static Sound ofPcm16(byte[] pcm, int rate) {
        short[] samples = new short[pcm.length / 2];
        ByteBuffer.wrap(pcm).order(ByteOrder.LITTLE_ENDIAN).asShortBuffer().get(samples);
        return ofPcm16(samples, rate);
    }

    /** 16-bit little-endian PCM; what is over full scale is cut off there. */
    public byte[] pcm16() {
        return pcm16(0, samples.length);
    }

    /** The same of the samples from one to another, exclusive. */
    public byte[] pcm16(int from, int to) {
        ByteBuffer pcm = ByteBuffer.allocate((to - from) * 2).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = from; i < to; i++) {
            pcm.putShort((short) Math.max(-32768, Math.min(32767, Math.round(samples[i] * 32768))));
        }
        return pcm.array();
    }

    /** Samples from {@code from} to {@code to}, exclusive. */
    public Sound cut(int from, int to) {
        return new Sound(java.util.Arrays.copyOfRange(samples, from, to), rate);
    }

    /** Root of the mean square from one sample to another, exclusive; 0 for nothing. */
    public double rms(int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += samples[i] * samples[i];
        }
        return to <= from ? 0 : Math.sqrt(sum / (to - from));
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
