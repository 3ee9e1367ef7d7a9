/**
 * Proof: what a script's reader would stumble over, found before any sound is made. {@link
 * org.logophon.core.review.proof.Proof} runs one {@link org.logophon.core.review.proof.Check} after another over each
 * cue; every finding says where, why, what would be said, and what to do.
 *
 * <p>Proof runs one check after another over each cue. A written form (number, date, acronym…) is found by rules,
 * English ones and CLDR's for other languages, and is said by them whatever the engine: the proof asks only where no
 * rule can know which way is meant, and lists the others. Findings of a text are remembered, so an edit proofs one cue.
 */
package org.logophon.core.review.proof;
