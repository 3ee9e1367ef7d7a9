package org.logophon.core.voice.render;

import java.util.Map;
import org.logophon.core.direction.phrasing.Boundary;

/**
 * How much an engine lengthens a phrase's last word by itself, so that phrasing adds the difference alone. Measured in
 * twelve words of one and two syllables: in the middle of a sentence, before a comma, before a full stop.
 *
 * @param comma factor of the word's length
 * @param stop  the same at the end of a sentence
 */
record FinalLengthening(double comma, double stop) {

    private static final Map<String, FinalLengthening> MEASURED = Map.of(
            "rufus", new FinalLengthening(1.07, 1.07),
            "marnie", new FinalLengthening(1.20, 1.22),
            "farquhar", new FinalLengthening(1.21, 1.21),
            "otis", new FinalLengthening(1.44, 1.21),
            "verity", new FinalLengthening(1.32, 1.32));

    /** Of espeak-ng, and taken for any other. */
    private static final FinalLengthening OTHERS = new FinalLengthening(1.30, 1.29);

    /** Factor that is left to do. @param baseId of the engine's own voice @param wanted at 100 % phrasing */
    static double left(String baseId, double wanted) {
        FinalLengthening own = MEASURED.getOrDefault(baseId, OTHERS);
        boolean stop = wanted >= Boundary.STOP.lengthening();
        return Math.max(1, wanted / (stop ? own.stop() : own.comma()));
    }
}
