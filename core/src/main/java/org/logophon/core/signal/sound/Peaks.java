package org.logophon.core.signal.sound;

/** A waveform for drawing: the largest absolute sample of each short stretch, as a byte of 0–255. */
public final class Peaks {

    /** Stretches a second; at 160 px a second one for each 1.6 px. */
    public static final int PER_SECOND = 100;

    private Peaks() {}

    public static byte[] of(Sound sound) {
        int count = (int) Math.ceil(sound.samples().length * (double) PER_SECOND / sound.rate());
        byte[] peaks = new byte[count];
        for (int i = 0; i < count; i++) {
            int from = (int) ((long) i * sound.rate() / PER_SECOND);
            int to = (int) Math.min(sound.samples().length, (i + 1L) * sound.rate() / PER_SECOND);
            float most = 0;
            for (int s = from; s < to; s++) {
                most = Math.max(most, Math.abs(sound.samples()[s]));
            }
            peaks[i] = (byte) Math.min(255, Math.round(most * 255));
        }
        return peaks;
    }
}
