package org.logophon.core.voice.finish;

import java.util.List;
import org.logophon.core.signal.sound.ConvertedSource;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;

/**
 * From speech to clip: trim to the speech, convert the rate, bring to the target loudness with the role's and the cue's
 * own offset, limit the true peak, add head and tail. The rate comes first so that loudness and peak are measured on
 * the very samples that are delivered.
 */
public final class ClipFinisher {

    private final Resampler resampler;

    public ClipFinisher(Resampler resampler) {
        this.resampler = resampler;
    }

    /** @param offsetDb loudness of the cue against the target: −3 is 3 dB under its neighbours */
    public Clip finish(Speech speech, FinishSettings settings, double offsetDb) {
        Speech spoken = speech.trimmed();
        return finish(SoundSource.of(spoken.sound()), spoken.words(), settings, offsetDb);
    }

    /**
     * Finishes a sound that is trimmed already, in several passes over it and without holding it.
     *
     * @param words timed in the sound's own samples; empty while no word is timed
     */
    public Clip finish(SoundSource trimmed, List<WordTime> words, FinishSettings settings, double offsetDb) {
        SoundSource converted = ConvertedSource.of(trimmed, settings.rate(), resampler);
        // measured many times over: so long it is held, if it is short
        SoundSource measured =
                converted.length() > ConvertedSource.AT_ONCE ? converted : SoundSource.of(converted.inMemory());
        Level level = Level.of(measured, settings, offsetDb);
        SoundSource clip = padded(new LevelledSource(converted, level), settings);
        return new Clip(
                clip,
                times(words, trimmed.rate(), settings.headMillis() / 1000.0, clip.length() / (double) clip.rate()),
                level.loudness(),
                Decibels.ofFactor(level.truePeak()));
    }

    private static SoundSource padded(SoundSource sound, FinishSettings settings) {
        long head = (long) settings.headMillis() * sound.rate() / 1000;
        long tail = (long) settings.tailMillis() * sound.rate() / 1000;
        return head + tail == 0 ? sound : new PaddedSource(sound, head, tail);
    }

    private static List<Clip.TimedWord> times(List<WordTime> words, int rate, double offset, double seconds) {
        return words.stream()
                .map(w -> new Clip.TimedWord(
                        w.start(),
                        w.end(),
                        within(w.startSample() / (double) rate + offset, seconds),
                        within(w.endSample() / (double) rate + offset, seconds)))
                .toList();
    }

    private static double within(double time, double seconds) {
        return Math.max(0, Math.min(seconds, time));
    }
}
