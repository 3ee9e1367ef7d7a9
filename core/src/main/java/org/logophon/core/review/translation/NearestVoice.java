package org.logophon.core.review.translation;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.VoiceFigures;

/** The voice of another language whose figures come nearest to a voice's: as deep, as lively, as quick, as bright. */
public final class NearestVoice {

    /** What counts as one step apart, for each figure. Ours: about what an untrained ear notices. */
    private static final double PITCH_SEMITONES = 1;

    private static final double RANGE_SEMITONES = 1.5;
    private static final double PACE_SHARE = 0.08;
    private static final double BRIGHTNESS_SHARE = 0.1;
    /** For a figure that one of the two doesn't have. */
    private static final double UNKNOWN = 3;

    private NearestVoice() {}

    /** @param reasons in words, what is alike first */
    public record Proposal(Voice voice, double apart, List<String> reasons) {}

    /**
     * @param language BCP 47 tag of the other language
     * @param figures  by the ids of voices
     * @param taken    ids of voices that other roles have: they come last
     * @return empty when no free voice speaks the language
     */
    public static Optional<Proposal> of(
            Voice voice,
            String language,
            Collection<Voice> voices,
            Map<String, VoiceFigures> figures,
            Set<String> taken) {
        String spoken = language.split("-")[0];
        VoiceFigures wanted = figures.get(voice.id());
        return voices.stream()
                .filter(other -> other.terms().free()
                        && !other.whispers()
                        && other.language().split("-")[0].equalsIgnoreCase(spoken))
                .min(Comparator.comparing((Voice other) -> taken.contains(other.id()))
                        .thenComparing(other -> other.gender() != voice.gender())
                        .thenComparing(other -> apart(wanted, figures.get(other.id())))
                        .thenComparing(Voice::making)
                        .thenComparing(Voice::name))
                .map(other -> new Proposal(
                        other, apart(wanted, figures.get(other.id())), reasons(wanted, figures.get(other.id()))));
    }

    /** In steps: the root of the sum of the squares. */
    static double apart(VoiceFigures a, VoiceFigures b) {
        if (a == null || b == null) {
            return 4 * UNKNOWN;
        }
        double pitch = semitones(a.medianPitchHz(), b.medianPitchHz()) / PITCH_SEMITONES;
        double range = difference(a.pitchRangeSemitones(), b.pitchRangeSemitones()) / RANGE_SEMITONES;
        double pace = share(a.syllablesPerMinute(), b.syllablesPerMinute()) / PACE_SHARE;
        double bright = share(a.brightnessHz(), b.brightnessHz()) / BRIGHTNESS_SHARE;
        return Math.sqrt(square(pitch) + square(range) + square(pace) + square(bright));
    }

    private static List<String> reasons(VoiceFigures a, VoiceFigures b) {
        if (a == null || b == null || a.medianPitchHz() == null || b.medianPitchHz() == null) {
            return List.of("not measured yet");
        }
        return List.of(
                "%.0f Hz for %.0f".formatted(b.medianPitchHz(), a.medianPitchHz()),
                a.syllablesPerMinute() == null || b.syllablesPerMinute() == null
                        ? "pace unknown"
                        : "%.0f syllables a minute for %.0f".formatted(b.syllablesPerMinute(), a.syllablesPerMinute()));
    }

    private static double semitones(Double a, Double b) {
        return a == null || b == null ? UNKNOWN : Math.abs(12 * Math.log(a / b) / Math.log(2));
    }

    private static double difference(Double a, Double b) {
        return a == null || b == null ? UNKNOWN : Math.abs(a - b);
    }

    private static double share(Double a, Double b) {
        return a == null || b == null ? UNKNOWN : Math.abs(Math.log(a / b));
    }

    private static double square(double x) {
        return x * x;
    }
}
