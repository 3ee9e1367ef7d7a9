package org.logophon.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.logophon.mark.Ask;
import org.logophon.mark.Habits;
import org.logophon.mark.Mark;
import org.logophon.mark.Score;
import org.logophon.pitch.PitchMeter;
import org.logophon.pitch.PitchTrack;
import org.logophon.prosody.Contour;
import org.logophon.prosody.Reshaping;
import org.logophon.prosody.Shape;
import org.logophon.prosody.Whispering;
import org.logophon.script.Sentences;
import org.logophon.sound.Decibels;
import org.logophon.sound.Sound;

/**
 * Does to speech what its score asks for, in this order: pace and pitch of runs and stress (one pass of overlap-add over
 * the whole, so that nothing is spliced), loudness, whisper, rests and breaths. Pitch is measured and corrected.
 */
final class Scored {

    private static final double RAMP_SECONDS = 0.012;
    private static final double CLOSE_SEMITONES = 0.15;
    private static final int MOST_PASSES = 3;
    private static final double MOST_LEVELLING_DB = 6;

    private final Speech base;
    private final Score score;
    private final String text;
    private final String language;
    private final PitchTrack track;
    private final List<Deed> deeds = new ArrayList<>();
    private final List<double[]> chances = new ArrayList<>();

    private Scored(Speech base, String text, String language, Score score) {
        this.base = base;
        this.score = score;
        this.text = text;
        this.language = language;
        this.track = PitchMeter.track(base.sound());
        Random random = new Random(score.seed());
        for (WordTime word : base.words()) {
            deeds.add(Deed.of(word.start(), word.end(), score, random));
            chances.add(new double[] {2 * random.nextDouble() - 1});
        }
    }

    /** @param language BCP 47 tag, for the ends of sentences */
    static Speech of(Speech base, String text, String language, Score score) {
        return score.empty() || base.words().isEmpty() ? base : new Scored(base, text, language, score).run();
    }

    /** Words beside one another that move together. @param from first word @param to after the last */
    private record Run(int from, int to, Deed deed) {
    }

    private Speech run() {
        List<Run> runs = runs();
        double[] corrections = new double[runs.size()];
        Reshaping reshaping = new Reshaping(base.sound(), track);
        Contour contour = contour(runs, corrections);
        Sound sound = reshaping.to(contour);
        for (int pass = 1; pass < MOST_PASSES && correct(runs, corrections, contour, sound); pass++) {
            contour = contour(runs, corrections);
            sound = reshaping.to(contour);
        }
        List<WordTime> words = new ArrayList<>();
        for (WordTime word : base.words()) {
            words.add(new WordTime(word.start(), word.end(), contour.moved(word.startSample()), contour.moved(word.endSample())));
        }
        sound = whispered(runs, louder(sound, words, levels(sound, words)), words);
        Rests.Rested rested = Rests.of(sound, words, rests());
        Reached reached = new Reached(base.reached().pacePercent(), base.reached().semitones(), measured(rested));
        return new Speech(rested.sound(), rested.words(), reached);
    }

    private List<Run> runs() {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < deeds.size(); ) {
            int end = i + 1;
            while (end < deeds.size() && deeds.get(end).alike(deeds.get(i))) {
                end++;
            }
            runs.add(new Run(i, end, deeds.get(i)));
            i = end;
        }
        return runs;
    }

    private Contour contour(List<Run> runs, double[] corrections) {
        List<Contour.Stretch> stretches = new ArrayList<>();
        int length = base.sound().samples().length;
        int at = 0;
        for (int r = 0; r < runs.size(); r++) {
            Run run = runs.get(r);
            double centre = run.deed().range() == 1 ? 0 : median(track, base.words().get(run.from()).startSample(), base.words().get(run.to() - 1).endSample(), base.sound().rate());
            for (int i = run.from(); i < run.to(); i++) {
                WordTime word = base.words().get(i);
                Deed deed = deeds.get(i);
                double move = within(deed.semitones() + corrections[r], 24);
                boolean joins = i > run.from();
                if (word.startSample() > at) {
                    // what lies between words of a run goes along with it; else it stays
                    Shape between = new Shape(joins ? deeds.get(i - 1).pace() == deed.pace() ? deed.pace() : 1 : 1, joins ? move : 0, joins ? deed.range() : 1, 0);
                    stretches.add(new Contour.Stretch(word.startSample(), between, centre));
                    at = word.startSample();
                }
                int end = Math.max(at, word.endSample());
                stretches.add(new Contour.Stretch(end, new Shape(deed.pace(), within(move + deed.stress() + deed.chance(), 24), deed.range(), 0), centre));
                at = end;
            }
        }
        if (at < length) {
            stretches.add(new Contour.Stretch(length, Shape.AS_IT_IS, 0));
        }
        return new Contour(stretches, base.sound().rate());
    }

    private static double within(double value, double most) {
        return Math.max(-most, Math.min(most, value));
    }

    /** @return true when a run was off, and its correction was changed */
    private boolean correct(List<Run> runs, double[] corrections, Contour contour, Sound sound) {
        boolean off = false;
        PitchTrack made = null;
        for (int r = 0; r < runs.size(); r++) {
            Run run = runs.get(r);
            if (run.deed().semitones() == 0 || run.deed().whispered()) {
                continue;
            }
            made = made == null ? PitchMeter.track(sound) : made;
            int from = base.words().get(run.from()).startSample();
            int to = base.words().get(run.to() - 1).endSample();
            double before = median(track, from, to, sound.rate());
            double after = median(made, contour.moved(from), contour.moved(to), sound.rate());
            if (before > 0 && after > 0) {
                double miss = run.deed().semitones() + stressOf(run) - PitchTrack.semitones(before, after);
                if (Math.abs(miss) > CLOSE_SEMITONES && Math.abs(miss) < 6) {
                    corrections[r] += miss;
                    off = true;
                }
            }
        }
        return off;
    }

    /** What stress and chance do to the median of a run: as much as they do to most of its words. */
    private double stressOf(Run run) {
        double[] moves = deeds.subList(run.from(), run.to()).stream().mapToDouble(deed -> deed.stress() + deed.chance()).sorted().toArray();
        return moves[moves.length / 2];
    }

    private static double median(PitchTrack track, int fromSample, int toSample, int rate) {
        return slice(track, fromSample, toSample, rate).medianHz();
    }

    private static PitchTrack slice(PitchTrack track, int fromSample, int toSample, int rate) {
        int from = (int) Math.max(0, fromSample / (PitchTrack.HOP_SECONDS * rate));
        int to = (int) Math.min(track.hertz().length, Math.ceil(toSample / (PitchTrack.HOP_SECONDS * rate)));
        return new PitchTrack(from >= to ? new float[0] : Arrays.copyOfRange(track.hertz(), from, to));
    }

    /** What is asked of each word in decibels, and what another pitch or pace took from its level or added to it. */
    private double[] levels(Sound sound, List<WordTime> words) {
        double[] levels = new double[words.size()];
        for (int i = 0; i < levels.length; i++) {
            WordTime before = base.words().get(i);
            double own = rms(base.sound(), before.startSample(), before.endSample());
            double now = rms(sound, words.get(i).startSample(), words.get(i).endSample());
            boolean changed = deeds.get(i).semitones() != 0 || deeds.get(i).stress() != 0 || deeds.get(i).range() != 1;
            levels[i] = deeds.get(i).decibels() + (!changed || own == 0 || now == 0 ? 0 : within(20 * Math.log10(own / now), MOST_LEVELLING_DB));
        }
        return levels;
    }

    private Sound louder(Sound sound, List<WordTime> words, double[] levels) {
        if (Arrays.stream(levels).allMatch(level -> level == 0)) {
            return sound;
        }
        float[] out = sound.samples().clone();
        int ramp = (int) (RAMP_SECONDS * sound.rate());
        double before = 0;
        int at = 0;
        for (int i = 0; i < words.size(); i++) {
            double own = levels[i];
            int from = words.get(i).startSample();
            int to = i + 1 < words.size() ? words.get(i + 1).startSample() : out.length;
            // the slide ends where the word starts, so that all of it has its own loudness
            for (int k = Math.max(at, from - ramp); k < from; k++) {
                out[k] *= (float) Decibels.toFactor((own - before) * (k - from + ramp) / ramp);
            }
            if (own != 0) {
                float gain = (float) Decibels.toFactor(own);
                for (int k = from; k < Math.min(to, out.length); k++) {
                    out[k] *= gain;
                }
            }
            before = own;
            at = from;
        }
        return new Sound(out, sound.rate());
    }

    private Sound whispered(List<Run> runs, Sound sound, List<WordTime> words) {
        Sound out = sound;
        for (Run run : runs) {
            if (run.deed().whispered()) {
                int to = run.to() < words.size() ? words.get(run.to()).startSample() : out.samples().length;
                out = Whispering.whisper(out, words.get(run.from()).startSample(), to);
            }
        }
        return out;
    }

    private List<Rest> rests() {
        int rate = base.sound().rate();
        List<Integer> sentences = Sentences.ends(text, language);
        List<Rest> rests = new ArrayList<>();
        for (int i = 0; i < base.words().size(); i++) {
            WordTime word = base.words().get(i);
            Rest rest = i + 1 < base.words().size() ? byHabit(word.end(), base.words().get(i + 1).start(), sentences, rate) : Rest.OWN;
            double chance = score.livelyPercent() == 0 ? 1 : 1 + Deed.CHANCE_REST * score.livelyPercent() / 100 * chances.get(i)[0];
            rest = new Rest(rest.samples(), rest.exact(), chance, null);
            for (Mark mark : score.marks()) {
                if (mark.end() == word.end() && mark.ask() instanceof Ask.Pause pause) {
                    rest = new Rest(Math.round(pause.millis() * rate / 1000f), true, 1, rest.breath());
                } else if (mark.end() == word.end() && mark.ask() instanceof Ask.Breath breath) {
                    rest = new Rest(rest.samples(), rest.exact(), rest.share(), breath.depth());
                }
            }
            rests.add(rest);
        }
        return rests;
    }

    private Rest byHabit(int end, int next, List<Integer> sentences, int rate) {
        Habits habits = score.habits();
        boolean stop = sentences.stream().anyMatch(place -> place > end && place <= next);
        if (stop && habits.stopMillis() != null) {
            int millis = habits.leastMillis() == null ? habits.stopMillis() : Math.max(habits.leastMillis(), habits.stopMillis());
            return new Rest(millis * rate / 1000, true, 1, null);
        }
        if (stop && habits.leastMillis() != null) {
            return new Rest(habits.leastMillis() * rate / 1000, false, 1, null);
        }
        boolean comma = !stop && text.substring(end, next).chars().anyMatch(c -> ",;:—–،、，".indexOf(c) >= 0);
        return comma && habits.commaMillis() != null ? new Rest(habits.commaMillis() * rate / 1000, true, 1, null) : Rest.OWN;
    }

    /** For each mark what was reached, in its own unit; null where there is nothing to measure. */
    private List<Double> measured(Rests.Rested rested) {
        PitchTrack made = PitchMeter.track(rested.sound());
        List<Double> values = new ArrayList<>();
        for (Mark mark : score.marks()) {
            values.add(measured(mark, rested, made));
        }
        return values;
    }

    private Double measured(Mark mark, Rests.Rested rested, PitchTrack made) {
        int rate = base.sound().rate();
        int first = -1;
        int last = -1;
        for (int i = 0; i < base.words().size(); i++) {
            if (base.words().get(i).start() >= mark.start() && base.words().get(i).end() <= mark.end()) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        if (first < 0) {
            return null;
        }
        WordTime from = base.words().get(first);
        WordTime to = base.words().get(last);
        PitchTrack before = slice(track, from.startSample(), to.endSample(), rate);
        PitchTrack after = slice(made, rested.words().get(first).startSample(), rested.words().get(last).endSample(), rate);
        Deed deed = deeds.get(first);
        if (mark.ask() instanceof Ask.Pause) {
            return rested.measured()[last] < 0 ? null : rested.measured()[last] * 1000.0 / rate;
        }
        if (mark.ask() instanceof Ask.Pace ask) {
            double sounding = 0;
            double own = 0;
            double asked = 0;
            for (int i = first; i <= last; i++) {
                own += base.words().get(i).endSample() - base.words().get(i).startSample();
                asked += (base.words().get(i).endSample() - base.words().get(i).startSample()) / deeds.get(i).pace();
                sounding += rested.words().get(i).endSample() - rested.words().get(i).startSample();
            }
            // marks that hold one another add up: the share that is this one's
            return own == 0 ? null : ask.percent() * asked / sounding;
        }
        if (mark.ask() instanceof Ask.Pitch ask) {
            return before.medianHz() == 0 || after.medianHz() == 0 || deed.whispered() ? null
                    : ask.semitones() + PitchTrack.semitones(before.medianHz(), after.medianHz()) - deed.semitones() - stressOf(new Run(first, last + 1, deed));
        }
        if (mark.ask() instanceof Ask.Stress) {
            return before.medianHz() == 0 || after.medianHz() == 0 || deed.whispered() ? null : PitchTrack.semitones(before.medianHz(), after.medianHz()) - deed.semitones();
        }
        if (mark.ask() instanceof Ask.Range) {
            double own = before.spreadSemitones();
            return own == 0 || deed.whispered() ? null : after.spreadSemitones() / own * 100;
        }
        if (mark.ask() instanceof Ask.Loudness ask) {
            double own = rms(base.sound(), from.startSample(), to.endSample());
            double now = rms(rested.sound(), rested.words().get(first).startSample(), rested.words().get(last).endSample());
            return own == 0 || now == 0 || deed.whispered() ? null : ask.decibels() + 20 * Math.log10(now / own) - deed.decibels();
        }
        return null;
    }

    private static double rms(Sound sound, int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += sound.samples()[i] * sound.samples()[i];
        }
        return to <= from ? 0 : Math.sqrt(sum / (to - from));
    }
}
