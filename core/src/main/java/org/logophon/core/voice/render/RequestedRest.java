package org.logophon.core.voice.render;

import org.logophon.core.direction.mark.Instruction;

/**
 * A rest that is asked for after a word.
 *
 * @param samples how long; −1 to keep its length
 * @param exact   false when a longer one may stay
 * @param share   of its own length, by chance; 1 for all of it
 * @param breath  null for none
 * @param blend   how far from its own length to what is asked for: 1 for all the way
 */
record RequestedRest(int samples, boolean exact, double share, Instruction.Depth breath, double blend) {

    RequestedRest(int samples, boolean exact, double share, Instruction.Depth breath) {
        this(samples, exact, share, breath, 1);
    }

    RequestedRest with(Instruction.Depth other) {
        return new RequestedRest(samples, exact, share, other, blend);
    }

    static final RequestedRest OWN = new RequestedRest(-1, false, 1, null);
}
