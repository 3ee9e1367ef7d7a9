package org.logophon.core.voice.render;

import org.logophon.core.direction.mark.Instruction;

/**
 * A rest that is asked for after a word.
 *
 * @param samples how long; −1 to keep its length
 * @param exact   false when a longer one may stay
 * @param share   of its own length, by chance; 1 for all of it
 * @param breath  null for none
 */
record RequestedRest(int samples, boolean exact, double share, Instruction.Depth breath) {

    static final RequestedRest OWN = new RequestedRest(-1, false, 1, null);
}
