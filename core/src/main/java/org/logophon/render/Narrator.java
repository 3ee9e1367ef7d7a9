package org.logophon.render;

import org.logophon.pitch.PitchMeter;
import org.logophon.pitch.PitchTrack;
import org.logophon.sound.Sound;
import org.logophon.sound.SpeechSpan;

/**
 * Renders a recipe so that pace and pitch measure as asked. Engines fall short of what they are asked for (an engine asked
 * for +4 semitones gave +2.1), smoothly and repeatably; so each render is measured against the same words at the voice's
 * own pace and pitch, and asked for again by the rate at which the engine follows, until it is close or goes no further. What
 * was reached is part of the result.
 */
public final class Narrator {

    private static final int MOST_RENDERS = 6;
    private static final double CLOSE_PACE = 0.01;
    private static final double CLOSE_SEMITONES = 0.25;
    /** A miss over this share of the best one so far is no progress; twice in a row, the engine goes no further. */
    private static final double CLOSER = 0.9;
    private static final int MOST_STUCK = 2;

    private final SpeechEngine engine;

    public Narrator(SpeechEngine engine) {
        this.engine = engine;
    }

    public String engineVersion() {
        return engine.version();
    }

    /** @throws SpeechFailed when the engine can't speak the text */
    public Speech render(Recipe recipe) {
        SpokenText text = recipe.spokenText();
        Utterance own = engine.speak(new SpeechRequest(recipe.voice(), text, 1, 0));
        SpeechSpan span = SpeechSpan.of(own.sound());
        if (span.from() == span.to()) {
            throw new SpeechFailed("The voice made no sound of this text. Try other words, or another voice.");
        }
        boolean asked = Math.abs(recipe.paceFactor() - 1) > 1e-6 || Math.abs(recipe.semitones()) > 1e-6;
        return asked ? approach(recipe, text, own)
                : new Speech(own.sound(), WordTimes.of(recipe.text(), text, own), Reached.NEUTRAL);
    }

    private Speech approach(Recipe recipe, SpokenText text, Utterance own) {
        double ownSeconds = SpeechSpan.soundingSeconds(own.sound());
        double ownHz = recipe.voice().whispers() ? 0 : PitchMeter.track(own.sound()).medianHz();
        double pace = recipe.paceFactor();
        double semitones = recipe.semitones();
        Speech best = null;
        double bestMiss = Double.MAX_VALUE;
        int stuck = 0;
        for (int i = 0; i < MOST_RENDERS; i++) {
            Utterance made = engine.speak(new SpeechRequest(recipe.voice(), text, pace, semitones));
            double gotPace = ownSeconds / SpeechSpan.soundingSeconds(made.sound());
            double gotSemitones = ownHz == 0 ? recipe.semitones() : semitones(ownHz, made.sound());
            double paceMiss = Math.log(recipe.paceFactor() / gotPace);
            double pitchMiss = recipe.semitones() - gotSemitones;
            double miss = Math.abs(paceMiss) / 0.03 + Math.abs(pitchMiss) / 0.5;
            if (miss < bestMiss) {
                best = new Speech(made.sound(), WordTimes.of(recipe.text(), text, made),
                        new Reached(gotPace * 100, ownHz == 0 ? null : gotSemitones));
            }
            stuck = miss > bestMiss * CLOSER ? stuck + 1 : 0;
            bestMiss = Math.min(miss, bestMiss);
            if (Math.abs(paceMiss) < CLOSE_PACE && Math.abs(pitchMiss) < CLOSE_SEMITONES || stuck == MOST_STUCK) {
                break;
            }
            pace = Math.exp(Math.log(pace) + paceMiss / slope(Math.log(gotPace), Math.log(pace)));
            semitones += pitchMiss / slope(gotSemitones, semitones);
        }
        return best;
    }

    /** How much the engine gave for what it was asked: the next request is stretched by it. */
    private static double slope(double got, double asked) {
        return Math.abs(asked) < 0.05 ? 1 : Math.max(0.4, Math.min(1.6, got / asked));
    }

    private static double semitones(double ownHz, Sound sound) {
        double hertz = PitchMeter.track(sound).medianHz();
        return hertz == 0 ? 0 : PitchTrack.semitones(ownHz, hertz);
    }
}
