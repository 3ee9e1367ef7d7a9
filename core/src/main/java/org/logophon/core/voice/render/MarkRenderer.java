package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.prosody.Contour;
import org.logophon.core.signal.prosody.Shape;
import org.logophon.core.signal.prosody.VoiceReshaper;
import org.logophon.core.signal.prosody.WhisperSound;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;

/**
 * Does to speech what its score and the phrasing under it ask for, in this order: pace and pitch of runs and stress
 * (one pass of overlap-add over the whole, so that nothing is spliced), loudness, whisper, rests and breaths. Pitch is
 * measured and corrected.
 */
final class MarkRenderer {

    private static final double RAMP_SECONDS = 0.012;
    private static final double CLOSE_SEMITONES = 0.15;
    private static final int MOST_PASSES = 3;
    private static final double MOST_LEVELLING_DB = 6;
    private static final double MOST_RANGE = 3;

    private final Speech base;
    private final Recipe recipe;
    private final Score score;
    private final Phrasing phrasing;
    private final PitchTrack track;
    private final PhrasePlacer.Placed placed;
    private final List<WordEffect> deeds = new ArrayList<>();
    private final List<Double> chances = new ArrayList<>();

    private MarkRenderer(Speech base, Recipe recipe) {
        this.base = base;
        this.recipe = recipe;
        this.score = recipe.score();
        this.phrasing = recipe.phrasingPercent() == 0
                ? Phrasing.NONE
                : Phrasing.of(recipe.text(), recipe.voice().language()).under(score.marks());
        this.track = PitchMeter.track(base.sound());
        this.placed = PhrasePlacer.of(
                base, track, phrasing, recipe.phrasingPercent(), recipe.voice().baseId());
        Random random = new Random(score.seed());
        for (WordTime word : base.words()) {
            deeds.add(WordEffect.of(word.start(), word.end(), score, random));
            chances.add(2 * random.nextDouble() - 1);
        }
    }

    static Speech of(Speech base, Recipe recipe) {
        boolean asItIs = recipe.score().empty() && recipe.phrasingPercent() == 0;
        return asItIs || base.words().isEmpty() ? base : new MarkRenderer(base, recipe).run();
    }

    /** Words beside one another that move together. @param from first word @param to after the last */
    private record EffectRun(int from, int to, WordEffect deed) {}

    private Speech run() {
        List<EffectRun> runs = runs();
        double[] corrections = new double[runs.size()];
        VoiceReshaper reshaping = new VoiceReshaper(base.sound(), track);
        Contour contour = contour(runs, corrections);
        Sound sound = reshaping.to(contour);
        for (int pass = 1; pass < MOST_PASSES && correct(runs, corrections, contour, sound); pass++) {
            contour = contour(runs, corrections);
            sound = reshaping.to(contour);
        }
        List<WordTime> words = new ArrayList<>();
        for (WordTime word : base.words()) {
            words.add(new WordTime(
                    word.start(), word.end(), contour.moved(word.startSample()), contour.moved(word.endSample())));
        }
        sound = whispered(runs, louder(sound, words, levels(sound, words)), words);
        RestRenderer.Rested rested = RestRenderer.of(
                sound, words, new RequestedRests(base.words(), base.sound().rate(), recipe, phrasing, chances).all());
        Measurement reached = new Measurement(
                base.measurement().pacePercent(),
                base.measurement().semitones(),
                new MarkMeasurer(base, placed, deeds, rested).of(score.marks()));
        return new Speech(rested.sound(), rested.words(), reached, base.phones());
    }

    private PhrasedWord phrased(int word) {
        return placed.words().get(word);
    }

    private List<EffectRun> runs() {
        List<EffectRun> runs = new ArrayList<>();
        for (int i = 0; i < deeds.size(); ) {
            int end = i + 1;
            while (end < deeds.size()
                    && deeds.get(end).alike(deeds.get(i))
                    && phrased(end).range() == phrased(i).range()) {
                end++;
            }
            runs.add(new EffectRun(i, end, deeds.get(i)));
            i = end;
        }
        return runs;
    }

    private Contour contour(List<EffectRun> runs, double[] corrections) {
        List<Contour.Stretch> stretches = new ArrayList<>();
        int length = base.sound().samples().length;
        int at = 0;
        for (int r = 0; r < runs.size(); r++) {
            EffectRun run = runs.get(r);
            double centre = run.deed().range() * phrased(run.from()).range() == 1
                    ? 0
                    : track.between(
                                    base.words().get(run.from()).startSample(),
                                    base.words().get(run.to() - 1).endSample(),
                                    base.sound().rate())
                            .medianHz();
            for (int i = run.from(); i < run.to(); i++) {
                WordTime word = base.words().get(i);
                WordEffect deed = deeds.get(i);
                double move = within(deed.semitones() + corrections[r], 24);
                PhrasedWord phrase = phrased(i);
                boolean joins = i > run.from();
                double range = Math.min(MOST_RANGE, deed.range() * phrase.range());
                if (word.startSample() > at) {
                    // what lies between words of a run goes along with it; else it stays
                    double pace = deed.pace() * phrase.pace();
                    boolean steady =
                            joins && deeds.get(i - 1).pace() * phrased(i - 1).pace() == pace;
                    Shape between = new Shape(steady ? pace : 1, joins ? move : 0, joins ? range : 1, 0);
                    stretches.add(new Contour.Stretch(word.startSample(), between, centre));
                    at = word.startSample();
                }
                int end = Math.max(at, word.endSample());
                int turn = Math.max(at, Math.min(end, phrase.longFrom()));
                double semitones = within(move + deed.stress() + deed.chance(), 24);
                double pace = deed.pace() * phrase.pace();
                if (turn > at) {
                    stretches.add(new Contour.Stretch(turn, new Shape(pace, semitones, range, 0), centre));
                }
                if (end > turn) {
                    Shape longer = new Shape(pace / phrase.longer(), semitones, range, 0);
                    stretches.add(new Contour.Stretch(end, longer, centre));
                }
                at = end;
            }
        }
        if (at < length) {
            stretches.add(new Contour.Stretch(length, Shape.AS_IT_IS, 0));
        }
        return new Contour(stretches, base.sound().rate(), placed.melody());
    }

    private static double within(double value, double most) {
        return Math.max(-most, Math.min(most, value));
    }

    /** @return true when a run was off, and its correction was changed */
    private boolean correct(List<EffectRun> runs, double[] corrections, Contour contour, Sound sound) {
        boolean off = false;
        PitchTrack made = null;
        for (int r = 0; r < runs.size(); r++) {
            EffectRun run = runs.get(r);
            if (run.deed().semitones() == 0 || run.deed().whispered()) {
                continue;
            }
            made = made == null ? PitchMeter.track(sound) : made;
            int from = base.words().get(run.from()).startSample();
            int to = base.words().get(run.to() - 1).endSample();
            double before = placed.track().between(from, to, sound.rate()).medianHz();
            double after = made.between(contour.moved(from), contour.moved(to), sound.rate())
                    .medianHz();
            if (before > 0 && after > 0) {
                double miss = run.deed().semitones()
                        + WordEffect.stressOf(deeds.subList(run.from(), run.to()))
                        - PitchTrack.semitones(before, after);
                if (Math.abs(miss) > CLOSE_SEMITONES && Math.abs(miss) < 6) {
                    corrections[r] += miss;
                    off = true;
                }
            }
        }
        return off;
    }

    /** What is asked of each word in decibels, and what another pitch or pace took from its level or added to it. */
    private double[] levels(Sound sound, List<WordTime> words) {
        double[] levels = new double[words.size()];
        for (int i = 0; i < levels.length; i++) {
            WordTime before = base.words().get(i);
            double own = base.sound().rms(before.startSample(), before.endSample());
            double now = sound.rms(words.get(i).startSample(), words.get(i).endSample());
            boolean changed = deeds.get(i).semitones() != 0
                    || deeds.get(i).stress() != 0
                    || deeds.get(i).range() * phrased(i).range() != 1
                    || placed.melody().most(before.startSample(), before.endSample()) > 0;
            levels[i] = deeds.get(i).decibels()
                    + phrased(i).decibels()
                    + (!changed || own == 0 || now == 0 ? 0 : within(20 * Math.log10(own / now), MOST_LEVELLING_DB));
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

    private Sound whispered(List<EffectRun> runs, Sound sound, List<WordTime> words) {
        Sound out = sound;
        for (EffectRun run : runs) {
            if (run.deed().whispered()) {
                int to = run.to() < words.size() ? words.get(run.to()).startSample() : out.samples().length;
                out = WhisperSound.whisper(out, words.get(run.from()).startSample(), to);
            }
        }
        return out;
    }
}
