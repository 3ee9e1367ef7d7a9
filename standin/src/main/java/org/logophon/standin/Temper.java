package org.logophon.standin;

/**
 * The faults that the stand-in is told to have. Every n-th answer goes wrong; 0 for never.
 *
 * @param busy     429 with Retry-After
 * @param down     503
 * @param broken   charged, and its body cut off
 * @param lying    charged, and answered with something else: a page, silence, half of the sound, one after another
 * @param leastMillis before an answer, at least
 * @param mostMillis  at most
 */
public record Temper(int busy, int down, int broken, int lying, int leastMillis, int mostMillis) {

    public static final Temper USUAL = new Temper(11, 17, 23, 0, 300, 1_500);
    public static final Temper CALM = new Temper(0, 0, 0, 0, 0, 0);

    static boolean turn(int every, int answer) {
        return every > 0 && answer % every == 0;
    }
}
