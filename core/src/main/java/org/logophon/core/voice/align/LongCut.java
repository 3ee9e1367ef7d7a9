package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.sound.SpeechSpan;

/**
 * The finder of a script's cues in one long recording of them: the cheapest way through it (Viterbi, IEEE IT 13, 1967),
 * a step of the recording after the other. Between cues anything may sound: silence, a cough, talk. A cue may be left
 * out, said again, or broken off and begun anew. Only ways that are nearly as cheap as the cheapest are followed.
 */
public final class LongCut {

    /** Against the distance of two sounds that have nothing to do with one another. */
    private static final double STRANGE = 0.80;

    private static final double QUIET = 0.45;
    private static final double QUIET_WITHIN = 0.48;
    private static final double STAYING = 0.12;
    private static final double HURRYING = 0.12;
    /** In the same measure, once each. */
    private static final double LEAVING_OUT = 8;

    private static final double AGAIN = 5;
    private static final double BREAKING_OFF = 8;
    private static final double BEAM = 45;
    private static final int LOWER_EVERY = 64;
    /** 50 s. */
    private static final int TRIED_STEPS = 2_500;

    private static final int TRIED_CUES = 20;
    private static final float NEVER = Float.MAX_VALUE;
    /** So much further are the beginning and the end looked for, to where it is quiet. */
    private static final double EDGE_SECONDS = 0.40;

    private final float[][][] cues;
    private final LongSteps sound;
    private final float unlike;
    private final float[][] cost;
    private final int[][] begun;
    private final int[][] way;
    private final int[] low;
    private final int[] high;
    private float[] between;
    private int[] betweenWay;
    /** Cues that were said, each with what was said before it. */
    private int[] saidCue = new int[1024];

    private int[] saidFrom = new int[1024];
    private int[] saidTo = new int[1024];
    private int[] saidBefore = new int[1024];
    private int saids;
    /** What was taken off all costs at the last step. */
    private float lowered;

    /**
     * A cue as it was said once.
     *
     * @param cue         its place among the cues
     * @param fromSeconds where it begins in the recording, in the quiet before it
     * @param toSeconds   where it ends, in the quiet after it
     */
    public record Said(int cue, double fromSeconds, double toSeconds) {}

    private LongCut(float[][][] cues, LongSteps sound) {
        this.cues = cues;
        this.sound = sound;
        this.unlike = unlike();
        this.cost = new float[cues.length][];
        this.begun = new int[cues.length][];
        this.way = new int[cues.length][];
        this.low = new int[cues.length];
        this.high = new int[cues.length];
        Arrays.fill(high, -1);
        this.between = new float[cues.length + 1];
        this.betweenWay = new int[cues.length + 1];
        Arrays.fill(between, NEVER);
        Arrays.fill(betweenWay, -1);
    }

    /**
     * @param recording at 16,000 samples a second or so: more tells nothing more
     * @param said      the cues as one voice says them, in order; null where it can't
     * @return in the order of time; a cue that was said several times is there as often, one that wasn't isn't
     */
    public static List<Said> of(SoundSource recording, List<Sound> said) {
        int rates = said.stream()
                .filter(sound -> sound != null)
                .mapToInt(Sound::rate)
                .min()
                .orElse(recording.rate());
        double highest = MelCepstra.highestHertz(Math.min(recording.rate(), rates));
        LongSteps sound = LongSteps.of(recording, highest);
        List<Sound> spoken = new ArrayList<>();
        said.forEach(one -> spoken.add(speech(one)));
        if (sound.frames().length == 0 || spoken.stream().allMatch(Objects::isNull)) {
            return List.of();
        }
        return new LongCut(LongSteps.together(spoken, highest, throat(spoken, sound, highest)), sound).run();
    }

    /** Which throat the speaker has, by the beginning: the one with which the way through it is the cheapest. */
    private static double throat(List<Sound> said, LongSteps sound, double highest) {
        int steps = Math.min(sound.frames().length, TRIED_STEPS);
        LongSteps start = new LongSteps(Arrays.copyOf(sound.frames(), steps), Arrays.copyOf(sound.quiet(), steps));
        List<Sound> first = said.subList(0, Math.min(said.size(), TRIED_CUES));
        return Arrays.stream(VocalTractWarp.FACTORS)
                .boxed()
                .parallel()
                .map(factor -> new double[] {factor, cost(LongSteps.together(first, highest, factor), start)})
                .min(Comparator.comparingDouble(tried -> tried[1]))
                .orElseThrow()[0];
    }

    private static double cost(float[][][] cues, LongSteps sound) {
        if (Arrays.stream(cues).allMatch(cue -> cue.length == 0)) {
            return 0;
        }
        LongCut cut = new LongCut(cues, sound);
        cut.between[0] = 0;
        double cost = 0;
        for (int t = 0; t < sound.frames().length; t++) {
            cut.step(t);
            cost += cut.lowered / cut.unlike;
        }
        return cost;
    }

    private static Sound speech(Sound sound) {
        if (sound == null) {
            return null;
        }
        SpeechSpan span = SpeechSpan.of(sound);
        return span.from() == span.to() ? null : sound.cut(span.from(), span.to());
    }

    /** Distance of steps that were picked blindly. */
    private float unlike() {
        float[][] all = Arrays.stream(cues).flatMap(Arrays::stream).toArray(float[][]::new);
        Random random = new Random(1);
        double sum = 0;
        int count = 0;
        for (int i = 0; i < 20_000; i++) {
            int at = random.nextInt(sound.frames().length);
            if (!sound.quiet()[at]) {
                sum += Warp.distance(all[random.nextInt(all.length)], sound.frames()[at]);
                count++;
            }
        }
        return (float) (count == 0 ? 1 : sum / count);
    }

    private List<Said> run() {
        between[0] = 0;
        for (int t = 0; t < sound.frames().length; t++) {
            step(t);
        }
        // what is left of the script at the end was left out
        int best = 0;
        double least = Double.MAX_VALUE;
        for (int k = 0; k < between.length; k++) {
            double all = between[k] == NEVER ? Double.MAX_VALUE : between[k] + (cues.length - k) * LEAVING_OUT * unlike;
            if (all < least) {
                least = all;
                best = k;
            }
        }
        List<Said> found = new ArrayList<>();
        for (int at = betweenWay[best]; at >= 0; at = saidBefore[at]) {
            found.add(0, new Said(saidCue[at], before(saidFrom[at]), after(saidTo[at])));
        }
        return apart(found);
    }

    private void step(int t) {
        float[] heard = sound.frames()[t];
        boolean quiet = sound.quiet()[t];
        float aside = (float) ((quiet ? QUIET : STRANGE) * unlike);
        float staying = (float) (STAYING * unlike);
        // silence is rather between cues than in them
        float silence = (float) (QUIET_WITHIN * unlike);
        float[] now = new float[between.length];
        int[] nowWay = new int[between.length];
        Arrays.fill(now, NEVER);
        float best = NEVER;
        for (int k = 0; k < between.length; k++) {
            if (between[k] < NEVER) {
                offer(now, nowWay, k, between[k] + aside, betweenWay[k]);
            }
        }
        for (int k = 0; k < cues.length; k++) {
            if (high[k] < 0 && between[k] == NEVER || cues[k].length == 0) {
                continue;
            }
            float broken = within(k, t, heard, quiet, staying, silence);
            if (broken < NEVER) {
                best = Math.min(best, broken);
                offer(now, nowWay, k, broken + (float) (BREAKING_OFF * unlike), cheapestWay(k, broken));
                int end = cues[k].length - 1;
                for (int j = Math.max(low[k], end - 1); j <= Math.min(end, high[k]); j++) {
                    if (cost[k][j] < NEVER && cost[k][j] < now[k + 1]) {
                        offer(now, nowWay, k + 1, cost[k][j], said(k, begun[k][j], t, way[k][j]));
                    }
                }
            }
        }
        for (int k = 0; k + 1 < between.length; k++) {
            if (now[k] < NEVER) {
                double leaving = cues[k].length == 0 ? 0 : LEAVING_OUT * unlike;
                offer(now, nowWay, k + 1, (float) (now[k] + leaving), nowWay[k]);
            }
        }
        for (int k = between.length - 1; k > 0; k--) {
            if (now[k] < NEVER) {
                offer(now, nowWay, k - 1, (float) (now[k] + AGAIN * unlike), nowWay[k]);
            }
        }
        for (float value : now) {
            best = Math.min(best, value);
        }
        between = now;
        betweenWay = nowWay;
        lowered = t % LOWER_EVERY == 0 ? best : 0;
        prune(best, lowered);
    }

    private static void offer(float[] costs, int[] ways, int k, float cost, int way) {
        if (cost < costs[k]) {
            costs[k] = cost;
            ways[k] = way;
        }
    }

    private int cheapestWay(int k, float cheapest) {
        for (int j = low[k]; j <= high[k]; j++) {
            if (cost[k][j] == cheapest) {
                return way[k][j];
            }
        }
        return -1;
    }

    private int said(int k, int from, int to, int before) {
        if (saids == saidCue.length) {
            saidCue = Arrays.copyOf(saidCue, 2 * saids);
            saidFrom = Arrays.copyOf(saidFrom, 2 * saids);
            saidTo = Arrays.copyOf(saidTo, 2 * saids);
            saidBefore = Arrays.copyOf(saidBefore, 2 * saids);
        }
        saidCue[saids] = k;
        saidFrom[saids] = from;
        saidTo[saids] = to;
        saidBefore[saids] = before;
        return saids++;
    }

    /** @return the cheapest within the cue */
    private float within(int k, int t, float[] heard, boolean quiet, float staying, float silence) {
        float[][] steps = cues[k];
        if (cost[k] == null) {
            cost[k] = new float[steps.length];
            begun[k] = new int[steps.length];
            way[k] = new int[steps.length];
            Arrays.fill(cost[k], NEVER);
        }
        float[] costs = cost[k];
        float hurrying = (float) (HURRYING * unlike);
        int first = high[k] < 0 ? 0 : low[k];
        int last = Math.min(steps.length - 1, high[k] < 0 ? 0 : high[k] + 2);
        float enter = between[k];
        float best = NEVER;
        for (int j = last; j >= Math.min(first, enter < NEVER ? 0 : first); j--) {
            float here = Warp.distance(steps[j], heard);
            float own = costs[j];
            float least = own == NEVER ? NEVER : own + (quiet ? silence : here + staying);
            int from = j;
            if (j > 0 && costs[j - 1] < NEVER && costs[j - 1] + here < least) {
                least = costs[j - 1] + here;
                from = j - 1;
            }
            if (j > 1 && costs[j - 2] < NEVER && costs[j - 2] + here + hurrying < least) {
                least = costs[j - 2] + here + hurrying;
                from = j - 2;
            }
            if (j == 0 && enter < NEVER && enter + here < least) {
                costs[0] = enter + here;
                begun[k][0] = t;
                way[k][0] = betweenWay[k];
            } else {
                costs[j] = least;
                begun[k][j] = begun[k][from];
                way[k][j] = way[k][from];
            }
            best = Math.min(best, costs[j]);
        }
        low[k] = enter < NEVER ? 0 : first;
        high[k] = last;
        return best;
    }

    private void prune(float best, float lower) {
        float most = best + (float) (BEAM * unlike);
        for (int k = 0; k < between.length; k++) {
            between[k] = between[k] > most ? NEVER : between[k] - lower;
        }
        for (int k = 0; k < cues.length; k++) {
            if (high[k] < 0) {
                continue;
            }
            int from = -1;
            int to = -1;
            for (int j = low[k]; j <= high[k]; j++) {
                if (cost[k][j] > most) {
                    cost[k][j] = NEVER;
                } else {
                    cost[k][j] -= lower;
                    from = from < 0 ? j : from;
                    to = j;
                }
            }
            low[k] = Math.max(0, from);
            high[k] = to;
        }
    }

    /** Seconds: from a step back to the quiet before it. */
    private double before(int step) {
        int least = Math.max(0, step - (int) (EDGE_SECONDS / LongSteps.STEP_SECONDS));
        int at = step;
        while (at + 1 < sound.quiet().length && sound.quiet()[at]) {
            at++;
        }
        while (at > least && !sound.quiet()[at]) {
            at--;
        }
        return at * LongSteps.STEP_SECONDS;
    }

    private double after(int step) {
        int most = Math.min(sound.quiet().length, step + (int) (EDGE_SECONDS / LongSteps.STEP_SECONDS));
        int at = step;
        while (at < most && !sound.quiet()[at]) {
            at++;
        }
        return at * LongSteps.STEP_SECONDS;
    }

    /** Where two run into one another they part in the middle. */
    private static List<Said> apart(List<Said> found) {
        List<Said> parted = new ArrayList<>(found);
        for (int i = 0; i + 1 < parted.size(); i++) {
            Said one = parted.get(i);
            Said next = parted.get(i + 1);
            if (one.toSeconds() > next.fromSeconds()) {
                double middle = (one.toSeconds() + next.fromSeconds()) / 2;
                parted.set(i, new Said(one.cue(), one.fromSeconds(), middle));
                parted.set(i + 1, new Said(next.cue(), middle, next.toSeconds()));
            }
        }
        return List.copyOf(parted);
    }
}
