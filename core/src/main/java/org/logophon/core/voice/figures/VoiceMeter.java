package org.logophon.core.voice.figures;

import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.text.estimate.Syllables;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;

/** The meter of voices that read their passage. */
public final class VoiceMeter {

    private VoiceMeter() {}

    /** Of a voice that costs nothing. @throws SpeechFailed when the voice can't read it */
    public static VoiceFigures measure(Narrator narrator, Voice voice) {
        return measure(narrator, voice, null);
    }

    /**
     * @param agreement id under which somebody has agreed to pay for it; null while nobody has
     * @throws SpeechFailed when the voice can't read it
     */
    public static VoiceFigures measure(Narrator narrator, Voice voice, String agreement) {
        return of(
                narrator.render(recipe(narrator, voice), agreement).sound(),
                MeasuringPassage.in(voice.language()),
                voice.whispers());
    }

    /** What a voice is given to read. */
    public static Recipe recipe(Narrator narrator, Voice voice) {
        return Recipe.of(
                MeasuringPassage.in(voice.language()).text(),
                voice,
                narrator.engineVersion(voice),
                ResolvedDirection.NEUTRAL);
    }

    /** @param sound the passage as it was read */
    public static VoiceFigures of(Sound sound, MeasuringPassage passage, boolean whispers) {
        SpeechSpan span = SpeechSpan.of(sound);
        double minutes = (span.to() - span.from()) / (double) sound.rate() / 60;
        PitchTrack track = whispers ? null : PitchMeter.track(sound);
        boolean pitched = track != null && track.medianHz() > 0;
        return new VoiceFigures(
                pitched ? track.medianHz() : null,
                pitched ? track.spreadSemitones() : null,
                passage.words() ? Words.count(passage.text()) / minutes : null,
                passage.words() ? Syllables.of(passage.text(), passage.language()) / minutes : null,
                Brightness.hertz(sound));
    }
}
