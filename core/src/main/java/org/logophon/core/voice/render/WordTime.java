package org.logophon.core.voice.render;

/**
 * The time at which a written word sounds.
 *
 * @param start       UTF-16 index of the word in the cue's text
 * @param end         index after it
 * @param startSample in the speech's own rate
 * @param endSample   after its last sample
 */
public record WordTime(int start, int end, int startSample, int endSample) {}
