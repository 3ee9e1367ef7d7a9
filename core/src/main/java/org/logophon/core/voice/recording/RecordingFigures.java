package org.logophon.core.voice.recording;

import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Loudest;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.check.Clicks;

/**
 * The measurements of a recording.
 *
 * @param noiseDb    of the room, in dB under full scale
 * @param lufs       of the speech, by ITU-R BS.1770
 * @param peakDb     loudest sample, in dB under full scale
 * @param clicks     how many
 * @param clipped    stretches in which the wave stands at its limit
 * @param longestGap seconds, inside the speech
 */
public record RecordingFigures(
        double noiseDb, double lufs, double peakDb, int clicks, int clipped, double longestGap, double seconds) {

    /** So many samples in a row at the limit are no chance. Common practice, no source. */
    private static final int CLIPPED_RUN = 3;

    private static final double LIMIT = 0.995;
    private static final double LEAST_DB = -110;
    private static final double TOO_QUIET_LUFS = -40;
    private static final double LOUD_ROOM_DB = -50;
    private static final double NEAR_SPEECH_DB = 25;

    public static RecordingFigures of(Sound sound) {
        Activity activity = Activity.of(sound);
        Loudness loudness = LoudnessMeter.of(sound);
        double peak = Decibels.ofFactor(Math.max(1e-9, Loudest.of(sound.samples())));
        double gap = activity.pauses().stream()
                        .mapToInt(pause -> pause.to() - pause.from())
                        .max()
                        .orElse(0)
                / (double) sound.rate();
        return new RecordingFigures(
                activity.noiseDb(),
                Math.max(LEAST_DB, loudness.lufs()),
                Math.max(LEAST_DB, peak),
                Clicks.in(sound).size(),
                clipped(sound.samples()),
                gap,
                sound.seconds());
    }

    private static int clipped(float[] samples) {
        int runs = 0;
        int run = 0;
        float before = 0;
        for (float sample : samples) {
            boolean same = Math.abs(sample) >= LIMIT || Math.abs(sample) > 0.25 && sample == before;
            run = same ? run + 1 : 0;
            runs += run == CLIPPED_RUN ? 1 : 0;
            before = sample;
        }
        return runs;
    }

    /** True when nobody speaks in it. */
    public boolean silent() {
        return peakDb < TOO_QUIET_LUFS - 20;
    }

    /** What spoils it, as a sentence; empty when nothing does. */
    public String warning() {
        if (silent()) {
            return "There is no sound in it. Is the right microphone chosen, and switched on?";
        }
        if (clipped > 0) {
            return "It is too loud for the microphone in %d %s: move back, or turn it down."
                    .formatted(clipped, clipped == 1 ? "place" : "places");
        }
        if (lufs < TOO_QUIET_LUFS) {
            return "It is very quiet: move nearer, or turn the microphone up.";
        }
        if (noiseDb > LOUD_ROOM_DB && lufs - noiseDb < NEAR_SPEECH_DB) {
            return "The room is loud: its noise is only %.0f dB under the speech.".formatted(lufs - noiseDb);
        }
        return "";
    }
}
