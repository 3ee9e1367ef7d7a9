/**
 * Engines of the user's own: any program on the machine that speaks, as a settings file describes it.
 *
 * <p>Engines of the user's own ({@code speech.own}, docs/engines.md) are programs that a file describes, run one text
 * at a time in a folder of their own with limits that the kernel and a deadline keep. What they and hired voices
 * don't tell, when each word sounds, is found by {@code align}: voices that tell say the same words, and dynamic time
 * warping over mel-cepstra carries the times over; the median of three voices holds.
 */
package org.logophon.speech.own;
