package org.logophon.core.signal.prosody;

/** Semitones that are added to the pitch of a sound, along its time. Several moves add up. */
public final class Melody {

    private static final double STEP_SECONDS = 0.005;

    private final float[] semitones;
    private final double step;

    /** Nothing is added. @param samples of the sound */
    public Melody(int samples, int rate) {
        this.step = STEP_SECONDS * rate;
        this.semitones = new float[(int) Math.ceil(samples / step) + 2];
    }

    /** Adds a straight move from one sample to another, and nothing outside of them. */
    public void add(double fromSample, double fromSemitones, double toSample, double toSemitones) {
        double length = Math.max(1, toSample - fromSample);
        int last = Math.min(semitones.length - 1, (int) Math.floor(toSample / step));
        for (int i = Math.max(0, (int) Math.ceil(fromSample / step)); i <= last; i++) {
            semitones[i] += (float) (fromSemitones + (toSemitones - fromSemitones) * (i * step - fromSample) / length);
        }
    }

    /** What is added at a sample. */
    public double at(double sample) {
        double place = Math.max(0, Math.min(semitones.length - 1.001, sample / step));
        int i = (int) place;
        return semitones[i] + (semitones[i + 1] - semitones[i]) * (place - i);
    }

    /** The most that is added or taken anywhere between two samples. */
    public double most(int fromSample, int toSample) {
        double most = 0;
        for (int i = Math.max(0, (int) (fromSample / step)); i < semitones.length && i * step <= toSample; i++) {
            most = Math.max(most, Math.abs(semitones[i]));
        }
        return most;
    }
}
