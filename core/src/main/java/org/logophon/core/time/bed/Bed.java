package org.logophon.core.time.bed;

import org.logophon.core.direction.Dial;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.programme.SampleCount;

/**
 * A sound under a stretch of a programme.
 *
 * @param from   of the stretch
 * @param to     after it
 */
public record Bed(HeardSound sound, SampleCount from, SampleCount to, Settings settings) {

    /** −18 dB under the voice. Common practice, no source. */
    public static final double USUAL_LEVEL_DB = -18;

    public static final int MOST_FADE_MILLIS = 60_000;

    /**
     * How it sounds.
     *
     * @param looped        true when it begins anew until its stretch ends; else it sounds once
     * @param fadeInMillis  over which it comes, from the stretch's start
     * @param fadeOutMillis over which it goes, to its end
     * @param levelDb       against the voice while somebody speaks, −60…6
     * @param riseDb        that it is louder while nobody does, 0…30
     */
    public record Settings(boolean looped, int fadeInMillis, int fadeOutMillis, double levelDb, double riseDb) {

        public Settings {
            fade("comes", fadeInMillis);
            fade("goes", fadeOutMillis);
            Dial.BESIDE_VOICE.check(levelDb);
            if (!(riseDb >= 0 && riseDb <= 30)) {
                throw new InvalidInput("Where nobody speaks a bed is 0 to 30 dB louder, and that is outside.");
            }
        }

        private static void fade(String what, int millis) {
            if (millis < 0 || millis > MOST_FADE_MILLIS) {
                throw new InvalidInput(
                        "A bed " + what + " in 0 to " + MOST_FADE_MILLIS / 1_000 + " seconds, and that is outside.");
            }
        }
    }
}
