package org.logophon.render;

import org.logophon.mark.Ask;

/**
 * A rest that is asked for after a word.
 *
 * @param samples how long; −1 to keep its length
 * @param exact   false when a longer one may stay
 * @param share   of its own length, by chance; 1 for all of it
 * @param breath  null for none
 */
record Rest(int samples, boolean exact, double share, Ask.Depth breath) {

    static final Rest OWN = new Rest(-1, false, 1, null);
}
