package org.logophon.core.voice.align;

/**
 * What it costs to go through a sound beside the words that it should say, and how much a detour would save: past a
 * stretch of the sound that no word is for, or past words that have no sound. Costs from the start to each point and
 * from each point to the end are known, so a detour anywhere costs one look. Only points near the plain path are looked
 * at.
 */
final class InsertionsAndDeletions {

    /** How far from the plain path, in steps. */
    private static final int REACH = 250;
    /** Against the usual distance on the path: to stay on a step of the words while the sound goes on. */
    private static final double STAYING = 0.4;
    /** A step of the words that is passed over: people hurry, and that is no fault. */
    private static final float HURRYING = 0.7f;
    /** A step of the sound that is quiet, whatever the words say. */
    private static final double QUIET = 0.5;
    /**
     * A step of the sound that no word is for. Tried on recordings and on voices, with words taken out of the script.
     */
    private static final double STRANGE = 1.2;
    /** A step of the words that has no sound. */
    private static final double UNSAID = 0.25;

    private static final float NEVER = Float.MAX_VALUE;

    private final float[][] words;
    private final float[][] sound;
    private final boolean[] quiet;
    private final int[] low;
    private final int[] high;
    private final double usual;
    private final float[][] before;
    private final float[][] after;
    private final double[] strange;
    private final float total;

    /**
     * @param words a step's values each
     * @param sound likewise
     * @param quiet which steps of the sound are
     */
    InsertionsAndDeletions(float[][] words, float[][] sound, boolean[] quiet) {
        this.words = words;
        this.sound = sound;
        this.quiet = quiet;
        int[] path = Warp.path(words, sound);
        this.low = new int[words.length];
        this.high = new int[words.length];
        double sum = 0;
        for (int i = 0; i < words.length; i++) {
            low[i] = Math.max(0, path[Math.max(0, i - 1)] - REACH);
            high[i] = Math.min(sound.length - 1, path[Math.min(path.length - 1, i + 2)] + REACH);
            sum += Warp.distance(words[i], sound[(path[i] + path[i + 1]) / 2]);
        }
        low[0] = 0;
        high[words.length - 1] = sound.length - 1;
        this.usual = Math.max(1e-6, sum / words.length);
        this.strange = new double[sound.length + 1];
        for (int j = 0; j < sound.length; j++) {
            strange[j + 1] = strange[j] + (quiet[j] ? QUIET : STRANGE) * usual;
        }
        this.before = new float[words.length][];
        this.after = new float[words.length][];
        forwards();
        backwards();
        this.total = before[words.length - 1][sound.length - 1 - low[words.length - 1]];
    }

    /** Distance that is usual on the path. */
    double usual() {
        return usual;
    }

    /** What a detour saves, in usual distances, and what it goes past: steps of the sound. */
    record Detour(double saves, int from, int to) {}

    /**
     * The best way past a stretch of sound between two steps of the words.
     *
     * @param row the later one; up to all of them
     */
    Detour past(int row) {
        double best = NEVER;
        int from = 0;
        int to = 0;
        if (row >= words.length) {
            int last = words.length - 1;
            for (int j = low[last]; j < sound.length - 1; j++) {
                double cost = before[last][j - low[last]] + strange[sound.length] - strange[j + 1];
                if (cost < best) {
                    best = cost;
                    from = j + 1;
                    to = sound.length;
                }
            }
            return new Detour((total - best) / usual, from, to);
        }
        double least = NEVER;
        int leastAt = 0;
        int next = row == 0 ? 0 : low[row - 1];
        for (int j = Math.max(1, low[row]); j <= high[row]; j++) {
            if (row == 0) {
                least = 0;
            } else {
                for (; next < j && next <= high[row - 1]; next++) {
                    double left = before[row - 1][next - low[row - 1]] - strange[next + 1];
                    if (left < least) {
                        least = left;
                        leastAt = next + 1;
                    }
                }
            }
            double cost = least + strange[j] + distance(row, j) + after[row][j - low[row]];
            if (cost < best) {
                best = cost;
                from = leastAt;
                to = j;
            }
        }
        return new Detour((total - best) / usual, from, to);
    }

    /** The best way past words. @param from their first step @param to after their last */
    Detour without(int from, int to) {
        double best = NEVER;
        int at = 0;
        double unsaid = UNSAID * usual * (to - from);
        int first = from == 0 ? 0 : Math.max(1, low[from - 1] + 1);
        int last = from == 0 ? 0 : Math.min(sound.length, high[from - 1] + 1);
        for (int j = first; j <= last; j++) {
            double left = from == 0 ? 0 : before[from - 1][j - 1 - low[from - 1]];
            double right;
            if (to >= words.length) {
                right = j == sound.length ? 0 : NEVER;
            } else {
                right = j < low[to] || j > high[to] ? NEVER : distance(to, j) + after[to][j - low[to]];
            }
            if (left < NEVER && right < NEVER && left + unsaid + right < best) {
                best = left + unsaid + right;
                at = j;
            }
        }
        return new Detour(best == NEVER ? -1 : (total - best) / usual, at, at);
    }

    private float distance(int i, int j) {
        return Warp.distance(words[i], sound[j]);
    }

    private void forwards() {
        float staying = (float) (STAYING * usual);
        float silence = (float) (QUIET * usual);
        for (int i = 0; i < words.length; i++) {
            before[i] = new float[high[i] - low[i] + 1];
            for (int j = low[i]; j <= high[i]; j++) {
                float here = distance(i, j);
                float least = i == 0 && j == 0 ? here : NEVER;
                if (i > 0) {
                    least = Math.min(least, plus(at(before, i - 1, j - 1), here));
                    least = Math.min(least, plus(at(before, i - 1, j), here * HURRYING));
                }
                if (j > low[i]) {
                    float stay = quiet[j] ? Math.min(silence, here) : here + staying;
                    least = Math.min(least, plus(before[i][j - 1 - low[i]], stay));
                }
                before[i][j - low[i]] = least;
            }
        }
    }

    /** What comes after a point, without it. */
    private void backwards() {
        float staying = (float) (STAYING * usual);
        float silence = (float) (QUIET * usual);
        for (int i = words.length - 1; i >= 0; i--) {
            after[i] = new float[high[i] - low[i] + 1];
            for (int j = high[i]; j >= low[i]; j--) {
                float least = i == words.length - 1 && j == sound.length - 1 ? 0 : NEVER;
                if (i + 1 < words.length && j >= low[i + 1] - 1 && j <= high[i + 1]) {
                    least = Math.min(
                            least, j + 1 > high[i + 1] ? NEVER : plus(at(after, i + 1, j + 1), distance(i + 1, j + 1)));
                    least = Math.min(
                            least, j < low[i + 1] ? NEVER : plus(at(after, i + 1, j), distance(i + 1, j) * HURRYING));
                }
                if (j < high[i]) {
                    float there = distance(i, j + 1);
                    float stay = quiet[j + 1] ? Math.min(silence, there) : there + staying;
                    least = Math.min(least, plus(after[i][j + 1 - low[i]], stay));
                }
                after[i][j - low[i]] = least;
            }
        }
    }

    private static float plus(float cost, float more) {
        return cost == NEVER ? NEVER : cost + more;
    }

    private float at(float[][] costs, int i, int j) {
        return j < low[i] || j > high[i] ? NEVER : costs[i][j - low[i]];
    }
}
