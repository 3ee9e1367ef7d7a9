/**
 * Proof: what a script's reader would stumble over, found before any sound is made. {@link
 * org.logophon.core.review.proof.Proof} runs one
 * {@link org.logophon.core.review.proof.Check} after another over each cue; every finding says where, why, what would be said,
 * and what to do.
 *
 * <p>Proof runs one check after another over each cue. A written form (number, date, acronym…) is found by rules,
 * English ones in {@code form} and CLDR's for other languages, and compared with what the engine would say of it
 * ({@code EngineHabits}, held against the engine in a test). Findings of a text are remembered, so an edit proofs one
 * cue.
 */
package org.logophon.core.review.proof;
