/**
 * The one model of time: the cues in order as they are heard, each clip placed on an exact sample. Whatever plays, places,
 * draws, counts or exports a cue in time asks {@link org.logophon.core.programme.Programme}; nothing else adds up
 * durations.
 */
package org.logophon.core.programme;
