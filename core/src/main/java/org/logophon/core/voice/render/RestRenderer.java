package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.signal.prosody.BreathSound;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;

/**
 * The renderer of rests between words. Where the voice is silent already, silence is put in
 * or
 * taken out; where it isn't, the sound is parted at its quietest point, so that what comes before doesn't fall as at
 * the
 * end of a sentence.
 */
final class RestRenderer {

    /** Under this, against the loudest sample, nothing is heard. Ours. */
    static final double SILENT_DB = -45;
    /** How far around a border of words their rest is looked for. */
    private static final double REACH_SECONDS = 0.040;

    private static final double BEFORE_END_SECONDS = 0.010;
    private static final double LEAST_SILENCE_SECONDS = 0.008;
    private static final double FADE_OUT_SECONDS = 0.010;
    private static final double FADE_IN_SECONDS = 0.005;
    private static final int MOST_PASSES = 3;
    /** Part of a second that no rest is off by. */
    private static final int CLOSE = 250;

    private static final double AROUND_BREATH_SECONDS = 0.030;

    private final Sound sound;
    private final List<WordTime> words;
    private final float threshold;
    private final int rate;
    private final List<float[]> pieces = new ArrayList<>();
    private int length;
    private int taken;
    private BreathSound breathing;

    RestRenderer(Sound sound, List<WordTime> words) {
        this.sound = sound;
        this.words = new ArrayList<>(words);
        this.rate = sound.rate();
        this.threshold = threshold(sound);
    }

    /**
     * @param measured samples of each rest after a word as it is now; −1 where none was asked for
     * @param wanted   samples that each was to have; −1 where none was asked for
     */
    record Rested(Sound sound, List<WordTime> words, int[] measured, int[] wanted) {}

    /** @param rests one for each word: what comes after it */
    static Rested of(Sound sound, List<WordTime> words, List<RequestedRest> rests) {
        if (rests.stream().allMatch(RequestedRest.OWN::equals)) {
            int[] none = new int[words.size()];
            Arrays.fill(none, -1);
            return new Rested(sound, words, none, none);
        }
        Rested rested = new RestRenderer(sound, words).run(rests);
        int[] wanted = rested.wanted();
        List<RequestedRest> asked = rests;
        for (int pass = 1; pass < MOST_PASSES; pass++) {
            List<RequestedRest> again = corrected(asked, rested, wanted, sound.rate() / CLOSE);
            if (again.equals(asked)) {
                break;
            }
            asked = again;
            rested = new RestRenderer(sound, words).run(asked);
        }
        return rested;
    }

    /** A word that dies away adds its quiet end to a rest: asked for once more by the difference. */
    private static List<RequestedRest> corrected(List<RequestedRest> asked, Rested rested, int[] wanted, int close) {
        List<RequestedRest> again = new ArrayList<>();
        boolean off = false;
        for (int i = 0; i < asked.size(); i++) {
            RequestedRest rest = asked.get(i);
            int miss = rested.measured()[i] < 0 || rest.samples() < 0 || !rest.exact()
                    ? 0
                    : wanted[i] - rested.measured()[i];
            off |= Math.abs(miss) > close;
            again.add(
                    miss == 0
                            ? rest
                            : new RequestedRest(Math.max(0, rested.wanted()[i] + miss), true, 1, rest.breath()));
        }
        return off ? again : asked;
    }

    /** From where the word before is no longer heard to where the next one is, around a rest that was laid. */
    private static int measured(float[] x, float threshold, int laidFrom, int laidTo) {
        int from = laidFrom;
        while (from > 0 && Math.abs(x[from - 1]) <= threshold) {
            from--;
        }
        int to = laidTo;
        while (to < x.length && Math.abs(x[to]) <= threshold) {
            to++;
        }
        return to - from;
    }

    static float threshold(Sound sound) {
        float loudest = 0;
        for (float sample : sound.samples()) {
            loudest = Math.max(loudest, Math.abs(sample));
        }
        return (float) (loudest * Decibels.toFactor(SILENT_DB));
    }

    private Rested run(List<RequestedRest> rests) {
        int[] measured = new int[words.size()];
        int[] asked = new int[words.size()];
        int[] laid = new int[words.size()];
        List<WordTime> moved = new ArrayList<>();
        int shift = 0;
        for (int i = 0; i < words.size(); i++) {
            WordTime word = words.get(i);
            RequestedRest rest = rests.get(i);
            measured[i] = -1;
            asked[i] = -1;
            int end = word.endSample();
            int startShift = shift;
            if (i + 1 < words.size() && !rest.equals(RequestedRest.OWN)) {
                Silence own = silence(i);
                int wanted = wanted(rest, own);
                if (wanted >= 0) {
                    lay(own, wanted, rest.breath(), i);
                    laid[i] = own.from() + shift;
                    measured[i] = wanted;
                    asked[i] = wanted;
                    shift += wanted - own.length();
                    if (rest.samples() >= 0) {
                        // a rest that is asked for says where the words beside it end and start, better than the engine
                        // does
                        end = Math.max(word.startSample(), Math.min(end, own.from()));
                        int next = Math.max(words.get(i + 1).startSample(), own.to());
                        words.set(
                                i + 1,
                                new WordTime(
                                        words.get(i + 1).start(),
                                        words.get(i + 1).end(),
                                        next,
                                        Math.max(next, words.get(i + 1).endSample())));
                    }
                }
            }
            moved.add(new WordTime(word.start(), word.end(), word.startSample() + startShift, end + startShift));
        }
        copy(sound.samples().length);
        float[] all = new float[length];
        int at = 0;
        for (float[] piece : pieces) {
            System.arraycopy(piece, 0, all, at, piece.length);
            at += piece.length;
        }
        for (int i = 0; i + 1 < moved.size(); i++) {
            measured[i] = measured[i] < 0 ? -1 : measured(all, threshold, laid[i], laid[i] + measured[i]);
        }
        return new Rested(new Sound(all, rate), moved, measured, asked);
    }

    /** The silence between two words; empty (from = to) where they run into one another. */
    record Silence(int from, int to) {

        int length() {
            return to - from;
        }
    }

    Silence silence(int i) {
        WordTime word = words.get(i);
        WordTime next = words.get(i + 1);
        int reach = (int) (REACH_SECONDS * rate);
        // before a word's end lies the closure of its last stop: a rest there would come before the burst
        int from = Math.max(
                Math.max(taken, (word.startSample() + word.endSample()) / 2),
                word.endSample() - (int) (BEFORE_END_SECONDS * rate));
        int to = Math.min((next.startSample() + next.endSample() + 1) / 2, next.startSample() + reach);
        float[] x = sound.samples();
        to = Math.min(Math.max(to, from + 1), x.length);
        int best = from;
        int most = 0;
        int start = from;
        for (int s = from; s <= to; s++) {
            if (s == to || Math.abs(x[s]) > threshold) {
                if (s - start > most) {
                    most = s - start;
                    best = start;
                }
                start = s + 1;
            }
        }
        if (most >= LEAST_SILENCE_SECONDS * rate) {
            int last = best + most;
            // a long silence goes on past where it was looked for
            while (best > taken && Math.abs(x[best - 1]) <= threshold) {
                best--;
            }
            while (last < x.length && last < next.endSample() && Math.abs(x[last]) <= threshold) {
                last++;
            }
            return new Silence(best, last);
        }
        int cut = quietest(from, to);
        return new Silence(cut, cut);
    }

    private int quietest(int from, int to) {
        float[] x = sound.samples();
        int window = Math.max(1, rate / 200);
        int best = from;
        double least = Double.MAX_VALUE;
        for (int s = from; s < to; s += Math.max(1, window / 8)) {
            double energy = 0;
            for (int k = Math.max(0, s - window / 2); k < Math.min(x.length, s + window / 2); k++) {
                energy += x[k] * x[k];
            }
            if (energy < least) {
                least = energy;
                best = s;
            }
        }
        return best;
    }

    private int wanted(RequestedRest rest, Silence own) {
        int breath = rest.breath() == null ? 0 : (int) ((seconds(rest.breath()) + 2 * AROUND_BREATH_SECONDS) * rate);
        if (rest.samples() < 0) {
            int chance = rest.share() == 1 ? own.length() : (int) Math.round(own.length() * rest.share());
            return Math.max(chance, breath) == own.length() ? -1 : Math.max(chance, breath);
        }
        int blended = (int) Math.round(own.length() + rest.blend() * (rest.samples() - own.length()));
        return rest.exact() ? Math.max(0, blended) : Math.max(rest.samples(), own.length());
    }

    private void lay(Silence own, int wanted, Instruction.Depth breath, int word) {
        boolean parted = own.length() == 0;
        float[] x = sound.samples();
        float[] silence = new float[wanted];
        int kept = Math.min(own.length(), wanted);
        // of a silence that gets shorter its two ends stay: soft releases and onsets
        int head = kept / 2;
        for (int k = 0; k < head; k++) {
            silence[k] = x[own.from() + k] * faded(head - k, head);
        }
        for (int k = 0; k < kept - head; k++) {
            silence[wanted - 1 - k] = x[own.to() - 1 - k] * faded(kept - head - k, kept - head);
        }
        copy(own.from());
        if (parted && wanted > 0) {
            fadeEnd((int) (FADE_OUT_SECONDS * rate));
        }
        if (breath != null) {
            breathe(silence, breath, word);
        }
        add(silence);
        taken = own.to();
        if (parted && wanted > 0) {
            int in = Math.min((int) (FADE_IN_SECONDS * rate), x.length - taken);
            float[] onset = Arrays.copyOfRange(x, taken, taken + in);
            for (int k = 0; k < in; k++) {
                onset[k] *= (float) Math.pow(Math.sin(Math.PI / 2 * (k + 0.5) / in), 2);
            }
            add(onset);
            taken += in;
        }
    }

    private static float faded(int left, int all) {
        int fade = Math.max(1, Math.min(all, 40));
        return left >= fade ? 1 : (float) left / fade;
    }

    private void breathe(float[] rest, Instruction.Depth depth, int word) {
        int around = (int) (AROUND_BREATH_SECONDS * rate);
        int room = rest.length - 2 * around;
        if (room < rate / 20) {
            return;
        }
        if (breathing == null) {
            breathing = new BreathSound(sound);
        }
        Sound breath = breathing.breath(
                Math.min(seconds(depth), room / (double) rate), underDb(depth), 31L * word + depth.ordinal());
        int at = Math.max(around, rest.length - around - breath.samples().length);
        for (int k = 0; k < breath.samples().length && at + k < rest.length; k++) {
            rest[at + k] += breath.samples()[k];
        }
    }

    static double seconds(Instruction.Depth depth) {
        return switch (depth) {
            case LIGHT -> 0.25;
            case NORMAL -> 0.36;
            case DEEP -> 0.50;
        };
    }

    static double underDb(Instruction.Depth depth) {
        return switch (depth) {
            case LIGHT -> 34;
            case NORMAL -> 30;
            case DEEP -> 26;
        };
    }

    private void copy(int to) {
        if (to > taken) {
            add(Arrays.copyOfRange(sound.samples(), taken, to));
            taken = to;
        }
    }

    private void add(float[] piece) {
        if (piece.length > 0) {
            pieces.add(piece);
            length += piece.length;
        }
    }

    private void fadeEnd(int samples) {
        if (pieces.isEmpty()) {
            return;
        }
        float[] last = pieces.get(pieces.size() - 1);
        int fade = Math.min(samples, last.length);
        for (int k = 0; k < fade; k++) {
            last[last.length - 1 - k] *= (float) Math.pow(Math.sin(Math.PI / 2 * (k + 0.5) / fade), 2);
        }
    }
}
