package org.logophon.core.direction;

import java.util.Locale;
import java.util.Optional;

/** What dials ask of a voice beyond what it does well: told before a render, and never a stop. Bounds are ours. */
public final class Comfort {

    private static final double SLOWEST = 0.7;
    private static final double QUICKEST = 1.4;
    private static final double FARTHEST_SEMITONES = 4;

    private Comfort() {}

    /** A sentence for people; empty while the voice is at ease. */
    public static Optional<String> warning(ResolvedDirection direction) {
        boolean pace = direction.paceFactor() < SLOWEST - 1e-6 || direction.paceFactor() > QUICKEST + 1e-6;
        boolean pitch = Math.abs(direction.semitones()) > FARTHEST_SEMITONES + 1e-6;
        if (!pace && !pitch) {
            return Optional.empty();
        }
        String paced = "pace %.0f %%".formatted(direction.paceFactor() * 100);
        String pitched = String.format(Locale.ROOT, "pitch %+.1f st", direction.semitones())
                .replace('-', '−');
        if (pace && pitch) {
            return Optional.of("With " + paced + " and " + pitched
                    + " together the voice will sound made: one of them nearer to its own sounds better.");
        }
        return Optional.of(
                pace
                        ? "At " + paced + (direction.paceFactor() > 1 ? " words run together" : " words fall apart")
                                + ": between 70 and 140 % a voice stays clear."
                        : "At " + pitched + " the voice sounds like another: within 4 st it stays itself.");
    }
}
