package org.logophon.core.voice.render;

/**
 * What phrasing does to one word, besides its melody.
 *
 * @param pace     over 1 is faster
 * @param range    1 as it is
 * @param decibels added
 * @param longFrom sample of the speech from which it is lengthened to its end; its end for none
 * @param longer   by which factor
 */
record PhrasedWord(double pace, double range, double decibels, int longFrom, double longer) {

    /** Samples that the word has when phrasing alone has been at work. */
    double length(WordTime word) {
        return ((longFrom - word.startSample()) + (word.endSample() - longFrom) * longer) / pace;
    }
}
