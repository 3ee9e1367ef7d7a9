/**
 * The one model of time: the cues in order as they are heard, each clip placed on an exact sample. Whatever plays,
 * places, draws, counts or exports a cue in time asks {@link org.logophon.core.time.programme.Programme}; nothing else
 * adds up durations.
 *
 * <p>Time has one home. {@code programme} places the clips of cues on exact samples at 48 kHz; a clip is exactly as
 * long as its take's length comes to ({@code SampleCount.converted}). Playing, the head's running time, packages and
 * {@code narrate} ask it, and nothing else adds up durations. What a delivery may hold is a {@code Part} over the
 * programme ({@code core.delivery.part}, a file and a line in {@code Parts} each), written by the application and the
 * command line alike.
 */
package org.logophon.core.time.programme;
