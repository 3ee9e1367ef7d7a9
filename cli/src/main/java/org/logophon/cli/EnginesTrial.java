package org.logophon.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import org.logophon.cli.input.ExitStatus;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.MeasuringPassage;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.Engines;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.own.OwnEnginesFile;

/** Tries a file of engines before it is used: what is wrong with it, and what each voice measures. */
public final class EnginesTrial {

    private static final double PACE = 1.25;
    private static final double SEMITONES = 3;

    private final PrintWriter out;

    public EnginesTrial(PrintWriter out) {
        this.out = out;
    }

    /** @return an exit status */
    public int of(Path path) {
        OwnEnginesFile file = OwnEnginesFile.read(path);
        file.wrong().forEach(sentence -> out.println(path + ", " + sentence));
        if (file.wrong().isEmpty() && file.engines().isEmpty()) {
            out.println(path + " names no engine. docs/engines.md shows how one is written.");
        }
        boolean mute = false;
        try (WorkerPool pool = new WorkerPool(1)) {
            SpeechEngine engines = new Engines(pool, null, file.engines());
            for (Voice voice : file.voices()) {
                try {
                    out.println(voice.id() + " speaks: " + heard(engines, voice));
                } catch (SpeechFailed silent) {
                    out.println(voice.id() + " doesn't speak: " + silent.getMessage());
                    mute = true;
                }
                out.flush();
            }
        }
        out.flush();
        return file.wrong().isEmpty() ? mute ? ExitStatus.FAILED : ExitStatus.DONE : ExitStatus.INPUT_UNUSABLE;
    }

    private static String heard(SpeechEngine engines, Voice voice) {
        MeasuringPassage passage = MeasuringPassage.in(voice.language());
        long began = System.nanoTime();
        Sound own = said(engines, voice, passage, 1, 0);
        double took = (System.nanoTime() - began) / 1e9;
        double hertz = PitchMeter.track(own).medianHz();
        StringBuilder heard = new StringBuilder(
                String.format(Locale.ROOT, "%.1f s of sound at %,d Hz in %.1f s", own.seconds(), own.rate(), took));
        if (hertz > 0) {
            heard.append(String.format(Locale.ROOT, ", pitch %.0f Hz", hertz));
        }
        if (voice.byItself().contains(Ability.PACE)) {
            double pace = SpeechSpan.soundingSeconds(own)
                    / SpeechSpan.soundingSeconds(said(engines, voice, passage, PACE, 0));
            heard.append(String.format(Locale.ROOT, "; asked for pace 125 %% it gives %.0f %%", 100 * pace));
            heard.append(pace < 1.03 ? ": see “pace” of its engine" : "");
        }
        if (hertz > 0 && voice.byItself().contains(Ability.PITCH)) {
            double semitones = PitchTrack.semitones(
                    hertz,
                    PitchMeter.track(said(engines, voice, passage, 1, SEMITONES))
                            .medianHz());
            heard.append(String.format(Locale.ROOT, "; asked for +3 semitones it gives %+.1f", semitones));
            heard.append(semitones < 0.5 ? ": see “pitch” of its engine" : "");
        }
        return heard + ".";
    }

    private static Sound said(
            SpeechEngine engines, Voice voice, MeasuringPassage passage, double pace, double semitones) {
        Sound sound = engines.speak(new SpeechRequest(voice, SpokenText.of(passage.text()), pace, semitones))
                .sound();
        if (SpeechSpan.of(sound).from() == SpeechSpan.of(sound).to()) {
            throw new SpeechFailed("what it gives is silence.");
        }
        return sound;
    }
}
