package org.logophon.core.voice.render;

import java.util.List;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.prosody.Shape;
import org.logophon.core.signal.prosody.VoiceReshaper;
import org.logophon.core.signal.prosody.WhisperSound;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;

/**
 * Renders a recipe so that pace and pitch measure as asked. Engines fall short of what they are asked for (an engine
 * asked
 * for +4 semitones gave +2.1), smoothly and repeatably; so each render is measured against the same words at the
 * voice's
 * own pace and pitch, and asked for again by the rate at which the engine follows, until it is close or goes no
 * further. What
 * is left then, and what an engine can't do at all, is done in the signal. What was reached is part of the result.
 */
public final class Narrator {

    private static final int MOST_RENDERS = 6;
    private static final double CLOSE_PACE = 0.01;
    private static final double CLOSE_SEMITONES = 0.25;
    /** A miss over this share of the best one so far is no progress; twice in a row, the engine goes no further. */
    private static final double CLOSER = 0.9;

    private static final int MOST_STUCK = 2;
    private static final int MOST_SHAPES = 3;

    private final SpeechEngine engine;
    private final Resampler resampler;
    private final RecentSpeech recent = new RecentSpeech();

    /** @param resampler brings voices of several rates together */
    public Narrator(SpeechEngine engine, Resampler resampler) {
        this.engine = engine;
        this.resampler = resampler;
    }

    public String engineVersion(Voice voice) {
        return engine.version(voice);
    }

    /** Nothing is paid for. @throws SpeechFailed when the engine can't speak the text, or wants to be paid */
    public Speech render(Recipe recipe) {
        return render(recipe, null);
    }

    /**
     * @param agreement id under which somebody has agreed to pay for it; null while nobody has
     * @throws SpeechFailed when the engine can't speak the text
     */
    public Speech render(Recipe recipe, String agreement) {
        Speech spoken = recipe.parted().isEmpty()
                ? spoken(recipe, agreement)
                : VoiceMixer.joined(
                        recipe,
                        recipe.parted().stream()
                                .map(piece -> spoken(piece.recipe(), agreement))
                                .toList(),
                        resampler);
        Speech scored = MarkRenderer.of(spoken, recipe);
        Speech voiced = recipe.treatment().whispered() ? whispered(scored) : scored;
        return new Speech(VoiceMixer.effects(recipe, voiced), scored.words(), scored.measurement(), scored.phones());
    }

    private static Speech whispered(Speech speech) {
        Sound sound = WhisperSound.whisper(speech.sound(), 0, speech.sound().samples().length);
        return new Speech(sound, speech.words(), speech.measurement(), speech.phones());
    }

    /** What one voice says, without marks and effect. */
    private Speech spoken(Recipe recipe, String agreement) {
        String unmarked = recipe.with(Score.NONE).phrased(0).hash();
        return recent.find(unmarked).orElseGet(() -> {
            Speech speech = said(recipe, agreement);
            recent.keep(unmarked, speech);
            return speech;
        });
    }

    private Speech said(Recipe recipe, String agreement) {
        SpokenText text = recipe.spokenText();
        Utterance own = engine.speak(new SpeechRequest(recipe.voice(), text, 1, 0, recipe.style(), agreement));
        SpeechSpan span = SpeechSpan.of(own.sound());
        if (span.from() == span.to()) {
            throw new SpeechFailed("The voice made no sound of this text. Try other words, or another voice.");
        }
        Own measure = new Own(
                SpeechSpan.soundingSeconds(own.sound()),
                recipe.atItsOwn() || recipe.voice().whispers()
                        ? 0
                        : PitchMeter.track(own.sound()).medianHz());
        Speech speech = timed(
                recipe,
                own,
                measure.hertz() == 0 && !recipe.atItsOwn() ? new Measurement(100, null) : Measurement.NEUTRAL);
        double pace = byItself(recipe, Ability.PACE) ? engine.paceToAsk(recipe.voice(), recipe.paceFactor()) : 1;
        double semitones = byItself(recipe, Ability.PITCH) ? recipe.semitones() : 0;
        if (!recipe.atItsOwn() && (pace != 1 || semitones != 0)) {
            speech = approach(recipe, agreement, text, measure, speech, pace, semitones);
        }
        return shaped(recipe, measure, speech);
    }

    private static Speech timed(Recipe recipe, Utterance utterance, Measurement measurement) {
        List<WordTime> words = WordTimes.of(recipe.text(), recipe.voice().language(), recipe.spokenText(), utterance);
        return new Speech(utterance.sound(), words, measurement, Phone.of(words, utterance));
    }

    /** The same words at the voice's own pace and pitch. @param hertz 0 when there is no pitch, or none was needed */
    private record Own(double seconds, double hertz) {}

    private static boolean byItself(Recipe recipe, Ability ability) {
        return recipe.voice().byItself().contains(ability);
    }

    /** @param wantedPace of the engine @param wantedSemitones of the engine */
    private Speech approach(
            Recipe recipe,
            String agreement,
            SpokenText text,
            Own own,
            Speech start,
            double wantedPace,
            double wantedSemitones) {
        double pace = wantedPace;
        double semitones = wantedSemitones;
        Speech best = start;
        double bestMiss = Double.MAX_VALUE;
        int stuck = 0;
        for (int i = 0; i < MOST_RENDERS; i++) {
            Utterance made =
                    engine.speak(new SpeechRequest(recipe.voice(), text, pace, semitones, recipe.style(), agreement));
            Measurement reached = reached(own, made.sound());
            double gotSemitones = reached.semitones() == null ? wantedSemitones : reached.semitones();
            double paceMiss = Math.log(wantedPace / (reached.pacePercent() / 100));
            double pitchMiss = wantedSemitones - gotSemitones;
            double miss = miss(paceMiss, pitchMiss);
            if (miss < bestMiss) {
                best = timed(recipe, made, reached);
            }
            stuck = miss > bestMiss * CLOSER ? stuck + 1 : 0;
            bestMiss = Math.min(miss, bestMiss);
            if (Math.abs(paceMiss) < CLOSE_PACE && Math.abs(pitchMiss) < CLOSE_SEMITONES || stuck == MOST_STUCK) {
                break;
            }
            pace = Math.exp(Math.log(pace) + paceMiss / slope(Math.log(reached.pacePercent() / 100), Math.log(pace)));
            semitones += pitchMiss / slope(gotSemitones, semitones);
        }
        return best;
    }

    /** Closes in the signal what the engine left open, with range and timbre. */
    private static Speech shaped(Recipe recipe, Own own, Speech speech) {
        Treatment treatment = recipe.treatment();
        double paceLeft = recipe.paceFactor() / (speech.measurement().pacePercent() / 100);
        double pitchLeft = speech.measurement().semitones() == null
                ? 0
                : recipe.semitones() - speech.measurement().semitones();
        boolean close = Math.abs(Math.log(paceLeft)) < CLOSE_PACE && Math.abs(pitchLeft) < CLOSE_SEMITONES;
        Shape shape = new Shape(
                close ? 1 : within(paceLeft, 0.25, 4),
                close ? 0 : within(pitchLeft, -24, 24),
                treatment.rangeFactor(),
                treatment.timbreSemitones());
        return shape.equals(Shape.AS_IT_IS) ? speech : reshaped(recipe, own, speech, shape);
    }

    /**
     * Pauses too short to count as pauses are counted as speech, and a creaky voice jumps: a sound that missed is made
     * again by the difference, and the one that missed least is taken.
     */
    private static Speech reshaped(Recipe recipe, Own own, Speech speech, Shape first) {
        Speech best = null;
        Shape shape = first;
        for (int i = 0; i < MOST_SHAPES; i++) {
            Sound sound = VoiceReshaper.reshape(speech.sound(), shape);
            Speech made = speech.stretched(sound, recipe.atItsOwn() ? speech.measurement() : reached(own, sound));
            best = best == null || miss(recipe, made.measurement()) < miss(recipe, best.measurement()) ? made : best;
            double paceOff = Math.log(recipe.paceFactor() / (made.measurement().pacePercent() / 100));
            double pitchOff = made.measurement().semitones() == null
                    ? 0
                    : recipe.semitones() - made.measurement().semitones();
            if (recipe.atItsOwn() || Math.abs(paceOff) <= CLOSE_PACE && Math.abs(pitchOff) <= CLOSE_SEMITONES) {
                break;
            }
            shape = new Shape(
                    within(shape.paceFactor() * Math.exp(paceOff), 0.25, 4),
                    within(shape.semitones() + pitchOff, -24, 24),
                    shape.rangeFactor(),
                    shape.timbreSemitones());
        }
        return best;
    }

    private static double miss(Recipe recipe, Measurement measurement) {
        return miss(
                Math.log(recipe.paceFactor() / (measurement.pacePercent() / 100)),
                measurement.semitones() == null ? 0 : recipe.semitones() - measurement.semitones());
    }

    /** In units of what is promised. */
    private static double miss(double paceLog, double semitones) {
        return Math.abs(paceLog) / 0.03 + Math.abs(semitones) / 0.5;
    }

    private static Measurement reached(Own own, Sound sound) {
        double pace = own.seconds() / SpeechSpan.soundingSeconds(sound) * 100;
        return new Measurement(pace, own.hertz() == 0 ? null : semitones(own.hertz(), sound));
    }

    private static double within(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
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
