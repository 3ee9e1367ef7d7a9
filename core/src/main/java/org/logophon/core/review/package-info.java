/**
 * What is found and suggested: the proof of a script, suggestions for marks, checks of a translation, and in which
 * state a cue was heard and approved.
 *
 * <p>Depends on {@code voice} and all below it. Begin with {@link org.logophon.core.review.proof.Proof} and
 * {@link org.logophon.core.review.ApprovalState}.
 *
 * <p>Judged by ear. An approval keeps the state in which a cue was heard ({@code ApprovalState}: a text each for words,
 * voice, direction, readings, take, loudness); whether it still holds, and what has changed, is a comparison. A note
 * keeps the text that it was written on and finds its word in any later one ({@code NotePlace}); only a cut or a join
 * moves it. "Make it like T1" puts the take's outer levels on the cue ({@code TakenDirection}), which then follows
 * them instead of its role and project, and undo takes that back like any mark. {@code TakeCheck} holds a take
 * against the same voice saying the same words anew, word by word. What happened is {@code take_event} and {@code
 * happening}, both only added to.
 */
package org.logophon.core.review;
