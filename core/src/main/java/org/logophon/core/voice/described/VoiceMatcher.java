package org.logophon.core.voice.described;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.VoiceFigures;

/**
 * The finder of voices that a description fits best. Gender, accent and whispering decide, then age; among those that
 * are left the measured pitch, pace, range and brightness count by where a voice stands among all of them, and tuning
 * makes up the rest within what still sounds like a person.
 */
public final class VoiceMatcher {

    /** A voice that nobody understands is twice as far off as one that stands at the wrong end of a scale. */
    private static final double UNCLEAR = 2;

    private static final Map<String, String> PLACES = Map.ofEntries(
            Map.entry("scottish", "scotland"),
            Map.entry("scots", "scotland"),
            Map.entry("american", "united states"),
            Map.entry("british", "great britain"),
            Map.entry("english", "english"),
            Map.entry("caribbean", "caribbean"),
            Map.entry("lancashire", "lancaster"),
            Map.entry("welsh", "welsh"),
            Map.entry("irish", "irish"),
            Map.entry("german", "german"),
            Map.entry("french", "french"),
            Map.entry("spanish", "spanish"),
            Map.entry("scot", "scotland"),
            Map.entry("highland", "scotland"),
            Map.entry("highlands", "scotland"),
            Map.entry("yank", "united states"),
            Map.entry("usa", "united states"),
            Map.entry("america", "united states"),
            Map.entry("britain", "great britain"),
            Map.entry("uk", "great britain"),
            Map.entry("england", "great britain"),
            Map.entry("cornish", "great britain"),
            Map.entry("wales", "welsh"),
            Map.entry("germany", "german"),
            Map.entry("france", "french"),
            Map.entry("spain", "spanish"),
            Map.entry("italian", "italian"),
            Map.entry("italy", "italian"));

    private final List<Voice> voices;
    private final Map<String, VoiceFigures> figures;
    private final Function<String, Optional<Clearness>> clearness;

    /** @param clearness of a voice, by its id */
    public VoiceMatcher(
            List<Voice> voices, Map<String, VoiceFigures> figures, Function<String, Optional<Clearness>> clearness) {
        this.clearness = clearness;
        this.voices = voices.stream().filter(voice -> !voice.ofTheHouse()).toList();
        this.figures = figures;
    }

    /** @param language BCP 47 tag that the voices speak when the description names none */
    public List<Proposal> closest(Description description, String language, int most) {
        List<Voice> fitting = voices.stream()
                .filter(voice -> fits(voice, description, language))
                .toList();
        return fitting.stream()
                .sorted(Comparator.comparing(
                                (Voice voice) -> description.age() != null && voice.age() != description.age())
                        .thenComparingDouble(voice -> distance(voice, fitting, description)))
                .limit(most)
                .map(voice -> proposal(voice, fitting, description))
                .toList();
    }

    /** Words that a description may name an accent or a language with. */
    public Set<String> places() {
        Set<String> words = new HashSet<>(PLACES.keySet());
        for (Voice voice : voices) {
            words.addAll(List.of(voice.languageName().toLowerCase(Locale.ROOT).split("[ ,()-]+")));
            words.addAll(List.of(voice.accent().toLowerCase(Locale.ROOT).split("[ ,()-]+")));
        }
        words.remove("");
        return words;
    }

    private boolean fits(Voice voice, Description description, String language) {
        if (description.gender() != null && voice.gender() != description.gender()
                || voice.whispers() != description.whispers()
                || !figures.containsKey(voice.id())) {
            return false;
        }
        String spoken = (voice.languageName() + " " + voice.accent()).toLowerCase(Locale.ROOT);
        boolean named = description.places().stream()
                .allMatch(place ->
                        spoken.contains(place) || PLACES.containsKey(place) && spoken.contains(PLACES.get(place)));
        return named
                && (!description.places().isEmpty()
                        || voice.language().split("-")[0].equals(language.split("-")[0]));
    }

    private double distance(Voice voice, List<Voice> all, Description description) {
        double sum = 0;
        sum += off(description.pitch(), standing(voice, all, Scale.PITCH));
        sum += off(description.pace(), standing(voice, all, Scale.PACE));
        sum += off(description.range(), standing(voice, all, Scale.RANGE));
        sum += off(description.colour(), standing(voice, all, Scale.COLOUR));
        return sum + UNCLEAR * unclear(voice);
    }

    /** The share of its words that isn't understood; by how it is made where nobody measured it. */
    private double unclear(Voice voice) {
        return clearness
                .apply(voice.id())
                .map(measured -> measured.missedPercent() / 100)
                .orElse(voice.making() == Making.FORMANT ? 0.8 : 0.1);
    }

    /** How far a standing of 0–1 is from the end that is asked for. */
    private static double off(double asked, double standing) {
        return asked == 0 ? 0 : asked < 0 ? standing : 1 - standing;
    }

    private enum Scale {
        PITCH,
        PACE,
        RANGE,
        COLOUR;

        Double of(VoiceFigures figures) {
            return switch (this) {
                case PITCH -> figures.medianPitchHz();
                case PACE -> figures.wordsPerMinute();
                case RANGE -> figures.pitchRangeSemitones();
                case COLOUR -> figures.brightnessHz();
            };
        }
    }

    /** The share of the voices of its gender that measure less; a half when it has no such figure. */
    private double standing(Voice voice, List<Voice> all, Scale scale) {
        Double own = scale.of(figures.get(voice.id()));
        if (own == null) {
            return 0.5;
        }
        List<Double> others = all.stream()
                .filter(other -> other.gender() == voice.gender() && !other.id().equals(voice.id()))
                .map(other -> scale.of(figures.get(other.id())))
                .filter(value -> value != null)
                .toList();
        return others.isEmpty()
                ? 0.5
                : others.stream().filter(value -> value < own).count() / (double) others.size();
    }

    private Proposal proposal(Voice voice, List<Voice> all, Description description) {
        VoiceFigures measured = figures.get(voice.id());
        List<String> reasons = new ArrayList<>();
        reasons.add((voice.age() == Age.GROWN ? "" : voice.age().id() + " ")
                + voice.gender().label() + ", " + voice.speaks());
        boolean old = description.age() == Age.OLD && voice.age() != Age.OLD;
        boolean young = description.age() == Age.YOUNG && voice.age() != Age.YOUNG;
        double semitones =
                description.pitch() == 0 ? 0 : tune(description.pitch(), standing(voice, all, Scale.PITCH), 3.5);
        double pace = description.pace() == 0 ? 0 : tune(description.pace(), standing(voice, all, Scale.PACE), 18);
        double range =
                description.range() == 0 ? 0 : tune(description.range() * 2, standing(voice, all, Scale.RANGE), 40);
        double timbre =
                description.colour() == 0 ? 0 : tune(description.colour(), standing(voice, all, Scale.COLOUR), 1.5);
        if (description.pitch() != 0 && measured.medianPitchHz() != null) {
            reasons.add("%.0f Hz measured: %s"
                    .formatted(measured.medianPitchHz(), place(standing(voice, all, Scale.PITCH), "deeper", "higher")));
            timbre += Math.signum(description.pitch()) * 0.5;
        }
        if (description.colour() != 0) {
            reasons.add("brightness %.0f Hz: %s"
                    .formatted(
                            measured.brightnessHz(), place(standing(voice, all, Scale.COLOUR), "darker", "brighter")));
        }
        if (old) {
            pace -= 6;
            range -= 10;
            timbre -= voice.gender() == Gender.FEMALE ? 0.8 : 0.4;
            reasons.add("an old voice is made of a grown one: slower, evener, a little deeper in timbre");
        }
        if (young) {
            semitones += 1;
            timbre += 1;
            reasons.add("a young voice is made of a grown one: higher, and lighter in timbre");
        }
        Tuning tuning = new Tuning(
                (int) Math.round(100 + within(pace, 30)),
                Math.round(within(voice.whispers() ? 0 : semitones, 4) * 10) / 10.0,
                (int) Math.round(100 + within(voice.whispers() ? 0 : range, 80)),
                Math.round(within(timbre, 3) * 10) / 10.0,
                null,
                0);
        said(tuning).forEach(reasons::add);
        return new Proposal(voice, voice.tuning().and(tuning), reasons);
    }

    /** The further a voice is from what is asked, the more tuning does. */
    private static double tune(double asked, double standing, double most) {
        return Math.signum(asked) * most * (0.35 + 0.65 * off(asked, standing)) * Math.abs(asked) / 2;
    }

    private static String place(double standing, String less, String more) {
        String than = standing < 0.5 ? less : more;
        long share = Math.round(100 * Math.max(standing, 1 - standing));
        return share == 100 ? than + " than all the others" : than + " than " + share + " % of the others";
    }

    private static List<String> said(Tuning tuning) {
        List<String> said = new ArrayList<>();
        if (tuning.pacePercent() != 100) {
            said.add("pace %d %%".formatted(tuning.pacePercent()));
        }
        if (tuning.semitones() != 0) {
            said.add(signed("pitch %+.1f semitones", tuning.semitones()));
        }
        if (tuning.rangePercent() != 100) {
            said.add("range %d %%".formatted(tuning.rangePercent()));
        }
        if (tuning.timbreSemitones() != 0) {
            said.add(signed(
                    tuning.timbreSemitones() < 0 ? "timbre %+.1f, deeper" : "timbre %+.1f, lighter",
                    tuning.timbreSemitones()));
        }
        return said;
    }

    private static String signed(String format, double value) {
        return String.format(Locale.ROOT, format, value).replace('-', '−');
    }

    private static double within(double value, double most) {
        return Math.max(-most, Math.min(most, value));
    }
}
