package org.logophon.speech;

import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.speech.worker.Frames;

/** Sample-rate conversion by libsoxr in a worker. */
public final class WorkerResampler implements Resampler {

    private static final long DEADLINE_MILLIS = 60_000;

    private final WorkerPool pool;

    public WorkerResampler(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public Sound resample(Sound sound, int rate) {
        float[] samples = pool.ask(
                out -> {
                    out.writeByte(Frames.RESAMPLE);
                    out.writeInt(sound.rate());
                    out.writeInt(rate);
                    Frames.writeFloats(out, sound.samples());
                },
                in -> Frames.readFloats(in, 16 * Frames.MOST_SAMPLES),
                DEADLINE_MILLIS);
        return new Sound(samples, rate);
    }
}
