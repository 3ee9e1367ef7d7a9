package org.logophon.core.voice.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.align.WordShare;
import org.logophon.core.voice.check.TakeFinding.Kind;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.take.TakeOrigin;

/**
 * Goes through a take as an ear would that never tires: words whose sound is missing or doubled, an end that is cut
 * off, clicks, a level that drops, silence that nobody asked for. Word by word it is held against the same voice saying
 * the same words anew. Thresholds are ours: between what takes as they are measure, and the same takes spoiled.
 */
public final class TakeCheck {

    /** Shorter words can't be judged by their length. */
    private static final double SHORTEST_WORD = 0.12;
    /** Of what a word takes beside the others of its take. */
    private static final double MISSING = 0.5;

    /**
     * Of each of two words that share the sound of one, so much is gone at the least; and together, of the shorter one.
     */
    private static final double LENT = 0.1;

    private static final double SHORT = 0.6;
    private static final double TWICE = 1.65;
    private static final double TWICE_SECONDS = 0.14;
    /** A stretch of words that lies so far under the take's own level. */
    private static final double LEVEL_DB = -9;

    private static final int LEVEL_WORDS = 3;
    private static final double LEVEL_SECONDS = 0.7;
    /** Silence beside what is asked for. */
    private static final double SILENCE_SECONDS = 1.2;

    private static final double AT_ENDS_SECONDS = 0.5;
    private static final double EDGE_SECONDS = 0.006;
    /** An edge that stands so high over the speech's level, and so far over the reference's edge, was cut. */
    private static final double EDGE_DB = -22;

    private static final double EDGE_OVER_DB = 9;

    private static final double UNKNOWN_EDGE_DB = -18;
    private static final double SHOWN_SECONDS = 0.3;

    private TakeCheck() {}

    /**
     * @param origin    what made the take
     * @param reference the same voice saying {@code spoken} anew, with word starts; null where no voice can: then words
     *     aren't compared
     * @return in the order of time
     */
    public static List<TakeFinding> of(Sound sound, TakeOrigin origin, SpokenText spoken, Utterance reference) {
        List<TakeFinding> findings = new ArrayList<>();
        String text = origin.text();
        List<Spoken> words = reference == null ? List.of() : words(reference, sound, spoken, text);
        List<Mark> marks = origin.standing().heard();
        compare(words, marks, text, findings);
        level(words, marks, sound, text, findings);
        silence(words, marks, sound, text, findings);
        cut(sound, reference, text, findings);
        for (double at : Clicks.in(sound)) {
            findings.add(at(
                    Kind.CLICK, at, at, wordAt(words, at, text), String.format(Locale.ROOT, "A click at %.2f s.", at)));
        }
        findings.sort(Comparator.comparingDouble(TakeFinding::fromSeconds));
        return List.copyOf(findings);
    }

    /** A word of the text, with the share that it takes. */
    private record Spoken(Word word, WordShare share) {}

    private static List<Spoken> words(Utterance reference, Sound sound, SpokenText spoken, String text) {
        List<Word> written = Words.of(text);
        List<Spoken> words = new ArrayList<>();
        for (WordShare share : WordShare.of(reference, sound)) {
            int at = spoken.writtenAt(share.codePoint());
            written.stream()
                    .filter(word -> word.end() > at)
                    .findFirst()
                    .ifPresent(word -> words.add(new Spoken(word, share)));
        }
        return words;
    }

    private static void compare(List<Spoken> words, List<Mark> marks, String text, List<TakeFinding> findings) {
        List<Spoken> judged = words.stream()
                .filter(word -> word.share().known() >= SHORTEST_WORD)
                .toList();
        if (judged.isEmpty()) {
            return;
        }
        double[] shares =
                judged.stream().mapToDouble(word -> share(word, marks)).sorted().toArray();
        double usual = shares[shares.length / 2];
        double[] lacks = judged.stream()
                .mapToDouble(word -> 1 - share(word, marks) / usual)
                .toArray();
        for (int i = 0; i < lacks.length; i++) {
            Spoken word = judged.get(i);
            double share = 1 - lacks[i];
            String written = "“" + word.word().in(text) + "”";
            double more = word.share().found() - word.share().known() * usual;
            if (share < MISSING || shared(judged, lacks, i)) {
                findings.add(at(Kind.MISSING, word, "The sound of " + written + " is missing, or most of it."));
            } else if (share > TWICE && more > TWICE_SECONDS && !stressed(word, marks)) {
                findings.add(
                        at(Kind.TWICE, word, written + " sounds twice, or is drawn out far longer than its kind."));
            }
        }
    }

    /** Where a word is missing, the next one may lend it some of its sound: then both are short of it. */
    private static boolean shared(List<Spoken> words, double[] lacks, int at) {
        if (at + 1 == lacks.length || Math.min(lacks[at], lacks[at + 1]) < LENT || lacks[at + 1] > MISSING) {
            return false;
        }
        double one = words.get(at).share().known();
        double next = words.get(at + 1).share().known();
        return lacks[at] * one + lacks[at + 1] * next > SHORT * Math.min(one, next);
    }

    /** Found against known, at the pace that marks ask for. */
    private static double share(Spoken word, List<Mark> marks) {
        double pace = marks.stream()
                .filter(mark -> covers(mark, word) && mark.instruction() instanceof Instruction.Pace)
                .mapToDouble(mark -> ((Instruction.Pace) mark.instruction()).percent() / 100.0)
                .reduce(1, (one, other) -> one * other);
        return word.share().found() / word.share().known() * pace;
    }

    private static boolean stressed(Spoken word, List<Mark> marks) {
        return marks.stream().anyMatch(mark -> covers(mark, word) && mark.instruction() instanceof Instruction.Stress);
    }

    private static boolean covers(Mark mark, Spoken word) {
        return mark.start() < word.word().end() && mark.end() > word.word().start();
    }

    private static void level(
            List<Spoken> words, List<Mark> marks, Sound sound, String text, List<TakeFinding> findings) {
        List<Spoken> plain = words.stream()
                .filter(word ->
                        word.share().known() >= SHORTEST_WORD && word.share().found() > 0)
                .filter(word -> marks.stream()
                        .noneMatch(mark -> covers(mark, word)
                                && !mark.instruction().onGap()
                                && !(mark.instruction() instanceof Instruction.ReadAs)))
                .toList();
        double[] levels = plain.stream().mapToDouble(word -> level(word, sound)).toArray();
        if (levels.length < 2 * LEVEL_WORDS) {
            return;
        }
        double loud = Arrays.stream(levels)
                .sorted()
                .skip(levels.length * 3L / 5)
                .findFirst()
                .orElseThrow();
        int from = 0;
        for (int i = 0; i <= levels.length; i++) {
            if (i < levels.length && levels[i] - loud < LEVEL_DB) {
                continue;
            }
            if (i - from >= LEVEL_WORDS
                    && plain.get(i - 1).share().toSeconds()
                                    - plain.get(from).share().fromSeconds()
                            > LEVEL_SECONDS) {
                findings.add(new TakeFinding(
                        Kind.LEVEL,
                        plain.get(from).share().fromSeconds(),
                        plain.get(i - 1).share().toSeconds(),
                        plain.get(from).word().start(),
                        plain.get(i - 1).word().end(),
                        "From “" + plain.get(from).word().in(text) + "” to “"
                                + plain.get(i - 1).word().in(text)
                                + "” the take is much quieter than the rest of it."));
            }
            from = i + 1;
        }
    }

    private static double level(Spoken word, Sound sound) {
        int from = (int) (word.share().fromSeconds() * sound.rate());
        int to = Math.min(sound.samples().length, (int) (word.share().toSeconds() * sound.rate()));
        return Decibels.ofFactor(Math.max(1e-6, sound.rms(from, Math.max(from + 1, to))));
    }

    private static void silence(
            List<Spoken> words, List<Mark> marks, Sound sound, String text, List<TakeFinding> findings) {
        SpeechSpan span = SpeechSpan.of(sound);
        double rate = sound.rate();
        double end = sound.seconds();
        List<double[]> quiet = new ArrayList<>();
        SpeechSpan.pauses(sound).forEach(pause -> quiet.add(new double[] {pause.from() / rate, pause.to() / rate, 0}));
        quiet.add(new double[] {0, span.from() / rate, SILENCE_SECONDS - AT_ENDS_SECONDS});
        quiet.add(new double[] {span.to() / rate, end, SILENCE_SECONDS - AT_ENDS_SECONDS});
        for (double[] pause : quiet) {
            double seconds = pause[1] - pause[0];
            Word before = wordAt(words, pause[0] - 0.02, text);
            double asked = marks.stream()
                    .filter(mark -> mark.instruction() instanceof Instruction.Pause
                            && before != null
                            && Math.abs(mark.end() - before.end()) <= 40)
                    .mapToDouble(mark -> ((Instruction.Pause) mark.instruction()).millis() / 1000.0)
                    .max()
                    .orElse(0);
            if (seconds + pause[2] > SILENCE_SECONDS + asked) {
                findings.add(at(
                        Kind.SILENCE,
                        pause[0],
                        pause[1],
                        before,
                        String.format(Locale.ROOT, "%.1f s of silence that nothing asks for.", seconds)));
            }
        }
    }

    /**
     * Speech dies away; where it stands loud to its first or last sample, and the same voice doesn't, something was
     * taken off.
     */
    private static void cut(Sound sound, Utterance reference, String text, List<TakeFinding> findings) {
        List<Word> words = Words.of(text);
        if (words.isEmpty() || sound.seconds() < 20 * EDGE_SECONDS) {
            return;
        }
        double usualEnd = reference == null ? UNKNOWN_EDGE_DB : edge(reference.sound(), false);
        SpeechSpan span = SpeechSpan.of(sound);
        boolean toTheEnd = sound.samples().length - span.to() < EDGE_SECONDS / 2 * sound.rate();
        boolean fromTheStart = span.from() < EDGE_SECONDS / 2 * sound.rate();
        if (toTheEnd && edge(sound, false) > Math.max(EDGE_DB, usualEnd + EDGE_OVER_DB)) {
            findings.add(at(
                    Kind.CUT,
                    sound.seconds() - SHOWN_SECONDS,
                    sound.seconds(),
                    words.get(words.size() - 1),
                    "The take ends in the middle of a sound."));
        }
        // a vowel may set in with its whole strength: without the voice's own way nothing can be said of a start
        if (fromTheStart
                && reference != null
                && edge(sound, true) > Math.max(EDGE_DB, edge(reference.sound(), true) + 2 * EDGE_OVER_DB)) {
            findings.add(at(Kind.CUT, 0, SHOWN_SECONDS, words.get(0), "The take begins in the middle of a sound."));
        }
    }

    /** Level of the first or the last moment of the speech, against all of it. */
    private static double edge(Sound sound, boolean first) {
        SpeechSpan span = SpeechSpan.of(sound);
        int edge = (int) (EDGE_SECONDS * sound.rate());
        if (span.to() - span.from() < 2 * edge) {
            return UNKNOWN_EDGE_DB;
        }
        double whole = sound.rms(span.from(), span.to());
        double part = first ? sound.rms(span.from(), span.from() + edge) : sound.rms(span.to() - edge, span.to());
        return Decibels.ofFactor(Math.max(1e-6, part / whole));
    }

    private static Word wordAt(List<Spoken> words, double seconds, String text) {
        Word found = Words.of(text).stream().findFirst().orElse(null);
        for (Spoken word : words) {
            found = word.share().fromSeconds() <= seconds ? word.word() : found;
        }
        return found;
    }

    private static TakeFinding at(Kind kind, Spoken word, String sentence) {
        return at(kind, word.share().fromSeconds(), word.share().toSeconds(), word.word(), sentence);
    }

    private static TakeFinding at(Kind kind, double from, double to, Word word, String sentence) {
        return new TakeFinding(
                kind, Math.max(0, from), to, word == null ? 0 : word.start(), word == null ? 0 : word.end(), sentence);
    }
}
