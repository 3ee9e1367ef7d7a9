package org.logophon.core.time.coding;

import java.io.IOException;
import java.nio.file.Path;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.loudness.TruePeak;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.finish.Levelled;

/**
 * Codes a sound, and makes sure that what is decoded again keeps the ceiling of its peaks: a codec moves peaks, so the
 * ceiling before it is lowered as far as it needs, and its loudness raised, which is measured.
 */
public final class LossyFile {

    private static final double MARGIN_DB = 0.05;
    /** A codec that leaves the highest sounds out takes loudness away: that is made up for. */
    private static final double CLOSE_LU = 0.15;

    private static final int MOST_TRIES = 6;

    private LossyFile() {}

    /** What is heard of the file. */
    public record Heard(Loudness loudness, double truePeakDbtp) {}

    /** @return what was measured of the decoded file */
    public static Heard write(SoundSource sound, SoundFormat format, Tags tags, Coder coder, Path file)
            throws IOException {
        Loudness own = loudness(sound);
        SoundSource coded = sound;
        double ceiling = FinishSettings.CEILING_DBTP;
        double wanted = own.lufs();
        for (int tries = 1; ; tries++) {
            coder.code(coded, format, tags, file);
            Heard heard = heard(coder, file, sound.rate());
            double over = heard.truePeakDbtp() - FinishSettings.CEILING_DBTP;
            double missing = own.gated() ? own.lufs() - heard.loudness().lufs() : 0;
            if (tries == MOST_TRIES || !(over > 0) && Math.abs(missing) <= CLOSE_LU) {
                return heard;
            }
            ceiling -= over > 0 ? over + MARGIN_DB : 0;
            wanted += Math.abs(missing) > CLOSE_LU ? missing : 0;
            coded = Levelled.to(sound, wanted, ceiling);
        }
    }

    private static Heard heard(Coder coder, Path file, int rate) throws IOException {
        LoudnessMeter meter = new LoudnessMeter(rate, 1);
        TruePeak peak = new TruePeak();
        coder.decode(file, rate, (samples, count) -> {
            meter.add(samples, count);
            peak.add(samples, count);
        });
        return new Heard(meter.loudness(), Decibels.ofFactor(peak.end()));
    }

    /** The same of a sound that isn't coded. */
    public static Heard heard(SoundSource sound) {
        LoudnessMeter meter = new LoudnessMeter(sound.rate(), 1);
        TruePeak peak = new TruePeak();
        sound.readAll((samples, count) -> {
            meter.add(samples, count);
            peak.add(samples, count);
        });
        return new Heard(meter.loudness(), Decibels.ofFactor(peak.end()));
    }

    private static Loudness loudness(SoundSource sound) {
        LoudnessMeter meter = new LoudnessMeter(sound.rate(), 1);
        sound.readAll(meter::add);
        return meter.loudness();
    }
}
