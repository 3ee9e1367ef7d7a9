package org.logophon.app.services.project.take;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.render.WordTime;

/**
 * A stored speech with its measurements.
 *
 * @param recipe  hash of what made it; null for a recording
 * @param words   timed in the sound's own samples; null while nothing has timed them
 * @param peaks   of the waveform, as {@link org.logophon.core.signal.sound.Peaks} makes them
 * @param pitch   Hz each 10 ms, 0 where unvoiced
 * @param lufs    before finishing
 * @param measurement against what was asked; null where nothing was asked of an engine
 */
public record StoredSpeech(
        UUID id,
        String recipe,
        StoredSound sound,
        List<WordTime> words,
        byte[] peaks,
        float[] pitch,
        double lufs,
        Measurement measurement) {

    /** Timed words; none while nothing has timed them. */
    public List<WordTime> timed() {
        return words == null ? List.of() : words;
    }
}
