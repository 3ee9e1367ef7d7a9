/**
 * Proof: what a script's reader would stumble over, found before any sound is made. {@link
 * org.logophon.core.proof.Proof} runs one
 * {@link org.logophon.core.proof.Check} after another over each cue; every finding says where, why, what would be said,
 * and what to do.
 */
package org.logophon.core.proof;
