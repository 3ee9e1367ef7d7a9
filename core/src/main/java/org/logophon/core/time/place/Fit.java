package org.logophon.core.time.place;

import java.util.List;
import org.logophon.core.time.programme.SampleCount;

/**
 * The ways to fit a cue to its slot: first its pauses are tightened, then it is spoken quicker, then it starts
 * earlier or ends later in free room, and at last words must go. A preview; what comes of it is ordinary direction.
 *
 * @param pausePercent of each inner pause that stays; 100 for all of it
 * @param pacePercent  against its pace now; 100 for as it is
 * @param borrowed     room around the slot that it needs
 * @param words        that must go, when nothing else is left
 * @param length       that it is expected to come to
 */
public record Fit(int pausePercent, int pacePercent, SampleCount borrowed, int words, SampleCount length) {

    private static final int LEAST_PAUSES = 50;
    private static final int QUICKEST = 115;
    private static final int SLOWEST = 90;
    private static final int LONGEST_PAUSES = 150;
    /** A render keeps its pace to within this; what it is short of is asked for too. */
    private static final double SURE = 1.02;
    /** Beside that, for the edges of what is cut and stretched. */
    private static final double SURE_SECONDS = 0.04;
    /** And for each pause that is asked for, which may come out a little longer. */
    private static final double SURE_EACH_SECONDS = 0.03;

    /**
     * A take as it is.
     *
     * @param length of it
     * @param pauses inner ones
     * @param words  that it has
     * @param losses how long the words are that could go, each with the silence after it, in the order in which they
     *               would
     */
    public record Spoken(SampleCount length, List<SampleCount> pauses, int words, List<SampleCount> losses) {

        public Spoken {
            pauses = List.copyOf(pauses);
            losses = List.copyOf(losses);
        }

        /** One of which nobody knows what could go. */
        public Spoken(SampleCount length, List<SampleCount> pauses, int words) {
            this(length, pauses, words, List.of());
        }

        SampleCount paused() {
            return new SampleCount(
                    pauses.stream().mapToLong(SampleCount::samples).sum());
        }
    }

    /** @param free room around the slot that may be used. @return null when it fits as it is */
    public static Fit into(SampleCount slot, Spoken spoken, SampleCount free) {
        if (spoken.length().compareTo(slot) <= 0) {
            return null;
        }
        double paused = spoken.paused().seconds();
        double said = spoken.length().seconds() - paused;
        double wanted = slot.seconds() - SURE_SECONDS;
        for (int pauses = 100; pauses >= LEAST_PAUSES; pauses -= 5) {
            if (sure(spoken, said, paused, pauses, 100) <= wanted) {
                return made(pauses, 100, SampleCount.ZERO, 0, said, paused);
            }
        }
        for (int pace = 101; pace <= QUICKEST; pace++) {
            if (sure(spoken, said, paused, LEAST_PAUSES, pace) <= wanted) {
                return made(LEAST_PAUSES, pace, SampleCount.ZERO, 0, said, paused);
            }
        }
        double over = sure(spoken, said, paused, LEAST_PAUSES, QUICKEST) - wanted;
        if (over <= free.seconds()) {
            return made(LEAST_PAUSES, QUICKEST, SampleCount.nearest(over), 0, said, paused);
        }
        double whole = sure(spoken, said, paused, LEAST_PAUSES, QUICKEST);
        int words = words(spoken, over - free.seconds(), whole / spoken.length().seconds());
        return made(LEAST_PAUSES, QUICKEST, free, words, said, paused);
    }

    /**
     * How many words must go: first those that could, each as long as it was measured, then any.
     *
     * @param over   seconds that are still too many
     * @param scaled how long the take comes to, of what it is now
     */
    private static int words(Spoken spoken, double over, double scaled) {
        double left = over;
        int words = 0;
        for (SampleCount loss : spoken.losses()) {
            if (left <= 0) {
                return words;
            }
            left -= loss.seconds() * scaled;
            words++;
        }
        double each = spoken.length().seconds() * scaled / Math.max(1, spoken.words());
        return Math.min(spoken.words(), words + (int) Math.ceil(Math.max(0, left) / each));
    }

    /** Slower and with longer pauses, as far as comfort goes. @return null when there is no room to fill */
    public static Fit loosened(SampleCount slot, Spoken spoken) {
        double paused = spoken.paused().seconds();
        double said = spoken.length().seconds() - paused;
        double wanted = slot.seconds() - SURE_SECONDS;
        Fit best = null;
        for (int pace = 100; pace >= SLOWEST; pace--) {
            for (int pauses = 100; pauses <= LONGEST_PAUSES; pauses += 10) {
                boolean more = pace < 100 || pauses > 100;
                if (more && sure(spoken, said, paused, pauses, pace) <= wanted) {
                    Fit fit = made(pauses, pace, SampleCount.ZERO, 0, said, paused);
                    best = best == null || fit.length().compareTo(best.length()) > 0 ? fit : best;
                }
            }
        }
        return best;
    }

    private static Fit made(int pauses, int pace, SampleCount borrowed, int words, double said, double paused) {
        return new Fit(pauses, pace, borrowed, words, SampleCount.nearest(plain(said, paused, pauses, pace)));
    }

    private static double plain(double said, double paused, int pauses, int pace) {
        return said * 100 / pace + paused * pauses / 100;
    }

    /** What is changed may come out a little longer; what isn't stays as long as it was measured. */
    private static double sure(Spoken spoken, double said, double paused, int pauses, int pace) {
        double each = pauses == 100 ? 0 : SURE_EACH_SECONDS * spoken.pauses().size();
        return said * 100 / pace * (pace == 100 ? 1 : SURE) + paused * pauses / 100 + each;
    }

    /** True when nothing has to be cut. */
    public boolean fits() {
        return words == 0;
    }
}
