package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.VoiceDistance;
import org.logophon.core.voice.figures.MeasuringPassage;
import org.logophon.core.voice.figures.VoiceFigures;
import org.logophon.core.voice.figures.VoiceMeter;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;

/**
 * The voices that come nearest to a person, by what is measured on both where they say the same words: pitch, how far
 * it strays, pace and brightness. It is likeness by measure, and no copy of anybody.
 *
 * @param person  what was measured on the recording
 * @param nearest voices with what tunes them towards it, the nearest first
 */
public record Likeness(VoiceFigures person, List<Near> nearest) {

    /** Less says too little of a person, and more says nothing more. */
    public static final double FEWEST_SECONDS = 10;

    public static final double MOST_SECONDS = 60;
    private static final int MOST_NEAR = 3;

    public Likeness {
        nearest = List.copyOf(nearest);
    }

    /**
     * @param own   what the voice measures by itself on the same words
     * @param tuned what it measures as it is tuned
     * @param left  what is left between it and the person, for people
     */
    public record Near(Voice voice, VoiceFigures own, Tuning tuning, VoiceFigures tuned, List<String> left) {}

    /**
     * @param sound  of the person, {@link #FEWEST_SECONDS} to {@link #MOST_SECONDS}
     * @param text   that is said in it
     * @param voices that may be tuned; those that can't say it are left out
     */
    public static Likeness of(Sound sound, String text, List<Voice> voices, Narrator narrator) {
        MeasuringPassage passage = new MeasuringPassage(text, language(voices), true);
        VoiceFigures person = VoiceMeter.of(sound, passage, false);
        List<Compared> compared = voices.parallelStream()
                .map(voice -> compared(voice, sound, text, passage, person, narrator))
                .flatMap(Optional::stream)
                .toList();
        double nearest =
                compared.stream().mapToDouble(one -> one.distance()).min().orElse(1);
        return new Likeness(
                person,
                compared.stream()
                        .sorted(Comparator.comparingDouble(one -> effort(one, nearest)))
                        .limit(MOST_NEAR)
                        .map(one -> tuned(one, text, passage, person, narrator))
                        .toList());
    }

    /** @param distance of its sounds, as {@link VoiceDistance} */
    private record Compared(Voice voice, VoiceFigures own, Tuning tuning, double distance) {}

    private static Optional<Compared> compared(
            Voice voice, Sound person, String text, MeasuringPassage passage, VoiceFigures figures, Narrator narrator) {
        try {
            Sound said = said(narrator, voice, text);
            VoiceFigures own = VoiceMeter.of(said, passage, false);
            VoiceDistance distance = VoiceDistance.of(said, person);
            return Optional.of(
                    new Compared(voice, own, towards(figures, own, distance.timbreSemitones()), distance.distance()));
        } catch (SpeechFailed mute) {
            // others may say it
            return Optional.empty();
        }
    }

    private static String language(List<Voice> voices) {
        return voices.isEmpty() ? "en" : voices.get(0).language();
    }

    private static Sound said(Narrator narrator, Voice voice, String text) {
        return narrator.render(Recipe.of(text, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL))
                .sound();
    }

    private static Tuning towards(VoiceFigures person, VoiceFigures voice, double timbre) {
        boolean pitched = person.medianPitchHz() != null && voice.medianPitchHz() != null;
        double semitones = pitched ? PitchTrack.semitones(voice.medianPitchHz(), person.medianPitchHz()) : 0;
        double range = pitched && voice.pitchRangeSemitones() > 0.5
                ? 100 * person.pitchRangeSemitones() / voice.pitchRangeSemitones()
                : 100;
        double pace = 100 * person.wordsPerMinute() / voice.wordsPerMinute();
        return new Tuning(
                (int) Math.round(Dial.PACE.within(pace)),
                Math.round(Dial.PITCH.within(semitones) * 10) / 10.0,
                (int) Math.round(Dial.RANGE.within(range)),
                Dial.TIMBRE.within(timbre),
                null,
                0);
    }

    /** How unlike its sounds are, and how much has to be done to it: both take away from likeness. Ours. */
    private static double effort(Compared voice, double nearest) {
        Tuning tuning = voice.tuning();
        return 12 * (voice.distance() / nearest - 1)
                + Math.abs(tuning.semitones()) / 4
                + Math.abs(Math.log(tuning.pacePercent() / 100.0)) / 0.5
                + Math.abs(tuning.timbreSemitones()) / 3;
    }

    private static Near tuned(
            Compared near, String text, MeasuringPassage passage, VoiceFigures person, Narrator narrator) {
        Voice trial = near.voice().tuned("likeness", "likeness", "", near.tuning());
        VoiceFigures tuned = VoiceMeter.of(said(narrator, trial, text), passage, false);
        return new Near(near.voice(), near.own(), near.tuning(), tuned, left(person, tuned));
    }

    private static List<String> left(VoiceFigures person, VoiceFigures tuned) {
        List<String> left = new ArrayList<>();
        if (person.medianPitchHz() != null && tuned.medianPitchHz() != null) {
            left.add(String.format(
                    Locale.ROOT,
                    "%+.1f semitones",
                    PitchTrack.semitones(person.medianPitchHz(), tuned.medianPitchHz())));
            left.add(String.format(
                    Locale.ROOT,
                    "%+.1f semitones of range",
                    tuned.pitchRangeSemitones() - person.pitchRangeSemitones()));
        }
        left.add(String.format(Locale.ROOT, "%+.0f words a minute", tuned.wordsPerMinute() - person.wordsPerMinute()));
        double brightness = 100 * (tuned.brightnessHz() / person.brightnessHz() - 1);
        left.add(
                String.format(Locale.ROOT, "%.0f %% %s", Math.abs(brightness), brightness < 0 ? "darker" : "brighter"));
        return left.stream().map(one -> one.replace('-', '−')).toList();
    }
}
