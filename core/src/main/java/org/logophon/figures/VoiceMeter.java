package org.logophon.figures;

import org.logophon.direction.Effective;
import org.logophon.estimate.Syllables;
import org.logophon.pitch.PitchMeter;
import org.logophon.pitch.PitchTrack;
import org.logophon.render.Narrator;
import org.logophon.render.Recipe;
import org.logophon.render.SpeechFailed;
import org.logophon.script.Words;
import org.logophon.sound.Sound;
import org.logophon.sound.SpeechSpan;
import org.logophon.voice.Voice;

/** Lets a voice read its passage and measures it. */
public final class VoiceMeter {

    private VoiceMeter() {
    }

    /** @throws SpeechFailed when the voice can't read it */
    public static VoiceFigures measure(Narrator narrator, Voice voice) {
        return of(narrator.render(recipe(narrator, voice)).sound(), Passage.in(voice.language()), voice.whispers());
    }

    /** What a voice is given to read. */
    public static Recipe recipe(Narrator narrator, Voice voice) {
        return Recipe.of(Passage.in(voice.language()).text(), voice, narrator.engineVersion(voice), Effective.NEUTRAL);
    }

    /** @param sound the passage as it was read */
    public static VoiceFigures of(Sound sound, Passage passage, boolean whispers) {
        SpeechSpan span = SpeechSpan.of(sound);
        double minutes = (span.to() - span.from()) / (double) sound.rate() / 60;
        PitchTrack track = whispers ? null : PitchMeter.track(sound);
        boolean pitched = track != null && track.medianHz() > 0;
        return new VoiceFigures(pitched ? track.medianHz() : null, pitched ? track.spreadSemitones() : null,
                passage.words() ? Words.count(passage.text()) / minutes : null,
                passage.words() ? Syllables.of(passage.text(), passage.language()) / minutes : null, Brightness.hertz(sound));
    }
}
