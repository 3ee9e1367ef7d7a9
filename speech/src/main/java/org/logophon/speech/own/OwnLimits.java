package org.logophon.speech.own;

/**
 * The limits of a program for one text.
 *
 * @param characters  code points at once: longer texts are cut at sentences
 * @param seconds     until it is ended
 * @param memoryMb    of its process, kept by the kernel
 * @param soundMb     that it may write
 * @param atOnce      so many of it run side by side
 */
public record OwnLimits(int characters, int seconds, int memoryMb, int soundMb, int atOnce) {

    static final OwnLimits USUAL = new OwnLimits(1_000, 60, 1_500, 60, 1);
}
