package org.logophon.app.rendering;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.estimate.ReferenceTime;
import org.logophon.core.estimate.Syllables;
import org.logophon.core.loudness.LoudnessMeter;
import org.logophon.core.pitch.PitchMeter;
import org.logophon.core.render.Measurement;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.Speech;
import org.logophon.core.render.WordTime;
import org.logophon.core.sound.Peaks;
import org.logophon.core.sound.Sound;

/**
 * Speech as it lies in the store, with what was measured on it.
 *
 * @param pcm   16-bit little-endian
 * @param words four numbers a word: its place in the text and in the samples
 * @param pitch Hz each 10 ms, 0 where unvoiced
 */
public record StoredSpeech(
        int rate,
        byte[] pcm,
        Integer[] words,
        byte[] peaks,
        Float[] pitch,
        double seconds,
        int syllables,
        double referenceSeconds,
        double lufs,
        Measurement measurement) {

    public static StoredSpeech of(Speech rendered, Recipe recipe) {
        // loud marks may reach over what 16 bits hold: all of it is brought down, and finishing sets the loudness
        Speech speech = rendered.trimmed().withinFullScale();
        String said = recipe.saidText();
        Integer[] words = speech.words().stream()
                .flatMap(w -> java.util.stream.Stream.of(w.start(), w.end(), w.startSample(), w.endSample()))
                .toArray(Integer[]::new);
        float[] hertz = PitchMeter.track(speech.sound()).hertz();
        Float[] pitch = new Float[hertz.length];
        for (int i = 0; i < hertz.length; i++) {
            pitch[i] = hertz[i];
        }
        // what several voices say measures the rate of none
        double reference = recipe.parted().isEmpty()
                ? ReferenceTime.seconds(said, recipe.voice().language())
                : 0;
        return new StoredSpeech(
                speech.sound().rate(),
                speech.sound().pcm16(),
                words,
                Peaks.of(speech.sound()),
                pitch,
                speech.sound().seconds(),
                Syllables.of(said, recipe.voice().language()),
                reference,
                LoudnessMeter.of(speech.sound()).lufs(),
                speech.measurement());
    }

    public Speech speech() {
        List<WordTime> times = new ArrayList<>(words.length / 4);
        for (int i = 0; i < words.length; i += 4) {
            times.add(new WordTime(words[i], words[i + 1], words[i + 2], words[i + 3]));
        }
        return new Speech(Sound.ofPcm16(pcm, rate), times, reached);
    }
}
