package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.check.TakeFinding.Kind;
import org.logophon.core.voice.render.WordTime;

/**
 * The findings where a recording differs from its script. They are doubts, not truths: thresholds are
 * ours, between recordings as they are and the same with a word more or less.
 */
final class ScriptFindings {

    /** A word that takes so many times what its kind takes in the same recording, and so much more, is a stumble. */
    private static final double STUMBLE = 2.5;

    private static final double STUMBLE_SECONDS = 0.35;
    private static final int FEWEST_WORDS = 4;
    /** Inside a sentence, and at the end of one. */
    private static final double HESITATION_SECONDS = 1.2;

    private static final double BETWEEN_SENTENCES_SECONDS = 2.5;
    private static final double SHORTEST_BREATH_SECONDS = 0.15;
    private static final double LONGEST_BREATH_SECONDS = 1.0;
    /** So far over the other breaths, and no further than this under the speech. */
    private static final double BREATH_OVER_DB = 6;

    private static final double BREATH_UNDER_DB = 20;
    private static final double BREATH_VOICED = 0.12;

    private final String text;
    private final List<WordTime> words;
    private final double rate;
    private final List<TakeFinding> found = new ArrayList<>();

    ScriptFindings(String text, List<WordTime> words, int rate) {
        this.text = text;
        this.words = words;
        this.rate = rate;
    }

    List<TakeFinding> all() {
        return found;
    }

    /** @param from place in the text of the first word that isn't said @param to of the last */
    void unsaid(int from, int to) {
        WordTime first = at(from);
        WordTime last = at(to);
        if (first != null && last != null) {
            String gone = text.substring(first.start(), Math.max(first.end(), last.end()));
            double where = first.startSample() / rate;
            found.add(new TakeFinding(
                    Kind.MISSING,
                    where,
                    where,
                    first.start(),
                    Math.max(first.end(), last.end()),
                    "“" + gone + "” seems to be left out."));
        }
    }

    /** @param before place in the text of the word after it */
    void strange(int before, int from, int to, boolean repeated) {
        WordTime next = at(before);
        WordTime word = next == null ? last() : next;
        if (word == null) {
            return;
        }
        String written = "“" + text.substring(word.start(), word.end()) + "”";
        String place = next == null ? "After " + written : "Before " + written;
        found.add(new TakeFinding(
                repeated ? Kind.TWICE : Kind.PUT_IN,
                from / rate,
                to / rate,
                word.start(),
                word.end(),
                repeated
                        ? place + " something seems to be said twice."
                        : place + " something is said that the script doesn't have."));
    }

    private WordTime at(int place) {
        return words.stream().filter(word -> word.end() > place).findFirst().orElse(null);
    }

    private WordTime last() {
        return words.isEmpty() ? null : words.get(words.size() - 1);
    }

    /** @param said the same words by other voices @param rates of their samples */
    void stumbles(List<List<WordTime>> said, List<Integer> rates) {
        if (said.isEmpty() || words.size() < FEWEST_WORDS) {
            return;
        }
        double[] kind = new double[words.size()];
        double[] ratio = new double[words.size()];
        for (int i = 0; i < kind.length; i++) {
            for (int v = 0; v < said.size(); v++) {
                WordTime word = said.get(v).get(i);
                kind[i] += (word.endSample() - word.startSample()) / (double) rates.get(v) / said.size();
            }
            ratio[i] = seconds(i) / Math.max(0.05, kind[i]);
        }
        double[] sorted = ratio.clone();
        Arrays.sort(sorted);
        double usual = sorted[sorted.length / 2];
        if (usual == 0) {
            // most words have no time of their own: nothing here is a measure for the others
            return;
        }
        for (int i = 0; i < ratio.length; i++) {
            WordTime word = words.get(i);
            double more = seconds(i) - kind[i] * usual;
            boolean told = found.stream()
                    .anyMatch(other -> other.fromSeconds() < word.endSample() / rate + 0.1
                            && other.toSeconds() > word.startSample() / rate - 0.1);
            if (ratio[i] > STUMBLE * usual && more > STUMBLE_SECONDS && !told) {
                found.add(new TakeFinding(
                        Kind.STUMBLE,
                        word.startSample() / rate,
                        word.endSample() / rate,
                        word.start(),
                        word.end(),
                        String.format(
                                Locale.ROOT,
                                "“%s” takes %.1f times as long as the rest: a stumble?",
                                text.substring(word.start(), word.end()),
                                ratio[i] / usual)));
            }
        }
    }

    private double seconds(int i) {
        return (words.get(i).endSample() - words.get(i).startSample()) / rate;
    }

    void hesitations() {
        for (int i = 0; i + 1 < words.size(); i++) {
            double gap = (words.get(i + 1).startSample() - words.get(i).endSample()) / rate;
            String between = text.substring(words.get(i).end(), words.get(i + 1).start());
            boolean sentence = between.chars().anyMatch(sign -> ".!?…。！？\n".indexOf(sign) >= 0);
            if (gap > (sentence ? BETWEEN_SENTENCES_SECONDS : HESITATION_SECONDS)) {
                found.add(new TakeFinding(
                        Kind.HESITATION,
                        words.get(i).endSample() / rate,
                        words.get(i + 1).startSample() / rate,
                        words.get(i).start(),
                        words.get(i + 1).end(),
                        String.format(
                                Locale.ROOT,
                                "%.1f s of silence after “%s”.",
                                gap,
                                text.substring(
                                        words.get(i).start(), words.get(i).end()))));
            }
        }
    }

    private record Breath(Activity.Span span, double levelDb) {}

    /** Sounds between pauses that have no pitch and are no word's, louder than the other ones. */
    void breaths(Sound sound, Activity activity) {
        PitchTrack track = PitchMeter.track(sound);
        List<Breath> breaths = new ArrayList<>();
        List<Activity.Span> spans = activity.spans(sound.samples().length);
        for (Activity.Span span : spans) {
            double seconds = (span.to() - span.from()) / rate;
            boolean word = words.stream()
                    .anyMatch(other -> other.startSample() >= span.from() - 0.03 * rate
                            && other.startSample() < span.to() - 0.03 * rate);
            // after the last word it is the end of that word
            boolean followed = words.stream().anyMatch(other -> other.startSample() >= span.to());
            if (followed
                    && seconds > SHORTEST_BREATH_SECONDS
                    && seconds < LONGEST_BREATH_SECONDS
                    && !word
                    && track.between(span.from(), span.to(), sound.rate()).voicedShare() < BREATH_VOICED) {
                breaths.add(new Breath(span, Decibels.ofFactor(Math.max(1e-9, sound.rms(span.from(), span.to())))));
            }
        }
        double[] levels = breaths.stream().mapToDouble(Breath::levelDb).sorted().toArray();
        for (Breath breath : breaths) {
            double usual = levels.length < 3 ? -200 : levels[levels.length / 2];
            if (breath.levelDb() > activity.speechDb() - BREATH_UNDER_DB && breath.levelDb() > usual + BREATH_OVER_DB) {
                double at = breath.span().from() / rate;
                WordTime next = words.stream()
                        .filter(word -> word.startSample() >= breath.span().to())
                        .findFirst()
                        .orElse(last());
                found.add(new TakeFinding(
                        Kind.BREATH,
                        at,
                        breath.span().to() / rate,
                        next == null ? 0 : next.start(),
                        next == null ? 0 : next.end(),
                        String.format(
                                Locale.ROOT,
                                "A loud breath at %.1f s, %.0f dB under the speech.",
                                at,
                                activity.speechDb() - breath.levelDb())));
            }
        }
    }
}
