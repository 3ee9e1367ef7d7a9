package org.logophon.core.time.viseme;

/**
 * @param start   seconds from the clip's first sample
 * @param end     where the next one starts
 * @param viseme  0 to 14
 * @param phoneme in the International Phonetic Alphabet; empty in silence
 */
public record MouthShape(double start, double end, int viseme, String phoneme) {}
