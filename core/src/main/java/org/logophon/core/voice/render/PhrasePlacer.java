package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.direction.phrasing.PhraseMove;
import org.logophon.core.direction.phrasing.PhrasePart;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.direction.phrasing.Phrasing.WordRun;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.prosody.Melody;

/**
 * Lays a text's phrasing over speech as its engine gave it. What the engine does by itself (falls, rises, declines,
 * lengthens) is measured first, and only the difference is added.
 */
final class PhrasePlacer {

    private static final double SLIDE_SECONDS = 0.06;
    /** The farthest that an end of a phrase is bent, so that speech stays speech. */
    private static final double MOST_DOWN = 7;

    private static final double MOST_UP = 10;
    /** So long a glide has, where its words are as long. */
    private static final double LEAST_GLIDE_SECONDS = 0.25;
    /** The end of a glide is what is heard of its last voice. */
    private static final double END_SECONDS = 0.12;
    /** From here on a move is a rise or a fall, not a bend. */
    private static final double RISE = 3;
    /** How far under its middle a voice goes at most, and how near to it what goes on stays. */
    private static final double FLOOR = 6;

    private static final double NEAR = 2;
    /** Share of the way at half of the time. */
    private static final double EARLY = 0.75;

    private static final double EVEN = 0.5;
    /** Declination adds no more than this between a sentence's start and its end. */
    private static final double MOST_DECLINATION = 1.5;

    private final Speech base;
    private final PitchTrack track;
    private final Phrasing phrasing;
    private final double share;
    private final String baseId;
    private final int rate;
    private final Melody melody;
    private final double[] pace;
    private final double[] range;
    private final double[] decibels;
    private final int[] longFrom;
    private final double[] longer;

    private PhrasePlacer(Speech base, PitchTrack track, Phrasing phrasing, double share, String baseId) {
        this.base = base;
        this.track = track;
        this.phrasing = phrasing;
        this.share = share;
        this.baseId = baseId;
        this.rate = base.sound().rate();
        this.melody = new Melody(base.sound().samples().length, rate);
        int count = base.words().size();
        this.pace = filled(count, 1);
        this.range = filled(count, 1);
        this.decibels = new double[count];
        this.longFrom = base.words().stream().mapToInt(WordTime::endSample).toArray();
        this.longer = filled(count, 1);
    }

    private static double[] filled(int count, double value) {
        double[] values = new double[count];
        Arrays.fill(values, value);
        return values;
    }

    /**
     * Phrasing as it lies on speech.
     *
     * @param words one for each word of the speech
     * @param track the pitch that the speech has when phrasing alone has been at work, along its own time
     */
    record Placed(Melody melody, List<PhrasedWord> words, PitchTrack track) {}

    /**
     * @param track   of the speech
     * @param percent of the dial
     * @param baseId  of the voice that speaks
     */
    static Placed of(Speech base, PitchTrack track, Phrasing phrasing, int percent, String baseId) {
        return new PhrasePlacer(base, track, phrasing, percent / 100.0, baseId).placed();
    }

    private Placed placed() {
        for (PhrasePart part : phrasing.parts()) {
            WordRun run = run(part);
            if (run != null) {
                place(part.move(), run);
            }
        }
        phrasing.sentences().forEach(this::decline);
        List<PhrasedWord> words = new ArrayList<>();
        for (int i = 0; i < pace.length; i++) {
            words.add(new PhrasedWord(pace[i], range[i], decibels[i], longFrom[i], longer[i]));
        }
        return new Placed(melody, words, phrased());
    }

    private void place(PhraseMove move, WordRun run) {
        if (move instanceof PhraseMove.Ending ending) {
            end(ending, run);
        } else if (move instanceof PhraseMove.Accent accent) {
            raise(word(run.first()), accent.semitones() * share);
        } else if (move instanceof PhraseMove.Weight weight) {
            WordTime word = word(run.first());
            shift(word.startSample(), word.endSample(), weight.semitones() * share);
            pace[run.first()] /= Math.pow(weight.length(), share);
            decibels[run.first()] += weight.decibels() * share;
        } else if (move instanceof PhraseMove.Span span) {
            shift(word(run.first()).startSample(), word(run.last()).endSample(), span.semitones() * share);
            for (int i = run.first(); i <= run.last(); i++) {
                pace[i] *= Math.pow(span.pacePercent() / 100.0, share);
                range[i] *= Math.pow(span.rangePercent() / 100.0, share);
                decibels[i] += span.decibels() * share;
            }
        }
    }

    /** All of it moves; slides lead in and out. */
    private void shift(int from, int to, double semitones) {
        double slide = Math.min(SLIDE_SECONDS * rate, (to - from) / 4.0);
        melody.add(from, 0, from + slide, semitones);
        melody.add(from + slide, semitones, to - slide, semitones);
        melody.add(to - slide, semitones, to, 0);
    }

    /** High on the word, and a glide down into the next. */
    private void raise(WordTime word, double semitones) {
        double length = word.endSample() - word.startSample();
        double top = word.startSample() + 0.3 * length;
        double turn = word.startSample() + 0.6 * length;
        melody.add(word.startSample(), 0, top, semitones);
        melody.add(top, semitones, turn, semitones);
        melody.add(turn, semitones, word.endSample() + 2 * SLIDE_SECONDS * rate, 0);
    }

    private void end(PhraseMove.Ending ending, WordRun run) {
        int to = word(run.last()).endSample();
        int least = Math.max(word(run.first()).startSample(), to - (int) (LEAST_GLIDE_SECONDS * rate));
        int from = Math.min(StressedSyllable.start(base, run.first()), least);
        double added = Math.max(-MOST_DOWN, Math.min(MOST_UP, glide(from, to, ending.semitones()) * share));
        int until = run.last() + 1 < base.words().size() ? word(run.last() + 1).startSample() : melodyEnd();
        // a rise that is heard in time comes early, as people make it
        double bend = ending.semitones() >= RISE ? EARLY : EVEN;
        double half = (from + to) / 2.0;
        melody.add(from, 0, half, added * bend);
        melody.add(half + 1, added * bend, to, added);
        melody.add(to + 1.0, added, until - 1.0, added);
        // the syllable that bears the stress, and no farther than its own word
        int last = run.first();
        double factor = Math.pow(FinalLengthening.left(baseId, ending.lengthening()), share);
        if (factor > 1) {
            longFrom[last] = Math.min(from, longFrom[last]);
            longer[last] *= factor;
        }
    }

    private int melodyEnd() {
        return base.sound().samples().length;
    }

    /**
     * What is to be added at the end of a glide, in semitones: a rise ends over the middle of the voice, a fall at its
     * floor. An engine that falls or rises as far by itself is left alone.
     */
    private double glide(int from, int to, double wanted) {
        float[] voiced = voiced(track.between(from, to, rate).hertz());
        double middle = track.medianHz();
        if (voiced.length < 6 || middle == 0) {
            return 0;
        }
        int first = Math.max(1, voiced.length / 3);
        int last = Math.min(voiced.length, Math.max(3, (int) (END_SECONDS / PitchTrack.HOP_SECONDS)));
        double start = PitchTrack.semitones(middle, new PitchTrack(Arrays.copyOfRange(voiced, 0, first)).medianHz());
        double end = PitchTrack.semitones(
                middle, new PitchTrack(Arrays.copyOfRange(voiced, voiced.length - last, voiced.length)).medianHz());
        if (wanted >= RISE) {
            return Math.max(0, Math.max(start, 0) + wanted - end);
        }
        if (wanted <= -RISE) {
            return Math.min(0, Math.max(-FLOOR, Math.min(start, 0) + wanted) - end);
        }
        return Math.max(-NEAR, Math.min(NEAR + Math.max(0, wanted), start + wanted)) - end;
    }

    private static float[] voiced(float[] hertz) {
        float[] voiced = new float[hertz.length];
        int count = 0;
        for (float value : hertz) {
            if (value > 0) {
                voiced[count++] = value;
            }
        }
        return Arrays.copyOf(voiced, count);
    }

    /**
     * The line that falls over a sentence, by 11/(t + 1.5) semitones a second up to five seconds and 8.5/t after ('t
     * Hart, Collier and Cohen 1990, from memory), half of it made up at each boundary inside. An engine that falls by
     * half as much or more is left alone.
     */
    private void decline(WordRun sentence) {
        int from = word(sentence.first()).startSample();
        int to = word(sentence.last()).endSample();
        double seconds = (to - from) / (double) rate;
        if (seconds < 1) {
            return;
        }
        double wanted = -(seconds <= 5 ? 11 / (seconds + 1.5) : 8.5 / seconds);
        double own = slope(from, to);
        if (own <= wanted / 2) {
            return;
        }
        double added = Math.max(-MOST_DECLINATION / seconds, wanted - own) * share;
        List<double[]> line = new ArrayList<>();
        double level = 0;
        double sum = 0;
        for (WordRun phrase : phrasing.phrases()) {
            if (phrase.first() < sentence.first() || phrase.last() > sentence.last()) {
                continue;
            }
            double start = word(phrase.first()).startSample();
            double end = phrase.last() == sentence.last()
                    ? to
                    : word(phrase.last() + 1).startSample();
            double fallen = level + added * (end - start) / rate;
            line.add(new double[] {start, level, end, fallen});
            sum += (level + fallen) / 2 * (end - start);
            level = fallen / 2;
        }
        double middle = sum / (to - from);
        line.forEach(piece -> melody.add(piece[0], piece[1] - middle, piece[2] - 1, piece[3] - middle));
    }

    /** Semitones a second, by least squares over what is voiced. */
    private double slope(int from, int to) {
        float[] hertz = track.between(from, to, rate).hertz();
        double n = 0;
        double x = 0;
        double y = 0;
        double xx = 0;
        double xy = 0;
        for (int i = 0; i < hertz.length; i++) {
            if (hertz[i] > 0) {
                double time = i * PitchTrack.HOP_SECONDS;
                double pitch = PitchTrack.semitones(100, hertz[i]);
                n++;
                x += time;
                y += pitch;
                xx += time * time;
                xy += time * pitch;
            }
        }
        double spread = n * xx - x * x;
        return n < 10 || spread <= 0 ? 0 : (n * xy - x * y) / spread;
    }

    private PitchTrack phrased() {
        float[] hertz = track.hertz().clone();
        for (int i = 0; i < hertz.length; i++) {
            hertz[i] *= (float) Math.pow(2, melody.at(i * PitchTrack.HOP_SECONDS * rate) / 12);
        }
        for (int i = 0; i < range.length; i++) {
            if (range[i] != 1) {
                widen(hertz, i);
            }
        }
        return new PitchTrack(hertz);
    }

    private void widen(float[] hertz, int i) {
        int first = i;
        int last = i;
        while (first > 0 && range[first - 1] == range[i]) {
            first--;
        }
        while (last + 1 < range.length && range[last + 1] == range[i]) {
            last++;
        }
        double centre = track.between(word(first).startSample(), word(last).endSample(), rate)
                .medianHz();
        int from = (int) (word(i).startSample() / (PitchTrack.HOP_SECONDS * rate));
        int to = (int) Math.min(hertz.length, word(i).endSample() / (PitchTrack.HOP_SECONDS * rate));
        for (int hop = from; hop < to && centre > 0; hop++) {
            if (hertz[hop] > 0) {
                hertz[hop] *= (float) Math.pow(track.hertz()[hop] / centre, range[i] - 1);
            }
        }
    }

    /** The words of the speech that a part stands on; null where there are none. */
    private WordRun run(PhrasePart part) {
        int first = -1;
        int last = -1;
        for (int i = 0; i < base.words().size(); i++) {
            if (word(i).start() >= part.start() && word(i).end() <= part.end()) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        return first < 0 ? null : new WordRun(first, last);
    }

    private WordTime word(int i) {
        return base.words().get(i);
    }
}
