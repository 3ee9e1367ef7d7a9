/**
 * Links for others: what they hear, note and approve, and nothing else of a project.
 *
 * <p>Links for others ({@code share}) lead to the programme as it is, or to a delivery as it was: each delivery keeps
 * its cues with their takes and the state in which they are heard ({@code DeliveredCue}). Every request below {@code
 * /s/} begins with the link and resolves what it names inside what the link shows; a take or a cue of anything else
 * isn't there. The database has a digest of what stands in the address, and the pass phrase as bcrypt makes it; who
 * knows it carries a cookie that follows from both (HMAC), so no visit is remembered. Notes and approvals are the
 * house's own, with a name and the link they came by. The feed ({@code feed}) lists deliveries that have the whole
 * programme in one file; its address is kept as a digest too, and what is taken out, or belongs to a deleted project,
 * is out with the next request.
 */
package org.logophon.app.steps.share;
