/**
 * Speech in time: the programme with each clip on an exact sample at 48 kHz, timecode and timelines, placing to a
 * picture, captions, mouth shapes, and beds under the voice.
 *
 * <p>Depends on {@code voice} and all below it. Begin with {@link org.logophon.core.time.programme.Programme}: whatever
 * plays, places, draws, counts or exports a cue in time asks it, and nothing else adds up durations.
 */
package org.logophon.core.time;
